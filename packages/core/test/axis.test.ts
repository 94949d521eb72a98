import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { axisSteps } from '../src/index.ts'

describe('the steps of an axis', () => {
  it.each([
    [10, 2, 5],
    [16, 2, 8],
    [0.35, 0.05, 7],
    [0.9, 0.2, 5],
    [250, 50, 5],
  ])('to %s: steps of %s, %s of them', (end, step, count) => {
    const axis = axisSteps(end)
    expect(axis.step).toBeCloseTo(step, 9)
    expect(axis.count).toBe(count)
  })
  it('are round, cover the end, and are few', () => {
    fc.assert(
      fc.property(fc.double({ min: 1e-4, max: 1e5, noNaN: true }), (end) => {
        const { step, count } = axisSteps(end)
        expect(step * count).toBeGreaterThanOrEqual(end * (1 - 1e-6))
        expect(step * (count - 1)).toBeLessThan(end)
        expect(count).toBeLessThanOrEqual(8)
        expect([1, 2, 5]).toContain(Number((step / 10 ** Math.floor(Math.log10(step) + 1e-9)).toFixed(6)))
      }),
    )
  })
})
