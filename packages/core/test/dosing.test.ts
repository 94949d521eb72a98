import { doseFaultText } from '../src/words/index.ts'
// Learning from readings and planning a dose.
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { assess, phModelOf, phNow, phOfModel, withDoses, type Formula, type Reading } from '../src/index.ts'
import { ADJUSTERS } from '../src/ph/adjusters.ts'
import { doseAt, titrantOf } from '../src/dosing/titrate.ts'
import { planDose } from '../src/dosing/plan.ts'
import { toldModel } from '../src/dosing/model.ts'
import { anyFormula, read, simple } from './helpers.ts'

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
    expect(now.from).toBe('reading-and-additions')
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
          if ('fault' in planned) expect(doseFaultText(planned.fault)).toMatch(/\.$/)
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
