import { cellText, parseCsv, readContainers, type Cell, type Container } from '@omblet/core'
import { makeId } from '../../storage/channel'

async function rowsOf(file: File): Promise<string[][]> {
  if (!/\.xlsx$/i.test(file.name)) return parseCsv(await file.text())
  const { readSheet } = await import('read-excel-file/browser')
  return ((await readSheet(file)) as readonly (readonly Cell[])[]).map((row) => row.map(cellText))
}

/** Takes in a table of containers: what is sound is stored, what is not is told by its row. */
export async function takeInContainers(
  file: File,
  here: readonly Container[],
  put: (container: Container) => Promise<unknown>,
): Promise<{ taken: number; refused: string[] }> {
  const { containers, refused } = readContainers(await rowsOf(file), here, makeId)
  for (const container of containers) await put(container)
  return { taken: containers.length, refused }
}
