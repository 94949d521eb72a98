import {
  besideBatch,
  brings,
  bringsTrial,
  freeName,
  headOfFile,
  knownCatalogue,
  placeOf,
  same,
  sameFormula,
  withOwn,
  type Backup,
  type BatchFile,
  type Catalogue,
  type PlannedTrial,
  type Refused,
} from '@omblet/core'
import type { IDBPObjectStore, IDBPTransaction, StoreNames } from 'idb'
import { CARRIED_SETTINGS } from './backup'
import { ofBatch, openStore, whole } from './db'
import { simpleRecords } from './simple-records'
import type { FormulaRecord, LotFile, OmbletDb, PhotoRecord } from './schema'

export type Kind = 'formulas' | 'versions' | 'materials' | 'lots' | 'containers' | 'changes' | 'batches' | 'trials' | 'pictures' | 'papers' | 'settings' // prettier-ignore

/** What became of a backup, record by record. */
export interface Restored {
  added: Partial<Record<Kind, number>>
  same: number
  /** Names of what differs and stands beside what is here. */
  copies: string[]
  /** What is here with other figures and was left as it is. */
  kept: string[]
  refused: Refused[]
}

export interface Pictures {
  pictures?: readonly PhotoRecord[]
  papers?: readonly LotFile[]
}

/** A restore under way: its transaction, what is put, and what became of it so far. */
interface Restoring {
  tx: IDBPTransaction<OmbletDb, (typeof STORES)[number][], 'readwrite'>
  put: (write: Promise<unknown>) => void
  result: Restored
  catalogue: Catalogue
  /** One more record is through. */
  step: () => void
}
const STORES = ['formulas', 'versions', 'materials', 'lots', 'containers', 'changes', 'files', 'batches', 'events', 'trials', 'pictures', 'settings'] as const // prettier-ignore
const count = (result: Restored, kind: Kind) => (result.added[kind] = (result.added[kind] ?? 0) + 1)
/** Notes what became of one record; `beside` is what it is called where it stands beside another. */
function became(result: Restored, kind: Kind, what: 'new' | 'more' | 'nothing' | 'beside', beside: string) {
  if (what === 'nothing') result.same++
  else if (what === 'beside') result.copies.push(beside)
  else count(result, kind)
}

/**
 * Restores a backup in one transaction, all or none. What is here and equal stays; a formula or batch that differs comes
 * in beside it, once, however often it is restored; a lot, a material or a changed fact that differs is left as it is
 * here, and named. `onProgress` hears the share done, 0 to 1.
 */
export async function restoreBackup(
  backup: Backup,
  pictures: Pictures = {},
  onProgress: (done: number) => void = () => undefined,
): Promise<Restored> {
  const db = await openStore()
  const result: Restored = { added: {}, same: 0, copies: [], kept: [], refused: [] }
  const catalogue = await knownHere(backup)
  const total = Math.max(1, backup.formulas.length + backup.batches.length)
  let done = 0
  const step = () => ++done % 25 === 0 && onProgress(done / total)
  const tx = db.transaction([...STORES], 'readwrite')
  await whole(tx, async (put) => {
    const all: Restoring = { tx, put, result, catalogue, step }
    await restoreFormulas(all, backup)
    await restoreSimple(all, backup)
    await restoreCourses(all, backup)
    await restorePictures(all, pictures)
    await restoreSettings(all, backup)
  })
  onProgress(1)
  return result
}

async function restoreFormulas(all: Restoring, backup: Backup) {
  const { tx, put, result, step } = all
  const formulas = tx.objectStore('formulas')
  const names = (await formulas.getAll()).map((r) => r.formula.name)
  /** What this restore has put: a second record of the same id in one file must find it. */
  const made = new Map<string, FormulaRecord>()
  for (const saved of backup.formulas) {
    const { formula, versions, ...times } = saved
    const place = await placeOf(
      saved.id,
      async (key) => made.get(key) ?? (await formulas.get(key)),
      (here) => (sameFormula(here.formula, formula, here.id !== saved.id) ? 'nothing' : 'another'),
    )
    const name = place.what === 'beside' ? freeName(formula.name, names) : formula.name
    became(result, 'formulas', place.what, name)
    const moved = await restoreVersions(all, versions, place)
    if (place.what !== 'nothing') {
      names.push(name)
      const record = withFrom({ ...times, id: place.id, formula: { ...formula, name }, rev: 1, demo: false }, moved) // prettier-ignore
      made.set(place.id, record)
      put(formulas.put(record))
    }
    step()
  }
}
/** Puts the versions of a formula; gives back where those stand that came in under another id. */
async function restoreVersions(
  { tx, put, result }: Restoring,
  versions: Backup['formulas'][number]['versions'],
  place: { id: string; what: string },
): Promise<ReadonlyMap<string, string>> {
  const store = tx.objectStore('versions')
  const numbers = new Set((await store.index('formulaId').getAll(place.id)).map((v) => v.number))
  const moved = new Map<string, string>()
  for (const v of versions) {
    const at = await placeOf(
      v.id,
      (key) => store.get(key),
      (here) => (here.formulaId === place.id && sameFormula(here.formula, v.formula) ? 'nothing' : 'another'),
    )
    if (at.id !== v.id) moved.set(v.id, at.id)
    if (at.what === 'nothing') continue
    const number = numbers.has(v.number) ? Math.max(...numbers) + 1 : v.number
    numbers.add(number)
    put(store.put({ ...withFrom(v, moved), id: at.id, number, formulaId: place.id }))
    if (place.what === 'nothing') count(result, 'versions')
  }
  return moved
}

async function restoreSimple({ tx, put, result, catalogue }: Restoring, backup: Backup) {
  for (const { kind, id, item, words } of simpleRecords(backup, catalogue)) {
    const store = tx.objectStore(kind)
    const here = await store.get(id)
    if (!here) {
      put(store.put(item))
      count(result, kind)
    } else if (same(here, item)) result.same++
    else result.kept.push(words(here))
  }
}

/** Trials and batches: what brings more goes on where it was. */
async function restoreCourses({ tx, put, result, catalogue, step }: Restoring, backup: Backup) {
  for (const trial of backup.trials) {
    const { what, name } = await putTrial(tx.objectStore('trials'), trial, put)
    became(result, 'trials', what, `Trial ${name}`)
  }
  const stores = { batches: tx.objectStore('batches'), events: tx.objectStore('events') }
  for (const file of backup.batches) {
    const { what, code } = await putCourse(stores, file, catalogue, put)
    became(result, 'batches', what, `Batch ${code}`)
    step()
  }
}

/** Photographs of batches and papers of lots that are here, where none stands yet. */
async function restorePictures({ tx, put, result }: Restoring, { pictures = [], papers = [] }: Pictures) {
  for (const photo of pictures) {
    const of = (await tx.objectStore('batches').getKey(photo.batch)) ?? null
    if (of === null || (await tx.objectStore('pictures').getKey([photo.batch, photo.id]))) continue
    put(tx.objectStore('pictures').put(photo))
    count(result, 'pictures')
  }
  for (const paper of papers) {
    if (!(await tx.objectStore('lots').getKey(paper.lot)) || (await tx.objectStore('files').getKey(paper.lot))) continue // prettier-ignore
    put(tx.objectStore('files').put(paper))
    count(result, 'papers')
  }
}

async function restoreSettings({ tx, put, result }: Restoring, backup: Backup) {
  for (const [key, value] of Object.entries(backup.settings)) {
    if (!CARRIED_SETTINGS.some((k) => k === key) || (await tx.objectStore('settings').getKey(key))) continue
    put(tx.objectStore('settings').put({ key, value }))
    count(result, 'settings')
  }
}

/** A record whose origin came in under another id. */
const withFrom = <T extends { from?: string | undefined }>(
  record: T,
  moved: ReadonlyMap<string, string>,
): T =>
  record.from !== undefined && moved.has(record.from) ? { ...record, from: moved.get(record.from)! } : record

/** Puts a trial where it belongs: new, with more answers in the place of the one that is here, or beside it. */
async function putTrial(
  store: Pick<IDBPObjectStore<OmbletDb, StoreNames<OmbletDb>[], 'trials', 'readwrite'>, 'get' | 'put'>,
  trial: PlannedTrial,
  put: (write: Promise<unknown>) => void,
) {
  const place = await placeOf(
    trial.plan.id,
    (key) => store.get(key),
    (here) => bringsTrial(here, trial),
  )
  if (place.what !== 'nothing') put(store.put({ ...trial, plan: { ...trial.plan, id: place.id } }))
  return { id: place.id, name: trial.name, what: place.what }
}
/** Stores a trial from a file. */
export async function takeInTrial(trial: PlannedTrial) {
  const tx = (await openStore()).transaction('trials', 'readwrite')
  return whole(tx, (put) => putTrial(tx.store, trial, put))
}

/** The catalogue with what is here and what the backup brings: batches name both. */
async function knownHere(backup?: Backup): Promise<Catalogue> {
  const db = await openStore()
  const [own, changes, lots] = await Promise.all([
    db.getAll('materials'),
    db.getAll('changes'),
    db.getAll('lots'),
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
interface Course {
  id: string
  what: 'new' | 'nothing' | 'more' | 'beside'
  code: string
}

/** Puts what a batch file brings where it belongs, inside a transaction over batches and events. */
async function putCourse(
  stores: { batches: StoreOf<'batches'>; events: StoreOf<'events'> },
  saved: BatchFile,
  catalogue: Catalogue,
  put: (write: Promise<unknown>) => void,
): Promise<Course> {
  const place = await placeOf(
    saved.batch.id,
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
  for (const event of events.slice(place.here?.length ?? 0)) put(stores.events.put({ batch: place.id, n: event.n, event })) // prettier-ignore
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
