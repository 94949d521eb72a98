// What the dialog for one's own materials asks by kind, and what becomes of it in a judgement.
import { describe, expect, it } from 'vitest'
import {
  assess,
  catalogue,
  findAll,
  Formula,
  ownMaterial,
  type Material,
  changedMaterial,
  blankKind,
  groupOf,
  kindFacts,
  kindFaults,
  kindOfMaterial,
  type KindForm,
} from '../src/index.ts'

const made = (
  does: string,
  form: Partial<KindForm>,
  rest: Partial<Parameters<typeof ownMaterial>[0]> = {},
): Material =>
  ownMaterial(
    {
      name: 'harbour stuff',
      inci: 'Harbour Stuff',
      functions: [does],
      solubility: 'water',
      phase: 'any',
      ...rest,
      ...kindFacts({ ...blankKind(), ...form }, groupOf(does)),
    },
    catalogue,
  )
const judged = (m: Material, percent: number, others: [string, number][] = []) =>
  findAll(
    assess(
      Formula.parse({
        format: 'omblet-formula',
        formatVersion: 1,
        name: 'Mole test',
        product: { kind: 'cream', site: 'face', rinse: 'leave-on', region: 'EU' },
        phases: [
          { name: 'Water', role: 'water', lines: [{ material: 'aqua', fill: true }] },
          {
            name: 'All',
            role: 'other',
            lines: [[m.id, percent] as const, ...others].map(([material, p]) => ({ material, percent: p })),
          },
        ],
      }),
      catalogue.with([m]),
    ),
  ).map((x) => `${x.severity} ${x.code}`)
const keeper: [string, number] = ['phenoxyethanol, ethylhexylglycerin', 1]

describe('a material of one’s own', () => {
  it('holds oil in water when it is told to, and is asked for its type until then', () => {
    const oil: [string, number] = ['squalane', 15]
    expect(judged(made('emulsifying', { role: 'oil-in-water' }), 4, [oil, keeper]).join()).not.toContain(
      'no-emulsifier',
    )
    expect(judged(made('emulsifying', {}), 4, [oil, keeper]).join()).not.toContain(
      'stop emulsion.no-emulsifier',
    )
    expect(judged(made('emulsifying', { role: 'co-emulsifier' }), 4, [oil, keeper])).toContain(
      'stop emulsion.no-emulsifier',
    )
  })
  it('clashes by its charge', () => {
    const quat = made('emulsifying', { role: 'cationic', charge: 'cationic' })
    expect(judged(quat, 4, [['squalane', 10], ['xanthan gum', 0.3], keeper]).join()).toContain('charge.clash')
  })
  it('moves the pH like what it is said to be like, or by its own pKa', () => {
    const like = made('buffering', { like: 'lactic-acid' })
    expect(like.acidBase).toMatchObject({ pKa: [3.858], molarMass: 90.08 })
    const own = made('buffering', { pKa: '3,1; 4.8', molarMass: '150' })
    expect(own.acidBase).toMatchObject({ pKa: [3.1, 4.8], molarMass: 150 })
    expect(made('buffering', { pKa: '3.1' }).acidBase).toBeUndefined()
    const f = Formula.parse({
      format: 'omblet-formula',
      formatVersion: 1,
      name: 'x',
      phases: [
        {
          name: 'A',
          role: 'water',
          lines: [
            { material: 'aqua', fill: true },
            { material: like.id, percent: 1 },
          ],
        },
      ],
    })
    const lactic = {
      ...f,
      phases: [{ ...f.phases[0]!, lines: [f.phases[0]!.lines[0]!, { material: 'lactic acid', percent: 1 }] }],
    }
    expect(assess(f, catalogue.with([like])).predictedPh!.value).toBeCloseTo(
      assess(lactic).predictedPh!.value,
      1,
    )
  })
  it('preserves what its papers say', () => {
    expect(judged(made('preservative', {}), 1).join()).not.toContain('preservative.missing')
    expect(judged(made('preservative', { mould: false }), 1)).toContain('check preservative.missing')
  })
  it('thickens only with a base where it is told so', () => {
    const gel = made('viscosity controlling', { neutralise: true, lumps: true, salt: '0,3' })
    expect(judged(gel, 0.5, [keeper])).toContain('check thickener.needs-neutralising')
    expect(judged(gel, 0.5, [keeper, ['sodium chloride', 2], ['sodium hydroxide', 0.2]])).toContain(
      'check thickener.electrolyte',
    )
  })
  it('brings microbes when it is a raw plant', () => {
    expect(judged(made('absorbent', { raw: true }), 1, [keeper])).toContain('check usage.extract-load')
    expect(judged(made('absorbent', {}), 1, [keeper]).join()).not.toContain('extract-load')
  })
  it('is shown again as it was typed', () => {
    for (const [does, form] of [
      ['emulsifying', { role: 'water-in-oil', hlb: '4.5', charge: 'nonionic', stands: '80', melts: '60' }],
      ['viscosity controlling', { lumps: true, hours: '4', salt: '1' }],
      ['preservative', { yeast: false }],
      ['emollient', { oxidation: 'fast' }],
      ['absorbent', { raw: true }],
    ] as const)
      expect(kindOfMaterial(made(does, form))).toMatchObject(form)
  })
  it('says what cannot be read', () => {
    expect(Object.keys(kindFaults({ ...blankKind(), hlb: 'ten', pKa: 'sour', stands: '900' }))).toEqual([
      'hlb',
      'stands',
      'pKa',
    ])
    expect(kindFaults(blankKind())).toEqual({})
  })
  it('loses nothing when the dialog is opened and saved as it is', () => {
    // what every kind of material of the catalogue would go through, were it one’s own
    for (const m of catalogue.materials) {
      const old: Material = { ...m, own: true }
      const group = groupOf(old.functions[0]!)
      const range = (r: { min: number; max: number } | undefined) =>
        r ? { min: r.min, max: r.max } : undefined
      const told = {
        name: old.name,
        inci: old.inci.join(', '),
        functions: old.functions,
        solubility: old.solubility[0]!,
        phase: old.phase,
        ...(old.usage ? { usage: range(old.usage)! } : {}),
        ...(old.ph ? { ph: range(old.ph)! } : {}),
        ...(old.parts ? { parts: old.parts.map((p) => ({ material: p.inci, percent: p.percent })) } : {}),
        ...kindFacts(kindOfMaterial(old), group, old),
      }
      expect(changedMaterial(old, told, group, catalogue), m.id).toEqual(old)
    }
  })
})
