import { findingText } from '../src/words/index.ts'
// What earlier versions said wrongly, held right. Sources beside each; values are from memory of what is named.
import { describe, expect, it } from 'vitest'
import { assess, findAll, phNotTold, type Formula } from '../src/index.ts'
import { catalogue } from '../src/materials/catalogue.ts'
import { cream, PRESERVED, simple } from './helpers.ts'

const found = (f: Formula, code: string) => findAll(assess(f)).filter((x) => x.code === code)
const ph = (f: Formula) => assess(f).predictedPh!

describe('law', () => {
  it.each([
    'diethylamino hydroxybenzoyl hexyl benzoate',
    'ethylhexyl triazone',
    'bis-ethylhexyloxyphenol methoxyphenyl triazine',
  ])('%s is no sunscreen active of the US monograph (21 CFR 352), and is one of the EU', (filter) => {
    const of = (region: 'US' | 'EU') =>
      found(
        cream(
          {
            oil: [
              ['squalane', 14],
              ['olivate emulsifier', 4],
              [filter, 2],
            ],
          },
          { product: { region } },
        ),
        'legal.prohibited',
      )
    expect(of('US').map((f) => f.severity)).toEqual(['check'])
    expect(of('EU')).toEqual([])
  })
  it.each(['retinoic acid', 'oxybenzone', 'bronopol'])(
    '%s is caught by the law under the name that people use',
    (name) => {
      const said = findAll(assess(simple([[name, 20], PRESERVED]))).map((f) => f.code)
      expect(said.some((code) => code.startsWith('legal.'))).toBe(true)
    },
  )
})

describe('names', () => {
  // Common practice.
  it.each([
    ['epsom salt', 'magnesium-sulfate'],
    ['PEG-100 stearate, glyceryl stearate', 'glyceryl-stearate-peg-100-stearate'],
    ['ceteareth-20', 'ceteareth-20'],
  ])('%s is %s', (name, id) => expect(catalogue.find(name)?.id).toBe(id))
})

describe('pH', () => {
  // Amines and acids by their constants (CRC Handbook, makers' papers, from memory): within half a unit.
  it.each([
    ['sodium hydroxymethylglycinate', 0.8, 9.6, 10.7],
    ['glutathione', 2, 2.9, 2.9],
  ])('%s %s %% lies near %s to %s', (material, percent, low, high) => {
    const { value } = ph(simple([[material, percent]]))
    expect(value).toBeGreaterThan(low - 0.5)
    expect(value).toBeLessThan(high + 0.5)
  })
  it('a weak base in water stands in air, not in a fixed sum of carbonic acid', () => {
    expect(ph(simple([['niacinamide', 5]])).value).toBeCloseTo(7.1, 0)
  })
  it('a name that nobody knows widens the band, and never narrows it', () => {
    const width = (f: Formula) => ph(f).high - ph(f).low
    const known = simple([
      ['lactic acid', 0.5],
      ['glycerin', 5],
    ])
    const unknown = simple([
      ['lactic acid', 0.5],
      ['glycerin', 5],
      ['moon dust', 5],
    ])
    expect(width(unknown)).toBeGreaterThan(width(known) + 0.1)
  })
})

describe('a line whose acid or alkali is not known', () => {
  const told = (f: Formula) => assess(f).lines.map((l) => phNotTold(l, assess(f).waterPercent) !== null)
  const own = { functions: ['extract'], inci: ['Moon Dust Extract'] }
  it('says so where there is much of it, and not where its constants are told', () => {
    expect(told(simple([['moon dust', 10]]))[1]).toBe(true)
    expect(told(simple([['moon dust', 0.1]]))[1]).toBe(false)
    const acidBase = { molarMass: 150, pKa: [4], chargeFullyProtonated: 0, counterIonCharge: 0 }
    expect(told(simple([['moon dust', 10, { custom: { ...own, acidBase } }]]))[1]).toBe(false)
    expect(told(simple([['lactic acid', 10]]))[1]).toBe(false)
  })
})

describe('what goes into water with a glycol', () => {
  // Log-linear cosolvency (Yalkowsky): each is a cosolvent of its own constants.
  it.each(['dimethyl isosorbide', 'ethoxydiglycol', 'pentylene glycol', 'isopropyl alcohol'])(
    '%s holds more salicylic acid than water does',
    (solvent) => {
      const limit = (f: Formula) => assess(f).solubility.find((s) => s.key === 'salicylic-acid')!.limit
      expect(
        limit(
          simple([
            ['salicylic acid', 0.5],
            [solvent, 10],
          ]),
        ),
      ).toBeGreaterThan(limit(simple([['salicylic acid', 0.5]])) * 1.2)
    },
  )
})

describe('charges', () => {
  // Common practice: a preservative of positive charge is taken up by what is negative.
  it.each(['polyaminopropyl biguanide', 'benzalkonium chloride'])(
    '%s is bound by carbomer and xanthan',
    (preservative) => {
      const said = (gum: string) =>
        findAll(
          assess(
            simple([
              [preservative, 0.1],
              [gum, 0.3],
            ]),
          ),
        ).map((f) => f.code)
      for (const gum of ['carbomer', 'xanthan gum'])
        expect(
          said(gum).some((code) => ['charge.clash', 'stability.incompatible'].includes(code)),
          gum,
        ).toBe(true)
      expect(
        said('hydroxyethylcellulose').some((code) =>
          ['charge.clash', 'stability.incompatible'].includes(code),
        ),
      ).toBe(false)
    },
  )
})

describe('cautions', () => {
  it('acids that thin the horny layer warn of the sun; salicylates have words of their own', () => {
    const words = (acid: string) =>
      findAll(assess(simple([[acid, 2], PRESERVED])))
        .filter((f) => f.code.startsWith('safety.'))
        .map((f) => `${findingText(f).message} ${findingText(f).why}`)
        .join(' ')
    expect(words('glycolic acid')).toMatch(/sun/i)
    expect(words('salicylic acid')).not.toBe(words('glycolic acid'))
  })
})
