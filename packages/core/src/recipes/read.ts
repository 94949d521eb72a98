import { cellText, type Cell } from '../text/cells.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import type { Recipe } from './recipe.ts'
import { titled } from './heat-hints.ts'
import { makeMatcher } from './match.ts'
import { Reader, type RawLine } from './reader.ts'
import { cellsOf, delimiterOf } from './table.ts'

/** Longer texts are no recipes. */
export const MOST_RECIPE_LINES = 2000
/** Blanks, dots and strokes that draw a line across the page say no more than a few of them. */
const calm = (text: string) =>
  text.replace(/([ .…_=*~·()[\]-])\1{11,}/g, (_all, mark: string) => mark.repeat(12))

/**
 * Reads a recipe from pasted text, line by line: titles, headings, ingredients with their amounts, batch, pH, notes.
 * What it cannot read is kept as `unread`. Names are matched to the catalogue.
 */
export function readRecipe(text: string, catalogue: Catalogue): Recipe {
  const lines = text
    .replace(/^\ufeff/, '')
    .replace(/[\u00a0\u2009\u202f]/g, ' ')
    .split(/\r\n|\r|\n/)
    .map(calm)
  const delimiter = delimiterOf(lines.filter((l) => l.trim() !== ''))
  return read(
    lines.map((line) => ({ text: line.trim(), cells: cellsOf(line, delimiter) })),
    catalogue,
  )
}

/** Reads a recipe from the cells of a spreadsheet. */
export const readRecipeCells = (rows: readonly (readonly Cell[])[], catalogue: Catalogue): Recipe =>
  read(
    rows.map((row) => {
      const cells = row.map((cell) => calm(cellText(cell)))
      return {
        text: cells
          .filter((c) => c.trim() !== '')
          .join('  ')
          .trim(),
        cells,
      }
    }),
    catalogue,
  )

function read(lines: readonly RawLine[], catalogue: Catalogue): Recipe {
  const reader = new Reader(makeMatcher(catalogue))
  lines.forEach((line, i) => reader.line(line, i + 1))
  return titled(reader.recipe)
}
