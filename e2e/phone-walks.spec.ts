import { button, SMALL_CREAM, startBatch, step, TONER } from './bench-helpers'
import { expect, test, type Page } from './helpers'

const base = { format: 'omblet-formula', formatVersion: 1, scaleResolutionGrams: 0.01, batchGrams: 100 }
const SERUM = {
  ...base,
  name: 'Groundswell serum',
  product: { kind: 'serum', site: 'face', rinse: 'leave-on', region: 'EU' },
  targetPh: { min: 3.6, max: 4 },
  phases: [
    {
      name: 'Water',
      role: 'water',
      lines: [
        { material: 'aqua', fill: true },
        { material: 'lactic acid', percent: 3, strengthPercent: 88 },
        { material: 'sodium hydroxide', grams: 4, strengthPercent: 10 },
      ],
    },
    {
      name: 'Last',
      role: 'cool-down',
      lines: [{ material: 'phenoxyethanol, ethylhexylglycerin', percent: 1 }],
    },
  ],
}
const BUTTER = {
  ...base,
  name: 'Mooring butter',
  product: { kind: 'butter', site: 'body', rinse: 'leave-on', region: 'EU' },
  method: { choices: { body: 'whip' } },
  phases: [
    {
      name: 'Fats',
      role: 'oil',
      heatToC: 72,
      lines: [
        { material: 'shea butter', percent: 70 },
        { material: 'caprylic/capric triglyceride', percent: 29.5 },
        { material: 'tocopherol', percent: 0.5 },
      ],
    },
  ],
}

/** The main button lies whole on the screen, and a tap on its middle and its edges meets it and nothing else. */
async function expectReachable(page: Page, title: string) {
  const main = button(page, 'Done')
  await expect(main).toBeVisible()
  const met = await main.evaluate((e) => {
    const { left, right, top, bottom } = e.getBoundingClientRect()
    const inside = top >= 0 && bottom <= window.innerHeight && left >= 0 && right <= window.innerWidth
    const points = [0.1, 0.5, 0.9].map((share) => [left + (right - left) * 0.5, top + (bottom - top) * share])
    return { inside, hit: points.every(([x, y]) => e.contains(document.elementFromPoint(x!, y!))) }
  })
  expect(met, title).toEqual({ inside: true, hit: true })
}

/** Types what each line of the step should weigh. */
async function weighAll(page: Page) {
  const shows = page.getByLabel('What the scale shows')
  for (let line = 0; line < 12; line++) {
    if ((await shows.count()) === 0 || !(await shows.isVisible())) return
    const target = /([\d.]+)/.exec(
      (await step(page).getByTestId('target').innerText()).replaceAll('\u202f', ''),
    )
    await shows.fill(target![1]!)
    await shows.press('Enter')
    // taken: the field is empty for the next line, or gone after the last
    await expect.poll(async () => (await shows.count()) === 0 || (await shows.inputValue()) === '').toBe(true)
  }
}

test.describe('on a phone held upright', () => {
  test.use({ viewport: { width: 390, height: 844 } })
  for (const formula of [SMALL_CREAM, TONER, SERUM, BUTTER])
    test(`the main button is under the thumb at every step of ${formula.name}`, async ({ page }) => {
      await startBatch(page, formula)
      const walked: string[] = []
      for (let i = 0; i < 60; i++) {
        const heading = step(page).getByRole('heading', { level: 2 })
        if ((await button(page, 'Done').count()) === 0) break
        const title = await heading.innerText()
        walked.push(title)
        await expectReachable(page, title)
        await weighAll(page)
        await expectReachable(page, title)
        await button(page, 'Done').click()
        await expect(page.getByRole('heading', { level: 2, name: title, exact: true })).toHaveCount(0)
      }
      expect(walked.length).toBeGreaterThan(4)
      expect(walked.at(-1)).toMatch(/Label|Fill|jars/)
    })
})
