import { TRACES_SOURCE, usualTraces } from '../../materials/traces.ts'
import { allLimitsOf, LIMITS_REVIEWED, type Limit } from '../../materials/legal.ts'
import type { CHARGES } from '../../shapes/charges.ts'
import type { ChangedFact, Material } from '../../shapes/material.ts'
import { formatRange, listWords, sayNumber, sayPercent } from '../../text/format.ts'
import { slug } from '../../text/names.ts'
import { materialSource } from './material-sources.ts'

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

/** The field behind a fact that a maker can change. */
const CHANGED: Record<ChangedFact['fact'], string> = {
  usage: 'Usual range',
  ph: 'pH',
  heatMaxC: 'Maximum processing temperature',
  density: 'Density',
  strengthPercent: 'Strength as supplied',
  hlb: 'HLB',
  note: 'Note',
}
/** What the catalogue says of a fact that was changed. */
function was({ fact, was: value }: ChangedFact): string {
  if (value === null) return fact === 'note' ? 'none' : 'not known'
  if (typeof value === 'object')
    return fact === 'ph' ? formatRange(value) : `${sayPercent(value.min)} to ${sayPercent(value.max)}`
  if (typeof value === 'string') return value
  if (fact === 'strengthPercent') return sayPercent(value)
  return `${value}${fact === 'heatMaxC' ? ' °C' : fact === 'density' ? ' g/mL' : ''}`
}

type Told = [what: string, value: string, source?: string]
const percentsOf = (parts: readonly { inci: string; percent: number }[]) =>
  parts.map((p) => `${p.inci} ${sayPercent(p.percent)}`).join(', ')
const OXIDATION = { fast: 'fast', medium: 'in months', slow: 'slowly' }
const SETTING = { fast: 'fast, as it cools', medium: 'as it cools', slow: 'slowly, over a day' }
const WHITENING = ['', 'not', 'a little', 'somewhat', 'clearly', 'strongly']
const ORIGIN = {
  plant: 'plants',
  mineral: 'minerals',
  animal: 'animals',
  derived: 'plant or ferment, processed',
  synthetic: 'synthesis',
}

/** What it is and how it is used. */
const nature = (m: Material): (Told | false | undefined)[] => [
  ['INCI', m.inci.join(', '), m.own ? undefined : 'INCI nomenclature'] as Told,
  ['Function', m.functions.join(', ')],
  ['Soluble in', m.solubility.map((s) => (s === 'dispersible' ? 'disperses' : s)).join(', ')],
  ['Phase', m.phase === 'any' ? 'any phase' : m.phase],
  m.usage && [
    'Usual range',
    `${sayPercent(m.usage.min)} to ${sayPercent(m.usage.max)}, often ${sayPercent(m.usage.typical)}`,
  ],
  m.ph && [
    'pH',
    `${GRADE[m.ph.grade]} ${formatRange(m.ph)}${m.ph.fromPercent ? `, from ${sayPercent(m.ph.fromPercent)} up` : ''}`,
  ],
  m.heatMaxC !== undefined && m.heatMaxC > 0 && ['Maximum processing temperature', `${m.heatMaxC} °C`],
  m.meltsC !== undefined && m.meltsC > 0 && ['Melts at about', `${m.meltsC} °C`, 'handbook melting range'],
  ['Charge', CHARGE[m.charge]],
  m.density !== undefined && ['Density', `${m.density} g/mL at 20 °C`],
  m.strengthPercent !== undefined && ['Strength as supplied', sayPercent(m.strengthPercent)],
  m.reconstitutesTo !== undefined && [
    'Used as',
    `${m.reconstitutesTo} times its weight of single-strength juice, made up with water first`,
  ],
  m.parts && [
    'Usually made of',
    percentsOf(m.parts),
    'usual make-up; differs by maker, your lot’s paper decides',
  ],
]
/** What it does in a product. */
const work = ({ cover, emulsifier: e, requiredHlb: hlb, ...m }: Material): (Told | false | undefined)[] => [
  cover && [
    'Covers',
    `gram-positive ${COVER[cover.gramPositive]}, gram-negative ${COVER[cover.gramNegative]}, yeast ${COVER[cover.yeast]}, mould ${COVER[cover.mould]}`,
  ],
  e?.hlb !== undefined && ['HLB', String(e.hlb), e.hlbSource && materialSource(e.hlbSource)],
  e?.shareOfOils && ['Share of the oils', `${e.shareOfOils.min} to ${e.shareOfOils.max}\u202f%`],
  hlb && [
    'Required HLB',
    hlb.low === hlb.high ? String(hlb.value) : `${hlb.low}–${hlb.high}`,
    `${hlb.source}; ${hlb.confidence} confidence`,
  ],
  m.oxidation && ['Oxidation', OXIDATION[m.oxidation]],
  m.slurry && ['Wet it first in', `${m.slurry.parts} parts of ${m.slurry.in}`],
  m.hydrationHours && ['Full body after', hydration(m.hydrationHours)],
  m.setting && ['Sets', SETTING[m.setting]],
  m.whitening !== undefined && ['Whitens when rubbed', WHITENING[m.whitening]!],
  m.feel && ['Skin feel', m.feel.map((w) => FEEL[w] ?? w).join(', ')],
]
const hydration = ({ min, max }: { min: number; max: number }) =>
  max < 1 ? `${Math.round(min * 60)} to ${Math.round(max * 60)} minutes` : `${min} to ${max} hours`
/** What it brings along, and what it is made from. */
function comesWith(m: Material): (Told | false)[] {
  const traces = m.contains ? [] : usualTraces(m)
  const usual = traces.map((t) => `${t.inci} ${sayNumber(t.low, 3)}–${sayPercent(t.high)}`).join(', ')
  return [
    m.contains !== undefined && ['Brings along', percentsOf(m.contains), 'analysis of your lot'],
    traces.length > 0 && ['Brings along', `${usual}; your lot’s analysis decides`, TRACES_SOURCE],
    m.origin !== 'unknown' && ['Made from', ORIGIN[m.origin]],
  ]
}

/** What is known of a material, each fact with its source. */
export function factsOf(m: Material): Fact[] {
  const own = m.own ? 'your own entry' : `${materialSource(m.source)}; ${m.confidence} confidence`
  const changed = new Map(m.changed?.map((c) => [CHANGED[c.fact], was(c)]))
  return [...nature(m), ...work(m), ...comesWith(m)].flatMap((told) => {
    if (!told) return []
    const [what, value, source = own] = told
    return [
      {
        what,
        value,
        source: changed.has(what) ? `your change; the catalogue says ${changed.get(what)}` : source,
      },
    ]
  })
}

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
      source: `${limit.source}; reviewed ${LIMITS_REVIEWED} (${limit.confidence} confidence)`,
    })),
  )
}
