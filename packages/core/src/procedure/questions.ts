import type { Assessment } from '../assess/types.ts'
import * as method from '../shapes/method.ts'
import type { Schools } from '../shapes/method.ts'
import { isWatery } from './making.ts'
import { MOVES, openChoices, preservativeShift } from './schools.ts'

/** The questions that makers answer differently: both answers are right, and each has its reason and its price. */
const OPTIONS: { [K in keyof Schools]: readonly Schools[K][] } = {
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
export interface SchoolOption {
  key: keyof Schools
  value: Schools[keyof Schools]
  /** Only of the order of pH and preservative, where its effect can be predicted. */
  ending: EndingShift | null
}
export interface School {
  key: keyof Schools
  options: readonly SchoolOption[]
}

/** The questions that make a difference to a formula, with the answers that are open to it. */
export function questionsOf(a: Assessment): School[] {
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
