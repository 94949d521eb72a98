import { fieldFault } from './field-fault.ts'
import { Costing, LabelDesign } from './label.ts'
import * as z from 'zod'
import { Goes, MethodEdits } from './method.ts'
import { CHARGES } from './charges.ts'
import { AcidBaseFacts, MaterialFacts } from './material.ts'

export const KINDS = [
  'toner',
  'serum',
  'gel',
  'lotion',
  'cream',
  'butter',
  'leave-in',
  'mask',
  'cleanser',
  'other',
] as const
export const SITES = ['face', 'eye', 'lips', 'body', 'hands', 'feet', 'scalp', 'hair'] as const
export const RINSES = ['leave-on', 'rinse-off'] as const
export const REGIONS = ['EU', 'US', 'other'] as const
export const MADE_FOR = ['self', 'family', 'gift', 'sale'] as const
export const ROLES = ['premix', 'water', 'oil', 'cool-down', 'adjust', 'other'] as const
export const METHODS = ['strip', 'meter-direct', 'meter-10pct'] as const

/** The longest texts and largest counts a formula may hold; beyond them a file is refused with a sentence. */
export const LIMITS = { name: 200, material: 300, note: 4000, phases: 40, lines: 400, readings: 500 } as const

const number = z.number(fieldFault('no-number'))
const positive = number.gt(0, fieldFault('above-zero'))
const percent = number.min(0, fieldFault('negative')).max(1e9, fieldFault('too-large'))
const share = number.gt(0, fieldFault('above-zero')).max(100, fieldFault('at-most', { most: 100 }))
const grams = number.min(0, fieldFault('negative')).max(1e9, fieldFault('too-large'))
const celsius = number
  .min(-30, fieldFault('at-least', { least: -30, unit: '°C' }))
  .max(200, fieldFault('at-most', { most: 200, unit: '°C' }))
const ph = number
  .min(0, fieldFault('between', { least: 0, most: 14 }))
  .max(14, fieldFault('between', { least: 0, most: 14 }))
const text = (most: number) => z.string(fieldFault('no-text')).max(most, fieldFault('too-long', { most }))
const oneOf = <T extends readonly [string, ...string[]]>(values: T) =>
  z.enum(values, fieldFault('one-of', { values }))
const flag = z.boolean(fieldFault('no-flag'))

const range = (of: z.ZodType<number>) =>
  z.looseObject({ min: of, max: of }).refine((r) => r.min <= r.max, fieldFault('ends-swapped'))

export const PhRange = range(ph)

export const CustomPart = z.looseObject({ material: text(LIMITS.material).min(1), percent: share })

export const Custom = z.looseObject({
  inci: z.array(text(LIMITS.material)).optional(),
  functions: z.array(text(100)).optional(),
  solubility: z.union([text(60), z.array(text(60))]).optional(),
  usage: range(percent).optional(),
  ph: PhRange.optional(),
  charge: oneOf(CHARGES).optional(),
  parts: z.array(CustomPart).max(400).optional(),
  /** What an analysis found in it, percent of it. */
  contains: z
    .array(z.looseObject({ inci: text(LIMITS.material).min(1), percent: z.number().min(0).max(100) }))
    .max(200)
    .optional(),
  acidBase: AcidBaseFacts.optional(),
  /** Everything else that is known of it, as a material of the catalogue has it. */
  facts: MaterialFacts.optional(),
})

export const Line = z
  .looseObject({
    /** Key of the line: a method and a copy know it by this. */
    id: text(100).optional(),
    material: text(LIMITS.material).min(1, fieldFault('no-material')),
    percent: percent.optional(),
    grams: grams.optional(),
    fill: flag.optional(),
    strengthPercent: share.optional(),
    /** Which of the things that share its name it is, e.g. `clear` for xanthan gum. */
    grade: text(100).optional(),
    custom: Custom.optional(),
    note: text(LIMITS.note).optional(),
  })
  .refine(
    (line) => !(line.fill && (line.percent !== undefined || line.grams !== undefined)),
    fieldFault('fill-with-amount'),
  )

export const Phase = z.looseObject({
  /** Key of the phase: a method and a copy know it by this. */
  id: text(100).optional(),
  name: text(LIMITS.name),
  role: oneOf(ROLES).default('other'),
  heatToC: celsius.optional(),
  holdMinutes: number.min(0).max(1440).optional(),
  belowC: celsius.optional(),
  /** Where it goes and when, where the maker chose it. */
  goes: Goes.optional(),
  note: text(LIMITS.note).optional(),
  lines: z
    .array(Line, fieldFault('no-list', { of: 'lines' }))
    .max(LIMITS.lines, fieldFault('too-many', { of: 'lines', most: LIMITS.lines })),
})

export const Product = z.looseObject({
  kind: oneOf(KINDS).default('other'),
  site: oneOf(SITES).default('body'),
  rinse: oneOf(RINSES).default('leave-on'),
  region: oneOf(REGIONS).default('other'),
  /** Who it is made for. */
  for: oneOf(MADE_FOR).optional(),
  claims: z.array(text(200)).max(60).optional(),
})

export const Reading = z.looseObject({
  afterPhase: text(LIMITS.name).optional(),
  ph,
  method: oneOf(METHODS).default('meter-direct'),
  at: z.string().optional(),
})

/** An adjuster that went into the batch after it was weighed, and is not in the formula yet. */
export const Addition = z.looseObject({
  material: text(LIMITS.material).min(1, fieldFault('no-material')),
  strengthPercent: share.default(100),
  grams: positive.max(1e7),
  /** Size of the batch that it went into. */
  ofGrams: positive.max(1e7),
  /** Readings that were recorded before it. */
  afterReading: number.int().min(0),
  at: z.string().optional(),
  /** Taken into the formula as a line; readings before it tell of the formula without that line. */
  inFormula: flag.optional(),
})

/** A titration of a small weighed portion; amounts count from its beginning. */
export const Portion = z.looseObject({
  grams: positive.max(1e6),
  material: text(LIMITS.material).min(1, fieldFault('no-material')),
  strengthPercent: share.default(100),
  steps: z
    .array(z.looseObject({ grams: grams, ph, method: oneOf(METHODS).default('meter-direct') }))
    .max(LIMITS.readings),
})

const DEFAULT_PRODUCT = { kind: 'other', site: 'body', rinse: 'leave-on', region: 'other' } as const

export const Formula = z
  .looseObject({
    format: z.literal('omblet-formula'),
    formatVersion: z.literal(1),
    name: text(LIMITS.name),
    product: Product.default(() => ({ ...DEFAULT_PRODUCT })),
    batchGrams: positive.max(1e7, fieldFault('at-most', { most: 1e7, unit: 'g' })).optional(),
    targetPh: PhRange.optional(),
    scaleResolutionGrams: number
      .min(0.0001, fieldFault('at-least', { least: 0.0001 }))
      .max(100, fieldFault('at-most', { most: 100 }))
      .optional(),
    /** How well the scale repeats, a standard deviation. */
    scaleRepeatabilityGrams: positive.max(100, fieldFault('at-most', { most: 100 })).optional(),
    phases: z
      .array(Phase, fieldFault('no-list', { of: 'phases' }))
      .max(LIMITS.phases, fieldFault('too-many', { of: 'phases', most: LIMITS.phases })),
    readings: z.array(Reading).max(LIMITS.readings).optional(),
    additions: z.array(Addition).max(LIMITS.readings).optional(),
    portion: Portion.optional(),
    method: MethodEdits.optional(),
    label: LabelDesign.optional(),
    costing: Costing.optional(),
    note: text(LIMITS.note).optional(),
  })
  .superRefine((formula, ctx) => {
    const fills: [number, number][] = []
    let lines = 0
    formula.phases.forEach((phase, p) =>
      phase.lines.forEach((line, l) => {
        lines++
        if (line.fill) fills.push([p, l])
      }),
    )
    const second = fills[1]
    if (second) {
      ctx.addIssue({
        code: 'custom',
        path: ['phases', second[0], 'lines', second[1], 'fill'],
        message: fieldFault('second-fill').error,
      })
    }
    if (lines > LIMITS.lines) {
      ctx.addIssue({
        code: 'custom',
        path: ['phases'],
        message: fieldFault('too-many-lines', { lines, most: LIMITS.lines }).error,
      })
    }
  })

export type Formula = z.infer<typeof Formula>
export type Phase = z.infer<typeof Phase>
export type Line = z.infer<typeof Line>
export type Custom = z.infer<typeof Custom>
export type Product = z.infer<typeof Product>
export type Reading = z.infer<typeof Reading>
export type Addition = z.infer<typeof Addition>
export type Portion = z.infer<typeof Portion>
export type Kind = (typeof KINDS)[number]
export type Site = (typeof SITES)[number]
export type Rinse = (typeof RINSES)[number]
export type MadeFor = (typeof MADE_FOR)[number]
export type Region = (typeof REGIONS)[number]
export type Role = (typeof ROLES)[number]
export { CHARGES }

/** Where a line stands: index of its phase and its own index in the phase. */
export interface LineRef {
  phase: number
  line: number
}
