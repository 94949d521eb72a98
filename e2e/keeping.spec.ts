import { readFileSync } from 'node:fs'
import ICAL from 'ical.js'
import { TONER } from './bench-helpers'
import { expect, openHome, test, upload, type Page } from './helpers'

const FILLED = new Date('2026-03-20T15:00:00Z')
const DAY = 86_400_000

/** A finished batch of the toner as a file: weighed, filled, and nothing more. */
const batch = (id: string, code: string, lot?: string) => {
  const at = (minutes: number) => new Date(FILLED.getTime() + (minutes - 60) * 60_000).toISOString()
  const weigh = (n: number, line: number, grams: number) => ({
    n,
    at: at(n),
    step: null,
    type: 'weigh',
    line,
    grams,
    ...(lot ? { lot } : {}),
  })
  return {
    format: 'omblet-batch',
    formatVersion: 1,
    batch: { id, code, name: TONER.name, formulaId: null, who: 'Ina' },
    events: [
      { n: 0, at: at(0), step: null, type: 'start', formula: TONER, version: null },
      weigh(1, 0, 95),
      weigh(2, 1, 4),
      weigh(3, 2, 1),
      { n: 4, at: at(60), step: null, type: 'finish', outcome: 'kept', filledGrams: 96, containers: 2 },
    ],
  }
}
/** It is so many days after filling from here on, for pages that are opened. */
const days = (page: Page, n: number) =>
  page.clock.setFixedTime(new Date(FILLED.getTime() + n * DAY + 3_600_000))

async function takeIn(page: Page, ...batches: ReturnType<typeof batch>[]) {
  await openHome(page)
  for (const b of batches) {
    await upload(page, `${b.batch.code}.json`, JSON.stringify(b))
    await expect(page.getByText(`Batch ${b.batch.code} is here`)).toBeVisible()
  }
}
async function plan(page: Page, id: string, without: string[] = []) {
  await page.goto(`/stability/${id}?plan=1`)
  const dialog = page.getByRole('dialog', { name: 'Schedule observations' })
  await expect(dialog).toBeVisible()
  for (const storage of without)
    await dialog.getByRole('checkbox', { name: new RegExp(`^${storage}`) }).uncheck()
  await dialog.getByRole('button', { name: 'Start observations' }).click()
  await expect(page.getByRole('group', { name: 'Samples' })).toBeVisible()
  await stored(page)
}
const stored = (page: Page) => expect(page.locator('[data-storing]')).toHaveCount(0)
const asks = (page: Page) => page.locator('#ask-title')

/** Answers what is asked until the look is over; `ph` is what the meter reads. Gives how much was asked. */
async function look(page: Page, ph: string): Promise<number> {
  for (let n = 0; n < 60; n++) {
    await expect(asks(page).or(page.getByRole('button', { name: /^(Done|Next batch)$/ }))).toBeVisible()
    if ((await asks(page).count()) === 0) {
      await stored(page)
      return n
    }
    const question = await asks(page).innerText()
    const before = await page.locator('main').innerText()
    if (question.includes('pH') || question.includes('weigh')) {
      await page.locator('#look-value').fill(question.includes('pH') ? ph : '48.2')
      await page.getByRole('button', { name: 'Enter', exact: true }).click()
    } else await page.locator('.choices button').first().click()
    await expect.poll(() => page.locator('main').innerText()).not.toBe(before)
  }
  throw new Error('it never ends')
}

test('a batch is watched for twelve weeks on a phone', async ({ page }) => {
  test.setTimeout(120_000)
  await page.setViewportSize({ width: 390, height: 844 })
  await days(page, 0)
  await takeIn(page, batch('neap', 'NT-0320'))
  await plan(page, 'neap', ['Refrigerated', '40 °C', 'In use'])
  await page.goto('/stability')
  await expect(page.getByText('Nothing is due today.')).toBeVisible()
  const readings = ['5,42', '', '5.40', '5.43', '5.41', '5.39', '5.40']
  for (const [i, day] of [1, 3, 7, 14, 28, 56, 84].entries()) {
    await days(page, day)
    await page.goto('/stability')
    await expect(page.getByRole('link', { name: /Neap toner.*today/ })).toBeVisible()
    await expect(page.getByRole('link', { name: /^Stability/ })).toContainText('1')
    await page.getByRole('button', { name: 'Record observations' }).click()
    expect(await look(page, readings[i]!)).toBeGreaterThan(1)
    await expect(page.getByRole('status').filter({ hasText: 'No change detected.' })).toBeVisible()
    await page.getByRole('button', { name: 'Done' }).click()
    await expect(page.getByText('Nothing is due today.')).toBeVisible()
  }
  await page.goto('/stability/neap')
  await expect(page.getByText('12 weeks old')).toBeVisible()
  await expect(page.getByText('No detectable pH change', { exact: false }).first()).toBeVisible()
  await expect(page.locator('.apexcharts-svg').first()).toBeVisible()
  await page.goto('/stability/neap/report')
  await expect(page.getByRole('row', { name: /Room temperature, 12 weeks/ })).toContainText('5.4')
  await page.setViewportSize({ width: 1280, height: 800 })
  const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1')
  expect(pdf.match(/\/Type\s*\/Page\b/g)).toHaveLength(2)
})

test('a missed week is not asked for, a mistyped reading is put right beside it, and left looks are left', async ({
  page,
}) => {
  await days(page, 0)
  await takeIn(page, batch('neap', 'NT-0320'))
  await plan(page, 'neap', ['Refrigerated', '40 °C', 'In use'])
  await days(page, 9)
  await page.goto('/stability/neap')
  await page.getByRole('button', { name: 'Observe now: room temperature, 1 week' }).click()
  await look(page, '7.9')
  await page.getByRole('button', { name: 'Done' }).click()
  await page.getByText(/^All answers/).click()
  await page
    .getByRole('listitem')
    .filter({ hasText: 'pH: 7.9' })
    .getByRole('link', { name: 'Correct' })
    .click()
  await expect(asks(page)).toHaveText('What is its pH?')
  await page.locator('#look-value').fill('5.4')
  await page.getByRole('button', { name: 'Enter', exact: true }).click()
  await stored(page)
  await page.getByRole('button', { name: 'Done' }).click()
  await page.getByText(/^All answers/).click()
  await expect(page.getByRole('listitem').filter({ hasText: '7.9' })).toContainText('corrected')
  await page.getByRole('button', { name: /^Observe early/ }).click()
  await page.getByRole('button', { name: 'Skip observation' }).click()
  await stored(page)
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByRole('button', { name: /^Observe early: 4 weeks/ })).toBeVisible()
})

test('two tabs look at one batch: nothing is asked twice and nothing is lost', async ({ page, context }) => {
  await days(page, 0)
  await takeIn(page, batch('neap', 'NT-0320'))
  await plan(page, 'neap', ['Refrigerated', '40 °C', 'In use'])
  const other = await context.newPage()
  for (const tab of [page, other]) {
    await days(tab, 1)
    await tab.goto('/stability/neap/look')
    await expect(asks(tab)).toHaveText('What does it smell of?')
  }
  const dot =
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=='
  await page
    .getByTestId('look-photo')
    .setInputFiles({ name: 'jar.png', mimeType: 'image/png', buffer: Buffer.from(dot, 'base64') })
  await expect(page.getByText(/Photo added/)).toBeVisible()
  await page.getByRole('button', { name: 'As on the first day' }).click()
  await stored(page)
  await expect(asks(other)).toHaveText('What is its pH?')
  await other.locator('#look-value').fill('5.41')
  await other.getByRole('button', { name: 'Enter', exact: true }).click()
  await stored(other)
  await expect(asks(page)).toHaveText('The pack: leaks, a stuck pump, stains?')
  await page.getByRole('button', { name: 'Sound' }).click()
  await stored(page)
  for (const tab of [page, other]) {
    await tab.goto('/stability/neap')
    await tab.getByText('All answers (3)').click()
    await expect(tab.getByRole('listitem').filter({ hasText: '5.41' })).toBeVisible()
    await expect(tab.getByAltText('Photo of this observation')).toBeVisible()
  }
})

test('the calendar file is read back by another program, and again under the same ids', async ({ page }) => {
  await days(page, 0)
  await takeIn(page, batch('neap', 'NT-0320'))
  await plan(page, 'neap')
  await page.goto('/stability')
  const file = async () => {
    const download = page.waitForEvent('download')
    await page.getByRole('button', { name: 'Calendar file' }).click()
    const text = readFileSync(await (await download).path(), 'utf8')
    return new ICAL.Component(ICAL.parse(text) as never)
      .getAllSubcomponents('vevent')
      .map((e) => new ICAL.Event(e))
  }
  const [once, again] = [await file(), await file()]
  expect(once.length).toBeGreaterThan(10)
  expect(again.map((e) => e.uid)).toEqual(once.map((e) => e.uid))
  expect(once[0]!.startDate.toString()).toBe('2026-03-21')
  expect(once[0]!.summary).toContain('Neap toner, NT-0320')
})

test('a colour is measured in a photograph, beside its card', async ({ page }) => {
  await days(page, 0)
  await takeIn(page, batch('neap', 'NT-0320'))
  await page.goto('/stability/neap?plan=1')
  const dialog = page.getByRole('dialog', { name: 'Schedule observations' })
  await dialog.getByRole('button', { name: 'Start observations' }).click()
  await stored(page)
  const picture = (card: string, product: string) =>
    page.evaluate(
      ([card, product]) => {
        const canvas = document.createElement('canvas')
        canvas.width = 400
        canvas.height = 200
        const c = canvas.getContext('2d')!
        c.fillStyle = card!
        c.fillRect(0, 0, 200, 200)
        c.fillStyle = product!
        c.fillRect(200, 0, 200, 200)
        return canvas.toDataURL('image/png').split(',')[1]!
      },
      [card, product] as const,
    )
  const measure = async (day: number, card: string, product: string) => {
    await days(page, day)
    const data = await picture(card, product)
    await page.goto('/stability/neap/look?property=colour')
    await page.getByRole('button', { name: 'Measure in a photo' }).click()
    await page
      .getByTestId('colour-photo')
      .setInputFiles({ name: 'jar.png', mimeType: 'image/png', buffer: Buffer.from(data, 'base64') })
    const box = (await page.locator('canvas').boundingBox())!
    await page.locator('canvas').click({ position: { x: box.width / 4, y: box.height / 2 } })
    await expect(page.getByText('Now the product.')).toBeVisible()
    await page.locator('canvas').click({ position: { x: (3 * box.width) / 4, y: box.height / 2 } })
  }
  await measure(1, 'rgb(121, 119, 116)', 'rgb(228, 219, 200)')
  await expect(page.getByText('First photo. Later ones are compared with it.')).toBeVisible()
  await page.getByRole('button', { name: 'Enter', exact: true }).click()
  await stored(page)
  await measure(28, 'rgb(200, 160, 90)', 'rgb(221, 209, 183)')
  await expect(page.getByText(/The light differs too much/)).toBeVisible()
  await measure(28, 'rgb(124, 121, 118)', 'rgb(221, 209, 183)')
  await expect(page.getByText(/ΔE00 4\.\d from the first photo, yellower/)).toBeVisible()
  await page.getByRole('button', { name: 'Enter', exact: true }).click()
  await stored(page)
  await page.goto('/stability/neap')
  await expect(page.getByText(/Colour change ΔE00 4\.\d, clearly visible/).first()).toBeVisible()
})

test('a lot that is off is followed to the batch that holds it', async ({ page }) => {
  await days(page, 0)
  await openHome(page)
  const backup = {
    format: 'omblet-backup',
    formatVersion: 1,
    savedAt: FILLED.toISOString(),
    formulas: [],
    lots: [{ id: 'lot-a', material: 'glycerin', leftGrams: 100, batch: 'G-17' }],
    batches: [batch('neap', 'NT-0320', 'lot-a')],
  }
  await upload(page, 'backup.json', JSON.stringify(backup))
  await expect(page.getByText(/^Restored/).first()).toBeVisible()
  await page.goto('/ingredients/glycerin')
  await page.getByRole('link', { name: 'Lot trace' }).click()
  await expect(page.getByRole('row', { name: /NT-0320/ })).toContainText('Neap toner')
  await page.getByLabel('Reason for rejecting this lot').fill('smells of fish')
  await page.getByRole('button', { name: 'Reject lot' }).click()
  await expect(page.getByRole('row', { name: /NT-0320/ })).toContainText('withdraw it')
  await page.goto('/stability/neap')
  await expect(page.getByRole('alert').filter({ hasText: 'Contains a rejected lot' })).toContainText(
    'smells of fish',
  )
})

test('the example batches come with their weeks, and a patch test is written down', async ({ page }) => {
  await page.goto('/stability')
  await page.getByRole('button', { name: 'Load three example batches' }).click()
  await page
    .getByRole('link', { name: /Spindrift hand lotion/ })
    .first()
    .click()
  await expect(page.getByText('Observe again.', { exact: true })).toBeVisible()
  await expect(page.getByText(/Layers after cycle 3/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Start patch test' }).click()
  await page.getByLabel('Person (initials only)').fill('IM')
  await expect(page.getByRole('button', { name: 'Applied' })).toBeDisabled()
  await page.getByRole('checkbox').check()
  await page.getByRole('button', { name: 'Applied' }).click()
  await page.getByRole('button', { name: 'Record', exact: true }).click()
  await page.getByRole('combobox', { name: 'Reaction' }).click()
  await page.getByRole('option', { name: /clear redness/ }).click()
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByText(/^Stop, wash it off/)).toBeVisible()
})
