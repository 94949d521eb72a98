import type { Said } from '../text/said.ts'
import type { NoPhFacts } from '../ph/said.ts'
import type { DoseFaultFacts } from './said.ts'
import type { Assessment } from '../assess/types.ts'
import { freeShare } from '../ph/families.ts'
import { adjusterOf, USUAL_ADJUSTER } from '../ph/adjusters.ts'
import type { WeighedName } from '../lines/weighed.ts'
import type { Line } from '../shapes/formula.ts'
import { dosesOf, phModelOf } from './fit.ts'
import { adjusterAsWeighed } from './log.ts'
import { phOfModel, toldModel, withDoses } from './model.ts'
import { doseAt, titrantOf } from './titrate.ts'
import { planDose } from './plan.ts'

export interface Adjustment {
  material: string
  strengthPercent: number
  /** Of the adjuster's solution, at the scale's resolution, for the whole batch. */
  grams: number
  percent: number
  drops: number
  /** What to add first: the next reading decides the rest. */
  first: { grams: number; drops: number }
}

/**
 * Amount of an adjuster that brings the formula to a pH, from the last reading where there is one (what the model did
 * not know is fitted to it), else from the prediction. A fault where the pH cannot be computed, the adjuster is
 * unknown or moves it the other way, no amount up to half the product gets there, or reading and formula do not fit.
 */
export function adjustTo(
  a: Assessment,
  ph: number,
  adjusterKey: string,
  strengthPercent: number,
): Adjustment | { why: Said<DoseFaultFacts> } | { noPh: Said<NoPhFacts> } {
  const model = phModelOf(a)
  if (!model) return { noPh: a.whyNoPh ?? { code: 'too-little-water' } }
  const planned = planDose(a, model, { target: { min: ph, max: ph }, adjuster: adjusterKey, strengthPercent })
  const none = { material: adjusterKey, strengthPercent, grams: 0, percent: 0, drops: 0 }
  if ('there' in planned) return { ...none, first: { grams: 0, drops: 0 } }
  if (!('plan' in planned)) return { why: planned.fault }
  const { grams, percent, drops, first } = planned.plan
  return {
    material: adjusterKey,
    strengthPercent,
    grams,
    percent,
    drops: drops.count,
    first: { grams: first.grams, drops: drops.first },
  }
}

export interface AdjusterLine {
  line: Line
  weighedAs: WeighedName
}

/**
 * The usual adjuster as a line of the formula, percent of its usual solution, so that what is written comes out at a pH;
 * readings do not count. Null where the pH cannot be computed, or no amount gets there.
 */
export function adjusterLine(a: Assessment, ph: number): AdjusterLine | null {
  const told = toldModel(a)
  if (!told) return null
  const now = withDoses(told, dosesOf(a.formula))
  const key = USUAL_ADJUSTER[ph > phOfModel(now).ph ? 'up' : 'down']
  const strengthPercent = adjusterOf(key)!.usualPercent
  const titrant = titrantOf(now, key, strengthPercent)
  const dose = titrant && doseAt(now, titrant, ph)
  if (!dose || dose.percent <= 0) return null
  const line = { material: key, strengthPercent, percent: Number(dose.percent.toFixed(2)) }
  return line.percent > 0 ? { line, weighedAs: adjusterAsWeighed(line, a.catalogue) } : null
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
