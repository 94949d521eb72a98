// Where a preservative is: published partitions, and what they mean for the cover of a product.
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { assess } from '../src/index.ts'
import { coverAt, freeAcidsAt } from '../src/preservation/preservation.ts'
import { micelleToWater, oilToWater, shareInWater } from '../src/preservation/strength.ts'
import { cream, formula, phase, simple } from './helpers.ts'

describe('partition', () => {
  it('is that of the tables within a factor of 1.6', () => {
    // Oil to water, vegetable oils: benzoic acid 5.33 (Martin's Physical Pharmacy), methylparaben 7.5 and
    // propylparaben 80 (Hibbott & Monks 1961); from memory.
    for (const [logKow, published] of [
      [1.87, 5.33],
      [1.96, 7.5],
      [3.04, 80],
    ] as const) {
      const ratio = oilToWater(logKow) / published
      expect(ratio).toBeGreaterThan(1 / 1.6)
      expect(ratio).toBeLessThan(1.6)
    }
  })
  it('gives the worked example: benzoic acid between equal volumes of peanut oil and water at pH 4', () => {
    // Martin's Physical Pharmacy, from memory: K 5.33, Ka 6.4e-5; to keep 0.25 mg/ml free acid in the water takes
    // (5.33 + 1 + 0.64) · 0.25 = 1.74 mg/ml of water, 0.87 mg/ml of both.
    const free = shareInWater(1.87, { water: 0.5, oil: 0.5, micelles: 0 }, 0.64)
    expect(0.25 / free).toBeCloseTo(0.87, 1)
  })
  it('takes four fifths of methylparaben at 5 % polysorbate 80', () => {
    // Patel & Kostenbauder 1958, from memory: about 22 % stays free.
    expect(shareInWater(1.96, { water: 0.95, oil: 0, micelles: 0.05 })).toBeCloseTo(0.27, 1)
    expect(micelleToWater(1.96)).toBeGreaterThan(40)
  })
  it('never holds more than there is, and less with more oil, micelles or charge', () => {
    const share = fc.double({ min: 0, max: 0.45, noNaN: true })
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 4, noNaN: true }),
        share,
        share,
        fc.double({ min: 0, max: 100, noNaN: true }),
        (logKow, oil, micelles, ionised) => {
          const of = (o: number, m: number, i: number) =>
            shareInWater(logKow, { water: 1 - o - m, oil: o, micelles: m }, i)
          const here = of(oil, micelles, ionised)
          expect(here * (1 - oil - micelles)).toBeLessThanOrEqual(1 + 1e-9)
          expect(of(oil, micelles, ionised + 1)).toBeLessThanOrEqual(here + 1e-12)
          if (logKow > 1.2) expect(of(oil + 0.05, micelles, ionised)).toBeLessThanOrEqual(here + 1e-9)
        },
      ),
    )
  })
})

describe('cover', () => {
  const at = (f: ReturnType<typeof simple>, ph: number) => {
    const { preservation } = assess(f)
    return coverAt(preservation.uses, ph, preservation)
  }
  it('falls with the pH where acids preserve, and not where none does', () => {
    const acids = simple([
      ['sodium benzoate', 0.4],
      ['potassium sorbate', 0.3],
    ])
    const levels = [4, 4.5, 5, 5.5, 6, 7].map((ph) => Object.values(at(acids, ph)).reduce((s, x) => s + x, 0))
    expect([...levels].sort((x, y) => y - x)).toEqual(levels)
    expect(levels[0]).toBeGreaterThan(7)
    expect(levels.at(-1)).toBe(0)
    const none = simple([['phenoxyethanol, ethylhexylglycerin', 1]])
    expect(at(none, 4)).toEqual(at(none, 8))
  })
  it('of a blend outside its window is that of its parts', () => {
    // Benzyl alcohol asks for no such pH; what held mould is gone.
    const f = simple([['benzyl alcohol, dehydroacetic acid', 0.9]])
    expect(at(f, 5).mould).toBeGreaterThanOrEqual(2)
    expect(at(f, 7.2).gramPositive).toBeGreaterThanOrEqual(2)
    expect(at(f, 7.2).mould).toBeLessThan(2)
  })
  it('of acids counts all salts of one, in cream and water alike', () => {
    const [benzoic] = freeAcidsAt(assess(simple([['sodium benzoate', 0.59]])).preservation, 4.204)
    // 0.59 % of the salt is 0.5 % of the acid (122.12 / 144.10), half of it free at its pKa.
    expect(benzoic!.share).toBeCloseTo(50, 0)
    expect(benzoic!.ofNeed).toBeCloseTo(0.25 / 0.06, 0)
    const inCream = cream({ cool: [['sodium benzoate', 0.59]] })
    expect(freeAcidsAt(assess(inCream).preservation, 4.204)[0]!.ofNeed).toBeLessThan(benzoic!.ofNeed)
  })
  it('of parabens is lost to a cleanser full of surfactant', () => {
    const f = formula([
      phase('All', 'water', [
        ['aqua', 'fill'],
        ['polysorbate 20', 25],
        ['methylparaben', 0.15],
      ]),
    ])
    const { preservation } = assess(f)
    expect(coverAt(preservation.uses, null).yeast).toBe(3)
    expect(coverAt(preservation.uses, null, preservation).yeast).toBeLessThan(2)
  })
})
