// What Omblet costs with a life's work in it: 2,000 formulas, 2,000 batches, 5,000 materials of one's own.
import { mkdtempSync, readFileSync, readdirSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { quantile, say } from './told.mjs'

const root = new URL('../..', import.meta.url).pathname
const COUNT = { formulas: 2000, batches: 2000, materials: 5000 }

/** The backup of such a life, made of the demo's formulas. */
function lifetime() {
  const demo = readdirSync(`${root}/demo`).map((f) => JSON.parse(readFileSync(`${root}/demo/${f}`, 'utf8')))
  const at = (i) => new Date(Date.UTC(2020, 0, 1) + i * 36e5 * 20).toISOString()
  const formula = (i) => ({ ...demo[i % demo.length], name: `${demo[i % demo.length].name} ${i}` })
  const info = (i) => ({ id: `b${i}`, code: `B-${i}`, name: formula(i).name, formulaId: `f${i}`, who: 'Ina' })
  const events = (i) => [
    { n: 0, at: at(i), step: null, type: 'start', formula: formula(i), version: null },
    ...Array.from({ length: 12 }, (_, n) => ({
      n: n + 1,
      at: at(i),
      step: null,
      type: 'weigh',
      line: n % 3,
      grams: 1 + n,
    })),
    { n: 13, at: at(i), step: null, type: 'finish', outcome: 'kept', filledGrams: 90 },
  ]
  return {
    format: 'omblet-backup',
    formatVersion: 1,
    savedAt: at(COUNT.formulas),
    formulas: Array.from({ length: COUNT.formulas }, (_, i) => ({
      id: `f${i}`,
      createdAt: at(i),
      updatedAt: at(i),
      formula: formula(i),
      versions: [],
    })),
    materials: Array.from({ length: COUNT.materials }, (_, i) => ({
      id: `own-${i}`,
      name: `Harbour herb ${i}`,
      inci: [`Marina Herba ${i} Extract`],
      functions: ['skin conditioning'],
      kind: 'extract',
      solubility: ['water'],
      phase: 'water',
      charge: 'none',
      origin: 'plant',
      source: 'entered by the maker',
      confidence: 'medium',
      own: true,
    })),
    lots: [],
    changes: [],
    batches: Array.from({ length: COUNT.batches }, (_, i) => ({
      format: 'omblet-batch',
      formatVersion: 1,
      batch: info(i),
      events: events(i),
      photos: [],
    })),
  }
}

/** Longest that the page stood still while something was done, in milliseconds. */
async function stillest(page, work) {
  await page.evaluate(() => {
    const state = Object.assign(window, { longest: 0, watching: true })
    let last = performance.now()
    const look = () => {
      const now = performance.now()
      state.longest = Math.max(state.longest, now - last)
      last = now
      if (state.watching) setTimeout(look)
    }
    look()
  })
  await work()
  return page.evaluate(() => {
    window.watching = false
    return Math.round(window.longest)
  })
}

/** The work that a key makes: until its result stands in the laid out page. */
async function keys(page, field, word) {
  const times = []
  for (const letter of word) {
    await field.focus()
    times.push(
      await page.evaluate(async (key) => {
        const input = document.activeElement
        const began = performance.now()
        input.value += key
        input.dispatchEvent(new Event('input', { bubbles: true }))
        for (let i = 0; i < 8; i++) await Promise.resolve()
        void document.body.offsetHeight
        return performance.now() - began
      }, letter),
    )
    await page.waitForTimeout(250)
  }
  return times
}

async function takenIn(page) {
  await page.goto('/')
  await page.locator('article.formula').first().waitFor()
  const text = JSON.stringify(lifetime())
  const file = join(mkdtempSync(join(tmpdir(), 'omblet-')), 'life.json')
  writeFileSync(file, text)
  say('backup of it', `${(text.length / 1e6).toFixed(1)} MB`)
  let took = 0
  const still = await stillest(page, async () => {
    const began = Date.now()
    await page.getByTestId('file-picker').setInputFiles(file)
    await page.locator('.p-toast').getByText('Restored', { exact: false }).waitFor({ timeout: 300_000 })
    took = Date.now() - began
  })
  say('restored in', `${took} ms`)
  say('longest that the page stood still meanwhile', `${still} ms`)
}

async function opened(page) {
  const starts = []
  for (let i = 0; i < 5; i++) {
    await page.goto('about:blank')
    await page.goto('/formulas')
    await page.locator('article.formula').first().waitFor()
    starts.push(await page.evaluate(() => performance.now()))
  }
  say('from the address to the first cards, median of 5', `${Math.round(quantile(starts, 0.5))} ms`)
  say('cards drawn of 2,008', await page.locator('article.formula').count())
  const session = await page.context().newCDPSession(page)
  await session.send('HeapProfiler.collectGarbage')
  const { usedSize } = await session.send('Runtime.getHeapUsage')
  say('heap then', `${(usedSize / 1e6).toFixed(0)} MB`)
}

async function searched(page) {
  const found = await keys(page, page.getByLabel('Search formulas'), 'salicylic')
  say('search among formulas, first key', `${Math.round(found[0])} ms`)
  say('search among formulas, worst of the further keys', `${Math.round(Math.max(...found.slice(1)))} ms`)
  await page.goto('/ingredients')
  await page
    .getByLabel(/Search/)
    .first()
    .waitFor()
  const shelf = await keys(page, page.getByLabel(/Search/).first(), 'harbour herb 49')
  say('search among 5,517 materials, first key', `${Math.round(shelf[0])} ms`)
  say(
    'search among 5,517 materials, worst of the further keys',
    `${Math.round(Math.max(...shelf.slice(1)))} ms`,
  )
  await page.goto('/bench')
  const began = Date.now()
  await page.getByText('2000 batches').waitFor()
  say('the list of 2,000 batches', `${Date.now() - began} ms`)
}

/** A sheet of 300 lines. */
async function longSheet(page) {
  const many = {
    format: 'omblet-formula',
    formatVersion: 1,
    name: 'Three Hundred',
    batchGrams: 1000,
    phases: [0, 1, 2].map((p) => ({
      name: `P${p}`,
      role: ['water', 'oil', 'cool-down'][p],
      lines: Array.from({ length: 100 }, (_, i) =>
        p + i === 0
          ? { material: 'aqua', fill: true }
          : {
              material: ['glycerin', 'squalane', 'panthenol', 'niacinamide', 'jojoba oil'][i % 5],
              percent: 0.1,
            },
      ),
    })),
  }
  await page.goto('/formulas')
  await page.locator('article.formula').first().waitFor()
  await page.getByTestId('file-picker').setInputFiles({
    name: 'many.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(many)),
  })
  await page.locator('.p-toast').getByRole('button', { name: 'Open' }).click()
  const cell = page.getByRole('textbox', { name: 'Squalane, percent' }).first()
  await cell.waitFor()
  await page.waitForTimeout(1500)
  const lines = await keys(page, cell, '123456789')
  say('a key on a sheet of 300 lines, median', `${Math.round(quantile(lines, 0.5))} ms`)
  say('a key on a sheet of 300 lines, worst', `${Math.round(Math.max(...lines))} ms`)
}

export async function life(page) {
  await takenIn(page)
  await opened(page)
  await searched(page)
  await longSheet(page)
}
