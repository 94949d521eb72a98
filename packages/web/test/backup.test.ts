// A backup as text: what comes back, what is there already, and what is not sound.
import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { readFile, same, writeBackup, type Backup, type Formula } from '@omblet/core'
import fc from 'fast-check'
import { beforeEach, describe, expect, it } from 'vitest'
import { collectBackup } from '../src/storage/backup'
import { restoreBackup } from '../src/storage/restore'
import { closeStore, openStore } from '../src/storage/db'
import { addVersion, getFormula, listFormulas, listVersions, saveFormula } from '../src/storage/formulas'
import { getSetting, setSetting } from '../src/storage/settings'
import { changeFacts, listLots, saveLot } from '../src/storage/shelf'
import { restoredWords } from '../src/stores/restored'
import { anyBackup } from '../../core/test/any-record'
import { formula, AT } from './storage-pieces'

beforeEach(async () => {
  await closeStore()
  globalThis.indexedDB = new IDBFactory()
})

describe('backup and restore', () => {
  /** By way of text, as a file goes. */
  const restore = async (backup: Backup) => {
    const read = readFile(writeBackup(backup))
    if (read.kind !== 'backup') throw new Error(read.kind)
    return restoreBackup(read.backup)
  }
  const elsewhere = async () => {
    await closeStore()
    globalThis.indexedDB = new IDBFactory()
  }
  it('carries everything to another machine', async () => {
    await saveFormula('f1', formula('Quay'), 0, AT)
    await addVersion('f1', formula('Quay'), 'one', 'v1', AT)
    await saveLot({ id: 'l1', material: 'glycerin', leftGrams: 100 })
    await changeFacts('glycerin', () => ({ id: 'glycerin', density: 1.25 }))
    await setSetting('tools', { calibration: null, dropGrams: 0.04 })
    const backup = await collectBackup(AT)
    await elsewhere()
    expect(await restore(backup)).toEqual({
      added: { formulas: 1, lots: 1, changes: 1, settings: 1 },
      same: 0,
      copies: [],
      kept: [],
      refused: [],
    })
    expect((await getFormula('f1'))!.formula).toEqual(formula('Quay'))
    expect((await listVersions('f1')).map((v) => v.name)).toEqual(['one'])
    expect(await getSetting('tools')).toEqual({ calibration: null, dropGrams: 0.04 })
  })

  it('restored on the same machine changes nothing and says so, whatever the order of the keys', async () => {
    await saveFormula('f1', formula('Quay'), 0, AT)
    await saveFormula(
      'f2',
      {
        phases: [],
        name: 'Turned',
        product: formula('x').product,
        formatVersion: 1,
        format: 'omblet-formula',
      } as Formula,
      0,
      AT,
    )
    await addVersion('f1', formula('Quay'), 'one', 'v1', AT)
    await saveLot({ id: 'l1', material: 'glycerin', leftGrams: 100 })
    const before = await collectBackup(AT)
    expect(await restore(before)).toEqual({ added: {}, same: 3, copies: [], kept: [], refused: [] })
    expect(await collectBackup(AT)).toEqual(before)
    expect(restoredWords(await restore(before)).message).toBe('Restored: nothing changed; 3 already here.')
  })

  it('puts what differs beside yours, once, however often it is restored', async () => {
    await saveFormula('f1', formula('Quay'), 0, AT)
    await addVersion('f1', formula('Quay'), 'one', 'v1', AT)
    const backup = await collectBackup(AT)
    await saveFormula('f1', { ...formula('Quay'), batchGrams: 500 }, 1, AT)
    expect((await restore(backup)).copies).toEqual(['Quay 2'])
    const again = await restore(backup)
    expect([again.copies, again.same]).toEqual([[], 1])
    expect(
      Object.fromEntries((await listFormulas()).map((r) => [r.formula.name, r.formula.batchGrams])),
    ).toEqual({ Quay: 500, 'Quay 2': 100 })
    const copy = (await listFormulas()).find((r) => r.formula.name === 'Quay 2')!
    expect((await listVersions(copy.id)).map((v) => v.name)).toEqual(['one'])
  })

  it('adds versions that are missing, and names what it leaves as it is here', async () => {
    await saveFormula('f1', formula('Quay'), 0, AT)
    await saveLot({ id: 'l1', material: 'glycerin', leftGrams: 100 })
    await changeFacts('glycerin', () => ({ id: 'glycerin', density: 1.25 }))
    await addVersion('f1', formula('Older'), 'one', 'v1', AT)
    const backup = await collectBackup(AT)
    await saveLot({ id: 'l1', material: 'glycerin', leftGrams: 40 })
    await changeFacts('glycerin', () => ({ id: 'glycerin', density: 1.26 }))
    await (await openStore()).delete('versions', 'v1')
    const restored = await restore(backup)
    expect(restored.added).toEqual({ versions: 1 })
    expect(restored.kept).toEqual([
      'Lot of glycerin: 40 g here, 100 g in the backup',
      'Changed facts of glycerin',
    ])
    expect((await listLots()).map((l) => l.leftGrams)).toEqual([40])
    expect(restoredWords(restored).details).toEqual([
      { title: 'Different here, left unchanged', items: restored.kept },
    ])
  })

  it('is all or nothing: where a later record cannot be stored, the first is not there', async () => {
    await saveFormula('f0', formula('Before'), 0, AT)
    const backup: Backup = { ...(await collectBackup(AT)), formulas: [] }
    const deep = { ...formula('Deep'), odd: () => undefined } as unknown as Formula
    backup.formulas.push({ id: 'f1', createdAt: AT, updatedAt: AT, formula: formula('Sound'), versions: [] })
    backup.formulas.push({ id: 'f2', createdAt: AT, updatedAt: AT, formula: deep, versions: [] })
    await expect(restoreBackup(backup)).rejects.toThrow()
    expect((await listFormulas()).map((r) => r.id)).toEqual(['f0'])
  })

  it('takes only the chosen formulas when asked', async () => {
    await saveFormula('f1', formula('One'), 0, AT)
    await saveFormula('f2', formula('Two'), 0, AT)
    expect((await collectBackup(AT, ['f2'])).formulas.map((f) => f.formula.name)).toEqual(['Two'])
  })

  it('property: any backup restored elsewhere and backed up again is the same, and restores to nothing new', async () => {
    await fc.assert(
      fc.asyncProperty(anyBackup, async (backup) => {
        await elsewhere()
        await restore(backup)
        const again = await collectBackup(backup.savedAt)
        const sorted = (b: Backup) => ({
          formulas: b.formulas.toSorted((x, y) => x.id.localeCompare(y.id)),
          lots: b.lots.toSorted((x, y) => x.id.localeCompare(y.id)),
          containers: b.containers.toSorted((x, y) => x.id.localeCompare(y.id)),
          batches: b.batches,
        })
        expect(same(sorted(again), sorted(backup))).toBe(true)
        const { added, copies, kept } = await restore(again)
        expect([added, copies, kept]).toEqual([{}, [], []])
      }),
      { numRuns: 40 },
    )
  }, 120_000)
})
