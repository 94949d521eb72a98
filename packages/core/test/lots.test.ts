import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { assess, daysLeft, freshnessOf, Lot, pricePerGram, shoppingList, stockOf } from '../src/index.ts'
import { PRESERVED, simple } from './helpers.ts'

const TODAY = '2026-06-01'
const lot = (extra: Partial<Lot> = {}): Lot => ({ id: 'l', material: 'glycerin', leftGrams: 100, ...extra })

describe('lots', () => {
  it.each([
    ['2026-05-31', 'past'],
    ['2026-06-01', 'soon'],
    ['2026-07-31', 'soon'],
    ['2026-08-01', 'good'],
    [undefined, 'unknown'],
  ])('that end %s are %s', (expires, state) => {
    expect(freshnessOf(lot(expires ? { expires } : {}), TODAY)).toBe(state)
  })
  it('count days over the change of the clock', () =>
    expect(daysLeft(lot({ expires: '2026-11-01' }), '2026-10-01')).toBe(31))
  it('add up, without what is past its date', () => {
    const lots = [
      lot(),
      lot({ id: 'm', leftGrams: 30 }),
      lot({ id: 'n', expires: '2026-01-01' }),
      lot({ id: 'o', material: 'urea' }),
    ]
    expect(stockOf(lots, 'glycerin', TODAY)).toBe(130)
  })
  it('tell the price of a gram by the newest pack', () => {
    const lots = [
      lot({ price: 5, packGrams: 500, bought: '2026-01-01' }),
      lot({ price: 12, packGrams: 1000, bought: '2026-03-01' }),
    ]
    expect(pricePerGram(lots, 'glycerin')).toBeCloseTo(0.012, 9)
    expect(pricePerGram([lot()], 'glycerin')).toBeNull()
  })
  it('refuse a day that is none', () => expect(Lot.safeParse(lot({ expires: 'soon' })).success).toBe(false))
})

describe('the shopping list', () => {
  it('leaves water out, sums lines and puts what lacks first', () => {
    const a = assess(simple([['urea', 2], ['glycerin', 3], ['glycerin', 2], PRESERVED], { batchGrams: 1000 }))
    const list = shoppingList(
      a,
      [lot({ leftGrams: 20 }), lot({ id: 'u', material: 'urea', leftGrams: 500 })],
      TODAY,
    )
    expect(list.map((n) => [n.material, n.needGrams, n.lackGrams])).toEqual([
      ['glycerin', 50, 30],
      ['phenoxyethanol-ethylhexylglycerin', 10, 10],
      ['urea', 20, 0],
    ])
  })
  it('never lacks less than nothing nor more than the need', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 500, noNaN: true }), { maxLength: 5 }), (grams) => {
        const a = assess(simple([['glycerin', 3], PRESERVED]))
        for (const n of shoppingList(
          a,
          grams.map((leftGrams, i) => lot({ id: String(i), leftGrams })),
          TODAY,
        )) {
          expect(n.lackGrams).toBeGreaterThanOrEqual(0)
          expect(n.lackGrams).toBeLessThanOrEqual(n.needGrams)
        }
      }),
    )
  })
})
