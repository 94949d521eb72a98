import { actualFormula } from '../bench/actual.ts'
import { fitCooling } from '../bench/cool-fit.ts'
import type { BatchState } from '../bench/types.ts'
import { coolingMinutes, ROOM_C } from '../procedure/cooling.ts'
import type { Grade } from '../batch/watch-data.ts'
import { historyOf } from './history.ts'

/** What one finished batch teaches of its maker’s tools and of its formula; what it does not tell is left out. */
export interface Taught {
  /** What stayed on tools and was taken for readings, percent of what was made, and what it was filled into. */
  lossPercent?: number
  container?: string
  /** Grams of a drop of an adjuster, by doses that were weighed and counted. */
  dropGrams?: number
  /** How much longer it cooled than a beaker of that size is reckoned to, in air or in a bath: times. */
  slowness?: { way: 'air' | 'bath'; times: number }
  /** Water that left by heating, percent of what was made. */
  evaporatedPercent?: number
  /** What the vessel weighs empty in which the batch stood when it was filled: by that it is known again, grams. */
  vesselGrams?: number
  /** How far the pH moved from filling until a week later. */
  phMoved?: number
}

const LEAST_DROPS = 10
function dropOf(s: BatchState): number | null {
  const counted = s.doses.filter((d) => d.drops !== null)
  const drops = counted.reduce((sum, d) => sum + d.drops!, 0)
  return drops >= LEAST_DROPS ? counted.reduce((sum, d) => sum + d.grams, 0) / drops : null
}

/** Readings in one way of cooling, fitted, beside what is reckoned for a beaker of that size. */
function slownessOf(s: BatchState, grams: number): Taught['slowness'] | null {
  const way = s.cooling?.way
  if (way !== 'air' && way !== 'bath') return null
  const readings = s.temperatures
    .filter((t) => t.minutes >= s.cooling!.since)
    .map(({ minutes, celsius }) => ({ minutes, celsius }))
  const [first, last] = [readings[0], readings.at(-1)]
  if (!first || !last || readings.length < 3 || first.celsius - last.celsius < 10) return null
  const ambient = s.room ?? (way === 'bath' ? 12 : ROOM_C)
  const fit = fitCooling(readings, ambient + 1, Math.max(20, grams), way, s.room)
  const usual = coolingMinutes(
    first.celsius,
    Math.max(last.celsius, ROOM_C + 3),
    Math.max(20, grams),
    way === 'bath',
  )
  if (!('perMinute' in fit) || fit.from !== 'readings' || !usual) return null
  const to = Math.max(last.celsius, ROOM_C + 3)
  const took = Math.log((first.celsius - ambient) / (to - ambient)) / fit.perMinute
  return { way, times: took / usual }
}

const A_WEEK = 7
function movedOf(s: BatchState): number | null {
  const reads = historyOf(s.events).answers.filter(
    (a) =>
      !a.corrected && a.property === 'ph' && a.sample === 'room' && a.way === 'meter' && a.value !== null,
  )
  const start = reads.find((a) => a.age < 1.5)?.value ?? s.readings.findLast((r) => r.method !== 'strip')?.ph
  const week = reads.find((a) => a.age >= A_WEEK * 0.9)?.value
  return start === undefined || week == null || start === null ? null : week - start
}

/** What a finished batch teaches. */
export function taughtBy(s: BatchState): Taught {
  const made = actualFormula(s)?.batchGrams ?? 0
  const filled = s.finished?.filledGrams
  const drop = dropOf(s)
  const slowness = slownessOf(s, made)
  const moved = movedOf(s)
  const vessel = vesselOf(s)
  return {
    ...(made > 0 && filled !== undefined ? { lossPercent: Math.max(0, 100 * (1 - filled / made)) } : {}),
    ...(s.finished?.container === undefined ? {} : { container: s.finished.container }),
    ...(drop === null ? {} : { dropGrams: drop }),
    ...(slowness ? { slowness } : {}),
    ...(made > 0 && s.evaporated > 0
      ? { evaporatedPercent: (100 * s.evaporated) / (made + s.evaporated) }
      : {}),
    ...(moved === null ? {} : { phMoved: moved }),
    ...(vessel === null ? {} : { vesselGrams: vessel }),
  }
}

/** Empty weight of the vessel that the batch is filled from, where it was weighed. */
export const vesselOf = (s: Pick<BatchState, 'plan' | 'vessels'>): number | null =>
  s.vessels.get(s.plan.steps.findLast((step) => step.kind === 'fill')?.vessel ?? '') ?? null

/** Two weighings of one empty vessel lie no further apart, grams. */
const SAME_VESSEL = 1
/** What a lesson is of, when it is to be of one vessel: the way of cooling, and the vessel's empty weight. */
export const inVessel = (of: string | null, vesselGrams: number) => `${of ?? ''}@${vesselGrams}`
/** Whether a batch stood in the vessel that a lesson is of; one that is of none is of all. */
function isOf({ taught }: Teacher, of: string | null): { way: string; here: boolean } {
  const [way = '', vessel] = (of ?? '').split('@')
  return {
    way,
    here: vessel === undefined || Math.abs((taught?.vesselGrams ?? Infinity) - Number(vessel)) <= SAME_VESSEL,
  }
}

export const LESSONS = ['loss', 'drop', 'cooling', 'evaporation', 'drift', 'sound', 'failed'] as const
export type LearnedValue = (typeof LESSONS)[number]

/** A mean of so many batches, with its spread where there are two or more. */
export interface Learned {
  n: number
  mean: number
  sd: number | null
  least: number
  most: number
}

interface Teacher {
  formulaId: string | null
  startedAt: string
  status: string
  taught?: Taught
  watch?: { grade: Grade | null; soundMonths: number; failedMonths?: number }
}

/** What a batch says of a lesson; null where it says nothing. `of`: a formula, a container, a way of cooling, a vessel. */
const SAYS: Record<LearnedValue, (t: Teacher, of: string | null) => number | null> = {
  loss: ({ taught }, of) =>
    taught?.lossPercent !== undefined && (of === null || taught.container === of) ? taught.lossPercent : null,
  drop: ({ taught }) => taught?.dropGrams ?? null,
  cooling: (t, of) =>
    isOf(t, of).here && t.taught?.slowness?.way === isOf(t, of).way ? t.taught.slowness.times : null,
  evaporation: (t, of) => (isOf(t, of).here ? (t.taught?.evaporatedPercent ?? null) : null),
  drift: ({ taught, formulaId }, of) =>
    formulaId !== null && formulaId === of ? (taught?.phMoved ?? null) : null,
  sound: ({ watch, formulaId }, of) =>
    formulaId !== null && formulaId === of && watch?.grade === 'fine' && watch.soundMonths > 0
      ? watch.soundMonths
      : null,
  failed: ({ watch, formulaId }, of) =>
    formulaId !== null && formulaId === of ? (watch?.failedMonths ?? null) : null,
}

/**
 * What batches taught, each finished one that says something of it; those that began before `since` were forgotten. Null
 * where none does.
 */
export function learn(
  batches: readonly Teacher[],
  lesson: LearnedValue,
  of: string | null = null,
  since = '',
): Learned | null {
  const values = batches
    .filter((b) => b.status === 'finished' && b.startedAt > since)
    .flatMap((b) => SAYS[lesson](b, of) ?? [])
  if (values.length === 0) return null
  const n = values.length
  const mean = values.reduce((s, v) => s + v, 0) / n
  const sd = n < 2 ? null : Math.sqrt(values.reduce((s, v) => s + (v - mean) ** 2, 0) / (n - 1))
  return { n, mean, sd, least: Math.min(...values), most: Math.max(...values) }
}
