// @vitest-environment happy-dom
// Rows with percents as they are typed, the ends of a target pH, and buttons that open what can be done.
import 'fake-indexeddb/auto'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { h, ref } from 'vue'
import MenuButton from '../src/components/MenuButton.vue'
import PartsEditor, { type PartRow } from '../src/components/PartsEditor.vue'
import TargetInputs from '../src/features/formula/TargetInputs.vue'
import { useTargetFields } from '../src/features/formula/target'
import AnalysisEditor, { type AnalysisRow } from '../src/features/ingredients/AnalysisEditor.vue'
import { demo, freshBrowser, inRoom, storedFormula } from './formula-room'
import { mounted, newPage } from './mounted'
import { button, field, key, press, settled, shows, text, type, until } from './screen'

afterEach(() => document.body.replaceChildren())

describe('rows with percents', () => {
  const analysis = (rows: AnalysisRow[]) => {
    const typed = ref(rows)
    mounted(() =>
      h(AnalysisEditor, {
        modelValue: typed.value,
        error: null,
        'onUpdate:modelValue': (v: AnalysisRow[]) => (typed.value = v),
      }),
    )
    return typed
  }
  it('are added, named by what is in them, changed each by itself and taken out', async () => {
    const rows = analysis([{ inci: 'Linalool', percent: '2' }])
    await press('Add substance')
    expect(rows.value).toHaveLength(2)
    await type('Percent of Linalool', '2,5')
    await type('Percent of substance 2', '0.1')
    expect(rows.value.map((r) => r.percent)).toEqual(['2,5', '0.1'])
    await press('Remove Linalool')
    expect(rows.value).toEqual([{ inci: '', percent: '0.1' }])
  })
  it('offer what is known of while a name is typed', async () => {
    const rows = analysis([{ inci: '', percent: '' }])
    await type('Substance 1', 'citro')
    await until(() => document.querySelectorAll('[role="option"]').length > 0)
    const offered = [...document.querySelectorAll<HTMLElement>('[role="option"]')]
    expect(offered.map((o) => o.textContent)).toContain('Citronellol')
    offered.find((o) => o.textContent === 'Citronellol')!.click()
    await settled()
    expect(rows.value[0]!.inci).toBe('Citronellol')
    expect(field('Percent of Citronellol')).toBeTruthy()
  })
  it('say what a mixture leaves untold, or what is wrong with it', async () => {
    newPage()
    const rows = ref<PartRow[]>([{ material: 'glycerin', percent: '40' }])
    const page = mounted(PartsEditor, { modelValue: rows.value, fault: null, sum: 40 })
    expect(text()).toContain('40 % stated; the rest stays unknown.')
    await page.setProps({ fault: 'The parts are more than 100 %.' })
    expect(page.get('[role="alert"]').text()).toBe('The parts are more than 100 %.')
    expect(text()).not.toContain('stays unknown')
  })
})

describe('a target', () => {
  it('is stored as it is typed; ends that cannot be stay in their fields with a sentence', async () => {
    await freshBrowser()
    await inRoom({ ...demo('Low Tide'), targetPh: { min: 5, max: 6 } })
    const page = mounted({
      setup() {
        const fields = useTargetFields(() => ({ min: 5, max: 6 }))
        return () => [
          h(TargetInputs, { of: fields, target: { min: 5, max: 6 } }),
          h('p', fields.error.value ?? ''),
        ]
      },
    })
    expect(field('Target pH from').value).toBe('5')
    await type('Target pH to', '5,8')
    expect((await storedFormula()).targetPh).toEqual({ min: 5, max: 5.8 })
    await type('Target pH from', '7')
    await shows('The first number must not be above the second.')
    expect(field('Target pH from').value).toBe('7')
    expect((await storedFormula()).targetPh).toEqual({ min: 5, max: 5.8 })
    page.unmount()
  })
})

describe('a button that opens what can be done', () => {
  const items = (command = vi.fn()) => [
    { label: 'Duplicate', command },
    { label: 'Delete', command: vi.fn() },
  ]
  it('of three dots says of what, and does what is chosen', async () => {
    const did = vi.fn()
    mounted(MenuButton, { items: items(did), more: 'More for phase A', class: 'dots' })
    expect(button('More for phase A').classList.contains('dots')).toBe(true)
    expect(button('More for phase A').getAttribute('aria-haspopup')).toBe('menu')
    await press('More for phase A')
    await until(() => document.querySelectorAll('[role="menuitem"]').length === 2)
    document.querySelector<HTMLElement>('[role="menuitem"] [data-pc-section="itemcontent"]')!.click()
    await settled()
    expect(did).toHaveBeenCalledOnce()
  })
  it('with words on it shows them, and closes with Escape', async () => {
    mounted(MenuButton, { items: items(), label: 'Export', icon: 'pi pi-download' })
    await press('Export')
    await until(() => document.querySelectorAll('[role="menuitem"]').length === 2)
    await key(document.querySelector('[role="menu"]')!, 'Escape', { code: 'Escape' })
    await until(() => document.querySelectorAll('[role="menuitem"]').length === 0)
  })
})
