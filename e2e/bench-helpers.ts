import { expect, openHome, upload, type Page } from './helpers'

export interface Truth {
  vessels: {
    name: string
    tareGrams: number
    content: number[]
    grams: number
    ph: number | null
    doses: { grams: number }[]
  }[]
}

/** A small cream with an acid to set right, weighed hot and cold, cooled in water. */
export const SMALL_CREAM = {
  format: 'omblet-formula',
  formatVersion: 1,
  name: 'Slack Water cream',
  product: { kind: 'cream', site: 'hands', rinse: 'leave-on', region: 'EU' },
  batchGrams: 100,
  scaleResolutionGrams: 0.01,
  targetPh: { min: 5, max: 5.6 },
  method: { choices: { evaporation: 'weigh', cooling: 'bath', heating: 'melt', ending: 'preserve-first' } },
  phases: [
    {
      name: 'Water',
      role: 'water',
      heatToC: 72,
      lines: [
        { material: 'aqua', fill: true },
        { material: 'glycerin', percent: 4 },
        { material: 'lactic acid', percent: 0.4, strengthPercent: 90 },
      ],
    },
    {
      name: 'Oil',
      role: 'oil',
      heatToC: 72,
      lines: [
        { material: 'caprylic/capric triglyceride', percent: 10 },
        { material: 'olivate emulsifier', percent: 4 },
        { material: 'cetyl alcohol', percent: 2 },
      ],
    },
    {
      name: 'Cool-down',
      role: 'cool-down',
      belowC: 40,
      lines: [
        { material: 'panthenol', percent: 1 },
        { material: 'phenoxyethanol, ethylhexylglycerin', percent: 1 },
      ],
    },
  ],
}

export const TONER = {
  format: 'omblet-formula',
  formatVersion: 1,
  name: 'Neap toner',
  product: { kind: 'toner', site: 'face', rinse: 'leave-on', region: 'EU' },
  batchGrams: 100,
  scaleResolutionGrams: 0.01,
  targetPh: { min: 5, max: 5.6 },
  phases: [
    {
      name: 'Water',
      role: 'water',
      lines: [
        { material: 'aqua', fill: true },
        { material: 'glycerin', percent: 4 },
      ],
    },
    {
      name: 'Last',
      role: 'cool-down',
      lines: [{ material: 'phenoxyethanol, ethylhexylglycerin', percent: 1 }],
    },
  ],
}

/** Takes a formula in, starts a batch of it and opens the table. */
export async function startBatch(page: Page, formula: { name: string }) {
  await openHome(page)
  await upload(page, 'formula.json', JSON.stringify(formula))
  await page.getByRole('link', { name: formula.name }).click()
  await page.getByRole('link', { name: 'Make', exact: true }).click()
  await page.getByLabel('Made by').fill('Ina')
  await page.getByRole('button', { name: 'Start batch' }).click()
  await expect(page.getByRole('button', { name: 'Done' })).toBeVisible()
}

export const step = (page: Page) => page.getByRole('article')
export const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', typeof name === 'string' ? { name, exact: true } : { name })

export async function done(page: Page) {
  const title = await step(page).getByRole('heading', { level: 2 }).innerText()
  await button(page, 'Done').click()
  await expect(page.getByRole('heading', { level: 2, name: title, exact: true })).toHaveCount(0)
}
export const at = (page: Page, title: string | RegExp) =>
  expect(step(page).getByRole('heading', { level: 2 })).toHaveText(title)

/** Sets up the simulated instruments and gives the number of the bench. */
export async function simulate(page: Page): Promise<string> {
  await button(page, /^instruments/).click()
  const set = page.waitForResponse((r) => r.url().endsWith('/instruments') && r.request().method() === 'POST')
  await button(page, 'Set up simulated instruments').click()
  const { id } = (await (await set).json()) as { id: string }
  await expect(button(page, 'Remove')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(button(page, 'instruments connected')).toBeVisible()
  return id
}

export const truthOf = (page: Page, id: string) =>
  page.evaluate(async (bench) => (await (await fetch(`/instruments/${bench}`)).json()) as Truth, id)

/** Puts a beaker on the scale and tares once it has settled. */
export async function place(page: Page, letter: string) {
  const put = button(page, `Put beaker ${letter} on the scale`)
  await put.click()
  await expect(put).toHaveCount(0)
}

/** Pours the material in hand, to its target or so many grams, and records what the scale then shows. */
export async function pour(page: Page, material: string, grams?: number) {
  await expect(step(page).getByTestId('target')).toBeVisible()
  const to = button(page, `Pour ${material} to the target`)
  await expect(to).toBeVisible()
  if (grams === undefined) await to.click()
  else {
    await page.getByLabel('or grams').fill(String(grams))
    await button(page, 'Pour').click()
  }
  if (grams === undefined) await expect(page.locator('.live .words')).toHaveText('right')
  else
    await expect
      .poll(async () => Number.parseFloat(await page.getByTestId('live').innerText()))
      .toBeGreaterThan(grams * 0.98)
  const row = page.getByRole('row').filter({ hasText: material })
  await button(page, /^Record/).click()
  await expect(row).toContainText(/right|over|to go/)
}
