import type { Assessment } from '../assess/types.ts'
import type { Edit } from '../formula/edit.ts'
import type { LineRef } from '../shapes/formula.ts'
import { capitalise } from '../text/format.ts'

export type Severity = 'stop' | 'check' | 'note'

/** A change that settles a finding. `label` says what it will do. */
export interface Remedy {
  label: string
  edit: Edit
}

export interface Finding {
  code: string
  severity: Severity
  /** Catalogue ids, or names as given where unresolved. */
  materials: string[]
  message: string
  why: string
  source: string
  lines: LineRef[]
  remedies: Remedy[]
}

/** A rule looks at an assessed formula and says what it found. */
export type Rule = (assessment: Assessment) => Finding[]

export const COMMON_PRACTICE = 'common practice, from memory'

type FindingDraft = Pick<Finding, 'code' | 'severity' | 'message'> & Partial<Finding>

/** Fills in what a finding leaves out; `indexes` are lines of the assessment it concerns. */
export function finding(
  assessment: Assessment,
  draft: FindingDraft & { indexes?: readonly number[] },
): Finding {
  const { indexes = [], ...rest } = draft
  const lines = indexes.map((i) => assessment.lines[i]!)
  return {
    materials: [...new Set(lines.map((line) => line.id))],
    why: '',
    source: COMMON_PRACTICE,
    lines: lines.map(({ phase, line }) => ({ phase, line })),
    remedies: [],
    ...rest,
    message: capitalise(rest.message),
  }
}
