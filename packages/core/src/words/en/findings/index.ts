import type { NoteFamily } from '../../../findings/groups.ts'
import { amounts } from './amounts.ts'
import { doses } from './doses.ts'
import { emulsion } from './emulsion.ts'
import { law } from './law.ts'
import { making } from './making.ts'
import { ph } from './ph.ts'
import { preservation } from './preservation.ts'
import { safety } from './safety.ts'
import type { FindingWords } from './shared.ts'

export const findings: FindingWords = {
  ...amounts,
  ...law,
  ...preservation,
  ...ph,
  ...emulsion,
  ...doses,
  ...making,
  ...safety,
}

/** Headings of notes. */
export const noteHeadings: Record<NoteFamily, string> = {
  law: 'Law and label',
  preservation: 'Preservation',
  ph: 'pH',
  doses: 'Doses',
  materials: 'Materials',
  emulsion: 'Emulsion and body',
  solubility: 'Dissolving',
  making: 'Making',
  stability: 'Stability',
  safety: 'Using',
}
