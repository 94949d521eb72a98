import type { Assessment } from '../assess/types.ts'
import { sayNumber } from '../text/format.ts'
import { acidBaseOf, type AcidBase } from '../ph/acid-base.ts'
import { ADJUSTERS, adjusterOf, densityOf, DROP_ML, strengthFault, USUAL_ADJUSTER } from '../ph/adjusters.ts'
import { along, ladderOf, quantile, type Ladder } from './curve.ts'
import { acidOf, asAcid } from '../ph/families.ts'
import { dosesOf } from './fit.ts'
import { phOfModel, withDoses, type PhModel } from './model.ts'
import { doseAt, drawsOf, reachOf, titrantOf } from './titrate.ts'

/** Share of the whole dose that goes in first. */
const FIRST_SHARE = 0.6
/** Half the width of a target that was given as one number, pH. */
const NARROW_TARGET = 0.1
/** As far beyond its ends a pH still counts as in the target. */
const EDGE = 0.05
/** More drops than this are counted wrong: weigh instead. */
const MANY_DROPS = 30
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
  /** `weigh` where drops are too many, `drops` where the scale is too coarse, `dilute` where both are. */
  how: 'weigh' | 'drops' | 'dilute' | 'either'
}

/** Another adjuster, or the same one stronger, that gets there. */
export interface OtherAdjuster {
  adjuster: string
  strengthPercent: number
}

export type Planned = { plan: DosePlan } | { there: string } | { fault: string; instead?: OtherAdjuster }

export interface DoseWish {
  target: { min: number; max: number }
  adjuster: string
  strengthPercent: number
  /** Weight of one drop, from twenty weighed. */
  dropGrams?: number | undefined
}

/** Why a target makes no sense, as a sentence; null when it does. */
export function targetFault(target: { min: number; max: number }): string | null {
  if (target.min < 2)
    return `A target of ${sayNumber(target.min)} would burn. Leave-on products sit between pH 3 and 8; choose at least 2.`
  if (target.max > 11)
    return `A target of ${sayNumber(target.max)} would burn. Leave-on products sit between pH 3 and 8; choose at most 11.`
  return null
}

/**
 * From where the product stands to a pH, with one adjuster: the whole dose with its uncertainty, the first part of it
 * (60 %), and the chance to go too far. A sentence where that cannot be.
 */
export function planDose(a: Assessment, model: PhModel, wish: DoseWish): Planned {
  const fault = targetFault(wish.target) ?? strengthFault(wish.adjuster, wish.strengthPercent)
  if (fault) return { fault }
  const constants = acidBaseOf(wish.adjuster)
  const now = withDoses(model, dosesOf(a.formula))
  const titrant = titrantOf(now, wish.adjuster, wish.strengthPercent)
  if (!constants || !titrant) return { fault: 'Nothing is known of this adjuster. Choose another.' }
  const from = phOfModel(now).ph
  const target = (wish.target.min + wish.target.max) / 2
  const half = Math.max(NARROW_TARGET, (wish.target.max - wish.target.min) / 2)
  if (Math.abs(from - target) <= (wish.target.max > wish.target.min ? half + EDGE : 0.005))
    return { there: `It stands at ${sayNumber(from, 2)}, in the target. Nothing to add.` }
  const up = target > from
  const { direction } = titrant
  if (up !== (direction === 'up')) {
    const name = adjusterOf(wish.adjuster)?.name ?? constants.inci
    return {
      fault: `It stands at ${sayNumber(from, 2)} and must go ${up ? 'up' : 'down'}; ${name} takes it ${direction}.`,
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
  const gramsEach = wish.dropGrams ?? DROP_ML * densityOf(wish.adjuster, wish.strengthPercent)
  const exact = (whole.percent * batch) / 100
  const firstGrams = places(whole.percent * FIRST_SHARE) || places(whole.percent)
  const low = (quantile(doses, 0.025) * batch) / 100
  const high = (quantile(doses, 0.975) * batch) / 100
  const spread = wish.dropGrams === undefined ? 0.2 : 0.05
  const count = exact / gramsEach
  const coarse = exact < FEW_COUNTS * a.amounts.resolutionGrams
  return {
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
      drops: {
        count: Math.round(count),
        low: Math.max(0, Math.floor((low / gramsEach) * (1 - spread))),
        high: Math.ceil((high / gramsEach) * (1 + spread)),
        first: Math.max(1, Math.round(count * FIRST_SHARE)),
        gramsEach,
        calibrated: wish.dropGrams !== undefined,
      },
      how:
        count > MANY_DROPS
          ? 'weigh'
          : coarse
            ? count < 3
              ? 'dilute'
              : 'drops'
            : count < 3
              ? 'weigh'
              : 'either',
    },
  }
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

function tooWeak(model: PhModel, wish: DoseWish, target: number): Planned {
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
  const advice = !better
    ? 'No adjuster here gets to that pH; choose another target.'
    : better.adjuster === wish.adjuster
      ? `Take it at ${better.strengthPercent} %.`
      : `Take ${adjusterOf(better.adjuster)!.name} at ${better.strengthPercent} %.`
  return {
    fault: `${name.charAt(0).toUpperCase()}${name.slice(1)} at ${sayNumber(wish.strengthPercent)} % brings it to about pH ${sayNumber(reach, 1)} at most. ${advice}`,
    ...(better ? { instead: better } : {}),
  }
}

function reaches(model: PhModel, key: string, strength: number, target: number) {
  const titrant = titrantOf(model, key, strength)
  return titrant !== null && doseAt(model, titrant, target) !== null
}

export interface DoseEffect {
  label: string
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
      label: 'Total',
      before: a.amounts.totalPercent,
      after: a.amounts.totalPercent + dose.percent,
      unit: '%',
    })
  else {
    const fill = a.lines[fillIndex]!
    effects.push({
      label: `${fill.label}, q.s.`,
      before: fill.percent,
      after: fill.percent - dose.percent,
      unit: '%',
    })
  }
  effects.push({
    label: 'Ions in the water',
    before: phOfModel(now).ionicStrength,
    after: phOfModel(after).ionicStrength,
    unit: 'mol/kg',
  })
  const acid = acidOf(dose.key)
  if (acid) {
    const before = sumAsAcid(a, acid)
    effects.push({
      label: `${acid.inci}, all sources as acid`,
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
