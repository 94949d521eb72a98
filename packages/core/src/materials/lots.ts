import { WRITTEN } from '../formula/written.ts'
import { fieldFault } from '../shapes/field-fault.ts'
import { differenceInCalendarDays, parseISO } from 'date-fns'
import * as z from 'zod'
import type { Material } from '../shapes/material.ts'
import { idOf } from '../shapes/references.ts'
import { isRealDay } from '../text/days.ts'

const day = z.string().refine(isRealDay, fieldFault('no-day'))
const amount = z.number().min(0).max(1e7)

/** A pack of a material that somebody owns. */
export const Lot = z.looseObject({
  id: z.string().min(1),
  /** Id of a catalogue or own material. */
  material: z.string().min(1),
  supplier: z.string().max(200).optional(),
  batch: z.string().max(100).optional(),
  bought: day.optional(),
  opened: day.optional(),
  expires: day.optional(),
  packGrams: amount.optional(),
  leftGrams: amount,
  /** Price of the pack, in whatever money one counts. */
  price: z.number().min(0).max(1e7).optional(),
  /** What its share of the postage came to, beside the price. */
  postage: z.number().min(0).max(1e7).optional(),
  note: z.string().max(2000).optional(),
  /** What the paper of the lot says of substances in it, percent of the material. */
  analysis: z
    .array(z.looseObject({ inci: z.string().min(1).max(200), percent: z.number().min(0).max(100) }))
    .max(200)
    .optional(),
  /** Lots that this stock was made from. */
  madeFrom: z
    .array(idOf('lot', z.string().min(1).max(200)))
    .max(50)
    .optional(),
  /** It was found to be off, and why. */
  off: z.string().max(500).optional(),
})
export type Lot = z.infer<typeof Lot>

/** Days from `today` to the end of a lot (both ISO days); negative when it is past, null without a date that is a day. */
export function daysLeft(lot: Lot, today: string): number | null {
  if (lot.expires === undefined) return null
  const days = differenceInCalendarDays(parseISO(lot.expires), parseISO(today))
  return Number.isNaN(days) ? null : days
}

export type Freshness = 'past' | 'soon' | 'good' | 'unknown'
/** A lot ends soon within 60 days. */
export function freshnessOf(lot: Lot, today: string): Freshness {
  // what was found to be off is used no more, whatever its date says
  if (lot.off !== undefined) return 'past'
  const days = daysLeft(lot, today)
  return days === null ? 'unknown' : days < 0 ? 'past' : days <= 60 ? 'soon' : 'good'
}

/** Grams of a material that are left and not past their date. */
export const stockOf = (lots: readonly Lot[], material: string, today: string): number =>
  lots
    .filter((lot) => lot.material === material && freshnessOf(lot, today) !== 'past')
    .reduce((sum, lot) => sum + lot.leftGrams, 0)

/** What is left of a pack before it runs out. */
const RUNS_OUT = 0.15

export interface Stand {
  /** Left in all, and not past its date. */
  grams: number
  /** The day that comes first among the lots that hold something. */
  expires: string | null
  freshness: Freshness
  /** Little is left of what was bought. */
  runsOut: boolean
}

/** How a material stands on the shelf; null where nothing of it is left. */
export function standOf(lots: readonly Lot[], material: string, today: string): Stand | null {
  const held = lots.filter((lot) => lot.material === material && lot.leftGrams > 0)
  if (held.length === 0) return null
  const first = held
    .filter((l) => l.expires !== undefined)
    .sort((x, y) => x.expires!.localeCompare(y.expires!))[0]
  const bought = held.reduce((sum, l) => sum + (l.packGrams ?? 0), 0)
  const left = held.reduce((sum, l) => sum + l.leftGrams, 0)
  return {
    grams: stockOf(lots, material, today),
    expires: first?.expires ?? null,
    freshness: first ? freshnessOf(first, today) : 'unknown',
    runsOut: held.every((l) => l.packGrams !== undefined) && left < bought * RUNS_OUT,
  }
}

/** Price of a gram of a lot with its share of the postage; null where it tells none. */
export const lotPrice = (lot: Lot): number | null =>
  lot.price !== undefined && (lot.packGrams ?? 0) > 0
    ? (lot.price + (lot.postage ?? 0)) / lot.packGrams!
    : null

/** What 100 g cost from one lot to the next, the oldest first; lots without a price or a day are left out. */
export const priceHistory = (lots: readonly Lot[], material: string): { day: string; per100: number }[] =>
  lots
    .flatMap((lot) => {
      const price = lot.material === material && lot.bought !== undefined ? lotPrice(lot) : null
      return price === null ? [] : [{ day: lot.bought!, per100: 100 * price }]
    })
    .sort((x, y) => x.day.localeCompare(y.day))

/** Price of a gram from the newest lot that tells one; null when none does. */
export function pricePerGram(lots: readonly Lot[], material: string): number | null {
  const newest = lots
    .filter((lot) => lot.material === material && lotPrice(lot) !== null)
    .sort((a, b) => (b.bought ?? '').localeCompare(a.bought ?? ''))[0]
  return newest ? lotPrice(newest) : null
}

/** The analysis that holds for a material: of the lot opened last, else bought last, among those not used up. */
export function analysisOf(lots: readonly Lot[], material: string): NonNullable<Lot['analysis']> | null {
  const last = (lot: Lot) => lot.opened ?? lot.bought ?? ''
  const told = lots
    .filter((lot) => lot.material === material && lot.analysis?.length && lot.leftGrams > 0)
    .sort((a, b) => last(b).localeCompare(last(a)))[0]
  return told?.analysis ?? null
}

/** Materials with the analyses of their lots. */
export function withAnalyses(materials: readonly Material[], lots: readonly Lot[]): Material[] {
  const told = new Set(lots.flatMap((lot) => (lot.analysis?.length ? [lot.material] : [])))
  return materials.map((m) => {
    const analysis = told.has(m.id) ? analysisOf(lots, m.id) : null
    return analysis ? { ...m, contains: analysis.map(({ inci, percent }) => ({ inci, percent })) } : m
  })
}

const DAYS = ['bought', 'opened', 'expires'] as const
/** A lot whose days do not exist keeps them as a note: a day that was mistyped must not cost the lot. */
export function withRealDays(lot: unknown): unknown {
  if (typeof lot !== 'object' || lot === null) return lot
  const next = { ...(lot as Record<string, unknown>) }
  for (const field of DAYS) {
    const value = next[field]
    if (typeof value !== 'string' || isRealDay(value)) continue
    delete next[field]
    next['note'] = [
      next['note'],
      WRITTEN.notes['no-day'].replace('{field}', field).replace('{text}', value.slice(0, 40)),
    ]
      .filter(Boolean)
      .join('; ')
  }
  return next
}

/** Lots of a material that have something left, the one to use up first before. */
export const lotsToUse = (lots: readonly Lot[], day: string) =>
  lots
    .filter((l) => l.leftGrams > 0)
    .sort(
      (x, y) =>
        Number(freshnessOf(x, day) === 'past') - Number(freshnessOf(y, day) === 'past') ||
        (x.expires ?? '9999').localeCompare(y.expires ?? '9999'),
    )
