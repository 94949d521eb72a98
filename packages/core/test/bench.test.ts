// A batch at the table: what is weighed, what goes wrong, and what it really is in the end.
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  actualFormula,
  assess,
  batchToWeigh,
  findAll,
  foldBatch,
  lotUse,
  preDilution,
  refusal,
  tasksOf,
  type BatchEvent,
  type BatchEventBody,
} from '../src/index.ts'
import { expectedOf } from '../src/bench/contents.ts'
import { toleranceOf } from '../src/bench/tolerance.ts'
import { Making } from './bench-helpers.ts'
import { cream, simple, PRESERVED } from './helpers.ts'
import { OIL, SMALL, sum } from './bench-pieces.ts'

/** Anything that may happen to the cream, in any order. */
const anyHappening: fc.Arbitrary<BatchEventBody> = fc.oneof(
  fc.record({
    type: fc.constant('weigh' as const),
    line: fc.nat(6),
    grams: fc.double({ min: 0.01, max: 200, noNaN: true }),
  }),
  fc.record({
    type: fc.constant('take-out' as const),
    line: fc.nat(6),
    grams: fc.double({ min: 0, max: 50, noNaN: true }),
  }),
  fc.record({ type: fc.constant('accept' as const), line: fc.nat(6) }),
  fc.record({
    type: fc.constant('scale' as const),
    factor: fc.double({ min: 0.5, max: 2, noNaN: true }),
    lines: fc.constant<number[]>([0, 1, 2, 3, 4, 5, 6]),
    all: fc.boolean(),
  }),
  fc.record({ type: fc.constant('discard' as const), lines: fc.subarray([0, 1, 2, 3, 4, 5, 6]) }),
  fc.record({
    type: fc.constant('mass' as const),
    when: fc.constantFrom('before' as const, 'after' as const, 'batch' as const),
    grams: fc.double({ min: 0, max: 220, noNaN: true }),
  }),
  fc.record({ type: fc.constant('water' as const), grams: fc.double({ min: 0, max: 20, noNaN: true }) }),
  fc.record({
    type: fc.constant('dose' as const),
    material: fc.constantFrom('sodium-hydroxide', 'citric-acid'),
    strengthPercent: fc.constantFrom(10, 20),
    grams: fc.double({ min: 0.01, max: 3, noNaN: true }),
  }),
  fc.record({
    type: fc.constant('ph' as const),
    ph: fc.double({ min: 2, max: 10, noNaN: true }),
    method: fc.constant('strip' as const),
  }),
  fc.record({
    type: fc.constant('step' as const),
    how: fc.constantFrom('done' as const, 'skip' as const),
    reason: fc.constant('so'),
  }),
  fc.record({ type: fc.constant('undo' as const), of: fc.integer({ min: 1, max: 40 }) }),
  fc.record({
    type: fc.constant('temperature' as const),
    celsius: fc.double({ min: 0, max: 90, noNaN: true }),
  }),
)

describe('the steps of a batch', () => {
  it('weigh every line once, and in a method that lost its step, in one of their own', () => {
    const steps = new Making(SMALL).plan.steps
    const weighed = steps.flatMap((s) => s.lines.filter((l) => l.grams === null).map((l) => l.line))
    expect([...weighed].sort((a, b) => a - b)).toEqual([0, 1, 2, 3, 4, 5, 6])
    const hidden = { ...SMALL, method: { changes: { 'weigh-oil-B': { hidden: true } } } }
    const rest = new Making(hidden).plan.steps.find((s) => s.key === 'weigh-rest')!
    expect(rest.lines.map((l) => l.line)).toEqual([2, 3, 4, 5])
  })
  it('cool as the method says, from when that step begins, unless it is said to stand elsewhere', () => {
    const at = (cooling: 'air' | 'bath') =>
      new Making(cream({}, { batchGrams: 200, method: { choices: { cooling } } })).wait(7).upTo('cool')
    expect(at('bath').state.cooling).toEqual({ way: 'bath', since: 7 })
    expect(at('air').state.cooling?.way).toBe('air')
    expect(at('bath').wait(5).do({ type: 'cooling', way: 'air' }).state.cooling).toEqual({
      way: 'air',
      since: 12,
    })
  })
  it('part the water between steps: each asks for its own part, and all of it is weighed in the end', () => {
    const f = cream(
      { cool: [PRESERVED, ['niacinamide', 4], ['ascorbyl glucoside', 2]] },
      { batchGrams: 200, method: { choices: { cooling: 'cold-share' } } },
    )
    const m = new Making(f)
    const water = m.line('aqua')
    const of = (key: string) => {
      const { plan } = m.state
      const step = plan.steps.find((s) => s.key.startsWith(key))!
      return tasksOf(m.state, step).find((t) => t.line === water)!
    }
    const [cold, late] = [of('cold-'), of('weigh-cool')]
    const whole = m.of('aqua').target
    expect([cold.part, late.part, of('weigh-water').part]).toEqual([true, true, false])
    expect(of('weigh-water').left).toBeCloseTo(whole - cold.left - late.left, 6)
    m.do(
      { type: 'weigh', line: water, grams: cold.left },
      m.plan.steps.find((s) => s.key.startsWith('cold-'))!.key,
    )
    expect(of('cold-').done).toBe(true)
    expect(of('weigh-water').left).toBeCloseTo(whole - cold.left - late.left, 6)
    m.do(
      { type: 'weigh', line: water, grams: of('weigh-water').left },
      m.plan.steps.find((s) => s.key.startsWith('weigh-water'))!.key,
    )
    expect(of('weigh-water').done).toBe(true)
    expect([of('weigh-cool').done, of('weigh-cool').left]).toEqual([false, late.left])
    m.do(
      { type: 'weigh', line: water, grams: late.left },
      m.plan.steps.find((s) => s.key.startsWith('weigh-cool'))!.key,
    )
    expect(of('weigh-cool').done).toBe(true)
    expect(m.of('aqua').weighed).toBeCloseTo(whole, 6)
  })
  it('go on, back, and past what is left out for a reason', () => {
    const m = new Making(SMALL)
    m.done()
    expect(m.state.at).toBe(1)
    expect(refusal(m.state, { type: 'step', how: 'skip' })).toEqual({ code: 'skip-reason' })
    m.do({ type: 'step', how: 'skip', reason: 'no time' }).do({ type: 'step', how: 'go' }, 'prepare')
    expect(m.state.at).toBe(0)
    m.done()
    expect(m.state.at).toBe(2)
    expect([...m.state.marks.values()].map((x) => x.how)).toEqual(['done', 'skip'])
  })
})

describe('weighing', () => {
  it('has a band by what depends on the line, never finer than the scale', () => {
    expect(toleranceOf('critical', 2, 0.01)).toMatchObject({ low: 1.98, high: 2.02 })
    expect(toleranceOf('plain', 10, 0.1)).toMatchObject({ low: 9.5, high: 10.5 })
    expect(toleranceOf('critical', 0.5, 0.1)).toMatchObject({ low: 0.4, high: 0.6 })
  })
  it('never lets a tolerance pass a legal cap', () => {
    // Phenoxyethanol: 1.0 % at most, Regulation (EC) No 1223/2009, Annex V no. 29.
    const m = new Making(simple([['phenoxyethanol', 1]], { batchGrams: 100 }))
    expect(m.of('phenoxyethanol').high).toBe(1)
    expect(m.of('phenoxyethanol').low).toBe(0.99)
  })
  it('lets the q.s. line take what the others were off by', () => {
    const m = new Making(SMALL).done()
    m.weigh('glycerin', 8.2)
    expect(m.of('glycerin').status).toBe('fine')
    const others = sum(m.state.lines.filter((l) => l.index !== 0).map(expectedOf))
    expect(m.of('aqua').target + others).toBeCloseTo(200, 6)
    m.weigh('aqua', m.of('aqua').target)
    const settled = m.of('aqua').target
    m.do({ type: 'weigh', line: m.line(OIL), grams: 18 }).do({ type: 'accept', line: m.line(OIL) })
    expect(m.of('aqua').target).toBe(settled)
  })
  it('offers a dilution that both weighings stand, or the batch that is large enough', () => {
    const f = simple(
      [
        ['retinol', 0.02],
        ['tetrasodium edta', 0.05],
      ],
      { batchGrams: 100 },
    )
    const a = assess(f)
    const index = a.lines.findIndex((l) => l.id === 'tetrasodium-edta')
    const dilution = preDilution(a, index, 0.05)!
    expect(a.lines[dilution.carrier]!.id).toBe('aqua')
    expect(dilution.errorPercent).toBeLessThanOrEqual(5)
    expect(
      (dilution.useGrams * dilution.soluteGrams) / (dilution.soluteGrams + dilution.carrierGrams),
    ).toBeCloseTo(0.05, 9)
    // Smallest mass at 5 % on a 0.01 g scale: 0.196 g (0.98 d / 5 %; JCGM 100:2008, one step of repeatability).
    expect(batchToWeigh(100, 0.2, 0.01)).toBe(98)
  })
  it('offers no dilution of what would not dissolve in it', () => {
    // Allantoin: about 0.5 % in water at 25 °C (Merck Index, from memory).
    const a = assess(simple([['allantoin', 0.3]], { batchGrams: 60 }))
    expect(preDilution(a, 1, 0.18)).toBeNull()
  })
  it('counts a dilution on both lines and throws away the rest', () => {
    const m = new Making(simple([['tetrasodium edta', 0.05]], { batchGrams: 100 }))
    m.do({ type: 'dilution', line: 1, carrier: 0, soluteGrams: 0.5, carrierGrams: 4.5, usedGrams: 0.5 })
    expect(m.state.lines[1]!.weighed).toBeCloseTo(0.05, 9)
    expect(m.state.lines[0]!.weighed).toBeCloseTo(0.45, 9)
    expect(m.state.wasted).toBeCloseTo(4.5, 9)
  })
})

describe('what is entered', () => {
  it('is taken back as if it had not been, and gives its lot back', () => {
    const m = new Making(SMALL).upTo('weigh')
    m.do({ type: 'weigh', line: 1, grams: 80, lot: 'lot-1' })
    const n = m.events.length - 1
    expect(lotUse(m.events, { type: 'weigh', line: 1, grams: 80, lot: 'lot-1' })).toEqual({
      lot: 'lot-1',
      grams: 80,
    })
    expect(lotUse(m.events, { type: 'undo', of: n })).toEqual({ lot: 'lot-1', grams: -80, back: 2 })
    m.do({ type: 'undo', of: n })
    expect(m.of('glycerin')).toMatchObject({ weighed: 0, lots: [] })
    expect(refusal(m.state, { type: 'undo', of: n })).toEqual({ code: 'already-undone' })
  })
  it('is refused once the batch is finished, but for corrections', () => {
    const m = new Making(SMALL).upTo(null).do({ type: 'finish', outcome: 'kept', filledGrams: 190 })
    expect(refusal(m.state, { type: 'weigh', line: 1, grams: 1 })).toEqual({ code: 'finished' })
    expect(refusal(m.state, { type: 'correction', text: 'The oil was from the new bottle.' })).toBeNull()
  })
  it('keeps time from running backwards when a clock is set back', () => {
    const m = new Making(SMALL).wait(10).done()
    m.do({ type: 'timer', id: 't', title: 'Rest', minutes: 20 }).wait(-60).done()
    expect(m.state.minutes).toBe(10)
    const later = Date.parse(m.events.at(-1)!.at) + 5 * 60_000
    expect(m.state.elapsed.at(later)).toBeCloseTo(15, 9)
    expect(m.state.timers[0]).toMatchObject({ start: 10, end: 30 })
  })
  it('leaves out what was left out with its step', () => {
    const m = new Making(SMALL).upTo('ph').done()
    expect(m.state.plan.steps[m.state.at]!.key).toBe('preserve')
    m.do({ type: 'step', how: 'skip', reason: 'kept in the fridge' }).upTo(null)
    const codes = findAll(assess(actualFormula(m.state)!)).map((f) => f.code)
    expect(codes).toContain('preservative.missing')
  })
})

describe('whatever happens', () => {
  const make = (happenings: readonly BatchEventBody[]) => {
    const m = new Making(SMALL)
    for (const h of happenings) if (!refusal(m.state, h)) m.do(h)
    return m
  }
  it('weights and percents add up', () => {
    fc.assert(
      fc.property(fc.array(anyHappening, { maxLength: 40 }), (happenings) => {
        const { state } = make(happenings)
        for (const which of ['now', 'whole'] as const) {
          const f = actualFormula(state, which)
          if (!f) continue
          const grams = sum(f.phases.flatMap((p) => p.lines.map((l) => l.grams ?? 0)))
          expect(Math.abs(grams - f.batchGrams!)).toBeLessThan(1e-4)
          const a = assess(f)
          expect(Math.abs(sum(a.lines.map((l) => l.percent)) - 100)).toBeLessThan(
            Math.max(1e-3, 1e-2 / f.batchGrams!),
          )
          expect(f.phases.flatMap((p) => p.lines).every((l) => l.grams! > 0)).toBe(true)
        }
        expect(state.lines.every((l) => l.weighed >= 0 && l.low <= l.high + 1e-9)).toBe(true)
        expect(state.evaporated).toBeGreaterThanOrEqual(0)
        const weighed = state.lines.reduce((total, l) => total + l.weighed, 0) + state.wasted
        const poured = sum(
          state.events.filter((e) => !state.undone.has(e.n)).map((e) => (e.type === 'weigh' ? e.grams : 0)),
        )
        expect(Math.abs(weighed - poured)).toBeLessThan(1e-3)
      }),
      { numRuns: 120 },
    )
  })
  it('a batch that is read again is the same batch', () => {
    fc.assert(
      fc.property(fc.array(anyHappening, { maxLength: 40 }), fc.nat(40), (happenings, cut) => {
        const m = make(happenings)
        const plain = ({ elapsed: _e, plan: _p, ...s }: typeof m.state) =>
          JSON.parse(
            JSON.stringify(s, (_k, v: unknown) => (v instanceof Map || v instanceof Set ? [...v] : v)),
          ) as unknown
        const stored = JSON.parse(JSON.stringify(m.events)) as BatchEvent[]
        expect(plain(foldBatch(m.plan, stored))).toEqual(plain(m.state))
        // Read in two goes: what came before a crash and what came after.
        const first = stored.slice(0, Math.max(1, Math.min(cut, stored.length)))
        expect(foldBatch(m.plan, first).events.length).toBe(first.length)
        expect(plain(foldBatch(m.plan, [...first, ...stored.slice(first.length)]))).toEqual(plain(m.state))
      }),
      { numRuns: 80 },
    )
  })
})
