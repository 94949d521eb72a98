// Every view at the widths of phones, a tablet and a desk: nothing scrolls sideways, is cut, or is too small to hit.
import { at, startBatch, TONER } from './bench-helpers'
import { faults, LEAST } from './faults'
import { expect, openFormula, openHome, test, type Page } from './helpers'

const WIDTHS = [360, 390, 768, 1280]
const LEAST_AT_THE_BENCH = 44

async function walk(page: Page, view: string, ticks = LEAST) {
  const wrong: string[] = []
  for (const width of WIDTHS) {
    await page.setViewportSize({ width, height: 844 })
    await page.evaluate(() => new Promise((r) => requestAnimationFrame(() => requestAnimationFrame(r))))
    for (const fault of await faults(page, ticks)) wrong.push(`${view} at ${width}: ${fault}`)
  }
  expect.soft([...new Set(wrong)]).toEqual([])
  await page.setViewportSize({ width: 1280, height: 844 })
}

test('the list, the ways to start, the Shelf and the bin', async ({ page }) => {
  await openHome(page)
  await walk(page, 'formulas')
  for (const [path, words] of [
    ['/start/brief', 'New from a brief'],
    ['/start/recipe', 'New from a recipe'],
    ['/start/label', 'New from an ingredient list'],
    ['/bench', 'Bench'],
    ['/bench/start', 'Start a batch'],
    ['/bin', 'Bin'],
    ['/ingredients/containers', 'Containers'],
    ['/lost-at-sea', ''],
  ] as const) {
    await page.goto(path)
    if (words) await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await walk(page, path)
  }
  await page.goto('/ingredients')
  await expect(page.getByRole('link', { name: /^Glycerin/ }).first()).toBeVisible()
  await walk(page, '/ingredients')
  await page.goto('/ingredients/salicylic-acid')
  await expect(page.locator('.apexcharts-svg').first()).toBeVisible()
  await walk(page, '/ingredients/salicylic-acid')
})

test('every leaf of a formula', async ({ page }) => {
  await openFormula(page, 'Harbour Fog face cream')
  await walk(page, 'sheet')
  const base = page.url().replace(/\/$/, '')
  for (const leaf of [
    'emulsion',
    'balance',
    'method',
    'ph',
    'cost',
    'label',
    'stickers',
    'product-sheet',
    'versions',
    'history',
    'print',
  ]) {
    await page.goto(`${base}/${leaf}`)
    await expect(
      page.locator('main').getByRole('heading').or(page.locator('main table')).first(),
    ).toBeVisible()
    await walk(page, leaf)
  }
})

test('the table and the record', async ({ page }) => {
  await startBatch(page, TONER)
  await at(page, /Clean/)
  await walk(page, 'step', LEAST_AT_THE_BENCH)
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByLabel('What the scale shows')).toBeVisible()
  await walk(page, 'weighing', LEAST_AT_THE_BENCH)
  await page.goto(`${page.url()}/record`)
  await expect(page.getByRole('heading', { name: 'Actual weights' })).toBeVisible()
  await walk(page, 'record', LEAST_AT_THE_BENCH)
})

test('what is kept, a look and a report', async ({ page }) => {
  await page.goto('/stability')
  await walk(page, 'nothing kept')
  await page.getByRole('button', { name: 'Load three example batches' }).click()
  await expect(page.getByRole('heading', { name: 'Due' })).toBeVisible()
  await walk(page, '/stability')
  await page.goto('/stability/demo-SW-D2')
  await expect(page.locator('.apexcharts-svg').first()).toBeVisible()
  await page.getByRole('button', { name: 'All storage conditions' }).click()
  await walk(page, 'life')
  await page.goto('/stability/demo-SW-D2?plan=1')
  await expect(page.getByRole('dialog')).toBeVisible()
  await walk(page, 'plan')
  await page.goto('/stability/demo-SW-D2/look')
  await expect(page.locator('#ask-title')).toBeVisible()
  await walk(page, 'look', LEAST_AT_THE_BENCH)
  await page.goto('/stability/demo-SW-D2/report')
  await expect(page.getByRole('heading', { name: 'All observations' })).toBeVisible()
  await walk(page, 'report')
})

test('trials: set up, under way, judged on a phone, on paper, read', async ({ page }) => {
  await openHome(page)
  await page.goto('/trials')
  await expect(page.getByRole('button', { name: 'Load two example trials' })).toBeVisible()
  await walk(page, 'no trials')
  await page.getByRole('button', { name: 'Load two example trials' }).click()
  await expect(page.getByRole('link', { name: /Which wax/ })).toBeVisible()
  await walk(page, '/trials')
  await page.goto('/trials/new')
  await page.getByRole('combobox', { name: 'Formula' }).click()
  await page.getByRole('option', { name: 'Gull Wing body lotion' }).click()
  await expect(page.locator('.options li').first()).toBeVisible()
  await walk(page, 'set-up')
  for (const path of [
    'demo-trial-waxes',
    'demo-trial-glycol',
    'demo-trial-glycol/paper?what=codes',
    'demo-trial-glycol/paper?what=sheets',
  ]) {
    await page.goto(`/trials/${path}`)
    await expect(page.locator('main').getByRole('heading', { level: 2 }).first()).toBeVisible()
    await walk(page, path)
  }
  await page.goto('/trials/demo-trial-glycol/judge')
  await page.getByRole('button', { name: /^Ole/ }).click()
  await expect(page.getByRole('button', { name: 'Applied' })).toBeVisible()
  await walk(page, 'serving', LEAST_AT_THE_BENCH)
  await page.getByRole('button', { name: 'Applied' }).click()
  await expect(page.getByRole('button', { name: '7', exact: true })).toBeVisible()
  await walk(page, 'scoring', LEAST_AT_THE_BENCH)
})
