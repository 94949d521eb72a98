import { cellText, readContainers, type Container } from '@omblet/core'
import { tableCells } from '../../composables/table-cells'
import { makeId } from '../../storage/channel'
import type { ShelfRows } from '../../storage/shelf-rows'

/** Takes in a table of containers, as one step that can be undone: what is not sound is told by its row. */
export async function takeInContainers(
  file: File,
  here: readonly Container[],
  store: (rows: ShelfRows) => Promise<() => Promise<void>>,
): Promise<{ taken: number; refused: string[]; undo: () => Promise<void> } | { error: string }> {
  const read = await tableCells(file)
  if ('error' in read) return read
  const { rows, refused } = readContainers(
    read.cells.map((row) => row.map(cellText)),
    here,
    makeId,
  )
  return { taken: rows.length, refused, undo: await store({ materials: [], lots: [], containers: rows }) }
}
