import { doseText, doseFaultText } from '../src/words/index.ts'
import { describe, expect, it } from 'vitest'
import { assess, phModelOf, type Formula } from '../src/index.ts'
import { planDose, type DosePlan } from '../src/dosing/plan.ts'
import { storiesOf } from '../src/dosing/stories.ts'
import { findingsOf, formula, phase, simple } from './helpers.ts'

const AIM = { min: 3.8, max: 3.8 }
const plan = (f: Formula, target = AIM, adjuster = 'sodium-hydroxide', strengthPercent = 10) => {
  const a = assess(f)
  return planDose(a, phModelOf(a)!, { target, adjuster, strengthPercent })
}
const planned = (f: Formula, target = AIM): DosePlan => {
  const found = plan(f, target)
  if (!('plan' in found)) throw new Error(JSON.stringify(found))
  return found.plan
}
/** 4 % lactic acid in water, 100 g. */
const lactic = (extra: Partial<Formula> = {}): Formula => ({
  ...formula(
    [
      phase('Water', 'water', [
        ['aqua', 'fill'],
        ['lactic acid', 4],
      ]),
    ],
    { batchGrams: 100 },
  ),
  ...extra,
})
const reads = (ph: number, method: 'strip' | 'meter-direct' | 'meter-10pct' = 'meter-direct') => ({
  ph,
  method,
})

describe('a reading that does not fit the formula', () => {
  // Worked by hand for lactic acid 4 %, predicted about 2.1, meter 3.4, aim 3.8 with 10 % lye: needs 9.6 and 4.1 g.
  const doubted = lactic({ readings: [reads(3.4)] })

  it('is told by three stories, of which none is believed yet', () => {
    const s = storiesOf(assess(doubted))!
    expect(s.right).toBeLessThan(0.01)
    expect(s.meter).toBeGreaterThan(0.35)
    expect(s.meter).toBeLessThan(0.5)
    expect(s.formula).toBeCloseTo(1 - s.meter, 2)
  })
  it('starts with half of the smaller need', () => {
    const p = planned(doubted)
    expect(p.first.grams).toBeGreaterThan(1.8)
    expect(p.first.grams).toBeLessThan(2.3)
    expect(p.lowGrams).toBeLessThan(4.2)
    expect(p.highGrams).toBeGreaterThan(9)
    expect(p.first.lands.low).toBeLessThan(3)
    expect(p.first.lands.high).toBeGreaterThan(3.5)
    expect(doseText(p, String).doubt).toContain('the next reading decides')
  })
  it('tells by the change after a known dose that the meter was off', () => {
    const after = lactic({
      readings: [reads(3.4), reads(4.2)],
      additions: [
        { material: 'sodium hydroxide', strengthPercent: 10, grams: 2.05, ofGrams: 100, afterReading: 1 },
      ],
    })
    expect(storiesOf(assess(after))!.meter).toBeGreaterThan(0.8)
    // the recipe needs 9.6 g in all, of which 2 are in
    const p = planned(after)
    expect(p.doubt).toBeUndefined()
    expect(p.grams).toBeGreaterThan(6.8)
    expect(p.grams).toBeLessThan(8.4)
  })
  it('or that the formula was', () => {
    const after = lactic({
      readings: [reads(3.4), reads(3.6)],
      additions: [
        { material: 'sodium hydroxide', strengthPercent: 10, grams: 2.05, ofGrams: 100, afterReading: 1 },
      ],
    })
    expect(storiesOf(assess(after))!.formula).toBeGreaterThan(0.8)
    const p = planned(after)
    expect(p.grams).toBeGreaterThan(1.2)
    expect(p.grams).toBeLessThan(2.8)
  })
  it('is believed when another way of reading agrees', () => {
    const s = storiesOf(assess(lactic({ readings: [reads(3.4), reads(3.5, 'strip')] })))!
    expect(s.meter).toBeLessThan(0.15)
  })
  it('gets no dose where the two ask for opposite corrections', () => {
    const f = lactic({ readings: [reads(4.6)] })
    const found = plan(f)
    expect('fault' in found && doseFaultText(found.fault)).toMatch(
      /different corrections.*no dose.*buffers 4 and 7/,
    )
  })
  it('never gets a first dose that either story would call too much', () => {
    // predicted about 7, the meter shows 4.6, aim 5.5: 0.6 g would do
    const f = simple(
      [
        ['glycerin', 4],
        ['sodium lactate', 2],
        ['niacinamide', 4],
      ],
      {
        batchGrams: 100,
        targetPh: { min: 5.3, max: 5.7 },
        readings: [reads(4.6)],
      },
    )
    const found = plan(f, f.targetPh)
    if ('plan' in found) {
      expect(found.plan.first.grams).toBeLessThanOrEqual(found.plan.lowGrams)
      expect(found.plan.first.overshoot).toBeLessThan(0.5)
    } else expect(found).toHaveProperty('fault')
  })
  it('goes on as usual where it fits', () => {
    const p = planned(lactic({ readings: [reads(2.1)] }))
    expect(p.doubt).toBeUndefined()
    expect(p.first.grams).toBeCloseTo(p.lowGrams / 2, 1)
  })
})

describe('what was logged before a reading', () => {
  const logged = (grams: number, ph: number) =>
    lactic({
      readings: [reads(ph)],
      additions: [
        { material: 'sodium hydroxide', strengthPercent: 10, grams, ofGrams: 100, afterReading: 0 },
      ],
    })
  it('counts before the reading is doubted', () => {
    // 9.6 g of 10 % lye bring 4 % lactic acid to about 3.8
    expect(findingsOf(logged(9.6, 3.8)).map((x) => x.code)).not.toContain('ph.reading-implausible')
    expect(findingsOf(lactic({ readings: [reads(3.8)] })).map((x) => x.code)).toContain(
      'ph.reading-implausible',
    )
  })
  it('is in the predicted pH', () => {
    const { readings: _r, ...unread } = logged(9.6, 3.8)
    expect(assess(unread).predictedPh!.value).toBeGreaterThan(3.6)
    expect(assess(unread).predictedPh!.value).toBeLessThan(4)
    expect(assess(lactic()).predictedPh!.value).toBeLessThan(2.3)
  })
  it('is left out of what a reading before it is compared with', () => {
    const f = lactic({
      readings: [reads(2.1)],
      additions: [
        { material: 'sodium hydroxide', strengthPercent: 10, grams: 9.6, ofGrams: 100, afterReading: 1 },
      ],
    })
    expect(assess(f).predictedAtReading!.value).toBeLessThan(2.3)
    expect(findingsOf(f).map((x) => x.code)).not.toContain('ph.reading-implausible')
  })
})
