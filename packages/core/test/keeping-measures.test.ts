import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { colourChange, deltaE, GREY_CARD, labOf, lightDiffers } from '../src/stability/colour.ts'
import {
  bodyChange,
  creamingPercent,
  lossPercentPerYear,
  platesAreaPerGram,
} from '../src/stability/measures.ts'

describe('kitchen measures', () => {
  it('agree with worked figures', () => {
    expect(platesAreaPerGram(60, 1)).toBeCloseTo(28.3, 1)
    expect(creamingPercent(3, 60)).toBe(5)
    expect(lossPercentPerYear(0.0085, 50)).toBeCloseTo(6.2, 1)
    expect(bodyChange('needle', 12, 15)).toBeCloseTo(-36, 0)
    expect(bodyChange('flow', 42, 35.5)).toBeCloseTo(-15.5, 1)
    expect(bodyChange('meter', 1, 2)).toBeNull()
  })
})

describe('colour from photographs', () => {
  it('gives the published ΔE00 of Sharma, Wu and Dalal 2005', () => {
    const pairs: [number, number, number, number, number, number, number][] = [
      [50, 2.6772, -79.7751, 50, 0, -82.7485, 2.0425],
      [50, 3.1571, -77.2803, 50, 0, -82.7485, 2.8615],
      [50, 0, 0, 50, -1, 2, 2.3669],
      [50, 2.49, -0.001, 50, -2.49, 0.0009, 7.1792],
      [50, 2.49, -0.001, 50, -2.49, 0.0011, 7.2195],
      [50, 2.5, 0, 73, 25, -18, 27.1492],
      [50, 2.5, 0, 58, 24, 15, 19.4535],
      [60.2574, -34.0099, 36.2677, 60.4626, -34.1751, 39.4387, 1.2644],
      [2.0776, 0.0795, -1.135, 0.9033, -0.0636, -0.5514, 0.9082],
    ]
    for (const [l, a, b, l2, a2, b2, e] of pairs) {
      expect(deltaE({ l, a, b }, { l: l2, a: a2, b: b2 })).toBeCloseTo(e, 4)
      expect(deltaE({ l: l2, a: a2, b: b2 }, { l, a, b })).toBeCloseTo(e, 4)
    }
  })
  it('puts a picture right by its card, as a worked example', () => {
    const first = { product: [228, 219, 200], card: [121, 119, 116], cardReflects: GREY_CARD } as const
    const later = { product: [221, 209, 183], card: [124, 121, 118], cardReflects: GREY_CARD } as const
    const lab = labOf(structuredClone(first) as never)!
    expect([lab.l, lab.a, lab.b].map((v) => Number(v.toFixed(1)))).toEqual([86.6, -0.6, 7.5])
    const change = colourChange(structuredClone(first) as never, structuredClone(later) as never)
    expect(change).toHaveProperty('deltaE')
    expect((change as { deltaE: number }).deltaE).toBeCloseTo(4.2, 1)
    expect((change as { yellower: number }).yellower).toBeCloseTo(3.8, 1)
  })
  it('says when it cannot tell', () => {
    const day = { product: [200, 190, 180], card: [120, 120, 120], cardReflects: GREY_CARD } as never
    const lamp = { product: [200, 170, 120], card: [140, 118, 80], cardReflects: GREY_CARD } as never
    expect(colourChange(day, lamp)).toEqual({ why: { code: 'other-light' } })
    expect(labOf({ product: [255, 250, 240], card: [120, 120, 120], cardReflects: GREY_CARD })).toBeNull()
    expect(lightDiffers([120, 120, 120], [125, 124, 123])).toBe(false)
  })
  it('does not change with the brightness of the light, as long as nothing runs out', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.85, max: 1.15, noNaN: true }), (k) => {
        const scale = (v: number) =>
          255 * (1.055 * (k * ((v / 255 + 0.055) / 1.055) ** 2.4) ** (1 / 2.4) - 0.055)
        const seen = { product: [180, 170, 150], card: [120, 119, 118], cardReflects: GREY_CARD }
        const other = {
          product: seen.product.map(scale),
          card: seen.card.map(scale),
          cardReflects: GREY_CARD,
        }
        expect((colourChange(seen as never, other as never) as { deltaE: number }).deltaE).toBeLessThan(0.01)
      }),
    )
  })
})
