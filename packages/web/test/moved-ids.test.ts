// What comes in under another id takes everything along that names it.
import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import fc from 'fast-check'
import { beforeEach, describe, expect, it } from 'vitest'
import {
  planTrial,
  usualAttributes,
  withBatch,
  writeBackup,
  type Backup,
  type BatchEvent,
} from '@omblet/core'
import { appendEvent, getBatch, photosOf } from '../src/storage/batches'
import { closeStore, openStore } from '../src/storage/db'
import { getFormula, listVersions } from '../src/storage/formulas'
import { takeFile } from '../src/storage/files'
import { restoreBackup } from '../src/storage/restore'
import { getLot } from '../src/storage/shelf'
import { listTrials } from '../src/storage/trials'
import { toner } from './toner'

const AT = '2026-11-26T08:00:00.000Z'
const elsewhere = async () => {
  await closeStore()
  globalThis.indexedDB = new IDBFactory()
}
beforeEach(elsewhere)

/** A life in which everything names everything: `mark` makes it another course of the same ids. */
function life(mark: string, ids: (id: string) => string = (id) => id): Backup {
  const formula = { ...toner('Quay water'), note: mark }
  const start: BatchEvent = { n: 0, at: AT, step: null, type: 'start', formula, version: 1 }
  const seen: BatchEvent = { n: 1, at: AT, step: null, type: 'note', text: mark, photo: 'p' }
  const trial = planTrial({
    id: ids('t'),
    seed: 7,
    people: ['Ina'],
    rounds: 1,
    name: `Which ${mark}`,
    now: AT,
    of: { id: ids('f'), name: 'Quay' },
    product: { kind: 'toner', hair: false },
    varies: 'version',
    what: mark,
    batchGrams: 50,
    samples: [
      { name: 'A', formula },
      { name: 'B', formula: toner('Other') },
    ],
    reference: 0,
    attributes: usualAttributes('toner'),
    decides: null,
    choosing: [],
  })
  const first = trial.samples[0]!.id
  return {
    savedAt: AT,
    settings: {},
    materials: [],
    lots: [],
    containers: [],
    stock: [],
    changes: [],
    formulas: [
      {
        id: ids('f'),
        createdAt: AT,
        updatedAt: AT,
        from: ids('v2'),
        formula,
        // the first goes on from one that is listed behind it
        versions: [
          {
            id: ids('v2'),
            number: 2,
            name: 'second',
            savedAt: AT,
            formula,
            from: ids('v1'),
            trialId: ids('t'),
          },
          {
            id: ids('v1'),
            number: 1,
            name: 'first',
            savedAt: AT,
            formula: { ...formula, batchGrams: 70 },
            batchId: ids('b'),
          },
        ],
      },
    ],
    batches: [
      {
        batch: { id: ids('b'), code: 'QW-1', name: 'Quay water', formulaId: ids('f'), who: '' },
        events: [start, seen],
        photos: [],
      },
    ],
    trials: [withBatch(withBatch(trial, first, ids('b')), null, ids('b'))],
  }
}
const photo = (mark: string, batch = 'b') => ({
  pictures: [{ id: 'p', batch, blob: new Blob([mark], { type: 'image/png' }) }],
})

/** Everything that names another record, found from the formula whose note is this, as what it leads to. */
async function graph(mark: string) {
  const db = await openStore()
  const record = (await db.getAll('formulas')).find((r) => r.formula.note === mark)!
  const versions = await listVersions(record.id)
  const [v2, v1] = [versions.find((v) => v.name === 'second')!, versions.find((v) => v.name === 'first')!]
  const trial = (await listTrials()).find((t) => t.plan.of?.id === record.id)!
  const batch = (await getBatch(trial.plan.baseBatch!))!
  return {
    sheetFrom: record.from === v2.id,
    versionFrom: v2.from === v1.id,
    versionBatch: v1.batchId === batch.head.id,
    versionTrial: v2.trialId === trial.plan.id,
    trialOf: trial.name,
    sample: trial.samples[0]!.batchId === batch.head.id,
    batchOf: batch.head.formulaId === record.id,
    events: batch.events.map((e) => (e.type === 'note' ? e.text : e.type)),
    photo: await (await photosOf(batch.head.id))[0]!.blob.text(),
  }
}
const whole = (mark: string) => ({
  sheetFrom: true,
  versionFrom: true,
  versionBatch: true,
  versionTrial: true,
  trialOf: `Which ${mark}`,
  sample: true,
  batchOf: true,
  events: ['start', mark],
  photo: mark,
})

describe('a backup beside other work under the same ids', () => {
  it('property: keeps every reference and photograph with its own, in whatever order backups come, however often', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.uniqueArray(fc.constantFrom('ash', 'birch', 'cedar', 'dune'), { minLength: 2, maxLength: 4 }),
        fc.boolean(),
        async (marks, twice) => {
          await elsewhere()
          for (const mark of twice ? [...marks, ...marks] : marks)
            await restoreBackup(life(mark), photo(mark))
          for (const mark of marks) expect(await graph(mark)).toEqual(whole(mark))
          const db = await openStore()
          const kinds = ['formulas', 'versions', 'batches', 'trials', 'pictures'] as const
          expect(await Promise.all(kinds.map((k) => db.count(k)))).toEqual(
            [1, 2, 1, 1, 1].map((n) => n * marks.length),
          )
        },
      ),
      { numRuns: 40 },
    )
  }, 300_000)
  it('lets a weighing be taken back from the lot that came along with its batch', async () => {
    await restoreBackup(life('ash'))
    const lot = { id: 'l', material: 'glycerin', leftGrams: 70 }
    const entry = { of: 'lot' as const, item: 'l', at: AT }
    const weighed: BatchEvent = { n: 1, at: AT, step: null, type: 'weigh', line: 0, grams: 30, lot: 'l' }
    const brought = life('birch')
    const [batch] = brought.batches
    await restoreBackup({
      ...brought,
      lots: [lot],
      stock: [
        { ...entry, id: 'before', amount: 100 },
        { ...entry, id: 'took', amount: -30, batch: 'b', n: 1 },
      ],
      batches: [{ ...batch!, events: [batch!.events[0]!, weighed] }],
    })
    const { head } = (await getBatch('b+2'))!
    await appendEvent(
      head,
      { n: 2, at: AT, step: null, type: 'undo', of: 1 },
      { lot: 'l', grams: -30, back: 1 },
    )
    expect((await getLot('l'))!.leftGrams).toBe(100)
  })
  it('with ids that no address can hold comes in under others, whole, and once', async () => {
    const odd = life('ash', (id) => `../${id}/?#%`)
    for (let i = 0; i < 2; i++) await restoreBackup(odd, photo('ash', '../b/?#%'))
    expect(await graph('ash')).toEqual(whole('ash'))
    const db = await openStore()
    for (const store of ['formulas', 'batches', 'trials'] as const) {
      const [key, ...others] = await db.getAllKeys(store)
      expect(others).toEqual([])
      expect(encodeURIComponent(key!)).not.toMatch(/%2F|%3F|%23/)
    }
  })
  it('with settings of the wrong kind names them, and takes the rest', async () => {
    const text = writeBackup({ ...life('ash'), settings: { who: 7, tools: 'none', forgotten: { body: AT } } })
    const taken = await takeFile(new Blob([text]))
    expect(taken).toMatchObject({ kind: 'backup', restored: { added: { settings: 1, formulas: 1 } } })
    expect(taken.kind === 'backup' && taken.restored.refused.map((r) => r.what)).toEqual([
      'The setting “who”',
      'The setting “tools”',
    ])
    expect(await getFormula('f')).toBeDefined()
  })
})
