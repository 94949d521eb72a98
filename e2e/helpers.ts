import { readFileSync } from 'node:fs'
import { expect, test as base, type Page } from '@playwright/test'

/** A page on which nothing may go wrong unseen: console errors, policy breaches and exceptions fail the test. */
export const test = base.extend<{ quiet: void }>({
  quiet: [
    async ({ page }, use) => {
      const faults: string[] = []
      page.on('pageerror', (error) => faults.push(error.message))
      page.on('console', (message) => {
        if (message.type() === 'error') faults.push(message.text())
      })
      await use()
      expect(faults).toEqual([])
    },
    { auto: true },
  ],
})
export { expect, type Page }

export const openHome = async (page: Page) => {
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Formulas' })).toBeVisible()
  await expect(page.locator('article.formula').first()).toBeVisible()
}

export const openFormula = async (page: Page, name: string) => {
  await openHome(page)
  await page.getByRole('link', { name }).click()
  await expect(page.getByLabel('Name of the formula')).toHaveValue(name)
}

export const saved = (page: Page) => expect(page.getByText('Saved', { exact: true })).toBeVisible()

/** What is stored, read from the browser's own store. */
export const stored = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<{ name: string; rev: number; text: string }[]>((resolve, reject) => {
        const request = indexedDB.open('omblet')
        request.onerror = () => reject(request.error)
        request.onsuccess = () => {
          const all = request.result.transaction('formulas').objectStore('formulas').getAll()
          all.onsuccess = () => {
            request.result.close()
            resolve(
              all.result
                .map((r) => ({ name: r.formula.name, rev: r.rev, text: JSON.stringify(r) }))
                .sort((a, b) => a.name.localeCompare(b.name)),
            )
          }
        }
      }),
  )

export const demoText = (name: string) =>
  readFileSync(new URL(`../demo/${name}.omblet.json`, import.meta.url), 'utf8')
export const upload = (page: Page, name: string, text: string) =>
  page
    .getByTestId('file-picker')
    .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) })
/** A table as a file to be chosen. */
export const table = (name: string, text: string) => ({
  name,
  mimeType: 'text/csv',
  buffer: Buffer.from(text),
})
