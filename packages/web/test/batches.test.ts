import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import {
  benchPlan,
  foldBatch,
  headOf,
  readFile,
  writeBackup,
  writeBatch,
  type BatchFile,
  type BatchEvent,
  type BatchEventBody,
} from '@omblet/core'
import { beforeEach, describe, expect, it } from 'vitest'
import {
  appendEvent,
  BatchGone,
  deleteBatch,
  eventsFrom,
  EventTaken,
  getBatch,
  listBatches,
  listOrphans,
  photosOf,
  savePhoto,
} from '../src/storage/batches'
import { closeStore, openStore } from '../src/storage/db'
import { collectBackup } from '../src/storage/backup'
import { restoreBackup } from '../src/storage/restore'
import { takeInBatch } from '../src/storage/take-in'
import { listBin, takeFromBin } from '../src/storage/bin'
import { listLots, saveLot } from '../src/storage/shelf'
import { toner } from './toner'

const formula = toner('Quay water')
const AT = '2026-11-26T10:00:00.000Z'
const plan = benchPlan(formula)
const INFO = { id: 'b1', code: 'QW-1126', name: 'Quay water', formulaId: null, who: 'Ina' }
const event = (n: number, h: BatchEventBody): BatchEvent => ({ n, at: AT, step: null, ...h }) as BatchEvent
const START = event(0, { type: 'start', formula, version: null })
const head = (events: BatchEvent[], id = 'b1') => headOf({ ...INFO, id }, foldBatch(plan, events))
const WEIGHED = event(1, { type: 'weigh', line: 1, grams: 5, lot: 'l1' })

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
    await appendEvent(head([START, WEIGHED, undo]), undo, { lot: 'l1', grams: -5, back: 1 })
    expect((await listLots())[0]!.leftGrams).toBe(50)
    // A write that is refused takes nothing.
    await expect(appendEvent(head([START, WEIGHED]), WEIGHED, { lot: 'l1', grams: 5 })).rejects.toThrow()
    expect((await listLots())[0]!.leftGrams).toBe(50)
  })
  it('give a lot back no more than it gave: 3 g left, 5 g weighed, taken back, is 3 g', async () => {
    await saveLot({ id: 'l1', material: 'glycerin', leftGrams: 3 })
    await appendEvent(head([START, WEIGHED]), WEIGHED, { lot: 'l1', grams: 5 })
    expect((await listLots())[0]!.leftGrams).toBe(0)
    const undo = event(2, { type: 'undo', of: 1 })
    await appendEvent(head([START, WEIGHED, undo]), undo, { lot: 'l1', grams: -5, back: 1 })
    expect((await listLots())[0]!.leftGrams).toBe(3)
  })
  it('take no entry once they were deleted, nor one whose entry before is missing', async () => {
    const later = event(2, { type: 'note', text: 'x' })
    await expect(appendEvent(head([START]), later, null)).rejects.toBeInstanceOf(BatchGone)
    await deleteBatch('b1', AT, () => 'bin-1')
    await expect(appendEvent(head([START, WEIGHED]), WEIGHED, null)).rejects.toBeInstanceOf(BatchGone)
    expect(await listOrphans()).toEqual([])
    expect(await listBatches()).toEqual([])
  })
  it('that an earlier Omblet left in pieces are found, kept out of backups, and removed', async () => {
    const db = await openStore()
    await db.put('events', { batch: 'lost', n: 4, event: event(4, { type: 'note', text: 'adrift' }) })
    await db.put('batches', head([START], 'hollow'))
    const orphans = await listOrphans()
    expect(orphans.map((o) => [o.id, o.events.length, o.head?.id ?? null]).sort()).toEqual([
      ['hollow', 0, 'hollow'],
      ['lost', 1, null],
    ])
    const read = readFile(writeBackup(await collectBackup(AT)))
    expect(read.kind === 'backup' && [read.refused, read.backup.batches.map((b) => b.batch.id)]).toEqual([
      [],
      ['b1'],
    ])
    for (const { id } of orphans) await deleteBatch(id, AT, () => `bin-${id}`)
    expect(await listOrphans()).toEqual([])
    expect(await listBin()).toHaveLength(2)
  })
  it('are deleted with photos, and can be put back, beside what took their place', async () => {
    await savePhoto({ id: 'p1', batch: 'b1', blob: new Blob(['x'], { type: 'image/jpeg' }) })
    const bin = (await deleteBatch('b1', AT, () => 'bin-1'))!
    expect(await listBatches()).toEqual([])
    expect(await photosOf('b1')).toEqual([])
    const other = event(0, { type: 'start', formula: { ...formula, batchGrams: 50 }, version: null })
    await appendEvent(head([other]), other, null)
    expect(await takeFromBin(bin)).toEqual({ kind: 'batch', id: 'b1+2', beside: true })
    expect((await getBatch('b1'))!.events).toEqual([other])
    expect((await getBatch('b1+2'))!.events).toEqual([START])
    expect((await getBatch('b1+2'))!.head.code).toBe('QW-1126-copy')
    expect((await photosOf('b1+2')).map((p) => p.id)).toEqual(['p1'])
  })
  it('go into a backup and come out on another machine, without taking anything from what is longer there', async () => {
    await appendEvent(head([START, WEIGHED]), WEIGHED, null)
    const backup = await collectBackup(AT)
    const more = event(2, { type: 'note', text: 'smells of hay' })
    await appendEvent(head([START, WEIGHED, more]), more, null)
    await restoreBackup(backup)
    expect((await getBatch('b1'))!.events).toHaveLength(3)
    await closeStore()
    globalThis.indexedDB = new IDBFactory()
    await restoreBackup(backup)
    expect(await getBatch('b1')).toEqual({ head: head([START, WEIGHED]), events: [START, WEIGHED] })
  })
})

describe('a batch file', () => {
  const file = (events: BatchEvent[]): BatchFile => {
    const read = readFile(writeBatch({ batch: INFO, events, photos: [] }))
    if (read.kind !== 'batch') throw new Error(read.kind)
    return read.batch
  }
  it('that tells the same moments with other weights is another batch, once', async () => {
    await appendEvent(head([START, WEIGHED]), WEIGHED, null)
    const heavier = file([START, { ...WEIGHED, grams: 50 } as BatchEvent])
    expect((await takeInBatch(heavier)).what).toBe('beside')
    expect((await takeInBatch(heavier)).what).toBe('nothing')
    expect((await takeInBatch(file([START, WEIGHED]))).what).toBe('nothing')
    expect((await getBatch('b1'))!.events).toEqual([START, WEIGHED])
    expect((await listBatches()).map((b) => b.id).sort()).toEqual(['b1', 'b1+2'])
  })
  it('that goes on with one that is here adds what came since, and no photograph twice', async () => {
    const photo = { id: 'p1', type: 'image/jpeg' as const, data: 'AAAA' }
    const more = { ...file([START, WEIGHED]), photos: [photo] }
    expect((await takeInBatch(more)).what).toBe('more')
    expect((await getBatch('b1'))!.events).toHaveLength(2)
    expect((await takeInBatch(more)).what).toBe('nothing')
    expect(await photosOf('b1')).toHaveLength(1)
  })
  it('gives a copy photographs of its own', async () => {
    const photo = { id: 'p1', type: 'image/jpeg' as const, data: 'AAAA' }
    await takeInBatch({ ...file([START, WEIGHED]), photos: [photo] })
    await takeInBatch({ ...file([START, { ...WEIGHED, grams: 9 } as BatchEvent]), photos: [photo] })
    expect(await photosOf('b1')).toHaveLength(1)
    expect(await photosOf('b1+2')).toHaveLength(1)
  })
})
