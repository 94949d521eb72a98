import type { QuestionFacts, RemarkFacts } from '../../recipes/said.ts'
import { sayNumber } from '../../text/format.ts'
import type { Sentences } from '../../text/said.ts'
import type { RoughUnit } from '../../text/units.ts'

/** Why the size of a unit is a guess. */
const ROUGH: Record<RoughUnit, string> = {
  spoon: 'A spoon is no measure: what it holds differs by a third and more. Weigh it once and correct it.',
  drop: 'Drops differ from 0.02 to 0.07 mL. Weigh twenty of them and correct it.',
  pinch: 'A pinch is anything between 0.1 and 0.5 g. Weigh it.',
  cup: 'A cup is no measure. Weigh it once and correct it.',
}

/** How an amount came about, and what is doubtful. */
export const remark: Sentences<RemarkFacts> = {
  'up-to': ({ most }) => `“Up to ${sayNumber(most, 3)}”: half of it is taken until you choose.`,
  range: ({ min, max }) =>
    `A range of ${sayNumber(min, 3)}–${sayNumber(max, 3)}: its middle is taken until you choose.`,
  rough: ({ unit }) => ROUGH[unit],
  heaped: ({ millilitres, grams, density, usual }) =>
    `${sayNumber(millilitres, 2)} mL of it is about ${sayNumber(grams, 2)} g, as it lies in a spoon at ${sayNumber(density, 2)} g/mL${usual ? ', as most powders and flakes do' : ''}: weigh yours.`,
  volume: ({ millilitres, grams, density, as }) =>
    `${sayNumber(millilitres, 2)} mL is ${sayNumber(grams, 2)} g at ${sayNumber(density, 2)} g/mL${as ? `, the density of ${as === 'water' ? 'water' : 'an oil'}: its own is not known here` : ''}.`,
  'bare-as-grams': () => 'Numbers without a unit are read as grams, like the rest.',
  'bare-as-percents': () => 'Numbers without a unit are read as percents.',
  'bare-sum': ({ sum }) => `Numbers without a unit add up to ${sayNumber(sum, 2)}: they are read as grams.`,
  parts: ({ sum }) => `Parts are told: ${sayNumber(sum, 2)} in all, each turned into its percent.`,
  'grams-of-batch': ({ grams, batchGrams, percent }) =>
    `${sayNumber(grams, 3)} g of ${sayNumber(batchGrams, 2)} g is ${sayNumber(percent, 3)} %.`,
  'water-fills': () => 'No amount given, so water makes up to 100 %.',
  'fills-already': () => 'Another line takes what is left already.',
  masses: ({ grams, open }) =>
    `All amounts are masses: they make ${sayNumber(grams, 2)} g, and the percents are of that${open ? '; what has no amount yet is not in it' : ''}.`,
  mixed: ({ grams, restPercent, batchGrams }) =>
    `Grams and percents are mixed: ${sayNumber(grams, 2)} g make the ${sayNumber(restPercent, 2)} % that the percents leave, so the batch is ${sayNumber(batchGrams, 1)} g.`,
  'as-strength': ({ percent }) =>
    `${sayNumber(percent, 2)} % is read as its strength, since the grams do not fit it.`,
  disagree: ({ percent, grams, batchGrams }) =>
    `${sayNumber(percent, 3)} % and ${sayNumber(grams, 3)} g disagree for ${sayNumber(batchGrams, 2)} g: percent counts until you choose.`,
  'no-phases': () => 'No phases are named: lines are put where their materials usually go.',
  'two-percents': () => 'Two percents: the smaller is read as the amount, the larger as its strength.',
  'amount-and-fill': () => 'This line has an amount and “to 100”: “to 100” is used.',
  unreadable: ({ text }) => `“${text}” is no amount that can be read.`,
}

/** What is missing before the recipe is a formula. */
export const question: Sentences<QuestionFacts> = {
  batch: () => 'How large is the batch, in grams? Some amounts are masses and one line takes the rest.',
  material: ({ name }) => `What is “${name}”?`,
  spoon: ({ name, percent }) => `Weigh the ${name} once: about ${sayNumber(percent, 2)} % is taken for now.`,
  amount: ({ name }) => `How much ${name}?`,
  gap: ({ percent }) =>
    percent > 0
      ? `The amounts make ${sayNumber(100 - percent, 2)} %; ${sayNumber(percent, 2)} % is missing. Shall water take it?`
      : `The amounts make ${sayNumber(100 - percent, 2)} %, which is ${sayNumber(-percent, 2)} % too much.`,
}
