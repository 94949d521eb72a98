import { findingText } from '../src/words/index.ts'
// Facts of materials that are easy to get wrong, each with where it comes from; all from memory.
import { describe, expect, it } from 'vitest'
import { assess, catalogue, findAll } from '../src/index.ts'
import { cream, findingsOf, only, PRESERVED, simple } from './helpers.ts'

const m = (name: string) => catalogue.find(name)!
const traits = (name: string) => m(name).traits ?? []

describe('a fact of a material', () => {
  it('what burns: witch hazel only where it is kept in alcohol (common practice)', () => {
    expect(traits('witch hazel distillate')).not.toContain('flammable')
    expect(traits('alcoholic witch hazel')).toContain('flammable')
  })
  it('what turns rancid: mango butter is one of the stabler fats (handbooks of oils)', () => {
    expect([undefined, 'slow']).toContain(m('mango butter').oxidation)
    expect(m('rosehip seed oil').oxidation).toBe('fast')
    expect(
      findingsOf(
        cream({
          oil: [
            ['mango butter', 12],
            ['olivate emulsifier', 4],
          ],
        }),
      ).map((x) => x.code),
    ).not.toContain('oxidation.no-antioxidant')
  })
  it('what melts: kojic dipalmitate about 92 °C (supplier sheets)', () =>
    expect(m('kojic dipalmitate').meltsC).toBe(92))
  it('what needs a slurry: hyaluronate swells by itself (common practice)', () => {
    expect(m('sodium hyaluronate').slurry).toBeUndefined()
    expect(m('xanthan gum').slurry).toBeDefined()
  })
  it('niacinamide works at 4 to 7 and is never a stop (Finholt & Higuchi 1962)', () => {
    expect(m('niacinamide').ph).toMatchObject({ min: 4, max: 7, soft: true })
    const sour = simple([['niacinamide', 4], ['glycolic acid', 5], PRESERVED], {
      targetPh: { min: 3.5, max: 3.8 },
    })
    expect(findingsOf(sour).filter((x) => x.severity === 'stop')).toEqual([])
  })
  it('carbomer takes 0.4 parts of lye or 1.5 of triethanolamine: equal moles (40.0 and 149.2 g/mol)', () => {
    const [found] = only(
      simple([['carbomer', 0.4], ['glycerin', 3], PRESERVED]),
      'thickener.needs-neutralising',
    )
    expect(findingText(found!).why).toMatch(/0\.4 part/)
    expect(findingText(found!).why).toMatch(/1\.5 parts/)
    expect((0.4 * 149.2) / 40).toBeCloseTo(1.5, 1)
  })
  // Molar masses: CRC Handbook. The rest of each is water of its crystals.
  it.each([
    ['sodium citrate', 258.07 / 294.1],
    ['magnesium sulfate', 120.37 / 246.47],
    ['sodium phosphate', 119.98 / 137.99],
    ['disodium phosphate', 141.96 / 177.99],
  ])('%s is sold with its water of crystals', (name, share) => {
    expect(m(name).strengthPercent! / 100).toBeCloseTo(share, 3)
  })
  it('potassium hydroxide is sold at 85 to 90 %, and may be told', () => {
    expect(m('potassium hydroxide').strengthPercent).toBeGreaterThanOrEqual(85)
    expect(m('potassium hydroxide').strengthPercent).toBeLessThanOrEqual(90)
    const pure = assess(
      simple([
        ['carbomer', 0.3],
        ['potassium hydroxide', 0.2, { strengthPercent: 100 }],
      ]),
    )
    const sold = assess(
      simple([
        ['carbomer', 0.3],
        ['potassium hydroxide', 0.2],
      ]),
    )
    expect(pure.substances.get('potassium-hydroxide')!.percent).toBeGreaterThan(
      sold.substances.get('potassium-hydroxide')!.percent,
    )
  })
  it('what is banned has no usual range', () => {
    expect(findAll(assess(simple([['hydroquinone', 2], PRESERVED]))).map((x) => x.code)).not.toContain(
      'usage.above-max',
    )
  })
  it('HLB is no guide to a blend that emulsifies by itself (Griffin 1949)', () => {
    expect(m('glyceryl stearate, peg-100 stearate').emulsifier!.hlbSound).not.toBe('yes')
    expect(
      only(
        cream({
          oil: [
            ['mineral oil', 15],
            ['glyceryl stearate, peg-100 stearate', 5],
            ['cetyl alcohol', 2],
          ],
        }),
        'emulsion.hlb-mismatch',
      ),
    ).toEqual([])
  })
})
