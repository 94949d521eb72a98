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
  need.grade === 'works' ? `works at pH ${formatRange(need)}` : `holds at pH ${formatRange(need)}`
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
        message: `Predicted pH ${sayNumber(f.ph, 1)} (${formatRange(f.band)}); ${f.aimed ? `you aim for ${formatRange(f.aim)}` : `all materials work at ${formatRange(f.aim)}`}.`,
        why: `${f.needs === 'alkali' ? 'Alkali' : 'Acid'} is needed, a little at a time, with a reading after each. Count what goes in.`,
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
          ? 'One of them would be wasted or spoilt.'
          : 'The product would thin or split until the pH is raised.'),
      others > 0 && `${others} more ${others === 1 ? 'pair does' : 'pairs do'} not meet.`,
    ),
  }
}

function unsafe(f: FindingFacts['ph.unsafe']): FindingText {
  const place = `a ${f.rinse} product for ${f.site === 'eye' ? 'the eye area' : `the ${f.site}`}`
  const point = phPoint(f.at)
  const pH = f.at.is === 'band' ? `As written ${point}` : capitalise(point)
  return {
    message: sentences(
      `${pH} is too ${f.side} for ${place}. Keep to pH ${formatRange(f.bears)}.`,
      f.stuck && nothingFits(f.stuck),
    ),
    why: sentences(
      f.burns ? 'This burns skin.' : 'This may sting and redden skin.',
      f.irritants.length > 0 && `${listWords(f.irritants)} breaks down to an irritant in so much acid.`,
      f.side === 'acidic'
        ? 'Raise the pH: the lower it is, the more acid is free.'
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
          message: `After the last reading ${listWords(f.names)} was added.`,
          why: 'Mix, wait two minutes and read again; and once more the next day.',
        }
      : {
          message: `The pH was read after ${f.after}; ${listWords(f.later)} came later.`,
          why: 'Read it again after the last addition, and once more the next day.',
        },
  'ph.not-measured': plain(
    'pH matters here and has not been read yet.',
    'Measure a small portion when everything is in, and again after 24 hours.',
  ),
  'ph.not-measurable': plain(
    'This is water in oil: its pH cannot be measured.',
    'The drops of water are shut in oil, so a strip or probe reads nothing. Set the pH of the water phase before it goes in.',
  ),
  'ph.reading-implausible': (f) => ({
    message: `The measured pH ${sayNumber(f.ph, 2)} is ${f.far ? 'far' : 'somewhat'} from the predicted ${formatRange(f.band)}.`,
    why: f.lactone
      ? 'A lactone frees its acid for hours: read again after a day. Otherwise check the meter, and whether everything that went in is written down.'
      : f.far
        ? 'Check the meter in a buffer, and whether everything that went in is written down.'
        : 'Strengths and a meter that was not set are the usual reasons.',
  }),
  'ph.drift-expected': ({ names, why }) => ({
    message: `${capitalise(listWords(names))} will move the pH.`,
    why,
  }),
  'ph.strip-resolution': (f) => ({
    message: `A strip reads to half a unit: ${sayNumber(f.ph, 1)} does not show whether ${formatRange(f.target)} is met.`,
    why: 'A meter does, on the product or on 10 % in distilled water.',
  }),
  'record.adjuster-not-counted': ({ names }) => ({
    message: `${listWords(names)} ${names.length > 1 ? 'were' : 'was'} added and ${isAre(names.length)} not in the formula.`,
    why: 'Caps, the list of ingredients and the next batch do not know of it. Add it to the formula on the pH tab.',
  }),
}
