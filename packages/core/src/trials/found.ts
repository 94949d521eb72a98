import { READING_SD } from '../dosing/fit.ts'
import type { Forecast } from '../derived/forecast.ts'
import { BODIES } from '../feel/body.ts'
import type { BatchState } from '../bench/types.ts'
import type { Measured } from '../shapes/trial.ts'

export const FROST_FOUND = ['held', 'softer', 'split'] as const
export type FrostFound = (typeof FROST_FOUND)[number]

/** What was expected beside what was found. */
export type ForecastAndFound = (
  | {
      what: 'ph'
      expected: { low: number; high: number } | null
      found: { ph: number; method: Measured['way'] }
    }
  | { what: 'body'; expected: Forecast['body']; found: string }
  | { what: 'frost'; expected: NonNullable<Forecast['frost']> | null; found: string }
) & {
  /** Null where nothing was expected. */
  fits: boolean | null
  /** Where it does not fit: how Omblet was wrong. */
  missed: 'too-low' | 'too-high' | 'too-optimistic' | 'too-pessimistic' | null
}

/** Room that a reading has beside a forecast, pH: twice the error of how it was read; of a strip where nobody said. */
const roomOf = (way: Measured['way']) => 2 * READING_SD[way ?? 'strip']

/** Forecast against what was found of one sample, where both are there or something was found. */
export function forecastAndFound(f: Forecast | null, measured: readonly Measured[]): ForecastAndFound[] {
  const last = (what: Measured['what']) => measured.findLast((m) => m.what === what)
  return [...phRow(f, last('ph')), ...bodyRow(f, last('body')?.choice), ...frostRow(f, last('frost')?.choice)]
}

const missed = (low: boolean) => (low ? 'too-low' : 'too-high')

function phRow(f: Forecast | null, read: Measured | undefined): ForecastAndFound[] {
  const ph = read?.value
  if (ph === undefined) return []
  const e = f?.ph ?? null
  const room = roomOf(read?.way)
  const fits = e ? ph >= e.low - room && ph <= e.high + room : null
  return [
    {
      what: 'ph',
      expected: e,
      found: { ph, method: read?.way },
      fits,
      missed: fits === false ? missed(ph > e!.high) : null,
    },
  ]
}

function bodyRow(f: Forecast | null, body: string | undefined): ForecastAndFound[] {
  if (body === undefined) return []
  const e = f?.body ?? null
  const at = (b: string) => (BODIES as readonly string[]).indexOf(b)
  const fits = e ? at(body) >= at(e.low) && at(body) <= at(e.high) : null
  return [
    {
      what: 'body',
      expected: e,
      found: body,
      fits,
      missed: fits === false ? missed(at(body) > at(e!.high)) : null,
    },
  ]
}

function frostRow(f: Forecast | null, frost: string | undefined): ForecastAndFound[] {
  if (frost === undefined) return []
  const e = f?.frost ?? null
  const split = frost === 'split'
  const fits = !e ? null : e === 'doubtful' ? true : (e === 'splits') === split
  return [
    {
      what: 'frost',
      expected: e,
      found: frost,
      fits,
      missed: fits === false ? (split ? 'too-optimistic' : 'too-pessimistic') : null,
    },
  ]
}

/**
 * What the batch of a sample tells by itself: the first pH before anything was adjusted, of all of it where it was read
 * when everything was in, for that is what was forecast.
 */
export function foundInBatch(
  sample: string,
  { readings, doses, events }: Pick<BatchState, 'readings' | 'doses' | 'events'>,
): Measured[] {
  const dosed = doses[0]?.n ?? Infinity
  const whole = events.findLast((e) => e.type === 'weigh')?.n ?? 0
  const before = readings.filter((r) => r.n < dosed)
  const reading = before.find((r) => r.n > whole) ?? before[0]
  return reading ? [{ sample, what: 'ph', value: reading.ph, way: reading.method }] : []
}
