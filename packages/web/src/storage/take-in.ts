import {
  besideBatch,
  brings,
  bringsTrial,
  headOfFile,
  knownCatalogue,
  resolveImport,
  safeId,
  uniteTrials,
  withOwn,
  type Backup,
  type BatchFile,
  type Catalogue,
  type PlannedTrial,
} from '@omblet/core'
import type { IDBPObjectStore, StoreNames } from 'idb'
import { ofBatch, openStore, whole } from './db'
import type { OmbletDb } from './schema'
import { lotsIn } from './stock'

/** Puts a trial where it belongs: new, with more answers in the place of the one that is here, or beside it. */
export async function putTrial(
  store: Pick<IDBPObjectStore<OmbletDb, StoreNames<OmbletDb>[], 'trials', 'readwrite'>, 'get' | 'put'>,
  trial: PlannedTrial,
  put: (write: Promise<unknown>) => void,
) {
  const place = await resolveImport(
    safeId(trial.plan.id),
    (key) => store.get(key),
    (here) => bringsTrial(here, trial),
  )
  const next = place.here && place.what === 'more' ? (uniteTrials(place.here, trial) ?? trial) : trial
  if (place.what !== 'nothing') put(store.put({ ...next, plan: { ...next.plan, id: place.id } }))
  return { id: place.id, name: trial.name, what: place.what }
}
/** Stores a trial from a file. */
export async function takeInTrial(trial: PlannedTrial) {
  const tx = (await openStore()).transaction('trials', 'readwrite')
  return whole(tx, (put) => putTrial(tx.store, trial, put))
}

/** The catalogue with what is here and what the backup brings: batches name both. */
export async function knownHere(backup?: Backup): Promise<Catalogue> {
  const db = await openStore()
  const [own, changes, lots] = await Promise.all([
    db.getAll('materials'),
    db.getAll('changes'),
    lotsIn(db.transaction(['lots', 'stock'])),
  ])
  const ids = new Set(own.map((m) => m.id))
  const knowledge = {
    own: [...own, ...(backup?.materials ?? []).filter((m) => !ids.has(m.id))],
    changes,
    lots,
  }
  return withOwn(knownCatalogue(knowledge), knowledge)
}

type StoreOf<K extends StoreNames<OmbletDb>> = Pick<
  IDBPObjectStore<OmbletDb, StoreNames<OmbletDb>[], K, 'readwrite'>,
  'getAll' | 'getKey' | 'put'
>
export interface Course {
  id: string
  what: 'new' | 'nothing' | 'more' | 'beside'
  code: string
}

/** Puts what a batch file brings where it belongs, inside a transaction over batches and events. */
export async function putCourse(
  stores: { batches: StoreOf<'batches'>; events: StoreOf<'events'> },
  saved: BatchFile,
  catalogue: Catalogue,
  put: (write: Promise<unknown>) => void,
): Promise<Course> {
  const place = await resolveImport(
    safeId(saved.batch.id),
    async (key) => {
      const here = (await stores.events.getAll(ofBatch(key))).map((r) => r.event)
      return here.length > 0 ? here : null
    },
    (here) => brings(here, saved.events),
  )
  const file = place.what === 'beside' ? besideBatch(saved, place.id) : saved
  const batch = { ...file.batch, id: place.id }
  const course = { id: place.id, what: place.what, code: batch.code }
  // Entries whose batch was lost get it back.
  if (place.what === 'nothing' && (await stores.batches.getKey(place.id))) return course
  const events = place.what === 'nothing' ? place.here! : file.events
  put(stores.batches.put(headOfFile({ batch, events }, catalogue)))
  for (const event of events.slice(place.here?.length ?? 0))
    put(stores.events.put({ batch: place.id, n: event.n, event }))
  return course
}

/** Stores a batch from a file, all or none: what it brings, and photographs that are not here yet. */
export async function takeInBatch(saved: BatchFile): Promise<Course> {
  const catalogue = await knownHere()
  const photos = saved.photos.map(({ id, type, data }) => ({ id, blob: blobOf(data, type) }))
  const db = await openStore()
  const tx = db.transaction(['batches', 'events', 'pictures'], 'readwrite')
  return whole(tx, async (put) => {
    const course = await putCourse(
      { batches: tx.objectStore('batches'), events: tx.objectStore('events') },
      saved,
      catalogue,
      put,
    )
    for (const photo of photos)
      if (!(await tx.objectStore('pictures').getKey([course.id, photo.id])))
        put(tx.objectStore('pictures').put({ ...photo, batch: course.id }))
    return course
  })
}
const blobOf = (data: string, type: string) =>
  new Blob([Uint8Array.from(atob(data), (c) => c.charCodeAt(0))], { type })
