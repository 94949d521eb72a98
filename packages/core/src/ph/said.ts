import type { TypedFault } from '../text/numbers.ts'
import type { Plain } from '../text/said.ts'

/** Why a strength, a solution or a pH cannot be. */
export interface PhFaultFacts {
  'strength-zero': Plain
  'strength-above-100': Plain
  'not-soluble': { name: string; mostPercent: number; usualPercent: number }
  'unknown-adjuster': Plain
  'stronger-than-stock': { stockPercent: number; strengthPercent: number }
  'too-little-to-weigh': Plain
  'no-ph': Plain
  /** A slip of the decimal mark. */
  'meant-ph': { typed: number; meant: number }
  'two-colours': Plain
  /** What a field of figures said of it. */
  typed: { fault: TypedFault; what: 'strength' | 'ph' }
  'buffers-close': Plain
  'buffers-order': Plain
  'buffers-millivolts': Plain
}

/** How a solution is made, and what hands and eyes need. */
export interface SolutionStepFacts {
  water: Plain
  'add-liquid': { name: string }
  'add-solid': { name: string }
  cool: Plain
  clear: Plain
}

/** What a calibration says of a meter. */
export interface MeterFacts {
  slope: { percent: number; cause: 'spent' | 'low' | 'high' }
  offset: { millivolts: number; mostMillivolts: number }
  due: { days: number }
  'old-electrode': Plain
}

/** Why no pH can be predicted. */
export interface NoPhFacts {
  'water-in-oil': Plain
  'too-little-water': Plain
  soap: Plain
  'sets-own-ph': { name: string }
}
