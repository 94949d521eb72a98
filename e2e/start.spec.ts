import writeXlsxFile from 'write-excel-file/node'
import type { Page } from '@playwright/test'
import { expect, openFormula, openHome, saved, test } from './helpers'

/** Counts how often the solver's file was asked for. */
function watchSolver(page: Page) {
  let asked = 0
  page.on('request', (request) => {
    if (request.url().endsWith('.wasm')) asked++
  })
  return () => asked
}

const RECIPE = `Fog Horn lotion (200 g)

Phase A
Distilled water - to 100 %
Glycerine - 4 %
Phase B
Sunflower oil 12%
Emulsifying wax 6%
Phase C
Moonwort pulp 2 %
Vitamin E - 10 drops
Phenoxyethanol`

test('a pasted recipe is shown line by line, asks what is missing, and becomes a formula', async ({
  page,
}) => {
  await openHome(page)
  await page.getByRole('button', { name: 'New from…' }).click()
  await page.getByRole('menuitem', { name: 'Recipe' }).click()
  await page.getByLabel('Paste the recipe: text or a table').fill(RECIPE)
  await expect(page.getByText('7 ingredients, 2 things missing')).toBeVisible()
  await expect(page.getByText('Weigh 20 drops and correct the amount', { exact: false })).toBeVisible()
  const unknown = page.getByRole('listitem').filter({ hasText: 'Moonwort pulp' })
  await expect(unknown.getByText('Which ingredient?')).toBeVisible()
  await unknown.getByLabel('Ingredient for Moonwort pulp').pressSequentially('panth')
  await page
    .getByRole('option', { name: /^panthenol/i })
    .first()
    .click()
  await page.getByLabel('Percent of phenoxyethanol').fill('0,9')
  await page.keyboard.press('Enter')
  await expect(page.getByText('7 ingredients, nothing missing')).toBeVisible()
  // Another line of the text changes; what was answered stays.
  await page
    .getByLabel('Paste the recipe: text or a table')
    .fill(RECIPE.replace('Glycerine - 4 %', 'Glycerine - 5 %'))
  await expect(page.getByLabel('Percent of glycerin')).toHaveValue('5')
  await expect(page.getByText('7 ingredients, nothing missing')).toBeVisible()
  await page.getByRole('button', { name: 'Create formula' }).click()
  await expect(page.getByLabel('Name of the formula')).toHaveValue('Fog Horn lotion')
  await saved(page)
  await expect(page.getByRole('button', { name: /^Panthenol/ })).toBeVisible()
})

test('a recipe with a gap and one with nonsense say so', async ({ page }) => {
  await page.goto('/start/recipe')
  const field = page.getByLabel('Paste the recipe: text or a table')
  await field.fill('Glycerin 5%\nUrea 3%\nWater 90%')
  await expect(page.getByText('2 % is missing. Make it up with water?', { exact: false })).toBeVisible()
  await page.getByRole('button', { name: 'Replace with water' }).click()
  await expect(page.getByText('nothing missing', { exact: false })).toBeVisible()
  await field.fill('Stir at dusk, and never on a Friday.')
  await expect(page.getByRole('button', { name: 'Create formula' })).toBeDisabled()
})

test('a recipe comes in from a CSV file', async ({ page }) => {
  await page.goto('/start/recipe')
  await page.getByTestId('recipe-picker').setInputFiles({
    name: 'spray.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('Phase,Ingredient,%\nA,Water,to 100\nA,Propanediol,"4,5"\nB,Panthenol,2\n'),
  })
  await expect(page.getByText('3 ingredients, nothing missing')).toBeVisible()
  await expect(page.getByLabel('Percent of propanediol')).toHaveValue('4.5')
})

test('a recipe comes in from a spreadsheet; what is none is said', async ({ page }) => {
  const sheet = await writeXlsxFile([
    ['Phase', 'INCI', 'Percent'],
    ['A', 'Aqua', 90.5],
    ['A', 'Glycerin', 5],
    ['B', 'Panthenol', 4.5],
  ]).toBuffer()
  await page.goto('/start/recipe')
  const picker = page.getByTestId('recipe-picker')
  const mimeType = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet'
  await picker.setInputFiles({ name: 'mist.xlsx', mimeType, buffer: sheet })
  await expect(page.getByText('3 ingredients, nothing missing')).toBeVisible()
  await expect(page.getByLabel('Percent of distilled water')).toHaveValue('90.5')
  await picker.setInputFiles({ name: 'broken.xlsx', mimeType, buffer: Buffer.from('no sheet') })
  await expect(page.getByRole('alert')).toContainText('broken.xlsx is not a readable spreadsheet')
  await expect(page.getByText('3 ingredients, nothing missing')).toBeVisible()
})

test('an ingredient list gives ranges and a draft that is called a guess', async ({ page }) => {
  const solver = watchSolver(page)
  await page.goto('/start/label')
  await page
    .getByLabel('Paste the list in the order of the label')
    .fill('Aqua, Glycerin, Niacinamide 5 %, Propanediol, Phenoxyethanol, Xanthan Gum')
  await expect(page.getByText('6 names · 1 % line after', { exact: false })).toBeVisible()
  expect(solver()).toBeGreaterThan(0)
  const row = page.getByRole('row').filter({ hasText: 'Niacinamide' })
  await expect(row.getByText('5.00')).toHaveCount(3)
  await expect(page.getByText('An estimate, never the original', { exact: false })).toBeVisible()
  await page
    .getByLabel('Paste the list in the order of the label')
    .fill('Aqua, Niacinamide 10 %, Glycerin 20 %')
  await expect(page.getByText('No amounts fit this list', { exact: false })).toBeVisible()
  await page
    .getByLabel('Paste the list in the order of the label')
    .fill('Aqua, Glycerin, Niacinamide 5 %, Phenoxyethanol')
  await page.getByRole('button', { name: 'Create formula from draft' }).click()
  await expect(page.getByLabel('Name of the formula')).toHaveValue('Draft from a label')
})

test('two lists of one product show what changed, and a texture narrows what can be', async ({ page }) => {
  await page.goto('/start/label')
  const list = page.getByLabel('Paste the list in the order of the label')
  await list.fill(
    'Aqua, Squalane, Glycerin, Cetearyl Olivate, Sorbitan Olivate, Panthenol, Phenoxyethanol, Ethylhexylglycerin',
  )
  const most = page.getByRole('row').filter({ hasText: 'Squalane' }).locator('td').nth(2)
  await expect(most).toBeVisible()
  const before = Number(await most.innerText())
  await page.getByRole('combobox', { name: 'Texture' }).click()
  await page.getByRole('option', { name: 'Milk' }).click()
  await expect.poll(async () => Number(await most.innerText())).toBeLessThan(before)
  await page.getByRole('button', { name: 'Compare with an earlier list' }).click()
  await page
    .getByLabel('The earlier list of the same product')
    .fill('Aqua, Glycerin, Squalane, Cetearyl Olivate, Sorbitan Olivate, Urea, Phenoxyethanol')
  const changes = page.getByRole('region', { name: 'Changes from the earlier list' })
  await expect(changes.getByText('Panthenol new at position 6')).toBeVisible()
  await expect(changes.getByText('Urea gone from position 6')).toBeVisible()
  await page.getByRole('button', { name: 'Create formula from draft' }).click()
  await expect(page.getByText('Phenoxyethanol with ethylhexylglycerin').first()).toBeVisible()
})

test('a brief brings proposals without a stop, or says why not', async ({ page }) => {
  const solver = watchSolver(page)
  await page.goto('/start/brief')
  await expect(page.getByText('3 different formulas, none with a stop')).toBeVisible()
  // Nothing here is solved, so the solver is not fetched.
  expect(solver()).toBe(0)
  await page.getByLabel('Add an active').pressSequentially('niacin')
  await page.getByRole('option', { name: 'niacinamide', exact: true }).click()
  await expect(page.getByLabel('Percent of niacinamide')).toHaveValue('4')
  await expect(page.getByRole('row').filter({ hasText: 'requested' }).first()).toBeVisible()
  await page.getByText('Only from my stock').click()
  await expect(page.getByText('not in stock', { exact: false })).toBeVisible()
  await page.getByText('Only from my stock').click()
  await page.getByRole('button', { name: 'Show alternatives' }).first().click()
  await page.getByRole('button', { name: 'Use this proposal' }).first().click()
  await expect(page.getByLabel('Name of the formula')).toHaveValue('New cream')
  await expect(page.getByRole('button', { name: /^Niacinamide/ })).toBeVisible()
})

test('a balance is shown before it is taken, as one step, and says what contradicts', async ({ page }) => {
  await openFormula(page, 'Winter Pier hand butter')
  await page.getByRole('link', { name: 'Rebalance', exact: true }).click()
  await page.getByLabel('Oil phase, percent').fill('38')
  await expect(page.getByRole('row', { name: /^Oil phase 47\.50 % 38\.00 %/ })).toBeVisible()
  await page.getByRole('button', { name: 'Apply changes' }).click()
  await expect(page.getByText('The formula already meets all of this.')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).first().click()
  await expect(page.getByRole('row', { name: /^Oil phase 47\.50 % 38\.00 %/ })).toBeVisible()
  for (const name of [
    'shea butter',
    'cocoa butter',
    'sweet almond oil',
    'squalane',
    'emulsifying wax',
    'beeswax',
    'dimethicone',
  ])
    await page.getByLabel(name).check()
  await expect(page.getByText('An oil phase of 38 %', { exact: false })).toContainText(
    'cannot be met together',
  )
  await expect(page.getByText('Nearest solution', { exact: true })).toBeVisible()
})

test('a stand-in is offered with what changes, and taken with a way back', async ({ page }) => {
  await openFormula(page, 'Winter Pier hand butter')
  await page.getByRole('button', { name: /^Squalane/ }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('button', { name: 'Show alternatives' }).click()
  const first = dialog.getByRole('button', { name: /^Use / }).first()
  const name = (await first.getAttribute('aria-label'))!.replace('Use ', '')
  await first.click()
  await expect(page.getByRole('button', { name: new RegExp(`^${name}`, 'i') })).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('button', { name: /^Squalane/ })).toBeVisible()
})
