import type { Assessment } from '../assess/types.ts'
import type { AssessedLine } from '../lines/types.ts'
import type { Material } from '../shapes/material.ts'
import { listWords } from '../text/format.ts'
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
  name: string
  applies: boolean
  /** Whether the formula keeps to it; null where it does not apply. */
  met: boolean | null
  says: string
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
  /** What to expect, one sentence each; rules of thumb. */
  notes: string[]
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
  const one = (n: number) => Number(n.toFixed(1))
  const share = e.oilPhasePercent > 0 ? one((100 * e.emulsifierPercent) / e.oilPhasePercent) : 0
  const facts = main?.emulsifier
  const dose = main ? known(a).reduce((sum, l) => sum + (l.material.id === main.id ? l.percent : 0), 0) : 0
  const hlbApplies = e.hlbApplies && e.type === 'oil-in-water'
  const wanted = facts?.shareOfOils
  const range = main ? emulsifierRange(main, e.oilsPercent) : null
  const hlbSays =
    e.requiredHlb === null || e.offeredHlb === null
      ? e.hlbNotTold.length > 0
        ? `Unknown: no HLB value for ${listWords(e.hlbNotTold)}.`
        : 'Too few of the oils or emulsifiers have a value.'
      : `The oils want about ${one(e.requiredHlb)}, the emulsifiers offer about ${one(e.offeredHlb)}; each is good to 1.`
  return [
    {
      name: 'Share of the oil phase',
      applies: wanted !== undefined,
      met: wanted ? share >= wanted.min && share <= wanted.max : null,
      says: wanted
        ? `${main!.name} needs ${wanted.min}–${wanted.max} % of the oil phase. All emulsifiers together are ${share} %.`
        : `No share is known for this emulsifier; all emulsifiers here are ${share} % of the oil phase.`,
    },
    {
      name: 'Usage rate',
      applies: main?.usage !== undefined,
      met: range ? dose >= range.min && dose <= range.max : null,
      says: range
        ? `${range.min}–${one(range.max)} % of the product is usual for ${main!.name} with these oils.`
        : 'No range is known.',
    },
    {
      name: 'HLB',
      applies: hlbApplies,
      met:
        hlbApplies && e.requiredHlb !== null && e.offeredHlb !== null
          ? Math.abs(e.requiredHlb - e.offeredHlb) <= HLB_DOUBT
          : null,
      says: `${hlbSays} ${whyHlb(a, main)}`.trim(),
    },
  ]
}

/** Why HLB is no guide for an emulsifier. */
function whyHlb(a: Assessment, main: Material | null): string {
  const e = a.emulsion!
  if (!main || (e.hlbApplies && e.type === 'oil-in-water')) return ''
  if (e.type === 'water-in-oil') return 'In water in oil it tells the type only, not the amount.'
  if (main.emulsifier?.role === 'cationic') return 'A cationic emulsifier holds by its charge.'
  if (main.emulsifier?.role === 'polymeric') return 'A polymer holds the drops in a net.'
  return 'This one holds by layers round the drops, which HLB does not describe.'
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
): string[] {
  const e = a.emulsion!
  const notes: string[] = []
  const gum = known(a).some((l) => kindHas(l.material.kind, 'gum') && !l.material.emulsifier)
  if (e.fattyAlcoholPercent >= 1 || solidPercent >= 3)
    notes.push('It thickens for about a day while fatty alcohols and butters crystallise: judge it tomorrow.')
  else if (gum) notes.push('Gums reach their full body overnight: judge it tomorrow.')
  if (main?.setting === 'fast' && e.oilPhasePercent >= 30)
    notes.push(
      'Sets fast and thick: blend in short bursts to avoid air and lumps. A slower emulsifier is easier here.',
    )
  else if (main?.setting === 'fast') notes.push('Sets fast: blend while hot, then stir by hand.')
  if ((whitening ?? 0) >= 4)
    notes.push(
      'It whitens when rubbed in. About 1 % of a light silicone or coco-caprylate cures that, or another emulsifier.',
    )
  if (e.type === 'oil-in-water' && e.fattyAlcoholPercent < 0.5 && !gum && e.oilPhasePercent < 30)
    notes.push(
      'Nothing thickens the water: it may cream after freezing or weeks. A gum at 0.2–0.3 % steadies it.',
    )
  return notes
}
