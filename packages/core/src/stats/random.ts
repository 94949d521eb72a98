import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64'
import { uniformInt } from 'pure-rand/distribution/uniformInt'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { normalQuantile } from './distributions.ts'

/** A source of chance that gives the same numbers for the same seed. */
export interface Random {
  /** A number from 0 up to, and without, 1. */
  uniform: () => number
  /** A standard normal number, by the inverse of its distribution. */
  normal: () => number
  /** A whole number from `low` to `high`, both included. */
  int: (low: number, high: number) => number
  shuffle: <T>(items: readonly T[]) => T[]
}

/** Keeps the ends of the normal distribution finite. */
const LEAST_P = 1e-12

export function randomOf(seed: number): Random {
  const rng = xoroshiro128plus(seed)
  const uniform = () => uniformFloat64(rng)
  const int = (low: number, high: number) => uniformInt(rng, low, high)
  return {
    uniform,
    normal: () => normalQuantile(Math.max(LEAST_P, uniform())),
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
