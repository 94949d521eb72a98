import { chiUpper, nemenyiQuantile, normalQuantile, normalTwoSided } from './distributions.ts'

/** Scores that lie no further apart are equal. */
const SAME = 1e-9
const LEVEL = 0.05

/** Ranks of scores, the lowest first as 1; equal ones share the middle of their places. */
export function ranksOf(scores: readonly number[]): number[] {
  const order = scores.map((_, i) => i).sort((x, y) => scores[x]! - scores[y]!)
  const ranks = new Array<number>(scores.length)
  for (let from = 0; from < order.length;) {
    let to = from
    while (to + 1 < order.length && scores[order[to + 1]!]! - scores[order[to]!]! <= SAME) to++
    for (let i = from; i <= to; i++) ranks[order[i]!] = (from + to) / 2 + 1
    from = to + 1
  }
  return ranks
}

/** Sums of ranks of each sample over all people; `rows` holds one person’s scores each. */
export function rankSums(rows: readonly (readonly number[])[]): number[] {
  const k = rows[0]?.length ?? 0
  const sums = new Array<number>(k).fill(0)
  for (const row of rows) ranksOf(row).forEach((r, j) => (sums[j] = sums[j]! + r))
  return sums
}

export interface Friedman {
  q: number
  df: number
  p: number
}

/**
 * Friedman’s test of people who each scored all samples, corrected for ties (Friedman 1937; Conover). Null for fewer than
 * two people or samples, or where everything is tied.
 */
export function friedman(rows: readonly (readonly number[])[]): Friedman | null {
  const n = rows.length
  const k = rows[0]?.length ?? 0
  if (n < 2 || k < 2) return null
  const sums = rankSums(rows)
  const raw = (12 / (n * k * (k + 1))) * sums.reduce((s, r) => s + r * r, 0) - 3 * n * (k + 1)
  const ties = rows.reduce((s, row) => s + tiesOf(row), 0)
  const c = 1 - ties / (n * (k ** 3 - k))
  if (c <= SAME) return null
  const q = Math.max(0, raw / c)
  return { q, df: k - 1, p: chiUpper(q, k - 1) }
}

/** Sum of t³ − t over groups of t equal scores. */
function tiesOf(row: readonly number[]): number {
  const counts = new Map<number, number>()
  for (const r of ranksOf(row)) counts.set(r, (counts.get(r) ?? 0) + 1)
  return [...counts.values()].reduce((s, t) => s + t ** 3 - t, 0)
}

/** Standard error of a difference of mean ranks. */
const rankError = (n: number, k: number) => Math.sqrt((k * (k + 1)) / (6 * n))

/** So far must mean ranks lie apart for two samples to differ, all compared with all (Nemenyi 1963). */
export const criticalDifference = (n: number, k: number) => nemenyiQuantile(k) * rankError(n, k)

/** Pairs of samples, by their places, that differ: all against all (Nemenyi). */
export function differAll(rows: readonly (readonly number[])[]): [number, number][] {
  const n = rows.length
  const sums = rankSums(rows)
  const k = sums.length
  if (n < 2 || k < 2) return []
  const least = criticalDifference(n, k)
  return pairsOf(k).filter(([i, j]) => Math.abs(sums[i]! - sums[j]!) / n > least)
}

/** Samples that differ from the reference at a place: normal z of the rank sums, with Holm’s steps. */
export function differFrom(rows: readonly (readonly number[])[], reference: number): number[] {
  const n = rows.length
  const sums = rankSums(rows)
  const k = sums.length
  if (n < 2 || k < 2) return []
  const others = sums
    .map((sum, i) => ({ i, p: normalTwoSided((sum - sums[reference]!) / (n * rankError(n, k))) }))
    .filter(({ i }) => i !== reference)
    .sort((x, y) => x.p - y.p)
  const fails = others.findIndex(({ p }, step) => p > LEVEL / (k - 1 - step))
  return others.slice(0, fails < 0 ? others.length : fails).map(({ i }) => i)
}

/** All pairs of `k` places. */
export const pairsOf = (k: number): [number, number][] =>
  Array.from({ length: k }, (_, i) =>
    Array.from({ length: k - i - 1 }, (_, j): [number, number] => [i, i + j + 1]),
  ).flat()

/** More ways than this are not counted. */
const MOST_WAYS = 4_000_000

/** Every order of these values, equal orders once with how often they come. */
function ordersOf(values: readonly number[]): number[][] {
  if (values.length <= 1) return [[...values]]
  return values.flatMap((v, i) =>
    ordersOf([...values.slice(0, i), ...values.slice(i + 1)]).map((rest) => [v, ...rest]),
  )
}

/**
 * The exact chance of rank sums that lie at least so far apart, when each person's ranks (ties and all) could stand in any
 * order; counted over all orders, person by person. Null where there are too many to count, or nothing to test.
 */
export function friedmanExact(rows: readonly (readonly number[])[]): number | null {
  const k = rows[0]?.length ?? 0
  if (rows.length < 2 || k < 2 || k > 6) return null
  const spreadOf = (sums: readonly number[]) => sums.reduce((s, r) => s + r * r, 0)
  const seen = spreadOf(rankSums(rows))
  let states = new Map<string, { sums: number[]; share: number }>([
    ['', { sums: new Array<number>(k).fill(0), share: 1 }],
  ])
  for (const row of rows) {
    const orders = ordersOf(ranksOf(row))
    if (states.size * orders.length > MOST_WAYS) return null
    const next: typeof states = new Map()
    for (const { sums, share } of states.values())
      for (const order of orders) {
        // which sample is which does not matter to how far they lie apart
        const moved = sums.map((s, i) => s + order[i]!).sort((x, y) => x - y)
        const key = moved.join()
        const there = next.get(key)
        if (there) there.share += share / orders.length
        else next.set(key, { sums: moved, share: share / orders.length })
      }
    states = next
  }
  let p = 0
  for (const { sums, share } of states.values()) if (spreadOf(sums) >= seen - SAME) p += share
  return Math.min(1, p)
}

/**
 * People that it takes to name two of `k` samples whose mean ranks lie `apart`, if that stays so: by Nemenyi's distance,
 * or against a reference by the first of Holm's steps. Null where they are not apart.
 */
export function neededPeople(apart: number, k: number, reference: boolean): number | null {
  if (apart <= SAME || k < 2) return null
  const quantile = reference ? normalQuantile(1 - LEVEL / (k - 1) / 2) : nemenyiQuantile(k)
  return Math.floor((quantile ** 2 * k * (k + 1)) / (6 * apart ** 2)) + 1
}
