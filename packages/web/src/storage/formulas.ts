import type { Backup, BatchHead, BenchEvent, Formula } from '@omblet/core'
import { besides, brings } from './batches'
import { openStore } from './db'
import type { FormulaRecord, VersionRecord } from './schema'

/** Somebody else wrote since this copy was read. */
export class ConflictError extends Error {
  readonly current: FormulaRecord
  constructor(current: FormulaRecord) {
    super('The formula was changed elsewhere.')
    this.name = 'ConflictError'
    this.current = current
  }
}

/** The formula was deleted elsewhere. */
export class GoneError extends Error {}

export async function listFormulas(): Promise<FormulaRecord[]> {
  const db = await openStore()
  return (await db.getAllFromIndex('formulas', 'updatedAt')).reverse()
}

export const getFormula = async (id: string): Promise<FormulaRecord | undefined> =>
  (await openStore()).get('formulas', id)

/**
 * Writes a formula if nobody wrote since revision `base`; throws `ConflictError` with what is stored otherwise.
 * `base` 0 creates. Checked and written in one transaction, so that two tabs cannot pass each other.
 */
export async function saveFormula(
  id: string,
  formula: Formula,
  base: number,
  now: string,
): Promise<FormulaRecord> {
  const db = await openStore()
  const tx = db.transaction('formulas', 'readwrite')
  const current = await tx.store.get(id)
  if (current && current.rev !== base) {
    await tx.done
    throw new ConflictError(current)
  }
  if (!current && base > 0) {
    await tx.done
    throw new GoneError()
  }
  const record: FormulaRecord = {
    id,
    formula,
    rev: base + 1,
    createdAt: current?.createdAt ?? now,
    updatedAt: now,
    demo: false,
  }
  await Promise.all([tx.store.put(record), tx.done])
  return record
}

/** Puts whole records back or adds them, all or none. */
export async function putRecords(records: readonly FormulaRecord[], versions: readonly VersionRecord[] = []) {
  const db = await openStore()
  const tx = db.transaction(['formulas', 'versions'], 'readwrite')
  await Promise.all([
    ...records.map((record) => tx.objectStore('formulas').put(record)),
    ...versions.map((version) => tx.objectStore('versions').put(version)),
    tx.done,
  ])
}

/** Deletes formulas with their versions and returns everything needed to undo it. */
export async function deleteFormulas(ids: readonly string[]) {
  const db = await openStore()
  const tx = db.transaction(['formulas', 'versions'], 'readwrite')
  const formulas: FormulaRecord[] = []
  const versions: VersionRecord[] = []
  for (const id of ids) {
    const record = await tx.objectStore('formulas').get(id)
    if (!record) continue
    formulas.push(record)
    await tx.objectStore('formulas').delete(id)
    for (const version of await tx.objectStore('versions').index('formulaId').getAll(id)) {
      versions.push(version)
      await tx.objectStore('versions').delete(version.id)
    }
  }
  await tx.done
  return { formulas, versions }
}

export async function listVersions(formulaId: string): Promise<VersionRecord[]> {
  const db = await openStore()
  const all = await db.getAllFromIndex('versions', 'formulaId', formulaId)
  return all.sort((a, b) => b.number - a.number)
}

/** Saves a snapshot under the next number. */
export async function addVersion(formulaId: string, formula: Formula, name: string, id: string, now: string) {
  const db = await openStore()
  const tx = db.transaction('versions', 'readwrite')
  const numbers = (await tx.store.index('formulaId').getAll(formulaId)).map((v) => v.number)
  const record: VersionRecord = {
    id,
    formulaId,
    number: Math.max(0, ...numbers) + 1,
    name,
    savedAt: now,
    formula,
  }
  await Promise.all([tx.store.put(record), tx.done])
  return record
}

export async function renameVersion(id: string, name: string) {
  const db = await openStore()
  const record = await db.get('versions', id)
  if (record) await db.put('versions', { ...record, name })
}

export async function getSetting<T>(key: string): Promise<T | undefined> {
  return (await (await openStore()).get('settings', key))?.value as T | undefined
}
export const setSetting = async (key: string, value: unknown) => {
  await (await openStore()).put('settings', { key, value })
}

/** Everything, or the formulas of these ids, as a backup. */
export async function collectBackup(now: string, ids?: readonly string[]): Promise<Backup> {
  const db = await openStore()
  const tx = db.transaction(['formulas', 'versions', 'materials', 'lots', 'changes', 'batches', 'events'])
  const records = (await tx.objectStore('formulas').getAll()).filter((r) => !ids || ids.includes(r.id))
  const versions = await tx.objectStore('versions').getAll()
  const materials = await tx.objectStore('materials').getAll()
  const lots = ids ? [] : await tx.objectStore('lots').getAll()
  const changes = ids ? [] : await tx.objectStore('changes').getAll()
  const heads = ids ? [] : await tx.objectStore('batches').getAll()
  const events = ids ? [] : await tx.objectStore('events').getAll()
  const byBatch = new Map<string, BenchEvent[]>()
  for (const { batch, event } of events) {
    const own = byBatch.get(batch)
    if (own) own.push(event)
    else byBatch.set(batch, [event])
  }
  return {
    savedAt: now,
    formulas: records.map(({ id, createdAt, updatedAt, formula }) => ({
      id,
      createdAt,
      updatedAt,
      formula,
      versions: versions
        .filter((v) => v.formulaId === id)
        .map((v) => ({ id: v.id, number: v.number, name: v.name, savedAt: v.savedAt, formula: v.formula })),
    })),
    materials,
    lots,
    changes,
    batches: heads.flatMap(({ id, code, name, formulaId, who }) => {
      const own = byBatch.get(id)
      return own ? [{ batch: { id, code, name, formulaId, who }, events: own, photos: [] }] : []
    }),
  }
}

export interface Restored {
  added: number
  same: number
  copies: number
}

/**
 * Restores a backup in one transaction. What is here already and equal stays; what is here and differs is kept,
 * and the backup's comes in beside it as a copy with another name.
 */
export async function restoreBackup(
  backup: Backup,
  makeId: () => string,
  nameCopy: (name: string, taken: string[]) => string,
  head: (batch: Backup['batches'][number]) => BatchHead,
): Promise<Restored> {
  const db = await openStore()
  const tx = db.transaction(
    ['formulas', 'versions', 'materials', 'lots', 'changes', 'batches', 'events'],
    'readwrite',
  )
  const formulas = tx.objectStore('formulas')
  const result: Restored = { added: 0, same: 0, copies: 0 }
  const names = (await formulas.getAll()).map((r) => r.formula.name)
  const writes: Promise<unknown>[] = []
  for (const { id, createdAt, updatedAt, formula, versions } of backup.formulas) {
    const here = await formulas.get(id)
    if (here && JSON.stringify(here.formula) === JSON.stringify(formula)) {
      result.same++
      continue
    }
    const target = here ? makeId() : id
    const name = here ? nameCopy(formula.name, names) : formula.name
    names.push(name)
    writes.push(
      formulas.put({ id: target, formula: { ...formula, name }, rev: 1, createdAt, updatedAt, demo: false }),
    )
    for (const v of versions) {
      writes.push(tx.objectStore('versions').put({ ...v, id: here ? makeId() : v.id, formulaId: target }))
    }
    if (here) result.copies++
    else result.added++
  }
  for (const material of backup.materials) {
    if (!(await tx.objectStore('materials').get(material.id)))
      writes.push(tx.objectStore('materials').put(material))
  }
  for (const lot of backup.lots) {
    if (!(await tx.objectStore('lots').get(lot.id))) writes.push(tx.objectStore('lots').put(lot))
  }
  for (const change of backup.changes) {
    if (!(await tx.objectStore('changes').get(change.id))) writes.push(tx.objectStore('changes').put(change))
  }
  for (const saved of backup.batches) {
    const range = IDBKeyRange.bound([saved.batch.id, 0], [saved.batch.id, Infinity])
    const here = (await tx.objectStore('events').getAll(range)).map((r) => r.event)
    const what = brings(here, saved.events)
    if (what === 'nothing') continue
    const file = what === 'another' ? besides(saved, makeId()) : saved
    writes.push(tx.objectStore('batches').put(head(file)))
    for (const event of file.events)
      writes.push(tx.objectStore('events').put({ batch: file.batch.id, n: event.n, event }))
  }
  await Promise.all([...writes, tx.done])
  return result
}
