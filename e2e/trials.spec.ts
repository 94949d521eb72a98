import { sittingsOf, type PlannedTrial } from '@omblet/core'
import { button, place, simulate, step } from './bench-helpers'
import { expect, openHome, test, upload, type Page } from './helpers'

const LOTION = {
  format: 'omblet-formula',
  formatVersion: 1,
  name: 'Spindrift lotion',
  product: { kind: 'lotion', site: 'body', rinse: 'leave-on', region: 'EU' },
  batchGrams: 100,
  scaleResolutionGrams: 0.01,
  method: { choices: { heating: 'melt', cooling: 'bath' } },
  phases: [
    {
      name: 'Water',
      role: 'water',
      heatToC: 72,
      lines: [
        { material: 'aqua', fill: true },
        { material: 'glycerin', percent: 4 },
      ],
    },
    {
      name: 'Oil',
      role: 'oil',
      heatToC: 72,
      lines: [
        { material: 'caprylic/capric triglyceride', percent: 10 },
        { material: 'cetyl alcohol', percent: 2 },
        { material: 'glyceryl stearate, PEG-100 stearate', percent: 3.5 },
      ],
    },
    {
      name: 'Cool-down',
      role: 'cool-down',
      belowC: 40,
      lines: [{ material: 'phenoxyethanol, ethylhexylglycerin', percent: 1 }],
    },
  ],
}

/** The trials as they stand in the browser's own store. */
const storedTrials = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<unknown[]>((resolve, reject) => {
        const request = indexedDB.open('omblet')
        request.onerror = () => reject(request.error)
        request.onsuccess = () => {
          const all = request.result.transaction('trials').objectStore('trials').getAll()
          all.onsuccess = () => {
            request.result.close()
            resolve(all.result)
          }
        }
      }),
  ) as Promise<PlannedTrial[]>

/** Weighs what each step still asks for on the simulated scale, and goes through the others; gives back what was poured. */
async function makeIt(page: Page): Promise<string[]> {
  const poured: string[] = []
  const over = page.getByRole('heading', { name: 'All steps done' })
  const pour = page.getByRole('button', { name: /^Pour .* to the target$/ })
  const put = page.getByRole('button', { name: /^Put beaker .* on the scale$/ })
  const title = step(page).getByRole('heading', { level: 2 })
  while (!(await over.isVisible())) {
    const now = await title.innerText()
    if (/^(Weigh|Add|Stir|Pour|Dissolve)/.test(now)) {
      if (await put.first().isVisible())
        await place(page, (await put.first().innerText()).replace(/.*beaker (\S+) .*/s, '$1'))
      if (await pour.first().isVisible()) {
        await button(page, 'Tare').click()
        await expect(button(page, 'Settling…')).toHaveCount(0)
        await expect(page.locator('.untared')).toHaveCount(0)
      }
      while (await pour.first().isVisible()) {
        const name = (await pour.first().getAttribute('aria-label'))!
        await pour.first().click()
        await expect(page.locator('.live .words')).toHaveText('right')
        await button(page, /^Record/).click()
        await expect(page.getByRole('button', { name, exact: true })).toHaveCount(0)
        poured.push(name.replace(/^Pour (.*) to the target$/, '$1'))
      }
      if (await button(page, 'Pour together').isVisible()) await button(page, 'Pour together').click()
    }
    await button(page, 'Done').click()
    await expect(over.or(title.filter({ hasNotText: now })).first()).toBeVisible()
  }
  return poured
}

test('five emulsifiers are set up, made from one base, judged blind by three on a phone, read and decided', async ({
  page,
}) => {
  await openHome(page)
  await upload(page, 'lotion.json', JSON.stringify(LOTION))
  await expect(page.getByRole('link', { name: LOTION.name })).toBeVisible()
  await page.getByRole('link', { name: 'Trials' }).click()
  await button(page, 'Create trial').first().click()

  // four others beside the one in use; nothing but the emulsifier differs
  await page.getByRole('combobox', { name: 'Formula' }).click()
  await page.getByRole('option', { name: LOTION.name }).click()
  const options = page.locator('.options li')
  await expect(options.first()).toBeVisible()
  const others = options.filter({ hasNotText: 'current' })
  for (let i = 0; i < 4; i++) await others.nth(i).getByRole('checkbox').check()
  await expect(
    page.getByText(/^Only the emulsifier differs.*distilled water makes up to 100 %/),
  ).toBeVisible()
  await page.getByRole('textbox', { name: /Assessors/ }).fill('Ina, Bo, Una')
  for (const name of ['Rate of absorption', 'Tack', 'Greasiness', 'Softness'])
    await page.getByLabel(name).uncheck()
  await button(page, 'Show more').click()
  await page.getByLabel('Order of liking').check()
  await page.getByRole('combobox', { name: 'Deciding attribute' }).click()
  await page.getByRole('option', { name: 'Spread' }).click()
  await page.getByLabel('Name of the trial').fill('Which wax')
  await button(page, 'Create trial').click()
  await expect(page.getByRole('heading', { name: 'Which wax' })).toBeVisible()
  const [trial] = await storedTrials(page)
  expect(trial!.samples).toHaveLength(5)
  expect(trial!.samples[0]!.reference).toBe(true)

  // the base once, then two jars of it
  const here = page.url()
  await button(page, 'Make base').click()
  await expect(button(page, 'Done')).toBeVisible()
  await simulate(page)
  const base = await makeIt(page)
  expect(base.sort()).toEqual([
    'Caprylic/capric triglyceride',
    'Cetyl alcohol',
    'Distilled water',
    'Glycerin',
  ])
  for (const sample of trial!.samples.slice(0, 2)) {
    await page.goto(here)
    await button(page, `Make from the base: ${sample.name}`).click()
    await expect(button(page, 'Done')).toBeVisible()
    await button(page, /^instruments/).click()
    await button(page, 'Reset').click()
    await page.keyboard.press('Escape')
    await expect(page.getByRole('dialog')).toHaveCount(0)
    const own = await makeIt(page)
    // what came with the base is not weighed again; the water that makes up the difference may be
    expect(own.filter((m) => base.includes(m) && m !== 'Distilled water')).toEqual([])
    expect(own).toContain('Phenoxyethanol with ethylhexylglycerin')
  }
  await page.goto(here)
  await expect(button(page, `Resume batch: ${trial!.samples[0]!.name}`)).toBeVisible()

  // three people, one phone: whatever is asked shows codes and nothing else
  await page.setViewportSize({ width: 390, height: 844 })
  const sittings = sittingsOf((await storedTrials(page))[0]!)
  const SPREAD = [1, 4, 5, 6, 9]
  /** A code as it stands by itself, not as a part of a weight or of a name such as PEG-100. */
  const standing = (code: string) => new RegExp(`(?<![\\w.,-])${code}(?![\\w.,-])`)
  const unseen = async (codes: readonly string[]) => {
    // names stand nowhere in the page, attributes and all
    const whole = await page.content()
    for (const s of trial!.samples) expect(whole).not.toContain(s.name)
    const text = await page.locator('body').innerText()
    for (const code of codes) expect(text).not.toMatch(standing(code))
  }
  await button(page, 'Assess on this device').click()
  for (const sitting of sittings) {
    const name = trial!.plan.people.find((p) => p.id === sitting.person)!.name
    const foreign = sittings.filter((s) => s !== sitting).flatMap((s) => s.served.map((x) => x.code))
    await button(page, new RegExp(`^${name}`)).click()
    const sampleOf = (code: string) =>
      trial!.samples.findIndex((s) => s.id === sitting.served.find((x) => x.code === code)!.sample)
    for (const { code } of sitting.served) {
      await expect(page.getByRole('heading', { name: code })).toBeVisible()
      await unseen(foreign)
      await button(page, 'Applied').click()
      await expect(page.getByRole('heading', { name: 'Spread' })).toBeVisible()
      await unseen(foreign)
      await button(page, String(SPREAD[sampleOf(code)]!)).click()
      await expect(page.getByRole('heading', { name: 'Whiteness' })).toBeVisible()
      await button(page, '5').click()
      await expect(page.getByRole('heading', { name: 'Whiteness' })).toHaveCount(0)
    }
    await expect(page.getByRole('heading', { name: 'Order of liking' })).toBeVisible()
    const liked = [...sitting.served].sort((x, y) => sampleOf(x.code) - sampleOf(y.code))
    for (const { code } of liked) await button(page, new RegExp(`^${code}`)).click()
    await button(page, 'Confirm ranking').click()
    await expect(page.getByRole('heading', { name: `Thank you, ${name}.` })).toBeVisible()
    await button(page, 'Next person').click()
  }
  await expect(page.getByText('All assessments done.')).toBeVisible()

  // before the end nothing is told on the trial's own page either
  await page.goto(here)
  await expect(page.getByText('done').first()).toBeVisible()
  const closed = await page.locator('body').innerText()
  for (const s of sittings) for (const x of s.served) expect(closed).not.toMatch(standing(x.code))
  expect(closed).not.toMatch(/spreads further|Friedman/)

  await button(page, 'Unblind and show result').click()
  await expect(
    page.getByText(/^E spreads further than the reference \(by 8\.0 out of 10, 3 of 3 assessors\)/).first(),
  ).toBeVisible()
  await expect(page.getByText('No difference detected.').first()).toBeVisible()
  await page.setViewportSize({ width: 1280, height: 800 })

  // the winner becomes a version with its reason; a loser's lesson stays with its material
  await page.getByRole('combobox', { name: 'Keep' }).click()
  await page.getByRole('option', { name: trial!.samples[4]!.name }).click()
  await page.getByLabel('Reason').fill('It glides furthest.')
  await page.getByLabel('Next question').fill('half the cetyl alcohol')
  const lesson = page.getByLabel(/Note on Glyceryl stearate with PEG-100 stearate/)
  await lesson.fill('sets too fast for me')
  await button(page, 'Adopt version').click()
  await page.getByRole('link', { name: `Version 1 of ${LOTION.name}` }).click()
  await expect(page.getByRole('heading', { name: /^Version 1: .*from a trial/ })).toBeVisible()
  await expect(page.getByLabel('Reason')).toHaveValue('It glides furthest.')
  await expect(page.getByLabel('Result')).toHaveValue(/E spreads further than the reference/)
  await expect(page.getByRole('row', { name: /glyceryl stearate.*PEG-100.*differs/i })).toBeVisible()
  await page.getByRole('link', { name: 'Source trial' }).click()
  await expect(page.getByText('It glides furthest.')).toBeVisible()
  await page.goto('/ingredients/glyceryl-stearate-peg-100-stearate')
  await expect(page.getByText('sets too fast for me')).toBeVisible()
})

test('a trial alone with triangles: seconds, going back, and what cannot be yet', async ({ page }) => {
  await openHome(page)
  await page.goto('/trials/new')
  await button(page, 'Create trial').click()
  await expect(page.getByRole('alert')).toHaveText(/Choose a formula/)
  await page.getByRole('combobox', { name: 'Formula' }).click()
  await page.getByRole('option', { name: 'Gull Wing body lotion' }).click()
  await page.getByRole('combobox', { name: 'Varied ingredient' }).click()
  await page.getByRole('option', { name: 'Amount of an ingredient' }).click()
  await page.getByRole('combobox', { name: 'Ingredient', exact: true }).click()
  await page.getByRole('option', { name: /glycerin/i }).click()
  await page.getByLabel(/^Levels/).fill('2; 6,5')
  await expect(page.locator('.options li')).toHaveCount(2)
  await page.getByRole('textbox', { name: /Assessors/ }).fill('Ina')
  for (const name of ['Spread', 'Whiteness', 'Tack', 'Greasiness', 'Softness'])
    await page.getByLabel(name).uncheck()
  await page.getByLabel(/Triangle test/).check()
  await expect(page.getByText(/With one assessor, plan at least 6 replicates/)).toBeVisible()
  await button(page, 'Create trial').click()
  await button(page, 'Assess on this device').click()
  await button(page, /^Ina/).click()
  const [trial] = await storedTrials(page)
  const [sitting] = sittingsOf(trial!)
  await button(page, 'Applied').click()
  await expect(page.getByRole('heading', { name: 'Rate of absorption' })).toBeVisible()
  await page.getByLabel('Seconds').fill('300')
  await expect(page.getByRole('alert')).toBeVisible()
  await page.getByLabel('Seconds').fill('42')
  await button(page, 'Next').click()
  await expect(page.getByRole('heading', { name: sitting!.served[1]!.code })).toBeVisible()
  await button(page, 'Back').click()
  await page.getByLabel('Seconds').fill('40')
  await button(page, 'Next').click()
  await button(page, 'Applied').click()
  await page.getByLabel('Seconds').fill('55')
  await page.getByLabel('Seconds').press('Enter')
  await expect(page.getByRole('heading', { name: /Which one is different/ })).toBeVisible()
  // a reload in the middle goes on where it was
  await page.reload()
  await button(page, /^Ina/).click()
  await expect(page.getByRole('heading', { name: /Which one is different/ })).toBeVisible()
  await button(page, sitting!.trios[0]!.codes[sitting!.trios[0]!.odd]!).click()
  await expect(page.getByRole('heading', { name: 'Thank you, Ina.' })).toBeVisible()
  const [after] = await storedTrials(page)
  expect(after!.scores.map((s) => s.value).sort()).toEqual([40, 55])
  expect(after!.triangles).toMatchObject([{ right: true }])
  await page.getByRole('link', { name: 'Back to the trial' }).click()
  await button(page, 'Unblind and show result').click()
  await expect(page.getByText(/1 of 1 identified the odd sample/)).toBeVisible()
  await expect(page.getByText(/no test possible/).first()).toBeVisible()
  // deleted and taken back from the toast
  await button(page, 'Delete trial').click()
  await expect(page.getByRole('heading', { name: 'No trials yet' })).toBeVisible()
  await expect(button(page, 'Undo')).toHaveCount(1)
  await button(page, 'Undo').click()
  await expect(
    page
      .getByRole('link', { name: /the amount|Amount/i })
      .or(page.locator('.row'))
      .first(),
  ).toBeVisible()
})
