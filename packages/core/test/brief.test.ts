import { warmthText } from '../src/words/index.ts'
import { impossibleText, pickText, substituteText } from '../src/words/index.ts'
// Proposals from a brief, stand-ins for what is missing, and what body to expect.
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  assess,
  catalogue,
  coldAndWarm,
  CONSTRAINTS,
  emulsifierCandidates,
  expectedBody,
  fattyBalance,
  findAll,
  NEEDS,
  OIL_PHASE_OF,
  propose,
  substitutesFor,
  type Brief,
} from '../src/index.ts'
import { ruledOut, type BriefContext } from '../src/brief/brief.ts'
import { cream, simple } from './helpers.ts'

const BRIEF: Brief = {
  name: 'Skerry cream',
  product: { kind: 'cream', site: 'face', rinse: 'leave-on', region: 'EU' },
  batchGrams: 100,
  richness: 'cream',
  absorption: 'medium',
  feel: 'silky',
  need: 'moisture',
  constraints: [],
  actives: [],
}
const ANYTHING: BriefContext = { onShelf: new Set(), priceOf: () => null }
const proposalsFor = (changes: Partial<Brief>, context = ANYTHING) => {
  const result = propose({ ...BRIEF, ...changes }, catalogue, context)
  return result.status === 'done' ? result.proposals : []
}
const ids = (f: { phases: { lines: { material: string }[] }[] }) =>
  f.phases.flatMap((p) => p.lines.map((l) => l.material))

describe('a brief', () => {
  it('brings three different creams that are whole, balanced and without a stop', () => {
    const proposals = proposalsFor({})
    expect(proposals).toHaveLength(3)
    for (const p of proposals) {
      const a = assess(p.formula)
      expect(findAll(a).filter((f) => f.severity === 'stop')).toEqual([])
      expect(a.amounts.balanced).toBe(true)
      expect(a.emulsion!.oilPhasePercent).toBeGreaterThan(OIL_PHASE_OF.cream - 1.5)
      expect(a.emulsion!.oilPhasePercent).toBeLessThan(OIL_PHASE_OF.cream + 1.5)
      const parts = p.choices.map((c) => c.part)
      for (const part of ['emollient', 'emulsifier', 'humectant', 'chelator', 'preservative'])
        expect(parts).toContain(part)
      for (const c of p.choices) expect(pickText(c.why)).not.toBe('')
    }
    expect(new Set(proposals.map((p) => ids(p.formula).sort().join())).size).toBe(3)
    const holders = proposals.map((p) => p.choices.find((c) => c.part === 'emulsifier')!.material.id)
    expect(new Set(holders).size).toBe(3)
  })
  it('puts in what was wished for at its dose, at a pH where it works', () => {
    for (const p of proposalsFor({ actives: [{ material: 'niacinamide', percent: 4 }] })) {
      const a = assess(p.formula)
      expect(a.doses.get('niacinamide')!.percent).toBe(4)
      expect(p.formula.targetPh!.min).toBeGreaterThanOrEqual(4)
      expect(findAll(a).map((f) => f.code)).not.toContain('ph.no-shared-window')
    }
  })
  it('keeps heat-shy actives out of the hot phase', () => {
    const [p] = proposalsFor({ actives: [{ material: 'alpha-arbutin', percent: 1 }] })
    const phase = p!.formula.phases.find((x) => x.lines.some((l) => l.material === 'alpha-arbutin'))!
    expect(phase.role).toBe('cool-down')
  })
  it('makes gels and serums where no oil is wanted, and cationic creams for hair', () => {
    for (const p of proposalsFor({ constraints: ['no-oil'] })) expect(assess(p.formula).emulsion).toBeNull()
    const hair = proposalsFor({
      product: { ...BRIEF.product, kind: 'leave-in', site: 'hair' },
      richness: 'milk',
    })
    expect(hair.length).toBeGreaterThan(1)
    for (const p of hair)
      expect(p.choices.find((c) => c.part === 'emulsifier')!.material.charge).toBe('cationic')
  })
  it('says why it cannot, and what to change', () => {
    const why = (changes: Partial<Brief>, context = ANYTHING) => {
      const result = propose({ ...BRIEF, ...changes }, catalogue, context)
      return result.status === 'impossible' ? result.why.map(impossibleText).join(' ') : ''
    }
    expect(
      why({
        actives: [
          { material: 'salicylic acid', percent: 1 },
          { material: 'sodium ascorbyl phosphate', percent: 5 },
        ],
      }),
    ).toContain('They need two products')
    expect(why({ actives: [{ material: 'hydroquinone', percent: 2 }] })).not.toBe('')
    expect(why({ constraints: ['only-shelf'] })).toContain('add one to your stock')
    expect(why({ constraints: ['vegan'], actives: [{ material: 'lanolin', percent: 2 }] })).toContain(
      'is of animal origin',
    )
    expect(why({ actives: [{ material: 'moonwort', percent: 2 }] })).toContain('unknown')
  })
  it('thickens a gel whatever richness was wished for before, and makes no cleanser without surfactants', () => {
    const gel = { ...BRIEF.product, kind: 'gel' as const }
    for (const p of proposalsFor({ product: gel, richness: 'butter' }))
      expect(p.choices.map((c) => c.part)).toContain('thickener')
    const result = propose({ ...BRIEF, product: { ...gel, kind: 'cleanser' } }, catalogue, ANYTHING)
    expect(result).toMatchObject({ status: 'impossible' })
  })
  it('uses nothing but the shelf when asked to', () => {
    const shelf = [
      'caprylic-capric-triglyceride',
      'helianthus-annuus-seed-oil',
      'butyrospermum-parkii-butter',
      'cetearyl-olivate-sorbitan-olivate',
      'cetyl-alcohol',
      'glycerin',
      'xanthan-gum',
      'phenoxyethanol-ethylhexylglycerin',
      'tocopherol',
      'sodium-phytate',
      'panthenol',
    ]
    const proposals = proposalsFor({ constraints: ['only-shelf'] }, { ...ANYTHING, onShelf: new Set(shelf) })
    expect(proposals.length).toBeGreaterThan(0)
    for (const p of proposals) expect([...shelf, 'aqua']).toEqual(expect.arrayContaining(ids(p.formula)))
  })
  it('keeps every constraint and never proposes a stop, whatever the wishes', () => {
    const brief = fc.record({
      kind: fc.constantFrom('toner', 'serum', 'gel', 'lotion', 'cream', 'butter', 'leave-in'),
      site: fc.constantFrom('face', 'eye', 'body', 'hands', 'hair'),
      richness: fc.constantFrom('milk', 'lotion', 'cream', 'rich-cream', 'butter'),
      absorption: fc.constantFrom('fast', 'medium', 'slow'),
      feel: fc.constantFrom('dry', 'silky', 'rich'),
      need: fc.constantFrom(...NEEDS),
      constraints: fc.uniqueArray(fc.constantFrom(...CONSTRAINTS.filter((c) => c !== 'only-shelf')), {
        maxLength: 4,
      }),
      actives: fc.uniqueArray(
        fc.constantFrom('niacinamide', 'panthenol', 'alpha-arbutin', 'azelaic acid', 'urea', 'ascorbic acid'),
        { maxLength: 2 },
      ),
    })
    fc.assert(
      fc.property(brief, ({ kind, site, actives, ...rest }) => {
        const full = {
          ...BRIEF,
          ...rest,
          product: { ...BRIEF.product, kind, site },
          actives: actives.map((material) => ({ material, percent: 2 })),
        } as Brief
        const result = propose(full, catalogue, ANYTHING)
        if (result.status === 'impossible') {
          expect(result.why.length).toBeGreaterThan(0)
          return
        }
        for (const p of result.proposals) {
          const a = assess(p.formula)
          expect(findAll(a).filter((f) => f.severity === 'stop')).toEqual([])
          for (const l of a.lines) expect(ruledOut(l.material!, full, ANYTHING)).toBeNull()
          for (const material of actives)
            expect(a.doses.get(catalogue.find(material)!.id)!.percent).toBeCloseTo(2, 6)
        }
      }),
      { numRuns: 30 },
    )
  })
})

describe('stand-ins', () => {
  const namesFor = (index: number, f = cream({ water: [['xanthan gum', 0.3]] })) =>
    substitutesFor(assess(f), index, catalogue).map((s) => s.material.id)
  it('do the same work: gums for a gum, oils for an oil, emulsifiers for an emulsifier', () => {
    const a = assess(cream({ water: [['xanthan gum', 0.3]] }))
    a.lines.forEach((line, i) => {
      const found = substitutesFor(a, i, catalogue)
      if (
        !['xanthan-gum', 'squalane', 'cetearyl-olivate-sorbitan-olivate', 'cetyl-alcohol'].includes(line.id)
      )
        return
      expect(found.length).toBeGreaterThan(3)
      for (const s of found)
        expect(s.material.functions.some((f) => line.material!.functions.includes(f))).toBe(true)
    })
    // Common practice: cetearyl for cetyl alcohol.
    expect(namesFor(a.lines.findIndex((l) => l.id === 'cetyl-alcohol'))[0]).toBe('cetearyl-alcohol')
  })
  it('say what must change, and what they bring into the formula', () => {
    const a = assess(cream({ cool: [] }))
    const at = a.lines.findIndex((l) => l.id === 'cetearyl-olivate-sorbitan-olivate')
    const citrate = substitutesFor(a, at, catalogue).find(
      (s) => s.material.id === 'glyceryl-stearate-citrate',
    )!
    expect(citrate.differs.map(substituteText).join('; ')).toContain('anionic')
    expect(citrate.differs.map(substituteText).join('; ')).toMatch(/% instead of 4 %/)
    expect(substitutesFor(a, 99, catalogue)).toEqual([])
  })
  it('come from the shelf first among equals', () => {
    const a = assess(cream())
    const at = a.lines.findIndex((l) => l.id === 'squalane')
    const plain = substitutesFor(a, at, catalogue).map((s) => s.material.id)
    const chosen = plain[4]!
    const shelved = substitutesFor(a, at, catalogue, new Set([chosen])).map((s) => s.material.id)
    expect(shelved.indexOf(chosen)).toBeLessThan(4)
  })
})

describe('body, cold and warmth', () => {
  const oils = (x: number, alcohol = 2) =>
    cream({
      oil: [
        ['caprylic/capric triglyceride', x],
        ['olivate emulsifier', 4],
        ['cetyl alcohol', alcohol],
      ],
    })
  const likely = (x: number, alcohol?: number) => expectedBody(assess(oils(x, alcohol)))!.tomorrow.likely
  it('thickens with the oil phase, from milk to butter', () => {
    // Classes of common practice: milk to 12 %, lotion to 20 %, cream to 30 %, rich cream and butter above.
    expect([likely(4, 0), likely(9, 1), likely(18), likely(28), likely(44)]).toEqual([
      'milk',
      'lotion',
      'cream',
      'rich cream',
      'butter',
    ])
  })
  it('doubles with a percent of fatty alcohol, and is thinner on the first day', () => {
    const less = expectedBody(assess(oils(14, 1)))!
    const more = expectedBody(assess(oils(13, 2)))!
    expect(more.viscosity.high).toBeGreaterThanOrEqual(less.viscosity.high * 1.5)
    const order = ['milk', 'lotion', 'cream', 'rich cream', 'butter']
    expect(order.indexOf(more.now.likely)).toBeLessThanOrEqual(order.indexOf(more.tomorrow.likely))
    expect(expectedBody(assess(simple([['glycerin', 4]])))).toBeNull()
  })
  it('judges frost and warmth by what keeps the drops apart', () => {
    expect(coldAndWarm(assess(cream({ water: [['xanthan gum', 0.3]] })))!.freezing.verdict).toBe('stands')
    const bare = cream({
      oil: [
        ['squalane', 20],
        ['polysorbate 60', 4],
      ],
    })
    expect(coldAndWarm(assess(bare))!.freezing.verdict).not.toBe('stands')
    const buttery = cream({
      oil: [
        ['shea butter', 10],
        ['olivate emulsifier', 4],
      ],
    })
    expect(warmthText(coldAndWarm(assess(buttery))!)).toContain('melts')
    expect(coldAndWarm(assess(simple([])))).toBeNull()
  })
  it('weighs fatty alcohol against the emulsifier', () => {
    const quat = (alcohol: number) =>
      cream({
        oil: [
          ['squalane', 3],
          ['cetrimonium chloride', 2],
          ['cetyl alcohol', alcohol],
        ],
      })
    expect([1, 6, 14].map((x) => fattyBalance(assess(quat(x)))!.verdict)).toEqual(['little', 'fits', 'much'])
    expect(fattyBalance(assess(simple([])))).toBeNull()
  })
  it('swaps one for one when asked to', () => {
    const a = assess(cream())
    for (const c of emulsifierCandidates(a, catalogue, 'same')) expect(c.percent).toBe(4)
    expect(emulsifierCandidates(a, catalogue).some((c) => c.percent !== 4)).toBe(true)
  })
})
