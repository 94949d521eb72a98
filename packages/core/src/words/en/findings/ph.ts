import type { FindingFacts, PhNeed } from '../../../findings/facts.ts'
import { capitalise, formatRange, listWords, sayNumber } from '../../../text/format.ts'
import {
  isAre,
  nothingFits,
  phPoint,
  plain,
  sentences,
  type FindingText,
  type FindingWords,
} from './shared.ts'

const needs = (need: PhNeed) =>
  need.grade === 'works' ? `is effective at pH ${formatRange(need)}` : `is stable at pH ${formatRange(need)}`
const needsOf = (list: readonly PhNeed[]) =>
  `${capitalise(listWords(list.map((need) => `${need.label} ${needs(need)}`)))}.`
const WHERE = 'where all ingredients are effective'

function outsideWindow(f: FindingFacts['ph.outside-window']): FindingText {
  switch (f.case) {
    case 'measured':
      return {
        message: `The measured pH ${sayNumber(f.ph, 2)} ${f.target ? `and the target ${formatRange(f.target)} are` : 'is'} outside ${formatRange(f.shared)}, ${WHERE}.`,
        why: needsOf(f.needs),
      }
    case 'target':
      return {
        message: `The target pH ${formatRange(f.target)} is outside ${formatRange(f.shared)}, ${WHERE}.`,
        why: sentences(needsOf(f.needs), f.stuck && nothingFits(f.stuck)),
      }
    case 'part':
      return {
        message: `Part of the target pH ${formatRange(f.target)} is outside ${formatRange(f.shared)}, ${WHERE}.`,
        why:
          f.aim === 'narrowed'
            ? 'Aim for the part that fits.'
            : f.aim === 'fits'
              ? 'Aim for the range that fits all.'
              : nothingFits(f.aim),
      }
    case 'preferred':
      return {
        message: `${capitalise(listWords(f.needs.map((need) => `${need.label} prefers pH ${formatRange(need)}`)))}.`,
        why: 'Less stable outside this range.',
      }
    case 'predicted':
      return {
        message: `Predicted pH ${sayNumber(f.ph, 1)} (${formatRange(f.band)}); ${f.aimed ? `the target is ${formatRange(f.aim)}` : `all ingredients are effective at ${formatRange(f.aim)}`}.`,
        why: `Add ${f.needs === 'alkali' ? 'alkali' : 'acid'} in small steps and measure after each. Record what you add.`,
      }
  }
}

function noSharedWindow({ pair, hard, others }: FindingFacts['ph.no-shared-window']): FindingText {
  const [x, y] = pair
  return {
    message: `No pH suits both: ${x.label} ${needs(x)}, ${y.label} ${needs(y)}.`,
    why: sentences(
      pair.flatMap((need) => need.why ?? []).join(' ') ||
        (hard
          ? 'One of them would be ineffective or degrade.'
          : 'The product would thin or separate until the pH is raised.'),
      others > 0 && `${others} more ${others === 1 ? 'pair does' : 'pairs do'} not overlap.`,
    ),
  }
}

function unsafe(f: FindingFacts['ph.unsafe']): FindingText {
  const place = `a ${f.rinse} product for ${f.site === 'eye' ? 'the eye area' : `the ${f.site}`}`
  const point = phPoint(f.at)
  const pH = f.at.is === 'band' ? `${capitalise(point)}` : capitalise(point)
  return {
    message: sentences(
      `${pH} is too ${f.side} for ${place}. Keep to pH ${formatRange(f.bears)}.`,
      f.stuck && nothingFits(f.stuck),
    ),
    why: sentences(
      f.burns ? 'This burns skin.' : 'This may sting and redden skin.',
      f.irritants.length > 0 && `${listWords(f.irritants)} breaks down to an irritant at this acidity.`,
      f.side === 'acidic'
        ? 'Raise the pH: the lower it is, the more free acid.'
        : 'Lower the pH: alkali swells and dries the stratum corneum.',
    ),
  }
}

export const ph: FindingWords<
  | 'ph.no-shared-window'
  | 'ph.outside-window'
  | 'ph.unsafe'
  | 'ph.not-final'
  | 'ph.not-measured'
  | 'ph.not-measurable'
  | 'ph.reading-implausible'
  | 'ph.drift-expected'
  | 'ph.strip-resolution'
  | 'record.adjuster-not-counted'
> = {
  'ph.no-shared-window': noSharedWindow,
  'ph.outside-window': outsideWindow,
  'ph.unsafe': unsafe,
  'ph.not-final': (f) =>
    f.case === 'additions'
      ? {
          message: `${listWords(f.names)} was added after the last pH measurement.`,
          why: 'Mix, wait 2 minutes and measure again, and once more the next day.',
        }
      : {
          message: `The pH was measured after ${f.after}; ${listWords(f.later)} was added later.`,
          why: 'Measure again after the last addition, and once more the next day.',
        },
  'ph.not-measured': plain(
    'pH not measured yet, and it matters in this formula.',
    'Measure a small sample when everything is in, and again after 24 hours.',
  ),
  'ph.not-measurable': plain(
    'The pH of a W/O emulsion cannot be measured.',
    'The water droplets are enclosed in oil and do not reach a strip or probe. Adjust the water phase before emulsifying.',
  ),
  'ph.reading-implausible': (f) => ({
    message: `The measured pH ${sayNumber(f.ph, 2)} is ${f.far ? 'far' : 'somewhat'} from the predicted ${formatRange(f.band)}.`,
    why: f.lactone
      ? 'A lactone releases its acid over hours: measure again after a day. Otherwise check the meter, and that every addition is recorded.'
      : f.far
        ? 'Check the meter in a buffer, and that every addition is recorded.'
        : 'Usual reasons: other strengths than assumed, or a meter that is not calibrated.',
  }),
  'ph.drift-expected': ({ names, why }) => ({
    message: `${capitalise(listWords(names))} will change the pH over time.`,
    why,
  }),
  'ph.strip-resolution': (f) => ({
    message: `A strip is accurate to half a unit: ${sayNumber(f.ph, 1)} does not show whether ${formatRange(f.target)} is met.`,
    why: 'Use a meter, on the product or on a 10 % dilution in distilled water.',
  }),
  'record.adjuster-not-counted': ({ names }) => ({
    message: `${listWords(names)} ${names.length > 1 ? 'were' : 'was'} added and ${isAre(names.length)} not in the formula.`,
    why: 'Legal limits, the ingredient list and the next batch leave it out. Add it to the formula on the pH tab.',
  }),
}
