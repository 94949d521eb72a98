// Prints what Omblet costs: one assessment, the first view's download, and a keystroke to its painted result.
import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { firstView } from './first-view.mjs'

const root = new URL('..', import.meta.url).pathname
const PORT = 4399
const ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]

await import('tsx/esm')
const {
  assess,
  balance,
  findAll,
  catalogue,
  emulsifierCandidates,
  labelRanges,
  methodOf,
  phCurve,
  phModelOf,
  propose,
  readLabel,
  readRecipe,
  solvePh,
  spanOf,
  substitutesFor,
} = await import('../packages/core/src/index.ts')
const { openHighs } = await import('../packages/core/src/solve/highs.ts')

/** A 40-line cream in four phases, made from the catalogue's own materials. */
export function fortyLines() {
  const pick = (kinds, n) =>
    catalogue.materials.filter((m) => kinds.includes(m.kind) && m.inci.length === 1).slice(0, n)
  const lines = (materials, percent) => materials.map((m) => ({ material: m.id, percent }))
  return {
    format: 'omblet-formula',
    formatVersion: 1,
    name: 'Bench cream',
    batchGrams: 500,
    scaleResolutionGrams: 0.01,
    product: { kind: 'cream', site: 'face', rinse: 'leave-on', region: 'EU' },
    targetPh: { min: 5, max: 6 },
    phases: [
      {
        name: 'Water',
        role: 'water',
        heatToC: 72,
        lines: [
          { material: 'aqua', fill: true },
          ...lines(pick(['humectant'], 8), 1),
          ...lines(pick(['gum'], 2), 0.2),
        ],
      },
      {
        name: 'Oil',
        role: 'oil',
        heatToC: 72,
        lines: [
          ...lines(pick(['oil'], 6), 1.5),
          ...lines(pick(['ester'], 4), 1),
          { material: 'cetearyl-olivate-sorbitan-olivate', percent: 4 },
          ...lines(pick(['fatty-alcohol'], 2), 1),
        ],
      },
      {
        name: 'Cool-down',
        role: 'cool-down',
        belowC: 40,
        lines: [...lines(pick(['active'], 8), 0.5), ...lines(pick(['extract'], 4), 0.5)],
      },
      {
        name: 'Last',
        role: 'cool-down',
        belowC: 30,
        lines: [
          { material: 'phenoxyethanol-ethylhexylglycerin', percent: 1 },
          { material: 'tocopherol', percent: 0.3 },
          { material: 'sodium-hydroxide', percent: 0.05, strengthPercent: 10 },
          { material: 'parfum', percent: 0.2 },
        ],
      },
    ],
  }
}

const quantile = (values, q) =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * q))]
const say = (what, value, aim) => console.log(`${what.padEnd(58)} ${value.padStart(12)}   aim ${aim}`)

/** A batch with 2,000 events opened, and 2,000 batches listed, from the link to what is painted. */
async function batches(page) {
  const at = (i) => new Date(Date.UTC(2026, 0, 1) + i * 30_000).toISOString()
  const one = {
    format: 'omblet-batch',
    formatVersion: 1,
    batch: { id: 'long', code: 'BC-0101', name: 'Bench cream', formulaId: null, who: 'Ina' },
    events: [
      { n: 0, at: at(0), step: null, type: 'start', formula, version: null },
      ...Array.from({ length: 1999 }, (_, i) =>
        i % 4 === 0
          ? { n: i + 1, at: at(i), step: 'prepare', type: 'weigh', line: i % 40, grams: 0.01 }
          : { n: i + 1, at: at(i), step: 'prepare', type: 'temperature', celsius: 30 + (i % 40) },
      ),
    ],
  }
  await page.goto(`http://localhost:${PORT}/bench`)
  await page.getByTestId('batch-picker').setInputFiles({
    name: 'long.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(one)),
  })
  await page.locator('a[href="/bench/long"]').waitFor()
  /** Goes somewhere within the page and waits for the frame after what is looked for. */
  const opened = async (link, wanted) =>
    page.evaluate(
      async ([selector, sought]) => {
        const start = performance.now()
        document.querySelector(selector).click()
        while (!document.querySelector(sought)) await new Promise((resolve) => requestAnimationFrame(resolve))
        await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)))
        return performance.now() - start
      },
      [link, wanted],
    )
  const opens = []
  for (let i = 0; i < 5; i++) {
    await page.goto(`http://localhost:${PORT}/bench`)
    await page.locator('a[href="/bench/long"]').waitFor()
    opens.push(await opened('a[href="/bench/long"]', 'article.step'))
  }
  say('a batch with 2,000 events opened', `${quantile(opens, 0.5).toFixed(0)} ms`, '300 ms')
  await page.evaluate(
    () =>
      new Promise((resolve, reject) => {
        const request = indexedDB.open('omblet')
        request.onerror = () => reject(request.error)
        request.onsuccess = () => {
          const tx = request.result.transaction('batches', 'readwrite')
          for (let i = 0; i < 2000; i++)
            tx.objectStore('batches').put({
              id: `b${i}`,
              code: `BC-${i}`,
              name: `Tide ${i % 40} cream`,
              formulaId: null,
              who: 'Ina',
              status: 'finished',
              startedAt: new Date(1.7e12 + i * 1e7).toISOString(),
              lastAt: new Date(1.7e12 + i * 1e7).toISOString(),
              step: 'All steps are over',
              stepsDone: 17,
              steps: 17,
              targetGrams: 250,
              filledGrams: 240,
              events: 60,
            })
          tx.oncomplete = () => {
            request.result.close()
            resolve()
          }
        }
      }),
  )
  const lists = []
  for (let i = 0; i < 5; i++) {
    await page.goto(`http://localhost:${PORT}/formulas`)
    await page.waitForSelector('article.formula')
    lists.push(await opened('a.place[href="/bench"]', '.table .row:not(.heads)'))
  }
  say('2,000 batches listed', `${quantile(lists, 0.5).toFixed(0)} ms`, '300 ms')
}

/** What is kept: 500 batches with 40 looks each, listed by what is due. */
async function keptBatches(page) {
  await page.goto(`http://localhost:${PORT}/keeping`)
  await page.getByRole('button', { name: 'Try three example batches' }).click()
  await page.getByRole('heading', { name: 'Due' }).waitFor()
  await page.evaluate(
    () =>
      new Promise((resolve, reject) => {
        const request = indexedDB.open('omblet')
        request.onerror = () => reject(request.error)
        request.onsuccess = () => {
          const tx = request.result.transaction('batches', 'readwrite')
          const store = tx.objectStore('batches')
          store.get('demo-LT-D1').onsuccess = ({ target }) => {
            const head = target.result
            const look = head.watch.open[0]
            const open = Array.from({ length: 40 }, (_, i) => ({
              ...look,
              day: look.day + i,
              on: i < 2 ? look.on : `2099-01-${String((i % 28) + 1).padStart(2, '0')}`,
            }))
            for (let i = 0; i < 500; i++)
              store.put({ ...head, id: `k${i}`, code: `K-${i}`, watch: { ...head.watch, open } })
          }
          tx.oncomplete = () => {
            request.result.close()
            resolve()
          }
        }
      }),
  )
  const lists = []
  for (let i = 0; i < 5; i++) {
    await page.goto(`http://localhost:${PORT}/formulas`)
    await page.waitForSelector('article.formula')
    lists.push(
      await page.evaluate(async () => {
        const start = performance.now()
        document.querySelector('a.place[href="/keeping"]').click()
        while (document.querySelectorAll('.due li').length < 60)
          await new Promise((resolve) => requestAnimationFrame(resolve))
        await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)))
        return performance.now() - start
      }),
    )
  }
  say('500 batches with 40 looks each, listed', `${quantile(lists, 0.5).toFixed(0)} ms`, '300 ms')
}

/** The finder and the Shelf with 5,000 materials of one's own, taken in through the real import. */
async function shelfOf5000(page) {
  const kinds = ['extract', 'oil', 'active', 'humectant', 'ester']
  const rows = Array.from(
    { length: 5000 },
    (_, i) =>
      `Pier ${kinds[i % 5]} ${i},Invented ${kinds[i % 5]} ${i} Extract;Aqua,${kinds[i % 5]},water,0.5,5`,
  )
  await page.goto(`http://localhost:${PORT}/shelf`)
  await page.getByRole('button', { name: 'Take in' }).click()
  const start = Date.now()
  await page
    .getByRole('dialog')
    .locator('input[type=file]')
    .setInputFiles({
      name: 'own.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(['name,inci,functions,phase,usage_min,usage_max', ...rows].join('\n')),
    })
  await page.getByRole('button', { name: /^Store 5000/ }).click()
  await page.getByRole('dialog').waitFor({ state: 'detached' })
  say('5,000 own materials: read, shown and stored', `${((Date.now() - start) / 1000).toFixed(1)} s`, '')
  // Every frame while the list is rolled from top to bottom.
  const frames = await page.evaluate(async () => {
    const scroller = document.querySelector('.p-virtualscroller')
    const gaps = []
    let last = performance.now()
    for (let i = 0; i < 180; i++) {
      scroller.scrollTop = (scroller.scrollHeight * i) / 180
      await new Promise((resolve) => requestAnimationFrame(resolve))
      gaps.push(performance.now() - last)
      last = performance.now()
    }
    return gaps.slice(1)
  })
  say('  rolling the Shelf, a frame, 95 % under', `${quantile(frames, 0.95).toFixed(1)} ms`, '33 ms')
  await page.goto(`http://localhost:${PORT}/formulas`)
  await page.getByRole('link', { name: 'Low Tide toner' }).click()
  await page.locator('section.phase').first().waitFor()
  await page.keyboard.press('/')
  const finder = page.getByRole('combobox', { name: /^Material/ })
  await finder.waitFor()
  const keys = await finder.evaluate(async (input) => {
    const samples = []
    for (const words of ['pier extract 4711', 'glycerin', 'invented oil', 'humectnat', 'pier activ 12']) {
      for (let n = 1; n <= words.length; n++) {
        await new Promise((resolve) => setTimeout(resolve, 20))
        const start = performance.now()
        input.value = words.slice(0, n)
        input.dispatchEvent(new InputEvent('input', { bubbles: true }))
        await new Promise((resolve) =>
          requestAnimationFrame(() => {
            const channel = new MessageChannel()
            channel.port1.onmessage = resolve
            channel.port2.postMessage(0)
          }),
        )
        samples.push(performance.now() - start)
      }
    }
    return samples
  })
  say('  a keystroke in the finder, painted, 95 % under', `${quantile(keys, 0.95).toFixed(1)} ms`, '50 ms')
  say('  median', `${quantile(keys, 0.5).toFixed(1)} ms`, '')
}

const formula = fortyLines()
const count = formula.phases.reduce((n, p) => n + p.lines.length, 0)
const times = []
for (let i = 0; i < 3000; i++) {
  // a changed copy each time, as after a keystroke; the first are left out, while the engine still compiles
  const changed = { ...formula, batchGrams: 500 + i }
  const start = performance.now()
  findAll(assess(changed))
  if (i >= 2000) times.push(performance.now() - start)
}
say(
  `assessment with findings, ${count} lines, 95 % under`,
  `${quantile(times, 0.95).toFixed(2)} ms`,
  '1.2 ms',
)
say('  median', `${quantile(times, 0.5).toFixed(2)} ms`, '')

const ranks = []
const cream = assess(formula)
for (let i = 0; i < 30; i++) {
  const start = performance.now()
  emulsifierCandidates(cream, catalogue)
  if (i >= 5) ranks.push(performance.now() - start)
}
say(
  `every emulsifier ranked for ${count} lines, 95 % under`,
  `${quantile(ranks, 0.95).toFixed(0)} ms`,
  '100 ms',
)

const thirty = {
  ...formula,
  phases: formula.phases.map((p) => ({ ...p, lines: p.lines.slice(0, p.role === 'oil' ? 13 : 7) })),
}
const thirtyLines = thirty.phases.reduce((n, p) => n + p.lines.length, 0)

/** Milliseconds of each run of some work, the first few left out. */
function timed(runs, work) {
  const samples = []
  for (let i = 0; i < runs; i++) {
    const start = performance.now()
    work(i)
    if (i >= runs / 5) samples.push(performance.now() - start)
  }
  return samples
}
// each time from an assessment of its own, as after a keystroke
const fresh = Array.from({ length: 300 }, (_, i) => assess({ ...formula, batchGrams: 500 + i }))
const methods = timed(fresh.length, (i) => methodOf(fresh[i]))
say(`the procedure of ${count} lines, 95 % under`, `${quantile(methods, 0.95).toFixed(2)} ms`, '5 ms')
const opening = performance.now()
const solver = await openHighs()
say('the solver loaded', `${(performance.now() - opening).toFixed(0)} ms`, '')
const noPrices = { catalogue, priceOf: () => null }
const balances = timed(20, (i) =>
  balance(
    cream,
    { oilPhasePercent: 24 + (i % 9), ranges: true, keepActives: true, naturalLeast: 80 },
    noPrices,
    solver,
  ),
)
say(`balance of ${count} lines, 95 % under`, `${quantile(balances, 0.95).toFixed(0)} ms`, '300 ms')
const impossible = timed(10, () =>
  balance(cream, { oilPhasePercent: 90, ranges: true, keepActives: true, hlb: true }, noPrices, solver),
)
say('  with a contradiction to name, 95 % under', `${quantile(impossible, 0.95).toFixed(0)} ms`, '')
const single = catalogue.materials.filter((m) => m.inci.length === 1 && m.usage)
const labelText = (step) =>
  [
    'Aqua',
    ...single
      .filter((_, i) => i % step === 1)
      .sort((x, y) => y.usage.typical - x.usage.typical)
      .slice(0, 39)
      .map((m) => m.inci[0]),
  ].join(', ')
const product = { kind: 'cream', site: 'face', rinse: 'leave-on', region: 'EU' }
const labels = timed(12, (i) =>
  labelRanges(readLabel(labelText(8 + (i % 3)), catalogue), { catalogue, product }, solver),
)
say('a label list of 40 names, 95 % under', `${quantile(labels, 0.95).toFixed(0)} ms`, '1000 ms')
say('  median', `${quantile(labels, 0.5).toFixed(0)} ms`, '')
const ranks30 = timed(25, () => emulsifierCandidates(assess(thirty), catalogue))
say(
  `every emulsifier ranked for ${thirtyLines} lines, 95 % under`,
  `${quantile(ranks30, 0.95).toFixed(0)} ms`,
  '100 ms',
)
const stands = timed(25, (i) => substitutesFor(cream, i % count, catalogue))
say('stand-ins for a line, 95 % under', `${quantile(stands, 0.95).toFixed(0)} ms`, '')
const briefs = timed(8, (i) =>
  propose(
    {
      name: 'Bench',
      product,
      batchGrams: 100,
      richness: ['lotion', 'cream'][i % 2],
      absorption: 'medium',
      feel: 'silky',
      need: 'moisture',
      constraints: [],
      actives: [{ material: 'niacinamide', percent: 4 }],
    },
    catalogue,
    { onShelf: new Set(), priceOf: () => null },
  ),
)
say('three proposals from a brief, 95 % under', `${quantile(briefs, 0.95).toFixed(0)} ms`, '')
const recipeText = formula.phases
  .map(
    (p) =>
      `${p.name} phase\n${p.lines.map((l) => `${l.material} ${l.fill ? 'to 100' : l.percent} %`).join('\n')}`,
  )
  .join('\n')
const recipes = timed(15, () => readRecipe(recipeText, catalogue))
say(`a recipe of ${count} lines read, 95 % under`, `${quantile(recipes, 0.95).toFixed(0)} ms`, '')

/** A serum of twelve acid and base families. */
const twelve = {
  format: 'omblet-formula',
  formatVersion: 1,
  name: 'Bench serum',
  batchGrams: 250,
  product: { kind: 'serum', site: 'face', rinse: 'leave-on', region: 'EU' },
  phases: [
    {
      name: 'Water',
      role: 'water',
      lines: [
        { material: 'aqua', fill: true },
        ...[
          'citric acid',
          'lactic acid',
          'glycolic acid',
          'mandelic acid',
          'ascorbic acid',
          'sodium benzoate',
          'potassium sorbate',
          'sodium dehydroacetate',
          'arginine',
          'niacinamide',
          'tetrasodium edta',
        ].map((material) => ({ material, percent: 1 })),
      ],
    },
  ],
}
const serum = assess(twelve)
const model = phModelOf(serum)
const { system } = serum.waterPhase
const solves = []
for (let i = 0; i < 6000; i++) {
  const moved = { ...system, strongCharge: system.strongCharge + i * 1e-6 }
  const start = performance.now()
  solvePh(moved)
  if (i >= 1000) solves.push((performance.now() - start) * 1000)
}
say(
  `one pH of ${system.families.length} families, median`,
  `${quantile(solves, 0.5).toFixed(0)} µs`,
  '100 µs',
)
const wish = { model, adjuster: 'sodium-hydroxide', strengthPercent: 10 }
const maxPercent = spanOf(model, wish.adjuster, 10, 5, 0)
const curves = []
for (let i = 0; i < 60; i++) {
  const start = performance.now()
  phCurve({ ...wish, maxPercent, points: 200, samples: 200 })
  if (i >= 10) curves.push(performance.now() - start)
}
say('a 200-point curve, band of 200 samples, 95 % under', `${quantile(curves, 0.95).toFixed(0)} ms`, '300 ms')

const server = spawn(join(root, 'node_modules/.bin/tsx'), [join(root, 'packages/server/src/main.ts')], {
  cwd: root,
  env: { ...process.env, PORT: String(PORT) },
  stdio: ['ignore', 'pipe', 'inherit'],
})
await new Promise((resolve, reject) => {
  server.stdout.once('data', resolve)
  server.once('exit', () => reject(new Error('The server did not start. Run: npm run build')))
})
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ARGS })
try {
  const page = await browser.newPage({ serviceWorkers: 'block', viewport: { width: 1280, height: 800 } })
  await page.goto(`http://localhost:${PORT}/`)
  await page.waitForSelector('article.formula')
  const first = firstView().reduce((sum, { kB }) => sum + kB, 0)
  say('first view: scripts, compressed', `${first.toFixed(0)} kB`, '240 kB')

  await page.getByTestId('file-picker').setInputFiles({
    name: 'bench.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(formula)),
  })
  await page.getByRole('link', { name: 'Bench cream' }).click()
  const field = page.getByRole('textbox', { name: 'Glycerin, percent', exact: true })
  await field.focus()
  // What a keystroke costs the page: its own work with the redraw and the layout it asks for, and all of it to the end
  // of the frame that shows it, which waits for the screen up to 16.7 ms wherever the key falls.
  const keys = await page.evaluate(async () => {
    const input = document.activeElement
    const total = () => document.querySelector('.fill')?.value
    const samples = []
    for (let i = 0; i < 140; i++) {
      await new Promise((resolve) => setTimeout(resolve, 12 + (i % 7)))
      const before = total()
      const start = performance.now()
      input.value = String(1.1 + (i % 50) / 10)
      input.dispatchEvent(new InputEvent('input', { bubbles: true }))
      await Promise.resolve()
      await new Promise((resolve) => queueMicrotask(resolve))
      void document.body.offsetHeight
      const worked = performance.now() - start
      await new Promise((resolve) =>
        requestAnimationFrame(() => {
          const channel = new MessageChannel()
          channel.port1.onmessage = resolve
          channel.port2.postMessage(0)
        }),
      )
      if (total() === before) throw new Error('the fill line did not follow')
      if (i >= 20) samples.push({ worked, shown: performance.now() - start })
    }
    return samples
  })
  const worked = keys.map((k) => k.worked)
  const shown = keys.map((k) => k.shown)
  say(
    `keystroke, ${count} lines: work to the layout, 95 % under`,
    `${quantile(worked, 0.95).toFixed(1)} ms`,
    '16.7 ms',
  )
  say('  median', `${quantile(worked, 0.5).toFixed(1)} ms`, '')
  say(
    '  to the end of the frame that shows it, 95 % under',
    `${quantile(shown, 0.95).toFixed(1)} ms`,
    '33 ms',
  )
  say('  median', `${quantile(shown, 0.5).toFixed(1)} ms`, '')

  await batches(page)
  await shelfOf5000(page)
  await keptBatches(
    await browser.newPage({ serviceWorkers: 'block', viewport: { width: 1280, height: 800 } }),
  )
} finally {
  await browser.close()
  server.kill()
}

// How reading grows: the time of twice the length over that of the length, and the longest.
const HOSTILE = [
  ['short names between commas', (n) => Array.from({ length: n }, (_, i) => `a${i}b`).join(', ')],
  ['unknown names', (n) => Array.from({ length: n }, (_, i) => `Zorbl quax${i} vimtree 3 %`).join('\n')],
  ['q.s. to', (n) => 'q.s. to '.repeat(n)],
  ['brackets', (n) => `${'('.repeat(n * 3)}water 3 %`],
  ['digits', (n) => `${'1'.repeat(n * 3)} %`],
  ['strokes', (n) => `water ${'- '.repeat(n)}3 %`],
]
const timeOf = (text) => {
  const times = [0, 1, 2].map(() => {
    const began = performance.now()
    readRecipe(text, catalogue)
    return performance.now() - began
  })
  return Math.min(...times)
}
for (const [what, make] of HOSTILE) {
  const [once, twice] = [timeOf(make(500)), timeOf(make(1000))]
  say(
    `recipe of 1,000 times ${what}`,
    `${twice.toFixed(0)} ms`,
    `× ${(twice / Math.max(5, once)).toFixed(1)} of half`,
  )
}

say('', '', '')
const { load } = await import('./load.mjs')
await load()
