import { assess } from '../assess/assess.ts'
import type { Assessment } from '../assess/types.ts'
import { emulsifierCandidates, thickenerCandidates, type Candidate } from '../emulsion/choose.ts'
import { spreadOf, type Spread } from '../emulsion/profile.ts'
import { findAll, isCaution } from '../findings/index.ts'
import type { Finding } from '../findings/types.ts'
import type { Formula, Line, Phase, Role } from '../formula/schema.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import type { Material, MaterialKind } from '../materials/schema.ts'
import { formatRange, listWords, sayNumber, sayPercent } from '../text/format.ts'
import {
  BUTTERED,
  CASCADE,
  FATTY_OF,
  HELPS,
  NEED_WORDS,
  OIL_PHASE_OF,
  ruledOut,
  type Brief,
  type BriefContext,
  type Choice,
} from './brief.ts'

export interface Proposal {
  /** What sets it apart, in a few words. */
  title: string
  formula: Formula
  choices: Choice[]
  /** Checks and notes that remain; there is no stop. */
  findings: Finding[]
  /** Wishes that it could not keep. */
  misses: string[]
}

export type Proposals =
  | { status: 'done'; proposals: Proposal[] }
  /** Why there is nothing to propose, and what to change. */
  | { status: 'impossible'; why: string[] }

const HOT_C = 72
const EMULSIONS = new Set(['lotion', 'cream', 'butter', 'leave-in'])
const OILY: ReadonlySet<MaterialKind> = new Set<MaterialKind>([
  'oil',
  'butter',
  'ester',
  'alkane',
  'silicone',
])

/** What is known of a maker's wishes, and what may be used. */
class Bench {
  readonly allowed: readonly Material[]
  constructor(
    readonly brief: Brief,
    readonly catalogue: Catalogue,
    readonly context: BriefContext,
  ) {
    this.allowed = catalogue.materials.filter((m) => ruledOut(m, brief, context) === null)
  }
  wants = (c: Brief['constraints'][number]) => this.brief.constraints.includes(c)
  find = (ids: readonly string[]) => ids.flatMap((id) => this.allowed.find((m) => m.id === id) ?? [])
  assess = (f: Formula) => assess(f, this.catalogue)
  /** Cheaper first where a low price is wished for and prices are known. */
  cheap = (m: Material) => (this.wants('low-budget') ? (this.context.priceOf(m.id) ?? 0.08) * 20 : 0)
}

/** A formula that is being put together. */
class Draft {
  readonly lines = new Map<Role, Line[]>()
  readonly choices: Choice[] = []
  readonly misses: string[] = []
  targetPh: Formula['targetPh']

  constructor(
    private readonly brief: Brief,
    readonly hot: boolean,
  ) {}

  copy(): Draft {
    const next = new Draft(this.brief, this.hot)
    this.lines.forEach((lines, role) => next.lines.set(role, [...lines]))
    next.choices.push(...this.choices)
    next.misses.push(...this.misses)
    next.targetPh = this.targetPh
    return next
  }

  add(role: Role, material: Material, percent: number): this {
    const lines = this.lines.get(role) ?? []
    this.lines.set(role, [...lines, { material: material.id, percent: Number(percent.toFixed(3)) }])
    return this
  }

  with(role: Role, material: Material, percent: number): Draft {
    return this.copy().add(role, material, percent)
  }

  say(
    part: string,
    material: Material,
    percent: number,
    why: string,
    alternatives: readonly Material[] = [],
  ) {
    this.choices.push({ part, material, percent, why, alternatives: alternatives.slice(0, 4) })
  }

  has = (id: string) => [...this.lines.values()].some((lines) => lines.some((l) => l.material === id))

  formula(): Formula {
    const names: [Role, string, Partial<Phase>][] = [
      ['premix', 'Gum slurry', {}],
      ['water', 'Water', this.hot ? { heatToC: HOT_C, holdMinutes: 20 } : {}],
      ['oil', 'Oil', this.hot ? { heatToC: HOT_C } : {}],
      ['cool-down', this.hot ? 'Cool-down' : 'Last', { belowC: this.hot ? 40 : 30 }],
    ]
    return {
      format: 'omblet-formula',
      formatVersion: 1,
      name: this.brief.name,
      product: this.brief.product,
      batchGrams: this.brief.batchGrams,
      scaleResolutionGrams: 0.01,
      ...(this.targetPh ? { targetPh: this.targetPh } : {}),
      phases: names.flatMap(([role, name, extra]): Phase[] => {
        const own = this.lines.get(role) ?? []
        const lines: Line[] = role === 'water' ? [{ material: 'aqua', fill: true }, ...own] : own
        return lines.length === 0 ? [] : [{ name, role, ...extra, lines }]
      }),
    }
  }
}

const relevant = (a: Assessment) => findAll(a).filter((f) => !isCaution(f))
const count = (findings: readonly Finding[], severity: Finding['severity']) =>
  findings.filter((f) => f.severity === severity).length
const burden = (findings: readonly Finding[]) =>
  1000 * count(findings, 'stop') + 30 * count(findings, 'check') + 3 * count(findings, 'note')

/** Puts each material in, judges the whole again, and ranks what brings the least trouble. */
function rankIn(
  bench: Bench,
  draft: Draft,
  materials: readonly Material[],
  place: (m: Material) => { role: Role; percent: number },
  likes: (m: Material) => number = () => 0,
): { material: Material; percent: number; role: Role; burden: number }[] {
  const before = burden(relevant(bench.assess(draft.formula())))
  return materials
    .map((material) => {
      const { role, percent } = place(material)
      const after = burden(relevant(bench.assess(draft.with(role, material, percent).formula())))
      return {
        material,
        role,
        percent,
        burden: after - before,
        score: after - likes(material) + bench.cheap(material),
      }
    })
    .sort((x, y) => x.score - y.score)
    .map(({ score: _score, ...rest }) => rest)
}

/** Where an active goes: what the heat would spoil comes last. */
function roleFor(m: Material, hot: boolean): Role {
  if (hot && m.heatMaxC !== undefined && m.heatMaxC < HOT_C) return 'cool-down'
  if (m.phase === 'any') return 'water'
  if (m.phase === 'oil' && m.kind !== 'oil') return 'oil'
  return m.phase
}

/** Comfortable middle for what has no wish of its own. */
const USUAL_PH = { min: 5, max: 5.8 }

/** A band of at most 0.8 within what is shared, as near to the skin's own as can be. */
function targetIn(shared: { min: number; max: number } | null): { min: number; max: number } {
  if (!shared) return USUAL_PH
  const low = Math.max(shared.min, USUAL_PH.min)
  const high = Math.min(shared.max, USUAL_PH.max)
  if (high - low >= 0.3) return { min: round1(low), max: round1(high) }
  const near = shared.max < USUAL_PH.min ? shared.max : Math.max(shared.min, USUAL_PH.min)
  const min = near === shared.max ? Math.max(shared.min, shared.max - 0.8) : near
  return { min: round1(min), max: round1(Math.min(shared.max, min + 0.8)) }
}
const round1 = (value: number) => Number(value.toFixed(1))

/** Faults of the wishes themselves, before anything is chosen. */
function faultsOf(bench: Bench, draft: Draft): string[] {
  const { brief, catalogue, context } = bench
  const faults: string[] = []
  for (const { material: id } of brief.actives) {
    const m = catalogue.find(id)
    if (!m) faults.push(`“${id}” is not known: choose it from the materials.`)
    else {
      const why = ruledOut(m, brief, context)
      if (why)
        faults.push(`${m.name} ${why}, which the constraints rule out. Take it off or let the constraint go.`)
    }
  }
  if (faults.length > 0) return faults
  const a = bench.assess(draft.formula())
  const clash = a.ph.clashes[0]
  if (clash && clash.a.grade === 'works' && clash.b.grade === 'works')
    faults.push(
      `${clash.a.label} works at pH ${formatRange(clash.a)}, ${clash.b.label} at ${formatRange(clash.b)}: they need two products.`,
    )
  for (const f of findAll(a).filter(
    (x) => x.severity === 'stop' && /^(legal|charge|claim|stability)/.test(x.code),
  ))
    faults.push(`${f.message} ${f.why}`.trim())
  return faults
}

/** The first draft: water and what the maker asked for. */
function startOf(bench: Bench, emulsion: boolean): Draft {
  const { brief, catalogue } = bench
  const draft = new Draft(brief, emulsion && !bench.wants('cold-process'))
  for (const { material: id, percent } of brief.actives) {
    const m = catalogue.find(id)
    if (m) draft.add(roleFor(m, draft.hot), m, percent)
  }
  return draft
}

type Family = 'polymer' | 'cationic' | 'anionic' | 'hlb' | 'layers'
const familyOf = (m: Material): Family => {
  if (m.emulsifier?.role === 'polymeric') return 'polymer'
  if (m.charge === 'cationic') return 'cationic'
  if (m.charge === 'anionic') return 'anionic'
  return m.emulsifier?.hlbSound === 'yes' || m.origin === 'synthetic' ? 'hlb' : 'layers'
}
const FAMILY_WORDS: Record<Family, string> = {
  polymer: 'light, held by a polymer',
  cationic: 'conditioning, held by its charge',
  anionic: 'soft, held by an anionic emulsifier',
  hlb: 'sturdy, with a classic emulsifier',
  layers: 'velvety, held by layers of a mild emulsifier',
}

/** Emollients of one spread, the best first: those that keep, feel as wished and have a required HLB. */
function emollients(bench: Bench, draft: Draft, spread: Spread, solid: boolean, percent: number): Material[] {
  const { feel } = bench.brief
  const taste = {
    dry: ['dry', 'powdery'],
    silky: ['silky', 'slip', 'soft'],
    rich: ['rich', 'soft', 'melting'],
  }[feel]
  const score = (m: Material) =>
    (m.oxidation === 'fast' ? -6 : m.oxidation === 'medium' ? -1 : 0) +
    (m.feel ?? []).filter((f) => taste.includes(f)).length * 2 +
    (m.requiredHlb ? 2 : 0) -
    (m.feel?.includes('evaporates') ? 4 : 0) -
    (m.feel?.includes('sticky') ? 4 : 0) -
    (m.feel?.includes('greasy') ? 6 : 0) -
    (m.usage && m.usage.max < 20 ? 2 : 0) -
    bench.cheap(m)
  return bench.allowed
    .filter((m) => OILY.has(m.kind) && spreadOf(m) === spread && !m.traits?.includes('fragrance'))
    .filter((m) => (m.kind === 'butter') === solid && m.solubility[0] === 'oil')
    .filter((m) => (m.usage?.max ?? 100) >= percent && !(draft.hot && (m.heatMaxC ?? 100) < HOT_C))
    .map((m) => ({ m, s: score(m) }))
    .sort((x, y) => y.s - x.s || x.m.name.localeCompare(y.m.name))
    .map((x) => x.m)
}

const SPREAD_WORDS: Record<Spread, string> = {
  fast: 'spreads fast and leaves the skin dry',
  medium: 'spreads at a middling pace',
  slow: 'spreads slowly and stays',
}

/** Puts the oils in by spread; `turn` picks another one of each for each proposal. */
function addOils(bench: Bench, draft: Draft, oils: number, turn: number): boolean {
  const { brief } = bench
  const shares = CASCADE[brief.absorption]
  const left: { spread: Spread; percent: number }[] = (['fast', 'medium', 'slow'] as const).map((spread) => ({
    spread,
    percent: oils * shares[spread],
  }))
  let added = 0
  for (const { spread, percent } of left) {
    if (percent < 0.3) continue
    const buttered = spread === 'slow' && BUTTERED[brief.richness] && !bench.wants('cold-process')
    const solids = buttered ? emollients(bench, draft, spread, true, percent) : []
    const liquids = emollients(bench, draft, spread, false, percent)
    const list = solids.length > 0 ? solids : liquids
    const m = list[turn % Math.max(1, Math.min(list.length, 4))]
    if (!m) continue
    const dose = Number(percent.toFixed(1))
    draft.add('oil', m, dose)
    draft.say(
      'emollient',
      m,
      dose,
      `${SPREAD_WORDS[spread]}${m.oxidation === 'slow' ? '; keeps well' : ''}`,
      list.filter((x) => x !== m),
    )
    added += dose
  }
  if (added === 0) return false
  // What has no taker goes to the first oil.
  const missing = Number((oils - added).toFixed(1))
  const first = draft.lines
    .get('oil')!
    .find((l) => l.percent !== undefined && draft.choices.some((c) => c.material.id === l.material))
  if (missing > 0.05 && first) {
    const lines = draft.lines.get('oil')!
    draft.lines.set(
      'oil',
      lines.map((l) => (l === first ? { ...l, percent: round1(l.percent! + missing) } : l)),
    )
    const choice = draft.choices.find((c) => c.material.id === first.material)!
    choice.percent = round1(choice.percent + missing)
  }
  return true
}

/** Brings no stop of its own; what is missing still, such as a preservative, is no fault of it. */
const fits = (c: Candidate) => !c.brings.some((f) => f.severity === 'stop')
const usable = (bench: Bench, c: Candidate) => fits(c) && bench.allowed.includes(c.material)
const reasons = (c: Candidate) => [...c.reasonsFor, ...c.handling].slice(0, 3).join('; ')

/** The emulsifiers that this oil phase could have, one of each family first. */
function emulsifiersFor(bench: Bench, draft: Draft, oils: number): Candidate[] {
  const stand = draft.copy()
  addOils(bench, stand, oils, 0)
  const all = emulsifierCandidates(bench.assess(stand.formula()), bench.catalogue).filter(
    (c) => usable(bench, c) && !c.current,
  )
  const leaveIn = bench.brief.product.kind === 'leave-in'
  const suits = (c: Candidate) =>
    leaveIn ? familyOf(c.material) === 'cationic' : familyOf(c.material) !== 'cationic'
  const list = all.filter(suits)
  const taken = new Set<Family>()
  const firsts = list.filter((c) => {
    const family = familyOf(c.material)
    if (taken.has(family)) return false
    taken.add(family)
    return true
  })
  return [...firsts, ...list.filter((c) => !firsts.includes(c))]
}

function addEmulsion(
  bench: Bench,
  draft: Draft,
  emulsifier: Candidate,
  others: readonly Candidate[],
  turn: number,
): boolean {
  const { brief } = bench
  const target = OIL_PHASE_OF[brief.richness]
  const m = emulsifier.material
  const fatties = bench.find(['cetyl-alcohol', 'cetearyl-alcohol', 'behenyl-alcohol'])
  const fatty = familyOf(m) === 'polymer' || bench.wants('cold-process') ? 0 : FATTY_OF[brief.richness]
  const alcohol = fatty > 0 ? fatties[turn % Math.max(1, fatties.length)] : undefined
  const most = m.emulsifier?.maxOilPercent ?? (familyOf(m) === 'polymer' ? 20 : 100)
  const own = m.emulsifier?.role === 'polymeric' ? 0 : emulsifier.percent
  const oils = Math.min(most, target - own - (alcohol ? fatty : 0))
  if (oils < target - own - fatty - 0.5)
    draft.misses.push(`${m.name} holds ${sayNumber(most)} % of oils, so it is lighter than wished.`)
  if (!addOils(bench, draft, Number(oils.toFixed(1)), turn)) return false
  const role: Role = m.phase === 'oil' ? 'oil' : 'water'
  draft.add(role, m, emulsifier.percent)
  draft.say(
    'emulsifier',
    m,
    emulsifier.percent,
    [`${FAMILY_WORDS[familyOf(m)]}`, reasons(emulsifier)].filter(Boolean).join('; '),
    others.filter((c) => c.material !== m && fits(c)).map((c) => c.material),
  )
  if (alcohol) {
    draft.add('oil', alcohol, fatty)
    draft.say(
      'body',
      alcohol,
      fatty,
      `gives a ${brief.richness.replace('-', ' ')} its body as it cools`,
      fatties.filter((x) => x !== alcohol),
    )
  }
  return true
}

function addThickener(bench: Bench, draft: Draft, turn: number) {
  const a = bench.assess(draft.formula())
  const emulsion = a.emulsion !== null
  const has = a.lines.some((l) => l.material?.emulsifier?.role === 'polymeric')
  if (has || bench.brief.product.kind === 'toner' || bench.brief.richness === 'butter') return
  const list = thickenerCandidates(a, bench.catalogue).filter((c) => usable(bench, c) && !c.current)
  const pick = list[Math.min(turn, list.length - 1)]
  if (!pick) {
    draft.misses.push('No thickener that suits is allowed, so it stays thin.')
    return
  }
  const m = pick.material
  const percent = Number((pick.percent * (emulsion ? 0.5 : 1)).toFixed(2))
  const dose = Math.max(m.usage!.min, percent)
  const slurry = m.slurry !== undefined
  draft.add(slurry ? 'premix' : 'water', m, dose)
  draft.say(
    'thickener',
    m,
    dose,
    reasons(pick) || 'gives it body',
    list.filter((c) => c !== pick).map((c) => c.material),
  )
}

function addHumectants(bench: Bench, draft: Draft, turn: number) {
  const { brief } = bench
  const light = brief.absorption === 'fast' || brief.feel === 'dry'
  const order = light
    ? ['propanediol', 'butylene-glycol', 'glycerin', 'pentylene-glycol', 'betaine']
    : ['glycerin', 'propanediol', 'glyceryl-glucoside', 'sorbitol', 'betaine']
  const list = bench.find(order).filter((m) => !draft.has(m.id))
  const m = list[turn % Math.max(1, Math.min(2, list.length))]
  if (!m) {
    draft.misses.push('No humectant is allowed.')
    return
  }
  const percent = brief.product.kind === 'toner' ? 3 : (m.usage?.typical ?? 3)
  const slurry = (draft.lines.get('premix')?.length ?? 0) > 0
  draft.add(slurry ? 'premix' : 'water', m, percent)
  draft.say('humectant', m, percent, `holds water${m.feel?.includes('light') ? ' and does not stick' : ''}${slurry ? '; wets the gum first' : ''}`, list.filter((x) => x !== m)) // prettier-ignore
}

function addHelp(bench: Bench, draft: Draft, turn: number) {
  const { need } = bench.brief
  if (need === 'none') return
  const list = bench.find(HELPS[need]).filter((m) => !draft.has(m.id) && !bench.brief.actives.some((x) => x.material === m.id)) // prettier-ignore
  const ranked = rankIn(bench, draft, list, (m) => ({ role: roleFor(m, draft.hot), percent: m.usage?.typical ?? 1 }), (m) => 3 - HELPS[need].indexOf(m.id)).filter((r) => r.burden < 30) // prettier-ignore
  const take = bench.wants('low-budget') ? 1 : 2
  const chosen = ranked.slice(turn % 2, (turn % 2) + take)
  for (const r of chosen.length > 0 ? chosen : ranked.slice(0, take)) {
    draft.add(r.role, r.material, r.percent)
    draft.say('for the need', r.material, r.percent, `usual for ${NEED_WORDS[need]}`, ranked.map((x) => x.material).filter((m) => !draft.has(m.id))) // prettier-ignore
  }
  if (ranked.length === 0) draft.misses.push(`Nothing for ${NEED_WORDS[need]} is allowed here.`)
}

function addChelator(bench: Bench, draft: Draft) {
  const list = bench.find(['sodium-phytate', 'tetrasodium-glutamate-diacetate', 'disodium-edta', 'trisodium-ethylenediamine-disuccinate', 'sodium-gluconate']) // prettier-ignore
  const best = rankIn(bench, draft, list, (m) => ({ role: 'water', percent: m.usage?.typical ?? 0.2 }))[0]
  if (!best) return
  draft.add('water', best.material, best.percent)
  draft.say('chelator', best.material, best.percent, 'binds metals that spoil oils, colour and preservative', list.filter((m) => m !== best.material)) // prettier-ignore
}

function addAntioxidant(bench: Bench, draft: Draft) {
  const a = bench.assess(draft.formula())
  if (!a.lines.some((l) => l.material?.oxidation !== undefined && l.material.oxidation !== 'slow')) return
  const list = bench.find(['tocopherol', 'rosmarinus-officinalis-leaf-extract', 'bht'])
  const m = list.find((x) => !draft.has(x.id))
  if (!m) return
  const percent = m.id === 'tocopherol' ? 0.3 : (m.usage?.typical ?? 0.1)
  draft.add('cool-down', m, percent)
  draft.say(
    'antioxidant',
    m,
    percent,
    'keeps the oils from turning',
    list.filter((x) => x !== m),
  )
}

/** A pH that can be hit at home has at least this much room. */
const ROOM = 0.5
function roomWith(bench: Bench, draft: Draft, m: Material): number {
  const { shared } = bench.assess(draft.with('cool-down', m, m.usage!.typical).formula()).ph
  return shared ? shared.max - shared.min : 1
}

function addPreservative(bench: Bench, draft: Draft, turn: number): boolean {
  const list = bench.allowed.filter((m) => m.cover?.role === 'broad' && m.usage)
  const ranked = rankIn(
    bench,
    draft,
    list,
    (m) => ({ role: 'cool-down', percent: m.usage!.typical }),
    (m) =>
      (m.traits?.includes('formaldehyde-releaser') ? -20 : 0) +
      (m.origin === 'derived' ? 2 : 0) -
      (roomWith(bench, draft, m) < ROOM ? 40 : 0),
  )
  const good = ranked.filter(
    (r) => r.burden <= ranked[0]!.burden + 6 && roomWith(bench, draft, r.material) >= ROOM,
  )
  const best = good[turn % Math.max(1, Math.min(good.length, 3))] ?? ranked[0]
  if (!best) return false
  const window = best.material.ph
  draft.add('cool-down', best.material, best.percent)
  draft.say(
    'preservative',
    best.material,
    best.percent,
    window ? `broad cover at pH ${formatRange(window)}, which the product keeps` : 'broad cover',
    ranked.map((r) => r.material).filter((m) => m !== best.material),
  )
  return true
}

function finish(bench: Bench, draft: Draft, title: string): Proposal | null {
  const { brief } = bench
  for (const { material: id, percent } of brief.actives) {
    const m = bench.catalogue.find(id)!
    draft.choices.unshift({ part: 'wished for', material: m, percent, why: 'your wish', alternatives: [] })
  }
  let formula = draft.formula()
  let a = bench.assess(formula)
  // The target is what all of it shares, once everything is in.
  if (a.ph.shared) {
    formula = { ...formula, targetPh: targetIn(a.ph.shared) }
    a = bench.assess(formula)
  }
  const findings = findAll(a)
  if (findings.some((f) => f.severity === 'stop')) return null
  return {
    title,
    formula,
    choices: draft.choices,
    findings: findings.filter((f) => !isCaution(f)),
    misses: draft.misses,
  }
}

/**
 * Two or three different formulas for a brief, put together from the catalogue: each part is tried in the formula as
 * it stands and the whole is judged again, so none has a stop. They differ in what holds them together, in their
 * oils and in what stands beside. Where it cannot be done, says why and what to change.
 */
export function propose(brief: Brief, catalogue: Catalogue, context: BriefContext): Proposals {
  const bench = new Bench(brief, catalogue, context)
  const emulsion = EMULSIONS.has(brief.product.kind) && !bench.wants('no-oil')
  const start = startOf(bench, emulsion)
  const faults = faultsOf(bench, start)
  if (faults.length > 0) return { status: 'impossible', why: faults }
  start.targetPh = targetIn(bench.assess(start.formula()).ph.shared)

  const proposals: Proposal[] = []
  const why = new Set<string>()
  const build = (
    turn: number,
    emulsifier: Candidate | null,
    others: readonly Candidate[],
  ): Proposal | null => {
    const draft = start.copy()
    if (emulsifier && !addEmulsion(bench, draft, emulsifier, others, turn)) {
      why.add('No oil that suits is allowed: let a constraint go, or put oils on the shelf.')
      return null
    }
    addThickener(bench, draft, turn)
    addHumectants(bench, draft, turn)
    addHelp(bench, draft, turn)
    addChelator(bench, draft)
    addAntioxidant(bench, draft)
    if (!addPreservative(bench, draft, turn)) {
      why.add(
        'No preservative that covers bacteria, yeast and mould is allowed: let a constraint go, or put one on the shelf.',
      )
      return null
    }
    const words = emulsifier ? FAMILY_WORDS[familyOf(emulsifier.material)] : titleOf(draft)
    const made = finish(bench, draft, words.charAt(0).toUpperCase() + words.slice(1))
    if (!made) {
      const stop = findAll(bench.assess(draft.formula())).find((f) => f.severity === 'stop')
      why.add(stop ? stop.message : 'Every try came to a stop.')
    }
    return made
  }

  if (emulsion) {
    const oils = OIL_PHASE_OF[brief.richness] - FATTY_OF[brief.richness] - 3
    const candidates = emulsifiersFor(bench, start, oils)
    if (candidates.length === 0)
      return {
        status: 'impossible',
        why: [
          'No emulsifier that suits is allowed: let a constraint go, put one on the shelf, or choose a gel or serum.',
        ],
      }
    for (const c of candidates) {
      if (proposals.length === 3) break
      const made = build(proposals.length, c, candidates)
      if (made) proposals.push(made)
    }
  } else {
    for (let turn = 0; turn < 5 && proposals.length < 3; turn++) {
      const made = build(turn, null, [])
      if (made && !proposals.some((p) => sameParts(p.formula, made.formula))) proposals.push(made)
    }
  }
  if (proposals.length > 0) return { status: 'done', proposals: named(proposals) }
  return { status: 'impossible', why: why.size > 0 ? [...why] : ['Nothing that suits is allowed.'] }
}

const titleOf = (draft: Draft) => {
  const thickener = draft.choices.find((c) => c.part === 'thickener')
  const humectant = draft.choices.find((c) => c.part === 'humectant')
  const parts = [thickener, humectant].flatMap((c) => (c ? [c.material.name] : []))
  return parts.length > 0 ? `with ${listWords(parts)}` : 'plain and clear'
}

const partsOf = (f: Formula) =>
  f.phases
    .flatMap((p) => p.lines.map((l) => l.material))
    .sort()
    .join('|')
const sameParts = (a: Formula, b: Formula) => partsOf(a) === partsOf(b)

/** Two of the same family are told apart by what holds them. */
function named(proposals: readonly Proposal[]): Proposal[] {
  return proposals.map((p) => {
    if (proposals.filter((q) => q.title === p.title).length === 1) return p
    const holds = p.choices.find((c) => c.part === 'emulsifier' || c.part === 'thickener')
    return holds ? { ...p, title: `${p.title}: ${holds.material.name} ${sayPercent(holds.percent)}` } : p
  })
}
