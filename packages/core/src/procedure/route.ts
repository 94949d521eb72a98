import { memoizeByAssessment } from '../assess/memo.ts'
import type { Assessment } from '../assess/types.ts'
import type { AssessedLine } from '../lines/types.ts'
import { withGuesses } from '../assess/guesses.ts'
import { BATCH, type Goes } from '../shapes/method.ts'
import type { HeatReason, RouteReason } from './step-facts.ts'
import { isGum, isOily, isStrongAcid, isWater, meltsAt, preserves, swellsLong, wantsGlycol } from './facts.ts'

/** Where a part goes: it is joined with others to make the batch, poured into one part, into the batch, or with pH. */
export interface Route {
  to: 'join' | 'part' | 'batch' | 'ph'
  /** Key of the part it is poured into. */
  into: string | null
  when: 'before-heat' | 'hot' | 'cool'
  reason: RouteReason
  /** The maker said so. */
  chosen: boolean
}

/** A phase with what is made of it: it has a vessel of its own, named by its letter. */
export interface Part {
  index: number
  letter: string
  name: string
  id: string
  role: string
  lines: AssessedLine[]
  grams: number
  /** Mostly what belongs to the oils. */
  oily: boolean
  /** Heated to, °C, and why where the formula does not say. */
  heatToC: number | null
  heatReason: HeatReason | null
  given: number | undefined
  belowC: number | undefined
  holdMinutes: number | undefined
  route: Route
}

/** From here on a part or a batch counts as hot, °C. */
export const HOT = 45
/** Hygiene and melting ask for so much where something has to melt (common practice). */
export const LEAST_HOT = 70
const ABOVE_MELT = 5
/** Parts that are joined hot lie no further apart. */
export const JOIN_WITHIN = 5
export const COOL = 40

const five = (celsius: number) => Math.ceil(celsius / 5) * 5

function partsOf(a: Assessment): Part[] {
  return a.phases.flatMap((p, index): Part[] => {
    const source = a.formula.phases[index]!
    const lines = a.lines.filter((l) => l.phase === index)
    if (lines.length === 0) return []
    const sum = (test: (l: AssessedLine) => boolean) =>
      lines.reduce((n, l) => n + (test(l) ? Math.max(0, l.percent) : 0), 0)
    const oils = sum((l) => isOily(l.material))
    const watery = sum((l) => !isOily(l.material) && l.material?.form !== 'powder')
    return [
      {
        index,
        letter: p.letter,
        name: p.name,
        id: source.id ?? `${p.role}-${p.letter}`,
        role: p.role,
        lines,
        grams: p.grams,
        oily: p.role === 'oil' || (p.role !== 'water' && oils > watery),
        heatToC: source.heatToC ?? null,
        heatReason: null,
        given: source.heatToC,
        belowC: source.belowC,
        holdMinutes: source.holdMinutes,
        route: { to: 'join', into: null, when: 'hot', reason: { code: 'begins' }, chosen: false },
      },
    ]
  })
}

const melting = (p: Part) =>
  p.lines.reduce<{ at: number; label: string } | null>((most, l) => {
    const at = meltsAt(l.material)
    return at !== null && (most === null || at > most.at) ? { at, label: l.label } : most
  }, null)

/** A phase without a temperature that holds what has to melt is heated, and says why. */
function proposeHeat(p: Part) {
  const most = melting(p)
  if (p.given !== undefined || most === null || p.role === 'cool-down' || p.role === 'adjust') return
  p.heatToC = Math.max(LEAST_HOT, five(most.at + ABOVE_MELT))
  p.heatReason = { code: 'melts', name: most.label, celsius: most.at }
}

const isHot = (p: Part | undefined) => (p?.heatToC ?? 0) >= HOT

/** Proposes where each phase goes, from its role and materials; what the maker chose stands. Not to be changed. */
export const routed = memoizeByAssessment(routesOf)

function routesOf(assessment: Assessment): Part[] {
  const a = withGuesses(assessment)
  const parts = partsOf(a)
  parts.forEach(proposeHeat)
  const role = (...roles: string[]) => parts.filter((p) => roles.includes(p.role))
  const hotWater = role('water').find(isHot)
  const warm = role('water', 'oil').some(isHot)
  const set = (p: Part, route: Partial<Route> & Pick<Route, 'to' | 'reason'>) => {
    p.route = { into: null, when: 'hot', chosen: false, ...route }
  }
  for (const p of parts) {
    if (p.role === 'adjust') set(p, { to: 'ph', reason: { code: 'adjusts-ph' } })
    else if (p.role === 'water' && hotWater && p !== hotWater && !isHot(p))
      set(p, { to: 'batch', when: 'cool', reason: { code: 'not-heated' } })
    else if (p.role === 'water' || p.role === 'oil')
      set(p, {
        to: 'join',
        reason: { code: p.role === 'oil' ? 'oils-meet-water' : 'begins' },
      })
    else if (p.role === 'cool-down') set(p, { to: 'batch', when: 'cool', reason: { code: 'when-cool' } })
    else if (p.role === 'other')
      set(
        p,
        isHot(p)
          ? { to: 'join', reason: { code: 'heated-with-others' } }
          : { to: 'batch', when: 'cool', reason: { code: 'heat-unknown' } },
      )
  }
  const waters = parts.filter((p) => p.route.to === 'join' && p.role !== 'premix' && !p.oily)
  const oils = parts.filter((p) => p.route.to === 'join' && p.role !== 'premix' && p.oily)
  for (const p of role('premix')) set(p, premixRoute(p, waters, oils, warm, a.emulsion !== null))
  begin(parts)
  for (const p of parts) takeChoice(p, a.formula.phases[p.index]!.goes, parts)
  begin(parts)
  agree(a, parts)
  return parts
}

/** A premix joins the part that holds its solvent at the temperature at which it is made. */
function premixRoute(
  p: Part,
  waters: readonly Part[],
  oils: readonly Part[],
  warm: boolean,
  emulsion: boolean,
) {
  const labels = (test: (l: AssessedLine) => boolean) => p.lines.filter(test).map((l) => l.label)
  const limit = Math.min(...p.lines.map((l) => l.material?.heatMaxC ?? Infinity))
  // Cold oils poured into hot ones would set them: they are heated together where they stand it.
  if (p.oily && oils[0])
    return {
      to: 'part' as const,
      into: oils[0].id,
      when: limit < (oils[0].heatToC ?? 0) ? ('hot' as const) : ('before-heat' as const),
      reason: { code: 'oils' as const },
    }
  const gum = p.lines.some((l) => isGum(l.material) || swellsLong(l.material))
  const acids = p.lines.filter((l) => isStrongAcid(l) || wantsGlycol(l.material))
  if (acids.length > 0 && (emulsion || p.heatToC !== null || waters.length === 0 || !warm))
    return {
      to: 'batch' as const,
      when: 'cool' as const,
      reason: { code: 'when-base-stands' as const, names: labels((l) => acids.includes(l)) },
    }
  if (!gum && warm && (p.lines.some(preserves) || limit < LEAST_HOT))
    return {
      to: 'batch' as const,
      when: 'cool' as const,
      reason: {
        code: 'stands-no-heat' as const,
        names: labels((l) => preserves(l) || (l.material?.heatMaxC ?? Infinity) < LEAST_HOT),
      },
    }
  const into = waters[0] ?? oils[0]
  return into
    ? {
        to: 'part' as const,
        into: into.id,
        when: 'before-heat' as const,
        reason: { code: gum ? ('gum-wet-first' as const) : ('solvent-in-water' as const) },
      }
    : { to: 'batch' as const, when: 'cool' as const, reason: { code: 'no-other-part' as const } }
}

/** Something has to be there for the others to go into: the largest watery part, else the largest. */
function begin(parts: Part[]) {
  if (parts.some((p) => p.route.to === 'join')) return
  const free = parts.filter((p) => p.role !== 'adjust')
  const base =
    free.filter((p) => p.lines.some((l) => isWater(l.material))).sort((x, y) => y.grams - x.grams)[0] ??
    [...free].sort((x, y) => y.grams - x.grams)[0]
  if (base) base.route = { to: 'join', into: null, when: 'hot', reason: { code: 'begins' }, chosen: false }
}

function takeChoice(p: Part, goes: Goes | undefined, parts: readonly Part[]) {
  if (!goes) return
  const reason = { code: 'chosen' as const }
  if (goes.into === BATCH)
    p.route =
      goes.when === 'cool' || p.role === 'premix'
        ? { to: 'batch', into: null, when: 'cool', reason, chosen: true }
        : { to: 'join', into: null, when: 'hot', reason, chosen: true }
  else {
    const target = parts.find((x) => x.id === goes.into)
    if (!target || target === p || target.route.to === 'ph' || leadsTo(target, p, parts)) return
    p.route = { to: 'part', into: target.id, when: goes.when ?? 'before-heat', reason, chosen: true }
  }
}
/** Whether a part is poured into another, over however many others. */
function leadsTo(from: Part, goal: Part, parts: readonly Part[]): boolean {
  const seen = new Set<Part>()
  for (let at: Part | undefined = from; at && !seen.has(at);) {
    if (at === goal) return true
    seen.add(at)
    const { to, into }: Route = at.route
    at = to === 'part' ? parts.find((x) => x.id === into) : undefined
  }
  return false
}

/** Parts that are joined hot have to be hot together: the cooler one is heated to the hotter. */
function agree(a: Assessment, parts: readonly Part[]) {
  const joined = parts.filter((p) => p.route.to === 'join')
  const hottest = Math.max(0, ...joined.map((p) => p.heatToC ?? 0))
  if (joined.length < 2) return
  for (const p of joined) {
    // what is only lukewarm asks nothing of a part that is not heated
    if (p.heatToC === null && (hottest < HOT || !a.emulsion)) continue
    if ((p.heatToC ?? 0) >= hottest - JOIN_WITHIN) continue
    p.heatReason = { code: 'meets', celsius: hottest }
    p.heatToC = hottest
  }
}
