// A three-part cream with an acid premix, made at the table to the letter of the command line's method.
import { execFileSync } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import { button, at, done, place, simulate, startBatch, step, truthOf } from './bench-helpers'
import { expect, test, type Page } from './helpers'

const CREAM = {
  format: 'omblet-formula',
  formatVersion: 1,
  name: 'Spring Tide cream',
  product: { kind: 'cream', site: 'body', rinse: 'leave-on', region: 'EU' },
  batchGrams: 200,
  scaleResolutionGrams: 0.01,
  targetPh: { min: 3.6, max: 4.2 },
  method: { choices: { heating: 'melt', cooling: 'bath' } },
  phases: [
    {
      name: 'Acid',
      role: 'premix',
      lines: [
        { material: 'propylene glycol', percent: 12 },
        { material: 'salicylic acid', percent: 1.5 },
      ],
    },
    {
      name: 'Water',
      role: 'water',
      heatToC: 72,
      lines: [
        { material: 'aqua', fill: true },
        { material: 'glycerin', percent: 3 },
      ],
    },
    {
      name: 'Oil',
      role: 'oil',
      heatToC: 72,
      lines: [
        { material: 'squalane', percent: 10 },
        { material: 'cetearyl alcohol', percent: 3 },
        { material: 'olivate emulsifier', percent: 4 },
      ],
    },
    {
      name: 'Cool-down',
      role: 'cool-down',
      belowC: 40,
      lines: [{ material: 'phenoxyethanol, ethylhexylglycerin', percent: 1 }],
    },
  ],
}

interface Told {
  steps: {
    kind: string
    title: string
    vessel: string
    celsius: number | null
    lines: { grams: number }[]
    from: string[]
  }[]
}

const speed = async (page: Page, label: string) => {
  await page.getByLabel('Heat and cold run').click()
  await page.getByRole('option', { name: label }).click()
}
const celsius = async (page: Page) =>
  Number((await page.getByTestId('celsius').innerText()).replace(/[^\d.]/g, ''))

async function weigh(page: Page, vessel: string, lines: number) {
  const put = button(page, `Put beaker ${vessel} on the scale`)
  const pour = page.getByRole('button', { name: /^Pour .* to the target$/ })
  await expect(put.or(pour).first()).toBeVisible()
  if (await put.isVisible()) await place(page, vessel)
  await button(page, 'Tare').click()
  await expect(button(page, 'Settling…')).toHaveCount(0)
  await expect(page.locator('.untared')).toHaveCount(0)
  for (let i = 0; i < lines; i++) {
    const name = (await pour.getAttribute('aria-label'))!
    await pour.click()
    await expect(page.locator('.live .words')).toHaveText('right')
    await button(page, /^Record/).click()
    if (i + 1 < lines) await expect(button(page, name)).toHaveCount(0)
  }
  await expect(page.getByText('All weighed')).toBeVisible()
}

test('a three-part cream with an acid premix is made as the leaf, the paper and the command line say', async ({
  page,
}, info) => {
  const file = info.outputPath('cream.json')
  writeFileSync(file, JSON.stringify(CREAM))
  const told = JSON.parse(
    execFileSync('node', ['packages/cli/bin/omblet.mjs', 'method', file], { encoding: 'utf8' }),
  ) as Told
  const titles = told.steps.map((s) => s.title)
  // the acid is dissolved warm, cooled, and goes in when the emulsion stands
  const place_ = (start: string) => titles.findIndex((t) => t.startsWith(start))
  expect(place_('Pour C into B')).toBeGreaterThan(0)
  expect(place_('Add A')).toBeGreaterThan(place_('Pour C into B'))
  expect(place_('Measure the pH')).toBeGreaterThan(place_('Add A'))

  await startBatch(page, CREAM)
  const id = await simulate(page)
  await button(page, 'More').click()
  const table = told.steps.filter((s) => s.kind !== 'look')
  for (const s of table) {
    await at(page, s.title)
    if (s.lines.length > 0 && s.kind !== 'ph') await weigh(page, s.vessel, s.lines.length)
    if (await button(page, 'Into the hot bath').isVisible()) {
      await button(page, 'Into the hot bath').click()
      await speed(page, '300 times as fast')
      await expect.poll(() => celsius(page)).toBeGreaterThan(s.celsius! - 2)
      await speed(page, 'in real time')
      await button(page, 'Out of the hot bath').click()
    }
    if (s.from.length > 0) await button(page, 'Pour together').click()
    if (s.kind === 'cool') {
      await button(page, 'Into cold water').click()
      await speed(page, '60 times as fast')
      await expect.poll(() => celsius(page)).toBeLessThan(s.celsius! + 0.5)
      await speed(page, 'in real time')
      await button(page, 'Out of cold water').click()
    }
    if (s.title.startsWith('Measure the pH') && s.title !== 'Measure the pH again') {
      await button(page, 'Probe in').click()
      await expect(page.locator('.live')).toContainText('settled')
      await button(page, /^Record pH/).click()
      await expect(page.getByText(/^measured, likely/)).toBeVisible()
    }
    await done(page)
  }
  await expect(page.getByRole('heading', { name: 'All steps done' })).toBeVisible()

  // All that was weighed is really in the beaker that was filled, and nothing is left in another.
  const { vessels } = await truthOf(page, id)
  const filled = vessels.find((v) => v.name === table.find((s) => s.kind === 'fill')!.vessel)!
  const wanted = [24, 3, 151.0, 6, 20, 6, 8, 2]
  const sum = wanted.reduce((x, y) => x + y, 0)
  wanted[2] = 200 - (sum - 151)
  filled.content.forEach((grams, line) =>
    expect(Math.abs(grams - wanted[line]!)).toBeLessThan(wanted[line]! * 0.05 + 0.1),
  )
  for (const v of vessels) if (v !== filled) expect(v.grams).toBeLessThan(0.5)

  // What the Bench did is what leaf and paper of the same formula say.
  await page.goto('/formulas')
  await page.getByRole('link', { name: CREAM.name }).first().click()
  await page.getByRole('link', { name: 'Method', exact: true }).click()
  const steps = page.getByRole('region', { name: 'Steps' })
  await expect(steps.locator('li strong').first()).toBeVisible()
  expect((await steps.locator('li strong').allInnerTexts()).map((t) => t.trim())).toEqual(titles)
  await page.getByRole('link', { name: 'Print' }).click()
  await page.getByRole('button', { name: 'Method', exact: true }).click()
  const printed = page.locator('.paper table.method strong')
  await expect(printed.first()).toBeVisible()
  expect(await printed.allInnerTexts()).toEqual(titles.map((t, i) => `${i + 1}. ${t}`))
})

test('pressing a step shows its lines on the sheet, and the way back', async ({ page }) => {
  await startBatch(page, CREAM)
  await page.goto('/formulas')
  await page.getByRole('link', { name: CREAM.name }).first().click()
  await page.getByRole('link', { name: 'Method', exact: true }).click()
  await page.getByRole('link', { name: 'Weigh C, Oil' }).click()
  await expect(page.getByRole('status')).toContainText('Weigh C, Oil')
  await expect(page.locator('li.line.lit')).toHaveCount(3)
  await expect(page.locator('li.line.lit').first()).toContainText('squalane', { ignoreCase: true })
  await page.getByRole('link', { name: 'Back to the method' }).click()
  await expect(page.getByRole('region', { name: 'Steps' })).toBeVisible()
  await expect(step(page)).toHaveCount(0)
})
