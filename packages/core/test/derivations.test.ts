// An assessment is a row of steps: each reads only what those before it gave, and gives the same again.
import { describe, expect, it } from 'vitest'
import { assess } from '../src/assess/assess.ts'
import { DERIVATIONS } from '../src/assess/derivations.ts'
import type { Assessment } from '../src/assess/types.ts'
import { catalogue } from '../src/materials/catalogue.ts'
import { PRODUCTS } from './products.ts'

const pick = (a: Assessment, keys: readonly (keyof Assessment)[]) =>
  Object.fromEntries(keys.map((key) => [key, a[key]])) as unknown as Assessment

it('every part is given once, and before it is needed', () => {
  const given = new Set<keyof Assessment>(['formula', 'catalogue'])
  for (const { needs, gives } of DERIVATIONS) {
    expect([...given]).toEqual(expect.arrayContaining([...needs]))
    for (const part of gives) {
      expect(given.has(part), part).toBe(false)
      given.add(part)
    }
  }
  expect([...given].sort()).toEqual(Object.keys(assess(PRODUCTS[0]![1])).sort())
})

describe.each(DERIVATIONS.map((d) => [d.gives.join(', '), d] as const))(
  '%s',
  (_name, { needs, gives, derive }) => {
    it.each(PRODUCTS)('follows from what it needs alone, and changes none of it: %s', (_kind, formula) => {
      const whole = assess(formula, catalogue)
      const known = pick(whole, needs)
      const before = structuredClone(JSON.stringify({ ...known, catalogue: null }))
      const { catalogue: _c, ...derived } = derive(known)
      expect(derived).toEqual(pick(whole, gives))
      expect(JSON.stringify({ ...known, catalogue: null })).toBe(before)
    })
  },
)
