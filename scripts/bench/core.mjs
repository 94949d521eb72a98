// What the computation costs by itself.
import {
  assess,
  balance,
  catalogue,
  emulsifierCandidates,
  findAll,
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
} from '../../packages/core/src/index.ts'
import { openHighs } from '../../packages/core/src/solve/highs.ts'
import { fortyLines, linesIn, thirtyLines, twelveFamilies } from './formulas.mjs'
import { quantile, say, timed } from './told.mjs'

const most = (samples, digits = 0) => `${quantile(samples, 0.95).toFixed(digits)} ms`
const middle = (samples, digits = 0) => say('  median', `${quantile(samples, 0.5).toFixed(digits)} ms`)
const formula = fortyLines()
const count = linesIn(formula)
const product = formula.product

function judging() {
  // a changed copy each time, as after a keystroke
  const times = timed(3000, (i) => findAll(assess({ ...formula, batchGrams: 500 + i }))).slice(-1000)
  say(`assessment with findings, ${count} lines, 95 % under`, most(times, 2), '1.2 ms')
  middle(times, 2)
  const fresh = Array.from({ length: 300 }, (_, i) => assess({ ...formula, batchGrams: 500 + i }))
  const methods = timed(fresh.length, (i) => methodOf(fresh[i]))
  say(`the procedure of ${count} lines, 95 % under`, most(methods, 2), '5 ms')
}

function choosing() {
  const cream = assess(formula)
  const ranks = timed(30, () => emulsifierCandidates(cream, catalogue))
  say(`every emulsifier ranked for ${count} lines, 95 % under`, most(ranks), '100 ms')
  const thirty = thirtyLines()
  const ranks30 = timed(25, () => emulsifierCandidates(assess(thirty), catalogue))
  say(`every emulsifier ranked for ${linesIn(thirty)} lines, 95 % under`, most(ranks30), '100 ms')
  const stands = timed(25, (i) => substitutesFor(cream, i % count, catalogue))
  say('stand-ins for a line, 95 % under', most(stands))
}

async function solving() {
  const opening = performance.now()
  const solver = await openHighs()
  say('the solver loaded', `${(performance.now() - opening).toFixed(0)} ms`)
  const cream = assess(formula)
  const noPrices = { catalogue, priceOf: () => null }
  const balances = timed(20, (i) =>
    balance(
      cream,
      { oilPhasePercent: 24 + (i % 9), ranges: true, keepActives: true, naturalLeast: 80 },
      noPrices,
      solver,
    ),
  )
  say(`balance of ${count} lines, 95 % under`, most(balances), '300 ms')
  const impossible = timed(10, () =>
    balance(cream, { oilPhasePercent: 90, ranges: true, keepActives: true, hlb: true }, noPrices, solver),
  )
  say('  with a contradiction to name, 95 % under', most(impossible))
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
  const labels = timed(12, (i) =>
    labelRanges(readLabel(labelText(8 + (i % 3)), catalogue), { catalogue, product }, solver),
  )
  say('a label list of 40 names, 95 % under', most(labels), '1000 ms')
  middle(labels)
}

function starting() {
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
  say('three proposals from a brief, 95 % under', most(briefs))
  const line = (l) => `${l.material} ${l.fill ? 'to 100' : l.percent} %`
  const recipe = formula.phases.map((p) => `${p.name} phase\n${p.lines.map(line).join('\n')}`).join('\n')
  const recipes = timed(15, () => readRecipe(recipe, catalogue))
  say(`a recipe of ${count} lines read, 95 % under`, most(recipes))
}

function souring() {
  const serum = assess(twelveFamilies)
  const { system } = serum.waterPhase
  const solves = timed(6000, (i) => solvePh({ ...system, strongCharge: system.strongCharge + i * 1e-6 }))
  say(
    `one pH of ${system.families.length} families, median`,
    `${(quantile(solves, 0.5) * 1000).toFixed(0)} µs`,
    '100 µs',
  )
  const wish = { model: phModelOf(serum), adjuster: 'sodium-hydroxide', strengthPercent: 10 }
  const maxPercent = spanOf(wish.model, wish.adjuster, 10, 5, 0)
  const curves = timed(60, () => phCurve({ ...wish, maxPercent, points: 200, samples: 200 }))
  say('a 200-point curve, band of 200 samples, 95 % under', most(curves), '300 ms')
}

export async function core() {
  judging()
  choosing()
  await solving()
  starting()
  souring()
}
