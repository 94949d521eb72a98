import { findingText, remedyText } from '../src/words/index.ts'
// Solubility against printed values, recalled from the sources named and not looked up.
import { describe, expect, it } from 'vitest'
import { acidBaseOf, applyEdit, assess, solubilityAt, temperatureFactor } from '../src/index.ts'
import { cosolventsOf } from '../src/lines/cosolvent.ts'
import { formula, only, phase, PRESERVED, simple } from './helpers.ts'

const water = cosolventsOf(new Map(), 100)
const at = (key: string, ph: number | null, ionic = 0) => solubilityAt(acidBaseOf(key)!, ph, water, ionic)
const mixed = (key: string, percent: number) =>
  cosolventsOf(new Map([[key, { key, inci: key, percent, low: 0, high: 0, lines: [] }]]), 100 - percent)

describe('published solubilities', () => {
  it('salicylic acid: 2.24 g/kg at its own pH of 2.4 (CRC Handbook)', () => {
    expect(at('salicylic-acid', 2.44)).toBeCloseTo(2.24, 1)
    expect(assess(simple([['salicylic acid', 2]])).predictedPh!.value).toBeCloseTo(2.44, 0.5)
  })
  it('benzoic acid: 3.44 g/L at its own pH of 2.9 (CRC Handbook, Merck Index)', () => {
    expect(at('benzoic-acid', 2.87)).toBeCloseTo(3.44, 1)
  })
  it('benzoic acid at pH 5: 23.8 g/L ideal', () => expect(at('benzoic-acid', 5)).toBeCloseTo(23.8, 0))
  it('azelaic acid in water: 2.1 to 3.0 g/L (Merck Index; sources disagree)', () => {
    expect(at('azelaic-acid', 3.24)).toBeGreaterThan(2.1)
    expect(at('azelaic-acid', 3.24)).toBeLessThan(3)
  })
  it.each([
    ['salicylic-acid', 4, 19.8],
    ['benzoic-acid', 4, 5.3],
    ['azelaic-acid', 5.5, 42],
    ['sorbic-acid', 5.5, 12],
    ['dehydroacetic-acid', 6, 4.2],
    ['p-anisic-acid', 5.5, 3],
  ])('%s at pH %s holds %s g/L', (key, ph, grams) =>
    expect(Math.abs(at(key, ph) / grams - 1)).toBeLessThan(0.06),
  )
  it('allantoin: 5.3 to 5.7 g/L, 2.1 at 5 °C by its heat of solution (Merck Index)', () => {
    expect(at('allantoin', null)).toBeCloseTo(5.5, 1)
    expect(at('allantoin', null) * temperatureFactor(34, 5)).toBeCloseTo(2.1, 0)
  })
  it('salicylic acid with 30 % v/v propylene glycol: 11 g/L (log-linear, Yalkowsky)', () => {
    const mix = {
      fractions: [{ key: 'propylene-glycol', fraction: 0.3, s: 0.77, t: 0.58 }],
      total: 0.3,
      massPercent: 31,
    }
    expect(solubilityAt(acidBaseOf('salicylic-acid')!, null, mix)).toBeCloseTo((1.7 / 2.24) * 11.1, 0)
  })
  it('methylparaben: 2.5 g/L in water, more in glycol (Handbook of Pharmaceutical Excipients)', () => {
    expect(at('methylparaben', null)).toBe(2.5)
    expect(solubilityAt(acidBaseOf('methylparaben')!, null, mixed('propylene-glycol', 20))).toBeGreaterThan(5)
  })
  it('glycerin is no solvent for salicylic acid', () => {
    const gain = (key: string) => solubilityAt(acidBaseOf('salicylic-acid')!, null, mixed(key, 20)) / 1.7
    expect(gain('glycerin')).toBeLessThan(1.7)
    expect(gain('propylene-glycol')).toBeGreaterThan(2.3)
  })
})

describe('verdicts', () => {
  const verdict = (f: ReturnType<typeof simple>, key: string) =>
    assess(f).solubility.find((s) => s.key === key)!.verdict
  const aimed = (ph: number) => ({ targetPh: { min: ph, max: ph } })
  it.each([
    [
      'allantoin 0.5 % dissolves, and crystallises in the cold',
      simple([['allantoin', 0.5]]),
      'allantoin',
      'cold',
    ],
    ['niacinamide 10 % dissolves', simple([['niacinamide', 10]]), 'niacinamide', 'dissolves'],
    [
      'salicylic acid 2 % at pH 4.5 dissolves',
      simple([['salicylic acid', 2]], aimed(4.5)),
      'salicylic-acid',
      'dissolves',
    ],
    [
      'salicylic acid 2 % at pH 3.2 does not',
      simple([['salicylic acid', 2]], aimed(3.2)),
      'salicylic-acid',
      'solid',
    ],
    [
      'azelaic acid 10 % at pH 4.5 is a suspension',
      simple([['azelaic acid', 10]], aimed(4.5)),
      'azelaic-acid',
      'solid',
    ],
    [
      'potassium sorbate 0.3 % at pH 4.5 crystallises in the cold',
      simple([['potassium sorbate', 0.3]], aimed(4.5)),
      'sorbic-acid',
      'cold',
    ],
    [
      'betaine salicylate 2 % at pH 3 crystallises',
      simple([['betaine salicylate', 2]], aimed(3)),
      'salicylic-acid',
      'solid',
    ],
  ] as const)('%s', (_, f, key, expected) => expect(verdict(f, key)).toBe(expected))

  it('looks at the water phase, not at the whole formula', () => {
    const f = formula([
      phase('Water', 'water', [['aqua', 'fill'], ['allantoin', 0.5], PRESERVED]),
      phase('Oil', 'oil', [
        ['squalane', 35],
        ['olivate emulsifier', 5],
      ]),
    ])
    expect(verdict(f, 'allantoin')).toBe('solid')
  })
})

describe('findings', () => {
  it('say how much stays, within what factor, and offer remedies that work', () => {
    const f = simple([['salicylic acid', 2], ['propylene glycol', 10], PRESERVED], {
      targetPh: { min: 3.2, max: 3.2 },
    })
    const [found] = only(f, 'solubility.may-crystallise')
    expect(found).toMatchObject({ severity: 'check', materials: ['salicylic-acid'] })
    expect(findingText(found!).message).toMatch(/within a factor/)
    expect(found!.remedies.length).toBe(2)
    for (const remedy of found!.remedies) {
      const after = assess(applyEdit(f, remedy.edit)).solubility.find((s) => s.key === 'salicylic-acid')!
      expect(after.ratio, remedyText(remedy)).toBeLessThanOrEqual(0.75)
    }
  })
  it('name an acid that was given no solvent at all', () => {
    const f = simple([['salicylic acid', 2], PRESERVED], { targetPh: { min: 2.8, max: 3 } })
    expect(only(f, 'solubility.no-solvent').map((x) => x.severity)).toEqual(['check'])
  })
  it('send an oil-soluble brightener to the oil', () => {
    expect(only(simple([['kojic dipalmitate', 1], PRESERVED]), 'solubility.no-solvent')).toHaveLength(1)
  })
})
