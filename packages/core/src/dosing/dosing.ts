import type { Assessment } from '../assess/types.ts'
import type { Said } from '../text/said.ts'
import type { DoseFaultFacts } from './said.ts'
import { readFigure } from '../text/numbers.ts'
import { ADJUSTERS, adjusterOf, strengthFault, USUAL_ADJUSTER } from '../ph/adjusters.ts'
import { aimPh } from './aim.ts'
import { adjusterKey, phModelOf, phNow, type PhNow } from './fit.ts'
import type { PhModel } from './model.ts'
import { planDose, type DosePlan, type Planned } from './plan.ts'

/** Where a product stands: what its pH rests on, and where it is; null where nothing can be reckoned. */
export interface PhStand {
  /** How far the meter's calibration is to be doubted: 1 is not at all. */
  doubt: number
  model: PhModel | null
  now: PhNow | null
}

/** Reckons where a product stands from its lines and its log; `doubt` widens what an old calibration reads. */
export function phStand(a: Assessment, doubt = 1): PhStand {
  const model = phModelOf(a, doubt)
  return { doubt, model, now: model ? phNow(a, model) : null }
}

/** What the one at the table has in hand; what is null is proposed. */
export interface DoseChoice {
  adjuster: string | null
  /** Strength of the solution, percent, as it was typed. */
  strengthText: string | null
  /** Weight of a drop from twenty that were weighed, grams. */
  dropGrams?: number | null
}

/** How to bring a product to its pH: the one answer for the leaf and for the table. */
export interface Dosing {
  target: { min: number; max: number } | null
  adjuster: string
  /** Strength that is proposed for it, percent. */
  usualPercent: number
  strength: { value: number } | { error: Said<DoseFaultFacts> }
  planned: Planned | null
  plan: DosePlan | null
}

/** Lines that the formula plans for it, as they go in. */
const plannedOf = (formula: Assessment) =>
  formula.lines.flatMap((l) => {
    const key = l.phaseSource.role === 'adjust' ? adjusterKey(l.source.material) : null
    if (!key) return []
    // a solid goes in as a solution of the usual strength
    const asSolid = l.material?.form === 'powder' ? adjusterOf(key)?.usualPercent : undefined
    return [{ key, strengthPercent: asSolid ?? l.strengthPercent ?? 100 }]
  })

/** The adjuster that is used, and the strength that is proposed for it, percent. */
function adjusterFor(
  a: Assessment,
  stand: PhStand,
  choice: DoseChoice,
  asPlanned: Assessment,
  target: Dosing['target'],
): Pick<Dosing, 'adjuster' | 'usualPercent'> {
  const last = a.formula.additions?.filter((x) => !x.inFormula).at(-1)
  const lastKey = last ? adjusterKey(last.material) : null
  const way = target && stand.now && (target.min + target.max) / 2 < stand.now.value ? 'down' : 'up'
  const planned = plannedOf(asPlanned)
  const fitting = planned.find((p) => adjusterOf(p.key)?.direction === way)
  const adjuster = choice.adjuster ?? lastKey ?? fitting?.key ?? USUAL_ADJUSTER[way]
  const asLast = last && lastKey === adjuster ? last.strengthPercent : null
  const asInFormula = planned.find((p) => p.key === adjuster)?.strengthPercent
  return { adjuster, usualPercent: asLast ?? asInFormula ?? adjusterOf(adjuster)?.usualPercent ?? 10 }
}

/**
 * The aim, the adjuster and the dose from where a product stands. The adjuster in hand comes first, then the one that
 * went in last, then what the formula plans that goes the right way, then the usual one. `asPlanned` is the formula
 * where `a` is only what is already in the vessel.
 */
export function dosingOf(
  a: Assessment,
  stand: PhStand,
  choice: DoseChoice,
  asPlanned: Assessment = a,
): Dosing {
  const target = aimPh(asPlanned)
  const { adjuster, usualPercent } = adjusterFor(a, stand, choice, asPlanned, target)
  const strength = strengthOf(adjuster, choice.strengthText, usualPercent)
  const plan =
    stand.model && target && 'value' in strength
      ? planDose(
          a,
          stand.model,
          {
            target,
            adjuster,
            strengthPercent: strength.value,
            dropGrams: choice.dropGrams ?? undefined,
          },
          stand.doubt,
        )
      : null
  return {
    target,
    adjuster,
    usualPercent,
    strength,
    planned: plan,
    plan: plan && 'plan' in plan ? plan.plan : null,
  }
}

function strengthOf(adjuster: string, text: string | null, usual: number): Dosing['strength'] {
  if (text === null) return { value: usual }
  const parsed = readFigure(text, { min: 0, max: 1000, unit: '%' })
  if ('fault' in parsed) return { error: { code: 'typed', fault: parsed.fault, what: 'strength' } }
  if (parsed.value === null) return { error: { code: 'no-strength' } }
  const fault = strengthFault(adjuster, parsed.value)
  return fault ? { error: fault } : { value: parsed.value }
}

/** Why an amount cannot have gone into a batch; null when it can. */
export function doseFault(grams: number | null, batchGrams: number): Said<DoseFaultFacts> | null {
  if (!grams || grams <= 0) return { code: 'no-dose' }
  return grams > batchGrams ? { code: 'more-than-batch' } : null
}

/** Minutes from a dose to the reading that counts: one of stirring, one for the probe (common practice). */
export const DOSE_WAIT_MINUTES = 2
/** The adjusters to choose from, by the way they go. */
export const ADJUSTER_GROUPS = (['up', 'down'] as const).map((way) => ({
  direction: way,
  items: ADJUSTERS.filter((x) => x.direction === way).map((x) => ({ label: x.name, value: x.key })),
}))
