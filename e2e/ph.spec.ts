import { expect, openFormula, openHome, saved, stored, test, upload } from './helpers'
import type { Page } from '@playwright/test'

const openPh = async (page: Page, name: string) => {
  await openFormula(page, name)
  await page.getByRole('link', { name: 'pH', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Next dose' })).toBeVisible()
}
const chart = (page: Page) => page.locator('.apexcharts-svg').first()
const log = (page: Page) => page.getByRole('region', { name: 'Log' })
const next = (page: Page) => page.getByRole('region', { name: 'Next dose' })
const WORDS = { strip: 'Strip', 'meter-direct': 'Meter, direct', 'meter-10pct': 'Meter, 10 %' }
const record = async (page: Page, ph: string, method: keyof typeof WORDS = 'meter-direct') => {
  await next(page).getByRole('combobox', { name: 'Measurement' }).click()
  await page.getByRole('option', { name: WORDS[method], exact: true }).click()
  await next(page).getByLabel('Measure the pH').fill(ph)
  await next(page).getByRole('button', { name: 'Record' }).click()
}
const add = async (page: Page, grams?: string) => {
  if (grams) await next(page).getByLabel('Add', { exact: true }).fill(grams)
  await next(page).getByRole('button', { name: 'Added', exact: true }).click()
}
const dose = async (page: Page) => Number((await page.getByTestId('dose').innerText()).replace(/[^\d.]/g, ''))

test('from a first reading to the target: dose, read, log, and into the formula', async ({ page }) => {
  await openPh(page, 'Storm Warning serum')
  await page.getByLabel('Target pH from').fill('4.2')
  await page.getByLabel('Target pH to').fill('4.4')
  await record(page, '3.7')
  await expect(page.getByTestId('now')).toHaveText('3.70')
  await expect(chart(page)).toBeVisible()
  const whole = await dose(page)
  expect(whole).toBeGreaterThan(0)
  const offered = Number(await next(page).getByLabel('Add', { exact: true }).inputValue())
  // half of the least that may be needed
  expect(offered / whole).toBeLessThan(0.51)
  expect(offered / whole).toBeGreaterThan(0.2)
  await add(page)
  await expect(log(page)).toContainText('sodium hydroxide, 10 %')
  await expect(page.getByText('plus the additions since', { exact: false })).toBeVisible()
  await record(page, '4')
  await expect(log(page).locator('li')).toHaveCount(3)
  await expect(log(page)).toContainText(
    /g sodium hydroxide and .* g water, deducted from the q\.s\. ingredient/,
  )
  await record(page, '4.3')
  await expect(page.getByText(/It stands at 4\.\d+, in the target/)).toBeVisible()

  await saved(page)
  await page.reload()
  await expect(log(page).locator('li')).toHaveCount(4)
  await log(page).getByRole('button', { name: 'Add to formula' }).click()
  await expect(log(page)).toContainText('in the formula')
  await page.getByRole('link', { name: 'Formula', exact: true }).click()
  await expect(page.locator('section.phase', { hasText: 'Adjust pH' })).toContainText('Sodium hydroxide')
  await expect(page.getByText('100.00 %').first()).toBeVisible()
})

test('a reading taken out comes back by undo; the q.s. line keeps the total', async ({ page }) => {
  await openPh(page, 'Night Watch acid serum')
  await record(page, '3.3')
  await log(page)
    .getByRole('button', { name: /Remove: measured/ })
    .click()
  await expect(log(page)).toContainText('No entries yet')
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click()
  await expect(log(page).locator('li')).toHaveCount(1)
  await expect
    .poll(async () => (await stored(page)).find((r) => r.name === 'Night Watch acid serum')!.text)
    .toContain('"ph":3.3')
})

test('what is mistyped or cannot be gets a sentence and a way out', async ({ page }) => {
  await openPh(page, 'Night Watch acid serum')
  await record(page, '41')
  await expect(next(page).getByRole('alert')).toHaveText('41 is no pH. Did you mean 4.1?')
  await expect(log(page)).toContainText('No entries yet')
  for (const [value, words] of [
    ['0', '0 % is water'],
    ['120', 'cannot be above 100 %'],
  ] as const) {
    await next(page).getByLabel('Strength, percent').fill(value)
    await expect(next(page).getByText(words, { exact: false })).toBeVisible()
  }
  await next(page).getByLabel('Strength, percent').fill('10')
  await page.getByLabel('Target pH to').fill('14')
  await expect(page.getByText('pH 14 burns skin', { exact: false })).toBeVisible()
  await page.getByLabel('Target pH to').fill('9')
  await page.getByLabel('Target pH from').fill('9')
  await next(page).getByRole('combobox', { name: 'Adjuster' }).click()
  await page.getByRole('option', { name: 'trisodium citrate' }).click()
  await expect(page.getByText(/at most\. Take /)).toBeVisible()
  await page.getByRole('button', { name: /^Use / }).click()
  await expect(page.getByTestId('dose')).toBeVisible()
})

test('the strength and the target change the dose and the curve at once', async ({ page }) => {
  await openPh(page, 'Night Watch acid serum')
  await page.getByLabel('Target pH from').fill('4.2')
  await page.getByLabel('Target pH to').fill('4.4')
  const strong = await dose(page)
  await next(page).getByLabel('Strength, percent').fill('5')
  await expect.poll(() => dose(page)).toBeGreaterThan(strong * 1.8)
  await expect(page.getByText('sodium hydroxide, 5 %: grams into 100 g')).toBeVisible()
  await page.getByRole('slider', { name: 'Centre of the target' }).focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByLabel('Target pH to')).toHaveValue('4.45')
})

const file = (name: string, lines: [string, number][]) =>
  JSON.stringify({
    format: 'omblet-formula',
    formatVersion: 1,
    name,
    product: { kind: 'cream', site: 'body', rinse: 'leave-on', region: 'EU' },
    batchGrams: 100,
    phases: [
      { name: 'All', role: 'other', lines: lines.map(([material, percent]) => ({ material, percent })) },
    ],
  })
for (const [name, lines, title] of [
  [
    'Dry Dock balm',
    [
      ['squalane', 70],
      ['beeswax', 30],
    ],
    'No water, no pH',
  ],
  [
    'Oilskin cream',
    [
      ['squalane', 50],
      ['polyglyceryl-3 diisostearate', 5],
      ['aqua', 44],
      ['magnesium sulfate', 1],
    ],
    'The pH of this product cannot be measured',
  ],
  [
    'Chalk Cliff lotion',
    [
      ['aqua', 92],
      ['zinc oxide', 8],
    ],
    'The pH can only be measured',
  ],
] as [string, [string, number][], string][]) {
  test(`${name}: no curve, and why`, async ({ page }) => {
    await openHome(page)
    await upload(page, 'one.omblet.json', file(name, lines))
    await page.getByRole('link', { name }).click()
    await page.getByRole('link', { name: 'pH', exact: true }).click()
    await expect(page.getByRole('heading', { name: title })).toBeVisible()
    await expect(page.getByRole('heading', { name: 'Next dose' })).toHaveCount(0)
  })
}

test('the meter is set with two buffers, judged, and remembered', async ({ page }) => {
  await openPh(page, 'Low Tide toner')
  await page.getByRole('button', { name: 'Calibrate' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByLabel('Reading in 7.00, mV')).toBeFocused()
  await dialog.getByLabel('Reading in 7.00, mV').fill('-3')
  await dialog.getByLabel('Reading in 4.01, mV').fill('-20')
  await expect(dialog.getByText('The millivolts must rise', { exact: false })).toBeVisible()
  await dialog.getByLabel('Reading in 4.01, mV').fill('150')
  await dialog.getByRole('button', { name: 'Keep' }).click()
  const meter = page.getByRole('region', { name: 'pH meter' })
  await expect(meter).toContainText('86.5 %')
  await expect(meter).toContainText('95–105 % is sound')
  await page.reload()
  await expect(meter).toContainText('86.5 %')
  await meter.getByRole('button', { name: 'Calibrate again' }).click()
  await expect(dialog.getByLabel('Reading in 7.00, mV')).toBeFocused()
  await dialog.getByLabel('Reading in 7.00, mV').fill('-3')
  await dialog.getByLabel('Reading in 4.01, mV').fill('168')
  await dialog.getByRole('button', { name: 'Keep' }).click()
  await expect(meter).toContainText('96.7 %')
  await expect(meter).not.toContainText('sound')
})

test('drops are calibrated, a portion is titrated and scaled to the batch', async ({ page }) => {
  await openPh(page, 'Night Watch acid serum')
  await next(page).getByRole('button', { name: 'Weigh 20 drops' }).click()
  await next(page).getByLabel('20 drops weigh').fill('12')
  await next(page).getByRole('button', { name: 'Keep' }).click()
  await expect(next(page).getByText('Check the weight', { exact: false })).toBeVisible()
  await next(page).getByLabel('20 drops weigh').fill('0.8')
  await next(page).getByRole('button', { name: 'Keep' }).click()
  await expect(next(page).getByRole('button', { name: 'A drop is 0.04 g' })).toBeVisible()
  await page.getByRole('button', { name: 'Test on a small portion' }).click()
  const portion = page.getByRole('region', { name: 'Test on a small portion' })
  await portion.getByLabel('Drops added').fill('5')
  await portion.getByLabel('Measured pH').fill('3.9')
  await portion.getByRole('button', { name: 'Note' }).click()
  // 5 drops of 0.04 g in 20 g, for the other 80 g: 0.8 g.
  await expect(portion.getByText('0.80 g')).toBeVisible()
  await portion.getByLabel('Drops added').fill('3')
  await portion.getByLabel('Measured pH').fill('4.1')
  await portion.getByRole('button', { name: 'Note' }).click()
  await expect(portion.getByText('1.28 g')).toBeVisible()
})

test('the solution has its recipe with the cautions for lye', async ({ page }) => {
  await openPh(page, 'Night Watch acid serum')
  await next(page).getByRole('button', { name: 'Prepare the solution' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByLabel('Amount, g')).toBeFocused()
  await expect(dialog).toContainText('5.00 g')
  await expect(dialog).toContainText('45.00 g')
  await expect(dialog).toContainText('Lye into cold water, slowly, never water onto lye')
  await dialog.getByLabel('Strength, %', { exact: true }).fill('70')
  await expect(dialog).toContainText('Only 50 % of sodium hydroxide dissolves')
  await dialog.getByLabel('Strength, %', { exact: true }).fill('1')
  await dialog.getByRole('button', { name: 'Use this strength' }).click()
  await expect(next(page).getByLabel('Strength, percent')).toHaveValue('1')
})

test('what the pH does changes with the pH', async ({ page }) => {
  await openPh(page, 'Night Watch acid serum')
  const effects = page.getByRole('region', { name: 'Effects of pH' })
  await expect(effects).toContainText('free acid')
  await expect(effects).toContainText(
    'All ingredients and the site suit pH 3.5–4.5; mandelic acid sets both ends.',
  )
  const before = await effects.locator('li', { hasText: 'Mandelic acid' }).innerText()
  await effects.getByRole('button', { name: /Current/ }).click()
  await expect(effects.locator('li', { hasText: 'Mandelic acid' })).not.toHaveText(before)
})
