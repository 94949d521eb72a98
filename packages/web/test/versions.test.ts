// @vitest-environment happy-dom
// Versions of a formula: where each came from, any two side by side, their story; and what a batch fills beside its samples.
import { changeText } from '@omblet/core/words'
import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { applyEdit, Container, difference, versionTree, type BatchHead, type Formula } from '@omblet/core'
import { flushPromises } from '@vue/test-utils'
import { effectScope, type Component } from 'vue'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import Select from 'primevue/select'
import { demoFormulas } from '../src/demo'
import FillCard from '../src/features/formula/cost/FillCard.vue'
import HistoryPage from '../src/features/formula/versions/HistoryPage.vue'
import StoryForm from '../src/features/formula/versions/StoryForm.vue'
import { SHEET, useVersions } from '../src/features/formula/versions/use-versions'
import VersionsPage from '../src/features/formula/versions/VersionsPage.vue'
import { closeStore } from '../src/storage/db'
import {
  addVersion,
  getFormula,
  goOnFrom,
  listVersions,
  saveFormula,
  tellVersion,
} from '../src/storage/formulas'
import { useBatches } from '../src/stores/batches'
import { useContainers } from '../src/stores/containers'
import { useEditor } from '../src/stores/editor'
import { useLearned } from '../src/stores/learned'
import { useLibrary } from '../src/stores/library'
import { useMaterials } from '../src/stores/materials'
import { mounted, newPage } from './mounted'
import { eventually } from './patience'

const AT = '2026-03-01T10:00:00.000Z'
const serum = demoFormulas().find((f) => f.name.startsWith('Night Watch'))!
const acid = serum.phases.findIndex((p) => p.lines.some((l) => l.material === 'mandelic-acid'))
const line = serum.phases[acid]!.lines.findIndex((l) => l.material === 'mandelic-acid')
const at = (percent: number): Formula =>
  applyEdit(serum, { type: 'set-percent', at: { phase: acid, line }, percent })

beforeEach(async () => {
  await closeStore()
  globalThis.indexedDB = new IDBFactory()
  newPage()
})
const open = async () => {
  const made = await useLibrary().create(serum)
  await useEditor().open(made.id)
  return made.id
}

describe('a version', () => {
  it('comes from the one that the sheet went on from, and only the sheet’s own moves that', async () => {
    await saveFormula('f', serum, 0, AT)
    await addVersion('f', serum, 'one', 'v1', AT)
    await addVersion('f', at(5), 'of a trial', 'v2', AT, { trialId: 't' })
    expect((await getFormula('f'))!.from).toBe('v1')
    await saveFormula('f', at(6), 1, AT)
    await addVersion('f', at(6), 'three', 'v3', AT)
    const by = new Map((await listVersions('f')).map((v) => [v.name, v.from]))
    expect([by.get('one'), by.get('of a trial'), by.get('three')]).toEqual([undefined, 'v1', 'v1'])
    await goOnFrom('f', 'v2')
    await addVersion('f', at(6), 'four', 'v4', AT)
    expect((await listVersions('f'))[0]!.from).toBe('v2')
    // a version of another formula is no origin
    await goOnFrom('f', 'elsewhere')
    await addVersion('f', at(6), 'five', 'v5', AT)
    expect((await listVersions('f'))[0]!.from).toBeUndefined()
  })
  it('stands in a tree: the trunk, what branched off, and older ones without an origin in their order', () => {
    const tree = versionTree([
      { id: 'c', number: 3, from: 'a' },
      { id: 'a', number: 1 },
      { id: 'b', number: 2 },
      { id: 'd', number: 4, from: 'c' },
      { id: 'e', number: 5, from: 'gone' },
    ])
    expect(tree.map((t) => [t.version.id, t.parent?.id ?? null, t.depth])).toEqual([
      ['a', null, 0],
      ['b', 'a', 0],
      ['c', 'a', 1],
      ['d', 'c', 1],
      ['e', 'd', 1],
    ])
  })
  it('is told line by line', () => {
    const name = (id: string) => id.replaceAll('-', ' ')
    expect(difference(serum, at(6)).map((c) => changeText(c, name))).toContain(
      'Mandelic acid 4.00 % → 6.00 %',
    )
    const without = applyEdit(serum, { type: 'remove-line', at: { phase: acid, line } })
    expect(difference(serum, without).map((c) => changeText(c, name))).toContain(
      'Mandelic acid removed, was 4.00 %',
    )
    expect(difference(without, serum).map((c) => changeText(c, name))).toContain(
      'Mandelic acid added, 4.00 %',
    )
  })
})

describe('versions on the screen', () => {
  it('lie side by side with the sheet or with each other, the older on the left', async () => {
    const id = await open()
    await addVersion(id, serum, 'one', 'v1', AT)
    await addVersion(id, at(6), 'two', 'v2', AT)
    const v = effectScope(true).run(() => useVersions())!
    await v.load()
    expect(v.openId.value).toBe('v2')
    expect([v.pair.value!.left.name, v.pair.value!.right.name]).toEqual(['Version 2', 'Current'])
    v.againstId.value = 'v1'
    expect([v.pair.value!.left.name, v.pair.value!.right.name]).toEqual(['Version 1', 'Version 2'])
    expect(v.parent.value?.id).toBe('v1')
    await v.tell('v2', { reason: 'more bite', rating: 5 })
    expect(v.opened.value).toMatchObject({ reason: 'more bite', rating: 5 })
    await v.restore(v.opened.value!)
    await eventually(async () => expect((await getFormula(id))!.from).toBe('v2'))
    expect(v.choices.value[0]!.value).toBe(SHEET)
  })
  it('show their story, mark what differs in words too, and print as a history', async () => {
    const id = await open()
    await addVersion(id, serum, 'first light', 'v1', AT)
    await addVersion(id, at(6), 'more bite', 'v2', AT, { reason: 'nothing was felt', rating: 4 })
    const page = mounted(VersionsPage)
    await eventually(() => expect(page.text()).toContain('Version 2'))
    expect(page.text()).toContain('★★★★☆')
    expect(page.find('tr.changed').text()).toMatch(/differs/)
    await tellVersion('v2', { result: 'tingles' })
    const history = mounted(HistoryPage)
    await eventually(() => expect(history.text()).toContain('nothing was felt'))
    expect(history.text()).toContain('Result: tingles')
    expect(history.text()).toMatch(/Mandelic acid 4\.00 % → 6\.00 %/)
    expect(history.text()).toMatch(/from version 1, rated 4 of 5/)
  })
  it('take down why and what came of it, and lead to trial and batch', async () => {
    const form = mounted(StoryForm, {
      version: {
        id: 'v2',
        formulaId: 'f',
        number: 2,
        name: '',
        savedAt: AT,
        formula: serum,
        trialId: 't1',
        batchId: 'b1',
      },
      parent: { number: 1 },
    })
    expect(form.text()).toContain('Why 2 after 1')
    await form.find('#version-reason').setValue(' less wax ')
    await form.find('#version-reason').trigger('change')
    expect(form.emitted('tell')!.at(-1)).toEqual([{ reason: 'less wax' }])
    expect(form.findAll('a').map((a) => a.attributes('href'))).toEqual(['/trials/t1', '/bench/b1/record'])
  })
  it('are missing only where they were looked for', async () => {
    await open()
    const page = mounted(VersionsPage)
    expect(page.text()).toBe('') // nothing is said before they are read
    await eventually(() => expect(page.text()).toContain('No versions yet'))
    expect(page.findAll('button').map((b) => b.text())).toEqual(['Save version'])
    page.unmount()
    const getAll = vi.spyOn(IDBIndex.prototype, 'getAll').mockImplementation(() => {
      throw new DOMException('gone', 'UnknownError')
    })
    const blind = mounted(VersionsPage)
    await eventually(() => expect(blind.find('.notice, [role="alert"]').exists()).toBe(true))
    expect(blind.text()).not.toContain('No versions yet')
    getAll.mockRestore()
  })
  it('can be chosen to lie beside the open one', async () => {
    const id = await open()
    await addVersion(id, serum, 'one', 'v1', AT)
    await addVersion(id, at(6), 'two', 'v2', AT)
    const page = mounted(VersionsPage)
    await eventually(() => expect(page.text()).toContain('Version 2'))
    page.findComponent(Select as Component).vm.$emit('update:modelValue', 'v1')
    await flushPromises()
    expect(page.findAll('thead th').map((h) => h.text())).toEqual(['%', 'Version 1', 'Version 2'])
  })
})

describe('what a batch fills', () => {
  it('leaves off what is kept back as retained samples, unless nothing is', async () => {
    useContainers().containers = [
      Container.parse({ id: 'j', name: 'Amber jar', kind: 'dropper', nominalMl: 15, left: 99 }),
    ]
    const { assessment } = useMaterials().derive({ ...serum, batchGrams: 200 })
    const card = mounted(FillCard, { a: assessment, chosen: null })
    const count = () => Number(/(\d+)(?: to \d+)? from 200 g/.exec(card.text())![1])
    const watched = count()
    expect(card.text()).toMatch(/\d+ g kept back as retained samples/)
    await card.find('input[type="checkbox"]').setValue(false)
    expect(count()).toBeGreaterThan(watched)
  })
  it('learns of one vessel where that taught something, else of all', () => {
    const batches = useBatches()
    batches.ready = true
    batches.heads = [
      {
        id: 'b',
        status: 'finished',
        startedAt: AT,
        formulaId: null,
        taught: { evaporatedPercent: 3, vesselGrams: 182 },
      },
    ] as unknown as BatchHead[]
    const learned = useLearned()
    expect(learned.nearest('evaporation', null, 182.4)).toBe('@182.4')
    expect(learned.nearest('evaporation', null, 240)).toBeNull()
    expect(learned.nearest('evaporation', null, null)).toBeNull()
  })
})
