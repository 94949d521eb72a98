// Products as rows of a table: a reader adds one by writing a line into data/sound.json or data/flawed.json.
import { readFileSync } from 'node:fs'
import * as z from 'zod'
import { Formula, KINDS, REGIONS, RINSES, SITES, type Line, type Phase, type Role } from '../src/index.ts'

const ProductRow = z.strictObject({
  name: z.string(),
  /** Words of kind, site, rinse and region in any order; face, leave-on and EU where nothing is said. */
  is: z.string().optional(),
  /**
   * Phases parted by ` / `, lines by ` + `: `Water 72: aqua rest + lactic acid 2 @88 / Cool <40: phenoxyethanol ?`. The
   * first word is the role, a number the heat, `<40` the temperature below which it goes in; `rest` is the fill line, `?`
   * no amount, `@88` a strength, `g` after a number grams.
   */
  made: z.string().optional(),
  /** What the text above cannot say. */
  formula: z.record(z.string(), z.unknown()).optional(),
  /** Target pH: `5-5.5`. */
  ph: z.string().optional(),
  /** A reading: `4.2`, or `4.2 strip`. */
  read: z.string().optional(),
  says: z.array(z.string()).optional(),
  for: z.string().optional(),
  batch: z.number().optional(),
  scale: z.number().optional(),
  /** Where the judgement comes from. */
  from: z.string().optional(),
})
const FlawedRow = ProductRow.extend({
  /** Code and severity that must be found: `usage.above-max check`; several with commas. */
  find: z.string(),
  /** Codes that must not be found, with or without a severity. */
  not: z.string().optional(),
})
export type ProductRow = z.infer<typeof ProductRow>
export type FlawedRow = z.infer<typeof FlawedRow>

const ROLE: Record<string, Role> = {
  premix: 'premix',
  water: 'water',
  oil: 'oil',
  cool: 'cool-down',
  adjust: 'adjust',
  all: 'other',
}

function lineOf(text: string): Line {
  const m = /^(.*?)\s+(rest|\?|[\d.]+g?)(?:\s+@([\d.]+))?$/.exec(text.trim())
  if (!m) throw new Error(`No amount in “${text}”`)
  const [, material, amount, strength] = m
  return {
    material: material!,
    ...(amount === 'rest'
      ? { fill: true }
      : amount === '?'
        ? {}
        : amount!.endsWith('g')
          ? { grams: Number(amount!.slice(0, -1)) }
          : { percent: Number(amount) }),
    ...(strength ? { strengthPercent: Number(strength) } : {}),
  }
}

function phaseOf(text: string): Phase {
  const [head, ...rest] = text.split(': ')
  const [word, ...more] = head!.trim().split(' ')
  const role = ROLE[word!.toLowerCase()]
  if (!role) throw new Error(`No role in “${head}”`)
  const heat = more.find((w) => /^\d+$/.test(w))
  const below = more.find((w) => /^<\d+$/.test(w))
  return {
    name: word!,
    role,
    ...(heat ? { heatToC: Number(heat) } : {}),
    ...(below ? { belowC: Number(below.slice(1)) } : {}),
    lines: rest.join(': ').split(' + ').map(lineOf),
  }
}

export function formulaOf(row: ProductRow): Formula {
  const words = (row.is ?? '').split(/\s+/)
  const one = <T extends string>(from: readonly T[], usual: T) => from.find((x) => words.includes(x)) ?? usual
  const [low, high] = row.ph?.split('-').map(Number) ?? []
  const [read, method] = row.read?.split(' ') ?? []
  return Formula.parse({
    format: 'omblet-formula',
    formatVersion: 1,
    name: row.name.length > 60 ? 'Quay row' : row.name,
    product: {
      kind: one(KINDS, 'other'),
      site: one(SITES, 'face'),
      rinse: one(RINSES, 'leave-on'),
      region: one(REGIONS, 'EU'),
      ...(row.says ? { claims: row.says } : {}),
      ...(row.for ? { for: row.for } : {}),
    },
    batchGrams: row.batch ?? 1000,
    scaleResolutionGrams: row.scale ?? 0.01,
    ...(low === undefined ? {} : { targetPh: { min: low, max: high ?? low } }),
    ...(read ? { readings: [{ ph: Number(read), method: method ?? 'meter-direct' }] } : {}),
    phases: row.made ? row.made.split(' / ').map(phaseOf) : [],
    ...row.formula,
  })
}

const table = (name: string): unknown =>
  JSON.parse(readFileSync(new URL(`./data/${name}.json`, import.meta.url), 'utf8'))
export const soundRows = () => z.array(ProductRow).parse(table('sound'))
export const flawedRows = () => z.array(FlawedRow).parse(table('flawed'))
