import type { Assessment } from '../assess/types.ts'
import type { AssessedLine } from '../lines/types.ts'
import { inOilPhase, isEmulsifier, isOil } from '../emulsion/emulsion.ts'
import { NO_MINIMUM } from '../findings/usage.ts'
import type { LineRef } from '../shapes/formula.ts'
import { limitsFor } from '../materials/legal.ts'
import type { Material, MaterialKind } from '../shapes/material.ts'
import type { Row } from '../solve/lp.ts'
import { sayNumber } from '../text/format.ts'

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
  /** What the row is about, for a sentence. */
  about: string
  /** The row is about a blend of emulsifiers that is to have this HLB. */
  hlb?: number
}

export interface Wish {
  id: WishId
  /** Completes “… cannot be had together”. */
  says: string
  rows: WishRow[]
  /** Lines that stay as they are. */
  fixed: ReadonlySet<number>
}

/** Lines that a maker chose for what they do: their dose is a decision, not a filling. */
const CHOSEN: ReadonlySet<MaterialKind> = new Set<MaterialKind>([
  'active',
  'hyaluronate',
  'protein',
  'cooling',
  'acid',
  'base',
  'buffer',
  'chelator',
  'antioxidant',
  'preservative',
  'extract',
  'essential-oil',
  'fragrance',
  'colourant',
  'uv-filter',
])
export const isChosen = (m: Material | null) => m !== null && CHOSEN.has(m.kind)

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

/** The wishes as groups of rows, the sum of 100 first. */
export function wishesOf(context: WishContext): Wish[] {
  const { a, wishes, priceOf, hlb } = context
  const all = a.lines.map((_, i) => i)
  const list: Wish[] = [
    {
      id: 'total',
      says: 'a total of 100 %',
      rows: [{ terms: all.map((i) => [i, 1]), lower: 100, upper: 100, unit: 0.01, about: 'total' }],
      fixed: NONE,
    },
  ]
  if (wishes.oilPhasePercent !== undefined) {
    const x = wishes.oilPhasePercent
    list.push({
      id: 'oil-phase',
      says: `an oil phase of ${sayNumber(x)} %`,
      rows: [
        {
          terms: all
            .filter((i) => a.lines[i]!.material && inOilPhase(a.lines[i]!.material))
            .map((i) => [i, 1]),
          lower: x,
          upper: x,
          unit: 1,
          about: 'oil phase',
        },
      ],
      fixed: NONE,
    })
  }
  if (wishes.hlb && hlb !== null) list.push(hlbWish(a, hlb))
  if (wishes.ranges)
    list.push({
      id: 'ranges',
      says: 'every material in its range',
      rows: [...rangeRows(context), ...capRows(a)],
      fixed: NONE,
    })
  if (wishes.costMost !== undefined)
    list.push({
      id: 'cost',
      says: `a price of at most ${sayNumber(wishes.costMost)} for 100 g`,
      rows: [
        {
          terms: all.flatMap((i) => {
            const price = priceOf(a.lines[i]!.id)
            return price ? [[i, price] as const] : []
          }),
          lower: -Infinity,
          upper: wishes.costMost,
          unit: Math.max(0.01, wishes.costMost / 100),
          about: 'price',
        },
      ],
      fixed: NONE,
    })
  if (wishes.naturalLeast !== undefined)
    list.push({
      id: 'natural',
      says: `at least ${sayNumber(wishes.naturalLeast)} % that is not synthetic`,
      rows: [
        {
          terms: all.filter((i) => isNatural(a.lines[i]!.material)).map((i) => [i, 1]),
          lower: wishes.naturalLeast,
          upper: Infinity,
          unit: 1,
          about: 'share that is not synthetic',
        },
      ],
      fixed: NONE,
    })
  const chosen = all.filter((i) => isChosen(a.lines[i]!.material) && a.lines[i]!.given && !a.lines[i]!.fill)
  if (wishes.keepActives && chosen.length > 0)
    list.push({
      id: 'actives',
      says: 'actives, preservatives and scent as they are',
      rows: [],
      fixed: new Set(chosen),
    })
  const locked = all.filter((i) =>
    wishes.locked?.some((at) => at.phase === a.lines[i]!.phase && at.line === a.lines[i]!.line),
  )
  if (locked.length > 0)
    list.push({
      id: 'locked',
      says: locked.length === 1 ? 'the line that is held' : `the ${locked.length} lines that are held`,
      rows: [],
      fixed: new Set(locked),
    })
  return list
}

function hlbWish(a: Assessment, hlb: number): Wish {
  const carriers = hlbCarriers(a.lines)
  const now = carriers.reduce((sum, c) => sum + Math.max(0, a.lines[c.index]!.percent), 0)
  return {
    id: 'hlb',
    says: `emulsifiers with an HLB of ${sayNumber(hlb, 1)}`,
    rows: [
      {
        terms: carriers.map((c) => [c.index, c.hlb - hlb]),
        lower: 0,
        upper: 0,
        // One HLB unit off at the present amount of emulsifier.
        unit: Math.max(0.5, now) * HLB_GOOD_TO,
        about: 'HLB',
        hlb,
      },
      // Without this, no emulsifier at all would be a blend of any HLB.
      {
        terms: carriers.map((c) => [c.index, 1]),
        lower: now * 0.4,
        upper: Infinity,
        unit: 0.01,
        about: 'amount of emulsifier',
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
        lower: NO_MINIMUM.has(material.kind) ? -Infinity : min,
        upper: max,
        unit: Math.max(0.05, (max - min) / 2),
        about: `${material.name} at ${sayNumber(min, 3)}–${sayNumber(max, 3)} %`,
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
        about: `${family?.name ?? a.substances.get(key)!.inci} under ${limit.authority} of ${sayNumber(limit.maxPercent)} %`,
      })
    }
  return rows
}
