import { leftOutText } from '../src/words/index.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readTrial } from '../src/files/trial.ts'
import { trialReport } from '../src/trials/report.ts'
import { pairTest, triangleTest } from '../src/stats/choices.ts'
import { nemenyiQuantile, normalTwoSided } from '../src/stats/distributions.ts'
import { criticalDifference, differAll, differFrom, friedman, ranksOf, rankSums } from '../src/stats/ranks.ts'

/** Six people, three samples, one tie: worked by hand. */
const SIX = [
  [4, 6, 7],
  [3, 5, 5],
  [5, 6, 8],
  [2, 6, 7],
  [4, 3, 6],
  [5, 7, 9],
]

describe('ranks and Friedman’s test', () => {
  it('share ranks among equals', () => {
    expect(ranksOf([3, 1, 3, 0])).toEqual([3.5, 2, 3.5, 1])
    expect(ranksOf([2, 2 + 1e-12, 5])).toEqual([1.5, 1.5, 3])
  })
  it('agree with the worked example, tie and all', () => {
    expect(rankSums(SIX)).toEqual([7, 11.5, 17.5])
    const f = friedman(SIX)!
    expect(f.q).toBeCloseTo(9.652, 3)
    expect(f.df).toBe(2)
    expect(f.p).toBeCloseTo(0.008, 4)
    expect(criticalDifference(6, 3)).toBeCloseTo(1.353, 3)
    expect(differAll(SIX)).toEqual([[0, 2]])
    expect(differFrom(SIX, 0)).toEqual([2])
  })
  it('agree with Hollander and Wolfe’s base runners (Friedman 11.14, p 0.0038; from memory)', () => {
    // Rounding first base, 22 players: round out, narrow angle, wide angle.
    const runners = [
      [5.4, 5.5, 5.55],
      [5.85, 5.7, 5.75],
      [5.2, 5.6, 5.5],
      [5.55, 5.5, 5.4],
      [5.9, 5.85, 5.7],
      [5.45, 5.55, 5.6],
      [5.4, 5.4, 5.35],
      [5.45, 5.5, 5.35],
      [5.25, 5.15, 5.0],
      [5.85, 5.8, 5.7],
      [5.25, 5.2, 5.1],
      [5.65, 5.55, 5.45],
      [5.6, 5.35, 5.45],
      [5.05, 5.0, 4.95],
      [5.5, 5.5, 5.4],
      [5.45, 5.55, 5.5],
      [5.55, 5.55, 5.35],
      [5.45, 5.5, 5.55],
      [5.5, 5.45, 5.25],
      [5.65, 5.6, 5.4],
      [5.7, 5.65, 5.55],
      [6.3, 6.3, 6.25],
    ]
    const f = friedman(runners)!
    expect(f.q).toBeCloseTo(11.14, 2)
    expect(f.p).toBeCloseTo(0.0038, 4)
  })
  it('give Nemenyi’s table (Demšar 2006, table 5) and critical differences', () => {
    const q = [1.96, 2.343, 2.569, 2.728, 2.85, 2.949, 3.031, 3.102, 3.164]
    q.forEach((value, i) => expect(Math.abs(nemenyiQuantile(i + 2) - value)).toBeLessThan(0.0015))
    expect(criticalDifference(4, 2)).toBeCloseTo(0.98, 2)
    expect(criticalDifference(12, 5)).toBeCloseTo(1.76, 2)
    expect(criticalDifference(20, 7)).toBeCloseTo(2.01, 2)
  })
  it('test nothing where nothing can be told', () => {
    expect(friedman([[1, 2, 3]])).toBeNull()
    expect(friedman([[1], [2]])).toBeNull()
    expect(
      friedman([
        [4, 4],
        [4, 4],
      ]),
    ).toBeNull()
    expect(differAll([[1, 2]])).toEqual([])
  })
  it('lie near the exact chance over all orders, on a small set', () => {
    // 5 people, 3 samples without ties: every order of each person is as likely as every other.
    const orders = [
      [1, 2, 3],
      [1, 3, 2],
      [2, 1, 3],
      [2, 3, 1],
      [3, 1, 2],
      [3, 2, 1],
    ]
    const rows = [
      [1, 2, 3],
      [1, 2, 3],
      [1, 3, 2],
      [1, 2, 3],
      [2, 1, 3],
    ]
    const seen = friedman(rows)!.q
    let as = 0
    const all = orders.length ** rows.length
    for (let n = 0; n < all; n++) {
      let rest = n
      const drawn = rows.map(() => {
        const order = orders[rest % orders.length]!
        rest = Math.floor(rest / orders.length)
        return order
      })
      if (friedman(drawn)!.q >= seen - 1e-9) as++
    }
    // q of 5.2 and 6.4 for five people: exactly 0.093 and 0.039 (published tables of Friedman’s statistic)
    expect(as / all).toBeCloseTo(seen > 6 ? 0.039 : 0.093, 3)
    expect(friedman(rows)!.p).toBeCloseTo(as / all, 1)
  })
  it('do not depend on who comes first, on the zero of the scale, or on its direction', () => {
    const rows = fc.array(fc.array(fc.integer({ min: 0, max: 10 }), { minLength: 4, maxLength: 4 }), {
      minLength: 2,
      maxLength: 8,
    })
    fc.assert(
      fc.property(rows, fc.integer({ min: 1, max: 50 }), (scores, shift) => {
        const q = friedman(scores)?.q ?? null
        const other = friedman([...scores].reverse().map((r) => r.map((v) => -3 * v + shift)))?.q ?? null
        if (q === null) expect(other).toBeNull()
        else expect(other).toBeCloseTo(q, 9)
        expect(rankSums(scores).reduce((s, r) => s + r, 0)).toBeCloseTo(scores.length * 10, 9)
      }),
    )
  })
  it('take Holm’s steps against a reference', () => {
    expect(normalTwoSided(3.031)).toBeCloseTo(0.0024, 4)
    const apart = Array.from({ length: 12 }, () => [1, 5, 9])
    expect(differFrom(apart, 0)).toEqual([2, 1])
    expect(differFrom(apart, 1)).toEqual([0, 2])
  })
})

describe('triangles and pairs', () => {
  it('need the numbers of ISO 4120 at 5 %, and one fewer is not enough', () => {
    const least: [n: number, right: number][] = [
      [5, 4],
      [6, 5],
      [7, 5],
      [8, 6],
      [10, 7],
      [12, 8],
      [15, 9],
      [18, 10],
      [20, 11],
      [24, 13],
      [30, 15],
      [36, 18],
      [48, 22],
    ]
    for (const [n, right] of least) {
      expect(triangleTest(right, n).differ).toBe(true)
      expect(triangleTest(right - 1, n).differ).toBe(false)
    }
    expect(triangleTest(8, 12).p).toBeCloseTo(0.0188, 4)
    expect(triangleTest(7, 12).p).toBeCloseTo(0.0665, 3)
  })
  it('need the numbers of ISO 5495, two-sided at 5 %', () => {
    const least: [n: number, right: number][] = [
      [6, 6],
      [7, 7],
      [8, 8],
      [10, 9],
      [12, 10],
      [15, 12],
      [18, 14],
      [20, 15],
      [24, 18],
      [30, 21],
      [36, 25],
    ]
    for (const [n, right] of least) {
      expect(pairTest(right, n).differ).toBe(true)
      expect(pairTest(right - 1, n).differ).toBe(false)
      expect(pairTest(n - right, n).p).toBeCloseTo(pairTest(right, n).p, 12)
    }
    expect(pairTest(5, 5).differ).toBe(false)
    expect(pairTest(8, 16).p).toBe(1)
  })
})

const file = (rest: object) =>
  JSON.stringify({
    format: 'omblet-trial',
    formatVersion: 1,
    name: 'Which wax for the Gull Wing lotion',
    samples: [{ id: 'a', name: 'Olivate wax' }, { id: 'b' }, { id: 'c' }],
    attributes: [{ id: 'spread', low: 'drags', high: 'glides', scale: [0, 10] }],
    ...rest,
  })
const scores = (rows: readonly (readonly (number | null)[])[], round = 1) =>
  rows.flatMap((row, i) =>
    row.flatMap((value, j) =>
      value === null ? [] : [{ by: `p${i + 1}`, round, sample: 'abc'[j], attribute: 'spread', value }],
    ),
  )

describe('a trial file', () => {
  it('is told as the worked example, against all and against a reference', () => {
    const { report } = trialReport(readTrial(file({ scores: scores(SIX) })))
    const [spread] = report.attributes
    expect(spread!.rankSums).toEqual({ a: 7, b: 11.5, c: 17.5 })
    expect(spread!.means['c']).toBeCloseTo(7, 9)
    expect(spread!.differ).toEqual([['a', 'c']])
    const against = file({
      scores: scores(SIX),
      samples: [{ id: 'a' }, { id: 'b' }, { id: 'c', reference: true }],
    })
    expect(trialReport(readTrial(against)).report.attributes[0]!.differ).toEqual([['a', 'c']])
    expect(report.triangle).toBeNull()
    expect(report.pairs).toEqual([])
  })
  it('averages rounds before it ranks', () => {
    const twice = [...scores([[4, 6, 7]]), ...scores([[6, 2, 9]], 2)]
    const { report } = trialReport(readTrial(file({ scores: twice })))
    expect(report.attributes[0]!.means).toEqual({ a: 5, b: 4, c: 8 })
    expect(report.attributes[0]!.friedman).toBeNull()
  })
  it('leaves out who did not score all, and says so', () => {
    const { report, leftOut } = trialReport(readTrial(file({ scores: scores([...SIX, [9, null, 1]]) })))
    expect(report.attributes[0]!.rankSums).toEqual({ a: 7, b: 11.5, c: 17.5 })
    expect(leftOut.map(leftOutText)).toEqual(['spread: p7 is excluded (no score for b).'])
  })
  it('counts triangles and pairs', () => {
    const triangles = Array.from({ length: 12 }, (_, i) => ({ by: `p${i}`, right: i < 8 }))
    const pairs = Array.from({ length: 12 }, (_, i) => ({
      by: `p${i}`,
      chosen: i < 10 ? 'b' : 'a',
      over: i < 10 ? 'a' : 'b',
    }))
    const { report } = trialReport(readTrial(file({ triangles, pairs })))
    expect(report.triangle).toMatchObject({ n: 12, right: 8, differ: true })
    expect(report.pairs).toHaveLength(1)
    expect(report.pairs[0]).toMatchObject({ a: 'a', b: 'b', n: 12, forA: 2, differ: true })
    expect(report.pairs[0]!.p).toBeCloseTo(0.0386, 4)
  })
  it('is refused whole, naming the field', () => {
    expect(() =>
      readTrial(file({ scores: [{ by: 'p', sample: 'x', attribute: 'spread', value: 1 }] })),
    ).toThrow('scores[0].sample')
    expect(() =>
      readTrial(file({ scores: [{ by: 'p', sample: 'a', attribute: 'spread', value: 11 }] })),
    ).toThrow('goes from 0 to 10')
    expect(() =>
      readTrial(file({ scores: [{ by: 'p', sample: 'a', attribute: 'spread', value: '6' }] })),
    ).toThrow('scores[0].value')
    expect(() => readTrial(file({ samples: [{ id: 'a' }, { id: 'a' }] }))).toThrow('a second time')
    expect(() => readTrial(file({ formatVersion: 2 }))).toThrow('newer Omblet')
    expect(() =>
      readTrial(
        file({
          samples: [
            { id: 'a', reference: true },
            { id: 'b', reference: true },
          ],
        }),
      ),
    ).toThrow('reference')
    expect(() => readTrial('{')).toThrow('cut off')
  })
})
