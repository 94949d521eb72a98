import { sayNumber } from '../../text/format.ts'
import type { ConversionFacts, FieldUnit, TypedFaultFacts } from '../../text/numbers.ts'
import type { Sentences } from '../../text/said.ts'

const UNITS_TO_TYPE = 'g, kg, mg, oz, lb, mL, L, fl oz, tsp, tbsp or drops'
const ASKS: Record<FieldUnit, string> = {
  g: 'in a unit of weight or volume, such as 5 g, 2 oz, 50 mL or 20 drops',
  mL: 'in a unit of volume, such as 50 mL, 2 fl oz or 1 L',
  '%': 'in percent',
  '°C': 'in °C or °F, such as 72 or 160 °F',
  min: 'in minutes, such as 20 or 1 h 30',
}
const grams = (value: number) => `${sayNumber(value, value < 1 ? 4 : 2)}\u202fg`

/** Why a figure cannot be taken; `what` is how its sentence calls it: `the weight`. */
export const typedFault = (what: string): Sentences<TypedFaultFacts> => ({
  'no-drops': () => 'A solid has no drops. Type grams, or give the line the strength of its solution.',
  'unknown-unit': ({ unit }) => `“${unit}” is not a unit here. Type %, ${UNITS_TO_TYPE}.`,
  'two-readings': ({ text, whole, decimal }) =>
    `“${text}” can be ${whole} or ${decimal}. Type ${what} without the comma.`,
  'too-large': () => 'That is too large for an amount.',
  'two-decimal-marks': () => 'Use one decimal mark: 2.5 or 2,5.',
  'no-amount': () => `Type a number, such as 2.5 or 2,5. Add %, ${UNITS_TO_TYPE}.`,
  negative: () => 'An amount cannot be negative.',
  'out-of-range': ({ min, max, unit }) =>
    `${what.charAt(0).toUpperCase()}${what.slice(1)} must be between ${sayNumber(min, 6)} and ${sayNumber(max, 6)}${unit ? `\u202f${unit}` : ''}.`,
  'not-in-unit': ({ unit }) => `Type ${what} ${unit ? ASKS[unit] : 'as a number'}.`,
  'unknown-volume': ({ value, unit }) =>
    `Type ${what} ${ASKS.mL}; how much ${sayNumber(value, 3)} ${unit} fill is not known.`,
})

/** How a quantity in another unit was converted: `2 oz = 56.7 g`. */
export const conversion: Sentences<ConversionFacts> = {
  grams: ({ value, unit, grams: made, density, dropGrams, dropMillilitres, rough, spoon }) => {
    const water = density === null ? ', as if it were water' : ''
    const at = density ? ` at ${sayNumber(density, 2)} g/mL` : ''
    const weighed = dropGrams ? ` at ${sayNumber(dropGrams, 4)} g a drop` : ''
    const drop = dropMillilitres ? `, ${sayNumber(dropMillilitres, 2)} mL a drop: weigh twenty` : ''
    const guess = `${rough ? ', a guess: weigh it' : ''}${spoon ? ': weigh it once' : ''}`
    return `${sayNumber(value, 3)} ${unit} = ${grams(made)}${weighed}${water}${at}${drop}${guess}`
  },
  millilitres: ({ value, unit, millilitres, density }) =>
    `${sayNumber(value, 3)} ${unit} = ${sayNumber(millilitres, 2)}\u202fmL${density ? ` at ${sayNumber(density, 2)} g/mL` : ''}`,
  celsius: ({ fahrenheit, celsius }) =>
    `${sayNumber(fahrenheit, 1)}\u202f°F = ${sayNumber(celsius, 1)}\u202f°C`,
  minutes: ({ text, minutes }) => `${text} = ${sayNumber(minutes, 1)}\u202fmin`,
}

/** How a price is called in a sentence. */
export const THE_PRICE = 'the price'
