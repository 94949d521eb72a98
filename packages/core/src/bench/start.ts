import type { Assessment } from '../assess/types.ts'
import { applyEdit } from '../formula/edit.ts'
import type { Formula } from '../shapes/formula.ts'
import { NOTE_PERCENT, smallestWeighable, weighingErrorPercent } from '../weighing/error.ts'
import { batchToWeigh } from './tolerance.ts'
import type { WeighedName } from '../lines/weighed.ts'

/** The formula of a batch of `grams`: amounts scaled, without what was read and added at the sheet before. */
export function formulaToMake(formula: Formula, grams: number): Formula {
  const { readings: _r, additions: _a, portion: _p, ...rest } = formula
  return applyEdit(rest, { type: 'scale-batch', batchGrams: grams })
}

/** A weighing that the scale tells badly: its grams, and the batch from which on it can be told (∞ for none). */
export interface SmallWeighing {
  label: WeighedName
  grams: number
  batch: number
}

export function smallWeighings(a: Assessment): SmallWeighing[] {
  const { resolutionGrams, repeatabilityGrams, batchGrams } = a.amounts
  return a.lines
    .filter(
      (l) =>
        !l.fill &&
        l.grams > 0 &&
        weighingErrorPercent(l.grams, resolutionGrams, repeatabilityGrams) > NOTE_PERCENT,
    )
    .map((l) => ({
      label: l.weighedAs,
      grams: l.grams,
      batch: batchToWeigh(batchGrams, l.grams, resolutionGrams, repeatabilityGrams),
    }))
}

/** A batch is made larger for one weighing up to so many times. */
const LARGEST = 10
/** The whole grams of a batch in which `target` grams of it are weighed well; null where that is now, or far off. */
export function largerBatch(
  a: Assessment,
  total: number,
  target: number,
): { total: number; factor: number } | null {
  const least = smallestWeighable(a.amounts.resolutionGrams, NOTE_PERCENT, a.amounts.repeatabilityGrams)
  const factor = least / Math.max(1e-9, target)
  const grams = Math.ceil(total * factor)
  return factor > 1 && factor <= LARGEST ? { total: grams, factor: grams / total } : null
}
