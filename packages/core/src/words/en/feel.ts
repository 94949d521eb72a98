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
  'idle-gums': ({ names }) => `${listWords(names)} that gives no body here`,
  'sets-for-a-day': () => 'it sets for about a day',
}

export const warmth: Sentences<WarmthFacts> = {
  warm: ({ softC, held }) => {
    if (softC !== null)
      return held
        ? `Above about ${softC} °C the butter melts and it softens on a warm day; its fatty alcohols and waxes keep the shape to about 45 °C.`
        : `Above about ${softC} °C the butter melts and it turns soft; it may set grainy. A little more fatty alcohol or wax holds it.`
    return held
      ? 'Its fatty alcohols and waxes keep the shape to about 45 °C; above that it thins while warm.'
      : 'It thins while it is warm and comes back; weeks above 40 °C may let it cream.'
  },
}

export const freezingWhy: Sentences<FreezingWhyFacts> = {
  'water-in-oil': () => 'Frozen drops of water break their film; salt in the water helps.',
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
    if (points >= 2) return `Ice pushes the drops together; ${helps.join(', ')} keep them apart.`
    return points === 1
      ? `Ice pushes the drops together. It lacks ${lacks.join(' and ') || 'room: the oil phase is large'}.`
      : `Ice pushes the drops together, and little keeps them apart: it lacks ${lacks.join(' and ') || 'room'}.`
  },
}

export const fattyReason: Sentences<FattyReasonFacts> = {
  own: ({ text }) => text,
  cationic: () => 'Below two parts it stays thin, above five it turns grainy.',
  network: () => 'What the emulsifier cannot swell builds the network that gives body.',
  layers: () => 'The layers swell with 1–2 % of it.',
}

/** Names of the rules for the amount of emulsifier. */
export const guideNames: Record<keyof GuideFacts, string> = {
  share: 'Share of the oil phase',
  usage: 'Usage rate',
  hlb: 'HLB',
}
const UNSUITED = {
  'water-in-oil': 'In water in oil it tells the type only, not the amount.',
  cationic: 'A cationic emulsifier holds by its charge.',
  polymeric: 'A polymer holds the drops in a net.',
  layers: 'This one holds by layers round the drops, which HLB does not describe.',
}
export const guide: Sentences<GuideFacts> = {
  share: ({ wanted, name, sharePercent }) =>
    wanted
      ? `${name} needs ${wanted.min}–${wanted.max} % of the oil phase. All emulsifiers together are ${sharePercent} %.`
      : `No share is known for this emulsifier; all emulsifiers here are ${sharePercent} % of the oil phase.`,
  usage: ({ range, name }) =>
    range
      ? `${range.min}–${one(range.max)} % of the product is usual for ${name} with these oils.`
      : 'No range is known.',
  hlb: ({ required, offered, unknown, unsuited }) => {
    const says =
      required === null || offered === null
        ? unknown.length > 0
          ? `Unknown: no HLB value for ${listWords(unknown)}.`
          : 'Too few of the oils or emulsifiers have a value.'
        : `The oils want about ${one(required)}, the emulsifiers offer about ${one(offered)}; each is good to 1.`
    return unsuited ? `${says} ${UNSUITED[unsuited]}` : says
  },
}

export const emulsionNotes: Record<EmulsionNote, string> = {
  'thickens-for-a-day':
    'It thickens for about a day while fatty alcohols and butters crystallise: judge it tomorrow.',
  'gums-overnight': 'Gums reach their full body overnight: judge it tomorrow.',
  'sets-thick':
    'Sets fast and thick: blend in short bursts to avoid air and lumps. A slower emulsifier is easier here.',
  'sets-fast': 'Sets fast: blend while hot, then stir by hand.',
  whitens:
    'It whitens when rubbed in. About 1 % of a light silicone or coco-caprylate cures that, or another emulsifier.',
  'nothing-thickens':
    'Nothing thickens the water: it may cream after freezing or weeks. A gum at 0.2–0.3 % steadies it.',
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
