// What a label says besides its list: cautions, how long it keeps, and claims that may not be made.
import { useWithinText } from '../src/words/index.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { assess, labelOf, useWithin, type Formula, type LabelRegion } from '../src/index.ts'
import { LABEL } from '../src/label/data.ts'
import { anyFormula, cream, formula, phase, simple } from './helpers.ts'
import { label, codes, gel } from './label-helpers.ts'

const text = (f: Formula, code: string, region: LabelRegion = 'EU') =>
  label(f, region).statements.find((s) => s.code === code)?.text
const kept = (f: Formula, facts: Parameters<typeof useWithin>[1] = {}) => {
  const { closedMonths, openedMonths } = useWithin(assess(f), facts)
  return [closedMonths, openedMonths]
}

describe('sentences', () => {
  const plain = gel([['glycerin', 3]])
  it('on a plain gel are those of practice alone', () => expect(codes(plain)).toEqual(['patch-test']))
  it.each<[string, string, Formula, LabelRegion[], LabelRegion[]]>([
    [
      'vitamin-a',
      'retinyl palmitate',
      gel([['retinyl palmitate', 0.5]]),
      ['EU', 'other'],
      ['UK', 'US', 'CA'],
    ],
    ['children-under-3', 'salicylic acid', gel([['salicylic acid', 0.5]]), ['EU', 'UK'], ['US', 'CA']],
    ['children-under-3', 'IPBC left on', gel([['iodopropynyl butylcarbamate', 0.01]]), ['EU', 'UK'], ['US']],
    [
      'salicylate',
      'betaine salicylate',
      gel([['betaine salicylate', 1]]),
      ['EU', 'UK', 'US', 'CA', 'other'],
      [],
    ],
    ['salicylate', 'willow bark', gel([['willow bark extract', 2]]), ['EU', 'US'], []],
    ['sun-aha', 'glycolic acid 4 %', gel([['glycolic acid', 4]]), ['EU', 'UK', 'US', 'CA'], []],
    ['sun-aha', 'mandelic acid 2 %', gel([['mandelic acid', 2]]), ['EU', 'US'], ['CA']],
    ['sun-aha', 'citric acid 1.2 %', gel([['citric acid', 1.2]]), ['EU', 'US'], []],
    ['formaldehyde', 'DMDM hydantoin', simple([['dmdm hydantoin', 0.3]]), ['EU', 'UK'], ['US', 'CA']],
    ['eye-avoid', 'benzalkonium chloride', simple([['benzalkonium chloride', 0.1]]), ['EU', 'UK'], []],
    ['eye-avoid', 'scent on the face', gel([['lavender oil', 0.2]]), ['EU', 'US'], []],
    ['flammable', 'alcohol 30 %', simple([['alcohol', 30]]), ['EU', 'UK', 'US', 'CA'], []],
    ['spf-none', 'zinc oxide', gel([['zinc oxide (UV grade)', 10]]), ['EU', 'US'], []],
    ['tan-no-sunscreen', 'dihydroxyacetone', gel([['dihydroxyacetone', 4]]), ['US'], ['EU', 'UK', 'CA']],
  ])('%s: %s', (code, _what, f, where, notWhere) => {
    for (const region of where) expect(codes(f, region)).toContain(code)
    for (const region of notWhere) expect(codes(f, region)).not.toContain(code)
  })
  it.each<[string, string, Formula]>([
    ['vitamin-a', 'retinal, which is none of the three', gel([['retinal', 0.05]])],
    ['salicylate', 'a UV filter', gel([['octyl salicylate', 4]])],
    ['sun-aha', 'a trace of citric acid', gel([['citric acid', 0.2]])],
    ['sun-aha', 'a lactate salt', gel([['sodium lactate', 5]])],
    ['flammable', 'alcohol 10 %', gel([['alcohol', 10]])],
    [
      'children-under-3',
      'IPBC rinsed off',
      simple([['iodopropynyl butylcarbamate', 0.01]], { product: { kind: 'cleanser', rinse: 'rinse-off' } }),
    ],
    ['spf-none', 'no filter', gel([['squalane', 2]])],
    [
      'patch-test',
      'a plain rinse-off',
      gel([['glycerin', 2]], { product: { kind: 'mask', rinse: 'rinse-off' } }),
    ],
  ])('not %s for %s', (code, _what, f) => {
    for (const region of ['EU', 'UK', 'US', 'CA', 'other'] as const)
      expect(codes(f, region)).not.toContain(code)
  })
  it('of the law stand to the letter', () => {
    expect(text(gel([['retinol', 0.1]]), 'vitamin-a')).toBe(
      'Contains Vitamin A. Consider your daily intake before use.',
    )
    expect(text(gel([['salicylic acid', 1]]), 'children-under-3')).toBe(
      'Not to be used for children under 3 years of age.',
    )
    expect(text(gel([['glycolic acid', 5]]), 'sun-aha', 'US')).toMatch(
      /^Sunburn Alert: This product contains an alpha hydroxy acid \(AHA\) that may increase/,
    )
    expect(text(simple([['dmdm hydantoin', 0.3]]), 'formaldehyde')).toBe('releases formaldehyde')
  })
  it('count acids together, as what they are and not as they are supplied', () => {
    const both = gel([
      ['glycolic acid', 0.9, { strengthPercent: 70 }],
      ['lactic acid', 0.6, { strengthPercent: 80 }],
    ])
    expect(codes(both)).toContain('sun-aha')
    expect(codes(gel([['glycolic acid', 1.3, { strengthPercent: 70 }]]))).not.toContain('sun-aha')
  })
  it('for the eye area say to keep it out of the eye', () => {
    expect(text(gel([['glycerin', 2]], { product: { site: 'eye' } }), 'eye-avoid')).toContain(
      'out of the eye itself',
    )
  })
  it('read the traits of a maker’s own material', () => {
    const own = {
      custom: {
        inci: ['Harbour Salicylate Complex'],
        functions: ['skin conditioning'],
        facts: { traits: ['salicylate' as const] },
      },
    }
    expect(codes(gel([['harbour complex', 1, own]]))).toContain('salicylate')
  })
  it('each have a source, a wording and a trigger', () => {
    for (const s of LABEL.statements) {
      expect(s.source.length).toBeGreaterThan(8)
      expect(s.text).toMatch(/\S/)
      expect(Object.keys(s.when).length).toBeGreaterThan(0)
    }
  })
  it('and directions never print a factor of protection or a medical word', () => {
    for (const words of [...LABEL.statements.map((s) => s.text), ...LABEL.directions.map((d) => d.text)])
      expect(words).not.toMatch(/\bSPF|PA\+|cures?\b|heals?\b|treats?\b|acne|eczema/i)
  })
})

describe('how long it keeps', () => {
  it('a preserved cream in a jar: six months, three once opened; in a pump six', () => {
    expect(kept(cream())).toEqual([6, 3])
    expect(kept(cream(), { container: 'jar' })).toEqual([6, 3])
    expect(kept(cream(), { container: 'pump' })).toEqual([6, 6])
    expect(kept(cream(), { container: 'pump', soundMonths: 12 })).toEqual([12, 6])
  })
  it('water without a preservative: days, fewer with a hydrosol', () => {
    expect(kept(simple([['glycerin', 3]]))).toEqual([0.25, 0.25])
    expect(kept(simple([['rose water', 30]]))).toEqual([0.1, 0.1])
  })
  it('a preservative outside its pH: as fresh', () => {
    const f = simple(
      [
        ['sodium benzoate', 0.5],
        ['potassium sorbate', 0.3],
      ],
      { targetPh: { min: 7, max: 7.4 } },
    )
    expect(kept(f)).toEqual([0.25, 0.25])
    expect(useWithinText(useWithin(assess(f)))).toContain('treat as fresh until corrected')
  })
  it('the eye area: six and three', () =>
    expect(kept(cream({}, { product: { site: 'eye' } }), { container: 'pump' })).toEqual([6, 3]))
  it('alcohol of a fifth of the water keeps itself', () =>
    expect(kept(simple([['alcohol', 40]]))).toEqual([12, 12]))
  it.each([
    ['rosehip oil', [3, 3]],
    ['sweet almond oil', [9, 6]],
    ['jojoba oil', [18, 12]],
  ] as const)('no water, %s', (oil, months) => {
    expect(
      kept(
        formula([
          phase('Oil', 'oil', [
            [oil, 'fill'],
            ['beeswax', 10],
          ]),
        ]),
      ),
    ).toEqual(months)
  })
  it('an antioxidant brings the upper figure, not more', () => {
    const oil = (lines: [string, number][]) =>
      formula([phase('Oil', 'oil', [['rosehip oil', 'fill'], ...lines])])
    expect(kept(oil([]))).toEqual([3, 3])
    expect(kept(oil([['tocopherol', 0.3]]))).toEqual([6, 3])
  })
  it('the fastest oil decides only above a twentieth of the oils', () => {
    const with2 = (percent: number) =>
      formula([
        phase('Oil', 'oil', [
          ['jojoba oil', 'fill'],
          ['rosehip oil', percent],
        ]),
      ])
    expect(kept(with2(3))).toEqual([18, 12])
    expect(kept(with2(10))).toEqual([3, 3])
  })
  it('dry powders: two years', () =>
    expect(
      kept(
        formula([
          phase('Dry', 'other', [
            ['kaolin', 'fill'],
            ['silica', 5],
          ]),
        ]),
      ),
    ).toEqual([24, 12]))
  it.each([
    ['ascorbic acid', 10, [1, 1]],
    ['sodium ascorbyl phosphate', 3, [3, 3]],
    ['retinol', 0.2, [6, 3]],
    ['glutathione', 1, [1, 1]],
    ['urea', 10, [3, 3]],
  ] as const)('%s in water', (active, percent, months) =>
    expect(
      kept(gel([[active, percent]], { targetPh: { min: 4.5, max: 5.5 } }), { container: 'airless' }),
    ).toEqual(months),
  )
  it('a lot that ends sooner ends the product', () => {
    const u = useWithin(assess(cream()), { container: 'pump', firstLot: { months: 2, label: 'squalane' } })
    expect([u.closedMonths, u.openedMonths]).toEqual([2, 2])
    expect(useWithinText(u)).toContain('squalane')
  })
  it('watery and untested: never beyond six months, and opened never outlasts closed', () => {
    fc.assert(
      fc.property(anyFormula, fc.constantFrom('jar', 'pump', 'airless', 'dropper'), (f, container) => {
        const a = assess(f)
        const { closedMonths, openedMonths, reasons } = useWithin(a, { container })
        expect(openedMonths).toBeLessThanOrEqual(closedMonths)
        expect(closedMonths).toBe(Math.min(...reasons.map((r) => r.closed[0])))
        if (a.preservation.needed && !a.preservation.selfPreserving)
          expect(closedMonths).toBeLessThanOrEqual(6)
      }),
    )
  })
})

describe('claims', () => {
  const claiming = (claims: string[], lines: Parameters<typeof simple>[0] = []) =>
    labelOf(assess(gel([['glycerin', 3], ...lines], { product: { claims } }))).claims
  it('stand where nothing was found against them', () =>
    expect(claiming(['vegan', 'fragrance-free', 'soft and light'])).toEqual([
      'vegan',
      'fragrance-free',
      'soft and light',
    ]))
  it.each([
    ['cures eczema', []],
    ['SPF 30', []],
    ['dermatologically tested', []],
    ['natural', [['phenoxyethanol', 0.4]]],
    ['vegan', [['honey', 2]]],
    ['fragrance-free', [['lavender oil', 0.2]]],
    ['fresh', []],
  ] as [string, [string, number][]][])('%s with %j does not', (claim, lines) =>
    expect(claiming([claim, 'light'], lines)).toEqual(['light']),
  )
  it('fall alone: the name of the product takes no claim with it', () => {
    const f = gel([['glycerin', 3]], { product: { claims: ['vegan'] } })
    expect(labelOf(assess({ ...f, name: 'Cures all' })).claims).toEqual(['vegan'])
  })
})
