// What screens ask of a formula is worked out once, and is what the parts of the core say each for itself.
import { describe, expect, it } from 'vitest'
import { assess } from '../src/assess/assess.ts'
import { derivedOf } from '../src/derived/derived.ts'
import { findAll } from '../src/findings/index.ts'
import { inciList } from '../src/label/ingredients.ts'
import { Catalogue, CATALOGUE_DATA, catalogue } from '../src/materials/catalogue.ts'
import { methodOf } from '../src/procedure/method.ts'
import { PRODUCTS } from './products.ts'

describe.each(PRODUCTS)('%s', (_name, formula) => {
  it('says what each part of the core says', () => {
    const a = assess(formula, catalogue)
    const d = derivedOf(formula, catalogue)
    expect(d.findings).toEqual(findAll(a))
    expect(d.method).toEqual(methodOf(a, formula.method))
    expect(d.inci).toBe(inciList(a).join(', '))
    expect(d.caps).toHaveLength(a.lines.length)
  })
})

it('is the same value for whoever asks, until formula or catalogue is another', () => {
  const [, formula] = PRODUCTS[0]!
  const d = derivedOf(formula, catalogue)
  expect(derivedOf(formula, catalogue)).toBe(d)
  expect(derivedOf(formula, catalogue).method).toBe(d.method)
  expect(derivedOf({ ...formula }, catalogue)).not.toBe(d)
  expect(derivedOf(formula, new Catalogue(CATALOGUE_DATA))).not.toBe(d)
  for (let i = 0; i < 20; i++) derivedOf({ ...formula, batchGrams: 100 + i }, catalogue)
  expect(derivedOf(formula, catalogue)).not.toBe(d)
})
