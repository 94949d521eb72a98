import { restore as texts } from '#words/storage'
import {
  BatchInfo,
  BatchEvent,
  freeName,
  leftOf,
  resolveImport,
  same,
  sameFormula,
  safeId,
  SavedVersion,
  StockEntry,
  Trial,
  withIds,
  type Backup,
  type BatchFile,
  type Catalogue,
  type Moved,
  type Refused,
} from '@omblet/core'
import type { IDBPTransaction } from 'idb'
import { openStore, whole } from './db'
import { simpleRecords } from './simple-records'
import { knownHere, putCourse, putTrial } from './take-in'
import type { FormulaRecord, LotFile, OmbletDb, PhotoRecord } from './schema'
import { CARRIED, isCarried } from './settings'
import { containerIn, entriesOf, lotIn, putContainerIn, putLotIn, takenId, type StockOf } from './stock'

export type Kind =
  | 'formulas'
  | 'versions'
  | 'materials'
  | 'lots'
  | 'containers'
  | 'changes'
  | 'batches'
  | 'trials'
  | 'pictures'
  | 'papers'
  | 'settings'

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
  /** Where records came in under another id: whatever names them follows. */
  moved: { [K in 'formula' | 'version' | 'batch' | 'trial']: Map<string, string> }
  /** Ids of the versions that this restore put. */
  newVersions: Set<string>
}
const STORES = [
  'formulas',
  'versions',
  'materials',
  'lots',
  'containers',
  'stock',
  'changes',
  'files',
  'batches',
  'events',
  'trials',
  'pictures',
  'settings',
] as const
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
  const total = Math.max(1, backup.formulas.length + backup.batches.length + (pictures.pictures?.length ?? 0))
  let done = 0
  const step = () => ++done % 25 === 0 && onProgress(done / total)
  const moved = { formula: new Map(), version: new Map(), batch: new Map(), trial: new Map() }
  const tx = db.transaction([...STORES], 'readwrite')
  await whole(tx, async (put) => {
    const all: Restoring = { tx, put, result, catalogue, step, moved, newVersions: new Set() }
    await restoreFormulas(all, backup)
    await restoreCourses(all, backup)
    await restoreSimple(all, backup)
    await restorePictures(all, pictures)
    await restoreSettings(all, backup)
  })
  onProgress(1)
  return result
}

async function restoreFormulas(all: Restoring, backup: Backup) {
  const { tx, put, result, step, moved } = all
  const formulas = tx.objectStore('formulas')
  const names = (await formulas.getAll()).map((r) => r.formula.name)
  /** What this restore has put: a second record of the same id in one file must find it. */
  const made = new Map<string, FormulaRecord>()
  const examples = (await formulas.getAll()).filter((r) => r.demo)
  for (const saved of backup.formulas) {
    const { formula, versions, from, ...times } = saved
    // an example that nobody changed is the same example on every machine; one that was changed takes its place
    const example = examples.find((e) => sameFormula(e.formula, formula))
    const place = await resolveImport(
      safeId(example?.id ?? saved.id),
      async (key) => made.get(key) ?? (await formulas.get(key)),
      (here) =>
        sameFormula(here.formula, formula, here.id !== saved.id) ? 'nothing' : here.demo ? 'more' : 'another',
    )
    moved.formula.set(saved.id, place.id)
    const name = place.what === 'beside' ? freeName(formula.name, names) : formula.name
    became(result, 'formulas', place.what, name)
    await restoreVersions(all, versions, place)
    if (place.what !== 'nothing') {
      names.push(name)
      const origin = from === undefined ? {} : { from: moved.version.get(from) ?? from }
      const record = { ...times, ...origin, id: place.id, formula: { ...formula, name }, rev: 1, demo: false }
      made.set(place.id, record)
      put(formulas.put(record))
    }
    step()
  }
}
/** Puts the versions of a formula: where each goes is known before any is put, so that what names another follows it. */
async function restoreVersions(
  { tx, put, result, moved, newVersions }: Restoring,
  versions: Backup['formulas'][number]['versions'],
  place: { id: string; what: string },
) {
  const store = tx.objectStore('versions')
  const numbers = new Set((await store.index('formulaId').getAll(place.id)).map((v) => v.number))
  const places = []
  for (const v of versions) {
    const at = await resolveImport(
      safeId(v.id),
      (key) => store.get(key),
      (here) => (here.formulaId === place.id && sameFormula(here.formula, v.formula) ? 'nothing' : 'another'),
    )
    moved.version.set(v.id, at.id)
    places.push({ v, at })
  }
  for (const { v, at } of places) {
    if (at.what === 'nothing') continue
    const number = numbers.has(v.number) ? Math.max(...numbers) + 1 : v.number
    numbers.add(number)
    const told = withIds(SavedVersion, v, { version: moved.version })
    put(store.put({ ...told, id: at.id, number, formulaId: place.id }))
    newVersions.add(at.id)
    if (place.what === 'nothing') count(result, 'versions')
  }
}

async function restoreSimple(all: Restoring, backup: Backup) {
  const { tx, put, result, catalogue } = all
  for (const { kind, id, item, words } of simpleRecords(backup, catalogue)) {
    const here =
      kind === 'lots'
        ? await lotIn(tx, id)
        : kind === 'containers'
          ? await containerIn(tx, id)
          : await tx.objectStore(kind).get(id)
    if (here) {
      if (same(here, item)) result.same++
      else result.kept.push(words(here))
      continue
    }
    count(result, kind)
    if (kind === 'lots') {
      putLotIn(tx, item, 0, { id: '', at: '' }, put)
      await restoreStock(all, 'lot', id, item.leftGrams, backup)
    } else if (kind === 'containers') {
      putContainerIn(tx, item, 0, { id: '', at: '' }, put)
      await restoreStock(all, 'container', id, item.left, backup)
    } else put(tx.objectStore(kind).put(item))
  }
}
/** What is left of something new: by its own entries where they add up to it, else by one that counts it. */
async function restoreStock(
  { tx, put, moved }: Restoring,
  of: StockOf,
  item: string,
  left: number,
  { stock, savedAt }: Backup,
) {
  const store = tx.objectStore('stock')
  for (const old of await entriesOf(tx, of, item)) put(store.delete(old.id))
  const own = stock
    .filter((e) => e.of === of && e.item === item)
    .map((e) => {
      const entry = withIds(StockEntry, e, moved)
      const { batch, n, at } = entry
      return batch === undefined || n === undefined ? entry : { ...entry, id: takenId(of, batch, { n, at }) }
    })
  const counted = { id: `${of} ${item} restored`, of, item, amount: left, at: savedAt }
  const whole = own.length > 0 && Math.abs(leftOf(own) - left) < 1e-6
  for (const entry of whole ? own : [counted]) put(store.put(entry))
}

/** Batches, then the trials that name them: what brings more goes on where it was. */
async function restoreCourses(all: Restoring, backup: Backup) {
  const { tx, put, result, catalogue, step, moved } = all
  const stores = { batches: tx.objectStore('batches'), events: tx.objectStore('events') }
  for (const file of backup.batches) {
    const { id, what, code } = await putCourse(stores, withMoved(file, moved), catalogue, put)
    moved.batch.set(file.batch.id, id)
    became(result, 'batches', what, texts.batch(code))
    step()
  }
  for (const trial of backup.trials) {
    const { id, what, name } = await putTrial(tx.objectStore('trials'), withIds(Trial, trial, moved), put)
    moved.trial.set(trial.plan.id, id)
    became(result, 'trials', what, texts.trial(name))
  }
  await followLate(all, backup)
}
/** A batch file whose references follow what moved. */
const withMoved = (file: BatchFile, moved: Moved): BatchFile => ({
  ...file,
  batch: withIds(BatchInfo, file.batch, moved),
  events: file.events.map((e) => withIds(BatchEvent, e, moved)),
})
/** Versions name batches and trials, which come in after them: those that this restore put follow where these went. */
async function followLate({ tx, put, moved, newVersions }: Restoring, backup: Backup) {
  const { batch, trial } = moved
  for (const { versions } of backup.formulas)
    for (const v of versions) {
      const id = moved.version.get(v.id) ?? v.id
      const here = newVersions.has(id) ? await tx.objectStore('versions').get(id) : undefined
      if (here) put(tx.objectStore('versions').put(withIds(SavedVersion, here, { batch, trial })))
    }
}

/** Photographs of batches and papers of lots that are here, where none stands yet. */
async function restorePictures(
  { tx, put, result, moved, step }: Restoring,
  { pictures = [], papers = [] }: Pictures,
) {
  for (const photo of pictures) {
    const batch = moved.batch.get(photo.batch) ?? photo.batch
    const of = (await tx.objectStore('batches').getKey(batch)) ?? null
    if (of !== null && !(await tx.objectStore('pictures').getKey([batch, photo.id]))) {
      put(tx.objectStore('pictures').put({ ...photo, batch }))
      count(result, 'pictures')
    }
    step()
  }
  for (const paper of papers) {
    if (
      !(await tx.objectStore('lots').getKey(paper.lot)) ||
      (await tx.objectStore('files').getKey(paper.lot))
    )
      continue
    put(tx.objectStore('files').put(paper))
    count(result, 'papers')
  }
}

async function restoreSettings({ tx, put, result }: Restoring, backup: Backup) {
  for (const [key, value] of Object.entries(backup.settings)) {
    if (!isCarried(key) || (await tx.objectStore('settings').getKey(key))) continue
    const read = CARRIED[key].safeParse(value)
    if (!read.success) {
      result.refused.push({ what: texts.theSetting(key), why: texts.itIsNotWhatIt })
      continue
    }
    put(tx.objectStore('settings').put({ key, value }))
    count(result, 'settings')
  }
}
