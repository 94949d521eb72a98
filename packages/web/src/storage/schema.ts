import type { BatchHead, BenchEvent, FactChange, Formula, Lot, Material } from '@omblet/core'
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
}

export interface VersionRecord {
  id: string
  formulaId: string
  number: number
  name: string
  savedAt: string
  formula: Formula
}

/** A file that belongs to a lot. It stays on this device: backups do not carry it. */
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
}

/** A photograph of a batch. It stays on this device: backups do not carry it, files of the batch do. */
export interface PhotoRecord {
  id: string
  batch: string
  blob: Blob
}

export interface OmbletDb extends DBSchema {
  formulas: { key: string; value: FormulaRecord; indexes: { updatedAt: string } }
  versions: { key: string; value: VersionRecord; indexes: { formulaId: string } }
  materials: { key: string; value: Material }
  lots: { key: string; value: Lot; indexes: { material: string } }
  changes: { key: string; value: FactChange }
  files: { key: string; value: LotFile }
  batches: { key: string; value: BatchHead; indexes: { lastAt: string } }
  events: { key: [string, number]; value: EventRecord }
  photos: { key: string; value: PhotoRecord; indexes: { batch: string } }
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
    db.createObjectStore('photos', { keyPath: 'id' }).createIndex('batch', 'batch')
  },
]

export const DB_VERSION = UPGRADES.length
