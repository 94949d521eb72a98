import * as z from 'zod'
import { readFigure } from '../text/numbers.ts'
import type { Reading } from '../shapes/formula.ts'
import type { Said } from '../text/said.ts'
import type { MeterFacts, PhFaultFacts } from './said.ts'

/** A two-point calibration of a pH meter, as it was read. */
export const Calibration = z.object({
  /** Day, as 2026-05-01. */
  at: z.string(),
  /** pH of the buffers at the temperature, and what the meter showed in them, mV. */
  high: z.object({ ph: z.number().min(0).max(14), mv: z.number().min(-600).max(600) }),
  low: z.object({ ph: z.number().min(0).max(14), mv: z.number().min(-600).max(600) }),
  celsius: z.number().min(0).max(60),
  /** Since when the electrode is in use. */
  electrodeSince: z.string().optional(),
})
export type Calibration = z.infer<typeof Calibration>

/** Nernst slope 2.302585 R T / F, mV per pH (CODATA 2018: R 8.314462618, F 96485.33212). */
export const nernstSlope = (celsius: number) =>
  ((Math.LN10 * 8.314462618 * (celsius + 273.15)) / 96485.33212) * 1000

export interface MeterState {
  slopePercent: number
  /** Reading at pH 7, mV. */
  offsetMv: number
  ageDays: number
  /** `check` where it must not be trusted, `note` where it is due. */
  state: 'fine' | 'note' | 'check'
  findings: { severity: 'check' | 'note'; said: Said<MeterFacts> }[]
  /** Times the usual error that a reading with it has. */
  doubt: number
}

/** A meter wants its buffers again after this many days (common practice: each session of work). */
const DUE_DAYS = 7
const SLOPE = { spent: 85, min: 95, max: 105 }
/** Asymmetry in mV: to about 15 is usual, beyond 30 the electrode is spent (makers' notes, from memory). */
const OFFSET = { usual: 15, most: 30 }
const ELECTRODE_DAYS = 730

/**
 * What a calibration says, so many days after it was made: slope in percent of Nernst's at its temperature, offset, and
 * what to do about it. Source: the Nernst equation.
 */
export function meterState(c: Calibration, age: { days: number; electrodeDays?: number }): MeterState {
  const slope = (c.low.mv - c.high.mv) / (c.high.ph - c.low.ph)
  const slopePercent = (100 * slope) / nernstSlope(c.celsius)
  const offsetMv = c.high.mv - slope * (7 - c.high.ph)
  const ageDays = Math.max(0, age.days)
  const findings: MeterState['findings'] = []
  if (slopePercent < SLOPE.min || slopePercent > SLOPE.max)
    findings.push({
      severity: 'check',
      said: {
        code: 'slope',
        percent: slopePercent,
        cause: slopePercent < SLOPE.spent ? 'spent' : slopePercent < SLOPE.min ? 'low' : 'high',
      },
    })
  if (Math.abs(offsetMv) > OFFSET.usual)
    findings.push({
      severity: Math.abs(offsetMv) > OFFSET.most ? 'check' : 'note',
      said: {
        code: 'offset',
        millivolts: offsetMv,
        mostMillivolts: Math.abs(offsetMv) > OFFSET.most ? OFFSET.most : OFFSET.usual,
      },
    })
  if (ageDays > DUE_DAYS)
    findings.push({
      severity: 'note',
      said: { code: 'due', days: ageDays },
    })
  if (age.electrodeDays !== undefined && age.electrodeDays > ELECTRODE_DAYS)
    findings.push({
      severity: 'note',
      said: { code: 'old-electrode' },
    })
  const state = findings.some((f) => f.severity === 'check') ? 'check' : findings.length > 0 ? 'note' : 'fine'
  return {
    slopePercent,
    offsetMv,
    ageDays,
    state,
    findings,
    doubt: state === 'check' ? 4 : state === 'note' ? 2 : 1,
  }
}

/** Why two buffers cannot calibrate; null when they can. */
export function calibrationFault(c: Calibration): Said<PhFaultFacts> | null {
  if (Math.abs(c.high.ph - c.low.ph) < 1.5) return { code: 'buffers-close' }
  if (c.high.ph < c.low.ph) return { code: 'buffers-order' }
  if (c.low.mv <= c.high.mv) return { code: 'buffers-millivolts' }
  return null
}

/** What a strip shows between two of its colours: `5-6`, `5,5 to 6`, `between 5 and 6`. */
const BETWEEN = /^(?:between\s+)?(\d+(?:[.,]\d+)?)\s*(?:[-\u2013/]|to|and)\s*(\d+(?:[.,]\d+)?)$/i

/**
 * A pH as it is typed, 0 to 14, with a comma or a dot; `null` while nothing is. Between two colours of a strip it is their
 * middle, and read by a strip, whatever was chosen: it tells to half a unit either way. Errors say why not.
 */
export function parseReading(
  typed: string,
  method: Reading['method'],
): Pick<Reading, 'ph' | 'method'> | { error: Said<PhFaultFacts> } | null {
  const text = typed.trim()
  const between = BETWEEN.exec(text)
  if (between) {
    const [low, high] = [between[1]!, between[2]!].map((t) => Number(t.replace(',', '.'))) as [number, number]
    const ph = Number(((low + high) / 2).toFixed(2))
    const fault =
      readingFault(low) ??
      readingFault(high) ??
      (high < low || high - low > 2 ? ({ code: 'two-colours' } as const) : null)
    return fault ? { error: fault } : { ph, method: 'strip' }
  }
  const parsed = readFigure(text, { min: -100, max: 1e6 })
  if ('fault' in parsed) return { error: { code: 'typed', fault: parsed.fault, what: 'ph' } }
  if (parsed.value === null) return null
  const fault = readingFault(parsed.value)
  return fault ? { error: fault } : { ph: parsed.value, method }
}

/** Why a figure is no pH, such as 41 for 4.1; null where it is one. */
export function readingFault(value: number): Said<PhFaultFacts> | null {
  if (value >= 0 && value <= 14) return null
  const meant = value > 14 && value < 140 ? value / 10 : value >= 140 && value < 1400 ? value / 100 : null
  return meant === null ? { code: 'no-ph' } : { code: 'meant-ph', typed: value, meant }
}
