import type { Assessment } from '../assess/types.ts'
import { sayNumber } from '../text/format.ts'
import { LYE_ORDER } from '../words/en/lye.ts'
import { parseNumber } from '../text/numbers.ts'
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
  strength: { value: number } | { error: string }
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
  const parsed = parseNumber(text, { min: 0, max: 1000, what: 'the strength', unit: '%' })
  if ('error' in parsed) return parsed
  if (parsed.value === null) return { error: 'Type how strong the solution is, in percent.' }
  const fault = strengthFault(adjuster, parsed.value)
  return fault ? { error: fault } : { value: parsed.value }
}

/** Why an amount cannot have gone into a batch, as a sentence; null when it can. */
export function doseFault(grams: number | null, batchGrams: number): string | null {
  if (!grams || grams <= 0) return 'Type how many grams or drops went in.'
  return grams > batchGrams ? 'That is more than the batch itself. Type grams of the solution.' : null
}

/** Minutes from a dose to the reading that counts: one of stirring, one for the probe (common practice). */
export const DOSE_WAIT_MINUTES = 2
export const DOSE_WAIT = `Stir, wait ${DOSE_WAIT_MINUTES} minutes, measure again.`

export const landsWords = (lands: DosePlan['first']['lands']) =>
  `Predicted pH ${sayNumber(lands.ph, 1)} (${sayNumber(lands.low, 1)}–${sayNumber(lands.high, 1)}).`

const chance = (share: number) =>
  share < 0.01
    ? 'under 1\u00a0%'
    : share > 0.99
      ? 'over 99\u00a0%'
      : `about ${sayNumber(share * 100, 0)}\u00a0%`

/** The first dose in words: how it is told off, its share of the whole, and how likely it goes too far. */
export function doseWords(plan: DosePlan, say: (grams: number) => string) {
  const drops = `about ${plan.drops.first} drop${plan.drops.first === 1 ? '' : 's'}`
  return {
    how:
      plan.how === 'weigh'
        ? 'weighed'
        : plan.how === 'either'
          ? `weighed, or ${drops}`
          : plan.how === 'dilute'
            ? `${drops}; a tenth of the strength is easier to dose`
            : drops,
    whole: `Total dose ${say(plan.lowGrams)}–${say(plan.highGrams)}\u00a0g.`,
    doubt: plan.doubt ? doubtWords(plan.doubt) : '',
    chance: `The chance to go too far is ${chance(plan.first.overshoot)}, with all of it at once ${chance(plan.overshoot)}.`,
  }
}

const doubtWords = ({ meter, formula, read, predicted }: NonNullable<DosePlan['doubt']>) =>
  `The reading (${sayNumber(read, 1)}) and the formula (${sayNumber(predicted, 1)}) do not fit: the meter (${sayNumber(meter * 100, 0)}\u00a0%) or the formula (${sayNumber(formula * 100, 0)}\u00a0%) is off. Add this first dose only; the next reading decides.`

/** The adjusters to choose from, by the way they go. */
export const ADJUSTER_GROUPS = (['up', 'down'] as const).map((way) => ({
  label: way === 'up' ? 'Raise the pH' : 'Lower the pH',
  items: ADJUSTERS.filter((x) => x.direction === way).map((x) => ({ label: x.name, value: x.key })),
}))

/** What hands and eyes need with an adjuster; null where nothing. */
export function handling(adjuster: string): { strong: string; then: string } | null {
  const hazard = adjusterOf(adjuster)?.hazard
  if (hazard === 'lye') return { strong: 'Lye burns.', then: `Gloves and goggles. ${LYE_ORDER}` }
  if (hazard === 'acid')
    return { strong: 'Acids sting.', then: 'Goggles; acid into water, a little at a time.' }
  return null
}
