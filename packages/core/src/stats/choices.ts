import { binomialUpper } from './distributions.ts'

const LEVEL = 0.05
export interface Choice {
  p: number
  differ: boolean
}

/** Triangles: `right` of `n` found the odd one, by luck one of three (ISO 4120), one-sided. */
export function triangleTest(right: number, n: number): Choice {
  const p = binomialUpper(right, n, 1 / 3)
  return { p, differ: n > 0 && p <= LEVEL }
}

/** Pairs: `forA` of `n` chose one of the two, by luck every other (ISO 5495), two-sided. */
export function pairTest(forA: number, n: number): Choice {
  const p = Math.min(1, 2 * binomialUpper(Math.max(forA, n - forA), n, 0.5))
  return { p, differ: n > 0 && p <= LEVEL }
}
