import Decimal from 'decimal.js'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { applyEdit, computeAmounts } from '../src/index.ts'
import { largestRemainder } from '../src/formula/amounts.ts'
import { formula, phase } from './helpers.ts'

const grams = (percents: number[], batch: number, resolution: number, fillAt = -1) =>
  computeAmounts(
    formula(
      [
        phase(
          'A',
          'water',
          percents.map((p, i) => [`material ${i}`, i === fillAt ? 'fill' : p]),
        ),
      ],
      {
        batchGrams: batch,
        scaleResolutionGrams: resolution,
      },
    ),
  )

describe('grams that add up to the batch', () => {
  it('gives the largest remainders their count without a fill line', () => {
    const a = grams([66.7, 13.3, 8.3, 6.3, 4.1, 1.3], 45, 0.1)
    expect(a.lines.map((l) => l.grams)).toEqual([30, 6, 3.7, 2.8, 1.9, 0.6])
    expect(a.totalGrams).toBe(45)
  })

  it('works the second example: 85.0 g in tenths', () => {
    expect(grams([70.3, 12.7, 6.1, 5.3, 4.1, 1.5], 85, 0.1).lines.map((l) => l.grams)).toEqual([
      59.7, 10.8, 5.2, 4.5, 3.5, 1.3,
    ])
  })

  // Source: the textbook case of the Alabama paradox of largest-remainder apportionment
  // (populations 6, 6, 2): ten seats give 4, 4, 2 and eleven give 5, 5, 1.
  it('agrees with the textbook apportionment by largest remainder', () => {
    expect(
      largestRemainder(
        [6, 6, 2].map((n) => (n / 14) * 10),
        10,
      ),
    ).toEqual([4, 4, 2])
    expect(
      largestRemainder(
        [6, 6, 2].map((n) => (n / 14) * 11),
        11,
      ),
    ).toEqual([5, 5, 1])
  })

  it('sends the rounding to the fill line', () => {
    const a = grams([0, 13.33, 8.37, 4.15], 45, 0.1, 0)
    expect(a.lines.slice(1).map((l) => l.grams)).toEqual([6, 3.8, 1.9])
    expect(a.lines[0]!.grams).toBe(33.3)
    expect(a.lines[0]!.percent).toBeCloseTo(74.15, 9)
  })

  it('always adds up exactly in whole counts, each line within one count of its share', () => {
    const shares = fc.array(fc.integer({ min: 1, max: 5000 }), { minLength: 1, maxLength: 40 })
    fc.assert(
      fc.property(
        shares,
        fc.integer({ min: 1, max: 200_000 }),
        fc.constantFrom(1, 0.1, 0.01, 0.001),
        (weights, counts, resolution) => {
          const sum = weights.reduce((s, w) => s + w, 0)
          const percents = weights.map((w) => (w / sum) * 100)
          const batch = Number(new Decimal(counts).mul(resolution))
          const a = grams(percents, batch, resolution)
          expect(a.lines.reduce((s, l) => s.plus(l.counts), new Decimal(0)).toNumber()).toBe(counts)
          expect(a.totalGrams).toBe(batch)
          for (const [i, l] of a.lines.entries()) {
            // decimal.js as the outside judge of the exact share
            const exact = new Decimal(weights[i]!).mul(counts).div(sum)
            expect(exact.minus(l.counts).abs().toNumber()).toBeLessThanOrEqual(1 + 1e-6)
          }
        },
      ),
    )
  })

  it('never loses a count to binary fractions (decimal.js)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9999 }),
        fc.integer({ min: 1, max: 999_999 }),
        (hundredths, cents) => {
          const a = grams([0, hundredths / 100], cents / 100, 0.01, 0)
          const exact = new Decimal(hundredths).div(10_000).mul(cents)
          expect(a.lines[1]!.counts).toBe(exact.toDecimalPlaces(0, Decimal.ROUND_HALF_UP).toNumber())
          expect(a.lines[0]!.counts + a.lines[1]!.counts).toBe(cents)
        },
      ),
    )
  })
})

describe('percent and grams together', () => {
  it('takes lines typed in grams beside lines typed in percent', () => {
    const f = formula(
      [
        phase('A', 'water', [
          ['aqua', 'fill'],
          ['glycerin', undefined, { grams: 6 }],
          ['urea', 5],
        ]),
      ],
      { batchGrams: 200 },
    )
    const a = computeAmounts(f)
    expect(a.lines.map((l) => l.percent)).toEqual([92, 3, 5])
    expect(a.lines.map((l) => l.grams)).toEqual([184, 6, 10])
  })

  it('needs no batch when every line is in grams', () => {
    const { batchGrams: _, ...f } = formula([
      phase('A', 'water', [
        ['aqua', undefined, { grams: 45 }],
        ['glycerin', undefined, { grams: 5 }],
      ]),
    ])
    const a = computeAmounts(f)
    expect(a.batchGrams).toBe(50)
    expect(a.lines.map((l) => l.percent)).toEqual([90, 10])
    expect(a.balanced).toBe(true)
  })

  it('scales a batch and keeps every percent, also of lines typed in grams', () => {
    const f = formula(
      [
        phase('A', 'water', [
          ['aqua', 'fill'],
          ['glycerin', undefined, { grams: 6 }],
          ['urea', 5],
        ]),
      ],
      { batchGrams: 200 },
    )
    const scaled = computeAmounts(applyEdit(f, { type: 'scale-batch', batchGrams: 350 }))
    expect(scaled.lines.map((l) => l.percent)).toEqual([92, 3, 5])
    expect(scaled.lines.map((l) => l.grams)).toEqual([322, 10.5, 17.5])
  })

  it('says so when the fill line has nothing left to take', () => {
    const a = computeAmounts(
      formula([
        phase('A', 'water', [
          ['aqua', 'fill'],
          ['glycerin', 60],
          ['urea', 44],
        ]),
      ]),
    )
    expect(a.balanced).toBe(false)
    expect(a.totalPercent).toBe(104)
    expect(a.lines[0]!.percent).toBe(-4)
  })

  it.each([
    [100.05, true],
    [100.06, false],
    [99.95, true],
    [99.94, false],
  ])('counts a sum of %s without fill line as balanced: %s', (sum, balanced) => {
    expect(computeAmounts(formula([phase('A', 'water', [['aqua', sum]])])).balanced).toBe(balanced)
  })

  it('stands an empty formula', () => {
    expect(computeAmounts(formula([]))).toMatchObject({
      totalPercent: 0,
      totalGrams: 0,
      balanced: false,
      lines: [],
    })
  })
})
