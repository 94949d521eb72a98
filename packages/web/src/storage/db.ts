import { db as texts } from '#words/storage'
import { openDB, type IDBPDatabase } from 'idb'
import { DB_NAME, DB_VERSION, UPGRADES, type OmbletDb } from './schema'

let opening: Promise<IDBPDatabase<OmbletDb>> | null = null
let onWaiting: (waiting: boolean) => void = () => undefined

/** Who wants to know that a tab with an older Omblet keeps the store from being opened. */
export const whenStoreWaits = (told: (waiting: boolean) => void) => {
  onWaiting = told
}

/** Opens the store, running the migrations that it has not seen yet. Rejects when the browser refuses storage. */
export function openStore(): Promise<IDBPDatabase<OmbletDb>> {
  opening ??= openDB<OmbletDb>(DB_NAME, DB_VERSION, {
    async upgrade(db, from, _to, tx) {
      for (let version = from; version < DB_VERSION; version++) {
        await UPGRADES[version]!(db, tx)
      }
    },
    blocked() {
      onWaiting(true)
    },
    blocking(_current, _blocked, event) {
      // A newer Omblet in another tab waits for the store: let go, it is opened again when needed.
      ;(event.target as IDBDatabase).close()
      opening = null
    },
    terminated() {
      opening = null
    },
  }).then(
    (db) => {
      onWaiting(false)
      return db
    },
    (error: unknown) => {
      opening = null
      onWaiting(false)
      throw error
    },
  )
  return opening
}

/** For tests: forget the connection. */
export async function closeStore() {
  const db = await opening?.catch(() => null)
  db?.close()
  opening = null
}

interface Abortable {
  done: Promise<void>
  abort: () => void
}
/**
 * Runs writes of one transaction, all or none: where one of them fails, what was written before it is taken back and
 * the error goes on. `put` is for writes that need not be waited for one by one.
 */
export async function whole<T>(
  tx: Abortable,
  work: (put: (write: Promise<unknown>) => void) => Promise<T>,
): Promise<T> {
  const writes: Promise<unknown>[] = []
  tx.done.catch(() => undefined)
  try {
    const value = await work((write) => {
      write.catch(() => undefined)
      writes.push(write)
    })
    await Promise.all(writes)
    await tx.done
    return value
  } catch (error) {
    try {
      tx.abort()
    } catch {
      // It was over already.
    }
    throw error
  }
}

export type StorageTrouble = 'full' | 'newer' | 'refused'

/** What kind of trouble the store is in. */
export function troubleOf(error: unknown): StorageTrouble {
  const name = error instanceof Error ? error.name : ''
  const inner = (error as { inner?: Error } | null)?.inner?.name
  if (name === 'QuotaExceededError' || inner === 'QuotaExceededError') return 'full'
  return name === 'VersionError' ? 'newer' : 'refused'
}

const WORDS: Record<StorageTrouble, string> = {
  full: texts.theBrowsersStorageIsFull,
  newer: texts.thisDataWasWrittenBy,
  refused: texts.theBrowserBlocksStoragePrivate,
}
/** A sentence for a failed write that says what to do. */
export const explainStorage = (error: unknown): string => WORDS[troubleOf(error)]

/** The entries of a batch, all or from a number on, in order. */
export const ofBatch = (id: string, from = 0) => IDBKeyRange.bound([id, from], [id, Infinity])
