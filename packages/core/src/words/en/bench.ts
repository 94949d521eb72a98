import type {
  CoolFaultFacts,
  DeviationFacts,
  NoWeightFacts,
  PourFacts,
  RefusalFacts,
  SimulatedFacts,
} from '../../bench/said.ts'
import { capitalise, formatGrams, sayNumber } from '../../text/format.ts'
import type { Sentences } from '../../text/said.ts'
import { titleOf } from './steps.ts'

/** Why something cannot happen to a batch now. */
export const refusal: Sentences<RefusalFacts> = {
  finished: () => 'This batch is finished and cannot be changed. Add a note instead.',
  'not-finished': ({ correction }) =>
    correction
      ? 'The batch is not finished. Correct the entry itself.'
      : 'The batch is not finished. Observations start when it is filled.',
  'no-such-line': () => 'The formula has no such ingredient.',
  'already-started': () => 'The batch has already started.',
  'nothing-weighed': () => 'Nothing was weighed. Pour, then record the weight.',
  'not-so-much': ({ grams }) => `Only ${grams} g are in the beaker. Enter at most that much.`,
  'dilution-overused': () => 'More stock solution was used than was made. Check the three weights.',
  'dilution-carrier': () => 'A stock solution needs another ingredient of the formula as its carrier.',
  'no-such-entry': () => 'There is no such entry.',
  'not-undoable': () => 'This entry cannot be undone. Go back to its step and repeat it.',
  'already-undone': () => 'This entry was already undone.',
  'skip-reason': () => 'Give a reason for skipping the step.',
  'sample-twice': () => 'Two samples have the same name.',
  'look-without-sample': () => 'An observation is scheduled for a sample that does not exist.',
  'no-such-patch': () => 'There is no such patch test.',
  'not-paused': () => 'The batch is not paused.',
  'no-such-sample': () => 'There is no such sample of this batch.',
  'other-question': () => 'A correction must answer the same question.',
  'no-such-answer': () => 'Choose one of the answers offered.',
  'no-way': () => 'Choose how it was measured.',
  'wrong-way': () => 'Choose a measurement that suits this property.',
  'out-of-range': ({ least, most, unit }) =>
    unit === 'pH'
      ? `Enter a pH from ${least} to ${most}.`
      : `Enter a value from ${least} to ${most} ${unit}.`,
  'no-answer': () => 'Give an answer.',
}

const line = (name: string | null) => name ?? 'a line'
const reasoned = (reason: string) => (reason ? `: ${reason}` : '')

/** What went otherwise than planned. */
export const deviation: Sentences<DeviationFacts> = {
  skipped: ({ step, reason }) =>
    `Skipped: ${step ? titleOf(step) : 'A step'}${reason ? ` (${reason})` : ''}.`,
  'left-so': ({ name, grams, target, resolutionGrams }) => {
    const off = target > 0 ? (100 * (grams - target)) / target : 0
    return `${capitalise(line(name))}: ${formatGrams(grams, resolutionGrams)} instead of ${formatGrams(target, resolutionGrams)} (${off >= 0 ? '+' : ''}${sayNumber(off, 1)} %), accepted.`
  },
  'made-larger': ({ percent, lines }) =>
    lines === 'all'
      ? `Batch scaled up by ${sayNumber(percent, 1)} %.`
      : `${lines} ingredients scaled up by ${sayNumber(percent, 1)} %.`,
  'taken-out': ({ name, grams, resolutionGrams }) =>
    `${formatGrams(grams, resolutionGrams)} ${line(name)} removed again.`,
  discarded: ({ weighings, reason }) => `${weighings} weighings discarded and repeated${reasoned(reason)}.`,
  dilution: ({ name, carrier, resolutionGrams: d, ...f }) =>
    `${capitalise(line(name))} weighed as a stock solution in ${line(carrier)}: ${formatGrams(f.usedGrams, d)} used of ${formatGrams(f.soluteGrams, d)} in ${formatGrams(f.carrierGrams, d)}.`,
  'unnamed-adjuster': ({ name, grams, resolutionGrams }) =>
    `${formatGrams(grams, resolutionGrams)} ${name} added; not in the formula.`,
  paused: ({ reason }) => `Paused${reasoned(reason)}.`,
  'looked-wrong': ({ text }) => `Problem reported: ${text}`,
  'water-not-replaced': ({ grams, resolutionGrams }) =>
    `${formatGrams(grams, resolutionGrams)} water loss not replaced.`,
}

/** Why no weight can be recorded now, and what to do. */
export const noWeight: Sentences<NoWeightFacts> = {
  'no-scale': () => 'Type the weight that the scale shows, in grams.',
  'not-tared': () => 'Put the beaker on the scale and press tare first.',
  'less-than-tare': () =>
    'The scale shows less than at the last tare. Was it tared or unloaded? Press tare, then pour.',
  'nothing-poured': () => 'Nothing was poured since the last tare.',
  unsteady: () => 'Wait until the scale is steady.',
}

/** Why it cannot be said when a batch will have cooled. */
export const coolFault: Sentences<CoolFaultFacts> = {
  'no-reading': () => 'Measure the temperature. Two readings give the cooling time.',
  'never-below': ({ ambientC }) =>
    `It cannot cool below its surroundings (${Math.round(ambientC)} °C). Use colder water, or enter the temperature around the beaker.`,
  'not-colder': () => 'No cooling between the readings. Measure again in a few minutes.',
}

/** What can be done about an over-pour, and what it brings. */
export interface PourText {
  title: string
  detail: string
}
const larger = (factor: number) => `${sayNumber((factor - 1) * 100, 1)} %`
export const pour: { [C in keyof PourFacts]: (facts: PourFacts[C]) => PourText } = {
  'accept-filled': ({ fill, over, resolutionGrams }) => ({
    title: 'Accept and record the actual amount',
    detail: `${formatGrams(over, resolutionGrams)} less ${fill}, so the batch keeps its size. Nothing else changes.`,
  }),
  'accept-grows': ({ total, resolutionGrams }) => ({
    title: 'Accept and record the actual amount',
    detail: `The batch grows to ${formatGrams(total, resolutionGrams)}. All other percentages fall slightly.`,
  }),
  'take-out': ({ name, over, resolutionGrams }) => ({
    title: `Remove ${formatGrams(over, resolutionGrams)}`,
    detail: `Only while ${name} is on top or alone in the vessel. Once mixed, the rest would come out too.`,
  }),
  'scale-all': ({ total, factor, large, resolutionGrams }) => ({
    title: `Scale up the whole batch by ${larger(factor)}`,
    detail: `The batch becomes ${formatGrams(total, resolutionGrams)}. All percentages stay as designed.${large ? ' Check that the beaker and your stock are large enough.' : ''}`,
  }),
  'scale-phase': ({ letter, factor, fill }) => ({
    title: `Scale up the other ingredients of ${letter} by ${larger(factor)}`,
    detail: `Proportions within the phase stay. Less ${fill}, so the batch keeps its size.`,
  }),
  discard: ({ letter, grams, materials, resolutionGrams }) => ({
    title: `Start ${letter} again`,
    detail: `Discards ${formatGrams(grams, resolutionGrams)}${materials > 1 ? ` (${materials} ingredients)` : ''}.`,
  }),
}
/** What is written beside weighings that are discarded for it. */
export const overPoured = (name: string) => `${name} over-poured`

/** Why the simulated bench cannot do something. */
export const simulated: Sentences<SimulatedFacts> = {
  'too-many-vessels': ({ most }) => `The simulated bench holds ${most} vessels at most. Use one of them.`,
  'nothing-on-scale': () => 'The scale is empty. Place a beaker on it first.',
  'no-such-line': () => 'The formula has no such line.',
  'not-so-much': () => 'The beaker does not contain that much.',
  'unknown-adjuster': () => 'This pH adjuster is unknown.',
  'same-vessel': () => 'Choose two beakers.',
}

export const ALL_STEPS_OVER = 'All steps done'
