import { format, isValid, parseISO } from 'date-fns'

/** A day as it is stored, `2026-05-01`. */
export const isoDay = (date: Date) => format(date, 'yyyy-MM-dd')
/** The day of `2026-05-01` where one is; null where that is no day. */
export function readDay(text: string): Date | null {
  const date = parseISO(text)
  return text !== '' && isValid(date) ? date : null
}
