import * as z from 'zod'
import data from '../../data/watch.json' with { type: 'json' }
import { CONVENTIONS } from '../shapes/conventions.ts'
import { PROPERTIES, STORAGES, WAYS, type Property, type Way } from '../shapes/stability.ts'

export const GRADES = ['fine', 'again', 'discard'] as const
/** What one answer means by itself: harmless, look again soon, do not use. */
export type Grade = (typeof GRADES)[number]

const days = z.array(z.number().int().min(0))
const storages = z.array(z.enum(STORAGES))
const Choice = z.strictObject({ id: z.string(), words: z.string(), grade: z.enum(GRADES) })
export type Choice = z.infer<typeof Choice>
const PropertyFacts = z.strictObject({
  label: z.string(),
  ask: z.string(),
  days,
  /** Days on which it is looked at only where the formula gives a reason. */
  reasonDays: days.optional(),
  storages,
  choices: z.array(Choice).optional(),
  number: z.enum(['ph', 'body', 'deltaE', 'mass', 'layer']).optional(),
  /** How far it may move: units of pH, percent of the mass or of the body, or ΔE00. */
  drift: z.strictObject({ fine: z.number(), again: z.number() }).optional(),
})
const WayFacts = z.strictObject({
  property: z.enum(PROPERTIES),
  label: z.string(),
  unit: z.string(),
  /** Standard deviation of one reading, in its unit, or in percent of what is read. */
  sd: z.number().optional(),
  sdPercent: z.number().optional(),
  least: z.number(),
  most: z.number(),
  thinnerIs: z.enum(['more', 'less']).optional(),
  how: z.string().optional(),
})
const StorageFacts = z.strictObject({
  label: z.string(),
  says: z.string(),
  days,
  /** Days stand for turns of frost and thaw. */
  cycles: z.boolean().optional(),
  /** Treated harder than the jar that is used: what happens here warns, and condemns nothing. */
  stress: z.boolean().optional(),
})

/** What is looked at, where and when (common practice, from memory). */
export const WATCH = z
  .strictObject({
    source: z.string(),
    storages: z.record(z.enum(STORAGES), StorageFacts),
    properties: z.record(z.enum(PROPERTIES), PropertyFacts),
    ways: z.record(z.enum(WAYS), WayFacts),
  })
  .parse(data)

export const waysOf = (property: Property): Way[] => WAYS.filter((w) => WATCH.ways[w].property === property)
export const choicesOf = (property: Property): readonly Choice[] => WATCH.properties[property].choices ?? []

/** How a pH is read over the weeks, by the readings of making. */
const PH_SD: Partial<Record<Way, number>> = {
  meter: CONVENTIONS.readingSd['meter-direct'],
  strip: CONVENTIONS.readingSd.strip,
}

/** Standard deviation of one reading of so much. */
export const sdOf = (way: Way, value: number) =>
  PH_SD[way] ?? WATCH.ways[way].sd ?? (Math.abs(value) * (WATCH.ways[way].sdPercent ?? 0)) / 100

/** So far must two single readings lie apart for a change to be more than their error: 95 %. */
export const TELLS_APART = 2.8
