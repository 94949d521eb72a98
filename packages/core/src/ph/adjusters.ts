import data from '../../data/adjusters.json' with { type: 'json' }
import type { Said } from '../text/said.ts'
import type { PhFaultFacts, SolutionStepFacts } from './said.ts'
import { acidBaseOf, type AcidBase } from './acid-base.ts'
import { CONVENTIONS } from '../shapes/conventions.ts'
import { formsAt } from './solver.ts'

/** A material that people reach for to move pH, and how its solution is made. */
export interface Adjuster {
  /** Taken where nothing says another. */
  usual?: boolean
  /** Key of its constants and id in the catalogue. */
  key: string
  name: string
  direction: 'up' | 'down'
  /** Strength of the solution that suits a kitchen, percent. */
  usualPercent: number
  /** Strongest solution that stays clear at 20 °C, percent; 100 for what is a liquid. */
  mostPercent: number
  /** What it does to hands and eyes. */
  hazard: 'lye' | 'acid' | 'mild'
  /** g/mL at 20 °C by percent of the solution (CRC Handbook, from memory); where it is not that of water. */
  densities?: readonly (readonly number[])[]
  /** What to expect of it in the jar. */
  note: string
}

/**
 * Solubilities in water at 20 °C, percent of the solution: CRC Handbook and Merck Index, from memory, rounded down.
 * Usual strengths: common practice.
 */
export const ADJUSTERS = data as readonly Adjuster[]

/** What is taken where nothing says another: up with lye, down with citric acid (common practice). */
const usual = (way: Adjuster['direction']) => ADJUSTERS.find((a) => a.usual && a.direction === way)!.key
export const USUAL_ADJUSTER = { up: usual('up'), down: usual('down') }

export const adjusterOf = (key: string): Adjuster | undefined => ADJUSTERS.find((a) => a.key === key)

/** Which way an adjuster takes a product that stands at `ph`: a salt takes it towards its own pH. */
export function directionOf(constants: AcidBase, ph: number): 'up' | 'down' {
  const listed = adjusterOf(constants.key)
  if (listed) return listed.direction
  const acid = constants.hydrolysesTo ? (acidBaseOf(constants.hydrolysesTo) ?? constants) : constants
  const own = { total: constants.acidUnits ?? 1, pKa: acid.pKa, chargeTop: acid.chargeFullyProtonated }
  return constants.counterIonCharge + formsAt(own, ph, 0).charge > 0 ? 'up' : 'down'
}

/** Density of an adjuster's solution, g/mL; 1 where it is not known. */
export function densityOf(key: string, strength: number): number {
  const table = adjusterOf(key)?.densities
  if (!table) return 1
  const next = table.findIndex(([s]) => s! >= strength)
  if (next <= 0) return table[0]![1]!
  const [s0, d0] = table[next - 1]! as [number, number]
  const [s1, d1] = table[next]! as [number, number]
  return d0 + ((strength - s0) / (s1 - s0)) * (d1 - d0)
}

/** A drop from a pharmacy dropper, mL. */
export const DROP_ML = CONVENTIONS.drop.millilitres
/** Drops that are weighed together to learn the weight of one. */
export const COUNTED_DROPS = 20
/** What so many drops weigh, grams: less or more is a slip. */
export const COUNTED_GRAMS = {
  min: COUNTED_DROPS * CONVENTIONS.drop.leastGrams,
  max: COUNTED_DROPS * CONVENTIONS.drop.mostGrams,
}
/** Grams of one drop from what they weigh together; null where no dropper gives that. */
export const dropOf = (grams: number): number | null =>
  grams >= COUNTED_GRAMS.min && grams <= COUNTED_GRAMS.max ? grams / COUNTED_DROPS : null

export interface SolutionRecipe {
  adjuster: string
  strengthPercent: number
  grams: number
  /** What to weigh of each. */
  solidGrams: number
  waterGrams: number
  steps: Said<SolutionStepFacts>[]
  hazard: Adjuster['hazard']
}

/**
 * How to make `grams` of an adjuster's solution at `strengthPercent`; `stockPercent` is the strength of what is
 * weighed (88 for a lactic acid of 88 %, 100 for a dry solid). A fault where it cannot be made.
 */
export function solutionRecipe(
  key: string,
  strengthPercent: number,
  grams: number,
  resolutionGrams: number,
  stockPercent = 100,
): SolutionRecipe | { fault: Said<PhFaultFacts> } {
  const adjuster = adjusterOf(key)
  if (!adjuster || !acidBaseOf(key)) return { fault: { code: 'unknown-adjuster' } }
  const fault = strengthFault(key, strengthPercent)
  if (fault) return { fault }
  if (stockPercent < strengthPercent)
    return { fault: { code: 'stronger-than-stock', stockPercent, strengthPercent } }
  const places = (value: number) =>
    Number((Math.round(value / resolutionGrams) * resolutionGrams).toPrecision(12))
  const solidGrams = places((grams * strengthPercent) / stockPercent)
  const waterGrams = places(grams - solidGrams)
  if (solidGrams <= 0) return { fault: { code: 'too-little-to-weigh' } }
  const name = adjuster.name
  const liquid = adjuster.mostPercent === 100 || (stockPercent < 100 && adjuster.hazard !== 'lye')
  return {
    adjuster: key,
    strengthPercent,
    grams: places(solidGrams + waterGrams),
    solidGrams,
    waterGrams,
    steps: [
      { code: 'water' },
      { code: liquid ? 'add-liquid' : 'add-solid', name },
      { code: adjuster.hazard === 'lye' ? 'cool' : 'clear' },
    ],
    hazard: adjuster.hazard,
  }
}

/** Why a solution cannot have this strength; null when it can. */
export function strengthFault(key: string, strengthPercent: number): Said<PhFaultFacts> | null {
  if (!(strengthPercent > 0)) return { code: 'strength-zero' }
  if (strengthPercent > 100) return { code: 'strength-above-100' }
  const adjuster = adjusterOf(key)
  if (adjuster && strengthPercent < 100 && strengthPercent > adjuster.mostPercent)
    return {
      code: 'not-soluble',
      name: adjuster.name,
      mostPercent: adjuster.mostPercent,
      usualPercent: adjuster.usualPercent,
    }
  return null
}
