import { tableCells as texts } from '#words/composables'
import type { Cell } from '@omblet/core'
import { wrap } from 'comlink'
import type { TableWorker } from '../workers/table.worker'

/** The cells of a .csv or .xlsx file, read beside the page and within limits, or why it cannot be read. */
export async function tableCells(
  file: File,
): Promise<{ cells: readonly (readonly Cell[])[] } | { error: string }> {
  const worker = new Worker(new URL('../workers/table.worker.ts', import.meta.url), { type: 'module' })
  try {
    return await new Promise((resolve, reject) => {
      worker.onerror = () => reject(new Error(texts.partOfOmbletCouldNot))
      wrap<TableWorker>(worker).cells(file).then(resolve, reject)
    })
  } catch {
    return { error: texts.couldNotBeReadSave(file.name) }
  } finally {
    worker.terminate()
  }
}
