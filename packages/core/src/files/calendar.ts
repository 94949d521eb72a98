import * as texts from '#words/observations'
import { uncapitalise } from '../text/format.ts'
import { addDays, format, parseISO } from 'date-fns'
import { createEvents, type EventAttributes } from 'ics'
import { WATCH } from '../batch/watch-data.ts'
import type { Watch } from '../stability/watch.ts'

/** A batch whose looks go into a calendar. */
export interface Watched {
  id: string
  code: string
  name: string
  watch: Watch
}

const dayOf = (on: string): [number, number, number] => {
  const [y, m, d] = on.split('-').map(Number) as [number, number, number]
  return [y, m, d]
}

/**
 * Looks that are still to be made as a calendar file (RFC 5545): whole days, each under an id that stays, so that taking
 * the file in again changes what is there and adds nothing twice.
 */
export function calendarOf(batches: readonly Watched[]): string {
  const events = batches.flatMap((b) =>
    b.watch.open.map((look): EventAttributes => ({
      uid: `${b.id}-${look.sample}-${look.day}@omblet`,
      start: dayOf(look.on),
      // a whole day ends where the next begins
      end: dayOf(format(addDays(parseISO(look.on), 1), 'yyyy-MM-dd')),
      title: texts.calendarEntry(b.name, b.code, uncapitalise(WATCH.storages[look.storage].label)),
      description: look.properties.map((p) => WATCH.properties[p].label).join(', '),
      calName: texts.CALENDAR_NAME,
      productId: 'omblet',
      busyStatus: 'FREE',
    })),
  )
  const { error, value } = createEvents(events)
  if (error || typeof value !== 'string') throw error ?? new Error(String(error))
  return value
}
