import { AFTERWARDS, UNDOABLE, type BatchEventBody } from '../batch/events.ts'
import { choicesOf, WATCH } from '../batch/watch-data.ts'
import type { Said } from '../text/said.ts'
import type { RefusalFacts } from './said.ts'
import type { BatchState } from './state.ts'

/** Why something cannot happen to a batch now, null when it can. */
export function refusal(s: BatchState, h: BatchEventBody): Said<RefusalFacts> | null {
  if (s.finished && !AFTERWARDS.has(h.type)) return { code: 'finished' }
  if (!s.finished && AFTERWARDS.has(h.type))
    return { code: 'not-finished', correction: h.type === 'correction' }
  const lines = s.plan.a.lines.length
  if ('line' in h && h.line >= lines) return { code: 'no-such-line' }
  const ofKind = REFUSALS[h.type] as Refusal | undefined
  return ofKind?.(s, h) ?? null
}

type Refusal<T extends BatchEventBody['type'] = BatchEventBody['type']> = (
  s: BatchState,
  h: Extract<BatchEventBody, { type: T }>,
) => Said<RefusalFacts> | null

/** By kind of event, what speaks against it; other kinds can always happen. */
const REFUSALS: { [T in BatchEventBody['type']]?: Refusal<T> } = {
  start: () => ({ code: 'already-started' }),
  weigh: (_, h) => (h.grams > 0 ? null : { code: 'nothing-weighed' }),
  'take-out'(s, h) {
    const has = s.lines[h.line]!.weighed
    return h.grams > has + 1e-6 ? { code: 'not-so-much', grams: has } : null
  },
  dilution(s, h) {
    if (h.usedGrams > h.soluteGrams + h.carrierGrams + 1e-6) return { code: 'dilution-overused' }
    return h.carrier === h.line || h.carrier >= s.plan.a.lines.length ? { code: 'dilution-carrier' } : null
  },
  undo(s, h) {
    const event = s.events[h.of]
    if (!event) return { code: 'no-such-entry' }
    if (!UNDOABLE.has(event.type)) return { code: 'not-undoable' }
    return s.undone.has(h.of) ? { code: 'already-undone' } : null
  },
  step: (_, h) => (h.how === 'skip' && !h.reason?.trim() ? { code: 'skip-reason' } : null),
  keep(_, h) {
    if (new Set(h.samples.map((x) => x.id)).size < h.samples.length) return { code: 'sample-twice' }
    return h.looks.some((l) => !h.samples.some((x) => x.id === l.sample))
      ? { code: 'look-without-sample' }
      : null
  },
  observe: observationFault,
  'patch-look': (s, h) => (s.events[h.of]?.type === 'patch' ? null : { code: 'no-such-patch' }),
  resume: (s) => (s.paused ? null : { code: 'not-paused' }),
}

/** Why an answer cannot be one; null where it can. */
function observationFault(
  s: BatchState,
  h: Extract<BatchEventBody, { type: 'observe' }>,
): Said<RefusalFacts> | null {
  const plan = s.events.findLast((e) => e.type === 'keep')
  if (!plan?.samples.some((x) => x.id === h.sample)) return { code: 'no-such-sample' }
  if (h.corrects !== undefined) {
    const old = s.events[h.corrects]
    if (old?.type !== 'observe' || old.property !== h.property || old.sample !== h.sample)
      return { code: 'other-question' }
  }
  if (h.choice !== undefined && !choicesOf(h.property).some((c) => c.id === h.choice))
    return { code: 'no-such-answer' }
  if (h.value !== undefined) {
    if (h.way === undefined) return { code: 'no-way' }
    const { property, least, most, unit } = WATCH.ways[h.way]
    if (property !== h.property) return { code: 'wrong-way' }
    if (h.value < least || h.value > most) return { code: 'out-of-range', least, most, unit }
  }
  return h.value === undefined && h.choice === undefined && h.colour === undefined
    ? { code: 'no-answer' }
    : null
}

/**
 * What an event takes from a lot, grams; negative where an entry that is taken back gives it back, with the number of that
 * entry, since a lot gives back no more than it gave.
 */
export function lotUse(
  events: readonly { type: string }[],
  h: BatchEventBody,
): { lot: string; grams: number; back?: number } | null {
  if (h.type === 'weigh' || h.type === 'dose') return h.lot ? { lot: h.lot, grams: h.grams } : null
  if (h.type === 'dilution') return h.lot ? { lot: h.lot, grams: h.soluteGrams } : null
  if (h.type === 'undo') {
    const of = events[h.of] as BatchEventBody | undefined
    const use = of && of.type !== 'undo' ? lotUse(events, of) : null
    return use ? { lot: use.lot, grams: -use.grams, back: h.of } : null
  }
  return null
}
