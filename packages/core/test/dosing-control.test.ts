import { doseText, landsText, handlingText, doseFaultText } from '../src/words/index.ts'
// One way to dose: the pH leaf and the step at the Bench ask the same controller.
import { describe, expect, it } from 'vitest'
import { assess, doseFault, dosingOf, phFormula, phStand, readFormula, type Formula } from '../src/index.ts'
import { type DoseChoice } from '../src/dosing/dosing.ts'
import { Making } from './bench-helpers.ts'
import { read } from './helpers.ts'

describe('one way to dose, at the desk and at the table', () => {
  const toner = (adjust: object[] = []): Formula =>
    readFormula(
      JSON.stringify({
        format: 'omblet-formula',
        formatVersion: 1,
        name: 'Slack Water toner',
        product: { kind: 'toner', site: 'face', rinse: 'leave-on', ageGroup: 'adult' },
        batchGrams: 200,
        targetPh: { min: 5, max: 5.4 },
        phases: [
          {
            name: 'Water',
            role: 'water',
            lines: [
              { material: 'water', fill: true },
              { material: 'lactic acid', percent: 0.4, strengthPercent: 90 },
              { material: 'niacinamide', percent: 3 },
            ],
          },
          ...(adjust.length > 0 ? [{ name: 'pH', role: 'adjust', lines: adjust }] : []),
        ],
      }),
    )
  const choice = { adjuster: null, strengthText: null }
  const at = (a: ReturnType<typeof assess>, chosen: Partial<DoseChoice> = {}, asPlanned = a) =>
    dosingOf(a, phStand(a), { ...choice, ...chosen }, asPlanned)

  it('what was weighed at the table is dosed as the leaf doses the same lines and log', () => {
    const making = new Making(toner()).upTo('ph').do({ type: 'ph', ph: 3.4, method: 'meter-direct' })
    const table = assess(phFormula(making.state)!)
    const desk = assess({ ...toner(), readings: [read(3.4)] })
    const [x, y] = [at(table, {}, making.plan.a), at(desk)]
    expect(x.adjuster).toBe(y.adjuster)
    expect(x.target).toEqual(y.target)
    expect(x.plan!.from).toBeCloseTo(y.plan!.from, 6)
    expect(x.plan!.percent).toBeCloseTo(y.plan!.percent, 3)
    const say = (g: number) => g.toFixed(2)
    expect(doseText(x.plan!, say)).toEqual(doseText(y.plan!, say))
    expect(landsText(x.plan!.first.lands)).toBe(landsText(y.plan!.first.lands))
  })
  it('takes what the formula plans where that goes the right way, then what went in last, then what is chosen', () => {
    const planned = assess(toner([{ material: 'triethanolamine', percent: 0.1, strengthPercent: 20 }]))
    const { formula } = new Making(planned.formula).upTo('ph').state.plan.a
    const before = assess({ ...toner(), readings: [read(3.4)] })
    expect(at(before).adjuster).toBe('sodium-hydroxide')
    expect(at(before, {}, assess(formula))).toMatchObject({ adjuster: 'triethanolamine', usualPercent: 20 })
    const sharp = assess({ ...toner(), readings: [read(7.5)] })
    expect(at(sharp, {}, assess(formula)).adjuster).toBe('citric-acid')
    const added = assess({
      ...toner(),
      readings: [read(3.4)],
      additions: [{ material: 'arginine', strengthPercent: 8, grams: 1, ofGrams: 200, afterReading: 1 }],
    })
    expect(at(added, {}, assess(formula))).toMatchObject({ adjuster: 'arginine', usualPercent: 8 })
    expect(at(added, { adjuster: 'potassium-hydroxide' }).adjuster).toBe('potassium-hydroxide')
  })
  it('says what is wrong with a strength or an amount, and plans nothing with it', () => {
    const a = assess({ ...toner(), readings: [read(3.4)] })
    for (const [text, said] of [
      ['', /how strong/],
      ['x', /in percent/],
      ['80', /dissolve/],
    ] as const) {
      const dosing = at(a, { adjuster: 'sodium-hydroxide', strengthText: text })
      expect('error' in dosing.strength && doseFaultText(dosing.strength.error)).toMatch(said)
      expect(dosing.planned).toBeNull()
    }
    expect(doseFault(null, 200)).toEqual({ code: 'no-dose' })
    expect(doseFault(250, 200)).toEqual({ code: 'more-than-batch' })
    expect(doseFault(0.3, 200)).toBeNull()
  })
  it('warns of lye and of acids, with the sentence that the method has', () => {
    expect(handlingText('sodium-hydroxide')!.then).toContain('never water onto lye')
    expect(handlingText('citric-acid')!.then).toMatch(/acid into water/)
    expect(handlingText('arginine')).toBeNull()
  })
})
