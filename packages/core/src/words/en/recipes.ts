import type { QuestionFacts, RemarkFacts } from '../../recipes/said.ts'
import { sayNumber } from '../../text/format.ts'
import type { Sentences } from '../../text/said.ts'
import type { RoughUnit } from '../../text/units.ts'

/** Why the size of a unit is a guess. */
const ROUGH: Record<RoughUnit, string> = {
  spoon:
    'A spoon is not a measure: its content varies by a third or more. Weigh it once and correct the amount.',
  drop: 'A drop is 0.02 to 0.07 mL. Weigh 20 drops and correct the amount.',
  pinch: 'A pinch is 0.1 to 0.5 g. Weigh it.',
  cup: 'A cup is not a measure. Weigh it once and correct the amount.',
}

/** How an amount came about, and what is doubtful. */
export const remark: Sentences<RemarkFacts> = {
  'up-to': ({ most }) => `“Up to ${sayNumber(most, 3)}”: half is assumed until you choose.`,
  range: ({ min, max }) =>
    `A range of ${sayNumber(min, 3)}–${sayNumber(max, 3)}: the middle is assumed until you choose.`,
  rough: ({ unit }) => ROUGH[unit],
  heaped: ({ millilitres, grams, density, usual }) =>
    `${sayNumber(millilitres, 2)} mL is about ${sayNumber(grams, 2)} g at a bulk density of ${sayNumber(density, 2)} g/mL${usual ? ', usual for powders and flakes' : ''}: weigh yours.`,
  volume: ({ millilitres, grams, density, as }) =>
    `${sayNumber(millilitres, 2)} mL is ${sayNumber(grams, 2)} g at ${sayNumber(density, 2)} g/mL${as ? `, the density of ${as === 'water' ? 'water' : 'an oil'}; its own density is unknown` : ''}.`,
  'bare-as-grams': () => 'Numbers without a unit are read as grams, like the others.',
  'bare-as-percents': () => 'Numbers without a unit are read as percents.',
  'bare-sum': ({ sum }) => `Numbers without a unit add up to ${sayNumber(sum, 2)}: they are read as grams.`,
  parts: ({ sum }) => `Amounts in parts, ${sayNumber(sum, 2)} in total, are converted to percent.`,
  'grams-of-batch': ({ grams, batchGrams, percent }) =>
    `${sayNumber(grams, 3)} g of ${sayNumber(batchGrams, 2)} g is ${sayNumber(percent, 3)} %.`,
  'water-fills': () => 'No amount given, so water makes up to 100 %.',
  'fills-already': () => 'Another line is already q.s. to 100.',
  masses: ({ grams, open }) =>
    `All amounts are weights: they add up to ${sayNumber(grams, 2)} g, on which the percentages are based${open ? '; lines without an amount are not included' : ''}.`,
  mixed: ({ grams, restPercent, batchGrams }) =>
    `Grams and percent are mixed: ${sayNumber(grams, 2)} g are the remaining ${sayNumber(restPercent, 2)} %, so the batch is ${sayNumber(batchGrams, 1)} g.`,
  'as-strength': ({ percent }) =>
    `${sayNumber(percent, 2)} % is read as the strength, because the grams do not match it.`,
  disagree: ({ percent, grams, batchGrams }) =>
    `${sayNumber(percent, 3)} % and ${sayNumber(grams, 3)} g contradict each other in a batch of ${sayNumber(batchGrams, 2)} g. The percentage is used until you choose.`,
  'no-phases': () => 'No phases are named. Each ingredient was put into its usual phase.',
  'two-percents': () => 'Two percentages: the smaller is read as the amount, the larger as the strength.',
  'amount-and-fill': () => 'This line has an amount and “to 100”: “to 100” is used.',
  unreadable: ({ text }) => `“${text}” cannot be read as an amount.`,
}

/** What is missing before the recipe is a formula. */
export const question: Sentences<QuestionFacts> = {
  batch: () => 'How large is the batch, in grams? Some amounts are weights and one line is q.s. to 100.',
  material: ({ name }) => `What is “${name}”?`,
  spoon: ({ name, percent }) =>
    `Weigh the ${name} once: about ${sayNumber(percent, 2)} % is assumed until then.`,
  amount: ({ name }) => `How much ${name}?`,
  gap: ({ percent }) =>
    percent > 0
      ? `The amounts add up to ${sayNumber(100 - percent, 2)} %; ${sayNumber(percent, 2)} % is missing. Make it up with water?`
      : `The amounts add up to ${sayNumber(100 - percent, 2)} %, which is ${sayNumber(-percent, 2)} % too much.`,
}
