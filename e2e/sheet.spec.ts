import { expect, openFormula, openHome, saved, stored, test } from './helpers'

test('every keystroke is judged, and what cannot be an amount changes nothing', async ({ page }) => {
  await openFormula(page, 'Harbour Fog face cream')
  const field = page.getByRole('textbox', { name: 'Niacinamide, percent' })
  await field.fill('12')
  await expect(
    page.getByText('12 % niacinamide is above its usual range'.replaceAll(' %', '\u202f%')),
  ).toBeVisible()
  for (const text of ['-2', '1e9', 'two', '2.5.1', '<b>9</b>']) {
    await field.fill(text)
    await expect(field).toHaveAttribute('aria-invalid', 'true')
    await expect(page.getByRole('alert')).toHaveText(/\.$/)
  }
  await field.blur()
  await expect(field).toHaveValue('12.00')
  await field.fill('2,5 %')
  await expect(page.getByText('12 %', { exact: false })).toHaveCount(0)
  await field.fill('')
  await expect(page.getByText('Niacinamide has no amount yet.')).toBeVisible()
  await page.getByRole('button', { name: /Use the usual/ }).click()
  await expect(field).toHaveValue('4.00')
})

test('typing is stored as it is typed and is there after a reload', async ({ page }) => {
  await openFormula(page, 'Salt Breeze hydrating gel')
  await page.getByRole('textbox', { name: 'Glycerin, percent' }).fill('6,25')
  await page.getByLabel('Name of the formula').fill('Salt Breeze two')
  await saved(page)
  await page.reload()
  await expect(page.getByRole('textbox', { name: 'Glycerin, percent' })).toHaveValue('6.25')
  await expect(page.getByLabel('Name of the formula')).toHaveValue('Salt Breeze two')
})

test('undo and redo have no limit and take typed words as one step', async ({ page }) => {
  await openFormula(page, 'Low Tide toner')
  const field = page.getByRole('textbox', { name: 'Betaine (trimethylglycine), percent' })
  for (let i = 0; i < 40; i++) {
    await field.fill(String(i % 2 ? 1 : 3))
    await field.blur()
  }
  const undo = page.getByRole('button', { name: 'Undo', exact: true })
  for (let i = 0; i < 40; i++) await undo.click()
  await expect(undo).toBeDisabled()
  await expect(field).toHaveValue('2.00')
  const redo = page.getByRole('button', { name: 'Redo', exact: true })
  for (let i = 0; i < 40; i++) await redo.click()
  await expect(redo).toBeDisabled()
  await expect(field).toHaveValue('1.00')
})

test('a remedy says what it does, does it as one step, and can be undone', async ({ page }) => {
  await openFormula(page, 'Storm Warning serum')
  await page.getByRole('button', { name: 'Set alpha-arbutin to 2 %' }).click()
  await expect(page.getByRole('textbox', { name: 'Alpha-arbutin, percent' })).toHaveValue('2.00')
  await expect(page.getByRole('button', { name: 'Set alpha-arbutin to 2 %' })).toHaveCount(0)
  await page.locator('.p-toast').getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('textbox', { name: 'Alpha-arbutin, percent' })).toHaveValue('4.00')
})

test('lines are dragged between phases, phases renamed, heated, moved and taken out', async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 1200 })
  await openFormula(page, 'Harbour Fog face cream')
  const phases = page.locator('section.phase')
  const grip = page.locator('li.line', { hasText: 'Panthenol' }).locator('.grip')
  const target = page.locator('li.line', {
    has: page.getByRole('textbox', { name: 'Glycerin, percent', exact: true }),
  })
  const inWater = phases.nth(0).locator('li.line', { hasText: 'Panthenol' })
  await grip.hover()
  await page.mouse.down()
  // The list gives way a moment after the pointer has come: hover until the line stands there, then let go.
  await expect(async () => {
    const to = (await target.boundingBox())!
    await page.mouse.move(to.x + 12, to.y + to.height / 2 + 6, { steps: 4 })
    await page.mouse.move(to.x + 12, to.y + to.height / 2, { steps: 4 })
    await expect(inWater).toHaveCount(1, { timeout: 500 })
  }).toPass()
  await page.mouse.up()
  await expect(inWater).toHaveCount(1)
  await expect(phases.nth(2).locator('li.line', { hasText: 'Panthenol' })).toHaveCount(0)
  await expect(page.getByText(/stands 70/)).toBeVisible()

  await phases.nth(1).getByRole('button', { name: /^Oil/ }).click()
  const dialog = page.getByRole('dialog', { name: 'Phase' })
  await expect(dialog.getByLabel('Name')).toBeFocused()
  await dialog.getByLabel('Name').fill('Melt')
  await dialog.getByLabel('Heat to, °C').fill('300')
  await expect(dialog.getByRole('alert')).toContainText('between 0 and 200')
  await dialog.getByLabel('Heat to, °C').fill('76,5')
  await dialog.getByRole('button', { name: 'Done' }).click()
  await expect(phases.nth(1)).toContainText('Melt')
  await expect(phases.nth(1)).toContainText('heat to 76.5 °C')

  await page.getByRole('button', { name: 'More for phase B' }).click()
  await page.getByRole('menuitem', { name: 'Move up' }).click()
  await expect(phases.nth(0)).toContainText('Melt')
  await page.getByRole('button', { name: 'More for phase A' }).click()
  await page.getByRole('menuitem', { name: 'Take out' }).click()
  await expect(phases).toHaveCount(2)
  await page.locator('.p-toast').getByRole('button', { name: 'Undo' }).click()
  await expect(phases).toHaveCount(3)
})

test('a material of one’s own is made on the spot and found again', async ({ page }) => {
  await openFormula(page, 'Low Tide toner')
  await page.keyboard.press('/')
  await page.getByRole('combobox', { name: /^Material/ }).fill('Samphire glycerite')
  await page.getByRole('button', { name: /material of my own/ }).click()
  const dialog = page.getByRole('dialog', { name: 'A material of my own' })
  await expect(dialog.getByLabel('Name', { exact: true })).toBeFocused()
  await expect(dialog.getByLabel('Name', { exact: true })).toHaveValue('Samphire glycerite')
  await dialog.getByLabel(/^INCI/).fill('glycerin, aqua, crithmum maritimum extract')
  await dialog.getByLabel('Usual range from, percent').fill('1')
  await dialog.getByLabel('Usual range to, percent').fill('3')
  await dialog.getByRole('button', { name: 'Make and add' }).click()
  const field = page.getByRole('textbox', { name: 'Samphire glycerite, percent' })
  await expect(field).toBeFocused()
  await field.fill('5')
  await expect(page.getByText(/Samphire glycerite is above its usual range/i)).toBeVisible()
  await saved(page)
  await page.reload()
  await expect(page.getByRole('textbox', { name: 'Samphire glycerite, percent' })).toHaveValue('5.00')
})

test('versions are saved, opened, compared and restored', async ({ page }) => {
  await openFormula(page, 'Night Watch acid serum')
  await page.getByRole('button', { name: 'More for this formula' }).click()
  await page.getByRole('menuitem', { name: 'Save a version' }).click()
  await page.getByLabel(/What is new/).fill('first light')
  await page.getByRole('button', { name: 'Save version' }).click()
  await page.getByRole('textbox', { name: 'Mandelic acid, percent' }).fill('6')
  await saved(page)
  await page.getByRole('link', { name: 'Versions' }).click()
  await expect(page.getByRole('heading', { name: 'Version 1: first light' })).toBeVisible()
  await expect(page.getByText('Mandelic acid 4.00 % → 6.00 %')).toBeVisible()
  await page.getByRole('button', { name: 'Restore it' }).click()
  await expect(page.getByRole('textbox', { name: 'Mandelic acid, percent' })).toHaveValue('4.00')
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click()
  await expect(page.getByRole('textbox', { name: 'Mandelic acid, percent' })).toHaveValue('6.00')
})

test('HTML in a name stays text; a name too long gets a sentence', async ({ page }) => {
  await openFormula(page, 'Low Tide toner')
  const name = page.getByLabel('Name of the formula')
  await name.fill('<img src=x onerror=alert(1)>')
  await saved(page)
  await page.getByRole('link', { name: 'Formulas', exact: true }).click()
  await expect(page.getByRole('link', { name: '<img src=x onerror=alert(1)>' })).toBeVisible()
  await expect(page.locator('img')).toHaveCount(0)
  await page.getByRole('link', { name: '<img src=x onerror=alert(1)>' }).click()
  await page.getByLabel('Name of the formula').fill('x'.repeat(10_000))
  await expect(page.getByRole('alert')).toContainText('10000 characters')
  await page.getByLabel('Name of the formula').blur()
  await expect(page.getByLabel('Name of the formula')).toHaveValue('<img src=x onerror=alert(1)>')
  expect((await stored(page)).map((r) => r.name)).toContain('<img src=x onerror=alert(1)>')
})

test('the batch is scaled, with commas too, and nonsense is refused', async ({ page }) => {
  await openFormula(page, 'Low Tide toner')
  const batch = page.getByLabel('Batch in grams')
  await batch.fill('512,5')
  await expect(page.locator('.sheet .total')).toContainText('512.50')
  await batch.fill('-3')
  await expect(page.getByRole('alert')).toBeVisible()
  await batch.blur()
  await expect(batch).toHaveValue('512.5')
})

test('works without sideways scrolling on a phone held upright', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  for (const path of ['formula', 'home']) {
    if (path === 'formula') await openFormula(page, 'Storm Warning serum')
    else await openHome(page)
    const wide = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    )
    expect(wide).toBeLessThanOrEqual(0)
  }
})
