// What a maker knows better: facts, analyses and materials of one's own.
import { expect, openHome, table, test, upload } from './helpers'

test('facts of the catalogue are changed, marked, and reset', async ({ page }) => {
  await openHome(page)
  await page.goto('/ingredients/niacinamide')
  await page.getByRole('button', { name: 'Change facts' }).click()
  const dialog = page.getByRole('dialog', { name: 'Change facts' })
  await expect(dialog.getByLabel('Usual range from, percent')).toBeFocused()
  await dialog.getByLabel('Usual range from, percent').fill('9')
  await dialog.getByLabel('Usual range to, percent').fill('3')
  await expect(dialog.getByRole('alert')).toContainText('must not be above')
  await dialog.getByLabel('Usual range from, percent').fill('0,5')
  await dialog.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText(/your change; the catalogue says 1\s?% to 10/)).toBeVisible()
  await page.reload()
  await page.getByRole('button', { name: 'Change facts' }).click()
  await page.getByRole('button', { name: 'Reset to the catalogue' }).click()
  await expect(page.getByText(/your change/)).toHaveCount(0)
})

test('the analysis of a lot puts its allergens into the ingredient list', async ({ page }) => {
  await openHome(page)
  await page.goto('/ingredients/lavandula-angustifolia-oil')
  await expect(page.getByText(/your lot’s analysis decides/)).toBeVisible()
  await page.getByRole('button', { name: 'Add lot' }).click()
  const dialog = page.getByRole('dialog', { name: 'Add lot' })
  await expect(dialog.getByLabel('Pack size, g')).toBeFocused()
  await dialog.getByLabel('Pack size, g').fill('10')
  await dialog.getByLabel('Percent of Linalool', { exact: true }).fill('140')
  await expect(dialog.getByRole('alert')).toBeVisible()
  await dialog.getByLabel('Percent of Linalool', { exact: true }).fill('34')
  await page.getByTestId('paper-picker').setInputFiles(table('lavender.txt', 'certificate'))
  await dialog.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByText(/analysis: Linalool 34/)).toBeVisible()
  await page.getByRole('button', { name: 'Edit lot' }).click()
  await expect(page.getByRole('button', { name: 'lavender.txt' })).toBeVisible()
  await page.getByRole('button', { name: 'Cancel' }).click()

  await page.getByRole('link', { name: 'Formulas', exact: true }).click()
  await page.getByRole('link', { name: 'Low Tide toner' }).click()
  await expect(page.getByLabel('Name of the formula')).toHaveValue('Low Tide toner')
  await page.keyboard.press('/')
  await page.getByRole('combobox', { name: /^Ingredient/ }).fill('lavender essential')
  await page.getByRole('option', { name: /Lavender essential oil/ }).click()
  await page.getByRole('textbox', { name: 'Lavender essential oil, percent' }).fill('0.05')
  await expect(page.getByText('The label must name Linalool.')).toBeVisible()
})

test('a material of one’s own is changed and taken out again, with a way back', async ({ page }) => {
  await openHome(page)
  await page.goto('/ingredients')
  await page.getByRole('button', { name: 'New ingredient' }).click()
  const dialog = page.getByRole('dialog', { name: 'New own ingredient' })
  await expect(dialog.getByLabel('Name', { exact: true })).toBeFocused()
  await dialog.getByLabel('Name', { exact: true }).fill('Samphire glycerite')
  await dialog.getByRole('button', { name: 'Make' }).click()
  await expect(page.getByRole('heading', { name: 'Samphire glycerite' })).toBeVisible()
  await page.getByRole('button', { name: 'Change', exact: true }).click()
  await expect(page.getByRole('dialog').getByLabel('Name', { exact: true })).toBeFocused()
  await page.getByLabel('Usual range from, percent').fill('1')
  await page.getByLabel('Usual range to, percent').fill('4')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText(/1\s?% to 4/)).toBeVisible()
  await page.getByRole('button', { name: 'Remove' }).click()
  await expect(page.getByRole('heading', { name: 'Ingredients' })).toBeVisible()
  await page.locator('.p-toast').getByRole('button', { name: 'Undo' }).click()
  await page.getByLabel('Search ingredients').fill('samphire')
  await page.getByRole('link', { name: /^Samphire glycerite/ }).click()
  await expect(page.getByRole('heading', { name: 'Samphire glycerite' })).toBeVisible()
})

test('which of several things a name means is asked before it is added', async ({ page }) => {
  await openHome(page)
  await page.getByRole('link', { name: 'Low Tide toner' }).click()
  await expect(page.getByLabel('Name of the formula')).toHaveValue('Low Tide toner')
  await page.keyboard.press('/')
  await page.getByRole('combobox', { name: /^Ingredient/ }).fill('aloe juice')
  await page.getByRole('option', { name: /^Aloe juice/ }).click()
  const ask = page.getByRole('region', { name: 'Which aloe?' })
  await expect(ask).toContainText('A two-hundredth of the amount')
  await ask.getByRole('button', { name: /^powder, 200-fold/ }).click()
  await expect(page.getByRole('textbox', { name: 'Aloe powder, 200-fold, percent' })).toBeFocused()
})

test('an emulsifier of one’s own is asked for its type, and judged by it', async ({ page }) => {
  await openHome(page)
  await page.goto('/ingredients')
  await page.getByRole('button', { name: 'New ingredient' }).click()
  const dialog = page.getByRole('dialog', { name: 'New own ingredient' })
  await dialog.getByLabel('Name', { exact: true }).fill('Mole wax')
  await dialog.locator('[aria-labelledby="own-does"], #own-does').first().click()
  await page.getByRole('option', { name: 'emulsifying' }).click()
  await dialog.getByRole('combobox', { name: 'Emulsifier type' }).click()
  await page.getByRole('option', { name: 'Co-emulsifier' }).click()
  await dialog.getByLabel('HLB, if stated').fill('ten')
  await expect(dialog.getByText('Type the HLB as a number.')).toBeVisible()
  await dialog.getByLabel('HLB, if stated').fill('5')
  await dialog.getByRole('button', { name: 'Make' }).click()
  await expect(page.getByRole('heading', { name: 'Mole wax' })).toBeVisible()
  await page.getByRole('button', { name: 'Change', exact: true }).click()
  await expect(page.getByRole('dialog').getByLabel('HLB, if stated')).toHaveValue('5')
  await page.keyboard.press('Escape')

  await page.goto('/formulas')
  const lines = [
    { material: 'squalane', percent: 12 },
    { material: 'mole wax', percent: 4 },
    { material: 'seafig fruit extract', percent: 1 },
  ]
  const phases = [
    { name: 'Water', role: 'water', lines: [{ material: 'aqua', fill: true }] },
    { name: 'Oil', role: 'oil', lines },
  ]
  const text = JSON.stringify({ format: 'omblet-formula', formatVersion: 1, name: 'Mole cream', phases })
  await upload(page, 'mole.omblet.json', text)
  await page.getByRole('link', { name: 'Mole cream' }).click()
  await expect(
    page.getByText('Mole wax is only a co-emulsifier, and there is no main emulsifier.'),
  ).toBeVisible()
  await expect(page.getByText('category inferred')).toBeVisible()
})
