import type { Said } from '../text/said.ts'
import type { LikelyCause } from './cause.ts'
import type { HarmlessFacts } from './cause-facts.ts'
import { CAUSES, HARMLESS } from './causes.ts'
import { evidenceOf } from './evidence.ts'
import type { Symptom } from './symptoms.ts'
import type { BatchState } from './state.ts'

export interface Rescue {
  causes: LikelyCause[]
  /** Why the symptom is harmless here; null where it is not. */
  harmless: Said<HarmlessFacts> | null
}

/**
 * Likely causes of a symptom, the likeliest first by what this batch tells: what is in it, how warm it is, its pH and how
 * its weights differ from the design. Weights are a judgement from common practice, not probabilities.
 */
export function rescue(symptom: Symptom, state: BatchState): Rescue {
  const e = evidenceOf(state)
  const causes = CAUSES[symptom].map((cause) => cause(e)).filter((found) => found !== null)
  return { causes: causes.sort((x, y) => y.weight - x.weight), harmless: HARMLESS[symptom]?.(e) ?? null }
}
