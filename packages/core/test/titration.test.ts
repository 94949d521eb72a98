// Titration, dosing and learning from readings. Printed values are recalled from the sources named, not looked up.
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  acidBaseOf,
  assess,
  diluted,
  phCurve,
  phModelOf,
  phNow,
  phOfModel,
  spanOf,
  withDoses,
  type Formula,
} from '../src/index.ts'
import { ADJUSTERS } from '../src/ph/adjusters.ts'
import { balanceAt, toldModel } from '../src/dosing/model.ts'
import { doseAt, reachOf, titrantOf } from '../src/dosing/titrate.ts'
import { doseTo, anyFormula, formula, phase, read, simple } from './helpers.ts'

const modelOf = (f: Formula) => toldModel(assess(f))!
/** Textbooks leave out the carbon dioxide of the air. */
const airless = (f: Formula) => toldModel(assess(f), false)!
const weighed = (lines: [string, number][]) => {
  const used = lines.reduce((s, [, p]) => s + p, 0)
  return formula([phase('Water', 'water', [['aqua', 100 - used], ...lines])])
}

describe('textbook titrations', () => {
  // Skoog, West, Holler & Crouch, Fundamentals of Analytical Chemistry: 50.00 mL of acid with 0.1000 M sodium
  // hydroxide; worked without activity coefficients, hence 0.15.
  const acetic = airless(weighed([['acetic acid', 0.6005]]))
  it.each([
    [0, 2.88],
    [10, 4.16],
    [25, 4.76],
    [40, 5.36],
    [49, 6.45],
    [49.9, 7.46],
    [50, 8.73],
    [50.1, 10],
    [51, 11],
    [60, 11.96],
    [75, 12.3],
  ])('50 mL of 0.1 M acetic acid, %s mL of alkali: pH %s', (ml, ph) => {
    const now = withDoses(acetic, [{ key: 'sodium-hydroxide', strengthPercent: 0.4, percent: 2 * ml }])
    expect(Math.abs(phOfModel(now).ph - ph)).toBeLessThan(0.15)
  })

  it.each([
    ['salicylic-acid', 2, 0.579],
    ['lactic-acid', 5, 2.22],
    ['glycolic-acid', 10, 5.26],
    ['mandelic-acid', 5, 1.314],
  ])('%s %s %% is spent by %s g of dry lye in 100 g (stoichiometry, IUPAC weights)', (acid, percent, lye) => {
    const model = airless(simple([[acid, percent, { strengthPercent: 100 }]]))
    const dose = doseAt(model, titrantOf(model, 'sodium-hydroxide', 50)!, 7)!
    expect(dose.percent / 2 / lye).toBeCloseTo(1, 2)
  })

  // Half of an acid neutralised: pH is the constant less what the salt's ions take, about 0.1 at 0.1 mol/kg (any textbook).
  it.each(['glycolic-acid', 'lactic-acid', 'acetic-acid', 'mandelic-acid'])('half-neutralised %s', (acid) => {
    const { molarMass, pKa } = acidBaseOf(acid)!
    const f = simple([[acid, molarMass / 100, { strengthPercent: 100 }]])
    const now = withDoses(modelOf(f), [{ key: 'sodium-hydroxide', strengthPercent: 20, percent: 1 }])
    expect(phOfModel(now).ph).toBeGreaterThan(pKa[0]! - 0.16)
    expect(phOfModel(now).ph).toBeLessThan(pKa[0]! - 0.04)
  })

  // National Bureau of Standards: dilution values of primary buffers, change on mixing with the same volume of water.
  it.each<[string, [string, number][], number]>([
    ['biphthalate 0.05 m', [['potassium biphthalate', 1.011]], 0.052],
    [
      'equimolal phosphate 0.025 m',
      [
        ['potassium phosphate', 0.3379],
        ['disodium phosphate', 0.3525],
      ],
      0.08,
    ],
  ])('%s, once diluted, moves by %s', (_name, lines, change) => {
    const model = airless(customised(lines))
    const twice = { ...model, waterRatio: 2 }
    expect(phOfModel(twice).ph - phOfModel(model).ph).toBeCloseTo(change, 1)
    expect(Math.abs(phOfModel(twice).ph - phOfModel(model).ph - change)).toBeLessThan(0.02)
  })
})

/** Lines that bring their constants along, for what no maker keeps on a shelf. */
function customised(lines: [string, number][]): Formula {
  const used = lines.reduce((s, [, p]) => s + p, 0)
  return formula([
    phase('Water', 'water', [
      ['aqua', 100 - used],
      ...lines.map(([name, percent]): [string, number, object] => {
        const { molarMass, pKa, chargeFullyProtonated, counterIonCharge } = acidBaseOf(
          name.replaceAll(' ', '-'),
        )!
        return [
          `Test ${name}`,
          percent,
          {
            custom: {
              inci: [`Test ${name}`],
              acidBase: { molarMass, pKa, chargeFullyProtonated, counterIonCharge },
            },
          },
        ]
      }),
    ]),
  ])
}

describe('a sample of 10 % in distilled water', () => {
  // Common practice: a buffered product reads 0.05 to 0.2 higher, a free acid half a unit.
  it.each<[string, Formula, number, number]>([
    [
      'citrate buffer',
      simple([
        ['citric acid', 0.5],
        ['sodium citrate', 0.8],
      ]),
      0.05,
      0.3,
    ],
    [
      'lactate buffer',
      simple([
        ['lactic acid', 2],
        ['sodium lactate', 3],
      ]),
      0.03,
      0.2,
    ],
    ['free lactic acid', simple([['lactic acid', 5]]), 0.4, 0.7],
  ])('%s', (_name, f, least, most) => {
    const model = modelOf(f)
    const change = phOfModel(diluted(model)).ph - phOfModel(model).ph
    expect(change).toBeGreaterThan(least)
    expect(change).toBeLessThan(most)
  })

  it('is put right before the next dose', () => {
    const f = simple([['lactic acid', 5]], { readings: [read(2.57, 'meter-10pct')] })
    const a = assess(f)
    const now = phNow(a, phModelOf(a)!)
    expect(now.value).toBeCloseTo(2.05, 1)
    expect(now.read!.dilution).toBeGreaterThan(0.4)
    const direct = assess({ ...f, readings: [read(2.57)] })
    expect(doseTo(a, 4, 'sodium-hydroxide', 10).grams).toBeGreaterThan(
      doseTo(direct, 4, 'sodium-hydroxide', 10).grams,
    )
  })
})

describe('the dose for a pH', () => {
  it('is what brings the formula there, for any formula and adjuster', () => {
    fc.assert(
      fc.property(
        anyFormula,
        fc.constantFrom(...ADJUSTERS),
        fc.double({ min: 0.1, max: 1, noNaN: true }),
        fc.double({ min: -4, max: 4, noNaN: true }),
        (f, adjuster, strong, way) => {
          const model = modelOf(f)
          const titrant = titrantOf(model, adjuster.key, adjuster.usualPercent * strong)!
          const target = phOfModel(model).ph + (adjuster.direction === 'up' ? 1 : -1) * Math.abs(way)
          const dose = doseAt(model, titrant, target)
          fc.pre(dose !== null && dose.percent >= 0)
          const there = withDoses(model, [
            { key: adjuster.key, strengthPercent: titrant.strengthPercent, percent: dose!.percent },
          ])
          // What falls out of solution makes the curve flat, so the pH may stand still there for a while.
          expect(Math.abs(phOfModel(there).ph - target)).toBeLessThan(1e-3)
        },
      ),
    )
  })

  it('grows the further one goes, and charges balance at every step', () => {
    fc.assert(
      fc.property(anyFormula, (f) => {
        const model = modelOf(f)
        const titrant = titrantOf(model, 'sodium-hydroxide', 10)!
        const start = phOfModel(model).ph
        let before = 0
        for (let step = 0; step <= 8; step++) {
          const ph = Math.min(13, start + step * 0.5)
          const dose = doseAt(model, titrant, ph)
          if (!dose) break
          expect(dose.percent).toBeGreaterThanOrEqual(before - 1e-7)
          before = dose.percent
          const there = withDoses(model, [
            { key: 'sodium-hydroxide', strengthPercent: 10, percent: dose.percent },
          ])
          expect(Math.abs(balanceAt(there, ph).told)).toBeLessThan(1e-4)
        }
      }),
      { numRuns: 40 },
    )
  })

  it('comes out the same whether alkali goes in at once or in parts', () => {
    const model = modelOf(simple([['glycolic acid', 8]]))
    const once = withDoses(model, [{ key: 'sodium-hydroxide', strengthPercent: 10, percent: 9 }])
    const parts = withDoses(
      withDoses(model, [{ key: 'sodium-hydroxide', strengthPercent: 10, percent: 4 }]),
      [{ key: 'sodium-hydroxide', strengthPercent: 10, percent: 5 }],
    )
    expect(phOfModel(parts).ph).toBeCloseTo(phOfModel(once).ph, 9)
  })
})

describe('the curve', () => {
  const curveOf = (f: Formula, adjuster: string, strength: number, target: number) => {
    const model = phModelOf(assess(f))!
    const maxPercent = spanOf(model, adjuster, strength, target, 0)
    return phCurve({ model, adjuster, strengthPercent: strength, maxPercent })!
  }
  it('rises with alkali, falls with acid, and lies inside its band', () => {
    fc.assert(
      fc.property(anyFormula, fc.boolean(), (f, up) => {
        const start = assess(f).predictedPh!.value
        const c = curveOf(f, up ? 'sodium-hydroxide' : 'citric-acid', up ? 10 : 20, start + (up ? 1.5 : -1.5))
        c.ph.forEach((ph, i) => {
          expect(c.low[i]!).toBeLessThanOrEqual(ph)
          expect(c.high[i]!).toBeGreaterThanOrEqual(ph)
          if (i > 0) expect((up ? 1 : -1) * (ph - c.ph[i - 1]!)).toBeGreaterThan(-1e-9)
        })
        expect(c.ph[0]!).toBeCloseTo(start, 1)
      }),
      { numRuns: 25 },
    )
  })
  it('has a narrow band for a buffered acid, a wide one for an unbuffered toner, and is the same each time', () => {
    const width = (f: Formula) => {
      const c = curveOf(f, 'sodium-hydroxide', 10, 6.5)
      return c.high[0]! - c.low[0]!
    }
    const serum = simple([
      ['lactic acid', 5],
      ['sodium lactate', 5],
    ])
    const toner = simple([['glycerin', 3]])
    expect(width(serum)).toBeLessThan(0.6)
    expect(width(toner)).toBeGreaterThan(1.5)
    expect(curveOf(serum, 'arginine', 10, 5)).toEqual(curveOf(serum, 'arginine', 10, 5))
  })
  it('ends where a weak adjuster can do no more', () => {
    const model = modelOf(simple([['citric acid', 0.2]]))
    const bicarbonate = titrantOf(model, 'sodium-bicarbonate', 5)!
    expect(reachOf(model, bicarbonate)).toBeGreaterThan(7)
    expect(reachOf(model, bicarbonate)).toBeLessThan(8.7)
    expect(reachOf(model, titrantOf(model, 'sodium-hydroxide', 10)!)).toBeGreaterThan(12)
  })
})
