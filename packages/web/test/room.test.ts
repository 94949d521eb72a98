// @vitest-environment happy-dom
// The head of a formula with its dialogs, its findings, its pH and its label, as they are used.
import 'fake-indexeddb/auto'
import { useWorkersHere } from './workers' // before what it stands in for
import type { Formula } from '@omblet/core'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Component } from 'vue'
import FormulaHeader from '../src/features/formula/FormulaHeader.vue'
import FormulaPage from '../src/features/formula/FormulaPage.vue'
import LabelBody from '../src/features/formula/label/LabelBody.vue'
import PhPage from '../src/features/formula/ph/PhPage.vue'
import { listVersions } from '../src/storage/formulas'
import { useEditor } from '../src/stores/editor'
import { useLibrary } from '../src/stores/library'
import { useTools } from '../src/stores/tools'
import { demo, freshBrowser, inRoom, storedFormula } from './formula-room'
import { at, mountedAt } from './mounted'
import { buttons, field, key, part, press, send, settled, shows, text, type, until } from './screen'
import { toner } from './toner'

let page: Awaited<ReturnType<typeof mountedAt>> | null = null
const open = async (formula: Formula, component: Component, props = {}) => {
  await inRoom(formula)
  await useTools().load()
  page = await mountedAt('/formulas/f', component, props)
}
beforeEach(async () => {
  useWorkersHere()
  await freshBrowser()
})
afterEach(async () => {
  await useEditor().flush()
  page?.unmount()
  page = null
  document.body.replaceChildren()
})
const sheet = { leaf: 'sheet' }

describe('the head of a formula', () => {
  it('takes what is said of it as a claim, once, and gives it up again', async () => {
    await open(toner('Ebb toner'), FormulaHeader, sheet)
    await press(/^Toner/)
    await until(() => field('Claims'))
    await type('Claims', 'vegan')
    await press('Add')
    await type('Claims', 'vegan')
    await press('Add')
    expect((await storedFormula()).product.claims).toEqual(['vegan'])
    expect(buttons('vegan')).toEqual([])
    await press('Remove vegan')
    expect((await storedFormula()).product).not.toHaveProperty('claims')
  })
  it('takes the step of the scale, and says what cannot be one', async () => {
    await open(toner('Ebb toner'), FormulaHeader, sheet)
    await press(/^Toner/)
    await until(() => field('Scale resolution, g'))
    await type('Scale resolution, g', '0')
    expect(part('.error', /./).textContent).toMatch(/between/)
    await type('Scale resolution, g', '0,001')
    await type('Repeatability, g', '0.002')
    expect(await storedFormula()).toMatchObject({
      scaleResolutionGrams: 0.001,
      scaleRepeatabilityGrams: 0.002,
    })
  })
  it('keeps a version with the words that were given', async () => {
    await open(toner('Ebb toner'), FormulaHeader, sheet)
    await press('More for this formula')
    await press('Save version')
    await until(() => field(/^Name \(optional\)/))
    await type(/^Name \(optional\)/, 'first light')
    await send(/^Name \(optional\)/)
    await until(async () => (await listVersions('f')).length === 1)
    expect((await listVersions('f'))[0]).toMatchObject({ number: 1, name: 'first light' })
    await shows(/version 1, /)
  })
  it('lists what is to be bought: all but the water, by what the batch needs', async () => {
    await open(demo('Low Tide'), FormulaHeader, sheet)
    await press('More for this formula')
    await press('Shopping list')
    await until(() => document.querySelectorAll('[role="dialog"] tbody tr').length > 0)
    const rows = [...document.querySelectorAll('[role="dialog"] tbody tr')].map((r) => r.textContent)
    expect(rows.some((r) => /water/i.test(r))).toBe(false)
    for (const line of useEditor().assessment!.lines.filter((l) => l.material && l.material.kind !== 'water'))
      expect(rows.find((r) => r.toLowerCase().startsWith(line.label.toLowerCase()))).toContain(
        line.grams.toFixed(2),
      )
  })
  it('deletes to the bin and leaves the room', async () => {
    await open(toner('Ebb toner'), FormulaHeader, sheet)
    await press('More for this formula')
    await press('Delete')
    await until(() => at(page!) === '/formulas')
    await useLibrary().refresh()
    expect(useLibrary().records).toEqual([])
  })
})

describe('a finding', () => {
  it('is settled by the remedy it offers, which is one step to undo', async () => {
    await open(toner('Ebb toner'), FormulaPage)
    const stops = () =>
      useEditor()
        .findings.filter((f) => f.severity === 'stop')
        .map((f) => f.code)
    expect(stops()).toHaveLength(1)
    await press(/^Add 1 % phenoxyethanol/)
    expect(stops()).toEqual([])
    expect(JSON.stringify((await storedFormula()).phases)).toContain('phenoxyethanol')
    useEditor().undo()
    expect(stops()).toHaveLength(1)
  })
  it('says what to write in a line that has no amount yet, without an alarm for what is not there', async () => {
    const blank = toner('Ebb toner')
    blank.phases = []
    await open(blank, FormulaPage)
    expect(text()).toContain('Add ingredients to see findings here.')
    expect(document.querySelectorAll('.word.bold')).toHaveLength(0)
  })
})

describe('a line of the sheet', () => {
  it('takes the strength of what one has, and counts with it', async () => {
    const acid = demo('Night Watch')
    await open(acid, FormulaPage)
    const line = useEditor().assessment!.lines.find(
      (l) => l.material && !l.material.parts && l.given && !l.fill,
    )!
    part('[data-at]', line.material!.inci[0]!).querySelector<HTMLElement>('[data-cell="name"]')!.click()
    await until(() => field('Strength of your material, %'))
    await type('Strength of your material, %', '200')
    expect(part('[role="alert"]', /./).textContent).toMatch(/between/)
    await type('Strength of your material, %', '50')
    const stored = (await storedFormula()).phases[line.phase]!.lines[line.line]!
    expect(stored.strengthPercent).toBe(50)
    await key(document.querySelector('[role="dialog"]')!, 'Escape')
  })
})

describe('the pH leaf', () => {
  it('logs a reading and a dose, counts it out of the water, and takes it in on request', async () => {
    await open(demo('Night Watch'), PhPage)
    await until(() => field('Measure the pH'))
    await type('Measure the pH', '2.71')
    await send('Measure the pH')
    await shows('measured, ')
    await type('Add', '1.5')
    await send('Add')
    const one = await storedFormula()
    expect(one.additions).toHaveLength(1)
    expect(one.additions![0]).toMatchObject({ grams: 1.5 })
    expect(text()).toMatch(/deducted from the q\.s\. ingredient/)
    const water = () => useEditor().assessment!.lines.find((l) => l.fill)!.percent
    const before = water()
    await press('Add to formula')
    const two = await storedFormula()
    expect(two.additions!.every((a) => a.inFormula)).toBe(true)
    expect(water()).toBeLessThan(before)
  })
  it('takes an entry out of the log, and refuses a dose larger than the batch', async () => {
    await open(demo('Night Watch'), PhPage)
    await until(() => field('Measure the pH'))
    const was = (await storedFormula()).readings?.length ?? 0
    await type('Measure the pH', '2.9')
    await send('Measure the pH')
    await until(() => buttons(/^Remove: measured/).length > was)
    buttons(/^Remove: measured.*2\.9/)[0]!.click()
    await settled()
    expect((await storedFormula()).readings?.length ?? 0).toBe(was)
    await type('Add', '5000')
    await send('Add')
    expect(part('[role="alert"]', /./).textContent).not.toBe('')
    expect((await storedFormula()).additions ?? []).toEqual(demo('Night Watch').additions ?? [])
  })
  it('weighs a drop by twenty, and does not believe what cannot be', async () => {
    await open(demo('Night Watch'), PhPage)
    await until(() => buttons('Weigh 20 drops').length === 1)
    await press('Weigh 20 drops')
    await type('20 drops weigh', '40')
    await send('20 drops weigh')
    expect(part('[role="alert"]', /./).textContent).toMatch(/between|20 drops weigh/)
    await type('20 drops weigh', '0.9')
    await send('20 drops weigh')
    await until(() => useTools().tools.dropGrams === 0.045)
    await shows('A drop is 0.045 g')
  })
})

describe('the label leaf', () => {
  beforeEach(() => {
    // No letters are drawn here: each is as wide as half its height.
    Object.defineProperty(document, 'fonts', { configurable: true, value: { load: async () => [] } })
    vi.spyOn(HTMLCanvasElement.prototype, 'getContext').mockReturnValue({
      font: '',
      measureText: (t: string) => ({ width: t.length * 50, actualBoundingBoxAscent: 50 }),
    } as never)
  })
  it('prints what was written on it, and keeps that with the formula', async () => {
    await open(demo('Harbour Fog'), LabelBody)
    await type('Product function', 'Fog for dry cheeks')
    await type('Storage', 'In the cool')
    expect((await storedFormula()).label).toMatchObject({
      line: 'Fog for dry cheeks',
      storage: 'In the cool',
    })
    expect(document.querySelector('figure svg')!.textContent).toContain('Fog for dry cheeks')
  })
  it('lists its ingredients in the order of the core, and none that is not in it', async () => {
    await open(demo('Harbour Fog'), LabelBody)
    const drawn = document.querySelector('figure svg')!.textContent!.replace(/\s+/g, ' ')
    const order = ['Aqua', 'Glycerin', 'Niacinamide', 'Panthenol'].map((n) => drawn.indexOf(n))
    expect(order.every((i) => i >= 0)).toBe(true)
    expect(order.every((i, n) => n === 0 || i > order[n - 1]!)).toBe(true)
    expect(drawn).not.toContain('Parfum')
  })
  it('goes to the stickers with the first free field and as many as were asked for', async () => {
    await open(demo('Harbour Fog'), LabelBody)
    await type('Jars', '6')
    await press('Print 6')
    expect(at(page!)).toBe('/formulas/f/stickers?first=0&jars=6')
  })
})
