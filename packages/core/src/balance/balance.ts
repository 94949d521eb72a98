import type { Said } from '../text/said.ts'
import type { AboutFacts, WishFacts } from './said.ts'
import type { WeighedName } from '../lines/weighed.ts'
import { assess } from '../assess/assess.ts'
import type { Assessment } from '../assess/types.ts'
import { applyEdit, type Edit } from '../formula/edit.ts'
import type { LineRef } from '../shapes/formula.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import { resolveLine } from '../materials/resolve.ts'
import type { Solver } from '../solve/lp.ts'
import { hlbCarriers, isNatural, wantedHlb, wishesOf, type Wish, type Wishes, type WishId } from './wishes.ts'
import { meetHlb } from './hlb.ts'
import { type Start, type Least, startOf, leastChange, NO_WISH, contradiction } from './program.ts'

export interface Change {
  at: LineRef
  label: WeighedName
  /** Percent now; null where no amount was given. */
  from: number | null
  to: number
  fill: boolean
}

/** Where a formula stands on what can be wished for. */
export interface Standing {
  totalPercent: number
  oilPhasePercent: number | null
  wantedHlb: number | null
  offeredHlb: number | null
  /** Price of 100 g of what has a price; null where nothing has. */
  cost: number | null
  /** Materials without a price, water aside. */
  unpriced: string[]
  naturalPercent: number
}

interface Outcome {
  changes: Change[]
  /** All changes as one step. */
  edit: Edit
  after: Standing
  /** The largest change of a line and the sum of them all, as shares of the lines; the fill line is not counted. */
  largestShare: number
  sumOfShares: number
}
/** A wish that could not be met, and how near it came. */
interface Missed {
  id: WishId
  about: Said<AboutFacts>
  wanted: 'exactly' | 'at-least' | 'at-most'
  bound: number
  reached: number
}
export type Balance =
  | ({ status: 'done' } & Outcome)
  | ({
      status: 'impossible'
      /** The fewest wishes that contradict one another. */
      conflict: Said<WishFacts>[]
      conflictIds: WishId[]
      /** Wishes that the nearest possible misses: what was asked and what it has. */
      missed: Missed[]
      /** False where even letting wishes go gives nothing. */
      nearest: boolean
    } & Outcome)

export interface BalanceContext {
  catalogue: Catalogue
  /** Price of a gram, or null where none is known. */
  priceOf: (id: string) => number | null
}

export function standingOf(a: Assessment, { priceOf }: BalanceContext): Standing {
  const percents = a.lines.map((l) => Math.max(0, l.percent))
  const priced = a.lines.filter((l) => priceOf(l.id) !== null)
  return {
    totalPercent: a.amounts.totalPercent,
    oilPhasePercent: a.emulsion?.oilPhasePercent ?? null,
    wantedHlb: a.emulsion ? wantedHlb(a.lines, percents) : null,
    offeredHlb: a.emulsion?.offeredHlb ?? null,
    cost: priced.length > 0 ? priced.reduce((sum, l) => sum + l.percent * priceOf(l.id)!, 0) : null,
    unpriced: a.lines
      .filter((l) => l.percent > 0 && priceOf(l.id) === null && l.material?.kind !== 'water')
      .map((l) => l.label),
    naturalPercent: a.lines.reduce((s, l) => s + (isNatural(l.material) ? Math.max(0, l.percent) : 0), 0),
  }
}

const tidy = (percent: number) => Number(percent.toFixed(percent >= 0.1 ? 2 : 3))

function outcome(a: Assessment, start: Start, least: Least, context: BalanceContext): Outcome {
  const { percents, ...shares } = least
  const to = percents.map((p, i) => (Math.abs(p - start.percents[i]!) < 5e-4 ? start.percents[i]! : tidy(p)))
  if (start.fill < 0) {
    // What rounding leaves goes to the line that changes most.
    const rest = 100 - to.reduce((sum, p) => sum + p, 0)
    const moved = to.map((p, i) => Math.abs(p - start.percents[i]!))
    const most = moved.indexOf(Math.max(...moved))
    if (Math.abs(rest) < 0.2 && moved[most]! > 0) to[most] = Number((to[most]! + rest).toFixed(4))
  }
  const changes = a.lines.flatMap((line, i): Change[] =>
    to[i] === start.percents[i] && line.given
      ? []
      : [
          {
            at: { phase: line.phase, line: line.line },
            label: line.weighedAs,
            from: line.given ? line.percent : null,
            to: to[i]!,
            fill: line.fill,
          },
        ],
  )
  const edit: Edit = {
    type: 'sequence',
    edits: changes
      .filter((c) => !c.fill)
      .map(({ at, to: percent }) =>
        a.formula.phases[at.phase]!.lines[at.line]!.grams !== undefined
          ? { type: 'set-grams', at, grams: Number(((percent * a.amounts.batchGrams) / 100).toFixed(6)) }
          : { type: 'set-percent', at, percent },
      ),
  }
  return {
    changes,
    edit,
    ...shares,
    after: standingOf(assess(applyEdit(a.formula, edit), context.catalogue), context),
  }
}

/**
 * Changes the amounts as little as the wishes allow: first the largest change of any line, as a share of itself, is
 * made as small as possible, then the sum of these shares; the fill line takes up the rest and hardly counts. Linear
 * programs, solved exactly. Where the wishes contradict one another, the fewest that do are named, and the amounts
 * are those that miss them by the least.
 */
export function balance(a: Assessment, wishes: Wishes, context: BalanceContext, solver: Solver): Balance {
  const start = startOf(a)
  const doseFactors = a.lines.map((l) => resolveLine(l.source, context.catalogue).doseFactor)
  const wishesFor = (hlb: number | null) =>
    wishesOf({ a, wishes, doseFactors, priceOf: context.priceOf, hlb })
  // In water in oil the figures tell the type only; they are no amount to meet.
  const counts = a.emulsion?.type === 'oil-in-water' && hlbCarriers(a.lines).length > 0
  const hlb = counts ? wantedHlb(a.lines, start.percents) : null
  const { list, best } =
    wishes.hlb && hlb !== null
      ? meetHlb(a, start, wishesFor, solver)
      : { list: wishesFor(hlb), best: leastChange(solver, start, wishesFor(hlb), NO_WISH) }
  if (best) return { status: 'done', ...outcome(a, start, best, context) }

  const conflict = contradiction(solver, start, list)
  const gives = new Set<WishId>(list.map((w) => w.id).filter((id) => id !== 'total'))
  const near =
    leastChange(solver, start, list, gives) ?? leastChange(solver, start, list, new Set([...gives, 'total']))
  const least = near ?? { percents: start.percents, largestShare: 0, sumOfShares: 0 }
  return {
    status: 'impossible',
    conflict: conflict.map((w) => w.says),
    conflictIds: conflict.map((w) => w.id),
    missed: list.flatMap((w) => missedOf(w, least.percents)),
    nearest: near !== null,
    ...outcome(a, start, least, context),
  }
}

function missedOf(wish: Wish, percents: readonly number[]): Missed[] {
  return wish.rows.flatMap((row) => {
    const value = row.terms.reduce((sum, [i, c]) => sum + c * percents[i]!, 0)
    const { hlb } = row
    const room = 1e-3 * row.unit + 1e-6
    if (value >= row.lower - room && value <= row.upper + room) return []
    const low = value < row.lower
    if (hlb !== undefined) {
      const weight = row.terms.reduce((sum, [i]) => sum + percents[i]!, 0)
      const reached = weight > 0 ? hlb + value / weight : hlb
      return [{ id: wish.id, about: row.about, wanted: 'exactly', bound: hlb, reached }]
    }
    return [
      {
        id: wish.id,
        about: row.about,
        wanted: row.lower === row.upper ? 'exactly' : low ? 'at-least' : 'at-most',
        bound: low ? row.lower : row.upper,
        reached: value,
      },
    ]
  })
}
