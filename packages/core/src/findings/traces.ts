import releasers from '../../data/releasers.json' with { type: 'json' }
import type { Assessment } from '../assess/types.ts'
import { allergenOf } from '../materials/allergens.ts'
import { limitsFor } from '../materials/legal.ts'
import { ALLERGEN_SOURCE, ALLERGEN_THRESHOLD, TRACES_SOURCE } from '../materials/traces.ts'
import { finding, type Rule } from './types.ts'

/** Which list of allergens a label of a region goes by; null where no list is in force. */
export const ALLERGEN_LISTS = {
  EU: ['old', 'long'],
  other: ['old', 'long'],
  CA: ['old', 'long'],
  UK: ['old'],
  US: null,
} as const
export type LabelRegion = keyof typeof ALLERGEN_LISTS

export interface NamedAllergen {
  name: string
  key: string
  natural: boolean
  /** Known of it, percent of the product, over all its members. */
  percent: number
  lines: number[]
  /** It stands on the list as what was put in, too. */
  added: boolean
}

/**
 * Fragrance allergens that a label names: what analyses tell and what was put in by itself, summed over the members of
 * a group, strictly above the threshold of the EU (leave-on 0.001 %, rinse-off 0.01 %).
 */
export function namedAllergens(
  a: Assessment,
  region: LabelRegion = a.formula.product.region,
): NamedAllergen[] {
  const lists: readonly string[] | null = ALLERGEN_LISTS[region]
  if (!lists) return []
  const sums = new Map<string, NamedAllergen>()
  const add = (key: string, percent: number, lines: readonly number[], added: boolean) => {
    const of = percent > 0 ? allergenOf(key) : null
    if (!of || !lists.includes(of.list)) return
    const sum = sums.get(of.key) ?? {
      name: of.name,
      key: of.key,
      natural: of.natural,
      percent: 0,
      lines: [],
      added: false,
    }
    sum.percent += percent
    sum.lines.push(...lines)
    sum.added ||= added && key === of.key
    sums.set(of.key, sum)
  }
  for (const t of a.traces.values()) add(t.key, t.percent, t.lines, false)
  for (const s of a.substances.values()) add(s.key, s.low, s.lines, true)
  return [...sums.values()]
    .filter((x) => x.percent > ALLERGEN_THRESHOLD[a.formula.product.rinse])
    .sort((x, y) => y.percent - x.percent || x.name.localeCompare(y.name, 'en'))
}

/** label.name-allergens: what analyses put above the threshold. */
export const allergens: Rule = (a) => {
  const named = namedAllergens(a).filter((x) => !x.added && !x.natural)
  if (named.length === 0) return []
  return [
    finding(a, {
      code: 'label.name-allergens',
      severity: 'note',
      indexes: [...new Set(named.flatMap((t) => t.lines))],
      facts: {
        allergens: named.map(({ name, percent }) => ({ name, percent })),
        thresholdPercent: ALLERGEN_THRESHOLD[a.formula.product.rinse],
        rinse: a.formula.product.rinse,
      },
      source: { cite: 'data', source: ALLERGEN_SOURCE },
    }),
  ]
}

/** legal.unknown-content: substances hidden in natural oils, unknown until the lot's analysis is entered. */
export const unknownContent: Rule = (a) => {
  const hidden = [...a.traces.values()].filter((t) => t.unknown.length > 0)
  if (hidden.length === 0) return []
  const indexes = [...new Set(hidden.flatMap((t) => t.unknown))]
  const over = hidden.flatMap((t) => {
    const cap = limitsFor(t.key, a.formula.product)[0]?.limit
    return cap && t.percent + t.high > cap.maxPercent
      ? [
          {
            name: t.inci,
            upToPercent: t.percent + t.high,
            authority: cap.authority,
            maxPercent: cap.maxPercent,
          },
        ]
      : []
  })
  const likely = hidden
    .filter((t) => allergenOf(t.key) && t.high > ALLERGEN_THRESHOLD[a.formula.product.rinse])
    .map((t) => t.inci)
  return [
    finding(a, {
      code: 'legal.unknown-content',
      severity: 'note',
      indexes,
      facts: {
        names: indexes.map((i) => a.lines[i]!.label),
        substances: hidden.map((t) => t.inci),
        over,
        likelyOnLabel: a.formula.product.region === 'US' ? [] : likely,
      },
      source: { cite: 'data', source: TRACES_SOURCE },
    }),
  ]
}

/** Moles of formaldehyde that a releaser can give at most, and its molar mass. Theory by formula; from memory. */
const RELEASERS: Record<string, { moles: number; molarMass: number }> = releasers.materials
const FORMALDEHYDE = 30.026
/**
 * Percent of free formaldehyde from which a region's label says so: 10 mg/kg in the EU by Regulation (EU) 2022/1181, the
 * older 0.05 % in the UK, nothing in the US and Canada; from memory.
 */
const SAID_FROM: Partial<Record<LabelRegion, number>> = releasers.saidFromPercent
/** Whether more formaldehyde could be set free than the label of a region lets pass unsaid. */
export const formaldehydeIsSaid = (a: Assessment, region: LabelRegion) =>
  releasableFormaldehyde(a) > (SAID_FROM[region] ?? Infinity)

/** Formaldehyde that all releasers together could set free at most, percent of the product. */
export const releasableFormaldehyde = (a: Assessment) =>
  Object.entries(RELEASERS).reduce(
    (sum, [key, { moles, molarMass }]) =>
      sum + ((a.substances.get(key)?.percent ?? 0) * moles * FORMALDEHYDE) / molarMass,
    0,
  )

/** label.releases-formaldehyde: the sum over every releaser. */
export const formaldehyde: Rule = (a) => {
  const most = releasableFormaldehyde(a)
  if (!formaldehydeIsSaid(a, 'EU')) return []
  return [
    finding(a, {
      code: 'label.releases-formaldehyde',
      severity: 'note',
      indexes: [...new Set(Object.keys(RELEASERS).flatMap((key) => a.substances.get(key)?.lines ?? []))],
      facts: { mostPercent: most, saidFromPercent: SAID_FROM.EU! },
      source: 'formaldehyde-law',
    }),
  ]
}
