import { heatWords as texts } from '#words/formula'
import type { LineRef } from '@omblet/core'
import type { InjectionKey, Ref } from 'vue'

/** What the parts of the sheet ask of the page they stand on. */
export interface SheetApi {
  /** Opens the finder for a phase (null: the best one), or to replace the material of a line. */
  find: (phase: number | null, replace?: LineRef) => void
  focusLine: (at: LineRef) => void
  showKeys: () => void
  highlight: (lines: readonly LineRef[]) => void
  highlighted: Ref<readonly LineRef[]>
  undo: () => void
  redo: () => void
  say: (text: string, undoable?: boolean) => void
}

export const sheetKey: InjectionKey<SheetApi> = Symbol('sheet')

export const sameLine = (a: LineRef, b: LineRef) => a.phase === b.phase && a.line === b.line

/** `heat to 72 °C, hold 20 min`. */
export function heatWords(phase: {
  heatToC?: number | undefined
  holdMinutes?: number | undefined
  belowC?: number | undefined
}) {
  const parts = []
  if (phase.heatToC !== undefined) parts.push(texts.heatToC(phase.heatToC))
  if (phase.heatToC !== undefined && phase.holdMinutes) parts.push(texts.holdMin(phase.holdMinutes))
  if (phase.belowC !== undefined) parts.push(texts.belowC(phase.belowC))
  return parts.join(', ')
}
