import type { Assessment } from '../assess/types.ts'
import type { Said } from '../text/said.ts'
import type { DoseEffectFacts, DoseFaultFacts } from './said.ts'
import { acidBaseOf, type AcidBase } from '../ph/acid-base.ts'
import { ADJUSTERS, adjusterOf, densityOf, DROP_ML, strengthFault, USUAL_ADJUSTER } from '../ph/adjusters.ts'
import { along, ladderOf, quantile, type Ladder } from './curve.ts'
import { acidOf, asAcid } from '../ph/families.ts'
import { dosesOf } from './fit.ts'
import { storiesOf, type Stories } from './stories.ts'
import { phOfModel, withDoses, type PhModel } from './model.ts'
import { doseAt, drawsOf, reachOf, titrantOf } from './titrate.ts'

/** Share of the least that may be needed that goes in first: the next reading decides the rest (common practice). */
const FIRST_SHARE = 0.5
/** Where next to nothing may be needed, at least this share of what is likely. */
const LEAST_SHARE = 0.1
/** A story of a reading is gone by from this share on. */
const BELIEVED = 0.5
const DECIDED = 0.8
/** Half the width of a target that was given as one number, pH. */
const NARROW_TARGET = 0.1
/** As far beyond its ends a pH still counts as in the target. */
const EDGE = 0.05
/** More drops than this are counted wrong: weigh instead. */
const MANY_DROPS = 30
/** Fewer drops than this are a coarse measure. */
const FEW_DROPS = 3
/** A weighing of fewer counts than this is guesswork. */
const FEW_COUNTS = 10

export interface DosePlan {
  direction: 'up' | 'down'
  adjuster: string
  strengthPercent: number
  from: number
  target: number
  /** Still to add, of the solution: percent of the product, and grams for the batch at the scale's resolution. */
  percent: number
  grams: number
  /** 95 % of what may be needed, grams. */
  lowGrams: number
  highGrams: number
  /** What to add now. */
  first: { grams: number; lands: { ph: number; low: number; high: number }; overshoot: number }
  /** Chance that the whole dose at once passes the far end of the target, 0 to 1. */
  overshoot: number
  drops: { count: number; low: number; high: number; first: number; gramsEach: number; calibrated: boolean }
  /** Set where the reading and the formula do not fit: shares of the meter and of the formula being wrong, 0 to 1. */
  doubt?: { meter: number; formula: number; read: number; predicted: number }
  /** `weigh` where drops are too many, `drops` where the scale is too coarse, `dilute` where both are. */
  how: 'weigh' | 'drops' | 'dilute' | 'either'
}

/** Another adjuster, or the same one stronger, that gets there. */
export interface OtherAdjuster {
  adjuster: string
  strengthPercent: number
}

/** A plan, or the pH that is in the target already, or why there is none. */
export type Planned =
  { plan: DosePlan } | { there: number } | { fault: Said<DoseFaultFacts>; instead?: OtherAdjuster }

export interface DoseWish {
  target: { min: number; max: number }
  adjuster: string
  strengthPercent: number
  /** Weight of one drop, from twenty weighed. */
  dropGrams?: number | undefined
}

/** Why a target makes no sense; null when it does. */
export function targetFault(target: { min: number; max: number }): Said<DoseFaultFacts> | null {
  if (target.min < 2) return { code: 'target-too-acidic', ph: target.min }
  if (target.max > 11) return { code: 'target-too-alkaline', ph: target.max }
  return null
}

/**
 * From where the product stands to a pH, with one adjuster: the whole dose with its uncertainty, the first part of it
 * (half of the least that may be needed), and the chance to go too far. Where reading and formula do not fit, both
 * explanations are worked out and the first dose is half of the smaller need; no dose where they ask for opposite ways.
 * A fault where it cannot be.
 */
export function planDose(a: Assessment, model: PhModel, wish: DoseWish, doubt = 1): Planned {
  const stories = storiesOf(a, doubt)
  if (!stories || stories.right > BELIEVED) return withoutLadder(planWith(a, model, wish))
  if (stories.meter > DECIDED) return withoutLadder(planWith(a, stories.asWritten, wish))
  if (stories.formula > DECIDED) return withoutLadder(planWith(a, model, wish))
  return mixed(a, stories, wish)
}

/** Plans of both explanations as one. */
function mixed(a: Assessment, stories: Stories, wish: DoseWish): Planned {
  const written = planWith(a, stories.asWritten, wish)
  const read = planWith(a, stories.asRead, wish)
  if (!('plan' in written) || !('plan' in read)) {
    if ('fault' in written && 'fault' in read) return withoutLadder(read)
    return { fault: { code: 'opposite', read: stories.read, predicted: stories.predicted } }
  }
  const likely = stories.formula >= stories.meter ? read : written
  const places = (grams: number) => counts(grams, a.amounts.resolutionGrams)
  const least = Math.min(written.plan.grams, read.plan.grams)
  const grams = Math.max(places(FIRST_SHARE * least), a.amounts.resolutionGrams)
  const percent = (100 * grams) / a.amounts.batchGrams
  const ends = [written, read].map((x) => landing(x.ladder, percent))
  const past = (share: (x: Laddered) => number) =>
    (stories.meter * share(written) + stories.formula * share(read)) / (stories.meter + stories.formula)
  const { drops } = likely.plan
  return {
    plan: {
      ...likely.plan,
      lowGrams: Math.min(written.plan.lowGrams, read.plan.lowGrams),
      highGrams: Math.max(written.plan.highGrams, read.plan.highGrams),
      first: {
        grams,
        lands: {
          ph: landing(likely.ladder, percent).ph,
          low: Math.min(...ends.map((e) => e.low)),
          high: Math.max(...ends.map((e) => e.high)),
        },
        overshoot: past((x) => chancePast(x.ladder, percent, x.limit)),
      },
      overshoot: past((x) => chancePast(x.ladder, likely.plan.percent, x.limit)),
      drops: {
        ...drops,
        low: Math.min(written.plan.drops.low, read.plan.drops.low),
        high: Math.max(written.plan.drops.high, read.plan.drops.high),
        first: Math.max(1, Math.round(grams / drops.gramsEach)),
      },
      doubt: {
        meter: stories.meter,
        formula: stories.formula,
        read: stories.read,
        predicted: stories.predicted,
      },
    },
  }
}

/** A plan with the ladder that it was read off. */
interface Laddered {
  plan: DosePlan
  ladder: Ladder
  limit: number
}
const withoutLadder = (planned: Laddered | Exclude<Planned, { plan: DosePlan }>): Planned =>
  'plan' in planned ? { plan: planned.plan } : planned

function planWith(
  a: Assessment,
  model: PhModel,
  wish: DoseWish,
): Laddered | Exclude<Planned, { plan: DosePlan }> {
  const fault = targetFault(wish.target) ?? strengthFault(wish.adjuster, wish.strengthPercent)
  if (fault) return { fault }
  const constants = acidBaseOf(wish.adjuster)
  const now = withDoses(model, dosesOf(a.formula))
  const titrant = titrantOf(now, wish.adjuster, wish.strengthPercent)
  if (!constants || !titrant) return { fault: { code: 'unknown-adjuster' } }
  const from = phOfModel(now).ph
  const target = (wish.target.min + wish.target.max) / 2
  const half = Math.max(NARROW_TARGET, (wish.target.max - wish.target.min) / 2)
  if (Math.abs(from - target) <= (wish.target.max > wish.target.min ? half + EDGE : 0.005))
    return { there: from }
  const up = target > from
  const { direction } = titrant
  if (up !== (direction === 'up')) {
    const name = adjusterOf(wish.adjuster)?.name ?? constants.inci
    return {
      fault: { code: 'wrong-direction', ph: from, up, name, direction },
      instead: usual(up ? 'up' : 'down'),
    }
  }
  const whole = doseAt(now, titrant, target)
  if (!whole) return tooWeak(now, wish, target)
  const limit = target + (up ? half : -half)
  const draws = drawsOf(now, 200)
  const ladder = ladderOf(now, titrant, Math.min(titrant.most, whole.percent * 2 + 0.02), 60, draws)
  const doses = Float64Array.from(ladder.draws, (lane) =>
    along(ordered(lane.ph, up), lane.percent, up ? target : -target),
  )
    .map((d) => Math.max(0, d))
    .sort()
  const batch = a.amounts.batchGrams
  const places = (percent: number) => counts((percent * batch) / 100, a.amounts.resolutionGrams)
  const gramsEach = dropWeight(wish)
  const exact = (whole.percent * batch) / 100
  const low = (quantile(doses, 0.025) * batch) / 100
  const exactFirst = Math.max(FIRST_SHARE * low, LEAST_SHARE * exact)
  const firstGrams = counts(exactFirst, a.amounts.resolutionGrams) || places(whole.percent)
  const high = (quantile(doses, 0.975) * batch) / 100
  return {
    ladder,
    limit,
    plan: {
      direction,
      adjuster: wish.adjuster,
      strengthPercent: wish.strengthPercent,
      from,
      target,
      percent: whole.percent,
      grams: places(whole.percent),
      lowGrams: low,
      highGrams: high,
      first: {
        grams: firstGrams,
        lands: landing(ladder, (100 * firstGrams) / batch),
        overshoot: chancePast(ladder, (100 * firstGrams) / batch, limit),
      },
      overshoot: chancePast(ladder, whole.percent, limit),
      drops: dropsOf({ exact, low, high, first: firstGrams }, wish),
      how: howToDose(exact / gramsEach, exact < FEW_COUNTS * a.amounts.resolutionGrams),
    },
  }
}

const dropWeight = (wish: DoseWish) =>
  wish.dropGrams ?? DROP_ML * densityOf(wish.adjuster, wish.strengthPercent)

function dropsOf(
  grams: { exact: number; low: number; high: number; first: number },
  wish: DoseWish,
): DosePlan['drops'] {
  const gramsEach = dropWeight(wish)
  // drops that nobody weighed differ by a fifth
  const spread = wish.dropGrams === undefined ? 0.2 : 0.05
  return {
    count: Math.round(grams.exact / gramsEach),
    low: Math.max(0, Math.floor((grams.low / gramsEach) * (1 - spread))),
    high: Math.ceil((grams.high / gramsEach) * (1 + spread)),
    first: Math.max(1, Math.round(grams.first / gramsEach)),
    gramsEach,
    calibrated: wish.dropGrams !== undefined,
  }
}

function howToDose(drops: number, coarseScale: boolean): DosePlan['how'] {
  if (drops > MANY_DROPS) return 'weigh'
  if (coarseScale) return drops < FEW_DROPS ? 'dilute' : 'drops'
  return drops < FEW_DROPS ? 'weigh' : 'either'
}

const usual = (way: 'up' | 'down'): OtherAdjuster => {
  const { key, usualPercent } = adjusterOf(USUAL_ADJUSTER[way])!
  return { adjuster: key, strengthPercent: usualPercent }
}
const counts = (grams: number, resolution: number) =>
  Number((Math.round(grams / resolution) * resolution).toPrecision(12))
/** pH of a lane as a rising ruler: as it is on the way up, mirrored on the way down. */
const ordered = (ph: Float64Array, up: boolean) => (up ? ph : ph.map((v) => -v))

function landing(ladder: Ladder, percent: number) {
  const ends = Float64Array.from(ladder.draws, (lane) => along(lane.percent, lane.ph, percent)).sort()
  return {
    ph: along(ladder.percent, ladder.phs, percent),
    low: quantile(ends, 0.025),
    high: quantile(ends, 0.975),
  }
}

const chancePast = (ladder: Ladder, percent: number, limit: number) =>
  ladder.draws.filter((lane) => {
    const ph = along(lane.percent, lane.ph, percent)
    return ladder.up ? ph > limit : ph < limit
  }).length / Math.max(1, ladder.draws.length)

function tooWeak(
  model: PhModel,
  wish: DoseWish,
  target: number,
): { fault: Said<DoseFaultFacts>; instead?: OtherAdjuster } {
  const titrant = titrantOf(model, wish.adjuster, wish.strengthPercent)!
  const reach = reachOf(model, titrant)
  const name = adjusterOf(wish.adjuster)?.name ?? titrant.constants.inci
  const way = titrant.direction
  const own = adjusterOf(wish.adjuster)
  const candidates: OtherAdjuster[] = [
    ...(own ? [own] : []).flatMap((x) =>
      [20, 30, 50]
        .filter((s) => s > wish.strengthPercent && s <= x.mostPercent)
        .map((s) => ({ adjuster: x.key, strengthPercent: s })),
    ),
    ...ADJUSTERS.filter((x) => x.direction === way && x.key !== wish.adjuster).flatMap((x) =>
      [x.usualPercent, x.mostPercent].map((s) => ({ adjuster: x.key, strengthPercent: s })),
    ),
  ]
  const better = candidates.find((x) => reaches(model, x.adjuster, x.strengthPercent, target))
  return {
    fault: {
      code: 'too-weak',
      name,
      strengthPercent: wish.strengthPercent,
      reachesPh: reach,
      instead: better
        ? {
            name: better.adjuster === wish.adjuster ? null : adjusterOf(better.adjuster)!.name,
            strengthPercent: better.strengthPercent,
          }
        : null,
    },
    ...(better ? { instead: better } : {}),
  }
}

function reaches(model: PhModel, key: string, strength: number, target: number) {
  const titrant = titrantOf(model, key, strength)
  return titrant !== null && doseAt(model, titrant, target) !== null
}

export interface DoseEffect {
  what: Said<DoseEffectFacts>
  before: number
  after: number
  unit: string
}

/** What a dose changes besides pH: the total, the q.s. line, ions in the water, and the sum of its own acid. */
export function effectsOfDose(
  a: Assessment,
  model: PhModel,
  dose: { key: string; strengthPercent: number; percent: number },
): DoseEffect[] {
  const now = withDoses(model, dosesOf(a.formula))
  const after = withDoses(now, [dose])
  const fillIndex = a.amounts.fillIndex
  const effects: DoseEffect[] = []
  if (fillIndex === null)
    effects.push({
      what: { code: 'total' },
      before: a.amounts.totalPercent,
      after: a.amounts.totalPercent + dose.percent,
      unit: '%',
    })
  else {
    const fill = a.lines[fillIndex]!
    effects.push({
      what: { code: 'fill', name: fill.label },
      before: fill.percent,
      after: fill.percent - dose.percent,
      unit: '%',
    })
  }
  effects.push({
    what: { code: 'ions' },
    before: phOfModel(now).ionicStrength,
    after: phOfModel(after).ionicStrength,
    unit: 'mol/kg',
  })
  const acid = acidOf(dose.key)
  if (acid) {
    const before = sumAsAcid(a, acid)
    effects.push({
      what: { code: 'acid', inci: acid.inci },
      before,
      after: before + asAcid(dose.key, (dose.percent * dose.strengthPercent) / 100, acid),
      unit: '%',
    })
  }
  return effects
}

function sumAsAcid(a: Assessment, acid: AcidBase): number {
  let sum = 0
  for (const [key, s] of a.substances) if (acidOf(key)?.key === acid.key) sum += asAcid(key, s.percent, acid)
  for (const dose of dosesOf(a.formula))
    if (acidOf(dose.key)?.key === acid.key)
      sum += asAcid(dose.key, (dose.percent * dose.strengthPercent) / 100, acid)
  return sum
}
