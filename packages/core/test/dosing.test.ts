// Learning from readings and planning a dose.
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  assess,
  effectsOfDose,
  phModelOf,
  phNow,
  phOfModel,
  targetFault,
  withDoses,
  type Formula,
  type Reading,
} from '../src/index.ts'
import { ADJUSTERS } from '../src/ph/adjusters.ts'
import { doseAt, titrantOf } from '../src/dosing/titrate.ts'
import { planDose } from '../src/dosing/plan.ts'
import { toldModel } from '../src/dosing/model.ts'
import { anyFormula, formula, phase, read, simple } from './helpers.ts'

const modelOf = (f: Formula) => toldModel(assess(f))!

describe('learning from readings', () => {
  /** A formula with an extract that is more acid, and buffers more, than anyone wrote down. */
  const hiddenAcid = (percent: number) =>
    simple([
      [
        'Kelp extract',
        percent,
        {
          custom: {
            inci: ['Laminaria Digitata Extract'],
            acidBase: { molarMass: 120, pKa: [4.4, 5.6, 6.8], chargeFullyProtonated: 0, counterIonCharge: 1 },
          },
        },
      ],
      ['lactic acid', 0.3],
    ])
  const truth = modelOf(hiddenAcid(1.5))
  const phAfter = (percent: number) =>
    phOfModel(withDoses(truth, [{ key: 'sodium-hydroxide', strengthPercent: 10, percent }])).ph
  const added = (grams: number, afterReading: number) => ({
    material: 'sodium hydroxide',
    strengthPercent: 10,
    grams,
    ofGrams: 1000,
    afterReading,
  })
  const believed = simple([
    ['Kelp extract', 1.5, { custom: { inci: ['Laminaria Digitata Extract'] } }],
    ['lactic acid', 0.3],
  ])
  const doseFor = (f: Formula, target: number) => {
    const a = assess(f)
    const planned = planDose(a, phModelOf(a)!, {
      target: { min: target, max: target },
      adjuster: 'sodium-hydroxide',
      strengthPercent: 10,
    })
    if (!('plan' in planned)) throw new Error(JSON.stringify(planned))
    return planned.plan
  }
  const exact = doseAt(truth, titrantOf(truth, 'sodium-hydroxide', 10)!, 5.5)!.percent * 10

  it('one reading puts the start right', () => {
    const a = assess({ ...believed, readings: [read(phAfter(0))] })
    const now = phNow(a, phModelOf(a)!)
    expect(now.value).toBeCloseTo(phAfter(0), 1)
    expect(now.low).toBeLessThanOrEqual(phAfter(0))
    expect(now.high).toBeGreaterThanOrEqual(phAfter(0))
    expect(a.predictedPh!.value).toBeLessThan(phAfter(0) - 0.4)
  })

  it('readings after known additions find the buffer that nobody wrote down', () => {
    const first = doseFor({ ...believed, readings: [read(phAfter(0))] }, 5.5)
    const later = doseFor(
      {
        ...believed,
        readings: [read(phAfter(0)), read(phAfter(0.2)), read(phAfter(0.4))],
        additions: [added(2, 1), added(2, 2)],
      },
      5.5,
    )
    const left = exact - 4
    expect(Math.abs(later.grams - left)).toBeLessThan(Math.abs(first.grams - exact))
    expect(Math.abs(later.grams - left) / left).toBeLessThan(0.35)
    expect(later.lowGrams).toBeLessThan(left)
    expect(later.highGrams).toBeGreaterThan(left)
    const model = phModelOf(
      assess({
        ...believed,
        readings: [read(phAfter(0)), read(phAfter(0.2)), read(phAfter(0.4))],
        additions: [added(2, 1), added(2, 2)],
      }),
    )!
    expect(model.hidden.buffer).toBeGreaterThan(0.002)
  })

  it('a titrated portion teaches the same', () => {
    const steps = [0, 0.04, 0.08].map((grams) => ({
      grams,
      ph: phAfter((100 * grams) / 20),
      method: 'meter-direct' as const,
    }))
    const f = {
      ...believed,
      portion: { grams: 20, material: 'sodium hydroxide', strengthPercent: 10, steps },
    }
    const a = assess(f)
    const model = phModelOf(a)!
    expect(model.fitted).toBe(true)
    expect(model.hidden.buffer).toBeGreaterThan(0.002)
  })

  it('a strip leaves more open than a meter', () => {
    const band = (method: Reading['method']) => {
      const a = assess(
        simple(
          [
            ['lactic acid', 2],
            ['sodium lactate', 2],
          ],
          { readings: [read(3.7, method)] },
        ),
      )
      const now = phNow(a, phModelOf(a)!)
      return now.high - now.low
    }
    expect(band('strip')).toBeGreaterThan(2 * band('meter-direct'))
    expect(band('meter-10pct')).toBeGreaterThan(band('meter-direct'))
  })

  it('stands where it was read last, with room on both sides', () => {
    fc.assert(
      fc.property(anyFormula, fc.double({ min: 3, max: 9, noNaN: true }), (f, ph) => {
        const a = assess({ ...f, readings: [read(ph)] })
        const now = phNow(a, phModelOf(a)!)
        expect(now.value).toBeCloseTo(ph, 3)
        expect(now.low).toBeLessThan(ph - 0.09)
        expect(now.high).toBeGreaterThan(ph + 0.09)
        expect(now.high - now.low).toBeLessThan(0.5)
      }),
      { numRuns: 60 },
    )
  })

  it('agrees with a reading that the recipe already explains', () => {
    fc.assert(
      fc.property(anyFormula, (f) => {
        const at = phOfModel(modelOf(f)).ph
        fc.pre(at > 2.5 && at < 10)
        const a = assess({ ...f, readings: [read(at)] })
        expect(phNow(a, phModelOf(a)!).value).toBeCloseTo(at, 2)
      }),
      { numRuns: 40 },
    )
  })

  it('counts what went in after the last reading', () => {
    const f = { ...believed, readings: [read(4)], additions: [added(3, 1)] }
    const a = assess(f)
    const now = phNow(a, phModelOf(a)!)
    expect(now.from).toBe('reading and additions')
    expect(now.value).toBeGreaterThan(4.2)
  })
})

describe('whatever the log holds', () => {
  const anyAddition = fc.record({
    material: fc.constantFrom(
      'sodium hydroxide',
      'citric acid',
      'triethanolamine',
      'moon dust',
      'sodium bicarbonate',
    ),
    strengthPercent: fc.double({ min: 0.01, max: 100, noNaN: true }),
    grams: fc.double({ min: 1e-6, max: 1e5, noNaN: true }),
    ofGrams: fc.double({ min: 0.1, max: 1e6, noNaN: true }),
    afterReading: fc.nat(6),
    inFormula: fc.boolean(),
  })
  const anyReading = fc.record({
    ph: fc.double({ min: 0, max: 14, noNaN: true }),
    method: fc.constantFrom('strip' as const, 'meter-direct' as const, 'meter-10pct' as const),
  })
  it('figures are figures, or there is a sentence', () => {
    fc.assert(
      fc.property(
        anyFormula,
        fc.array(anyReading, { maxLength: 5 }),
        fc.array(anyAddition, { maxLength: 5 }),
        fc.option(
          fc.record({
            grams: fc.double({ min: 0.1, max: 100, noNaN: true }),
            material: fc.constantFrom('sodium hydroxide', 'nothing known'),
            strengthPercent: fc.double({ min: 0.1, max: 100, noNaN: true }),
            steps: fc.array(
              fc.record({
                grams: fc.double({ min: 0, max: 50, noNaN: true }),
                ph: fc.double({ min: 0, max: 14, noNaN: true }),
                method: fc.constant('meter-direct' as const),
              }),
              { maxLength: 3 },
            ),
          }),
          { nil: undefined },
        ),
        fc.tuple(
          fc.double({ min: -5, max: 20, noNaN: true }),
          fc.constantFrom(...ADJUSTERS),
          fc.double({ min: -1, max: 130, noNaN: true }),
        ),
        (f, readings, additions, portion, [aim, adjuster, strengthPercent]) => {
          const a = assess({ ...f, readings, additions, ...(portion ? { portion } : {}) })
          const model = phModelOf(a)
          if (!model) return
          const now = phNow(a, model)
          for (const n of [now.value, now.low, now.high]) {
            expect(n).toBeGreaterThanOrEqual(0)
            expect(n).toBeLessThanOrEqual(14)
          }
          expect(now.low).toBeLessThanOrEqual(now.high)
          const planned = planDose(a, model, {
            target: { min: aim, max: aim },
            adjuster: adjuster.key,
            strengthPercent,
          })
          if ('fault' in planned) expect(planned.fault).toMatch(/\.$/)
          if (!('plan' in planned)) return
          const { plan } = planned
          for (const n of [plan.grams, plan.lowGrams, plan.highGrams, plan.first.lands.ph, plan.overshoot])
            expect(Number.isFinite(n) && n >= 0).toBe(true)
          expect(plan.lowGrams).toBeLessThanOrEqual(plan.highGrams)
        },
      ),
      { numRuns: 60 },
    )
  })
})

describe('a plan', () => {
  const serum = simple([['glycolic acid', 10, { strengthPercent: 100 }]], { batchGrams: 250 })
  const planFor = (
    f: Formula,
    target: { min: number; max: number },
    adjuster = 'sodium-hydroxide',
    strength = 10,
    dropGrams?: number,
  ) => {
    const a = assess(f)
    return planDose(a, phModelOf(a)!, { target, adjuster, strengthPercent: strength, dropGrams })
  }
  it('goes 60 % of the way first, says where that lands and how likely it goes too far', () => {
    const planned = planFor(serum, { min: 3.7, max: 3.9 })
    if (!('plan' in planned)) throw new Error('no plan')
    const { plan } = planned
    expect(plan.first.grams / plan.grams).toBeCloseTo(0.6, 2)
    expect(plan.first.lands.ph).toBeGreaterThan(plan.from)
    expect(plan.first.lands.ph).toBeLessThan(3.8)
    expect(plan.first.overshoot).toBeLessThan(plan.overshoot + 1e-9)
    expect(plan.lowGrams).toBeLessThan(plan.grams)
    expect(plan.highGrams).toBeGreaterThan(plan.grams)
    expect(plan.how).toBe('weigh')
  })
  it('counts drops by the twenty that were weighed', () => {
    const planned = planFor(
      simple([['lactic acid', 0.1]], { batchGrams: 50, scaleResolutionGrams: 0.1 }),
      { min: 5, max: 5 },
      'sodium-hydroxide',
      10,
      0.04,
    )
    if (!('plan' in planned)) throw new Error('no plan')
    expect(planned.plan.drops.calibrated).toBe(true)
    expect(planned.plan.drops.count).toBe(Math.round(planned.plan.percent / 2 / 0.04))
    expect(planned.plan.how).toBe('drops')
  })
  it('warns that an unbuffered toner is easily overshot', () => {
    const planned = planFor(
      simple([['glycerin', 3]], { batchGrams: 200 }),
      { min: 7, max: 7.4 },
      'sodium-hydroxide',
      1,
    )
    if (!('plan' in planned)) throw new Error(JSON.stringify(planned))
    expect(planned.plan.overshoot).toBeGreaterThan(0.2)
  })
  it.each<[string, Parameters<typeof planFor>, RegExp, string?, number?]>([
    ['pH 0', [serum, { min: 0, max: 0 }], /would burn.*at least 2/],
    ['pH 14', [serum, { min: 14, max: 14 }], /would burn.*at most 11/],
    ['no strength', [serum, { min: 4, max: 4 }, 'sodium-hydroxide', 0], /0 % is water/],
    ['120 %', [serum, { min: 4, max: 4 }, 'sodium-hydroxide', 120], /cannot be above 100 %/],
    [
      'more than dissolves',
      [serum, { min: 4, max: 4 }, 'sodium-bicarbonate', 30],
      /Only 8 % of sodium bicarbonate/,
    ],
    ['too weak', [serum, { min: 9, max: 9 }, 'sodium-citrate', 20], /at most/, 'sodium-hydroxide', 50],
    [
      'the wrong way',
      [serum, { min: 4, max: 4 }, 'citric-acid', 20],
      /must go up; citric acid takes it down/,
      'sodium-hydroxide',
      10,
    ],
  ])('says what to do instead: %s', (_name, args, sentence, adjuster, strength) => {
    const planned = planFor(...args)
    if (!('fault' in planned)) throw new Error('no fault')
    expect(planned.fault).toMatch(sentence)
    expect(planned.instead).toEqual(
      adjuster === undefined ? undefined : { adjuster, strengthPercent: strength },
    )
  })
  it('knows which way a salt that is no usual adjuster goes', () => {
    const sour = assess(simple([['lactic acid', 1]]))
    const sharp = assess(simple([['sodium bicarbonate', 0.2]]))
    const dose = (a: typeof sour, ph: number, key: string) =>
      planDose(a, phModelOf(a)!, { target: { min: ph, max: ph }, adjuster: key, strengthPercent: 100 })
    expect(dose(sour, 4, 'disodium-phosphate')).toHaveProperty('plan.direction', 'up')
    expect(dose(sharp, 7, 'monosodium-citrate')).toHaveProperty('plan.direction', 'down')
    expect(dose(sour, 2, 'hydrochloric-acid')).toHaveProperty('plan.direction', 'down')
  })
  it('is done when the product stands in the target', () => {
    const planned = planFor({ ...serum, readings: [read(3.8)] }, { min: 3.7, max: 3.9 })
    expect(planned).toHaveProperty('there')
  })
  it('has no model without water', () => {
    expect(phModelOf(assess(formula([phase('Oil', 'oil', [['squalane', 100]])])))).toBeNull()
    expect(targetFault({ min: 4, max: 5 })).toBeNull()
  })
  it('tells what else the dose changes', () => {
    const a = assess(
      simple([
        ['sodium citrate', 1],
        ['lactic acid', 2],
      ]),
    )
    const model = phModelOf(a)!
    const effects = effectsOfDose(a, model, { key: 'citric-acid', strengthPercent: 50, percent: 2 })
    const of = (words: RegExp) => effects.find((e) => words.test(e.label))!
    expect(of(/q\.s\./).before - of(/q\.s\./).after).toBeCloseTo(2, 9)
    // 1 % trisodium citrate dihydrate is 0.653 % citric acid by molar masses; another 1 % goes in.
    expect(of(/Citric Acid/).before).toBeCloseTo(192.12 / 294.1, 3)
    expect(of(/Citric Acid/).after - of(/Citric Acid/).before).toBeCloseTo(1, 9)
  })
})
