import type { PhRange } from '../assess/windows.ts'
import type { Material } from '../shapes/material.ts'
import type { Plain, Said } from '../text/said.ts'

/** So much of something, grams. */
export interface NamedGrams {
  name: string
  grams: number
}
/** Powders that nothing in their vessel takes up: they are sprinkled in where it is poured. */
export interface Sprinkled {
  names: string[]
  /** All of them dissolve; else they are spread. */
  dissolve: boolean
  /** Something else stands in the vessel with them. */
  more: boolean
}
/** What is too little for the scale, as a dilution in something else of the formula, grams. */
export interface TooSmall {
  name: string
  grams: number
  carrier: string
  soluteGrams: number
  carrierGrams: number
  useGrams: number
}
/** A dye too little for the scale: a solution is stirred, and used or diluted once more, grams. */
export interface DyeSolution {
  dyeGrams: number
  waterGrams: number
  useGrams: number
  /** Drops of it; null where it is diluted again first. */
  drops: number | null
}
/** A solid adjuster as the solution that is made of it, grams. */
export interface AdjusterSolution {
  name: string
  percent: number
  grams: number
  waterGrams: number
  wholeGrams: number
  lye: boolean
}
/** How long a wetted gum rests, minutes. */
type Rest = { restMinutes: number }
/** What the scale tells, grams: amounts are said as it shows them. */
type Scale = { resolutionGrams: number }

/** Each thing that is done at the table, by code, with what its sentence needs. */
export interface StepFacts {
  own: { title: string }
  prepare: Plain
  'make-own': Scale & { name: string; grams: number; parts: NamedGrams[] }
  'make-up': Scale & { name: string; grams: number; waterGrams: number }
  'swell-ahead': Scale & { stock: boolean; names: string[]; waterGrams: number; preservatives: NamedGrams[] }
  dye: Scale & { name: string; grams: number; waterGrams: number | null; solution: DyeSolution | null }
  weigh: Scale & {
    vessel: string
    phase: string
    names: string[]
    takeUpGrams: number | null
    tooSmall: TooSmall[]
    lye: boolean
  }
  'weigh-rest': Plain
  'hold-back': Scale & { phase: string; waterGrams: number; names: string[] }
  'rub-slurry': Rest & { names: string[]; vessel: string }
  'wet-gum': Rest & { names: string[]; wetting: string }
  'add-slurry': { names: string[]; vessel: string }
  'sprinkle-gum': Rest & { names: string[]; vessel: string; slurry: Material['slurry'] | null }
  'sprinkle-polymer': { names: string[]; vessel: string }
  neutralise: { names: string[]; vessel: string; lye: boolean; solidLye: boolean }
  'spread-in-oil': { names: string[]; vessel: string }
  dissolve: {
    names: string[]
    vessel: string
    /** Warmed to, °C; null where it is not. */
    warmToC: number | null
    alreadyWarm: boolean
    lye: boolean
    /** Something in the vessel is oily, so that it never gets clear. */
    cloudy: boolean
  }
  'rub-smooth': { names: string[]; vessel: string }
  heat: {
    phase: string
    celsius: number
    holdMinutes: number
    reason: HeatReason | null
    care: 'weigh-inverse' | 'cover' | 'weigh' | 'melt-whole' | null
    /** Clear when its fats are melted. */
    oily: boolean
  }
  'pour-part': { phase: string; into: string; warmIntoCold: boolean; sprinkled: Sprinkled | null }
  combine: {
    phases: string[]
    into: string
    emulsion: 'none' | 'inverse' | 'into-oil' | 'into-water'
    hot: boolean
    sprinkled: Sprinkled | null
  }
  blend: {
    rounds: number
    /** Minutes between two of them; null for cold. */
    everyMinutes: number | null
    setting: NonNullable<Material['setting']>
    large: boolean
  }
  'blend-cold': { vessel: string }
  'cold-share': Plain
  set: Plain
  whisk: Plain
  spoon: { names: string[]; aboutGrams: number; vessel: string; dissolve: boolean }
  'add-late': {
    /** Named as a phase where it is one of many lines or an acid; else its ingredients are. */
    phase: { letter: string; name: string } | null
    names: string[]
    how: 'spooned' | 'sprinkled' | 'acid' | 'several' | 'one'
    sprinkled: Sprinkled | null
  }
  'add-ahead': Plain
  'add-dyes': Plain
  cool: { celsius: number; bath: boolean }
  'cool-part': { phase: string; celsius: number }
  'make-up-water': Scale & { nowGrams: number; laterGrams: number }
  preserve: { names: string[]; atPh: boolean }
  ph: Scale & { aim: PhRange | null; planned: NamedGrams[]; solutions: AdjusterSolution[] }
  'ph-again': Plain
  hydrate: Plain
  adjust: { names: string[] }
  chill: Plain
  whip: Plain
  fold: { names: string[] }
  fill: { whipped: boolean; flows: boolean; containers: string[] }
  label: Plain
  observe: { ph: boolean }
}
export type StepSaid = Said<StepFacts>

/** Why a step is better made the day before. */
export type MadeAhead = 'stock' | 'hydrates' | 'preserved-stock' | 'gum-rests'

/** Why a phase without a temperature is heated, or a cooler one further. */
export interface HeatReasonFacts {
  melts: { name: string; celsius: number }
  meets: { celsius: number }
}
export type HeatReason = Said<HeatReasonFacts>

/** Why a phase goes where it goes. */
export interface RouteReasonFacts {
  'adjusts-ph': Plain
  'not-heated': Plain
  'oils-meet-water': Plain
  begins: Plain
  'when-cool': Plain
  'heated-with-others': Plain
  'heat-unknown': Plain
  oils: Plain
  'when-base-stands': { names: string[] }
  'stands-no-heat': { names: string[] }
  'gum-wet-first': Plain
  'solvent-in-water': Plain
  'no-other-part': Plain
  chosen: Plain
}
export type RouteReason = Said<RouteReasonFacts>

/** What has to lie ready. */
export type Tool =
  | 'gloves'
  | 'disinfectant'
  | 'small-beaker'
  | 'heat-proof-beaker'
  | 'large-beaker'
  | 'beaker-with-lid'
  | 'lid'
  | 'pipette'
  | 'stirrer'
  | 'spatula'
  | 'whisk'
  | 'stick-blender'
  | 'watch-glass'
  | 'sieve'
  | 'measuring-cup'
  | 'water-bath'
  | 'cold-bath'
  | 'ice'
  | 'thermometer'
  | 'ph-meter'
  | 'distilled-water'
  | 'container'
  | 'piping-bag'
  | 'funnel'
  | 'label'
export type Equipment = Tool | { scaleToGrams: number } | { material: string }
