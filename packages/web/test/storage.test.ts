import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { freeName, type BatchFile, type BatchHead, type Formula } from '@omblet/core'
import { openDB } from 'idb'
import { beforeEach, describe, expect, it } from 'vitest'
import { closeStore, explainStorage, openStore } from '../src/storage/db'
import {
  addVersion,
  collectBackup,
  ConflictError,
  deleteFormulas,
  getFormula,
  GoneError,
  listFormulas,
  listVersions,
  putRecords,
  restoreBackup,
  saveFormula,
} from '../src/storage/formulas'
import {
  deleteChange,
  deleteLot,
  listChanges,
  listLots,
  putShelf,
  saveChange,
  saveLot,
} from '../src/storage/shelf'
import { DB_NAME, DB_VERSION, UPGRADES } from '../src/storage/schema'

const formula = (name: string): Formula => ({
  format: 'omblet-formula',
  formatVersion: 1,
  name,
  product: { kind: 'toner', site: 'face', rinse: 'leave-on', region: 'EU' },
  batchGrams: 100,
  phases: [{ name: 'Water', role: 'water', lines: [{ material: 'aqua', fill: true }] }],
})
const AT = '2026-03-01T10:00:00.000Z'
let n = 0
const makeId = () => `id-${n++}`

beforeEach(async () => {
  await closeStore()
  globalThis.indexedDB = new IDBFactory()
})

describe('the store', () => {
  it('brings a store of the first version up to date and keeps its formulas', async () => {
    const old = await openDB(DB_NAME, 1, {
      upgrade: (db, _old, _new, tx) => void UPGRADES[0]!(db as never, tx as never),
    })
    await old.put('formulas', { id: 'f1', formula: formula('Old Pier'), updatedAt: AT })
    await old.put('settings', { key: 'demoOffered', value: true })
    old.close()
    const db = await openStore()
    expect(db.version).toBe(DB_VERSION)
    expect([...db.objectStoreNames]).toEqual([
      'batches',
      'changes',
      'events',
      'files',
      'formulas',
      'lots',
      'materials',
      'photos',
      'settings',
      'versions',
    ])
    expect(await getFormula('f1')).toEqual({
      id: 'f1',
      formula: formula('Old Pier'),
      rev: 1,
      createdAt: AT,
      updatedAt: AT,
      demo: false,
    })
    expect(await db.get('settings', 'demoOffered')).toEqual({ key: 'demoOffered', value: true })
  })

  it('opens every version that was ever released', async () => {
    for (let version = 1; version <= DB_VERSION; version++) {
      globalThis.indexedDB = new IDBFactory()
      const old = await openDB(DB_NAME, version, {
        async upgrade(db, _old, _new, tx) {
          for (let v = 0; v < version; v++) await UPGRADES[v]!(db as never, tx as never)
        },
      })
      old.close()
      expect((await openStore()).version).toBe(DB_VERSION)
      await closeStore()
    }
  })

  it('lets the second of two writers know that it is behind, and loses nothing', async () => {
    const first = await saveFormula('f1', formula('Mine'), 0, AT)
    await saveFormula('f1', formula('Theirs'), first.rev, AT)
    const late = await saveFormula('f1', formula('Mine again'), first.rev, AT).catch((e: unknown) => e)
    expect(late).toBeInstanceOf(ConflictError)
    expect((late as ConflictError).current.formula.name).toBe('Theirs')
    expect((await getFormula('f1'))!.formula.name).toBe('Theirs')
  })

  it('of two writers at the same time lets one win', async () => {
    const { rev } = await saveFormula('f1', formula('Start'), 0, AT)
    const results = await Promise.allSettled(
      ['A', 'B'].map((name) => saveFormula('f1', formula(name), rev, AT)),
    )
    expect(results.map((r) => r.status).sort()).toEqual(['fulfilled', 'rejected'])
  })

  it('does not bring a deleted formula back by a late write', async () => {
    const { rev } = await saveFormula('f1', formula('Gone'), 0, AT)
    await deleteFormulas(['f1'])
    await expect(saveFormula('f1', formula('Gone'), rev, AT)).rejects.toBeInstanceOf(GoneError)
    expect(await listFormulas()).toEqual([])
  })

  it('undoes a deletion with its versions', async () => {
    await saveFormula('f1', formula('Kept'), 0, AT)
    await addVersion('f1', formula('Kept'), 'first', 'v1', AT)
    const gone = await deleteFormulas(['f1'])
    expect(await listVersions('f1')).toEqual([])
    await putRecords(gone.formulas, gone.versions)
    expect((await getFormula('f1'))!.formula.name).toBe('Kept')
    expect((await listVersions('f1')).map((v) => v.name)).toEqual(['first'])
  })

  it('numbers versions on', async () => {
    await saveFormula('f1', formula('A'), 0, AT)
    await addVersion('f1', formula('A'), 'one', 'v1', AT)
    await addVersion('f1', formula('A'), 'two', 'v2', AT)
    expect((await listVersions('f1')).map((v) => v.number)).toEqual([2, 1])
  })
})

describe('the shelf', () => {
  const lot = (id: string) => ({ id, material: 'glycerin', leftGrams: 5 })
  it('takes in many at once, all or none', async () => {
    await putShelf([], [lot('a'), lot('b')])
    expect((await listLots()).map((l) => l.id)).toEqual(['a', 'b'])
    const broken = { ...lot('c'), id: undefined } as never
    await expect(putShelf([], [lot('d'), broken])).rejects.toThrow()
    expect((await listLots()).map((l) => l.id)).toEqual(['a', 'b'])
  })
  it('keeps changed facts apart and forgets them on a reset', async () => {
    await saveChange({ id: 'glycerin', density: 1.25 })
    expect(await listChanges()).toEqual([{ id: 'glycerin', density: 1.25 }])
    await deleteChange('glycerin')
    expect(await listChanges()).toEqual([])
  })
})

/** What a list shows of a batch; nothing here looks at it. */
const headOf = ({ batch, events }: BatchFile): BatchHead => ({
  ...batch,
  status: 'running',
  startedAt: AT,
  lastAt: AT,
  step: '',
  stepsDone: 0,
  steps: 1,
  targetGrams: 100,
  filledGrams: null,
  events: events.length,
})

describe('backup and restore', () => {
  it('carries everything to another machine', async () => {
    await saveFormula('f1', formula('Quay'), 0, AT)
    await addVersion('f1', formula('Quay'), 'one', 'v1', AT)
    const backup = await collectBackup(AT)
    await closeStore()
    globalThis.indexedDB = new IDBFactory()
    expect(await restoreBackup(backup, makeId, freeName, headOf)).toEqual({ added: 1, same: 0, copies: 0 })
    expect((await getFormula('f1'))!.formula).toEqual(formula('Quay'))
    expect((await listVersions('f1')).map((v) => v.name)).toEqual(['one'])
  })

  it('restored twice changes nothing, and never overwrites what differs', async () => {
    await saveFormula('f1', formula('Quay'), 0, AT)
    const backup = await collectBackup(AT)
    expect(await restoreBackup(backup, makeId, freeName, headOf)).toEqual({ added: 0, same: 1, copies: 0 })
    await saveFormula('f1', { ...formula('Quay'), batchGrams: 500 }, 1, AT)
    expect(await restoreBackup(backup, makeId, freeName, headOf)).toEqual({ added: 0, same: 0, copies: 1 })
    expect(
      Object.fromEntries((await listFormulas()).map((r) => [r.formula.name, r.formula.batchGrams])),
    ).toEqual({ Quay: 500, 'Quay 2': 100 })
  })

  it('carries own materials and lots, and does not overwrite a lot that is here', async () => {
    await saveLot({ id: 'l1', material: 'glycerin', leftGrams: 100 })
    const backup = await collectBackup(AT)
    await saveLot({ id: 'l1', material: 'glycerin', leftGrams: 40 })
    await restoreBackup(backup, makeId, freeName, headOf)
    expect((await listLots()).map((l) => l.leftGrams)).toEqual([40])
    await deleteLot('l1')
    await restoreBackup(backup, makeId, freeName, headOf)
    expect((await listLots()).map((l) => l.leftGrams)).toEqual([100])
  })

  it('takes only the chosen formulas when asked', async () => {
    await saveFormula('f1', formula('One'), 0, AT)
    await saveFormula('f2', formula('Two'), 0, AT)
    expect((await collectBackup(AT, ['f2'])).formulas.map((f) => f.formula.name)).toEqual(['Two'])
  })
})

describe('what is said when storing fails', () => {
  it.each([
    [new DOMException('x', 'QuotaExceededError'), /full.*Export/],
    [new DOMException('x', 'VersionError'), /newer Omblet/],
    [new DOMException('x', 'SecurityError'), /refuses storage.*export/],
    [new Error('odd'), /refuses storage/],
  ])('%s', (error, says) => expect(explainStorage(error)).toMatch(says))
})
