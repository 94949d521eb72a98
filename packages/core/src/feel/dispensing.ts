import * as z from 'zod'
import data from '../../data/containers.json' with { type: 'json' }
import type { Assessment } from '../assess/types.ts'
import { CONTAINER_KINDS, type ContainerKind } from '../shapes/containers.ts'
import { KINDS } from '../shapes/formula.ts'
import { MATERIAL_KINDS } from '../shapes/material.ts'
import { expectedBody } from './body.ts'

const span = z.tuple([z.number(), z.number()])
export const WALLS = ['glass', 'pp', 'hdpe', 'pet', 'acrylic', 'aluminium', 'lacquered'] as const
const Table = z.strictObject({
  source: z.string(),
  kinds: z.record(
    z.enum(CONTAINER_KINDS),
    z.strictObject({
      name: z.string(),
      /** Body that it gives out, mPa·s. */
      from: z.number(),
      to: z.number(),
      /** Percent of the brimful volume that stays empty, and of the content that stays behind in use. */
      headspace: z.number(),
      left: z.number(),
      water: z.boolean(),
    }),
  ),
  walls: z.record(
    z.enum(WALLS),
    z.strictObject({
      name: z.string(),
      drinksScent: z.boolean().optional(),
      mostCelsius: z.number().optional(),
      mostAlcoholPercent: z.number().optional(),
      mostScentPercent: z.number().optional(),
      leastPh: z.number().optional(),
      mostPh: z.number().optional(),
      noSalt: z.boolean().optional(),
    }),
  ),
  /** What stays on tools and in beakers, percent of the batch, by body. */
  loss: z.array(z.strictObject({ below: z.number(), percent: span, says: z.string() })),
  smallBatch: z.strictObject({ belowGrams: z.number(), percent: z.number() }),
  bodies: z.record(z.enum(KINDS), span),
  densities: z.partialRecord(z.enum(MATERIAL_KINDS), z.number()),
  whipped: span,
})
/** What containers are like (common practice). */
export const CONTAINER_FACTS = Table.parse(data)
const table = CONTAINER_FACTS
/** Expected body, mPa·s: from the emulsion where it is one, else by what such a product usually is. */
export function bodyOf(a: Assessment): { low: number; high: number } {
  const body = expectedBody(a)
  if (body) return body.viscosity
  const [low, high] = table.bodies[a.formula.product.kind]
  return { low, high }
}

export const isWhipped = (a: Assessment) => a.formula.method?.choices?.['body'] === 'whip'

/** Whether a kind of container gives out what the product is. */
export function giveOut(a: Assessment, kind: ContainerKind): 'yes' | 'too-thick' | 'too-thin' {
  const { low, high } = bodyOf(a)
  const { from, to } = table.kinds[kind]
  return low > to ? 'too-thick' : high < from ? 'too-thin' : 'yes'
}

/** Kinds that keep fingers out, the most usual first. */
const SHUT: readonly ContainerKind[] = ['pump', 'tube', 'airless', 'flip-top', 'dropper', 'spray']
/** Kinds of container that keep fingers out and give out this product; none where it is too thick for all. */
export const shutContainers = (a: Assessment): ContainerKind[] =>
  SHUT.filter((kind) => giveOut(a, kind) === 'yes' && !(isWhipped(a) && kind !== 'tube'))
export const containerName = (kind: ContainerKind) => table.kinds[kind].name.toLowerCase()
