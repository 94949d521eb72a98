// eslint-disable-next-line @typescript-eslint/triple-slash-reference -- the package brings no types
/// <reference path="./jstat.d.ts" />
import jstat from 'jstat'

const { jStat } = jstat

/** Chance of a Student’s t at least so far from nothing, both sides together. `df` above 0. */
export const tTwoSided = (t: number, df: number) =>
  Number.isFinite(t) ? jStat.ibeta(df / (df + t * t), df / 2, 0.5) : 0

/** Student’s t below which the share `p` (0 to 1) lies, with `df` degrees of freedom. */
export const tQuantile = (p: number, df: number) => jStat.studentt.inv(p, df)

/** Chance of an F at least so large, with `a` and `b` degrees of freedom. */
export const fUpper = (f: number, a: number, b: number) =>
  f <= 0 ? 1 : jStat.ibeta(b / (b + a * f), b / 2, a / 2)

/** Chance of a chi-squared at least so large. */
export const chiUpper = (x: number, df: number) => (x <= 0 ? 1 : 1 - jStat.lowRegGamma(df / 2, x / 2))

/** Chance of a standard normal value at least so far from nothing, both sides together. */
export const normalTwoSided = (z: number) => jStat.erfc(Math.abs(z) / Math.SQRT2)

/** Normal value below which the share `p` (0 to 1) lies. */
export const normalQuantile = (p: number) => jStat.normal.inv(p, 0, 1)

/** Chance of `least` or more hits of `n`, each with the chance `p`: the exact sum. */
export function binomialUpper(least: number, n: number, p: number): number {
  let sum = 0
  for (let k = Math.max(0, least); k <= n; k++) sum += jStat.binomial.pdf(k, n, p)
  return Math.min(1, sum)
}

/** Stands for no end of degrees of freedom. */
const ENDLESS = 1e9
/** Critical value of Nemenyi’s comparison of `k` samples at 5 %: studentised range over the root of two. */
export const nemenyiQuantile = (k: number) => jStat.tukey.inv(0.95, k, ENDLESS) / Math.SQRT2
