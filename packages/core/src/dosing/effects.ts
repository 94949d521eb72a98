import { materialOfSubstance } from '../assess/carriers.ts'
import type { Assessment } from '../assess/types.ts'
import { capitalise } from '../text/format.ts'
import type { Said } from '../text/said.ts'
import type { BlockerFacts, DriftFacts, PhEffectFacts } from './said.ts'
import { acidBaseOf, type AcidBase } from '../ph/acid-base.ts'
import { USUAL_ADJUSTER, adjusterOf } from '../ph/adjusters.ts'
import { freeShare } from '../ph/families.ts'
import { sumAcids, type AcidSum } from '../ph/families.ts'
import { doseAt, titrantOf } from './titrate.ts'
import { dosesOf } from './fit.ts'
import { withDoses, type PhModel } from './model.ts'
import { acidEffectAt, type AcidEffect, type AcidVerdict } from '../preservation/effect.ts'
import { kindHas } from '../shapes/kinds.ts'
import { hasTrait } from '../shapes/material.ts'

/** One thing that a pH does to a formula. */
export interface PhEffect {
  id: string
  label: string
  /** What is told: the free acid of an active, the share of a preservative that works, a window. */
  what: 'free-acid' | 'active-share' | 'window'
  /** Percent of the product that is free or works, of how much; null for a window. */
  percent: number | null
  of: number | null
  /** `check` where it is lost or harmful at this pH. */
  state: 'fine' | 'note' | 'check'
  said: Said<PhEffectFacts>
}

/** Sums of each acid with all its salts, in the formula or dosed. */
export const acidSums = (a: Assessment): Map<string, AcidSum> =>
  sumAcids([
    ...[...a.substances].map(([key, s]) => [key, s.percent] as const),
    ...dosesOf(a.formula).map((d) => [d.key, (d.percent * d.strengthPercent) / 100] as const),
  ])

/** Free acid at a pH, all acids together, percent of the product. */
export const freeAcidPercent = (a: Assessment, ph: number) =>
  [...acidSums(a).values()].reduce((sum, acid) => sum + (acid.percent * freeShare(acid.pKa, ph)) / 100, 0)

/** The same of acids that exfoliate, percent of the product. */
export const freeExfoliantPercent = (a: Assessment, ph: number) =>
  [...acidSums(a)].reduce((sum, [key, acid]) => {
    const material = materialOfSubstance(a, key)
    return material && hasTrait(material, 'exfoliant')
      ? sum + (acid.percent * freeShare(acid.pKa, ph)) / 100
      : sum
  }, 0)

/** What a pH does to this formula's acids, preservatives and windows, the most telling first. */
export function phEffects(a: Assessment, ph: number): PhEffect[] {
  const effects: PhEffect[] = []
  for (const [key, acid] of acidSums(a)) {
    const share = freeShare(acid.pKa, ph)
    const percent = (acid.percent * share) / 100
    const base = {
      id: key,
      label: capitalise(acid.inci.toLowerCase()),
      percent,
      of: acid.percent,
    }
    const { does, effects: told } = acidBaseOf(key)!
    if (does === 'preserves')
      effects.push({ ...base, what: 'active-share', ...preserving(key, acidEffectAt(a.preservation, ph)) })
    else if (does === 'acts' && acid.percent >= 0.3)
      effects.push({ ...base, what: 'free-acid', ...acting(told, share, ph) })
  }
  for (const item of a.ph.items) {
    if (item.grade === 'skin' || effects.some((e) => item.materials.includes(e.id))) continue
    const inside = ph >= item.min - 0.049 && ph <= item.max + 0.049
    effects.push({
      id: item.id,
      label: capitalise(item.label),
      what: 'window',
      percent: null,
      of: null,
      state: inside ? 'fine' : item.grade === 'prefers' ? 'note' : 'check',
      said:
        !inside && item.why
          ? { code: 'own', text: item.why }
          : { code: 'window', range: { min: item.min, max: item.max }, grade: item.grade, inside },
    })
  }
  const rank = { check: 0, note: 1, fine: 2 }
  const kind = { 'free-acid': 0, 'active-share': 1, window: 2 }
  return effects.sort((x, y) => kind[x.what] - kind[y.what] || rank[x.state] - rank[y.state])
}

const SHORT: Record<AcidVerdict, Pick<PhEffect, 'state' | 'said'>> = {
  enough: { state: 'fine', said: { code: 'preserves-enough' } },
  short: { state: 'note', said: { code: 'preserves-short' } },
  'under-half': {
    state: 'check',
    said: { code: 'preserves-under-half' },
  },
  none: {
    state: 'check',
    said: { code: 'preserves-nothing' },
  },
}
/** What of a preserving acid works, by the same judgement as the findings; where others preserve, it is only a help. */
function preserving(key: string, effect: AcidEffect | null): Pick<PhEffect, 'state' | 'said'> {
  if (!effect || !effect.acids.some((x) => x.key === key))
    return { state: 'fine', said: { code: 'others-preserve' } }
  return SHORT[effect.verdict]
}

function acting(told: AcidBase['effects'], share: number, ph: number): Pick<PhEffect, 'state' | 'said'> {
  const own = told?.find((e) => e.below === undefined || ph < e.below)
  if (own) return { state: own.state, said: { code: 'own', text: own.text } }
  if (ph < 3) return { state: 'check', said: { code: 'stings' } }
  if (share < 10) return { state: 'note', said: { code: 'mostly-salt' } }
  return { state: 'fine', said: { code: 'exfoliates' } }
}

export interface Thinning {
  label: string
  /** pH at which it holds again. */
  from: number
  /** Which way to go. */
  way: 'up' | 'down'
  /** Of 10 % sodium hydroxide, or of 20 % citric acid, to get back; grams for the batch, null where none does. */
  grams: number | null
  adjuster: string
  strengthPercent: number
}

/**
 * Emulsifiers and thickeners that let go at a pH, and what brings them back: an acid stirred into a cream makes it
 * look split until the pH is raised and it is blended again (common practice).
 */
export function thinningAt(a: Assessment, model: PhModel, ph: number): Thinning[] {
  const now = withDoses(model, dosesOf(a.formula))
  return a.ph.items
    .filter((item) => item.grade === 'holds' && (ph < item.min - 0.049 || ph > item.max + 0.049))
    .map((item): Thinning => {
      const up = ph < item.min
      const adjuster = USUAL_ADJUSTER[up ? 'up' : 'down']
      const strengthPercent = adjusterOf(adjuster)!.usualPercent
      const titrant = titrantOf(now, adjuster, strengthPercent)
      const dose = titrant && doseAt(now, titrant, up ? item.min : item.max)
      return {
        label: item.label,
        from: up ? item.min : item.max,
        way: up ? 'up' : 'down',
        grams: dose && dose.percent > 0 ? (dose.percent * a.amounts.batchGrams) / 100 : null,
        adjuster,
        strengthPercent,
      }
    })
    .sort((x, y) => (x.way === 'up' ? y.from - x.from : x.from - y.from))
}

export interface Blocker {
  side: 'low' | 'high'
  what: Said<BlockerFacts>
  at: number
}

/** Who sets the ends of the shared window: the one that asks for the most on each side. */
export function blockersOf(a: Assessment): Blocker[] {
  const asking = a.ph.items
    .filter((item) => item.grade === 'works' || item.grade === 'holds')
    .map((item) => ({ ...item, what: { code: 'item' as const, label: item.label } }))
  if (asking.length === 0) return []
  const site = { what: { code: 'site' as const, site: a.formula.product.site }, ...a.ph.site }
  const fixed = asking.filter((item) => !item.worksBelow)
  const low = [...(fixed.length > 0 ? fixed : asking), site].reduce((x, y) => (y.min > x.min ? y : x))
  const high = [...asking, site].reduce((x, y) => (y.max < x.max ? y : x))
  return [
    { side: 'low', what: low.what, at: low.min },
    { side: 'high', what: high.what, at: high.max },
  ]
}

/** Materials, in the formula or dosed, that go on moving the pH. */
export function driftingOf(a: Assessment) {
  const dosed = new Set(dosesOf(a.formula).map((d) => d.key))
  const keys = new Set([...a.substances.keys(), ...dosed])
  return [...keys].flatMap((key) => {
    const drift = materialOfSubstance(a, key)?.drift
    const percent = a.substances.get(key)?.percent ?? 0
    const enough = percent > 0 && percent >= (drift?.fromPercent ?? 0)
    return drift && (enough || (dosed.has(key) && drift.fromPercent === 0)) ? [{ key, drift }] : []
  })
}

/** What may move the pH after it was set, and when to look again. */
export function driftsOf(a: Assessment): Said<DriftFacts>[] {
  const drifts = driftingOf(a).map(({ drift }): Said<DriftFacts> => ({ code: 'own', text: drift.says }))
  if (a.solubility.some((s) => s.verdict !== 'dissolves')) drifts.push({ code: 'slow-solid' })
  if (a.lines.some((l) => l.percent >= 0.5 && l.material && kindHas(l.material.kind, 'slow-ph')))
    drifts.push({ code: 'slow-ph' })
  return drifts
}
