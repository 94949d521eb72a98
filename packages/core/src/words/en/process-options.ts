import type { EndingShift } from '../../procedure/questions.ts'
import type { ProcessOptions } from '../../shapes/method.ts'
import { formatNumber } from '../../text/format.ts'

/** A process option and what speaks for it. */
export interface OptionText {
  label: string
  why: string
}
type OptionWords = {
  [K in keyof ProcessOptions]: { label: string; options: Record<ProcessOptions[K], OptionText> }
}

/** Where makers do differently: the name of the question, and each answer. */
export const processOptions: OptionWords = {
  pouring: {
    label: 'Order of addition',
    options: {
      'oil-into-water': { label: 'Oil into water', why: 'Simple. The water phase stays hot.' },
      'water-into-oil': {
        label: 'Water into oil',
        why: 'Thickens, then inverts. Finer droplets with nonionic waxes.',
      },
    },
  },
  heating: {
    label: 'Heating',
    options: {
      hold: {
        label: 'Hold it hot',
        why: '20 minutes at 70–75 °C reduce the microbial load of water and powders, and melt waxes fully.',
      },
      melt: {
        label: 'Until melted',
        why: 'Gentler on oils and actives. Hygiene then depends on clean tools, fresh water and the preservative.',
      },
    },
  },
  evaporation: {
    label: 'Evaporation',
    options: {
      cover: { label: 'Cover', why: 'A lid limits the loss. The batch is weighed at the end.' },
      weigh: {
        label: 'Weigh, make up',
        why: 'Exact. Water loss is replaced hot, before the phases are combined.',
      },
    },
  },
  cooling: {
    label: 'Cooling',
    options: {
      air: { label: 'In air', why: 'Slow and even. Waxes crystallise finely.' },
      bath: { label: 'In cold water', why: 'Fast. Stir throughout, as it sets at the wall.' },
      'cold-share': {
        label: 'Held-back cold water',
        why: 'A fifth of the water is added cold and cools the emulsion from within.',
      },
    },
  },
  gum: {
    label: 'Hydration of gums',
    options: {
      rest: { label: 'Wet, rest 25 min', why: 'Fully wetted gum hydrates evenly.' },
      'at-once': { label: 'Use at once', why: 'Quick. Suitable where a stick blender follows.' },
      overnight: {
        label: 'Leave overnight',
        why: 'Smoothest. Only in glycol or glycerin: unpreserved water would spoil.',
      },
    },
  },
  swelling: {
    label: 'Slow-hydrating polymers',
    options: {
      shear: {
        label: 'High shear now',
        why: 'Takes minutes. Full viscosity develops while the product rests.',
      },
      overnight: {
        label: 'Overnight, preserved',
        why: 'No shear. The preservative is in that water from the start.',
      },
      stock: {
        label: '1 % stock solution',
        why: 'Made days ahead from the formula’s water, preserved and refrigerated.',
      },
    },
  },
  body: {
    label: 'Texture',
    options: {
      'as-it-is': { label: 'As is', why: 'Filled as made, without whipping.' },
      whip: { label: 'Chill and whip', why: 'Light texture. The volume doubles at most.' },
      beat: {
        label: 'Let set, then whisk',
        why: 'For products that set to a jelly and turn to cream when whisked.',
      },
    },
  },
  ending: {
    label: 'pH and preservative order',
    options: {
      'adjust-first': {
        label: 'Adjust, preserve',
        why: 'The preservative is added at the pH where it is effective.',
      },
      'preserve-first': {
        label: 'Preserve, adjust',
        why: 'Everything that changes the pH is in before it is adjusted.',
      },
    },
  },
}

/** Why the preservative goes in before or after the pH is set, where its own effect is predicted. */
export function endingReason(value: ProcessOptions['ending'], { shift, much }: EndingShift): string {
  const by = formatNumber(Math.abs(shift), 1)
  const moved = `Without the preservative the pH would be about ${by} ${shift > 0 ? 'lower' : 'higher'}`
  if (much)
    return value === 'adjust-first'
      ? `${moved}, so a measurement before it means little.`
      : `${moved}, so it is added before the pH is adjusted.`
  return value === 'adjust-first'
    ? `The preservative ${Math.abs(shift) < 0.05 ? 'hardly changes the pH' : `changes the pH by about ${by}`}, so it can be added after adjusting.`
    : 'One measurement less. Everything that changes the pH is in before it is adjusted.'
}
