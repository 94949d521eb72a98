import { freshnessOf, type BatchState, type BenchStep, type LineState, type Lot } from '@omblet/core'

/** One thing to weigh in a step, as it stands. */
export interface Task {
  line: number
  /** Only a part of the line is weighed here. */
  part: boolean
  target: number
  /** Still to weigh, and the band in which that is right. */
  left: number
  leftLow: number
  leftHigh: number
  weighed: number
  done: boolean
  over: boolean
  accepted: boolean
}

export function tasksOf(state: BatchState, step: BenchStep): Task[] {
  return step.lines.flatMap(({ line, grams }): Task[] => {
    const l: LineState = state.lines[line]!
    if (l.target <= 0 && l.weighed <= 0) return []
    if (grams !== null) {
      const target = Math.min(grams, l.target)
      const left = Math.max(0, target - l.weighed)
      return [
        {
          line,
          part: true,
          target,
          left,
          leftLow: left * 0.9,
          leftHigh: Math.max(left * 1.1, l.high - l.weighed),
          weighed: l.weighed,
          done: left <= target * 0.1,
          over: false,
          accepted: false,
        },
      ]
    }
    return [
      {
        line,
        part: false,
        target: l.target,
        left: Math.max(0, l.target - l.weighed),
        leftLow: Math.max(0, l.low - l.weighed),
        leftHigh: Math.max(0, l.high - l.weighed),
        weighed: l.weighed,
        done: l.status === 'fine' || l.status === 'accepted',
        over: l.status === 'over',
        accepted: l.status === 'accepted',
      },
    ]
  })
}

/** Lots of a material that have something left, the one to use up first before. */
export const lotsToUse = (lots: readonly Lot[], day: string) =>
  lots
    .filter((l) => l.leftGrams > 0)
    .sort(
      (x, y) =>
        Number(freshnessOf(x, day) === 'past') - Number(freshnessOf(y, day) === 'past') ||
        (x.expires ?? '9999').localeCompare(y.expires ?? '9999'),
    )

export const lotLabel = (l: Lot, day: string) =>
  [
    l.batch || l.supplier || 'Lot without a number',
    `${Number(l.leftGrams.toFixed(1))} g left`,
    freshnessOf(l, day) === 'past' ? 'past its date' : l.expires ? `until ${l.expires}` : '',
  ]
    .filter(Boolean)
    .join(', ')

/** What is weighed now: an over-pour first, then what was chosen, then the first that is not weighed. */
export const activeTask = (tasks: readonly Task[], chosen: number | null): Task | null =>
  tasks.find((t) => t.over) ?? tasks.find((t) => t.line === chosen) ?? tasks.find((t) => !t.done) ?? null
