import { DAYS_PER_MONTH } from '../../shapes/conventions.ts'
import type { PATCH_WAYS } from '../../stability/patch.ts'

/** `1 day`, `3 days`, `8 weeks`, `7 months`: how old a batch is when it is spoken of. */
export function sayAge(days: number): string {
  const d = Math.max(0, Math.floor(days))
  if (d === 0) return 'today'
  if (d < 14) return d === 1 ? '1 day' : d === 7 ? '1 week' : `${d} days`
  if (d < 120) return `${Math.round(d / 7)} weeks`
  return `${Math.round(d / DAYS_PER_MONTH)} months`
}

/** Ways to put a patch test on. */
export const patchWays: Record<keyof typeof PATCH_WAYS, { label: string; how: string }> = {
  once: {
    label: 'Once, on the inner forearm',
    how: '0.05–0.1 g on a circle of 5 cm; the same without the active, or nothing, on the other arm. No plaster over it.',
  },
  week: {
    label: 'Twice a day for a week',
    how: 'Always the same place on the forearm, morning and evening; look each day, and two days after the last.',
  },
  small: {
    label: 'A small place on the face',
    how: 'Behind the ear or at the jaw, once a day for three days, before it goes anywhere else.',
  },
}
/** Who must not be tested, and with what. */
export const PATCH_NOT_FOR =
  'Not on broken, sunburnt or treated skin, not for a child, not after a known allergy to something in it, never under a plaster, never an undiluted essential oil or an acid that peels.'
/** Grades of reaction, from 0. */
export const PATCH_REACTIONS = [
  'nothing',
  'faint redness or itch',
  'clear redness or bumps',
  'with swelling',
  'blisters, or it spreads',
] as const

/** An observation in a calendar. */
export const calendarEntry = (name: string, code: string, where: string) =>
  `Observe ${name}, ${code}: ${where}`
export const CALENDAR_NAME = 'Omblet: looks'
