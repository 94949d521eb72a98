import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import {
  benchPlan,
  foldBatch,
  freeName,
  headOf,
  type BatchFile,
  type BenchEvent,
  type Formula,
  type Happening,
} from '@omblet/core'
import { beforeEach, describe, expect, it } from 'vitest'
import {
  appendEvent,
  deleteBatch,
  eventsFrom,
  EventTaken,
  getBatch,
  listBatches,
  photosOf,
  putBatch,
  savePhoto,
} from '../src/storage/batches'
import { closeStore } from '../src/storage/db'
import { collectBackup, restoreBackup } from '../src/storage/formulas'
import { listLots, saveLot } from '../src/storage/shelf'

const formula: Formula = {
  format: 'omblet-formula',
  formatVersion: 1,
  name: 'Quay water',
  product: { kind: 'toner', site: 'face', rinse: 'leave-on', region: 'EU' },
  batchGrams: 100,
  phases: [{ name: 'Water', role: 'water', lines: [{ material: 'aqua', fill: true }, { material: 'glycerin', percent: 5 }] }], // prettier-ignore
}
const AT = '2026-11-26T10:00:00.000Z'
const plan = benchPlan(formula)
const INFO = { id: 'b1', code: 'QW-1126', name: 'Quay water', formulaId: null, who: 'Ina' }
const event = (n: number, h: Happening): BenchEvent => ({ n, at: AT, step: null, ...h }) as BenchEvent
const START = event(0, { type: 'start', formula, version: null })
const head = (events: BenchEvent[], id = 'b1') => headOf({ ...INFO, id }, foldBatch(plan, events))
const WEIGHED = event(1, { type: 'weigh', line: 1, grams: 5, lot: 'l1' })
const headFrom = (file: BatchFile) => headOf(file.batch, foldBatch(plan, file.events))

beforeEach(async () => {
  await closeStore()
  globalThis.indexedDB = new IDBFactory()
  await appendEvent(head([START]), START, null)
})

describe('batches in the store', () => {
  it('come back in order, with what the list shows of them', async () => {
    await appendEvent(head([START, WEIGHED]), WEIGHED, null)
    expect(await getBatch('b1')).toEqual({ head: head([START, WEIGHED]), events: [START, WEIGHED] })
    expect((await listBatches()).map((b) => [b.code, b.events])).toEqual([['QW-1126', 2]])
    expect(await eventsFrom('b1', 1)).toEqual([WEIGHED])
    expect(await getBatch('b2')).toBeNull()
  })
  it('never write an event twice, whichever tab is first', async () => {
    const other = event(1, { type: 'weigh', line: 0, grams: 95 })
    const both = await Promise.allSettled([
      appendEvent(head([START, WEIGHED]), WEIGHED, null),
      appendEvent(head([START, other]), other, null),
    ])
    expect(both.map((r) => r.status)).toEqual(['fulfilled', 'rejected'])
    expect((both[1] as PromiseRejectedResult).reason).toBeInstanceOf(EventTaken)
    expect((await getBatch('b1'))!.events).toEqual([START, WEIGHED])
  })
  it('take from a lot in the same breath, and give it back', async () => {
    await saveLot({ id: 'l1', material: 'glycerin', leftGrams: 50 })
    await appendEvent(head([START, WEIGHED]), WEIGHED, { lot: 'l1', grams: 5 })
    expect((await listLots())[0]!.leftGrams).toBe(45)
    const undo = event(2, { type: 'undo', of: 1 })
    await appendEvent(head([START, WEIGHED, undo]), undo, { lot: 'l1', grams: -5 })
    expect((await listLots())[0]!.leftGrams).toBe(50)
    // A write that is refused takes nothing.
    await expect(appendEvent(head([START, WEIGHED]), WEIGHED, { lot: 'l1', grams: 5 })).rejects.toThrow()
    expect((await listLots())[0]!.leftGrams).toBe(50)
  })
  it('are deleted with photos, and can be put back', async () => {
    await savePhoto({ id: 'p1', batch: 'b1', blob: new Blob(['x'], { type: 'image/jpeg' }) })
    const gone = (await deleteBatch('b1'))!
    expect(await listBatches()).toEqual([])
    expect(await photosOf('b1')).toEqual([])
    await putBatch({ batch: INFO, events: gone.events, photos: [] }, gone.head, gone.photos)
    expect((await getBatch('b1'))!.events).toEqual([START])
    expect((await photosOf('b1')).map((p) => p.id)).toEqual(['p1'])
  })
  it('go into a backup and come out on another machine, without taking anything from what is longer there', async () => {
    await appendEvent(head([START, WEIGHED]), WEIGHED, null)
    const backup = await collectBackup(AT)
    const more = event(2, { type: 'note', text: 'smells of hay' })
    await appendEvent(head([START, WEIGHED, more]), more, null)
    await restoreBackup(backup, () => 'x', freeName, headFrom)
    expect((await getBatch('b1'))!.events).toHaveLength(3)
    await closeStore()
    globalThis.indexedDB = new IDBFactory()
    await restoreBackup(backup, () => 'x', freeName, headFrom)
    expect(await getBatch('b1')).toEqual({ head: head([START, WEIGHED]), events: [START, WEIGHED] })
  })
  it('are never changed by a backup in which they went another way: that one is kept beside', async () => {
    const backup = await collectBackup(AT)
    const here = event(1, { type: 'note', text: 'here' })
    await appendEvent(head([START, here]), here, null)
    const there = { ...event(1, { type: 'note', text: 'there' }), at: '2026-11-26T10:05:00.000Z' }
    backup.batches[0]!.events.push(there)
    await restoreBackup(backup, () => 'x', freeName, headFrom)
    expect((await getBatch('b1'))!.events).toEqual([START, here])
    expect((await getBatch('x'))!.events).toEqual([START, there])
    expect((await getBatch('x'))!.head.code).toBe('QW-1126-copy')
  })
})
