import { atResolution } from '../weighing/error.ts'
import type { Said } from '../text/said.ts'
import type { NoWeightFacts } from './said.ts'
import type { BatchState } from './types.ts'

/** What a scale shows: grams, and whether it rests. */
export interface Shown {
  value: number
  steady: boolean
}

/** Whether the scale still counts from nothing in this step: it was neither tared nor read here. */
export const isUntared = (s: Pick<BatchState, 'events'>, step: string): boolean =>
  !s.events.some(
    (e) => (e.type === 'tare' || (e.type === 'weigh' && e.gross !== undefined)) && e.step === step,
  )

/** Grams since the last tare, as the scale counts; null while it was not tared in this step. */
export function netOf(s: BatchState, step: string, shown: Shown | null): number | null {
  if (!shown || isUntared(s, step)) return null
  return atResolution(shown.value - s.zero, s.plan.a.amounts.resolutionGrams)
}

/** Why no weight can be recorded now; `net` as `netOf` tells it. */
export function whyNoWeight(
  shown: Shown | null,
  net: number | null,
  resolution: number,
): Said<NoWeightFacts> {
  if (!shown) return { code: 'no-scale' }
  if (net === null) return { code: 'not-tared' }
  if (net < -2 * resolution) return { code: 'less-than-tare' }
  return { code: shown.steady ? 'nothing-poured' : 'unsteady' }
}
