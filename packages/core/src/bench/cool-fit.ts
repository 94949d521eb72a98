import { coolingMinutes, ROOM_C } from '../procedure/cooling.ts'
import type { Said } from '../text/said.ts'
import type { CoolFaultFacts } from './said.ts'

export interface CoolReading {
  /** Minutes since the beginning of the batch. */
  minutes: number
  celsius: number
}

export interface CoolFit {
  /** Newton's constant, per minute. */
  perMinute: number
  /** Minutes from the last reading until the limit is reached, and what holds 95 % of what may be. */
  minutes: number
  low: number
  high: number
  /** From one's own readings, or an estimate where there is one only. */
  from: 'readings' | 'estimate'
  /** Temperature of the law at so many minutes since the beginning. */
  at: (minutes: number) => number
}

/** A thermometer is read to this, °C; the room is known to so much where nobody measured it. */
const READING_SD = 0.4
const ROOM_SD = { measured: 0.5, guessed: 2 }
/** What the law leaves out: evaporation that fades, stirring, heat of fatty alcohols that set. Share of the time left. */
const LAW_SD = 0.1

/**
 * When a batch will have cooled to `limit` °C, by Newton's law of cooling fitted to its readings: ln(T − room) falls in
 * a straight line, weighted least squares with the error of the thermometer. The band holds two standard errors of fit,
 * room and law. A fault where it cannot be said. `learned`: how much slower than reckoned earlier batches cooled.
 */
export function fitCooling(
  readings: readonly CoolReading[],
  limit: number,
  grams: number,
  way: 'air' | 'bath',
  room: number | null,
  learned: { mean: number; sd: number | null } | null = null,
): CoolFit | { fault: Said<CoolFaultFacts> } | { there: number } {
  const last = readings.at(-1)
  if (!last) return { fault: { code: 'no-reading' } }
  if (last.celsius <= limit) return { there: last.celsius }
  const ambient = room ?? (way === 'bath' ? 12 : ROOM_C)
  if (limit <= ambient + 0.5) return { fault: { code: 'never-below', ambientC: ambient } }
  const used = readings.filter((r) => r.celsius > ambient + 1)
  const first = used[0]!
  if (used.length < 2 || last.minutes - first.minutes < 0.02) {
    // earlier batches tell how much slower one's own beakers are; of a few their spread is not trusted
    const times = learned?.mean ?? 1
    const spread = learned ? Math.max(0.15, (2 * (learned.sd ?? 0.3)) / learned.mean) : null
    const minutes = coolingMinutes(last.celsius, limit, grams, way === 'bath')! * times
    const perMinute = Math.log((last.celsius - ambient) / (limit - ambient)) / minutes
    return {
      perMinute,
      minutes,
      low: minutes * (spread === null ? 0.5 : Math.max(0.3, 1 - spread)),
      high: minutes * (spread === null ? 1.6 : 1 + spread),
      from: 'estimate',
      at: law(last, perMinute, ambient),
    }
  }
  const fit = line(used, ambient)
  if (fit.k <= 1e-5) return { fault: { code: 'not-colder' } }
  const timeTo = (f: { a: number; k: number }, around: number) =>
    (f.a - Math.log(limit - around)) / f.k - last.minutes
  const minutes = Math.max(0, timeTo(fit, ambient))
  const step = (key: 'a' | 'k', by: number) =>
    (timeTo({ ...fit, [key]: fit[key] + by }, ambient) - timeTo({ ...fit, [key]: fit[key] - by }, ambient)) /
    (2 * by)
  const da = step('a', 1e-4)
  const dk = step('k', fit.k * 1e-3)
  const variance = da * da * fit.vaa + dk * dk * fit.vkk + 2 * da * dk * fit.vak
  const roomSd = room === null ? ROOM_SD.guessed : ROOM_SD.measured
  const warmer = Math.min(ambient + roomSd, limit - 0.3)
  const other = timeTo(line(used, warmer), warmer)
  const sd = Math.hypot(Math.sqrt(Math.max(0, variance)), other - minutes, LAW_SD * minutes)
  return {
    perMinute: fit.k,
    minutes,
    low: Math.max(0, minutes - 2 * sd),
    high: minutes + 2 * sd,
    from: 'readings',
    at: (t) => ambient + Math.exp(fit.a - fit.k * t),
  }
}

const law = (from: CoolReading, k: number, ambient: number) => (t: number) =>
  ambient + (from.celsius - ambient) * Math.exp(-k * (t - from.minutes))

/** ln(T − room) = a − k t, with variances of both. */
function line(readings: readonly CoolReading[], ambient: number) {
  let w = 0
  let wt = 0
  let wtt = 0
  let wy = 0
  let wty = 0
  for (const { minutes: t, celsius } of readings) {
    const excess = Math.max(0.5, celsius - ambient)
    const weight = (excess / READING_SD) ** 2
    const y = Math.log(excess)
    w += weight
    wt += weight * t
    wtt += weight * t * t
    wy += weight * y
    wty += weight * t * y
  }
  const det = w * wtt - wt * wt
  return {
    a: (wtt * wy - wt * wty) / det,
    k: -(w * wty - wt * wy) / det,
    vaa: wtt / det,
    vkk: w / det,
    // The slope is −k, so its covariance with the start changes sign.
    vak: wt / det,
  }
}

/** Minutes between two rounds of stirring while it cools, by how fast the emulsifier sets and how warm it is. */
export const stirEvery = (setting: 'fast' | 'medium' | 'slow', celsius: number) =>
  ({ fast: 3, medium: 5, slow: 8 })[setting] * (celsius < 45 ? 2 : 1)
