// The label of a jar: what stands in its list and in which order, which sentences, and how long it keeps. Rules are
// Regulation (EC) 1223/2009 Article 19 with Annexes III, V and VI, Regulation (EU) 2023/1545 and 21 CFR 701.3, all from
// memory; worked lists are made by hand from those rules.
import { missingText } from '../src/words/index.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { assess, labelOf, labelReport, type Formula, type LabelRegion } from '../src/index.ts'
import { anyFormula, cream, formula, phase, PRESERVED, simple } from './helpers.ts'
import { PRODUCTS } from './products.ts'
import { formulaOf, soundRows } from './rows.ts'
import { type Extra, label, codes, gel } from './label-helpers.ts'

const list = (f: Formula, region: LabelRegion = 'EU') =>
  label(f, region).list.entries.map((e) => [e.name, e.percent === null ? null : Number(e.percent.toFixed(4))])
const names = (f: Formula, region?: LabelRegion) => list(f, region).map(([name]) => name)
const percents = (f: Formula, region?: LabelRegion) =>
  Object.fromEntries(list(f, region)) as Record<string, number | null>

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
    const f = gel([
      ['lactic acid', 2],
      ['sodium hydroxide', 0.04],
    ])
    expect(names(f)).toEqual(expect.arrayContaining(['Lactic Acid', 'Sodium Hydroxide']))
    expect(names(f)).not.toContain('Sodium Lactate')
  })
  it('puts colours last, whatever their amount, and names mica by its number', () => {
    const f = gel([
      ['mica', 4],
      ['red iron oxide', 0.2],
      ['glycerin', 3],
    ])
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
    expect(label(f).missing.map(missingText)).toContain('make-up of my herb infusion')
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
    expect(label(f).missing.map(missingText)).toContain('make-up of retinol')
  })
  it('lets any order begin below 1 %, in the US and Canada at 1 %', () => {
    const f = gel([
      ['panthenol', 1],
      ['glycerin', 3],
    ])
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
    phase('Water', 'water', [
      ['aqua', 'fill'],
      ['glycerin', 3],
    ]),
    phase('Oil', 'oil', [
      ['jojoba oil', 6],
      ['beeswax', 2],
      ['carnauba wax', 1.5],
    ]),
    phase('Cool', 'cool-down', [
      PRESERVED,
      ['fragrance', 0.3],
      ['red iron oxide', 0.2],
      ['black iron oxide', 0.1],
    ]),
  ])
  it.each([
    [
      'EU',
      [
        'Aqua',
        'Simmondsia Chinensis Seed Oil',
        'Cera Alba',
        'Copernicia Cerifera Cera',
        'Parfum',
        'CI 77491',
      ],
    ],
    ['UK', ['Aqua', 'Parfum', 'CI 77499']],
    ['CA', ['Aqua', 'Cera Alba', 'Parfum']],
    [
      'US',
      [
        'Water',
        'Simmondsia Chinensis (Jojoba) Seed Oil',
        'Beeswax',
        'Copernicia Cerifera (Carnauba) Wax',
        'Fragrance',
        'Iron Oxides',
      ],
    ],
    ['other', ['Aqua (Water)', 'Parfum (Fragrance)']],
  ] as const)('%s', (region, wanted) => expect(names(f, region)).toEqual(expect.arrayContaining([...wanted])))
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
  const LINALOOL = [
    { inci: 'Linalool', percent: 35 },
    { inci: 'Coumarin', percent: 0.5 },
  ]
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
    const f = gel([
      ['orange oil', 0.01, some('D-Limonene')],
      ['lemon oil', 0.01, some('Limonene')],
    ])
    expect(label(f).list.allergens).toContain('Limonene')
    const one = gel([['orange oil', 0.01, some('Limonene')]])
    expect(label(one).list.allergens).not.toContain('Limonene')
  })
  it('bear one name for all of a group', () => {
    const f = gel([
      [
        'rosemary oil',
        0.1,
        {
          custom: {
            contains: [
              { inci: 'Alpha-Pinene', percent: 10 },
              { inci: 'Beta-Pinene', percent: 5 },
            ],
          },
        },
      ],
    ])
    expect(label(f).list.allergens.filter((n) => /pinene/i.test(n))).toEqual(['Pinene'])
  })
  it('stand once where they are an ingredient too', () => {
    const f = simple([
      ['benzyl alcohol', 0.9],
      ['glycerin', 3],
    ])
    expect(label(f).list.allergens).toEqual(['Benzyl Alcohol'])
    expect(names(f).filter((n) => n === 'Benzyl Alcohol')).toHaveLength(1)
  })
  it('are named on no guess: the analysis is asked for by the name on the line', () => {
    const f = gel([['lavender oil', 0.3]])
    expect(label(f).list.allergens.filter((n) => n !== 'Lavandula Oil/Extract')).toEqual([])
    expect(label(f).missing.map(missingText)).toContain('analysis of lavender oil')
    expect(label(f, 'US').missing.map(missingText)).not.toContain('analysis of lavender oil')
  })
  it('are those of 2003 in the UK and none in the US', () => {
    const f = gel([
      [
        'peppermint oil',
        0.2,
        {
          custom: {
            contains: [
              { inci: 'Menthol', percent: 40 },
              { inci: 'Limonene', percent: 3 },
            ],
          },
        },
      ],
    ])
    expect(label(f, 'UK').list.allergens).toEqual(['Limonene'])
    expect(label(f, 'EU').list.allergens).toEqual(expect.arrayContaining(['Menthol', 'Limonene']))
    expect(label(f, 'US').list.allergens).toEqual([])
  })
})

describe('what is missing', () => {
  it('is what the law of the region asks', () => {
    const f = gel([['glycerin', 3]], { product: { kind: 'other' } })
    const missing = (region: LabelRegion, wish = {}) =>
      labelOf(assess(f), { region, ...wish }).missing.map(missingText)
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
    const above = l.entries
      .filter((e) => !e.colour && e.percent !== null && e.percent >= 1)
      .map((e) => e.percent!)
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
        const split = {
          ...f,
          phases: [{ ...f.phases[0]!, lines: [...lines.slice(0, i), half, half, ...lines.slice(i + 1)] }],
        }
        const round = (x: Formula) =>
          list(x, region).map(([name, p]) => [name, p === null ? null : Number((p as number).toFixed(3))])
        expect(round(split)).toEqual(round(f))
        expect(codes(split, region)).toEqual(codes(f, region))
      }),
      { numRuns: 60 },
    )
  })
  it('prints the documented shape', () => {
    const r = labelReport(assess(cream()), { region: 'US', millilitres: 50 }) as Record<string, unknown>
    expect(Object.keys(r)).toEqual([
      'ingredients',
      'belowOneFrom',
      'mayContain',
      'allergens',
      'statements',
      'directions',
      'useWithin',
      'missing',
    ])
    expect(r['mayContain']).toEqual([])
  })
})
