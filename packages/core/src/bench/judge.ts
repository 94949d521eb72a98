import { atResolution } from '../weighing/error.ts'
import { expectedOf, looseDoses } from './contents.ts'
import { toleranceOf } from './tolerance.ts'
import type { BatchState, LineState } from './types.ts'

/** A state while it is made. */
export interface Working extends BatchState {
  factors: number[]
  allFactor: number
  accepted: Set<number>
  fillSettled: number | null
  expected: Map<string, number>
}

/** Targets, bands and statuses of all lines. */
export function judge(s: Working) {
  const { plan } = s
  s.totalTarget = atResolution(plan.a.amounts.batchGrams * s.allFactor, plan.a.amounts.resolutionGrams)
  for (const line of s.lines)
    line.over =
      plan.steps.some((step) => step.lines.some((l) => l.line === line.index)) &&
      plan.steps.every((step) => s.marks.has(step.key) || !step.lines.some((l) => l.line === line.index))
  for (const line of s.lines) if (line.index !== plan.fill) judgeLine(s, line)
  judgeFill(s)
}

function judgeLine(s: Working, line: LineState) {
  line.target = atResolution(line.planned * s.factors[line.index]!, s.plan.a.amounts.resolutionGrams)
  band(s, line)
}

/** The q.s. line takes what the others leave, until it is weighed itself. */
function judgeFill(s: Working) {
  const { plan } = s
  const fill = plan.fill === null ? null : s.lines[plan.fill]!
  if (!fill) return
  const others = s.lines.reduce((sum, l) => sum + (l === fill ? 0 : expectedOf(l)), 0)
  const left = s.totalTarget - others - looseDoses(s)
  fill.target = s.fillSettled ?? Math.max(0, atResolution(left, plan.a.amounts.resolutionGrams))
  band(s, fill)
  if (s.fillSettled === null && (fill.status === 'fine' || fill.status === 'accepted') && fill.target > 0)
    s.fillSettled = fill.target
}

/** After something happened to some lines only. */
export function judgeSome(s: Working, ...lines: LineState[]) {
  for (const line of lines) if (line.index !== s.plan.fill) judgeLine(s, line)
  judgeFill(s)
}

function band(s: Working, line: LineState) {
  const d = s.plan.a.amounts.resolutionGrams
  const cap = (s.plan.caps[line.index]! * s.totalTarget) / 100
  const share = line.index === s.plan.fill ? 'critical' : line.importance
  const t = toleranceOf(share, line.target, d, cap, s.plan.a.amounts.repeatabilityGrams)
  line.low = t.low
  line.high = t.high
  line.errorPercent = t.errorPercent
  const has = line.weighed > 0
  line.status = s.accepted.has(line.index)
    ? 'accepted'
    : line.weighed > line.high + d / 1e6
      ? 'over'
      : !has && line.target > 0
        ? 'open'
        : line.weighed < line.low - d / 1e6
          ? 'short'
          : 'fine'
}
