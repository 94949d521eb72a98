import * as z from 'zod'
import { Formula, KINDS, METHODS } from './formula.ts'
import { idOf } from './references.ts'

export const TRIAL_VERSION = 1
/** The most people that one trial is planned for, and rounds of each. */
export const MOST_PEOPLE = 12
export const MOST_ROUNDS = 12
/** The most samples that one trial is planned for: three digits tell so many apart. */
export const MOST_SAMPLES = 12

const id = z.string().min(1).max(100)
const words = z.string().max(300)
const text = z.string().max(4000)
const list = <T extends z.ZodType>(item: T) => z.array(item).max(100_000).default([])

/** How something is asked: a score on a line, seconds until it is so, or the samples put in order. */
export const ASKS = ['score', 'seconds', 'rank'] as const
/** What may be varied between samples. */
export const VARIES = ['emulsifier', 'thickener', 'material', 'level', 'school', 'version', 'jar'] as const
export type Varies = (typeof VARIES)[number]
/** What is found of a sample beside what people feel. */
export const FOUND = ['ph', 'body', 'frost', 'spread', 'flow', 'drop'] as const

export const TrialSample = z.looseObject({
  id,
  name: words.default(''),
  reference: z.boolean().default(false),
  formulaId: idOf('formula', z.string().max(200)).optional(),
  batchId: idOf('batch', z.string().max(200)).optional(),
  /** As it is made; a product that was bought has none. */
  formula: Formula.optional(),
})
export type TrialSample = z.infer<typeof TrialSample>

export const TrialAttribute = z.looseObject({
  id,
  name: words.optional(),
  low: words.default(''),
  high: words.default(''),
  scale: z.tuple([z.number(), z.number()]).optional(),
  ask: z.enum(ASKS).optional(),
  /** When it is judged. */
  moment: words.optional(),
  how: words.optional(),
})
export type TrialAttribute = z.infer<typeof TrialAttribute>

/** Three jars of two samples, or two of them side by side, asked of everybody in each round. */
const Choosing = z.looseObject({ kind: z.enum(['triangle', 'pair']), a: id, b: id, attribute: id.optional() })

export const Measured = z.looseObject({
  sample: id,
  what: z.enum(FOUND),
  /** pH, mm or seconds. */
  value: z.number().min(-1e6).max(1e6).optional(),
  /** How a pH was read. */
  way: z.enum(METHODS).optional(),
  /** A body or what frost did. */
  choice: z.string().max(40).optional(),
})
export type Measured = z.infer<typeof Measured>

const Decision = z.looseObject({
  /** The sample that is kept; null where none is. */
  keep: id.nullable(),
  because: text.default(''),
  next: text.default(''),
  at: z.string().max(100),
  /** Number of the version that it went into the formula as. */
  version: z.number().int().min(1).optional(),
})

export type Decision = z.infer<typeof Decision>

/** How a trial is set up and how far it is. */
export const TrialPlan = z.looseObject({
  id: z.string().min(1).max(200),
  createdAt: z.string().max(100),
  /** The formula that was varied. */
  of: z.looseObject({ id: idOf('formula', z.string().max(200)).nullable(), name: words }).optional(),
  product: z.looseObject({ kind: z.enum(KINDS), hair: z.boolean() }),
  varies: z.enum(VARIES),
  /** The thing that was varied, in words. */
  what: words,
  batchGrams: z.number().gt(0).max(1e6),
  people: z.array(z.looseObject({ id, name: words })).max(MOST_PEOPLE),
  rounds: z.number().int().min(1).max(MOST_ROUNDS),
  /** From it come the codes and the orders. */
  seed: z.number().int(),
  choosing: z.array(Choosing).max(20).default([]),
  /** The one attribute that decides, named before anything is scored. */
  decides: id.nullable().default(null),
  /** The batch of the base that all share. */
  baseBatch: idOf('batch', z.string().max(200)).optional(),
  measured: z.array(Measured).max(1000).default([]),
  endedAt: z.string().max(100).optional(),
  /** When the codes were open, before its end was taken back. */
  seen: z
    .array(z.looseObject({ from: z.string().max(100), to: z.string().max(100) }))
    .max(100)
    .optional(),
  decision: Decision.optional(),
})
export type TrialPlan = z.infer<typeof TrialPlan>

export const Trial = z.looseObject({
  format: z.literal('omblet-trial'),
  formatVersion: z.literal(TRIAL_VERSION),
  name: words.default(''),
  samples: z.array(TrialSample).max(100).default([]),
  attributes: z.array(TrialAttribute).max(200).default([]),
  scores: list(
    z.looseObject({
      by: id,
      round: z.number().int().min(1).default(1),
      sample: id,
      attribute: id,
      value: z.number(),
    }),
  ),
  triangles: list(
    z.looseObject({
      by: id,
      right: z.boolean(),
      round: z.number().int().min(1).optional(),
      a: id.optional(),
      b: id.optional(),
    }),
  ),
  pairs: list(
    z.looseObject({
      by: id,
      chosen: id,
      over: id,
      attribute: id.optional(),
      round: z.number().int().min(1).optional(),
    }),
  ),
  plan: TrialPlan.optional(),
})
export type Trial = z.infer<typeof Trial>
/** A trial that Omblet set up. */
export type PlannedTrial = Trial & { plan: TrialPlan }
