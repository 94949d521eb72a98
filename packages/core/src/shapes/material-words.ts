export const CONFIDENCES = ['high', 'medium', 'low'] as const
export const MATERIAL_KINDS = [
  'water',
  'hydrosol',
  'aloe',
  'humectant',
  'hyaluronate',
  'oil',
  'butter',
  'ester',
  'alkane',
  'silicone',
  'fatty-alcohol',
  'fatty-acid',
  'wax',
  'emulsifier',
  'emulsifier-wo',
  'solubiliser',
  'cationic',
  'polymer',
  'gum',
  'clay',
  'film-former',
  'active',
  'protein',
  'cooling',
  'acid',
  'base',
  'buffer',
  'salt',
  'chelator',
  'antioxidant',
  'preservative',
  'extract',
  'essential-oil',
  'fragrance',
  'colourant',
  'uv-filter',
  'abrasive',
  'powder',
  'solvent',
  'surfactant',
  'other',
] as const
export const SOLUBILITIES = ['water', 'oil', 'glycol', 'alcohol', 'dispersible'] as const
export const TRAITS = [
  'exfoliant',
  'sun',
  'retinoid',
  'salicylate',
  'pregnancy',
  'lye',
  'strong-acid',
  /** Breaks down to what irritates where it is very acidic. */
  'acid-irritant',
  'dust',
  'flammable',
  'fragrance',
  'eye-irritant',
  'uv-filter',
  'oil-antioxidant',
  'chelator',
  'ph-adjuster',
  'formaldehyde-releaser',
  'water-based',
  'neutralises',
  'needs-neutralising',
  /** Makes a soap that emulsifies, with a base and with a fatty acid. */
  'soap-acid',
  'soap-base',
  /** A soap as it is sold: the salt of a fatty acid. */
  'soap',
  /** A solid that needs an oil to dissolve in. */
  'oil-solid',
  /** Kept on purpose as a fine suspension by one school. */
  'suspended',
  'browned-by-metals',
  /** A solid base that dissolves in acid and sets a pH of its own. */
  'sets-own-ph',
  /** How water looks with a thickener. */
  'clear-gel',
  'hazy-gel',
  /** Counts as water, though its name does not say so. */
  'watery',
  'alcohol',
  /** Plant ground raw: brings microbes, and starch that feeds them. */
  'raw-plant',
] as const

/** Functions that nearly everything has, so that sharing them tells nothing. */
export const COMMON_FUNCTIONS: ReadonlySet<string> = new Set([
  'skin conditioning',
  'hair conditioning',
  'solvent',
  'emollient',
])
