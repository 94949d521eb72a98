import { parseISO } from 'date-fns'
import { Elapsed } from './clock.ts'
import type { BatchEvent } from '../batch/events.ts'
import type { BenchPlan } from './plan.ts'
import { judge, type Working } from './judge.ts'
import { take } from './reduce.ts'
import type { BatchState } from './types.ts'

export type * from './types.ts'

/**
 * Everything that is known of a batch, from its events in order: the same events give the same state, whenever and
 * however often they are read. Events that were taken back count for nothing. Throws where the first event is no start.
 */
export function foldBatch(plan: BenchPlan, events: readonly BatchEvent[]): BatchState {
  const start = events[0]
  if (start?.type !== 'start') throw new Error('A batch begins with its start.')
  const elapsed = new Elapsed(parseISO(start.at).getTime())
  const undone = new Set(events.flatMap((e) => (e.type === 'undo' ? [e.of] : [])))
  const s: Working = {
    plan,
    events,
    start,
    at: 0,
    marks: new Map(),
    lines: [],
    totalTarget: plan.a.amounts.batchGrams,
    doses: [],
    readings: [],
    temperatures: [],
    cooling: null,
    room: start.roomCelsius ?? null,
    masses: [],
    evaporated: 0,
    putBack: 0,
    sampled: 0,
    wasted: 0,
    timers: [],
    vessels: new Map(),
    zero: 0,
    paused: null,
    finished: null,
    corrections: [],
    undone,
    changedAt: 0,
    minutes: 0,
    took: 0,
    elapsed,
    factors: plan.a.lines.map(() => 1),
    allFactor: 1,
    accepted: new Set(),
    fillSettled: null,
    expected: new Map(),
  }
  s.lines = plan.a.lines.map((l, index) => ({
    index,
    planned: Math.max(0, l.grams),
    target: 0,
    weighed: 0,
    low: 0,
    high: 0,
    importance: plan.importance[index]!,
    errorPercent: 0,
    status: 'open',
    lots: [],
    over: false,
  }))
  judge(s)
  for (const event of events) {
    s.minutes = elapsed.add(parseISO(event.at).getTime())
    if (!s.finished) s.took = s.minutes
    if (undone.has(event.n)) continue
    take(s, event)
  }
  judge(s)
  const { factors: _f, allFactor: _a, accepted: _c, fillSettled: _s, expected: _e, ...state } = s
  return state
}
