import { doseFaultText, doseEffectText } from '../src/words/index.ts'
// The next dose: how much, how it is measured out, and where it lands.
import { describe, expect, it } from 'vitest'
import { assess, effectsOfDose, phModelOf, targetFault, type Formula } from '../src/index.ts'
import { planDose } from '../src/dosing/plan.ts'
import { doseTo, formula, phase, read, simple } from './helpers.ts'

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
  it('begins with half of the least that may be needed, says where that lands and how likely it goes too far', () => {
    const planned = planFor(serum, { min: 3.7, max: 3.9 })
    if (!('plan' in planned)) throw new Error('no plan')
    const { plan } = planned
    expect(plan.first.grams).toBeCloseTo(plan.lowGrams / 2, 1)
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
    ['pH 0', [serum, { min: 0, max: 0 }], /pH 0 burns skin.*3\.5 or higher/],
    ['pH 14', [serum, { min: 14, max: 14 }], /pH 14 burns skin.*8 or lower/],
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
    expect(doseFaultText(planned.fault)).toMatch(sentence)
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
    const { grams } = doseTo(assess(serum), 3.8, 'sodium-hydroxide', 10)
    const ofGrams = assess(serum).amounts.batchGrams
    const added = { material: 'sodium hydroxide', strengthPercent: 10, grams, ofGrams, afterReading: 0 }
    const planned = planFor({ ...serum, readings: [read(3.8)], additions: [added] }, { min: 3.7, max: 3.9 })
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
    const of = (words: RegExp) => effects.find((e) => words.test(doseEffectText(e)))!
    expect(of(/q\.s\./).before - of(/q\.s\./).after).toBeCloseTo(2, 9)
    // 1 % trisodium citrate dihydrate is 0.653 % citric acid by molar masses; another 1 % goes in.
    expect(of(/Citric Acid/).before).toBeCloseTo(192.12 / 294.1, 3)
    expect(of(/Citric Acid/).after - of(/Citric Acid/).before).toBeCloseTo(1, 9)
  })
})
