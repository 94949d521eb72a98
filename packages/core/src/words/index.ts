import type { LikelyCause } from '../bench/cause.ts'
import type { BatchEventBody } from '../batch/events.ts'
import type { BatchHead } from '../stability/head.ts'
import type { WeighedState } from '../bench/record-rows.ts'
import type { PourRemedy } from '../bench/remedies.ts'
import type {
  CoolFaultFacts,
  DeviationFacts,
  NoWeightFacts,
  RefusalFacts,
  SimulatedFacts,
} from '../bench/said.ts'
import type { HarmlessFacts } from '../bench/cause-facts.ts'
import type { Symptom } from '../bench/symptoms.ts'
import type { Known, KnownFacts } from '../assess/known.ts'
import type { Impossible, Miss, Pick, ProposalPart, SkinNeed } from '../brief/facts.ts'
import type { Proposal } from '../brief/propose.ts'
import type { ChoiceReason } from '../choose/emulsifiers.ts'
import type { SubstituteNote } from '../choose/substitutes.ts'
import type { PhNeed } from '../findings/facts.ts'
import type { NoteFamily } from '../findings/groups.ts'
import { ADJUSTER_GROUPS } from '../dosing/dosing.ts'
import type { Blocker, PhEffect } from '../dosing/effects.ts'
import type { DoseEffect, DosePlan } from '../dosing/plan.ts'
import type { DoseFaultFacts, DriftFacts } from '../dosing/said.ts'
import { adjusterOf, type SolutionRecipe } from '../ph/adjusters.ts'
import type { MeterFacts, NoPhFacts, PhFaultFacts } from '../ph/said.ts'
import type { DoseText, MeterText } from './en/ph.ts'
import type { Forecast } from '../derived/forecast.ts'
import type { Finding, Remedy } from '../findings/types.ts'
import { WATCH } from '../batch/watch-data.ts'
import type { PatchVerdict } from '../stability/patch.ts'
import type { Aside } from '../stability/series.ts'
import type { BatchVerdict, Verdict } from '../stability/verdict.ts'
import type { MatterFacts } from '../stability/plan.ts'
import { sayPercent } from '../text/format.ts'
import type { Said } from '../text/said.ts'
import type { ProcessOption, ProcessOptionValue } from '../procedure/questions.ts'
import type { Part } from '../procedure/route.ts'
import type { Equipment, MadeAhead, RouteReason, StepSaid } from '../procedure/step-facts.ts'
import type { StepKind, StepNamed } from '../procedure/steps.ts'
import { goesOf, type RouteChoice } from '../procedure/view.ts'
import type { ForecastAndFound, FrostFound } from '../trials/found.ts'
import type { BaseNote } from '../trials/base-events.ts'
import { SPLIT_STEP, type ForbidsFacts, type SharedBase, type SplitFacts } from '../trials/shared-base.ts'
import type {
  ChoiceTestFacts,
  ConclusionFacts,
  LeftOut,
  TestFacts,
  TrialHeadFacts,
} from '../trials/verdict-facts.ts'
import type { Formula } from '../shapes/formula.ts'
import type { TrialFault, TrialWarningFacts } from '../trials/plan.ts'
import type { Option, OptionNote } from '../trials/variants.ts'
import type { PourText } from './en/bench.ts'
import type { CauseText } from './en/causes/shared.ts'
import type { TrialVerdict } from '../trials/verdict.ts'
import type { FoundText } from './en/trials.ts'
import type { VerdictText } from './en/stability.ts'
import type { StepText } from './en/steps.ts'
import type { OptionText } from './en/process-options.ts'
import { wordFinding } from './en/findings/word.ts'
import { words } from './language.ts'
import { say } from './say.ts'

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
      return processOptionValueText(note.option).why
    case undefined:
      return ''
  }
}
/** Says which need keeps every pH out, where nothing fits. */
export const nothingFitsText = (worst: PhNeed | 'none'): string => words.nothingFits(worst)

/** Why a trial cannot be set up like this. */
export const trialFaultText = (fault: TrialFault): string => say(words.trials.trialFault, fault)
/** What makes a comparison weaker than it looks. */
export const trialWarningText = (warning: Said<TrialWarningFacts>): string =>
  say(words.trials.trialWarning, warning)

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

/** A step as it is told: what to do, how, what to wait for; the maker's own title in place of ours. */
export function stepText({ said, ownTitle }: StepNamed): StepText {
  // Code and facts of a step belong together, and the map is exhaustive.
  const word = words.steps.steps[said.code] as (facts: StepSaid) => Partial<StepText> & { title: string }
  const { title, detail = '', look = '' } = word(said)
  return { title: ownTitle ?? title, detail, look }
}
/** Title of a step. */
export const stepTitle = (step: StepNamed): string => words.steps.titleOf(step)
/** Why a step is better made the day before. */
export const aheadText = (ahead: MadeAhead): string => words.routes.madeAhead[ahead]
/** What is done in a step, in a word; empty where it is not drawn. */
export const stepVerb = (kind: StepKind): string => words.routes.stepVerbs[kind]
/** What has to lie ready, in alphabetical order, each once. */
export const equipmentText = (equipment: readonly Equipment[]): string[] =>
  [
    ...new Set(
      equipment.map((e) =>
        typeof e === 'string'
          ? words.routes.tools[e]
          : 'material' in e
            ? e.material
            : words.routes.scaleTo(e.scaleToGrams),
      ),
    ),
  ].sort((x, y) => x.localeCompare(y, 'en'))
/** Why a phase goes where it goes. */
export const routeReasonText = (reason: RouteReason): string => say(words.routes.routeReasons, reason)
/** Where a part goes, such as “into A, before it is heated”. */
export const goesText = (part: Part, parts: readonly Part[]): string =>
  say(words.routes.goes, goesOf(part, parts))
/** Where a phase may go. */
export const routeChoiceText = ({ said }: RouteChoice): string => say(words.routes.routeChoices, said)

/** Name of a process option, such as “Order of addition”. */
export const processOptionText = ({ key }: { key: ProcessOption['key'] }): string =>
  words.processOptions[key].label
/** An answer to it, and what speaks for it in this formula. */
export function processOptionValueText({ key, value, ending }: ProcessOptionValue): OptionText {
  const text = (words.processOptions[key].options as Record<string, OptionText>)[value]!
  return ending ? { ...text, why: words.endingReason(value as 'adjust-first', ending) } : text
}
/** What an option of a trial is called. */
export const optionName = ({ label, note }: Option): string =>
  note?.of === 'school' ? processOptionValueText(note.option).label : label

/** Why something cannot happen to a batch now. */
export const refusalText = (why: Said<RefusalFacts>): string => say(words.bench.refusal, why)
/** What went otherwise than planned. */
export const deviationText = (said: Said<DeviationFacts>): string => say(words.bench.deviation, said)
/** Why no weight can be recorded now, and what to do. */
export const noWeightText = (why: Said<NoWeightFacts>): string => say(words.bench.noWeight, why)
/** Why it cannot be said when a batch will have cooled. */
export const coolFaultText = (why: Said<CoolFaultFacts>): string => say(words.bench.coolFault, why)
/** What can be done about an over-pour, and what it brings. */
export const pourText = ({ said }: PourRemedy): PourText =>
  (words.bench.pour[said.code] as (facts: typeof said) => PourText)(said)
/** What happens with a remedy: weighings that are discarded say why. */
export const pourHappenings = ({ said, happenings }: PourRemedy): BatchEventBody[] =>
  happenings.map((h) =>
    h.type === 'discard' && said.code === 'discard' ? { ...h, reason: words.bench.overPoured(said.name) } : h,
  )
/** Why the simulated bench cannot do something. */
export const simulatedText = (why: Said<SimulatedFacts>): string => say(words.bench.simulated, why)
/** The step that a batch is at, for lists. */
export const headStepText = ({ step }: { step: BatchHead['step'] }): string =>
  typeof step === 'string' ? step : step ? stepTitle(step) : words.bench.ALL_STEPS_OVER
/** What stands at the head of a record; `when` says a time as its reader's clock does. */
export const recordFacts = (...args: Parameters<typeof words.recordFacts>) => words.recordFacts(...args)
/** How a weighing ended; empty where it is as planned. */
export const weighedText = (state: WeighedState | null): string => (state ? words.weighedStates[state] : '')
/** `5.20 %`, and how far that is from what was designed. */
export const percentChangeText = (percent: number, designed: number): string =>
  words.percentChange(percent, designed)
export {
  boundText,
  DRAFT_NOTE,
  keepingReasonText,
  labelPartText,
  labelText,
  leftOutOfListText,
  missingText,
  sayMonths,
  sheetFaultText,
  sheetText,
  USUAL_STORAGE,
  useWithinText,
} from './label.ts'
export {
  bodyReasonsText,
  bodySpanText,
  bodyText,
  emulsionNoteText,
  fattyReasonText,
  freezingWhyText,
  guideText,
  warmthText,
} from './feel.ts'
export { factsOf, limitRowsOf } from './facts.ts'
export {
  aboutText,
  boundsText,
  changeText,
  clockAt,
  doesNotFitText,
  fullText,
  lotLabel,
  methodText,
  mixtureFaultText,
  sayMoney,
  unknownPhText,
  PATCH_NOT_FOR,
  PATCH_REACTIONS,
  patchWays,
  questionText,
  remarkText,
  sayAge,
  suitsText,
  wishText,
} from './plain.ts'
export type { Shown } from './shown.ts'
export { eventFaultText } from './field-fault.ts'
export { eventRow, eventTable, recordReadings, rowValue } from './record.ts'

/** What an attribute, or the whole trial, tells. */
export const conclusionText = (said: Said<ConclusionFacts> | Said<TrialHeadFacts>): string =>
  say<ConclusionFacts & TrialHeadFacts>(words.trials.headlines, said)
/** The whole of a trial in one text, as its version keeps it. */
export const trialResult = ({ head, choices }: TrialVerdict): string =>
  [...head.map(conclusionText), ...choices.map(choiceTestText)].join(' ')
/** A test in figures; empty where there is none. */
export const testText = (test: Said<TestFacts> | null): string => (test ? say(words.trials.test, test) : '')
/** What triangles and pairs tell. */
export const choiceTestText = (said: Said<ChoiceTestFacts>): string => say(words.trials.choiceTest, said)
/** Who was not counted. */
export const leftOutText = (who: LeftOut): string => words.trials.leftOut(who)
/** When and how a base is split. */
export const splitText = (said: Said<SplitFacts>): string => say(words.trials.split, said)
/** Why no more of a base is shared. */
export const forbidsText = (why: Said<ForbidsFacts>): string => say(words.trials.forbids, why)
/** What the record of a jar says of the base in it. */
export const baseNote: BaseNote = (...args) => words.trials.baseNote(...args)
/** The base as it is made at the table, with its name and the title of the step that splits it. */
export function namedBase({ formula, parts, jars, resolutionGrams }: SharedBase, of: string): Formula | null {
  if (!formula) return null
  const title = words.trials.splitStep(
    jars,
    parts.map((p) => ({ name: p.name, grams: p.gramsEach })),
    resolutionGrams,
  )
  const own = (formula.method?.own ?? []).map((s) => (s.key === SPLIT_STEP ? { ...s, title } : s))
  return { ...formula, name: words.trials.baseName(of), method: { ...formula.method, own } }
}

/** A forecast as short words, one row for each thing. */
export const forecastRows = (forecast: Forecast) => words.forecastRows(forecast)
/** How a product stands frost. */
export const freezingText = (verdict: NonNullable<Forecast['frost']>): string => words.freezing[verdict]
/** What was expected beside what was found, and how the prediction was wrong. */
export const foundText = (row: ForecastAndFound): FoundText => words.trials.found(row)
/** The same in one line: “Consistency: expected lotion, found cream”. */
export const foundLine = (row: ForecastAndFound): string => words.trials.foundLine(foundText(row))
/** How a jar came through freezing. */
export const frostFoundText = (found: FrostFound): string => words.trials.frostFound[found]
export { sidesText } from './sides.ts'

/** Why there is no dose, or a pH, strength or solution cannot be. */
export const doseFaultText = (fault: Said<DoseFaultFacts> | Said<PhFaultFacts>): string =>
  say(words.ph.doseFault, fault as Said<DoseFaultFacts>)
/** The product stands in its target already. */
export const inTargetText = (ph: number): string => words.ph.inTarget(ph)
/** What a dose changes, as a label. */
export const doseEffectText = ({ what }: DoseEffect): string => say(words.ph.doseEffect, what)
/** The first dose: how it is told off, its share of the whole, and how likely it goes too far; `say` writes grams. */
export const doseText = (plan: DosePlan, say: (grams: number) => string): DoseText => words.ph.dose(plan, say)
/** What to do between two doses. */
export const doseWaitText = (): string => words.ph.doseWait
/** Where a dose lands. */
export const landsText = (lands: DosePlan['first']['lands']): string => words.ph.lands(lands)
/** The adjusters to choose from, by the way they go. */
export const adjusterGroups = () =>
  ADJUSTER_GROUPS.map(({ direction, items }) => ({ label: words.ph.directions[direction], items }))
/** What hands and eyes need with an adjuster; null where nothing. */
export function handlingText(adjuster: string): { strong: string; then: string } | null {
  const hazard = adjusterOf(adjuster)?.hazard
  return hazard ? words.ph.handling[hazard] : null
}
/** How a solution is made, and its cautions. */
export const solutionText = ({ steps, hazard }: SolutionRecipe) => ({
  steps: steps.map((step) => say(words.ph.solutionStep, step)),
  cautions: words.ph.hazards[hazard],
})
/** What a calibration says of a meter. */
export const meterText = (said: Said<MeterFacts>): MeterText =>
  (words.ph.meter[said.code] as (facts: typeof said) => MeterText)(said)
/** What a pH does to an acid, a preservative or a range. */
export const phEffectText = ({ said }: PhEffect): string => say(words.ph.phEffect, said)
export const phEffectKind = ({ what }: PhEffect): string => words.ph.phEffectKinds[what]
/** What goes on moving the pH. */
export const driftText = (said: Said<DriftFacts>): string => say(words.ph.drift, said)
/** What sets an end of the shared range, as a noun. */
export const blockerText = ({ what }: Blocker): string => say(words.ph.blocker, what)
/** Why no pH can be predicted, and what to do; empty where one can. */
export const noPhText = (why: Said<NoPhFacts> | null): string => (why ? say(words.ph.noPh, why) : '')
