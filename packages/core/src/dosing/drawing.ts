import type { Assessment } from '../assess/types.ts'
import type { Formula } from '../shapes/formula.ts'
import { modelBefore, spanOf, type CurveRequest } from './curve.ts'
import { dosesOf, firstReading } from './fit.ts'
import { diluted, phOfModel, withDoses, type PhModel } from './model.ts'

/** Round steps that cover `end`: their size and number, between 4 and 8. */
export function axisSteps(end: number): { step: number; count: number } {
  const size = 10 ** Math.floor(Math.log10(end / 8))
  const step = size * [1, 2, 5, 10].find((m) => (m * size * 8) / end > 0.999999)!
  return { step, count: Math.max(1, Math.ceil(end / step - 1e-9)) }
}

/** The adjuster in hand at its strength, percent of its solution. */
export interface InHand {
  key: string
  strengthPercent: number
}

/** Of the adjuster in hand, at its strength now, in the batch already: percent of the product. */
export const takenOf = (formula: Formula, { key, strengthPercent }: InHand, until?: number): number =>
  dosesOf(formula, until)
    .filter((d) => d.key === key)
    .reduce((sum, d) => sum + (d.percent * d.strengthPercent) / strengthPercent, 0)

/** The curve of an adjuster, over a span whose grams end on a round figure so that the axis counts in round steps. */
export function curveToDraw(
  formula: Formula,
  model: PhModel,
  hand: InHand,
  aim: number | null,
  batchGrams: number,
): CurveRequest {
  const before = modelBefore(model, dosesOf(formula), hand.key)
  const span = spanOf(before, hand.key, hand.strengthPercent, aim, takenOf(formula, hand))
  const { step, count } = axisSteps((span * batchGrams) / 100)
  return {
    model: before,
    adjuster: hand.key,
    strengthPercent: hand.strengthPercent,
    maxPercent: (100 * step * count) / batchGrams,
  }
}

/** Readings as points of the curve: those that tell of the formula with all that other adjusters added. */
export function readingsOnCurve(
  formula: Formula,
  model: PhModel,
  hand: InHand,
  batchGrams: number,
): { grams: number; ph: number }[] {
  const other = (until?: number) => dosesOf(formula, until).filter((d) => d.key !== hand.key).length
  const first = firstReading(formula)
  return (formula.readings ?? []).flatMap((reading, i) => {
    if (i < first || other(i + 1) !== other()) return []
    const at = withDoses(model, dosesOf(formula, i + 1))
    const dilution = reading.method === 'meter-10pct' ? phOfModel(diluted(at)).ph - phOfModel(at).ph : 0
    return [{ grams: (takenOf(formula, hand, i + 1) * batchGrams) / 100, ph: reading.ph - dilution }]
  })
}

/** So far beyond the target the curve is still of interest, pH. */
const BEYOND = 1.2
/** The pH that a drawing of a curve shows: the start, the target with what lies beyond it, and every reading. */
export function frameOf(
  ph: readonly number[],
  target: { min: number; max: number } | null,
  readings: readonly number[],
): { low: number; high: number; ticks: number } {
  const start = ph[0]!
  const last = ph.at(-1)!
  const end = !target
    ? last
    : last > start
      ? Math.min(last, Math.max(target.max, start) + BEYOND)
      : Math.max(last, Math.min(target.min, start) - BEYOND)
  const seen = [start, end, ...readings, ...(target ? [target.min, target.max] : [])]
  const [least, most] = [Math.min(...seen) - 0.25, Math.max(...seen) + 0.25]
  const step = most - least <= 4.5 ? 0.5 : most - least <= 9 ? 1 : 2
  const low = Math.max(0, Math.floor(least / step) * step)
  const high = Math.min(14, Math.ceil(most / step) * step)
  return { low, high, ticks: Math.round((high - low) / step) }
}

type Held = Assessment['ph']['items'][number]
/** What lets go first below and above: of the materials with a window in which they work or hold. */
export function lettingGo(items: readonly Held[]): { low: Held | null; high: Held | null } {
  const holds = items.filter((item) => item.grade === 'holds')
  return {
    low: holds.reduce<Held | null>((x, y) => (!x || y.min > x.min ? y : x), null),
    high: holds.reduce<Held | null>((x, y) => (!x || y.max < x.max ? y : x), null),
  }
}
