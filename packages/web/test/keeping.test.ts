import { batchVerdictText } from '@omblet/core/words'
// @vitest-environment happy-dom
// Keeping in the interface: what is due, words, colours of a picture, what was learned and forgotten, example batches.
import 'fake-indexeddb/auto'
import {
  foldBatch,
  benchPlan,
  catalogue,
  headOf,
  historyOf,
  readFile,
  verdictOf,
  writeBackup,
  type BatchHead,
} from '@omblet/core'
import { flushPromises } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import LearnedNote from '../src/components/LearnedNote.vue'
import NumberAnswer from '../src/features/stability/NumberAnswer.vue'
import { markAt, meanOf } from '../src/features/stability/pixels'
import { runsOf, sayDue, sayLook, sayLooks, sayProperties, sayRun } from '../src/features/stability/words'
import { everyBatch } from '../src/storage/batches'
import { collectBackup } from '../src/storage/backup'
import { restoreBackup } from '../src/storage/restore'
import { takeInBatch } from '../src/storage/take-in'
import { openStore } from '../src/storage/db'
import { useBatches } from '../src/stores/batches'
import { useStability } from '../src/stores/stability'
import { useLearned } from '../src/stores/learned'
import { useLots } from '../src/stores/lots'
import { mounted } from './mounted'
import { NOW, demo } from './keeping-pieces'

beforeEach(async () => {
  setActivePinia(createPinia())
  const db = await openStore()
  await Promise.all([db.clear('batches'), db.clear('events'), db.clear('settings'), db.clear('lots')])
})

describe('the example batches', () => {
  it('are sound where they should be, and split in frost where they should', () => {
    const verdicts = demo().map(({ events }) => {
      const [start] = events
      if (start?.type !== 'start') throw new Error('no start')
      const state = foldBatch(benchPlan(start.formula, catalogue), events)
      return verdictOf(state, historyOf(events), state.plan.a)
    })
    expect(verdicts.map((v) => v.grade)).toEqual(['fine', 'fine', 'again'])
    expect(batchVerdictText(verdicts[1]!).says).toContain('as predicted, and has been stable since')
    expect(batchVerdictText(verdicts[2]!).says).toContain('Freeze–thaw')
  })
  it('weigh what their formulas ask for', () => {
    for (const { batch, events } of demo()) {
      const [start] = events
      if (start?.type !== 'start') throw new Error('no start')
      const state = foldBatch(benchPlan(start.formula, catalogue), events)
      const weighed = state.lines.reduce((s, l) => s + l.weighed, 0)
      expect(weighed, batch.name).toBeCloseTo(start.formula.batchGrams!, 0)
    }
  })
})

describe('what is due', () => {
  it('is one row a batch, the one that waits longest first, with what comes and what ends', async () => {
    for (const b of demo()) await takeInBatch(b)
    const keeping = useStability()
    await keeping.load()
    keeping.now = new Date(NOW)
    expect(keeping.watched).toHaveLength(3)
    const rows = keeping.due.map((d) => [d.head.code, sayDue(d.inDays), sayLooks(d.looks)])
    expect(rows).toEqual([
      ['LT-D1', 'today', '8 weeks, room temperature, 40 °C, in use'],
      ['SH-D3', 'today', '2 weeks, room temperature, 40 °C, in use'],
    ])
    expect(keeping.soon.map((d) => [d.head.code, d.inDays])).toEqual([['SH-D3', 14]])
    await useLots().put({ id: 'l', material: 'squalane', leftGrams: 30, batch: 'S-1', expires: '2026-07-01' })
    expect(keeping.ends.some((e) => e.kind === 'lot' && e.inDays === 21)).toBe(true)
    await useLots().put({ id: 'l', material: 'squalane', leftGrams: 0, batch: 'S-1', expires: '2026-07-01' })
    expect(keeping.ends.some((e) => e.kind === 'lot')).toBe(false)
  })
  it('leaves out what nobody watches, and names it apart', async () => {
    const [first] = demo()
    const upTo = first!.events.findIndex((e) => e.type === 'keep')
    await takeInBatch({ ...first!, events: first!.events.slice(0, upTo) })
    const keeping = useStability()
    await keeping.load()
    expect([keeping.due, keeping.watched, keeping.unwatched.length]).toEqual([[], [], 1])
  })
  it('is read with everything that happened, for a lot that is sought', async () => {
    for (const b of demo()) await takeInBatch(b)
    const all = await everyBatch()
    expect(all.map((b) => [b.head.code, b.events.length]).sort()).toEqual(
      demo()
        .map((b) => [b.batch.code, b.events.length])
        .sort(),
    )
  })
})

describe('a backup as text', () => {
  it('brings back what was planned, seen and learned, and a lot that is off, once', async () => {
    for (const b of demo()) await takeInBatch(b)
    await useLots().put({
      id: 'l',
      material: 'squalane',
      leftGrams: 30,
      madeFrom: ['m'],
      off: 'smells of crayon',
    })
    const heads = async () =>
      (await everyBatch()).map((b) => b.head).sort((x, y) => x.code.localeCompare(y.code))
    const before = await heads()
    expect(before.map((h) => h.watch!.grade)).toEqual(['fine', 'again', 'fine'])
    const text = writeBackup(await collectBackup('2026-06-10T12:00:00.000Z'))
    const db = await openStore()
    await Promise.all([db.clear('batches'), db.clear('events'), db.clear('lots')])
    const read = readFile(text)
    if (read.kind !== 'backup') throw new Error('no backup')
    await restoreBackup(read.backup)
    expect(await heads()).toEqual(before)
    expect(await db.get('lots', 'l')).toMatchObject({ off: 'smells of crayon', madeFrom: ['m'] })
    await restoreBackup(read.backup)
    expect(await heads()).toEqual(before)
  })
})

describe('words', () => {
  it('say when, of what, and for how long', () => {
    expect([-2, -1, 0, 1, 9].map(sayDue)).toEqual([
      '2 days overdue',
      '1 day overdue',
      'today',
      'tomorrow',
      'in 9 days',
    ])
    expect([0, 1, 3, 7, 28].map((d) => sayLook('room', d))).toEqual([
      'made',
      '1 day',
      '3 days',
      '1 week',
      '4 weeks',
    ])
    expect(sayLook('frost', 4)).toBe('turn 2 of 3')
    expect(sayProperties(['ph', 'smell'])).toBe('pH, smell')
    expect(sayProperties(['germs', 'gas', 'smell', 'ph', 'mass'])).toBe('visible growth, gas, smell, 2 more')
  })
  it('take answers that follow each other alike as one', () => {
    const said = [
      { words: 'None', day: 1 },
      { words: 'None', day: 7 },
      { words: 'Bubbles', day: 14 },
      { words: 'None', day: null },
    ]
    expect(runsOf(said).map((r) => [r.times, sayRun('room', r)])).toEqual([
      [2, '1 day to 1 week'],
      [1, '2 weeks'],
      [1, 'between'],
    ])
  })
})

describe('a picture', () => {
  it('is read round the place that was tapped, without noise and edges', () => {
    expect(meanOf([10, 20, 30, 255, 10, 20, 30, 255])).toEqual([10, 20, 30])
    const [r] = meanOf([0, 0, 0, 255, 100, 0, 0, 255])
    expect(r).toBeCloseTo(70.7, 1)
    const box = { getBoundingClientRect: () => ({ left: 100, top: 50, width: 200, height: 100 }) } as Element
    expect(markAt({ clientX: 150, clientY: 100 }, box)).toEqual({ x: 0.25, y: 0.5 })
    expect(markAt({ clientX: 0, clientY: 999 }, box)).toEqual({ x: 0, y: 1 })
  })
})

describe('a figure that is read', () => {
  it('goes out with its way and temperature; a layer as the share of the whole height', async () => {
    const form = mounted(NumberAnswer, { property: 'ph', ways: ['meter', 'strip'], usual: 'meter' })
    await form.get('#look-value').setValue('5,4')
    await form.get('#look-celsius').setValue('21')
    await form.get('form').trigger('submit')
    expect(form.emitted('answer')).toEqual([[{ value: 5.4, way: 'meter', celsius: 21 }]])
    const layer = mounted(NumberAnswer, { property: 'layer', ways: ['ruler'], usual: 'ruler' })
    await layer.get('#look-value').setValue('6')
    await layer.get('form').trigger('submit')
    expect(layer.emitted('answer')).toBeUndefined()
    await layer.get('#look-height').setValue('60')
    await layer.get('form').trigger('submit')
    expect(layer.emitted('answer')).toEqual([[{ value: 10, way: 'ruler' }]])
    // more than there is of it is no answer
    await layer.get('#look-value').setValue('70')
    await layer.get('form').trigger('submit')
    expect(layer.emitted('answer')).toHaveLength(1)
    form.unmount()
    layer.unmount()
  })
})

describe('what was learned', () => {
  const teach = (n: number): BatchHead[] =>
    demo()
      .slice(0, n)
      .map(({ batch, events }) => {
        const [start] = events
        if (start?.type !== 'start') throw new Error('no start')
        return headOf(batch, foldBatch(benchPlan(start.formula, catalogue), events))
      })
  it('is shown with its number and spread, can be forgotten, and comes back', async () => {
    const batches = useBatches()
    batches.heads = teach(3)
    batches.ready = true
    const note = mounted(LearnedNote, { lesson: 'loss', says: 'Transfer loss:', unit: '%' })
    await flushPromises()
    expect(note.text()).toContain('in 3 earlier batches')
    await note.get('button').trigger('click')
    await flushPromises()
    expect(note.text()).toBe('')
    const learned = useLearned()
    expect(learned.of('loss')).toBeNull()
    setActivePinia(createPinia())
    useBatches().heads = teach(3)
    useBatches().ready = true
    const again = useLearned()
    await again.load()
    expect(again.of('loss')).toBeNull()
    const undo = await again.forget('loss', null, '2020-01-01T00:00:00.000Z')
    expect(again.of('loss')!.n).toBe(3)
    await undo()
    expect(again.of('loss')).toBeNull()
  })
})
