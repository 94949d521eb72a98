import type { Assessment } from '../assess/types.ts'
import type { Variable, Row, Program, Solver } from '../solve/lp.ts'
import type { Wish, WishId } from './wishes.ts'

/** A change of an amount is told in shares of itself; below this percent, in shares of this. */
export const SMALL = 0.1
/** What a change of the fill line weighs beside that of another line: it is there to take changes up. */
export const FILL_COST = 1e-4

export interface Start {
  percents: number[]
  scales: number[]
  fill: number
  /** What the fill line keeps at least: an emulsion without water is none. */
  fillLeast: number
}

/** Water below which nothing is an emulsion, percent; the same bound as `describeEmulsion`. */
export const FILL_LEAST = 5

export function startOf(a: Assessment): Start {
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
export function programOf(start: Start, wishes: readonly Wish[], gives: ReadonlySet<WishId>) {
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
    rows.push({
      terms: [
        [i, 1],
        [n + i, -scale],
      ],
      lower: -Infinity,
      upper: p,
    })
    rows.push({
      terms: [
        [i, 1],
        [n + i, scale],
      ],
      lower: p,
      upper: Infinity,
    })
    if (i !== start.fill)
      rows.push({
        terms: [
          [n + i, 1],
          [largest, -1],
        ],
        lower: -Infinity,
        upper: 0,
      })
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

export const NO_WISH: ReadonlySet<WishId> = new Set()
/** Room for the arithmetic between one stage and the next. */
export const roomy = (value: number) => value * (1 + 1e-7) + 1e-7

export interface Least {
  percents: number[]
  largestShare: number
  sumOfShares: number
}

/** Least missing of what may give way, then the smallest largest change, then the smallest sum of changes. */
export function leastChange(
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

export const feasible = (solver: Solver, start: Start, wishes: readonly Wish[]) =>
  solver.solve(programOf(start, wishes, NO_WISH).program).status === 'optimal'

/** Leaves out one wish after the other as long as the rest still contradicts itself. */
export function contradiction(solver: Solver, start: Start, wishes: readonly Wish[]): Wish[] {
  let left = [...wishes]
  for (const wish of wishes) {
    const without = left.filter((w) => w !== wish)
    if (!feasible(solver, start, without)) left = without
  }
  return left
}
