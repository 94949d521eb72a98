// What random commands of two tabs are held against: a plain model of the store, and a disk that can be full or lose power.
import { catalogue, headOfFile, type BatchEvent, type Lot } from '@omblet/core'
import { vi } from 'vitest'
import { BatchGone, EventTaken } from '../src/storage/batches'
import { ConflictError, GoneError } from '../src/storage/formulas'
import { Gone } from '../src/storage/shelf'
import { toner } from './toner'

/** Whether the disk takes anything, and at which write of the next transaction the power goes. */
export const disk = { full: false, crashAt: Infinity }
const { add, put } = IDBObjectStore.prototype
export function watchWrites() {
  const guarded = (write: typeof put) =>
    function (this: IDBObjectStore, ...args: Parameters<typeof put>) {
      if (disk.full) throw new DOMException('no room', 'QuotaExceededError')
      if (disk.crashAt-- <= 0) throw new DOMException('the power went', 'AbortError')
      return write.apply(this, args)
    }
  vi.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(guarded(add))
  vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(guarded(put))
}
/** What must be in the store: a formula, a batch and a lot, and what lies in the bin. */
export interface Model {
  formula: { batchGrams: number; rev: number } | null
  /** Grams of each weighing of the batch that counts; null where it is deleted. */
  batch: { events: BatchEvent[] } | null
  lot: { left: number; note: string; supplier: string } | null
  /** Things that were deleted, each once, by the id under which they lie in the bin. */
  bin: Map<
    string,
    { kind: 'formula' | 'batch' | 'lot'; was: Model['formula'] | Model['batch'] | Model['lot']; at: number }
  >
  /** What each entry took from the lot. */
  taken: Map<number, number>
  now: number
  /** The latest that the clock ever showed. */
  latest: number
}

/** What a tab has read and not yet heard otherwise. */
export interface Tab {
  rev: number
  lot: Lot | null
  events: BatchEvent[]
}
export const iso = (at: number) => new Date(at).toISOString()
export const start = (at: number): BatchEvent => ({
  n: 0,
  at: iso(at),
  step: null,
  type: 'start',
  formula: toner('Quay water'),
  version: null,
})
export const headOf = (events: BatchEvent[]) =>
  headOfFile(
    { batch: { id: 'b', code: 'QW', name: 'Quay water', formulaId: 'f', who: '' }, events },
    catalogue,
  )

export interface Store {
  model: Model
  tabs: [Tab, Tab]
}
let ids = 0
export const makeId = () => `id-${++ids}`

/** Does something in the store, and in the model only where the store took it whole. */
export async function done(work: () => Promise<unknown>, then: () => void) {
  const refuses = disk.full || disk.crashAt !== Infinity
  try {
    await work()
  } catch (error) {
    const expected =
      error instanceof ConflictError ||
      error instanceof GoneError ||
      error instanceof EventTaken ||
      error instanceof BatchGone ||
      error instanceof Gone
    if (!expected && !refuses) throw error
    disk.crashAt = Infinity
    return
  }
  disk.crashAt = Infinity
  then()
}
