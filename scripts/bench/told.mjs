// How what was measured is told.
export const quantile = (values, q) =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * q))]
export const say = (what, value, aim = '') =>
  console.log(`${what.padEnd(60)} ${String(value).padStart(22)}${aim && `   aim ${aim}`}`)

/** Milliseconds of each run of some work, the first few left out, while the engine still compiles. */
export function timed(runs, work) {
  const samples = []
  for (let i = 0; i < runs; i++) {
    const start = performance.now()
    work(i)
    if (i >= runs / 5) samples.push(performance.now() - start)
  }
  return samples
}
