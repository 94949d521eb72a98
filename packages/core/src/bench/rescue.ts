import type { Symptom } from './looks.ts'
import { CAUSES, HARMLESS } from './causes.ts'
import { evidenceOf } from './evidence.ts'
import type { BatchState } from './state.ts'

export interface RescueCause {
  title: string
  /** Why it is likely here, in the batch's own figures; empty where only experience speaks for it. */
  because: string
  /** A quick test that tells it from the others. */
  test: string
  moves: string[]
  /** Weight in the order, not a probability. */
  weight: number
}

export interface Rescue {
  causes: RescueCause[]
  /** Why the look is harmless here; null where it is not. */
  harmless: string | null
  /** When it must be thrown away. */
  discard: string
}

/**
 * Likely causes of a look, the likeliest first by what this batch tells: what is in it, how warm it is, its pH and how
 * its weights differ from the design. Weights are a judgement from common practice, not probabilities.
 */
export function rescue(symptom: Symptom, state: BatchState): Rescue {
  const e = evidenceOf(state)
  const causes = CAUSES[symptom].causes
    .flatMap((cause): RescueCause[] => {
      const found = cause.when(e)
      return found
        ? [
            {
              title: cause.title,
              because: found.because,
              test: cause.test,
              moves: cause.moves(e),
              weight: found.weight,
            },
          ]
        : []
    })
    .sort((x, y) => y.weight - x.weight)
  return { causes, harmless: HARMLESS[symptom]?.(e) ?? null, discard: CAUSES[symptom].discard }
}
