import type {
  EmulsifierFamily,
  ImpossibleFacts,
  MissFacts,
  PickFacts,
  ProposalPart,
  ProposalTitleFacts,
  RuledOut,
  SkinNeed,
} from '../../brief/facts.ts'
import { capitalise, formatRange, listWords, sayNumber } from '../../text/format.ts'
import type { Said, Sentences } from '../../text/said.ts'
import type { ChoiceFacts } from '../../choose/reasons.ts'
import { say } from '../say.ts'
import { choice } from './choose.ts'
import { findings } from './findings/index.ts'
import { wordFinding } from './findings/word.ts'

export const skinNeeds: Record<SkinNeed, string> = {
  none: 'nothing in particular',
  moisture: 'moisture',
  dryness: 'dry, rough skin',
  comfort: 'sensitive skin',
  shine: 'shine',
  softness: 'softness and slip',
}
const FAMILIES: Record<EmulsifierFamily, string> = {
  polymer: 'light, stabilised by a polymer',
  cationic: 'conditioning, with a cationic emulsifier',
  anionic: 'soft, with an anionic emulsifier',
  hlb: 'robust, with a classic emulsifier',
  layers: 'velvety, with a mild liquid-crystal emulsifier',
}
const RULED_OUT: Record<RuledOut, string> = {
  animal: 'is of animal origin',
  synthetic: 'is synthetic',
  silicone: 'is a silicone',
  scented: 'is scented',
  melted: 'has to be melted',
  'not-in-stock': 'is not in stock',
}
const SPREADS = {
  fast: 'spreads fast with a dry finish',
  medium: 'spreads at a medium rate',
  slow: 'spreads slowly and lasts',
}
const reasonWords = (reasons: readonly Said<ChoiceFacts>[]) => reasons.map((r) => say(choice, r))

/** What an ingredient is there for. */
export const parts: Record<ProposalPart, string> = {
  requested: 'requested',
  emollient: 'emollient',
  emulsifier: 'emulsifier',
  consistency: 'consistency',
  thickener: 'thickener',
  humectant: 'humectant',
  need: 'skin or hair need',
  chelator: 'chelator',
  antioxidant: 'antioxidant',
  preservative: 'preservative',
}

export const pick: Sentences<PickFacts> = {
  requested: () => 'you asked for it',
  emollient: ({ spread, keeps }) => `${SPREADS[spread]}${keeps ? '; oxidises slowly' : ''}`,
  emulsifier: ({ family, reasons }) => [FAMILIES[family], ...reasonWords(reasons)].join('; '),
  consistency: ({ richness }) => `gives a ${richness.replace('-', ' ')} its consistency on cooling`,
  thickener: ({ reasons }) => reasonWords(reasons).join('; ') || 'adds viscosity',
  humectant: ({ light, wetsGum }) =>
    `binds water${light ? ' without stickiness' : ''}${wetsGum ? '; also wets the gum' : ''}`,
  need: ({ need }) => `usual for ${skinNeeds[need]}`,
  chelator: () => 'binds metals that degrade oils, colour and preservatives',
  antioxidant: () => 'protects the oils from oxidation',
  preservative: ({ range }) =>
    range ? `broad-spectrum at pH ${formatRange(range)}, the pH of this product` : 'broad-spectrum',
}

export const miss: Sentences<MissFacts> = {
  'less-oil': ({ name, mostPercent }) =>
    `${name} emulsifies ${sayNumber(mostPercent)} % oils, so the product is lighter than requested.`,
  'no-thickener': () => 'No suitable thickener is allowed, so the product stays thin.',
  'no-humectant': () => 'No humectant is allowed.',
  'nothing-for-need': ({ need }) => `No ingredient for ${skinNeeds[need]} is allowed here.`,
}

export const impossible: Sentences<ImpossibleFacts> = {
  cleanser: () =>
    'Cleansers are built on surfactants, which are not proposed here. Start from an empty formula.',
  'unknown-material': ({ name }) => `“${name}” is unknown. Choose an ingredient from the catalogue.`,
  'ruled-out': ({ name, by }) =>
    `${name} ${RULED_OUT[by]}, which the constraints exclude. Remove the ingredient or the constraint.`,
  'ph-clash': ({ pair: [x, y] }) =>
    `${x.label} is effective at pH ${formatRange(x)}, ${y.label} at pH ${formatRange(y)}. They need two products.`,
  finding: ({ finding, whole }) => {
    const { message, why } = wordFinding(findings, finding)
    return whole ? `${message} ${why}`.trim() : message
  },
  'no-oil': () => 'No suitable oil is allowed. Remove a constraint, or add oils to your stock.',
  'no-preservative': () =>
    'No broad-spectrum preservative is allowed. Remove a constraint, or add one to your stock.',
  'no-emulsifier': () =>
    'No suitable emulsifier is allowed. Remove a constraint, add one to your stock, or choose a gel or serum.',
  stopped: () => 'Every combination led to a stop. Remove a constraint, or change the requested ingredients.',
}

export const proposalTitle: Sentences<ProposalTitleFacts> = {
  emulsifier: ({ family }) => capitalise(FAMILIES[family]),
  gel: ({ names }) => (names.length > 0 ? `With ${listWords(names)}` : 'Plain and clear'),
}
