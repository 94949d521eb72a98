// The label of a jar: what stands in its list and in which order, which sentences, and how long it keeps. Rules are
// Regulation (EC) 1223/2009 Article 19 with Annexes III, V and VI, Regulation (EU) 2023/1545 and 21 CFR 701.3, all from
// memory; worked lists are made by hand from those rules.
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { assess, labelOf, labelReport, useWithin, type Formula, type LabelRegion } from '../src/index.ts'
import { LABEL } from '../src/label/data.ts'
import { anyFormula, cream, formula, phase, PRESERVED, simple } from './helpers.ts'
import { PRODUCTS } from './products.ts'
import { formulaOf, soundRows } from './rows.ts'

type Extra = Parameters<typeof formula>[1]
const label = (f: Formula, region: LabelRegion = 'EU') => labelOf(assess(f), { region, grams: 50 })
const list = (f: Formula, region: LabelRegion = 'EU') =>
  label(f, region).list.entries.map((e) => [e.name, e.percent === null ? null : Number(e.percent.toFixed(4))])
const names = (f: Formula, region?: LabelRegion) => list(f, region).map(([name]) => name)
const percents = (f: Formula, region?: LabelRegion) => Object.fromEntries(list(f, region)) as Record<string, number | null> // prettier-ignore
const codes = (f: Formula, region: LabelRegion = 'EU') => label(f, region).statements.map((s) => s.code)
const text = (f: Formula, code: string, region: LabelRegion = 'EU') =>
  label(f, region).statements.find((s) => s.code === code)?.text
const kept = (f: Formula, facts: Parameters<typeof useWithin>[1] = {}) => {
  const { closedMonths, openedMonths } = useWithin(assess(f), facts)
  return [closedMonths, openedMonths]
}
const gel = (lines: Parameters<typeof simple>[0], extra: Extra = {}) => simple([...lines, PRESERVED], extra)

describe('the ingredient list', () => {
  it('is a plain lotion by falling weight, blends taken apart and summed', () => {
    // By hand: olivate emulsifier is 55 % cetearyl and 45 % sorbitan olivate, the preservative nine to one.
    const f = formula([
      phase('Water', 'water', [
        ['aqua', 'fill'],
        ['glycerin', 3],
      ]),
      phase('Oil', 'oil', [
        ['squalane', 8],
        ['olivate emulsifier', 4],
        ['cetyl alcohol', 1],
      ]),
      phase('Cool', 'cool-down', [['glycerin', 2], PRESERVED, ['tocopherol', 0.2]]),
    ])
    expect(list(f)).toEqual([
      ['Aqua', 80.8],
      ['Squalane', 8],
      ['Glycerin', 5],
      ['Cetearyl Olivate', 2.2],
      ['Sorbitan Olivate', 1.8],
      ['Cetyl Alcohol', 1],
      ['Phenoxyethanol', 0.9],
      ['Tocopherol', 0.2],
      ['Ethylhexylglycerin', 0.1],
    ])
    expect(label(f).list.belowOneFrom).toBe(6)
  })
  it('counts the water of solutions with all other water', () => {
    // 5 % of sodium lactate 60 % is 3 % and 2 % water; 4 % lactic acid of 88 % is 3.52 % and 0.48 %.
    const f = gel([
      ['sodium lactate', 5, { strengthPercent: 60 }],
      ['lactic acid', 4, { strengthPercent: 88 }],
    ])
    expect(percents(f)).toMatchObject({ 'Sodium Lactate': 3, 'Lactic Acid': 3.52, Aqua: 92.48 })
  })
  it('makes up a concentrate with the water it takes, and can list it as it was added', () => {
    const f = gel([['aloe-powder-200x', 0.1]])
    expect(percents(f)).toMatchObject({ 'Aloe Barbadensis Leaf Juice': 20, Aqua: 79 })
    expect(names(f)).not.toContain('Aloe Barbadensis Leaf Juice Powder')
    expect(percents(gel([['aloe-concentrate-10x', 3]]))['Aloe Barbadensis Leaf Juice']).toBe(30)
    const added = labelOf(assess(f), { region: 'EU', concentrates: 'as-added' }).list.entries
    expect(added.find((e) => e.name === 'Aloe Barbadensis Leaf Juice Powder')!.percent).toBeCloseTo(0.1, 9)
  })
  it('does not make up more than the plain water that is there', () => {
    const f = formula([
      phase('Oil', 'oil', [
        ['squalane', 'fill'],
        ['aqua', 5],
        ['aloe-powder-200x', 0.1],
      ]),
    ])
    expect(names(f)).toContain('Aloe Barbadensis Leaf Juice Powder')
    expect(percents(f)['Aqua']).toBe(5)
  })
  it('keeps acid and alkali as they were added, an adjuster however little', () => {
    const f = gel([['lactic acid', 2], ['sodium hydroxide', 0.04]]) // prettier-ignore
    expect(names(f)).toEqual(expect.arrayContaining(['Lactic Acid', 'Sodium Hydroxide']))
    expect(names(f)).not.toContain('Sodium Lactate')
  })
  it('puts colours last, whatever their amount, and names mica by its number', () => {
    const f = gel([['mica', 4], ['red iron oxide', 0.2], ['glycerin', 3]]) // prettier-ignore
    expect(names(f).slice(-2)).toEqual(['CI 77019', 'CI 77491'])
    expect(label(f).list.belowOneFrom).toBe(2)
  })
  it('keeps titanium dioxide by name where it is a filter', () => {
    expect(names(gel([['titanium dioxide (UV grade)', 5]]))).toContain('Titanium Dioxide')
    expect(names(gel([['titanium dioxide pigment', 1]])).at(-1)).toBe('CI 77891')
  })
  it('gives no share where none is known, and asks for the make-up by the name on the line', () => {
    const f = gel([
      ['my herb infusion', 2, { custom: { inci: ['aqua', 'avena sativa kernel extract'] } }],
      ['glycerin', 5],
    ])
    expect(percents(f)['Avena Sativa Kernel Extract']).toBeNull()
    expect(label(f).missing).toContain('make-up of my herb infusion')
    const sure = gel([
      ['my herb infusion', 0.8, { custom: { inci: ['aqua', 'avena sativa kernel extract'] } }],
    ])
    const entries = label(sure).list.entries
    const at = entries.findIndex((e) => e.name === 'Avena Sativa Kernel Extract')
    // a name cannot weigh more than its line: 0.8 % is below 1 % for sure
    expect(at).toBeGreaterThanOrEqual(label(sure).list.belowOneFrom!)
  })
  it('tells nothing of the carrier of a solution that is not in water', () => {
    const f = formula([
      phase('Oil', 'oil', [
        ['squalane', 'fill'],
        ['retinol', 2, { strengthPercent: 10 }],
      ]),
    ])
    expect(percents(f)['Retinol']).toBeCloseTo(0.2, 9)
    expect(label(f).list.unnamed).toBeCloseTo(1.8, 9)
    expect(label(f).missing).toContain('make-up of retinol')
  })
  it('lets any order begin below 1 %, in the US and Canada at 1 %', () => {
    const f = gel([['panthenol', 1], ['glycerin', 3]]) // prettier-ignore
    const from = (region: LabelRegion) =>
      label(f, region).list.entries[label(f, region).list.belowOneFrom!]!.name
    expect(from('EU')).toBe('Phenoxyethanol')
    expect(from('UK')).toBe('Phenoxyethanol')
    expect(from('US')).toBe('Panthenol')
    expect(from('CA')).toBe('Panthenol')
    expect(label(simple([['glycerin', 40]])).list.belowOneFrom).toBeNull()
  })
  it('says for each name of a formula of 100 % nothing when a line has no amount', () => {
    expect(names(simple([['glycerin'], ['panthenol', 1]]))).toEqual(['Aqua', 'Panthenol'])
  })
})

describe('names by region', () => {
  const f = formula([
    phase('Water', 'water', [['aqua', 'fill'], ['glycerin', 3]]),
    phase('Oil', 'oil', [['jojoba oil', 6], ['beeswax', 2], ['carnauba wax', 1.5]]),
    phase('Cool', 'cool-down', [PRESERVED, ['fragrance', 0.3], ['red iron oxide', 0.2], ['black iron oxide', 0.1]]),
  ]) // prettier-ignore
  it.each([
    ['EU', ['Aqua', 'Simmondsia Chinensis Seed Oil', 'Cera Alba', 'Copernicia Cerifera Cera', 'Parfum', 'CI 77491']],
    ['UK', ['Aqua', 'Parfum', 'CI 77499']],
    ['CA', ['Aqua', 'Cera Alba', 'Parfum']],
    ['US', ['Water', 'Simmondsia Chinensis (Jojoba) Seed Oil', 'Beeswax', 'Copernicia Cerifera (Carnauba) Wax', 'Fragrance', 'Iron Oxides']],
    ['other', ['Aqua (Water)', 'Parfum (Fragrance)']],
  ] as const)('%s', (region, wanted) => expect(names(f, region)).toEqual(expect.arrayContaining([...wanted]))) // prettier-ignore
  it('sums iron oxides to one name in the US', () => {
    expect(names(f, 'US').filter((n) => n === 'Iron Oxides')).toHaveLength(1)
    expect(percents(f, 'US')['Iron Oxides']).toBeCloseTo(0.3, 9)
  })
  it('takes the longer Latin name before the shorter', () => {
    expect(names(gel([['citrus aurantium dulcis peel oil', 0.2]]), 'US')).toContain(
      'Citrus Aurantium Dulcis (Orange) Peel Oil',
    )
  })
})

describe('fragrance allergens', () => {
  const LINALOOL = [{ inci: 'Linalool', percent: 35 }, { inci: 'Coumarin', percent: 0.5 }] // prettier-ignore
  const lavender = (percent: number, extra: Extra = {}) =>
    gel([['lavender oil', percent, { custom: { contains: LINALOOL } }]], extra)
  it('are named above 0.001 % left on and 0.01 % rinsed off', () => {
    // 0.05 % lavender with 35 % linalool: 0.0175 %; its 0.5 % coumarin: 0.00025 %.
    const off = { product: { kind: 'cleanser', rinse: 'rinse-off', region: 'EU' } } as const
    for (const f of [lavender(0.05), lavender(0.05, off)]) {
      expect(label(f).list.allergens).toContain('Linalool')
      expect(label(f).list.allergens).not.toContain('Coumarin')
      expect(names(f)).toContain('Linalool')
    }
    expect(label(lavender(0.02, off)).list.allergens).not.toContain('Linalool')
  })
  it('are summed over oils: two with 0.0006 % limonene each name it in what stays on', () => {
    const some = (inci: string) => ({ custom: { contains: [{ inci, percent: 6 }] } })
    const f = gel([['orange oil', 0.01, some('D-Limonene')], ['lemon oil', 0.01, some('Limonene')]]) // prettier-ignore
    expect(label(f).list.allergens).toContain('Limonene')
    const one = gel([['orange oil', 0.01, some('Limonene')]])
    expect(label(one).list.allergens).not.toContain('Limonene')
  })
  it('bear one name for all of a group', () => {
    const f = gel([['rosemary oil', 0.1, { custom: { contains: [{ inci: 'Alpha-Pinene', percent: 10 }, { inci: 'Beta-Pinene', percent: 5 }] } }]]) // prettier-ignore
    expect(label(f).list.allergens.filter((n) => /pinene/i.test(n))).toEqual(['Pinene'])
  })
  it('stand once where they are an ingredient too', () => {
    const f = simple([['benzyl alcohol', 0.9], ['glycerin', 3]]) // prettier-ignore
    expect(label(f).list.allergens).toEqual(['Benzyl Alcohol'])
    expect(names(f).filter((n) => n === 'Benzyl Alcohol')).toHaveLength(1)
  })
  it('are named on no guess: the analysis is asked for by the name on the line', () => {
    const f = gel([['lavender oil', 0.3]])
    expect(label(f).list.allergens.filter((n) => n !== 'Lavandula Oil/Extract')).toEqual([])
    expect(label(f).missing).toContain('analysis of lavender oil')
    expect(label(f, 'US').missing).not.toContain('analysis of lavender oil')
  })
  it('are those of 2003 in the UK and none in the US', () => {
    const f = gel([['peppermint oil', 0.2, { custom: { contains: [{ inci: 'Menthol', percent: 40 }, { inci: 'Limonene', percent: 3 }] } }]]) // prettier-ignore
    expect(label(f, 'UK').list.allergens).toEqual(['Limonene'])
    expect(label(f, 'EU').list.allergens).toEqual(expect.arrayContaining(['Menthol', 'Limonene']))
    expect(label(f, 'US').list.allergens).toEqual([])
  })
})

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
    ['children-under-3', 'IPBC rinsed off', simple([['iodopropynyl butylcarbamate', 0.01]], { product: { kind: 'cleanser', rinse: 'rinse-off' } })], // prettier-ignore
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
    expect(text(gel([['retinol', 0.1]]), 'vitamin-a')).toBe('Contains Vitamin A. Consider your daily intake before use.')
    expect(text(gel([['salicylic acid', 1]]), 'children-under-3')).toBe('Not to be used for children under 3 years of age.')
    expect(text(gel([['glycolic acid', 5]]), 'sun-aha', 'US')).toMatch(/^Sunburn Alert: This product contains an alpha hydroxy acid \(AHA\) that may increase/)
    expect(text(simple([['dmdm hydantoin', 0.3]]), 'formaldehyde')).toBe('releases formaldehyde')
  }) // prettier-ignore
  it('count acids together, as what they are and not as they are supplied', () => {
    const both = gel([['glycolic acid', 0.9, { strengthPercent: 70 }], ['lactic acid', 0.6, { strengthPercent: 80 }]]) // prettier-ignore
    expect(codes(both)).toContain('sun-aha')
    expect(codes(gel([['glycolic acid', 1.3, { strengthPercent: 70 }]]))).not.toContain('sun-aha')
  })
  it('for the eye area say to keep it out of the eye', () => {
    expect(text(gel([['glycerin', 2]], { product: { site: 'eye' } }), 'eye-avoid')).toContain(
      'out of the eye itself',
    )
  })
  it('read the traits of a maker’s own material', () => {
    const own = { custom: { inci: ['Harbour Salicylate Complex'], functions: ['skin conditioning'], facts: { traits: ['salicylate' as const] } } } // prettier-ignore
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
    for (const words of [...LABEL.statements.map((s) => s.text), ...Object.values(LABEL.directions)])
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
    const f = simple([['sodium benzoate', 0.5], ['potassium sorbate', 0.3]], { targetPh: { min: 7, max: 7.4 } }) // prettier-ignore
    expect(kept(f)).toEqual([0.25, 0.25])
    expect(useWithin(assess(f)).why).toContain('as fresh until that is mended')
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
    const with2 = (percent: number) => formula([phase('Oil', 'oil', [['jojoba oil', 'fill'], ['rosehip oil', percent]])]) // prettier-ignore
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
    expect(u.why).toContain('squalane')
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
    expect(claiming(['vegan', 'fragrance-free', 'soft and light'])).toEqual(['vegan', 'fragrance-free', 'soft and light'])) // prettier-ignore
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

describe('what is missing', () => {
  it('is what the law of the region asks', () => {
    const f = gel([['glycerin', 3]], { product: { kind: 'other' } })
    const missing = (region: LabelRegion, wish = {}) => labelOf(assess(f), { region, ...wish }).missing
    expect(missing('EU')).toEqual(['name and address', 'content', 'batch code', 'function'])
    expect(missing('US')).toEqual(['name and address', 'content', 'function'])
    expect(missing('CA')).toEqual(['name and address', 'content', 'function', 'second language'])
    const told = { address: 'Quay 4, Harbour Town', grams: 50, batchCode: 'QT-1126', function: 'Hand gel' }
    expect(missing('EU', told)).toEqual([])
    expect(missing('CA', { ...told, secondLanguage: true })).toEqual([])
  })
})

describe('over many formulas', () => {
  const REGIONS = ['EU', 'UK', 'US', 'CA', 'other'] as const
  const holdsFor = (f: Formula, region: LabelRegion) => {
    const { list: l } = label(f, region)
    const own = l.entries.filter((e) => !e.allergen && !/Oil\/Extract$/.test(e.name))
    const low = own.reduce((sum, e) => sum + e.low, 0) + l.unnamed
    const high = own.reduce((sum, e) => sum + e.high, 0) + l.unnamed
    const total = assess(f).lines.reduce((sum, x) => sum + Math.max(0, x.percent), 0)
    expect(low).toBeLessThanOrEqual(total + 1e-6)
    expect(high).toBeGreaterThanOrEqual(total - 1e-6)
    // no inversion among what is known and not below 1 %
    const above = l.entries.filter((e) => !e.colour && e.percent !== null && e.percent >= 1).map((e) => e.percent!) // prettier-ignore
    expect(above).toEqual([...above].sort((x, y) => y - x))
    expect(new Set(l.entries.map((e) => e.name)).size).toBe(l.entries.length)
    const from = l.belowOneFrom
    if (from !== null)
      for (const e of l.entries.slice(from)) if (!e.colour) expect(e.high).toBeLessThan(1 + 1e-6)
  }
  it('holds for each of some hundred products in each region', () => {
    const all = [...PRODUCTS.map(([, f]) => f), ...soundRows().map(formulaOf)]
    expect(all.length).toBeGreaterThan(120)
    for (const f of all) for (const region of REGIONS) holdsFor(f, region)
  })
  it('holds for any formula, and a line split in two changes nothing', () => {
    fc.assert(
      fc.property(anyFormula, fc.constantFrom(...REGIONS), fc.nat(), (f, region, at) => {
        holdsFor(f, region)
        const lines = f.phases[0]!.lines
        const i = at % lines.length
        const cut = lines[i]!
        if (cut.percent === undefined) return
        const half = { ...cut, percent: cut.percent / 2 }
        const split = { ...f, phases: [{ ...f.phases[0]!, lines: [...lines.slice(0, i), half, half, ...lines.slice(i + 1)] }] } // prettier-ignore
        const round = (x: Formula) => list(x, region).map(([name, p]) => [name, p === null ? null : Number((p as number).toFixed(3))]) // prettier-ignore
        expect(round(split)).toEqual(round(f))
        expect(codes(split, region)).toEqual(codes(f, region))
      }),
      { numRuns: 60 },
    )
  })
  it('prints the documented shape', () => {
    const r = labelReport(assess(cream()), { region: 'US', millilitres: 50 }) as Record<string, unknown>
    expect(Object.keys(r)).toEqual(['ingredients', 'belowOneFrom', 'mayContain', 'allergens', 'statements', 'directions', 'useWithin', 'missing']) // prettier-ignore
    expect(r['mayContain']).toEqual([])
  })
})
