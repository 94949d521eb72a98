import type { Assessment } from '../assess/types.ts'
import { formatNumber } from '../text/format.ts'
import type { Schools } from '../shapes/method.ts'
import { isWatery } from './making.ts'
import { MOVES, openChoices, preservativeShift } from './schools.ts'

type Option<K extends keyof Schools> = { value: Schools[K]; label: string; why: string }
type Questions = { [K in keyof Schools]: { label: string; options: readonly Option<K>[] } }

/** The questions that makers answer differently: both answers are right, and each has its reason and its price. */
export const QUESTIONS: Questions = {
  pouring: {
    label: 'Order of addition',
    options: [
      {
        value: 'oil-into-water',
        label: 'Oil into water',
        why: 'Simple, and it lets the water keep its heat.',
      },
      {
        value: 'water-into-oil',
        label: 'Water into oil',
        why: 'It thickens, turns over, and leaves finer drops with nonionic waxes.',
      },
    ],
  },
  heating: {
    label: 'Heating',
    options: [
      {
        value: 'hold',
        label: 'Hold it hot',
        why: 'Twenty minutes at 70 to 75 °C leave fewer germs from water and powders, and melt waxes whole.',
      },
      {
        value: 'melt',
        label: 'Until melted',
        why: 'Kinder to oils and actives; hygiene rests on clean tools, fresh water and the preservative.',
      },
    ],
  },
  evaporation: {
    label: 'Evaporation',
    options: [
      {
        value: 'cover',
        label: 'Cover it',
        why: 'Little leaves under a lid; the batch is weighed at the end.',
      },
      {
        value: 'weigh',
        label: 'Weigh, make up',
        why: 'Exact: what is missing is put back hot, before joining.',
      },
    ],
  },
  cooling: {
    label: 'Cooling',
    options: [
      { value: 'air', label: 'In air', why: 'Slow and even: waxes set fine, and there is time.' },
      {
        value: 'bath',
        label: 'In cold water',
        why: 'Fast; it has to be stirred all along, for it sets at the wall.',
      },
      {
        value: 'cold-share',
        label: 'Cold share of water',
        why: 'A fifth of the water stays cold and cools it from within.',
      },
    ],
  },
  gum: {
    label: 'Hydration of gums',
    options: [
      { value: 'rest', label: 'Wet, rest 25 min', why: 'Fully wetted gum hydrates evenly.' },
      { value: 'at-once', label: 'Use at once', why: 'Quick, and good where it is blended hard anyway.' },
      {
        value: 'overnight',
        label: 'Leave overnight',
        why: 'The smoothest; only in its glycol, for bare water would spoil.',
      },
    ],
  },
  swelling: {
    label: 'Slow-hydrating polymers',
    options: [
      {
        value: 'shear',
        label: 'High shear now',
        why: 'Minutes of work; its body comes while the product rests.',
      },
      {
        value: 'overnight',
        label: 'Overnight, preserved',
        why: 'Nothing is sheared; the preservative is in that water from the start.',
      },
      {
        value: 'stock',
        label: 'A stock of 1 %',
        why: 'Made days ahead with the water of the formula, kept cold and preserved.',
      },
    ],
  },
  body: {
    label: 'Texture',
    options: [
      { value: 'as-it-is', label: 'As is', why: 'Filled as made, without whipping.' },
      { value: 'whip', label: 'Chill and whip', why: 'Air makes it light: at most it doubles.' },
      {
        value: 'beat',
        label: 'Let set, then whisk',
        why: 'For what sets to a jelly first and turns to cream when it is beaten.',
      },
    ],
  },
  ending: {
    label: 'pH and preservative order',
    options: [
      {
        value: 'adjust-first',
        label: 'Adjust, preserve',
        why: 'The preservative meets the pH at which it works.',
      },
      {
        value: 'preserve-first',
        label: 'Preserve, adjust',
        why: 'What moves the pH is in before it is set.',
      },
    ],
  },
}

export interface School {
  key: keyof Schools
  label: string
  options: readonly { value: string; label: string; why: string }[]
}

/** The questions that make a difference to a formula, with the answers that are open to it. */
export function questionsOf(a: Assessment): School[] {
  const finish = isWatery(a) ? 'beat' : 'whip'
  const shift = preservativeShift(a)
  return openChoices(a).map((key) => {
    const { label, options } = QUESTIONS[key]
    if (key === 'body')
      return {
        key,
        label,
        options: QUESTIONS.body.options.filter((o) => o.value === 'as-it-is' || o.value === finish),
      }
    if (key !== 'ending' || shift === null) return { key, label, options }
    const much = Math.abs(shift) > MOVES
    const moved = `Without it the pH would be about ${formatNumber(Math.abs(shift), 1)} ${shift > 0 ? 'lower' : 'higher'}`
    const told = {
      'adjust-first': much
        ? `${moved}, so a reading before it says little.`
        : `It ${Math.abs(shift) < 0.05 ? 'hardly moves the pH' : `moves the pH by about ${formatNumber(Math.abs(shift), 1)}`}, so it can wait for the pH at which it works.`,
      'preserve-first': much
        ? `${moved}, so it is in before the pH is set.`
        : 'One reading less; what moves the pH is in before it is set.',
    }
    return { key, label, options: QUESTIONS.ending.options.map((o) => ({ ...o, why: told[o.value] })) }
  })
}
