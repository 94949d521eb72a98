import { atResolution } from '../weighing/error.ts'
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

/** Why no weight can be recorded now, and what to do; `net` as `netOf` tells it. */
export function whyNoWeight(shown: Shown | null, net: number | null, resolution: number): string {
  if (!shown) return 'Type what the scale shows, in grams.'
  if (net === null) return 'Put the beaker on the scale and press tare first.'
  if (net < -2 * resolution)
    return 'The scale shows less than at the last tare. Was it tared or unloaded? Press tare, then pour.'
  return shown.steady ? 'Nothing was poured since the last tare.' : 'Nothing can be read yet.'
}
