// @vitest-environment happy-dom
// Judging and making a trial as people do it.
import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { benchPlan, foldBatch, isAnswered, sittingsOf, usualAttributes } from '@omblet/core'
import { flushPromises } from '@vue/test-utils'
import { nextTick } from 'vue'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { readBatch } from '../src/composables/batch-state'
import JudgePage from '../src/features/trials/JudgePage.vue'
import OrderAnswer from '../src/features/trials/OrderAnswer.vue'
import SecondsAnswer from '../src/features/trials/SecondsAnswer.vue'
import { useJudging } from '../src/features/trials/use-judging'
import { useMaking } from '../src/features/trials/use-making'
import { closeStore } from '../src/storage/db'
import { addTrial, deleteTrial, getTrial } from '../src/storage/trials'
import { useBatch } from '../src/stores/batch'
import { useTrials } from '../src/stores/trials'
import { mounted, newPage } from './mounted'
import { eventually } from './patience'
import { AT, inScope, judgeAll, lotion, trialOf, waxes } from './trial-pieces'

beforeEach(async () => {
  await closeStore()
  globalThis.indexedDB = new IDBFactory()
  newPage()
})

describe('judging', () => {
  const open = async (trial = trialOf()) => {
    await addTrial(trial)
    await useTrials().load()
    return inScope(() => useJudging(() => 't1'))
  }
  it('gives out codes and questions, and no name of a jar nor what others said', async () => {
    const j = await open(judgeAll(trialOf(), () => 7))
    j.sit('p1', 1)
    const told = JSON.stringify([
      j.people.value,
      j.step.value,
      j.asked.value.map((s) => ({ ...s, done: null })),
    ])
    for (const o of waxes) expect(told).not.toContain(o.label)
    expect(told).not.toContain('"sample"')
  })
  it('goes from question to question, waits for its moment, goes back, and is over', async () => {
    vi.useFakeTimers({ now: Date.parse(AT), toFake: ['Date', 'setInterval', 'clearInterval'] })
    try {
      const j = await open(
        trialOf({ attributes: usualAttributes('lotion').filter((a) => ['spread', 'tack'].includes(a.id)) }),
      )
      expect(j.people.value.map((p) => [p.name, p.open])).toEqual([
        ['Ina', true],
        ['Bo', true],
      ])
      j.sit('p1', 1)
      expect(j.step.value?.kind).toBe('serve')
      expect(await j.answer({ value: 3 })).toBe(false)
      j.serve()
      expect(j.step.value).toMatchObject({ kind: 'score', attribute: { id: 'spread' } })
      expect(await j.answer({ value: 3 })).toBe(true)
      expect(j.step.value).toMatchObject({ attribute: { id: 'tack' } })
      expect(j.wait.value).toBe(60)
      vi.advanceTimersByTime(45_000)
      expect(j.wait.value).toBeLessThanOrEqual(15)
      j.back()
      expect(j.step.value).toMatchObject({ attribute: { id: 'spread' }, done: 3 })
      await j.answer({ value: 8 })
      expect((await getTrial('t1'))!.scores.map((s) => s.value)).toEqual([8])
      for (let n = 0; n < 40 && j.step.value; n++) {
        if (j.step.value.kind === 'serve') j.serve()
        else await j.answer({ value: 5 })
      }
      expect(j.step.value).toBeNull()
      expect(j.asked.value.every(isAnswered)).toBe(true)
      expect(j.people.value.map((p) => p.open)).toEqual([false, true])
    } finally {
      vi.useRealTimers()
    }
  })
  it('keeps a question where its answer could not be stored, and says why', async () => {
    const j = await open()
    j.sit('p1', 1)
    j.serve()
    const before = j.step.value?.key
    await deleteTrial('t1', AT, () => 'b')
    expect(await j.answer({ value: 3 })).toBe(false)
    expect(j.problem.value).toMatch(/deleted in another tab/)
    expect(j.phase.value).toBe('gone')
    expect(before).toBeTruthy()
  })
  it('takes an order by pressing, and a time by watch or by hand', async () => {
    const order = mounted(OrderAnswer, { codes: ['417', '902'] })
    const [first, second, ready] = order.findAll('button')
    await second!.trigger('click')
    await first!.trigger('click')
    await second!.trigger('click')
    await second!.trigger('click')
    await ready!.trigger('click')
    expect(order.emitted('answer')).toEqual([[['417', '902']]])
    vi.useFakeTimers({ now: 0, toFake: ['Date', 'setInterval', 'clearInterval'] })
    try {
      const watch = mounted(SecondsAnswer, { scale: [0, 120] })
      await watch.find('button').trigger('click')
      vi.advanceTimersByTime(130_000)
      await nextTick()
      // stops by itself at the end of the scale
      expect(watch.find('.figure').text()).toBe('120 s')
      await watch.find('form').trigger('submit')
      expect(watch.emitted('answer')).toEqual([[120]])
    } finally {
      vi.useRealTimers()
    }
  })
  it('asks who judges, and shows a code large', async () => {
    await addTrial(trialOf())
    const page = mounted(JudgePage, { id: 't1' })
    await flushPromises()
    await page
      .findAll('button')
      .find((b) => b.text().startsWith('Bo'))!
      .trigger('click')
    const bo = sittingsOf(trialOf()).find((s) => s.person === 'p2')!
    expect(page.find('h2').text()).toBe(bo.served[0]!.code)
    const press = async (find: () => { element: Element; trigger: (event: string) => Promise<void> }) => {
      await eventually(() => expect((find().element as HTMLButtonElement).disabled).toBe(false))
      await find().trigger('click')
    }
    await press(() => page.findAll('button').find((b) => b.text() === 'Applied')!)
    expect(page.findAll('.numbers button')).toHaveLength(11)
    // the second tap of a double tap lies on the next question, and is not for it
    await page.findAll('.numbers button')[7]!.trigger('click')
    await flushPromises()
    expect((await getTrial('t1'))!.scores).toEqual([])
    await press(() => page.findAll('.numbers button')[4]!)
    await eventually(async () => expect((await getTrial('t1'))!.scores[0]!.value).toBe(4))
    await page.findAll('.numbers button')[9]?.trigger('click')
    await flushPromises()
    expect((await getTrial('t1'))!.scores).toHaveLength(1)
  })
})

describe('making', () => {
  it('begins the base once and puts its shares into each jar', async () => {
    const trial = trialOf()
    await addTrial(trial)
    const trials = useTrials()
    await trials.load()
    const m = inScope(() => useMaking(() => trials.find('t1')))
    expect(m.base.value.kind).toBe('phases')
    expect(m.baseDone.value).toBe(false)
    const baseId = (await m.beginBase())!
    expect(trials.find('t1')!.plan.baseBatch).toBe(baseId)
    const batch = useBatch()
    const plan = benchPlan(m.base.value.formula!)
    const course = (await readBatch(baseId))!.state.events.slice()
    for (const s of plan.steps) {
      for (const l of s.lines)
        await batch.append({ type: 'weigh', line: l.line, grams: plan.a.lines[l.line]!.grams }, s.key)
      await batch.append({ type: 'step', how: 'done' }, s.key)
    }
    expect(course).toHaveLength(1)
    const again = inScope(() => useMaking(() => trials.find('t1')))
    await flushPromises()
    await eventually(() => expect(again.baseDone.value).toBe(true))
    const jar = (await again.beginJar('b'))!
    const { state } = (await readBatch(jar))!
    expect(foldBatch(state.plan, state.events).lines.filter((l) => l.weighed > 0).length).toBeGreaterThan(4)
    expect(trials.find('t1')!.samples[1]!.batchId).toBe(jar)
    expect(state.plan.formula.name).toBe(lotion.name)
  })
})
