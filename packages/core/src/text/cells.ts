/** A cell as it comes from a CSV file or a spreadsheet. */
export type Cell = string | number | boolean | Date | null | undefined

/** What a spreadsheet may take for a formula when it opens the file, behind blanks and line breaks too. */
const FORMULA = /^'*(?:[\t\r]|\s*[=+\-@＝＋－＠])/
const MARKED = /^'+(?:[\t\r]|\s*[=+\-@＝＋－＠])/

/** Text that no spreadsheet runs: what looks like a formula gets an apostrophe before it. */
export const harmless = (text: string) => (FORMULA.test(text) ? `'${text}` : text)
/** Takes back what `harmless` did. */
export const fromHarmless = (text: string) => (MARKED.test(text) ? text.slice(1) : text)

/** A cell as text: days as `2026-05-01`, nothing as an empty text. */
export function cellText(cell: Cell): string {
  if (cell === null || cell === undefined) return ''
  if (typeof cell === 'object') return Number.isNaN(cell.getTime()) ? '' : cell.toISOString().slice(0, 10)
  return typeof cell === 'string' ? fromHarmless(cell) : String(cell)
}

/** Cells made harmless, for a CSV file and a spreadsheet alike. */
export const harmlessRows = (rows: readonly (readonly (string | number | undefined)[])[]) =>
  rows.map((row) => row.map((cell) => (typeof cell === 'string' ? harmless(cell) : (cell ?? ''))))
