import { parseCsv } from '../text/csv.ts'
import { amountsIn, bareAmount, fillIn } from './amounts.ts'

/** A heading of a column, or null where it means nothing here. */
export function columnOf(cell: string): keyof Columns | null {
  const c = cell.trim().toLowerCase().replace(/[*_]/g, '')
  if (/^(?:phase|part|ph\.?)$/.test(c)) return 'phase'
  if (
    /^(?:ingredients?|materials?|raw materials?|names?|components?|substances?|common names?|what)$/.test(c)
  )
    return 'name'
  if (/^inci(?: names?)?$/.test(c)) return 'inci'
  if (/%|percent|w\/w/.test(c)) return 'percent'
  if (/^(?:g|gr|grams?|weight|mass)\b|\((?:g|grams?)\)|^\d+\s*(?:g|grams)\b|^per batch/.test(c))
    return 'grams'
  if (/^(?:amounts?|quantit(?:y|ies)|qty|doses?|how much|parts?)$/.test(c)) return 'amount'
  if (/^(?:functions?|notes?|comments?|remarks?|roles?|purpose|why)$/.test(c)) return 'note'
  return null
}
export type Columns = Partial<
  Record<'phase' | 'name' | 'inci' | 'percent' | 'grams' | 'amount' | 'note', number>
>

export function columnsOf(cells: readonly string[]): Columns | null {
  const columns: Columns = {}
  cells.forEach((cell, i) => {
    const column = columnOf(cell)
    if (column && columns[column] === undefined) columns[column] = i
  })
  const named = columns.name !== undefined || columns.inci !== undefined
  const measured =
    columns.percent !== undefined || columns.grams !== undefined || columns.amount !== undefined
  return named && measured ? columns : null
}

/** The cells of a line as a table would have them; one cell where it is plain words. */
export function cellsOf(line: string, delimiter: string | null): string[] {
  if (delimiter !== null) return parseCsvLine(line, delimiter)
  if (line.includes('\t')) return line.split('\t')
  if (/\|/.test(line)) return line.replace(/^\s*\||\|\s*$/g, '').split('|')
  return line.split(/\s{2,}|\s*(?:\.{3,}|…+|_{3,})\s*/)
}
export const parseCsvLine = (line: string, delimiter: string) =>
  delimiter === ',' || delimiter === ';'
    ? (parseCsv(`${line}${delimiter}`)[0] ?? [line]).map(String)
    : line.split(delimiter)

/** Delimiter of a CSV text, told by a row of known headings; null for plain text. */
export function delimiterOf(lines: readonly string[]): string | null {
  for (const line of lines.slice(0, 12))
    for (const delimiter of [',', ';'])
      if (line.includes(delimiter) && columnsOf(parseCsvLine(line, delimiter))) return delimiter
  return null
}

/** Whether a cell holds an amount and nothing else. */
export function isAmount(cell: string): boolean {
  if (bareAmount(cell)) return true
  const spans = [fillIn(cell), ...amountsIn(cell)].filter((f) => f !== null)
  return spans.some((f) => !/[\p{L}\p{N}]/u.test(cell.slice(0, f.start) + cell.slice(f.end)))
}
