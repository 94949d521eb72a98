import type { Assessment } from '../assess/types.ts'
import { methodOf, type MethodStep } from './method.ts'
import { gramsIn } from './view.ts'
import type { WeighedName } from '../lines/weighed.ts'

export interface WeighRow {
  label: WeighedName
  inci: string
  percent: number
  grams: number
  /** Sum in the vessel after this row, with the scale tared at the beginning of the step. */
  runningGrams: number
  fill: boolean
  given: boolean
  /** Only a part of the line: the rest is weighed elsewhere. */
  part: boolean
  note: string
}

/** What is weighed together, and what is done until something is weighed again. */
export interface WeighBlock {
  key: string
  /** The weighing itself. */
  step: MethodStep
  vessel: string
  role: string
  grams: number
  note: string
  rows: WeighRow[]
  steps: MethodStep[]
}

/** The procedure as it stands on the weigh-out sheet: a table a weighing, and under it what follows. */
export function weighOut(a: Assessment): { before: MethodStep[]; blocks: WeighBlock[] } {
  const { steps } = methodOf(a, a.formula.method)
  const before: MethodStep[] = []
  const blocks: WeighBlock[] = []
  for (const step of steps) {
    if (step.later) continue
    if (step.weighs.length === 0 || step.kind === 'ph') {
      ;(blocks.at(-1)?.steps ?? before).push(step)
      continue
    }
    let running = 0
    const rows = step.weighs.flatMap((ref): WeighRow[] => {
      const line = a.lines.find((l) => l.phase === ref.phase && l.line === ref.line)
      if (!line) return []
      const grams = gramsIn(a, steps, step, ref)
      running = Number((running + grams).toPrecision(13))
      const part = Math.abs(grams - line.grams) > 1e-9
      return [
        {
          label: line.weighedAs,
          inci: (line.material?.inci ?? [line.label]).join(', '),
          percent: line.grams > 0 ? (line.percent * grams) / line.grams : line.percent,
          grams,
          runningGrams: running,
          fill: line.fill,
          given: line.given,
          part,
          note: line.source.note ?? '',
        },
      ]
    })
    const phase = a.phases.findIndex((p) => p.letter === step.letter)
    blocks.push({
      key: step.key,
      step,
      vessel: step.vessel,
      role: a.phases[phase]?.role ?? 'other',
      grams: running,
      note: step.kind === 'weigh' ? (a.formula.phases[phase]?.note ?? '') : '',
      rows,
      steps: step.kind === 'weigh' ? [] : [step],
    })
  }
  return { before, blocks }
}
