import { common } from '#words/common'
import { files as texts } from '#words/stores'
import { proxy, wrap, type Remote } from 'comlink'
import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { tellAll } from '../storage/channel'
import type { TakenFile } from '../storage/files'
import type { FilesWorker } from '../workers/files.worker'
import { useLibrary } from './library'
import { refusedWords, restoredWords, type RestoredWords } from './restored'

/** What became of a file: a sentence, where to go, and what did not simply come in. */
export type Taken =
  | { message: string; to?: string; details?: RestoredWords['details'] }
  | { error: string }
  /** An archive is not whole: what is lost is told, and the rest waits for an answer. */
  | { asked: true }

/** Work with files, which runs beside the page, tells how far it is and can be stopped. */
export const useFiles = defineStore('files', () => {
  /** What is being read or written, and the share done. */
  const busy = shallowRef<{ what: string; done: number } | null>(null)
  /** What the last restore left to be looked at. */
  const report = shallowRef<RestoredWords | null>(null)
  /** An archive that is not whole, and what of it is lost: nothing of it is stored before it is asked for. */
  const damaged = shallowRef<{ file: File; lost: string[] } | null>(null)
  const stopped = ref(false)
  let stop: (() => void) | null = null

  /** Does one piece of work in a worker of its own; rejects with `Error` where that cannot be loaded. Null when stopped. */
  async function work<T>(
    what: string,
    task: (worker: Remote<FilesWorker>, progress: (done: number) => void) => Promise<T>,
  ): Promise<T | null> {
    const worker = new Worker(new URL('../workers/files.worker.ts', import.meta.url), { type: 'module' })
    busy.value = { what, done: 0 }
    stopped.value = false
    try {
      return await new Promise<T | null>((resolve, reject) => {
        stop = () => {
          stopped.value = true
          resolve(null)
        }
        worker.onerror = () => reject(new Error(texts.partOfOmbletCouldNot))
        const progress = proxy((done: number) => {
          if (busy.value) busy.value = { what, done }
        })
        task(wrap<FilesWorker>(worker), progress).then(resolve, reject)
      })
    } finally {
      worker.terminate()
      busy.value = null
      stop = null
    }
  }

  /** Takes in a file of any kind, or says why not. A restore that is stopped has changed nothing. */
  async function take(file: File, rest = false): Promise<Taken> {
    damaged.value = null
    let taken
    try {
      taken = await work(
        file.name,
        (worker, progress) => worker.takeFile(file, progress, { rest }) as Promise<TakenFile>,
      )
    } catch (error) {
      return { error: error instanceof Error ? error.message : String(error) }
    }
    if (!taken) return { error: texts.stopped }
    if (taken.kind === 'error') return { error: taken.error }
    if (taken.kind === 'formula') return takeFormula(taken.formula)
    if (taken.kind === 'damaged') {
      damaged.value = { file, lost: refusedWords(taken.lost) }
      return { asked: true }
    }
    await tellAll({ type: 'all' })
    const words = {
      new: texts.isHere,
      more: texts.goesOnWithWhatWas,
      nothing: texts.wasHereAlready,
      beside: texts.isHereBesideTheOne,
    }
    if (taken.kind === 'batch')
      return { message: texts.batch(taken.code, words[taken.what]), to: `/bench/${taken.id}/record` }
    if (taken.kind === 'trial')
      return { message: texts.trial(taken.name, words[taken.what]), to: `/trials/${taken.id}` }
    const { message, details } = restoredWords(taken.restored)
    report.value = details.length > 0 ? { message, details } : null
    return { message, details }
  }

  async function takeFormula(
    formula: Parameters<ReturnType<typeof useLibrary>['create']>[0],
  ): Promise<Taken> {
    const library = useLibrary()
    const wanted = formula.name.trim() || common.unnamedFormula
    const made = await library.create({ ...formula, name: wanted })
    const renamed = made.name !== wanted ? texts.aFormulaCalledWasHere(wanted) : ''
    if (!made.stored)
      return {
        error: texts.isOpenHereUntilYou(library.storageProblem ?? texts.itCouldNotBeSaved, made.name),
      }
    return { message: texts.importedAs(made.name, renamed), to: `/formulas/${made.id}` }
  }

  return { busy, report, damaged, stopped, stop: () => stop?.(), work, take }
})
