import type { Assessment } from '../assess/types.ts'
import type { AssessedLine } from '../lines/types.ts'
import { inOilPhase, isEmulsifier, isOil } from '../emulsion/emulsion.ts'
import type { LineRef } from '../shapes/formula.ts'
import { limitsFor } from '../materials/legal.ts'
import type { Material } from '../shapes/material.ts'
import type { Row } from '../solve/lp.ts'
import type { Said } from '../text/said.ts'
import type { AboutFacts, WishFacts } from './said.ts'
import { kindHas } from '../shapes/kinds.ts'

/** What a balance shall reach. Percents are of the product. */
export interface Wishes {
  /** Oils, fatty alcohols and emulsifiers together. */
  oilPhasePercent?: number
  /** What the emulsifiers offer meets what the oils want, within what such figures are good for. */
  hlb?: boolean
  /** Every material in its usual range and under the caps of law. */
  ranges?: boolean
  /** Actives, acids, preservatives, chelators, antioxidants and scent stay as they are. */
  keepActives?: boolean
  /** Price of 100 g, at most; in the money of the lots. */
  costMost?: number
  /** Share of what is not synthetic, at least. */
  naturalLeast?: number
  locked?: readonly LineRef[]
}

export type WishId = 'total' | 'oil-phase' | 'hlb' | 'ranges' | 'cost' | 'natural' | 'actives' | 'locked'

/** A row of the program that a wish asks for, and by how much missing it counts as 1. */
export interface WishRow extends Row {
  unit: number
  about: Said<AboutFacts>
  /** The row is about a blend of emulsifiers that is to have this HLB. */
  hlb?: number
}

export interface Wish {
  id: WishId
  says: Said<WishFacts>
  rows: WishRow[]
  /** Lines that stay as they are. */
  fixed: ReadonlySet<number>
}

export const isChosen = (m: Material | null) => m !== null && kindHas(m.kind, 'chosen')

export const isNatural = (m: Material | null) =>
  m !== null && m.origin !== 'synthetic' && m.origin !== 'unknown'

const NONE: ReadonlySet<number> = new Set()
/** HLB values of oils and emulsifiers are good to about this. */
export const HLB_GOOD_TO = 1

/** Lines whose HLB counts for what the emulsifiers offer; the same choice as `describeEmulsion` makes. */
export function hlbCarriers(lines: readonly AssessedLine[]): { index: number; hlb: number }[] {
  const emulsified = lines.some((l) => l.material && l.percent > 0 && isEmulsifier(l.material))
  return lines.flatMap((l, index) => {
    const facts = l.material?.emulsifier
    if (!facts || facts.hlb === undefined) return []
    const counts = facts.role !== 'solubiliser' || emulsified || l.id.startsWith('polysorbate')
    return counts ? [{ index, hlb: facts.hlb }] : []
  })
}

/** HLB that the oils at these percents want; null where none has a value. */
export function wantedHlb(lines: readonly AssessedLine[], percents: readonly number[]): number | null {
  let weight = 0
  let sum = 0
  lines.forEach((l, i) => {
    const value = l.material && isOil(l.material) ? l.material.requiredHlb?.value : undefined
    if (value === undefined) return
    weight += percents[i]!
    sum += percents[i]! * value
  })
  return weight > 0 ? sum / weight : null
}

export interface WishContext {
  a: Assessment
  wishes: Wishes
  /** Percent of the material at its reference strength for one percent of the line. */
  doseFactors: readonly number[]
  priceOf: (id: string) => number | null
  /** HLB that the emulsifiers are to meet. */
  hlb: number | null
}

/** Numbers of the lines that fit. */
const linesThat = (a: Assessment, fits: (line: Assessment['lines'][number]) => boolean) =>
  a.lines.flatMap((line, i) => (fits(line) ? [i] : []))
const each = (lines: readonly number[]) => lines.map((i) => [i, 1] as const)
/** A wish of one row. */
const asRow = (id: Wish['id'], says: Said<WishFacts>, row: Wish['rows'][number]): Wish => ({
  id,
  says,
  rows: [row],
  fixed: NONE,
})
/** A wish that lines stay as they are; none where there is no such line. */
const asHeld = (
  id: Wish['id'],
  says: (n: number) => Said<WishFacts>,
  lines: readonly number[],
): Wish | null =>
  lines.length > 0 ? { id, says: says(lines.length), rows: [], fixed: new Set(lines) } : null

/** Each wish in the order in which it is told; null where it was not made. */
const MAKERS: readonly ((context: WishContext) => Wish | null)[] = [
  ({ a }) =>
    asRow(
      'total',
      { code: 'total' },
      {
        terms: each(linesThat(a, () => true)),
        lower: 100,
        upper: 100,
        unit: 0.01,
        about: { code: 'total' },
      },
    ),
  ({ a, wishes: { oilPhasePercent: x } }) =>
    x === undefined
      ? null
      : asRow(
          'oil-phase',
          { code: 'oil-phase', percent: x },
          {
            terms: each(linesThat(a, (l) => l.material !== null && inOilPhase(l.material))),
            lower: x,
            upper: x,
            unit: 1,
            about: { code: 'oil-phase' },
          },
        ),
  ({ a, wishes, hlb }) => (wishes.hlb && hlb !== null ? hlbWish(a, hlb) : null),
  (context) =>
    context.wishes.ranges
      ? {
          id: 'ranges',
          says: { code: 'ranges' },
          rows: [...rangeRows(context), ...capRows(context.a)],
          fixed: NONE,
        }
      : null,
  ({ a, wishes: { costMost }, priceOf }) =>
    costMost === undefined
      ? null
      : asRow(
          'cost',
          { code: 'cost', most: costMost },
          {
            terms: a.lines.flatMap((l, i) => {
              const price = priceOf(l.id)
              return price ? [[i, price] as const] : []
            }),
            lower: -Infinity,
            upper: costMost,
            unit: Math.max(0.01, costMost / 100),
            about: { code: 'cost' },
          },
        ),
  ({ a, wishes: { naturalLeast } }) =>
    naturalLeast === undefined
      ? null
      : asRow(
          'natural',
          { code: 'natural', leastPercent: naturalLeast },
          {
            terms: each(linesThat(a, (l) => isNatural(l.material))),
            lower: naturalLeast,
            upper: Infinity,
            unit: 1,
            about: { code: 'natural' },
          },
        ),
  ({ a, wishes }) =>
    wishes.keepActives
      ? asHeld(
          'actives',
          () => ({ code: 'actives' }),
          linesThat(a, (l) => isChosen(l.material) && l.given && !l.fill),
        )
      : null,
  ({ a, wishes }) =>
    asHeld(
      'locked',
      (n) => ({ code: 'locked', lines: n }),
      linesThat(a, (l) => wishes.locked?.some((at) => at.phase === l.phase && at.line === l.line) ?? false),
    ),
]

/** The wishes as groups of rows, the sum of 100 first. */
export const wishesOf = (context: WishContext): Wish[] => MAKERS.flatMap((make) => make(context) ?? [])

function hlbWish(a: Assessment, hlb: number): Wish {
  const carriers = hlbCarriers(a.lines)
  const now = carriers.reduce((sum, c) => sum + Math.max(0, a.lines[c.index]!.percent), 0)
  return {
    id: 'hlb',
    says: { code: 'hlb', hlb },
    rows: [
      {
        terms: carriers.map((c) => [c.index, c.hlb - hlb]),
        lower: 0,
        upper: 0,
        // One HLB unit off at the present amount of emulsifier.
        unit: Math.max(0.5, now) * HLB_GOOD_TO,
        about: { code: 'hlb' },
        hlb,
      },
      // Without this, no emulsifier at all would be a blend of any HLB.
      {
        terms: carriers.map((c) => [c.index, 1]),
        lower: now * 0.4,
        upper: Infinity,
        unit: 0.01,
        about: { code: 'emulsifier' },
      },
    ],
    fixed: NONE,
  }
}

function rangeRows({ a, doseFactors }: WishContext): WishRow[] {
  return [...a.doses].flatMap(([, { lines }]): WishRow[] => {
    const material = a.lines[lines[0]!]!.material!
    if (!material.usage || material.kind === 'water') return []
    const { min, max } = material.usage
    return [
      {
        terms: lines.map((i) => [i, doseFactors[i]!]),
        lower: kindHas(material.kind, 'no-minimum') ? -Infinity : min,
        upper: max,
        unit: Math.max(0.05, (max - min) / 2),
        about: { code: 'range', name: material.name, min, max },
      },
    ]
  })
}

function capRows(a: Assessment): WishRow[] {
  const seen = new Set<string>()
  const rows: WishRow[] = []
  for (const key of a.substances.keys())
    for (const { limit, family, factors } of limitsFor(key, a.formula.product)) {
      const id = `${limit.subject}|${limit.authority}`
      if (limit.kind !== 'law' || limit.from || seen.has(id)) continue
      seen.add(id)
      rows.push({
        terms: a.lines.flatMap((line, i) =>
          line.substances.flatMap((s) =>
            factors.has(s.key) ? [[i, (s.share / 100) * factors.get(s.key)!] as const] : [],
          ),
        ),
        lower: -Infinity,
        upper: limit.maxPercent,
        unit: Math.max(0.01, limit.maxPercent / 2),
        about: {
          code: 'cap',
          name: family?.name ?? a.substances.get(key)!.inci,
          authority: limit.authority,
          maxPercent: limit.maxPercent,
        },
      })
    }
  return rows
}
