import { driftText, phEffectText } from '../src/words/index.ts'
// Facts are data: a made-up material that carries a trait is judged as one of the catalogue is.
import { describe, expect, it } from 'vitest'
import {
  assess,
  catalogue,
  customOf,
  driftsOf,
  findAll,
  phEffects,
  procedureReport,
  readFormula,
  type Formula,
} from '../src/index.ts'
import { PAIRS } from '../src/materials/pairs.ts'
import { Pair } from '../src/materials/pairs.ts'
import { Material } from '../src/shapes/material.ts'
import { formula, phase, PRESERVED } from './helpers.ts'

type Facts = Partial<Material> & Pick<Material, 'kind' | 'name'>
/** A material of one's own, by its facts alone. */
const made = (facts: Facts): Material =>
  Material.parse({
    id: facts.name.replaceAll(' ', '-'),
    inci: [facts.name],
    functions: ['other'],
    phase: 'water',
    solubility: ['water'],
    charge: 'none',
    origin: 'unknown',
    source: 'made up',
    confidence: 'low',
    ...facts,
  })
const gel = (...lines: Parameters<typeof phase>[2]) =>
  formula([
    phase('Water', 'water', [['aqua', 'fill'], ['glycerin', 4], ...lines]),
    phase('Last', 'cool-down', [PRESERVED]),
  ])
const cream = (oil: Parameters<typeof phase>[2], water: Parameters<typeof phase>[2] = []) =>
  formula([
    phase('Water', 'water', [['aqua', 'fill'], ['glycerin', 3], ...water], { heatToC: 72 }),
    phase('Oil', 'oil', [['squalane', 10], ...oil], { heatToC: 72 }),
    phase('Last', 'cool-down', [PRESERVED], { belowC: 40 }),
  ])
const judged = (f: Formula, ...own: Material[]) => {
  const a = assess(f, catalogue.with(own))
  return { a, codes: findAll(a).map((x) => `${x.severity} ${x.code}`) }
}

describe('a made-up material', () => {
  it('that needs neutralising asks for a base, and is content with a made-up one', () => {
    const polymer = made({
      name: 'tide polymer',
      kind: 'polymer',
      form: 'powder',
      traits: ['needs-neutralising'],
    })
    const base = made({ name: 'tide base', kind: 'base', traits: ['neutralises'] })
    expect(judged(gel(['tide polymer', 0.4]), polymer).codes).toContain('check thickener.needs-neutralising')
    const both = judged(gel(['tide polymer', 0.4], ['tide base', 0.3]), polymer, base)
    expect(both.codes.join()).not.toContain('needs-neutralising')
    expect(both.codes).toContain('note process.order')
  })
  it('that is a salt thins a made-up gel that stands little', () => {
    const polymer = made({ name: 'foam gel', kind: 'polymer', saltStoodPercent: 0.3 })
    const salt = made({ name: 'bay salt', kind: 'salt', saltShare: 1 })
    const code = 'check thickener.electrolyte'
    expect(judged(gel(['foam gel', 0.5], ['bay salt', 2]), polymer, salt).codes).toContain(code)
    expect(judged(gel(['foam gel', 0.5], ['bay salt', 0.1]), polymer, salt).codes).not.toContain(code)
    // inside a blend of one's own as well
    const blend = made({
      name: 'brine mix',
      kind: 'other',
      own: true,
      parts: [
        { inci: 'bay salt', percent: 40 },
        { inci: 'glycerin', percent: 60 },
      ],
    })
    expect(judged(gel(['foam gel', 0.5], ['brine mix', 5]), polymer, salt, blend).codes).toContain(code)
  })
  it('of a reacting group spoils the other side, for every pair that is told', () => {
    for (const pair of PAIRS) {
      expect(() => Pair.parse(pair)).not.toThrow()
      const left = made({ name: 'left hand', kind: 'other', reacts: [pair.a.group] })
      const right = made({ name: 'right hand', kind: 'other', reacts: [pair.b.group] })
      const f = gel(['left hand', 1], ['right hand', 1])
      expect(judged(f, left, right).codes, pair.a.group).toContain(`${pair.severity} stability.incompatible`)
      expect(judged(f, left, made({ ...right, reacts: [] })).codes.join(), pair.a.group).not.toContain(
        'incompatible',
      )
    }
  })
  it('that makes soap holds an emulsion with a base that does', () => {
    const acid = made({
      name: 'gull tallow acid',
      kind: 'fatty-acid',
      phase: 'oil',
      solubility: ['oil'],
      traits: ['soap-acid'],
    })
    const base = made({ name: 'kelp ash', kind: 'base', traits: ['soap-base'] })
    const f = cream([['gull tallow acid', 4]], [['kelp ash', 0.4]])
    expect(judged(f, acid, base).codes.join()).not.toContain('no-emulsifier')
    expect(judged(f, made({ ...acid, traits: [] }), base).codes).toContain('stop emulsion.no-emulsifier')
  })
  it('that emulsifies is believed by its role, and by its type', () => {
    const wax = (role: 'oil-in-water' | 'water-in-oil') =>
      made({
        name: 'harbour wax',
        kind: 'emulsifier',
        phase: 'oil',
        solubility: ['oil'],
        emulsifier: { role },
      })
    const f = cream([['harbour wax', 5]])
    expect(judged(f, wax('oil-in-water')).a.emulsion!.type).toBe('oil-in-water')
    expect(judged(f, wax('water-in-oil')).a.emulsion!.type).toBe('water-in-oil')
    expect(judged(f, wax('water-in-oil')).codes.filter((c) => c.startsWith('stop'))).toEqual([])
  })
  it('that is browned by metals asks for a chelator, one that sets its own pH stops a prediction', () => {
    const shy = made({ name: 'tansy brightener', kind: 'active', traits: ['browned-by-metals'] })
    expect(judged(gel(['tansy brightener', 1]), shy).codes).toContain('note stability.no-chelator')
    const chalk = made({
      name: 'shell chalk',
      kind: 'powder',
      form: 'powder',
      solubility: ['dispersible'],
      traits: ['sets-own-ph'],
    })
    expect(judged(gel(['shell chalk', 1]), chalk).a.predictedPh).toBeNull()
    expect(judged(gel(['shell chalk', 1]), made({ ...chalk, traits: [] })).a.predictedPh).not.toBeNull()
  })
  it('that goes on moving the pH says so, from its dose on', () => {
    const slow = made({
      name: 'slow lactone',
      kind: 'acid',
      drift: { fromPercent: 1, says: 'It frees acid for a day.', why: 'Read again tomorrow.' },
    })
    const { a, codes } = judged(gel(['slow lactone', 2]), slow)
    expect(driftsOf(a).map(driftText)).toContain('It frees acid for a day.')
    expect(codes).toContain('note ph.drift-expected')
    expect(
      driftsOf(judged(gel(['slow lactone', 0.5]), slow).a)
        .map(driftText)
        .join(),
    ).not.toContain('frees acid')
  })
  it('that dissolves solids counts as a cosolvent', () => {
    const thin = made({
      name: 'mist solvent',
      kind: 'solvent',
      density: 1,
      cosolvent: { s: 0.9, t: 0.6, confidence: 'low' },
    })
    const f = gel(['salicylic acid', 0.5], ['mist solvent', 15])
    const limit = (a: ReturnType<typeof assess>) =>
      a.solubility.find((s) => s.key === 'salicylic-acid')!.limit
    const { cosolvent: _none, ...plain } = thin
    expect(limit(judged(f, thin).a)).toBeGreaterThan(1.5 * limit(judged(f, made(plain)).a))
  })
  it('works in its own window of pH, and says in its own words what happens outside', () => {
    const active = made({
      name: 'fog active',
      kind: 'active',
      ph: { min: 6, max: 7, grade: 'works', soft: true, why: 'It fades in acid.' },
    })
    const f = gel(['fog active', 1], ['salicylic acid', 1])
    const { a, codes } = judged(f, active)
    expect(codes).toContain('check ph.no-shared-window')
    expect(judged(f, made({ ...active, ph: { min: 6, max: 7, grade: 'works' } })).codes).toContain(
      'stop ph.no-shared-window',
    )
    expect(phEffectText(phEffects(a, 4).find((e) => e.id === 'fog-active')!)).toBe('It fades in acid.')
  })
  it('that is a dye or a powder has its place in the method', () => {
    const dye = made({ name: 'sunset dye', kind: 'colourant', form: 'powder' })
    const sand = made({ name: 'fine sand', kind: 'abrasive', form: 'powder', solubility: ['dispersible'] })
    const told = (f: Formula, m: Material) =>
      procedureReport(judged(f, m).a)
        .steps.map((s) => s.title)
        .join('|')
    expect(told(gel(['sunset dye', 0.001]), dye)).toContain('Add the dye drop by drop')
    expect(told(gel(['fine sand', 3]), sand)).toContain('Disperse fine sand')
  })
})

describe('a material of one’s own in a file', () => {
  // Each line written into a text with what is known of its material, read where that material is unknown.
  const carried = (f: Formula, own: readonly Material[]) => {
    const all = catalogue.with(own)
    const phases = f.phases.map((p) => ({
      ...p,
      lines: p.lines.map((l) => {
        const mine = own.find((m) => m.name === l.material)
        return mine ? { ...l, custom: customOf(mine, all) } : l
      }),
    }))
    return readFormula(JSON.stringify({ ...f, phases }))
  }
  const acid = { molarMass: 100, pKa: [3.5], chargeFullyProtonated: 0, counterIonCharge: 0 }
  it.each([
    [
      'an emulsifier of its type',
      [
        made({
          name: 'harbour wax',
          kind: 'emulsifier',
          own: true,
          phase: 'oil',
          solubility: ['oil'],
          functions: ['emulsifying'],
          charge: 'cationic',
          meltsC: 62,
          emulsifier: { role: 'oil-in-water', shareOfOils: { min: 18, max: 25 } },
        }),
      ],
      cream([['harbour wax', 1]], [['xanthan gum', 0.3]]),
    ],
    [
      'an acid with constants',
      [
        made({
          name: 'fog acid',
          kind: 'acid',
          own: true,
          functions: ['buffering'],
          acidBase: acid,
          traits: ['exfoliant', 'sun'],
        }),
      ],
      gel(['fog acid', 5], ['lactic acid', 3]),
    ],
    [
      'a gum that needs a base and minds salt',
      [
        made({
          name: 'kelp gel',
          kind: 'polymer',
          own: true,
          form: 'powder',
          traits: ['needs-neutralising'],
          saltStoodPercent: 0.2,
          slurry: { parts: 10, in: 'glycerin' },
          hydrationHours: { min: 2, max: 6 },
        }),
      ],
      gel(['kelp gel', 0.5], ['sodium lactate', 2]),
    ],
    [
      'a preservative with its cover',
      [
        made({
          name: 'pier guard',
          kind: 'preservative',
          own: true,
          functions: ['preservative'],
          usage: { min: 0.5, typical: 0.8, max: 1 },
          ph: { min: 3, max: 5, grade: 'works' },
          cover: { gramPositive: 2, gramNegative: 2, yeast: 2, mould: 2, role: 'broad' },
        }),
      ],
      formula(
        [
          phase('Water', 'water', [
            ['aqua', 'fill'],
            ['pier guard', 0.8],
          ]),
        ],
        { targetPh: { min: 6, max: 7 } },
      ),
    ],
    [
      'a solid that comes out of cold oil',
      [
        made({
          name: 'gull lipid',
          kind: 'active',
          own: true,
          form: 'powder',
          solubility: ['oil'],
          traits: ['oil-solid'],
          oilHoldsPercent: 1,
        }),
      ],
      cream([
        ['emulsifying wax', 4],
        ['gull lipid', 1],
      ]),
    ],
    [
      'a raw plant powder',
      [made({ name: 'dune powder', kind: 'powder', own: true, traits: ['raw-plant'] })],
      gel(['dune powder', 1]),
    ],
  ] as const)('%s is judged there as here', (_name, own, f) => {
    const here = judged(f, ...own)
    const there = assess(carried(f, own))
    const codes = findAll(there).map((x) => `${x.severity} ${x.code}`)
    expect(codes.sort()).toEqual(here.codes.sort())
    expect(there.predictedPh?.value ?? null).toEqual(here.a.predictedPh?.value ?? null)
    expect(procedureReport(there).steps?.length).toEqual(procedureReport(here.a).steps?.length)
  })
})
