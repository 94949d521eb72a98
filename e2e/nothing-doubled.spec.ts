// What comes back comes back once: backups, photographs, entries of an earlier Omblet, a clock that is set.
import { readFileSync } from 'node:fs'
import { at, button, done, startBatch, TONER } from './bench-helpers'
import { expect, openFormula, openHome, saved, stored, test, upload } from './helpers'
import { allStored, clockThatCanBeSet, setClock } from './store-helpers'
import { propanediol, backUp, toast } from './backup-helpers'

test('a backup restored where it was made changes nothing and says so', async ({ page }) => {
  await openFormula(page, 'Low Tide toner')
  await propanediol(page).fill('5')
  await saved(page)
  const before = await stored(page)
  const text = await backUp(page)
  await expect(toast(page)).toContainText('saved to your downloads and verified')
  await page.getByRole('link', { name: 'Formulas', exact: true }).click()
  await upload(page, 'backup.json', text)
  await expect(toast(page)).toContainText('Restored: nothing changed; 8 already here.')
  expect(await stored(page)).toEqual(before)
})

test('a backup with something unsound in it brings the rest and names what is not', async ({ page }) => {
  await openHome(page)
  const backup = JSON.parse(await backUp(page)) as {
    formulas: { id: string; formula: { name: string; batchGrams: number } }[]
  }
  const [first, second] = backup.formulas
  Object.assign(first!, { id: 'torn' })
  Object.assign(first!.formula, { name: 'Torn Sail', batchGrams: -4 })
  Object.assign(second!, { id: 'whole' })
  Object.assign(second!.formula, { name: 'Whole Sail' })
  await upload(page, 'backup.json', JSON.stringify(backup))
  await expect(page.getByRole('link', { name: 'Whole Sail' })).toBeVisible()
  await page.getByText('Not readable, skipped (1)').click()
  await expect(page.getByText('Formula “Torn Sail”: batchGrams must be more than 0.')).toBeVisible()
})

test('photographs go along in a backup by choice', async ({ page, browser, baseURL }) => {
  await startBatch(page, TONER)
  await page.keyboard.press('n')
  await page.getByTestId('photo').setInputFiles({
    name: 'jar.png',
    mimeType: 'image/png',
    buffer: Buffer.from(
      'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==',
      'base64',
    ),
  })
  await page.getByRole('textbox', { name: 'Note' }).fill('As clear as the pool.')
  await button(page, 'Keep').click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await allStored(page)
  await page.getByRole('button', { name: 'Include photos' }).click()
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'With photos and documents' }).click(),
  ])
  expect(file.suggestedFilename()).toMatch(/\.zip$/)
  await expect(toast(page)).toContainText('with 1 photograph and 0 documents')
  const elsewhere = await (await browser.newContext({ baseURL: baseURL! })).newPage()
  await openHome(elsewhere)
  await elsewhere.getByTestId('file-picker').setInputFiles((await file.path())!)
  await expect(toast(elsewhere)).toContainText('1 batch')
  await elsewhere.getByRole('link', { name: 'Bench', exact: true }).click()
  await expect(elsewhere.getByRole('heading', { name: 'Bench', exact: true })).toBeVisible()
  await elsewhere.getByRole('link', { name: /Neap toner/ }).click()
  await expect(button(elsewhere, 'Done')).toBeVisible()
  await elsewhere.goto(`${elsewhere.url()}/record`)
  await expect(elsewhere.getByAltText('As clear as the pool.')).toBeVisible()
  await elsewhere.context().close()
})

test('entries that an earlier Omblet left without a batch are shown, kept and removed', async ({ page }) => {
  await openHome(page)
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const request = indexedDB.open('omblet')
        request.onsuccess = () => {
          const tx = request.result.transaction('events', 'readwrite')
          tx.objectStore('events').put({
            batch: 'lost',
            n: 3,
            event: { n: 3, at: '2026-03-01T10:00:00.000Z', step: null, type: 'note', text: 'adrift' },
          })
          tx.oncomplete = () => resolve(request.result.close())
        }
      }),
  )
  await page.getByRole('link', { name: 'Bench', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Orphaned entries' })).toBeVisible()
  const [file] = await Promise.all([page.waitForEvent('download'), button(page, 'Save as a file').click()])
  expect(readFileSync((await file.path())!, 'utf8')).toContain('adrift')
  await button(page, 'Remove').click()
  await expect(page.getByRole('heading', { name: 'Orphaned entries' })).toHaveCount(0)
})

test.describe('a clock that is set', () => {
  test('timers count what passed, and ask when the clock runs ahead', async ({ page }) => {
    await clockThatCanBeSet(page)
    const [water, last] = TONER.phases
    const hot = { ...TONER, phases: [{ ...water, heatToC: 72, holdMinutes: 20 }, last] }
    await startBatch(page, hot)
    await done(page)
    for (const grams of ['95', '4']) {
      await page.getByLabel('What the scale shows').fill(grams)
      await page.getByLabel('What the scale shows').press('Enter')
    }
    await done(page)
    await at(page, /Heat A/)
    await button(page, 'Set timer').first().click()
    const left = page.getByRole('list', { name: 'Timers' })
    await expect(left).toContainText(/1\d:\d\d|20:00/)
    await allStored(page)
    await setClock(page, -3 * 3600_000)
    await expect(left).toContainText(/1\d:\d\d/)
    await setClock(page, 5 * 3600_000)
    await expect(page.getByText('The clock of this device jumped ahead by', { exact: false })).toBeVisible()
    await expect(left).toContainText(/1\d:\d\d/)
    await page.getByRole('button', { name: 'The clock changed' }).click()
    await expect(page.getByText('The clock of this device jumped ahead by', { exact: false })).toHaveCount(0)
    await expect(left).toContainText(/1\d:\d\d/)
  })
  test('a backup from the future does not count as one', async ({ page }) => {
    await clockThatCanBeSet(page)
    await openFormula(page, 'Low Tide toner')
    await propanediol(page).fill('5')
    await saved(page)
    await setClock(page, 400 * 864e5)
    await backUp(page)
    await expect(page.getByText('Last backup today.', { exact: false })).toBeVisible()
    await page.reload()
    await expect(
      page.getByText('The clock was set back since the last backup.', { exact: false }),
    ).toBeVisible()
    await expect(page.getByText('A backup is due.')).toBeVisible()
  })
})
