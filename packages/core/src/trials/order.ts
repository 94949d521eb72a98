import { uniformInt } from 'pure-rand/distribution/uniformInt'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'

/** A source of draws that gives the same ones for the same seed. */
export interface Draw {
  /** A whole number from `low` to `high`, both included. */
  int: (low: number, high: number) => number
  shuffle: <T>(items: readonly T[]) => T[]
}
export function drawOf(seed: number): Draw {
  const rng = xoroshiro128plus(seed)
  const int = (low: number, high: number) => uniformInt(rng, low, high)
  return {
    int,
    shuffle(items) {
      const list = [...items]
      for (let i = list.length - 1; i > 0; i--) {
        const j = int(0, i)
        ;[list[i], list[j]] = [list[j]!, list[i]!]
      }
      return list
    },
  }
}

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
export function balancedOrders(k: number, sittings: number, draw: Draw): number[][] {
  const rows: number[][] = []
  while (rows.length < sittings) rows.push(...draw.shuffle(williams(k)))
  return rows.slice(0, sittings)
}

/** Items so that, whole run after whole run, each comes equally often. */
export function equallyOften<T>(items: readonly T[], count: number, draw: Draw): T[] {
  const list: T[] = []
  while (list.length < count) list.push(...draw.shuffle(items))
  return list.slice(0, count)
}

/** Codes that say something by themselves. */
const telling = (code: number) => new Set(String(code)).size < 2 || code === 123 || code === 999
const CODES = Array.from({ length: 900 }, (_, i) => 100 + i).filter((code) => !telling(code))

/** Codes of three digits, each once as long as there are enough; never 111, 123 or the like. */
export const codes = (count: number, draw: Draw): string[] => equallyOften(CODES, count, draw).map(String)
