import type { AssessedLine } from '../lines/types.ts'
import { evidenceOf, type Evidence } from './evidence.ts'
import type { BatchState } from './types.ts'

/** What can look wrong, and from when on that can be seen. */
export const SYMPTOMS = [
  { id: 'thin-after-acid', seen: 'acid' },
  { id: 'thin', seen: 'whole' },
  { id: 'thick', seen: 'whole' },
  { id: 'grainy', seen: 'inside' },
  { id: 'lumps', seen: 'inside' },
  { id: 'split', seen: 'joined' },
  { id: 'oil', seen: 'joined' },
  { id: 'foam', seen: 'inside' },
  { id: 'crystals', seen: 'inside' },
  { id: 'colour', seen: 'inside' },
  { id: 'smell', seen: 'inside' },
  { id: 'ph-stuck', seen: 'dosed' },
  { id: 'ph-over', seen: 'dosed' },
  { id: 'stings', seen: 'whole' },
  { id: 'whitens', seen: 'whole' },
  { id: 'soaps', seen: 'whole' },
  { id: 'pills', seen: 'whole' },
  { id: 'greasy', seen: 'whole' },
  { id: 'pump', seen: 'whole' },
  { id: 'oil-later', seen: 'made' },
  { id: 'ph-later', seen: 'made' },
] as const satisfies readonly { id: string; seen: Seen }[]
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
