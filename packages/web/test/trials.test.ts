// @vitest-environment happy-dom
// Trials in the interface: stored so that tabs add up, carried as text, set up, made, judged blind, read and decided.
import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import {
  catalogue,
  judgeSteps,
  readFile,
  sittingsOf,
  variantOptions,
  withAnswer,
  writeBackup,
  writeTrial,
  type Backup,
  type PlannedTrial,
  type VariantWish,
} from '@omblet/core'
import { flushPromises } from '@vue/test-utils'
import { computed, nextTick, type Ref } from 'vue'
import { beforeEach, describe, expect, it } from 'vitest'
import { demoTrials } from '../src/demo-trials'
import { BOUGHT, useSetUp } from '../src/features/trials/use-set-up'
import { readLevels, readNames } from '../src/features/trials/words'
import { collectBackup } from '../src/storage/backup'
import { restoreBackup } from '../src/storage/restore'
import { takeFromBin } from '../src/storage/bin'
import { closeStore } from '../src/storage/db'
import { takeFile } from '../src/storage/files'
import { addVersion, listVersions, saveFormula } from '../src/storage/formulas'
import { addTrial, changeTrial, deleteTrial, getTrial, listTrials, TrialGone } from '../src/storage/trials'
import { useLibrary } from '../src/stores/library'
import { newPage } from './mounted'
import { eventually } from './patience'
import { AT, inScope, judgeAll, lotion, trialOf } from './trial-pieces'

beforeEach(async () => {
  await closeStore()
  globalThis.indexedDB = new IDBFactory()
  newPage()
})

describe('a stored trial', () => {
  const answer = (n: number) => (t: PlannedTrial) => {
    const sitting = sittingsOf(t)[n]!
    const step = judgeSteps(t, sitting).find((s) => s.kind === 'score')!
    return withAnswer(t, sitting.person, sitting.round, step.key, { value: 3 + n })
  }
  it('adds up what two phones answer at the same moment', async () => {
    await addTrial(trialOf())
    await Promise.all([changeTrial('t1', answer(0)), changeTrial('t1', answer(1))])
    expect((await getTrial('t1'))!.scores.map((s) => s.value).sort()).toEqual([3, 4])
  })
  it('says when it was deleted elsewhere, and comes back from the bin whole', async () => {
    await addTrial(trialOf())
    await changeTrial('t1', answer(0))
    const bin = await deleteTrial('t1', AT, () => 'b1')
    expect(await listTrials()).toEqual([])
    await expect(changeTrial('t1', answer(1))).rejects.toThrow(TrialGone)
    expect(await takeFromBin(bin!)).toEqual({ kind: 'trial', id: 't1', beside: false })
    expect((await getTrial('t1'))!.scores).toHaveLength(1)
    expect(await deleteTrial('nothing', AT, () => 'b2')).toBeNull()
  })
  it('goes by way of its file, and is here once however often it is taken in', async () => {
    const text = writeTrial(judgeAll(trialOf(), () => 5))
    const file = () => new Blob([text])
    expect(await takeFile(file())).toEqual({ kind: 'trial', id: 't1', name: 'Which wax', what: 'new' })
    expect(await takeFile(file())).toMatchObject({ what: 'nothing' })
    expect(await takeFile(new Blob([text.replace('"value": 5', '"value": 99')]))).toMatchObject({
      kind: 'error',
    })
    const bare = await takeFile(new Blob(['{"format":"omblet-trial","formatVersion":1}']))
    expect(bare).toMatchObject({
      kind: 'error',
      error: expect.stringMatching(/not set up in Omblet/) as string,
    })
    expect(await listTrials()).toHaveLength(1)
  })
})

describe('backup and restore of trials and versions', () => {
  const restore = async (backup: Backup) => {
    const read = readFile(writeBackup(backup))
    if (read.kind !== 'backup') throw new Error(read.kind)
    expect(read.refused).toEqual([])
    return restoreBackup(read.backup)
  }
  it('bring back a judged and decided trial as it was, and never double it', async () => {
    const [done, open] = demoTrials(Date.parse(AT), () => 'f1')
    await addTrial(done!)
    await addTrial(open!)
    const backup = await collectBackup(AT)
    expect((await restore(backup)).same).toBe(2)
    await closeStore()
    globalThis.indexedDB = new IDBFactory()
    expect((await restore(backup)).added).toEqual({ trials: 2 })
    expect(await getTrial(done!.plan.id)).toEqual(done)
    expect(await getTrial(open!.plan.id)).toEqual(open)
  })
  it('go on with what is here where the backup has more, and leave it where it has less', async () => {
    const less = trialOf()
    const more = judgeAll(less, () => 4)
    await addTrial(more)
    const full = await collectBackup(AT)
    await changeTrial('t1', () => less)
    const early = await collectBackup(AT)
    expect((await restore(full)).added).toEqual({ trials: 1 })
    expect((await getTrial('t1'))!.scores).toHaveLength(more.scores.length)
    expect((await restore(early)).same).toBe(1)
    expect((await getTrial('t1'))!.scores).toHaveLength(more.scores.length)
    // scored otherwise: beside it, once
    await changeTrial('t1', () => judgeAll(less, () => 7))
    expect((await restore(full)).copies).toEqual(['Trial Which wax'])
    expect((await restore(full)).copies).toEqual([])
    expect(await listTrials()).toHaveLength(2)
  })
  it('keep why a version was made and which it came from, also beside another', async () => {
    await saveFormula('f1', lotion, 0, AT)
    await addVersion('f1', lotion, 'one', 'v1', AT, { reason: 'first' })
    await addVersion('f1', { ...lotion, batchGrams: 50 }, 'two', 'v2', AT, {
      reason: 'smaller',
      result: 'as good',
      rating: 4,
      trialId: 't1',
    })
    const backup = await collectBackup(AT)
    await saveFormula('f1', { ...lotion, note: 'changed' }, 1, AT)
    await restore(backup)
    const copy = (await import('../src/storage/formulas')).listFormulas
    const beside = (await copy()).find((r) => r.id !== 'f1')!
    const [two, one] = await listVersions(beside.id)
    expect(two).toMatchObject({
      reason: 'smaller',
      result: 'as good',
      rating: 4,
      trialId: 't1',
      from: one!.id,
    })
    expect(beside.from).toBe(one!.id)
    expect(one!.id).not.toBe('v1')
  })
})

/** The worker's answer at once. */
const atOnce = (request: Readonly<Ref<VariantWish | null>>) => ({
  answer: computed(() => (request.value ? variantOptions(request.value, catalogue) : null)),
  busy: computed(() => false),
  failed: computed(() => false),
})
const askAtOnce = atOnce as unknown as NonNullable<Parameters<typeof useSetUp>[1]>

describe('setting up', () => {
  const begin = async (start: Parameters<typeof useSetUp>[0] = {}) => {
    const made = await useLibrary().create(lotion)
    const s = inScope(() => useSetUp({ formula: made.id, ...start }, askAtOnce))
    await flushPromises()
    return { s, id: made.id }
  }
  it('reads levels and names as people type them', () => {
    expect(readLevels('2; 4,5 ; 6 6 nonsense')).toEqual([2, 4.5, 6])
    expect(readNames(' Ina, Bo;\nUna ,')).toEqual(['Ina', 'Bo', 'Una'])
  })
  it('begins with what is in use as the reference, which comes first', async () => {
    const { s } = await begin()
    s.options.value.slice()
    await nextTick()
    const current = s.options.value.find((o) => o.current)!
    expect(s.picked.value).toEqual([current.key])
    expect(s.fault.value).toMatch(/two samples/)
    s.picked.value = [...s.options.value.slice(0, 2).map((o) => o.key), current.key]
    expect(s.chosen.value[0]!.key).toBe(current.key)
    expect(s.offered.value.length).toBeLessThan(s.options.value.length)
    expect(s.differs.value.oneThing).toBe(true)
    s.people.value = 'Ina, Bo'
    expect(s.fault.value).toBeNull()
    s.triangle.value = true
    const trial = s.plan(new Date(AT))!
    expect(trial.samples.map((x) => x.reference)).toEqual([true, false, false])
    expect(trial.plan.choosing.map((c) => [c.a, c.b])).toEqual([
      ['a', 'b'],
      ['a', 'c'],
    ])
    expect(trial.plan.product).toEqual({ kind: 'lotion', hair: false })
  })
  it('takes levels of a line with half and more proposed, and a bought product beside them', async () => {
    const { s } = await begin({ varies: 'level' })
    expect(s.offered.value).toEqual([])
    const glycerin = s.lines.value.find((l) => /glycerin/.test(l.label))!
    s.line.value = glycerin.value
    await nextTick()
    expect(s.levels.value).toBe('2; 4; 6')
    await nextTick()
    expect(s.picked.value).toEqual(['2', '4', '6'])
    s.bought.value = 'the jar in use'
    expect(s.chosen.value.at(-1)).toEqual({ key: BOUGHT, name: 'the jar in use', formula: null })
    expect(s.what.value).toBe('the amount of glycerin')
    expect(s.warnings.value.map((w) => w.code)).toContain('bought')
  })
  it('means every level that is typed, also where the answer to the first came in between', async () => {
    const { s } = await begin({ varies: 'level' })
    s.line.value = s.lines.value.find((l) => /glycerin/.test(l.label))!.value
    await nextTick()
    // an answer to each step of typing, as on a slow machine
    for (const typed of ['2', '2;', '2; 6', '2; 6,', '2; 6,5']) {
      s.levels.value = typed
      await nextTick()
      await nextTick()
    }
    expect(s.picked.value).toEqual(['2', '6.5'])
    expect(s.chosen.value).toHaveLength(2)
  })
  it('leaves out what was taken away, whatever answers come later', async () => {
    const { s } = await begin({ varies: 'level' })
    s.line.value = s.lines.value.find((l) => /glycerin/.test(l.label))!.value
    await nextTick()
    await nextTick()
    s.picked.value = s.picked.value.filter((key) => key !== '4')
    s.levels.value = '2; 4; 6; 8'
    await nextTick()
    await nextTick()
    expect(s.picked.value).toEqual(['2', '6', '8'])
  })
  it('compares versions with the sheet, and schools of the method', async () => {
    const { s, id } = await begin({ varies: 'version' })
    await addVersion(id, { ...lotion, targetPh: { min: 5, max: 5.2 } }, 'milder', 'v9', AT)
    s.formulaId.value = null
    await flushPromises()
    s.formulaId.value = id
    await flushPromises()
    await eventually(() =>
      expect(s.options.value.map((o) => o.label)).toEqual(['Current formula', 'Version 1, milder']),
    )
    s.picked.value = s.options.value.map((o) => o.key)
    expect(s.differs.value.also).toEqual([{ code: 'target-ph' }])
    s.varies.value = 'school'
    await nextTick()
    await nextTick()
    expect(s.options.value.length).toBeGreaterThan(1)
    expect(s.what.value).not.toBe('the method')
  })
  it('keeps what was chosen when the formula is stored again, and takes in what is of one’s own', async () => {
    const { s, id } = await begin()
    s.asked.value = ['spread']
    useLibrary().note({
      ...useLibrary().records.find((r) => r.id === id)!,
      updatedAt: '2027-01-01T00:00:00.000Z',
    })
    await nextTick()
    expect(s.asked.value).toEqual(['spread'])
    s.addOwn(' Sound ', 'dull', 'squeaky')
    expect(s.attributes.value.at(-1)).toMatchObject({ name: 'Sound', low: 'dull', high: 'squeaky' })
    expect(s.asked.value).toContain(s.attributes.value.at(-1)!.id)
  })
})
