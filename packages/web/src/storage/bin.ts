import {
  copyId,
  freeName,
  same,
  sameEvent,
  sameFormula,
  VersionStory,
  withIds,
  leftOf,
  type Container,
  type Lot,
  type StockEntry,
} from '@omblet/core'
import type { IDBPTransaction } from 'idb'
import { ofBatch, openStore, whole } from './db'
import type { BinContent, BinRecord, EventRecord, OmbletDb } from './schema'
import { containerIn, entriesOf, lotIn, putContainerIn, putLotIn, type StockOf } from './stock'

/** What is deleted can come back for so many days. */
export const BIN_DAYS = 30
const DAY = 864e5

/** The latest time that this browser ever showed while Omblet was open: a clock that is set back does not go before it. */
let latest = ''
const LATEST = 'latest'

export const toBin = (content: BinContent, name: string, now: string, makeId: () => string): BinRecord => ({
  id: makeId(),
  name: name.slice(0, 200),
  deletedAt: now,
  ...(now < latest ? { countsFrom: latest } : {}),
  content,
})

/** Everything in the bin, the newest first. */
export async function listBin(): Promise<BinRecord[]> {
  const all = await (await openStore()).getAll('bin')
  return all.sort((x, y) => y.deletedAt.localeCompare(x.deletedAt))
}
export const countBin = async () => (await openStore()).count('bin')
export const removeFromBin = async (id: string) => (await openStore()).delete('bin', id)

/** Where something went that came back: to its place, or beside what stands there now. */
export interface Back {
  kind: BinContent['kind']
  id: string
  beside: boolean
}

const STORES = [
  'formulas',
  'versions',
  'materials',
  'lots',
  'containers',
  'stock',
  'files',
  'batches',
  'events',
  'pictures',
  'trials',
  'bin',
] as const
interface Reducers {
  tx: IDBPTransaction<OmbletDb, (typeof STORES)[number][], 'readwrite'>
  put: (write: Promise<unknown>) => void
}
type Of<K extends BinContent['kind']> = Extract<BinContent, { kind: K }>

/**
 * Takes something out of the bin, in one transaction. What stands in its place meanwhile is never overwritten: where it
 * differs, what comes back is put beside it. Null where it is not in the bin any more.
 */
export async function takeFromBin(binId: string): Promise<Back | null> {
  const tx = (await openStore()).transaction([...STORES], 'readwrite')
  return whole(tx, async (put): Promise<Back | null> => {
    const record = await tx.objectStore('bin').get(binId)
    if (!record) return null
    const { content } = record
    put(tx.objectStore('bin').delete(binId))
    return { kind: content.kind, ...(await putBack({ tx, put }, content)) }
  })
}

/** The first id at which nothing else stands. */
async function place(id: string, isFree: (id: string) => Promise<boolean>): Promise<Omit<Back, 'kind'>> {
  for (let n = 1; ; n++) {
    const key = n === 1 ? id : copyId(id, n)
    if (await isFree(key)) return { id: key, beside: n > 1 }
  }
}
/** The first id at which nothing stands, or the very same. */
const placeOfSame = <T>(id: string, item: T, get: (id: string) => Promise<T | undefined>) =>
  place(id, async (key) => {
    const here = await get(key)
    return !here || same(here, item)
  })

async function putBack({ tx, put }: Reducers, content: BinContent): Promise<Omit<Back, 'kind'>> {
  switch (content.kind) {
    case 'formula':
      return putFormula({ tx, put }, content)
    case 'batch':
      return putBatch({ tx, put }, content)
    case 'lot': {
      const at = await placeOfSame(content.lot.id, content.lot, (key) => lotIn(tx, key))
      const lot: Lot = { ...content.lot, id: at.id }
      putLotIn(tx, lot, 0, { id: '', at: '' }, put)
      await putEntries({ tx, put }, 'lot', at, content.entries, lot.leftGrams)
      if (content.file) put(tx.objectStore('files').put({ ...content.file, lot: at.id }))
      return at
    }
    case 'container': {
      const at = await placeOfSame(content.container.id, content.container, (key) => containerIn(tx, key))
      const container: Container = { ...content.container, id: at.id }
      putContainerIn(tx, container, 0, { id: '', at: '' }, put)
      await putEntries({ tx, put }, 'container', at, content.entries, container.left)
      return at
    }
    case 'material': {
      const store = tx.objectStore('materials')
      const at = await placeOfSame(content.material.id, content.material, (key) => store.get(key))
      put(store.put({ ...content.material, id: at.id }))
      return at
    }
    case 'trial': {
      const store = tx.objectStore('trials')
      const { trial } = content
      const at = await placeOfSame(trial.plan.id, trial, (key) => store.get(key))
      put(store.put({ ...trial, plan: { ...trial.plan, id: at.id } }))
      return at
    }
  }
}

/** Puts back what is left: by the entries that there were, or by one that counts it where it stands beside another. */
async function putEntries(
  { tx, put }: Reducers,
  of: StockOf,
  { id, beside }: Omit<Back, 'kind'>,
  entries: readonly StockEntry[] | undefined,
  left: number,
) {
  if ((await entriesOf(tx, of, id)).length > 0) return
  const whole = !beside && entries !== undefined && leftOf(entries) === left
  const counted: StockEntry = {
    id: `${of} ${id} back`,
    of,
    item: id,
    amount: left,
    at: new Date(0).toISOString(),
  }
  for (const entry of whole ? entries : [counted]) put(tx.objectStore('stock').put(entry))
}

async function putFormula({ tx, put }: Reducers, content: Of<'formula'>) {
  const store = tx.objectStore('formulas')
  const { formula } = content.formula
  const at = await place(content.formula.id, async (key) => {
    const here = await store.get(key)
    return !here || sameFormula(here.formula, formula)
  })
  const { id, beside } = at
  const names = beside ? (await store.getAll()).map((r) => r.formula.name) : []
  const versions = tx.objectStore('versions')
  // Where each version goes is known before any is put: one that comes from another follows it.
  const moved = new Map<string, string>()
  for (const version of content.versions) {
    const to = await place(version.id, async (key) => {
      const there = await versions.get(key)
      return !there || (there.formulaId === id && sameFormula(there.formula, version.formula))
    })
    if (to.beside) moved.set(version.id, to.id)
  }
  const here = await store.get(id)
  if (!here) {
    const from = content.formula.from
    put(
      store.put({
        ...content.formula,
        ...(from === undefined ? {} : { from: moved.get(from) ?? from }),
        id,
        formula: beside ? { ...formula, name: freeName(formula.name, names) } : formula,
      }),
    )
  }
  for (const version of content.versions) {
    const to = moved.get(version.id) ?? version.id
    if (!(await versions.get(to)))
      put(versions.put({ ...withIds(VersionStory, version, { version: moved }), id: to, formulaId: id }))
  }
  return at
}

async function putBatch({ tx, put }: Reducers, content: Of<'batch'>) {
  const events = tx.objectStore('events')
  const at = await place(content.head?.id ?? content.events[0]!.batch, async (key) => {
    const here = await events.getAll(ofBatch(key))
    const head = await tx.objectStore('batches').get(key)
    return here.length === 0 ? !head || same(head, content.head) : sameCourse(here, content.events)
  })
  const { id, beside } = at
  if (content.head)
    put(
      tx.objectStore('batches').put({
        ...content.head,
        id,
        code: beside ? `${content.head.code.slice(0, 55)}-copy` : content.head.code,
      }),
    )
  for (const event of content.events) put(events.put({ ...event, batch: id }))
  for (const photo of content.photos) put(tx.objectStore('pictures').put({ ...photo, batch: id }))
  return at
}

const sameCourse = (x: readonly EventRecord[], y: readonly EventRecord[]) =>
  x.length === y.length && x.every((r, i) => sameEvent(r.event, y[i]!.event))

/**
 * Empties the bin of what lies in it for more than 30 days. It goes only when it was found to be due at an earlier visit a
 * day or more before, so that a clock that was set forward for an hour takes nothing away.
 */
export async function sweepBin(now: string): Promise<number> {
  const db = await openStore()
  const tx = db.transaction(['bin', 'settings'], 'readwrite')
  return whole(tx, async (put) => {
    const bin = tx.objectStore('bin')
    const seen = (await tx.objectStore('settings').get(LATEST))?.value
    latest = typeof seen === 'string' && seen > now ? seen : now
    put(tx.objectStore('settings').put({ key: LATEST, value: latest }))
    let gone = 0
    for (const record of await bin.getAll()) {
      const age = Date.parse(now) - Date.parse(record.countsFrom ?? record.deletedAt)
      const due = record.dueSince === undefined ? null : Date.parse(now) - Date.parse(record.dueSince)
      if (age <= BIN_DAYS * DAY || (due !== null && due < 0)) {
        if (record.dueSince !== undefined) {
          const { dueSince: _d, ...rest } = record
          put(bin.put(rest))
        }
      } else if (due === null) put(bin.put({ ...record, dueSince: now }))
      else if (due > DAY) {
        put(bin.delete(record.id))
        gone++
      }
    }
    return gone
  })
}
