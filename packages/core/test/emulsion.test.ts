import { guideText } from '../src/words/index.ts'
import { findingText, choiceText } from '../src/words/index.ts'
// The make-up of an emulsion, the guides that hold for it, and choosing what carries or thickens it.
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  applyEdit,
  assess,
  catalogue,
  computeAmounts,
  emulsifierCandidates,
  emulsionProfile,
  findAll,
  thickenerCandidates,
  type Formula,
} from '../src/index.ts'
import { emulsifierDose } from '../src/choose/emulsifiers.ts'
import { highShareFor, spreadOf } from '../src/feel/profile.ts'
import { cream, formula, phase, simple } from './helpers.ts'

const profileOf = (f: Formula) => emulsionProfile(assess(f), (id) => catalogue.find(id))
const material = (id: string) => catalogue.find(id)!

describe('HLB values of the catalogue against Griffin', () => {
  // Griffin 1954, J. Soc. Cosmet. Chem. 5, 249: for ethoxylated alcohols HLB is a fifth of the percent of oxyethylene.
  const ETHYLENE_OXIDE = 44.05
  const ethoxylate = (alcohol: number, units: number) =>
    (20 * units * ETHYLENE_OXIDE) / (alcohol + units * ETHYLENE_OXIDE)
  it.each([
    ['steareth-2', 270.49, 2],
    ['steareth-21', 270.49, 21],
  ])('%s by its oxyethylene', (id, alcohol, units) =>
    expect(material(id).emulsifier!.hlb).toBeCloseTo(ethoxylate(alcohol, units), 0),
  )
  // The same paper: 20 (1 − S/A) for esters of polyols, with its own saponification and acid numbers.
  it.each([
    ['polysorbate-20', 45.5, 276],
    ['glyceryl-stearate', 161, 198],
  ])('%s by its saponification', (id, saponification, acid) =>
    expect(Math.abs(material(id).emulsifier!.hlb! - 20 * (1 - saponification / acid))).toBeLessThan(0.15),
  )
  // The HLB System, ICI Americas 1976, required HLB for oil in water; from memory, good to 1.
  it.each([
    ['ricinus-communis-seed-oil', 14],
    ['isopropyl-myristate', 11.5],
    ['cera-alba', 9],
    ['petrolatum', 7],
    ['lanolin', 10],
    ['stearic-acid', 15],
    ['cetyl-alcohol', 15],
  ])('%s wants about %s', (id, wanted) =>
    expect(Math.abs(material(id).requiredHlb!.value - wanted)).toBeLessThanOrEqual(1),
  )
})

describe('blending by HLB, Griffin 1949', () => {
  // Worked examples of the textbooks: an oil that wants 12 from polysorbate 80 (15.0) and sorbitan oleate (4.3) takes
  // 72 % of the former; 10.7 is 60 %.
  it.each([
    [12, 4.3, 15, 72],
    [10.72, 4.3, 15, 60],
    [4.3, 4.3, 15, 0],
    [15, 4.3, 15, 100],
  ])('%s from %s and %s: %s %% of the higher', (wanted, low, high, share) =>
    expect(highShareFor(wanted, low, high)).toBeCloseTo(share, 0),
  )
  it('cannot leave the span of the pair', () => {
    expect(highShareFor(3, 4.3, 15)).toBeNull()
    expect(highShareFor(16, 4.3, 15)).toBeNull()
    expect(highShareFor(5, 5, 5)).toBeNull()
  })
  it('is one of the two alone where that is wanted, past it by a rounding too', () => {
    expect(highShareFor(10.000000000000014, 1.53, 10)).toBe(100)
    expect(highShareFor(1.5299999999999998, 1.53, 10)).toBe(0)
    expect(highShareFor(10.0001, 1.53, 10)).toBeNull()
  })
  it('meets what is wanted, whatever the pair', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 9, noNaN: true }),
        fc.double({ min: 10, max: 19, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (low, high, at) => {
          const wanted = low + at * (high - low)
          const share = highShareFor(wanted, low, high)! / 100
          expect(share * high + (1 - share) * low).toBeCloseTo(wanted, 9)
        },
      ),
    )
  })
  it('offers classic pairs that really have the HLB', () => {
    const profile = profileOf(cream())!
    expect(profile.pairs.length).toBeGreaterThan(1)
    for (const pair of profile.pairs) {
      const total = pair.lowPercent + pair.highPercent
      const hlb =
        (pair.lowPercent * pair.low.emulsifier!.hlb! + pair.highPercent * pair.high.emulsifier!.hlb!) / total
      expect(hlb).toBeCloseTo(assess(cream()).emulsion!.requiredHlb!, 6)
      expect(total).toBeCloseTo(4, 6)
    }
  })
})

describe('the profile', () => {
  // Common practice: isoamyl laurate and dry esters vanish, castor oil stays.
  it('knows fast oils from slow ones', () => {
    expect(spreadOf(material('coco-caprylate'))).toBe('fast')
    expect(spreadOf(material('ricinus-communis-seed-oil'))).toBe('slow')
  })
  it('adds up to the oils', () => {
    const f = cream({
      oil: [
        ['coco-caprylate', 5],
        ['shea butter', 6],
        ['castor oil', 2],
        ['olivate emulsifier', 4],
      ],
    })
    const p = profileOf(f)!
    const { spread } = p
    expect(spread.fast + spread.medium + spread.slow + spread.unknown).toBeCloseTo(13, 9)
    expect(p.solidPercent + p.softPercent).toBeCloseTo(13, 9)
    expect(p.solidPercent).toBeCloseTo(6, 9)
    expect(p.softensAtC).toBe(35)
  })
  it('says which guide holds and which does not', () => {
    const holds = (f: Formula) =>
      Object.fromEntries(profileOf(f)!.guides.map((g) => [guideText(g).name, g.applies]))
    expect(holds(cream())).toMatchObject({ HLB: false, 'Share of the oil phase': true })
    const pair: [string, number][] = [
      ['caprylic/capric triglyceride', 14],
      ['polysorbate 60', 2.5],
      ['sorbitan stearate', 2],
    ]
    expect(holds(cream({ oil: pair }))).toMatchObject({ HLB: true })
    const inverse: [string, number][] = [
      ['squalane', 25],
      ['polyglyceryl-3 diisostearate', 4],
    ]
    expect(holds(cream({ oil: inverse }))).toMatchObject({ HLB: false })
  })
  it('says where the formula keeps to a guide and where it is outside', () => {
    const met = (emulsifier: number) => {
      const oil: [string, number][] = [
        ['caprylic/capric triglyceride', 20],
        ['olivate emulsifier', emulsifier],
      ]
      return Object.fromEntries(profileOf(cream({ oil }))!.guides.map((g) => [guideText(g).name, g.met]))
    }
    expect(met(5)).toEqual({ 'Share of the oil phase': true, 'Usage rate': true, HLB: null })
    expect(met(1)).toEqual({ 'Share of the oil phase': false, 'Usage rate': false, HLB: null })
  })
  it('warns of a fast-setting emulsifier in a butter, not in a lotion', () => {
    const butter: [string, number][] = [
      ['shea butter', 25],
      ['caprylic/capric triglyceride', 12],
      ['olivate emulsifier', 8],
    ]
    const lotion: [string, number][] = [
      ['caprylic/capric triglyceride', 8],
      ['olivate emulsifier', 3],
    ]
    expect(profileOf(cream({ oil: butter }))!.notes).toContain('sets-thick')
    expect(profileOf(cream({ oil: lotion }))!.notes).not.toContain('sets-thick')
  })
  it('is none without oils or without water', () => {
    expect(profileOf(simple([['glycerin', 5]]))).toBeNull()
    expect(profileOf(formula([phase('Oil', 'oil', [['squalane', 100]])]))).toBeNull()
  })
})

describe('choosing what carries it', () => {
  const best = (f: Formula) => emulsifierCandidates(assess(f), catalogue)
  const of = (f: Formula, id: string) => best(f).find((c) => c.material.id === id)!

  it('takes the amount from its share of the oil phase, more than its usual range where the oils ask for it', () => {
    // 15–25 % of the oil phase: with 16 % of oils 4 % of emulsifier is 20 %.
    expect(emulsifierDose(material('glyceryl-stearate-peg-100-stearate'), 16)).toBeCloseTo(4, 1)
    expect(emulsifierDose(material('glyceryl-stearate-peg-100-stearate'), 60)).toBe(15)
    expect(emulsifierDose(material('potassium-cetyl-phosphate'), 1)).toBe(0.5)
  })
  it('puts what works before what does not, and the one in use among them', () => {
    const list = best(cream())
    const ranks = list.map((c) => c.stops * 1000 + c.checks)
    expect([...ranks].sort((x, y) => x - y)).toEqual(ranks)
    expect(list.filter((c) => c.current).map((c) => c.material.id)).toEqual([
      'cetearyl-olivate-sorbitan-olivate',
    ])
  })
  it('does what it says: the swap brings and settles just those findings, at 100 %', () => {
    const f = cream(
      {
        water: [
          ['xanthan gum', 0.3],
          ['lactic acid', 3],
        ],
      },
      { targetPh: { min: 3.6, max: 4 } },
    )
    const a = assess(f)
    for (const c of emulsifierCandidates(a, catalogue)) {
      if (c.current) continue
      const next = applyEdit(f, c.edit)
      expect(computeAmounts(next).totalPercent).toBeCloseTo(100, 9)
      const codes = findAll(assess(next)).map((x) => findingText(x).message)
      for (const b of c.brings) expect(codes).toContain(findingText(b).message)
      for (const s of c.settles)
        expect(
          findAll(assess(next)).some(
            (x) => x.code === s.code && findingText(x).message === findingText(s).message,
          ),
        ).toBe(false)
    }
  })
  it('speaks against what the acid or the charge forbids', () => {
    const acid = cream({ water: [['lactic acid', 3]] }, { targetPh: { min: 3.6, max: 3.8 } })
    expect(of(acid, 'potassium-cetyl-phosphate').reasonsAgainst.map(choiceText).join()).toContain(
      'stable only at pH 5–9',
    )
    expect(of(acid, 'potassium-cetyl-phosphate').checks).toBeGreaterThan(0)
    expect(of(acid, 'cetearyl-alcohol-ceteareth-20').checks).toBeLessThan(
      of(acid, 'potassium-cetyl-phosphate').checks,
    )
    const gummed = cream({ water: [['xanthan gum', 0.3]] })
    expect(of(gummed, 'behentrimonium-chloride').brings.map((b) => b.code)).toContain('charge.clash')
  })
  it('says when one alone is far from the HLB that is wanted', () => {
    expect(of(cream(), 'peg-100-stearate').reasonsAgainst.map(choiceText).join()).toContain(
      'needs a second emulsifier',
    )
    expect(of(cream(), 'cetearyl-glucoside-cetearyl-alcohol').reasonsAgainst).toEqual([])
  })
  it('offers water-in-oil emulsifiers for water in oil only', () => {
    const inverse = cream({
      oil: [
        ['squalane', 25],
        ['polyglyceryl-3 diisostearate', 4],
      ],
    })
    expect(best(inverse).every((c) => c.material.emulsifier!.role === 'water-in-oil')).toBe(true)
    expect(best(cream()).some((c) => c.material.emulsifier!.role === 'water-in-oil')).toBe(false)
    expect(best(simple([['glycerin', 5]]))).toEqual([])
  })
})

describe('choosing what thickens it', () => {
  const list = (f: Formula) => thickenerCandidates(assess(f), catalogue)
  // Common practice: cationic products want a nonionic gum, carbomer falls in acid and salt.
  it('prefers a nonionic gum beside a cationic emulsifier', () => {
    const hair = cream(
      {
        oil: [
          ['cetyl alcohol', 3],
          ['behentrimonium chloride', 2],
        ],
      },
      { product: { site: 'hair', rinse: 'rinse-off' } },
    )
    const top = list(hair)
      .slice(0, 5)
      .map((c) => c.material.charge)
    expect(top).not.toContain('anionic')
  })
  it('puts carbomer last where it is sour', () => {
    const sour = simple([['lactic acid', 4]], { targetPh: { min: 3.6, max: 3.8 } })
    const all = list(sour).map((c) => c.material.id)
    expect(all.indexOf('carbomer')).toBeGreaterThan(all.indexOf('hydroxyethylcellulose'))
    expect(all.indexOf('carbomer')).toBeGreaterThan(all.length / 2)
  })
  it('replaces the one in use, or adds one where the water is', () => {
    const with1 = simple([['xanthan gum', 0.3]])
    const swap = list(with1).find((c) => c.material.id === 'sclerotium-gum')!
    const swapped = applyEdit(with1, swap.edit)
    expect(swapped.phases[0]!.lines.map((l) => l.material)).toEqual(['aqua', 'sclerotium-gum'])
    const bare = simple([['glycerin', 3]])
    const added = applyEdit(bare, list(bare)[0]!.edit)
    expect(added.phases[0]!.lines).toHaveLength(3)
    expect(computeAmounts(added).totalPercent).toBeCloseTo(100, 9)
  })
})

describe('reasons for and against a thickener', () => {
  const reasons = (f: Formula, id: string) => {
    const c = thickenerCandidates(assess(f), catalogue).find((x) => x.material.id === id)!
    return [...c.reasonsFor.map(choiceText), ...c.reasonsAgainst.map((r) => `not: ${choiceText(r)}`)].join(
      '; ',
    )
  }
  it('tell clarity where there is no emulsion, and salt where there is some', () => {
    // Common practice: xanthan is hazy and holds with salt, carbomer is clear and does not.
    const toner = simple([['sodium lactate', 3]])
    expect(reasons(toner, 'xanthan-gum')).toContain('not: hazy in water')
    expect(reasons(toner, 'xanthan-gum')).toContain('tolerates the salts')
    expect(reasons(toner, 'hydroxyethylcellulose')).toContain('clear in water')
    expect(reasons(toner, 'carbomer')).not.toContain('tolerates the salts')
    expect(reasons(cream(), 'xanthan-gum')).not.toContain('hazy')
  })
})
