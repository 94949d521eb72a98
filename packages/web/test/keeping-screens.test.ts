import { batchVerdictText } from '@omblet/core/words'
// @vitest-environment happy-dom
// What is kept, on the screen: the place, the plan, where a lot went, patch tests and questions.
import 'fake-indexeddb/auto'
import { foldBatch, benchPlan, catalogue, historyOf, verdictOf } from '@omblet/core'
import { flushPromises } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { effectScope } from 'vue'
import { beforeEach, describe, expect, it } from 'vitest'
import AnswersCard from '../src/features/stability/AnswersCard.vue'
import DueCard from '../src/features/stability/DueCard.vue'
import StabilityPage from '../src/features/stability/StabilityPage.vue'
import PatchCard from '../src/features/stability/PatchCard.vue'
import PlanDialog from '../src/features/stability/PlanDialog.vue'
import PropertyRow from '../src/features/stability/PropertyRow.vue'
import { useLife } from '../src/features/stability/use-life'
import { useQuestions } from '../src/features/stability/use-questions'
import LotTracePage from '../src/features/ingredients/LotTracePage.vue'
import { everyBatch } from '../src/storage/batches'
import { takeInBatch } from '../src/storage/take-in'
import { openStore } from '../src/storage/db'
import { useBatch } from '../src/stores/batch'
import { useStability } from '../src/stores/stability'
import { useLots } from '../src/stores/lots'
import { mounted } from './mounted'
import { eventually } from './patience'
import { NOW, demo } from './keeping-pieces'

/** Runs what a component would run, for as long as the test lasts. */
const inScope = <T>(work: () => T): T => effectScope(true).run(work)!
/** An example batch opened: its state, what was seen of it, and what that means. */
function opened(i: number) {
  const { batch, events } = demo()[i]!
  const [start] = events
  if (start?.type !== 'start') throw new Error('no start')
  const state = foldBatch(benchPlan(start.formula, catalogue), events)
  const history = historyOf(events)
  return { batch, state, history, verdict: verdictOf(state, history, state.plan.a) }
}

beforeEach(async () => {
  setActivePinia(createPinia())
  const db = await openStore()
  await Promise.all([db.clear('batches'), db.clear('events'), db.clear('settings'), db.clear('lots')])
})

describe('the place', () => {
  it('says what to do where nothing is kept', async () => {
    const page = mounted(StabilityPage)
    await eventually(() => expect(page.text()).toContain('No batches under observation'))
    expect(page.text()).toContain('Load three example batches')
  })
  it('lists what is due by batch, with a way to look', async () => {
    for (const b of demo()) await takeInBatch(b)
    const keeping = useStability()
    await keeping.load()
    keeping.now = new Date(NOW)
    const card = mounted(DueCard, { chosen: 'demo-LT-D1' })
    await flushPromises()
    const rows = card.findAll('li').map((l) => l.text().replace(/\s+/g, ' '))
    expect(rows[0]).toContain('Low Tide toner')
    expect(rows[0]).toContain('today')
    expect(card.find('[aria-current="true"]').text()).toContain('Low Tide toner')
    expect(card.text()).toContain('Record observations')
    expect(card.text()).toContain('Calendar file')
  })
  it('shows every answer once it is asked for, with what was put right struck out', async () => {
    const { batch, history } = opened(0)
    await takeInBatch(demo()[0]!)
    await useBatch().open(batch.id)
    const [first] = history.answers
    const card = mounted(AnswersCard, {
      history: { ...history, answers: [{ ...first!, corrected: true }, ...history.answers.slice(1)] },
    })
    expect(card.findAll('li')).toHaveLength(0)
    const details = card.get('details').element
    details.open = true
    await card.get('details').trigger('toggle')
    expect(card.findAll('li')).toHaveLength(history.answers.length)
    expect(card.findAll('li').at(-1)!.text()).toContain('corrected')
    expect(card.findAll('li').at(-1)!.find('a').exists()).toBe(false)
  })
  it('tells samples that were answered alike in one line, and one that was not apart', () => {
    const { verdict, state } = opened(2)
    const list = verdict.list.filter((v) => v.series.property === 'layer')
    const row = mounted(PropertyRow, { property: 'layer', list, earlier: [], assessment: state.plan.a })
    const lines = row.findAll('.said').map((l) => l.text().replace(/\s+/g, ' '))
    expect(lines).toHaveLength(2)
    expect(lines[0]).toContain('Free oil or water, or curdled turn 3 of 3')
    expect(lines[1]).toContain('room temperature, refrigerated, 40 °C')
    expect(row.text()).toContain('Freeze–thaw:')
  })
})

describe('the plan', () => {
  it('is proposed with reasons, changed in a few presses, and stored as it was left', async () => {
    const [first] = demo()
    const upTo = first!.events.findIndex((e) => e.type === 'keep')
    await takeInBatch({ ...first!, events: first!.events.slice(0, upTo) })
    const life = inScope(() => useLife(() => first!.batch.id))
    await eventually(() => expect(life.phase.value).toBe('here'))
    const dialog = mounted(PlanDialog, { life, open: true })
    await flushPromises()
    const body = document.body
    expect(body.textContent).toContain('Contains water: any visible growth means discarding the whole batch.')
    expect(body.textContent).toContain('g of 192 g kept back')
    const tick = (id: string) => body.querySelector<HTMLInputElement>(`#${id}`)!
    expect(tick('plan-warm').checked).toBe(true)
    tick('plan-warm').click()
    tick('plan-fridge').click()
    tick('plan-p-gas').click()
    ;[...body.querySelectorAll<HTMLButtonElement>('.day')]
      .find((b) => b.textContent!.trim() === '3 days')!
      .click()
    await flushPromises()
    body.querySelector('form')!.dispatchEvent(new Event('submit'))
    await eventually(() => expect(life.history.value!.samples.length).toBeGreaterThan(0))
    const { samples, looks } = life.history.value!
    expect(samples.map((x) => x.id)).toEqual(['room', 'use'])
    expect(samples[0]!.grams).toBeGreaterThan(0)
    expect(looks.some((l) => l.day === 3 || l.properties.includes('gas'))).toBe(false)
    expect(looks.filter((l) => l.sample === 'room').map((l) => l.day)).toEqual([1, 7, 14, 28, 56, 84])
    dialog.unmount()
  })
})

describe('where a lot went', () => {
  it('is shown with its batches, marked as off with a reason, and taken back', async () => {
    const [first] = demo()
    const events = first!.events.map((e) => (e.type === 'weigh' && e.line === 0 ? { ...e, lot: 'l' } : e))
    await takeInBatch({ ...first!, events })
    await useLots().put({ id: 'l', material: 'propanediol', leftGrams: 30, batch: 'P-1' })
    const page = mounted(LotTracePage, { id: 'l' })
    await eventually(() => expect(page.text()).toContain('LT-D1'))
    expect(page.text()).toContain('Low Tide toner')
    await page.get('#lot-off').setValue('smells of plastic')
    await page.get('form').trigger('submit')
    await eventually(() => expect(useLots().lots[0]!.off).toBe('smells of plastic'))
    await eventually(() => expect(page.text()).toContain('withdraw it'))
    await page
      .findAll('button')
      .find((b) => b.text() === 'Undo rejection')!
      .trigger('click')
    await eventually(() => expect(useLots().lots[0]!.off).toBeUndefined())
  })
  it('says so where no batch holds it', async () => {
    await useLots().put({ id: 'l', material: 'propanediol', leftGrams: 30 })
    const page = mounted(LotTracePage, { id: 'l' })
    await eventually(() => expect(page.text()).toContain('No batch on this device contains this lot.'))
    expect(mounted(LotTracePage, { id: 'gone' }).text()).toContain('lot')
  })
})

describe('patch tests', () => {
  it('need initials and a yes, and stop where skin reacts', async () => {
    await takeInBatch(demo()[0]!)
    const life = inScope(() => useLife(() => 'demo-LT-D1'))
    await eventually(() => expect(life.phase.value).toBe('here'))
    const { batch } = life
    expect(
      batch.enter({ type: 'patch', who: 'Ina Marsh', consent: true, way: 'once', place: 'arm' }, null),
    ).toBe(false)
    expect(batch.enter({ type: 'patch', who: 'IM', consent: true, way: 'once', place: 'arm' }, null)).toBe(
      true,
    )
    const of = life.state.value!.events.length - 1
    expect(batch.enter({ type: 'patch-look', of: 0, grade: 1 }, null)).toBe(false)
    expect(batch.enter({ type: 'patch-look', of, grade: 3 }, null)).toBe(true)
    const card = mounted(PatchCard, { history: life.history.value! })
    expect(card.text()).toContain('IM')
    expect(card.text()).toContain('see a doctor')
    expect(batchVerdictText(life.verdict.value!).says).toBe('Do not use. A patch test reacted.')
    await eventually(() => expect(batch.pending).toHaveLength(0))
    expect((await everyBatch())[0]!.head.reacted).toBe(true)
  })
})

describe('questions', () => {
  it('come one after the other, keep what was given, and are put right on the way back', async () => {
    for (const b of demo()) await takeInBatch(b)
    const life = inScope(() => useLife(() => 'demo-LT-D1'))
    await eventually(() => expect(life.phase.value).toBe('here'))
    const asked = inScope(() => useQuestions(life, () => ({ sample: 'room', day: 56 })))
    expect(asked.list.value.map((q) => q.property)).toEqual(['germs', 'gas', 'smell', 'ph', 'mass'])
    expect(asked.lastWords.value).toBe('Last: nothing to be seen')
    expect(asked.answer({ choice: 'none' })).toBe(true)
    expect(asked.question.value!.property).toBe('gas')
    expect(asked.answer({ choice: 'sour' })).toBe(false)
    expect(asked.question.value!.property).toBe('gas')
    asked.at.value = 0
    expect(asked.answer({ choice: 'cloud' })).toBe(true)
    const answers = life.history.value!.answers.filter((a) => a.day === 56)
    expect(answers.map((a) => [a.choice, a.corrected])).toEqual([
      ['none', true],
      ['cloud', false],
    ])
    asked.at.value = 3
    expect(asked.usualWay.value).toBe('meter')
    expect(asked.answer({ value: 5.9, way: 'meter' })).toBe(true)
    await eventually(() => expect(life.batch.pending).toHaveLength(0))
    expect((await everyBatch()).find((b) => b.head.id === 'demo-LT-D1')!.head.watch!.grade).toBe('again')
  })
  it('ask all that matters between the planned looks, and one answer to be put right', async () => {
    for (const b of demo()) await takeInBatch(b)
    const life = inScope(() => useLife(() => 'demo-SW-D2'))
    await eventually(() => expect(life.phase.value).toBe('here'))
    const n = life.history.value!.answers[0]!.n
    const one = inScope(() => useQuestions(life, () => ({ corrects: n })))
    expect(one.list.value).toMatchObject([{ property: 'ph', sample: 'room', corrects: n }])
    const single = inScope(() => useQuestions(life, () => ({ property: 'body' as const })))
    expect(single.list.value).toMatchObject([{ property: 'body', sample: 'room', day: null }])
  })
})
