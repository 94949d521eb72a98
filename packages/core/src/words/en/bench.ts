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
  'no-such-line': () => 'The formula has no such line.',
  'already-started': () => 'The batch has already started.',
  'nothing-weighed': () => 'Nothing was weighed. Pour, then record the weight.',
  'not-so-much': ({ grams }) => `Only ${grams} g are in the beaker; no more can be taken out.`,
  'dilution-overused': () => 'More of the dilution was used than was made. Check the three weights.',
  'dilution-carrier': () => 'A dilution needs another line of the formula as its carrier.',
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
  'no-such-answer': () => 'That is no answer to this question.',
  'no-way': () => 'Say how it was measured.',
  'wrong-way': () => 'This property is not measured that way.',
  'out-of-range': ({ least, most, unit }) => `It must be between ${least} and ${most} ${unit}.`,
  'no-answer': () => 'Give an answer.',
}

const line = (name: string | null) => name ?? 'a line'
const reasoned = (reason: string) => (reason ? `: ${reason}` : '')

/** What went otherwise than planned. */
export const deviation: Sentences<DeviationFacts> = {
  skipped: ({ step, reason }) =>
    `Left out: ${step ? titleOf(step) : 'A step'}${reason ? ` (${reason})` : ''}.`,
  'left-so': ({ name, grams, target, resolutionGrams }) => {
    const off = target > 0 ? (100 * (grams - target)) / target : 0
    return `${capitalise(line(name))}: ${formatGrams(grams, resolutionGrams)} instead of ${formatGrams(target, resolutionGrams)} (${off >= 0 ? '+' : ''}${sayNumber(off, 1)} %), left so.`
  },
  'made-larger': ({ percent, lines }) =>
    lines === 'all'
      ? `The batch was made larger by ${sayNumber(percent, 1)} %.`
      : `${lines} lines were made larger by ${sayNumber(percent, 1)} %.`,
  'taken-out': ({ name, grams, resolutionGrams }) =>
    `${formatGrams(grams, resolutionGrams)} ${line(name)} taken out again.`,
  discarded: ({ weighings, reason }) => `${weighings} weighings discarded and repeated${reasoned(reason)}.`,
  dilution: ({ name, carrier, resolutionGrams: d, ...f }) =>
    `${capitalise(line(name))} weighed as a dilution in ${line(carrier)}: ${formatGrams(f.soluteGrams, d)} and ${formatGrams(f.carrierGrams, d)}, of which ${formatGrams(f.usedGrams, d)}.`,
  'unnamed-adjuster': ({ name, grams, resolutionGrams }) =>
    `${formatGrams(grams, resolutionGrams)} ${name} added, which the formula does not name.`,
  paused: ({ reason }) => `Paused${reasoned(reason)}.`,
  'looked-wrong': ({ text }) => `Something looked wrong: ${text}`,
  'water-not-replaced': ({ grams, resolutionGrams }) =>
    `${formatGrams(grams, resolutionGrams)} water loss not replaced.`,
}

/** Why no weight can be recorded now, and what to do. */
export const noWeight: Sentences<NoWeightFacts> = {
  'no-scale': () => 'Type what the scale shows, in grams.',
  'not-tared': () => 'Put the beaker on the scale and press tare first.',
  'less-than-tare': () =>
    'The scale shows less than at the last tare. Was it tared or unloaded? Press tare, then pour.',
  'nothing-poured': () => 'Nothing was poured since the last tare.',
  unsteady: () => 'Nothing can be read yet.',
}

/** Why it cannot be said when a batch will have cooled. */
export const coolFault: Sentences<CoolFaultFacts> = {
  'no-reading': () => 'Read the temperature: from two readings the time can be told.',
  'never-below': ({ ambientC }) =>
    `It never gets below the ${Math.round(ambientC)} °C around it. Use colder water, or type how warm it is around the beaker.`,
  'not-colder': () => 'It did not get colder between the readings. Read again in a few minutes.',
}

/** What can be done about an over-pour, and what it brings. */
export interface PourText {
  title: string
  detail: string
}
const larger = (factor: number) => `${sayNumber((factor - 1) * 100, 1)} %`
export const pour: { [C in keyof PourFacts]: (facts: PourFacts[C]) => PourText } = {
  'accept-filled': ({ fill, over, resolutionGrams }) => ({
    title: 'Leave it and record what is',
    detail: `${capitalise(fill)} takes it: ${formatGrams(over, resolutionGrams)} less of it, so the batch keeps its size and nothing else changes.`,
  }),
  'accept-grows': ({ total, resolutionGrams }) => ({
    title: 'Leave it and record what is',
    detail: `The batch grows to ${formatGrams(total, resolutionGrams)}; everything else becomes a little less of it.`,
  }),
  'take-out': ({ name, over, resolutionGrams }) => ({
    title: `Take ${formatGrams(over, resolutionGrams)} out`,
    detail: `Only while ${name} lies on top or stands alone: what has mixed comes out with the rest.`,
  }),
  'scale-all': ({ total, factor, large, resolutionGrams }) => ({
    title: `Make everything larger by ${larger(factor)}`,
    detail: `The batch becomes ${formatGrams(total, resolutionGrams)}; every percent stays as it was designed.${large ? ' Check that the beaker and your stock are large enough.' : ''}`,
  }),
  'scale-phase': ({ letter, factor, fill }) => ({
    title: `Make the rest of ${letter} larger by ${larger(factor)}`,
    detail: `Within the phase the proportions stay; ${fill} makes room, so the batch keeps its size.`,
  }),
  discard: ({ letter, grams, materials, resolutionGrams }) => ({
    title: `Begin ${letter} anew`,
    detail: `Discards ${formatGrams(grams, resolutionGrams)}${materials > 1 ? `, ${materials} materials` : ''}.`,
  }),
}
/** What is written beside weighings that are discarded for it. */
export const overPoured = (name: string) => `${name} over-poured`

/** Why the simulated bench cannot do something. */
export const simulated: Sentences<SimulatedFacts> = {
  'too-many-vessels': ({ most }) =>
    `${most} vessels stand at the simulated bench, and more do not fit. Use one of those.`,
  'nothing-on-scale': () => 'Nothing stands on the scale. Place a beaker first.',
  'no-such-line': () => 'The formula has no such line.',
  'not-so-much': () => 'There is not so much of it in the beaker.',
  'unknown-adjuster': () => 'This pH adjuster is unknown.',
  'same-vessel': () => 'Choose two beakers.',
}

export const ALL_STEPS_OVER = 'All steps are over'
