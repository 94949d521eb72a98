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
  comfort: 'easily upset skin',
  shine: 'shine',
  softness: 'softness and slip',
}
const FAMILIES: Record<EmulsifierFamily, string> = {
  polymer: 'light, held by a polymer',
  cationic: 'conditioning, held by its charge',
  anionic: 'soft, held by an anionic emulsifier',
  hlb: 'sturdy, with a classic emulsifier',
  layers: 'velvety, held by layers of a mild emulsifier',
}
const RULED_OUT: Record<RuledOut, string> = {
  animal: 'comes from an animal',
  synthetic: 'is synthetic',
  silicone: 'is a silicone',
  scented: 'is scented',
  melted: 'has to be melted',
  'not-in-stock': 'is not in stock',
}
const SPREADS = {
  fast: 'spreads fast and leaves the skin dry',
  medium: 'spreads at a middling pace',
  slow: 'spreads slowly and stays',
}
const reasonWords = (reasons: readonly Said<ChoiceFacts>[]) => reasons.map((r) => say(choice, r))

/** What an ingredient is there for. */
export const parts: Record<ProposalPart, string> = {
  requested: 'wished for',
  emollient: 'emollient',
  emulsifier: 'emulsifier',
  consistency: 'body',
  thickener: 'thickener',
  humectant: 'humectant',
  need: 'for the need',
  chelator: 'chelator',
  antioxidant: 'antioxidant',
  preservative: 'preservative',
}

export const pick: Sentences<PickFacts> = {
  requested: () => 'your wish',
  emollient: ({ spread, keeps }) => `${SPREADS[spread]}${keeps ? '; keeps well' : ''}`,
  emulsifier: ({ family, reasons }) => [FAMILIES[family], ...reasonWords(reasons)].join('; '),
  consistency: ({ richness }) => `gives a ${richness.replace('-', ' ')} its body as it cools`,
  thickener: ({ reasons }) => reasonWords(reasons).join('; ') || 'gives it body',
  humectant: ({ light, wetsGum }) =>
    `holds water${light ? ' and does not stick' : ''}${wetsGum ? '; wets the gum first' : ''}`,
  need: ({ need }) => `usual for ${skinNeeds[need]}`,
  chelator: () => 'binds metals that spoil oils, colour and preservative',
  antioxidant: () => 'keeps the oils from turning',
  preservative: ({ range }) =>
    range ? `broad cover at pH ${formatRange(range)}, which the product keeps` : 'broad cover',
}

export const miss: Sentences<MissFacts> = {
  'less-oil': ({ name, mostPercent }) =>
    `${name} holds ${sayNumber(mostPercent)} % of oils, so it is lighter than wished.`,
  'no-thickener': () => 'No thickener that suits is allowed, so it stays thin.',
  'no-humectant': () => 'No humectant is allowed.',
  'nothing-for-need': ({ need }) => `Nothing for ${skinNeeds[need]} is allowed here.`,
}

export const impossible: Sentences<ImpossibleFacts> = {
  cleanser: () =>
    'A cleanser is built on surfactants, which are not proposed here: start from an empty sheet.',
  'unknown-material': ({ name }) => `“${name}” is not known: choose it from the materials.`,
  'ruled-out': ({ name, by }) =>
    `${name} ${RULED_OUT[by]}, which the constraints rule out. Take it off or let the constraint go.`,
  'ph-clash': ({ pair: [x, y] }) =>
    `${x.label} works at pH ${formatRange(x)}, ${y.label} at ${formatRange(y)}: they need two products.`,
  finding: ({ finding, whole }) => {
    const { message, why } = wordFinding(findings, finding)
    return whole ? `${message} ${why}`.trim() : message
  },
  'no-oil': () => 'No oil that suits is allowed: let a constraint go, or add oils to your stock.',
  'no-preservative': () =>
    'No preservative that covers bacteria, yeast and mould is allowed: let a constraint go, or add one to your stock.',
  'no-emulsifier': () =>
    'No emulsifier that suits is allowed: let a constraint go, add one to your stock, or choose a gel or serum.',
  stopped: () => 'Every try came to a stop.',
}

export const proposalTitle: Sentences<ProposalTitleFacts> = {
  emulsifier: ({ family }) => capitalise(FAMILIES[family]),
  gel: ({ names }) => (names.length > 0 ? `With ${listWords(names)}` : 'Plain and clear'),
}
