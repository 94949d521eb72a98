import { chromium, type FullConfig } from '@playwright/test'

/**
 * Opens Omblet once before the tests. A browser that was installed a minute ago reads itself from a cold disk; on a
 * busy machine that alone can outlast the time a test gives its first page.
 */
export default async function warmUp(config: FullConfig) {
  const { baseURL, launchOptions } = config.projects[0]!.use
  const browser = await chromium.launch({ ...launchOptions, timeout: 180_000 })
  try {
    const page = await browser.newPage()
    page.setDefaultTimeout(180_000)
    await page.goto(baseURL!)
    await page.getByRole('link', { name: 'Low Tide toner' }).click()
    await page.getByLabel('Name of the formula').waitFor()
    await page.getByRole('link', { name: 'pH', exact: true }).click()
    await page.locator('.apexcharts-svg').first().waitFor()
    await page.screenshot()
  } finally {
    await browser.close()
  }
}
