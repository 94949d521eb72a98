import { days as texts } from '#words/browser'
import { differenceInCalendarDays, format } from 'date-fns'

/** This day where one is, as `2026-06-01`. */
export const localDay = (now = new Date()) => format(now, 'yyyy-MM-dd')

export const BACKUP_DAYS = 7

/**
 * How old the last backup is, by the days of the place one is at, and whether the next is due. One from the future tells
 * of a clock that was wrong: how old it is cannot be said, so a new one is due.
 */
export function backupAge(last: string | null, now: Date): { words: string; due: boolean } {
  if (last === null) return { words: texts.noBackupYet, due: true }
  const days = differenceInCalendarDays(now, new Date(last))
  if (Number.isNaN(days)) return { words: texts.noBackupYet, due: true }
  if (days < 0) return { words: texts.theClockWasSetBack, due: true }
  const when = days === 0 ? texts.today : days === 1 ? texts.yesterday : texts.daysAgo(days)
  return { words: texts.lastBackup(when), due: days > BACKUP_DAYS }
}

/** How long ago, never in the future: a clock that was set back makes nothing younger than now. */
export const notAfter = (iso: string, now = Date.now()) => new Date(Math.min(Date.parse(iso), now))
