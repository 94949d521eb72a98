import { fieldFault } from '../shapes/field-fault.ts'
import * as z from 'zod'
import type { Assessment } from '../assess/types.ts'
import { bodyOf, CONTAINER_FACTS as table, giveOut, isWhipped, WALLS } from '../feel/dispensing.ts'
import { carriersOf, saltPercent } from '../assess/carriers.ts'
import { CONTAINER_KINDS, type ContainerKind } from '../shapes/containers.ts'
import { hasTrait } from '../shapes/material.ts'
import type { Said } from '../text/said.ts'
import type { DoesNotFit, SuitsFacts } from './said.ts'

export { bodyOf, CONTAINER_KINDS, type ContainerKind }
export const WALL_KINDS = WALLS
export const containerWord = (kind: ContainerKind) => table.kinds[kind].name
export const wallWord = (wall: (typeof WALLS)[number]) => table.walls[wall].name

/** What a maker fills into, one kind of it; volumes in mL, weight in grams. */
export const Container = z.looseObject({
  id: z.string().min(1).max(100),
  name: z.string(fieldFault('no-name')).min(1, fieldFault('no-name')).max(200),
  kind: z.enum(CONTAINER_KINDS, fieldFault('one-of', { values: CONTAINER_KINDS })),
  wall: z.enum(WALLS, fieldFault('one-of', { values: WALLS })).optional(),
  nominalMl: z.number(fieldFault('no-volume')).gt(0).max(10_000),
  brimMl: z.number().gt(0).max(12_000).optional(),
  emptyGrams: z.number().min(0).max(10_000).optional(),
  /** Of one, in the maker's own currency. */
  price: z.number().min(0).max(100_000).optional(),
  left: z.number(fieldFault('no-count')).int().min(0).max(1_000_000),
  note: z.string().max(2000).optional(),
})
export type Container = z.infer<typeof Container>

/** The volume that a gram of a kind takes where its own density is not known: near water. */
const UNKNOWN = 1
/** How far the sum of volumes is off, of it: mixing shrinks, stirring brings air (common practice). */
const DOUBT = 0.03

/** Density of the product, g/mL, by the sum of volumes; whipped air as usual. */
export function densityOf(a: Assessment): { value: number; low: number; high: number } {
  let volume = 0
  let weight = 0
  for (const l of a.lines) {
    if (l.percent <= 0) continue
    const m = l.material
    weight += l.percent
    volume += l.percent / (m?.density ?? (m ? table.densities[m.kind] : undefined) ?? UNKNOWN)
  }
  if (weight <= 0) return { value: UNKNOWN, low: UNKNOWN, high: UNKNOWN }
  if (isWhipped(a)) {
    const [low, high] = table.whipped
    return { value: (low + high) / 2, low, high }
  }
  const value = weight / volume
  return { value, low: value * (1 - DOUBT), high: value * (1 + DOUBT) }
}

/** What earlier batches lost, percent: a mean and its spread, null where one alone tells. */
export interface LearnedLoss {
  mean: number
  sd: number | null
}
/** Of one batch alone the loss may be off by so much of itself. */
const ONE_ALONE = 0.4

/** What stays on tools and in the beaker, percent of the batch; what earlier batches lost is believed first. */
export function lossOf(
  a: Assessment,
  learned: LearnedLoss | null = null,
): { value: number; low: number; high: number } {
  if (learned) {
    const off = learned.sd === null ? ONE_ALONE * learned.mean : 2 * learned.sd
    return {
      value: learned.mean,
      low: Math.max(0, learned.mean - off),
      high: Math.min(90, learned.mean + off),
    }
  }
  const { low, high } = bodyOf(a)
  const middle = Math.sqrt(low * high)
  const [from, to] = table.loss.find((x) => middle < x.below)!.percent
  const most = a.amounts.batchGrams < table.smallBatch.belowGrams ? table.smallBatch.percent : to
  return { value: (from + most) / 2, low: from, high: most }
}

/** mL that go in: by its nominal volume, or less where the brim leaves less room. */
export function fillMl(c: Pick<Container, 'kind' | 'nominalMl' | 'brimMl'>): number {
  const room = c.brimMl === undefined ? c.nominalMl : c.brimMl * (1 - table.kinds[c.kind].headspace / 100)
  return Math.min(c.nominalMl, room)
}

export interface Suits {
  suits: boolean
  /** Why not, or what to mind. */
  reasons: Said<SuitsFacts>[]
}

/** Less salt or scent than this does nothing to a wall, percent of the product (common practice). */
const HARMLESS = 0.2
const SHORTFALL = 2

/** What a product does to the wall of its container, and the wall to it. */
function judgeWall(
  a: Assessment,
  wall: (typeof table.walls)[(typeof WALLS)[number]],
  never: Said<SuitsFacts>[],
  mind: Said<SuitsFacts>[],
) {
  const scent = carriersOf(a, (m) => hasTrait(m, 'fragrance')).reduce((t, x) => t + x.percent, 0)
  const ph = a.workingPh
  if (wall.mostAlcoholPercent !== undefined && a.alcoholPercent > wall.mostAlcoholPercent)
    never.push({ code: 'alcohol-cracks', wall: wall.name, alcoholPercent: a.alcoholPercent })
  if (wall.mostScentPercent !== undefined && scent > wall.mostScentPercent)
    never.push({ code: 'scent-attacks', wall: wall.name })
  if (ph !== null && ((wall.leastPh ?? 0) > ph || (wall.mostPh ?? 14) < ph))
    never.push({ code: 'ph-attacks', wall: wall.name, ph })
  if (wall.noSalt && saltPercent(a) > HARMLESS) never.push({ code: 'salt-pits', wall: wall.name })
  if (wall.drinksScent && scent > HARMLESS) mind.push({ code: 'absorbs-scent', wall: wall.name })
}

/** Whether a container gives out what the product is, and bears it. Common practice. */
export function suits(a: Assessment, c: Pick<Container, 'kind' | 'wall'>): Suits {
  const kind = table.kinds[c.kind]
  const { low, high } = bodyOf(a)
  const never: Said<SuitsFacts>[] = []
  const mind: Said<SuitsFacts>[] = []
  const wet = a.preservation.needed
  const flow = giveOut(a, c.kind)
  if (flow === 'too-thick') never.push({ code: 'too-thick' })
  else if (flow === 'too-thin') never.push({ code: 'too-thin' })
  else if (high > kind.to * SHORTFALL || low * SHORTFALL < kind.from) mind.push({ code: 'near-its-limits' })
  if (wet && !kind.water) never.push({ code: 'rusts' })
  if (wet && c.kind === 'jar') mind.push({ code: 'open-jar' })
  if (isWhipped(a) && c.kind === 'airless') never.push({ code: 'whipped' })
  if (c.wall) judgeWall(a, table.walls[c.wall], never, mind)
  return { suits: never.length === 0, reasons: [...never, ...mind] }
}

/** How many are filled, and what is left over in grams. */
export interface Filling {
  count: number
  gramsEach: number
  leftGrams: number
  /** With the lower and the upper density and loss. */
  low: number
  high: number
}

/**
 * Containers that so many grams fill: what is lost and set aside goes off, then volume times density each. Rounded
 * down: a half-filled one is none.
 */
export function fillFrom(
  a: Assessment,
  c: Container,
  grams: number,
  setAside = 0,
  learned: LearnedLoss | null = null,
): Filling {
  const ml = fillMl(c)
  const density = densityOf(a)
  const loss = lossOf(a, learned)
  const counted = (d: number, lost: number) =>
    Math.max(0, Math.floor((grams * (1 - lost / 100) - setAside) / (ml * d) + 1e-9))
  const count = counted(density.value, loss.value)
  const gramsEach = ml * density.value
  return {
    count,
    gramsEach,
    leftGrams: Math.max(0, grams * (1 - loss.value / 100) - setAside - count * gramsEach),
    low: counted(density.high, loss.high),
    high: counted(density.low, loss.low),
  }
}

/** Grams of a batch that fill so many. */
export const gramsToFill = (
  a: Assessment,
  c: Container,
  count: number,
  setAside = 0,
  learned: LearnedLoss | null = null,
): number => (count * fillMl(c) * densityOf(a).value + setAside) / (1 - lossOf(a, learned).value / 100)

/** Whether a weight goes into a container; null where it does. Within what density is known to. */
export function doesNotFit(a: Assessment, c: Container, grams: number): DoesNotFit | null {
  const most = (c.brimMl ?? c.nominalMl) * densityOf(a).high
  return grams > most
    ? { grams, holdsMl: c.brimMl ?? c.nominalMl, goInGrams: fillMl(c) * densityOf(a).value }
    : null
}
