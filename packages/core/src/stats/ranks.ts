import { chiUpper, nemenyiQuantile, normalTwoSided } from './distributions.ts'

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
  Array.from({ length: k }, (_, i) => Array.from({ length: k - i - 1 }, (_, j): [number, number] => [i, i + j + 1])).flat() // prettier-ignore
