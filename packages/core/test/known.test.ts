import { noteHeading, knownText } from '../src/words/index.ts'
// What is not known is said: of a line, of a cap, of an oil phase; and notes stand together by kind.
import { describe, expect, it } from 'vitest'
import { assess, catalogue, findAll, groupNotes, knownOf } from '../src/index.ts'
import { capOf } from '../src/findings/legal.ts'
import { expectedBody } from '../src/feel/body.ts'
import { emulsifierRange } from '../src/emulsion/emulsion.ts'
import { cream, findingsOf, PRESERVED, simple } from './helpers.ts'

describe('a line', () => {
  const of = (name: string) => knownOf(assess(simple([[name, 1], PRESERVED])).lines[1]!)
  it.each([
    ['glycerin', 'known'],
    ['phenoxyethanol and sorbic acid and benzyl alcohol', 'partly'],
    ['seafig fruit extract', 'inferred'],
    ['harbour thing', 'unknown'],
  ])('%s is %s', (name, how) => {
    expect(of(name).how).toBe(how)
    if (how !== 'known') expect(knownText(of(name))).toMatch(/[.]$/)
  })
  it('of unknown shares has a cap that it may pass, where all of it could be that part', () => {
    // Regulation (EC) 1223/2009 Annex V/29: phenoxyethanol 1 %.
    const a = assess(simple([['phenoxyethanol and caprylhydroxamic acid', 1.5]]))
    expect(capOf(a, 1)).toMatchObject({ maxPercent: 1, open: true })
    expect(capOf(assess(simple([['phenoxyethanol', 0.5]])), 1)!.open).toBeUndefined()
  })
})

describe('an oil phase', () => {
  const range = (name: string) =>
    assess(
      cream({
        oil: [
          ['squalane', 12],
          ['olivate emulsifier', 4],
          [name, 3],
        ],
      }),
    ).emulsion!.oilPhaseRange
  it('is a range where nobody knows whether a line is oily, with its name', () => {
    expect(range('harbour thing')).toEqual({ low: 16, high: 19, because: ['harbour thing'] })
    expect(range('seafig seed oil')).toEqual({ low: 16, high: 19, because: ['seafig seed oil'] })
    expect(range('jojoba oil')).toEqual({ low: 19, high: 19, because: [] })
  })
})

describe('body', () => {
  const log = (f: ReturnType<typeof cream>) => Math.log10(expectedBody(assess(f))!.viscosity.high)
  const gel = (water: [string, number][]) =>
    cream({
      water,
      oil: [
        ['squalane', 10],
        ['olivate emulsifier', 4],
      ],
    })
  it('counts a polymer only where it is neutralised, and salt does not take it', () => {
    const bare = log(gel([]))
    const thick = log(
      gel([
        ['carbomer', 0.4],
        ['triethanolamine', 0.4],
      ]),
    )
    expect(thick).toBeGreaterThan(bare + 0.2)
    const sour = cream(
      {
        water: [['carbomer', 0.4]],
        oil: [
          ['squalane', 10],
          ['olivate emulsifier', 4],
        ],
      },
      { targetPh: { min: 3.5, max: 4 } },
    )
    expect(log(sour)).toBeLessThan(thick - 0.2)
    expect(
      log(
        gel([
          ['carbomer', 0.4],
          ['triethanolamine', 0.4],
          ['sodium chloride', 5],
        ]),
      ),
    ).toBeLessThan(thick - 0.2)
    expect(expectedBody(assess(sour))!.because.map((x) => x.code)).toContain('idle-gums')
  })
  it('counts fatty alcohol that a wax brings along', () => {
    // Emulsifying wax is about four fifths cetearyl alcohol (common practice).
    const wax = cream({
      oil: [
        ['squalane', 12],
        ['emulsifying wax', 6],
      ],
    })
    const none = cream({
      oil: [
        ['squalane', 12],
        ['glyceryl stearate citrate', 6],
      ],
    })
    expect(log(wax)).toBeGreaterThan(log(none))
  })
  it('is never thicker than anything that was measured', () => {
    const butter = cream({
      oil: [
        ['shea butter', 50],
        ['cetyl alcohol', 10],
        ['olivate emulsifier', 8],
      ],
    })
    expect(expectedBody(assess(butter))!.viscosity.high).toBeLessThanOrEqual(5_000_000)
  })
})

describe('the range of an emulsifier', () => {
  it('grows with the oils, and never below what is usual', () => {
    const m = catalogue.find('cetearyl olivate, sorbitan olivate')!
    const of = (oils: number) => emulsifierRange(m, oils)!.max
    expect(of(5)).toBe(m.usage!.max)
    expect(of(40)).toBeGreaterThan(of(20))
  })
  it('draws no alarm for a rich cream with enough of it', () => {
    const rich = cream({
      oil: [
        ['shea butter', 20],
        ['jojoba oil', 18],
        ['olivate emulsifier', 8],
        ['tocopherol', 0.4],
      ],
    })
    expect(findingsOf(rich).map((x) => x.code)).not.toContain('usage.above-max')
  })
})

describe('notes by kind', () => {
  it('hold every finding once', () => {
    const found = findAll(
      assess(
        cream({
          water: [
            ['xanthan gum', 0.8],
            ['rose hydrosol', 20],
          ],
        }),
      ),
    )
    const groups = groupNotes(found)
    expect(new Set(groups.flatMap((g) => g.findings))).toEqual(new Set(found))
    expect(groups.flatMap((g) => g.findings)).toHaveLength(found.length)
    expect(groups.map((g) => noteHeading(g.family))).toContain('Making')
    expect(new Set(groups.map((g) => noteHeading(g.family))).size).toBe(groups.length)
    expect(groupNotes([])).toEqual([])
  })
})
