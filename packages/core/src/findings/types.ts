import type { Assessment } from '../assess/types.ts'
import type { Edit } from '../formula/edit.ts'
import type { LineRef } from '../shapes/formula.ts'
import type { FindingFacts, RemedyFacts, Source } from './facts.ts'

export type Severity = 'stop' | 'check' | 'note'
export type FindingCode = keyof FindingFacts
export type RemedyCode = keyof RemedyFacts

/** A change that settles a finding: what it does as a code with its facts, and the edit that does it. */
export type Remedy = { [C in RemedyCode]: { code: C; facts: RemedyFacts[C]; edit: Edit } }[RemedyCode]

interface FindingOf<C extends FindingCode> {
  code: C
  severity: Severity
  /** Catalogue ids, or names as given where unresolved. */
  materials: string[]
  facts: FindingFacts[C]
  source: Source
  lines: LineRef[]
  remedies: Remedy[]
}

/** What a rule says of a formula, in codes and facts; `words` makes the sentences. */
export type Finding = { [C in FindingCode]: FindingOf<C> }[FindingCode]

/** A rule looks at an assessed formula and says what it found. */
export type Rule = (assessment: Assessment) => Finding[]

type FindingDraft<C extends FindingCode> = Pick<FindingOf<C>, 'code' | 'severity' | 'facts'> &
  Partial<FindingOf<C>>

/** Fills in what a finding leaves out; `indexes` are lines of the assessment it concerns. */
export function finding<C extends FindingCode>(
  assessment: Assessment,
  draft: FindingDraft<C> & { indexes?: readonly number[] },
): Finding {
  const { indexes = [], ...rest } = draft
  const lines = indexes.map((i) => assessment.lines[i]!)
  const whole: FindingOf<C> = {
    materials: [...new Set(lines.map((line) => line.id))],
    source: 'common-practice',
    lines: lines.map(({ phase, line }) => ({ phase, line })),
    remedies: [],
    ...rest,
  }
  return whole as Finding
}

/** Tells one finding from another of the same formula: by what it is about, never by its sentence. */
export const findingKey = ({ code, severity, facts }: Finding) => JSON.stringify([code, severity, facts])
