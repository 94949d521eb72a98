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
    title: 'A butter or wax set in crystals',
    because: (facts) => `${arePresent(facts)} ${warm(facts)}`,
    test: 'Rub a grain between the fingers: it melts.',
    moves: [
      'Warm all of it until it is clear or smooth (70 °C for an emulsion) and hold ten minutes.',
      'Then cool it fast, in cold water, stirring all along.',
    ],
  },
  'undissolved-solid': {
    title: 'A solid did not dissolve',
    because: ({ undissolved, actives }) =>
      undissolved.length > 0
        ? `More of it is in than stays dissolved here: ${listWords(undissolved)}.`
        : arePresent({ names: actives }),
    test: 'Rub a grain between the fingers: it stays hard.',
    moves: [
      'Warm a spoonful to 50 °C: if the grains go, warm the batch gently, unless an active forbids it.',
      'Otherwise sieve it, and next time dissolve that material first.',
    ],
  },
  'emulsifier-not-melted': {
    title: 'The emulsifier did not melt whole',
    because: warm,
    test: 'Look against the light at a thin smear: white specks.',
    moves: ['Warm to 75 °C, hold ten minutes, blend again.'],
  },
  'gum-not-wetted': {
    title: 'A gum was not wetted before water came to it',
    because: ({ names }) => `${listWords(names)} lumps in bare water.`,
    test: 'Press a lump: clear and slippery outside, dry inside.',
    moves: [
      'Blend in short bursts, rest ten minutes, blend again, at most three times.',
      'What is left: press it through a sieve, weigh what stays behind and make it up.',
      'A natural gum that stays lumpy does not come back: begin that phase anew.',
    ],
  },
  'gum-met-acid-hot': {
    title: 'Acid or gum met it while it was hot',
    because: ({ names, celsius, acidAt }) =>
      acidAt === null
        ? `${listWords(names)} went in. ${warm({ celsius })}`
        : `Acid went in near ${sayNumber(acidAt, 0)} °C.`,
    test: 'Press a lump: a tough skin that does not swell further.',
    moves: [
      'Sieve it out, weigh what stays behind and make it up, wetted cold.',
      'Next time cool below 40 °C first, and pour acid in diluted, as a thin stream.',
    ],
  },
  'powder-all-at-once': {
    title: 'A powder went in all at once',
    test: 'Press a lump: dry powder inside.',
    moves: [
      'Press the lumps against the wall with a spatula, stir, and wait ten minutes.',
      'Next time sprinkle it while stirring.',
    ],
  },
  'cold-met-hot': {
    title: 'Cold met hot, and wax set in lumps',
    because: warm,
    test: 'Press a lump: white and greasy.',
    moves: [
      'Warm all of it to 70 °C and blend.',
      'Add cool-down parts at room temperature, not from the fridge.',
    ],
  },
  'charges-in-lumps': {
    title: 'Opposite charges met',
    because: ({ cationic, anionic }) => `${listWords(cationic)} is cationic, ${listWords(anionic)} anionic.`,
    test: 'Stir a spoonful of each solution together in water: strings or curds at once.',
    moves: ['This cannot be reversed. Start over without one of the two.'],
  },
  'above-solubility': {
    title: 'More is in than stays dissolved',
    because: ({ solids }) =>
      solids.length > 0
        ? `By computation: ${listWords(solids)}.`
        : 'The model is good to a factor of two or so.',
    test: 'Warm a spoonful to 40 °C: crystals that go and come back were too much.',
    moves: ({ acid, ratio, dilutable }) => [
      ...(acid
        ? [
            'A higher pH keeps more of an acid dissolved, as its salt. See that the preservative still works there.',
          ]
        : []),
      dilutable
        ? `Warm it gently and dilute: a batch ${sayNumber(Math.max(1.2, ratio), 1)} times as large with the same amount of that material.`
        : `Diluting would take ${sayNumber(ratio, 0)} times the batch: take more of its solvent, or less of it next time.`,
    ],
  },
  'salt-of-acid-crystallised': {
    title: 'The acid went below the pH where a salt stays dissolved',
    because: () => 'Acid was added here.',
    test: 'Raise the pH of a spoonful: the crystals go.',
    moves: (facts) => [raisePh(facts)],
  },
}
