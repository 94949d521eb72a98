import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readReadings } from '../src/files/trend-table.ts'
import { chiUpper, fUpper, tQuantile, tTwoSided } from '../src/stats/distributions.ts'
import { bandAt, lineThrough, pooling, trendOf, type Point } from '../src/stats/trend.ts'

const points = (days: readonly number[], values: readonly number[]): Point[] =>
  days.map((day, i) => ({ day, value: values[i]! }))

/** NIST Statistical Reference Datasets, linear regression, “Norris”: readings and certified values (from memory). */
const NORRIS: [y: number, x: number][] = [
  [0.1, 0.2],
  [338.8, 337.4],
  [118.1, 118.2],
  [888.0, 884.6],
  [9.2, 10.1],
  [228.1, 226.5],
  [668.5, 666.3],
  [998.5, 996.3],
  [449.1, 448.6],
  [778.9, 777.0],
  [559.2, 558.2],
  [0.3, 0.4],
  [0.1, 0.6],
  [778.1, 775.5],
  [668.8, 666.9],
  [339.3, 338.0],
  [448.9, 447.5],
  [10.8, 11.6],
  [557.7, 556.0],
  [228.3, 228.1],
  [998.0, 995.8],
  [888.8, 887.6],
  [119.6, 120.2],
  [0.3, 0.3],
  [0.6, 0.3],
  [557.6, 556.8],
  [339.3, 339.1],
  [888.0, 887.2],
  [998.5, 999.0],
  [778.9, 779.0],
  [10.2, 11.1],
  [117.6, 118.3],
  [228.9, 229.2],
  [668.4, 669.1],
  [449.2, 448.9],
  [0.2, 0.5],
]

describe('a straight line by least squares', () => {
  it('agrees with the certified values of NIST’s Norris set', () => {
    const t = trendOf(NORRIS.map(([value, day]) => ({ day, value })))
    expect(t.n).toBe(36)
    expect(t.intercept).toBeCloseTo(-0.262323073774029, 10)
    expect(t.slopePerDay).toBeCloseTo(1.00211681802045, 12)
    expect(t.slopeStandardError).toBeCloseTo(0.000429796848199937, 13)
    expect(t.residualSd).toBeCloseTo(0.884796396144373, 11)
  })

  it('agrees with Anscombe’s four sets, which share one line (Anscombe 1973)', () => {
    const x = [10, 8, 13, 9, 11, 14, 6, 4, 12, 7, 5]
    const y = [
      [8.04, 6.95, 7.58, 8.81, 8.33, 9.96, 7.24, 4.26, 10.84, 4.82, 5.68],
      [9.14, 8.14, 8.74, 8.77, 9.26, 8.1, 6.13, 3.1, 9.13, 7.26, 4.74],
      [7.46, 6.77, 12.74, 7.11, 7.81, 8.84, 6.08, 5.39, 8.15, 6.42, 5.73],
    ]
    for (const values of y) {
      const t = trendOf(points(x, values))
      expect(t.slopePerDay).toBeCloseTo(0.5, 2)
      expect(t.intercept).toBeCloseTo(3, 2)
      expect(t.slopeStandardError).toBeCloseTo(0.118, 3)
      expect(t.p).toBeCloseTo(0.0022, 4)
    }
  })

  it('does not lose its figures where days are counted from long ago', () => {
    const near = trendOf(points([0, 7, 14, 28], [5.8, 5.79, 5.72, 5.68]))
    const far = trendOf(points([2_461_000, 2_461_007, 2_461_014, 2_461_028], [5.8, 5.79, 5.72, 5.68]))
    expect(far.slopePerDay).toBeCloseTo(near.slopePerDay!, 12)
    expect(far.residualSd).toBeCloseTo(near.residualSd!, 10)
  })

  it('tells no more than the readings can', () => {
    expect(trendOf([])).toMatchObject({ n: 0, slopePerDay: null, intercept: null, p: null })
    expect(trendOf(points([3], [5]))).toMatchObject({ n: 1, slopePerDay: null })
    expect(trendOf(points([0, 10], [5, 6]))).toMatchObject({
      n: 2,
      slopePerDay: 0.1,
      intercept: null,
      slopeLow: null,
      p: null,
      crossesOnDay: null,
    })
    expect(trendOf(points([7, 7, 7], [5, 6, 7]))).toMatchObject({ n: 3, slopePerDay: null, residualSd: null })
    expect(trendOf(points([0, 7, 14], [5.1, 5.1, 5.1]), { low: 4 })).toMatchObject({
      slopePerDay: 0,
      slopeStandardError: 0,
      p: null,
      crossesOnDay: null,
    })
  })
})

describe('the day on which a limit is met (ICH Q1E)', () => {
  const days = [0, 3, 7, 14, 28, 42, 56, 84]
  const worked = points(days, [5.8, 5.78, 5.79, 5.72, 5.68, 5.6, 5.55, 5.44])

  it('is that of a worked example, a good week before the line itself meets it', () => {
    const t = trendOf(worked, { low: 5.2 })
    expect(t.slopePerDay).toBeCloseTo(-0.0043631, 5)
    expect(t.slopeLow).toBeCloseTo(-0.0047934, 6)
    expect(t.slopeHigh).toBeCloseTo(-0.0039325, 6)
    expect(t.p).toBeCloseTo(2.8e-7, 8)
    expect(t.crossesOnDay).toBeCloseTo(128.9, 1)
    const line = lineThrough(worked)!
    expect((5.2 - line.intercept) / line.slope).toBeCloseTo(137, 1)
  })

  it('is the first of two limits, the first day where it is past already, and none far out', () => {
    expect(trendOf(worked, { low: 5.2, high: 5.81 }).crossesOnDay).toBeLessThan(1)
    expect(trendOf(worked, { high: 5.0 }).crossesOnDay).toBe(0)
    expect(trendOf(worked, { low: -3 }).crossesOnDay).toBeNull()
  })

  it('is the line’s own where nothing scatters', () => {
    const t = trendOf(points([0, 10, 20], [6, 5.9, 5.8]), { low: 5 })
    expect(t.crossesOnDay).toBeCloseTo(100, 6)
  })

  it('is where a flat series has not been watched long enough', () => {
    const flat = points([0, 7, 14, 28], [5.5, 5.52, 5.48, 5.5])
    expect(trendOf(flat, { low: 5.2 }).crossesOnDay).toBeGreaterThan(28)
  })

  it('is the first day at which the band, walked day by day, lies on or past the limit', () => {
    const series = fc.array(
      fc.record({
        day: fc.integer({ min: 0, max: 90 }),
        value: fc.integer({ min: 480, max: 620 }).map((v) => v / 100),
      }),
      { minLength: 4, maxLength: 12 },
    )
    fc.assert(
      fc.property(series, fc.integer({ min: 400, max: 520 }), (pts, low) => {
        const limit = low / 100
        const line = lineThrough(pts)
        if (!line) return
        const { crossesOnDay: day } = trendOf(pts, { low: limit })
        const s = Math.sqrt(line.sse / (pts.length - 2))
        const t = tQuantile(0.95, pts.length - 2)
        const edge = (x: number) =>
          line.intercept + line.slope * x - t * s * Math.sqrt(1 / line.n + (x - line.meanDay) ** 2 / line.sxx)
        const first = Math.min(...pts.map((p) => p.day))
        const span = Math.max(...pts.map((p) => p.day)) - first
        const end = day ?? first + 10 * span
        for (let i = 0; i < 200; i++) {
          const x = first + ((end - first) * i) / 200
          if (x < end - 1e-6) expect(edge(x)).toBeGreaterThan(limit - 1e-6)
        }
        if (day !== null && day > first) expect(edge(day)).toBeCloseTo(limit, 5)
      }),
    )
  })

  it('does not mind the order of entry, and follows the units', () => {
    const shuffled = [...worked].reverse()
    expect(trendOf(shuffled, { low: 5.2 }).crossesOnDay).toBeCloseTo(128.873, 3)
    const weeks = worked.map((p) => ({ day: p.day / 7, value: p.value * 10 }))
    const t = trendOf(weeks, { low: 52 })
    expect(t.crossesOnDay! * 7).toBeCloseTo(128.873, 3)
    expect(t.p).toBeCloseTo(trendOf(worked).p!, 12)
    const mirrored = worked.map((p) => ({ day: p.day, value: -p.value }))
    expect(trendOf(mirrored, { high: -5.2 }).crossesOnDay).toBeCloseTo(128.873, 3)
  })

  it('draws a band that is narrowest in the middle of the days and holds the line', () => {
    const middle = bandAt(worked, 29)!
    const late = bandAt(worked, 200)!
    expect(middle.high - middle.low).toBeLessThan(late.high - late.low)
    expect(late.low).toBeLessThan(late.value)
    expect(bandAt(worked.slice(0, 2), 3)).toBeNull()
  })
})

describe('batches together (ICH Q1E)', () => {
  const days = [0, 7, 28, 56, 84]
  it('are not pooled where their slopes differ at a quarter', () => {
    const p = pooling([
      points(days, [5.8, 5.78, 5.7, 5.57, 5.45]),
      points(days, [5.86, 5.83, 5.74, 5.62, 5.48]),
    ])!
    expect(p.slopesP).toBeCloseTo(0.126, 3)
    expect(p.how).toBe('each-alone')
  })
  it('share a line where they are alike, and a slope where one began higher', () => {
    const one = points(days, [5.8, 5.76, 5.71, 5.55, 5.45])
    const like = points(days, [5.79, 5.78, 5.69, 5.57, 5.44])
    expect(pooling([one, like])!.how).toBe('one-line')
    expect(pooling([one, like.map((p) => ({ ...p, value: p.value + 0.3 }))])!.how).toBe('one-slope')
    expect(pooling([one])).toBeNull()
  })
})

describe('distributions', () => {
  it('give the table of Student’s t (any handbook of statistics)', () => {
    const table: [df: number, p: number, t: number][] = [
      [1, 0.95, 6.314],
      [1, 0.975, 12.706],
      [2, 0.95, 2.92],
      [2, 0.975, 4.303],
      [3, 0.975, 3.182],
      [4, 0.95, 2.132],
      [5, 0.975, 2.571],
      [6, 0.95, 1.943],
      [8, 0.975, 2.306],
      [10, 0.95, 1.812],
      [10, 0.975, 2.228],
      [20, 0.975, 2.086],
      [30, 0.975, 2.042],
      [120, 0.975, 1.98],
      [20, 0.995, 2.845],
    ]
    for (const [df, p, t] of table) expect(tQuantile(p, df)).toBeCloseTo(t, 3)
    for (const [df, p, t] of table) expect(tTwoSided(t, df)).toBeCloseTo(2 * (1 - p), 3)
  })
  it('give the tables of chi-squared and F (handbooks)', () => {
    expect(chiUpper(5.991, 2)).toBeCloseTo(0.05, 4)
    expect(chiUpper(7.815, 3)).toBeCloseTo(0.05, 4)
    expect(fUpper(4.96, 1, 10)).toBeCloseTo(0.05, 3)
    expect(fUpper(3.33, 5, 10)).toBeCloseTo(0.05, 3)
  })
})

describe('a table of readings', () => {
  it('is read with dots, commas, signs, headings in any case and empty rows', () => {
    expect(readReadings('Day;Value\r\n0;5,80\r\n\r\n7;5,7\r\n')).toEqual({
      points: points([0, 7], [5.8, 5.7]),
    })
    expect(readReadings('value,day\n-1.5e1,2\n')).toEqual({ points: points([2], [-15]) })
  })
  it('names the row of a cell that is no number, as the file counts it', () => {
    expect(readReadings('day,value\n0,5\n\n7,x\n')).toEqual({
      error: 'Row 4: value is “x”, which is not a number.',
    })
    expect(readReadings('day,value\n0,\n')).toEqual({ error: 'Row 2: value is “”, which is not a number.' })
    expect(readReadings('a,b\n0,1\n')).toHaveProperty('error')
    expect(readReadings('day,value\n')).toHaveProperty('error')
  })
})
