import type { AssessedLine } from '../lines/types.ts'
import { evidenceOf, type Evidence } from './evidence.ts'
import type { BatchState } from './types.ts'

/** What can look wrong, and from when on that can be seen. */
export const SYMPTOMS = [
  { id: 'thin-after-acid', label: 'It went thin after the acid', seen: 'acid' },
  { id: 'thin', label: 'It is too thin', seen: 'whole' },
  { id: 'thick', label: 'It is too thick', seen: 'whole' },
  { id: 'grainy', label: 'It is grainy', seen: 'inside' },
  { id: 'lumps', label: 'There are lumps', seen: 'inside' },
  { id: 'split', label: 'It has split into layers', seen: 'joined' },
  { id: 'oil', label: 'Oil floats on it', seen: 'joined' },
  { id: 'foam', label: 'It is full of air or foam', seen: 'inside' },
  { id: 'crystals', label: 'There are crystals', seen: 'inside' },
  { id: 'colour', label: 'The colour is off', seen: 'inside' },
  { id: 'smell', label: 'It smells off', seen: 'inside' },
  { id: 'ph-stuck', label: 'The pH will not move', seen: 'dosed' },
  { id: 'ph-over', label: 'The pH went too far', seen: 'dosed' },
  { id: 'stings', label: 'It stings', seen: 'whole' },
  { id: 'whitens', label: 'It whitens when rubbed in', seen: 'whole' },
  { id: 'soaps', label: 'It foams up white on the skin', seen: 'whole' },
  { id: 'pills', label: 'It pills or rolls off', seen: 'whole' },
  { id: 'greasy', label: 'It is too greasy', seen: 'whole' },
  { id: 'pump', label: 'It runs out of the pump, or will not come', seen: 'whole' },
  { id: 'oil-later', label: 'Oil stands on top after days', seen: 'made' },
  { id: 'ph-later', label: 'The pH moved after days', seen: 'made' },
] as const satisfies readonly { id: string; label: string; seen: Seen }[]
export type Symptom = (typeof SYMPTOMS)[number]['id']

/** From when on: something is in the vessel; oil and water met; acid or alkali went in; all is in; it was finished. */
type Seen = 'inside' | 'joined' | 'acid' | 'dosed' | 'whole' | 'made'

const isAcid = (l: AssessedLine) => l.material?.kind === 'acid'
const CAN_BE: Record<Seen, (e: Evidence) => boolean> = {
  inside: (e) => e.inside.length > 0,
  joined: (e) => e.combined,
  acid: (e) => e.has(isAcid).length > 0 || e.state.doses.length > 0,
  dosed: (e) => e.state.doses.length > 0,
  whole: (e) => e.state.lines.length > 0 && e.state.lines.every((l) => l.target <= 0 || l.weighed > 0),
  made: (e) => e.state.finished !== null,
}

/** Looks that this batch can have by now, and those that come later or cannot come; each in the order of the list. */
export function looksAt(state: BatchState): {
  now: (typeof SYMPTOMS)[number][]
  later: (typeof SYMPTOMS)[number][]
} {
  const e = evidenceOf(state)
  const can = (x: (typeof SYMPTOMS)[number]) => CAN_BE[x.seen](e)
  return { now: SYMPTOMS.filter(can), later: SYMPTOMS.filter((x) => !can(x)) }
}
