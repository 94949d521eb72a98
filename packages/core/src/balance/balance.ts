import { assess } from '../assess/assess.ts'
import type { Assessment } from '../assess/types.ts'
import { applyEdit, type Edit } from '../formula/edit.ts'
import type { LineRef } from '../shapes/formula.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import { resolveLine } from '../materials/resolve.ts'
import type { Program, Row, Solver, Variable } from '../solve/lp.ts'
import { hlbCarriers, isNatural, wantedHlb, wishesOf, type Wish, type Wishes, type WishId } from './wishes.ts'

export interface Change {
  at: LineRef
  label: string
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
export type Balance =
  | ({ status: 'done' } & Outcome)
  | ({
      status: 'impossible'
      /** The fewest wishes that contradict one another, as phrases. */
      conflict: string[]
      conflictIds: WishId[]
      /** Wishes that the nearest possible misses: what was asked and what it has. */
      missed: { id: WishId; about: string; wanted: string; bound: number; reached: number }[]
      /** False where even letting wishes go gives nothing. */
      nearest: boolean
    } & Outcome)

export interface BalanceContext {
  catalogue: Catalogue
  /** Price of a gram, or null where none is known. */
  priceOf: (id: string) => number | null
}

/** A change of an amount is told in shares of itself; below this percent, in shares of this. */
const SMALL = 0.1
/** What a change of the fill line weighs beside that of another line: it is there to take changes up. */
const FILL_COST = 1e-4

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

interface Start {
  percents: number[]
  scales: number[]
  fill: number
  /** What the fill line keeps at least: an emulsion without water is none. */
  fillLeast: number
}

/** Water below which nothing is an emulsion, percent; the same bound as `describeEmulsion`. */
const FILL_LEAST = 5

function startOf(a: Assessment): Start {
  const percents = a.lines.map((l) => (l.given ? Math.max(0, l.percent) : (l.material?.usage?.typical ?? 1)))
  return {
    percents,
    scales: percents.map((p) => Math.max(SMALL, p)),
    fill: a.lines.findIndex((l) => l.fill),
    fillLeast: a.emulsion ? FILL_LEAST : 0,
  }
}

/**
 * Variables: the percent of each line, then the size of its change as a share of itself, then the largest such
 * share, then what each row that may give way is short of or over.
 */
function programOf(start: Start, wishes: readonly Wish[], gives: ReadonlySet<WishId>) {
  const n = start.percents.length
  const fixed = new Set(wishes.flatMap((w) => [...w.fixed]))
  const variables: Variable[] = start.percents.map((p, i) =>
    fixed.has(i)
      ? { lower: p, upper: p, cost: 0 }
      : { lower: i === start.fill ? Math.min(p, start.fillLeast) : 0, upper: 100, cost: 0 },
  )
  for (let i = 0; i < n; i++) variables.push({ lower: 0, upper: Infinity, cost: 0 })
  const largest = variables.push({ lower: 0, upper: Infinity, cost: 0 }) - 1
  const rows: Row[] = []
  start.percents.forEach((p, i) => {
    const scale = start.scales[i]!
    rows.push({ terms: [[i, 1], [n + i, -scale]], lower: -Infinity, upper: p }) // prettier-ignore
    rows.push({ terms: [[i, 1], [n + i, scale]], lower: p, upper: Infinity }) // prettier-ignore
    if (i !== start.fill) rows.push({ terms: [[n + i, 1], [largest, -1]], lower: -Infinity, upper: 0 }) // prettier-ignore
  })
  const shortfalls: { variable: number; unit: number }[] = []
  for (const wish of wishes)
    for (const row of wish.rows) {
      if (!gives.has(wish.id)) {
        rows.push(row)
        continue
      }
      const short = variables.push({ lower: 0, upper: Infinity, cost: 0 }) - 1
      const over = variables.push({ lower: 0, upper: Infinity, cost: 0 }) - 1
      shortfalls.push({ variable: short, unit: row.unit }, { variable: over, unit: row.unit })
      rows.push({ ...row, terms: [...row.terms, [short, 1], [over, -1]] })
    }
  return { program: { variables, rows } satisfies Program, largest, shortfalls, n }
}

const NO_WISH: ReadonlySet<WishId> = new Set()
/** Room for the arithmetic between one stage and the next. */
const roomy = (value: number) => value * (1 + 1e-7) + 1e-7

interface Least {
  percents: number[]
  largestShare: number
  sumOfShares: number
}

/** Least missing of what may give way, then the smallest largest change, then the smallest sum of changes. */
function leastChange(
  solver: Solver,
  start: Start,
  wishes: readonly Wish[],
  gives: ReadonlySet<WishId>,
): Least | null {
  const { program, largest, shortfalls, n } = programOf(start, wishes, gives)
  const costs = (of: (variable: number) => number, rows: readonly Row[]): Program => ({
    rows,
    variables: program.variables.map((v, i) => ({ ...v, cost: of(i) })),
  })
  let rows: Row[] = program.rows
  if (shortfalls.length > 0) {
    const units = new Map(shortfalls.map((s) => [s.variable, 1 / s.unit]))
    const missing = solver.solve(costs((i) => units.get(i) ?? 0, rows))
    if (missing.status !== 'optimal') return null
    rows = [...rows, { terms: [...units], lower: -Infinity, upper: roomy(missing.objective) }]
  }
  const first = solver.solve(costs((i) => (i === largest ? 1 : 0), rows))
  if (first.status !== 'optimal') return null
  rows = [...rows, { terms: [[largest, 1]], lower: -Infinity, upper: roomy(first.objective) }]
  const second = solver.solve(
    costs((i) => (i >= n && i < 2 * n ? (i - n === start.fill ? FILL_COST : 1) : 0), rows),
  )
  const best = second.status === 'optimal' ? second : first
  const percents = best.values.slice(0, n)
  const sumOfShares = best.values.slice(n, 2 * n).reduce((s, d, i) => s + (i === start.fill ? 0 : d), 0)
  return { percents, largestShare: first.objective, sumOfShares }
}

const feasible = (solver: Solver, start: Start, wishes: readonly Wish[]) =>
  solver.solve(programOf(start, wishes, NO_WISH).program).status === 'optimal'

/** Leaves out one wish after the other as long as the rest still contradicts itself. */
function contradiction(solver: Solver, start: Start, wishes: readonly Wish[]): Wish[] {
  let left = [...wishes]
  for (const wish of wishes) {
    const without = left.filter((w) => w !== wish)
    if (!feasible(solver, start, without)) left = without
  }
  return left
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
            label: line.label,
            from: line.given ? line.percent : null,
            to: to[i]!,
            fill: line.fill,
          },
        ],
  )
  const edit: Edit = {
    type: 'many',
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

/** HLB within which what the oils want and what the emulsifiers are to meet agree; the values are good to 1. */
const HLB_AGREES = 0.02
/** Further apart than this it is not called met. */
const HLB_KEPT = 0.1
const HLB_ROUNDS = 14
/** Halvings of the bracket where that does not settle. */
const HALVINGS = 16

/**
 * The least change at an HLB that the oils of the result really want: other wishes may change the oils, and with them
 * what they want. What they want lies between the lowest and the highest of the oils, so a bracket always closes;
 * regula falsi with halved ends (Illinois).
 */
function meetHlb(a: Assessment, start: Start, wishesFor: (hlb: number) => Wish[], solver: Solver) {
  const values = a.lines.flatMap((l, i) =>
    start.percents[i]! > 0 && l.material?.requiredHlb ? [l.material.requiredHlb.value] : [],
  )
  type End = { at: number; gap: number | null; best?: Least }
  let low: End = { at: Math.min(...values), gap: null }
  let high: End = { at: Math.max(...values), gap: null }
  let hlb = wantedHlb(a.lines, start.percents)!
  let found: { list: Wish[]; best: Least; gap: number } | null = null
  const settled = () => found !== null && Math.abs(found.gap) < HLB_KEPT
  for (let round = 0; round < HLB_ROUNDS + HALVINGS; round++) {
    const list = wishesFor(hlb)
    const best = leastChange(solver, start, list, NO_WISH)
    // What was met at another figure is not what the oils want: only a settled one counts.
    if (!best) return settled() ? found! : { list, best: null }
    const gap = (wantedHlb(a.lines, best.percents) ?? hlb) - hlb
    if (!found || Math.abs(gap) < Math.abs(found.gap)) found = { list, best, gap }
    if (Math.abs(gap) < HLB_AGREES || (round >= HLB_ROUNDS && settled())) break
    if (gap > 0) {
      if (low.gap !== null && high.gap !== null) high = { ...high, gap: high.gap / 2 }
      low = { at: hlb, gap, best }
    } else {
      if (low.gap !== null && high.gap !== null) low = { ...low, gap: low.gap / 2 }
      high = { at: hlb, gap, best }
    }
    const both = low.gap !== null && high.gap !== null
    if (both && round >= HLB_ROUNDS - 1) hlb = (low.at + high.at) / 2
    else if (both) hlb = low.at + ((high.at - low.at) * low.gap!) / (low.gap! - high.gap!)
    else hlb = Math.min(high.at, Math.max(low.at, hlb + gap))
  }
  if (settled() || !low.best || !high.best) return found!
  // The least change jumps from one set of oils to another at this figure: both are least, and so is what lies between.
  return { list: wishesFor(hlb), best: between(low.best, high.best, (percents) => (wantedHlb(a.lines, percents) ?? hlb) > hlb) } // prettier-ignore
}

/** The mixture of two answers at which a condition that holds for the first and not for the second turns over. */
function between(first: Least, second: Least, holds: (percents: number[]) => boolean): Least {
  const mix = (t: number): Least => ({
    percents: first.percents.map((p, i) => p + t * (second.percents[i]! - p)),
    largestShare: first.largestShare + t * (second.largestShare - first.largestShare),
    sumOfShares: first.sumOfShares + t * (second.sumOfShares - first.sumOfShares),
  })
  let [from, to] = [0, 1]
  for (let i = 0; i < 30; i++) {
    const t = (from + to) / 2
    if (holds(mix(t).percents)) from = t
    else to = t
  }
  return mix((from + to) / 2)
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

function missedOf(wish: Wish, percents: readonly number[]) {
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
        wanted: row.lower === row.upper ? 'exactly' : low ? 'at least' : 'at most',
        bound: low ? row.lower : row.upper,
        reached: value,
      },
    ]
  })
}
