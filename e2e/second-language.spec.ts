// In a made-up language, whose words stand in brackets and are a third longer, no view shows plain English or is cut.
import { execFileSync, spawn, type ChildProcess } from 'node:child_process'
import { once } from 'node:events'
import { existsSync, mkdirSync, readdirSync, readFileSync } from 'node:fs'
import { faults, LEAST } from './faults'
import { expect, test, type Page } from './helpers'

const root = new URL('../', import.meta.url)
const file = (path: string) => new URL(path, root)
const CACHE = 'node_modules/.cache/second-language'

/** Fields of data that hold names in small letters. */
const NAMES = new Set([
  'name',
  'inci',
  'functions',
  'also',
  'low',
  'high',
  'solution',
  'dispersion',
  'active',
])

/** Names and texts that are data or the maker’s own: they are in the language of their maker. */
function data(): string[] {
  const texts = new Set<string>()
  // a word in small letters is a code, but where it is a name
  const gather = (value: unknown, key = '', all = false): void => {
    if (typeof value === 'string') {
      if (all || /[A-Z ]/.test(value) || NAMES.has(key)) texts.add(value)
    } else if (Array.isArray(value)) value.forEach((v) => gather(v, key, all))
    else if (typeof value === 'object' && value !== null)
      Object.entries(value).forEach(([k, v]) => gather(v, k, all))
  }
  const folder = (path: string) =>
    readdirSync(file(path))
      .filter((name) => name.endsWith('.json'))
      .forEach((name) =>
        gather(JSON.parse(readFileSync(file(`${path}/${name}`), 'utf8')), '', name === 'written.json'),
      )
  folder('packages/core/data/materials')
  folder('packages/core/data')
  folder('demo')
  for (const own of ['demo-batches.ts', 'demo-trials.ts', 'demo-shelf.json'])
    for (const [, text] of readFileSync(file(`packages/web/src/${own}`), 'utf8').matchAll(
      /['"]([^'"\n]+)['"]/g,
    ))
      texts.add(text!)
  return [...texts].filter((t) => /[A-Za-z]{2}/.test(t)).sort((x, y) => y.length - x.length)
}
const DATA = data()
/** Units, signs of the trade and names that no language changes; months come from `Intl`. */
const UNCHANGED =
  /\b(?:pH|INCI|HLB|CSV|XLSX|JSON|SVG|PNG|QR|USB|ISO|EU|UK|US|CA|mPa|mL|fl oz|kg|mg|min|Omblet|Ctrl|Alt|Esc|Enter|ml|px|RFC|SPF|nm|mV|rH|aW|q\.s\.|ad|w\/w|O\/W|W\/O|PAO|CIR|SCCS|Letter|dE00|mm|oz|mol\/kg|Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec|January|February|March|April|June|July|August|September|October|November|December)\b/g

/** Texts of the page that nobody translated: outside brackets, and neither data nor a unit. */
async function plainEnglish(page: Page): Promise<string[]> {
  const texts = await page.evaluate(() => {
    const found: string[] = []
    const shown = (e: Element | null) => e !== null && (e as HTMLElement).checkVisibility()
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    for (let n = walker.nextNode(); n; n = walker.nextNode())
      if (shown(n.parentElement) && !n.parentElement!.closest('script, style, svg'))
        found.push(n.textContent ?? '')
    for (const e of document.querySelectorAll('[aria-label], [title], [placeholder], [alt]'))
      if (shown(e))
        for (const name of ['aria-label', 'title', 'placeholder', 'alt'])
          found.push(e.getAttribute(name) ?? '')
    return found
  })
  return [...new Set(texts)].flatMap((text) => {
    let rest = text
    for (let last = ''; last !== rest;) [last, rest] = [rest, rest.replace(/⟦[^⟦⟧]*⟧/g, ' ')]
    rest = rest.replace(UNCHANGED, ' ')
    if (!/[A-Za-z]{3}/.test(rest)) return []
    const lower = rest.toLowerCase()
    const known = DATA.filter((d) => lower.includes(d.toLowerCase()))
    for (const d of known)
      rest = rest.replace(new RegExp(d.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'), 'gi'), ' ')
    return /[A-Za-z]{3}/.test(rest) ? [`${text.trim().slice(0, 90)} → ${rest.trim().slice(0, 50)}`] : []
  })
}

let server: ChildProcess
let at = ''
test.beforeAll(async () => {
  mkdirSync(file('node_modules/.cache'), { recursive: true })
  execFileSync(
    'npx',
    ['vite', 'build', '--logLevel', 'error', '--config', 'e2e/second-language/vite.config.ts'],
    {
      cwd: file('.'),
      stdio: 'inherit',
    },
  )
  expect(existsSync(file(`${CACHE}/index.html`))).toBe(true)
  server = spawn('node_modules/.bin/tsx', ['e2e/second-language/server.ts'], { cwd: file('.') })
  const [told] = (await once(server.stdout!, 'data')) as [Buffer]
  at = `http://localhost:${String(told).trim()}`
})
test.afterAll(() => void server?.kill())

const LEAVES = [
  '',
  '/emulsion',
  '/balance',
  '/method',
  '/ph',
  '/cost',
  '/label',
  '/stickers',
  '/product-sheet',
]
const MORE = ['/versions', '/history', '/print', '/print?what=card', '/print?what=method']

test('no view shows plain English, and nothing is cut at 360 px', async ({ page }) => {
  const wrong: string[] = []
  const look = async (path: string) => {
    // what is loaded or calculated is there
    await expect(page.locator('main :is(h1, h2, h3, table, dl, li)').first()).toBeVisible()
    await page.waitForLoadState('networkidle')
    for (const text of await plainEnglish(page)) wrong.push(`${path}: ${text}`)
    await page.setViewportSize({ width: 360, height: 844 })
    // a chart follows the window a moment later
    let cut: string[] = []
    await expect
      .poll(async () => (cut = await faults(page, LEAST)).length, { timeout: 5_000 })
      .toBe(0)
      .catch(() => cut.forEach((fault) => wrong.push(`${path} at 360: ${fault}`)))
    await page.setViewportSize({ width: 1280, height: 844 })
  }
  const visit = async (path: string) => {
    await page.goto(`${at}${path}`)
    await look(path)
  }
  await page.goto(`${at}/`)
  await expect(page.locator('article.formula').first()).toBeVisible()
  await look('/')
  const formula = (await page.locator('article.formula a').first().getAttribute('href'))!
  for (const leaf of [...LEAVES, ...MORE]) await visit(`${formula}${leaf}`)
  for (const path of ['/start/brief', '/start/recipe', '/start/label', '/bench', '/bench/start', '/bin'])
    await visit(path)
  for (const path of [
    '/ingredients',
    '/ingredients/salicylic-acid',
    '/ingredients/containers',
    '/help/glossary',
  ])
    await visit(path)
  for (const path of ['/stability', '/trials']) {
    await visit(path)
    await page.locator('main button').last().click()
    await expect(page.locator('main li, main article, main tr').first()).toBeVisible()
    await look(`${path}, with examples`)
  }
  for (const path of ['/stability/demo-SW-D2', '/stability/demo-SW-D2/look', '/stability/demo-SW-D2/report'])
    await visit(path)
  for (const path of [
    '/trials/new',
    '/trials/demo-trial-waxes',
    '/trials/demo-trial-glycol/paper?what=sheets',
  ])
    await visit(path)
  expect(wrong).toEqual([])
})
