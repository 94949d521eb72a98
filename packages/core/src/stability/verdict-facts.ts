import type { PhRange } from '../assess/windows.ts'
import type { Property, Way } from '../shapes/stability.ts'
import type { Plain } from '../text/said.ts'

/** How grave an observation is: harmless, worth another observation, or the end of the batch. */
type Level = 'fine' | 'again' | 'discard'

/** When the trend of a pH meets a limit: not to be told yet, or on a day after filling; null where it never does. */
export type Crossing = 'not-enough-data' | { day: number } | null

/** How a pH drift goes on, and what explains it. */
interface Drift {
  crossing: Crossing
}

/** What a series of observations means, by code. Ages are days after filling. */
export interface VerdictFacts {
  'mass-first': { grams: number }
  'mass-gained': { grams: number }
  'mass-steady': Plain
  'mass-lost': { percent: number; level: Level; yearlyPercent: number }
  layer: { percent: number; level: Level }
  'body-first': { value: number; way: Way; areaPerGram: number | null }
  'body-steady': Plain
  'body-varies': { percent: number }
  'body-changed': { percent: number; age: number; discard: boolean }
  colour: { deltaE: number; level: 'below-light' | 'side-by-side' | 'visible' | 'another-colour' }
  /** An answer in words; `cycle` is the freeze–thaw cycle that it was given after. */
  answer: { property: Property; cycle: number | null; words: string; level: Level }

  'ph-was-outside-preservation': { ph: number; range: PhRange }
  'ph-outside-preservation': { ph: number; range: PhRange }
  'ph-at-edge-of-preservation': { ph: number; range: PhRange; way: Way }
  'ph-burns': { ph: number }
  'ph-stings': { ph: number; range: PhRange }
  'ph-outside-needs': { ph: number; range: PhRange }
  'ph-unexplained': { moved: number; age: number }
  'ph-drifts': Drift & { moved: number; age: number; way: Way; says: string | null }
  'ph-settled': Drift & { moved: number }
  'ph-inside': Drift & { ph: number }
  'ph-moved-inside': Drift & { moved: number }
  'ph-steady': Drift & { way: Way; error: number }
}

/** Why a reading stands beside its series, by code. */
export interface AsideFacts {
  'other-measurement': { way: Way; usual: Way }
  'picture-exposure': Plain
  'other-card': Plain
  'other-light': Plain
}
