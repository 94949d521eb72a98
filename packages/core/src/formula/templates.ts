import { PHASE_NAMES } from './written.ts'
import type { Formula, Kind, Phase, Product } from '../shapes/formula.ts'

type Skeleton = Omit<Phase, 'lines'> & { lines?: Phase['lines'] }

/** Usual heat of water and oils that are joined, and what is cool enough for the rest, °C (common practice). */
export const HOT_C = 72
export const COOL_C = 40

const water = (heatToC?: number, name = PHASE_NAMES.water): Skeleton => ({
  name,
  role: 'water',
  ...(heatToC === undefined ? {} : { heatToC, holdMinutes: 20 }),
  lines: [{ material: 'aqua', fill: true }],
})
const oil = (heatToC = HOT_C): Skeleton => ({ name: PHASE_NAMES.oil, role: 'oil', heatToC })
const coolDown: Skeleton = { name: PHASE_NAMES['cool-down'], role: 'cool-down', belowC: COOL_C }
const last: Skeleton = { name: PHASE_NAMES.last, role: 'cool-down', belowC: 30 }
const premix = (name: string): Skeleton => ({ name, role: 'premix' })

/** Phases to start each kind of product with, in the order in which they are made (common practice). */
const SKELETONS: Record<Kind, Skeleton[]> = {
  toner: [premix(PHASE_NAMES['glycol-premix']), water(), last],
  serum: [premix(PHASE_NAMES['gum-slurry']), water(), last],
  gel: [premix(PHASE_NAMES['gum-slurry']), water(), last],
  lotion: [water(72), oil(), coolDown],
  cream: [water(72), oil(), coolDown],
  butter: [water(72), oil(75), coolDown],
  'leave-in': [water(75), oil(75), coolDown],
  mask: [premix(PHASE_NAMES['clay-or-powder']), water(), last],
  cleanser: [water(), { name: PHASE_NAMES.surfactants, role: 'other' }, last],
  other: [water(), last],
}

/** A new formula from a short brief: phases that suit the kind, water filling up to 100, nothing else decided. */
export function fromBrief(brief: {
  name: string
  product: Product
  batchGrams: number
  scaleResolutionGrams?: number
  scaleRepeatabilityGrams?: number
}): Formula {
  return {
    format: 'omblet-formula',
    formatVersion: 1,
    name: brief.name,
    product: brief.product,
    batchGrams: brief.batchGrams,
    scaleResolutionGrams: brief.scaleResolutionGrams ?? 0.01,
    ...(brief.scaleRepeatabilityGrams ? { scaleRepeatabilityGrams: brief.scaleRepeatabilityGrams } : {}),
    phases: SKELETONS[brief.product.kind].map(
      (phase) => ({ ...phase, lines: [...(phase.lines ?? [])] }) as Phase,
    ),
  }
}

/** A usual batch for a first trial, in grams. */
export const USUAL_BATCH: Record<Kind, number> = {
  toner: 100,
  serum: 50,
  gel: 100,
  lotion: 200,
  cream: 100,
  butter: 100,
  'leave-in': 150,
  mask: 100,
  cleanser: 150,
  other: 100,
}
