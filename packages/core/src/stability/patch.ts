import type { PatchTest } from './history.ts'

/** Ways to put a patch test on, and when to look: hours after it (common practice). */
export const PATCH_WAYS = {
  once: {
    label: 'Once, on the inner forearm',
    how: '0.05–0.1 g on a circle of 5 cm; the same without the active, or nothing, on the other arm. No plaster over it.',
    hours: [0.5, 24, 48, 72],
  },
  week: {
    label: 'Twice a day for a week',
    how: 'Always the same place on the forearm, morning and evening; look each day, and two days after the last.',
    hours: [24, 48, 72, 96, 120, 144, 168, 216],
  },
  small: {
    label: 'A small place on the face',
    how: 'Behind the ear or at the jaw, once a day for three days, before it goes anywhere else.',
    hours: [24, 48, 72],
  },
} as const

/** Who must not be tested, and with what. */
export const PATCH_NOT_FOR =
  'Not on broken, sunburnt or treated skin, not for a child, not after a known allergy to something in it, never under a plaster, never an undiluted essential oil or an acid that peels.'

export const PATCH_WORDS = [
  'nothing',
  'faint redness or itch',
  'clear redness or bumps',
  'with swelling',
  'blisters, or it spreads',
] as const

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
