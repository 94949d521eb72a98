import { madeGrams } from './record.ts'
import { actualGrams } from './actual.ts'
import { linesIn } from './contents.ts'
import type { BatchState } from './types.ts'
import type { WeighedName } from '../lines/weighed.ts'

export type WeighedState = 'not-weighed' | 'left-so' | 'short' | 'too-much'
/** A line of the batch as the record shows it; grams, and percent of what was made. */
export interface RecordRow {
  letter: string
  role: string
  label: WeighedName
  target: number
  weighed: number
  percent: number
  designed: number
  lots: readonly string[]
  /** How the weighing ended where it is not as planned; null where it is. */
  state: WeighedState | null
  /** Water put back less water that left, where it is more than half a count of the scale. */
  water: number
}

const STATES: Record<string, WeighedState> = {
  accepted: 'left-so',
  short: 'short',
  over: 'too-much',
}

export function recordRows(s: BatchState): RecordRow[] {
  const made = madeGrams(s)
  const effective = actualGrams(s, linesIn(s, true))
  const moved = s.putBack - s.evaporated
  const half = s.plan.a.amounts.resolutionGrams / 2
  return s.plan.a.lines.map((l, i) => {
    const line = s.lines[i]!
    return {
      letter: s.plan.a.phases[l.phase]!.letter,
      role: l.phaseSource.role,
      label: l.weighedAs,
      target: line.target,
      weighed: line.weighed,
      percent: made > 0 ? (100 * effective[i]!) / made : 0,
      designed: l.percent,
      lots: line.lots,
      state: line.weighed === 0 ? (line.target > 0 ? 'not-weighed' : null) : (STATES[line.status] ?? null),
      water: i === s.plan.water && Math.abs(moved) > half ? moved : 0,
    }
  })
}
