import { readFileSync } from 'node:fs'
import { demoText, expect, openFormula, openHome, stored, test, upload } from './helpers'

test('the first visit brings the examples; they go with one press and stay away', async ({ page }) => {
  await openHome(page)
  await expect(page.locator('article.formula')).toHaveCount(8)
  await page.getByRole('button', { name: 'Remove examples' }).click()
  await expect(page.getByText('No formulas yet.')).toBeVisible()
  await page.reload()
  await expect(page.getByText('No formulas yet.')).toBeVisible()
  await page.getByRole('button', { name: 'Load examples' }).click()
  await expect(page.locator('article.formula')).toHaveCount(8)
})

test('a changed example is one’s own and survives the clearing', async ({ page }) => {
  await openFormula(page, 'Low Tide toner')
  await page.getByRole('textbox', { name: 'Propanediol, percent' }).fill('5')
  await page.getByRole('link', { name: 'Formulas', exact: true }).click()
  await page.getByRole('button', { name: 'Remove examples' }).click()
  await expect(page.locator('article.formula')).toHaveCount(1)
})

const good = demoText('01-harbour-fog-cream')
const changed = (
  change: (f: { formatVersion: number; name: string; phases: { lines: object[] }[] }) => void,
) => {
  const f = JSON.parse(good)
  change(f)
  return JSON.stringify(f)
}
const FAULTY: [string, string, RegExp][] = [
  ['truncated', good.slice(0, 500), /cut off/],
  ['empty', '', /empty/],
  ['of another format', '{"format":"shopping-list","items":[]}', /shopping-list/],
  ['newer', changed((f) => (f.formatVersion = 7)), /newer Omblet/],
  [
    'with two fill lines',
    changed((f) => (f.phases[1]!.lines[0] = { material: 'squalane', fill: true })),
    /second fill line/,
  ],
  [
    'with a negative amount',
    changed((f) => (f.phases[1]!.lines[0] = { material: 'squalane', percent: -4 })),
    /must not be negative/,
  ],
  [
    'with a name of 10,000 characters',
    changed((f) => (f.name = 'x'.repeat(10_000))),
    /name must be 200 characters or fewer/,
  ],
  [
    'of 100,000 lines',
    changed(
      (f) =>
        (f.phases[0]!.lines = Array.from({ length: 100_000 }, () => ({ material: 'glycerin', percent: 1 }))),
    ),
    /400 lines or fewer|more than any formula needs/,
  ],
]

test('faulty files get a sentence, and nothing stored changes', async ({ page }) => {
  await openHome(page)
  const before = await stored(page)
  for (const [what, text, says] of FAULTY) {
    await upload(page, `${what}.json`, text)
    await expect(page.getByRole('alert').filter({ hasText: `${what}.json` }), what).toHaveText(says)
    await expect(page.getByRole('alert').filter({ hasText: 'Nothing was changed.' })).toHaveCount(1)
  }
  expect(await stored(page)).toEqual(before)
})

test('a fill line below zero comes in and is a finding', async ({ page }) => {
  await openHome(page)
  await upload(
    page,
    'over.json',
    changed((f) =>
      Object.assign(f, {
        name: 'Spring tide',
        phases: [
          ...f.phases,
          { name: 'More', role: 'other', lines: [{ material: 'glycerin', percent: 80 }] },
        ],
      }),
    ),
  )
  await page.locator('.p-toast').getByRole('button', { name: 'Open' }).click()
  await expect(page.getByText(/which leaves nothing for distilled water/)).toBeVisible()
})

test('a file of a name that is taken gets the next free one', async ({ page }) => {
  await openHome(page)
  await upload(page, 'again.json', good)
  await expect(page.getByText('Imported as Harbour Fog face cream 2')).toBeVisible()
  await expect(page.getByRole('link', { name: 'Harbour Fog face cream 2' })).toBeVisible()
})

test('files can be dropped on the page', async ({ page }) => {
  await openHome(page)
  const data = await page.evaluateHandle(
    (text) => {
      const transfer = new DataTransfer()
      transfer.items.add(new File([text], 'dropped.omblet.json', { type: 'application/json' }))
      return transfer
    },
    changed((f) => (f.name = 'Dropped anchor')),
  )
  await page.locator('.page').dispatchEvent('drop', { dataTransfer: data })
  await expect(page.getByRole('link', { name: 'Dropped anchor' })).toBeVisible()
})

test('one formula, several and everything are exported; a backup restores on another machine', async ({
  page,
  browser,
  baseURL,
}) => {
  await openHome(page)
  await page.getByRole('button', { name: 'More for Low Tide toner' }).click()
  const [one] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Export' }).click(),
  ])
  expect(one.suggestedFilename()).toBe('low-tide-toner.omblet.json')
  expect(JSON.parse(readFileSync((await one.path())!, 'utf8'))).toMatchObject(
    JSON.parse(demoText('02-low-tide-toner')) as Record<string, unknown>,
  )

  await page.getByRole('checkbox', { name: 'Choose Low Tide toner' }).check()
  await page.getByRole('checkbox', { name: 'Choose Storm Warning serum' }).check()
  await page.getByRole('region', { name: 'Chosen formulas' }).getByRole('button', { name: 'Export' }).click()
  await expect(page.getByRole('dialog')).toContainText('The file contains 2 formulas.')
  const [several] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save file' }).click(),
  ])
  expect(JSON.parse(readFileSync((await several.path())!, 'utf8')).formulas).toHaveLength(2)

  await page.getByRole('link', { name: 'Low Tide toner' }).click()
  await page.getByRole('textbox', { name: 'Propanediol, percent' }).fill('5,5')
  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
  const [all] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Back up' }).click(),
  ])
  const text = readFileSync((await all.path())!, 'utf8')

  const other = await browser.newContext({ baseURL: baseURL! })
  const second = await other.newPage()
  await openHome(second)
  await second.getByRole('button', { name: 'Remove examples' }).click()
  await expect(second.getByText('No formulas yet.')).toBeVisible()
  await upload(second, 'backup.json', text)
  await expect(second.locator('article.formula')).toHaveCount(8)
  await second.getByRole('link', { name: 'Low Tide toner' }).click()
  await expect(second.getByRole('textbox', { name: 'Propanediol, percent' })).toHaveValue('5.50')
  await other.close()
})

test('formulas are found, filtered, duplicated and deleted with a way back', async ({ page }) => {
  await openHome(page)
  await page.getByLabel('Search formulas').fill('salicylic')
  await expect(page.locator('article.formula')).toHaveCount(1)
  await page.getByLabel('Search formulas').fill('zzz')
  await page.getByRole('button', { name: 'Show all' }).click()
  await page.getByRole('combobox', { name: 'Product type' }).click()
  await page.getByRole('option', { name: 'Serum' }).click()
  await expect(page.locator('article.formula')).toHaveCount(2)
  await page.getByRole('combobox', { name: 'State' }).click()
  await page.getByRole('option', { name: 'With a stop' }).click()
  await expect(page.locator('article.formula')).toHaveCount(1)
  await page.getByRole('button', { name: 'More for Storm Warning serum' }).click()
  await page.getByRole('menuitem', { name: 'Duplicate' }).click()
  await expect(page.getByRole('link', { name: 'Storm Warning serum 2' })).toBeVisible()
  await expect(page.getByRole('menu')).toHaveCount(0)
  await page.getByRole('button', { name: 'More for Storm Warning serum 2' }).click()
  await page.getByRole('menuitem', { name: 'Delete' }).click()
  await expect(page.getByRole('link', { name: 'Storm Warning serum 2' })).toHaveCount(0)
  await page.locator('.p-toast').getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('link', { name: 'Storm Warning serum 2' })).toBeVisible()
})
