import { catalogue, standOf, type Lot } from '@omblet/core'
import { describe, expect, it } from 'vitest'
import { shelfRows, standWords } from '../src/features/ingredients/rows'

const TODAY = '2026-11-27'
const find = (name: string) => catalogue.find(name)!
const ids = ['glycerin', 'urea', 'jojoba oil', 'xanthan gum', 'squalane'].map((n) => find(n).id)
const found = ids.map((id) => catalogue.find(id)!)
const lot = (material: string, more: Partial<Lot>): Lot => ({
  id: `${material}-1`,
  material,
  leftGrams: 50,
  packGrams: 100,
  ...more,
})
const rows = (lots: Lot[], used: string[] = []) =>
  shelfRows(found, { standOf: (id) => standOf(lots, id, TODAY), used: new Set(used) })
const read = (list: ReturnType<typeof rows>) =>
  list.map((r) => ('title' in r ? `— ${r.title} ${r.count}` : r.material.id))

describe('the shelf', () => {
  it('opens on what the maker has: what is past, ends soon or runs out first', () => {
    const [glycerin, urea, jojoba, xanthan] = ids as [string, string, string, string]
    const lots = [
      lot(glycerin, {}),
      lot(urea, { leftGrams: 9 }),
      lot(jojoba, { expires: '2026-12-24' }),
      lot(xanthan, { expires: '2026-11-01' }),
    ]
    expect(read(rows(lots))).toEqual([
      '— My stock 4',
      xanthan,
      jojoba,
      urea,
      glycerin,
      '— The catalogue 1',
      ids[4],
    ])
  })
  it('then on what is used in formulas, and says no title where all is of one sort', () => {
    expect(read(rows([], [ids[4]!]))).toEqual([
      '— In my formulas 1',
      ids[4],
      '— The catalogue 4',
      ...ids.slice(0, 4),
    ])
    expect(read(rows([]))).toEqual(ids)
  })
})

it.each([
  [{ expires: '2026-11-01' }, '0 g left', 'expired, 2026-11-01'],
  [{ expires: '2026-12-24', leftGrams: 7.25 }, '7.3 g left', 'best before 2026-12-24'],
  [{ leftGrams: 9 }, '9 g left', 'running low'],
  [{ expires: '2028-01-01' }, '50 g left', null],
])('%o reads %s, %s', (more, left, warning) => {
  expect(standWords(standOf([lot('urea', more)], 'urea', TODAY)!)).toEqual({ left, warning })
})
