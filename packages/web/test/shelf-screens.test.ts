// @vitest-environment happy-dom
// The Shelf as it is filled: lots, own figures, own materials and whole tables, each read back from the store.
import 'fake-indexeddb/auto'
import { useWorkersHere } from './workers' // before what it stands in for
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import ContainersPage from '../src/features/ingredients/ContainersPage.vue'
import FactsDialog from '../src/features/ingredients/FactsDialog.vue'
import ImportDialog from '../src/features/ingredients/ImportDialog.vue'
import LotDialog from '../src/features/ingredients/LotDialog.vue'
import MaterialPage from '../src/features/ingredients/MaterialPage.vue'
import IngredientsPage from '../src/features/ingredients/IngredientsPage.vue'
import OwnMaterialDialog from '../src/components/OwnMaterialDialog.vue'
import { useContainers } from '../src/stores/containers'
import { useLots } from '../src/stores/lots'
import { useMaterials } from '../src/stores/materials'
import { freshBrowser } from './formula-room'
import { mountedAt, newPage } from './mounted'
import { button, buttons, field, part, press, send, settled, shows, text, type, until } from './screen'

let pages: Awaited<ReturnType<typeof mountedAt>>[] = []
const know = () => Promise.all([useMaterials().load(), useLots().load(), useContainers().load()])
const open = async (component: Parameters<typeof mountedAt>[1], props = {}, path = '/ingredients') => {
  pages.push(await mountedAt(path, component, props))
}
const close = () => {
  pages.forEach((p) => p.unmount())
  pages = []
  document.body.replaceChildren()
}
const material = (id: string) => useMaterials().catalogue.find(id)!
/** What a page that is opened later finds. */
async function reopened() {
  close()
  newPage()
  await know()
}
beforeEach(async () => {
  useWorkersHere()
  await freshBrowser()
  await know()
})
afterEach(close)

describe('a lot', () => {
  const lot = () => useLots().lots[0]!
  it('is added with what was typed, a full pack where nothing is said of what is left', async () => {
    await open(LotDialog, { material: material('glycerin'), lot: null })
    await type('Pack size, g', '1 000')
    await type('Price per pack', '8,40')
    await type('Supplier', 'the chandler')
    await type('Lot number', 'G-17')
    await send('Lot number')
    await until(() => useLots().lots.length === 1)
    await reopened()
    expect(lot()).toMatchObject({
      material: 'glycerin',
      packGrams: 1000,
      leftGrams: 1000,
      price: 8.4,
      supplier: 'the chandler',
      batch: 'G-17',
    })
    expect(lot()).not.toHaveProperty('note')
  })
  it('is not added without an amount, nor with words for a figure, and keeps what was typed', async () => {
    await open(LotDialog, { material: material('glycerin'), lot: null })
    await send('Lot number')
    await shows('Enter the remaining amount in grams.')
    await type('Remaining, g', 'half')
    expect(part('[role="alert"]', /./).textContent).toMatch(/in a unit of weight or volume, such as/)
    expect(button('Add').disabled).toBe(true)
    expect(field('Remaining, g').value).toBe('half')
    expect(useLots().lots).toEqual([])
  })
  it('that is changed keeps what the dialog does not show', async () => {
    const was = { id: 'l1', material: 'glycerin', leftGrams: 50, batch: 'G-1', off: 'smells of fish' }
    await useLots().put(was)
    await open(LotDialog, { material: material('glycerin'), lot: lot() })
    await type('Remaining, g', '40')
    await type('Lot number', '')
    await send('Lot number')
    await until(() => lot().leftGrams === 40)
    await reopened()
    expect(lot()).toMatchObject({ id: 'l1', off: 'smells of fish' })
    expect(lot()).not.toHaveProperty('batch')
  })
  it('of a natural oil takes the analysis of its paper, and asks for the name of each percent', async () => {
    const oil = useMaterials().catalogue.materials.find((m) => m.kind === 'essential-oil')!
    await open(LotDialog, { material: oil, lot: null })
    expect(text()).toMatch(/analysis|paper/i)
    const percents = [...document.querySelectorAll<HTMLInputElement>('fieldset input.mono, .part input.mono')]
    expect(percents.length).toBeGreaterThan(0)
    await type('Pack size, g', '10')
    percents[0]!.value = '140'
    percents[0]!.dispatchEvent(new Event('input', { bubbles: true }))
    await settled()
    expect(button('Add').disabled).toBe(true)
    percents[0]!.value = '1.4'
    percents[0]!.dispatchEvent(new Event('input', { bubbles: true }))
    await settled()
    await send('Pack size, g')
    await until(() => useLots().lots.length === 1)
    expect(lot().analysis).toEqual([expect.objectContaining({ percent: 1.4 })])
  })
})

describe('figures of one’s own for a material', () => {
  it('win over the catalogue until they are reset, also after the page was closed', async () => {
    const before = material('glycerin').usage
    await open(FactsDialog, { material: material('glycerin') })
    await type('Usual range from, percent', '3')
    await type('Usual range to, percent', '6')
    await type('Density, g/mL', '1.25')
    await send('Density, g/mL')
    await until(() => material('glycerin').usage?.max === 6)
    await reopened()
    expect(material('glycerin')).toMatchObject({ usage: { min: 3, max: 6 }, density: 1.25 })
    await open(FactsDialog, { material: material('glycerin') })
    await press('Reset to the catalogue')
    await until(() => material('glycerin').usage?.max === before?.max)
    expect(material('glycerin').usage).toEqual(before)
  })
  it('that are turned about are not kept, and what is wrong stands beside them', async () => {
    await open(FactsDialog, { material: material('glycerin') })
    await type('Usual range from, percent', '9')
    await type('Usual range to, percent', '2')
    expect(part('[role="alert"]', /./).textContent).not.toBe('')
    expect(button('Save').disabled).toBe(true)
  })
})

describe('a material of one’s own', () => {
  it('is found by its name and stands first among one’s own', async () => {
    await open(OwnMaterialDialog, { open: true, name: 'Wrack water', action: 'Make' })
    await type('INCI names, separated by commas (optional)', 'Fucus Vesiculosus Extract')
    await press('Make')
    await until(() => useMaterials().own.length === 1)
    await reopened()
    expect(useMaterials().search('wrack', 5)[0]).toMatchObject({
      name: 'Wrack water',
      own: true,
      inci: ['Fucus Vesiculosus Extract'],
    })
  })
  it('without a name is not made', async () => {
    await open(OwnMaterialDialog, { open: true, name: '', action: 'Make' })
    await press('Make').catch(() => undefined)
    expect(useMaterials().own).toEqual([])
  })
})

describe('a table of lots', () => {
  const take = async (name: string, csv: string) => {
    await open(ImportDialog, { open: true })
    const picker = document.querySelector<HTMLInputElement>('[data-testid="table-picker"]')!
    Object.defineProperty(picker, 'files', { value: [new File([csv], name, { type: 'text/csv' })] })
    picker.dispatchEvent(new Event('change'))
    await settled()
  }
  it('is shown row by row before anything is stored; refused rows say why', async () => {
    await take(
      'lots.csv',
      'material,left_grams,price,colour\nGlycerin,250,3.2,red\nMermaid tears,5,1,blue\nPanthenol,much,4,\n',
    )
    await shows('1 new lot')
    expect(text()).toContain('2 refused')
    expect(text()).toContain('Unknown columns: colour.')
    expect(useLots().lots).toEqual([])
    await press('Import 1 lot')
    await until(() => useLots().lots.length === 1)
    expect(useLots().lots[0]).toMatchObject({ material: 'glycerin', leftGrams: 250, price: 3.2 })
  })
  it('may be dropped, and its place shows that it can be', async () => {
    await open(ImportDialog, { open: true })
    const zone = part('div.drop', 'or drop it here')
    const files = [new File(['material,left_grams\nGlycerin,80\n'], 'lots.csv', { type: 'text/csv' })]
    const drag = async (kind: string) => {
      const event = Object.assign(new Event(kind, { bubbles: true, cancelable: true }), {
        dataTransfer: { files, items: [{ kind: 'file', type: 'text/csv' }] },
      })
      zone.dispatchEvent(event)
      await settled()
      return event.defaultPrevented
    }
    await drag('dragenter')
    expect(zone.classList.contains('over')).toBe(true)
    await drag('dragleave')
    expect(zone.classList.contains('over')).toBe(false)
    expect(await drag('drop')).toBe(true) // the browser does not open the file itself
    await shows('1 new lot')
    expect(useLots().lots).toEqual([])
  })
  it('that names no column is refused in a sentence', async () => {
    await take('notes.csv', 'dear diary\nthe sea was flat\n')
    await until(() => document.querySelector('[role="alert"]') !== null)
    expect(part('[role="alert"]', /./).textContent!.length).toBeGreaterThan(20)
    expect(buttons(/^Store/)).toEqual([])
  })
})

describe('the list', () => {
  it('counts what fits, and says what to do where nothing does', async () => {
    await open(IngredientsPage)
    const all = useMaterials().catalogue.materials.length
    expect(text()).toContain(`${all} of ${all} ingredients`)
    const search = document.querySelector<HTMLInputElement>('input[type="search"], .search input, input')!
    search.value = 'zzz no such thing'
    search.dispatchEvent(new Event('input', { bubbles: true }))
    await shows('No ingredient matches.')
    await press('Show all')
    await shows(`${all} of ${all} ingredients`)
  })
  it('opens a material with its limits and its lots, and says so where there is none of that name', async () => {
    await open(MaterialPage, { id: 'salicylic-acid' }, '/ingredients/salicylic-acid')
    await shows('Salicylic acid')
    expect(text()).toContain('Limits')
    close()
    await open(MaterialPage, { id: 'sea-glass' }, '/ingredients/sea-glass')
    expect(text()).toContain('Ingredient not found')
  })
})

describe('containers', () => {
  it('are added, changed and taken out with a way back', async () => {
    await open(ContainersPage, {}, '/ingredients/containers')
    await press('Add container')
    await type('Name', 'Green vial')
    await type('Nominal volume', '30')
    await send('Name')
    await shows('Enter how many you have.')
    await type('In stock', '12')
    await send('Name')
    await until(() => useContainers().containers.length === 1)
    await press('Green vial')
    await type('Name', 'Green vial, large')
    await send('Name')
    await until(() => useContainers().containers[0]!.name === 'Green vial, large')
    await press('Delete Green vial, large')
    await until(() => useContainers().containers.length === 0)
  })
})
