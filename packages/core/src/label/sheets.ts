import * as z from 'zod'
import data from '../../data/sheets.json' with { type: 'json' }
import { StickerSheet, type LabelDesign } from '../shapes/label.ts'
import type { Said } from '../text/said.ts'
import type { SheetFaultFacts } from './said.ts'

/** The usual sheets of stickers (common practice; from memory: try one on plain paper first). */
export const SHEETS: readonly StickerSheet[] = z.array(StickerSheet).parse(data)
/** Width and height of the papers, mm. */
export const PAPERS = { A4: { width: 210, height: 297 }, Letter: { width: 215.9, height: 279.4 } } as const

/** The sheet of a design: one of the usual, one's own, or the first where nothing was chosen. */
export const sheetOf = (design: LabelDesign | undefined): StickerSheet =>
  (design?.sheet === 'own' ? design.own : undefined) ??
  SHEETS.find((s) => s.id === design?.sheet) ??
  SHEETS[0]!

export const fieldsOf = (s: StickerSheet) => s.columns * s.rows

/** What keeps a grid of one's own from lying on its paper; null where it does. */
export function sheetFault(s: StickerSheet): Said<SheetFaultFacts> | null {
  const paper = PAPERS[s.paper]
  if (s.columns > 1 && s.across < s.width - 1e-9) return { code: 'across' }
  if (s.rows > 1 && s.down < s.height - 1e-9) return { code: 'down' }
  const right = s.left + (s.columns - 1) * s.across + s.width
  const bottom = s.top + (s.rows - 1) * s.down + s.height
  if (right > paper.width + 0.5) return { code: 'right', millimetres: right - paper.width }
  if (bottom > paper.height + 0.5) return { code: 'bottom', millimetres: bottom - paper.height }
  return null
}

/** A field of a sheet: which sheet, and its corner in mm. */
export interface Field {
  page: number
  x: number
  y: number
}

/** Where each of `count` stickers goes, from field `first` (0 for the first) of the first sheet on. */
export function placeStickers(s: StickerSheet, count: number, first = 0): Field[] {
  const fields = fieldsOf(s)
  return Array.from({ length: count }, (_, i) => {
    const at = first + i
    const on = at % fields
    return {
      page: Math.floor(at / fields),
      x: s.left + (on % s.columns) * s.across,
      y: s.top + Math.floor(on / s.columns) * s.down,
    }
  })
}
