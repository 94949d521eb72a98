import Papa from 'papaparse'
import { harmlessRows } from './cells.ts'

/** Rows of a CSV text, whatever its delimiter; empty rows are left out. */
export const parseCsv = (text: string): string[][] =>
  Papa.parse<string[]>(text.replace(/^\ufeff/, ''), { skipEmptyLines: 'greedy' }).data

/** A CSV text with commas, quotes where needed, and no cell that a spreadsheet would run. */
export const writeCsv = (rows: readonly (readonly (string | number | undefined)[])[]): string =>
  Papa.unparse(harmlessRows(rows), { newline: '\r\n' }) + '\r\n'
