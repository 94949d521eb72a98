import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { backupAge, localDay, notAfter } from '../src/browser/days'
import { makeSteady } from '../src/browser/steady'

/** A machine whose clock can be set, and that can sleep. */
function machine() {
  const m = { wall: Date.parse('2026-11-27T08:00:00Z'), passed: 0 }
  const steady = makeSteady(
    () => m.wall,
    () => m.passed,
  )
  return {
    steady,
    pass: (ms: number) => {
      m.wall += ms
      m.passed += ms
    },
    set: (ms: number) => (m.wall += ms),
    /** Where the clock of what passed stands still while the machine sleeps. */
    sleep: (ms: number) => (m.wall += ms),
  }
}
const MIN = 60_000

describe('the steady clock', () => {
  it('is not moved by a clock that is set back', () => {
    const { steady, pass, set } = machine()
    const began = steady.now()
    pass(5 * MIN)
    set(-180 * MIN)
    expect(steady.look()).toBeNull()
    pass(5 * MIN)
    expect(steady.look()).toBeNull()
    expect(steady.now() - began).toBe(10 * MIN)
  })
  it('asks about a clock that went ahead, and takes either answer', () => {
    for (const [answer, minutes] of [
      ['wasSet', 10],
      ['slept', 70],
    ] as const) {
      const { steady, pass, set } = machine()
      const began = steady.now()
      pass(5 * MIN)
      set(60 * MIN)
      const jump = steady.look()!
      expect(jump.ms).toBe(60 * MIN)
      expect(steady.now() - began).toBe(5 * MIN)
      steady[answer](jump)
      expect(steady.look()).toBeNull()
      pass(5 * MIN)
      expect(steady.now() - began).toBe(minutes * MIN)
    }
  })
  it('property: whatever the clock is set to, what is shown is what passed', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(1e7), fc.integer({ min: -1e9, max: 1e9 })), { maxLength: 12 }),
        (course) => {
          const { steady, pass, set } = machine()
          const began = steady.now()
          let passed = 0
          for (const [ms, by] of course) {
            pass(ms)
            passed += ms
            set(by)
            const jump = steady.look()
            if (jump) steady.wasSet(jump)
          }
          expect(steady.now() - began).toBe(passed)
        },
      ),
    )
  })
})

describe('the age of a backup', () => {
  const now = new Date(2026, 10, 27, 0, 30)
  const ago = (ms: number) => new Date(now.getTime() - ms).toISOString()
  it.each([
    [null, 'No backup yet.', true],
    [ago(10 * MIN), 'Last backup today.', false],
    // By the day where one is, not by hours or by the day in Greenwich.
    [ago(40 * MIN), 'Last backup yesterday.', false],
    [ago(7 * 864e5), 'Last backup 7 days ago.', false],
    [ago(8 * 864e5), 'Last backup 8 days ago.', true],
    [ago(-400 * 864e5), 'The clock was set back since the last backup.', true],
    ['no day', 'No backup yet.', true],
  ])('%s: %s', (last, words, due) => {
    expect(backupAge(last, now)).toEqual({ words, due })
  })
  it('names a file by the day where one is', () => {
    expect(localDay(new Date(2026, 0, 1, 0, 5))).toBe('2026-01-01')
    expect(localDay(new Date(2026, 11, 31, 23, 55))).toBe('2026-12-31')
  })
  it('makes nothing younger than now', () => {
    expect(notAfter('2030-01-01T00:00:00Z', 1000).getTime()).toBe(1000)
  })
})
