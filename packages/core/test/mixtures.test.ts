import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  assess,
  catalogue,
  customOf,
  gradesOf,
  reconstituted,
  mixtureFault,
  ownMaterial,
  partsOfFormula,
  type Catalogue,
  type OwnFacts,
  type OwnPart,
} from '../src/index.ts'
import { CATALOGUE_DATA } from '../src/materials/catalogue.ts'
import { compositionOf } from '../src/materials/resolve.ts'
import { codes, formula, phase, PRESERVED, simple } from './helpers.ts'

const facts = (name: string, parts?: OwnPart[]): OwnFacts => ({
  name,
  inci: '',
  functions: ['humectant'],
  solubility: 'water',
  phase: 'any',
  ...(parts ? { parts } : {}),
})
const make = (name: string, parts: OwnPart[], base: Catalogue = catalogue) => {
  const material = ownMaterial(facts(name, parts), base)
  return { material, catalogue: base.with([material]) }
}
const percentOf = (shares: { key: string; share: number }[], key: string) =>
  shares.find((s) => s.key === key)?.share ?? 0
const substance = (f: ReturnType<typeof simple>, key: string, c: Catalogue = catalogue) =>
  assess(f, c).substances.get(key)?.percent ?? 0

describe('mixtures are taken apart', () => {
  it('25 % of a 1 % hyaluronate stock is 0.25 % hyaluronate', () => {
    const stock = make('Hyaluronate stock', [
      { material: 'sodium-hyaluronate', percent: 1 },
      { material: 'aqua', percent: 98 },
      { material: 'phenoxyethanol-ethylhexylglycerin', percent: 1 },
    ])
    const f = simple([[stock.material.id, 25], PRESERVED])
    expect(substance(f, 'sodium-hyaluronate', stock.catalogue)).toBeCloseTo(0.25, 9)
    expect(substance(f, 'phenoxyethanol', stock.catalogue)).toBeCloseTo(0.225 + 0.9, 9)
    expect(stock.material.inci.slice(0, 3)).toEqual(['Aqua', 'Sodium Hyaluronate', 'Phenoxyethanol'])
  })
  it('or by its strength on the line alone', () => {
    expect(
      substance(
        simple([['sodium hyaluronate', 25, { strengthPercent: 1 }], PRESERVED]),
        'sodium-hyaluronate',
      ),
    ).toBeCloseTo(0.25, 9)
  })
  it('15 % of a 65 % mineral dispersion is 9.75 % mineral', () => {
    const f = simple([
      [
        'zinc dispersion',
        15,
        {
          custom: {
            parts: [
              { material: 'zinc oxide', percent: 65 },
              { material: 'caprylic/capric triglyceride', percent: 35 },
            ],
          },
        },
      ],
    ])
    expect(substance(f, 'zinc-oxide')).toBeCloseTo(9.75, 9)
  })
  it('2.5 % of a 60 % lactate is 1.5 % lactate and 1 % water', () => {
    const f = formula([phase('A', 'water', [['sodium lactate', 2.5]])])
    expect(substance(f, 'sodium-lactate')).toBeCloseTo(1.5, 9)
    expect(substance(f, 'aqua')).toBeCloseTo(1, 9)
  })
  it('a mixture of mixtures goes down to substances', () => {
    const inner = make('Pier humectant', [
      { material: 'glycerin', percent: 50 },
      { material: 'sodium-pca', percent: 50 },
    ])
    const outer = make(
      'Pier base',
      [
        { material: inner.material.id, percent: 40 },
        { material: 'aqua', percent: 60 },
      ],
      inner.catalogue,
    )
    const shares = compositionOf(outer.material, outer.catalogue)
    expect(percentOf(shares, 'glycerin')).toBeCloseTo(20, 9)
    expect(percentOf(shares, 'sodium-pca')).toBeCloseTo(10, 9)
    expect(percentOf(shares, 'aqua')).toBeCloseTo(70, 9)
  })
  it('a serum of one’s own can be the stock of a cream', () => {
    const serum = simple([['niacinamide', 10], ['glycerin', 5], PRESERVED])
    const stock = make('Quay serum', partsOfFormula(serum))
    expect(
      substance(simple([[stock.material.id, 30], PRESERVED]), 'niacinamide', stock.catalogue),
    ).toBeCloseTo(3, 9)
  })
  it('what its parts leave open stays unknown', () => {
    const half = make('Half told', [{ material: 'glycerin', percent: 40 }])
    expect(compositionOf(half.material, half.catalogue).reduce((s, x) => s + x.share, 0)).toBeCloseTo(40, 9)
  })
})

describe('what is no mixture', () => {
  it('more than 100 %', () => {
    expect(
      mixtureFault(
        'X',
        [
          { material: 'glycerin', percent: 70 },
          { material: 'aqua', percent: 40 },
        ],
        catalogue,
      ),
    ).toEqual({ code: 'above-100', percent: 110 })
  })
  it('one that contains itself, directly or through another', () => {
    expect(mixtureFault('Tide', [{ material: 'tide', percent: 10 }], catalogue)?.code).toBe('contains-itself')
    const inner = make('Ebb', [{ material: 'Tide', percent: 50 }])
    expect(mixtureFault('Tide', [{ material: inner.material.id, percent: 10 }], inner.catalogue)?.code).toBe(
      'contains-itself',
    )
    expect(mixtureFault('Flood', [{ material: inner.material.id, percent: 10 }], inner.catalogue)).toBeNull()
  })
  it('a circle that came in from elsewhere still ends', () => {
    const a = { ...make('Ebb', [{ material: 'flow', percent: 100 }]).material }
    const b = { ...make('Flow', [{ material: 'ebb', percent: 100 }]).material }
    const circle = catalogue.with([a, b])
    expect(compositionOf(a, circle).length).toBeGreaterThan(0)
  })
})

describe('own materials', () => {
  it('never take the id of another', () => {
    expect(ownMaterial(facts('Glycerin'), catalogue).id).toBe('glycerin-2')
  })
  it('travel with a formula file and resolve to the same substances', () => {
    const part = fc.record({
      material: fc.constantFrom(...CATALOGUE_DATA.map((m) => m.id)),
      percent: fc.double({ min: 0.1, max: 20, noNaN: true }),
    })
    fc.assert(
      fc.property(fc.array(part, { minLength: 1, maxLength: 5 }), (parts) => {
        const own = make('Travelling stock', parts)
        const here = assess(simple([[own.material.id, 10], PRESERVED]), own.catalogue).substances
        const there = assess(
          simple([['Travelling stock', 10, { custom: customOf(own.material, own.catalogue) }], PRESERVED]),
        ).substances
        expect([...there.keys()].sort()).toEqual([...here.keys()].sort())
        for (const [key, s] of here) expect(there.get(key)!.percent).toBeCloseTo(s.percent, 4)
      }),
      { numRuns: 60 },
    )
  })
  it('a preservative among the parts protects', () => {
    const stock = make('Kept gel', [
      { material: 'aqua', percent: 97 },
      { material: 'xanthan-gum', percent: 1 },
      { material: 'phenoxyethanol', percent: 2 },
    ])
    const f = simple([
      [stock.material.id, 50],
      ['ethylhexylglycerin', 0.3],
    ])
    expect(assess(f, stock.catalogue).preservation.uses.map((u) => u.material.id)).toContain('phenoxyethanol')
    expect(codes(f)).toContain('material.unknown')
  })
})

describe('concentrates and grades', () => {
  it('0.2 % of a 200-fold powder stands for 40 % juice: amount = water portion / 200', () => {
    expect(reconstituted(catalogue.find('aloe-powder-200x')!, 0.2)).toEqual({
      percent: 40,
      waterPercent: 39.8,
    })
    expect(reconstituted(catalogue.find('aloe-concentrate-10x')!, 5)!.percent).toBe(50)
    expect(reconstituted(catalogue.find('glycerin')!, 5)).toBeNull()
  })
  it('knows what else goes by the same name', () => {
    const names = (id: string) => gradesOf(catalogue.find(id)!, CATALOGUE_DATA).map((m) => m.id)
    expect(names('sodium-hyaluronate').sort()).toEqual([
      'sodium-hyaluronate-low',
      'sodium-hyaluronate-medium',
    ])
    expect(names('aloe-powder-200x')).toHaveLength(3)
    expect(names('glycerin')).toEqual([])
  })
})
