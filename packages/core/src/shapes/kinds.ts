import type { MATERIAL_KINDS } from './material-words.ts'

export type Kind = (typeof MATERIAL_KINDS)[number]

/** What is known of a material by its kind alone (common practice). */
export type KindFact =
  /** An oil that the emulsifier has to carry, unless it goes into water. */
  | 'oil'
  /** An oil with a polar group, that takes up what is fat-loving: not silicones, alkanes and waxes. */
  | 'polar-oil'
  /** Chosen for how it spreads on the skin. */
  | 'emollient'
  /** Solids that want an oil dissolve in it. */
  | 'dissolves-solids'
  /** A fat that has to be molten. */
  | 'solid-fat'
  /** Softens and sets anew in a warm bag. */
  | 'melts'
  /** Its body comes or goes while it stands. */
  | 'sets'
  /** Swells or thickens, and lumps where it meets water unprepared. */
  | 'gum'
  /** What is stirred into its gel does not sink. */
  | 'holds-up'
  /** Stays a powder in whatever it is stirred into. */
  | 'stays-powder'
  /** Counts as water where gums swell. */
  | 'watery'
  /** What a blend is thinned with: it tells nothing of it. */
  | 'thins'
  /** Brings a colour that may change. */
  | 'coloured'
  /** Goes on moving the pH for hours. */
  | 'slow-ph'
  /** Put in for what it does: its usual dose, wherever it stands in a list. */
  | 'by-effect'
  /** A maker chose it for what it does: its dose is a decision, not a filling. */
  | 'chosen'
  /** A small amount of it is a choice rather than a mistake. */
  | 'no-minimum'
  /** Its upper end is a matter of feel and keeping rather than of safety. */
  | 'bulk'
  /** One replaces another gram for gram; others go by their own usual dose. */
  | 'gram-for-gram'

/** One row a kind: a new kind is a row here, and no rule names it. */
const FACTS: Readonly<Record<Kind, readonly KindFact[]>> = {
  water: ['watery', 'thins', 'no-minimum', 'gram-for-gram'],
  hydrosol: ['watery', 'no-minimum', 'bulk', 'gram-for-gram'],
  aloe: ['watery', 'coloured', 'no-minimum', 'bulk', 'gram-for-gram'],
  humectant: ['thins', 'no-minimum', 'bulk', 'gram-for-gram'],
  hyaluronate: ['holds-up', 'by-effect', 'chosen'],
  oil: [
    'oil',
    'polar-oil',
    'emollient',
    'dissolves-solids',
    'coloured',
    'no-minimum',
    'bulk',
    'gram-for-gram',
  ],
  butter: [
    'oil',
    'polar-oil',
    'emollient',
    'dissolves-solids',
    'solid-fat',
    'melts',
    'no-minimum',
    'bulk',
    'gram-for-gram',
  ],
  ester: ['oil', 'polar-oil', 'emollient', 'dissolves-solids', 'no-minimum', 'bulk', 'gram-for-gram'],
  alkane: ['oil', 'emollient', 'no-minimum', 'bulk', 'gram-for-gram'],
  silicone: ['oil', 'emollient', 'no-minimum', 'bulk', 'gram-for-gram'],
  'fatty-alcohol': ['dissolves-solids', 'solid-fat', 'sets', 'no-minimum', 'bulk', 'gram-for-gram'],
  'fatty-acid': ['oil', 'solid-fat', 'sets', 'no-minimum', 'bulk'],
  wax: ['oil', 'solid-fat', 'melts', 'sets', 'no-minimum', 'bulk', 'gram-for-gram'],
  emulsifier: ['by-effect'],
  'emulsifier-wo': ['by-effect'],
  solubiliser: [],
  cationic: ['by-effect'],
  polymer: ['sets', 'gum', 'holds-up', 'by-effect'],
  gum: ['sets', 'gum', 'holds-up', 'by-effect'],
  clay: ['sets', 'holds-up', 'stays-powder', 'slow-ph', 'bulk', 'gram-for-gram'],
  'film-former': ['no-minimum'],
  active: ['by-effect', 'chosen'],
  protein: ['coloured', 'slow-ph', 'chosen'],
  cooling: ['chosen'],
  acid: ['chosen', 'no-minimum'],
  base: ['chosen', 'no-minimum'],
  buffer: ['chosen', 'no-minimum'],
  salt: ['no-minimum'],
  chelator: ['by-effect', 'chosen'],
  antioxidant: ['by-effect', 'chosen'],
  preservative: ['by-effect', 'chosen', 'no-minimum'],
  extract: ['coloured', 'slow-ph', 'chosen', 'no-minimum'],
  'essential-oil': ['oil', 'polar-oil', 'chosen', 'no-minimum'],
  fragrance: ['oil', 'polar-oil', 'chosen', 'no-minimum'],
  colourant: ['coloured', 'chosen', 'no-minimum', 'bulk'],
  'uv-filter': ['chosen'],
  abrasive: ['stays-powder'],
  powder: ['stays-powder', 'no-minimum', 'bulk', 'gram-for-gram'],
  solvent: ['thins', 'no-minimum', 'bulk', 'gram-for-gram'],
  surfactant: [],
  other: [],
}
const HAVE = new Map<Kind, ReadonlySet<KindFact>>(
  Object.entries(FACTS).map(([kind, facts]) => [kind as Kind, new Set(facts)]),
)

/** Whether this holds of all materials of the kind. */
export const kindHas = (kind: Kind, fact: KindFact): boolean => HAVE.get(kind)!.has(fact)
