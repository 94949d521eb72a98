import { formatRange, listWords, sayNumber } from '../../../text/format.ts'
import { raisePh, type CauseWords } from './shared.ts'

/** What is smelt, seen as a colour or measured as a pH. */
export const measured: CauseWords<
  | 'active-oxidised'
  | 'natural-colour'
  | 'ph-changed-colour'
  | 'heated-too-long'
  | 'oil-rancid'
  | 'natural-smell'
  | 'microbes-in-stock'
  | 'buffer-holds-ph'
  | 'probe-slow'
  | 'dose-not-mixed'
  | 'strip-too-coarse'
  | 'dose-too-large'
  | 'measured-at-the-dose'
  | 'ingredient-moves-ph'
  | 'oil-turns-acidic'
  | 'carbon-dioxide'
  | 'meter-off'
  | 'something-grows'
> = {
  'active-oxidised': {
    title: 'An active has started to oxidise',
    because: ({ names }) => `${listWords(names)} turns yellow to brown with air and metal.`,
    test: 'Compare it with a fresh solution.',
    moves: ['Keep it dark and cool, and use it soon.', 'Next time add a chelator and use less heat and air.'],
  },
  'natural-colour': {
    title: 'Natural colour of an oil or extract',
    because: ({ names }) => `${listWords(names)} ${names.length > 1 ? 'are' : 'is'} coloured.`,
    test: 'Look at that ingredient on its own.',
    moves: ['Harmless. Note the colour for the next batch.'],
  },
  'ph-changed-colour': {
    title: 'The pH changed a plant colour',
    because: () => 'A pH adjuster was added.',
    test: 'Add a drop of acid to a spoonful. The colour changes back.',
    moves: ['Harmless if the pH is right.'],
  },
  'heated-too-long': {
    title: 'Heated too long',
    test: 'Smell it: caramel or frying fat.',
    moves: ['Start over with less heat if it smells burnt.'],
  },
  'oil-rancid': {
    title: 'An oil is rancid',
    because: ({ names }) => (names.length > 0 ? `${listWords(names)} oxidises fast.` : ''),
    test: 'Smell the bottles one by one.',
    moves: ['Discard the batch and the bottle.', 'Start again with fresh oil and an antioxidant.'],
  },
  'natural-smell': {
    title: 'Natural smell of an ingredient',
    test: 'Smell the ingredients one by one.',
    moves: ['Harmless. The smell usually fades within days.'],
  },
  'microbes-in-stock': {
    title: 'Microbes grew in a part made ahead',
    because: () => 'Part of this batch was made ahead.',
    test: 'Smell that stock solution on its own.',
    moves: ['Discard everything. Heating does not make it safe.'],
  },
  'buffer-holds-ph': {
    title: 'A buffer resists the change',
    because: ({ names }) => `${listWords(names)} buffer${names.length > 1 ? '' : 's'} the pH.`,
    test: 'Add the same dose again. The pH changes as little as before.',
    moves: [
      'More adjuster is needed. Weigh doses instead of counting drops, at 10 % or stronger.',
      'The calculation from two readings shows how much.',
    ],
  },
  'probe-slow': {
    title: 'The probe is slow or dirty',
    because: () => 'Fat coats the probe.',
    test: 'Measure a pH 7 buffer. The reading should settle within 30 seconds.',
    moves: [
      'Rinse the probe, clean it with a drop of dish soap, rinse and recalibrate.',
      'Measure a 10 % dilution in distilled water instead of the product itself.',
    ],
  },
  'dose-not-mixed': {
    title: 'The dose is not mixed in yet',
    test: 'Stir for 1 minute, wait 5, measure again.',
    moves: ['Stir longer, especially if the product is thick.'],
  },
  'strip-too-coarse': {
    title: 'The strip is too coarse',
    because: () => 'A strip is accurate to half a unit.',
    test: 'Use two strips side by side.',
    moves: ['Use a narrow-range strip or a meter.'],
  },
  'dose-too-large': {
    title: 'The dose was too large',
    because: ({ ph, aim }) =>
      ph === null || aim === null ? '' : `Measured pH ${sayNumber(ph)}; target ${formatRange(aim)}.`,
    test: 'Measure again after 5 minutes. The first reading often overshoots.',
    moves: (facts) => [
      facts.above
        ? 'Bring it back with a dilute acid that is already in the formula, otherwise 10 % citric acid. Add half of the calculated dose first.'
        : raisePh(facts),
      'Record both doses: they leave salt in the product.',
      'Next time use a 1 % solution for the last steps.',
    ],
  },
  'measured-at-the-dose': {
    title: 'Measured where the dose was added',
    test: 'Stir, wait and measure in another spot.',
    moves: ['Stir for a minute before each measurement.'],
  },
  'ingredient-moves-ph': {
    title: 'An ingredient keeps changing the pH',
    because: ({ says }) => says.join(' '),
    test: 'The next observations show whether the pH settles or keeps drifting.',
    moves: ({ restless }) =>
      restless
        ? [
            'Next time use a buffer of 30 mmol/L or more (lactate, citrate or phosphate) and store it cool.',
            'Use it before the day it reaches the limit.',
          ]
        : ['Adjust only after the pH has settled, and record what you add.'],
  },
  'oil-turns-acidic': {
    title: 'An oil is turning acidic',
    because: ({ names }) => `${listWords(names)} oxidises fast.`,
    test: 'Warm a little and smell it: crayons or paint.',
    moves: ['Next time use fresh oil with tocopherol, and fill the containers to the top.'],
  },
  'carbon-dioxide': {
    title: 'Carbon dioxide shifts the pH of a weakly buffered product',
    because: () => 'Contains hardly any acid or salt that would buffer it.',
    test: 'Add a drop of acid to a spoonful. The pH changes a lot.',
    moves: ['Do not rely on tenths of a unit. Next time add a little citrate or lactate.'],
  },
  'meter-off': {
    title: 'The meter or strip is inaccurate',
    because: ({ ph }) => (ph === null ? '' : `pH measured during making: ${sayNumber(ph)}.`),
    test: 'Measure a fresh buffer. The reading should be within 0.05.',
    moves: ['Calibrate the meter with buffers and measure again.'],
  },
  'something-grows': {
    title: 'Microbial growth',
    test: 'Smell it and look for film, spots and gas. Growth can be invisible.',
    moves: ['If in doubt, discard it.'],
  },
}
