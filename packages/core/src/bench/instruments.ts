import { fieldFault } from '../shapes/field-fault.ts'
import * as z from 'zod'

export const INSTRUMENTS = ['scale', 'thermometer', 'ph'] as const
export type InstrumentKind = (typeof INSTRUMENTS)[number]
export const UNITS: Record<InstrumentKind, string> = { scale: 'g', thermometer: '°C', ph: 'pH' }

/** How lines of an instrument are read, and how it is spoken to over a serial port. */
export const LinePattern = z.object({
  /** Only lines with this text carry a reading; empty for all lines with a number. */
  marker: z.string().max(40),
  /** Text that says that the value has settled; empty where the instrument does not tell. */
  steady: z.string().max(40),
  /** Text of a line that shows that nothing can be read: overload, no probe. */
  fault: z.string().max(40),
  /** What a reading is multiplied by to come to grams, °C or pH. */
  factor: z.number().refine((f) => f !== 0 && Math.abs(f) <= 1e6, fieldFault('not-zero')),
  decimalComma: z.boolean(),
})
export type LinePattern = z.infer<typeof LinePattern>

export const SerialSettings = z.object({
  baudRate: z.number().int().min(300).max(1_000_000),
  dataBits: z.union([z.literal(7), z.literal(8)]),
  stopBits: z.union([z.literal(1), z.literal(2)]),
  parity: z.enum(['none', 'even', 'odd']),
  /** Sent again and again to ask for a reading; empty where it speaks by itself. */
  ask: z.string().max(40),
  pattern: LinePattern,
})
export type SerialSettings = z.infer<typeof SerialSettings>

export const DEFAULT_SERIAL: SerialSettings = {
  baudRate: 9600,
  dataBits: 8,
  stopBits: 1,
  parity: 'none',
  ask: '',
  pattern: { marker: '', steady: '', fault: '', factor: 1, decimalComma: false },
}

/** How the simulated instruments speak: `mass 12.34 g steady`. */
export const SIMULATED: Record<InstrumentKind, LinePattern> = {
  scale: { marker: 'mass', steady: 'steady', fault: 'over', factor: 1, decimalComma: false },
  thermometer: { marker: 'temp', steady: 'steady', fault: 'none', factor: 1, decimalComma: false },
  ph: { marker: 'ph', steady: 'steady', fault: 'none', factor: 1, decimalComma: false },
}

export type LineReading =
  { kind: 'value'; value: number; steady: boolean | null } | { kind: 'fault' } | { kind: 'other' }

const NUMBER = /[-+−]?\s*\d+(?:\.\d+)?|[-+−]?\s*\.\d+/
const LONGEST = 200

/** Reads one line of an instrument: its first number after the marker, whether it has settled, or that it cannot tell. */
export function readLine(line: string, pattern: LinePattern): LineReading {
  const text = line.slice(0, LONGEST)
  const at = pattern.marker === '' ? 0 : text.indexOf(pattern.marker)
  if (at < 0) return { kind: 'other' }
  const rest = text.slice(at + pattern.marker.length)
  if (pattern.fault !== '' && rest.includes(pattern.fault)) return { kind: 'fault' }
  const match = NUMBER.exec(pattern.decimalComma ? rest.replace(/,/g, '.') : rest)
  if (!match) return { kind: 'other' }
  const value = Number(match[0].replace(/\s/g, '').replace('−', '-')) * pattern.factor
  if (!Number.isFinite(value)) return { kind: 'other' }
  return {
    kind: 'value',
    value: Number(value.toPrecision(12)),
    steady: pattern.steady === '' ? null : rest.includes(pattern.steady),
  }
}

/** What an instrument shows. */
export interface Shown {
  value: number
  steady: boolean
  /** Milliseconds since 1970. */
  at: number
}

/** What a settled value may wander by within the last seconds. */
const WANDERS: Record<InstrumentKind, number> = { scale: 0, thermometer: 0.3, ph: 0.03 }
const SETTLE_MS: Record<InstrumentKind, number> = { scale: 800, thermometer: 2000, ph: 4000 }

/**
 * Follows the readings of one instrument. Where it does not tell by itself, a value has settled when it stayed within
 * what it may wander for a while.
 */
export class Follower {
  private recent: { value: number; at: number }[] = []
  private readonly kind: InstrumentKind
  private readonly pattern: LinePattern
  private readonly resolution: number

  constructor(kind: InstrumentKind, pattern: LinePattern, resolution: number) {
    this.kind = kind
    this.pattern = pattern
    this.resolution = resolution
  }

  /** Takes in a line at `at` milliseconds; null for what is no reading. */
  take(line: string, at: number): Shown | 'fault' | null {
    const read = readLine(line, this.pattern)
    if (read.kind === 'other') return null
    if (read.kind === 'fault') {
      this.recent = []
      return 'fault'
    }
    this.recent = [...this.recent, { value: read.value, at }]
      .filter((r) => at - r.at <= SETTLE_MS[this.kind] * 1.5)
      .slice(-200)
    return { value: read.value, steady: read.steady ?? this.settled(at), at }
  }

  private settled(at: number): boolean {
    const from = at - SETTLE_MS[this.kind]
    const seen = this.recent.filter((r) => r.at >= from).map((r) => r.value)
    if (seen.length < 3 || this.recent[0]!.at > from) return false
    const width = Math.max(...seen) - Math.min(...seen)
    return width <= Math.max(WANDERS[this.kind], this.kind === 'scale' ? this.resolution * 1.01 : 0)
  }
}

/** Cuts a stream of text into lines, whatever ends them; what never ends is cut. */
export class LineCutter {
  private rest = ''
  cut(chunk: string): string[] {
    const parts = (this.rest + chunk).split(/\r\n|\n|\r/)
    this.rest = parts.pop()!.slice(-LONGEST * 5)
    return parts.filter((p) => p.trim() !== '')
  }
}
