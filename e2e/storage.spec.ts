import { test as plain } from '@playwright/test'
import { expect, openFormula, openHome, saved, stored, test } from './helpers'

test('two tabs do not overwrite each other unseen', async ({ page, context }) => {
  await openFormula(page, 'Low Tide toner')
  const other = await context.newPage()
  await other.goto(page.url())
  const here = page.getByRole('textbox', { name: 'Propanediol, percent' })
  const there = other.getByRole('textbox', { name: 'Propanediol, percent' })

  // a tab that stands idle follows the other
  await there.fill('6')
  await expect(here).toHaveValue('6.00')

  // a tab that cannot hear the other finds out when it writes
  const deaf = await context.newPage()
  await deaf.addInitScript(() => {
    Object.defineProperty(window, 'BroadcastChannel', { value: undefined })
  })
  await deaf.goto(page.url())
  const alone = deaf.getByRole('textbox', { name: 'Propanediol, percent' })
  await expect(alone).toHaveValue('6.00')
  await here.fill('7')
  await saved(page)
  await alone.fill('8')
  await expect(deaf.getByText('This formula was also changed in another tab.')).toBeVisible()
  expect(
    JSON.parse((await stored(page)).find((r) => r.name === 'Low Tide toner')!.text).formula.phases[0].lines[0]
      .percent,
  ).toBe(7)

  await deaf.getByRole('button', { name: 'Keep both' }).click()
  await expect(alone).toHaveValue('7.00')
  const amounts = (await stored(page))
    .filter((r) => r.name.startsWith('Low Tide'))
    .map((r) => [r.name, JSON.parse(r.text).formula.phases[0].lines[0].percent])
  expect(amounts).toEqual([
    ['Low Tide toner', 7],
    ['Low Tide toner 2', 8],
  ])
})

test('a formula deleted in another tab is not lost here', async ({ page, context }) => {
  await openFormula(page, 'Low Tide toner')
  const other = await context.newPage()
  await openHome(other)
  await other.getByRole('button', { name: 'More for Low Tide toner' }).click()
  await other.getByRole('menuitem', { name: 'Delete' }).click()
  await expect(page.getByText('This formula was deleted in another tab.')).toBeVisible()
  await page.getByRole('button', { name: 'Save it again' }).click()
  await saved(page)
  await expect(other.getByRole('link', { name: 'Low Tide toner' })).toBeVisible()
})

test('a full store is said plainly, and the work can still be exported', async ({ page }) => {
  await openFormula(page, 'Low Tide toner')
  await page.evaluate(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('no room', 'QuotaExceededError')
    }
  })
  await page.getByRole('textbox', { name: 'Propanediol, percent' }).fill('9')
  await expect(page.getByText(/storage is full/)).toBeVisible()
  await expect(page.getByText('Not saved', { exact: true })).toBeVisible()
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export' }).click(),
  ])
  const { readFileSync } = await import('node:fs')
  expect(JSON.parse(readFileSync((await file.path())!, 'utf8')).phases[0].lines[0].percent).toBe(9)
})

plain('a refused store is said plainly, and one can still work', async ({ page }) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('not here', 'SecurityError')
    }
  })
  await page.goto('/')
  await expect(page.getByText(/blocks storage/)).toBeVisible()
  await page.getByRole('button', { name: 'New formula' }).first().click()
  await page.getByLabel('Name').fill('Adrift')
  await page.getByRole('button', { name: 'Create', exact: true }).click()
  await expect(page.getByLabel('Name of the formula')).toHaveValue('Adrift')
  await page.keyboard.press('/')
  await page.getByRole('combobox', { name: /^Ingredient/ }).fill('glycerin')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('textbox', { name: 'Glycerin, percent' })).toBeFocused()
  await page.keyboard.type('5')
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export' }).click(),
  ])
  expect(file.suggestedFilename()).toBe('adrift.omblet.json')
})

test('formulas show before the catalogue is fetched, and are judged when it is', async ({ page }) => {
  let release = () => undefined as void
  const held = new Promise<void>((resolve) => (release = resolve))
  await page.route('**/assets/materials-*.js', async (route) => {
    await held
    await route.continue()
  })
  await openHome(page)
  const all = await page.locator('article.formula').count()
  await page.getByLabel('Search formulas').fill('low tide')
  await expect(page.locator('article.formula')).not.toHaveCount(all)
  await page.getByLabel('Search formulas').fill('')
  await expect(page.locator('article.formula .counts')).toHaveCount(0)
  release()
  await expect(page.locator('article.formula .counts').first()).toBeVisible()
})
