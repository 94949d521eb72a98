// A whole cream at the table with simulated instruments, and a batch that survives whatever happens to the page.
import {
  at,
  button,
  done,
  place,
  pour,
  simulate,
  SMALL_CREAM,
  startBatch,
  step,
  TONER,
  truthOf,
} from './bench-helpers'
import { expect, test, type Page } from './helpers'
import { slowStore } from './store-helpers'

const speed = async (page: Page, label: string) => {
  await page.getByLabel('Heat and cold run').click()
  await page.getByRole('option', { name: label }).click()
}
const figure = async (page: Page, id: string) =>
  Number((await page.getByTestId(id).innerText()).replace(/[^\d.]/g, ''))
/** Takes what lies on the scale for nothing, once it has settled. */
const tare = async (page: Page) => {
  await button(page, 'Tare').click()
  await expect(button(page, 'Settling…')).toHaveCount(0)
  await expect(page.locator('.untared')).toHaveCount(0)
}

// Everything here is done with a store that answers late, now sooner and now later.
test.beforeEach(({ context }) => slowStore(context, 0, 250))

/**
 * A weight is the difference of two readings. Each is rounded to a count of the scale (0.01 g) and called steady within
 * half a count; a little is drift.
 */
const TWO_COUNTS = 0.0205

test('a whole cream: one over-pour, one evaporation, two doses, and a record that is true', async ({
  page,
}) => {
  await startBatch(page, SMALL_CREAM)
  const id = await simulate(page)
  await at(page, /Clean/)
  await done(page)

  // Water: the empty beaker is weighed first, then everything into it; glycerin is over-poured.
  await at(page, 'Weigh A, Water')
  await place(page, 'A')
  await expect(page.locator('.untared')).toBeVisible()
  await button(page, /Tare weight A/).click()
  await expect(page.getByLabel('Tare weight A')).toHaveAttribute('placeholder', /\d\d/)
  await button(page, 'Keep').click()
  await expect(page.getByText(/Tare weight A: \d\d/)).toBeVisible()
  await tare(page)
  await step(page).getByRole('button', { name: 'Glycerin', exact: true }).click()
  await pour(page, 'Glycerin', 5)
  await expect(page.getByRole('heading', { name: /too much Glycerin/ })).toBeVisible()
  await button(page, 'Choose: Accept and record the actual amount').click()
  await expect(page.getByRole('row', { name: /Glycerin/ })).toContainText('accepted')
  await pour(page, 'Distilled water')
  await pour(page, 'Lactic acid, 90 % solution')
  await expect(page.getByText('All weighed')).toBeVisible()
  await done(page)

  // Heat it, open: some of the water leaves, and is put back.
  await at(page, /Heat A/)
  await button(page, 'More').click()
  await button(page, 'Take the cover off').click()
  await button(page, 'Into the hot bath').click()
  await speed(page, '300 times as fast')
  await expect.poll(() => figure(page, 'celsius')).toBeGreaterThan(70)
  await speed(page, 'in real time')
  await button(page, 'Out of the hot bath').click()
  const after = page.locator('form.mass').filter({ hasText: 'After heating' })
  await expect(page.getByLabel('After heating')).toHaveAttribute('placeholder', /\d\d/)
  await after.getByRole('button', { name: 'Record' }).click()
  await expect(page.locator('.lost')).toContainText('left')
  const gone = await figure(page, 'put-back')
  expect(gone).toBeGreaterThan(0.3)
  await tare(page)
  await page.getByLabel('Water, g').fill(String(gone))
  await button(page, 'Pour water').click()
  await button(page, /^Record \d.* g water/).click()
  await expect(page.locator('.lost')).toContainText('added back')
  await done(page)

  // Oil.
  await at(page, 'Weigh B, Oil')
  await place(page, 'B')
  await tare(page)
  // The scale is pulled out and comes back, counting from another zero: nothing is lost, and it is said.
  await button(page, 'Unplug: Scale').click()
  await expect(button(page, 'scale disconnected')).toBeVisible()
  await expect(page.getByText('Scale disconnected.', { exact: false })).toBeVisible()
  await button(page, 'Plug in: Scale').click()
  await expect(page.getByText('The scale reconnected', { exact: false })).toBeVisible()
  await button(page, 'Free the scale and zero it').click()
  await place(page, 'B')
  await tare(page)
  await expect(page.getByText('The scale reconnected', { exact: false })).toHaveCount(0)
  for (const material of ['Caprylic/capric triglyceride', 'Olivate emulsifier', 'Cetyl alcohol'])
    await pour(page, material)
  await done(page)
  await at(page, /Heat B/)
  await button(page, 'Into the hot bath').click()
  await speed(page, '300 times as fast')
  await expect.poll(() => figure(page, 'celsius')).toBeGreaterThan(70)
  await speed(page, '10 times as fast')
  await done(page)
  await at(page, /Pour B into A/)
  await button(page, 'Pour together').click()
  await done(page)
  await at(page, /Blend/)
  await done(page)

  await at(page, 'Weigh C, Cool-down')
  await place(page, 'C')
  await tare(page)
  for (const material of ['Panthenol (D-form)', 'Phenoxyethanol with ethylhexylglycerin'])
    await pour(page, material)
  await done(page)

  // Cooling: the law through the readings says when; it is below 40 °C then.
  await at(page, /Cool below 40/)
  await button(page, 'Into cold water').click()
  await speed(page, '60 times as fast')
  await step(page).getByRole('button', { name: 'In cold water' }).click()
  await expect(page.getByTestId('cool-left').or(page.getByText('go on.'))).toBeVisible()
  await expect(page.getByText(/Below 40.°C: continue\./)).toBeVisible()
  await speed(page, 'in real time')
  await done(page)

  await at(page, /Add panthenol/)
  await button(page, 'Pour together').click()
  await done(page)

  // What left since is found by weighing the whole batch, and put back.
  await at(page, 'Make up the water loss')
  await place(page, 'A')
  const batch = page.locator('form.mass')
  const a = (await truthOf(page, id)).vessels.find((v) => v.name === 'A')!
  const gross = new RegExp(`^${Math.floor(a.tareGrams + a.grams)}`)
  await expect(page.getByLabel('The batch with its beaker')).toHaveAttribute('placeholder', gross)
  await batch.getByRole('button', { name: 'Record' }).click()
  await expect(page.getByText(/Weight/)).toBeVisible()
  await done(page)

  // pH: read, dose, read, dose, read.
  await at(page, /Measure the pH/)
  await button(page, 'Probe in').click()
  await speed(page, '60 times as fast')
  for (const round of [1, 2]) {
    await expect(page.locator('.live')).toContainText('settled')
    await button(page, /^Record pH/).click()
    await expect(page.getByText(/^measured, likely/)).toBeVisible()
    if (await page.getByText('On target.').isVisible()) break
    const grams = await figure(page, 'dose')
    await tare(page)
    await page.getByLabel('Lye 10 %, g').fill(String(grams))
    await button(page, 'Drip in').click()
    await expect(button(page, new RegExp(`^Record 0?\\.?\\d`)).last()).toBeVisible()
    await expect(async () => {
      // once it is recorded the button asks for the next dose
      const record = page
        .locator('form.entry')
        .filter({ hasText: 'or drops' })
        .getByRole('button', { name: /^Record \d/ })
      if (await record.isVisible()) await record.click({ timeout: 500 })
      await expect(page.getByText('predicted since the last dose')).toBeVisible({ timeout: 3000 })
    }).toPass()
    await expect(page.getByLabel('Last entries').getByText(/^pH adjuster/)).toHaveCount(round)
  }
  await expect(page.locator('.live')).toContainText('settled')
  await button(page, /^Record pH/).click()
  await expect(page.getByText(/^measured, likely/)).toBeVisible()
  const inBeaker = (await truthOf(page, id)).vessels.find((v) => v.name === 'A')!.ph!
  expect(Math.abs((await figure(page, 'ph-now')) - inBeaker)).toBeLessThan(0.06)
  expect(inBeaker).toBeGreaterThan(4)
  expect(inBeaker).toBeLessThan(5.8)
  await expect(page.getByTestId('charged')).toContainText('q.s.')
  await done(page)

  for (const title of [/Measure the pH again/, 'Fill into clean containers', 'Label the containers']) {
    await at(page, title)
    await done(page)
  }
  await expect(page.getByRole('heading', { name: 'All steps done' })).toBeVisible()
  await page.getByLabel('Total filled').fill('96')
  await button(page, 'Finish batch').click()

  // The record against what is really in the beakers, line by line.
  await expect(page.getByRole('heading', { name: 'Actual weights' })).toBeVisible()
  const truth = await truthOf(page, id)
  const really = (line: number) => truth.vessels.reduce((sum, v) => sum + v.content[line]!, 0)
  const rows = page.getByRole('table').first().locator('tbody tr')
  const weighed = async (row: number) =>
    Number((await rows.nth(row).locator('td').nth(3).innerText()).replace(/[^\d.]/g, ''))
  for (const line of [1, 2, 3, 4, 5, 6, 7])
    expect(Math.abs((await weighed(line)) - really(line))).toBeLessThanOrEqual(TWO_COUNTS)
  const doses = truth.vessels.flatMap((v) => v.doses)
  expect(doses).toHaveLength(2)
  for (const [i, dose] of doses.entries())
    expect(Math.abs((await weighed(8 + i)) - dose.grams)).toBeLessThanOrEqual(TWO_COUNTS)
  const total = truth.vessels.reduce((sum, v) => sum + v.grams, 0)
  expect(Math.abs((await figure(page, 'made')) - total)).toBeLessThan(0.06)
  await expect(page.getByText(/Glycerin: .* accepted\./)).toBeVisible()
  await expect(page.getByText('Sodium Hydroxide', { exact: false }).first()).toBeVisible()
})

test.describe('on a phone held upright', () => {
  test.use({ viewport: { width: 390, height: 844 } })

  test('nothing scrolls sideways, everything can be hit, and a foot pedal leads through', async ({
    page,
  }) => {
    /** What is too small for a gloved finger, and how far the page is too wide. */
    const faults = () =>
      page.evaluate(() => {
        const small = [...document.querySelectorAll<HTMLElement>('.run button, .run input')]
          .map((e) => ({ e, r: e.getBoundingClientRect() }))
          .filter(
            ({ e, r }) =>
              r.width > 0 &&
              e.closest('.p-hidden-accessible') === null &&
              Math.max(r.height, e.closest('label')?.clientHeight ?? 0) < 43.5,
          )
          .map(({ e, r }) => `${e.innerText || e.id} ${r.height}`)
        return [
          ...small,
          ...(document.documentElement.scrollWidth > 390
            ? [`wide ${document.documentElement.scrollWidth}`]
            : []),
        ]
      })
    await startBatch(page, TONER)
    expect(await faults()).toEqual([])
    await page.keyboard.press('PageDown')
    await at(page, 'Weigh A, Water')
    expect(await faults()).toEqual([])
    await page.getByLabel('What the scale shows').fill('95')
    await page.keyboard.press('PageDown')
    await page.getByLabel('What the scale shows').fill('5')
    await page.keyboard.press('PageDown')
    await expect(page.getByRole('heading', { name: /too much Glycerin/ })).toBeVisible()
    expect(await faults()).toEqual([])
    await button(page, /^Remove/).click()
    await button(page, 'Removed: 1.00 g').click()
    await expect(page.getByText('All weighed')).toBeVisible()
    await page.keyboard.press('PageDown')
    await at(page, 'Weigh B, Last')
    await page.keyboard.press('PageUp')
    await at(page, 'Weigh A, Water')
    await page.keyboard.press('PageDown')
    await page.getByLabel('What the scale shows').fill('1')
    await page.keyboard.press('PageDown')
    await page.keyboard.press('PageDown')
    await at(page, /Measure the pH/)
    expect(await faults()).toEqual([])
    await button(page, 'Something looks wrong').click()
    await button(page, 'Crystals').click()
    await button(page, 'Add to record').click()
    await expect(button(page, 'Added to record')).toBeVisible()
    expect(await faults()).toEqual([])
    await button(page, 'Back to the batch').click()
    await page.goto(`${page.url()}/record`)
    await expect(page.getByText('Problem reported: Crystals', { exact: false })).toBeVisible()
    expect(await faults()).toEqual([])
    await page.goto('/bench')
    await expect(page.getByRole('link', { name: /Neap toner/ })).toBeVisible()
    expect(await faults()).toEqual([])
  })
})
