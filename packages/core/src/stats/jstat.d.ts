/** The part of jstat that is used here; the package brings no types of its own. */
declare module 'jstat' {
  interface JStat {
    /** Regularised incomplete beta function. */
    ibeta(x: number, a: number, b: number): number
    /** Regularised lower incomplete gamma function. */
    lowRegGamma(a: number, x: number): number
    erfc(x: number): number
    normal: { inv(p: number, mean: number, sd: number): number }
    studentt: { inv(p: number, df: number): number }
    tukey: { inv(p: number, means: number, df: number): number }
    binomial: { pdf(k: number, n: number, p: number): number }
  }
  const jstat: { jStat: JStat }
  export default jstat
}
