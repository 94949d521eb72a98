import * as z from 'zod'
import { Formula, METHODS } from '../shapes/formula.ts'
import { idOf } from '../shapes/references.ts'
import { PlannedLook, PROPERTIES, Sample, SeenColour, WAYS } from '../shapes/stability.ts'

const grams = z.number().min(-1e6).max(1e7)
const amount = z.number().min(0).max(1e7)
const celsius = z.number().min(-30).max(250)
const text = (most: number) => z.string().max(most)
const line = z.number().int().min(0).max(1000)
const key = text(300)
const lot = idOf('lot', text(200)).optional()

/** Number and size of containers that a batch is made for. */
export const Containers = z.object({
  count: z.number().int().min(1).max(10_000),
  ml: z.number().gt(0).max(100_000),
  /** g/mL */
  density: z.number().gt(0.3).max(3),
  /** What stays on tools and is taken for pH, percent of what is made. */
  lossPercent: z.number().min(0).max(50),
})
export type Containers = z.infer<typeof Containers>

/** What can happen while a batch is made. Amounts are grams, temperatures °C; `line` counts the lines of the formula. */
export const BatchEventBody = z.discriminatedUnion('type', [
  z.object({
    type: z.literal('start'),
    formula: Formula,
    /** Version that it was frozen from; null for a formula without one. */
    version: z.number().int().min(1).nullable(),
    containers: Containers.optional(),
    roomCelsius: celsius.optional(),
  }),
  /** A step is over, left out for a reason, or gone back to. */
  z.object({ type: z.literal('step'), how: z.enum(['done', 'skip', 'go']), reason: text(500).optional() }),
  /** The scale shows `gross` and that counts as nothing from now on. */
  z.object({ type: z.literal('tare'), gross: grams }),
  z.object({ type: z.literal('vessel'), vessel: text(100), tareGrams: amount }),
  z.object({
    type: z.literal('weigh'),
    line,
    grams: amount,
    lot,
    /** What the scale showed, where it was read and not typed. */
    gross: grams.optional(),
  }),
  z.object({ type: z.literal('take-out'), line, grams: amount, gross: grams.optional() }),
  /** The line stays as it was weighed, although it is outside its tolerance. */
  z.object({ type: z.literal('accept'), line }),
  /** Targets of these lines are multiplied; for all lines the batch grows with them. */
  z.object({
    type: z.literal('scale'),
    factor: z.number().gt(0.01).max(100),
    lines: z.array(line).max(1000),
    all: z.boolean(),
  }),
  /** What was weighed of these lines is thrown away and weighed anew. */
  z.object({ type: z.literal('discard'), lines: z.array(line).max(1000), reason: text(500).optional() }),
  /** So much of a dilution of one line in another was used; the rest is thrown away. */
  z.object({
    type: z.literal('dilution'),
    line,
    carrier: line,
    soluteGrams: z.number().gt(0).max(1e6),
    carrierGrams: z.number().gt(0).max(1e6),
    usedGrams: z.number().gt(0).max(1e6),
    lot,
  }),
  /** Net mass of a vessel: before it is heated, after it, or of the whole batch against what went in. */
  z.object({ type: z.literal('mass'), when: z.enum(['before', 'after', 'batch']), grams: amount }),
  /** Water that is put back for what left. */
  z.object({ type: z.literal('water'), grams: amount }),
  z.object({ type: z.literal('temperature'), celsius }),
  z.object({ type: z.literal('room'), celsius }),
  /** From here on it cools in this way, so that a fit begins anew. */
  z.object({ type: z.literal('cooling'), way: z.enum(['air', 'bath', 'hot']) }),
  z.object({ type: z.literal('ph'), ph: z.number().min(0).max(14), method: z.enum(METHODS) }),
  z.object({
    type: z.literal('dose'),
    material: text(300).min(1),
    strengthPercent: z.number().gt(0).max(100),
    grams: z.number().gt(0).max(1e6),
    drops: z.number().int().min(1).max(10_000).optional(),
    lot,
  }),
  /** Taken away for a reading and thrown away. */
  z.object({ type: z.literal('sample'), grams: amount }),
  z.object({
    type: z.literal('timer'),
    id: text(100),
    title: text(200),
    minutes: z.number().gt(0).max(20_000),
  }),
  z.object({ type: z.literal('timer-end'), id: text(100) }),
  z.object({ type: z.literal('pause'), reason: text(500).optional() }),
  z.object({ type: z.literal('resume') }),
  z.object({
    type: z.literal('note'),
    text: text(4000),
    /** Something looked wrong, and what it was. */
    symptom: text(60).optional(),
    photo: text(100).optional(),
  }),
  /** An earlier event was entered wrongly and does not count. */
  z.object({ type: z.literal('undo'), of: z.number().int().min(1) }),
  z.object({
    type: z.literal('finish'),
    outcome: z.enum(['kept', 'discarded']),
    filledGrams: amount.optional(),
    containers: z.number().int().min(0).max(10_000).optional(),
    /** Id of the container that they are. */
    container: idOf('container', text(100)).optional(),
    reason: text(1000).optional(),
  }),
  /** Written beside a finished batch. */
  z.object({
    type: z.literal('correction'),
    text: text(4000).min(1),
    of: z.number().int().min(0).optional(),
  }),
  /** What is set aside of it and when it is looked at; a later one takes the place of an earlier. */
  z.object({
    type: z.literal('keep'),
    samples: z.array(Sample).min(1).max(12),
    looks: z.array(PlannedLook).max(500),
  }),
  /** One property of one sample was looked at; `day` is the planned look that it answers. */
  z.object({
    type: z.literal('observe'),
    sample: text(60).min(1),
    day: z.number().int().min(0).max(3650).nullable(),
    property: z.enum(PROPERTIES),
    value: z.number().min(-1e6).max(1e6).optional(),
    choice: text(40).optional(),
    way: z.enum(WAYS).optional(),
    celsius: celsius.optional(),
    colour: SeenColour.optional(),
    photo: text(100).optional(),
    text: text(1000).optional(),
    /** Number of the answer in whose place it stands; that one stays as it was given. */
    corrects: z.number().int().min(0).optional(),
  }),
  /** A planned look that nobody will make. */
  z.object({
    type: z.literal('pass'),
    sample: text(60).min(1),
    day: z.number().int().min(0).max(3650),
    reason: text(500).optional(),
  }),
  /** A patch test was put on: by whom, as initials, who said yes to that being written down. */
  z.object({
    type: z.literal('patch'),
    who: text(4).min(1),
    consent: z.literal(true),
    way: z.enum(['once', 'week', 'small']),
    place: text(100),
    grams: z.number().gt(0).max(5).optional(),
  }),
  /** What a patch test showed: 0 nothing, 1 faint, 2 clear, 3 with swelling, 4 blisters or spreading. */
  z.object({
    type: z.literal('patch-look'),
    of: z.number().int().min(0),
    grade: z.number().int().min(0).max(4),
    itchesOverAnHour: z.boolean().optional(),
    text: text(1000).optional(),
  }),
])
export type BatchEventBody = z.infer<typeof BatchEventBody>

/** One thing that happened, with its place in the order and its time by the clock (ISO 8601). */
export const BatchEvent = z.intersection(
  z.object({
    n: z.number().int().min(0),
    at: z.iso.datetime(),
    /** Key of the step in which it happened. */
    step: key.nullable(),
  }),
  BatchEventBody,
)
export type BatchEvent = z.infer<typeof BatchEvent>

export type EventOf<T extends BatchEventBody['type']> = BatchEvent & Extract<BatchEventBody, { type: T }>

/** What a batch is called and whose it is. */
export const BatchInfo = z.object({
  id: text(100).min(1),
  code: text(60).min(1),
  name: text(200),
  formulaId: idOf('formula', text(100)).nullable(),
  who: text(100),
})
export type BatchInfo = z.infer<typeof BatchInfo>

/** Events that may be taken back. */
export const UNDOABLE: ReadonlySet<BatchEventBody['type']> = new Set([
  'weigh',
  'take-out',
  'accept',
  'scale',
  'dilution',
  'mass',
  'water',
  'temperature',
  'ph',
  'dose',
  'sample',
  'note',
])
/** Events that a finished batch still takes. */
export const AFTERWARDS: ReadonlySet<BatchEventBody['type']> = new Set([
  'correction',
  'keep',
  'observe',
  'pass',
  'patch',
  'patch-look',
])
