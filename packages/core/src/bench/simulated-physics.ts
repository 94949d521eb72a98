import type { InstrumentKind } from './instruments.ts'

/** A bench of beakers with instruments that can be rehearsed on; all amounts grams, °C and pH, all times seconds. */
export interface SimVessel {
  name: string
  tareGrams: number
  /** Grams of each line of the formula. */
  content: number[]
  /** Adjusters that were dripped in. */
  doses: { key: string; strengthPercent: number; grams: number }[]
  celsius: number
  heatTo: number | null
  way: 'air' | 'bath'
  covered: boolean
  evaporated: number
}

export interface SimSettings {
  seed: number
  /** Simulated seconds per second. */
  speed: number
  resolution: number
  capacity: number
  room: number
}

export type Hand =
  | { do: 'place'; vessel: string }
  | { do: 'clear' }
  | { do: 'pour'; line: number; grams: number }
  | { do: 'take'; line: number; grams: number }
  | { do: 'water'; grams: number }
  | { do: 'drip'; material: string; strengthPercent: number; grams: number }
  | { do: 'heat'; vessel: string; celsius: number | null }
  | { do: 'way'; vessel: string; way: 'air' | 'bath' }
  | { do: 'cover'; vessel: string; covered: boolean }
  | { do: 'combine'; from: string; into: string }
  | { do: 'probe'; vessel: string | null }
  | { do: 'thermometer'; vessel: string | null }
  | { do: 'tare' }
  | { do: 'plug'; instrument: InstrumentKind; in: boolean }
  | { do: 'speed'; speed: number }

export const WATER_HEAT = 4.18
export const OIL_HEAT = 2.0
/** Loss of heat by way of cooling, W per K for 100 g (physics: 0.020 and 0.18 per minute of 450 J/K). */
export const LOSS = { air: 0.15, bath: 1.35 }
/** A hot-water bath gives so much, W per K of difference, and never overshoots. */
export const BATH_GAIN = 2.2
/** Water that leaves an open beaker at 75 °C, g per minute; a tenth of it at 45 °C; covered a seventh. */
export const EVAPORATES = 0.45
export const SCALE_TAU = 0.15
export const THERMOMETER_TAU = 3
export const PROBE_TAU = 4
