import {
  benchPlan,
  choicesOf,
  findAll,
  foldBatch,
  proposeWatch,
  tasksOf,
  toFormula,
  type BatchFile,
  type BatchEvent,
  type Formula,
  type BatchEventBody,
  type Property,
  type Way,
} from '@omblet/core'
import { demoFormulas } from './demo'

const DAY = 86_400_000
const HOUR = 3_600_000

/** A serum of the harbour town whose lactone turns to acid in its first days. */
const SLACK_WATER: unknown = {
  format: 'omblet-formula',
  formatVersion: 1,
  name: 'Slack Water lactone serum',
  product: { kind: 'serum', site: 'face', rinse: 'leave-on', region: 'EU' },
  batchGrams: 120,
  scaleResolutionGrams: 0.01,
  targetPh: { min: 3.4, max: 4 },
  phases: [
    {
      name: 'Gum slurry',
      role: 'premix',
      lines: [
        { material: 'propanediol', percent: 5 },
        { material: 'sclerotium-gum', percent: 0.5 },
      ],
    },
    {
      name: 'Water',
      role: 'water',
      lines: [
        { material: 'aqua', fill: true },
        { material: 'glycerin', percent: 3 },
        { material: 'sodium-lactate', percent: 3 },
      ],
    },
    {
      name: 'Last',
      role: 'cool-down',
      lines: [
        { material: 'gluconolactone', percent: 4 },
        { material: 'benzyl-alcohol-dehydroacetic-acid', percent: 0.9 },
      ],
    },
  ],
}

/** A lotion whose drops nothing but its wax keeps apart. */
const SPINDRIFT: unknown = {
  format: 'omblet-formula',
  formatVersion: 1,
  name: 'Spindrift hand lotion',
  product: { kind: 'lotion', site: 'hands', rinse: 'leave-on', region: 'EU' },
  batchGrams: 250,
  scaleResolutionGrams: 0.01,
  targetPh: { min: 3.9, max: 4.5 },
  phases: [
    {
      name: 'Water',
      role: 'water',
      heatToC: 72,
      lines: [
        { material: 'aqua', fill: true },
        { material: 'glycerin', percent: 4 },
        { material: 'sodium-lactate', percent: 1.5 },
      ],
    },
    {
      name: 'Oil',
      role: 'oil',
      heatToC: 72,
      lines: [
        { material: 'helianthus-annuus-seed-oil', percent: 7 },
        { material: 'caprylic-capric-triglyceride', percent: 6 },
        { material: 'glyceryl-stearate-peg-100-stearate', percent: 3 },
        { material: 'cetearyl-alcohol', percent: 0.5 },
      ],
    },
    {
      name: 'Cool-down',
      role: 'cool-down',
      belowC: 40,
      lines: [
        { material: 'phenoxyethanol-ethylhexylglycerin', percent: 0.9 },
        { material: 'tocopherol', percent: 0.3 },
        { material: 'lactic-acid', percent: 0.3 },
      ],
    },
  ],
}

type Answer = { value?: number; way?: Way; choice?: string; celsius?: number }
/** What is seen of a sample on a day; where nothing is told it looks as it should. */
type Tells = (sample: string, property: Property, day: number) => Answer | null

/** A batch made as its formula says, so many days ago, with every look that was planned up to the one before the last. */
function kept(
  formula: Formula,
  code: string,
  daysAgo: number,
  tells: Tells,
  now: number,
  formulaId: string | null,
): BatchFile {
  const plan = benchPlan(formula)
  const events: BatchEvent[] = []
  let at = now - daysAgo * DAY - 6 * HOUR
  const put = (happening: BatchEventBody, step: string | null = null) =>
    events.push({ n: events.length, at: new Date(at).toISOString(), step, ...happening })
  put({ type: 'start', formula, version: null })
  for (const step of plan.steps) {
    for (const { line, left } of tasksOf(foldBatch(plan, events), step)) {
      at += 40_000
      if (step.kind !== 'ph' && left > 0)
        put({ type: 'weigh', line, grams: Number(left.toFixed(2)) }, step.key)
    }
    at += 4 * 60_000
    put({ type: 'step', how: 'done' }, step.key)
  }
  const filledGrams = Math.round(plan.a.amounts.batchGrams * 0.96)
  put({ type: 'finish', outcome: 'kept', filledGrams, containers: 2 })
  const filled = at
  const watch = proposeWatch(plan.a, findAll(plan.a), filledGrams)
  at += 10 * 60_000
  put({ type: 'keep', samples: watch.samples, looks: watch.looks })
  const fresh = tells('room', 'ph', 0)
  if (fresh) put({ type: 'observe', sample: 'room', day: null, property: 'ph', ...fresh })
  for (const { sample, day, properties } of [...watch.looks].sort((x, y) => x.day - y.day)) {
    if (day >= daysAgo) continue
    for (const property of properties) {
      at = Math.max(at + 20_000, filled + day * DAY + HOUR)
      const answer = tells(sample, property, day) ?? firstChoice(property)
      if (answer) put({ type: 'observe', sample, day, property, ...answer })
    }
  }
  return {
    batch: { id: `demo-${code}`, code, name: formula.name, formulaId, who: 'Ina' },
    events,
    photos: [],
  }
}
const firstChoice = (property: Property): Answer | null => {
  const choice = choicesOf(property)[0]?.id
  return choice === undefined ? null : { choice }
}
const meter = (value: number): Answer => ({ value: Number(value.toFixed(2)), way: 'meter', celsius: 21 })
const scale = (value: number): Answer => ({ value: Number(value.toFixed(2)), way: 'scale' })
const plates = (value: number): Answer => ({ value: Math.round(value), way: 'spread' })
/** What a meter or a hand is off by, the same each time it is asked. */
const off = (day: number, by: number) => by * Math.sin(day * 1.7)

const toner: Tells = (sample, property, day) => {
  const warm = sample === 'warm' ? 1 : 0
  if (property === 'ph') return meter(5.92 + off(day, 0.02) - warm * 0.0025 * day)
  if (property === 'mass') return scale(52.41 - 1.6 * warm - day * (0.0006 + 0.005 * warm))
  return null
}
const serum: Tells = (sample, property, day) => {
  const rest = sample === 'warm' ? 0.4 : 1.2
  if (property === 'ph') return meter(3.6 + 0.36 * Math.exp(-day / rest) + off(day, 0.012))
  if (property === 'body') return plates(78 + off(day, 1))
  if (property === 'mass') return scale(41.2 - day * (sample === 'warm' ? 0.0015 : 0.0004))
  return null
}
const lotion: Tells = (sample, property, day) => {
  if (property === 'ph') return meter(4.14 + off(day, 0.02))
  if (property === 'body') return plates(61 + off(day, 1))
  if (property === 'mass') return scale(58.3 - day * (sample === 'warm' ? 0.006 : 0.001))
  if (property === 'layer' && sample === 'frost') return { choice: ['none', 'bead', 'free'][day / 2 - 1]! }
  return null
}

/** Three batches of the harbour town with their weeks: one steady, one whose lactone falls and rests, one that splits in frost. */
export function demoBatches(now: number, idOf: (name: string) => string | null): BatchFile[] {
  const lowTide = demoFormulas().find((f) => f.name === 'Low Tide toner')!
  const of = (formula: Formula, code: string, daysAgo: number, tells: Tells) =>
    kept(formula, code, daysAgo, tells, now, idOf(formula.name))
  return [
    of(lowTide, 'LT-D1', 56, toner),
    of(toFormula(SLACK_WATER), 'SW-D2', 58, serum),
    of(toFormula(SPINDRIFT), 'SH-D3', 14, lotion),
  ]
}
