import { getDaysInMonth, isValid, parseISO } from 'date-fns'

/** Whether `2026-02-29` is a day of the calendar. */
export const isRealDay = (text: string) => /^\d{4}-\d{2}-\d{2}$/.test(text) && isValid(parseISO(text))

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec']
const pad = (n: number) => String(n).padStart(2, '0')
const lastOf = (year: number, month: number) => getDaysInMonth(parseISO(`${year}-${pad(month)}-01`))
const monthOf = (word: string) => MONTHS.indexOf(word.slice(0, 3).toLowerCase()) + 1

export type ReadDay =
  { day: string; said?: string } | { error: 'no-day' | 'two-days' | 'month-first' | 'not-real' }

/**
 * A day as people write it, as `2029-01-31`: `2029-01-05`, `5.1.2029`, `5 Jan 2029`, `Jan 5, 2029`; a month alone
 * (`01/2029`, `2029-01`, `Jan 2029`) is its last day where something `ends`, else its first. With strokes the order of
 * day and month differs from land to land, so only what can be read in one way is taken.
 */
export function readDayText(input: string, ends = true): ReadDay {
  const text = input.trim()
  const of = (year: number, month: number, day: number): ReadDay => {
    const iso = `${year}-${pad(month)}-${pad(day)}`
    return isRealDay(iso) ? { day: iso, ...(iso === text ? {} : { said: iso }) } : { error: 'not-real' }
  }
  const ofMonth = (year: number, month: number): ReadDay =>
    month >= 1 && month <= 12 ? of(year, month, ends ? lastOf(year, month) : 1) : { error: 'not-real' }
  const numbers = (match: RegExpExecArray) => match.slice(1).map(Number) as [number, number, number]

  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(text)
  if (iso) return of(...numbers(iso))
  const dots = /^(\d{1,2})\.\s?(\d{1,2})\.\s?(\d{4})$/.exec(text)
  if (dots) return of(Number(dots[3]), Number(dots[2]), Number(dots[1]))
  const strokes = /^(\d{1,2})[/-](\d{1,2})[/-](\d{4})$/.exec(text)
  if (strokes) {
    const [first, second, year] = numbers(strokes)
    if (first <= 12 && second <= 12 && first !== second) return { error: 'two-days' }
    if (second > 12 && first <= 12) return { error: 'month-first' }
    return of(year, second, first)
  }
  const yearFirst = /^(\d{4})[-/.](\d{1,2})$/.exec(text)
  if (yearFirst) return ofMonth(Number(yearFirst[1]), Number(yearFirst[2]))
  const monthFirst = /^(\d{1,2})[-/.](\d{4})$/.exec(text)
  if (monthFirst) return ofMonth(Number(monthFirst[2]), Number(monthFirst[1]))
  const dayWord = /^(\d{1,2})(?:st|nd|rd|th)?\.?\s+([a-z]{3,9})\.?,?\s+(\d{4})$/i.exec(text)
  if (dayWord && monthOf(dayWord[2]!)) return of(Number(dayWord[3]), monthOf(dayWord[2]!), Number(dayWord[1]))
  const wordDay = /^([a-z]{3,9})\.?\s+(\d{1,2})(?:st|nd|rd|th)?,?\s+(\d{4})$/i.exec(text)
  if (wordDay && monthOf(wordDay[1]!)) return of(Number(wordDay[3]), monthOf(wordDay[1]!), Number(wordDay[2]))
  const month = /^([a-z]{3,9})\.?,?\s+(\d{4})$/i.exec(text)
  if (month && monthOf(month[1]!)) return ofMonth(Number(month[2]), monthOf(month[1]!))
  return { error: 'no-day' }
}
