import type { Finding } from './types.ts'

/** Groups of notes by the families of their codes, in the order in which they are read. */
const FAMILIES = {
  law: ['legal', 'claim', 'label'],
  preservation: ['preservative'],
  ph: ['ph', 'record'],
  doses: ['usage', 'amount', 'total'],
  materials: ['material'],
  emulsion: ['emulsion', 'thickener', 'charge', 'phase'],
  solubility: ['solubility'],
  making: ['process', 'heat', 'weighing'],
  stability: ['stability', 'oxidation'],
  safety: ['safety'],
} as const satisfies Record<string, readonly string[]>
export type NoteFamily = keyof typeof FAMILIES
const families = Object.keys(FAMILIES) as NoteFamily[]
const familyOf = new Map(
  families.flatMap((family) => FAMILIES[family].map((p): [string, NoteFamily] => [p, family])),
)

export interface NoteGroup {
  family: NoteFamily
  findings: Finding[]
}

/** Findings by family; each stands in one group, and groups without one are left out. */
export function groupNotes(findings: readonly Finding[]): NoteGroup[] {
  const groups = new Map(families.map((family) => [family, [] as Finding[]]))
  for (const f of findings) groups.get(familyOf.get(f.code.split('.')[0]!) ?? 'materials')!.push(f)
  return [...groups].flatMap(([family, list]) => (list.length > 0 ? [{ family, findings: list }] : []))
}
