import type { BatchHead, BenchEvent, Container, FactChange, Formula, Lot, Material, PlannedTrial, VersionStory } from '@omblet/core' // prettier-ignore
import type { DBSchema, IDBPDatabase, IDBPTransaction, StoreNames } from 'idb'

export interface FormulaRecord {
  id: string
  formula: Formula
  /** Counts up with each write, so that a second tab notices that it is behind. */
  rev: number
  createdAt: string
  updatedAt: string
  /** Came with the demo data and was not changed since. */
  demo: boolean
  /** Id of the version that it goes on from. */
  from?: string
}

export interface VersionRecord extends VersionStory {
  id: string
  formulaId: string
  number: number
  name: string
  savedAt: string
  formula: Formula
}

/** A file that belongs to a lot. */
export interface LotFile {
  lot: string
  name: string
  blob: Blob
}

/** One event of a batch; its key is the batch and the event's number, so that no number is ever taken twice. */
export interface EventRecord {
  batch: string
  n: number
  event: BenchEvent
  /** Grams that it really took from a lot, where that held less than was weighed. */
  taken?: number
}

/** A photograph of a batch; its key is the batch and its own id, so that two batches never share one. */
export interface PhotoRecord {
  id: string
  batch: string
  blob: Blob
}

/** What was deleted, whole, so that it can come back. */
export type BinContent =
  | { kind: 'formula'; formula: FormulaRecord; versions: VersionRecord[] }
  | { kind: 'batch'; head: BatchHead | null; events: EventRecord[]; photos: PhotoRecord[] }
  | { kind: 'lot'; lot: Lot; file?: LotFile }
  | { kind: 'container'; container: Container }
  | { kind: 'material'; material: Material }
  | { kind: 'trial'; trial: PlannedTrial }

export interface BinRecord {
  id: string
  name: string
  deletedAt: string
  /** When it was first found to be past its days: a clock that was set forward must not empty the bin. */
  dueSince?: string
  content: BinContent
}

export interface OmbletDb extends DBSchema {
  formulas: { key: string; value: FormulaRecord; indexes: { updatedAt: string } }
  versions: { key: string; value: VersionRecord; indexes: { formulaId: string } }
  materials: { key: string; value: Material }
  lots: { key: string; value: Lot; indexes: { material: string } }
  containers: { key: string; value: Container }
  changes: { key: string; value: FactChange }
  files: { key: string; value: LotFile }
  batches: { key: string; value: BatchHead; indexes: { lastAt: string } }
  events: { key: [string, number]; value: EventRecord }
  pictures: { key: [string, string]; value: PhotoRecord }
  trials: { key: string; value: PlannedTrial }
  bin: { key: string; value: BinRecord }
  settings: { key: string; value: { key: string; value: unknown } }
}

export const DB_NAME = 'omblet'

type Upgrade = (
  db: IDBPDatabase<OmbletDb>,
  tx: IDBPTransaction<OmbletDb, StoreNames<OmbletDb>[], 'versionchange'>,
) => void | Promise<void>

/** Ordered migrations: entry `n` brings a store of version `n` to `n + 1`. Never change one that was released. */
export const UPGRADES: readonly Upgrade[] = [
  (db) => {
    db.createObjectStore('formulas', { keyPath: 'id' })
    db.createObjectStore('settings', { keyPath: 'key' })
  },
  // Versions and own materials; formulas gain a revision, a mark for demo data and an index by date.
  async (db, tx) => {
    db.createObjectStore('versions', { keyPath: 'id' }).createIndex('formulaId', 'formulaId')
    db.createObjectStore('materials', { keyPath: 'id' })
    const store = tx.objectStore('formulas')
    store.createIndex('updatedAt', 'updatedAt')
    for (let cursor = await store.openCursor(); cursor; cursor = await cursor.continue()) {
      const old = cursor.value as Partial<FormulaRecord> & Pick<FormulaRecord, 'id' | 'formula'>
      const created = old.createdAt ?? old.updatedAt ?? '1970-01-01T00:00:00.000Z'
      await cursor.update({ rev: 1, demo: false, updatedAt: created, ...old, createdAt: created })
    }
  },
  // Lots on the shelf.
  (db) => {
    db.createObjectStore('lots', { keyPath: 'id' }).createIndex('material', 'material')
  },
  // Changed facts of the catalogue, and the papers of lots.
  (db) => {
    db.createObjectStore('changes', { keyPath: 'id' })
    db.createObjectStore('files', { keyPath: 'lot' })
  },
  // Batches: what a list shows, every event, and photographs.
  (db) => {
    db.createObjectStore('batches', { keyPath: 'id' }).createIndex('lastAt', 'lastAt')
    db.createObjectStore('events', { keyPath: ['batch', 'n'] })
    ;(db as unknown as IDBPDatabase).createObjectStore('photos', { keyPath: 'id' }).createIndex('batch', 'batch') // prettier-ignore
  },
  // A bin; photographs are known by their batch too, so that a copy of a batch has its own.
  async (db, tx) => {
    db.createObjectStore('bin', { keyPath: 'id' })
    const pictures = db.createObjectStore('pictures', { keyPath: ['batch', 'id'] })
    const old = (tx as unknown as IDBPTransaction<unknown, string[], 'versionchange'>).objectStore('photos')
    for (let cursor = await old.openCursor(); cursor; cursor = await cursor.continue())
      await pictures.put(cursor.value as PhotoRecord)
    ;(db as unknown as IDBPDatabase).deleteObjectStore('photos')
  },
  // Containers on the shelf.
  (db) => {
    db.createObjectStore('containers', { keyPath: 'id' })
  },
  // Trials.
  (db) => {
    db.createObjectStore('trials', { keyPath: 'plan.id' })
  },
]

export const DB_VERSION = UPGRADES.length
