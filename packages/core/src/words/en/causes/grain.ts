import { listWords, sayNumber } from '../../../text/format.ts'
import { arePresent, raisePh, warm, type CauseWords } from './shared.ts'

/** What is felt as grains, lumps or crystals. */
export const grain: CauseWords<
  | 'fat-crystals'
  | 'undissolved-solid'
  | 'emulsifier-not-melted'
  | 'gum-not-wetted'
  | 'gum-met-acid-hot'
  | 'powder-all-at-once'
  | 'cold-met-hot'
  | 'charges-in-lumps'
  | 'above-solubility'
  | 'salt-of-acid-crystallised'
> = {
  'fat-crystals': {
    title: 'A butter or wax has crystallised',
    because: (facts) => `${arePresent(facts)} ${warm(facts)}`,
    test: 'Rub a grain between your fingers. Fat melts.',
    moves: [
      'Warm the batch until it is clear or smooth (70 °C for an emulsion) and hold for 10 minutes.',
      'Then cool it quickly in cold water, stirring all the time.',
    ],
  },
  'undissolved-solid': {
    title: 'A solid did not dissolve',
    because: ({ undissolved, actives }) =>
      undissolved.length > 0
        ? `More than stays dissolved here: ${listWords(undissolved)}.`
        : arePresent({ names: actives }),
    test: 'Rub a grain between your fingers. An undissolved solid stays hard.',
    moves: [
      'Warm a spoonful to 50 °C. If the grains dissolve, warm the batch gently, unless an active is heat-sensitive.',
      'Otherwise sieve it, and next time dissolve that ingredient first.',
    ],
  },
  'emulsifier-not-melted': {
    title: 'The emulsifier did not melt completely',
    because: warm,
    test: 'Hold a thin smear against the light and look for white specks.',
    moves: ['Warm to 75 °C, hold for 10 minutes and blend again.'],
  },
  'gum-not-wetted': {
    title: 'A gum was not wetted before the water was added',
    because: ({ names }) => `${listWords(names)} lumps in plain water.`,
    test: 'Press a lump. It is clear and slippery outside, dry inside.',
    moves: [
      'Blend in short bursts, rest 10 minutes and blend again, up to three times.',
      'Press the rest through a sieve, weigh what stays behind and replace it.',
      'If a natural gum stays lumpy, remake that phase.',
    ],
  },
  'gum-met-acid-hot': {
    title: 'Acid or gum was added while it was hot',
    because: ({ names, celsius, acidAt }) =>
      acidAt === null
        ? `${listWords(names)} was added. ${warm({ celsius })}`
        : `Acid was added at about ${sayNumber(acidAt, 0)} °C.`,
    test: 'Press a lump. It has a tough skin and does not hydrate further.',
    moves: [
      'Sieve it out, weigh what stays behind and replace it, wetted cold.',
      'Next time cool below 40 °C first. Dilute the acid and add it in a thin stream.',
    ],
  },
  'powder-all-at-once': {
    title: 'A powder was added all at once',
    test: 'Press a lump. There is dry powder inside.',
    moves: [
      'Press the lumps against the wall with a spatula, stir, and wait 10 minutes.',
      'Next time sprinkle it in while stirring.',
    ],
  },
  'cold-met-hot': {
    title: 'Wax set in lumps when a cold part was added',
    because: warm,
    test: 'Press a lump. It is white and greasy.',
    moves: [
      'Warm the batch to 70 °C and blend.',
      'Add the cool-down phase at room temperature, not from the fridge.',
    ],
  },
  'charges-in-lumps': {
    title: 'Opposite charges react',
    because: ({ cationic, anionic }) => `${listWords(cationic)} is cationic, ${listWords(anionic)} anionic.`,
    test: 'Stir a spoonful of each solution together in water. Strings or curds form at once.',
    moves: ['This cannot be reversed. Start over without one of them.'],
  },
  'above-solubility': {
    title: 'Above its solubility',
    because: ({ solids }) =>
      solids.length > 0
        ? `Predicted for ${listWords(solids)}.`
        : 'Solubility is predicted within a factor of about two.',
    test: 'Warm a spoonful to 40 °C. If the crystals dissolve and come back, the dose is too high.',
    moves: ({ acid, ratio, dilutable }) => [
      ...(acid
        ? [
            'A higher pH keeps more of an acid dissolved as its salt. Check that the preservative is still effective there.',
          ]
        : []),
      dilutable
        ? `Warm gently and dilute: a batch ${sayNumber(Math.max(1.2, ratio), 1)} times as large with the same amount of that ingredient.`
        : `Diluting would take ${sayNumber(ratio, 0)} times the batch. Use more of its solvent, or less of the ingredient next time.`,
    ],
  },
  'salt-of-acid-crystallised': {
    title: 'The pH is too low for a salt to stay dissolved',
    because: () => 'Acid was added here.',
    test: 'Raise the pH of a spoonful. The crystals dissolve.',
    moves: (facts) => [raisePh(facts)],
  },
}
