import { readFileSync } from 'node:fs'
import type { Download } from '@playwright/test'
import { expect, openHome, table, test } from './helpers'

const readText = async (file: Download) => readFileSync((await file.path())!, 'utf8')

test('the Shelf is searched and filtered, and a material tells its facts, limits, chart and users', async ({
  page,
}) => {
  await openHome(page)
  await page.getByRole('link', { name: 'Ingredients' }).click()
  await expect(page.getByRole('heading', { name: 'Ingredients' })).toBeVisible()
  await page.getByLabel('Search ingredients').fill('salicilic')
  await page.getByRole('link', { name: /^Salicylic acid/ }).click()
  await expect(page.getByRole('heading', { name: 'Salicylic acid' })).toBeVisible()
  await expect(page.locator('.apexcharts-svg').first()).toBeVisible()
  const limits = page.getByRole('region', { name: 'Limits table' })
  await expect(limits).toContainText('Regulation (EC) 1223/2009 Annex III/98')
  await expect(limits.locator('tr', { hasText: 'leave-on, for face' })).toContainText(/2\s%/)
  await expect(page.getByText('Incompatible with')).toBeVisible()
  await page.getByRole('link', { name: 'Storm Warning serum' }).click()
  await expect(page.getByLabel('Name of the formula')).toHaveValue('Storm Warning serum')
})

test('what is in one’s formulas can be told apart from the rest', async ({ page }) => {
  await openHome(page)
  await page.getByRole('link', { name: 'Ingredients' }).click()
  await page.getByRole('combobox', { name: 'Show' }).click()
  await page.getByRole('option', { name: 'In my formulas' }).click()
  await expect(page.getByRole('link', { name: /^Urea/ })).toBeVisible()
  await page.getByRole('combobox', { name: 'Category' }).click()
  await page.getByRole('option', { name: 'Preservatives' }).click()
  await expect(page.getByRole('link', { name: /^Phenoxyethanol with ethylhexylglycerin/ })).toBeVisible()
  await expect(page.getByRole('link', { name: /^Urea/ })).toHaveCount(0)
  await page.getByRole('combobox', { name: 'Show' }).click()
  await page.getByRole('option', { name: 'Own' }).click()
  await expect(page.getByText('No ingredients of your own yet.')).toBeVisible()
})

test('a material that is not there says so', async ({ page }) => {
  await page.goto('/ingredients/moon-dust')
  await expect(page.getByRole('heading', { name: 'Ingredient not found' })).toBeVisible()
})

test('a stock is made from its parts, taken apart in the formula, and refuses to contain itself', async ({
  page,
}) => {
  await openHome(page)
  await page.getByRole('link', { name: 'Low Tide toner' }).click()
  await expect(page.getByLabel('Name of the formula')).toHaveValue('Low Tide toner')
  await page.keyboard.press('/')
  await page.getByRole('combobox', { name: /^Ingredient/ }).fill('Hyaluronate stock')
  await page.getByRole('button', { name: /my own ingredient/ }).click()
  const dialog = page.getByRole('dialog', { name: 'New own ingredient' })
  await expect(dialog.getByLabel('Name', { exact: true })).toBeFocused()
  const part = async (n: number, words: string, option: RegExp, percent: string) => {
    await dialog.getByRole('button', { name: 'Add ingredient' }).click()
    const what = dialog.getByRole('combobox', { name: `Part ${n}`, exact: true })
    await what.fill(words)
    await page.getByRole('option', { name: option }).first().click()
    // the list closes and gives the focus back before anything else is typed
    await expect(page.locator('.p-autocomplete-overlay')).toHaveCount(0)
    await expect(what).toBeFocused()
    await dialog.getByLabel(`Percent of part ${n}`).fill(percent)
  }
  await part(1, 'sodium hyaluronate', /high weight/, '1')
  await expect(dialog.getByText('1 % stated')).toBeVisible()
  await part(2, 'distilled', /Distilled water/, '120')
  await expect(dialog.getByRole('alert')).toBeVisible()
  await dialog.getByLabel('Percent of part 2').fill('99')
  await dialog.getByRole('button', { name: 'Add ingredient' }).click()
  await dialog.getByRole('combobox', { name: 'Part 3', exact: true }).fill('Hyaluronate stock')
  await dialog.getByLabel('Percent of part 3').fill('0')
  await dialog.getByRole('button', { name: 'Remove part 3' }).click()
  await dialog.getByRole('button', { name: 'Create and add' }).click()
  const field = page.getByRole('textbox', { name: 'Hyaluronate stock, percent' })
  await expect(field).toBeFocused()
  await field.fill('25')
  await page.getByRole('button', { name: /^Hyaluronate stock/ }).click()
  await expect(page.getByRole('dialog', { name: 'Hyaluronate stock' })).toContainText(
    'Aqua, Sodium Hyaluronate',
  )
  // 200 g of toner at 25 % need 50 g; with 5 % spare 52.50 g, of which 1 % is hyaluronate.
  const recipe = page.getByRole('region', { name: 'Recipe of this stock solution' })
  await expect(recipe).toContainText(/Make 52.50\s?g of it/)
  await expect(recipe.getByRole('listitem').filter({ hasText: 'hyaluronate' })).toContainText(/0.5[23]\s?g/)
  await recipe.getByLabel('Overage, percent').fill('0')
  await expect(recipe).toContainText(/Make 50.00\s?g of it/)
})

test('lots are added, counted, found, and what a formula lacks is listed', async ({ page }) => {
  await openHome(page)
  await page.goto('/ingredients/propanediol')
  await page.getByRole('button', { name: 'Add lot' }).click()
  const dialog = page.getByRole('dialog', { name: 'Add lot' })
  await expect(dialog.getByLabel('Pack size, g')).toBeFocused()
  await dialog.getByLabel('Pack size, g').fill('-4')
  await expect(dialog.getByRole('alert').first()).toBeVisible()
  await dialog.getByLabel('Pack size, g').fill('250')
  await dialog.getByLabel('Remaining, g').fill('3,5')
  await dialog.getByLabel('Expires').fill('2020-01-31')
  await dialog.getByLabel('Supplier').fill('the quay')
  await dialog.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByText('expired 2020-01-31')).toBeVisible()
  await page.getByRole('button', { name: 'Edit lot' }).click()
  // the dialog puts the caret into its first field once it has come up
  await page.getByLabel('Expires').fill('2199-01-31')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('3.5 g left, until 2199-01-31')).toBeVisible()
  await page.reload()
  await expect(page.getByText('3.5 g left, until 2199-01-31')).toBeVisible()

  await page.goto('/ingredients')
  await page.getByRole('combobox', { name: 'Show' }).click()
  await page.getByRole('option', { name: 'My stock' }).click()
  await expect(page.locator('a.row')).toHaveCount(1)

  await page.getByRole('link', { name: 'Formulas', exact: true }).click()
  await page.getByRole('link', { name: 'Low Tide toner' }).click()
  await page.getByRole('button', { name: 'More for this formula' }).click()
  await page.getByRole('menuitem', { name: 'Shopping list' }).click()
  const row = page.getByRole('row', { name: /^Propanediol/ })
  await expect(row).toContainText('8.00')
  await expect(row).toContainText('4.50')
})

test('lots are taken in from a table: shown first, refused with a reason, stored at one press', async ({
  page,
}) => {
  await openHome(page)
  await page.goto('/ingredients')
  await page.getByRole('button', { name: 'Import' }).click()
  const dialog = page.getByRole('dialog', { name: 'Import ingredients or lots' })
  const picker = page.getByTestId('table-picker')
  await picker.setInputFiles(table('sea.csv', 'colour,shape\nblue,round\n'))
  await expect(dialog.getByRole('alert')).toContainText('No known column')
  await picker.setInputFiles({ ...table('sea.pdf', 'x'), mimeType: 'application/pdf' })
  await expect(dialog.getByRole('alert')).toContainText('neither .csv nor .xlsx')
  await picker.setInputFiles(
    table('lots.csv', 'material;left_grams;expires\nGlycerin;120,5;31.12.2199\nmoon dust;4;\nurea;some;\n'),
  )
  await expect(dialog).toContainText('1 new lot, 0 that change yours, 0 the same, 2 refused.')
  await expect(dialog.getByRole('region', { name: 'Rows of the file' })).toContainText(
    'There is no ingredient',
  )
  await dialog.getByRole('button', { name: 'Cancel' }).click()
  await page.goto('/ingredients/glycerin')
  await expect(page.getByText('No lots. Add your stock')).toBeVisible()

  await page.goto('/ingredients')
  await page.getByRole('button', { name: 'Import' }).click()
  await picker.setInputFiles(table('lots.csv', 'material,left_grams,note\nglycerin,120.5,=1+1\n'))
  await dialog.getByRole('button', { name: 'Import 1 lot' }).click()
  await page.goto('/ingredients/glycerin')
  await expect(page.getByText('120.5 g left')).toBeVisible()

  // out again as a spreadsheet and in again: the same
  await page.goto('/ingredients')
  await page.getByRole('button', { name: 'Export' }).click()
  const [csv] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'as CSV' }).first().click(),
  ])
  expect(await readText(csv)).toContain("'=1+1")
  await page.getByRole('button', { name: 'Export' }).click()
  const [sheet] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'as a spreadsheet' }).first().click(),
  ])
  expect(sheet.suggestedFilename()).toBe('omblet-lots.xlsx')
  await page.getByRole('button', { name: 'Import' }).click()
  await picker.setInputFiles({
    name: 'lots.xlsx',
    mimeType: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
    buffer: readFileSync((await sheet.path())!),
  })
  await expect(dialog).toContainText('0 new lots, 0 that change yours, 1 the same, 0 refused.')
})

test('a long table shows how far it is and can be stopped', async ({ page }) => {
  await openHome(page)
  await page.goto('/ingredients')
  await page.getByRole('button', { name: 'Import' }).click()
  const dialog = page.getByRole('dialog', { name: 'Import ingredients or lots' })
  const rows = ['name,inci,usage_min,usage_max']
  for (let i = 0; i < 10_000; i++) rows.push(`Rockpool extract ${i},Aqua; Algae Extract,1,5`)
  const long = table('long.csv', rows.join('\n'))
  await page.getByTestId('table-picker').setInputFiles(long)
  await expect(dialog.getByRole('status')).toContainText(/of 10000 rows/)
  await dialog.getByRole('button', { name: 'Stop' }).dispatchEvent('click')
  await expect(dialog.getByRole('button', { name: 'Choose a file' })).toBeVisible()
  await expect(dialog.getByRole('status')).toHaveCount(0)
  await page.getByTestId('table-picker').setInputFiles(long)
  await dialog.getByRole('button', { name: 'Import 10000 materials' }).click({ timeout: 30_000 })
  await expect(page.getByText(/of 10[5-9]\d\d\d? ingredients/)).toBeVisible({ timeout: 30_000 })
})
