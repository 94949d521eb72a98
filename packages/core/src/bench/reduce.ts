import { COLD_BATH } from '../procedure/facts.ts'
import { adjusterKey } from '../dosing/fit.ts'
import { heldIn, massOf, round } from './contents.ts'
import type { BatchEvent, EventOf } from '../batch/events.ts'
import { judge, judgeSome, type Working } from './judge.ts'
import { retold } from './plan.ts'

type Reducers = { [T in BatchEvent['type']]: (s: Working, event: EventOf<T>) => void }
const nothing = () => undefined

function weigh(s: Working, event: EventOf<'weigh' | 'take-out'>) {
  const line = s.lines[event.line]
  if (!line) return
  const sign = event.type === 'weigh' ? 1 : -1
  line.weighed = round(Math.max(0, line.weighed + sign * event.grams))
  if (event.type === 'take-out') s.wasted = round(s.wasted + event.grams)
  else if ('lot' in event && event.lot && !line.lots.includes(event.lot)) line.lots.push(event.lot)
  if (event.gross !== undefined) s.zero = event.gross
  s.changedAt = event.n
  judgeSome(s, line)
}

/** What each kind of event does to the state. */
const REDUCERS: Reducers = {
  step(s, event) {
    const { plan } = s

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
    // The method says where it stands now; whoever does otherwise says so.
    if (plan.steps[s.at]?.kind === 'cool' && plan.steps[s.at]!.equipment.includes(COLD_BATH))
      s.cooling = { way: 'bath', since: s.minutes }
    if (step.joins.length > 0 || step.kind === 'join') s.changedAt = event.n
    judge(s)
  },
  tare(s, event) {
    s.zero = event.gross
  },
  vessel(s, event) {
    s.vessels.set(event.vessel, event.tareGrams)
  },
  weigh,
  'take-out': weigh,
  dilution(s, event) {
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
  },
  accept(s, event) {
    const { plan } = s
    if (!s.lines[event.line]) return
    s.accepted.add(event.line)
    if (event.line === plan.fill) s.fillSettled = s.lines[event.line]!.target
    judgeSome(s, s.lines[event.line]!)
  },
  scale(s, event) {
    for (const i of event.lines) {
      if (s.factors[i] !== undefined) s.factors[i] *= event.factor
      s.accepted.delete(i)
    }
    if (event.all) s.allFactor *= event.factor
    s.fillSettled = null
    s.plan = retold(s.plan, s)
    judge(s)
  },
  discard(s, event) {
    const { plan } = s
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
  },
  mass(s, event) {
    const key = event.when === 'batch' ? 'batch' : (event.step ?? '')
    const known =
      s.expected.get(key) ??
      (event.when === 'before' ? null : event.when === 'batch' ? massOf(s) : heldIn(s, event.step))
    const expected = event.when === 'batch' ? massOf(s) : known
    s.masses.push({ n: event.n, step: event.step, when: event.when, grams: event.grams, expected })
    if (event.when !== 'before' && expected !== null)
      s.evaporated = Math.max(0, round(s.evaporated + expected - event.grams))
    if (event.when !== 'batch') s.expected.set(key, event.grams)
  },
  water(s, event) {
    s.putBack = round(s.putBack + event.grams)
    const here = event.step === null ? undefined : s.expected.get(event.step)
    if (here !== undefined) s.expected.set(event.step!, here + event.grams)
    s.changedAt = event.n
  },
  temperature(s, event) {
    s.temperatures.push({ n: event.n, minutes: s.minutes, celsius: event.celsius, step: event.step })
  },
  room(s, event) {
    s.room = event.celsius
  },
  cooling(s, event) {
    s.cooling = { way: event.way, since: s.minutes }
  },
  ph(s, event) {
    s.readings.push({ n: event.n, at: event.at, ph: event.ph, method: event.method })
  },
  dose(s, event) {
    const { plan } = s

    const key = adjusterKey(event.material) ?? event.material
    const line = s.lines.find((l) => {
      const source = plan.a.lines[l.index]!
      return (
        source.phaseSource.role === 'adjust' &&
        (adjusterKey(source.source.material) ?? source.id) === key &&
        (source.strengthPercent ?? 100) === event.strengthPercent
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
  },
  sample(s, event) {
    s.sampled = round(s.sampled + event.grams)
  },
  timer(s, event) {
    s.timers = s.timers.filter((t) => t.id !== event.id)
    s.timers.push({
      id: event.id,
      title: event.title,
      minutes: event.minutes,
      start: s.minutes,
      end: s.minutes + event.minutes,
      stopped: false,
    })
  },
  'timer-end'(s, event) {
    s.timers = s.timers.map((t) => (t.id === event.id ? { ...t, stopped: true } : t))
  },
  pause(s, event) {
    s.paused = event
  },
  resume(s) {
    s.paused = null
  },
  finish(s, event) {
    s.finished = event
    s.timers = s.timers.map((t) => ({ ...t, stopped: true }))
  },
  correction(s, event) {
    s.corrections.push(event)
  },
  start: nothing,
  note: nothing,
  undo: nothing,
  // what is seen of it later changes nothing of how it was made
  keep: nothing,
  observe: nothing,
  pass: nothing,
  patch: nothing,
  'patch-look': nothing,
}

/** Takes one event into the state. */
export const take = (s: Working, event: BatchEvent) =>
  (REDUCERS[event.type] as (s: Working, event: BatchEvent) => void)(s, event)
