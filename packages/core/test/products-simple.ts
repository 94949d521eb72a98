import type { Formula } from '../src/index.ts'
import { formula, phase, PRESERVED } from './helpers.ts'

type Extra = Parameters<typeof formula>[1]
const named = (name: string, f: Formula): [string, Formula] => [name, { ...f, name }]
const make = (name: string, phases: Parameters<typeof formula>[0], extra: Extra = {}) =>
  named(name, formula(phases, { batchGrams: 200, ...extra }))

/** Toners, gels, serums and what is made of a few parts. */
export const SIMPLE_PRODUCTS: readonly [string, Formula][] = [
  make(
    'plain toner',
    [
      phase('Water', 'water', [
        ['aqua', 'fill'],
        ['glycerin', 4],
        ['sodium lactate', 2],
      ]),
      phase('Last', 'cool-down', [PRESERVED]),
    ],
    { product: { kind: 'toner' }, targetPh: { min: 5, max: 5.6 } },
  ),
  make(
    'carbomer gel, neutralised last',
    [
      phase('Water', 'water', [
        ['aqua', 'fill'],
        ['carbomer', 0.5],
        ['glycerin', 4],
      ]),
      phase('Last', 'cool-down', [PRESERVED]),
      phase('Adjust', 'adjust', [['sodium hydroxide', 0.2]]),
    ],
    { product: { kind: 'gel' }, targetPh: { min: 5.5, max: 6 } },
  ),
  make(
    'polymer spread in the oil, cold',
    [
      phase('Oil', 'oil', [
        ['coco-caprylate', 10],
        ['acrylates/c10-30 alkyl acrylate crosspolymer', 0.3],
      ]),
      phase('Water', 'water', [
        ['aqua', 'fill'],
        ['glycerin', 3],
      ]),
      phase('Last', 'cool-down', [PRESERVED]),
      phase('Adjust', 'adjust', [['triethanolamine', 0.3]]),
    ],
    { product: { kind: 'gel' } },
  ),
  make(
    'leave-in with a cationic wax',
    [
      phase(
        'Water',
        'water',
        [
          ['aqua', 'fill'],
          ['glycerin', 2],
        ],
        { heatToC: 75 },
      ),
      phase(
        'Oil',
        'oil',
        [
          ['behentrimonium methosulfate, cetearyl alcohol', 4],
          ['cetyl alcohol', 2],
          ['coconut oil', 2],
        ],
        { heatToC: 75 },
      ),
      phase('Cool-down', 'cool-down', [['hydrolyzed wheat protein', 2], PRESERVED], { belowC: 40 }),
    ],
    { product: { kind: 'leave-in', site: 'hair' } },
  ),
  make(
    'stock as an ingredient',
    [
      phase('Water', 'water', [
        ['aqua', 'fill'],
        [
          'harbour gum stock',
          30,
          {
            custom: {
              inci: ['Aqua', 'Xanthan Gum'],
              functions: ['viscosity controlling'],
              solubility: 'water',
              parts: [
                { material: 'aqua', percent: 99 },
                { material: 'xanthan gum', percent: 1 },
              ],
            },
          },
        ],
      ]),
      phase('Last', 'cool-down', [PRESERVED]),
    ],
    { product: { kind: 'gel' } },
  ),
  make(
    'benzoate and sorbate, which move the pH',
    [
      phase('Water', 'water', [
        ['aqua', 'fill'],
        ['glycerin', 3],
      ]),
      phase('Last', 'cool-down', [
        ['sodium benzoate', 0.4],
        ['potassium sorbate', 0.3],
      ]),
      phase('Adjust', 'adjust', [['citric acid', 0.3]]),
    ],
    { product: { kind: 'toner' }, targetPh: { min: 4.3, max: 4.7 } },
  ),
  make(
    'cream with a cold share of water',
    [
      phase(
        'Water',
        'water',
        [
          ['aqua', 'fill'],
          ['glycerin', 3],
        ],
        { heatToC: 72 },
      ),
      phase(
        'Oil',
        'oil',
        [
          ['squalane', 10],
          ['olivate emulsifier', 4],
          ['cetyl alcohol', 2],
        ],
        { heatToC: 72 },
      ),
      phase('Cool-down', 'cool-down', [PRESERVED], { belowC: 40 }),
    ],
    { product: { kind: 'cream' }, method: { choices: { cooling: 'cold-share', pouring: 'water-into-oil' } } },
  ),
  make(
    'balm that is poured warm',
    [
      phase(
        'Waxes',
        'oil',
        [
          ['beeswax', 20],
          ['sunflower oil', 60],
          ['shea butter', 19],
        ],
        { heatToC: 75 },
      ),
      phase('Late', 'cool-down', [['tocopherol', 1]], { belowC: 60 }),
    ],
    { product: { kind: 'butter', site: 'lips' } },
  ),
  make(
    'unknown juice in a phase of no role',
    [
      phase('Water', 'water', [
        ['aqua', 'fill'],
        ['xanthan gum', 0.4],
        ['glycerin', 4],
      ]),
      phase('Juice', 'other', [['quince water from the garden', 10]]),
      phase('Last', 'cool-down', [PRESERVED]),
    ],
    { product: { kind: 'gel' } },
  ),
  make(
    'words of a recipe that mean heat, everything in two phases',
    [
      phase(
        'Phase A',
        'other',
        [
          ['aqua', 'fill'],
          ['glycerin', 4],
        ],
        { heatToC: 70 },
      ),
      phase('Phase B', 'other', [
        ['sunflower oil', 12],
        ['shea butter', 5],
        ['emulsifying wax', 6],
      ]),
      phase('Phase C', 'other', [['tocopherol', 0.5], PRESERVED]),
    ],
    { product: { kind: 'lotion', site: 'body' } },
  ),
  make(
    'body butter with starch folded in',
    [
      phase('Butters', 'oil', [
        ['shea butter', 72],
        ['sweet almond oil', 22],
        ['tocopherol', 0.5],
      ]),
      phase('Powder', 'cool-down', [['tapioca starch', 5.5]], { belowC: 40 }),
    ],
    { product: { kind: 'butter', site: 'body' }, method: { choices: { body: 'whip' } } },
  ),
  make(
    'cream with clay in the cool-down',
    [
      phase(
        'Water',
        'water',
        [
          ['aqua', 'fill'],
          ['glycerin', 3],
        ],
        { heatToC: 72 },
      ),
      phase(
        'Oil',
        'oil',
        [
          ['squalane', 10],
          ['emulsifying wax', 6],
        ],
        { heatToC: 72 },
      ),
      phase('Clay', 'cool-down', [['kaolin', 4]], { belowC: 40 }),
      phase('Cool-down', 'cool-down', [PRESERVED], { belowC: 40 }),
    ],
    { product: { kind: 'mask', rinse: 'rinse-off' } },
  ),
  make(
    'jelly that becomes cream',
    [
      phase(
        'Water',
        'water',
        [
          ['aqua', 'fill'],
          ['glycerin', 3],
        ],
        { heatToC: 75 },
      ),
      phase(
        'Oil',
        'oil',
        [
          ['squalane', 12],
          ['emulsifying wax', 5],
        ],
        { heatToC: 75 },
      ),
      phase('Cool-down', 'cool-down', [PRESERVED], { belowC: 40 }),
    ],
    { product: { kind: 'cream' }, method: { choices: { body: 'beat' } } },
  ),
  make(
    'toner with a dye',
    [
      phase('Water', 'water', [
        ['aqua', 'fill'],
        ['glycerin', 4],
      ]),
      phase('Last', 'cool-down', [PRESERVED, ['CI 42090', 0.001]]),
    ],
    { product: { kind: 'toner' } },
  ),
  make(
    'gel with enough of a dye to weigh',
    [
      phase('Water', 'water', [
        ['aqua', 'fill'],
        ['xanthan gum', 0.4],
        ['glycerin', 4],
      ]),
      phase('Last', 'cool-down', [PRESERVED, ['CI 75810', 0.2]]),
    ],
    { product: { kind: 'gel' } },
  ),
  make(
    'serum from a stock of hyaluronate',
    [
      phase('Water', 'water', [
        ['aqua', 'fill'],
        ['glycerin', 4],
        ['sodium hyaluronate', 0.2],
      ]),
      phase('Last', 'cool-down', [['panthenol', 2], PRESERVED]),
    ],
    { product: { kind: 'serum' }, method: { choices: { swelling: 'stock' } } },
  ),
  make(
    'gum sprinkled on bare water, left overnight',
    [
      phase('Water', 'water', [
        ['aqua', 'fill'],
        ['hydroxyethylcellulose', 1],
      ]),
      phase('Last', 'cool-down', [PRESERVED]),
    ],
    { product: { kind: 'gel' }, method: { choices: { gum: 'overnight' } } },
  ),
]
