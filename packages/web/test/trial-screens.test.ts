// @vitest-environment happy-dom
// Trials on the screen: judged blind, made from a base, read, decided and printed.
import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import {
  benchPlan,
  ended,
  foldBatch,
  isAnswered,
  scaleOf,
  sittingsOf,
  usualAttributes,
  withBatch,
  withFound,
  type Formula,
  type PlannedTrial,
} from '@omblet/core'
import { flushPromises } from '@vue/test-utils'
import { nextTick, type Component } from 'vue'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { demoTrials } from '../src/demo-trials'
import ChoiceField from '../src/components/ChoiceField.vue'
import { readBatch } from '../src/composables/batch-state'
import DecideCard from '../src/features/trials/DecideCard.vue'
import FoundCard from '../src/features/trials/FoundCard.vue'
import JudgePage from '../src/features/trials/JudgePage.vue'
import MakeCard from '../src/features/trials/MakeCard.vue'
import OrderAnswer from '../src/features/trials/OrderAnswer.vue'
import OwnAttribute from '../src/features/trials/OwnAttribute.vue'
import PaperPage from '../src/features/trials/PaperPage.vue'
import ResultCard from '../src/features/trials/ResultCard.vue'
import SecondsAnswer from '../src/features/trials/SecondsAnswer.vue'
import TrialsPage from '../src/features/trials/TrialsPage.vue'
import { useJudging } from '../src/features/trials/use-judging'
import { useMaking } from '../src/features/trials/use-making'
import { savePhoto } from '../src/storage/batches'
import { closeStore } from '../src/storage/db'
import { listVersions } from '../src/storage/formulas'
import { addTrial, deleteTrial, getTrial } from '../src/storage/trials'
import { useBatch } from '../src/stores/batch'
import { useLibrary } from '../src/stores/library'
import { useMaterials } from '../src/stores/materials'
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
      const j = await open(trialOf({ attributes: usualAttributes('lotion').filter((a) => ['spread', 'tack'].includes(a.id)) })) // prettier-ignore
      expect(j.people.value.map((p) => [p.name, p.open])).toEqual([['Ina', true], ['Bo', true]]) // prettier-ignore
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
    await page.findAll('button').find((b) => b.text().startsWith('Bo'))!.trigger('click') // prettier-ignore
    const bo = sittingsOf(trialOf()).find((s) => s.person === 'p2')!
    expect(page.find('h2').text()).toBe(bo.served[0]!.code)
    await page.findAll('button').find((b) => b.text() === 'It is on')!.trigger('click') // prettier-ignore
    expect(page.findAll('.numbers button')).toHaveLength(11)
    await page.findAll('.numbers button')[4]!.trigger('click')
    await flushPromises()
    expect((await getTrial('t1'))!.scores[0]!.value).toBe(4)
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
      for (const l of s.lines) await batch.append({ type: 'weigh', line: l.line, grams: plan.a.lines[l.line]!.grams }, s.key) // prettier-ignore
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

describe('the screens of a trial', () => {
  const done = () => ended(judgeAll(trialOf({ people: ['A', 'B', 'C', 'D', 'E'] }), (s, a) => (a === 'spread' ? { a: 2, b: 5, c: 9 }[s]! : a === 'absorption' ? 40 : 5)), AT) // prettier-ignore
  it('lists trials with where each stands, and offers examples where there is none', async () => {
    const empty = mounted(TrialsPage)
    await flushPromises()
    await eventually(() => expect(empty.text()).toContain('Nothing is compared yet'))
    for (const t of demoTrials(Date.parse(AT), () => null)) await addTrial(t)
    newPage()
    const list = mounted(TrialsPage)
    await flushPromises()
    await eventually(() => expect(list.text()).toMatch(/kept/))
    expect(list.text()).toMatch(/kept: Polyglyceryl methylglucose distearate/)
    expect(list.text()).toMatch(/1 of 2 sittings done/)
  })
  it('tells the effect first, draws each sample once in each row, and has a table beside it', () => {
    const card = mounted(ResultCard, { trial: done() })
    expect(card.find('.head-words').text()).toMatch(/^C spreads further than the reference \(by 7\.0 of 10; 5 of 5 people\)/) // prettier-ignore
    expect(card.findAll('.reading')).toHaveLength(3)
    for (const r of card.findAll('.reading')) expect(r.findAll('.dot')).toHaveLength(3)
    // what lies on one place stands in rows of its own
    expect(new Set(card.findAll('.reading')[1]!.findAll('.dot').map((d) => d.attributes('style'))).size).toBe(3) // prettier-ignore
    expect(card.find('table').text()).toContain('9.0 ± 0.0')
  })
  it('shows where the forecast was wrong, and takes down what was found', async () => {
    const trial = withFound(done(), { sample: 'b', what: 'body', choice: 'butter' })
    await addTrial(trial)
    await useTrials().load()
    const card = mounted(FoundCard, { trial })
    await flushPromises()
    expect(card.text()).toContain('← Omblet was low')
    expect(card.findAll('.photos img')).toHaveLength(0)
    await card.find('#found-a-spread').setValue('61,5')
    await flushPromises()
    expect((await getTrial('t1'))!.plan.measured).toContainEqual({ sample: 'a', what: 'spread', value: 61.5 })
  })
  it('asks how a pH was read, and keeps it while the figure is put right', async () => {
    await addTrial(done())
    await useTrials().load()
    const card = mounted(FoundCard, { trial: done() })
    const stored = async () => (await getTrial('t1'))!
    const ways = () => card.findAllComponents(ChoiceField as Component).filter((c) => c.text().startsWith('pH, how it was read')) // prettier-ignore
    expect(ways()).toHaveLength(0)
    await card.find('#found-a-ph').setValue('5,4')
    await flushPromises()
    await card.setProps({ trial: (await stored()) as PlannedTrial })
    expect(ways()).toHaveLength(1)
    ways()[0]!.vm.$emit('update:modelValue', 'strip')
    await flushPromises()
    await card.setProps({ trial: (await stored()) as PlannedTrial })
    expect(card.text()).toContain('found 5.40 (strip)')
    await card.find('#found-a-ph').setValue('5,6')
    await flushPromises()
    expect((await stored()).plan.measured).toContainEqual({
      sample: 'a',
      what: 'ph',
      value: 5.6,
      way: 'strip',
    })
    await card.setProps({ trial: (await stored()) as PlannedTrial })
    await card.find('#found-a-ph').setValue('')
    await flushPromises()
    expect((await stored()).plan.measured).toEqual([])
  })
  it('shows the photographs of a jar’s batch beside what was found', async () => {
    vi.spyOn(URL, 'createObjectURL').mockReturnValue('blob:seen')
    vi.spyOn(URL, 'revokeObjectURL').mockReturnValue()
    await savePhoto({ id: 'p', batch: 'b', blob: new Blob(['x'], { type: 'image/png' }) })
    await useBatch().begin({ code: 'QW', name: 'Quay', formulaId: null, who: '' }, { type: 'start', formula: lotion, version: null }) // prettier-ignore
    const id = useBatch().info!.id
    await savePhoto({ id: 'q', batch: id, blob: new Blob(['y'], { type: 'image/png' }) })
    const card = mounted(FoundCard, { trial: withBatch(done(), 'b', id) })
    await eventually(() => expect(card.findAll('.photos img')).toHaveLength(1))
    expect(card.find('.photos').attributes('aria-label')).toMatch(/^Photographs of /)
  })
  it('keeps the winner as a version with reason and result, and the loser’s lesson with its material', async () => {
    const made = await useLibrary().create(lotion)
    const trial = { ...done(), plan: { ...done().plan, of: { id: made.id, name: lotion.name } } }
    await addTrial(trial)
    await useTrials().load()
    const card = mounted(DecideCard, { trial })
    card.findComponent(ChoiceField as Component).vm.$emit('update:modelValue', 'c')
    await nextTick()
    await card.find('#decide-because').setValue('glides')
    const lesson = card.find('input[id^="lesson-"]')
    const material = lesson.attributes('id')!.replace('lesson-', '')
    await lesson.setValue('sets too fast for me')
    await card.find('form').trigger('submit')
    await flushPromises()
    await eventually(async () => expect((await getTrial('t1'))!.plan.decision).toMatchObject({ keep: 'c', because: 'glides', version: 1 })) // prettier-ignore
    const [version] = await listVersions(made.id)
    expect(version).toMatchObject({ reason: 'glides', trialId: 't1' })
    expect(version!.result).toMatch(/C spreads further/)
    expect(version!.formula.batchGrams).toBe(lotion.batchGrams)
    expect(useMaterials().catalogue.find(material)!.note).toMatch(/sets too fast for me$/)
  })
  it('prints a key for whoever fills the jars, and sheets that hold codes only', async () => {
    const trial = trialOf({ choosing: [{ kind: 'triangle', a: 0, b: 1 }] })
    await addTrial(trial)
    const page = mounted(PaperPage, { id: 't1' })
    await flushPromises()
    expect(page.text()).toContain(waxes[0]!.label)
    await (page.vm.$router as { push: (to: string) => Promise<void> }).push('/x?what=sheets')
    await flushPromises()
    for (const o of waxes) expect(page.text()).not.toContain(o.label)
    for (const s of sittingsOf(trial)) expect(page.text()).toContain(s.served[0]!.code)
    expect(page.text()).toContain('ring the odd one')
    // weights of base and jars make up what is made
    await (page.vm.$router as { push: (to: string) => Promise<void> }).push('/x?what=make')
    await flushPromises()
    const grams = page
      .findAll('section')
      .map((s) => s.findAll('tr').reduce((sum, r) => sum + Number.parseFloat(r.findAll('td')[0]!.text()), 0))
    for (const jar of grams.slice(2)) expect(jar).toBeCloseTo(60, 0)
  })
  it('says what is made once and what each jar gets', async () => {
    const trial = trialOf()
    await addTrial(trial)
    const card = mounted(MakeCard, { trial })
    await flushPromises()
    expect(card.text()).toContain('What is common, made once')
    expect(card.text()).toMatch(/Water: 4\d\.\d\d?.g into each jar/)
    expect(card.findAll('.jars li')).toHaveLength(3)
  })
  it('takes an attribute of one’s own when all three words are there', async () => {
    const button = mounted(OwnAttribute)
    await button.find('button').trigger('click')
    await flushPromises()
    const field = (id: string) => document.querySelector<HTMLInputElement>(`#${id}`)!
    for (const [id, value] of [['own-name', 'sound'], ['own-low', 'dull'], ['own-high', 'squeaky']] as const) {
      field(id).value = value
      field(id).dispatchEvent(new Event('input'))
    } // prettier-ignore
    await nextTick()
    document.querySelector<HTMLFormElement>('.dialog-form')!.requestSubmit()
    await nextTick()
    expect(button.emitted('add')).toEqual([['sound', 'dull', 'squeaky']])
  })
})

describe('the example trials', () => {
  it('are judged within their scales, one decided and one under way', () => {
    const [first, second] = demoTrials(Date.parse(AT), () => null) as [PlannedTrial, PlannedTrial]
    expect(first.plan.people).toHaveLength(3)
    expect(first.samples).toHaveLength(4)
    expect(first.plan.decision?.keep).toBe('c')
    expect(second.plan.endedAt).toBeUndefined()
    for (const t of [first, second])
      for (const s of t.scores) {
        const [low, high] = scaleOf(t.attributes.find((a) => a.id === s.attribute)!)
        expect(s.value >= low && s.value <= high).toBe(true)
      }
    const formulas: (Formula | undefined)[] = second.samples.map((s) => s.formula)
    expect(formulas.every(Boolean)).toBe(true)
  })
})
