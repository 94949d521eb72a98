import { phOfModel, withDoses, type PhModel } from './model.ts'
import { doseAt, doseOfDraw, drawsOf, shiftedPh, titrantOf, type Draw, type Titrant } from './titrate.ts'

/** A titration: pH by amount of the adjuster's solution, with a band that holds 95 % of what may be. */
export interface PhCurve {
  /** Percent of the product. */
  percent: number[]
  ph: number[]
  low: number[]
  high: number[]
}

/** Curves of the model and of every draw, as doses over one ladder of pH. */
export interface Ladder {
  up: boolean
  phs: number[]
  percent: number[]
  draws: { percent: Float64Array; ph: Float64Array }[]
}

const STEPS_BEYOND = 0.25

/**
 * Climbs from a little before where the model stands to where its dose passes `maxPercent`; every rung costs one
 * explicit dose, and every draw a line of arithmetic on it.
 */
export function ladderOf(
  model: PhModel,
  titrant: Titrant,
  maxPercent: number,
  rungs: number,
  draws: readonly Draw[],
): Ladder {
  const up = titrant.direction === 'up'
  const sign = up ? 1 : -1
  const start = phOfModel(model).ph
  const begin = Math.max(-1, Math.min(15, start - sign * 2))
  const end = farEnd(model, titrant, maxPercent * 1.2, start, up)
  const span = Math.abs(end - begin) + STEPS_BEYOND
  const phs: number[] = []
  const percent: number[] = []
  const lanes = draws.map(() => ({ percent: new Float64Array(rungs), ph: new Float64Array(rungs) }))
  let guess = 0
  for (let j = 0; j < rungs; j++) {
    const ph = begin + (sign * span * j) / (rungs - 1)
    const point = doseAt(model, titrant, ph, guess)
    if (!point) {
      if (percent.length > 0 && percent.at(-1)! > 0) break
      continue
    }
    guess = point.percent
    const at = phs.length
    phs.push(ph)
    percent.push(point.percent)
    for (let k = 0; k < draws.length; k++) {
      lanes[k]!.percent[at] = doseOfDraw(model, point, ph, draws[k]!)
      lanes[k]!.ph[at] = shiftedPh(model, ph, draws[k]!)
    }
  }
  const count = phs.length
  return {
    up,
    phs,
    percent,
    draws: lanes.map((lane) => ({
      percent: lane.percent.subarray(0, count),
      ph: lane.ph.subarray(0, count),
    })),
  }
}

/** pH at which the dose passes `most` percent, or as far as the titrant reaches. */
function farEnd(model: PhModel, titrant: Titrant, most: number, start: number, up: boolean): number {
  let near = start
  let far = up ? 13.5 : 0.5
  for (let i = 0; i < 14; i++) {
    const middle = (near + far) / 2
    const point = doseAt(model, titrant, middle)
    if (point && point.percent <= most) near = middle
    else far = middle
  }
  return far
}

/** y at x on a curve whose x rises; its ends go on flat. */
export function along(xs: ArrayLike<number>, ys: ArrayLike<number>, x: number, from = 0): number {
  const n = xs.length
  if (n === 0) return Number.NaN
  if (x <= xs[0]!) return ys[0]!
  if (x >= xs[n - 1]!) return ys[n - 1]!
  let low = from
  let high = n - 1
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (xs[middle]! <= x) low = middle
    else high = middle
  }
  const share = (x - xs[low]!) / (xs[high]! - xs[low]! || 1)
  return ys[low]! + share * (ys[high]! - ys[low]!)
}

export const quantile = (sorted: ArrayLike<number>, q: number) => {
  const at = q * (sorted.length - 1)
  const low = Math.floor(at)
  const high = Math.min(sorted.length - 1, low + 1)
  return sorted[low]! + (at - low) * (sorted[high]! - sorted[low]!)
}

export interface CurveRequest {
  model: PhModel
  adjuster: string
  strengthPercent: number
  /** Where the drawing ends, percent of the product. */
  maxPercent: number
  points?: number
  samples?: number
}

/**
 * pH from no adjuster to `maxPercent` of its solution, with the band of `samples` draws. Null for an adjuster without
 * constants. A 200-point curve from 200 samples is some tens of milliseconds: nothing is searched for.
 */
export function phCurve({
  model,
  adjuster,
  strengthPercent,
  maxPercent,
  points = 200,
  samples = 200,
}: CurveRequest): PhCurve | null {
  const titrant = titrantOf(model, adjuster, strengthPercent)
  if (!titrant) return null
  const most = Math.min(maxPercent, titrant.most)
  const ladder = ladderOf(model, titrant, most, points, drawsOf(model, samples))
  const curve: PhCurve = { percent: [], ph: [], low: [], high: [] }
  const column = new Float64Array(samples)
  for (let i = 0; i < points; i++) {
    const x = (most * i) / (points - 1)
    const y = along(ladder.percent, ladder.phs, x)
    if (Number.isNaN(y)) break
    for (let k = 0; k < samples; k++) column[k] = along(ladder.draws[k]!.percent, ladder.draws[k]!.ph, x)
    column.sort()
    curve.percent.push(x)
    curve.ph.push(y)
    curve.low.push(Math.max(0, Math.min(y, quantile(column, 0.025))))
    curve.high.push(Math.min(14, Math.max(y, quantile(column, 0.975))))
  }
  return curve
}

/** Percent of the product that a drawing should show: past the target, past what was added, and never nothing. */
export function spanOf(
  model: PhModel,
  adjuster: string,
  strengthPercent: number,
  target: number | null,
  takenPercent: number,
): number {
  const titrant = titrantOf(model, adjuster, strengthPercent)
  if (!titrant) return 1
  const up = titrant.direction === 'up'
  const start = phOfModel(model).ph
  const goal = target === null ? start + (up ? 2 : -2) : target
  const dose = doseAt(model, titrant, goal)?.percent ?? 0
  const beyond = doseAt(model, titrant, goal + (up ? 0.7 : -0.7))?.percent ?? 0
  const scale = (20 * model.resolutionGrams * 100) / model.batchGrams
  const wanted = Math.max(scale, takenPercent * 1.25, dose * 1.25, Math.min(beyond, dose * 2.5 + 0.05))
  return Math.min(titrant.most, wanted)
}

/** The model with other adjusters in it and without this one: where its curve begins. */
export const modelBefore = (model: PhModel, doses: Parameters<typeof withDoses>[1], adjuster: string) =>
  withDoses(
    model,
    doses.filter((d) => d.key !== adjuster),
  )
