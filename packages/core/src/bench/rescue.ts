import type { AssessedLine } from '../assess/types.ts'
import type { Symptom } from './cause.ts'
import { CAUSES, HARMLESS } from './causes.ts'
import { linesIn, massOf, type BatchState } from './state.ts'

/** What the batch itself tells about what may be wrong. */
export interface Evidence {
  state: BatchState
  /** Lines that are in the vessel. */
  inside: AssessedLine[]
  celsius: number | null
  ph: number | null
  aim: { min: number; max: number } | null
  setting: 'fast' | 'medium' | 'slow'
  emulsion: boolean
  has: (test: (l: AssessedLine) => boolean) => AssessedLine[]
  /** Water and oil have met. */
  combined: boolean
  heated: boolean
  /** Percent of its planned weight that a line has too much (or, negative, too little). */
  off: (l: AssessedLine) => number
  massGrams: number
}

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

export function evidenceOf(state: BatchState): Evidence {
  const { a, formula } = state.plan
  const present = linesIn(state)
  const inside = a.lines.filter((_, i) => present.has(i))
  const combined = state.plan.steps.some((s) => s.kind === 'join' && state.marks.get(s.key)?.how === 'done')
  const main = [...a.lines]
    .filter((l) => l.material?.emulsifier && l.material.setting)
    .sort((x, y) => y.percent - x.percent)[0]
  return {
    state,
    inside,
    celsius: state.temperatures.at(-1)?.celsius ?? null,
    ph: state.readings.at(-1)?.ph ?? null,
    aim: formula.targetPh ?? a.ph.shared,
    setting: main?.material?.setting ?? 'medium',
    emulsion: a.emulsion !== null && formula.phases.some((p) => p.role === 'oil' && p.lines.length > 0),
    has: (test) => inside.filter(test),
    combined,
    heated: formula.phases.some((p) => p.heatToC !== undefined),
    off: (l) => {
      const line = state.lines[a.lines.indexOf(l)]!
      return line.target > 0 ? (100 * (line.weighed - line.target)) / line.target : 0
    },
    massGrams: massOf(state),
  }
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
