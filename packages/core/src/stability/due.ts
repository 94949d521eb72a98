import { addDays, differenceInCalendarDays, format, parseISO } from 'date-fns'
import type { Property } from '../shapes/stability.ts'
import { isOver, type History } from './history.ts'

/** A look that waits: of which sample, when it was meant, and what is still to be seen. */
export interface OpenLook {
  sample: string
  day: number
  /** Calendar day on which it is due, as 2026-05-01, where the batch was filled and is looked at. */
  on: string
  properties: Property[]
}

/** Calendar day, so many days after filling: days are counted by the calendar, so that an hour more or less moves none. */
export const dueOn = (filledAt: string, day: number) => format(addDays(parseISO(filledAt), day), 'yyyy-MM-dd')

/** Looks that are still to be made, the earliest first; one that was missed is over as soon as a later one was made. */
export function openObservations(h: History): OpenLook[] {
  const { filledAt } = h
  if (filledAt === null) return []
  const reached = new Map<string, number>()
  for (const look of h.looks)
    if (look.passed || look.answered.length > 0)
      reached.set(look.sample, Math.max(look.day, reached.get(look.sample) ?? 0))
  return h.looks
    .filter((look) => !isOver(look) && look.day >= (reached.get(look.sample) ?? 0))
    .map((look) => ({
      sample: look.sample,
      day: look.day,
      on: dueOn(filledAt, look.day),
      properties: look.properties.filter((p) => !look.answered.includes(p)),
    }))
    .sort((x, y) => x.day - y.day)
}

/** Days from today until a day: negative for one that is over. */
export const daysUntil = (on: string, now: Date) => differenceInCalendarDays(parseISO(on), now)

/**
 * Of open looks those that are due: of each sample the last whose day has come, for an earlier one that was missed cannot
 * be made any more.
 */
export function dueObservations<T extends OpenLook>(looks: readonly T[], now: Date): T[] {
  const last = new Map<string, T>()
  // days as texts are compared as they stand: hundreds of batches have thousands of looks
  const today = format(now, 'yyyy-MM-dd')
  for (const look of looks) if (look.on <= today) last.set(look.sample, look)
  return [...last.values()].sort((x, y) => x.on.localeCompare(y.on))
}

/**
 * Looks that are asked for on this day: what is due; else what comes first within a day. A list that was made in another
 * time zone, where it was the next day already, leads here too.
 */
export function observationsToday<T extends OpenLook>(looks: readonly T[], now: Date): T[] {
  const due = dueObservations(looks, now)
  if (due.length > 0) return due
  const first = looks.map((l) => l.on).sort()[0]
  return first !== undefined && daysUntil(first, now) <= 1 ? looks.filter((l) => l.on === first) : []
}
