// What stands between the rooms: the store late, full, locked, deleted under one's hands, and the clock set.
import { test as plain } from '@playwright/test'
import { at, button, done, startBatch, TONER } from './bench-helpers'
import { expect, openFormula, openHome, saved, stored, test } from './helpers'
import { allStored, fillDisk, makeRoom, slowStore } from './store-helpers'
import { propanediol, backUp, toast } from './backup-helpers'

test.describe('a store that answers late', () => {
  test('a weight belongs to the material that was seen when it was typed', async ({ page }) => {
    await slowStore(page, 1500)
    await startBatch(page, TONER)
    await done(page)
    await at(page, 'Weigh A, Water')
    const shows = page.getByLabel('What the scale shows')
    await shows.fill('95')
    await shows.press('Enter')
    await shows.fill('4')
    await shows.press('Enter')
    await expect(page.getByText('Saving', { exact: false })).toBeVisible()
    await expect(page.getByRole('row', { name: /Distilled water/ })).toContainText('95.00 g')
    await expect(page.getByRole('row', { name: /Glycerin/ })).toContainText('4.00 g')
    await allStored(page)
    await page.reload()
    await expect(page.getByRole('row', { name: /Distilled water/ })).toContainText('95.00 g')
    await expect(page.getByRole('row', { name: /Glycerin/ })).toContainText('4.00 g')
  })

  test('a whole toner, with a pedal that does not wait, comes out as it was made', async ({ page }) => {
    await slowStore(page, 0, 700)
    await startBatch(page, TONER)
    await page.keyboard.press('PageDown')
    const shows = page.getByLabel('What the scale shows')
    for (const grams of ['95', '4']) {
      await shows.fill(grams)
      await page.keyboard.press('PageDown')
    }
    await expect(page.getByText('All weighed')).toBeVisible()
    await page.keyboard.press('PageDown')
    await at(page, 'Weigh B, Last')
    await shows.fill('1')
    await page.keyboard.press('PageDown')
    await page.keyboard.press('PageDown')
    await at(page, /Measure the pH/)
    await page.getByLabel('pH', { exact: true }).fill('5,4')
    await page.getByLabel('pH', { exact: true }).press('Enter')
    await expect(page.getByTestId('ph-now')).toHaveText('5.40')
    await page.keyboard.press('PageDown')
    for (const title of [
      /Add phenoxyethanol/,
      /Measure the pH again/,
      'Fill into clean containers',
      'Label the containers',
    ]) {
      await at(page, title)
      await page.keyboard.press('PageDown')
    }
    await button(page, 'Finish batch').click()
    await expect(page.getByRole('heading', { name: 'Actual weights' })).toBeVisible()
    await allStored(page)
    const before = await page.getByRole('table').first().innerText()
    expect(before).toMatch(/95\.00[\s\S]*4\.00[\s\S]*1\.00/)
    await page.reload()
    await expect(page.getByRole('table').first()).toHaveText(/95\.00/)
    expect(await page.getByRole('table').first().innerText()).toBe(before)
  })

  test('keystrokes on the sheet all arrive', async ({ page }) => {
    await slowStore(page, 50, 600)
    await openFormula(page, 'Low Tide toner')
    for (const value of ['5', '5.5', '6', '6.25']) await propanediol(page).fill(value)
    await page.getByRole('link', { name: 'Formulas', exact: true }).click()
    await page.getByRole('link', { name: 'Low Tide toner' }).click()
    await expect(propanediol(page)).toHaveValue('6.25')
    await saved(page)
    await page.reload()
    await expect(propanediol(page)).toHaveValue('6.25')
  })
})

test('a batch deleted in another tab takes nothing more, and comes back with what was entered', async ({
  page,
  context,
}) => {
  await startBatch(page, TONER)
  await done(page)
  const other = await context.newPage()
  await other.goto(`${page.url()}/record`)
  await button(other, 'More for this batch').click()
  await other.getByRole('menuitem', { name: 'Delete batch' }).click()
  await expect(toast(other)).toContainText('bin for 30 days')
  await page.getByLabel('What the scale shows').fill('95')
  await page.getByLabel('What the scale shows').press('Enter')
  await expect(page.getByText('This batch was deleted in another tab.')).toBeVisible()
  expect(JSON.parse(await backUp(other)).batches).toEqual([])
  await button(page, 'Restore batch').click()
  await expect(page.getByText('This batch was deleted in another tab.')).toHaveCount(0)
  await allStored(page)
  await page.reload()
  await expect(page.getByRole('row', { name: /Distilled water/ })).toContainText('95.00 g')
})

test('the undo of a deletion leaves alone what another tab stored since', async ({ page, context }) => {
  await openHome(page)
  const other = await context.newPage()
  await openFormula(other, 'Low Tide toner')
  await page.getByRole('button', { name: 'More for Low Tide toner' }).click()
  await page.getByRole('menuitem', { name: 'Delete' }).click()
  await other.getByRole('button', { name: 'Save it again' }).click()
  await saved(other)
  await propanediol(other).fill('9')
  await saved(other)
  await toast(page).getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('link', { name: 'Low Tide toner 2' })).toBeVisible()
  const amounts = (await stored(page))
    .filter((r) => r.name.startsWith('Low Tide'))
    .map((r) => [r.name, JSON.parse(r.text).formula.phases[0].lines[0].percent])
  expect(amounts).toEqual([
    ['Low Tide toner', 9],
    ['Low Tide toner 2', 4],
  ])
})

test('what is deleted lies in the bin and comes back from there', async ({ page }) => {
  await openHome(page)
  await page.getByRole('button', { name: 'More for Low Tide toner' }).click()
  await page.getByRole('menuitem', { name: 'Delete' }).click()
  await page.getByRole('link', { name: 'Bin (1)' }).click()
  await expect(page.getByRole('heading', { name: 'Bin' })).toBeVisible()
  await page.reload()
  await expect(page.getByRole('listitem').filter({ hasText: 'Low Tide toner' })).toContainText(
    'Formula; deleted',
  )
  await page.getByRole('button', { name: 'Restore' }).click()
  await expect(page.getByText('The bin is empty.')).toBeVisible()
  await toast(page).getByRole('button', { name: 'Open' }).click()
  await expect(page.getByLabel('Name of the formula')).toHaveValue('Low Tide toner')
})

test('an edit that cannot be stored stays over another formula and a reload, and is stored when there is room', async ({
  page,
}) => {
  await openFormula(page, 'Low Tide toner')
  await fillDisk(page)
  await propanediol(page).fill('9')
  await expect(page.getByText('Not saved', { exact: true })).toBeVisible()
  await page.getByRole('link', { name: 'Formulas', exact: true }).click()
  await page.getByRole('link', { name: 'Gull Wing' }).click()
  await expect(page.getByLabel('Name of the formula')).toHaveValue(/Gull Wing/)
  await expect(page.getByText('Low Tide toner is not saved yet', { exact: false })).toBeVisible()
  await page.getByRole('link', { name: 'View' }).click()
  await expect(propanediol(page)).toHaveValue('9.00')
  await page.keyboard.press('Escape')
  await makeRoom(page)
  await page.getByRole('button', { name: 'Try again' }).click()
  await saved(page)
  // The same over a reload, after which there is room.
  await fillDisk(page)
  await propanediol(page).fill('7')
  await expect(page.getByText('Not saved', { exact: true })).toBeVisible()
  await page.reload()
  await expect(propanediol(page)).toHaveValue('7.00')
  await saved(page)
  expect((await stored(page)).find((r) => r.name === 'Low Tide toner')!.text).toContain('"percent":7')
})

test('a conflict waits while another formula is looked at', async ({ page, context }) => {
  await openFormula(page, 'Low Tide toner')
  const deaf = await context.newPage()
  await deaf.addInitScript(() => Object.defineProperty(window, 'BroadcastChannel', { value: undefined }))
  await deaf.goto(page.url())
  await expect(propanediol(deaf)).toHaveValue('4.00')
  await propanediol(page).fill('7')
  await saved(page)
  await propanediol(deaf).fill('8')
  await expect(deaf.getByText('This formula was also changed in another tab.')).toBeVisible()
  await deaf.getByRole('link', { name: 'Formulas', exact: true }).click()
  await deaf.getByRole('link', { name: 'Gull Wing' }).click()
  await expect(deaf.getByText('Choose which version to keep', { exact: false })).toBeVisible()
  await deaf.getByRole('link', { name: 'View' }).click()
  await expect(propanediol(deaf)).toHaveValue('8.00')
  await expect(deaf.getByText('This formula was also changed in another tab.')).toBeVisible()
  await deaf.getByRole('button', { name: 'Keep both' }).click()
  await expect(propanediol(deaf)).toHaveValue('7.00')
})

plain('a full disk at the first visit says so, and one can still look and work', async ({ page }) => {
  await page.addInitScript(() => {
    for (const name of ['put', 'add'] as const)
      IDBObjectStore.prototype[name] = () => {
        throw new DOMException('no room', 'QuotaExceededError')
      }
  })
  await page.goto('/')
  await expect(page.getByText(/storage is full/)).toBeVisible()
  await expect(page.getByRole('link', { name: 'Low Tide toner' })).toBeVisible()
})

plain(
  'a tab with an older Omblet is named, and this one goes on when it is closed',
  async ({ page, context }) => {
    await page.goto('/favicon.svg')
    await page.evaluate(
      () =>
        new Promise<void>((resolve, reject) => {
          const request = indexedDB.open('omblet', 1)
          request.onupgradeneeded = () => {
            request.result.createObjectStore('formulas', { keyPath: 'id' })
            request.result.createObjectStore('settings', { keyPath: 'key' })
          }
          request.onerror = () => reject(request.error)
          request.onsuccess = () => resolve(Object.assign(window, { held: request.result }) && undefined)
        }),
    )
    const next = await context.newPage()
    await next.goto('/')
    await expect(next.getByRole('heading', { name: 'Omblet is open in another tab' })).toBeVisible()
    await page.close()
    await expect(next.getByRole('link', { name: 'Low Tide toner' })).toBeVisible()
  },
)

plain(
  'after a newer Omblet the older page says so, and never that a formula was deleted',
  async ({ page, context }) => {
    await openFormula(page, 'Low Tide toner')
    const newer = await context.newPage()
    await newer.goto('/favicon.svg')
    await newer.evaluate(
      () =>
        new Promise<void>((resolve, reject) => {
          const request = indexedDB.open('omblet', 99)
          request.onerror = () => reject(request.error)
          request.onsuccess = () => resolve(request.result.close())
        }),
    )
    await propanediol(page).fill('9')
    await expect(page.getByText('written by a newer version of Omblet', { exact: false })).toBeVisible()
    await page.reload()
    await expect(page.getByText('Another tab runs a newer version of Omblet', { exact: false })).toBeVisible()
    await expect(page.getByRole('heading', { name: /deleted|not here/ })).toHaveCount(0)
  },
)

test('a keystroke in one tab makes others read what changed and nothing else', async ({ page, context }) => {
  const other = await context.newPage()
  await other.addInitScript(() => {
    const state = Object.assign(window, { read: [] as string[] })
    for (const name of ['get', 'getAll'] as const) {
      for (const holder of [IDBObjectStore.prototype, IDBIndex.prototype]) {
        const read = holder[name]
        holder[name] = function (this: IDBObjectStore | IDBIndex, ...args: []) {
          const store = this instanceof IDBIndex ? this.objectStore : this
          state.read.push(`${name} ${store.name}`)
          return (read as () => IDBRequest).apply(this, args)
        } as never
      }
    }
  })
  await openHome(other)
  await openFormula(page, 'Low Tide toner')
  await other.evaluate(() => ((window as unknown as { read: string[] }).read.length = 0))
  await propanediol(page).fill('6')
  await saved(page)
  await expect
    .poll(() => other.evaluate(() => (window as unknown as { read: string[] }).read))
    .toEqual(['get formulas'])
})
