import { atResolution } from '../weighing/error.ts'
import type { BatchState, LineState } from './types.ts'

/** Grams without the noise of sums. */
export const round = (grams: number) => Number(grams.toFixed(6))

/** Grams in the batch that were counted in no line of the formula. */
export const looseDoses = (s: Pick<BatchState, 'doses'>) =>
  s.doses.reduce((sum, d) => sum + (d.line === null ? d.grams : 0), 0)

/** What a line will have come to: what was weighed where that is settled, else its target. */
export const expectedOf = (l: LineState) => (l.over || l.weighed >= l.low ? l.weighed : l.target)

/** Lines that are in the batch now: weighed, and not waiting for the step that brings them in, nor left out with it. */
export function linesIn(s: BatchState, whenDone = false): Set<number> {
  const out = new Set(
    s.plan.steps.flatMap((step) => {
      const mark = s.marks.get(step.key)
      return mark?.how === 'done' || (!mark && whenDone) ? [] : step.joins
    }),
  )
  return new Set(s.lines.flatMap((l) => (l.weighed > 0 && !out.has(l.index) ? [l.index] : [])))
}

/** Mass of the batch as it should stand in its vessel now, grams. */
export function massOf(s: BatchState): number {
  const inside = linesIn(s)
  const lines = s.lines.reduce((sum, l) => sum + (inside.has(l.index) ? l.weighed : 0), 0)
  return round(Math.max(0, lines - s.evaporated + s.putBack + looseDoses(s) - s.sampled))
}

/** What was weighed into the vessel of a heating step, grams; null where that is not known. */
export function heldIn(s: BatchState, key: string | null): number | null {
  const step = s.plan.steps.find((x) => x.key === key)
  const sum = step ? step.holds.reduce((total, i) => total + s.lines[i]!.weighed, 0) : 0
  return sum > 0 ? round(sum) : null
}

/**
 * Water to add now so that the whole batch comes to its target: what left and was not put back, less what over-pours and
 * doses made too much. Grams at the scale's resolution.
 */
export function waterToAdd(s: BatchState): number {
  const coming = s.lines.reduce((sum, l) => sum + expectedOf(l), 0)
  const total = coming - s.evaporated + s.putBack + looseDoses(s)
  return Math.max(0, atResolution(s.totalTarget - total, s.plan.a.amounts.resolutionGrams))
}
