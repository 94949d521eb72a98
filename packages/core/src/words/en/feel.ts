import type { Body, ExpectedBody } from '../../feel/body.ts'
import type {
  BodyReasonFacts,
  EmulsionNote,
  FattyReasonFacts,
  FreezingWhyFacts,
  GuideFacts,
  WarmthFacts,
} from '../../feel/said.ts'
import { listWords } from '../../text/format.ts'
import type { Sentences } from '../../text/said.ts'

const one = (n: number) => Number(n.toFixed(1))

/** What makes an emulsion as thick as it is, as a noun. */
export const bodyReason: Sentences<BodyReasonFacts> = {
  'oil-phase': ({ percent }) => `${one(percent)} % oil phase`,
  'more-fatty-alcohol': () => 'more fatty alcohol than usual',
  'little-fatty-alcohol': () => 'little fatty alcohol',
  gum: () => 'a gum in the water',
  'no-gum': () => 'no gum in the water',
  'setting-fats': () => 'butters or waxes that set',
  'idle-gums': ({ names }) => `${listWords(names)} without thickening effect here`,
  'sets-for-a-day': () => 'it sets for about a day',
}

export const warmth: Sentences<WarmthFacts> = {
  warm: ({ softC, held }) => {
    if (softC !== null)
      return held
        ? `Above about ${softC} °C the butter melts and the product softens; fatty alcohols and waxes hold its shape to about 45 °C.`
        : `Above about ${softC} °C the butter melts, the product turns soft and may set grainy. A little more fatty alcohol or wax prevents that.`
    return held
      ? 'Fatty alcohols and waxes hold its shape to about 45 °C; above that it thins while warm.'
      : 'Thins while warm and recovers; weeks above 40 °C may cause creaming.'
  },
}

export const freezingWhy: Sentences<FreezingWhyFacts> = {
  'water-in-oil': () => 'Freezing water droplets break the film around them; salt in the water helps.',
  'oil-in-water': ({ points, gum, humectantPercent, fattyAlcohol }) => {
    const helps = [
      gum ? 'a gum' : '',
      humectantPercent === null ? '' : `${one(humectantPercent)} % of humectants`,
      fattyAlcohol ? 'a fatty alcohol' : '',
    ].filter(Boolean)
    const lacks = [
      gum ? '' : 'a gum',
      humectantPercent === null ? 'humectants from 4 %' : '',
      fattyAlcohol === false ? 'a fatty alcohol' : '',
    ].filter(Boolean)
    if (points >= 2) return `Ice pushes the droplets together; ${helps.join(', ')} keep them apart.`
    return points === 1
      ? `Ice pushes the droplets together. Missing: ${lacks.join(' and ') || 'room: the oil phase is large'}.`
      : `Ice pushes the droplets together, and little keeps them apart. Missing: ${lacks.join(' and ') || 'room'}.`
  },
}

export const fattyReason: Sentences<FattyReasonFacts> = {
  own: ({ text }) => text,
  cationic: () => 'Below 2 parts it stays thin, above 5 it turns grainy.',
  network: () => 'Fatty alcohol that the emulsifier cannot swell builds the network that thickens.',
  layers: () => '1–2 % swells the layers around the droplets.',
}

/** Names of the rules for the amount of emulsifier. */
export const guideNames: Record<keyof GuideFacts, string> = {
  share: 'Share of the oil phase',
  usage: 'Usage rate',
  hlb: 'HLB',
}
const UNSUITED = {
  'water-in-oil': 'In a W/O emulsion HLB indicates the type, not the amount.',
  cationic: 'A cationic emulsifier stabilises by its charge.',
  polymeric: 'A polymer holds the droplets in a network.',
  layers: 'This emulsifier forms layers around the droplets, which HLB does not describe.',
}
export const guide: Sentences<GuideFacts> = {
  share: ({ wanted, name, sharePercent }) =>
    wanted
      ? `${name} needs ${wanted.min}–${wanted.max} % of the oil phase. All emulsifiers together are ${sharePercent} %.`
      : `No recommended share is known for this emulsifier. All emulsifiers together are ${sharePercent} % of the oil phase.`,
  usage: ({ range, name }) =>
    range
      ? `${range.min}–${one(range.max)} % of the product is usual for ${name} with these oils.`
      : 'Usage rate unknown.',
  hlb: ({ required, offered, unknown, unsuited }) => {
    const says =
      required === null || offered === null
        ? unknown.length > 0
          ? `Unknown: no HLB value for ${listWords(unknown)}.`
          : 'Too few of the oils or emulsifiers have a value.'
        : `The oils require about ${one(required)}, the emulsifiers have about ${one(offered)}; each ± 1.`
    return unsuited ? `${says} ${UNSUITED[unsuited]}` : says
  },
}

export const emulsionNotes: Record<EmulsionNote, string> = {
  'thickens-for-a-day':
    'Thickens for about a day while fatty alcohols and butters crystallise. Assess it tomorrow.',
  'gums-overnight': 'Gums reach their full viscosity overnight. Assess it tomorrow.',
  'sets-thick':
    'Sets fast and thick: blend in short bursts to avoid air and lumps. A slower emulsifier is easier here.',
  'sets-fast': 'Sets fast: blend while hot, then stir by hand.',
  whitens:
    'Whitens on rub-in. About 1 % of a light silicone or coco-caprylate prevents it, or another emulsifier.',
  'nothing-thickens':
    'Nothing thickens the water phase: it may cream after weeks or freezing. 0.2–0.3 % of a gum prevents it.',
}

/** Classes of consistency. */
export const bodies: Record<Body, string> = {
  milk: 'milk',
  lotion: 'lotion',
  cream: 'cream',
  'rich cream': 'rich cream',
  butter: 'butter',
}
/** A class with its neighbours within reach: `lotion (milk–cream)`. */
export const bodySpan = ({ likely, low, high }: ExpectedBody['now']) =>
  low === high ? bodies[likely] : `${bodies[likely]} (${bodies[low]}–${bodies[high]})`
