import type { ChoiceReason } from '../choose/emulsifiers.ts'
import type { Richness } from '../emulsion/emulsion.ts'
import type { Spread } from '../feel/profile.ts'
import type { PhNeed } from '../findings/facts.ts'
import type { Finding } from '../findings/types.ts'
import type { PhRange } from '../assess/windows.ts'
import type { Plain, Said } from '../text/said.ts'

export const NEEDS = ['none', 'moisture', 'dryness', 'comfort', 'shine', 'softness'] as const
export type SkinNeed = (typeof NEEDS)[number]

/** How an emulsifier holds an emulsion together. */
export type EmulsifierFamily = 'polymer' | 'cationic' | 'anionic' | 'hlb' | 'layers'

/** A constraint that a material breaks. */
export type RuledOut = 'animal' | 'synthetic' | 'silicone' | 'scented' | 'melted' | 'not-in-stock'

/** What an ingredient is in a proposal for. */
export type ProposalPart =
  | 'requested'
  | 'emollient'
  | 'emulsifier'
  | 'consistency'
  | 'thickener'
  | 'humectant'
  | 'need'
  | 'chelator'
  | 'antioxidant'
  | 'preservative'

/** Why an ingredient was chosen, by code. */
export interface PickFacts {
  requested: Plain
  emollient: { spread: Spread; keeps: boolean }
  emulsifier: { family: EmulsifierFamily; reasons: ChoiceReason[] }
  consistency: { richness: Richness }
  thickener: { reasons: ChoiceReason[] }
  humectant: { light: boolean; wetsGum: boolean }
  need: { need: SkinNeed }
  chelator: Plain
  antioxidant: Plain
  preservative: { range: PhRange | null }
}

/** A request that a proposal could not meet. */
export interface MissFacts {
  'less-oil': { name: string; mostPercent: number }
  'no-thickener': Plain
  'no-humectant': Plain
  'nothing-for-need': { need: SkinNeed }
}

/** Why there is no proposal, and what to change. */
export interface ImpossibleFacts {
  cleanser: Plain
  'unknown-material': { name: string }
  'ruled-out': { name: string; by: RuledOut }
  'ph-clash': { pair: [PhNeed, PhNeed] }
  finding: { finding: Finding; whole: boolean }
  'no-oil': Plain
  'no-preservative': Plain
  'no-emulsifier': Plain
  stopped: Plain
}

/** What sets one proposal apart, by code. */
export interface ProposalTitleFacts {
  emulsifier: { family: EmulsifierFamily }
  gel: { names: string[] }
}
export type Pick = Said<PickFacts>
export type Miss = Said<MissFacts>
export type Impossible = Said<ImpossibleFacts>
export type ProposalTitle = Said<ProposalTitleFacts>
