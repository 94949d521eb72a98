import type { Assessment } from '../assess/types.ts'
import * as method from '../shapes/method.ts'
import type { ProcessOptions } from '../shapes/method.ts'
import { isWatery } from './making.ts'
import { MOVES, openChoices, preservativeShift } from './process-options.ts'

/** The questions that makers answer differently: both answers are right, and each has its reason and its price. */
const OPTIONS: { [K in keyof ProcessOptions]: readonly ProcessOptions[K][] } = {
  pouring: method.POURINGS,
  heating: method.HEATINGS,
  evaporation: method.EVAPORATIONS,
  cooling: method.COOLINGS,
  gum: method.GUMS,
  swelling: method.SWELLINGS,
  body: method.FINISHES,
  ending: method.ENDINGS,
}

/** What the preservative alone does to the pH, which decides whether it goes in before the pH is set. */
export interface EndingShift {
  /** So much higher than without it; negative where it is lower. */
  shift: number
  /** Enough to put it in first. */
  much: boolean
}
export interface ProcessOptionValue {
  key: keyof ProcessOptions
  value: ProcessOptions[keyof ProcessOptions]
  /** Only of the order of pH and preservative, where its effect can be predicted. */
  ending: EndingShift | null
}
export interface ProcessOption {
  key: keyof ProcessOptions
  options: readonly ProcessOptionValue[]
}

/** The questions that make a difference to a formula, with the answers that are open to it. */
export function questionsOf(a: Assessment): ProcessOption[] {
  const finish = isWatery(a) ? 'beat' : 'whip'
  const shift = preservativeShift(a)
  return openChoices(a).map((key) => ({
    key,
    options: OPTIONS[key]
      .filter((value) => key !== 'body' || value === 'as-it-is' || value === finish)
      .map((value) => ({
        key,
        value,
        ending: key === 'ending' && shift !== null ? { shift, much: Math.abs(shift) > MOVES } : null,
      })),
  }))
}
