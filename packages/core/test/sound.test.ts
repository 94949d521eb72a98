import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { readFormula, type Formula } from '../src/index.ts'
import { cream, findingsOf, formula, phase, PRESERVED, simple } from './helpers.ts'

const serious = (f: Formula) => findingsOf(f).filter((x) => x.severity !== 'note')
const stops = (f: Formula) =>
  findingsOf(f)
    .filter((x) => x.severity === 'stop')
    .map((x) => x.code)

describe('sound formulas draw no alarm', () => {
  const sound: [string, Formula][] = [
    ['a plain cream', cream()],
    [
      'niacinamide at pH 6',
      cream({ cool: [PRESERVED, ['niacinamide', 5]] }, { targetPh: { min: 5.8, max: 6.2 } }),
    ],
    ['oil-free by design', simple([['glycerin', 5], ['xanthan gum', 0.3], ['panthenol', 2], PRESERVED])],
    [
      '2 % salicylic acid at its pH',
      formula(
        [
          phase('Premix', 'premix', [
            ['propylene glycol', 15],
            ['salicylic acid', 2],
          ]),
          phase('Water', 'water', [
            ['aqua', 'fill'],
            ['hydroxyethylcellulose', 0.5],
          ]),
          phase('Last', 'cool-down', [PRESERVED]),
        ],
        { targetPh: { min: 3.3, max: 3.8 } },
      ),
    ],
    [
      '2 % lactic acid at pH 3.8',
      simple([['lactic acid', 2], ['sclerotium gum', 0.4], PRESERVED], { targetPh: { min: 3.6, max: 4 } }),
    ],
    [
      'a polymer wetted in the oil',
      cream(
        {
          oil: [
            ['coco-caprylate', 12],
            ['acrylates/c10-30 alkyl acrylate crosspolymer', 0.3],
            ['xanthan gum', 0.2],
          ],
        },
        { targetPh: { min: 5.5, max: 6.5 } },
      ),
    ],
    [
      '4.5 % wax on 18 % oil',
      cream({
        oil: [
          ['jojoba oil', 12],
          ['shea butter', 6],
          ['emulsifying wax', 4.5],
        ],
      }),
    ],
    [
      'acid as a mere pH adjuster',
      cream(
        { cool: [PRESERVED, ['niacinamide', 4], ['lactic acid', 0.2], ['citric acid', 0.1]] },
        { targetPh: { min: 5.6, max: 6 } },
      ),
    ],
    [
      'benzoate and sorbate at pH 4.5',
      simple(
        [
          ['sodium benzoate', 0.4],
          ['potassium sorbate', 0.3],
          ['citric acid', 0.3],
          ['glycerin', 3],
        ],
        { targetPh: { min: 4.3, max: 4.7 } },
      ),
    ],
    [
      'a balm without water',
      formula([
        phase(
          'Melt',
          'oil',
          [
            ['beeswax', 20],
            ['jojoba oil', 79.5],
            ['tocopherol', 0.5],
          ],
          { heatToC: 75 },
        ),
      ]),
    ],
    [
      'a cationic leave-in',
      cream(
        {
          water: [['hydroxyethylcellulose', 0.3]],
          oil: [
            ['behentrimonium methosulfate wax, 25 %', 4],
            ['cetyl alcohol', 2],
            ['argan oil', 2],
          ],
          cool: [PRESERVED, ['tocopherol', 0.2]],
        },
        { product: { kind: 'leave-in', site: 'hair' }, targetPh: { min: 4, max: 5 } },
      ),
    ],
    [
      'water in oil',
      formula([
        phase('Oil', 'oil', [
          ['squalane', 20],
          ['polyglyceryl-3 diisostearate', 4],
        ]),
        phase('Water', 'water', [['aqua', 'fill'], ['glycerin', 3], ['magnesium sulfate', 0.7], PRESERVED]),
      ]),
    ],
    [
      'a scented toner with its solubiliser',
      simple([['lavender essential oil', 0.1], ['polysorbate 20', 0.6], PRESERVED], {
        product: { site: 'body' },
      }),
    ],
    [
      'an alcoholic tonic',
      simple(
        [
          ['alcohol denat.', 30],
          ['menthol', 0.1],
        ],
        { product: { site: 'scalp' } },
      ),
    ],
    [
      'azelaic acid at pH 4',
      simple([['azelaic acid', 8], ['propanediol', 10], ['xanthan gum', 0.4], PRESERVED], {
        targetPh: { min: 3.8, max: 4.5 },
      }),
    ],
    [
      'hyaluronate with a strong acid',
      simple([['glycolic acid', 4], ['sodium hyaluronate', 0.1], PRESERVED], {
        targetPh: { min: 3.8, max: 4 },
      }),
    ],
    [
      'a vanishing cream whose soap is made in place',
      formula(
        [
          phase(
            'Oil',
            'oil',
            [
              ['stearic acid', 8],
              ['cetyl alcohol', 2],
              ['isopropyl myristate', 4],
            ],
            { heatToC: 78 },
          ),
          phase(
            'Water',
            'water',
            [
              ['aqua', 'fill'],
              ['glycerin', 5],
              ['triethanolamine', 1],
            ],
            { heatToC: 78 },
          ),
          phase('Cool-down', 'cool-down', [PRESERVED], { belowC: 40 }),
        ],
        { targetPh: { min: 7.5, max: 8.2 } },
      ),
    ],
    [
      'a nonionic pair that fits its oils',
      cream({
        oil: [
          ['mineral oil', 15],
          ['isopropyl myristate', 5],
          ['steareth-21', 2.4],
          ['steareth-2', 1.6],
          ['cetyl alcohol', 2],
        ],
      }),
    ],
    [
      'a carbomer gel, neutralised, with little salt',
      simple([
        ['carbomer', 0.3],
        ['glycerin', 4],
        ['triethanolamine', 0.3],
        ['sodium hyaluronate', 0.1],
        PRESERVED,
      ]),
    ],
    [
      'xanthan with salts',
      simple([['xanthan gum', 0.5], ['glycerin', 3], ['sodium pca', 3], ['sodium lactate', 2], PRESERVED]),
    ],
    [
      'a lactic and urea cream, brought to its pH',
      cream(
        {
          cool: [PRESERVED, ['urea', 10]],
          water: [
            ['lactic acid', 2],
            ['sodium hydroxide', 0.5],
          ],
        },
        { product: { site: 'body' }, targetPh: { min: 3.8, max: 4.4 } },
      ),
    ],
    [
      'much lye that much acid uses up',
      simple([['mandelic acid', 8], ['sodium hydroxide', 1.4], ['sclerotium gum', 0.5], PRESERVED]),
    ],
    [
      'a facial oil',
      formula([
        phase('Oil', 'oil', [
          ['rosehip seed oil', 30],
          ['squalane', 69.5],
          ['tocopherol', 0.5],
        ]),
      ]),
    ],
    [
      'colourants and powders',
      cream({
        oil: [
          ['squalane', 12],
          ['olivate emulsifier', 4],
          ['cetyl alcohol', 2],
          ['red iron oxide', 0.2],
          ['silica', 2],
        ],
      }),
    ],
  ]
  it.each(sound)('%s', (_, f) => {
    expect(serious(f).map((x) => `${x.severity} ${x.code}: ${x.message}`)).toEqual([])
  })

  const folder = new URL('../../../demo/', import.meta.url)
  const demo = readdirSync(folder)
    .sort()
    .map((name) => readFormula(readFileSync(new URL(name, folder), 'utf8')))
  it('six of the eight examples are clean, two are instructive', () => {
    const trouble = demo.filter((f) => stops(f).length > 0 || serious(f).length > 2).map((f) => f.name)
    expect(demo).toHaveLength(8)
    expect(trouble).toEqual(['Gull Wing body lotion', 'Storm Warning serum'])
    expect(new Set(demo.map((f) => f.product.kind))).toEqual(
      new Set(['toner', 'serum', 'gel', 'lotion', 'cream', 'butter', 'leave-in']),
    )
  })
})
