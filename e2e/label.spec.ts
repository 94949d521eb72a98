import { readFileSync } from 'node:fs'
import { done, startBatch, TONER } from './bench-helpers'
import { expect, openFormula, openHome, saved, test, type Page } from './helpers'

const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name })
/** A4 in points, and how many points a millimetre has. */
const [WIDE, HIGH, MM] = [595, 842, 72 / 25.4]
const boxes = (pdf: Buffer) =>
  [...pdf.toString('latin1').matchAll(/\/MediaBox\s*\[\s*0\s+0\s+([\d.]+)\s+([\d.]+)\s*\]/g)].map((m) => [
    Math.round(Number(m[1])),
    Math.round(Number(m[2])),
  ])

test('a batch gets its label on a half-used sheet of stickers, at its true size', async ({ page }) => {
  await openFormula(page, 'Harbour Fog face cream')
  await page.getByRole('link', { name: 'Make', exact: true }).click()
  await page.getByLabel('Batch code').fill('HF-77')
  await button(page, 'Start batch').click()
  await expect(page.getByText('HF-77')).toBeVisible()
  const id = /\/bench\/([^/?]+)/.exec(page.url())![1]!
  await page.goto(`/bench/${id}/record`)
  await button(page, 'More for this batch').click()
  await page.getByRole('menuitem', { name: 'Label' }).click()
  await expect(page.getByRole('heading', { name: 'For batch HF-77' })).toBeVisible()
  const face = page.getByRole('img', { name: 'Label of Harbour Fog face cream' })
  await expect(face).toContainText('Ingredients:')
  await expect(face).toContainText('HF-77')
  await expect(face).toContainText('best before')
  await expect(page.getByText('Batch code', { exact: true })).toHaveCount(0)

  await button(page, 'Field 7, stays blank: start here').click()
  await button(page, 'Print 4').click()
  const stickers = page.locator('.stickers')
  await expect(stickers).toHaveCount(2)
  await expect(stickers.nth(0).locator('svg')).toHaveCount(2)
  await expect(stickers.nth(1).locator('svg')).toHaveCount(2)
  // each jar has a number of its own
  await expect(stickers.nth(0).locator('svg').first()).toContainText('HF-77/1')
  await expect(stickers.nth(1).locator('svg').last()).toContainText('HF-77/4')
  const first = (await stickers.nth(0).locator('svg').first().boundingBox())!
  const sheet = (await stickers.nth(0).boundingBox())!
  const px = 96 / 25.4
  expect(first.width / px).toBeCloseTo(99.1, 0)
  expect(first.height / px).toBeCloseTo(67.7, 0)
  expect((first.x - sheet.x) / px).toBeCloseTo(4.7, 0)
  expect((first.y - sheet.y) / px).toBeCloseTo(13.1 + 3 * 67.7, 0)
  const pdf = boxes(await page.pdf({ preferCSSPageSize: true }))
  expect(pdf).toEqual([
    [WIDE, HIGH],
    [WIDE, HIGH],
  ])
  expect(WIDE / MM).toBeCloseTo(210, 0)
})

test('a label that does not fit says so and what to do, and design and keeping time are kept', async ({
  page,
}) => {
  await openFormula(page, 'Low Tide toner')
  await page.getByRole('link', { name: 'Label', exact: true }).click()
  await page.getByRole('combobox', { name: 'Sticker sheet' }).click()
  await page.getByRole('option', { name: 'A4, 5 × 13 of 38.1 × 21.2 mm' }).click()
  await page.getByRole('combobox', { name: 'Labels', exact: true }).click()
  await page.getByRole('option', { name: 'One label per container' }).click()
  await expect(page.getByText(/no room at the smallest permitted type size/)).toBeVisible()
  await page.getByRole('combobox', { name: 'Sticker sheet' }).click()
  await page.getByRole('option', { name: 'A4, 2 × 4 of 99.1 × 67.7 mm' }).click()
  await expect(page.getByText(/no room at the smallest permitted type size/)).toHaveCount(0)

  await page.getByRole('combobox', { name: 'Market' }).click()
  await page.getByRole('option', { name: 'United States' }).click()
  await expect(page.getByRole('img', { name: 'Label of Low Tide toner' })).toContainText(
    'Water, Rosa Damascena',
  )
  await button(page, 'Set another period').click()
  await page.getByLabel('Closed').fill('3')
  await page.getByLabel('Opened').fill('2')
  await expect(button(page, 'Set')).toBeDisabled()
  await page.getByLabel('Reason', { exact: true }).fill('watched for a summer')
  await button(page, 'Set').click()
  await expect(page.getByText('3 months, opened 2 months')).toBeVisible()
  await saved(page)
  await page.reload()
  await expect(page.getByText('3 months, opened 2 months')).toBeVisible()
  await button(page, 'Save as').click()
  const [svg] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'As SVG' }).click(),
  ])
  expect(readFileSync((await svg.path())!, 'utf8')).toMatch(
    /<svg[\s\S]*viewBox="0 0 99.1 67.7"[\s\S]*Low Tide/,
  )
  await button(page, 'Save as').click()
  const [png] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'As PNG' }).click(),
  ])
  const bytes = readFileSync((await png.path())!)
  // 99.1 mm at 600 dots an inch
  expect(bytes.readUInt32BE(16)).toBe(Math.round((99.1 / 25.4) * 600))
  await button(page, 'Save as').click()
  await page.getByRole('menuitem', { name: /Product sheet/ }).click()
  await expect(page.getByRole('heading', { name: 'Patch test' })).toBeVisible()
  expect(boxes(await page.pdf({ preferCSSPageSize: true }))).toHaveLength(1)
})

test('what is filled is counted down on the shelf, and the batch knows what it cost', async ({ page }) => {
  await openHome(page)
  await page.goto('/ingredients/containers')
  await button(page, 'Load example stock').click()
  await expect(page.getByRole('row', { name: /Mist bottle/ })).toContainText('6')
  await startBatch(page, TONER)
  await done(page)
  for (const grams of ['94.97', '4']) {
    await page.getByLabel('What the scale shows').fill(grams)
    await page.getByLabel('What the scale shows').press('Enter')
  }
  await done(page)
  await page.getByLabel('What the scale shows').fill('1')
  await page.getByLabel('What the scale shows').press('Enter')
  await expect(page.getByText('All weighed')).toBeVisible()
  for (let i = 0; i < 6; i++) await done(page)
  await page.getByLabel('Total filled').fill('97')
  await page.getByRole('textbox', { name: 'Containers' }).fill('2')
  await page.getByRole('combobox', { name: 'Container' }).click()
  await page.getByRole('option', { name: /^Mist bottle/ }).click()
  await button(page, 'Finish batch').click()
  await expect(page.getByText('in 2 containers', { exact: false }).first()).toBeVisible()
  await button(page, 'More for this batch').click()
  await page.getByRole('menuitem', { name: 'Cost' }).click()
  await expect(page.getByRole('heading', { name: /lots used/ })).toBeVisible()
  // 4 g of glycerin at 9.80 a kilogram and 1 g of the preservative at 9.50 for 100 g
  await expect(page.getByText('0.13', { exact: true }).first()).toBeVisible()
  await page.goto('/ingredients/containers')
  await expect(page.getByRole('row', { name: /Mist bottle/ })).toContainText('4')
})

test('containers stand on the shelf, and suit or do not', async ({ page }) => {
  await openFormula(page, 'Harbour Fog face cream')
  await page.getByRole('link', { name: 'Cost', exact: true }).click()
  await expect(page.getByText('No price for 100 % of the batch')).toBeVisible()
  await button(page, 'Load example stock').click()
  await expect(page.getByText(/No price for 69 % of the batch/)).toBeVisible()
  await expect(page.getByText('Too thick for this container.').first()).toBeVisible()
  await button(page, 'Show alternatives').click()
  await expect(page.getByText(/(less|more) a batch/).first()).toBeVisible()
  await button(page, 'Use Airless pump, 50 mL').click()
  await expect(page.getByLabel('One container')).toHaveValue('1.6')
  await page.getByLabel('Margin').fill('40')
  await expect(page.getByText('Selling is subject to cosmetic law', { exact: false })).toBeVisible()

  await page.goto('/ingredients/containers')
  await button(page, 'Add container').click()
  const dialog = page.getByRole('dialog')
  await button(page, 'Add').last().click()
  await expect(dialog.getByRole('alert').first()).toHaveText('Enter a name.')
  await dialog.getByLabel('Name').fill('Quay tin')
  await dialog.getByLabel('Nominal volume').fill('30')
  await dialog.getByLabel('In stock').fill('12')
  await button(page, 'Add').last().click()
  await expect(page.getByRole('row', { name: /Quay tin/ })).toContainText('12')
  await page.reload()
  await expect(page.getByRole('row', { name: /Quay tin/ })).toContainText('30 mL')
  await button(page, 'Delete Quay tin').click()
  await expect(page.getByRole('row', { name: /Quay tin/ })).toHaveCount(0)
  await page.locator('.p-toast').getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('row', { name: /Quay tin/ })).toBeVisible()
})
