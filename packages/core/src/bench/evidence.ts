import type { AssessedLine } from '../lines/types.ts'
import { type BatchState } from './state.ts'
import { linesIn, massOf } from './contents.ts'

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

/** What the batch tells as it stands now. */
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
    aim: formula.targetPh ?? a.ph.fits,
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
