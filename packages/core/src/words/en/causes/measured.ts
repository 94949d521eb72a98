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
    test: 'Compare with a fresh solution of it.',
    moves: ['Keep it dark and cool, use it soon.', 'Next time: chelator, less heat, less air.'],
  },
  'natural-colour': {
    title: 'Natural colour of an oil or extract',
    because: ({ names }) => `${listWords(names)} bring${names.length > 1 ? '' : 's'} colour.`,
    test: 'Look at that material on its own.',
    moves: ['Harmless. Note it so that the next batch can be compared.'],
  },
  'ph-changed-colour': {
    title: 'The pH changed a plant colour',
    because: () => 'A pH adjuster was added.',
    test: 'A drop of acid in a spoonful turns it back.',
    moves: ['Harmless where the pH is right.'],
  },
  'heated-too-long': {
    title: 'Heated too long',
    test: 'A smell of caramel or frying.',
    moves: ['Start over with less heat if it smells burnt.'],
  },
  'oil-rancid': {
    title: 'An oil is rancid',
    because: ({ names }) => (names.length > 0 ? `${listWords(names)} goes off fast.` : ''),
    test: 'Smell the bottles one by one.',
    moves: ['Throw away batch and bottle.', 'Fresh oil, and an antioxidant in it.'],
  },
  'natural-smell': {
    title: 'Natural smell of an ingredient',
    test: 'Smell the materials one by one.',
    moves: ['Harmless. It fades in a few days, mostly.'],
  },
  'microbes-in-stock': {
    title: 'Microbes grew in something that was made ahead',
    because: () => 'A part of it was made ahead.',
    test: 'Smell that stock alone.',
    moves: ['Discard all of it. Do not heat it to save it.'],
  },
  'buffer-holds-ph': {
    title: 'A buffer holds it',
    because: ({ names }) => `${listWords(names)} buffer${names.length > 1 ? '' : 's'} it.`,
    test: 'The same dose again moves it as little as the last.',
    moves: [
      'More of the same is needed: weigh doses instead of drops, at 10 % or more.',
      'The calculation from two readings shows how much.',
    ],
  },
  'probe-slow': {
    title: 'The probe is slow or dirty',
    because: () => 'Fat coats a probe.',
    test: 'Read a buffer of pH 7: it should show it within half a minute.',
    moves: [
      'Rinse, clean with a drop of dish soap, rinse, set it again with its buffers.',
      'Measure 10 % in distilled water instead of the cream itself.',
    ],
  },
  'dose-not-mixed': {
    title: 'The dose has not spread yet',
    test: 'Stir for 1 minute, wait 5, measure again.',
    moves: ['Stir longer, most of all in something thick.'],
  },
  'strip-too-coarse': {
    title: 'The strip is too coarse',
    because: () => 'A strip is read to half a unit.',
    test: 'Two strips side by side.',
    moves: ['Use a strip of a narrow range, or a meter.'],
  },
  'dose-too-large': {
    title: 'The dose was larger than it needed',
    because: ({ ph, aim }) =>
      ph === null || aim === null ? '' : `Measured pH ${sayNumber(ph)}; target ${formatRange(aim)}.`,
    test: 'Read once more after five minutes: a first reading often runs ahead.',
    moves: (facts) => [
      facts.above
        ? 'Go back with a dilute acid that is in the formula already, else citric acid 10 %: add half of the calculated dose first.'
        : raisePh(facts),
      'Count both doses: they leave salt behind.',
      'Next time: the last part of the way with a solution of 1 %.',
    ],
  },
  'measured-at-the-dose': {
    title: 'The reading was taken where the dose went in',
    test: 'Stir, wait, and read at another place.',
    moves: ['Stir a minute before each reading.'],
  },
  'ingredient-moves-ph': {
    title: 'A material goes on moving the pH',
    because: ({ says }) => says.join(' '),
    test: 'It comes to rest, or goes on evenly: the next looks tell.',
    moves: ({ restless }) =>
      restless
        ? [
            'Next time a buffer of 30 mmol/L or more (lactate, citrate or phosphate), and cool keeping.',
            'Use it before the day the limit is met.',
          ]
        : ['Adjust only when it has come to rest, and count what was added.'],
  },
  'oil-turns-acidic': {
    title: 'An old or fast oil turns to acid',
    because: ({ names }) => `${listWords(names)} oxidises fast.`,
    test: 'Smell it warm: crayon or paint says so.',
    moves: ['Next time fresh oil, tocopherol in it, and jars filled to the brim.'],
  },
  'carbon-dioxide': {
    title: 'Carbon dioxide goes in or out, and little holds the pH',
    because: () => 'Hardly an acid or a salt is in it that would hold it.',
    test: 'A drop of acid in a spoonful moves it far.',
    moves: ['Believe neither reading to a tenth. Next time a little citrate or lactate.'],
  },
  'meter-off': {
    title: 'The meter or strip is off',
    because: ({ ph }) => (ph === null ? '' : `pH measured when made: ${sayNumber(ph)}.`),
    test: 'Read a fresh buffer: it should show it within 0.05.',
    moves: ['Calibrate the meter with buffers and measure again.'],
  },
  'something-grows': {
    title: 'Something grows in it',
    test: 'Smell it; look for film, spots and gas. Nothing to be seen proves nothing.',
    moves: ['If in doubt, discard it.'],
  },
}
