import { coolFaultText } from '../src/words/index.ts'
// Cooling from readings, instruments that speak in lines, and the simulated bench against the laws it stands for.
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  DEFAULT_SERIAL,
  fitCooling,
  Follower,
  LineCutter,
  readLine,
  SimBench,
  SIMULATED,
  stirEvery,
  type CoolFit,
} from '../src/index.ts'
import { cream } from './helpers.ts'

const fitted = (...args: Parameters<typeof fitCooling>) => {
  const fit = fitCooling(...args)
  expect(fit).toHaveProperty('minutes')
  return fit as CoolFit
}
/** Newton's law of cooling, written out. */
const newton = (t: number, from: number, room: number, k: number) => room + (from - room) * Math.exp(-k * t)

describe('cooling from readings', () => {
  it('finds the constant of the worked example', () => {
    // 75 °C at 0 min, 60 °C at 16 min, room 20 °C: k = ln(55/40)/16 = 0.0199 per minute.
    const fit = fitted(
      [
        { minutes: 0, celsius: 75 },
        { minutes: 16, celsius: 60 },
      ],
      40,
      100,
      'air',
      20,
    )
    expect(fit.perMinute).toBeCloseTo(0.0199, 4)
    // ln(55/20)/k from the start is 50.8 min, 34.8 of them are left.
    expect(fit.minutes).toBeCloseTo(Math.log(55 / 20) / 0.019904 - 16, 1)
  })
  it.each([
    [80, 40, 22, 0.02, 58.5],
    [70, 35, 21, 0.015, 83.5],
  ])('from %s to %s °C in a room of %s takes t = ln(…)/k', (from, to, room, k, minutes) => {
    const readings = [0, 3, 7].map((t) => ({ minutes: t, celsius: newton(t, from, room, k) }))
    expect(fitted(readings, to, 200, 'air', room).minutes + 7).toBeCloseTo(minutes, 0)
  })
  it('holds the truth in its band nineteen times in twenty, whatever the thermometer errs by', () => {
    let inside = 0
    let state = 7
    const normal = () => {
      const u = () => (state = (state * 16807) % 2147483647) / 2147483647
      return Math.sqrt(-2 * Math.log(u())) * Math.cos(2 * Math.PI * u())
    }
    for (let i = 0; i < 400; i++) {
      const k = 0.012 + 0.02 * ((i % 20) / 20)
      const room = 21 + 2 * normal()
      const readings = [0, 4, 9].map((t) => ({
        minutes: t,
        celsius: newton(t, 72, room, k) + 0.4 * normal(),
      }))
      const fit = fitCooling(readings, 40, 200, 'air', null)
      if (!('minutes' in fit)) continue
      const truth = Math.log((72 - room) / (40 - room)) / k - 9
      if (truth >= fit.low && truth <= fit.high) inside++
    }
    expect(inside / 400).toBeGreaterThan(0.9)
  })
  it('narrows as readings come in', () => {
    const all = [0, 3, 6, 9, 12, 15, 18].map((t) => ({ minutes: t, celsius: newton(t, 72, 21, 0.02) }))
    const width = (n: number) => {
      const f = fitted(all.slice(0, n), 40, 200, 'air', 21)
      return f.high - f.low
    }
    expect(width(7)).toBeLessThan(width(3))
    expect(width(3)).toBeLessThan(width(2))
  })
  it('estimates widely from one reading, and says what is missing from none', () => {
    const fit = fitted([{ minutes: 0, celsius: 70 }], 40, 100, 'air', 21)
    expect(fit.from).toBe('estimate')
    expect(fit.high / fit.low).toBeGreaterThan(2)
    expect(fitCooling([], 40, 100, 'air', null)).toHaveProperty('fault')
  })
  it.each([
    [
      'does not get colder',
      [
        { minutes: 0, celsius: 60 },
        { minutes: 5, celsius: 61 },
      ],
      40,
      21,
      /No cooling/,
    ],
    [
      'can never get there',
      [
        { minutes: 0, celsius: 60 },
        { minutes: 5, celsius: 55 },
      ],
      22,
      24,
      /cannot cool below/,
    ],
  ])('says so where it %s', (_what, readings, limit, room, words) => {
    const fit = fitCooling(readings, limit, 100, 'air', room)
    expect('fault' in fit && coolFaultText(fit.fault)).toMatch(words)
  })
  it('asks for more stirring of what sets fast, and less once it is cool', () => {
    expect(stirEvery('fast', 60)).toBeLessThan(stirEvery('slow', 60))
    expect(stirEvery('medium', 40)).toBeGreaterThan(stirEvery('medium', 60))
  })
})

describe('lines of an instrument', () => {
  const plain = DEFAULT_SERIAL.pattern
  it.each([
    ['  +  12.34 g', plain, 12.34],
    ['-0.05', plain, -0.05],
    ['−1.5', plain, -1.5],
    ['load  0123.4 g', { ...plain, marker: 'load' }, 123.4],
    ['12,34', { ...plain, decimalComma: true }, 12.34],
    ['net 5.2 oz', { ...plain, marker: 'net', factor: 28.349523125 }, 147.41752025],
    ['mass 12.34 g steady', SIMULATED.scale, 12.34],
  ])('reads %s', (line, pattern, value) => {
    const read = readLine(line, pattern)
    expect(read.kind).toBe('value')
    expect((read as { value: number }).value).toBeCloseTo(value, 6)
  })
  it('leaves alone what is no reading, and knows what cannot be read', () => {
    expect(readLine('hello', plain).kind).toBe('other')
    expect(readLine('temp 20.1 C', SIMULATED.scale).kind).toBe('other')
    expect(readLine('mass over', SIMULATED.scale).kind).toBe('fault')
  })
  it('reads back any number it is told, and never fails on noise', () => {
    fc.assert(
      fc.property(fc.double({ min: -9999, max: 9999, noNaN: true }), fc.string(), (value, noise) => {
        const text = value.toFixed(3)
        expect(readLine(`mass ${text} g steady`, SIMULATED.scale)).toMatchObject({
          value: Number(text) + 0,
          steady: true,
        })
        expect(['value', 'fault', 'other']).toContain(readLine(noise, plain).kind)
      }),
    )
  })
  it('cuts a stream into the same lines, however it arrives', () => {
    fc.assert(
      fc.property(fc.array(fc.stringMatching(/^[a-z0-9 .]{1,20}$/)), fc.nat(7), (lines, size) => {
        const wanted = lines.filter((l) => l.trim() !== '')
        const text = lines.map((l) => `${l}\r\n`).join('')
        const cutter = new LineCutter()
        const got: string[] = []
        for (let i = 0; i < text.length; i += size + 1) got.push(...cutter.cut(text.slice(i, i + size + 1)))
        expect(got).toEqual(wanted)
      }),
    )
  })
  it('tells when a value has settled where the instrument does not', () => {
    const f = new Follower('scale', plain, 0.01)
    const at = (ms: number, value: number) => f.take(`${value}`, ms)
    for (let i = 0; i < 5; i++) expect(at(i * 200, 3 + i)).toMatchObject({ steady: false })
    for (let i = 5; i < 12; i++) at(i * 200, 9.5)
    expect(at(2600, 9.5)).toMatchObject({ value: 9.5, steady: true })
    expect(f.take('ERR over', 2700)).toBeNull()
  })
})

describe('the simulated bench', () => {
  const f = cream({ water: [['lactic acid', 0.4, { strengthPercent: 90 }]] }, { batchGrams: 100 })
  const settle = (bench: SimBench, seconds = 5) => {
    for (let i = 0; i < seconds * 10; i++) bench.advance(0.1)
  }
  const shown = (bench: SimBench, kind: 'scale' | 'thermometer' | 'ph' = 'scale') => {
    const read = readLine(bench.line(kind)!, SIMULATED[kind])
    return read.kind === 'value' ? read : null
  }
  it('shows what is poured to the scale’s resolution, moving first, steady then', () => {
    const bench = new SimBench(f, { seed: 3 })
    bench.hand({ do: 'place', vessel: 'A' })
    settle(bench)
    bench.hand({ do: 'tare' })
    bench.hand({ do: 'pour', line: 1, grams: 4.006 })
    bench.advance(0.1)
    expect(bench.line('scale')).toMatch(/moving/)
    settle(bench)
    expect(shown(bench)!.steady).toBe(true)
    expect(Math.abs(shown(bench)!.value - 4.006)).toBeLessThanOrEqual(0.0201)
  })
  it('tares, overloads, is unplugged and comes back at zero', () => {
    const bench = new SimBench(f, { seed: 3, capacity: 200 })
    bench.hand({ do: 'place', vessel: 'A' })
    bench.hand({ do: 'pour', line: 0, grams: 50 })
    settle(bench)
    bench.hand({ do: 'plug', instrument: 'scale', in: false })
    expect(bench.line('scale')).toBeNull()
    bench.hand({ do: 'plug', instrument: 'scale', in: true })
    settle(bench)
    expect(Math.abs(shown(bench)!.value)).toBeLessThan(0.05)
    bench.hand({ do: 'pour', line: 0, grams: 300 })
    expect(bench.line('scale')).toBe('mass over')
    expect(bench.hand({ do: 'take', line: 1, grams: 1 })).toEqual({ code: 'not-so-much' })
  })
  it('cools by Newton’s law with the constant of a beaker of 100 g', () => {
    // 0.020 per minute in still air (estimate from heat-transfer coefficients).
    const bench = new SimBench(f, { room: 20, speed: 1 })
    bench.hand({ do: 'place', vessel: 'A' })
    bench.hand({ do: 'pour', line: 0, grams: 100 })
    const v = bench.vessel('A')
    v.celsius = 75
    for (let i = 0; i < 16; i++) bench.advance(60)
    const k = Math.log(55 / (v.celsius - 20)) / 16
    expect(k).toBeGreaterThan(0.017)
    expect(k).toBeLessThan(0.023)
  })
  it('loses a few percent of its water in twenty minutes at 75 °C, little when covered', () => {
    // 2–4 % of 300 g in an open beaker of 60 cm² (estimate); a cover divides it by 5 to 10.
    const lost = (covered: boolean) => {
      const bench = new SimBench(f, { speed: 60 })
      bench.hand({ do: 'place', vessel: 'A' })
      bench.hand({ do: 'pour', line: 0, grams: 300 })
      bench.hand({ do: 'cover', vessel: 'A', covered })
      bench.vessel('A').celsius = 75
      bench.hand({ do: 'heat', vessel: 'A', celsius: 75 })
      for (let i = 0; i < 20; i++) bench.advance(1)
      return bench.vessel('A').evaporated / 3
    }
    expect(lost(false)).toBeGreaterThan(2)
    expect(lost(false)).toBeLessThan(8)
    expect(lost(true)).toBeLessThan(lost(false) / 5)
  })
  it('has a pH that moves with what is dripped in, and none where no probe is', () => {
    const bench = new SimBench(f, { seed: 5 })
    bench.hand({ do: 'place', vessel: 'A' })
    expect(bench.line('ph')).toBe('ph none')
    bench.hand({ do: 'pour', line: 0, grams: 90 })
    bench.hand({ do: 'pour', line: 2, grams: 0.4 })
    bench.hand({ do: 'probe', vessel: 'A' })
    settle(bench, 60)
    const before = shown(bench, 'ph')!
    expect(before.steady).toBe(true)
    expect(before.value).toBeLessThan(4)
    bench.hand({ do: 'drip', material: 'sodium-hydroxide', strengthPercent: 10, grams: 1 })
    settle(bench, 60)
    expect(shown(bench, 'ph')!.value).toBeGreaterThan(before.value + 0.3)
  })
  it('keeps every gram when beakers are combined', () => {
    const bench = new SimBench(f, { seed: 5 })
    for (const [vessel, line] of [
      ['A', 0],
      ['B', 3],
    ] as const) {
      bench.hand({ do: 'place', vessel })
      bench.hand({ do: 'pour', line, grams: 20 })
    }
    bench.hand({ do: 'combine', from: 'B', into: 'A' })
    expect(SimBench.mass(bench.vessel('A'))).toBeCloseTo(40, 9)
    expect(SimBench.mass(bench.vessel('B'))).toBe(0)
  })
  it('is the same bench again from the same seed and hands', () => {
    const run = () => {
      const bench = new SimBench(f, { seed: 11, speed: 10 })
      bench.hand({ do: 'place', vessel: 'A' })
      bench.hand({ do: 'pour', line: 0, grams: 80 })
      settle(bench, 3)
      return [bench.line('scale'), bench.line('thermometer'), bench.truth()]
    }
    expect(run()).toEqual(run())
  })
})
