import type { Elapsed } from './clock.ts'
import type { BatchEvent, EventOf } from '../batch/events.ts'
import type { BenchPlan } from './plan.ts'
import type { Importance } from './tolerance.ts'

export type LineStatus = 'open' | 'short' | 'fine' | 'over' | 'accepted'

export interface LineState {
  index: number
  /** Grams that the formula asks for in this batch, and what is wanted now. */
  planned: number
  target: number
  weighed: number
  low: number
  high: number
  importance: Importance
  /** Relative uncertainty of weighing the target, percent. */
  errorPercent: number
  status: LineStatus
  lots: string[]
  /** Its step is over, so no more of it is expected. */
  over: boolean
}

export interface DoseState {
  n: number
  at: string
  material: string
  strengthPercent: number
  grams: number
  drops: number | null
  /** The planned line that it is counted to. */
  line: number | null
}

export interface StepMark {
  how: 'done' | 'skip'
  at: string
  reason: string
}

export interface Timer {
  id: string
  title: string
  minutes: number
  /** Minutes since the beginning. */
  start: number
  end: number
  stopped: boolean
}

export interface MassMark {
  n: number
  step: string | null
  when: 'before' | 'after' | 'batch'
  grams: number
  /** What it should have been, grams; null for the first weighing of a vessel. */
  expected: number | null
}

export interface BatchState {
  plan: BenchPlan
  events: readonly BatchEvent[]
  start: EventOf<'start'>
  /** Index of the step that is worked on; as many as there are steps when all are over. */
  at: number
  marks: Map<string, StepMark>
  lines: LineState[]
  /** The batch that is aimed at now, grams. */
  totalTarget: number
  doses: DoseState[]
  readings: { n: number; at: string; ph: number; method: EventOf<'ph'>['method'] }[]
  temperatures: { n: number; minutes: number; celsius: number; step: string | null }[]
  /** Since when, in minutes, it cools in this way. */
  cooling: { way: 'air' | 'bath' | 'hot'; since: number } | null
  room: number | null
  masses: MassMark[]
  evaporated: number
  putBack: number
  sampled: number
  /** Weighed and thrown away. */
  wasted: number
  timers: Timer[]
  vessels: Map<string, number>
  /** What the scale shows when nothing is to be counted. */
  zero: number
  paused: EventOf<'pause'> | null
  finished: EventOf<'finish'> | null
  corrections: EventOf<'correction'>[]
  undone: ReadonlySet<number>
  /** Number of the last event after which something else was in the batch. */
  changedAt: number
  minutes: number
  /** Minutes that the making took: until it was finished. */
  took: number
  elapsed: Elapsed
}
