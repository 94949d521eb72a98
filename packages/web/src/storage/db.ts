import { openDB, type IDBPDatabase } from 'idb'
import { DB_NAME, DB_VERSION, UPGRADES, type OmbletDb } from './schema'

let opening: Promise<IDBPDatabase<OmbletDb>> | null = null

/** Opens the store, running the migrations that it has not seen yet. Rejects when the browser refuses storage. */
export function openStore(): Promise<IDBPDatabase<OmbletDb>> {
  opening ??= openDB<OmbletDb>(DB_NAME, DB_VERSION, {
    async upgrade(db, from, _to, tx) {
      for (let version = from; version < DB_VERSION; version++) {
        await UPGRADES[version]!(db, tx as never)
      }
    },
    blocking(_current, _blocked, event) {
      // A newer Omblet in another tab waits for the store: let go, it is opened again when needed.
      ;(event.target as IDBDatabase).close()
      opening = null
    },
    terminated() {
      opening = null
    },
  }).catch((error: unknown) => {
    opening = null
    throw error
  })
  return opening
}

/** For tests: forget the connection. */
export async function closeStore() {
  const db = await opening?.catch(() => null)
  db?.close()
  opening = null
}

/** A sentence for a failed write that says what to do. */
export function explainStorage(error: unknown): string {
  const name = error instanceof Error ? error.name : ''
  const inner = (error as { inner?: Error } | null)?.inner?.name
  if (name === 'QuotaExceededError' || inner === 'QuotaExceededError') {
    return 'The browser’s storage is full, so the last change is not saved. Export your work, then free some space.'
  }
  if (name === 'VersionError') {
    return 'This store was written by a newer Omblet. Reload the page to get that version.'
  }
  return 'The browser refuses storage (private window, or switched off), so nothing is saved. You can go on working and export.'
}
