import type { AssessedLine } from '../lines/types.ts'
import { evidenceOf, type Evidence } from './evidence.ts'
import type { BatchState } from './types.ts'

/** What can look wrong, and from when on that can be seen. */
export const SYMPTOMS = [
  { id: 'thin-after-acid', label: 'Thinned after acid was added', seen: 'acid' },
  { id: 'thin', label: 'Too thin', seen: 'whole' },
  { id: 'thick', label: 'Too thick', seen: 'whole' },
  { id: 'grainy', label: 'Grainy', seen: 'inside' },
  { id: 'lumps', label: 'Lumps', seen: 'inside' },
  { id: 'split', label: 'Separated into layers', seen: 'joined' },
  { id: 'oil', label: 'Oil on the surface', seen: 'joined' },
  { id: 'foam', label: 'Air or foam', seen: 'inside' },
  { id: 'crystals', label: 'Crystals', seen: 'inside' },
  { id: 'colour', label: 'Colour change', seen: 'inside' },
  { id: 'smell', label: 'Off smell', seen: 'inside' },
  { id: 'ph-stuck', label: 'pH does not change', seen: 'dosed' },
  { id: 'ph-over', label: 'pH overshot', seen: 'dosed' },
  { id: 'stings', label: 'Stinging', seen: 'whole' },
  { id: 'whitens', label: 'Whitening when rubbed in', seen: 'whole' },
  { id: 'soaps', label: 'Soaping on the skin', seen: 'whole' },
  { id: 'pills', label: 'Pilling', seen: 'whole' },
  { id: 'greasy', label: 'Too greasy', seen: 'whole' },
  { id: 'pump', label: 'Does not dispense properly', seen: 'whole' },
  { id: 'oil-later', label: 'Oil separation after days', seen: 'made' },
  { id: 'ph-later', label: 'pH drift after days', seen: 'made' },
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
