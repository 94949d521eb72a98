import type { Assessment } from '../assess/types.ts'
import type { AssessedLine } from '../lines/types.ts'
import type { Material } from '../shapes/material.ts'
import type { Said } from '../text/said.ts'
import type { EmulsionNote, GuideFacts } from './said.ts'
import { isEmulsifier, isOil, emulsifierRange } from '../emulsion/emulsion.ts'
import { kindHas } from '../shapes/kinds.ts'

export type Spread = 'fast' | 'medium' | 'slow'

/** How an emollient spreads, by its feel words: fast and dry leave quickly, rich and waxy stay (common practice). */
export function spreadOf(material: Material): Spread | null {
  const feel = new Set(material.feel ?? [])
  if (feel.has('fast') || feel.has('dry')) return 'fast'
  if (feel.has('slow') || feel.has('rich') || feel.has('occlusive') || feel.has('waxy')) return 'slow'
  return feel.size > 0 ? 'medium' : null
}

/** Above this an oil is solid on a shelf at home, °C. */
const SOLID_C = 28

/** Required and offered HLB are each good to 1, so they agree within this. */
const HLB_DOUBT = 2

export interface Guide {
  applies: boolean
  /** Whether the formula keeps to it; null where it does not apply. */
  met: boolean | null
  said: Said<GuideFacts>
}

export interface HlbPair {
  low: Material
  high: Material
  /** Of the pair, the share of the one with the higher HLB that meets what the oils want, percent. */
  highShare: number
  /** Of each in the product, at the emulsifier that the formula has now, or a fifth of its oils. */
  lowPercent: number
  highPercent: number
}

export interface EmulsionProfile {
  /** Percent of the product by how it spreads; `unknown` where no feel word is kept. */
  spread: Record<Spread | 'unknown', number>
  solidPercent: number
  softPercent: number
  /** Lowest melting point among the solid fats, °C. */
  softensAtC: number | null
  setting: 'fast' | 'medium' | 'slow' | null
  whitening: number | null
  guides: Guide[]
  pairs: HlbPair[]
  /** What to expect; rules of thumb. */
  notes: EmulsionNote[]
}

const known = (a: Assessment) =>
  a.lines.filter((l): l is AssessedLine & { material: Material } => l.material !== null && l.percent > 0)

/** Percent: far below what can be weighed. */
const ROUNDING = 1e-9

/**
 * Share of the emulsifier with the higher HLB, percent of the pair, that brings the pair to `wanted`; null where the
 * pair cannot. Weighted means: Griffin 1949.
 */
export function highShareFor(wanted: number, low: number, high: number): number | null {
  if (!(high > low)) return null
  const share = (100 * (wanted - low)) / (high - low)
  // What is wanted is a weighted mean itself: at the very end of the pair it may lie past it by a rounding.
  return share < -ROUNDING || share > 100 + ROUNDING ? null : Math.min(100, Math.max(0, share))
}

/** The make-up of an emulsion, which guides hold for it and what to expect; null where there is none. */
export function emulsionProfile(
  a: Assessment,
  find: (id: string) => Material | null,
): EmulsionProfile | null {
  const e = a.emulsion
  if (!e) return null
  const oils = known(a).filter((l) => isOil(l.material))
  const spread = { fast: 0, medium: 0, slow: 0, unknown: 0 }
  for (const l of oils) spread[spreadOf(l.material) ?? 'unknown'] += l.percent
  const solids = oils.filter((l) => (l.material.meltsC ?? (l.material.kind === 'butter' ? 32 : 0)) >= SOLID_C)
  const solidPercent = solids.reduce((s, l) => s + l.percent, 0)
  const melting = solids.map((l) => l.material.meltsC ?? 32)
  const emulsifiers = known(a)
    .filter((l) => isEmulsifier(l.material) || l.material.emulsifier?.role === 'polymeric')
    .sort((x, y) => y.percent - x.percent)
  const main = emulsifiers[0]?.material ?? null
  const whitening = Math.max(0, ...emulsifiers.map((l) => l.material.whitening ?? 0)) || null
  return {
    spread,
    solidPercent,
    softPercent: Math.max(0, e.oilsPercent - solidPercent),
    softensAtC: melting.length > 0 ? Math.min(...melting) : null,
    setting: main?.setting ?? null,
    whitening,
    guides: guidesFor(a, main),
    pairs: e.type === 'oil-in-water' ? pairsFor(a, find) : [],
    notes: notesFor(a, main, whitening, solidPercent),
  }
}

function guidesFor(a: Assessment, main: Material | null): Guide[] {
  const e = a.emulsion!
  const share =
    e.oilPhasePercent > 0 ? Number(((100 * e.emulsifierPercent) / e.oilPhasePercent).toFixed(1)) : 0
  const facts = main?.emulsifier
  const dose = main ? known(a).reduce((sum, l) => sum + (l.material.id === main.id ? l.percent : 0), 0) : 0
  const hlbApplies = e.hlbApplies && e.type === 'oil-in-water'
  const wanted = facts?.shareOfOils
  const range = main ? emulsifierRange(main, e.oilsPercent) : null
  return [
    {
      applies: wanted !== undefined,
      met: wanted ? share >= wanted.min && share <= wanted.max : null,
      said: { code: 'share', wanted: wanted ?? null, name: main?.name ?? null, sharePercent: share },
    },
    {
      applies: main?.usage !== undefined,
      met: range ? dose >= range.min && dose <= range.max : null,
      said: { code: 'usage', range, name: main?.name ?? null },
    },
    {
      applies: hlbApplies,
      met:
        hlbApplies && e.requiredHlb !== null && e.offeredHlb !== null
          ? Math.abs(e.requiredHlb - e.offeredHlb) <= HLB_DOUBT
          : null,
      said: {
        code: 'hlb',
        required: e.requiredHlb,
        offered: e.offeredHlb,
        unknown: e.hlbNotTold,
        unsuited: hlbUnsuited(a, main),
      },
    },
  ]
}

/** Why HLB is no guide for an emulsifier; null where it is one. */
function hlbUnsuited(a: Assessment, main: Material | null): GuideFacts['hlb']['unsuited'] {
  const e = a.emulsion!
  if (!main || (e.hlbApplies && e.type === 'oil-in-water')) return null
  if (e.type === 'water-in-oil') return 'water-in-oil'
  const role = main.emulsifier?.role
  return role === 'cationic' || role === 'polymeric' ? role : 'layers'
}

function pairsFor(a: Assessment, find: (id: string) => Material | null): HlbPair[] {
  const e = a.emulsion!
  if (e.requiredHlb === null) return []
  const total = e.emulsifierPercent > 0 ? e.emulsifierPercent : e.oilsPercent / 5
  return a.catalogue.materials.flatMap((low) => {
    const high = low.emulsifier?.partner ? find(low.emulsifier.partner) : null
    if (low?.emulsifier?.hlb === undefined || high?.emulsifier?.hlb === undefined) return []
    const share = highShareFor(e.requiredHlb!, low.emulsifier.hlb, high.emulsifier.hlb)
    return share === null
      ? []
      : [
          {
            low,
            high,
            highShare: share,
            highPercent: (total * share) / 100,
            lowPercent: total * (1 - share / 100),
          },
        ]
  })
}

function notesFor(
  a: Assessment,
  main: Material | null,
  whitening: number | null,
  solidPercent: number,
): EmulsionNote[] {
  const e = a.emulsion!
  const notes: EmulsionNote[] = []
  const gum = known(a).some((l) => kindHas(l.material.kind, 'gum') && !l.material.emulsifier)
  if (e.fattyAlcoholPercent >= 1 || solidPercent >= 3) notes.push('thickens-for-a-day')
  else if (gum) notes.push('gums-overnight')
  if (main?.setting === 'fast') notes.push(e.oilPhasePercent >= 30 ? 'sets-thick' : 'sets-fast')
  if ((whitening ?? 0) >= 4) notes.push('whitens')
  if (e.type === 'oil-in-water' && e.fattyAlcoholPercent < 0.5 && !gum && e.oilPhasePercent < 30)
    notes.push('nothing-thickens')
  return notes
}
