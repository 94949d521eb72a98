import { catalogue, parseCsv, readTable, TableError, type Cell, type Lot, type Material } from '@omblet/core'
import { expose } from 'comlink'
import { makeId } from '../storage/channel'

/** Gives the page a moment to hear how far it is, and to stop. */
const breathe = () => new Promise((resolve) => setTimeout(resolve, 0))

async function cellsOf(file: File): Promise<readonly (readonly Cell[])[]> {
  if (/\.(csv|tsv|txt)$/i.test(file.name)) return parseCsv(await file.text())
  if (/\.xlsx$/i.test(file.name)) {
    const { readSheet } = await import('read-excel-file/web-worker')
    try {
      return (await readSheet(file)) as readonly (readonly Cell[])[]
    } catch {
      throw new TableError(`${file.name} is no spreadsheet that can be read. Save it as .xlsx or .csv.`)
    }
  }
  throw new TableError(`${file.name} is neither .csv nor .xlsx. Save it as one of them.`)
}

const api = {
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
