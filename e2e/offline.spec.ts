// With the server gone: everything but the simulated instruments works, and what cannot be loaded says so.
import { test as plain, type Page } from '@playwright/test'
import { at, button, done, startBatch, TONER } from './bench-helpers'
import { expect, openFormula } from './helpers'
import { allStored, ownServer } from './store-helpers'

const PORT = 4391

/** Everything is kept for work without a network. */
const kept = (page: Page) =>
  page.evaluate(async () => {
    await navigator.serviceWorker.ready
    for (;;) {
      const names = await caches.keys()
      const sizes = await Promise.all(names.map(async (n) => (await (await caches.open(n)).keys()).length))
      if (sizes.some((n) => n > 100)) return
      await new Promise((resolve) => setTimeout(resolve, 100))
    }
  })

plain.describe('without a network', () => {
  plain.use({ serviceWorkers: 'allow', baseURL: `http://localhost:${PORT}` })

  plain(
    'every leaf, the solver, a running batch and a new page work with the server gone',
    async ({ page, context }) => {
      const server = await ownServer(PORT)
      const faults: string[] = []
      context.on('weberror', (error) => faults.push(error.error().message))
      try {
        await startBatch(page, TONER)
        await kept(page)
      } finally {
        await server.kill()
      }
      await page.reload()
      await at(page, /Clean/)
      await done(page)
      for (const grams of ['95', '4']) {
        await page.getByLabel('What the scale shows').fill(grams)
        await page.getByLabel('What the scale shows').press('Enter')
      }
      await done(page)
      await page.getByLabel('What the scale shows').fill('1')
      await page.getByLabel('What the scale shows').press('Enter')
      await expect(page.getByText('All weighed')).toBeVisible()
      await done(page)
      await at(page, /Measure the pH/)
      await page.getByLabel('pH', { exact: true }).fill('6,4')
      await page.getByLabel('pH', { exact: true }).press('Enter')
      await expect(page.getByTestId('ph-now')).toHaveText('6.40')
      await allStored(page)
      const font = await page.evaluate(() =>
        [...document.fonts].filter((f) => f.status === 'loaded').map((f) => f.family),
      )
      expect(font.join()).toContain('Atkinson')

      // A page that is opened anew, and every leaf of a formula.
      const fresh = await context.newPage()
      await openFormula(fresh, 'Harbour Fog face cream')
      await fresh.getByRole('link', { name: 'Emulsion', exact: true }).click()
      await expect(fresh.getByRole('heading', { name: /emulsifier|oils spread/i }).first()).toBeVisible()
      await fresh.getByRole('link', { name: 'pH', exact: true }).click()
      await fresh.locator('.apexcharts-svg').first().waitFor()
      await fresh.getByRole('link', { name: 'Method', exact: true }).click()
      await expect(fresh.getByText(/Clean and sanitise/).first()).toBeVisible()
      await fresh.getByRole('link', { name: 'Versions', exact: true }).click()
      await expect(fresh.getByRole('button', { name: 'Save version' })).toBeVisible()
      await fresh.getByRole('link', { name: 'Rebalance', exact: true }).click()
      await fresh.getByLabel('Oil phase, percent').fill('26')
      await expect(fresh.getByRole('row', { name: /^Oil phase .* 26\.00 %/ })).toBeVisible()
      await fresh.goto('/start/label')
      await fresh
        .getByLabel('Paste the list in the order of the label')
        .fill('Aqua, Glycerin, Niacinamide 5 %, Phenoxyethanol')
      await expect(fresh.getByText('An estimate, never the original', { exact: false })).toBeVisible()
      await fresh.goto('/start/recipe')
      await button(fresh, 'Show an example').click()
      await expect(fresh.getByText('Sunflower', { exact: false }).first()).toBeVisible()
      await fresh.goto('/ingredients')
      await fresh
        .getByPlaceholder(/name|material/i)
        .first()
        .fill('niacinamide')
      await expect(fresh.getByRole('link', { name: /Niacinamide/ }).first()).toBeVisible()
      await fresh.goto('/bench')
      await expect(fresh.getByRole('link', { name: /Neap toner/ })).toBeVisible()
      expect(faults).toEqual([])
    },
  )
})

plain('a part that cannot be loaded says so and offers again; no click is dead', async ({ page }) => {
  await openFormula(page, 'Low Tide toner')
  await page.route(/assets\/(Bench|Start|ph|Ph|Method|Emulsion)\w*-.*\.js/, (route) => route.abort())
  await page.getByRole('link', { name: 'Method', exact: true }).click()
  await expect(page.getByText('Part of Omblet could not be loaded', { exact: false })).toBeVisible()
  await page.unrouteAll()
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByText(/Clean and sanitise/).first()).toBeVisible()
})
