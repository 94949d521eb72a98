import type { WeighedName } from '../lines/weighed.ts'
import type { StepNamed } from '../procedure/steps.ts'
import type { Plain } from '../text/said.ts'

/** What the scale tells, grams: amounts are said as it shows them. */
interface Scale {
  resolutionGrams: number
}

/** Why something cannot happen to a batch now. */
export interface RefusalFacts {
  finished: Plain
  'not-finished': { correction: boolean }
  'no-such-line': Plain
  'already-started': Plain
  'nothing-weighed': Plain
  'not-so-much': { grams: number }
  'dilution-overused': Plain
  'dilution-carrier': Plain
  'no-such-entry': Plain
  'not-undoable': Plain
  'already-undone': Plain
  'skip-reason': Plain
  'sample-twice': Plain
  'look-without-sample': Plain
  'no-such-patch': Plain
  'not-paused': Plain
  'no-such-sample': Plain
  'other-question': Plain
  'no-such-answer': Plain
  'no-way': Plain
  'wrong-way': Plain
  'out-of-range': { least: number; most: number; unit: string }
  'no-answer': Plain
}

/** What went otherwise than planned; grams. */
export interface DeviationFacts {
  skipped: { step: StepNamed | null; reason: string }
  'left-so': Scale & { name: string | null; grams: number; target: number }
  'made-larger': { percent: number; lines: number | 'all' }
  'taken-out': Scale & { name: string | null; grams: number }
  discarded: { weighings: number; reason: string }
  dilution: Scale & {
    name: string | null
    carrier: string | null
    soluteGrams: number
    carrierGrams: number
    usedGrams: number
  }
  'unnamed-adjuster': Scale & { name: string; grams: number }
  paused: { reason: string }
  'looked-wrong': { text: string }
  'water-not-replaced': Scale & { grams: number }
}

/** Why no weight can be recorded now. */
export interface NoWeightFacts {
  'no-scale': Plain
  'not-tared': Plain
  'less-than-tare': Plain
  'nothing-poured': Plain
  unsteady: Plain
}

/** Why it cannot be said when a batch will have cooled. */
export interface CoolFaultFacts {
  'no-reading': Plain
  'never-below': { ambientC: number }
  'not-colder': Plain
}

/** What can be done about an over-pour, and what it brings; grams. */
export interface PourFacts {
  'accept-filled': Scale & { fill: string; over: number }
  'accept-grows': Scale & { total: number }
  'take-out': Scale & { name: WeighedName; over: number }
  'scale-all': Scale & { total: number; factor: number; large: boolean }
  'scale-phase': { letter: string; factor: number; fill: WeighedName }
  discard: Scale & { letter: string; grams: number; materials: number; name: WeighedName }
}

/** Why the simulated bench cannot do something. */
export interface SimulatedFacts {
  'too-many-vessels': { most: number }
  'nothing-on-scale': Plain
  'no-such-line': Plain
  'not-so-much': Plain
  'unknown-adjuster': Plain
  'same-vessel': Plain
}
