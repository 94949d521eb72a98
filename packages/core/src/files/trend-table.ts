import { trendTable as texts } from '#words/files'
import type { Point } from '../stats/trend.ts'
import { cellText } from '../text/cells.ts'
import { parseCsv } from '../text/csv.ts'
import { slug } from '../text/names.ts'

/** A number as a table writes it, with a dot or a comma, and a sign; not a number otherwise. */
const numberOf = (text: string) =>
  /^[+-]?(\d+([.,]\d*)?|[.,]\d+)(e[+-]?\d+)?$/i.test(text) ? Number(text.replace(',', '.')) : Number.NaN

/** Readings from a table with the columns `day` and `value`; a sentence with its row where one is no number. */
export function readReadings(text: string): { points: Point[] } | { error: string } {
  const [head = [], ...rows] = parseCsv(text, true)
  const names = head.map(slug)
  const day = names.indexOf('day')
  const value = names.indexOf('value')
  if (day < 0 || value < 0) return { error: texts.theTableNeedsTheColumns }
  const points: Point[] = []
  for (const [i, row] of rows.entries()) {
    if (row.every((c) => c.trim() === '')) continue
    const cell = (at: number) =>
      cellText(row[at])
        .replace(/\u2212/g, '-')
        .trim()
    const point = { day: numberOf(cell(day)), value: numberOf(cell(value)) }
    for (const key of ['day', 'value'] as const)
      if (!Number.isFinite(point[key]))
        return {
          error: texts.rowIsWhichIsNo(i + 2, key, cell(key === 'day' ? day : value)),
        }
    points.push(point)
  }
  return points.length > 0 ? { points } : { error: texts.theTableHasNoReading }
}
