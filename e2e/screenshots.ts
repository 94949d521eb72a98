// Takes the pictures in docs/screenshots from the demo data. Run after a build: npm run screenshots.
import { spawn } from 'node:child_process'
import { chromium, type Page } from '@playwright/test'
import { LAUNCH } from './playwright.config'

const PORT = 4398
const root = new URL('..', import.meta.url).pathname
const server = spawn(`${root}/node_modules/.bin/tsx`, [`${root}/packages/server/src/main.ts`], {
  cwd: root,
  env: { ...process.env, PORT: String(PORT) },
  stdio: ['ignore', 'pipe', 'inherit'],
})
await new Promise((resolve) => server.stdout.once('data', resolve))
const browser = await chromium.launch(LAUNCH)

const open = async (size: { width: number; height: number }, dark = false) => {
  const context = await browser.newContext({
    baseURL: `http://localhost:${PORT}`,
    serviceWorkers: 'block',
    viewport: size,
    colorScheme: dark ? 'dark' : 'light',
  })
  const page = await context.newPage()
  await page.goto('/')
  await page.locator('article.formula').first().waitFor()
  return page
}
const shot = async (page: Page, name: string) => {
  await page.waitForFunction(() => document.getAnimations().every((a) => a.playState !== 'running'))
  await page.evaluate(() => document.fonts.ready)
  await page.screenshot({ path: `${root}/docs/screenshots/${name}.png` })
}
const formula = async (page: Page, name: string) => {
  await page.goto('/formulas')
  await page.getByRole('link', { name }).click()
  await page.locator('section.phase').first().waitFor()
}

const begin = async (page: Page) => {
  await formula(page, 'Harbour Fog face cream')
  await page.getByRole('link', { name: 'Make', exact: true }).click()
  await page.getByLabel('Made by').fill('Ina')
  await page.getByRole('button', { name: 'Start batch' }).click()
  await done(page)
}
const done = async (page: Page) => {
  const title = page.locator('article h2')
  const before = await title.innerText()
  await page.getByRole('button', { name: 'Done' }).click()
  await page.waitForFunction((was) => document.querySelector('article h2')?.textContent !== was, before)
}
const type = async (page: Page, label: string, value: string) => {
  const field = page.getByLabel(label, { exact: true })
  await field.fill(value)
  await field.press('Enter')
  await page.waitForFunction(
    (id) =>
      document.getElementById(id!) === null ||
      (document.getElementById(id!) as HTMLInputElement).value === '',
    await field.getAttribute('id').catch(() => 'gone'),
  )
}
/** Weighs each line of the step to its target. */
const weigh = async (page: Page) => {
  const rows = await page.locator('.weigh tbody tr').count()
  for (let i = 0; i < rows; i++) {
    const target = (await page.getByTestId('target').innerText()).replace(/[^\d.]/g, '')
    await type(page, 'What the scale shows', target)
  }
  await page.getByText('All weighed').waitFor()
}
/** Goes through the steps to the one of that title, weighing what each asks for. */
const goTo = async (page: Page, title: RegExp) => {
  while (!title.test(await page.locator('article h2').innerText())) {
    if ((await page.locator('.weigh tbody tr').count()) > 0) await weigh(page)
    await done(page)
  }
}
/** From the first weighing to three temperatures of the cooling. */
const cool = async (page: Page) => {
  await goTo(page, /Cool below/)
  await page.clock.install()
  await type(page, 'The thermometer shows', '68')
  await page.clock.fastForward(8 * 60_000)
  await type(page, 'The thermometer shows', '59')
  await page.clock.fastForward(7 * 60_000)
  await type(page, 'The thermometer shows', '52.5')
  await page.clock.runFor(1500)
  await page.locator('.apexcharts-svg').first().waitFor()
}
/** From the cooling to the record. */
const finish = async (page: Page) => {
  await page.clock.fastForward(20 * 60_000)
  await type(page, 'The thermometer shows', '39.5')
  await goTo(page, /Make up/)
  await page.getByLabel('Tare weight').fill('88.2')
  await type(page, 'The batch with its beaker', '325')
  await type(page, 'Water added back', '5')
  await done(page)
  await type(page, 'pH', '6.4')
  await page.getByLabel('or drops').fill('4')
  await page.getByRole('button', { name: /^Record 0\.\d/ }).click()
  await page.clock.fastForward(120_000)
  await type(page, 'pH', '5.8')
  for (let i = 0; i < 4; i++) await done(page)
  await page.getByRole('button', { name: 'Done' }).click()
  await page.getByLabel('Total filled').fill('241')
  await page.getByRole('button', { name: 'Finish batch' }).click()
  await page.getByText('Actual weights').waitFor()
}

const wide = { width: 1280, height: 800 }
try {
  const page = await open(wide)
  await shot(page, 'formulas')
  await formula(page, 'Harbour Fog face cream')
  await shot(page, 'sheet')
  await formula(page, 'Night Watch acid serum')
  await page.getByRole('link', { name: 'pH', exact: true }).click()
  for (const [ph, grams] of [
    ['2.71', '1.5'],
    ['2.95', '2'],
    ['3.22', null],
  ] as const) {
    await page.getByLabel('Measure the pH').fill(ph)
    await page.getByRole('button', { name: 'Record' }).click()
    if (!grams) continue
    await page.getByLabel('Add', { exact: true }).fill(grams)
    await page.getByRole('button', { name: 'Added', exact: true }).click()
  }
  await page.locator('.apexcharts-svg').first().waitFor()
  await shot(page, 'ph')
  await formula(page, 'Harbour Fog face cream')
  await page.getByRole('link', { name: 'Emulsion', exact: true }).click()
  await page.getByRole('button', { name: /^Polyglyceryl methylglucose/ }).click()
  await shot(page, 'emulsion')
  await formula(page, 'Winter Pier hand butter')
  await page.getByRole('link', { name: 'Rebalance', exact: true }).click()
  await page.getByLabel('Oil phase, percent').fill('38')
  await page.getByRole('row', { name: /^Oil phase .* 38\.00 %/ }).waitFor()
  await shot(page, 'balance')
  await formula(page, 'Harbour Fog face cream')
  await page.getByRole('link', { name: 'Method', exact: true }).click()
  await page.getByRole('textbox', { name: 'Start at' }).fill('18:30')
  await page.getByRole('heading', { name: 'Options' }).scrollIntoViewIfNeeded()
  await shot(page, 'method')
  await formula(page, 'Harbour Fog face cream')
  await page.getByRole('link', { name: 'Cost', exact: true }).click()
  await page.getByRole('button', { name: 'Load example stock' }).click()
  await page.getByText('Amber jar, 60 mL').waitFor()
  await page.mouse.move(640, 5)
  await shot(page, 'cost')
  await page.getByRole('link', { name: 'Label', exact: true }).click()
  await page.getByRole('heading', { name: 'Draft from the formula' }).waitFor()
  await shot(page, 'label')
  await page.goto('/ingredients')
  await page.locator('a.row').first().waitFor()
  await shot(page, 'shelf')
  await begin(page)
  await page.getByRole('button', { name: /^instruments/ }).click()
  await page.getByRole('button', { name: 'Set up simulated instruments' }).click()
  await page.getByRole('button', { name: 'Remove' }).waitFor()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Put beaker A on the scale' }).click()
  await page.getByRole('button', { name: 'Tare', exact: true }).click()
  await page.locator('.untared').waitFor({ state: 'detached' })
  await page.getByLabel('or grams').fill('111.3')
  await page.getByRole('button', { name: 'Pour', exact: true }).click()
  await page.getByText('28.2', { exact: false }).first().waitFor()
  await page.getByText('settled').waitFor()
  await shot(page, 'bench')
  const phone = await open({ width: 390, height: 844 })
  await begin(phone)
  await cool(phone)
  await shot(phone, 'bench-phone')
  await finish(phone)
  await phone.setViewportSize(wide)
  await shot(phone, 'record')
  const keeping = await open(wide)
  await keeping.goto('/stability')
  await keeping.getByRole('button', { name: 'Load three example batches' }).click()
  await keeping
    .getByRole('link', { name: /Slack Water/ })
    .first()
    .click()
  await keeping.locator('.apexcharts-svg').first().waitFor()
  await shot(keeping, 'keeping')
  await keeping.setViewportSize({ width: 390, height: 844 })
  await keeping.goto('/stability/look')
  await keeping.locator('#ask-title').waitFor()
  await shot(keeping, 'look')
  const trials = await open(wide)
  await trials.goto('/trials')
  await trials.getByRole('button', { name: 'Load two example trials' }).click()
  await trials.getByRole('link', { name: /Which wax/ }).click()
  await trials.getByRole('heading', { name: 'Decide' }).waitFor()
  await trials.mouse.move(640, 5)
  await shot(trials, 'trial')
  await trials.getByRole('link', { name: /^Version 2 of/ }).click()
  await trials.getByRole('heading', { name: /^Version 2/ }).waitFor()
  await shot(trials, 'versions')
  await trials.goto('/trials/new')
  await trials.getByRole('combobox', { name: 'Formula' }).click()
  await trials.getByRole('option', { name: 'Gull Wing body lotion' }).click()
  const waxes = trials.locator('.options li').filter({ hasNotText: 'current' }).getByRole('checkbox')
  for (const n of [1, 3, 4]) await waxes.nth(n).check()
  await trials.getByRole('textbox', { name: /Assessors/ }).fill('Ina, Bo, Una')
  await trials.mouse.wheel(0, -5000)
  await shot(trials, 'trial-set-up')
  await trials.setViewportSize({ width: 390, height: 844 })
  await trials.goto('/trials/demo-trial-glycol/judge')
  await trials.getByRole('button', { name: /^Ole/ }).click()
  await trials.getByRole('button', { name: 'Applied' }).click()
  await trials.getByRole('heading', { name: 'Firmness' }).waitFor()
  await shot(trials, 'judging')
  const evening = await open(wide, true)
  await formula(evening, 'Winter Pier hand butter')
  await shot(evening, 'sheet-evening')
} finally {
  await browser.close()
  server.kill()
}
