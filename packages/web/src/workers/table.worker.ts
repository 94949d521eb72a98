import { catalogue, parseCsv, readTable, TableError, type Cell, type Lot, type Material } from '@omblet/core'
import { expose } from 'comlink'
import { makeId } from '../storage/channel'

/** Gives the page a moment to hear how far it is, and to stop. */
const breathe = () => new Promise((resolve) => setTimeout(resolve, 0))

/** More than this is no table that anybody keeps. */
const MOST_BYTES = 100_000_000

async function cellsOf(file: File): Promise<readonly (readonly Cell[])[]> {
  if (file.size > MOST_BYTES)
    throw new TableError(
      `${file.name} is larger than ${MOST_BYTES / 1e6} MB. Check that it is the right file.`,
    )
  if (/\.(csv|tsv|txt)$/i.test(file.name)) return parseCsv(await file.text())
  if (/\.xlsx$/i.test(file.name)) {
    const { sheetCells } = await import('./sheet')
    return sheetCells(file, file.name)
  }
  throw new TableError(`${file.name} is neither .csv nor .xlsx. Save it as one of them.`)
}

const api = {
  /** The cells of a table, or why it cannot be read. */
  async cells(file: File) {
    try {
      return { cells: await cellsOf(file) }
    } catch (error) {
      if (error instanceof TableError) return { error: error.message }
      throw error
    }
  },
  /** Reads a file of lots or materials as a preview; `onProgress` hears rows done and rows in all. */
  async read(
    file: File,
    own: readonly Material[],
    lots: readonly Lot[],
    onProgress: (done: number, total: number) => void,
  ) {
    try {
      const cells = await cellsOf(file)
      const steps = readTable(cells, { catalogue: catalogue.with(own), own, lots, makeId })
      for (let step = steps.next(); ; step = steps.next()) {
        if (step.done) return { read: step.value }
        onProgress(step.value, cells.length - 1)
        await breathe()
      }
    } catch (error) {
      if (error instanceof TableError) return { error: error.message }
      throw error
    }
  },
}
export type TableWorker = typeof api
expose(api)
