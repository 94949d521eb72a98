import type { BatchFile, BatchHead, BenchEvent } from '@omblet/core'
import { openStore } from './db'
import type { PhotoRecord } from './schema'

/** Another tab has written an event of this number already. */
export class EventTaken extends Error {}

export async function listBatches(): Promise<BatchHead[]> {
  const db = await openStore()
  return (await db.getAllFromIndex('batches', 'lastAt')).reverse()
}

const ofBatch = (id: string, from = 0) => IDBKeyRange.bound([id, from], [id, Infinity])

/** A batch with everything that happened to it, in order; null where there is none. */
export async function getBatch(id: string): Promise<{ head: BatchHead; events: BenchEvent[] } | null> {
  const db = await openStore()
  const tx = db.transaction(['batches', 'events'])
  const [head, records] = await Promise.all([
    tx.objectStore('batches').get(id),
    tx.objectStore('events').getAll(ofBatch(id)),
  ])
  return head ? { head, events: records.map((r) => r.event) } : null
}

/** Events from number `from` on: what another tab has written since. */
export const eventsFrom = async (id: string, from: number): Promise<BenchEvent[]> =>
  (await (await openStore()).getAll('events', ofBatch(id, from))).map((r) => r.event)

/**
 * Writes one event, the head that follows from it, and what it takes from a lot, all or none, and only then resolves.
 * An event is never changed: rejects with `EventTaken` where its number is in use.
 */
export async function appendEvent(
  head: BatchHead,
  event: BenchEvent,
  use: { lot: string; grams: number } | null,
): Promise<void> {
  const db = await openStore()
  const tx = db.transaction(['batches', 'events', 'lots'], 'readwrite', { durability: 'strict' })
  if (await tx.objectStore('events').getKey([head.id, event.n])) {
    await tx.done
    throw new EventTaken()
  }
  const writes: Promise<unknown>[] = [
    tx.objectStore('events').add({ batch: head.id, n: event.n, event }),
    tx.objectStore('batches').put(head),
  ]
  const lot = use ? await tx.objectStore('lots').get(use.lot) : undefined
  if (use && lot) {
    const leftGrams = Math.max(0, Number((lot.leftGrams - use.grams).toFixed(6)))
    writes.push(tx.objectStore('lots').put({ ...lot, leftGrams }))
  }
  await Promise.all([...writes, tx.done])
}

/**
 * What a file brings to a batch that is here: nothing, more of the same, or another course of things, which must not
 * change what is here.
 */
export function brings(
  here: readonly BenchEvent[],
  file: readonly BenchEvent[],
): 'nothing' | 'more' | 'another' {
  const same = here.every((e, i) => i >= file.length || happenedWith(e, file[i]!))
  return !same ? 'another' : file.length > here.length ? 'more' : 'nothing'
}
/** The same event: what happened at that moment. Shapes may differ where a file fills in what was left out. */
const happenedWith = (x: BenchEvent, y: BenchEvent) => x.at === y.at && x.type === y.type && x.step === y.step

/** The same batch under a name of its own, beside the one that is here. */
export const besides = (file: BatchFile, id: string): BatchFile => ({
  ...file,
  batch: { ...file.batch, id, code: `${file.batch.code}-copy` },
})

/** Puts a whole batch in. */
export async function putBatch(file: BatchFile, head: BatchHead, photos: readonly PhotoRecord[]) {
  const db = await openStore()
  const tx = db.transaction(['batches', 'events', 'photos'], 'readwrite')
  await Promise.all([
    tx.objectStore('batches').put(head),
    ...file.events.map((event) => tx.objectStore('events').put({ batch: head.id, n: event.n, event })),
    ...photos.map((photo) => tx.objectStore('photos').put(photo)),
    tx.done,
  ])
}

/** Deletes a batch with its events and photographs, and gives back what is needed to undo it. */
export async function deleteBatch(id: string) {
  const db = await openStore()
  const tx = db.transaction(['batches', 'events', 'photos'], 'readwrite')
  const head = await tx.objectStore('batches').get(id)
  const events = (await tx.objectStore('events').getAll(ofBatch(id))).map((r) => r.event)
  const photos = await tx.objectStore('photos').index('batch').getAll(id)
  await tx.objectStore('batches').delete(id)
  await tx.objectStore('events').delete(ofBatch(id))
  for (const photo of photos) await tx.objectStore('photos').delete(photo.id)
  await tx.done
  return head ? { head, events, photos } : null
}

export const savePhoto = async (photo: PhotoRecord) => {
  await (await openStore()).put('photos', photo)
}
export const photosOf = async (batch: string): Promise<PhotoRecord[]> =>
  (await openStore()).getAllFromIndex('photos', 'batch', batch)
