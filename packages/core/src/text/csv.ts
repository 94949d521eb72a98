import Papa from 'papaparse'
import { harmlessRows } from './cells.ts'

/** Rows of a CSV text, whatever its delimiter; empty rows are left out, unless they are wanted for counting. */
export function parseCsv(text: string, withEmpty = false): string[][] {
  const body = text.replace(/^\ufeff/, '')
  const read = Papa.parse<string[]>(body, { skipEmptyLines: 'greedy' })
  // empty rows would mislead the guess of the delimiter
  return withEmpty ? Papa.parse<string[]>(body, { delimiter: read.meta.delimiter }).data : read.data
}

/** A CSV text with commas, quotes where needed, and no cell that a spreadsheet would run. */
export const writeCsv = (rows: readonly (readonly (string | number | undefined)[])[]): string =>
  Papa.unparse(harmlessRows(rows), { newline: '\r\n' }) + '\r\n'
