import { DOSE_WAIT_MINUTES } from '../../dosing/dosing.ts'
import type { DosePlan } from '../../dosing/plan.ts'
import type {
  BlockerFacts,
  DoseEffectFacts,
  DoseFaultFacts,
  DriftFacts,
  PhEffectFacts,
} from '../../dosing/said.ts'
import type { PhEffect } from '../../dosing/effects.ts'
import type { Adjuster } from '../../ph/adjusters.ts'
import type { MeterFacts, NoPhFacts, PhFaultFacts, SolutionStepFacts } from '../../ph/said.ts'
import { capitalise, formatRange, sayNumber } from '../../text/format.ts'
import type { Sentences } from '../../text/said.ts'
import { typedFaultText } from '../typed.ts'
import { LYE_CARE, LYE_ORDER, LYE_SPLASHES } from './lye.ts'

export const phFault: Sentences<PhFaultFacts> = {
  'strength-zero': () =>
    'A strength of 0 % is water and changes nothing. Type the percent of pH adjuster in the solution.',
  'strength-above-100': () =>
    'A strength cannot be above 100 %. Type the percent of pH adjuster in the solution.',
  'not-soluble': ({ name, mostPercent, usualPercent }) =>
    `Only ${mostPercent} % of ${name} dissolves at room temperature. Choose ${usualPercent} %, or 100 % where it is weighed dry.`,
  'unknown-adjuster': () => 'This pH adjuster is unknown. Choose another.',
  'stronger-than-stock': ({ stockPercent, strengthPercent }) =>
    `The starting strength is ${stockPercent} %. A solution made from it cannot be ${strengthPercent} %.`,
  'too-little-to-weigh': () => 'That is less than the scale can weigh. Make more of it, or make it stronger.',
  'no-ph': () => 'pH lies between 0 and 14. Type what the meter or strip shows.',
  'meant-ph': ({ typed, meant }) => `${sayNumber(typed)} is no pH. Did you mean ${sayNumber(meant)}?`,
  'two-colours': () => 'Type the two colours that it lies between, the lower first.',
  typed: ({ fault, what }) => typedFaultText(fault, what === 'ph' ? 'the pH' : 'the strength'),
  'buffers-close': () =>
    'The buffers are too close together. Take two that are at least 2 pH apart, such as 7.00 and 4.01.',
  'buffers-order': () => 'Enter the buffer with the higher pH first.',
  'buffers-millivolts': () =>
    'The millivolts must rise as the pH falls. Check which figure belongs to which buffer.',
}

const LEAVE_ON = 'leave-on products range from pH 3.5 to 8.'
export const doseFault: Sentences<DoseFaultFacts> = {
  ...phFault,
  'target-too-acidic': ({ ph }) =>
    `pH ${sayNumber(ph)} burns skin. Set the target to 3.5 or higher; ${LEAVE_ON}`,
  'target-too-alkaline': ({ ph }) =>
    `pH ${sayNumber(ph)} burns skin. Set the target to 8 or lower; ${LEAVE_ON}`,
  'no-strength': () => 'Type how strong the solution is, in percent.',
  'no-dose': () => 'Type how many grams or drops went in.',
  'more-than-batch': () => 'That is more than the batch itself. Type grams of the solution.',
  opposite: ({ read, predicted }) =>
    `The reading (${sayNumber(read, 1)}) and the formula (${sayNumber(predicted, 1)}) ask for different corrections, so no dose is given. Rinse the probe, check it in buffers 4 and 7, and measure again.`,
  'wrong-direction': ({ ph, up, name, direction }) =>
    `It stands at ${sayNumber(ph, 2)} and must go ${up ? 'up' : 'down'}; ${name} takes it ${direction}.`,
  'too-weak': ({ name, strengthPercent, reachesPh, instead }) => {
    const advice = !instead
      ? 'No pH adjuster reaches that pH. Choose another target.'
      : instead.name === null
        ? `Take it at ${instead.strengthPercent} %.`
        : `Take ${instead.name} at ${instead.strengthPercent} %.`
    return `${capitalise(name)} at ${sayNumber(strengthPercent)} % brings it to about pH ${sayNumber(reachesPh, 1)} at most. ${advice}`
  },
}
export const inTarget = (ph: number) => `It stands at ${sayNumber(ph, 2)}, in the target. Nothing to add.`

export const doseEffect: Sentences<DoseEffectFacts> = {
  total: () => 'Total',
  fill: ({ name }) => `${name}, q.s.`,
  ions: () => 'Ions in the water',
  acid: ({ inci }) => `${inci}, all sources as acid`,
}

/** The first dose in words: how it is told off, its share of the whole, and how likely it goes too far. */
export interface DoseText {
  how: string
  whole: string
  doubt: string
  chance: string
}
const chance = (share: number) =>
  share < 0.01
    ? 'under 1\u00a0%'
    : share > 0.99
      ? 'over 99\u00a0%'
      : `about ${sayNumber(share * 100, 0)}\u00a0%`
const doubt = ({ meter, formula, read, predicted }: NonNullable<DosePlan['doubt']>) =>
  `The reading (${sayNumber(read, 1)}) and the formula (${sayNumber(predicted, 1)}) do not fit: the meter (${sayNumber(meter * 100, 0)}\u00a0%) or the formula (${sayNumber(formula * 100, 0)}\u00a0%) is off. Add this first dose only; the next reading decides.`
export function dose(plan: DosePlan, say: (grams: number) => string): DoseText {
  const drops = `about ${plan.drops.first} drop${plan.drops.first === 1 ? '' : 's'}`
  const how = {
    weigh: 'weighed',
    either: `weighed, or ${drops}`,
    dilute: `${drops}; a tenth of the strength is easier to dose`,
    drops,
  }[plan.how]
  return {
    how,
    whole: `Total dose ${say(plan.lowGrams)}–${say(plan.highGrams)}\u00a0g.`,
    doubt: plan.doubt ? doubt(plan.doubt) : '',
    chance: `The chance to go too far is ${chance(plan.first.overshoot)}, with all of it at once ${chance(plan.overshoot)}.`,
  }
}
export const doseWait = `Stir, wait ${DOSE_WAIT_MINUTES} minutes, measure again.`
export const lands = ({ ph, low, high }: DosePlan['first']['lands']) =>
  `Predicted pH ${sayNumber(ph, 1)} (${sayNumber(low, 1)}–${sayNumber(high, 1)}).`
export const directions = { up: 'Raise the pH', down: 'Lower the pH' }

/** What hands and eyes need with an adjuster; null where nothing. */
export const handling: Record<Adjuster['hazard'], { strong: string; then: string } | null> = {
  lye: { strong: 'Lye burns.', then: `${LYE_CARE} ${LYE_ORDER}` },
  acid: { strong: 'Acids sting.', then: 'Goggles; acid into water, a little at a time.' },
  mild: null,
}
/** How the solution of an adjuster is made safely and kept. */
export const hazards: Record<Adjuster['hazard'], readonly string[]> = {
  lye: [
    `${LYE_CARE} Lye burns skin and blinds eyes. ${LYE_SPLASHES}`,
    `${LYE_ORDER} The solution gets hot: use a glass or polypropylene beaker in a cold water bath, never aluminium.`,
    'Label it, keep it shut and away from children. It takes up carbon dioxide: make it new after three months.',
  ],
  acid: [
    'Gloves and goggles. Rinse splashes with much water.',
    'Acid into water, a little at a time.',
    'Label it and keep it away from children.',
  ],
  mild: ['Label it. Without a preservative it keeps a week in the fridge.'],
}
export const solutionStep: Sentences<SolutionStepFacts> = {
  water: () => 'Weigh the distilled water into the bottle or beaker.',
  'add-liquid': ({ name }) => `Add the ${name} slowly and stir.`,
  'add-solid': ({ name }) => `Weigh the ${name} apart and stir it in, a little at a time.`,
  cool: () => 'Let it cool to room temperature before it is used.',
  clear: () => 'Stir until it is clear.',
}

/** What a calibration says of a meter, why, and where that comes from. */
export interface MeterText {
  message: string
  why: string
  source: string
}
const MAKERS = 'practice of electrode makers'
const SLOPE_CAUSES = {
  spent: 'The electrode is spent, or a buffer was taken for another.',
  low: 'Clean the electrode, take fresh buffers and do it again.',
  high: 'Take fresh buffers and check their pH and the temperature.',
}
export const meter: { [C in keyof MeterFacts]: (facts: MeterFacts[C]) => MeterText } = {
  slope: ({ percent, cause }) => ({
    message: `The slope is ${sayNumber(percent, 1)} % of Nernst’s; 95–105 % is sound.`,
    why: SLOPE_CAUSES[cause],
    source: MAKERS,
  }),
  offset: ({ millivolts, mostMillivolts }) => ({
    message: `At pH 7 it shows ${sayNumber(millivolts, 1)} mV; up to ${mostMillivolts} either way is sound.`,
    why: 'The electrode is dry, dirty or worn. Soak it in its storage solution and try again.',
    source: MAKERS,
  }),
  due: ({ days }) => ({
    message: `Last calibrated ${days} days ago.`,
    why: 'Set it with two buffers on either side of the pH before each session.',
    source: 'common practice',
  }),
  'old-electrode': () => ({
    message: 'The electrode is over two years old.',
    why: 'Most last one to two years; watch its slope.',
    source: 'common practice',
  }),
}

const ranged = (range: { min: number; max: number }) => `pH ${formatRange(range)}`
export const phEffect: Sentences<PhEffectFacts> = {
  own: ({ text }) => text,
  'preserves-enough': () => 'Enough of it is in its active form.',
  'preserves-short': () => 'Less than the need is in its active form. Half a unit lower helps much.',
  'preserves-under-half': () =>
    'Under half of the need is in its active form. Lower the pH or change the preservative.',
  'preserves-nothing': () =>
    'Ineffective: hardly any of it is in its active form. Lower the pH or change the preservative.',
  'others-preserve': () => 'The other preservatives cover what is needed.',
  stings: () => 'Below pH 3 an acid stings and peels. Raise it.',
  'mostly-salt': () => 'Nearly all of it is salt: it holds water and hardly peels.',
  exfoliates: () => 'The free part exfoliates; the salt holds water.',
  window: ({ range, grade, inside }) => {
    const at = ranged(range)
    if (grade === 'works') return inside ? `Works at ${at}.` : `Works only at ${at}.`
    if (grade === 'holds')
      return inside ? `Holds at ${at}.` : `Lets go outside ${at}: the product thins or seems to split.`
    return inside ? `At ease at ${at}.` : `Prefers ${at}; it keeps less well here.`
  },
}
export const phEffectKinds: Record<PhEffect['what'], string> = {
  'free-acid': 'free acid',
  'active-share': 'active share',
  window: 'window',
}
export const drift: Sentences<DriftFacts> = {
  own: ({ text }) => text,
  'slow-solid': () => 'A solid that dissolves slowly, or comes out in the cold, goes on moving the pH.',
  'slow-ph': () => 'Extracts, proteins and clays come to rest only overnight.',
}
export const blocker: Sentences<BlockerFacts> = {
  item: ({ label }) => label,
  site: ({ site }) => `what the ${site} tolerates`,
}
/** Why no pH can be predicted, and what to do. */
export const noPh: Sentences<NoPhFacts> = {
  'water-in-oil': () =>
    'The water is enclosed in oil: no pH can be predicted or measured. Set the pH of the water phase first.',
  'too-little-water': () => 'There is too little water to speak of a pH.',
  soap: () =>
    'Soap sets the pH by how much of it is neutralised, which is not known. Measure, then enter the reading.',
  'sets-own-ph': ({ name }) =>
    `${capitalise(name)} goes on dissolving and sets its own pH. Measure, and measure again tomorrow.`,
}
