import { common } from '#words/common'
import { groups as texts } from '#words/ingredients'
import type { MaterialKind } from '@omblet/core'

/** Kinds as they stand together on a shelf. */
export const GROUPS: { id: string; label: string; kinds: MaterialKind[] }[] = [
  { id: 'water', label: texts.watersAndAloe, kinds: ['water', 'hydrosol', 'aloe'] },
  { id: 'humectant', label: texts.humectants, kinds: ['humectant', 'hyaluronate'] },
  { id: 'oil', label: texts.oilsAndButters, kinds: ['oil', 'butter'] },
  { id: 'ester', label: texts.lightEstersAlkanesSilicones, kinds: ['ester', 'alkane', 'silicone'] },
  { id: 'wax', label: texts.fattyAlcoholsAcidsWaxes, kinds: ['fatty-alcohol', 'fatty-acid', 'wax'] },
  {
    id: 'emulsifier',
    label: texts.emulsifiersAndSolubilisers,
    kinds: ['emulsifier', 'emulsifier-wo', 'solubiliser'],
  },
  { id: 'cationic', label: texts.hairConditioners, kinds: ['cationic'] },
  { id: 'thickener', label: texts.thickeners, kinds: ['polymer', 'gum', 'clay', 'film-former'] },
  { id: 'active', label: texts.activesAndProteins, kinds: ['active', 'protein', 'cooling'] },
  { id: 'acid', label: texts.acidsBasesBuffersSalts, kinds: ['acid', 'base', 'buffer', 'salt'] },
  { id: 'guard', label: texts.chelatorsAndAntioxidants, kinds: ['chelator', 'antioxidant'] },
  { id: 'preservative', label: texts.preservatives, kinds: ['preservative'] },
  { id: 'botanical', label: texts.extractsAndScents, kinds: ['extract', 'essential-oil', 'fragrance'] },
  {
    id: 'powder',
    label: texts.coloursPowdersUvFilters,
    kinds: ['colourant', 'uv-filter', 'abrasive', 'powder'],
  },
  { id: 'solvent', label: texts.solventsAndSurfactants, kinds: ['solvent', 'surfactant'] },
  { id: 'other', label: common.other, kinds: ['other'] },
]

const byKind = new Map(GROUPS.flatMap((g) => g.kinds.map((kind) => [kind, g.id] as const)))
export const groupOf = (kind: MaterialKind) => byKind.get(kind) ?? 'other'
