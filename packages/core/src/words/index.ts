import type { LikelyCause } from '../bench/cause.ts'
import type { HarmlessFacts } from '../bench/cause-facts.ts'
import type { Symptom } from '../bench/looks.ts'
import type { Known, KnownFacts } from '../assess/known.ts'
import type { Impossible, Miss, Pick, ProposalPart, SkinNeed } from '../brief/facts.ts'
import type { Proposal } from '../brief/propose.ts'
import type { ChoiceReason } from '../choose/emulsifiers.ts'
import type { SubstituteNote } from '../choose/substitutes.ts'
import type { PhNeed } from '../findings/facts.ts'
import type { NoteFamily } from '../findings/groups.ts'
import type { Finding, Remedy } from '../findings/types.ts'
import { WATCH } from '../keeping/data.ts'
import type { PatchVerdict } from '../keeping/patch.ts'
import type { Aside } from '../keeping/series.ts'
import type { BatchVerdict, Verdict } from '../keeping/verdict.ts'
import type { MatterFacts } from '../keeping/plan.ts'
import { sayPercent } from '../text/format.ts'
import type { Said } from '../text/said.ts'
import type { TrialFault, TrialWarningFacts } from '../trials/plan.ts'
import type { OptionNote } from '../trials/variants.ts'
import type { CauseText } from './en/causes/shared.ts'
import type { VerdictText } from './en/stability.ts'
import { wordFinding } from './en/findings/word.ts'
import { en, type Words } from './en/index.ts'
import { say } from './say.ts'

/** The language that everything is said in. */
const words: Words = en

/**
 * A finding in words: `message` says what it is, `why` the reason and what to do, `source` where its numbers come from.
 *
 * @example findingText(findAll(assess(formula))[0]!).message // “Contains water and no preservative.”
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
export const matterText = (why: Said<MatterFacts>): string => say(words.stability.matter, why)

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

/** A likely cause in words: what it is, why here (empty where only experience speaks for it), a quick test, what to do. */
export function causeText(cause: LikelyCause): CauseText {
  // Code and facts of a cause belong together, and the map is exhaustive.
  const { title, test, because, moves } = words.causes[cause.code]
  const facts = cause as never
  return {
    title,
    test,
    because: because?.(facts) ?? '',
    moves: typeof moves === 'function' ? moves(facts) : [...moves],
  }
}
/** What can look wrong, as a label. */
export const symptomText = (symptom: Symptom): string => words.symptoms[symptom]
/** When a batch with this symptom must be thrown away. */
export const discardText = (symptom: Symptom): string => words.discard[symptom]
/** Why something that looks wrong is harmless here. */
export const harmlessText = (why: Said<HarmlessFacts>): string => say(words.harmless, why)

/** A verdict on a series in words: what is seen, why (may be empty), and what to do (may be empty). */
export function verdictText({ told, series, stressed }: Verdict): VerdictText {
  const { verdicts, stressed: harder } = words.stability
  const word = verdicts[told.code] as (facts: typeof told) => Partial<VerdictText> & { first: string }
  const { first, why = '', next = '' } = word(told)
  if (!stressed) return { first, why, next }
  const more = harder(WATCH.storages[series.storage].label)
  return { first, why: `${why} ${more.why}`.trim(), next: more.next }
}

/** The verdict on a batch: alone, and with what tells it most. */
export function batchVerdictText({ grade, reacted, foremost }: BatchVerdict): { head: string; says: string } {
  const { batchHeads, patchReacted, nothingObserved } = words.stability
  if (grade === null) return { head: '', says: nothingObserved }
  const head = batchHeads[grade]
  if (reacted) return { head, says: `${head} ${patchReacted}` }
  if (!foremost) return { head, says: head }
  const where = grade === 'fine' ? '' : `${WATCH.storages[foremost.series.storage].label}: `
  return { head, says: `${head} ${where}${verdictText(foremost).first}` }
}

/** What home eyes cannot see; stands beside every verdict. */
export const unseenText = (): string => words.stability.unseen
/** Why a reading stands beside its series. */
export const asideText = (why: Aside): string => say(words.stability.aside, why)
/** What a patch test tells so far. */
export const patchText = (verdict: PatchVerdict): string => words.stability.patch(verdict)
