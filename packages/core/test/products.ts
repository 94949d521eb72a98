import type { Formula } from '../src/index.ts'
import { formula, phase, PRESERVED } from './helpers.ts'

type Extra = Parameters<typeof formula>[1]
const named = (name: string, f: Formula): [string, Formula] => [name, { ...f, name }]
const make = (name: string, phases: Parameters<typeof formula>[0], extra: Extra = {}) =>
  named(name, formula(phases, { batchGrams: 200, ...extra }))

import { SIMPLE_PRODUCTS } from './products-simple.ts'

/** Products of every kind, as makers write them down; each is followed to the letter by the tests. */
export const PRODUCTS: readonly [string, Formula][] = [
  make(
    'three-part cream with an acid premix',
    [
      phase('Acid', 'premix', [
        ['propylene glycol', 12],
        ['salicylic acid', 1.5],
      ]),
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
          ['cetearyl alcohol', 3],
          ['olivate emulsifier', 4],
        ],
        { heatToC: 72 },
      ),
      phase('Cool-down', 'cool-down', [PRESERVED], { belowC: 40 }),
    ],
    { product: { kind: 'cream' }, targetPh: { min: 3.6, max: 4 } },
  ),
  make(
    'cold gel with a warm acid',
    [
      phase('Gel', 'water', [
        ['aqua', 'fill'],
        ['glycerin', 5],
        ['xanthan gum', 0.5],
      ]),
      phase(
        'Acid',
        'premix',
        [
          ['propylene glycol', 10],
          ['azelaic acid', 5],
        ],
        { heatToC: 60 },
      ),
      phase('Last', 'cool-down', [PRESERVED]),
    ],
    { product: { kind: 'gel' } },
  ),
  make(
    'two oil phases, waxes apart',
    [
      phase('Water', 'water', [['aqua', 'fill']], { heatToC: 75 }),
      phase('Oils', 'oil', [['jojoba oil', 10]]),
      phase(
        'Waxes',
        'oil',
        [
          ['beeswax', 2],
          ['emulsifying wax', 6],
        ],
        { heatToC: 75 },
      ),
      phase('Cool-down', 'cool-down', [PRESERVED], { belowC: 40 }),
    ],
    { product: { kind: 'cream' } },
  ),
  make(
    'water-in-oil mineral cream with milling',
    [
      phase('Minerals', 'premix', [
        ['caprylic/capric triglyceride', 12],
        ['zinc oxide', 15],
      ]),
      phase(
        'Oil',
        'oil',
        [
          ['squalane', 12],
          ['polyglyceryl-2 dipolyhydroxystearate', 4],
          ['beeswax', 1],
        ],
        { heatToC: 72 },
      ),
      phase(
        'Water',
        'water',
        [
          ['aqua', 'fill'],
          ['magnesium sulfate', 0.7],
          ['glycerin', 3],
        ],
        { heatToC: 72 },
      ),
      phase('Last', 'cool-down', [PRESERVED], { belowC: 40 }),
    ],
    { product: { kind: 'cream' } },
  ),
  make(
    'whipped butter',
    [
      phase('Butters', 'oil', [
        ['shea butter', 70],
        ['sweet almond oil', 25],
        ['cetyl alcohol', 4],
      ]),
      phase(
        'Scent',
        'cool-down',
        [
          ['tocopherol', 0.5],
          ['lavender oil', 0.5],
        ],
        { belowC: 40 },
      ),
    ],
    { product: { kind: 'butter', site: 'body' }, method: { choices: { body: 'whip' } } },
  ),
  make(
    'rinse-off hair mask with raw powders',
    [
      phase(
        'Water',
        'water',
        [
          ['aqua', 'fill'],
          ['glycerin', 4],
        ],
        { heatToC: 75 },
      ),
      phase(
        'Oil',
        'oil',
        [
          ['cetearyl alcohol', 6],
          ['behentrimonium methosulfate, cetearyl alcohol', 5],
          ['coconut oil', 4],
        ],
        { heatToC: 75 },
      ),
      phase('Herbs', 'other', [
        ['kaolin', 4],
        ['oatmeal', 3],
      ]),
      phase('Cool-down', 'cool-down', [PRESERVED], { belowC: 40 }),
    ],
    { batchGrams: 800, product: { kind: 'mask', site: 'hair', rinse: 'rinse-off' } },
  ),
  make(
    'all in one phase',
    [
      phase('Everything', 'other', [
        ['aqua', 'fill'],
        ['sunflower oil', 10],
        ['emulsifying wax', 5],
        ['glycerin', 3],
        PRESERVED,
      ]),
    ],
    { product: { kind: 'lotion', site: 'body' } },
  ),
  make(
    'waxes without a temperature',
    [
      phase('Water', 'water', [
        ['aqua', 'fill'],
        ['glycerin', 3],
      ]),
      phase('Oil', 'oil', [
        ['emulsifying wax', 6],
        ['cetyl alcohol', 3],
        ['sunflower oil', 12],
      ]),
      phase('Cool-down', 'cool-down', [PRESERVED]),
    ],
    { product: { kind: 'cream' } },
  ),
  make(
    'phases at 50 and 70',
    [
      phase('Water', 'water', [['aqua', 'fill']], { heatToC: 50 }),
      phase(
        'Oil',
        'oil',
        [
          ['emulsifying wax', 6],
          ['squalane', 10],
        ],
        { heatToC: 70 },
      ),
      phase('Cool-down', 'cool-down', [PRESERVED], { belowC: 40 }),
    ],
    { product: { kind: 'cream' } },
  ),
  make(
    'serum with hyaluronate under shear',
    [
      phase('Water', 'water', [
        ['aqua', 'fill'],
        ['glycerin', 4],
        ['sodium hyaluronate', 1],
      ]),
      phase('Last', 'cool-down', [['panthenol', 2], PRESERVED]),
    ],
    { product: { kind: 'serum' } },
  ),
  make(
    'serum with hyaluronate overnight',
    [
      phase('Water', 'water', [
        ['aqua', 'fill'],
        ['glycerin', 4],
        ['sodium hyaluronate', 0.5],
      ]),
      phase('Last', 'cool-down', [['niacinamide', 4], PRESERVED]),
    ],
    { product: { kind: 'serum' }, method: { choices: { swelling: 'overnight' } } },
  ),
  make(
    'hyaluronate in a slurry of one’s own',
    [
      phase('Slurry', 'premix', [
        ['glycerin', 5],
        ['sodium hyaluronate', 0.4],
      ]),
      phase('Water', 'water', [['aqua', 'fill']]),
      phase('Last', 'cool-down', [PRESERVED]),
    ],
    { product: { kind: 'serum' } },
  ),
  make(
    'aloe from concentrate',
    [
      phase('Water', 'water', [
        ['aqua', 'fill'],
        ['aloe powder 200x', 0.1],
        ['xanthan gum', 0.3],
        ['glycerin', 3],
      ]),
      phase('Last', 'cool-down', [PRESERVED]),
    ],
    { product: { kind: 'gel' } },
  ),
  make(
    'actives never heated, in a second water',
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
        ],
        { heatToC: 72 },
      ),
      phase('Cold water', 'water', [
        ['rose hydrosol', 10],
        ['niacinamide', 4],
        ['ascorbyl glucoside', 2],
      ]),
      phase('Cool-down', 'cool-down', [PRESERVED], { belowC: 40 }),
    ],
    { product: { kind: 'lotion' } },
  ),
  make(
    'powders in the cool-down without a liquid',
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
        ],
        { heatToC: 72 },
      ),
      phase(
        'Actives',
        'cool-down',
        [
          ['niacinamide', 4],
          ['tranexamic acid', 2],
        ],
        { belowC: 40 },
      ),
      phase('Preserve', 'cool-down', [PRESERVED], { belowC: 40 }),
    ],
    { product: { kind: 'lotion' } },
  ),
  make(
    'preservative in a glycol premix, water heated',
    [
      phase('Premix', 'premix', [['propanediol', 4], PRESERVED]),
      phase(
        'Water',
        'water',
        [
          ['aqua', 'fill'],
          ['glycerin', 3],
          ['allantoin', 0.4],
        ],
        { heatToC: 72 },
      ),
    ],
    { product: { kind: 'toner' } },
  ),
  ...SIMPLE_PRODUCTS,
]
