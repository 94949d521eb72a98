import type { Assessment } from '../assess/types.ts'
import { freeShare } from '../ph/families.ts'
import { phModelOf } from './fit.ts'
import { planDose } from './plan.ts'

export interface Adjustment {
  material: string
  strengthPercent: number
  /** Of the adjuster's solution, at the scale's resolution, for the whole batch. */
  grams: number
  percent: number
  drops: number
}

/**
 * Amount of an adjuster that brings the formula to a pH, from the last reading where there is one (what the model did
 * not know is fitted to it), else from the prediction. Null where the pH cannot be computed, the adjuster is unknown
 * or moves it the other way, or no amount up to half the product gets there.
 */
export function adjustTo(
  a: Assessment,
  ph: number,
  adjusterKey: string,
  strengthPercent: number,
): Adjustment | null {
  const model = phModelOf(a)
  if (!model) return null
  const planned = planDose(a, model, { target: { min: ph, max: ph }, adjuster: adjusterKey, strengthPercent })
  if ('there' in planned) return { material: adjusterKey, strengthPercent, grams: 0, percent: 0, drops: 0 }
  if (!('plan' in planned)) return null
  const { grams, percent, drops } = planned.plan
  return { material: adjusterKey, strengthPercent, grams, percent, drops: drops.count }
}

/** Percent of each acid that is undissociated at a pH, by the thermodynamic constant: 100 / (1 + 10^(pH − pK1) + …). */
export function freeAcids(a: Assessment, ph: number): Record<string, number> {
  const shares: Record<string, number> = {}
  for (const family of a.waterPhase?.system.families ?? []) {
    if (family.chargeTop !== 0 || family.polymer || family.key === 'carbon-dioxide' || family.pKa[0]! > 8)
      continue
    shares[family.key] = Number(freeShare(family.pKa, ph).toFixed(2))
  }
  return shares
}
