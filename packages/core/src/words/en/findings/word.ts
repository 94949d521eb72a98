import type { Finding, Severity } from '../../../findings/types.ts'
import { capitalise } from '../../../text/format.ts'
import type { FindingText, FindingWords } from './shared.ts'

/** The sentences of a finding. */
export function wordFinding(words: FindingWords, finding: Finding): FindingText {
  // Code and facts of a finding belong together, and the map is exhaustive.
  const word = words[finding.code] as (facts: Finding['facts'], severity: Severity) => FindingText
  const { message, why } = word(finding.facts, finding.severity)
  return { message: capitalise(message), why }
}
