// @vitest-environment happy-dom
// The list of formulas: found, copied, binned and brought back, and files that come in and go out.
import 'fake-indexeddb/auto'
import { useWorkersHere } from './workers' // before what it stands in for
import { readFileSync } from 'node:fs'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import BinPage from '../src/features/bin/BinPage.vue'
import FormulasPage from '../src/features/formulas/FormulasPage.vue'
import { listFormulas } from '../src/storage/formulas'
import { useBin } from '../src/stores/bin'
import { useLibrary } from '../src/stores/library'
import { useMaterials } from '../src/stores/materials'
import { freshBrowser } from './formula-room'
import { at, leavePages, openAt } from './mounted'
import { button, buttons, field, part, press, send, settled, shows, text, type, until } from './screen'

// Cards are drawn where they are seen; here all of them are.
vi.mock('../src/features/formulas/CardGrid.vue', () => ({
  default: {
    props: ['records'],
    template:
      '<div><template v-for="record in records" :key="record.id"><slot :record="record" /></template></div>',
  },
}))

const open = (component: Parameters<typeof openAt>[1] = FormulasPage) => openAt('/formulas', component)
beforeEach(async () => {
  useWorkersHere()
  await freshBrowser()
  await useMaterials().load()
  await useLibrary().start()
})
afterEach(leavePages)

const names = async () => (await listFormulas()).map((r) => r.formula.name).sort()
const demoText = (name: string) => readFileSync(`demo/${name}.omblet.json`, 'utf8')
async function take(...files: [name: string, content: string][]) {
  const picker = document.querySelector<HTMLInputElement>('[data-testid="file-picker"]')!
  Object.defineProperty(picker, 'files', {
    configurable: true,
    value: files.map(([name, content]) => new File([content], name)),
  })
  picker.dispatchEvent(new Event('change'))
  await settled()
}

describe('the list', () => {
  it('that is empty says what to do, and brings the examples', async () => {
    await useLibrary().remove(useLibrary().records.map((r) => r.id))
    await open()
    await shows('No formulas yet.')
    await press('Load examples')
    await shows('These are examples.')
    expect(useLibrary().records).toHaveLength(8)
  })
  it('is searched by name and by material, and says when nothing fits', async () => {
    await open()
    const search = field('Search formulas')
    const find = async (words: string) => {
      search.value = words
      search.dispatchEvent(new Event('input', { bubbles: true }))
      await settled()
      return [...document.querySelectorAll('article.formula h2')].map((h) => h.textContent!.trim())
    }
    expect(await find('gull')).toEqual(['Gull Wing body lotion'])
    const salicylic = await find('salicylic')
    expect(salicylic.length).toBeGreaterThan(0)
    expect(salicylic.length).toBeLessThan(useLibrary().records.length)
    expect(await find('barnacle')).toEqual([])
    await shows('No formula matches.')
    await press('Show all')
    expect(document.querySelectorAll('article.formula')).toHaveLength(useLibrary().records.length)
  })
  it('copies a formula under a name of its own, with everything in it', async () => {
    await open()
    await press(/^More for Gull Wing/)
    await press('Duplicate')
    await until(async () => (await names()).filter((n) => n.startsWith('Gull Wing')).length === 2)
    const two = (await listFormulas()).filter((r) => r.formula.name.startsWith('Gull Wing'))
    expect(new Set(two.map((r) => r.formula.name)).size).toBe(2)
    const bare = (f: (typeof two)[0]['formula']) =>
      f.phases.map((p) => p.lines.map(({ material, percent, fill }) => ({ material, percent, fill })))
    expect(bare(two[0]!.formula)).toEqual(bare(two[1]!.formula))
  })
  it('bins several at once; the bin gives one back as it was', async () => {
    await open()
    const boxes = [...document.querySelectorAll<HTMLInputElement>('article.formula input[type="checkbox"]')]
    const was = (await listFormulas()).find((r) => r.formula.name.startsWith('Gull Wing'))!
    for (const b of boxes) if (b.closest('article')!.textContent.match(/Gull Wing|Low Tide/)) b.click()
    await shows('2 chosen')
    await press('Delete')
    await until(async () => !(await names()).some((n) => /Gull Wing|Low Tide/.test(n)))
    leavePages()
    await useBin().load()
    await open(BinPage)
    part('li', 'Gull Wing').querySelector('button')!.click()
    await until(async () => (await names()).some((n) => n.startsWith('Gull Wing')))
    const back = (await listFormulas()).find((r) => r.formula.name.startsWith('Gull Wing'))!
    expect(back.formula).toEqual(was.formula)
    expect(await names()).not.toContain('Low Tide toner')
  })
})

describe('a file', () => {
  it('comes in as it went out, under a name that is free', async () => {
    await open()
    const content = demoText('05-gull-wing-lotion')
    await take(['lotion.json', content])
    await take(['lotion.json', content])
    await until(async () => (await names()).filter((n) => n.startsWith('Gull Wing')).length >= 2)
    const all = await names()
    expect(new Set(all).size).toBe(all.length)
    const stored = (await listFormulas()).find((r) => r.formula.name.startsWith('Gull Wing'))!.formula
    const sent = JSON.parse(content) as typeof stored
    expect(stored.phases.map((p) => p.lines.length)).toEqual(sent.phases.map((p) => p.lines.length))
    expect(stored.batchGrams).toBe(sent.batchGrams)
  })
  it('that cannot be read is named with why, and the others come in', async () => {
    await open()
    const before = (await names()).length
    await take(
      ['torn.json', '{"format":"omblet-formula"'],
      ['list.txt', 'eggs, milk'],
      ['good.json', demoText('02-low-tide-toner')],
    )
    await until(async () => (await names()).length === before + 1)
    const told = [...document.querySelectorAll('.notice, [role="alert"]')].map((n) => n.textContent)
    expect(told.some((t) => t.includes('torn.json'))).toBe(true)
    expect(told.some((t) => t.includes('list.txt'))).toBe(true)
    expect(text()).toContain('Nothing was changed.')
    const notices = buttons('Close').length
    await press('Close')
    expect(buttons('Close')).toHaveLength(notices - 1)
  })
})

describe('a new formula', () => {
  it('starts with the phases that suit its kind, and the size that is usual for it', async () => {
    const page = await open()
    await press('New formula')
    await until(() => field('Name'))
    await type('Name', 'Spring tide')
    await send('Name')
    await until(() => /^\/formulas\/./.test(at(page)))
    const made = (await listFormulas()).find((r) => r.formula.name === 'Spring tide')!.formula
    expect(made.phases.map((p) => p.role)).toEqual(expect.arrayContaining(['water', 'oil', 'cool-down']))
    expect(made.phases.flatMap((p) => p.lines).filter((l) => l.fill)).toHaveLength(1)
  })
  it('needs a size that can be made, and keeps what was typed', async () => {
    await open()
    await press('New formula')
    await until(() => field('Name'))
    await type('Batch, in grams', '0')
    expect(part('.error', /./).textContent).toMatch(/between 1 and/)
    expect(button('Create').disabled).toBe(true)
    expect(field('Batch, in grams').value).toBe('0')
  })
})
