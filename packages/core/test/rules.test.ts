import { findingText } from '../src/words/index.ts'
import { describe, expect, it } from 'vitest'
import { assess, type Formula } from '../src/index.ts'
import { codes, cream, formula, only, phase, PRESERVED, simple } from './helpers.ts'

describe('sums over lines and blends', () => {
  it('two sources of one preservative are one dose', () => {
    const f = simple([
      ['phenoxyethanol', 0.5],
      ['phenoxyethanol, ethylhexylglycerin', 0.8],
    ])
    const [cap] = only(f, 'legal.above-cap')
    expect(findingText(cap!).message).toContain('1.22')
    expect(cap!.materials).toEqual(['phenoxyethanol', 'phenoxyethanol-ethylhexylglycerin'])
    expect(only(f, 'usage.above-max').map((x) => x.materials[0])).toContain('phenoxyethanol')
  })

  it('a solution counts by its strength', () => {
    const cetrimonium = (strengthPercent?: number) =>
      codes(
        simple([['cetrimonium chloride', 2, strengthPercent ? { strengthPercent } : {}], PRESERVED], {
          product: { site: 'hair' },
        }),
      )
    expect(cetrimonium()).not.toContain('legal.above-cap')
    expect(cetrimonium(60)).toContain('legal.above-cap')
  })

  it("a maker's own mixture is taken apart", () => {
    const f = simple([
      [
        'quay blend',
        2,
        {
          custom: {
            functions: ['preservative'],
            parts: [
              { material: 'phenoxyethanol', percent: 60 },
              { material: 'caprylyl glycol', percent: 40 },
            ],
          },
        },
      ],
    ])
    expect(codes(f)).not.toContain('preservative.missing')
    expect(codes(f)).not.toContain('preservative.unidentified')
    expect(findingText(only(f, 'legal.above-cap')[0]!).message).toContain('1.2')
  })

  it('a fatty alcohol inside a wax counts in its sum', () => {
    const found = only(
      cream({
        oil: [
          ['squalane', 8],
          ['behentrimonium methosulfate wax, 25 %', 8],
          ['cetearyl alcohol', 4],
        ],
      }),
      'usage.above-max',
    )
    expect(found.map((x) => x.materials)).toContainEqual(['cetearyl-alcohol'])
  })
})

describe('pH windows', () => {
  const shared = (f: Formula) => assess(f).ph.shared
  it('are narrowed by what works and what holds', () => {
    expect(shared(cream({ cool: [PRESERVED, ['niacinamide', 4]] }))).toEqual({ min: 4, max: 7 })
    expect(shared(simple([['carbomer', 0.3], PRESERVED]))).toEqual({ min: 5, max: 9 })
  })
  it('are never narrowed by what only prefers', () => {
    expect(
      shared(simple([PRESERVED, ['panthenol', 2], ['allantoin', 0.3], ['sodium hyaluronate', 0.2]])),
    ).toEqual({ min: 3, max: 10 })
  })
  it('take partners of one preservative system together', () => {
    expect(
      shared(
        simple([
          ['sodium benzoate', 0.4],
          ['potassium sorbate', 0.3],
        ]),
      ),
    ).toEqual({ min: 3, max: 5 })
    expect(shared(simple([PRESERVED, ['potassium sorbate', 0.2]]))).toEqual({ min: 3, max: 10 })
  })
  it('are null where nothing asks or nothing agrees', () => {
    expect(shared(formula([phase('A', 'oil', [['squalane', 100]])]))).toBeNull()
    expect(shared(simple([['sodium ascorbyl phosphate', 2], ['salicylic acid', 1], PRESERVED]))).toBeNull()
  })
  it("follow the maker's own facts before the catalogue's", () => {
    expect(shared(simple([['niacinamide', 4, { custom: { ph: { min: 5, max: 7 } } }], PRESERVED]))).toEqual({
      min: 5,
      max: 7,
    })
  })
})

describe('regions', () => {
  it('other shows the strictest law and says so', () => {
    const [cap] = only(simple([['homosalate', 9]], { product: { region: 'other' } }), 'legal.above-cap')
    expect(findingText(cap!).message).toContain('7.34')
    expect(findingText(cap!).why).toContain('Look up your own')
  })
  it('the US has no cap on phenoxyethanol, but an opinion', () => {
    expect(
      only(simple([['phenoxyethanol', 1.5]], { product: { region: 'US' } }), 'legal.above-cap').map(
        (f) => f.severity,
      ),
    ).toEqual(['check'])
  })
  it('a rule to come is only a note', () => {
    const found = only(formula([phase('A', 'oil', [['cyclopentasiloxane', 100]])]), 'legal.above-cap')
    expect(found.map((f) => f.severity)).toEqual(['note'])
  })
})

describe('pH conditions of an opinion', () => {
  const asked = (ph: number) =>
    only(
      simple([['glycolic acid', 6], ['sclerotium gum', 0.4], PRESERVED], {
        product: { region: 'US' },
        targetPh: { min: ph, max: ph },
      }),
      'legal.above-cap',
    )
  it('are checked when a pH is known', () => {
    expect(asked(3).map((f) => f.severity)).toEqual(['check'])
    expect(findingText(asked(3)[0]!).message).toContain('3.5')
    expect(asked(3.6)).toEqual([])
  })
})

describe('water that goes by another name', () => {
  it.each([
    ['galactomyces ferment filtrate', 90],
    ['linum usitatissimum seed extract', 90],
    ['aloe barbadensis leaf juice', 90],
    ['hamamelis virginiana water', 90],
  ])('%s wants a preservative', (material, percent) => {
    expect(
      codes(
        formula([
          phase('A', 'water', [
            [material, percent],
            ['glycerin', 10],
          ]),
        ]),
      ),
    ).toContain('preservative.missing')
  })
  it('counts a juice that only the maker knows', () => {
    const f = formula([
      phase('A', 'water', [
        ['garden juice', 60, { custom: { inci: ['cucumis sativus juice'] } }],
        ['glycerin', 40],
      ]),
    ])
    expect(assess(f).waterPercent).toBe(60)
    expect(codes(f)).toContain('preservative.missing')
  })
  it('does not take a powder or a plant oil for water', () => {
    const f = formula([
      phase('A', 'oil', [
        ['squalane', 99],
        ['aloe powder, 100-fold', 1],
      ]),
    ])
    expect(assess(f).waterPercent).toBe(0)
  })
})

describe('alkali above its usual range', () => {
  const severity = (lines: Parameters<typeof simple>[0]) =>
    only(simple(lines), 'usage.above-max').map((f) => f.severity)
  it('is a note where acid uses it up and a check where it does not', () => {
    expect(severity([['mandelic acid', 8], ['sodium hydroxide', 1.4], PRESERVED])).toEqual(['note'])
    expect(severity([['sodium hydroxide', 1.4], PRESERVED])).toEqual(['check'])
  })
})
