import { cellText, parseCsv, readContainers, type Cell, type Container } from '@omblet/core'
import { makeId } from '../../storage/channel'
import type { ShelfRows } from '../../storage/shelf-rows'

async function rowsOf(file: File): Promise<string[][]> {
  if (!/\.xlsx$/i.test(file.name)) return parseCsv(await file.text())
  const { readSheet } = await import('read-excel-file/browser')
  return ((await readSheet(file)) as readonly (readonly Cell[])[]).map((row) => row.map(cellText))
}

/** Takes in a table of containers, as one step that can be undone: what is not sound is told by its row. */
export async function takeInContainers(
  file: File,
  here: readonly Container[],
  store: (rows: ShelfRows) => Promise<() => Promise<void>>,
): Promise<{ taken: number; refused: string[]; undo: () => Promise<void> }> {
  const { rows, refused } = readContainers(await rowsOf(file), here, makeId)
  return { taken: rows.length, refused, undo: await store({ materials: [], lots: [], containers: rows }) }
}
