import {
  brings,
  freeName,
  knownCatalogue,
  besideBatch,
  headOfFile,
  placeOf,
  readFile,
  same,
  sameFormula,
  tidyInfo,
  withOwn,
  writeBackup,
  type Backup,
  type BatchFile,
  type Catalogue,
  type Lot,
  type Refused,
} from '@omblet/core'
import type { IDBPObjectStore, StoreNames } from 'idb'
import { openStore, whole } from './db'
import { ofBatch } from './batches'
import type { FormulaRecord, LotFile, OmbletDb, PhotoRecord, VersionRecord } from './schema'

/** Settings that a backup carries: what is true of the maker and their tools, not of this browser. */
export const CARRIED_SETTINGS = ['tools', 'who', 'forgotten'] as const

/** Everything, or the formulas of these ids, as a backup; entries without a batch are left to the place where they are shown. */
export async function collectBackup(now: string, ids?: readonly string[]): Promise<Backup> {
  const db = await openStore()
  const tx = db.transaction(['formulas', 'versions', 'materials', 'lots', 'containers', 'changes', 'batches', 'events', 'settings']) // prettier-ignore
  const wanted = ids && new Set(ids)
  const [formulas, versions, materials, lots, containers, changes, heads, events, settings] =
    await Promise.all([
      tx.objectStore('formulas').getAll(),
      tx.objectStore('versions').getAll(),
      tx.objectStore('materials').getAll(),
      ids ? [] : tx.objectStore('lots').getAll(),
      ids ? [] : tx.objectStore('containers').getAll(),
      ids ? [] : tx.objectStore('changes').getAll(),
      ids ? [] : tx.objectStore('batches').getAll(),
      ids ? [] : tx.objectStore('events').getAll(),
      ids ? [] : tx.objectStore('settings').getAll(),
    ])
  const byFormula = grouped(versions, (v) => v.formulaId)
  const byBatch = grouped(events, (e) => e.batch)
  return {
    savedAt: now,
    settings: Object.fromEntries(settings.flatMap(({ key, value }) => (CARRIED_SETTINGS.some((k) => k === key) ? [[key, value]] : []))), // prettier-ignore
    formulas: formulas
      .filter((r) => !wanted || wanted.has(r.id))
      .map(({ id, createdAt, updatedAt, formula }) => ({
        id,
        createdAt,
        updatedAt,
        formula,
        versions: (byFormula.get(id) ?? []).map((v: VersionRecord) => ({ id: v.id, number: v.number, name: v.name, savedAt: v.savedAt, formula: v.formula })), // prettier-ignore
      })),
    materials,
    lots,
    containers,
    changes,
    batches: heads.flatMap(({ id, code, name, formulaId, who }) => {
      const own = (byBatch.get(id) ?? []).map((r) => r.event)
      return own[0]?.type === 'start' ? [{ batch: tidyInfo({ id, code, name, formulaId, who }), events: own, photos: [] }] : [] // prettier-ignore
    }),
  }
}

function grouped<T>(items: readonly T[], key: (item: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>()
  for (const item of items) {
    const group = groups.get(key(item))
    if (group) group.push(item)
    else groups.set(key(item), [item])
  }
  return groups
}

export interface WrittenBackup {
  text: string
  /** Records that this very text could not be restored from. */
  unsound: Refused[]
}

/** The text of a backup, read again before it is called one: whether all of it would come back, and what would not. */
export function writtenBackup(backup: Backup): WrittenBackup {
  const text = writeBackup(backup)
  const read = readFile(text)
  if (read.kind !== 'backup') throw new Error('A backup was written that is none.')
  const unsound = [...read.refused]
  if (unsound.length === 0 && !same({ ...read.backup }, { ...backup }) && !sameRecords(read.backup, backup))
    unsound.push({ what: 'The backup', why: 'it does not read as it was written.' })
  return { text, unsound }
}
/** Whether the same records stand in both; a name that was too long may have been cut. */
const sameRecords = (x: Backup, y: Backup) =>
  (['formulas', 'materials', 'lots', 'containers', 'changes', 'batches'] as const).every(
    (k) => x[k].length === y[k].length,
  )

export type Kind = 'formulas' | 'versions' | 'materials' | 'lots' | 'containers' | 'changes' | 'batches' | 'pictures' | 'papers' | 'settings' // prettier-ignore

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

const lotWords = (l: Lot) => `${Number(l.leftGrams.toFixed(2))} g`

/**
 * Restores a backup in one transaction, all or none. What is here and equal stays; a formula or batch that differs comes
 * in beside it, once, however often it is restored; a lot, a material or a changed fact that differs is left as it is
 * here, and named. `onProgress` hears the share done, 0 to 1.
 */
export async function restoreBackup(
  backup: Backup,
  { pictures = [], papers = [] }: Pictures = {},
  onProgress: (done: number) => void = () => undefined,
): Promise<Restored> {
  const db = await openStore()
  const result: Restored = { added: {}, same: 0, copies: [], kept: [], refused: [] }
  const add = (kind: Kind) => (result.added[kind] = (result.added[kind] ?? 0) + 1)
  const catalogue = await knownHere(backup)
  const tx = db.transaction(
    [
      'formulas',
      'versions',
      'materials',
      'lots',
      'containers',
      'changes',
      'files',
      'batches',
      'events',
      'pictures',
      'settings',
    ],
    'readwrite',
  )
  await whole(tx, async (put) => {
    const total = Math.max(1, backup.formulas.length + backup.batches.length)
    let done = 0
    const step = () => ++done % 25 === 0 && onProgress(done / total)
    const formulas = tx.objectStore('formulas')
    const names = (await formulas.getAll()).map((r) => r.formula.name)
    /** What this restore has put: a second record of the same id in one file must find it. */
    const made = new Map<string, FormulaRecord>()
    for (const { id, createdAt, updatedAt, formula, versions } of backup.formulas) {
      const place = await placeOf(
        id,
        async (key) => made.get(key) ?? (await formulas.get(key)),
        (here) => (sameFormula(here.formula, formula, here.id !== id) ? 'nothing' : 'another'),
      )
      if (place.what === 'nothing') result.same++
      else {
        const name = place.what === 'beside' ? freeName(formula.name, names) : formula.name
        names.push(name)
        const record: FormulaRecord = { id: place.id, formula: { ...formula, name }, rev: 1, createdAt, updatedAt, demo: false } // prettier-ignore
        made.set(place.id, record)
        put(formulas.put(record))
        if (place.what === 'beside') result.copies.push(name)
        else add('formulas')
      }
      const numbers = new Set((await tx.objectStore('versions').index('formulaId').getAll(place.id)).map((v) => v.number)) // prettier-ignore
      for (const v of versions) {
        const at = await placeOf(
          v.id,
          (key) => tx.objectStore('versions').get(key),
          (here) =>
            here.formulaId === place.id && sameFormula(here.formula, v.formula) ? 'nothing' : 'another',
        )
        if (at.what === 'nothing') continue
        const number = numbers.has(v.number) ? Math.max(...numbers) + 1 : v.number
        numbers.add(number)
        put(tx.objectStore('versions').put({ ...v, id: at.id, number, formulaId: place.id }))
        if (place.what === 'nothing') add('versions')
      }
      step()
    }
    for (const material of backup.materials) {
      const here = await tx.objectStore('materials').get(material.id)
      if (!here) {
        put(tx.objectStore('materials').put(material))
        add('materials')
      } else if (same(here, material)) result.same++
      else result.kept.push(`Material ${material.name}`)
    }
    for (const lot of backup.lots) {
      const here = await tx.objectStore('lots').get(lot.id)
      if (!here) {
        put(tx.objectStore('lots').put(lot))
        add('lots')
      } else if (same(here, lot)) result.same++
      else result.kept.push(`Lot of ${catalogue.find(lot.material)?.name ?? lot.material}: ${lotWords(here)} here, ${lotWords(lot)} in the backup`) // prettier-ignore
    }
    for (const container of backup.containers) {
      const here = await tx.objectStore('containers').get(container.id)
      if (!here) {
        put(tx.objectStore('containers').put(container))
        add('containers')
      } else if (same(here, container)) result.same++
      else result.kept.push(`${container.name}: ${here.left} here, ${container.left} in the backup`)
    }
    for (const change of backup.changes) {
      const here = await tx.objectStore('changes').get(change.id)
      if (!here) {
        put(tx.objectStore('changes').put(change))
        add('changes')
      } else if (same(here, change)) result.same++
      else result.kept.push(`Own figures of ${catalogue.find(change.id)?.name ?? change.id}`)
    }
    for (const file of backup.batches) {
      const place = await putCourse(
        { batches: tx.objectStore('batches'), events: tx.objectStore('events') },
        file,
        catalogue,
        put,
      )
      if (place.what === 'nothing') result.same++
      else if (place.what === 'beside') result.copies.push(`Batch ${place.code}`)
      else add('batches')
      step()
    }
    for (const photo of pictures) {
      const of = (await tx.objectStore('batches').getKey(photo.batch)) ?? null
      if (of === null || (await tx.objectStore('pictures').getKey([photo.batch, photo.id]))) continue
      put(tx.objectStore('pictures').put(photo))
      add('pictures')
    }
    for (const paper of papers) {
      if (!(await tx.objectStore('lots').getKey(paper.lot)) || (await tx.objectStore('files').getKey(paper.lot))) continue // prettier-ignore
      put(tx.objectStore('files').put(paper))
      add('papers')
    }
    for (const [key, value] of Object.entries(backup.settings)) {
      if (!CARRIED_SETTINGS.some((k) => k === key) || (await tx.objectStore('settings').getKey(key))) continue
      put(tx.objectStore('settings').put({ key, value }))
      add('settings')
    }
  })
  onProgress(1)
  return result
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
