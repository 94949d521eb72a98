import type { Symptom } from '../bench/symptoms.ts'
import type { Property } from '../shapes/stability.ts'
import type { Trend } from '../stats/trend.ts'
import type { Said } from '../text/said.ts'
import type { VerdictFacts } from './verdict-facts.ts'
import type { Grade } from '../batch/watch-data.ts'

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
  told: Said<VerdictFacts>
  trend?: Trend | null
  /** Limits that it must not meet. */
  limits?: { low?: number; high?: number }
  /** Age from which on the drift is judged. */
  from?: number
  symptom?: Symptom
}
