import { leftOf, type Container, type Lot, type StockEntry } from '@omblet/core'
import type { IDBPTransaction, StoreNames } from 'idb'
import type { ContainerFacts, LotFacts, OmbletDb } from './schema'

export type StockOf = StockEntry['of']
/** A transaction in which what is left can be read, or changed too. */
type Reading = IDBPTransaction<OmbletDb, StoreNames<OmbletDb>[], 'readonly' | 'readwrite'>
type Writing = IDBPTransaction<OmbletDb, StoreNames<OmbletDb>[], 'readwrite'>
type Put = (write: Promise<unknown>) => void

/** The entries of a lot or a container. */
export const entriesOf = (tx: object, of: StockOf, item: string): Promise<StockEntry[]> =>
  (tx as Reading).objectStore('stock').index('item').getAll([of, item])

const asLot = (facts: LotFacts, entries: readonly StockEntry[]): Lot => ({
  ...facts,
  leftGrams: leftOf(entries),
})
const asContainer = (facts: ContainerFacts, entries: readonly StockEntry[]): Container =>
  ({ ...facts, left: Math.round(leftOf(entries)) }) as Container

export async function lotIn(tx: object, id: string): Promise<Lot | undefined> {
  const facts = await (tx as Reading).objectStore('lots').get(id)
  return facts && asLot(facts, await entriesOf(tx, 'lot', id))
}
export async function containerIn(tx: object, id: string): Promise<Container | undefined> {
  const facts = await (tx as Reading).objectStore('containers').get(id)
  return facts && asContainer(facts, await entriesOf(tx, 'container', id))
}

async function allOf<T extends { id: string }, U>(
  all: Promise<T[]>,
  tx: Reading,
  of: StockOf,
  joined: (facts: T, entries: readonly StockEntry[]) => U,
): Promise<U[]> {
  const range = IDBKeyRange.bound([of], [of, []])
  const [facts, entries] = await Promise.all([all, tx.objectStore('stock').index('item').getAll(range)])
  const by = new Map<string, StockEntry[]>()
  for (const e of entries) {
    const list = by.get(e.item)
    if (list) list.push(e)
    else by.set(e.item, [e])
  }
  return facts.map((f) => joined(f, by.get(f.id) ?? []))
}
export const lotsIn = (tx: object) =>
  allOf((tx as Reading).objectStore('lots').getAll(), tx as Reading, 'lot', asLot)
export const containersIn = (tx: object) =>
  allOf((tx as Reading).objectStore('containers').getAll(), tx as Reading, 'container', asContainer)

/** Writes what is told of a lot, and an entry where what is left changes by `by`. */
export function putLotIn(tx: object, lot: Lot, by: number, entry: { id: string; at: string }, put: Put) {
  const { leftGrams: _left, ...facts } = lot
  put((tx as Writing).objectStore('lots').put(facts))
  enter(tx, 'lot', lot.id, by, entry, put)
}
export function putContainerIn(
  tx: object,
  container: Container,
  by: number,
  entry: { id: string; at: string },
  put: Put,
) {
  const { left: _left, ...facts } = container
  put((tx as Writing).objectStore('containers').put(facts))
  enter(tx, 'container', container.id, by, entry, put)
}
/** Enters a change of what is left; nothing where nothing changes. */
function enter(
  tx: object,
  of: StockOf,
  item: string,
  by: number,
  entry: { id: string; at: string },
  put: Put,
) {
  if (by !== 0) put((tx as Writing).objectStore('stock').put({ ...entry, of, item, amount: by }))
}

/** What a batch takes from a lot or a container, at most what is there, under the number of the entry that takes it. */
export function takeIn(
  tx: object,
  of: StockOf,
  item: string,
  amount: number,
  entry: { at: string; batch: string; n: number },
  put: Put,
) {
  const id = takenId(of, entry.batch, entry)
  put(
    (tx as Writing)
      .objectStore('stock')
      .put({ ...entry, id, of, item, amount: Number((-amount).toFixed(6)) }),
  )
}
/** Under what an event of a batch takes from the shelf: by its time too, for a batch can be made on from an earlier file. */
export const takenId = (of: StockOf, batch: string, { n, at }: { n: number; at: string }) =>
  `${of} ${batch} ${n} ${at}`

/** Removes the entries of a lot or a container. */
export async function dropEntries(tx: object, of: StockOf, item: string, put: Put) {
  for (const e of await entriesOf(tx, of, item)) put((tx as Writing).objectStore('stock').delete(e.id))
}
