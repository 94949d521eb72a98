import type { Said } from '../text/said.ts'
import type { BoundFacts } from './said.ts'
import { inOilPhase, type Richness } from '../emulsion/emulsion.ts'
import type { Kind, Product } from '../shapes/formula.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import { limitsFor } from '../materials/legal.ts'
import { guessOf } from '../materials/guess.ts'
import { hasTrait, type MaterialKind } from '../shapes/material.ts'
import type { Program, Row, Solver, Variable } from '../solve/lp.ts'
import { substanceSources, type LabelList, type LabelName } from './list.ts'
import { kindHas } from '../shapes/kinds.ts'

export interface LabelRange {
  name: LabelName
  /** What can be, percent of the product, if every assumption holds. */
  least: number
  greatest: number
  /** A plausible amount within: a guess. */
  draft: number
  /** What bounds it from above besides order and sum. */
  bound: Said<BoundFacts>
}

export interface LabelRanges {
  ranges: LabelRange[]
  /** How many names may stand above the 1 % line, from the fewest to the most. */
  line: { fewest: number; most: number }
  /** Names above the 1 % line in the draft. */
  draftLine: number
}

/** What else is known of the product narrows what can be. */
export interface LabelContext {
  catalogue: Catalogue
  product: Product
  /** As the label or a strip says. */
  ph?: number
  texture?: Richness
  /** The figure that the label claims; it only asks for filters. */
  spf?: number
}

/** Below this share names may stand in any order (Regulation (EC) 1223/2009 Art. 19(1)(g); US 21 CFR 701.3(f)). */
const ANY_ORDER = 1
/** A label's amount may lie half again above what is usual: makers differ. */
const MAKERS_DIFFER = 1.5
/** What nobody lists: less than a thousandth of a percent. */
const LISTED = 0.001

/** Oil phase of each kind of product, percent: wide, common practice. */
const OIL_PHASE: Partial<Record<Kind, [number, number]>> = {
  toner: [0, 3],
  gel: [0, 10],
  lotion: [4, 32],
  cream: [8, 55],
  butter: [25, 85],
  'leave-in': [0.5, 30],
}
/** The same by how rich it feels. */
const OIL_BY_TEXTURE: Record<Richness, [number, number]> = {
  milk: [1, 14],
  lotion: [8, 24],
  cream: [16, 36],
  'rich-cream': [26, 50],
  butter: [36, 85],
}
/** Filters that a claimed figure asks for at least, all together, percent: rough, common practice. */
const FILTERS: readonly [spf: number, percent: number][] = [
  [50, 10],
  [30, 6],
  [15, 3],
]
const cap = (value: number) => Math.min(100, value)

interface Bounds {
  /** Under “may contain”: outside the order, at any amount or none. */
  maybe: boolean
  lower: number
  upper: number
  typical: number | null
  /** Put in for what it does: its usual dose, wherever it stands. */
  dosed: boolean
  bound: Said<BoundFacts>
}

/** A usual amount of what is known by its kind alone, percent (common practice). */
const BY_KIND: Partial<Record<MaterialKind, number>> = {
  extract: 1,
  powder: 1,
  'essential-oil': 0.2,
  fragrance: 0.3,
  protein: 1,
  colourant: 0.05,
  gum: 0.3,
  preservative: 0.5,
  emulsifier: 3,
  solubiliser: 1,
  cationic: 2,
  clay: 2,
}

function boundsOf(name: LabelName, context: LabelContext): Omit<Bounds, 'maybe'> {
  const lower = name.maybe ? 0 : LISTED
  if (name.declaredPercent !== null)
    return {
      lower: name.declaredPercent,
      upper: name.declaredPercent,
      typical: name.declaredPercent,
      dosed: true,
      bound: { code: 'declared' },
    }
  const sources = substanceSources(context.catalogue).get(name.key) ?? []
  const usual = sources.flatMap(({ material, share }) =>
    material.usage && material.kind !== 'water'
      ? [
          {
            max: (material.usage.max * share) / 100,
            typical: (material.usage.typical * share) / 100,
            direct: material.inci.length === 1,
          },
        ]
      : [],
  )
  // Where one source has no range, such as water, the others bound nothing.
  const free = sources.length === 0 || sources.some((s) => !s.material.usage || s.material.kind === 'water')
  const usualMax = free ? 100 : cap(Math.max(...usual.map((u) => u.max)) * MAKERS_DIFFER)
  const kind = (name.material ?? guessOf(name.text))?.kind
  const typical =
    (usual.find((u) => u.direct) ?? usual[0])?.typical ?? (kind ? (BY_KIND[kind] ?? null) : null)
  const dosed = kind !== undefined && kindHas(kind, 'by-effect')
  const caps = limitsFor(name.key, context.product).flatMap(({ limit, factors }) =>
    limit.kind === 'law' && !limit.from && limit.maxPercent > 0
      ? [{ max: limit.maxPercent / (factors.get(name.key) ?? 1), authority: limit.authority }]
      : [],
  )
  const strictest = caps.sort((x, y) => x.max - y.max)[0]
  if (strictest && strictest.max < usualMax)
    return {
      lower: Math.min(lower, strictest.max),
      upper: strictest.max,
      typical,
      dosed,
      bound: { code: 'limit', authority: strictest.authority },
    }
  return {
    lower: Math.min(lower, usualMax),
    upper: usualMax,
    typical,
    dosed,
    bound: { code: free ? 'unknown' : 'usual' },
  }
}

/** Rows that hold wherever the 1 % line is. */
function commonRows(list: LabelList, context: LabelContext): Row[] {
  const { names } = list
  const rows: Row[] = [{ terms: names.map((_, i) => [i, 1]), lower: 100, upper: 100 }]
  const oils = context.texture ? OIL_BY_TEXTURE[context.texture] : OIL_PHASE[context.product.kind]
  const sources = names.map((n) =>
    n.material ? [n.material] : (substanceSources(context.catalogue).get(n.key) ?? []).map((s) => s.material),
  )
  const oily = sources.flatMap((list, i) => (list.length > 0 && list.every(inOilPhase) ? [i] : []))
  // Names that are not known may be oils too, so only the upper end is sure then.
  const allKnown = sources.every(
    (list) => list.length > 0 && (list.every(inOilPhase) || !list.some(inOilPhase)),
  )
  if (oils && oily.length > 0)
    rows.push({ terms: oily.map((i) => [i, 1]), lower: allKnown ? oils[0] : 0, upper: oils[1] })
  const filters = names.flatMap((n, i) => (n.material && hasTrait(n.material, 'uv-filter') ? [i] : []))
  const asked = FILTERS.find(([spf]) => (context.spf ?? 0) >= spf)
  if (asked && filters.length > 0)
    rows.push({ terms: filters.map((i) => [i, 1]), lower: asked[1], upper: Infinity })
  const seen = new Set<string>()
  for (const name of names)
    for (const { limit, factors } of limitsFor(name.key, context.product)) {
      const id = `${limit.subject}|${limit.authority}`
      if (limit.kind !== 'law' || limit.from || limit.maxPercent === 0 || seen.has(id)) continue
      seen.add(id)
      const members = names.flatMap((n, i) => (factors.has(n.key) ? [[i, factors.get(n.key)!] as const] : []))
      if (members.length > 1) rows.push({ terms: members, lower: -Infinity, upper: limit.maxPercent })
    }
  return rows
}

/** The program with the first `line` names at 1 % or more, in falling order, and the others at 1 % or less. */
function programFor(bounds: readonly Bounds[], rows: readonly Row[], line: number): Program | null {
  const variables: Variable[] = bounds.map((b, i) =>
    b.maybe
      ? { lower: b.lower, upper: b.upper, cost: 0 }
      : i < line
        ? { lower: Math.max(b.lower, ANY_ORDER), upper: b.upper, cost: 0 }
        : { lower: b.lower, upper: Math.min(b.upper, ANY_ORDER), cost: 0 },
  )
  if (variables.some((v) => v.lower > v.upper + 1e-12)) return null
  const order: Row[] = []
  for (let i = 0; i + 1 < line; i++)
    order.push({
      terms: [
        [i, 1],
        [i + 1, -1],
      ],
      lower: 0,
      upper: Infinity,
    })
  return { variables, rows: [...rows, ...order] }
}

/** Amounts fade along a list: a fifth of the product, then seven tenths of that, and so on. A rule of thumb. */
const fade = (place: number) => 20 * 0.7 ** Math.max(0, place - 1)
/** After so many places of the 1 % line that fit worse and worse, no better one comes. */
const PATIENCE = 5

/** Nearest to what is typical and to how amounts fade, as shares of that. */
function draftOf(program: Program, bounds: readonly Bounds[], solver: Solver) {
  const n = program.variables.length
  const variables = [...program.variables]
  const rows = [...program.rows]
  bounds.forEach((b, i) => {
    // What leads the list, nearly always water, takes the rest.
    if (i === 0 && b.bound.code === 'unknown') return
    const typical = b.maybe
      ? 0
      : b.bound.code === 'declared'
        ? b.upper
        : Math.min(b.typical ?? b.upper, b.upper, b.dosed ? Infinity : fade(i))
    const away = variables.push({ lower: 0, upper: Infinity, cost: 1 / Math.max(0.1, typical) }) - 1
    rows.push({
      terms: [
        [i, 1],
        [away, -1],
      ],
      lower: -Infinity,
      upper: typical,
    })
    rows.push({
      terms: [
        [i, 1],
        [away, 1],
      ],
      lower: typical,
      upper: Infinity,
    })
  })
  const solution = solver.solve({ variables, rows })
  return solution.status === 'optimal'
    ? { values: solution.values.slice(0, n), away: solution.objective }
    : null
}

/**
 * What each ingredient of a label can be at most and at least, percent: falling order above the 1 % line, any order
 * below it, a sum of 100, declared percents, caps of law, up to half again the usual amount, and an oil phase that
 * suits the kind. The 1 % line is not printed, so every place of it is tried, and a range covers them all. Linear
 * programs. Null where nothing fits all of that.
 */
export function labelRanges(list: LabelList, context: LabelContext, solver: Solver): LabelRanges | null {
  const { names } = list
  const n = names.length
  if (n === 0) return null
  const bounds = names.map((name): Bounds => ({ ...boundsOf(name, context), maybe: name.maybe }))
  // They come last in the list.
  const ordered = names.filter((name) => !name.maybe).length
  const rows = commonRows(list, context)
  const least = bounds.map(() => Infinity)
  const greatest = bounds.map(() => -Infinity)
  let line = null as { fewest: number; most: number } | null
  let best = null as { values: number[]; away: number; line: number } | null
  let worse = 0
  for (let m = 1; m <= ordered; m++) {
    const program = programFor(bounds, rows, m)
    if (!program) continue
    // What could not widen a range is not asked.
    const ends = names.flatMap((_, i) => {
      const { lower, upper } = program.variables[i]!
      const most = bounds[i]!.maybe ? upper : Math.min(upper, i < m ? 100 / (i + 1) : 1)
      return [
        ...(least[i]! > lower + 1e-9 ? [{ variable: i, most: false }] : []),
        ...(greatest[i]! < most - 1e-9 ? [{ variable: i, most: true }] : []),
      ]
    })
    const found = solver.extremes(program, ends)
    if (!found) continue
    ends.forEach(({ variable, most }, k) => {
      if (most) greatest[variable] = Math.max(greatest[variable]!, found[k]!)
      else least[variable] = Math.min(least[variable]!, found[k]!)
    })
    line = { fewest: line?.fewest ?? m, most: m }
    if (worse >= PATIENCE) continue
    const draft = draftOf(program, bounds, solver)
    if (draft && (!best || draft.away < best.away - 1e-9)) {
      best = { ...draft, line: m }
      worse = 0
    } else worse++
  }
  if (!line || !best) return null
  const tidy = (value: number) => Number(value.toFixed(value < 0.1 ? 4 : value < 1 ? 3 : 2))
  return {
    line,
    draftLine: best.line,
    ranges: names.map((name, i) => ({
      name,
      least: Math.max(0, least[i]!),
      greatest: greatest[i]!,
      draft: tidy(best.values[i]!),
      bound: bounds[i]!.bound,
    })),
  }
}
