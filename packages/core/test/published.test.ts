import { findingText } from '../src/words/index.ts'
// Checks against something outside the project. Each names its source; values were recalled from it, not looked up.
import { describe, expect, it } from 'vitest'
import { assess, catalogue, smallestWeighable, weighingErrorPercent } from '../src/index.ts'
import { inciList } from '../src/label/ingredients.ts'
import { CATALOGUE_DATA } from '../src/materials/catalogue.ts'
import { formula, only, phase, PRESERVED, simple } from './helpers.ts'

/** IUPAC 2021 standard atomic weights, abridged. */
const ATOMS: Record<string, number> = {
  H: 1.008,
  C: 12.011,
  N: 14.007,
  O: 15.999,
  Na: 22.99,
  K: 39.098,
  S: 32.06,
  Zn: 65.38,
  Cl: 35.45,
}
const molarMass = (text: string) =>
  [...text.matchAll(/([A-Z][a-z]?)(\d*)/g)].reduce((m, [, atom, n]) => m + ATOMS[atom!]! * Number(n || 1), 0)

const capped = (material: string, percent: number, product = {}) =>
  only(simple([[material, percent]], { product }), 'legal.above-cap').filter((f) => f.severity === 'stop')
    .length > 0

describe('caps of Regulation (EC) 1223/2009', () => {
  it('Annex V/29: phenoxyethanol 1.0 %, also inside a blend of 90 %', () => {
    expect(capped('phenoxyethanol', 1)).toBe(false)
    expect(capped('phenoxyethanol', 1.01)).toBe(true)
    expect(capped('phenoxyethanol, ethylhexylglycerin', 1.11)).toBe(false)
    expect(capped('phenoxyethanol, ethylhexylglycerin', 1.12)).toBe(true)
  })

  it('Annex V/1 with IUPAC atomic weights: benzoates 0.5 % as acid left on, 2.5 % rinsed off', () => {
    const salt = (0.5 * molarMass('C7H5NaO2')) / molarMass('C7H6O2')
    expect(salt).toBeCloseTo(0.59, 2)
    expect(capped('sodium benzoate', salt * 0.999)).toBe(false)
    expect(capped('sodium benzoate', salt * 1.002)).toBe(true)
    expect(capped('sodium benzoate', 2, { rinse: 'rinse-off' })).toBe(false)
  })

  it('Annex V/4 with IUPAC atomic weights: sorbates 0.6 % as acid', () => {
    const salt = (0.6 * molarMass('C6H7KO2')) / molarMass('C6H8O2')
    expect(capped('potassium sorbate', salt * 0.999)).toBe(false)
    expect(capped('potassium sorbate', salt * 1.002)).toBe(true)
  })

  it('Annex V/12: methylparaben 0.4 %, propyl- with butylparaben 0.14 %, all 0.8 %, as 4-hydroxybenzoic acid', () => {
    const acid = molarMass('C7H6O3')
    expect(capped('methylparaben', (0.4 * molarMass('C8H8O3')) / acid)).toBe(false)
    expect(capped('methylparaben', 0.45)).toBe(true)
    expect(capped('propylparaben', (0.139 * molarMass('C10H12O3')) / acid)).toBe(false)
    expect(capped('propylparaben', 0.19)).toBe(true)
    const all = only(
      simple([
        ['methylparaben', 0.43],
        ['ethylparaben', 0.47],
        ['propylparaben', 0.1],
      ]),
      'legal.above-cap',
    )
    expect(all.map((f) => findingText(f).message).join()).toContain('all parabens')
  })

  it('Annex III (Regulation 2024/996): vitamin A 0.3 % on the face, 0.05 % on the body, as retinol', () => {
    const palmitate = (0.3 * molarMass('C36H60O2')) / molarMass('C20H30O')
    expect(capped('retinyl palmitate', palmitate * 0.998)).toBe(false)
    expect(capped('retinyl palmitate', palmitate * 1.004)).toBe(true)
    expect(capped('retinyl palmitate', 0.1, { site: 'body' })).toBe(true)
    expect(capped('retinol', 0.2)).toBe(false)
  })

  it('Annex III/98: salicylic acid 2 % on the face, 0.5 % on the body', () => {
    expect(capped('salicylic acid', 2)).toBe(false)
    expect(capped('salicylic acid', 2.01)).toBe(true)
    expect(capped('salicylic acid', 0.6, { site: 'body' })).toBe(true)
  })

  it('Annex III/24: soluble zinc salts 1 % as zinc', () => {
    const share = molarMass('Zn') / molarMass('C12H22O14Zn')
    expect(capped('zinc gluconate', 0.99 / share)).toBe(false)
    expect(capped('zinc gluconate', 1.02 / share)).toBe(true)
  })

  it.each(['sodium borate', 'hydroquinone', 'quaternium-15', 'butylphenyl methylpropional'])(
    'Annex II: %s is not permitted',
    (material) => {
      expect(only(simple([[material, 0.5]]), 'legal.prohibited').map((f) => f.severity)).toEqual(['stop'])
    },
  )

  it('Article 19(1)(g): names in falling order of weight, each once', () => {
    const f = formula([
      phase('Water', 'water', [
        ['aqua', 'fill'],
        ['glycerin', 3],
      ]),
      phase('Oil', 'oil', [
        ['squalane', 8],
        ['cetearyl alcohol, polysorbate 60', 4],
        ['cetearyl alcohol', 1],
      ]),
      phase('Last', 'cool-down', [PRESERVED]),
    ])
    expect(inciList(assess(f))).toEqual([
      'Aqua',
      'Squalane',
      'Cetearyl Alcohol',
      'Glycerin',
      'Polysorbate 60',
      'Phenoxyethanol',
      'Ethylhexylglycerin',
    ])
  })
})

describe('opinions are checks that say whose they are', () => {
  it('CIR 1998: glycolic acid 10 %', () => {
    const found = only(simple([['glycolic acid', 10.5]], { product: { region: 'US' } }), 'legal.above-cap')
    expect(found.map((f) => [f.severity, findingText(f).source.includes('CIR')])).toEqual([['check', true]])
    expect(only(simple([['glycolic acid', 10]], { product: { region: 'US' } }), 'legal.above-cap')).toEqual(
      [],
    )
  })
})

describe('HLB, Griffin 1949 and 1954', () => {
  const ethoxylate = (alcohol: string, n: number) =>
    (100 * n * molarMass('C2H4O')) / (molarMass(alcohol) + n * molarMass('C2H4O')) / 5
  it.each([
    ['steareth-2', 'C18H38O', 2],
    ['steareth-21', 'C18H38O', 21],
  ])('%s agrees with E/5', (id, alcohol, n) => {
    expect(catalogue.find(id)!.emulsifier!.hlb).toBeCloseTo(ethoxylate(alcohol, n), 1)
  })

  it('glyceryl stearate by 20 (1 − S/A) with S 161 and A 198', () => {
    expect(catalogue.find('glyceryl stearate')!.emulsifier!.hlb).toBeCloseTo(20 * (1 - 161 / 198), 0)
  })

  it('averages the required HLB by weight over the oils', () => {
    const e = assess(
      formula([
        phase('Water', 'water', [['aqua', 'fill']]),
        phase('Oil', 'oil', [
          ['sunflower oil', 8],
          ['shea butter', 5],
          ['isopropyl myristate', 4],
          ['cetyl alcohol', 3],
          ['steareth-21', 2],
          ['steareth-2', 2],
        ]),
      ]),
    ).emulsion!
    expect(e.requiredHlb).toBeCloseTo((8 * 7 + 5 * 8 + 4 * 11.5) / 17, 2)
    expect(e.offeredHlb).toBeCloseTo((15.5 + 4.9) / 2, 2)
    expect(e).toMatchObject({
      oilsPercent: 17,
      fattyAlcoholPercent: 3,
      emulsifierPercent: 4,
      oilPhasePercent: 24,
      richness: 'cream',
    })
  })

  it('60 % polysorbate 80 with 40 % sorbitan oleate offers 10.7 (textbook blend)', () => {
    const e = assess(
      formula([
        phase('Water', 'water', [
          ['aqua', 'fill'],
          ['polysorbate 80', 3],
        ]),
        phase('Oil', 'oil', [
          ['olive oil', 15],
          ['sorbitan oleate', 2],
        ]),
      ]),
    ).emulsion!
    expect(e.offeredHlb).toBeCloseTo(10.72, 2)
  })
})

describe('weighing, JCGM 100:2008 (rectangular rounding)', () => {
  // U = 1.96 √(3 (d/√12)²) = 0.98 d: rounding of reading and zero, and one step of repeatability; percent, 95 %
  it.each([
    [0.05, 0.01, 19.6],
    [0.1, 0.01, 9.8],
    [0.3, 0.01, 3.27],
    [1, 0.1, 9.8],
    [5, 1, 19.6],
    [0.3, 0.1, 32.7],
  ])('%s g on a %s g scale: %s %%', (g, d, percent) => {
    expect(weighingErrorPercent(g, d)).toBeCloseTo(percent, percent < 10 ? 1 : -0.5)
  })
  it('weighs from 20 counts up to within 5 %', () => expect(smallestWeighable(0.01, 5)).toBeCloseTo(0.196, 3))
  it('takes what the maker of the scale states', () => {
    // U = 1.96 √(0.1²/6 + 0.1²) = 0.212 g
    expect(weighingErrorPercent(0.3, 0.1, 0.1)).toBeCloseTo(70.6, 0)
    expect(weighingErrorPercent(0.3, 0.1, 0.01)).toBeLessThan(weighingErrorPercent(0.3, 0.1))
  })
})

describe('facts of the handbooks', () => {
  // CRC Handbook of Chemistry and Physics: melting points and densities, recalled
  it.each([
    ['cetyl alcohol', 49, 2],
    ['stearyl alcohol', 58, 2],
    ['cera alba', 63, 2],
    ['copernicia cerifera cera', 83, 3],
  ])('%s melts near %s °C (CRC Handbook)', (name, celsius, tolerance) => {
    expect(Math.abs(catalogue.find(name)!.meltsC! - celsius)).toBeLessThanOrEqual(tolerance)
  })
  it.each([
    ['glycerin', 1.261],
    ['propanediol', 1.053],
    ['propylene glycol', 1.036],
    ['squalane', 0.81],
    ['isopropyl myristate', 0.853],
  ])('%s weighs %s g/mL at 20 °C (CRC Handbook)', (name, density) => {
    expect(catalogue.find(name)!.density).toBeCloseTo(density, 1)
  })
  it('richness by oil phase (common practice): every class occurs', () => {
    const richness = (oils: number) =>
      assess(
        formula([
          phase('Water', 'water', [['aqua', 'fill']]),
          phase('Oil', 'oil', [
            ['squalane', oils - 4],
            ['olivate emulsifier', 4],
          ]),
        ]),
      ).emulsion!.richness
    expect([8, 15, 20, 25, 35, 50].map(richness)).toEqual([
      'milk',
      'lotion',
      'cream',
      'cream',
      'rich-cream',
      'butter',
    ])
  })
  it('no name in the catalogue carries a trade mark sign', () => {
    expect(CATALOGUE_DATA.filter((m) => /[™®]/.test(JSON.stringify(m)))).toEqual([])
  })
})
