import type { Product } from '../shapes/formula.ts'
import type { Richness } from '../emulsion/emulsion.ts'
import { PICKS } from '../materials/picks.ts'
import { hasTrait, type Material } from '../shapes/material.ts'
import type { Pick, ProposalPart, RuledOut, SkinNeed } from './facts.ts'

export const CONSTRAINTS = [
  'no-oil',
  'no-silicone',
  'vegan',
  'natural-style',
  'fragrance-free',
  'cold-process',
  'low-budget',
  'only-shelf',
] as const
export type Constraint = (typeof CONSTRAINTS)[number]

/** What a maker wants, before the first gram. */
export interface Brief {
  name: string
  product: Product
  batchGrams: number
  /** Oil phase of an emulsion. */
  richness: Richness
  absorption: 'fast' | 'medium' | 'slow'
  /** Dry and powdery, silky, or rich on the skin. */
  feel: 'dry' | 'silky' | 'rich'
  need: SkinNeed
  constraints: readonly Constraint[]
  /** Materials that must be in it, with their percent. */
  actives: readonly { material: string; percent: number }[]
}

export interface BriefContext {
  /** Ids of what is on the shelf. */
  onShelf: ReadonlySet<string>
  priceOf: (id: string) => number | null
}

const wants = (brief: Brief, c: Constraint) => brief.constraints.includes(c)

const EMULSIONS: ReadonlySet<string> = new Set(['lotion', 'cream', 'butter', 'leave-in'])
/** Whether a brief asks for oils in water; without oil a cream becomes a gel. */
export const asksEmulsion = ({
  product,
  constraints,
}: {
  product: Brief['product']
  constraints: Brief['constraints']
}) => EMULSIONS.has(product.kind) && !constraints.includes('no-oil')

/** Above this a material has to be melted, °C. */
const MELTED_C = 30
const SCENTED = new Set(['essential-oil', 'fragrance', 'hydrosol'])
const SILICONE = /methicon|siloxan|silsesquioxan|silanol/i
/** Emulsifiers and thickeners that need no heat: polymers and liquid ones (common practice). */
const needsHeat = (m: Material) =>
  (m.meltsC ?? 0) >= MELTED_C ||
  m.kind === 'butter' ||
  m.kind === 'wax' ||
  m.kind === 'fatty-alcohol' ||
  m.kind === 'fatty-acid' ||
  ((m.kind === 'emulsifier' || m.kind === 'cationic') && m.emulsifier?.role !== 'polymeric')

/** Why a material is ruled out by a constraint; null where it may be used. */
export function ruledOut(m: Material, brief: Brief, context: BriefContext): RuledOut | null {
  if (m.kind === 'water') return null
  if (wants(brief, 'vegan') && m.origin === 'animal') return 'animal'
  if (wants(brief, 'natural-style') && (m.origin === 'synthetic' || m.origin === 'unknown'))
    return 'synthetic'
  if (wants(brief, 'no-silicone') && (m.kind === 'silicone' || m.inci.some((n) => SILICONE.test(n))))
    return 'silicone'
  if (wants(brief, 'fragrance-free') && (SCENTED.has(m.kind) || hasTrait(m, 'fragrance'))) return 'scented'
  if (wants(brief, 'cold-process') && needsHeat(m)) return 'melted'
  if (wants(brief, 'only-shelf') && !context.onShelf.has(m.id)) return 'not-in-stock'
  return null
}

export interface Choice {
  /** What it is there for. */
  part: ProposalPart
  material: Material
  percent: number
  why: Pick
  /** What could stand there instead, the best first. */
  alternatives: Material[]
}

export const HELPS: Record<SkinNeed, string[]> = PICKS.helps

/** Oil phase to aim for, percent (common practice). */
export const OIL_PHASE_OF: Record<Richness, number> = {
  milk: 9,
  lotion: 16,
  cream: 24,
  'rich-cream': 32,
  butter: 44,
}
/** Fatty alcohol for body, percent (common practice). */
export const FATTY_OF: Record<Richness, number> = {
  milk: 0,
  lotion: 1,
  cream: 2,
  'rich-cream': 2.5,
  butter: 2,
}
/** Shares of the oils that spread fast, at a middling pace and slowly. */
export const CASCADE: Record<Brief['absorption'], { fast: number; medium: number; slow: number }> = {
  fast: { fast: 0.6, medium: 0.3, slow: 0.1 },
  medium: { fast: 0.35, medium: 0.4, slow: 0.25 },
  slow: { fast: 0.15, medium: 0.35, slow: 0.5 },
}
/** Solid butter among the slow oils of each richness. */
export const BUTTERED: Record<Richness, boolean> = {
  milk: false,
  lotion: false,
  cream: true,
  'rich-cream': true,
  butter: true,
}
