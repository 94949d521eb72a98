import { fUpper, tQuantile, tTwoSided } from './distributions.ts'

/** A reading: the day it was taken on, from any day on, and what was read. */
export interface Point {
  day: number
  value: number
}

/** A straight line through readings, by least squares, with what is known of it. */
export interface Line {
  n: number
  /** Value at day 0. */
  intercept: number
  slope: number
  meanDay: number
  /** Sum of squared distances of the days from their middle. */
  sxx: number
  /** Sum of squared distances of the readings from the line. */
  sse: number
}

const mean = (values: readonly number[]) => values.reduce((s, v) => s + v, 0) / values.length

/** The line through two readings or more; null where all were taken on one day. Days are centred before they are squared. */
export function lineThrough(points: readonly Point[]): Line | null {
  if (points.length < 2) return null
  const meanDay = mean(points.map((p) => p.day))
  const meanValue = mean(points.map((p) => p.value))
  const sxx = points.reduce((s, p) => s + (p.day - meanDay) ** 2, 0)
  if (sxx === 0) return null
  const flat = points.every((p) => p.value === points[0]!.value)
  const sxy = points.reduce((s, p) => s + (p.day - meanDay) * (p.value - meanValue), 0)
  const slope = flat ? 0 : sxy / sxx
  const at = (day: number) => meanValue + slope * (day - meanDay)
  const sse = flat ? 0 : points.reduce((s, p) => s + (p.value - at(p.day)) ** 2, 0)
  return { n: points.length, intercept: meanValue - slope * meanDay, slope, meanDay, sxx, sse }
}

const valueAt = (l: Line, day: number) => l.intercept + l.slope * day

/** Half of the band around the mean at a day: `t` times its standard error. */
const halfBand = (l: Line, s: number, t: number, day: number) =>
  t * s * Math.sqrt(1 / l.n + (day - l.meanDay) ** 2 / l.sxx)

/** What a series of readings tells of its drift. Nothing is told that too few readings cannot. */
export interface Trend {
  n: number
  intercept: number | null
  slopePerDay: number | null
  slopeStandardError: number | null
  /** 95 % interval of the slope. */
  slopeLow: number | null
  slopeHigh: number | null
  residualSd: number | null
  /** Two-sided, for a slope of nothing; null where nothing changed at all. */
  p: number | null
  crossesOnDay: number | null
}

export interface Limits {
  low?: number | undefined
  high?: number | undefined
}

/** So many times the span that was watched is looked ahead, and no further. */
export const SPANS_AHEAD = 10

/**
 * Least squares with the 95 % interval of the slope, and the first day, from the first watched on, on which the one-sided
 * 95 % confidence limit of the mean meets a limit (the rule of ICH Q1E); null where it does not within ten times the span.
 */
export function trendOf(points: readonly Point[], limits: Limits = {}): Trend {
  const line = lineThrough(points)
  const n = points.length
  const nothing = {
    slopeStandardError: null,
    slopeLow: null,
    slopeHigh: null,
    residualSd: null,
    p: null,
    crossesOnDay: null,
  }
  if (!line || n < 3) return { n, intercept: null, slopePerDay: line?.slope ?? null, ...nothing }
  const df = n - 2
  const s = Math.sqrt(line.sse / df)
  const se = s / Math.sqrt(line.sxx)
  const half = tQuantile(0.975, df) * se
  return {
    n,
    intercept: line.intercept,
    slopePerDay: line.slope,
    slopeStandardError: se,
    slopeLow: line.slope - half,
    slopeHigh: line.slope + half,
    residualSd: s,
    p: line.slope === 0 && s === 0 ? null : tTwoSided(line.slope / se, df),
    crossesOnDay: firstCrossing(points, line, s, tQuantile(0.95, df), limits),
  }
}

/** The first day on which the band round a line meets a limit. */
function firstCrossing(
  points: readonly Point[],
  line: Line,
  s: number,
  t: number,
  { low, high }: Limits,
): number | null {
  const days = points.map((p) => p.day)
  const first = Math.min(...days)
  const last = first + SPANS_AHEAD * (Math.max(...days) - first)
  const found = [
    ...(low === undefined ? [] : meets(line, s, t, low, -1, first, last)),
    ...(high === undefined ? [] : meets(line, s, t, high, 1, first, last)),
  ]
  return found.length > 0 ? Math.min(...found) : null
}

/** Days between two on which the band’s edge on one side (−1 below, 1 above) meets a limit. */
function meets(
  l: Line,
  s: number,
  t: number,
  limit: number,
  side: -1 | 1,
  first: number,
  last: number,
): number[] {
  const gap = (day: number) => side * (limit - valueAt(l, day)) - halfBand(l, s, t, day)
  if (gap(first) <= 0) return [first]
  const T = (t * s) ** 2
  const off = l.intercept - limit
  const A = l.slope ** 2 - T / l.sxx
  const B = 2 * l.slope * off + (2 * T * l.meanDay) / l.sxx
  const C = off ** 2 - T * (1 / l.n + l.meanDay ** 2 / l.sxx)
  // Squaring brought in the band’s other edge: a root counts only where this edge lies on the limit.
  const near = 1e-6 * Math.max(1, Math.abs(limit), Math.abs(l.intercept))
  return rootsOf(A, B, C).filter((day) => day >= first && day <= last && Math.abs(gap(day)) <= near)
}

/** Real roots of A x² + B x + C, worked out so that none loses its figures. */
function rootsOf(a: number, b: number, c: number): number[] {
  if (a === 0) return b === 0 ? [] : [-c / b]
  const inner = b * b - 4 * a * c
  // a band that only touches its limit has one root, which rounding may put out of reach
  if (inner < -1e-12 * b * b) return []
  const q = -(b + Math.sign(b || 1) * Math.sqrt(Math.max(0, inner))) / 2
  return q === 0 ? [0] : [q / a, c / q]
}

/** The 95 % band of the mean at a day; null where there are too few readings. */
export function bandAt(
  points: readonly Point[],
  day: number,
): { low: number; value: number; high: number } | null {
  const line = lineThrough(points)
  if (!line || points.length < 3) return null
  const df = points.length - 2
  const half = halfBand(line, Math.sqrt(line.sse / df), tQuantile(0.975, df), day)
  const value = valueAt(line, day)
  return { low: value - half, value, high: value + half }
}

/** Chance below which batches are not taken together (ICH Q1E). */
const POOL = 0.25
export interface Pooling {
  /** Chance of slopes, and of beginnings, that differ so much among alike batches. */
  slopesP: number
  interceptsP: number
  how: 'one-line' | 'one-slope' | 'each-alone'
}

/**
 * Whether several batches may share a line: equal slopes first, then equal beginnings, each at 0.25 (ICH Q1E). Null with
 * fewer than two batches, one of fewer than two days, or too few readings in all.
 */
export function pooling(batches: readonly (readonly Point[])[]): Pooling | null {
  const lines = batches.map(lineThrough)
  if (batches.length < 2 || lines.some((l) => l === null)) return null
  const k = batches.length
  const n = batches.reduce((s, b) => s + b.length, 0)
  const df = n - 2 * k
  if (df < 1) return null
  const full = lines.reduce((s, l) => s + l!.sse, 0)
  const sxx = lines.reduce((s, l) => s + l!.sxx, 0)
  const slope = lines.reduce((s, l) => s + l!.slope * l!.sxx, 0) / sxx
  const oneSlope = full + lines.reduce((s, l) => s + (l!.slope - slope) ** 2 * l!.sxx, 0)
  const oneLine = lineThrough(batches.flat())!.sse
  const p = (reduced: number, fuller: number, of: number) => {
    const spread = fuller / of
    if (spread === 0) return reduced - fuller > 1e-12 ? 0 : 1
    return fUpper((reduced - fuller) / (k - 1) / spread, k - 1, of)
  }
  const slopesP = p(oneSlope, full, df)
  const interceptsP = p(oneLine, oneSlope, df + k - 1)
  return {
    slopesP,
    interceptsP,
    how: slopesP < POOL ? 'each-alone' : interceptsP < POOL ? 'one-slope' : 'one-line',
  }
}
