import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { Page } from '@playwright/test'
import { expect, openFormula, openHome, test } from './helpers'

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

interface Violation {
  id: string
  impact: string | null
  nodes: { target: string[]; failureSummary?: string }[]
}

/** Serious and critical violations of WCAG 2.2 A and AA on the page as it stands. */
async function violations(page: Page) {
  // nothing moves, and no message is on its way in or out, for it is pale until then
  await page.waitForFunction(
    () =>
      document.getAnimations().every((a) => a.playState !== 'running') &&
      [...document.querySelectorAll('.p-toast-message')].every((m) => getComputedStyle(m).opacity === '1'),
  )
  // what lies under the head of a page that is scrolled is not too small
  await page.evaluate(() => scrollTo(0, 0))
  await page.evaluate(axe)
  const found = await page.evaluate(() =>
    (window as unknown as { axe: { run: (options: object) => Promise<{ violations: Violation[] }> } }).axe
      .run({ runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] })
      .then((r) => r.violations),
  )
  return found
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map(
      (v) =>
        `${v.id}: ${v.nodes
          .slice(0, 3)
          .map((n) => `${n.target.join(' ')} ${n.failureSummary ?? ''}`)
          .join(' | ')}`,
    )
}

for (const theme of ['light', 'dark'] as const) {
  test.describe(`${theme} colours`, () => {
    test.use({ colorScheme: theme })

    test('formulas, the brief and the empty shelf', async ({ page }) => {
      await openHome(page)
      expect(await violations(page)).toEqual([])
      await page.getByRole('button', { name: 'New formula' }).first().click()
      await expect(page.getByRole('dialog')).toBeVisible()
      expect(await violations(page)).toEqual([])
      await page.keyboard.press('Escape')
      await page.getByRole('button', { name: 'Remove examples' }).click()
      await expect(page.getByText('No formulas yet.')).toBeVisible()
      // the message about it comes a moment later, and is pale until it stands
      await expect(page.locator('.p-toast-message').getByRole('button', { name: 'Undo' })).toBeVisible()
      expect(await violations(page)).toEqual([])
    })

    test('what is kept, its life, the plan and a look', async ({ page }) => {
      await page.goto('/stability')
      await page.getByRole('button', { name: 'Load three example batches' }).click()
      await page
        .getByRole('link', { name: /Spindrift hand lotion/ })
        .first()
        .click()
      await expect(page.getByText('Observe again.', { exact: true })).toBeVisible()
      await page.getByRole('button', { name: 'All storage conditions' }).click()
      await expect(page.locator('.apexcharts-svg').first()).toBeVisible()
      expect(await violations(page)).toEqual([])
      await page.goto('/stability/demo-SH-D3?plan=1')
      await expect(page.getByRole('dialog')).toBeVisible()
      expect(await violations(page)).toEqual([])
      await page.goto('/stability/look')
      await expect(page.locator('#ask-title')).toBeVisible()
      expect(await violations(page)).toEqual([])
    })

    test('trials: set up, judged, read and decided', async ({ page }) => {
      await openHome(page)
      await page.goto('/trials')
      await page.getByRole('button', { name: 'Load two example trials' }).click()
      await page.getByRole('link', { name: /Which wax/ }).click()
      await expect(page.getByRole('heading', { name: 'Decide' })).toBeVisible()
      await page.getByText('Record measurements').first().click()
      await page.getByText('As a table').click()
      expect(await violations(page)).toEqual([])
      await page.goto('/trials/demo-trial-glycol')
      await expect(page.getByRole('heading', { name: 'Assessments' })).toBeVisible()
      expect(await violations(page)).toEqual([])
      await page.goto('/trials/new')
      await page.getByRole('combobox', { name: 'Formula' }).click()
      await page.getByRole('option', { name: 'Gull Wing body lotion' }).click()
      await expect(page.locator('.options li').first()).toBeVisible()
      await page.getByRole('button', { name: 'Show more' }).click()
      expect(await violations(page)).toEqual([])
      await page.goto('/trials/demo-trial-glycol/judge')
      await page.getByRole('button', { name: /^Ole/ }).click()
      await page.getByRole('button', { name: 'Applied' }).click()
      await expect(page.getByRole('button', { name: '7', exact: true })).toBeVisible()
      expect(await violations(page)).toEqual([])
    })

    test('a formula in trouble, the finder, the keys and a line', async ({ page }) => {
      await openFormula(page, 'Storm Warning serum')
      await page.getByRole('button', { name: /caution/ }).click()
      expect(await violations(page)).toEqual([])
      await page.keyboard.press('/')
      await page.getByRole('combobox', { name: /^Ingredient/ }).fill('oil')
      await expect(
        page.getByRole('listbox', { name: 'Ingredients found' }).getByRole('option').first(),
      ).toBeVisible()
      expect(await violations(page)).toEqual([])
      await page.keyboard.press('Escape')
      await expect(page.getByRole('dialog')).toHaveCount(0)
      await page.keyboard.press('?')
      await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible()
      expect(await violations(page)).toEqual([])
      await page.keyboard.press('Escape')
      await expect(page.getByRole('dialog')).toHaveCount(0)
      await page.getByRole('button', { name: /^Niacinamide/ }).click()
      await expect(page.getByRole('dialog', { name: 'Niacinamide' })).toBeVisible()
      expect(await violations(page)).toEqual([])
    })

    test('the Bench: start, weighing, an over-pour, what looks wrong, and the record', async ({ page }) => {
      await openFormula(page, 'Harbour Fog face cream')
      await page.getByRole('link', { name: 'Make', exact: true }).click()
      await expect(page.getByText('Nothing to prepare.')).toBeVisible()
      expect(await violations(page)).toEqual([])
      await page.getByRole('button', { name: 'Start batch' }).click()
      await page.getByRole('button', { name: 'Done' }).click()
      await expect(page.getByLabel('What the scale shows')).toBeFocused()
      expect(await violations(page)).toEqual([])
      await page.keyboard.type('190')
      await page.keyboard.press('Enter')
      await expect(page.getByRole('heading', { name: /too much/ })).toBeVisible()
      expect(await violations(page)).toEqual([])
      await page.getByRole('button', { name: 'Something looks wrong' }).click()
      await page.getByText('Shows only later').click()
      expect(await violations(page)).toEqual([])
      await page.getByRole('button', { name: 'Lumps', exact: true }).click()
      await expect(page.getByText('When to discard:')).toBeVisible()
      expect(await violations(page)).toEqual([])
      await page.keyboard.press('Escape')
      await page.goto(`${page.url()}/record`)
      await expect(page.getByRole('heading', { name: 'Actual weights' })).toBeVisible()
      expect(await violations(page)).toEqual([])
    })

    test('the shelf and a material', async ({ page }) => {
      await openHome(page)
      await page.getByRole('link', { name: 'Ingredients' }).click()
      await expect(page.getByRole('link', { name: /^Distilled water/ })).toBeVisible()
      expect(await violations(page)).toEqual([])
      await page.goto('/ingredients/salicylic-acid')
      await expect(page.locator('.apexcharts-svg').first()).toBeVisible()
      expect(await violations(page)).toEqual([])
    })

    test('the emulsion of a formula', async ({ page }) => {
      await openFormula(page, 'Winter Pier hand butter')
      await page.getByRole('link', { name: 'Emulsion', exact: true }).click()
      await page.getByRole('button', { name: /in use/ }).click()
      expect(await violations(page)).toEqual([])
    })

    test('the pH of a formula and of its tools', async ({ page }) => {
      await openFormula(page, 'Storm Warning serum')
      await page.getByRole('link', { name: 'pH', exact: true }).click()
      await expect(page.locator('.apexcharts-svg').first()).toBeVisible()
      await page.getByRole('button', { name: 'Test on a small portion' }).click()
      await page.getByRole('button', { name: 'Weigh 20 drops' }).click()
      expect(await violations(page)).toEqual([])
      await page.getByRole('button', { name: 'Prepare the solution' }).click()
      await expect(page.getByRole('dialog')).toBeVisible()
      expect(await violations(page)).toEqual([])
      await page.keyboard.press('Escape')
      await expect(page.getByRole('dialog')).toHaveCount(0)
      await page.getByRole('button', { name: 'Calibrate' }).click()
      await expect(page.getByRole('dialog')).toBeVisible()
      expect(await violations(page)).toEqual([])
    })

    test('the ways to start, and a balance', async ({ page }) => {
      await page.goto('/start/brief')
      await expect(page.locator('article.proposal').first()).toBeVisible()
      expect(await violations(page)).toEqual([])
      await page.goto('/start/recipe')
      await page.getByLabel('Paste the recipe: text or a table').fill('Water 90%\nMoonwort 5%\nPreservative')
      await expect(page.getByText('3 ingredients', { exact: false })).toBeVisible()
      expect(await violations(page)).toEqual([])
      await page.goto('/start/label')
      await page.getByRole('button', { name: 'Show an example' }).click()
      await expect(page.getByRole('button', { name: 'Create formula from draft' })).toBeVisible()
      expect(await violations(page)).toEqual([])
      await openFormula(page, 'Winter Pier hand butter')
      await page.getByRole('link', { name: 'Rebalance', exact: true }).click()
      await page.getByLabel('Oil phase, percent').fill('95')
      await expect(page.getByText('cannot be met together', { exact: false })).toBeVisible()
      expect(await violations(page)).toEqual([])
      await page.getByRole('link', { name: 'Method', exact: true }).click()
      await page.getByRole('button', { name: /^Change Heat A/ }).click()
      expect(await violations(page)).toEqual([])
    })

    test('label, cost and containers', async ({ page }) => {
      await openFormula(page, 'Harbour Fog face cream')
      await page.getByRole('link', { name: 'Cost', exact: true }).click()
      await page.getByRole('button', { name: 'Load example stock' }).click()
      await expect(page.locator('.apexcharts-svg').first()).toBeVisible()
      expect(await violations(page)).toEqual([])
      await page.getByRole('link', { name: 'Label', exact: true }).click()
      await page.getByRole('button', { name: 'Choose', exact: true }).click()
      await page.getByRole('button', { name: 'Set another period' }).click()
      expect(await violations(page)).toEqual([])
      await page.goto('/ingredients/containers')
      await expect(page.getByRole('row', { name: /Amber jar/ })).toBeVisible()
      expect(await violations(page)).toEqual([])
      await page.getByRole('button', { name: 'Add container' }).click()
      await expect(page.getByRole('dialog')).toBeVisible()
      expect(await violations(page)).toEqual([])
    })

    test('versions and print', async ({ page }) => {
      await openFormula(page, 'Low Tide toner')
      await page.getByRole('link', { name: 'Versions' }).click()
      await page.getByRole('button', { name: 'Save version' }).click()
      await page.getByRole('dialog').getByRole('button', { name: 'Save version' }).click()
      await expect(page.getByRole('heading', { name: 'Version 1' })).toBeVisible()
      expect(await violations(page)).toEqual([])
      await page.getByRole('link', { name: 'Print' }).click()
      await expect(page.locator('.paper')).toBeVisible()
      expect(await violations(page)).toEqual([])
    })
  })
}
