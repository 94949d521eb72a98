// @vitest-environment happy-dom
import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { type BatchEvent } from '@omblet/core'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { deleteBatch, getBatch } from '../src/storage/batches'
import { closeStore } from '../src/storage/db'
import { keep, kept } from '../src/storage/session-stash'
import { useBatch } from '../src/stores/batch'
import { useWaiting } from '../src/stores/waiting'
import { toner } from './toner'

const formula = toner('Quay water')
const stored = async (id: string) => (await getBatch(id))?.events.map((e) => e.type) ?? null

/** A store whose writes fail while `full` is set. */
const disk = { full: false }
function fillable() {
  vi.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(function (this: IDBObjectStore, ...args) {
    if (disk.full) throw new DOMException('no room', 'QuotaExceededError')
    return add.apply(this, args)
  })
}
const add = IDBObjectStore.prototype.add

async function begin() {
  const batch = useBatch()
  const id = await batch.begin(
    { code: 'QW-1', name: 'Quay water', formulaId: null, who: 'Ina' },
    { type: 'start', formula, version: null },
  )
  return { batch, id }
}

beforeEach(async () => {
  vi.restoreAllMocks()
  disk.full = false
  sessionStorage.clear()
  await closeStore()
  globalThis.indexedDB = new IDBFactory()
  setActivePinia(createPinia())
})

describe('entries at the Bench', () => {
  it('count when they are made, and are stored in that order', async () => {
    const { batch, id } = await begin()
    const first = batch.append({ type: 'weigh', line: 0, grams: 7.77 })
    expect(batch.state!.lines[0]!.weighed).toBe(7.77)
    expect(batch.enter({ type: 'step', how: 'done' })).toBe(true)
    const step = batch.state!.plan.steps[batch.state!.at]!.key
    const last = batch.append({ type: 'weigh', line: 1, grams: 3.33 })
    expect(batch.unstored).toHaveLength(3)
    expect(await Promise.all([first, last])).toEqual([true, true])
    const { events } = (await getBatch(id))!
    expect(events.map((e) => e.type)).toEqual(['start', 'weigh', 'step', 'weigh'])
    expect(events[3]).toMatchObject({ line: 1, grams: 3.33, step })
    expect(batch.unstored).toEqual([])
    expect(kept(`batch:${id}`, (x) => x)).toBeNull()
  })

  it('that make no sense, or could not be read again, are refused and said', async () => {
    const { batch, id } = await begin()
    expect(batch.enter({ type: 'weigh', line: 9, grams: 1 })).toBe(false)
    expect(batch.told).toBe('The formula has no such ingredient.')
    expect(batch.enter({ type: 'note', text: 'x'.repeat(5000) })).toBe(false)
    expect(batch.told).toMatch(/^This cannot be entered: text/)
    expect(await stored(id)).toEqual(['start'])
  })

  it('wait while there is no room, keep counting, and go in order once there is', async () => {
    const { batch, id } = await begin()
    fillable()
    disk.full = true
    batch.enter({ type: 'weigh', line: 0, grams: 95 })
    await expect.poll(() => batch.held?.why).toMatch(/storage is full/)
    batch.enter({ type: 'weigh', line: 1, grams: 5 })
    await expect.poll(() => batch.held?.why).toMatch(/storage is full/)
    expect(batch.state!.lines.map((l) => l.weighed)).toEqual([95, 5])
    expect(await stored(id)).toEqual(['start'])
    disk.full = false
    await batch.pump()
    expect(await stored(id)).toEqual(['start', 'weigh', 'weigh'])
    expect(batch.held).toBeNull()
  })

  it('that a page could not store are taken up by the next', async () => {
    const { batch, id } = await begin()
    fillable()
    disk.full = true
    batch.enter({ type: 'weigh', line: 0, grams: 95 })
    await expect.poll(() => batch.held).not.toBeNull()
    disk.full = false
    setActivePinia(createPinia())
    const next = useBatch()
    expect(await next.open(id)).toBe(true)
    await next.pump()
    expect(await stored(id)).toEqual(['start', 'weigh'])
  })

  it('wait on when another batch is opened or the page is left, are named, and are stored when there is room', async () => {
    const { batch, id } = await begin()
    const second = (await begin()).id
    await batch.open(id)
    fillable()
    disk.full = true
    batch.enter({ type: 'weigh', line: 0, grams: 50 })
    await expect.poll(() => batch.held).not.toBeNull()
    await batch.open(second)
    expect(batch.unstored).toEqual([])
    const waiting = useWaiting()
    expect(waiting.list.map((w) => [w.info.code, w.pending.length, w.why])).toEqual([['QW-1', 1, 'failed']])
    const asked = new Event('beforeunload', { cancelable: true })
    window.dispatchEvent(asked)
    expect(asked.defaultPrevented).toBe(true)
    expect((JSON.parse((await waiting.asFile(id))!) as { events: unknown[] }).events).toHaveLength(2)
    // over a reload it is still there, and named before any batch is opened
    setActivePinia(createPinia())
    const next = useWaiting()
    expect(next.list).toHaveLength(1)
    await next.tryAgain()
    expect(next.list).toHaveLength(1)
    disk.full = false
    await next.tryAgain()
    expect(next.list).toEqual([])
    expect(await stored(id)).toEqual(['start', 'weigh'])
    expect(await stored(second)).toEqual(['start'])
  })

  it('that the store had taken before the page went are not taken up twice, and those behind are not lost', async () => {
    const { batch, id } = await begin()
    await batch.append({ type: 'weigh', line: 0, grams: 95 })
    const { events } = (await getBatch(id))!
    const later: BatchEvent = { n: 2, at: events[1]!.at, step: null, type: 'weigh', line: 1, grams: 5 }
    keep(`batch:${id}`, { info: batch.info, events: events.slice(0, 1), pending: [events[1], later] })
    setActivePinia(createPinia())
    const next = useBatch()
    await next.open(id)
    await next.pump()
    expect(await stored(id)).toEqual(['start', 'weigh', 'weigh'])
  })

  it('never go onto what another tab wrote: that is shown and said', async () => {
    const { batch, id } = await begin()
    setActivePinia(createPinia())
    const other = useBatch()
    await other.open(id)
    await other.append({ type: 'note', text: 'from the other tab' })
    expect(await batch.append({ type: 'weigh', line: 0, grams: 95 })).toBe(false)
    expect(batch.told).toMatch(/entered in another tab/)
    expect(batch.events.map((e) => e.type)).toEqual(['start', 'note'])
    expect(await stored(id)).toEqual(['start', 'note'])
  })

  it('of a batch that was deleted wait, and go in when it is put back', async () => {
    const { batch, id } = await begin()
    await deleteBatch(id, new Date().toISOString(), () => 'bin-1')
    batch.enter({ type: 'weigh', line: 0, grams: 95 })
    await expect.poll(() => batch.held?.gone).toBe(true)
    expect(await stored(id)).toBeNull()
    expect(JSON.parse(batch.asFile()!).events).toHaveLength(2)
    expect(await batch.putBack()).toBe(true)
    expect(await stored(id)).toEqual(['start', 'weigh'])
    expect(batch.held).toBeNull()
  })
})
