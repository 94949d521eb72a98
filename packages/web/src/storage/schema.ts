import {
  lotUse,
  type BatchHead,
  type BatchEvent,
  type Container,
  type FactChange,
  type Formula,
  type Lot,
  type Material,
  type PlannedTrial,
  type StockEntry,
  type VersionStory,
} from '@omblet/core'
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
  event: BatchEvent
}
/** What an earlier Omblet wrote beside an event: the grams that it really took, where the lot held less. */
type OldEventRecord = EventRecord & { taken?: number }

/** What is told of a lot or a container; what is left of it is the sum of its entries. */
export type LotFacts = Record<string, unknown> & { id: string; material: string }
export type ContainerFacts = Record<string, unknown> & { id: string }

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
  | { kind: 'lot'; lot: Lot; file?: LotFile; entries?: StockEntry[] }
  | { kind: 'container'; container: Container; entries?: StockEntry[] }
  | { kind: 'material'; material: Material }
  | { kind: 'trial'; trial: PlannedTrial }

export interface BinRecord {
  id: string
  name: string
  deletedAt: string
  /** From when its days count, where the clock had been set back. */
  countsFrom?: string
  /** When it was first found to be past its days: a clock that was set forward must not empty the bin. */
  dueSince?: string
  content: BinContent
}

export interface OmbletDb extends DBSchema {
  formulas: { key: string; value: FormulaRecord; indexes: { updatedAt: string } }
  versions: { key: string; value: VersionRecord; indexes: { formulaId: string } }
  materials: { key: string; value: Material }
  lots: { key: string; value: LotFacts; indexes: { material: string } }
  containers: { key: string; value: ContainerFacts }
  stock: { key: string; value: StockEntry; indexes: { item: [string, string] } }
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
    ;(db as unknown as IDBPDatabase)
      .createObjectStore('photos', { keyPath: 'id' })
      .createIndex('batch', 'batch')
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
  // What is left of a lot or a container is the sum of its entries: what was taken by batches, and what was there before.
  async (db, tx) => {
    db.createObjectStore('stock', { keyPath: 'id' }).createIndex('item', ['of', 'item'])
    const stock = tx.objectStore('stock')
    const taken = await takenSoFar(tx)
    const at = new Date(0).toISOString()
    for (let cursor = await tx.objectStore('lots').openCursor(); cursor; cursor = await cursor.continue()) {
      const { leftGrams, ...facts } = cursor.value
      const own = taken.filter((e) => e.item === facts.id)
      for (const entry of own) await stock.put(entry)
      const before = Number(leftGrams ?? 0) - own.reduce((sum, e) => sum + e.amount, 0)
      await stock.put({
        id: `lot ${facts.id} before`,
        of: 'lot',
        item: facts.id,
        at,
        amount: Number(before.toFixed(6)),
      })
      await cursor.update(facts)
    }
    for (
      let cursor = await tx.objectStore('containers').openCursor();
      cursor;
      cursor = await cursor.continue()
    ) {
      const { left, ...facts } = cursor.value
      await stock.put({
        id: `container ${facts.id} before`,
        of: 'container',
        item: facts.id,
        at,
        amount: Number(left ?? 0),
      })
      await cursor.update(facts)
    }
  },
]

/** What the entries of batches took from lots, as an earlier Omblet counted it. */
async function takenSoFar(tx: IDBPTransaction<OmbletDb, StoreNames<OmbletDb>[], 'versionchange'>) {
  const records = (await tx.objectStore('events').getAll()) as OldEventRecord[]
  const by = new Map<string, OldEventRecord[]>()
  for (const r of records) by.set(r.batch, [...(by.get(r.batch) ?? []), r])
  const taken: StockEntry[] = []
  for (const [batch, own] of by)
    for (const { n, event, taken: really } of own) {
      const use = lotUse(
        own.map((r) => r.event),
        event,
      )
      if (use)
        taken.push({
          id: `lot ${batch} ${n} ${event.at}`,
          of: 'lot',
          item: use.lot,
          amount: -(really ?? use.grams),
          at: event.at,
          batch,
          n,
        })
    }
  return taken
}

export const DB_VERSION = UPGRADES.length
