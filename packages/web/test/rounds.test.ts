// @vitest-environment happy-dom
// Whole rounds: looking through all that is due, and everything carried out of one browser into another.
import 'fake-indexeddb/auto'
import { useWorkersHere } from './workers' // before what it stands in for
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import Rail from '../src/app/Rail.vue'
import { demoBatches } from '../src/demo-batches'
import BenchPage from '../src/features/bench/BenchPage.vue'
import ObservationPage from '../src/features/stability/ObservationPage.vue'
import { everyBatch } from '../src/storage/batches'
import { listFormulas } from '../src/storage/formulas'
import { takeInBatch } from '../src/storage/take-in'
import { useBatches } from '../src/stores/batches'
import { useFiles } from '../src/stores/files'
import { useStability } from '../src/stores/stability'
import { useLibrary } from '../src/stores/library'
import { useLots } from '../src/stores/lots'
import { useMaterials } from '../src/stores/materials'
import { useSafety } from '../src/stores/safety'
import { useTools } from '../src/stores/tools'
import { demo, freshBrowser } from './formula-room'
import { at, leavePages, openAt } from './mounted'
import { buttons, press, settled, shows, text, until } from './screen'

// Rows are drawn where they are seen; here all of them are.
vi.mock('primevue/virtualscroller', () => ({
  default: {
    props: ['items'],
    template: '<div><template v-for="item in items"><slot name="item" :item="item" /></template></div>',
  },
}))

beforeEach(async () => {
  useWorkersHere()
  await freshBrowser()
  await Promise.all([useMaterials().load(), useLots().load()])
})
afterEach(leavePages)

describe('a round of looks', () => {
  const NOW = Date.now()
  const question = () => document.querySelector('#ask-title')?.textContent ?? ''
  /** Answers what is asked as a sound cream would, whatever it is. */
  async function answer() {
    const was = `${question()} ${text().match(/\d+ of \d+/)?.[0] ?? ''}`
    const choices = document.querySelectorAll<HTMLButtonElement>('.choices button')
    if (choices[0]) {
      choices[0].click()
      await settled()
    } else if (buttons('Skip question').length) await press('Skip question')
    await until(() => `${question()} ${text().match(/\d+ of \d+/)?.[0] ?? ''}` !== was)
  }
  it('asks one question a screen, stores each answer, and ends with a verdict and the next batch', async () => {
    for (const b of demoBatches(NOW, () => null)) await takeInBatch(b)
    await useStability().load()
    const due = [...new Set(useStability().due.map((d) => d.head.id))]
    expect(due.length).toBeGreaterThan(1)
    await openAt('/stability/look', ObservationPage)
    await until(() => question() !== '')
    const first = (await everyBatch()).find((b) => b.head.id === due[0])!.events.length
    for (let n = 0; n < 40 && question() !== ''; n++) await answer()
    await until(() => buttons('Next batch').length === 1)
    expect((await everyBatch()).find((b) => b.head.id === due[0])!.events.length).toBeGreaterThan(first)
    await press('Next batch')
    await until(() => question() !== '')
  })
  it('says so where nothing is due', async () => {
    await useStability().load()
    await openAt('/stability/look', ObservationPage)
    await shows('Nothing is due today.')
  })
  it('takes a mistyped answer back by another in its place, and leaves a look out when told', async () => {
    for (const b of demoBatches(NOW, () => null)) await takeInBatch(b)
    const id = 'demo-LT-D1'
    const page = await openAt(`/stability/${id}/look`, ObservationPage, { id })
    await until(() => question() !== '')
    const asked = question()
    await answer()
    await press('Back')
    expect(question()).toBe(asked)
    for (let n = 0; n < 60 && question() !== ''; n++) {
      if (buttons('Skip observation').length) await press('Skip observation')
      else await answer()
    }
    await press('Done')
    await until(() => at(page) === `/stability/${id}`)
    const events = (await everyBatch()).find((b) => b.head.id === id)!.events
    expect(events.some((e) => e.type === 'pass')).toBe(true)
  })
})

describe('everything of one browser', () => {
  const saved = { file: null as Blob | null }
  beforeEach(() => {
    saved.file = null
    vi.spyOn(URL, 'createObjectURL').mockImplementation((it) => {
      saved.file = it as Blob
      return 'blob:here'
    })
    vi.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(() => undefined)
    vi.spyOn(URL, 'revokeObjectURL').mockImplementation(() => undefined)
  })
  it('goes into one file with a press, is read again, and comes back elsewhere as it was', async () => {
    await useLibrary().start()
    await useLibrary().create({ ...demo('Gull Wing'), name: 'Mine' })
    for (const b of demoBatches(Date.now(), () => null)) await takeInBatch(b)
    await useLots().put({ id: 'l1', material: 'glycerin', leftGrams: 250, batch: 'G-1' })
    await useTools().patch({ dropGrams: 0.045, currency: '€' })
    const before = { formulas: await listFormulas(), batches: await everyBatch() }
    await openAt('/formulas', Rail)
    await useSafety().load()
    expect(useSafety().due).toBe(true)
    await press('Back up')
    await until(() => saved.file !== null && !useSafety().due)
    const file = new File([await saved.file!.text()], 'omblet-backup.json')
    leavePages()
    await freshBrowser()
    await Promise.all([useMaterials().load(), useLots().load()])
    const taken = await useFiles().take(file)
    expect(taken).not.toHaveProperty('error')
    const names = (list: typeof before.formulas) => list.map((r) => r.formula.name).sort()
    expect(names(await listFormulas())).toEqual(names(before.formulas))
    expect((await everyBatch()).map((b) => [b.head.code, b.events])).toEqual(
      before.batches.map((b) => [b.head.code, b.events]),
    )
    await useLots().load()
    await useTools().load()
    expect(useLots().lots).toEqual([{ id: 'l1', material: 'glycerin', leftGrams: 250, batch: 'G-1' }])
    expect(useTools().tools).toMatchObject({ dropGrams: 0.045, currency: '€' })
    const again = await useFiles().take(file)
    expect(again).not.toHaveProperty('error')
    expect(await listFormulas()).toHaveLength(before.formulas.length)
  })
})

describe('the Bench with its batches', () => {
  it('lists what was made, newest first, and finds one by its code', async () => {
    for (const b of demoBatches(Date.now(), () => null)) await takeInBatch(b)
    await useBatches().load()
    await openAt('/bench', BenchPage)
    await shows('3 batches')
    const codes = () =>
      [...document.querySelectorAll('.row a')].map((a) => a.textContent!.trim()).filter((t) => /-D\d/.test(t))
    expect(codes()).toHaveLength(3)
    const search = document.querySelector<HTMLInputElement>('input[type="search"], .search input')!
    search.value = codes()[1]!
    search.dispatchEvent(new Event('input', { bubbles: true }))
    await until(() => codes().length === 1)
  })
  it('takes in a batch file, and says what is wrong with one that is none', async () => {
    await useBatches().load()
    await openAt('/bench', BenchPage)
    const picker = document.querySelector<HTMLInputElement>('[data-testid="batch-picker"]')!
    Object.defineProperty(picker, 'files', {
      configurable: true,
      value: [new File(['{"format":"omblet-batch"}'], 'torn.json')],
    })
    picker.dispatchEvent(new Event('change'))
    await until(() => /torn\.json/.test(text()))
    expect(useBatches().heads).toEqual([])
  })
})
