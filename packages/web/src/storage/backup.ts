import {
  brings,
  bringsTrial,
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
  type PlannedTrial,
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
  const tx = db.transaction(['formulas', 'versions', 'materials', 'lots', 'containers', 'changes', 'batches', 'events', 'trials', 'settings']) // prettier-ignore
  const wanted = ids && new Set(ids)
  const [formulas, versions, materials, lots, containers, changes, heads, events, trials, settings] =
    await Promise.all([
      tx.objectStore('formulas').getAll(),
      tx.objectStore('versions').getAll(),
      tx.objectStore('materials').getAll(),
      ids ? [] : tx.objectStore('lots').getAll(),
      ids ? [] : tx.objectStore('containers').getAll(),
      ids ? [] : tx.objectStore('changes').getAll(),
      ids ? [] : tx.objectStore('batches').getAll(),
      ids ? [] : tx.objectStore('events').getAll(),
      ids ? [] : tx.objectStore('trials').getAll(),
      ids ? [] : tx.objectStore('settings').getAll(),
    ])
  const byFormula = grouped(versions, (v) => v.formulaId)
  const byBatch = grouped(events, (e) => e.batch)
  return {
    savedAt: now,
    settings: Object.fromEntries(settings.flatMap(({ key, value }) => (CARRIED_SETTINGS.some((k) => k === key) ? [[key, value]] : []))), // prettier-ignore
    formulas: formulas
      .filter((r) => !wanted || wanted.has(r.id))
      .map(({ rev: _r, demo: _d, ...record }) => ({
        ...record,
        versions: (byFormula.get(record.id) ?? []).map(
          ({ formulaId: _f, ...version }: VersionRecord) => version,
        ),
      })),
    materials,
    lots,
    containers,
    changes,
    batches: heads.flatMap(({ id, code, name, formulaId, who }) => {
      const own = (byBatch.get(id) ?? []).map((r) => r.event)
      return own[0]?.type === 'start' ? [{ batch: tidyInfo({ id, code, name, formulaId, who }), events: own, photos: [] }] : [] // prettier-ignore
    }),
    trials,
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
  (['formulas', 'materials', 'lots', 'containers', 'changes', 'batches', 'trials'] as const).every(
    (k) => x[k].length === y[k].length,
  )

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
      'trials',
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
    for (const saved of backup.formulas) {
      const { formula, versions, ...times } = saved
      const place = await placeOf(
        saved.id,
        async (key) => made.get(key) ?? (await formulas.get(key)),
        (here) => (sameFormula(here.formula, formula, here.id !== saved.id) ? 'nothing' : 'another'),
      )
      let record: FormulaRecord | null = null
      if (place.what === 'nothing') result.same++
      else {
        const name = place.what === 'beside' ? freeName(formula.name, names) : formula.name
        names.push(name)
        record = { ...times, id: place.id, formula: { ...formula, name }, rev: 1, demo: false }
        if (place.what === 'beside') result.copies.push(name)
        else add('formulas')
      }
      const store = tx.objectStore('versions')
      const numbers = new Set((await store.index('formulaId').getAll(place.id)).map((v) => v.number))
      /** Where a version stands that came in under another id: what was made from it must find it. */
      const moved = new Map<string, string>()
      for (const v of versions) {
        const at = await placeOf(
          v.id,
          (key) => store.get(key),
          (here) =>
            here.formulaId === place.id && sameFormula(here.formula, v.formula) ? 'nothing' : 'another',
        )
        if (at.id !== v.id) moved.set(v.id, at.id)
        if (at.what === 'nothing') continue
        const number = numbers.has(v.number) ? Math.max(...numbers) + 1 : v.number
        numbers.add(number)
        put(store.put({ ...withFrom(v, moved), id: at.id, number, formulaId: place.id }))
        if (place.what === 'nothing') add('versions')
      }
      if (record) {
        record = withFrom(record, moved)
        made.set(place.id, record)
        put(formulas.put(record))
      }
      step()
    }
    for (const { kind, id, item, words } of simpleRecords(backup, catalogue)) {
      const store = tx.objectStore(kind)
      const here = await store.get(id)
      if (!here) {
        put(store.put(item))
        add(kind)
      } else if (same(here, item)) result.same++
      else result.kept.push(words(here))
    }
    for (const trial of backup.trials) {
      const { what, name } = await putTrial(tx.objectStore('trials'), trial, put)
      if (what === 'nothing') result.same++
      else if (what === 'beside') result.copies.push(`Trial ${name}`)
      else add('trials')
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

/** A record whose origin came in under another id. */
const withFrom = <T extends { from?: string | undefined }>(
  record: T,
  moved: ReadonlyMap<string, string>,
): T =>
  record.from !== undefined && moved.has(record.from) ? { ...record, from: moved.get(record.from)! } : record

/** Records that are here, or not, or are left as they are here: each with its place and how a sentence tells it. */
function simpleRecords(backup: Backup, catalogue: Catalogue) {
  const of = <K extends 'materials' | 'lots' | 'containers' | 'changes'>(
    kind: K,
    words: (file: Backup[K][number], here: Backup[K][number]) => string,
  ) =>
    (backup[kind] as Backup[K][number][]).map((item) => ({
      kind,
      id: item.id,
      item,
      words: (here: unknown) => words(item, here as Backup[K][number]),
    }))
  return [
    ...of('materials', (m) => `Material ${m.name}`),
    ...of(
      'lots',
      (l, here) =>
        `Lot of ${catalogue.find(l.material)?.name ?? l.material}: ${lotWords(here)} here, ${lotWords(l)} in the backup`,
    ),
    ...of('containers', (c, here) => `${c.name}: ${here.left} here, ${c.left} in the backup`),
    ...of('changes', (c) => `Own figures of ${catalogue.find(c.id)?.name ?? c.id}`),
  ]
}

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
