import { AFTERWARDS, UNDOABLE, type Happening } from './events.ts'
import { choicesOf, WATCH } from '../keeping/data.ts'
import type { BatchState } from './state.ts'

/** Why something cannot happen to a batch now, as a sentence; null when it can. */
export function refusal(s: BatchState, h: Happening): string | null {
  if (s.finished && !AFTERWARDS.has(h.type))
    return 'This batch is finished and cannot be changed. Add a note instead.'
  if (!s.finished && AFTERWARDS.has(h.type))
    return h.type === 'correction'
      ? 'The batch is not finished. Correct the entry itself.'
      : 'The batch is not finished. Observations start when it is filled.'
  const lines = s.plan.a.lines.length
  if ('line' in h && h.line >= lines) return 'The formula has no such line.'
  const ofKind = REFUSALS[h.type] as Refusal | undefined
  return ofKind?.(s, h) ?? null
}

type Refusal<T extends Happening['type'] = Happening['type']> = (
  s: BatchState,
  h: Extract<Happening, { type: T }>,
) => string | null

/** By kind of event, what speaks against it; other kinds can always happen. */
const REFUSALS: { [T in Happening['type']]?: Refusal<T> } = {
  start: () => 'The batch has already started.',
  weigh: (_, h) => (h.grams > 0 ? null : 'Nothing was weighed. Pour, then record the weight.'),
  'take-out'(s, h) {
    const has = s.lines[h.line]!.weighed
    return h.grams > has + 1e-6 ? `Only ${has} g are in the beaker; no more can be taken out.` : null
  },
  dilution(s, h) {
    if (h.usedGrams > h.soluteGrams + h.carrierGrams + 1e-6)
      return 'More of the dilution was used than was made. Check the three weights.'
    return h.carrier === h.line || h.carrier >= s.plan.a.lines.length
      ? 'A dilution needs another line of the formula as its carrier.'
      : null
  },
  undo(s, h) {
    const event = s.events[h.of]
    if (!event) return 'There is no such entry.'
    if (!UNDOABLE.has(event.type)) return 'This entry cannot be undone. Go back to its step and repeat it.'
    return s.undone.has(h.of) ? 'This entry was already undone.' : null
  },
  step: (_, h) => (h.how === 'skip' && !h.reason?.trim() ? 'Give a reason for skipping the step.' : null),
  keep(_, h) {
    if (new Set(h.samples.map((x) => x.id)).size < h.samples.length) return 'Two samples have the same name.'
    return h.looks.some((l) => !h.samples.some((x) => x.id === l.sample))
      ? 'An observation is scheduled for a sample that does not exist.'
      : null
  },
  observe: observationFault,
  'patch-look': (s, h) => (s.events[h.of]?.type === 'patch' ? null : 'There is no such patch test.'),
  resume: (s) => (s.paused ? null : 'The batch is not paused.'),
}

/** Why an answer cannot be one; null where it can. */
function observationFault(s: BatchState, h: Extract<Happening, { type: 'observe' }>): string | null {
  const plan = s.events.findLast((e) => e.type === 'keep')
  if (!plan?.samples.some((x) => x.id === h.sample)) return 'There is no such sample of this batch.'
  if (h.corrects !== undefined) {
    const old = s.events[h.corrects]
    if (old?.type !== 'observe' || old.property !== h.property || old.sample !== h.sample)
      return 'A correction must answer the same question.'
  }
  if (h.choice !== undefined && !choicesOf(h.property).some((c) => c.id === h.choice))
    return 'That is no answer to this question.'
  if (h.value !== undefined) {
    if (h.way === undefined) return 'Say how it was measured.'
    const { property, least, most, unit } = WATCH.ways[h.way]
    if (property !== h.property) return 'This property is not measured that way.'
    if (h.value < least || h.value > most) return `It must be between ${least} and ${most} ${unit}.`
  }
  return h.value === undefined && h.choice === undefined && h.colour === undefined ? 'Give an answer.' : null
}

/**
 * What an event takes from a lot, grams; negative where an entry that is taken back gives it back, with the number of that
 * entry, since a lot gives back no more than it gave.
 */
export function lotUse(
  events: readonly { type: string }[],
  h: Happening,
): { lot: string; grams: number; back?: number } | null {
  if (h.type === 'weigh' || h.type === 'dose') return h.lot ? { lot: h.lot, grams: h.grams } : null
  if (h.type === 'dilution') return h.lot ? { lot: h.lot, grams: h.soluteGrams } : null
  if (h.type === 'undo') {
    const of = events[h.of] as Happening | undefined
    const use = of && of.type !== 'undo' ? lotUse(events, of) : null
    return use ? { lot: use.lot, grams: -use.grams, back: h.of } : null
  }
  return null
}
