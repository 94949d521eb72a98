import type { RoughUnit } from '../text/units.ts'
import type { Plain, Said } from '../text/said.ts'

/** How an amount came about, and what is doubtful. */
export interface RemarkFacts {
  'up-to': { most: number }
  range: { min: number; max: number }
  rough: { unit: RoughUnit }
  /** A spoon of a solid holds air; `density` is that of the heap, usual where it is not known. */
  heaped: { millilitres: number; grams: number; density: number; usual: boolean }
  /** Its own density, or that of what it counts as. */
  volume: { millilitres: number; grams: number; density: number; as: 'water' | 'oil' | null }
  'bare-as-grams': Plain
  'bare-as-percents': Plain
  'bare-sum': { sum: number }
  parts: { sum: number }
  'grams-of-batch': { grams: number; batchGrams: number; percent: number }
  'water-fills': Plain
  'fills-already': Plain
  masses: { grams: number; open: boolean }
  mixed: { grams: number; restPercent: number; batchGrams: number }
  'as-strength': { percent: number }
  disagree: { percent: number; grams: number; batchGrams: number }
  'no-phases': Plain
  'two-percents': Plain
  'amount-and-fill': Plain
  unreadable: { text: string }
}
export type Remark = Said<RemarkFacts>

/** What is missing before the recipe is a formula. */
export interface QuestionFacts {
  batch: Plain
  material: { name: string }
  spoon: { name: string; percent: number }
  amount: { name: string }
  /** Percent that is missing to 100; negative where it is too much. */
  gap: { percent: number }
}
