import type { BenchStep } from './plan.ts'
import type { BatchState, LineState } from './types.ts'

/** One thing to weigh in a step, as it stands. */
export interface WeighTask {
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

const round = (grams: number) => Number(grams.toFixed(6))

/** Grams of a line that were weighed in one step and count. */
export function weighedIn(state: Pick<BatchState, 'events' | 'undone'>, step: string, line: number): number {
  let grams = 0
  for (const e of state.events) {
    if (state.undone.has(e.n)) continue
    if (e.type === 'discard' && e.lines.includes(line)) grams = 0
    else if ((e.type === 'weigh' || e.type === 'take-out') && e.line === line && e.step === step)
      grams += e.type === 'weigh' ? e.grams : -e.grams
  }
  return round(Math.max(0, grams))
}

/** Parts of a line that belong to other steps: what they take in all, and what of it is weighed. */
function elsewhere(state: BatchState, step: BenchStep, line: number) {
  const parts = state.plan.steps.flatMap((s) =>
    s.key === step.key
      ? []
      : s.lines.flatMap((l) => (l.line === line && l.grams !== null ? [{ key: s.key, grams: l.grams }] : [])),
  )
  return {
    wanted: parts.reduce((sum, p) => sum + p.grams, 0),
    weighed: parts.reduce((sum, p) => sum + weighedIn(state, p.key, line), 0),
  }
}

/** What is to be weighed in a step; where a line is parted between steps, each has its own part. */
export function tasksOf(state: BatchState, step: BenchStep): WeighTask[] {
  return step.lines.flatMap(({ line, grams }): WeighTask[] => {
    const l: LineState = state.lines[line]!
    if (l.target <= 0 && l.weighed <= 0) return []
    if (grams !== null) {
      const target = Math.min(grams, l.target)
      const weighed = weighedIn(state, step.key, line)
      const left = round(Math.max(0, target - weighed))
      const done = left <= target * 0.1
      return [
        {
          line,
          part: true,
          target,
          left,
          leftLow: left * 0.9,
          leftHigh: left * 1.1,
          weighed,
          done,
          over: false,
          accepted: false,
        },
      ]
    }
    const other = elsewhere(state, step, line)
    const target = round(Math.max(0, l.target - other.wanted))
    const weighed = round(Math.max(0, l.weighed - other.weighed))
    const [low, high] = [l.low - other.wanted, l.high - other.wanted]
    const accepted = l.status === 'accepted'
    return [
      {
        line,
        part: false,
        target,
        left: round(Math.max(0, target - weighed)),
        leftLow: Math.max(0, low - weighed),
        leftHigh: Math.max(0, high - weighed),
        weighed,
        // Too much of a part is no over-pour yet: the other part takes less.
        done:
          accepted ||
          l.status === 'fine' ||
          (other.wanted > 0 && l.status !== 'over' && weighed >= low - 1e-9),
        over: l.status === 'over',
        accepted,
      },
    ]
  })
}

/** What is weighed now: an over-pour first, then what was chosen, then the first that is not weighed. */
export const activeTask = (tasks: readonly WeighTask[], chosen: number | null): WeighTask | null =>
  tasks.find((t) => t.over) ?? tasks.find((t) => t.line === chosen) ?? tasks.find((t) => !t.done) ?? null
