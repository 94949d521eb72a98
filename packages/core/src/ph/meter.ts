import * as z from 'zod'
import { parseNumber } from '../text/numbers.ts'
import type { Reading } from '../shapes/formula.ts'
import { sayNumber } from '../text/format.ts'

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
  findings: { severity: 'check' | 'note'; message: string; why: string; source: string }[]
  /** Times the usual error that a reading with it has. */
  doubt: number
}

/** A meter wants its buffers again after this many days (common practice: each session of work). */
const DUE_DAYS = 7
const SLOPE = { min: 95, max: 105 }
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
  const source = 'practice of electrode makers'
  if (slopePercent < SLOPE.min || slopePercent > SLOPE.max)
    findings.push({
      severity: 'check',
      message: `The slope is ${sayNumber(slopePercent, 1)} % of Nernst’s; 95–105 % is sound.`,
      why:
        slopePercent < 85
          ? 'The electrode is spent, or a buffer was taken for another.'
          : slopePercent < SLOPE.min
            ? 'Clean the electrode, take fresh buffers and do it again.'
            : 'Take fresh buffers and check their pH and the temperature.',
      source,
    })
  if (Math.abs(offsetMv) > OFFSET.usual)
    findings.push({
      severity: Math.abs(offsetMv) > OFFSET.most ? 'check' : 'note',
      message: `At pH 7 it shows ${sayNumber(offsetMv, 1)} mV; up to ${Math.abs(offsetMv) > OFFSET.most ? OFFSET.most : OFFSET.usual} either way is sound.`,
      why: 'The electrode is dry, dirty or worn. Soak it in its storage solution and try again.',
      source,
    })
  if (ageDays > DUE_DAYS)
    findings.push({
      severity: 'note',
      message: `Last calibrated ${ageDays} days ago.`,
      why: 'Set it with two buffers on either side of the pH before each session.',
      source: 'common practice',
    })
  if (age.electrodeDays !== undefined && age.electrodeDays > ELECTRODE_DAYS)
    findings.push({
      severity: 'note',
      message: 'The electrode is over two years old.',
      why: 'Most last one to two years; watch its slope.',
      source: 'common practice',
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

/** Why two buffers cannot calibrate, as a sentence; null when they can. */
export function calibrationFault(c: Calibration): string | null {
  if (Math.abs(c.high.ph - c.low.ph) < 1.5)
    return 'The buffers are too close together. Take two that are at least 2 pH apart, such as 7.00 and 4.01.'
  if (c.high.ph < c.low.ph) return 'Enter the buffer with the higher pH first.'
  if (c.low.mv <= c.high.mv)
    return 'The millivolts must rise as the pH falls. Check which figure belongs to which buffer.'
  return null
}

/** What a strip shows between two of its colours: `5-6`, `5,5 to 6`, `between 5 and 6`. */
const BETWEEN = /^(?:between\s+)?(\d+(?:[.,]\d+)?)\s*(?:[-\u2013/]|to|and)\s*(\d+(?:[.,]\d+)?)$/i

/**
 * A pH as it is typed, 0 to 14, with a comma or a dot; `null` while nothing is. Between two colours of a strip it is their
 * middle, and read by a strip, whatever was chosen: it tells to half a unit either way. Errors say what to type.
 */
export function parseReading(
  typed: string,
  method: Reading['method'],
): Pick<Reading, 'ph' | 'method'> | { error: string } | null {
  const text = typed.trim()
  const between = BETWEEN.exec(text)
  if (between) {
    const [low, high] = [between[1]!, between[2]!].map((t) => Number(t.replace(',', '.'))) as [number, number]
    const ph = Number(((low + high) / 2).toFixed(2))
    const fault =
      readingFault(low) ??
      readingFault(high) ??
      (high < low || high - low > 2 ? 'Type the two colours that it lies between, the lower first.' : null)
    return fault ? { error: fault } : { ph, method: 'strip' }
  }
  const parsed = parseNumber(text, { min: -100, max: 1e6, what: 'the pH' })
  if ('error' in parsed) return parsed
  if (parsed.value === null) return null
  const fault = readingFault(parsed.value)
  return fault ? { error: fault } : { ph: parsed.value, method }
}

/** A sentence where a pH was mistyped, such as 41 for 4.1; null where it is a pH. */
export function readingFault(value: number): string | null {
  if (value >= 0 && value <= 14) return null
  const meant = value > 14 && value < 140 ? value / 10 : value >= 140 && value < 1400 ? value / 100 : null
  return meant === null
    ? 'pH lies between 0 and 14. Type what the meter or strip shows.'
    : `${sayNumber(value)} is no pH. Did you mean ${sayNumber(meant)}?`
}
