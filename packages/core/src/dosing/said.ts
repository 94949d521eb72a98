import type { PhFaultFacts } from '../ph/said.ts'
import type { Site } from '../shapes/formula.ts'
import type { Plain } from '../text/said.ts'

/** Why there is no dose. */
export interface DoseFaultFacts extends PhFaultFacts {
  'target-too-acidic': { ph: number }
  'target-too-alkaline': { ph: number }
  'no-strength': Plain
  'no-dose': Plain
  'more-than-batch': Plain
  /** Reading and formula ask for opposite ways. */
  opposite: { read: number; predicted: number }
  'wrong-direction': { ph: number; up: boolean; name: string; direction: 'up' | 'down' }
  'too-weak': {
    name: string
    strengthPercent: number
    reachesPh: number
    /** What gets there: the same adjuster stronger, where it has no name. */
    instead: { name: string | null; strengthPercent: number } | null
  }
}

/** What a dose changes besides the pH. */
export interface DoseEffectFacts {
  total: Plain
  fill: { name: string }
  ions: Plain
  acid: { inci: string }
}

/** What a pH does to an acid, a preservative or a range. */
export interface PhEffectFacts {
  /** As the data of its constants or its pH range tell it. */
  own: { text: string }
  'preserves-enough': Plain
  'preserves-short': Plain
  'preserves-under-half': Plain
  'preserves-nothing': Plain
  'others-preserve': Plain
  stings: Plain
  'mostly-salt': Plain
  exfoliates: Plain
  window: { range: { min: number; max: number }; grade: 'works' | 'holds' | 'prefers'; inside: boolean }
}

/** What goes on moving the pH. */
export interface DriftFacts {
  own: { text: string }
  'slow-solid': Plain
  'slow-ph': Plain
}

/** What sets an end of the shared range. */
export interface BlockerFacts {
  item: { label: string }
  site: { site: Site }
}
