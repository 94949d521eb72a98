import { parseISO } from 'date-fns'
import { adjusterKey } from '../dosing/fit.ts'
import { Elapsed } from './clock.ts'
import type { BenchEvent } from './events.ts'
import type { BenchPlan } from './plan.ts'
import { atResolution } from '../weighing/error.ts'
import { toleranceOf } from './tolerance.ts'
import type { BatchState, LineState } from './types.ts'

export type * from './types.ts'

/** Grams in the batch that were counted in no line of the formula. */
export const looseDoses = (s: Pick<BatchState, 'doses'>) =>
  s.doses.reduce((sum, d) => sum + (d.line === null ? d.grams : 0), 0)

const round = (grams: number) => Number(grams.toFixed(6))

interface Working extends BatchState {
  factors: number[]
  allFactor: number
  accepted: Set<number>
  fillSettled: number | null
  expected: Map<string, number>
}

/**
 * Everything that is known of a batch, from its events in order: the same events give the same state, whenever and
 * however often they are read. Events that were taken back count for nothing. Throws where the first event is no start.
 */
export function foldBatch(plan: BenchPlan, events: readonly BenchEvent[]): BatchState {
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

/** Targets, bands and statuses of all lines. */
function judge(s: Working) {
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
function judgeSome(s: Working, ...lines: LineState[]) {
  for (const line of lines) if (line.index !== s.plan.fill) judgeLine(s, line)
  judgeFill(s)
}

/** What a line will have come to: what was weighed where that is settled, else its target. */
export const expectedOf = (l: LineState) => (l.over || l.weighed >= l.low ? l.weighed : l.target)

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

function take(s: Working, event: BenchEvent) {
  const { plan } = s
  switch (event.type) {
    case 'step': {
      const index = plan.steps.findIndex((step) => step.key === event.step)
      if (event.how === 'go') {
        if (index >= 0) s.at = index
        return
      }
      if (index < 0) return
      s.marks.set(event.step!, { how: event.how, at: event.at, reason: event.reason ?? '' })
      const open = (step: { key: string }) => !s.marks.has(step.key)
      const next = plan.steps.findIndex((step, i) => i > index && open(step))
      const first = plan.steps.findIndex(open)
      s.at = next >= 0 ? next : first >= 0 ? first : plan.steps.length
      const step = plan.steps[index]!
      if (step.kind === 'heat') s.cooling = { way: 'hot', since: s.minutes }
      if (step.kind === 'join' && step.celsius !== null) s.cooling = { way: 'air', since: s.minutes }
      if (step.joins.length > 0 || step.kind === 'join') s.changedAt = event.n
      judge(s)
      return
    }
    case 'tare':
      s.zero = event.gross
      return
    case 'vessel':
      s.vessels.set(event.vessel, event.tareGrams)
      return
    case 'weigh':
    case 'take-out': {
      const line = s.lines[event.line]
      if (!line) return
      const sign = event.type === 'weigh' ? 1 : -1
      line.weighed = round(Math.max(0, line.weighed + sign * event.grams))
      if (event.type === 'take-out') s.wasted = round(s.wasted + event.grams)
      else if (event.lot && !line.lots.includes(event.lot)) line.lots.push(event.lot)
      if (event.gross !== undefined) s.zero = event.gross
      s.changedAt = event.n
      judgeSome(s, line)
      return
    }
    case 'dilution': {
      const line = s.lines[event.line]
      const carrier = s.lines[event.carrier]
      if (!line || !carrier) return
      const share = event.soluteGrams / (event.soluteGrams + event.carrierGrams)
      line.weighed = round(line.weighed + event.usedGrams * share)
      carrier.weighed = round(carrier.weighed + event.usedGrams * (1 - share))
      s.wasted = round(s.wasted + event.soluteGrams + event.carrierGrams - event.usedGrams)
      if (event.lot && !line.lots.includes(event.lot)) line.lots.push(event.lot)
      s.changedAt = event.n
      judgeSome(s, line, carrier)
      return
    }
    case 'accept':
      if (!s.lines[event.line]) return
      s.accepted.add(event.line)
      if (event.line === plan.fill) s.fillSettled = s.lines[event.line]!.target
      judgeSome(s, s.lines[event.line]!)
      return
    case 'scale':
      for (const i of event.lines) {
        if (s.factors[i] !== undefined) s.factors[i] *= event.factor
        s.accepted.delete(i)
      }
      if (event.all) s.allFactor *= event.factor
      s.fillSettled = null
      judge(s)
      return
    case 'discard':
      for (const i of event.lines) {
        const line = s.lines[i]
        if (!line) continue
        s.wasted = round(s.wasted + line.weighed)
        line.weighed = 0
        s.accepted.delete(i)
        if (i === plan.fill) s.fillSettled = null
      }
      s.zero = 0
      judge(s)
      return
    case 'mass': {
      const key = event.when === 'batch' ? 'batch' : (event.step ?? '')
      const known =
        s.expected.get(key) ??
        (event.when === 'before' ? null : event.when === 'batch' ? massOf(s) : heldIn(s, event.step))
      const expected = event.when === 'batch' ? massOf(s) : known
      s.masses.push({ n: event.n, step: event.step, when: event.when, grams: event.grams, expected })
      if (event.when !== 'before' && expected !== null)
        s.evaporated = Math.max(0, round(s.evaporated + expected - event.grams))
      if (event.when !== 'batch') s.expected.set(key, event.grams)
      return
    }
    case 'water': {
      s.putBack = round(s.putBack + event.grams)
      const here = event.step === null ? undefined : s.expected.get(event.step)
      if (here !== undefined) s.expected.set(event.step!, here + event.grams)
      s.changedAt = event.n
      return
    }
    case 'temperature':
      s.temperatures.push({ n: event.n, minutes: s.minutes, celsius: event.celsius, step: event.step })
      return
    case 'room':
      s.room = event.celsius
      return
    case 'cooling':
      s.cooling = { way: event.way, since: s.minutes }
      return
    case 'ph':
      s.readings.push({ n: event.n, at: event.at, ph: event.ph, method: event.method })
      return
    case 'dose': {
      const key = adjusterKey(event.material) ?? event.material
      const line = s.lines.find((l) => {
        const source = plan.a.lines[l.index]!
        return (
          source.phaseSource.role === 'adjust' &&
          (adjusterKey(source.source.material) ?? source.id) === key &&
          (source.source.strengthPercent ?? 100) === event.strengthPercent
        )
      })
      if (line) line.weighed = round(line.weighed + event.grams)
      s.doses.push({
        n: event.n,
        at: event.at,
        material: key,
        strengthPercent: event.strengthPercent,
        grams: event.grams,
        drops: event.drops ?? null,
        line: line?.index ?? null,
      })
      judgeSome(s, ...(line ? [line] : []))
      return
    }
    case 'sample':
      s.sampled = round(s.sampled + event.grams)
      return
    case 'timer':
      s.timers = s.timers.filter((t) => t.id !== event.id)
      s.timers.push({
        id: event.id,
        title: event.title,
        minutes: event.minutes,
        start: s.minutes,
        end: s.minutes + event.minutes,
        stopped: false,
      })
      return
    case 'timer-end':
      s.timers = s.timers.map((t) => (t.id === event.id ? { ...t, stopped: true } : t))
      return
    case 'pause':
      s.paused = event
      return
    case 'resume':
      s.paused = null
      return
    case 'finish':
      s.finished = event
      s.timers = s.timers.map((t) => ({ ...t, stopped: true }))
      return
    case 'correction':
      s.corrections.push(event)
      return
    case 'start':
    case 'note':
    case 'undo':
      return
  }
}

/** Lines that are in the batch now: weighed, and not waiting for the step that brings them in, nor left out with it. */
export function linesIn(s: BatchState, whenDone = false): Set<number> {
  const out = new Set(
    s.plan.steps.flatMap((step) => {
      const mark = s.marks.get(step.key)
      return mark?.how === 'done' || (!mark && whenDone) ? [] : step.joins
    }),
  )
  return new Set(s.lines.flatMap((l) => (l.weighed > 0 && !out.has(l.index) ? [l.index] : [])))
}

/** Mass of the batch as it should stand in its vessel now, grams. */
export function massOf(s: BatchState): number {
  const inside = linesIn(s)
  const lines = s.lines.reduce((sum, l) => sum + (inside.has(l.index) ? l.weighed : 0), 0)
  return round(Math.max(0, lines - s.evaporated + s.putBack + looseDoses(s) - s.sampled))
}

/** What was weighed into the vessel of a heating step, grams; null where that is not known. */
export function heldIn(s: BatchState, key: string | null): number | null {
  const step = s.plan.steps.find((x) => x.key === key)
  const sum = step ? step.holds.reduce((total, i) => total + s.lines[i]!.weighed, 0) : 0
  return sum > 0 ? round(sum) : null
}

/**
 * Water to add now so that the whole batch comes to its target: what left and was not put back, less what over-pours and
 * doses made too much. Grams at the scale's resolution.
 */
export function waterToAdd(s: BatchState): number {
  const coming = s.lines.reduce((sum, l) => sum + expectedOf(l), 0)
  const total = coming - s.evaporated + s.putBack + looseDoses(s)
  return Math.max(0, atResolution(s.totalTarget - total, s.plan.a.amounts.resolutionGrams))
}
