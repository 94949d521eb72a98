import type { Random } from '../stats/random.ts'

/**
 * Rows of places 0 to k − 1 in which each stands in each place equally often and each comes just after each other one
 * equally often (Williams 1949): 1, 2, k, 3, k − 1, … and each next row one further; an odd k needs the mirrored rows too.
 */
export function williams(k: number): number[][] {
  if (k < 2) return [Array.from({ length: Math.max(0, k) }, (_, i) => i)]
  const first = [0]
  for (let low = 1, high = k - 1; first.length < k; low++, high--) {
    first.push(low)
    if (first.length < k) first.push(high)
  }
  const rows = Array.from({ length: k }, (_, add) => first.map((place) => (place + add) % k))
  return k % 2 === 0 ? rows : [...rows, ...rows.map((row) => [...row].reverse())]
}

/** So many rows for as many sittings, each square whole before the next one begins, its rows shuffled. */
export function balancedOrders(k: number, sittings: number, draw: Random): number[][] {
  const rows: number[][] = []
  while (rows.length < sittings) rows.push(...draw.shuffle(williams(k)))
  return rows.slice(0, sittings)
}

/** Items so that, whole run after whole run, each comes equally often. */
export function equallyOften<T>(items: readonly T[], count: number, draw: Random): T[] {
  const list: T[] = []
  while (list.length < count) list.push(...draw.shuffle(items))
  return list.slice(0, count)
}

/** Codes that say something by themselves. */
const telling = (code: number) => new Set(String(code)).size < 2 || code === 123 || code === 999
const CODES = Array.from({ length: 900 }, (_, i) => 100 + i).filter((code) => !telling(code))

/** Codes of three digits, each once as long as there are enough; never 111, 123 or the like. */
export const codes = (count: number, draw: Random): string[] => equallyOften(CODES, count, draw).map(String)
