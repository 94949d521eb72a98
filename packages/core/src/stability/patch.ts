import type { PatchTest } from './history.ts'

/** Ways to put a patch test on, and when to look: hours after it (common practice). */
export const PATCH_WAYS = {
  once: {
    hours: [0.5, 24, 48, 72],
  },
  week: {
    hours: [24, 48, 72, 96, 120, 144, 168, 216],
  },
  small: {
    hours: [24, 48, 72],
  },
} as const

const STOP_FROM = 2
const LATE_HOURS = 48

/** What a patch test tells so far: no diagnosis, and where to stop. */
export type PatchVerdict =
  | { state: 'stop'; seeDoctor: boolean; grew: boolean }
  | { state: 'quiet' }
  | { state: 'open'; untilHours: number }

/** Grades of reaction from which a test is over, and from which a doctor should see it. */
const DOCTOR_FROM = 3

export function patchVerdict(test: PatchTest): PatchVerdict {
  const worst = (looks: PatchTest['looks']) => looks.reduce((w, l) => Math.max(w, l.grade), 0)
  if (worst(test.looks) >= STOP_FROM || test.looks.some((l) => l.itches)) {
    const late = test.looks.filter((l) => l.hours >= LATE_HOURS)
    const early = test.looks.filter((l) => l.hours < LATE_HOURS)
    return {
      state: 'stop',
      seeDoctor: worst(test.looks) >= DOCTOR_FROM,
      grew: late.length > 0 && early.length > 0 && worst(late) > worst(early),
    }
  }
  const last = PATCH_WAYS[test.way].hours.at(-1)!
  return test.looks.some((l) => l.hours >= last * 0.9)
    ? { state: 'quiet' }
    : { state: 'open', untilHours: last }
}
