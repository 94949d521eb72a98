import { remedyText, findingText } from '../src/words/index.ts'
// Judgement in proportion. Limits and figures are common practice, from memory, where no source is named.
import { describe, expect, it } from 'vitest'
import { assess, findAll, type Formula } from '../src/index.ts'
import { codes, formula, phase, PRESERVED, simple } from './helpers.ts'

const severities = (f: Formula, code: string) =>
  findAll(assess(f)).flatMap((x) => (x.code === code ? [x.severity] : []))
const emulsion = (
  oil: Parameters<typeof phase>[2],
  water: Parameters<typeof phase>[2] = [],
  extra: Parameters<typeof formula>[1] = {},
) =>
  formula(
    [
      phase('Water', 'water', [['aqua', 'fill'], ['glycerin', 3], ...water], { heatToC: 72 }),
      phase('Oil', 'oil', oil, { heatToC: 72 }),
      phase('Last', 'cool-down', [PRESERVED], { belowC: 40 }),
    ],
    extra,
  )

describe('a pH that skin should not meet', () => {
  const read = (
    ph: number,
    product: object = {},
    lines: Parameters<typeof simple>[0] = [['lactic acid', 5]],
  ) =>
    simple([...lines, PRESERVED], {
      product: { site: 'face', rinse: 'leave-on', ...product },
      readings: [{ ph, method: 'meter-direct' }],
    })
  it.each<[string, number, object, string[]]>([
    ['face at 2.5', 2.5, {}, ['stop']],
    ['face at 3.2 with free acid', 3.2, {}, ['check']],
    ['face at 3.8', 3.8, {}, []],
    ['face at 8.6', 8.6, {}, ['check']],
    ['face at 10', 10, {}, ['stop']],
    ['eye at 4.2', 4.2, { site: 'eye' }, ['check']],
    ['eye at 3.8', 3.8, { site: 'eye' }, ['stop']],
    ['eye at 7', 7, { site: 'eye' }, []],
    ['hands at 3.1', 3.1, { site: 'hands' }, []],
    ['hair, rinsed off, at 2.7', 2.7, { site: 'hair', rinse: 'rinse-off' }, []],
  ])('%s', (_name, ph, product, expected) =>
    expect(severities(read(ph, product), 'ph.unsafe')).toEqual(expected),
  )
  it('is quiet between 3 and 3.5 where next to no acid is free', () => {
    expect(severities(read(3.2, {}, []), 'ph.unsafe')).toEqual([])
    expect(severities(read(2.9, {}, []), 'ph.unsafe')).toEqual(['check'])
  })
  it('judges the target where nothing was read, and offers another', () => {
    const f = simple([['niacinamide', 4], PRESERVED], { targetPh: { min: 2, max: 2.4 } })
    const [one] = findAll(assess(f)).filter((x) => x.code === 'ph.unsafe')
    expect(one).toMatchObject({ severity: 'stop' })
    expect(remedyText(one!.remedies[0]!)).toMatch(/^Set target to pH 4/)
  })
  it('stops what is all lye by prediction, and says nothing of a band that reaches into what skin bears', () => {
    expect(severities(simple([['sodium hydroxide', 1], PRESERVED]), 'ph.unsafe')).toEqual(['stop'])
    expect(severities(simple([['Kelp extract', 2], PRESERVED]), 'ph.unsafe')).toEqual([])
  })
})

describe('emulsions', () => {
  it.each<[string, Parameters<typeof phase>[2], string[]]>([
    [
      'glyceryl stearate and cetyl alcohol alone',
      [
        ['squalane', 12],
        ['glyceryl stearate', 4],
        ['cetyl alcohol', 2],
      ],
      ['stop'],
    ],
    [
      'sorbitan stearate alone',
      [
        ['squalane', 12],
        ['sorbitan stearate', 4],
      ],
      ['stop'],
    ],
    [
      'the textbook pair polysorbate 80 with sorbitan oleate',
      [
        ['squalane', 12],
        ['polysorbate 80', 3],
        ['sorbitan oleate', 1.5],
      ],
      [],
    ],
    [
      'glyceryl stearate beside an emulsifier',
      [
        ['squalane', 12],
        ['olivate emulsifier', 4],
        ['glyceryl stearate', 2],
      ],
      [],
    ],
  ])('%s', (_name, oil, expected) =>
    expect(severities(emulsion(oil), 'emulsion.no-emulsifier')).toEqual(expected),
  )
  it('a helper beside an emulsifier that nobody knows is no stop', () => {
    const f = emulsion([
      ['squalane', 12],
      ['glyceryl stearate', 3],
      ['Polyglyceryl-7 Nonsense', 3],
    ])
    expect(severities(f, 'emulsion.no-emulsifier')).not.toContain('stop')
  })
  it('the textbook pair is enough for its oils', () => {
    expect(
      codes(
        emulsion([
          ['squalane', 12],
          ['polysorbate 80', 3],
          ['sorbitan oleate', 1.5],
        ]),
      ),
    ).not.toContain('emulsion.too-little-emulsifier')
  })
  it('oils in water get hard from 65 %, and turn over from 74 % of oils and water', () => {
    const load = (oil: number) =>
      severities(
        emulsion([
          ['squalane', oil],
          ['olivate emulsifier', 6],
        ]),
        'emulsion.oil-load',
      )
    expect(load(12)).toEqual([])
    expect(load(60)).toContain('note')
    expect(load(72)).toContain('check')
  })
  it('water in oil bleeds without salt, and above 80 % water asks for a special emulsifier', () => {
    const wo = (oil: number, salt: number) =>
      emulsion(
        [
          ['squalane', oil],
          ['polyglyceryl-2 dipolyhydroxystearate', 4],
        ],
        salt > 0 ? [['magnesium sulfate', salt]] : [],
      )
    expect(severities(wo(25, 0.7), 'stability.bleeding')).toEqual([])
    expect(severities(wo(25, 0), 'stability.bleeding')).toEqual(['note'])
    expect(severities(wo(25, 0.7), 'emulsion.oil-load')).toEqual([])
    expect(severities(wo(9, 0.7), 'emulsion.oil-load')).toEqual(['check'])
  })
})

describe('scent', () => {
  const scented = (oils: [string, number][], product: object = { site: 'face' }) =>
    emulsion([['squalane', 10], ['olivate emulsifier', 4], ...oils], [], {
      product: { rinse: 'leave-on', ...product },
    })
  it('adds up over all oils, by site', () => {
    expect(severities(scented([['lavender oil', 0.3]]), 'usage.scent-total')).toEqual([])
    expect(severities(scented([['lavender oil', 0.8]]), 'usage.scent-total')).toEqual(['note'])
    expect(
      severities(
        scented([
          ['lavender oil', 0.8],
          ['frankincense oil', 0.6],
        ]),
        'usage.scent-total',
      ),
    ).toEqual(['check'])
    expect(
      severities(
        scented([
          ['lavender oil', 0.4],
          ['frankincense oil', 0.4],
          ['neroli', 0.3],
          ['patchouli oil', 0.3],
        ]),
        'usage.scent-total',
      ),
    ).toEqual(['stop'])
    expect(severities(scented([['lavender oil', 0.8]], { site: 'body' }), 'usage.scent-total')).toEqual([])
    expect(severities(scented([['lavender oil', 0.1]], { site: 'eye' }), 'usage.scent-total')).toEqual([
      'check',
    ])
  })
  it('at ten times its range is a stop', () => {
    expect(severities(scented([['lavender oil', 12]], { site: 'body' }), 'usage.above-max')).toContain('stop')
  })
})

describe('drafts', () => {
  const draft = () =>
    formula([
      phase('Water', 'water', [['aqua', 'fill'], ['carbomer', 0.3], ['triethanolamine']]),
      phase('Oil', 'oil', [['sunflower oil', 10], ['olivate emulsifier'], ['cetyl alcohol']]),
      phase('Last', 'cool-down', [['phenoxyethanol, ethylhexylglycerin'], ['tocopherol']]),
    ] as Parameters<typeof formula>[0])
  it('have one finding about all missing amounts, mended with one press', () => {
    const [one, ...more] = findAll(assess(draft())).filter((x) => x.code === 'amount.missing')
    expect(more).toEqual([])
    expect(one!.lines).toHaveLength(5)
    expect(remedyText(one!.remedies[0]!)).toBe('Use the usual amounts of 5')
  })
  it('are not judged by what has no amount yet', () => {
    const said = codes(draft())
    for (const code of ['emulsion.no-emulsifier', 'preservative.missing', 'thickener.needs-neutralising'])
      expect(said).not.toContain(code)
  })
})

describe('what was logged', () => {
  it('and is not in the formula is said', () => {
    const f: Formula = {
      ...simple([['lactic acid', 1], PRESERVED]),
      additions: [
        { material: 'sodium hydroxide', strengthPercent: 10, grams: 1, ofGrams: 100, afterReading: 0 },
      ],
    }
    const [one] = findAll(assess(f)).filter((x) => x.code === 'record.adjuster-not-counted')
    expect(one!.severity).toBe('note')
    expect(findingText(one!).message).toBe(
      'Sodium hydroxide, 10\u202f% solution was added and is not in the formula.',
    )
  })
})

describe('heat', () => {
  it('a little above what a material stands, or a hydrosol that loses its scent, is a note', () => {
    const at = (material: string, heatToC: number) =>
      severities(
        formula([
          phase(
            'Water',
            'water',
            [
              ['aqua', 'fill'],
              [material, 3],
            ],
            { heatToC },
          ),
          phase('Last', 'cool-down', [PRESERVED]),
        ]),
        'heat.sensitive-in-hot-phase',
      )
    expect(at('panthenol', 70)).toEqual([])
    expect(at('panthenol', 72)).toEqual(['note'])
    expect(at('rose water', 75)).toEqual(['note'])
    expect(at('glycolic acid', 75)).toEqual([])
    expect(at('ascorbyl glucoside', 72)).toEqual(['check'])
  })
})

describe('preserving acids', () => {
  const kept = (benzoate: number, sorbate: number, ph: number, more: Parameters<typeof simple>[0] = []) =>
    simple([['sodium benzoate', benzoate], ['potassium sorbate', sorbate], ['glycerin', 4], ...more], {
      readings: [{ ph, method: 'meter-direct' }],
    })
  it('preserve by what is free at the pH, together', () => {
    expect(severities(kept(0.2, 0.2, 5), 'preservative.ineffective')).toEqual(['check'])
    expect(severities(kept(0.5, 0.3, 5), 'preservative.ineffective')).toEqual([])
    expect(severities(kept(0.2, 0.2, 4.2), 'preservative.ineffective')).toEqual([])
  })
  it('are not the only hope where another preserves without a pH', () => {
    expect(severities(kept(0.2, 0.2, 5, [PRESERVED]), 'preservative.ineffective')).toEqual([])
  })
})

describe('predicted pH of what was without constants', () => {
  // Estimates with constants from memory; each to be met within half a unit.
  it.each<[string, Parameters<typeof simple>[0], number]>([
    [
      'an amidoamine with lactic acid',
      [
        ['stearamidopropyl dimethylamine', 2],
        ['lactic acid', 0.6],
      ],
      4.4,
    ],
    [
      'sodium polyacrylate with lactic acid',
      [
        ['sodium polyacrylate', 0.5],
        ['lactic acid', 0.2],
      ],
      6.0,
    ],
    [
      'a glutamate chelator with lactic acid',
      [
        ['tetrasodium glutamate diacetate', 0.5],
        ['lactic acid', 0.1],
      ],
      4.7,
    ],
    [
      'a lactylate with lactic acid',
      [
        ['sodium stearoyl lactylate', 2],
        ['lactic acid', 0.3],
      ],
      4.0,
    ],
    [
      'self-emulsifying glyceryl stearate with citric acid',
      [
        ['glyceryl stearate se', 5],
        ['citric acid', 0.1],
      ],
      4.2,
    ],
    ['glutathione', [['glutathione', 2]], 2.9],
    ['niacinamide in plain water that stands in air', [['niacinamide', 5]], 7.1],
    ['plain water that stands in air', [], 5.6],
  ])('%s', (_name, lines, ph) => {
    const p = assess(simple(lines)).predictedPh!
    expect(Math.abs(p.value - ph)).toBeLessThan(0.5)
    expect(p.low).toBeLessThan(p.value)
    expect(p.high).toBeGreaterThan(p.value)
  })
})
