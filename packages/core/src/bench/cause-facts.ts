import type { PhRange } from '../assess/windows.ts'
import type { Plain } from '../text/said.ts'

/** Names of what is in the batch, three at most. */
interface Names {
  names: string[]
}
/** Lines with how far their weight is off, percent of it. */
export interface Off {
  name: string
  percent: number
}
/** Temperature that was measured last; null where none was. */
interface Warm {
  celsius: number | null
}
/** The pH that the batch is to be brought to; null where nothing is aimed for. */
interface Aim {
  aim: PhRange | null
}

/**
 * Likely causes of what looks wrong, by code, with what this batch tells of them. Percents are w/w of the product,
 * temperatures °C.
 */
export interface CauseFacts {
  'too-little-emulsifier': { under: Off[]; over: Off[] }
  'phases-at-different-temperatures': Warm
  'low-shear': { hot: boolean }
  'ph-outside-range': Aim & { ph: number; needs: { name: string; range: PhRange }[] }
  'salt-thins': { salts: string[]; thickeners: string[] }
  'not-hydrated': Names & { hours: number | null }

  'opposite-charges': Plain
  'wrong-order-of-addition': Plain

  'air-drawn-in': Plain
  'set-before-air-rose': Plain
  'foaming-ingredient': Names

  'acid-overshot': Aim & { ph: number | null }
  'acid-poured-in-one-place': Plain
  'still-warm': Warm
  'too-little-thickener': { under: Off[] }
  'water-lost': { grams: number | null }
  'too-much-thickener': { over: Off[] }
  'set-unstirred': Plain

  'fat-crystals': Names & Warm
  'undissolved-solid': { undissolved: string[]; actives: string[] }
  'emulsifier-not-melted': Warm
  'gum-not-wetted': Names
  'gum-met-acid-hot': Names & Warm & { acidAt: number | null }
  'powder-all-at-once': Plain
  'cold-met-hot': Warm
  'charges-in-lumps': { cationic: string[]; anionic: string[] }
  'above-solubility': { solids: string[]; acid: boolean; ratio: number; dilutable: boolean }
  'salt-of-acid-crystallised': Aim

  'active-oxidised': Names
  'natural-colour': Names
  'ph-changed-colour': Plain
  'heated-too-long': Plain
  'oil-rancid': Names
  'natural-smell': Plain
  'microbes-in-stock': Plain
  'buffer-holds-ph': Names
  'probe-slow': Plain
  'dose-not-mixed': Plain
  'strip-too-coarse': Plain
  'dose-too-large': Aim & { ph: number | null; above: boolean }
  'measured-at-the-dose': Plain

  'ph-irritates': Aim & { ph: number | null; bears: PhRange }
  'free-acid': Aim & { percent: number }
  'active-too-strong': Names
  'much-preservative': { doses: { name: string; percent: number }[] }
  'emulsifier-whitens': Names
  'mineral-powder': Names
  'much-fatty-alcohol': { percent: number }
  'ionic-foam': Names
  'much-emulsifier': { emulsifierPercent: number; oilsPercent: number }
  'film-rolls': { doses: { name: string; percent: number }[] }
  'loose-powder': Names
  'silicone-over-water': { percent: number }
  'layer-not-dry': Plain
  'rich-oils': Names
  'large-oil-phase': { percent: number }
  'more-oil-than-planned': { over: Off[] }

  'thinned-by-ph': Aim
  'stringy-gum': { doses: { name: string; percent: number }[] }
  'too-stiff-for-pump': Names
  'air-filled-in': Plain
  'nothing-stabilises': Plain
  'late-oil': Names

  'ingredient-moves-ph': { says: string[]; restless: boolean }
  'oil-turns-acidic': Names
  'carbon-dioxide': Plain
  'meter-off': { ph: number | null }
  'something-grows': Plain
}
export type CauseCode = keyof CauseFacts

/** Why something that looks wrong is harmless in this batch, by code. */
export interface HarmlessFacts {
  'thin-while-hot': { celsius: number }
  'hot-after-acid': Plain
  'hyaluronate-clumps': Names
  bubbles: Plain
  'thickens-overnight': Plain
  'wax-specks': Plain
}
