// What finished batches teach: each of its own, and together with their spread.
import { useWithinText } from '../src/words/index.ts'
import { describe, expect, it } from 'vitest'
import { fitCooling } from '../src/bench/cool-fit.ts'
import { headOf } from '../src/stability/head.ts'
import { inVessel, learn, taughtBy } from '../src/stability/learned.ts'
import { useWithin } from '../src/label/use-within.ts'
import { Container, fillFrom } from '../src/fill/containers.ts'
import { assess } from '../src/index.ts'
import { Making } from './bench-helpers.ts'
import { cream, simple, PRESERVED } from './helpers.ts'

const toner = { ...simple([['glycerin', 4], PRESERVED], { targetPh: { min: 5, max: 5.8 } }), batchGrams: 200 }
const finished = (filledGrams: number, container?: string) => {
  const m = new Making(toner)
  m.upTo(null)
  return m.do({ type: 'finish', outcome: 'kept', filledGrams, ...(container ? { container } : {}) })
}
const head = (m: Making, formulaId: string | null = 'f') =>
  headOf({ id: 'x', code: 'X', name: 'X', formulaId, who: '' }, m.state)

describe('what a batch teaches', () => {
  it('is what stayed on tools, by the container that it was filled into', () => {
    expect(taughtBy(finished(190).state).lossPercent).toBeCloseTo(5, 6)
    const heads = [head(finished(190, 'jar')), head(finished(194, 'jar')), head(finished(180, 'tube'))]
    const jar = learn(heads, 'loss', 'jar')!
    expect(jar.n).toBe(2)
    expect(jar.mean).toBeCloseTo(4, 6)
    expect(jar.sd).toBeCloseTo(Math.SQRT2, 6)
    expect([jar.least, jar.most].map((v) => Math.round(v))).toEqual([3, 5])
    expect(learn(heads, 'loss')!.n).toBe(3)
    expect(learn(heads, 'loss', 'spray')).toBeNull()
  })

  it('is the weight of a drop, from ten counted drops on', () => {
    const m = new Making(toner)
    m.upTo(null)
    const dose = (drops: number, grams: number) =>
      m.do({ type: 'dose', material: 'citric-acid', strengthPercent: 10, grams, drops })
    dose(6, 0.3)
    expect(taughtBy(m.state).dropGrams).toBeUndefined()
    dose(6, 0.27)
    expect(taughtBy(m.state).dropGrams).toBeCloseTo(0.0475, 6)
  })

  it('is how much slower one’s own beaker cools, and that makes one reading tell more', () => {
    const m = new Making(cream())
    m.upTo('cool')
    m.do({ type: 'room', celsius: 21 }).do({ type: 'cooling', way: 'air' })
    for (let t = 0; t <= 60; t += 10) {
      m.wait(t === 0 ? 0 : 10)
      m.do({ type: 'temperature', celsius: Number((21 + 50 * Math.exp(-0.02 * t)).toFixed(2)) })
    }
    m.upTo(null)
    const { slowness } = taughtBy(m.state)
    expect(slowness?.way).toBe('air')
    const one = [{ minutes: 0, celsius: 70 }]
    const plain = fitCooling(one, 40, 500, 'air', 21)
    const taught = fitCooling(one, 40, 500, 'air', 21, { mean: 1.5, sd: 0.1 })
    if (!('minutes' in plain) || !('minutes' in taught)) throw new Error('no time')
    expect(taught.minutes).toBeCloseTo(plain.minutes * 1.5, 6)
    expect((taught.high - taught.low) / taught.minutes).toBeLessThan((plain.high - plain.low) / plain.minutes)
  })

  it('is told of one vessel by its empty weight, and of all where that one taught nothing', () => {
    const heads = [
      {
        formulaId: 'f',
        startedAt: '2026-03-01',
        status: 'finished',
        taught: { slowness: { way: 'air' as const, times: 1.2 }, evaporatedPercent: 2, vesselGrams: 182.3 },
      },
      {
        formulaId: 'f',
        startedAt: '2026-03-02',
        status: 'finished',
        taught: { slowness: { way: 'air' as const, times: 1.8 }, evaporatedPercent: 5, vesselGrams: 240 },
      },
      {
        formulaId: 'f',
        startedAt: '2026-03-03',
        status: 'finished',
        taught: { slowness: { way: 'bath' as const, times: 0.9 } },
      },
    ]
    expect(learn(heads, 'cooling', 'air')).toMatchObject({ n: 2, mean: 1.5 })
    expect(learn(heads, 'cooling', inVessel('air', 182.9))).toMatchObject({ n: 1, mean: 1.2 })
    expect(learn(heads, 'cooling', inVessel('bath', 182.3))).toBeNull()
    expect(learn(heads, 'evaporation')).toMatchObject({ n: 2, mean: 3.5 })
    expect(learn(heads, 'evaporation', inVessel(null, 240.4))).toMatchObject({ n: 1, mean: 5 })
    const m = new Making(cream())
    const vessel = m.state.plan.steps.findLast((s) => s.kind === 'fill')!.vessel
    m.do({ type: 'vessel', vessel, tareGrams: 182.3 })
    m.upTo(null)
    expect(taughtBy(m.state).vesselGrams).toBe(182.3)
  })

  it('is how far the pH moved in its first week, by the meter only', () => {
    const m = finished(190)
    m.do({ type: 'keep', samples: [{ id: 'room', storage: 'room' }], looks: [] })
    const read = (days: number, value: number, way: 'meter' | 'strip' = 'meter') =>
      m.wait(days * 1440).do({ type: 'observe', sample: 'room', day: null, property: 'ph', value, way })
    read(1, 5.5)
    read(0, 6.5, 'strip')
    expect(taughtBy(m.state).phMoved).toBeUndefined()
    read(6, 5.3)
    expect(taughtBy(m.state).phMoved).toBeCloseTo(-0.2, 6)
    expect(learn([head(m)], 'drift', 'f')!.mean).toBeCloseTo(-0.2, 6)
    expect(learn([head(m, null)], 'drift', 'f')).toBeNull()
  })

  it('says how many jars a batch fills, closer than a guess', () => {
    const a = assess(cream())
    const jar = Container.parse({ id: 'j', name: 'Jar', kind: 'jar', nominalMl: 50, left: 9 })
    const [guess, taught] = [fillFrom(a, jar, 1000), fillFrom(a, jar, 1000, 0, { mean: 12, sd: 0.2 })]
    expect(taught.count).toBeLessThan(guess.count)
    expect(taught.high - taught.low).toBeLessThanOrEqual(guess.high - guess.low)
    const [one] = [fillFrom(a, jar, 1000, 0, { mean: 12, sd: null })]
    expect(one.high - one.low).toBeGreaterThanOrEqual(taught.high - taught.low)
  })

  it('can be forgotten: only batches that began later count', () => {
    const h = head(finished(190))
    expect(learn([h], 'loss', null, h.startedAt)).toBeNull()
    expect(learn([h], 'loss', null, '2020-01-01')!.n).toBe(1)
    expect(learn([{ ...h, status: 'discarded' }], 'loss')).toBeNull()
  })

  it('shortens how long the next is good where one had to be discarded', () => {
    const a = assess(cream())
    const plain = useWithin(a, { container: 'pump' })
    const watched = useWithin(a, { container: 'pump', failedMonths: 0.9 })
    expect(plain.closedMonths).toBeGreaterThan(1)
    expect(watched.closedMonths).toBe(0.9)
    expect(useWithinText(watched)).toContain('discarded after 27 days')
  })
})
