import { leans } from '../src/words/en/leans.ts'
import { conclusionText, testText, choiceTestText } from '../src/words/index.ts'
// What a trial tells: exact ranks beside published tables, and verdicts in sentences.
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { friedman, friedmanExact, neededPeople, ranksOf, differAll, differFrom } from '../src/stats/ranks.ts'
import { FEEL, attributesFor, ownAttribute } from '../src/trials/data.ts'
import { planTrial } from '../src/trials/plan.ts'
import { trialReport } from '../src/trials/report.ts'
import { trialVerdict } from '../src/trials/verdict.ts'
import { wish } from './trial-pieces.ts'

describe('ranks, exactly', () => {
  it('are counted as over all orders, ties and all', () => {
    const orders = (row: number[]): number[][] =>
      row.length < 2
        ? [row]
        : row.flatMap((v, i) => orders([...row.slice(0, i), ...row.slice(i + 1)]).map((r) => [v, ...r]))
    const brute = (rows: number[][]) => {
      const q = (list: number[][]) =>
        list[0]!.map((_, j) => list.reduce((s, r) => s + r[j]!, 0)).reduce((s, r) => s + r * r, 0)
      const ranks = rows.map((r) => ranksOf(r))
      const seen = q(ranks)
      let all: number[][][] = [[]]
      for (const row of ranks) all = all.flatMap((list) => orders(row).map((o) => [...list, o]))
      return all.filter((list) => q(list) >= seen - 1e-9).length / all.length
    }
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 3, maxLength: 3 }), {
          minLength: 2,
          maxLength: 4,
        }),
        (rows) => {
          expect(friedmanExact(rows)).toBeCloseTo(brute(rows), 9)
        },
      ),
      { numRuns: 60 },
    )
  })
  it('agree with Friedman’s exact table (1937; Hollander and Wolfe A.22, from memory)', () => {
    expect(
      friedmanExact([
        [1, 2, 3],
        [1, 2, 3],
        [1, 2, 3],
      ]),
    ).toBeCloseTo(0.028, 3)
    const four = [
      [1, 2, 3],
      [1, 2, 3],
      [1, 2, 3],
      [2, 1, 3],
    ]
    expect(friedman(four)!.q).toBeCloseTo(6.5, 9)
    expect(friedmanExact(four)).toBeCloseTo(0.042, 3)
    expect(
      friedmanExact([
        [1, 2, 3, 4],
        [1, 2, 3, 4],
      ]),
    ).toBeCloseTo(0.042, 3)
  })
  it('are not counted where there are too many ways', () => {
    expect(friedmanExact(Array.from({ length: 12 }, () => [1, 2, 3, 4, 5, 6]))).toBeNull()
    expect(friedmanExact([[1, 2, 3]])).toBeNull()
  })
  it('tell how many people would name a difference that stays as it is', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 6 }), fc.boolean(), (k, reference) => {
        // everybody agrees on the first and the last
        const row = Array.from({ length: k }, (_, i) => i)
        const n = neededPeople(k - 1, k, reference)!
        const named = (people: number) =>
          reference
            ? differFrom(Array(people).fill(row) as number[][], 0).includes(k - 1)
            : differAll(Array(people).fill(row) as number[][]).some(([x, y]) => x === 0 && y === k - 1)
        expect(named(Math.max(2, n))).toBe(true)
        if (n > 2) expect(named(n - 1)).toBe(false)
      }),
    )
    expect(neededPeople(0, 4, false)).toBeNull()
  })
})

describe('a verdict', () => {
  const trialOf = (rows: Record<string, number[][]>, reference: number | null = null) => {
    const t = planTrial(
      wish({
        samples: ['w', 'x', 'y', 'z', 'v']
          .slice(0, Object.values(rows)[0]![0]!.length)
          .map((name) => ({ name, formula: null })),
        reference,
        varies: 'jar',
        people: Object.values(rows)[0]!.map((_, i) => `P${i}`),
        rounds: 1,
        attributes: attributesFor(false).filter((a) => a.id in rows),
        decides: null,
      }),
    )
    for (const [attribute, of] of Object.entries(rows))
      of.forEach((row, i) =>
        row.forEach((value, j) =>
          t.scores.push({ by: `p${i + 1}`, round: 1, sample: 'abcde'[j]!, attribute, value }),
        ),
      )
    return t
  }
  const scored = (...asked: Parameters<typeof trialOf>) => trialVerdict(trialOf(...asked))
  it('names the effect first and the test behind it', () => {
    const [r] = scored(
      {
        spread: [
          [2, 5, 8],
          [1, 4, 7],
          [3, 5, 9],
          [2, 6, 8],
          [2, 4, 7],
        ],
      },
      0,
    ).readings
    expect(conclusionText(r!.says)).toMatch(
      /^C spreads further than the reference \(by 5\.8 out of 10, 5 of 5 assessors\)/,
    )
    expect(testText(r!.test)).toMatch(/^Friedman 10, p < 0\.001 exactly$/)
    expect(r!.dots.map((d) => d.mean)).toEqual([2, 4.8, 7.8])
    expect(r!.dots.every((d) => d.low <= d.mean && d.mean <= d.high && d.low >= 0 && d.high <= 10)).toBe(true)
  })
  it('calls it a hint where only the reference stands apart and the whole does not show it', () => {
    // two people, five samples: the ends agree, the middle is turned round
    const [r] = scored(
      {
        spread: [
          [1, 3, 4, 5, 9],
          [1, 5, 6, 3, 9],
        ],
      },
      0,
    ).readings
    expect(conclusionText(r!.says)).toMatch(
      /^E spreads further than the reference .*: a hint only, since the overall test is not significant\.$/,
    )
    expect(r!.tells).toBe(false)
  })
  it('says less of a sample that scores less than the reference', () => {
    const [r] = scored(
      {
        spread: [
          [8, 2, 5],
          [7, 1, 5],
          [9, 3, 6],
          [8, 2, 6],
          [7, 2, 5],
        ],
      },
      0,
    ).readings
    expect(conclusionText(r!.says)).toMatch(
      /^B spreads less than the reference \(by 5\.8 out of 10, 5 of 5 assessors\)/,
    )
  })
  it('says how many more it would take, or that they are too alike', () => {
    const few = scored({
      spread: [
        [2, 5, 7, 6],
        [3, 4, 8, 6],
        [6, 4, 5, 3],
      ],
    }).readings[0]!
    expect(conclusionText(few.says)).toMatch(
      /^No difference detected between C and A \(.* apart\)\. Add \d+ assessors to find a difference of this size\.$/,
    )
    const alike = scored({
      spread: [
        [5, 5, 5],
        [4, 4, 4],
        [5, 5, 5],
      ],
    }).readings[0]!
    expect([conclusionText(alike.says), testText(alike.test), alike.tells]).toEqual([
      'No difference detected.',
      '',
      false,
    ])
  })
  it('trusts the exact test of pairs where two samples were scored', () => {
    const four = [
      [3, 6],
      [2, 5],
      [4, 8],
      [3, 4],
    ]
    expect(friedman(four)!.p).toBeLessThan(0.05)
    // the command and the screen use one test: 5 of 5 is 0.063, 6 of 6 0.031 (exact sign test)
    const reported = (rows: number[][]) => trialReport(trialOf({ spread: rows })).report.attributes[0]!
    const five = reported([...four, [1, 2]])
    expect(five.friedman!.p).toBeCloseTo(0.0625, 4)
    expect(five.differ).toEqual([])
    const sixth = reported([...four, [1, 2], [5, 6]])
    expect(sixth.friedman!.p).toBeCloseTo(0.03125, 5)
    expect(sixth.differ).toHaveLength(1)
    const [r] = scored({ spread: four }).readings
    expect(r!.tells).toBe(false)
    expect(conclusionText(r!.says)).toMatch(
      /^B spreads further than A \(by .*, 4 of 4 assessors\): not enough data\.$/,
    )
    const six = scored({ spread: [...four, [1, 2], [5, 6]] }).readings[0]!
    expect(six.tells).toBe(true)
    expect(testText(six.test)).toBe('pairs, p 0.031 exactly')
  })
  it('tests nothing of one person, and says so', () => {
    const v = scored({ spread: [[2, 5, 8]] })
    expect(conclusionText(v.readings[0]!.says)).toMatch(/with one assessor: no test possible\.$/)
    expect(v.readings[0]!.tells).toBe(false)
  })
  it('warns that of many attributes one differs by chance', () => {
    const row = [
      [2, 5, 8],
      [1, 4, 7],
      [3, 5, 9],
      [2, 6, 8],
      [2, 4, 7],
      [1, 5, 9],
    ]
    const flat = row.map(() => [5, 5, 5])
    const { head } = scored({ spread: row, tack: flat, slip: flat, film: flat, shine: flat })
    expect(head.map(conclusionText).join(' ')).toMatch(
      /With 5 attributes, one may differ by chance, and no deciding attribute was chosen/,
    )
  })
  it('reads triangles and pairs exactly, at both sides of the limits of ISO 4120 and 5495', () => {
    const of = (right: number, n: number) => {
      const t = planTrial(wish({ people: ['A', 'B'] }))
      for (let i = 0; i < n; i++) t.triangles.push({ by: i % 2 ? 'p1' : 'p2', right: i < right })
      return choiceTestText(trialVerdict(t).choices[0]!)
    }
    expect(of(8, 12)).toMatch(/a difference is detected \(p 0\.019\)/)
    expect(of(7, 12)).toMatch(/no difference detected with 12 answers \(p 0\.066\)/)
    // triangles of different pairs are told apart
    const two = planTrial(wish({ people: ['A', 'B'] }))
    for (let i = 0; i < 6; i++)
      two.triangles.push(
        { by: 'p1', right: true, a: 'a', b: 'b' },
        { by: 'p1', right: i < 2, a: 'a', b: 'c' },
      )
    const told = trialVerdict(two).choices.map(choiceTestText)
    expect(told[0]).toMatch(
      /^6 of 6 identified the odd sample between the reference and B; .* a difference is detected/,
    )
    expect(told[1]).toMatch(
      /^2 of 6 identified the odd sample between the reference and C; .* no difference detected/,
    )
    const even = planTrial(wish({ people: ['A', 'B'] }))
    for (let i = 0; i < 4; i++)
      even.pairs.push({ by: i % 2 ? 'p1' : 'p2', chosen: i < 2 ? 'b' : 'c', over: i < 2 ? 'c' : 'b' })
    expect(choiceTestText(trialVerdict(even).choices[0]!)).toBe(
      '2 of 4 prefer B to C, and as many the opposite (p 1).',
    )
    const alone = planTrial(wish({ people: ['Ina'], rounds: 6 }))
    for (let i = 0; i < 6; i++) alone.pairs.push({ by: 'p1', chosen: 'b', over: 'c', round: i + 1 })
    const choices = trialVerdict(alone).choices.map(choiceTestText)
    expect(choices[0]).toBe('6 of 6 prefer B to C (p 0.031).')
    expect(choices[1]).toMatch(/one assessor/)
  })
  it('has a phrase for either end of every attribute, and for one’s own', () => {
    for (const a of FEEL.attributes) expect(leans(a, true)).not.toBe(leans(a, false))
    const own = ownAttribute('Sound', 'dull', 'squeaky', [])
    expect(leans(own, true)).toBe('is nearer to “squeaky” in sound')
    expect(ownAttribute('Sound', 'a', 'b', [own]).id).not.toBe(own.id)
    for (const ids of Object.values(FEEL.kinds))
      for (const id of ids) expect(FEEL.attributes.map((a) => a.id)).toContain(id)
    for (const a of FEEL.attributes) expect(FEEL.moments.map((m) => m.id)).toContain(a.moment)
  })
})
