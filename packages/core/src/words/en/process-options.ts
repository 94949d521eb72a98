import type { EndingShift } from '../../procedure/questions.ts'
import type { Schools } from '../../shapes/method.ts'
import { formatNumber } from '../../text/format.ts'

/** A process option and what speaks for it. */
export interface OptionText {
  label: string
  why: string
}
type OptionWords = {
  [K in keyof Schools]: { label: string; options: Record<Schools[K], OptionText> }
}

/** Where makers do differently: the name of the question, and each answer. */
export const processOptions: OptionWords = {
  pouring: {
    label: 'Order of addition',
    options: {
      'oil-into-water': { label: 'Oil into water', why: 'Simple, and it lets the water keep its heat.' },
      'water-into-oil': {
        label: 'Water into oil',
        why: 'It thickens, turns over, and leaves finer drops with nonionic waxes.',
      },
    },
  },
  heating: {
    label: 'Heating',
    options: {
      hold: {
        label: 'Hold it hot',
        why: 'Twenty minutes at 70 to 75 °C leave fewer germs from water and powders, and melt waxes whole.',
      },
      melt: {
        label: 'Until melted',
        why: 'Kinder to oils and actives; hygiene rests on clean tools, fresh water and the preservative.',
      },
    },
  },
  evaporation: {
    label: 'Evaporation',
    options: {
      cover: { label: 'Cover it', why: 'Little leaves under a lid; the batch is weighed at the end.' },
      weigh: { label: 'Weigh, make up', why: 'Exact: what is missing is put back hot, before joining.' },
    },
  },
  cooling: {
    label: 'Cooling',
    options: {
      air: { label: 'In air', why: 'Slow and even: waxes set fine, and there is time.' },
      bath: { label: 'In cold water', why: 'Fast; it has to be stirred all along, for it sets at the wall.' },
      'cold-share': {
        label: 'Cold share of water',
        why: 'A fifth of the water stays cold and cools it from within.',
      },
    },
  },
  gum: {
    label: 'Hydration of gums',
    options: {
      rest: { label: 'Wet, rest 25 min', why: 'Fully wetted gum hydrates evenly.' },
      'at-once': { label: 'Use at once', why: 'Quick, and good where it is blended hard anyway.' },
      overnight: {
        label: 'Leave overnight',
        why: 'The smoothest; only in its glycol, for bare water would spoil.',
      },
    },
  },
  swelling: {
    label: 'Slow-hydrating polymers',
    options: {
      shear: { label: 'High shear now', why: 'Minutes of work; its body comes while the product rests.' },
      overnight: {
        label: 'Overnight, preserved',
        why: 'Nothing is sheared; the preservative is in that water from the start.',
      },
      stock: {
        label: 'A stock of 1 %',
        why: 'Made days ahead with the water of the formula, kept cold and preserved.',
      },
    },
  },
  body: {
    label: 'Texture',
    options: {
      'as-it-is': { label: 'As is', why: 'Filled as made, without whipping.' },
      whip: { label: 'Chill and whip', why: 'Air makes it light: at most it doubles.' },
      beat: {
        label: 'Let set, then whisk',
        why: 'For what sets to a jelly first and turns to cream when it is beaten.',
      },
    },
  },
  ending: {
    label: 'pH and preservative order',
    options: {
      'adjust-first': { label: 'Adjust, preserve', why: 'The preservative meets the pH at which it works.' },
      'preserve-first': { label: 'Preserve, adjust', why: 'What moves the pH is in before it is set.' },
    },
  },
}

/** Why the preservative goes in before or after the pH is set, where its own effect is predicted. */
export function endingReason(value: Schools['ending'], { shift, much }: EndingShift): string {
  const by = formatNumber(Math.abs(shift), 1)
  const moved = `Without it the pH would be about ${by} ${shift > 0 ? 'lower' : 'higher'}`
  if (much)
    return value === 'adjust-first'
      ? `${moved}, so a reading before it says little.`
      : `${moved}, so it is in before the pH is set.`
  return value === 'adjust-first'
    ? `It ${Math.abs(shift) < 0.05 ? 'hardly moves the pH' : `moves the pH by about ${by}`}, so it can wait for the pH at which it works.`
    : 'One reading less; what moves the pH is in before it is set.'
}
