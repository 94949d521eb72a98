import { common } from '#words/common'
import { formulas as texts } from '#words/storage'
import { sameFormula, type Formula, type VersionStory } from '@omblet/core'
import { toBin } from './bin'
import { openStore, whole } from './db'
import type { IDBPTransaction } from 'idb'
import type { FormulaRecord, OmbletDb, VersionRecord } from './schema'

/** Somebody else wrote since this copy was read. */
export class ConflictError extends Error {
  readonly current: FormulaRecord
  constructor(current: FormulaRecord) {
    super(texts.theFormulaWasChangedElsewhere)
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
    ...(current?.from === undefined ? {} : { from: current.from }),
  }
  await Promise.all([tx.store.put(record), tx.done])
  return record
}

/** Adds whole records, all or none; what stands under one of their ids stays. */
export async function addRecords(records: readonly FormulaRecord[]) {
  const db = await openStore()
  const tx = db.transaction('formulas', 'readwrite')
  await whole(tx, async (put) => {
    for (const record of records) if (!(await tx.store.getKey(record.id))) put(tx.store.put(record))
  })
}

/** Moves formulas with their versions to the bin and gives back where each lies there. */
export async function deleteFormulas(
  ids: readonly string[],
  now: string,
  makeId: () => string,
  forGood = false,
): Promise<string[]> {
  const db = await openStore()
  const tx = db.transaction(['formulas', 'versions', 'bin'], 'readwrite')
  return whole(tx, async (put) => {
    const bins: string[] = []
    for (const id of ids) {
      const formula = await tx.objectStore('formulas').get(id)
      if (!formula) continue
      const versions = await tx.objectStore('versions').index('formulaId').getAll(id)
      const bin = toBin(
        { kind: 'formula', formula, versions },
        formula.formula.name || common.unnamedFormula,
        now,
        makeId,
      )
      if (!forGood) put(tx.objectStore('bin').put(bin))
      put(tx.objectStore('formulas').delete(id))
      for (const version of versions) put(tx.objectStore('versions').delete(version.id))
      bins.push(bin.id)
    }
    return bins
  })
}

export async function listVersions(formulaId: string): Promise<VersionRecord[]> {
  const db = await openStore()
  const all = await db.getAllFromIndex('versions', 'formulaId', formulaId)
  return all.sort((a, b) => b.number - a.number)
}

/**
 * Saves a snapshot under the next number, with what is told of it. It comes from the version that the sheet went on from;
 * where it is the sheet as it stands, that goes on from it.
 */
export async function addVersion(
  formulaId: string,
  formula: Formula,
  name: string,
  id: string,
  now: string,
  story: VersionStory = {},
) {
  const db = await openStore()
  const tx = db.transaction(['formulas', 'versions'], 'readwrite')
  return whole(tx, (put) => putVersion(tx, { formulaId, formula, name, id, now, story }, put))
}

/** A version that is to be saved. */
export interface NewVersion {
  formulaId: string
  formula: Formula
  name: string
  id: string
  now: string
  story?: VersionStory
}
/** Saves a version inside a transaction over formulas and versions. */
export async function putVersion(
  within: object,
  { formulaId, formula, name, id, now, story = {} }: NewVersion,
  put: (write: Promise<unknown>) => void,
): Promise<VersionRecord> {
  const tx = within as IDBPTransaction<OmbletDb, ('formulas' | 'versions')[], 'readwrite'>
  const versions = await tx.objectStore('versions').index('formulaId').getAll(formulaId)
  const sheet = await tx.objectStore('formulas').get(formulaId)
  const from = story.from ?? sheet?.from
  const record: VersionRecord = {
    ...story,
    id,
    formulaId,
    number: Math.max(0, ...versions.map((v) => v.number)) + 1,
    name,
    savedAt: now,
    formula,
    ...(from !== undefined && versions.some((v) => v.id === from) ? { from } : {}),
  }
  put(tx.objectStore('versions').put(record))
  if (sheet && sameFormula(sheet.formula, formula))
    put(tx.objectStore('formulas').put({ ...sheet, from: id }))
  return record
}

/** Changes what is told of a version: its name, why it was made, what came of it. */
export async function tellVersion(id: string, told: VersionStory & { name?: string }) {
  const db = await openStore()
  const tx = db.transaction('versions', 'readwrite')
  const record = await tx.store.get(id)
  if (record) await tx.store.put({ ...record, ...told })
  await tx.done
}
/** Remembers that the sheet goes on from a version. */
export async function goOnFrom(formulaId: string, version: string) {
  const db = await openStore()
  const tx = db.transaction('formulas', 'readwrite')
  const record = await tx.store.get(formulaId)
  if (record) await tx.store.put({ ...record, from: version })
  await tx.done
}
