import type { Known, KnownFacts } from '../assess/known.ts'
import type { Impossible, Miss, Pick, ProposalPart, SkinNeed } from '../brief/facts.ts'
import type { Proposal } from '../brief/propose.ts'
import type { ChoiceReason } from '../choose/emulsifiers.ts'
import type { SubstituteNote } from '../choose/substitutes.ts'
import type { PhNeed } from '../findings/facts.ts'
import type { NoteFamily } from '../findings/groups.ts'
import type { Finding, Remedy } from '../findings/types.ts'
import type { MatterFacts } from '../keeping/plan.ts'
import { sayPercent } from '../text/format.ts'
import type { Said } from '../text/said.ts'
import type { TrialFault, TrialWarningFacts } from '../trials/plan.ts'
import type { OptionNote } from '../trials/variants.ts'
import { wordFinding } from './en/findings/word.ts'
import { en, type Words } from './en/index.ts'
import { say } from './say.ts'

/** The language that everything is said in. */
const words: Words = en

/**
 * A finding in words: `message` says what it is, `why` the reason and what to do, `source` where its numbers come from.
 *
 * @example findingText(findAll(assess(formula))[0]!).message // “There is water and no preservative.”
 */
export const findingText = (finding: Finding) => ({
  ...wordFinding(words.findings, finding),
  source: words.source(finding.source),
})

/** What the button of a remedy says. */
export const remedyText = (remedy: Remedy): string =>
  (words.remedies[remedy.code] as (facts: Remedy['facts']) => string)(remedy.facts)

/** Heading of a group of notes. */
export const noteHeading = (family: NoteFamily): string => words.noteHeadings[family]

/** Why not all is known of a line; empty where it is. */
export const knownText = ({ note }: Known): string => (note ? say<KnownFacts>(words.known, note) : '')

/** A reason for or against an emulsifier or thickener, as a clause. */
export const choiceText = (reason: ChoiceReason): string => say(words.choice, reason)
/** In what a substitute is alike or differs, as a clause. */
export const substituteText = (note: SubstituteNote): string => say(words.substitute, note)

/** What skin or hair needs, as a noun. */
export const skinNeedText = (need: SkinNeed): string => words.skinNeeds[need]
/** What an ingredient of a proposal is there for, as a noun. */
export const partText = (part: ProposalPart): string => words.parts[part]
/** Why an ingredient was chosen, as a clause. */
export const pickText = (pick: Pick): string => say(words.pick, pick)
/** A request that could not be met. */
export const missText = (miss: Miss): string => say(words.miss, miss)
/** Why there is no proposal, and what to change. */
export const impossibleText = (reason: Impossible): string => say(words.impossible, reason)
/** What sets a proposal apart. */
export const proposalTitle = ({ title, with: by }: Proposal): string =>
  `${say(words.proposalTitle, title)}${by ? `: ${by.name} ${sayPercent(by.percent)}` : ''}`

/** Why a property is observed in this product. */
export const matterText = (why: Said<MatterFacts>): string => say(words.matter, why)

/** Why an option of a trial is worth a try, or what it changes. */
export const optionText = (note: OptionNote | null): string => {
  switch (note?.of) {
    case 'choice':
      return choiceText(note.reason)
    case 'substitute':
      return substituteText(note.note)
    case 'school':
      return note.why
    case undefined:
      return ''
  }
}
/** Says which need keeps every pH out, where nothing fits. */
export const nothingFitsText = (worst: PhNeed | 'none'): string => words.nothingFits(worst)

/** Why a trial cannot be set up like this. */
export const trialFaultText = (fault: TrialFault): string => say(words.trialFault, fault)
/** What makes a comparison weaker than it looks. */
export const trialWarningText = (warning: Said<TrialWarningFacts>): string => say(words.trialWarning, warning)
