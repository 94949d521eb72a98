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
import { effectScope } from 'vue'
import { beforeEach, describe, expect, it } from 'vitest'
import LearnedNote from '../src/components/LearnedNote.vue'
import { demoBatches } from '../src/demo-batches'
import AnswersCard from '../src/features/keeping/AnswersCard.vue'
import DueCard from '../src/features/keeping/DueCard.vue'
import KeepingPage from '../src/features/keeping/KeepingPage.vue'
import NumberAnswer from '../src/features/keeping/NumberAnswer.vue'
import PatchCard from '../src/features/keeping/PatchCard.vue'
import PlanDialog from '../src/features/keeping/PlanDialog.vue'
import PropertyRow from '../src/features/keeping/PropertyRow.vue'
import { markAt, meanOf } from '../src/features/keeping/pixels'
import { useLife } from '../src/features/keeping/use-life'
import { useQuestions } from '../src/features/keeping/use-questions'
import { runsOf, sayDue, sayLook, sayLooks, sayProperties, sayRun } from '../src/features/keeping/words'
import WentPage from '../src/features/shelf/WentPage.vue'
import { everyBatch } from '../src/storage/batches'
import { collectBackup } from '../src/storage/backup'
import { restoreBackup, takeInBatch } from '../src/storage/restore'
import { openStore } from '../src/storage/db'
import { useBatch } from '../src/stores/batch'
import { useBatches } from '../src/stores/batches'
import { useKeeping } from '../src/stores/keeping'
import { useLearned } from '../src/stores/learned'
import { useLots } from '../src/stores/lots'
import { mounted } from './mounted'
import { eventually } from './patience'

beforeEach(async () => {
  setActivePinia(createPinia())
  const db = await openStore()
  await Promise.all([db.clear('batches'), db.clear('events'), db.clear('settings'), db.clear('lots')])
})
/** Runs what a component would run, for as long as the test lasts. */
const inScope = <T>(work: () => T): T => effectScope(true).run(work)!
const NOW = Date.parse('2026-06-10T12:00:00Z')
const demo = () => demoBatches(NOW, (name) => (name === 'Low Tide toner' ? 'low-tide' : null))

describe('the example batches', () => {
  it('are sound where they should be, and split in frost where they should', () => {
    const verdicts = demo().map(({ events }) => {
      const [start] = events
      if (start?.type !== 'start') throw new Error('no start')
      const state = foldBatch(benchPlan(start.formula, catalogue), events)
      return verdictOf(state, historyOf(events), state.plan.a)
    })
    expect(verdicts.map((v) => v.grade)).toEqual(['fine', 'fine', 'again'])
    expect(verdicts[1]!.says).toContain('as forecast, and has rested since')
    expect(verdicts[2]!.says).toContain('Frost and thaw')
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
    const keeping = useKeeping()
    await keeping.load()
    keeping.now = new Date(NOW)
    expect(keeping.watched).toHaveLength(3)
    const rows = keeping.due.map((d) => [d.head.code, sayDue(d.inDays), sayLooks(d.looks)])
    expect(rows).toEqual([
      ['LT-D1', 'today', '8 weeks, room, warm, in use'],
      ['SH-D3', 'today', '2 weeks, room, warm, in use'],
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
    const keeping = useKeeping()
    await keeping.load()
    expect([keeping.due, keeping.watched, keeping.unwatched.length]).toEqual([[], [], 1])
  })
  it('is read with everything that happened, for a lot that is sought', async () => {
    for (const b of demo()) await takeInBatch(b)
    const all = await everyBatch()
    expect(all.map((b) => [b.head.code, b.events.length]).sort()).toEqual(demo().map((b) => [b.batch.code, b.events.length]).sort()) // prettier-ignore
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
      '2 days late',
      '1 day late',
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
    expect(sayProperties(['germs', 'gas', 'smell', 'ph', 'mass'])).toBe(
      'anything growing, gas, smell, 2 more',
    )
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
    const note = mounted(LearnedNote, { lesson: 'loss', says: 'What stayed on tools:', unit: '%' })
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

/** An example batch opened: its state, what was seen of it, and what that means. */
function opened(i: number) {
  const { batch, events } = demo()[i]!
  const [start] = events
  if (start?.type !== 'start') throw new Error('no start')
  const state = foldBatch(benchPlan(start.formula, catalogue), events)
  const history = historyOf(events)
  return { batch, state, history, verdict: verdictOf(state, history, state.plan.a) }
}

describe('the place', () => {
  it('says what to do where nothing is kept', async () => {
    const page = mounted(KeepingPage)
    await eventually(() => expect(page.text()).toContain('Nothing is kept yet'))
    expect(page.text()).toContain('Try three example batches')
  })
  it('lists what is due by batch, with a way to look', async () => {
    for (const b of demo()) await takeInBatch(b)
    const keeping = useKeeping()
    await keeping.load()
    keeping.now = new Date(NOW)
    const card = mounted(DueCard, { chosen: 'demo-LT-D1' })
    await flushPromises()
    const rows = card.findAll('li').map((l) => l.text().replace(/\s+/g, ' '))
    expect(rows[0]).toContain('Low Tide toner')
    expect(rows[0]).toContain('today')
    expect(card.find('[aria-current="true"]').text()).toContain('Low Tide toner')
    expect(card.text()).toContain('Look at them now')
    expect(card.text()).toContain('Calendar file')
  })
  it('shows every answer once it is asked for, with what was put right struck out', async () => {
    const { batch, history } = opened(0)
    await takeInBatch(demo()[0]!)
    await useBatch().open(batch.id)
    const [first] = history.answers
    const card = mounted(AnswersCard, { history: { ...history, answers: [{ ...first!, corrected: true }, ...history.answers.slice(1)] } }) // prettier-ignore
    expect(card.findAll('li')).toHaveLength(0)
    const details = card.get('details').element
    details.open = true
    await card.get('details').trigger('toggle')
    expect(card.findAll('li')).toHaveLength(history.answers.length)
    expect(card.findAll('li').at(-1)!.text()).toContain('put right')
    expect(card.findAll('li').at(-1)!.find('a').exists()).toBe(false)
  })
  it('tells samples that were answered alike in one line, and one that was not apart', () => {
    const { verdict, state } = opened(2)
    const list = verdict.list.filter((v) => v.series.property === 'layer')
    const row = mounted(PropertyRow, { property: 'layer', list, earlier: [], assessment: state.plan.a })
    const lines = row.findAll('.said').map((l) => l.text().replace(/\s+/g, ' '))
    expect(lines).toHaveLength(2)
    expect(lines[0]).toContain('Free oil or water, or curdled turn 3 of 3')
    expect(lines[1]).toContain('room, fridge, warm')
    expect(row.text()).toContain('Frost and thaw:')
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
    expect(body.textContent).toContain('There is water in it: what grows condemns the whole batch.')
    expect(body.textContent).toContain('g of 192 g are set aside')
    const tick = (id: string) => body.querySelector<HTMLInputElement>(`#${id}`)!
    expect(tick('plan-warm').checked).toBe(true)
    tick('plan-warm').click()
    tick('plan-fridge').click()
    tick('plan-p-gas').click()
    ;[...body.querySelectorAll<HTMLButtonElement>('.day')].find((b) => b.textContent!.trim() === '3 days')!.click() // prettier-ignore
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
    const page = mounted(WentPage, { id: 'l' })
    await eventually(() => expect(page.text()).toContain('LT-D1'))
    expect(page.text()).toContain('Low Tide toner')
    await page.get('#lot-off').setValue('smells of plastic')
    await page.get('form').trigger('submit')
    await flushPromises()
    expect(useLots().lots[0]!.off).toBe('smells of plastic')
    expect(page.text()).toContain('take it out of use')
    await page.findAll('button').find((b) => b.text() === 'It is not off')!.trigger('click') // prettier-ignore
    await flushPromises()
    expect(useLots().lots[0]!.off).toBeUndefined()
  })
  it('says so where no batch holds it', async () => {
    await useLots().put({ id: 'l', material: 'propanediol', leftGrams: 30 })
    const page = mounted(WentPage, { id: 'l' })
    await eventually(() => expect(page.text()).toContain('No batch on this machine holds it.'))
    expect(mounted(WentPage, { id: 'gone' }).text()).toContain('lot')
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
    expect(life.verdict.value!.says).toBe('Do not use. A patch test reacted.')
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
    expect(answers.map((a) => [a.choice, a.corrected])).toEqual([['none', true], ['cloud', false]]) // prettier-ignore
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
