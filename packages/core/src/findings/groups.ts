import type { Finding } from './types.ts'

/** Kinds of notes, in the order in which they are read. */
const KINDS: readonly [title: string, prefixes: readonly string[]][] = [
  ['Law and label', ['legal', 'claim', 'label']],
  ['Preservation', ['preservative']],
  ['pH', ['ph', 'record']],
  ['Doses', ['usage', 'amount', 'total']],
  ['Materials', ['material']],
  ['Emulsion and body', ['emulsion', 'thickener', 'charge', 'phase']],
  ['Dissolving', ['solubility']],
  ['Making', ['process', 'heat', 'weighing']],
  ['Stability', ['stability', 'oxidation']],
  ['Using', ['safety']],
]
const titleOf = new Map(KINDS.flatMap(([title, prefixes]) => prefixes.map((p) => [p, title] as const)))

export interface NoteGroup {
  title: string
  findings: Finding[]
}

/** Findings by kind; each stands in one group, and groups without one are left out. */
export function groupNotes(findings: readonly Finding[]): NoteGroup[] {
  const groups = new Map(KINDS.map(([title]) => [title, [] as Finding[]]))
  for (const f of findings) {
    const title = titleOf.get(f.code.split('.')[0]!) ?? 'Materials'
    groups.get(title)!.push(f)
  }
  return [...groups].flatMap(([title, list]) => (list.length > 0 ? [{ title, findings: list }] : []))
}
