// @vitest-environment happy-dom
// Trials on the screen: judged blind, made from a base, read, decided and printed.
import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import {
  ended,
  scaleOf,
  sittingsOf,
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
import DecideCard from '../src/features/trials/DecideCard.vue'
import FoundCard from '../src/features/trials/FoundCard.vue'
import MakeCard from '../src/features/trials/MakeCard.vue'
import OwnAttribute from '../src/features/trials/OwnAttribute.vue'
import PaperPage from '../src/features/trials/PaperPage.vue'
import ResultCard from '../src/features/trials/ResultCard.vue'
import TrialsPage from '../src/features/trials/TrialsPage.vue'
import { savePhoto } from '../src/storage/batches'
import { closeStore } from '../src/storage/db'
import { listVersions } from '../src/storage/formulas'
import { addTrial, getTrial } from '../src/storage/trials'
import { useBatch } from '../src/stores/batch'
import { useLibrary } from '../src/stores/library'
import { useMaterials } from '../src/stores/materials'
import { useTrials } from '../src/stores/trials'
import { mounted, newPage } from './mounted'
import { eventually } from './patience'
import { AT, judgeAll, lotion, trialOf, waxes } from './trial-pieces'

beforeEach(async () => {
  await closeStore()
  globalThis.indexedDB = new IDBFactory()
  newPage()
})

describe('the screens of a trial', () => {
  const done = () =>
    ended(
      judgeAll(trialOf({ people: ['A', 'B', 'C', 'D', 'E'] }), (s, a) =>
        a === 'spread' ? { a: 2, b: 5, c: 9 }[s]! : a === 'absorption' ? 40 : 5,
      ),
      AT,
    )
  it('lists trials with where each stands, and offers examples where there is none', async () => {
    const empty = mounted(TrialsPage)
    await flushPromises()
    await eventually(() => expect(empty.text()).toContain('No trials yet'))
    for (const t of demoTrials(Date.parse(AT), () => null)) await addTrial(t)
    newPage()
    const list = mounted(TrialsPage)
    await flushPromises()
    await eventually(() => expect(list.text()).toMatch(/kept/))
    expect(list.text()).toMatch(/kept: Polyglyceryl methylglucose distearate/)
    expect(list.text()).toMatch(/1 of 2 sessions done/)
  })
  it('tells the effect first, draws each sample once in each row, and has a table beside it', () => {
    const card = mounted(ResultCard, { trial: done() })
    expect(card.find('.head-words').text()).toMatch(
      /^C spreads further than the reference \(by 7\.0 out of 10, 5 of 5 assessors\)/,
    )
    expect(card.findAll('.reading')).toHaveLength(3)
    for (const r of card.findAll('.reading')) expect(r.findAll('.dot')).toHaveLength(3)
    // what lies on one place stands in rows of its own
    expect(
      new Set(
        card
          .findAll('.reading')[1]!
          .findAll('.dot')
          .map((d) => d.attributes('style')),
      ).size,
    ).toBe(3)
    expect(card.find('table').text()).toContain('9.0 ± 0.0')
  })
  it('shows where the forecast was wrong, and takes down what was found', async () => {
    const trial = withFound(done(), { sample: 'b', what: 'body', choice: 'butter' })
    await addTrial(trial)
    await useTrials().load()
    const card = mounted(FoundCard, { trial })
    await flushPromises()
    expect(card.text()).toContain('← Prediction too low')
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
    const ways = () =>
      card.findAllComponents(ChoiceField as Component).filter((c) => c.text().startsWith('pH measurement'))
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
    await useBatch().begin(
      { code: 'QW', name: 'Quay', formulaId: null, who: '' },
      { type: 'start', formula: lotion, version: null },
    )
    const id = useBatch().info!.id
    await savePhoto({ id: 'q', batch: id, blob: new Blob(['y'], { type: 'image/png' }) })
    const card = mounted(FoundCard, { trial: withBatch(done(), 'b', id) })
    await eventually(() => expect(card.findAll('.photos img')).toHaveLength(1))
    expect(card.find('.photos').attributes('aria-label')).toMatch(/^Photos of /)
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
    await eventually(async () =>
      expect((await getTrial('t1'))!.plan.decision).toMatchObject({
        keep: 'c',
        because: 'glides',
        version: 1,
      }),
    )
    const [version] = await listVersions(made.id)
    expect(version).toMatchObject({ reason: 'glides', trialId: 't1' })
    expect(version!.result).toMatch(/C spreads further/)
    expect(version!.formula.batchGrams).toBe(lotion.batchGrams)
    await eventually(() =>
      expect(useMaterials().catalogue.find(material)!.note).toMatch(/sets too fast for me$/),
    )
  })
  it('prints a key for whoever fills the jars, and sheets that hold codes only', async () => {
    const trial = trialOf({ choosing: [{ kind: 'triangle', a: 0, b: 1 }] })
    await addTrial(trial)
    const page = mounted(PaperPage, { id: 't1' })
    await eventually(() => expect(page.text()).toContain(waxes[0]!.label))
    await (page.vm.$router as { push: (to: string) => Promise<void> }).push('/x?what=sheets')
    await flushPromises()
    for (const o of waxes) expect(page.text()).not.toContain(o.label)
    for (const s of sittingsOf(trial)) expect(page.text()).toContain(s.served[0]!.code)
    expect(page.text()).toContain('circle the different one')
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
    expect(card.text()).toContain('Shared phases, made once')
    expect(card.text()).toMatch(/Water: 4\d\.\d\d?.g into each jar/)
    expect(card.findAll('.jars li')).toHaveLength(3)
  })
  it('takes an attribute of one’s own when all three words are there', async () => {
    const button = mounted(OwnAttribute)
    await button.find('button').trigger('click')
    await flushPromises()
    const field = (id: string) => document.querySelector<HTMLInputElement>(`#${id}`)!
    for (const [id, value] of [
      ['own-name', 'sound'],
      ['own-low', 'dull'],
      ['own-high', 'squeaky'],
    ] as const) {
      field(id).value = value
      field(id).dispatchEvent(new Event('input'))
    }
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
