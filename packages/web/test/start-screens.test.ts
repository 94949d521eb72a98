// @vitest-environment happy-dom
// The ways to start a formula: what a recipe, a label or a brief becomes, and what is said before it does.
import 'fake-indexeddb/auto'
import { useWorkersHere } from './workers' // before what it stands in for
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import BriefPage from '../src/features/start/BriefPage.vue'
import LabelPage from '../src/features/start/LabelPage.vue'
import RecipePage from '../src/features/start/RecipePage.vue'
import { listFormulas } from '../src/storage/formulas'
import { useContainers } from '../src/stores/containers'
import { useLots } from '../src/stores/lots'
import { useMaterials } from '../src/stores/materials'
import { freshBrowser } from './formula-room'
import { at, mountedAt } from './mounted'
import { button, buttons, field, part, press, shows, text, tick, type, until } from './screen'

vi.mock('highs/runtime?url', async () => ({
  default: (await import('node:module')).createRequire(import.meta.url).resolve('highs/runtime'),
}))

let page: Awaited<ReturnType<typeof mountedAt>> | null = null
const open = async (path: string, component: Parameters<typeof mountedAt>[1]) => {
  page = await mountedAt(path, component)
}
beforeEach(async () => {
  useWorkersHere()
  await freshBrowser()
  await Promise.all([useMaterials().load(), useLots().load(), useContainers().load()])
})
afterEach(() => {
  page?.unmount()
  document.body.replaceChildren()
})
/** The one formula that was made, once the page has gone to it. */
const made = async () => {
  await until(() => /^\/formulas\/./.test(at(page!)))
  const all = (await listFormulas()).filter((r) => at(page!).endsWith(r.id))
  expect(all).toHaveLength(1)
  return all[0]!.formula
}
const PASTE = 'Paste the recipe: text or a table'

describe('a recipe', () => {
  it('is made with the name and size it states, and what is still unsure stays to be seen', async () => {
    await open('/start/recipe', RecipePage)
    await type(
      PASTE,
      'Gale balm lotion (200 g)\n\nWater to 100 %\nGlycerin 4 %\nSunflower oil 12 %\nCetyl alcohol 2 %',
    )
    await shows('4 ingredients')
    await press('Create formula')
    const f = await made()
    expect(f).toMatchObject({ name: 'Gale balm lotion', batchGrams: 200 })
    const lines = f.phases.flatMap((p) => p.lines)
    expect(lines.find((l) => l.material === 'aqua')!.fill).toBe(true)
    expect(lines.find((l) => l.material === 'glycerin')!.percent).toBe(4)
  })
  it('asks what a word means, takes the answer, and leaves out what is told to stay out', async () => {
    await open('/start/recipe', RecipePage)
    await type(PASTE, 'Water 80 %\nGlycerin 4 %\nMystery of the deep 3 %\nSea salt 1 %')
    await shows('Which ingredient?')
    await press('Skip Mystery of the deep')
    expect(text()).not.toContain('Which ingredient?')
    await press('Replace with water')
    await press('Create formula')
    const lines = (await made()).phases.flatMap((p) => p.lines)
    expect(lines.map((l) => l.material)).not.toContain('mystery-of-the-deep')
    expect(JSON.stringify(lines)).not.toMatch(/mystery/i)
    expect(lines.find((l) => l.material === 'aqua')!.fill).toBe(true)
  })
  it('takes an amount that is typed over, and says when it is none', async () => {
    await open('/start/recipe', RecipePage)
    await type(PASTE, 'Water to 100\nGlycerin some')
    await until(() => field('Percent of glycerin'))
    const amount = field('Percent of glycerin')
    amount.value = 'lots'
    amount.dispatchEvent(new Event('input', { bubbles: true }))
    amount.dispatchEvent(new Event('change', { bubbles: true }))
    await until(() => document.querySelector('[role="alert"]') !== null)
    amount.value = '3,5'
    amount.dispatchEvent(new Event('input', { bubbles: true }))
    amount.dispatchEvent(new Event('change', { bubbles: true }))
    await until(() => document.querySelector('[role="alert"]') === null)
    await press('Create formula')
    expect((await made()).phases.flatMap((p) => p.lines)).toContainEqual(
      expect.objectContaining({ material: 'glycerin', percent: 3.5 }),
    )
  })
  it('keeps an answer when another line of the text changes', async () => {
    await open('/start/recipe', RecipePage)
    await type(PASTE, 'Water to 100\nGlycerin 4 %\nSea foam 1 %')
    await until(() => buttons('Skip Sea foam').length === 1)
    await press('Skip Sea foam')
    await type(PASTE, 'Water to 100\nGlycerin 5 %\nSea foam 1 %')
    await until(() => field('Percent of glycerin').value.startsWith('5'))
    expect(buttons('Restore Sea foam')).toHaveLength(1)
  })
  it('of nothing makes nothing', async () => {
    await open('/start/recipe', RecipePage)
    expect(buttons('Create formula')).toEqual([])
    await press('Show an example')
    await shows('ingredients')
    expect(button('Create formula').disabled).toBe(false)
  })
})

describe('an ingredient list', () => {
  it('becomes ranges and a draft that prints the same list, said to be a guess', async () => {
    await open('/start/label', LabelPage)
    await type(
      'Paste the list in the order of the label',
      'Aqua, Glycerin, Caprylic/Capric Triglyceride, Cetearyl Olivate, Sorbitan Olivate, Panthenol, Phenoxyethanol',
    )
    await shows('7 names')
    await shows('An estimate, never the original')
    const [least, most, draft] = [...part('tr', 'Glycerin').querySelectorAll('td')]
      .slice(-3)
      .map((c) => Number.parseFloat(c.textContent))
    expect(least).toBeLessThanOrEqual(draft!)
    expect(draft).toBeLessThanOrEqual(most!)
    await type('Name', 'The jar of the neighbour')
    await press(/^Create formula from draft/)
    const f = await made()
    expect(f.name).toBe('The jar of the neighbour')
    const sum = f.phases.flatMap((p) => p.lines).reduce((s, l) => s + (l.percent ?? 0), 0)
    expect(sum).toBeLessThanOrEqual(100.001)
  })
  it('whose order and percents contradict one another says so and makes nothing', async () => {
    await open('/start/label', LabelPage)
    await type('Paste the list in the order of the label', 'Glycerin 2 %, Aqua 90 %, Panthenol')
    await shows('contradict each')
    expect(buttons(/^Create formula from draft/)).toEqual([])
  })
  it('without a name in it says how names are parted', async () => {
    await open('/start/label', LabelPage)
    await type('Paste the list in the order of the label', ' , . ')
    await shows('No ingredient names found.')
  })
})

describe('a brief', () => {
  it('becomes proposals without a stop, each started with one press', async () => {
    await open('/start/brief', BriefPage)
    await shows(/\d different formulas?, none with a stop/)
    // typed and pressed at once, before anything could be worked out anew
    await type('Name', 'Harbour morning')
    await type('Batch, in grams', '40')
    await press(/^Use this proposal/)
    expect(await made()).toMatchObject({ name: 'Harbour morning', batchGrams: 40 })
  })
  it('that cannot be met says why, and offers nothing', async () => {
    await open('/start/brief', BriefPage)
    await shows(/none with a stop/)
    await tick(/from my stock/)
    await until(() => !/none with a stop/.test(text()) && buttons(/^Use this proposal/).length === 0)
    expect(part('[role="status"], .notice', /stock|shelf|preserv|emulsif/i)).toBeTruthy()
  })
})
