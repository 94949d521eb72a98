import { recordFacts, recordReadings, noWeightText } from '../src/words/index.ts'
// What a screen of the Bench or of the pH tells, worked out before it is drawn.
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  assess,
  curveToDraw,
  formulaToMake,
  frameOf,
  isUntared,
  largerBatch,
  lettingGo,
  netOf,
  phCurve,
  phModelOf,
  readingsOnCurve,
  recordRows,
  smallWeighings,
  takenOf,
  whyNoWeight,
} from '../src/index.ts'
import { Making } from './bench-helpers.ts'
import { cream, formula, phase } from './helpers.ts'

const SMALL = cream({}, { batchGrams: 200, targetPh: { min: 5, max: 5.6 } })
const plain = (text: string) => text.replaceAll('\u202f', ' ')
const clock = (iso: string) => iso.slice(11, 16)

describe('the record of a batch', () => {
  it('names for each line what was wanted, weighed and how it ended', () => {
    const m = new Making(SMALL).upTo('weigh')
    m.weigh('glycerin', 9.6).do({ type: 'accept', line: m.line('glycerin') })
    const rows = recordRows(m.state)
    expect(rows).toHaveLength(m.plan.a.lines.length)
    expect(rows[m.line('glycerin')]).toMatchObject({ target: 8, weighed: 9.6, state: 'left-so', designed: 4 })
    expect(rows.find((r) => r.weighed === 0 && r.target > 0)!.state).toBe('not-weighed')
  })
  it('of a whole batch has shares that sum to 100 %', () => {
    const m = new Making(SMALL).upTo(null)
    expect(recordRows(m.state).reduce((sum, r) => sum + r.percent, 0)).toBeCloseTo(100, 6)
  })
  it('says what was filled once it was, and that water was not measured where it was not', () => {
    const m = new Making(SMALL).upTo(null)
    const facts = () => new Map(recordFacts(m.state, '', clock).map((f) => [f.label, plain(f.value)]))
    expect(facts().get('Made by')).toBe('–')
    expect(facts().has('Filled')).toBe(false)
    m.do({ type: 'finish', outcome: 'kept', filledGrams: 188, containers: 4 })
    expect(facts().get('Filled')).toBe('188.00 g, 94 % in 4 containers')
    expect(facts().get('Water loss')).toBe('not measured')
  })
  it('shows of a row of temperatures the first and the last', () => {
    const m = new Making(SMALL)
    for (const celsius of [70, 68, 66, 64]) m.do({ type: 'temperature', celsius }, 'x')
    m.do({ type: 'ph', ph: 5.2, method: 'strip' }, 'x').do({ type: 'temperature', celsius: 30 }, 'x')
    expect(recordReadings(m.state).map((r) => r.value)).toEqual([70, 64, 5.2, 30])
  })
  it('leaves out readings that were taken back', () => {
    const m = new Making(SMALL).do({ type: 'ph', ph: 9, method: 'strip' })
    m.do({ type: 'undo', of: m.events.length - 1 })
    expect(recordReadings(m.state)).toEqual([])
  })
})

describe('the start of a batch', () => {
  it('takes the amounts at the new size, and no reading of the sheet along', () => {
    const made = formulaToMake(
      { ...SMALL, readings: [{ ph: 5, method: 'strip', at: '2026-11-01T08:00:00.000Z' }] },
      500,
    )
    expect(made.batchGrams).toBe(500)
    expect(made.readings).toBeUndefined()
    expect(assess(made).lines[1]!.grams).toBeCloseTo(assess(SMALL).lines[1]!.grams * 2.5, 6)
  })
  it('warns of weighings that the scale tells badly, with the batch from which on it tells them', () => {
    const tiny = formula(
      [
        phase('Water', 'water', [
          ['aqua', 'fill'],
          ['glycerin', 4],
          ['xanthan gum', 0.1],
        ]),
      ],
      { batchGrams: 50, scale: { resolutionGrams: 0.1 } },
    )
    const a = assess(tiny)
    const small = smallWeighings(a)
    expect(small.map((s) => s.label.toLowerCase())).toContain('xanthan gum')
    const gum = small.find((s) => /xanthan/i.test(s.label))!
    expect(smallWeighings(assess(formulaToMake(tiny, gum.batch * 1.01))).map((s) => s.label)).not.toContain(
      gum.label,
    )
  })
  it('offers a larger batch where that helps, and none where it is far off or not needed', () => {
    const a = assess(SMALL)
    const { resolutionGrams } = a.amounts
    expect(largerBatch(a, 200, 100)).toBeNull()
    expect(largerBatch(a, 200, resolutionGrams / 10)).toBeNull()
    const some = largerBatch(a, 200, resolutionGrams * 10)!
    expect(some.total).toBe(Math.ceil(some.total))
    expect(some.factor * 200).toBeCloseTo(some.total, 9)
  })
})

describe('what a scale shows', () => {
  const m = new Making(SMALL).upTo('weigh')
  const step = m.state.plan.steps[m.state.at]!.key
  const shown = (value: number, steady = true) => ({ value, steady })
  it('counts for nothing before it was tared in this step', () => {
    expect(isUntared(m.state, step)).toBe(true)
    expect(netOf(m.state, step, shown(120))).toBeNull()
    expect(noWeightText(whyNoWeight(shown(120), null, 0.01))).toContain('press tare first')
  })
  it('is counted from the tare on, in counts of the scale', () => {
    const tared = new Making(SMALL).upTo('weigh').do({ type: 'tare', gross: 120.4 }, step)
    expect(netOf(tared.state, step, shown(128.4071))).toBe(8.01)
    expect(netOf(tared.state, 'another step', shown(128.4))).toBeNull()
  })
  it.each([
    [null, null, 'Type the weight'],
    [shown(100), -3, 'shows less than at the last tare'],
    [shown(120), 0, 'Nothing was poured'],
    [shown(120, false), 0, 'Wait until'],
  ] as const)('%j, %s net: says what to do', (s, net, words) =>
    expect(noWeightText(whyNoWeight(s, net, 0.01))).toContain(words),
  )
})

describe('the drawing of a titration', () => {
  const acid = formula(
    [
      phase('Water', 'water', [
        ['aqua', 'fill'],
        ['lactic acid', 2],
      ]),
    ],
    { batchGrams: 100 },
  )
  const model = phModelOf(assess(acid))!
  const hand = { key: 'sodium-hydroxide', strengthPercent: 10 }
  it('ends on a round figure of grams beyond the aim', () => {
    const request = curveToDraw(acid, model, hand, 4.5, 100)
    const curve = phCurve(request)!
    expect(curve.ph.at(-1)!).toBeGreaterThan(4.5)
    expect(Number(((request.maxPercent * 100) / 100).toPrecision(3))).toBeCloseTo(request.maxPercent, 9)
  })
  it('counts what was added in the strength that is in hand', () => {
    const added = {
      ...acid,
      additions: [
        { material: 'sodium hydroxide', strengthPercent: 20, grams: 1, ofGrams: 100, afterReading: 0 },
      ],
    }
    expect(takenOf(added, hand)).toBeCloseTo(2, 9)
    expect(takenOf(acid, hand)).toBe(0)
  })
  it('places a reading where its additions are, and leaves out one that another adjuster made untrue', () => {
    const at = '2026-11-01T08:00:00.000Z'
    const read = { ...acid, readings: [{ ph: 2.4, method: 'meter-direct' as const, at }] }
    expect(readingsOnCurve(read, model, hand, 100)).toEqual([{ grams: 0, ph: 2.4 }])
    const other = {
      ...read,
      additions: [
        { material: 'triethanolamine', strengthPercent: 50, grams: 1, ofGrams: 100, afterReading: 1 },
      ],
    }
    expect(readingsOnCurve(other, model, hand, 100)).toEqual([])
  })
  it('shows start, target and readings, between 0 and 14, in ticks of half, one or two', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.5, max: 13.5, noNaN: true }), { minLength: 2, maxLength: 20 }),
        fc.option(fc.double({ min: 1, max: 12, noNaN: true })),
        fc.array(fc.double({ min: 0.5, max: 13.5, noNaN: true }), { maxLength: 4 }),
        (ph, aim, readings) => {
          const target = aim === null ? null : { min: aim - 0.2, max: aim + 0.2 }
          const { low, high, ticks } = frameOf(ph, target, readings)
          for (const seen of [ph[0]!, ...readings, ...(target ? [target.min, target.max] : [])]) {
            expect(seen).toBeGreaterThanOrEqual(low)
            expect(seen).toBeLessThanOrEqual(high)
          }
          expect([0.5, 1, 2]).toContain(Number(((high - low) / ticks).toFixed(6)))
        },
      ),
    )
  })
  it('names what lets go first on each side, of what holds a window', () => {
    const items = assess(
      cream({ cool: [['benzyl alcohol, dehydroacetic acid', 0.8]] }, { targetPh: { min: 5, max: 5.5 } }),
    ).ph.items
    const { low, high } = lettingGo(items)
    const holds = items.filter((i) => i.grade === 'holds')
    expect(high!.max).toBe(Math.min(...holds.map((i) => i.max)))
    expect(low!.min).toBe(Math.max(...holds.map((i) => i.min)))
    expect(lettingGo([])).toEqual({ low: null, high: null })
  })
})
