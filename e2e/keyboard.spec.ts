import { expect, openHome, saved, stored, test } from './helpers'

/** Twenty lines of a cream: what is typed into the finder, and the amount. */
const CREAM: [string, string, string][] = [
  ['glycerin', 'Glycerin', '4'],
  ['betaine', 'Betaine (trimethylglycine)', '1,5'],
  ['alantoin', 'Allantoin', '0.3'],
  ['xanthan', 'Xanthan gum', '0.2'],
  ['sodium phytate', 'Sodium phytate', '0.2'],
  ['meadowfoam', 'Meadowfoam seed oil', '5'],
  ['squalane', 'Squalane', '4'],
  ['coco-caprylate', 'Coco-caprylate', '3'],
  ['shea', 'Shea butter', '3'],
  ['olivate', 'Olivate emulsifier', '4.5'],
  ['cetyl alcohol', 'Cetyl alcohol', '1.5'],
  ['cetyl palmitate', 'Cetyl palmitate', '0.5'],
  ['niacinamide', 'Niacinamide', '4'],
  ['panthenol', 'Panthenol (D-form)', '2'],
  ['bisabolol', 'Bisabolol', '0.2'],
  ['vitamin e', 'Tocopherol (vitamin E)', '0.3'],
  ['beta-glucan', 'Beta-glucan', '2'],
  ['oat extract', 'Oat extract', '1'],
  ['phenoxyethanol, ethylhexylglycerin', 'Phenoxyethanol with ethylhexylglycerin', '1'],
]

/** Names that stand for several things: the first answer is taken with Enter. */
const ASKED = ['xanthan', 'sodium phytate', 'vitamin e']

test('a 20-line cream from nothing, with the keyboard alone', async ({ page }) => {
  await openHome(page)
  const { keyboard } = page
  const focusOn = async (name: string, most = 60) => {
    for (let i = 0; i < most; i++) {
      if (
        await page.evaluate(
          (n) =>
            document.activeElement?.textContent?.trim() === n ||
            document.activeElement?.getAttribute('aria-label') === n,
          name,
        )
      )
        return
      await keyboard.press('Tab')
    }
    throw new Error(`Tab never reached ${name}`)
  }
  await focusOn('New formula')
  await keyboard.press('Enter')
  await expect(page.getByRole('textbox', { name: 'Name' })).toBeFocused()
  await keyboard.type('Breakwater cream')
  await keyboard.press('Enter')
  await expect(page.getByLabel('Name of the formula')).toHaveValue('Breakwater cream')

  for (const [words, label, amount] of CREAM) {
    await keyboard.press('/')
    await expect(page.getByRole('combobox', { name: /^Ingredient/ })).toBeFocused()
    await keyboard.type(words)
    await expect(
      page.getByRole('listbox', { name: 'Ingredients found' }).getByRole('option').first(),
    ).toContainText(label)
    await keyboard.press('Enter')
    if (ASKED.includes(words)) {
      await expect(
        page
          .getByRole('region', { name: /^Which/ })
          .getByRole('button')
          .first(),
      ).toBeFocused()
      await keyboard.press('ArrowDown')
      await keyboard.press('ArrowUp')
      await keyboard.press('Enter')
    }
    await expect(page.getByRole('textbox', { name: `${label}, percent` })).toBeFocused()
    await keyboard.type(amount)
  }
  await expect(page.locator('li.line')).toHaveCount(20)
  const phases = page.locator('section.phase')
  await expect(phases.nth(0).locator('li.line')).toHaveCount(7)
  await expect(phases.nth(1).locator('li.line')).toHaveCount(7)
  await expect(phases.nth(2).locator('li.line')).toHaveCount(6)

  // up to the water, down again, units, moving a line and back
  await keyboard.press('ArrowUp')
  await expect(page.getByRole('textbox', { name: 'Oat extract, percent' })).toBeFocused()
  await keyboard.press('g')
  await expect(page.getByRole('textbox', { name: 'Oat extract, grams' })).toBeFocused()
  await expect(page.getByRole('textbox', { name: 'Oat extract, grams' })).toHaveValue('1.00')
  await keyboard.press('%')
  await keyboard.press('Alt+ArrowUp')
  await expect(phases.nth(2).locator('li.line').nth(3)).toContainText('Oat extract')
  await keyboard.press('Control+z')
  await expect(phases.nth(2).locator('li.line').nth(4)).toContainText('Oat extract')
  await keyboard.press('Control+Shift+z')
  await expect(phases.nth(2).locator('li.line').nth(3)).toContainText('Oat extract')

  // a note, the keys, and a version, still without the mouse
  await page.keyboard.press('Alt+n')
  await keyboard.type('from the autumn lot')
  await keyboard.press('Enter')
  await expect(page.getByText('from the autumn lot')).toBeVisible()

  const total = page.locator('.sheet .total')
  await expect(total).toContainText('100.00 %')
  await expect(total).toContainText('100.00')
  await expect(
    page
      .getByText('Nothing to stop or check.')
      .or(page.getByText(/0 stops · 0 checks/))
      .first(),
  ).toBeVisible()
  await saved(page)
  const record = (await stored(page)).find((r) => r.name === 'Breakwater cream')!
  expect(JSON.parse(record.text).formula.phases.flatMap((p: { lines: unknown[] }) => p.lines)).toHaveLength(
    20,
  )
})

test('q makes the fill line, and digits make it an amount again', async ({ page }) => {
  await openHome(page)
  await page.getByRole('link', { name: 'Low Tide toner' }).click()
  const water = page.getByRole('textbox', { name: 'Distilled water, percent' })
  const rose = page.getByRole('textbox', { name: 'Rose hydrosol, percent' })
  await rose.focus()
  await page.keyboard.press('q')
  await expect(rose).toHaveValue(/^q\.s\. 15\.00$/)
  await expect(water).toHaveValue('71.50')
  await water.focus()
  await page.keyboard.type('60')
  await expect(rose).toHaveValue(/^q\.s\. 26\.50$/)
})

test('? lists the keys, Escape puts an amount back', async ({ page }) => {
  await openHome(page)
  await page.getByRole('link', { name: 'Low Tide toner' }).click()
  const propanediol = page.getByRole('textbox', { name: 'Propanediol, percent' })
  await propanediol.focus()
  await page.keyboard.type('9')
  await expect(page.getByRole('textbox', { name: 'Distilled water, percent' })).toHaveValue(/66\.50/)
  await page.keyboard.press('Escape')
  await expect(propanediol).toHaveValue('4.00')
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
})
