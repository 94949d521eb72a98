import { phEffectText, driftText, meterText, doseFaultText, solutionText } from '../src/words/index.ts'
// What a pH does, the log, the meter and the solutions. Printed values are recalled, not looked up.
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  acidBaseOf,
  assess,
  blockersOf,
  calibrationFault,
  catalogue,
  driftsOf,
  meterState,
  nernstSlope,
  phEffects,
  phModelOf,
  readingFault,
  solutionRecipe,
  thinningAt,
  type Calibration,
  type Formula,
} from '../src/index.ts'
import { ADJUSTERS, strengthFault } from '../src/ph/adjusters.ts'
import { cream, simple } from './helpers.ts'

const effect = (f: Formula, ph: number, id: string) => phEffects(assess(f), ph).find((e) => e.id === id)!

describe('what a pH does', () => {
  // Free acid of 10 % glycolic acid: tables of cosmetic dermatology.
  it.each([
    [3.5, 6.8],
    [3.8, 5.2],
    [4, 4],
  ])('10 %% glycolic acid at pH %s has %s %% free', (ph, free) => {
    const e = effect(simple([['glycolic acid', 10, { strengthPercent: 100 }]]), ph, 'glycolic-acid')
    expect(e.percent).toBeCloseTo(free, 1)
    expect(e.of).toBeCloseTo(10, 6)
  })

  // Active share of preservatives: whole-number tables of food and pharmaceutical textbooks.
  it.each([
    ['sodium benzoate', 'benzoic-acid', 4, 60],
    ['sodium benzoate', 'benzoic-acid', 5, 13],
    ['sodium benzoate', 'benzoic-acid', 6, 1.5],
    ['potassium sorbate', 'sorbic-acid', 4, 86],
    ['potassium sorbate', 'sorbic-acid', 5, 37],
    ['potassium sorbate', 'sorbic-acid', 6, 6],
    ['sodium dehydroacetate', 'dehydroacetic-acid', 5, 65],
    ['sodium dehydroacetate', 'dehydroacetic-acid', 6, 16],
  ])('%s at pH %s: %s %% of it works', (name, id, ph, share) => {
    const e = effect(simple([[name, 0.5]]), ph, id)
    expect(Math.abs((100 * e.percent!) / e.of! - share)).toBeLessThan(2)
    expect(e.what).toBe('active-share')
  })
  it('counts a preservative as its acid, and says when hardly any works', () => {
    const f = simple([['sodium benzoate', 0.5]])
    expect(effect(f, 4, 'benzoic-acid').of).toBeCloseTo((0.5 * 122.12) / 144.1, 4)
    expect(effect(f, 6, 'benzoic-acid').state).toBe('check')
    expect(effect(f, 4.2, 'benzoic-acid').state).toBe('fine')
  })
  it('sums an acid over its salts', () => {
    const e = effect(
      simple([
        ['lactic acid', 2, { strengthPercent: 100 }],
        ['sodium lactate', 2, { strengthPercent: 100 }],
      ]),
      4,
      'lactic-acid',
    )
    expect(e.of).toBeCloseTo(2 + (2 * 90.08) / 112.06, 3)
  })
  it('explains both schools of azelaic acid', () => {
    const f = simple([['azelaic acid', 8]])
    expect(phEffectText(effect(f, 4, 'azelaic-acid'))).toMatch(/free acid.*salt/s)
    expect(phEffectText(effect(f, 5.5, 'azelaic-acid'))).toMatch(/salt.*free acid/s)
  })
  it('keeps niacinamide away from strong acid (Finholt & Higuchi 1962, from memory)', () => {
    const f = simple([['niacinamide', 4]])
    expect(phEffectText(effect(f, 2.8, 'niacinamide'))).toContain('nicotinic acid')
    expect(effect(f, 6, 'niacinamide').state).toBe('fine')
  })
  it('says what thins or seems to split, from which pH it holds again, and how much alkali that takes', () => {
    const f = cream({ water: [['glycolic acid', 6]] }, { batchGrams: 200 })
    const a = assess(f)
    const model = phModelOf(a)!
    const [worst] = thinningAt(a, model, a.predictedPh!.value)
    expect(worst!.way).toBe('up')
    expect(worst!.from).toBeGreaterThan(3)
    expect(worst!.grams).toBeGreaterThan(1)
    expect(thinningAt(a, model, 5.5)).toEqual([])
  })
  it('names who sets the ends of the shared window', () => {
    const a = assess(
      simple([
        ['niacinamide', 4],
        ['sodium benzoate', 0.5],
      ]),
    )
    expect(blockersOf(a)).toEqual([
      { side: 'low', what: { code: 'item', label: 'niacinamide' }, at: 4 },
      expect.objectContaining({ side: 'high', what: { code: 'item', label: 'sodium benzoate' } }),
    ])
    expect(blockersOf(assess(simple([])))).toEqual([])
  })
  it('knows what goes on moving the pH', () => {
    expect(
      driftsOf(assess(simple([['gluconolactone', 5]])))
        .map(driftText)
        .join(),
    ).toContain('Gluconolactone')
    expect(
      driftsOf(assess(simple([['urea', 10]])))
        .map(driftText)
        .join(),
    ).toContain('Urea')
    const added = simple([['citric acid', 1]], {
      additions: [
        { material: 'sodium bicarbonate', strengthPercent: 5, grams: 4, ofGrams: 1000, afterReading: 0 },
      ],
    })
    expect(driftsOf(assess(added)).map(driftText).join()).toContain('bicarbonate')
    expect(driftsOf(assess(simple([['glycerin', 3]])))).toEqual([])
  })
})

describe('the meter', () => {
  // Nernst slopes, mV per pH: tables of any electrochemistry text.
  it.each([
    [0, 54.2],
    [20, 58.17],
    [25, 59.16],
    [37, 61.54],
    [50, 64.12],
  ])('slope at %s °C is %s', (celsius, mv) => expect(nernstSlope(celsius)).toBeCloseTo(mv, 2))

  const sound: Calibration = {
    at: '2026-05-01',
    high: { ph: 7, mv: -3 },
    low: { ph: 4.01, mv: 168 },
    celsius: 25,
  }
  it('works out slope and offset: −3 mV at 7.00 and 168 mV at 4.01 are 96.7 %', () => {
    const state = meterState(sound, { days: 0 })
    expect(state.slopePercent).toBeCloseTo(96.7, 1)
    expect(state.offsetMv).toBeCloseTo(-3, 9)
    expect(state.findings).toEqual([])
    expect(state.doubt).toBe(1)
  })
  it('minds the temperature', () =>
    expect(meterState({ ...sound, celsius: 15 }, { days: 0 }).slopePercent).toBeCloseTo(100.02, 1))
  it.each<[string, Partial<Calibration>, { days: number; electrodeDays?: number }, string, RegExp]>([
    ['a slack slope', { low: { ph: 4.01, mv: 150 } }, { days: 0 }, 'check', /86\.5 %/],
    ['a steep slope', { low: { ph: 4.01, mv: 190 } }, { days: 0 }, 'check', /109\.1 %/],
    [
      'a large offset',
      { high: { ph: 7, mv: 40 }, low: { ph: 4.01, mv: 215 } },
      { days: 0 },
      'check',
      /40 mV/,
    ],
    [
      'a middling offset',
      { high: { ph: 7, mv: 20 }, low: { ph: 4.01, mv: 195 } },
      { days: 0 },
      'note',
      /20 mV/,
    ],
    ['age', {}, { days: 30 }, 'note', /30 days ago/],
    ['an old electrode', {}, { days: 0, electrodeDays: 900 }, 'note', /two years/],
  ])('minds %s', (_name, change, age, severity, words) => {
    const state = meterState({ ...sound, ...change }, age)
    expect(state.findings).toHaveLength(1)
    expect(state.findings[0]!.severity).toBe(severity)
    expect(meterText(state.findings[0]!.said).message).toMatch(words)
    expect(state.doubt).toBeGreaterThan(1)
  })
  it.each<[Partial<Calibration>, RegExp]>([
    [{ low: { ph: 6.86, mv: 5 } }, /too close/],
    [{ high: { ph: 4.01, mv: -3 }, low: { ph: 7, mv: 168 } }, /higher pH first/],
    [{ low: { ph: 4.01, mv: -60 } }, /must rise/],
  ])('refuses buffers that make no calibration', (change, sentence) =>
    expect(doseFaultText(calibrationFault({ ...sound, ...change })!)).toMatch(sentence),
  )
  it.each([
    [41, /Did you mean 4\.1\?/],
    [345, /Did you mean 3\.45\?/],
    [-2, /between 0 and 14/],
  ])('asks back when %s is typed', (value, sentence) =>
    expect(doseFaultText(readingFault(value)!)).toMatch(sentence),
  )
  it('takes any pH', () =>
    fc.assert(fc.property(fc.double({ min: 0, max: 14, noNaN: true }), (ph) => readingFault(ph) === null)))
})

describe('the solutions', () => {
  it('are of materials that the catalogue has, with constants', () => {
    for (const adjuster of ADJUSTERS) {
      expect(acidBaseOf(adjuster.key), adjuster.key).toBeDefined()
      expect(catalogue.find(adjuster.key), adjuster.key).not.toBeNull()
      expect(strengthFault(adjuster.key, adjuster.usualPercent), adjuster.key).toBeNull()
    }
  })
  it('50 g of 10 % lye: 5 g into 45 g of water, with its cautions', () => {
    const recipe = solutionRecipe('sodium-hydroxide', 10, 50, 0.01)
    expect(recipe).toMatchObject({ solidGrams: 5, waterGrams: 45, grams: 50 })
    if ('fault' in recipe) throw new Error()
    expect(solutionText(recipe).cautions.join(' ')).toMatch(
      /Goggles.*Lye into cold water, slowly, never water onto lye/s,
    )
  })
  it('from a bottle that is a solution itself', () =>
    expect(solutionRecipe('lactic-acid', 44, 100, 0.1, 88)).toMatchObject({ solidGrams: 50, waterGrams: 50 }))
  it.each<[Parameters<typeof solutionRecipe>, RegExp]>([
    [['lactic-acid', 88, 100, 0.1, 80], /cannot be 88 %/],
    [['sodium-bicarbonate', 20, 100, 0.1], /Only 8 %/],
    [['sodium-hydroxide', 1, 0.1, 0.1], /less than the scale can weigh/],
    [['moon-dust', 1, 10, 0.1], /is unknown/],
  ])('says why it cannot be made', (args, sentence) => {
    const recipe = solutionRecipe(...args)
    expect('fault' in recipe && doseFaultText(recipe.fault)).toMatch(sentence)
  })
})
