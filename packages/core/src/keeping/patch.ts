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

/** What a patch test says so far: no diagnosis, and where to stop. */
export function patchSays(test: PatchTest): { state: 'open' | 'stop' | 'quiet'; says: string } {
  const worst = test.looks.reduce((w, l) => Math.max(w, l.grade), 0)
  const itches = test.looks.some((l) => l.itches)
  if (worst >= STOP_FROM || itches) {
    const late = test.looks.filter((l) => l.hours >= LATE_HOURS)
    const early = test.looks.filter((l) => l.hours < LATE_HOURS)
    const grew =
      late.length > 0 &&
      early.length > 0 &&
      Math.max(...late.map((l) => l.grade)) > Math.max(...early.map((l) => l.grade))
    return {
      state: 'stop',
      says: `Stop, wash it off and do not use it${worst >= 3 ? '; see a doctor. Swelling of lips or eyes, or short breath: call for help at once' : ''}. ${
        grew
          ? 'It grew after two days, which a doctor should see.'
          : 'Should it grow or stay, a doctor decides what it is.'
      } Do not test it again.`,
    }
  }
  const last = PATCH_WAYS[test.way].hours.at(-1)!
  if (test.looks.some((l) => l.hours >= last * 0.9))
    return {
      state: 'quiet',
      says: 'Nothing to be seen to the end. That is no proof, and says nothing of other skins.',
    }
  return {
    state: 'open',
    says: `Observe again until ${last < 48 ? `${last} hours` : `${Math.round(last / 24)} days`} are over.`,
  }
}
