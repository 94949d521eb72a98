import { factsOf } from '../src/words/index.ts'
import { findingText, remedyText } from '../src/words/index.ts'
import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import {
  applyEdit,
  assess,
  catalogue,
  Catalogue,
  FactChange,
  findAll,
  gradeAnswer,
  gradeQuestionOf,
  ownMaterial,
  stockRecipe,
  usualTraces,
  type Formula,
} from '../src/index.ts'
import { inciList } from '../src/label/ingredients.ts'
import { CATALOGUE_DATA } from '../src/materials/catalogue.ts'
import { gradeQuestions } from '../src/materials/grades.ts'
import { releasableFormaldehyde } from '../src/findings/traces.ts'
import { TRACED_MATERIALS } from '../src/materials/traces.ts'
import { withChanges } from '../src/materials/changes.ts'
import { formula, phase } from './helpers.ts'

const toner = (lines: Parameters<typeof phase>[2], extra: Parameters<typeof formula>[1] = {}) =>
  formula([phase('Water', 'water', [['aqua', 'fill'], ...lines])], extra)
const codes = (f: Formula, in_ = catalogue) => findAll(assess(f, in_)).map((x) => x.code)
const one = (f: Formula, code: string, in_ = catalogue) =>
  findAll(assess(f, in_)).find((x) => x.code === code)

describe('what a home formulator needs to know of a material', () => {
  it('is there for every oil, emulsifier, gum and powder it applies to', () => {
    for (const m of CATALOGUE_DATA) {
      if (m.kind === 'oil' || m.kind === 'butter') {
        expect(m.oxidation, m.id).toBeDefined()
        expect(m.feel, m.id).toBeDefined()
      }
      if (['ester', 'silicone', 'alkane', 'humectant', 'hyaluronate', 'gum', 'polymer'].includes(m.kind))
        expect(m.feel, m.id).toBeDefined()
      if (m.kind === 'emulsifier') {
        expect(m.setting, m.id).toBeDefined()
        expect(m.whitening, m.id).toBeDefined()
      }
      if (m.hydrationHours) expect(m.hydrationHours.min, m.id).toBeLessThanOrEqual(m.hydrationHours.max)
    }
    expect(CATALOGUE_DATA.length).toBeGreaterThanOrEqual(400)
  })

  it('says what the trade says: gums are wetted, hyaluronate waits, cetyl alcohol is soft (common practice)', () => {
    const m = (id: string) => catalogue.find(id)!
    expect(m('xanthan-gum').slurry!.parts).toBeGreaterThanOrEqual(3)
    expect(m('xanthan-gum').slurry!.parts).toBeLessThanOrEqual(5)
    expect(m('sodium-hyaluronate').hydrationHours).toEqual({ min: 2, max: 24 })
    expect(m('cetearyl-olivate-sorbitan-olivate').setting).toBe('fast')
    expect(m('cetearyl-alcohol-ceteareth-20').setting).toBe('slow')
    expect(m('linum-usitatissimum-seed-oil').oxidation).toBe('fast')
    expect(m('simmondsia-chinensis-seed-oil').oxidation).toBe('slow')
    const facts = factsOf(m('xanthan-gum')).map((f) => f.what)
    expect(facts).toEqual(expect.arrayContaining(['Wet it first in', 'Full body after', 'Skin feel']))
    for (const fact of factsOf(m('sodium-hyaluronate'))) expect(fact.source, fact.what).not.toBe('')
  })
})

describe('substances hidden in natural oils', () => {
  const rose = (percent: number, extra = {}) =>
    toner([['rosa-damascena-flower-oil', percent]], { product: { region: 'EU', ...extra } })
  const analysed = (contains: { inci: string; percent: number }[]) =>
    new Catalogue(CATALOGUE_DATA.map((m) => (m.id === 'rosa-damascena-flower-oil' ? { ...m, contains } : m)))

  it('are unknown until an analysis is there, and said to be', () => {
    const found = one(rose(0.1), 'legal.unknown-content')!
    expect(found.severity).toBe('note')
    expect(findingText(found).why).toMatch(/Methyl Eugenol may reach 0.003\s?%/)
    expect(codes(rose(0.1))).not.toContain('label.name-allergens')
  })

  it('are worked out from the analysis: 1 % methyl eugenol in 0.1 % rose oil is five times the cap', () => {
    // Regulation (EC) 1223/2009 Annex III/102: 0.0002 % in leave-on, 0.001 % in rinse-off.
    const lot = analysed([
      { inci: 'Methyl Eugenol', percent: 1 },
      { inci: 'Citronellol', percent: 30 },
      { inci: 'Linalool', percent: 0.5 },
    ])
    const stop = one(rose(0.1), 'legal.above-cap', lot)!
    expect(stop.severity).toBe('stop')
    expect(findingText(stop).message).toContain('Methyl Eugenol')
    expect(codes(rose(0.1, { rinse: 'rinse-off' }), lot)).not.toContain('legal.above-cap')
    expect(codes(rose(0.1), lot)).not.toContain('legal.unknown-content')
    // 0.1 % × 30 % = 0.03 %, above the 0.001 % of Annex III; 0.1 % × 0.5 % = 0.0005 % is below.
    const label = one(rose(0.1), 'label.name-allergens', lot)!
    expect(findingText(label).message).toBe('The label must name Citronellol.')
    expect(inciList(assess(rose(0.1), lot))).toContain('Citronellol')
    expect(inciList(assess(rose(0.1), lot))).not.toContain('Linalool')
    expect(inciList(assess(rose(0.1, { region: 'US' }), lot))).not.toContain('Citronellol')
  })

  it('keep expressed citrus oils under the furocoumarin opinion', () => {
    const bergamot = toner([['citrus-aurantium-bergamia-fruit-oil', 0.2]])
    expect(findingText(one(bergamot, 'legal.unknown-content')!).why).toContain('Furocoumarins may reach')
    const free = new Catalogue(
      CATALOGUE_DATA.map((m) =>
        m.id === 'citrus-aurantium-bergamia-fruit-oil'
          ? { ...m, contains: [{ inci: 'Furocoumarins', percent: 0.0001 }] }
          : m,
      ),
    )
    expect(codes(bergamot, free)).not.toContain('legal.above-cap')
  })

  it('name materials of the catalogue, with sensible figures', () => {
    for (const id of TRACED_MATERIALS) {
      const m = catalogue.find(id)!
      expect(m?.id, id).toBe(id)
      const traces = usualTraces(m)
      for (const t of traces) expect(t.low <= t.high && t.high <= 100, `${id} ${t.inci}`).toBe(true)
      if (m.kind === 'essential-oil')
        expect(
          traces.reduce((s, t) => s + t.low, 0),
          id,
        ).toBeLessThanOrEqual(100)
    }
  })

  it('never lose an analysis on the way through a file', () => {
    const own = {
      ...catalogue.find('rosa-damascena-flower-oil')!,
      contains: [{ inci: 'Eugenol', percent: 1 }],
    }
    const f = toner([['rosa-damascena-flower-oil', 0.1, { custom: { contains: own.contains } }]])
    expect(one(f, 'label.name-allergens')).toBeUndefined()
    const more = toner([['rosa-damascena-flower-oil', 0.2, { custom: { contains: own.contains } }]])
    expect(findingText(one(more, 'label.name-allergens')!).message).toContain('Eugenol')
  })
})

describe('formaldehyde releasers are summed', () => {
  it('by stoichiometry: DMDM hydantoin gives 2 mol (31.9 %), diazolidinyl urea 4 mol (43.2 %)', () => {
    // Molar masses by IUPAC atomic weights: formaldehyde 30.026, DMDM hydantoin 188.18, diazolidinyl urea 278.22.
    const f = toner([
      ['dmdm-hydantoin', 0.1, { strengthPercent: 100 }],
      ['diazolidinyl-urea', 0.1],
    ])
    const expected = 0.1 * ((2 * 30.026) / 188.18) + 0.1 * ((4 * 30.026) / 278.22)
    expect(releasableFormaldehyde(assess(f))).toBeCloseTo(expected, 10)
    expect(findingText(one(f, 'label.releases-formaldehyde')!).message).toMatch(/0.075\s?%/)
  })
  it('stays silent without one', () => {
    expect(codes(toner([['phenoxyethanol', 0.9]]))).not.toContain('label.releases-formaldehyde')
  })
})

describe('one name for different things', () => {
  it('is asked about, with the difference each answer makes', () => {
    for (const q of gradeQuestions) {
      expect(q.options.length, q.id).toBeGreaterThanOrEqual(2)
      for (const option of q.options) {
        expect(option.difference.length, q.id).toBeGreaterThan(10)
        if (option.material) expect(catalogue.find(option.material)?.id, q.id).toBe(option.material)
      }
      for (const id of q.materials) expect(gradeQuestionOf(catalogue.find(id)!)?.id).toBe(q.id)
    }
    for (const name of ['lactic acid', 'aloe juice', 'hyaluronic acid', 'carrot oil', 'HEC', 'xanthan'])
      expect(gradeQuestionOf(catalogue.find(name)!), name).not.toBeNull()
  })

  it('settles with one press, and 88 % lactic acid then counts as 88 %', () => {
    const f = toner([['lactic acid', 2]])
    const found = one(f, 'material.which-grade')!
    const remedy = found.remedies.find((r) => remedyText(r) === '88 %')!
    const next = applyEdit(f, remedy.edit)
    expect(codes(next)).not.toContain('material.which-grade')
    expect(assess(next).substances.get('lactic-acid')!.percent).toBeCloseTo(1.76, 10)
  })

  it('is settled by a strength, an answer or facts of one’s own', () => {
    expect(codes(toner([['lactic acid', 2, { strengthPercent: 80 }]]))).not.toContain('material.which-grade')
    const aloe = gradeQuestionOf(catalogue.find('aloe juice')!)!
    const powder = aloe.options.find((o) => o.material === 'aloe-powder-200x')!
    const f = toner([['aloe juice', 0.2, gradeAnswer(powder, 'aloe juice')]])
    expect(codes(f)).not.toContain('material.which-grade')
    expect(assess(f).lines[1]!.id).toBe('aloe-powder-200x')
  })
})

describe('changed facts', () => {
  it('win over the catalogue, say what it said, and go when they are reset', () => {
    const change = FactChange.parse({
      id: 'niacinamide',
      usage: { min: 1, max: 12 },
      ph: { min: 5, max: 8 },
      note: 'By the paper of my lot.',
    })
    const mine = new Catalogue(withChanges(CATALOGUE_DATA, [change]))
    const f = toner([['niacinamide', 11]])
    expect(codes(f)).toContain('usage.above-max')
    expect(codes(f, mine)).not.toContain('usage.above-max')
    const facts = factsOf(mine.find('niacinamide')!)
    expect(facts.find((x) => x.what === 'Usual range')!.source).toMatch(
      /your change; the catalogue says 1\s?% to 10/,
    )
    expect(catalogue.find('niacinamide')!.changed).toBeUndefined()
    expect(withChanges(CATALOGUE_DATA, [])).toEqual(CATALOGUE_DATA)
  })
  it('are refused with a reason when they make no sense', () => {
    expect(FactChange.safeParse({ id: 'x', usage: { min: 5, max: 1 } }).success).toBe(false)
    expect(FactChange.safeParse({ id: 'x', ph: { min: 5, max: 15 } }).success).toBe(false)
    expect(FactChange.safeParse({ id: 'x', smell: 'sea' }).success).toBe(false)
  })
})

describe('a stock made to the need of a batch', () => {
  const stock = ownMaterial(
    {
      name: 'Hyaluronate stock',
      inci: '',
      functions: ['humectant'],
      solubility: 'water',
      phase: 'water',
      parts: [
        { material: 'aqua', percent: 98.2 },
        { material: 'sodium-hyaluronate', percent: 1 },
        { material: 'phenoxyethanol', percent: 0.8 },
      ],
    },
    catalogue,
  )
  it('takes 25 g of a 1 % stock apart into 0.25 g hyaluronate', () => {
    const rows = stockRecipe(stock, 25, 0.01, catalogue)
    expect(rows.map((r) => r.grams)).toEqual([24.55, 0.25, 0.2])
    expect(rows[1]!.label).toBe('sodium hyaluronate, high weight')
  })
  it('adds up exactly, whatever the need and the scale', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1_000_000 }),
        fc.constantFrom(0.001, 0.01, 0.1, 1),
        (counts, resolution) => {
          const rows = stockRecipe(stock, counts * resolution, resolution, catalogue)
          const sum = rows.reduce((s, r) => s + Math.round(r.grams / resolution), 0)
          expect(sum).toBe(counts)
        },
      ),
    )
  })
})

describe('a premix is judged by its own solvent', () => {
  const serum = (glycol: number, extra = {}) =>
    formula([
      phase(
        'Acid in glycol',
        'premix',
        [
          ['propylene-glycol', glycol],
          ['salicylic-acid', 2],
        ],
        extra,
      ),
      phase('Water', 'water', [['aqua', 'fill']]),
    ])
  const premix = (f: Formula) =>
    findAll(assess(f)).filter((x) => findingText(x).message.includes('Phase A holds'))
  it('stays silent where the glycol is enough, warm or not', () => {
    expect(premix(serum(40))).toEqual([])
    expect(premix(serum(30, { heatToC: 45 }))).toEqual([])
  })
  it('speaks where the acid cannot all dissolve there, and warmth helps', () => {
    const cold = premix(serum(1))[0]!
    expect(findingText(cold).message).toMatch(/salicylic acid dissolved at 25\s?°C/)
    const held = (f: Formula) => assess(f).premixes[0]!.limit
    expect(held(serum(5, { heatToC: 60 }))).toBeGreaterThan(1.5 * held(serum(5)))
  })
  it('agrees with the handbook within the factor it states: benzoic acid in neat propylene glycol, 1 in 4', () => {
    // Handbook of Pharmaceutical Excipients: 1 g in about 4 mL propylene glycol, some 250 g/kg; from memory.
    const f = formula([
      phase('Premix', 'premix', [
        ['propylene-glycol', 20],
        ['benzoic-acid', 1],
      ]),
      phase('Water', 'water', [['aqua', 'fill']]),
    ])
    const p = assess(f).premixes[0]!
    expect(p.limit * p.factor).toBeGreaterThan(30)
    expect(p.limit / p.factor).toBeLessThan(250)
  })
})
