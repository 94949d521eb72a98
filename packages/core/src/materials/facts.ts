import type { CHARGES } from '../shapes/charges.ts'
import { catalogue } from './catalogue.ts'
import { pairsOf } from './pairs.ts'
import { formatRange, listWords, sayNumber, sayPercent } from '../text/format.ts'
import { TRACES_SOURCE, usualTraces } from './traces.ts'
import { allLimitsOf, LIMITS_REVIEWED, type Limit } from './legal.ts'
import { blendKey, slug } from '../text/names.ts'
import type { Material } from '../shapes/material.ts'

const CHARGE: Record<(typeof CHARGES)[number], string> = {
  none: 'none',
  nonionic: 'none (nonionic)',
  anionic: 'negative (anionic)',
  cationic: 'positive (cationic)',
  amphoteric: 'both (amphoteric)',
}
const GRADE = { works: 'works only at', holds: 'holds its body at', prefers: 'prefers' }
const FEEL: Record<string, string> = { fast: 'spreads fast', slow: 'spreads slowly', film: 'leaves a film' }
const COVER = ['little', 'weak', 'moderate', 'strong']

export interface Fact {
  what: string
  value: string
  /** Where it comes from and how sure it is. */
  source: string
}

/** What is known of a material, each fact with its source. */
export function factsOf(m: Material): Fact[] {
  const source = m.own ? 'your own entry' : `${m.source}, from memory; ${m.confidence} confidence`
  const changed = new Map(m.changed?.map((c) => [c.what, c.was]))
  const fact = (what: string, value: string, from = source): Fact => ({
    what,
    value,
    source: changed.has(what) ? `your change; the catalogue says ${changed.get(what)}` : from,
  })
  return [
    fact('INCI', m.inci.join(', '), m.own ? source : 'INCI nomenclature'),
    fact('Does', m.functions.join(', ')),
    fact('Lives in', m.solubility.map((s) => (s === 'dispersible' ? 'disperses' : s)).join(', ')),
    fact('Goes into', m.phase === 'any' ? 'any phase' : m.phase),
    ...(m.usage
      ? [
          fact(
            'Usual range',
            `${sayPercent(m.usage.min)} to ${sayPercent(m.usage.max)}, often ${sayPercent(m.usage.typical)}`,
          ),
        ]
      : []),
    ...(m.ph
      ? [
          fact(
            'pH',
            `${GRADE[m.ph.grade]} ${formatRange(m.ph)}${m.ph.fromPercent ? `, from ${sayPercent(m.ph.fromPercent)} up` : ''}`,
          ),
        ]
      : []),
    ...(m.heatMaxC ? [fact('Stands', `${m.heatMaxC} °C`)] : []),
    ...(m.meltsC ? [fact('Melts at about', `${m.meltsC} °C`, 'handbook melting range, from memory')] : []),
    fact('Charge', CHARGE[m.charge]),
    ...(m.density ? [fact('Density', `${m.density} g/mL at 20 °C`)] : []),
    ...(m.strengthPercent ? [fact('Supplied at', sayPercent(m.strengthPercent))] : []),
    ...(m.reconstitutesTo
      ? [
          fact(
            'Stands for',
            `${m.reconstitutesTo} times its weight of single-strength juice, made up with water first`,
          ),
        ]
      : []),
    ...(m.parts
      ? [
          fact(
            'Usually made of',
            m.parts.map((p) => `${p.inci} ${sayPercent(p.percent)}`).join(', '),
            'usual make-up; differs by maker, your lot’s paper decides',
          ),
        ]
      : []),
    ...(m.cover
      ? [
          fact(
            'Covers',
            `gram-positive ${COVER[m.cover.gramPositive]}, gram-negative ${COVER[m.cover.gramNegative]}, yeast ${COVER[m.cover.yeast]}, mould ${COVER[m.cover.mould]}`,
          ),
        ]
      : []),
    ...(m.emulsifier?.hlb !== undefined
      ? [fact('HLB', String(m.emulsifier.hlb), `${m.emulsifier.hlbSource}, from memory`)]
      : []),
    ...(m.emulsifier?.shareOfOils
      ? [
          fact(
            'Share of the oils',
            `${m.emulsifier.shareOfOils.min} to ${m.emulsifier.shareOfOils.max}\u202f%`,
          ),
        ]
      : []),
    ...(m.requiredHlb
      ? [
          fact(
            'Required HLB',
            m.requiredHlb.low === m.requiredHlb.high
              ? String(m.requiredHlb.value)
              : `${m.requiredHlb.low}–${m.requiredHlb.high}`,
            `${m.requiredHlb.source}, from memory; ${m.requiredHlb.confidence} confidence`,
          ),
        ]
      : []),
    ...(m.oxidation
      ? [fact('Turns rancid', { fast: 'fast', medium: 'in months', slow: 'slowly' }[m.oxidation])]
      : []),
    ...(m.slurry ? [fact('Wet it first in', `${m.slurry.parts} parts of ${m.slurry.in}`)] : []),
    ...(m.hydrationHours
      ? [
          fact(
            'Full body after',
            m.hydrationHours.max < 1
              ? `${Math.round(m.hydrationHours.min * 60)} to ${Math.round(m.hydrationHours.max * 60)} minutes`
              : `${m.hydrationHours.min} to ${m.hydrationHours.max} hours`,
          ),
        ]
      : []),
    ...(m.setting
      ? [
          fact(
            'Sets',
            { fast: 'fast, as it cools', medium: 'as it cools', slow: 'slowly, over a day' }[m.setting],
          ),
        ]
      : []),
    ...(m.whitening
      ? [
          fact(
            'Whitens when rubbed',
            ['', 'not', 'a little', 'somewhat', 'clearly', 'strongly'][m.whitening]!,
          ),
        ]
      : []),
    ...(m.feel ? [fact('Feels', m.feel.map((w) => FEEL[w] ?? w).join(', '))] : []),
    ...(m.contains
      ? [
          fact(
            'Brings along',
            m.contains.map((c) => `${c.inci} ${sayPercent(c.percent)}`).join(', '),
            'analysis of your lot',
          ),
        ]
      : usualTraces(m).length > 0
        ? [
            fact(
              'Brings along',
              `${usualTraces(m)
                .map((t) => `${t.inci} ${sayNumber(t.low, 3)}–${sayPercent(t.high)}`)
                .join(', ')}; your lot’s analysis decides`,
              TRACES_SOURCE,
            ),
          ]
        : []),
    ...(m.origin !== 'unknown'
      ? [
          fact(
            'Made from',
            {
              plant: 'plants',
              mineral: 'minerals',
              animal: 'animals',
              derived: 'plant or ferment, processed',
              synthetic: 'synthesis',
            }[m.origin],
          ),
        ]
      : []),
  ]
}

/**
 * What a concentrate in a line stands for, as percent of single strength in the product, and the least water that has
 * to make it up: 0.2 % of a 200-fold powder is 40 % juice. Null for anything else.
 */
export function reconstituted(
  m: Material,
  percent: number,
): { percent: number; waterPercent: number } | null {
  if (!m.reconstitutesTo || percent <= 0) return null
  const whole = Number((percent * m.reconstitutesTo).toFixed(6))
  return { percent: whole, waterPercent: Number((whole - percent).toFixed(6)) }
}

/** Other materials under the same INCI name: other strengths, weights or grades of what is asked for. */
export const gradesOf = (m: Material, materials: readonly Material[]) => {
  const key = blendKey(m.inci)
  return materials.filter(
    (other) => other.id !== m.id && (blendKey(other.inci) === key || sameFamily(other, m)),
  )
}

const sameFamily = (a: Material, b: Material) => a.family !== undefined && a.family === b.family

export interface LimitRow {
  substance: string
  where: string
  cap: string
  authority: string
  kind: 'law' | 'opinion'
  note: string
  source: string
}

const whereOf = (limit: Limit) =>
  [
    limit.rinse ?? 'leave-on and rinse-off',
    limit.sites ? `for ${listWords(limit.sites, 'or')}` : 'anywhere',
  ].join(', ')

/** The caps that bear on a material or on one of its parts. */
export function limitRowsOf(m: Material): LimitRow[] {
  const names = m.parts?.map((p) => p.inci) ?? m.inci
  return names.flatMap((inci) =>
    allLimitsOf(slug(inci)).map(({ limit, family }) => ({
      substance: family && Object.keys(family.members).length > 1 ? `${inci} (${family.name})` : inci,
      where: whereOf(limit),
      cap:
        limit.maxPercent === 0
          ? 'not permitted'
          : `${sayPercent(limit.maxPercent)}${family && family.unit !== 'as supplied' ? ` ${family.unit}` : ''}`,
      authority: limit.authority,
      kind: limit.kind,
      note: [
        limit.condition,
        limit.phMin ? `at pH ${limit.phMin} or above` : '',
        limit.from ? `from ${limit.from}` : '',
      ]
        .filter(Boolean)
        .join('; '),
      source: `${limit.source}; reviewed ${LIMITS_REVIEWED}, from memory (${limit.confidence} confidence)`,
    })),
  )
}

/** What a material does not go with. */
export const clashesOf = (m: Material) => pairsOf(m, (key) => catalogue.find(key))
