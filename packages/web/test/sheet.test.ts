// @vitest-environment happy-dom
// The sheet as it is typed into: amounts, keys, phases, notes and the finder, each carried to what is stored.
import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import type { Formula } from '@omblet/core'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import FormulaPage from '../src/features/formula/FormulaPage.vue'
import { closeStore } from '../src/storage/db'
import { getFormula, saveFormula } from '../src/storage/formulas'
import { useEditor } from '../src/stores/editor'
import { useMaterials } from '../src/stores/materials'
import { mounted, newPage } from './mounted'
import { button, field, key, part, press, settled, shows, text, type, until } from './screen'
import { toner } from './toner'

const AT = '2026-11-26T08:00:00.000Z'
let page: ReturnType<typeof mounted> | null = null

beforeEach(async () => {
  sessionStorage.clear()
  localStorage.clear()
  await closeStore()
  globalThis.indexedDB = new IDBFactory()
  newPage()
  await saveFormula('f', { ...toner('Ebb toner'), scaleResolutionGrams: 0.01 }, 0, AT)
  await useMaterials().load()
  const editor = useEditor()
  await editor.open('f')
  page = mounted(FormulaPage)
  await settled()
})
afterEach(async () => {
  await useEditor().flush()
  page?.unmount()
  document.body.replaceChildren()
})

const lines = () => useEditor().formula!.phases[0]!.lines
const stored = async (): Promise<Formula> => {
  await useEditor().flush()
  return (await getFormula('f'))!.formula
}
const amount = () => field(/^Glycerin, (percent|grams)$/)
const put = async (value: string) => type(/^Glycerin, (percent|grams)$/, value)

describe('an amount', () => {
  it.each([
    ['7', { percent: 7 }],
    ['7,25', { percent: 7.25 }],
    ['4 g', { grams: 4 }],
    ['q.s.', { fill: true }],
  ])('typed as “%s” is stored so', async (typed, wanted) => {
    await put(typed)
    expect((await stored()).phases[0]!.lines[1]).toMatchObject(wanted)
  })
  it('that is no amount is said beside it, and what was stored before stays', async () => {
    await put('five')
    const says = part('[role="alert"]', /./)
    expect(amount().getAttribute('aria-describedby')).toBe(says.id)
    expect(lines()[1]!.percent).toBe(5)
    amount().dispatchEvent(new FocusEvent('blur'))
    await settled()
    expect(part('[role="alert"]', /./).textContent).toContain('Type a number')
    expect(amount().value).toBe('five')
    expect(lines()[1]!.percent).toBe(5)
  })
  it.each([
    ['20 drops', 1.261, /^20 drops = 1\.26.g at 1\.26 g\/mL, 0\.05 mL a drop/],
    ['1 tsp', 6.305, /^1 tsp = 6\.3.g/],
    ['0.1 oz', 2.83495, /^0\.1 oz = 2\.83.g/],
    ['500 mg', 0.5, /^500 mg = 0\.5.g/],
    ['5 mL', 6.305, /^5 mL = 6\.3.g/],
  ])(
    'typed letter by letter as “%s” never counts as a percent on the way, and says what was made of it',
    async (typed, grams, said) => {
      amount().focus()
      amount().dispatchEvent(new FocusEvent('focus'))
      for (let i = 1; i <= typed.length; i++) {
        await put(typed.slice(0, i))
        // a bare figure may count, what stands before letters never does
        if (/[a-z]/i.test(typed.slice(0, i))) expect(lines()[1]!.percent).toBe(5)
      }
      amount().dispatchEvent(new FocusEvent('blur'))
      await settled()
      expect(lines()[1]!.percent).toBeUndefined()
      expect(lines()[1]!.grams).toBeCloseTo(grams, 3)
      expect(part('.problem', /=/).textContent).toMatch(said)
    },
  )
  it('with a unit that nobody knows stays in the field, and the amount is as it was', async () => {
    amount().focus()
    amount().dispatchEvent(new FocusEvent('focus'))
    for (const text of ['2', '20', '20 b', '20 blobs']) await put(text)
    amount().dispatchEvent(new FocusEvent('blur'))
    await settled()
    expect(lines()[1]!.percent).toBe(5)
    expect(amount().value).toBe('20 blobs')
    expect(part('[role="alert"]', /./).textContent).toMatch(/“blobs” is not a unit here\. Type %, g, kg/)
  })
  it('goes back to what it was with Escape, and to the step before with undo', async () => {
    amount().focus()
    await put('9')
    await key(amount(), 'Escape')
    expect(lines()[1]!.percent).toBe(5)
    await put('8')
    amount().dispatchEvent(new FocusEvent('blur'))
    await key(amount(), 'z', { ctrlKey: true })
    expect(lines()[1]!.percent).toBe(5)
    await key(amount(), 'z', { ctrlKey: true, shiftKey: true })
    expect(lines()[1]!.percent).toBe(8)
  })
  it('keeps the figure that stands there when g is typed behind it, and the mass when nothing is', async () => {
    await put('4')
    await key(amount(), 'g')
    expect(lines()[1]).toMatchObject({ grams: 4 })
    expect(lines()[1]!.percent).toBeUndefined()
    await key(amount(), '%')
    expect(lines()[1]).toMatchObject({ percent: 4 })
    expect(field('Glycerin, percent').value).toBe('4.00')
  })
  it('fills up with q, and the line that did so before does not', async () => {
    await put('60')
    await key(amount(), 'q')
    expect(lines().map((l) => l.fill ?? false)).toEqual([false, true])
  })
})

describe('the keys of the sheet', () => {
  it('go up and down over the lines, and move and take out a line with its undo', async () => {
    amount().focus()
    await key(amount(), 'ArrowUp')
    expect(document.activeElement?.getAttribute('aria-label')).toBe('Distilled water, percent')
    await key(document.activeElement!, 'ArrowDown', { altKey: true })
    expect(lines().map((l) => l.material)).toEqual(['glycerin', 'aqua'])
    await key(amount(), 'Delete', { ctrlKey: true })
    expect(lines().map((l) => l.material)).toEqual(['aqua'])
    useEditor().undo()
    await settled()
    expect(lines().map((l) => l.material)).toEqual(['glycerin', 'aqua'])
  })
  it('add a phase and show all keys', async () => {
    await key(document.body, 'p', { altKey: true })
    await until(() => text().includes('New phase'))
    expect(useEditor().formula!.phases).toHaveLength(2)
    await key(document.querySelector('[role="dialog"]')!, 'Escape')
    await key(document.body, '?')
    await until(() => document.querySelectorAll('kbd').length > 5)
  })
})

describe('a note', () => {
  it('is written with Alt N and stays with its line', async () => {
    await key(amount(), 'n', { altKey: true })
    await type('Note on Glycerin', 'from the blue drum')
    await key(field('Note on Glycerin'), 'Enter')
    expect(text()).toContain('from the blue drum')
    expect((await stored()).phases[0]!.lines[1]!.note).toBe('from the blue drum')
  })
})

describe('the menu of a line', () => {
  it('replaces a material and keeps its amount', async () => {
    await press('More for Glycerin')
    await press('Replace material')
    await shows('Replace')
    const finder = document.querySelector<HTMLInputElement>('.p-dialog input')!
    finder.value = 'propanediol'
    finder.dispatchEvent(new Event('input', { bubbles: true }))
    await settled()
    await key(finder, 'Enter')
    await until(() => lines()[1]!.material !== 'glycerin')
    expect(lines()[1]).toMatchObject({ percent: 5 })
    expect(lines()[1]!.material).toMatch(/propanediol/)
  })
  it('says at which step of the method the line goes in', async () => {
    await press('More for Glycerin')
    expect(button(/^Added in step \d+: Weigh A/)).toBeTruthy()
  })
  it('turns percent into grams and back without a change of what is weighed', async () => {
    await press('More for Glycerin')
    await press('Enter in grams')
    expect(lines()[1]).toMatchObject({ grams: 5 })
    await press('More for Glycerin')
    await press('Enter in percent')
    expect(lines()[1]).toMatchObject({ percent: 5 })
  })
})

describe('the finder', () => {
  const open = async (words: string) => {
    await key(document.body, '/')
    await until(() => document.querySelector('.p-dialog input') !== null)
    const finder = document.querySelector<HTMLInputElement>('.p-dialog input')!
    finder.value = words
    finder.dispatchEvent(new Event('input', { bubbles: true }))
    await settled()
    return finder
  }
  it('adds what stands first with Enter, and goes to its amount', async () => {
    const finder = await open('panthenol')
    await key(finder, 'Enter')
    await until(
      () =>
        lines().length === 3 ||
        useEditor().formula!.phases.some((p) => p.lines.some((l) => l.material.includes('panthenol'))),
    )
    await until(() => /^Panthenol.*percent$/.test(document.activeElement?.getAttribute('aria-label') ?? ''))
  })
  it('marks what is used already and goes along with the arrows', async () => {
    const finder = await open('glyc')
    const options = () => [...document.querySelectorAll('[role="option"]')]
    expect(options().length).toBeGreaterThan(2)
    expect(options()[0]!.getAttribute('aria-selected')).toBe('true')
    await key(finder, 'ArrowDown')
    expect(options()[1]!.getAttribute('aria-selected')).toBe('true')
  })
  it('asks which one a name means before it computes anything', async () => {
    const finder = await open('lactic acid')
    await key(finder, 'Enter')
    await shows('What strength does the bottle say?')
    expect(lines()).toHaveLength(2)
    await press('Back to the list')
    await key(document.querySelector('.p-dialog input')!, 'Enter')
    await press(/^80 %/)
    const taken = useEditor().formula!.phases[0]!.lines[2]
    expect(taken).toMatchObject({ material: 'lactic-acid', strengthPercent: 80 })
  })
  it('offers to make what it does not know', async () => {
    const finder = await open('bladderwrack of the pier')
    await key(finder, 'Enter')
    await until(() => field('Name').value === 'bladderwrack of the pier')
  })
})

describe('a phase', () => {
  it('takes its name, heat and hold in a dialog that says what is wrong with them', async () => {
    part('button', 'Water').click()
    await shows('Heat to, °C')
    await type('Name', 'Tide')
    await type('Heat to, °C', '300')
    expect(part('[role="alert"]', /./).textContent).toMatch(/must|between|at most/)
    await type('Heat to, °C', '72')
    await type('Hold, minutes', '20')
    expect((await stored()).phases[0]).toMatchObject({ name: 'Tide', heatToC: 72, holdMinutes: 20 })
    expect(text()).toContain('heat to 72 °C, hold 20 min')
  })
  it('is taken out with its lines and comes back with undo', async () => {
    await press('More for phase A')
    await press(/^Remove/)
    expect(useEditor().formula!.phases).toHaveLength(0)
    useEditor().undo()
    expect(useEditor().formula!.phases[0]!.lines).toHaveLength(2)
  })
})
