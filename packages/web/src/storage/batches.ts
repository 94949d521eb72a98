import { batches as texts } from '#words/storage'
import type { BatchHead, BatchEvent, PlannedTrial } from '@omblet/core'
import { toBin } from './bin'
import type { IDBPTransaction } from 'idb'
import { ofBatch, openStore, whole } from './db'
import type { OmbletDb, PhotoRecord } from './schema'
import { TrialGone } from './trials'
import { containerIn, lotIn, takeIn, takenId } from './stock'

/** Another tab has written an event of this number already. */
export class EventTaken extends Error {}
/** The batch, or the entry before this one, is not there any more: it was deleted elsewhere. */
export class BatchGone extends Error {}

export async function listBatches(): Promise<BatchHead[]> {
  const db = await openStore()
  return (await db.getAllFromIndex('batches', 'lastAt')).reverse()
}
export const getHead = async (id: string): Promise<BatchHead | undefined> =>
  (await openStore()).get('batches', id)

const picturesOf = (id: string) => IDBKeyRange.bound([id], [id, []])

/** A batch with everything that happened to it, in order; null where there is none. */
export async function getBatch(id: string): Promise<{ head: BatchHead; events: BatchEvent[] } | null> {
  const db = await openStore()
  const tx = db.transaction(['batches', 'events'])
  const [head, records] = await Promise.all([
    tx.objectStore('batches').get(id),
    tx.objectStore('events').getAll(ofBatch(id)),
  ])
  return head ? { head, events: records.map((r) => r.event) } : null
}

/** Events from number `from` on: what another tab has written since. */
export const eventsFrom = async (id: string, from: number): Promise<BatchEvent[]> =>
  (await (await openStore()).getAll('events', ofBatch(id, from))).map((r) => r.event)

/** Every batch with everything that happened to it: for what asks of all of them at once. */
export async function everyBatch(): Promise<{ head: BatchHead; events: BatchEvent[] }[]> {
  const db = await openStore()
  const tx = db.transaction(['batches', 'events'])
  const [heads, records] = await Promise.all([
    tx.objectStore('batches').getAll(),
    tx.objectStore('events').getAll(),
  ])
  const by = new Map<string, BatchEvent[]>(heads.map((h) => [h.id, []]))
  for (const { batch, event } of records) by.get(batch)?.push(event)
  return heads.map((head) => ({ head, events: by.get(head.id)! }))
}

/** What an event takes from a lot; with `back`, what the entry of that number took is given back. */
export interface LotUse {
  lot: string
  grams: number
  back?: number
}

/**
 * Writes one event, the head that follows from it, what it takes from a lot and the containers that it fills, all or none,
 * and only then resolves.
 * An event is never changed, and never without the one before it: rejects with `EventTaken` where its number is in use,
 * or the one before it is not `before`, and with `BatchGone` where the batch was deleted. A lot never gives more than it holds, nor gets back more than it gave.
 */
export async function appendEvent(
  head: BatchHead,
  event: BatchEvent,
  use: LotUse | null,
  before?: BatchEvent,
): Promise<void> {
  const db = await openStore()
  const tx = db.transaction([...EVENT_STORES], 'readwrite', { durability: 'strict' })
  await whole(tx, async (put) => {
    await putEvent(tx, head, { event, use, before }, put)
    put(tx.objectStore('batches').put(head))
  })
}
const EVENT_STORES = ['batches', 'events', 'lots', 'containers', 'stock'] as const

/** A batch that begins with what happened already, and the trial that knows of it from then on. */
export interface Beginning {
  events: readonly { event: BatchEvent; use: LotUse | null }[]
  trial?: { id: string; change: (here: PlannedTrial) => PlannedTrial }
}
/** Begins a batch with everything that it has from the start, all or none. Throws `TrialGone` where its trial is gone. */
export async function beginBatch(head: BatchHead, { events, trial }: Beginning): Promise<void> {
  const db = await openStore()
  const tx = db.transaction([...EVENT_STORES, 'trials'], 'readwrite', { durability: 'strict' })
  await whole(tx, async (put) => {
    if (trial) {
      const here = await tx.objectStore('trials').get(trial.id)
      if (!here) throw new TrialGone()
      put(tx.objectStore('trials').put(trial.change(here)))
    }
    put(tx.objectStore('batches').put(head))
    for (const entry of events) await putEvent(tx as never, head, entry, put)
  })
}

/**
 * What an event of a batch took from the shelf, less than nothing. What came from another machine took nothing from this
 * one, and gives nothing back to it.
 */
async function given(
  tx: IDBPTransaction<OmbletDb, (typeof EVENT_STORES)[number][], 'readwrite'>,
  batch: string,
  n: number,
) {
  const of = await tx.objectStore('events').get([batch, n])
  return (of && (await tx.objectStore('stock').get(takenId('lot', batch, of.event)))?.amount) ?? 0
}

/** Writes one event and what it takes from the shelf. */
async function putEvent(
  tx: IDBPTransaction<OmbletDb, (typeof EVENT_STORES)[number][], 'readwrite'>,
  head: BatchHead,
  { event, use, before }: { event: BatchEvent; use: LotUse | null; before?: BatchEvent | undefined },
  put: (write: Promise<unknown>) => void,
) {
  const events = tx.objectStore('events')
  if (await events.getKey([head.id, event.n])) throw new EventTaken()
  if (event.n > 0) {
    const there = await tx.objectStore('batches').getKey(head.id)
    const last = await events.get([head.id, event.n - 1])
    if (!there || !last) throw new BatchGone()
    // the batch went another way since it was read
    if (before && last.event.at !== before.at) throw new EventTaken()
  }
  const entry = { at: event.at, batch: head.id, n: event.n }
  const lot = use ? await lotIn(tx, use.lot) : undefined
  if (use && lot) {
    const amount =
      use.back === undefined ? Math.min(lot.leftGrams, use.grams) : await given(tx, head.id, use.back)
    takeIn(tx, 'lot', lot.id, amount, entry, put)
  }
  if (event.type === 'finish' && event.container !== undefined && event.containers) {
    const jars = await containerIn(tx, event.container)
    if (jars) takeIn(tx, 'container', jars.id, Math.min(jars.left, event.containers), entry, put)
  }
  put(events.add({ batch: head.id, n: event.n, event }))
}

/** Moves a batch with its events and photographs to the bin; gives back where it lies there, null where nothing was. */
export async function deleteBatch(
  id: string,
  now: string,
  makeId: () => string,
  forGood = false,
): Promise<string | null> {
  const db = await openStore()
  const tx = db.transaction(['batches', 'events', 'pictures', 'bin'], 'readwrite')
  return whole(tx, async (put) => {
    const head = (await tx.objectStore('batches').get(id)) ?? null
    const events = await tx.objectStore('events').getAll(ofBatch(id))
    const photos = await tx.objectStore('pictures').getAll(picturesOf(id))
    if (!head && events.length === 0) return null
    const bin = toBin({ kind: 'batch', head, events, photos }, head?.name ?? texts.whatIsLeftOfA, now, makeId)
    if (!forGood) put(tx.objectStore('bin').put(bin))
    put(tx.objectStore('batches').delete(id))
    put(tx.objectStore('events').delete(ofBatch(id)))
    put(tx.objectStore('pictures').delete(picturesOf(id)))
    return bin.id
  })
}

/** Entries whose batch is gone, or a batch whose entries are: what an earlier Omblet could leave behind. */
export interface Orphan {
  id: string
  head: BatchHead | null
  events: BatchEvent[]
}
export async function listOrphans(): Promise<Orphan[]> {
  const db = await openStore()
  const tx = db.transaction(['batches', 'events'])
  const heads = new Set(await tx.objectStore('batches').getAllKeys())
  const found = new Set<string>()
  const begun = new Set<string>()
  const events = tx.objectStore('events')
  for (
    let cursor = await events.openKeyCursor();
    cursor;
    cursor = await cursor.continue([cursor.key[0], Infinity])
  ) {
    const [batch, first] = cursor.key
    begun.add(batch)
    if (!heads.has(batch) || first !== 0) found.add(batch)
  }
  for (const id of heads) if (!begun.has(id)) found.add(id)
  return Promise.all(
    [...found].map(async (id) => ({
      id,
      head: (await tx.objectStore('batches').get(id)) ?? null,
      events: (await events.getAll(ofBatch(id))).map((r) => r.event),
    })),
  )
}

export const savePhoto = async (photo: PhotoRecord) => {
  await (await openStore()).put('pictures', photo)
}
export const photosOf = async (batch: string): Promise<PhotoRecord[]> =>
  (await openStore()).getAll('pictures', picturesOf(batch))
