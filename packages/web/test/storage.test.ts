import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { openDB } from 'idb'
import { beforeEach, describe, expect, it } from 'vitest'
import { listBin, sweepBin, takeFromBin } from '../src/storage/bin'
import { closeStore, explainStorage, openStore, whole } from '../src/storage/db'
import {
  addVersion,
  ConflictError,
  deleteFormulas,
  getFormula,
  GoneError,
  listFormulas,
  listVersions,
  saveFormula,
} from '../src/storage/formulas'
import {
  changeFacts,
  deleteLot,
  getFile,
  listChanges,
  listLots,
  saveFile,
  saveLot,
} from '../src/storage/shelf'
import { takeRows } from '../src/storage/shelf-rows'
import { photosOf } from '../src/storage/batches'
import { DB_NAME, DB_VERSION, UPGRADES } from '../src/storage/schema'
import { formula, AT } from './storage-pieces'

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
      'bin',
      'changes',
      'containers',
      'events',
      'files',
      'formulas',
      'lots',
      'materials',
      'pictures',
      'settings',
      'stock',
      'trials',
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
    await deleteFormulas(['f1'], AT, makeId)
    await expect(saveFormula('f1', formula('Gone'), rev, AT)).rejects.toBeInstanceOf(GoneError)
    expect(await listFormulas()).toEqual([])
  })

  it('keeps photographs of a store of the fifth version', async () => {
    const old = await openDB(DB_NAME, 5, {
      async upgrade(db, _old, _new, tx) {
        for (let v = 0; v < 5; v++) await UPGRADES[v]!(db as never, tx as never)
      },
    })
    await old.put('photos', { id: 'p1', batch: 'b1', blob: new Blob(['x']) })
    old.close()
    expect((await photosOf('b1')).map((p) => p.id)).toEqual(['p1'])
  })

  it('takes back what was written when a later write of the same transaction fails', async () => {
    const db = await openStore()
    const tx = db.transaction('settings', 'readwrite')
    const failed = whole(tx, async (put) => {
      put(tx.store.put({ key: 'first', value: 1 }))
      put(tx.store.put({ key: 'second', value: () => undefined }))
    })
    await expect(failed).rejects.toThrow()
    expect(await db.getAll('settings')).toEqual([])
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
  const rows = (...lots: ReturnType<typeof lot>[]) => ({
    materials: [],
    containers: [],
    lots: lots.map((next) => ({ was: null, next })),
  })
  it('takes in many at once, all or none', async () => {
    await takeRows(rows(lot('a'), lot('b')), AT)
    expect((await listLots()).map((l) => l.id)).toEqual(['a', 'b'])
    const broken = { ...lot('c'), id: undefined } as never
    await expect(takeRows(rows(lot('d'), broken), AT)).rejects.toThrow()
    expect((await listLots()).map((l) => l.id)).toEqual(['a', 'b'])
  })
  it('keeps changed facts apart and forgets them on a reset', async () => {
    await changeFacts('glycerin', () => ({ id: 'glycerin', density: 1.25 }))
    expect(await listChanges()).toEqual([{ id: 'glycerin', density: 1.25 }])
    await changeFacts('glycerin', () => null)
    expect(await listChanges()).toEqual([])
  })
})

describe('the bin', () => {
  const remove = async () => (await deleteFormulas(['f1'], AT, makeId))[0]!
  beforeEach(async () => {
    await saveFormula('f1', formula('Kept'), 0, AT)
    await addVersion('f1', formula('Kept'), 'first', 'v1', AT)
  })
  it('gives a formula back with its versions', async () => {
    const bin = await remove()
    expect(await listVersions('f1')).toEqual([])
    expect((await listBin()).map((r) => r.name)).toEqual(['Kept'])
    expect(await takeFromBin(bin)).toEqual({ kind: 'formula', id: 'f1', beside: false })
    expect((await getFormula('f1'))!.formula.name).toBe('Kept')
    expect((await listVersions('f1')).map((v) => v.name)).toEqual(['first'])
    expect(await listBin()).toEqual([])
    expect(await takeFromBin(bin)).toBeNull()
  })
  it('never overwrites what another tab stored since: what comes back stands beside it', async () => {
    const bin = await remove()
    await saveFormula('f1', { ...formula('Kept'), batchGrams: 700 }, 0, AT)
    const back = (await takeFromBin(bin))!
    expect(back.beside).toBe(true)
    expect((await getFormula('f1'))!.formula.batchGrams).toBe(700)
    expect((await getFormula(back.id))!.formula).toMatchObject({ name: 'Kept 2', batchGrams: 100 })
    expect((await listVersions(back.id)).map((v) => v.name)).toEqual(['first'])
  })
  it('puts a lot back with its paper', async () => {
    await saveLot({ id: 'l1', material: 'glycerin', leftGrams: 5 })
    await saveFile({ lot: 'l1', name: 'paper.pdf', blob: new Blob(['x']) })
    const bin = await deleteLot({ id: 'l1', material: 'glycerin', leftGrams: 5 }, 'Lot', AT)
    expect(await getFile('l1')).toBeUndefined()
    await takeFromBin(bin)
    expect((await listLots()).map((l) => l.leftGrams)).toEqual([5])
    expect((await getFile('l1'))!.name).toBe('paper.pdf')
  })
  it('is emptied after 30 days, and not by a clock that was set forward and back', async () => {
    await remove()
    const day = (n: number) => new Date(Date.parse(AT) + n * 864e5).toISOString()
    expect(await sweepBin(day(29))).toBe(0)
    // A year ahead for an hour, then put right.
    expect(await sweepBin(day(365))).toBe(0)
    expect(await sweepBin(day(3))).toBe(0)
    expect(await listBin()).toHaveLength(1)
    expect(await sweepBin(day(31))).toBe(0)
    expect(await sweepBin(day(31.5))).toBe(0)
    expect(await sweepBin(day(33))).toBe(1)
    expect(await listBin()).toEqual([])
  })
})

describe('what is said when storing fails', () => {
  it.each([
    [new DOMException('x', 'QuotaExceededError'), /full.*Export/],
    [new DOMException('x', 'VersionError'), /newer version of Omblet/],
    [new DOMException('x', 'SecurityError'), /blocks storage.*export/],
    [new Error('odd'), /blocks storage/],
  ])('%s', (error, says) => expect(explainStorage(error)).toMatch(says))
})
