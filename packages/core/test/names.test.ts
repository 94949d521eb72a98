import { findingText } from '../src/words/index.ts'
// Names: what a maker may write, blends by their parts, kinds told by words, and shares that nobody told.
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  applyEdit,
  assess,
  findAll,
  makeSearch,
  methodOf,
  procedureReport,
  type Formula,
} from '../src/index.ts'
import { CATALOGUE_DATA } from '../src/materials/catalogue.ts'
import { guessOf } from '../src/materials/guess.ts'
import { families, limits } from '../src/materials/legal.ts'
import { formula, phase, PRESERVED, simple } from './helpers.ts'
import { broken } from './procedure-helpers.ts'

const of = (name: string) => assess(simple([[name, 1]])).lines[1]!
const said = (f: Formula, code: string) => findAll(assess(f)).filter((x) => x.code === code)

describe('names that makers write', () => {
  // Everyday names and INCI names of the trade, from memory.
  it.each([
    ['epsom salt', 'magnesium-sulfate'],
    ['orange oil', 'citrus-aurantium-dulcis-peel-oil'],
    ['lemon oil', 'citrus-limon-peel-oil'],
    ['lemongrass oil', 'cymbopogon-flexuosus-oil'],
    ['ylang-ylang oil', 'cananga-odorata-flower-oil'],
    ['geranium oil', 'pelargonium-graveolens-flower-oil'],
    ['clove oil', 'eugenia-caryophyllus-bud-oil'],
    ['hemp oil', 'cannabis-sativa-seed-oil'],
    ['flaxseed oil', 'linum-usitatissimum-seed-oil'],
    ['black seed oil', 'nigella-sativa-seed-oil'],
    ['sea buckthorn oil', 'hippophae-rhamnoides-fruit-oil'],
    ['sunflower lecithin', 'lecithin'],
    ['orange blossom water', 'citrus-aurantium-amara-flower-water'],
    ['cornstarch', 'zea-mays-starch'],
    ['arrowroot', 'maranta-arundinacea-root-powder'],
    ['tapioca', 'tapioca-starch'],
    ['bentonite clay', 'bentonite'],
    ['vinegar', 'acetic-acid'],
    ['green tea', 'camellia-sinensis-leaf-extract'],
    ['wheat protein', 'hydrolyzed-wheat-protein'],
    ['rose hip oil', 'rosa-canina-seed-oil'],
    ['dl panthenol', 'panthenol'],
    ['capric/caprylic triglycerides', 'caprylic-capric-triglyceride'],
    ['PEG 100 stearate and glyceryl stearate', 'glyceryl-stearate-peg-100-stearate'],
    ['Glyceryl Stearate (and) PEG-100 Stearate', 'glyceryl-stearate-peg-100-stearate'],
    ['frankincense oil', 'boswellia-carterii-oil'],
    ['neroli', 'citrus-aurantium-amara-flower-oil'],
    ['oatmeal', 'avena-sativa-kernel-flour'],
    ['ceteareth-20', 'ceteareth-20'],
    ['Ceteareth-20 with Cetearyl Alcohol', 'cetearyl-alcohol-ceteareth-20'],
    [
      'gluconolactone and sodium benzoate and calcium gluconate',
      'gluconolactone-sodium-benzoate-calcium-gluconate',
    ],
    ['phenoxyethanol, caprylyl glycol, sorbic acid', 'phenoxyethanol-caprylyl-glycol-sorbic-acid'],
    ['tara gum', 'caesalpinia-spinosa-gum'],
    ['lipoic acid', 'thioctic-acid'],
    ['polyethylene glycol 400', 'peg-8'],
    ['willow bark extract', 'salix-alba-bark-extract'],
    ['tea tree hydrosol', 'melaleuca-alternifolia-leaf-water'],
  ])('“%s” is %s', (name, id) => expect(of(name).material?.id).toBe(id))
  it('are at least 750 materials, none of whose range passes the widest cap of the EU', () => {
    expect(CATALOGUE_DATA.length).toBeGreaterThanOrEqual(750)
    const widest = new Map<string, number>()
    for (const l of limits)
      if (l.kind === 'law' && l.region === 'EU' && !l.from)
        widest.set(l.subject, Math.max(widest.get(l.subject) ?? 0, l.maxPercent))
    const key = (inci: string) => inci.toLowerCase().replace(/[^a-z0-9]+/g, '-')
    for (const m of CATALOGUE_DATA)
      for (const [subject, cap] of widest) {
        const factors = families.find((x) => x.id === subject)?.members ?? { [subject]: 1 }
        const share = m.parts
          ? m.parts.reduce((sum, p) => sum + p.percent * (factors[key(p.inci)] ?? 0), 0)
          : (m.strengthPercent ?? 100) * (factors[m.id] ?? 0)
        // the EU restricts cyclopentasiloxane for the sea's sake; its range is that of elsewhere
        if (subject === 'cyclopentasiloxane') continue
        // what is banned here may have its range elsewhere
        if (share > 0 && cap > 0 && m.usage)
          expect((m.usage.max * share) / 100, `${m.id}: ${subject}`).toBeLessThanOrEqual(cap * 1.005)
      }
  })
  it('a banned substance does not slip by another name', () => {
    for (const name of [
      'retinoic acid',
      'bronopol',
      'oxybenzone',
      'minoxidil',
      'hydrocortisone',
      'phenol',
      'lignocaine',
    ])
      expect(
        said(
          simple([[name, 0.5], PRESERVED]),
          name === 'bronopol' || name === 'oxybenzone' ? 'legal.above-cap' : 'legal.prohibited',
        ).map((x) => x.severity),
        name,
      ).toEqual(name === 'oxybenzone' ? [] : ['stop'])
    // benzophenone-3 is capped at 2.2 % in body products and 6 % for face and hands (EU 2022/1176).
    expect(said(simple([['oxybenzone', 8], PRESERVED]), 'legal.above-cap').map((x) => x.severity)).toContain(
      'stop',
    )
  })
})

describe('a kind that is told by its name', () => {
  it.each([
    ['Quince Seed Oil', 'oil', 'oil'],
    ['Dragon Fruit Extract', 'extract', 'cool-down'],
    ['Sea Lettuce Leaf Powder', 'powder', 'cool-down'],
    ['Heather Flower Water', 'hydrosol', 'water'],
    ['Bog Myrtle Butter', 'butter', 'oil'],
    ['Beach Rose Gum', 'gum', 'water'],
    ['PEG-60 Hydrogenated Something', 'emulsifier', 'oil'],
    ['Polyglyceryl-7 Nonsense', 'emulsifier', 'oil'],
    ['my preservative', 'preservative', 'water'],
    ['CI 12345', 'colourant', 'any'],
  ])('“%s” is %s', (name, kind, where) => {
    expect(guessOf(name)).toMatchObject({ kind, phase: where, confidence: 'low' })
    const line = of(name)
    expect(line.material).toBeNull()
    expect(line.guess?.kind).toBe(kind)
    expect(findingText(said(simple([[name, 1]]), 'material.unknown')[0]!).why).toMatch(/^Treated as an? /)
  })
  it('is nothing where no word tells', () => expect(guessOf('Zorbix 7')).toBeNull())
  it('is never a stop: what is called emulsifier or preservative may be one', () => {
    const f = formula([
      phase('Water', 'water', [['aqua', 'fill']]),
      phase('Oil', 'oil', [
        ['sunflower oil', 10],
        ['my emulsifier', 5],
        ['Quince Seed Oil', 3],
      ]),
      phase('Last', 'cool-down', [['preservative', 1]]),
    ])
    const a = assess(f)
    expect(findAll(a).filter((x) => x.severity === 'stop')).toEqual([])
    expect(said(f, 'emulsion.no-emulsifier')[0]).toMatchObject({ severity: 'check' })
    expect(said(f, 'preservative.unidentified')).toHaveLength(1)
    // it is counted with the oils, and the method goes on
    expect(a.emulsion!.oilsPercent).toBeCloseTo(13, 6)
    expect(broken(a, methodOf(a).steps)).toBeNull()
  })
  it('takes its place in the method: powders of no name are rubbed smooth, oils join the oils', () => {
    const a = assess(
      formula([
        phase('Water', 'water', [
          ['aqua', 'fill'],
          ['glycerin', 4],
        ]),
        phase('Herbs', 'other', [['Sea Lettuce Leaf Powder', 3]]),
        phase('Last', 'cool-down', [PRESERVED]),
      ]),
    )
    const { steps } = procedureReport(a)
    expect(steps.find((s) => s.title.startsWith('Disperse Sea Lettuce'))!.look).toBe(
      'no specks when smeared on glass',
    )
  })
})

describe('a blend by its parts', () => {
  it('has them in any order and with any word between, their shares open', () => {
    const one = of('Benzyl Alcohol (and) Salicylic Acid')
    for (const other of [
      'Benzyl Alcohol, Salicylic Acid',
      'benzyl alcohol and salicylic acid',
      'Benzyl Alcohol with Salicylic Acid',
    ])
      expect(of(other).substances).toEqual(one.substances)
    expect(one.substances.map((s) => [s.key, s.low, s.high])).toEqual([
      ['benzyl-alcohol', 0, 100],
      ['salicylic-acid', 0, 100],
    ])
    expect(one.material).toMatchObject({ kind: 'preservative', unknownShares: true })
    expect(one.material!.traits).toContain('salicylate')
    expect(of('benzyl alcohol and moon dust').material).toBeNull()
  })
  it('is banned at any share where a part is, and else says that it cannot be told', () => {
    const leaveOn = (lines: Parameters<typeof simple>[0]) => simple(lines, { product: { rinse: 'leave-on' } })
    expect(
      said(
        leaveOn([['Methylchloroisothiazolinone and Methylisothiazolinone', 0.05]]),
        'legal.prohibited',
      ).every((x) => x.severity === 'stop'),
    ).toBe(true)
    const [open] = said(leaveOn([['Benzyl Alcohol and Salicylic Acid', 3]]), 'legal.above-cap')
    expect(open).toMatchObject({ severity: 'check' })
    expect(findingText(open!).message).toMatch(/between 0\s%\sand\s3\s%/)
    // one percent of it all may be benzyl alcohol: that is the cap
    expect(said(leaveOn([['Benzyl Alcohol and Dehydroacetic Acid', 0.5]]), 'legal.above-cap')).toEqual([])
  })
  it('names each part once in the list of ingredients', () => {
    const a = assess(simple([['Benzyl Alcohol and Salicylic Acid', 1], ['benzyl alcohol', 0.2], PRESERVED]))
    const names = [...a.substances.values()].map((s) => s.inci)
    expect(names.filter((n) => n === 'Benzyl Alcohol')).toHaveLength(1)
  })
  it('of a maker without shares is open too, and brackets every stated ratio', () => {
    const told = (first: number) =>
      assess(
        simple([
          [
            'salt of my own',
            10,
            {
              custom: {
                inci: ['Glycerin', 'Propanediol'],
                parts: [
                  { material: 'glycerin', percent: first },
                  { material: 'propanediol', percent: 100 - first },
                ],
              },
            },
          ],
        ]),
      )
    const open = assess(simple([['salt of my own', 10, { custom: { inci: ['Glycerin', 'Propanediol'] } }]]))
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 99.99, noNaN: true }), (first) => {
        for (const [key, s] of told(first).substances) {
          const o = open.substances.get(key)!
          expect(s.percent).toBeGreaterThanOrEqual(o.low - 1e-9)
          expect(s.percent).toBeLessThanOrEqual(o.high + 1e-9)
          expect([s.low, s.high]).toEqual([s.percent, s.percent])
        }
      }),
    )
  })
  it('widens the band of the pH, and never moves a stop of another line', () => {
    const stated = assess(simple([['lactic acid', 1]])).predictedPh!
    const open = assess(
      simple([
        ['lactic acid', 1],
        ['Lactic Acid and Sodium Lactate', 1],
      ]),
    ).predictedPh!
    expect(open.high - open.low).toBeGreaterThan(stated.high - stated.low)
    const stop = simple([['hydroquinone', 2], PRESERVED])
    const wider = applyEdit(stop, {
      type: 'add-line',
      phase: 0,
      line: { material: 'Glycerin and Propanediol', percent: 3 },
    })
    expect(said(wider, 'legal.prohibited').map((x) => findingText(x).message)).toEqual(
      said(stop, 'legal.prohibited').map((x) => findingText(x).message),
    )
  })
})

describe('properties of the judgement', () => {
  const anyLine = fc.record({
    m: fc.constantFrom(...CATALOGUE_DATA.filter((m) => m.kind !== 'water')),
    percent: fc.double({ min: 0.01, max: 8, noNaN: true }),
  })
  const withLines = (lines: readonly { id: string; percent: number }[]) =>
    simple(lines.map(({ id, percent }): [string, number] => [id, percent]))
  it('a line split in two changes no law', () => {
    fc.assert(
      fc.property(
        fc.array(anyLine, { minLength: 1, maxLength: 5 }),
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        (lines, at) => {
          const whole = lines.map(({ m, percent }) => ({ id: m.id, percent }))
          const [first] = whole
          const split = [
            { id: first!.id, percent: first!.percent * at },
            { id: first!.id, percent: first!.percent * (1 - at) },
            ...whole.slice(1),
          ]
          const law = (f: Formula) =>
            findAll(assess(f))
              .filter((x) => x.code.startsWith('legal.'))
              .map((x) => `${x.severity} ${x.code} ${[...x.materials].sort().join()}`)
              .sort()
          expect(law(withLines(split))).toEqual(law(withLines(whole)))
        },
      ),
      { numRuns: 300 },
    )
  })
  it('a material that is added takes no stop of the law away', () => {
    fc.assert(
      fc.property(fc.array(anyLine, { minLength: 1, maxLength: 4 }), anyLine, (lines, more) => {
        const few = lines.map(({ m, percent }) => ({ id: m.id, percent }))
        const stops = (f: Formula) =>
          findAll(assess(f))
            .filter((x) => x.severity === 'stop' && x.code.startsWith('legal.'))
            .flatMap((x) => x.materials)
        const after = stops(withLines([...few, { id: more.m.id, percent: more.percent }]))
        for (const id of stops(withLines(few))) expect(after).toContain(id)
      }),
      { numRuns: 300 },
    )
  })
})

describe('a search', () => {
  const search = makeSearch(CATALOGUE_DATA)
  it('forgives order, hyphens, plural and language, and never answers with something unrelated', () => {
    const first = (words: string) => search(words)[0]?.id
    expect(first('stearate glyceryl peg 100')).toBe('glyceryl-stearate-peg-100-stearate')
    expect(first('shea butters')).toBe('butyrospermum-parkii-butter')
    expect(first('epsom salts')).toBe('magnesium-sulfate')
    expect(search('qqqqqq')).toEqual([])
    expect(search('harbour crane')).toEqual([])
  })
})
