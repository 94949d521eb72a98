import type { MaterialKind } from '@omblet/core'

/** Kinds as they stand together on a shelf. */
export const GROUPS: { id: string; label: string; kinds: MaterialKind[] }[] = [
  { id: 'water', label: 'Waters and aloe', kinds: ['water', 'hydrosol', 'aloe'] },
  { id: 'humectant', label: 'Humectants', kinds: ['humectant', 'hyaluronate'] },
  { id: 'oil', label: 'Oils and butters', kinds: ['oil', 'butter'] },
  { id: 'ester', label: 'Light esters, alkanes, silicones', kinds: ['ester', 'alkane', 'silicone'] },
  { id: 'wax', label: 'Fatty alcohols, acids, waxes', kinds: ['fatty-alcohol', 'fatty-acid', 'wax'] },
  {
    id: 'emulsifier',
    label: 'Emulsifiers and solubilisers',
    kinds: ['emulsifier', 'emulsifier-wo', 'solubiliser'],
  },
  { id: 'cationic', label: 'Hair conditioners', kinds: ['cationic'] },
  { id: 'thickener', label: 'Thickeners', kinds: ['polymer', 'gum', 'clay', 'film-former'] },
  { id: 'active', label: 'Actives and proteins', kinds: ['active', 'protein', 'cooling'] },
  { id: 'acid', label: 'Acids, bases, buffers, salts', kinds: ['acid', 'base', 'buffer', 'salt'] },
  { id: 'guard', label: 'Chelators and antioxidants', kinds: ['chelator', 'antioxidant'] },
  { id: 'preservative', label: 'Preservatives', kinds: ['preservative'] },
  { id: 'botanical', label: 'Extracts and scents', kinds: ['extract', 'essential-oil', 'fragrance'] },
  {
    id: 'powder',
    label: 'Colours, powders, UV filters',
    kinds: ['colourant', 'uv-filter', 'abrasive', 'powder'],
  },
  { id: 'solvent', label: 'Solvents and surfactants', kinds: ['solvent', 'surfactant'] },
  { id: 'other', label: 'Other', kinds: ['other'] },
]

const byKind = new Map(GROUPS.flatMap((g) => g.kinds.map((kind) => [kind, g.id] as const)))
export const groupOf = (kind: MaterialKind) => byKind.get(kind) ?? 'other'
