import { describe, expect, it } from 'vitest'
import type { Finding, Formula } from '../src/index.ts'
import { codes, cream, formula, only, phase, PRESERVED, simple } from './helpers.ts'

describe('bad formulas do', () => {
  const bad: [string, string, Finding['severity'], Formula][] = [
    [
      'total.not-100',
      'percents that make 97',
      'stop',
      formula([phase('A', 'water', [['aqua', 90], ['glycerin', 6], PRESERVED])]),
    ],
    [
      'total.not-100',
      'a fill line below zero',
      'stop',
      formula([
        phase('A', 'water', [
          ['aqua', 'fill'],
          ['glycerin', 60],
          ['urea', 45],
        ]),
      ]),
    ],
    ['amount.missing', 'a line without an amount', 'check', simple([['glycerin'], PRESERVED])],
    [
      'amount.mismatch',
      'percent and grams that disagree',
      'check',
      simple([['glycerin', 5, { grams: 70 }], PRESERVED]),
    ],
    ['material.unknown', 'a name nobody knows', 'check', simple([['moon dust', 1], PRESERVED])],
    ['usage.above-max', '12 % niacinamide', 'check', simple([['niacinamide', 12], PRESERVED])],
    ['usage.below-min', '0.2 % niacinamide', 'note', simple([['niacinamide', 0.2], PRESERVED])],
    [
      'usage.exfoliant-total',
      'three acids that add up',
      'check',
      simple([['glycolic acid', 6], ['lactic acid', 5], ['mandelic acid', 2], PRESERVED]),
    ],
    [
      'usage.extract-load',
      'six extracts',
      'note',
      simple([
        ['green tea extract', 1],
        ['nettle extract', 1],
        ['oat extract', 1],
        ['ginseng extract', 1],
        ['ginkgo extract', 1],
        ['horsetail extract', 1],
        PRESERVED,
      ]),
    ],
    ['legal.above-cap', '4 % alpha-arbutin on the face', 'stop', simple([['alpha-arbutin', 4], PRESERVED])],
    [
      'legal.prohibited',
      'kojic acid on the body',
      'stop',
      simple([['kojic acid', 1], PRESERVED], { product: { site: 'body' } }),
    ],
    ['preservative.missing', 'water without a preservative', 'stop', simple([['glycerin', 5]])],
    ['preservative.missing', 'a booster alone', 'stop', simple([['ethylhexylglycerin', 0.5]])],
    [
      'preservative.missing',
      'sorbate alone leaves bacteria',
      'check',
      simple([
        ['potassium sorbate', 0.3],
        ['citric acid', 0.2],
      ]),
    ],
    [
      'preservative.missing',
      'a hydrosol counts as water',
      'stop',
      formula([
        phase('A', 'water', [
          ['rose hydrosol', 'fill'],
          ['glycerin', 5],
        ]),
      ]),
    ],
    [
      'preservative.missing',
      'radish root ferment is no preservative to rest on',
      'check',
      simple([['leuconostoc/radish root ferment filtrate', 4]]),
    ],
    [
      'preservative.unidentified',
      'a nameless preservative',
      'check',
      simple([['market stall preserver', 1, { custom: { functions: ['preservative'] } }]]),
    ],
    [
      'preservative.low',
      'a third of the dose',
      'check',
      simple([['phenoxyethanol, ethylhexylglycerin', 0.3]]),
    ],
    [
      'preservative.heat',
      'preservative in the hot phase',
      'check',
      cream({ water: [PRESERVED], cool: [['panthenol', 1]] }),
    ],
    [
      'preservative.outside-ph',
      'benzoate and sorbate read at pH 6',
      'stop',
      simple(
        [
          ['sodium benzoate', 0.4],
          ['potassium sorbate', 0.3],
        ],
        { readings: [{ ph: 6, method: 'meter-direct' }] },
      ),
    ],
    [
      'preservative.outside-ph',
      'gluconolactone blend aimed at pH 6',
      'check',
      simple([['gluconolactone, sodium benzoate', 1.5]], { targetPh: { min: 5.8, max: 6.2 } }),
    ],
    [
      'ph.no-shared-window',
      'sodium ascorbyl phosphate with salicylic acid',
      'stop',
      simple([['sodium ascorbyl phosphate', 2], ['salicylic acid', 1], PRESERVED]),
    ],
    [
      'ph.no-shared-window',
      'an acid with carbomer',
      'check',
      simple([['salicylic acid', 1], ['carbomer', 0.3], PRESERVED]),
    ],
    [
      'ph.outside-window',
      'niacinamide read at pH 3.5',
      'check',
      simple([['niacinamide', 4], PRESERVED], { readings: [{ ph: 3.5, method: 'meter-10pct' }] }),
    ],
    [
      'ph.outside-window',
      'a target that nobody shares',
      'check',
      simple([['niacinamide', 4], PRESERVED], { targetPh: { min: 3, max: 3.5 } }),
    ],
    [
      'ph.outside-window',
      'a soap cream aimed at pH 5',
      'check',
      formula(
        [
          phase(
            'Oil',
            'oil',
            [
              ['stearic acid', 8],
              ['isopropyl myristate', 4],
            ],
            { heatToC: 78 },
          ),
          phase('Water', 'water', [['aqua', 'fill'], ['triethanolamine', 1], PRESERVED]),
        ],
        { targetPh: { min: 5, max: 5.5 } },
      ),
    ],
    [
      'thickener.electrolyte',
      'salt in carbomer',
      'check',
      simple([['carbomer', 0.4], ['sodium hydroxide', 0.15], ['sodium pca', 3], PRESERVED]),
    ],
    [
      'thickener.needs-neutralising',
      'carbomer without a base',
      'check',
      simple([['carbomer', 0.4], ['glycerin', 3], PRESERVED]),
    ],
    [
      'thickener.no-slurry',
      'xanthan in bare water',
      'note',
      simple([
        ['xanthan gum', 0.4],
        ['sodium benzoate', 0.4],
        ['potassium sorbate', 0.3],
        ['citric acid', 0.2],
      ]),
    ],
    [
      'thickener.outside-ph',
      'carbomer read at pH 4',
      'check',
      simple([['carbomer', 0.4], ['triethanolamine', 0.2], ['glycerin', 3], PRESERVED], {
        readings: [{ ph: 4, method: 'meter-direct' }],
      }),
    ],
    [
      'process.hydration-time',
      'hyaluronate',
      'note',
      simple([['sodium hyaluronate', 0.3], ['glycerin', 3], PRESERVED]),
    ],
    ['process.make-up-water', 'a hot water phase', 'note', cream()],
    [
      'emulsion.emulsifier-outside-ph',
      'a citrate ester at pH 4',
      'check',
      cream(
        {
          oil: [
            ['squalane', 12],
            ['glyceryl stearate citrate', 3],
            ['cetyl alcohol', 2],
          ],
        },
        { targetPh: { min: 3.6, max: 4 } },
      ),
    ],
    [
      'emulsion.hlb-mismatch',
      'an oil-loving pair on mineral oil',
      'check',
      cream({
        oil: [
          ['mineral oil', 20],
          ['sorbitan stearate', 4],
          ['polysorbate 60', 0.5],
        ],
      }),
    ],
    [
      'stability.incompatible',
      'benzoate with ascorbic acid',
      'check',
      simple([
        ['ascorbic acid', 8],
        ['sodium benzoate', 0.4],
        ['potassium sorbate', 0.3],
      ]),
    ],
    [
      'stability.incompatible',
      'an amine with a nitrosating preservative',
      'stop',
      simple([['triethanolamine', 0.5], ['2-bromo-2-nitropropane-1,3-diol', 0.05], PRESERVED]),
    ],
    [
      'stability.incompatible',
      'copper peptide with a chelator',
      'check',
      simple([['copper tripeptide-1', 0.1], ['disodium EDTA', 0.1], PRESERVED]),
    ],
    [
      'ph.not-measured',
      'niacinamide, and no reading',
      'note',
      cream({ cool: [PRESERVED, ['niacinamide', 4]] }),
    ],
    [
      'ph.not-final',
      'read before the cool-down',
      'check',
      cream(
        { cool: [PRESERVED, ['niacinamide', 4]] },
        { readings: [{ ph: 6, method: 'meter-direct', afterPhase: 'Oil' }] },
      ),
    ],
    ['ph.drift-expected', 'a lactone', 'note', simple([['gluconolactone, sodium benzoate', 1.5]])],
    [
      'ph.strip-resolution',
      'a strip for a narrow target',
      'note',
      simple([['niacinamide', 4], PRESERVED], {
        targetPh: { min: 5.8, max: 6.2 },
        readings: [{ ph: 6, method: 'strip' }],
      }),
    ],
    [
      'ph.outside-window',
      'an acid serum that nobody brought up',
      'check',
      simple([['glycolic acid', 5], ['sclerotium gum', 0.4], PRESERVED]),
    ],
    [
      'ph.not-measurable',
      'water in oil',
      'note',
      formula([
        phase('Oil', 'oil', [
          ['squalane', 20],
          ['polyglyceryl-2 dipolyhydroxystearate', 3],
        ]),
        phase('Water', 'water', [['aqua', 'fill'], ['magnesium sulfate', 0.7], PRESERVED]),
      ]),
    ],
    [
      'heat.sensitive-in-hot-phase',
      'retinol at 72 °C',
      'check',
      cream({
        oil: [
          ['squalane', 14],
          ['olivate emulsifier', 4],
          ['retinol', 0.2],
        ],
      }),
    ],
    [
      'phase.wrong-solubility',
      'panthenol in the oil',
      'check',
      cream({
        oil: [
          ['squalane', 14],
          ['olivate emulsifier', 4],
          ['betaine', 2],
        ],
      }),
    ],
    [
      'phase.wrong-solubility',
      'an essential oil in plain water',
      'check',
      simple([['lavender essential oil', 0.3], PRESERVED]),
    ],
    ['process.order', 'wax in the cool-down', 'check', cream({ cool: [PRESERVED, ['beeswax', 2]] })],
    [
      'emulsion.no-emulsifier',
      'oil and water and nothing else',
      'stop',
      formula([
        phase('Water', 'water', [['aqua', 'fill'], PRESERVED]),
        phase('Oil', 'oil', [['olive oil', 20]]),
      ]),
    ],
    [
      'emulsion.too-little-emulsifier',
      '1 % emulsifier on 30 % oil',
      'check',
      cream({
        oil: [
          ['olive oil', 30],
          ['olivate emulsifier', 1],
        ],
      }),
    ],
    [
      'charge.clash',
      'a quat with xanthan gum',
      'check',
      cream({
        water: [['xanthan gum', 0.3]],
        oil: [
          ['behentrimonium methosulfate wax, 25 %', 4],
          ['argan oil', 3],
        ],
      }),
    ],
    [
      'oxidation.no-antioxidant',
      'rosehip oil alone',
      'note',
      cream({ cool: [PRESERVED, ['rosehip seed oil', 4]] }),
    ],
    [
      'weighing.too-small',
      '0.3 g of a 30 g batch in tenths',
      'check',
      simple([PRESERVED, ['allantoin', 0.3]], { batchGrams: 30, scaleResolutionGrams: 0.1 }),
    ],
    [
      'weighing.too-small',
      '0.1 g in hundredths',
      'note',
      simple([['allantoin', 0.1], PRESERVED], { batchGrams: 100 }),
    ],
    [
      'claim.spf',
      'a UV filter',
      'check',
      cream({
        oil: [
          ['squalane', 10],
          ['olivate emulsifier', 4],
          ['zinc oxide', 10],
        ],
      }),
    ],
    ['claim.spf', 'SPF 30 claimed', 'stop', cream({}, { product: { claims: ['SPF 30'] } })],
    [
      'claim.natural',
      'natural with phenoxyethanol',
      'check',
      cream({}, { product: { claims: ['natural'] } }),
    ],
    ['claim.unsupported', 'it heals eczema', 'stop', cream({}, { product: { claims: ['heals eczema'] } })],
    [
      'claim.unsupported',
      'vegan with beeswax',
      'check',
      cream(
        {
          oil: [
            ['squalane', 10],
            ['olivate emulsifier', 4],
            ['beeswax', 1],
          ],
        },
        { product: { claims: ['vegan'] } },
      ),
    ],
    [
      'claim.unsupported',
      'fragrance-free with lavender',
      'check',
      cream(
        { cool: [PRESERVED, ['lavender essential oil', 0.2]] },
        { product: { claims: ['fragrance-free'] } },
      ),
    ],
    [
      'safety.eye',
      'an acid near the eye',
      'check',
      simple([['glycolic acid', 3], PRESERVED], { product: { site: 'eye' } }),
    ],
    [
      'safety.unpreserved',
      'declared fresh',
      'check',
      simple([['glycerin', 5]], { product: { claims: ['fresh'] } }),
    ],
    ['safety.sun', 'a retinoid', 'note', cream({ cool: [PRESERVED, ['retinol', 0.2]] })],
    ['safety.lye', 'lye as adjuster', 'note', simple([['sodium hydroxide', 0.1], PRESERVED])],
    ['safety.salicylate', 'willow bark', 'note', simple([['willow bark extract', 2], PRESERVED])],
    ['safety.sale', 'meant for sale', 'note', cream({}, { product: { claims: ['for sale at the market'] } })],
    ['safety.flammable', 'alcohol', 'note', simple([['alcohol', 30]])],
    [
      'safety.dust',
      'zinc oxide',
      'note',
      cream({
        oil: [
          ['squalane', 10],
          ['olivate emulsifier', 4],
          ['zinc oxide', 5],
        ],
      }),
    ],
  ]
  it.each(bad)('%s: %s', (code, _, severity, f) => {
    const found = only(f, code)
    expect(
      found.map((x) => x.severity),
      codes(f).join(),
    ).toContain(severity)
    for (const x of found) {
      expect(x.message).toMatch(/[.]$/)
      expect(x.source.length).toBeGreaterThan(3)
    }
  })
})
