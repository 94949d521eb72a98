import type { Symptom } from '../bench/looks.ts'
import type { Property } from '../shapes/keeping.ts'
import type { Trend } from '../stats/trend.ts'
import { sayNumber } from '../text/format.ts'
import type { Grade } from './data.ts'

/** Words that several verdicts share. */
export const signed = (value: number, places: number) =>
  `${value > 0 ? '+' : ''}${sayNumber(Number(value.toFixed(places)), places)}`
export const since = (age: number) => (age < 1 ? 'since filling' : `since day ${Math.round(age)}`)
export const AGAIN = 'Observe again within a week, with a second container and, if possible, a second method.'
export const THROW = 'Discard the whole batch, even if it looks fine. Do not scoop, reheat or re-preserve it.'
export const SYMPTOMS: Partial<Record<Property, Symptom>> = {
  layer: 'oil-later',
  crystals: 'crystals',
  grains: 'grainy',
  smell: 'smell',
  colour: 'colour',
}

/** What a series of one property tells, before it is told whose it is. */
export interface Told {
  grade: Grade
  first: string
  why: string
  next: string
  trend?: Trend | null
  /** Limits that it must not meet. */
  limits?: { low?: number; high?: number }
  /** Age from which on the drift is judged. */
  from?: number
  symptom?: Symptom
}
