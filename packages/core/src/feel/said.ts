import type { Plain } from '../text/said.ts'

/** What makes an emulsion as thick as it is. */
export interface BodyReasonFacts {
  'oil-phase': { percent: number }
  'more-fatty-alcohol': Plain
  'little-fatty-alcohol': Plain
  gum: Plain
  'no-gum': Plain
  'setting-fats': Plain
  'idle-gums': { names: readonly string[] }
  'sets-for-a-day': Plain
}

/** What a warm day does; `softC` is where the first butter melts, null where there is none. */
export interface WarmthFacts {
  warm: { softC: number | null; held: boolean }
}

/** What keeps the drops apart in the frost; `humectants` in percent, null where there are fewer than are needed. */
export interface FreezingWhyFacts {
  'water-in-oil': Plain
  'oil-in-water': {
    points: number
    gum: boolean
    humectantPercent: number | null
    /** Null where none is there and none would help. */
    fattyAlcohol: boolean | null
  }
}

/** Why so much fatty alcohol suits the emulsifier. */
export interface FattyReasonFacts {
  /** As the data of the emulsifier tell it. */
  own: { text: string }
  cationic: Plain
  network: Plain
  layers: Plain
}

/** A rule for the amount of emulsifier, and what it says here. */
export interface GuideFacts {
  share: { wanted: { min: number; max: number } | null; name: string | null; sharePercent: number }
  usage: { range: { min: number; max: number } | null; name: string | null }
  hlb: {
    required: number | null
    offered: number | null
    /** Emulsifiers without a value. */
    unknown: readonly string[]
    /** Why HLB is no guide here; null where it is one. */
    unsuited: 'water-in-oil' | 'cationic' | 'polymeric' | 'layers' | null
  }
}

/** What to expect of an emulsion. */
export type EmulsionNote =
  'thickens-for-a-day' | 'gums-overnight' | 'sets-thick' | 'sets-fast' | 'whitens' | 'nothing-thickens'
