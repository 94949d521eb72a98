import { adjusterAsWeighed } from '../dosing/log.ts'
import type { WeighedName } from '../lines/weighed.ts'
import type { Assessment } from '../assess/types.ts'
import { madeGrams } from '../bench/record.ts'
import { lotUse } from '../bench/refuse.ts'
import type { BatchState } from '../bench/types.ts'
import { lotPrice, lotsToUse, pricePerGram, freshnessOf, type Lot } from '../materials/lots.ts'

/** Price of a gram by material; null where none is known. */
export type PriceOf = (material: string) => number | null

/** Grams of one material that are paid for, and from where. */
export interface Portion {
  grams: number
  /** Of a gram; null where no price is known. */
  price: number | null
  lot: string | null
}

export interface CostLine {
  /** Index into the lines of the assessment; null for what was added beside them. */
  index: number | null
  material: string
  label: WeighedName
  phase: number | null
  grams: number
  /** Of what has a price; null where nothing of it has. */
  cost: number | null
  unpricedGrams: number
  lots: readonly string[]
}

/** What is paid beside the materials; money in the maker's own currency. */
export interface Extras {
  /** One container with its label, and how many are filled. */
  perContainer?: number | null
  containers?: number
  hours?: number | null
  rate?: number | null
  /** Grams that were made and stayed behind or were thrown away. */
  wasteGrams?: number
}

export interface Cost {
  lines: CostLine[]
  /** Materials; null where none of them has a price. */
  materials: number | null
  /** With containers and hours. */
  whole: number | null
  per100Grams: number | null
  perContainer: number | null
  /** Of the materials that are in what was thrown away or stayed behind; part of them, not beside them. */
  waste: number | null
  phases: { phase: number; cost: number | null }[]
  /** Materials (as the lines name them) without a price, and their share of the weight, percent. */
  unpriced: string[]
  unpricedPercent: number
}

const sum = (values: readonly (number | null)[]): number | null =>
  values.some((v) => v !== null) ? values.reduce<number>((t, v) => t + (v ?? 0), 0) : null

/**
 * Grams of a material from the lots of the shelf, the one that ends first before, none that is past its date; what they
 * do not hold is bought again at the newest price.
 */
export function fromShelf(lots: readonly Lot[], material: string, grams: number, today: string): Portion[] {
  const taken: Portion[] = []
  let left = grams
  const again = pricePerGram(lots, material)
  for (const lot of lotsToUse(
    lots.filter((l) => l.material === material && freshnessOf(l, today) !== 'past'),
    today,
  )) {
    if (left <= 1e-9) break
    const some = Math.min(left, lot.leftGrams)
    taken.push({ grams: some, price: lotPrice(lot), lot: lot.id })
    left -= some
  }
  if (left > 1e-9) taken.push({ grams: left, price: again, lot: null })
  return taken
}

function costLine(
  place: Pick<CostLine, 'index' | 'material' | 'label' | 'phase'>,
  portions: readonly Portion[],
): CostLine {
  const cost = sum(portions.map((p) => (p.price === null ? null : p.grams * p.price)))
  return {
    ...place,
    grams: portions.reduce((t, p) => t + p.grams, 0),
    cost,
    unpricedGrams: portions.reduce((t, p) => t + (p.price === null ? p.grams : 0), 0),
    lots: portions.flatMap((p) => (p.lot === null ? [] : [p.lot])),
  }
}

function summed(lines: CostLine[], grams: number, extras: Extras): Cost {
  const materials = sum(lines.map((l) => l.cost))
  const { perContainer = null, containers = 0, hours = null, rate = null, wasteGrams = 0 } = extras
  const whole = sum([
    materials,
    perContainer === null ? null : perContainer * containers,
    hours === null || rate === null ? null : hours * rate,
  ])
  const weight = lines.reduce((t, l) => t + l.grams, 0)
  const phases = [...new Set(lines.flatMap((l) => (l.phase === null ? [] : [l.phase])))]
  return {
    lines,
    materials,
    whole,
    per100Grams: materials === null || grams <= 0 ? null : (100 * materials) / grams,
    perContainer: whole === null || containers <= 0 ? null : whole / containers,
    waste: materials === null || grams <= 0 ? null : (materials * wasteGrams) / grams,
    phases: phases.map((phase) => ({
      phase,
      cost: sum(lines.filter((l) => l.phase === phase).map((l) => l.cost)),
    })),
    unpriced: [...new Set(lines.filter((l) => l.unpricedGrams > 0).map((l) => l.material))],
    unpricedPercent: weight > 0 ? (100 * lines.reduce((t, l) => t + l.unpricedGrams, 0)) / weight : 0,
  }
}

const place = (a: Assessment, index: number) => {
  const line = a.lines[index]!
  return { index, material: line.id, label: line.weighedAs, phase: line.phase }
}

/** What a formula's batch costs by a price for each material. */
export function costByPrices(a: Assessment, priceOf: PriceOf, extras: Extras = {}): Cost {
  const lines = a.lines.flatMap((line, i) =>
    line.grams > 0
      ? [costLine(place(a, i), [{ grams: line.grams, price: priceOf(line.id), lot: null }])]
      : [],
  )
  return summed(lines, a.amounts.batchGrams, extras)
}

/** What a formula's batch costs from the shelf: each lot is used up once, over all lines that want it. */
export function costFromShelf(a: Assessment, lots: readonly Lot[], today: string, extras: Extras = {}): Cost {
  const left = new Map(lots.map((l) => [l.id, l.leftGrams]))
  const lines = a.lines.flatMap((line, i) => {
    if (line.grams <= 0) return []
    const now = lots.map((l) => ({ ...l, leftGrams: left.get(l.id)! }))
    const portions = fromShelf(now, line.id, line.grams, today)
    for (const p of portions) if (p.lot !== null) left.set(p.lot, left.get(p.lot)! - p.grams)
    return [costLine(place(a, i), portions)]
  })
  return summed(lines, a.amounts.batchGrams, extras)
}

/**
 * What a batch cost: the lots that were taken, as they were weighed. What left or was thrown away is paid for too; 100 g
 * are of what was made.
 */
export function costOfBatch(s: BatchState, lots: readonly Lot[], extras: Extras = {}): Cost {
  const byId = new Map(lots.map((l) => [l.id, l]))
  const { a } = s.plan
  const portions = a.lines.map((): Portion[] => [])
  const beside = new Map<WeighedName, { material: string; portions: Portion[] }>()
  for (const e of s.events) {
    if (s.undone.has(e.n) || (e.type !== 'weigh' && e.type !== 'dose' && e.type !== 'dilution')) continue
    const use = lotUse(s.events, e)
    const lot = use ? byId.get(use.lot) : undefined
    const grams = e.type === 'dilution' ? e.soluteGrams : e.grams
    const material = lot?.material ?? (e.type === 'dose' ? e.material : a.lines[e.line]!.id)
    const portion = {
      grams,
      price: (lot ? lotPrice(lot) : null) ?? pricePerGram(lots, material),
      lot: lot?.id ?? null,
    }
    if (e.type === 'dose') {
      const name = adjusterAsWeighed(e, a.catalogue)
      const seen = beside.get(name)?.portions ?? []
      beside.set(name, { material: e.material, portions: [...seen, portion] })
    } else portions[e.line]!.push(portion)
  }
  const lines = [
    ...portions.flatMap((p, i) => (p.length > 0 ? [costLine(place(a, i), p)] : [])),
    ...[...beside].map(([label, of]) =>
      costLine({ index: null, material: of.material, label, phase: null }, of.portions),
    ),
  ]
  return summed(lines, madeGrams(s), { wasteGrams: s.wasted, ...extras })
}

/** What another material at its dose would change in the cost of a batch; null where one of both has no price. */
export function swapCost(
  a: Assessment,
  old: { id: string; grams: number },
  next: { id: string; percent: number },
  priceOf: PriceOf,
): number | null {
  const [before, after] = [priceOf(old.id), priceOf(next.id)]
  if (before === null || after === null) return null
  return (after * next.percent * a.amounts.batchGrams) / 100 - before * old.grams
}

/** The price of one piece at a margin, percent of the price; null for a margin that no price gives. */
export const priceAtMargin = (cost: number, marginPercent: number): number | null =>
  marginPercent >= 0 && marginPercent < 100 ? cost / (1 - marginPercent / 100) : null

/** Lines by what they cost, dearest first, with their share of what is priced, percent. */
export function costDrivers(cost: Cost): { line: CostLine; percent: number }[] {
  const whole = cost.materials ?? 0
  return cost.lines
    .filter((l) => (l.cost ?? 0) > 0)
    .sort((x, y) => y.cost! - x.cost!)
    .map((line) => ({ line, percent: (100 * line.cost!) / whole }))
}
