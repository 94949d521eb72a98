// A batch is kept: over a killed page, in a second tab, on a full disk, as a file.
import { at, button, done, startBatch, TONER } from './bench-helpers'
import { expect, test, type Page } from './helpers'
import { allStored, slowStore } from './store-helpers'

/** A picture of one dot. */
const DOT = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==',
  'base64',
)

// Everything here is done with a store that answers late, now sooner and now later.
test.beforeEach(({ context }) => slowStore(context, 0, 250))

test('a page that is killed at every step finds nothing lost', async ({ page, context }) => {
  await startBatch(page, TONER)
  let here = page
  const url = page.url()
  const faults: string[] = []
  const looks = async (p: Page) => {
    await expect(p.getByRole('navigation', { name: 'Steps of this batch' })).toBeVisible()
    // What is still on its way to the store says so, and may be lost with the page.
    await allStored(p)
    // Clocks and running timers go on by themselves.
    const texts = await p.locator('.table-columns, .pause').allInnerTexts()
    return texts.join('\n')
  }
  const kill = async () => {
    const before = await looks(here)
    const crashed = here.waitForEvent('crash')
    const session = await context.newCDPSession(here)
    session.send('Page.crash').catch(() => undefined)
    await crashed
    await here.close()
    here = await context.newPage()
    here.on('pageerror', (error) => faults.push(error.message))
    here.on('console', (message) => message.type() === 'error' && faults.push(message.text()))
    await here.goto(url)
    await expect.poll(() => looks(here)).toBe(before)
  }
  const type = async (label: string, value: string) => {
    await here.getByLabel(label, { exact: true }).fill(value)
    await here.getByLabel(label, { exact: true }).press('Enter')
  }
  await kill()
  await done(here)
  await kill()
  await type('What the scale shows', '94.8')
  await expect(here.getByRole('row', { name: /Distilled water/ })).toContainText('94.80 g')
  await kill()
  await type('What the scale shows', '4.6')
  await expect(here.getByRole('heading', { name: /too much Glycerin/ })).toBeVisible()
  await kill()
  await button(here, 'Choose: Accept and record the actual amount').click()
  await expect(here.getByText('All weighed')).toBeVisible()
  await kill()
  await done(here)
  await type('What the scale shows', '1')
  await expect(here.getByText('All weighed')).toBeVisible()
  await kill()
  await done(here)
  await at(here, /Measure the pH/)
  await type('pH', '6,2')
  await expect(here.getByTestId('ph-now')).toHaveText('6.20')
  await kill()
  await here.getByLabel('or drops').fill('2')
  await button(here, /^Record 0\.\d/).click()
  await expect(here.getByTestId('charged')).toBeVisible()
  await kill()
  await here.keyboard.press('s')
  await here.getByLabel('Reason').fill('Strips ran out')
  await here.getByLabel('Reason').press('Enter')
  await at(here, /Add phenoxyethanol/)
  await kill()
  await button(here, 'More for this batch').click()
  await here.getByRole('menuitem', { name: 'Pause' }).click()
  await expect(here.getByRole('heading', { name: 'Paused' })).toBeVisible()
  await here.close()
  here = await context.newPage()
  await here.goto(url)
  await button(here, 'Resume').click()
  for (const title of [
    /Add phenoxyethanol/,
    /Measure the pH again/,
    'Fill into clean containers',
    'Label the containers',
  ]) {
    await at(here, title)
    await done(here)
  }
  await expect(here.getByRole('heading', { name: 'All steps done' })).toBeVisible()
  await kill()
  await button(here, 'Finish batch').click()
  await expect(here.getByText('Glycerin: 4.60 g instead of 4.00 g')).toBeVisible()
  await expect(here.getByText('Skipped: Measure the pH', { exact: false })).toBeVisible()
  expect(faults).toEqual([])
})

test('a second tab follows, and what cannot be stored is kept until it can', async ({ page, context }) => {
  await startBatch(page, TONER)
  const second = await context.newPage()
  await second.goto(page.url())
  await at(second, /Clean/)
  await done(page)
  await at(second, 'Weigh A, Water')
  await page.getByLabel('What the scale shows').fill('95')
  await page.getByLabel('What the scale shows').press('Enter')
  await expect(second.getByRole('row', { name: /Distilled water/ })).toContainText('right')
  await second.evaluate(() => {
    const { add } = IDBObjectStore.prototype
    const full = { is: true }
    Object.assign(window, { full })
    IDBObjectStore.prototype.add = function (...args) {
      if (full.is) throw new DOMException('full', 'QuotaExceededError')
      return add.apply(this, args)
    }
  })
  await second.getByLabel('What the scale shows').fill('4')
  await second.getByLabel('What the scale shows').press('Enter')
  await expect(second.getByText('The browser’s storage is full', { exact: false })).toBeVisible()
  await expect(second.getByText('The last entry is not saved yet.')).toBeVisible()
  await expect(page.getByRole('row', { name: /Glycerin/ })).not.toContainText('right')
  // The page can be left and comes back with what it could not store.
  await second.reload()
  await expect(second.getByRole('row', { name: /Glycerin/ })).toContainText('right')
  await expect(page.getByRole('row', { name: /Glycerin/ })).toContainText('right')
})

test('a finished batch goes out as a file, comes in again, and becomes the next version', async ({
  page,
}) => {
  await startBatch(page, TONER)
  await done(page)
  for (const grams of ['94.2', '4.8']) {
    await page.getByLabel('What the scale shows').fill(grams)
    await page.getByLabel('What the scale shows').press('Enter')
    const leave = button(page, /^Choose: Accept/)
    if (grams === '4.8') await leave.click()
  }
  await done(page)
  await page.getByLabel('What the scale shows').fill('1')
  await page.getByLabel('What the scale shows').press('Enter')
  await expect(page.getByText('All weighed')).toBeVisible()
  for (let i = 0; i < 6; i++) await done(page)
  await button(page, 'More for this batch').click()
  await page.getByRole('menuitem', { name: 'Note or photo' }).click()
  await expect(page.getByRole('textbox', { name: 'Note' })).toBeFocused()
  await page.keyboard.type('Clear as a tide pool.')
  await page.getByTestId('photo').setInputFiles({ name: 'jar.png', mimeType: 'image/png', buffer: DOT })
  await expect(page.getByAltText('Photo preview')).toBeVisible()
  await page.getByRole('dialog').getByRole('button', { name: 'Keep' }).click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await page.getByLabel('Total filled').fill('97')
  await button(page, 'Finish batch').click()
  await expect(page.getByAltText('Clear as a tide pool.')).toBeVisible()
  await button(page, 'Add note').click()
  await expect(page.getByLabel('Correction or later observation')).toBeFocused()
  await page.keyboard.type('The bottle was the old one.')
  await button(page, 'Keep').click()
  await expect(page.getByRole('heading', { name: 'Notes added later' })).toBeVisible()
  const download = page.waitForEvent('download')
  await button(page, 'More for this batch').click()
  await page.getByRole('menuitem', { name: 'Batch as a file' }).click()
  const path = await (await download).path()
  await button(page, 'More for this batch').click()
  await page.getByRole('menuitem', { name: 'Delete batch' }).click()
  await expect(page.getByRole('heading', { name: 'No batches yet' })).toBeVisible()
  await page.getByTestId('batch-picker').setInputFiles(path)
  await page.getByRole('link', { name: /^NT-/ }).click()
  await expect(page.getByText('The bottle was the old one.').first()).toBeVisible()
  await expect(page.getByAltText('Clear as a tide pool.')).toBeVisible()
  await button(page, 'Next version').click()
  await expect(page.getByRole('dialog')).toContainText('Glycerin')
  await button(page, 'Save as next version').click()
  await expect(page.getByRole('heading', { name: /Version 1/ })).toBeVisible()
  await page.getByRole('link', { name: 'Formula', exact: true }).click()
  await expect(page.getByRole('textbox', { name: 'Glycerin, percent', exact: true })).toHaveValue(/4\.8/)
})
