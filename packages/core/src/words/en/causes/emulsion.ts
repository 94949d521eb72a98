import { formatRange, listWords, sayNumber } from '../../../text/format.ts'
import { BESIDE_THE_PLAN, raisePh, warm, weights, type CauseWords } from './shared.ts'

/** What keeps an emulsion together, or lets it thin, thicken and foam. */
export const emulsion: CauseWords<
  | 'too-little-emulsifier'
  | 'phases-at-different-temperatures'
  | 'low-shear'
  | 'ph-outside-range'
  | 'salt-thins'
  | 'not-hydrated'
  | 'opposite-charges'
  | 'wrong-order-of-addition'
  | 'air-drawn-in'
  | 'set-before-air-rose'
  | 'foaming-ingredient'
  | 'acid-overshot'
  | 'acid-poured-in-one-place'
  | 'still-warm'
  | 'too-little-thickener'
  | 'water-lost'
  | 'too-much-thickener'
  | 'set-unstirred'
> = {
  'too-little-emulsifier': {
    title: 'Too little emulsifier went in',
    because: weights,
    test: BESIDE_THE_PLAN,
    moves: ['Melt the missing emulsifier in a spoon of the oil, warm the batch to 70 °C and blend it in.'],
  },
  'phases-at-different-temperatures': {
    title: 'The phases met at different temperatures',
    because: warm,
    test: 'Warm a spoonful to 70 °C and stir: smooth when warm means that wax set before it was emulsified.',
    moves: ['Warm all of it to 70–75 °C, covered, and blend again.', 'Then cool it stirring, not standing.'],
  },
  'low-shear': {
    title: 'Too little blending',
    test: 'Blend a spoonful for a minute: if it turns white and smooth, it was shear.',
    moves: ({ hot }) => [
      hot
        ? 'Blend it now, while it is warm: three bursts of half a minute.'
        : 'Warm it to 60–70 °C and blend: three bursts of half a minute.',
    ],
  },
  'ph-outside-range': {
    title: 'The pH is outside the stable range of the emulsifier or thickener',
    because: ({ ph, needs }) =>
      `Measured pH ${sayNumber(ph)}; ${listWords(needs.map((x) => `${x.name} holds at ${formatRange(x.range)}`))}.`,
    test: 'Stir a drop of alkali into a spoonful: if body comes back at once, it was the pH.',
    moves: (facts) => [
      raisePh(facts),
      'Blend it again for a minute after each dose: body comes back with pH and shear together.',
      'Let it stand ten minutes before you judge.',
    ],
  },
  'salt-thins': {
    title: 'Salt took the body of the thickener',
    because: ({ salts, thickeners }) => `${listWords(salts)} beside ${listWords(thickeners)}.`,
    test: 'Thin a spoonful with water: if it gets thicker or stays the same, it is salt.',
    moves: [
      'More thickener, wetted in glycerin, 0.1 % at a time.',
      'Next time choose a gum that stands salt, or less of the salt.',
    ],
  },
  'not-hydrated': {
    title: 'The thickener has not swollen yet',
    because: ({ names, hours }) =>
      hours === null
        ? `${listWords(names)} keeps hydrating for a while.`
        : `${listWords(names)} needs ${sayNumber(hours)} hours.`,
    test: 'Cover it and look again in two hours.',
    moves: ['Wait, covered. Add nothing before tomorrow: thickener added now is too much then.'],
  },
  'opposite-charges': {
    title: 'Opposite charges met',
    because: () => 'Cationic and anionic materials are both in it.',
    test: 'Curds or strings rather than layers.',
    moves: ['Start over without one of the two.'],
  },
  'wrong-order-of-addition': {
    title: 'The pouring turned the wrong way round',
    because: () => 'Water in oil forgives no hurry.',
    test: 'A drop in water spreads: oil in water. A drop floats as a bead: water in oil.',
    moves: ['Warm a third of it in a clean beaker, blending, and pour the rest in as a thin stream.'],
  },
  'air-drawn-in': {
    title: 'The blender drew air',
    test: 'Tap the beaker on the table: large bubbles rise.',
    moves: [
      'Hold the head below the surface, on the slant, and stop it before you lift it.',
      'Let it stand an hour; stir slowly; fill from below.',
    ],
  },
  'set-before-air-rose': {
    title: 'It set before the air could rise',
    because: () => 'Its emulsifier sets fast.',
    test: 'Small bubbles that stay in a stiff cream.',
    moves: ['Warm it to 50 °C, stir slowly by hand and let it cool standing.'],
  },
  'foaming-ingredient': {
    title: 'A surfactant, protein or solubiliser foams',
    because: ({ names }) => `${listWords(names)} foam${names.length > 1 ? '' : 's'}.`,
    test: 'Foam on top of a thin liquid.',
    moves: ['Cover it and wait overnight.', 'Next time stir that part in last, by hand.'],
  },
  'acid-overshot': {
    title: 'The acid moved the pH further than it should',
    because: ({ ph, aim }) =>
      ph === null || aim === null
        ? 'The pH was not read since.'
        : `Measured pH ${sayNumber(ph)}; target ${formatRange(aim)}.`,
    test: 'Measure the pH.',
    moves: (facts) => [raisePh(facts), 'Blend a minute after each dose.', 'Wait ten minutes, then judge.'],
  },
  'acid-poured-in-one-place': {
    title: 'The acid was poured in at one place and shocked it',
    test: 'Blend a spoonful: if it is smooth again, it was only local.',
    moves: ['Blend it through, then wait.', 'Next time add it diluted, in a thin stream, stirring.'],
  },
  'still-warm': {
    title: 'Still warm',
    because: warm,
    test: 'Put a spoonful in the fridge for ten minutes and look at that.',
    moves: ['Let it cool, stirring now and then, and judge it cold tomorrow.'],
  },
  'too-little-thickener': {
    title: 'Too little of what thickens went in',
    because: weights,
    test: BESIDE_THE_PLAN,
    moves: ['Warm it to 70 °C and blend in what is missing.'],
  },
  'water-lost': {
    title: 'Water has left it',
    because: ({ grams }) =>
      grams === null ? 'Heated and not weighed since.' : `${sayNumber(grams, 1)} g water loss not replaced.`,
    test: 'Weigh it against what went in.',
    moves: ['Put the missing water back, warm, a little at a time, and blend.'],
  },
  'too-much-thickener': {
    title: 'Too much of what thickens went in',
    because: weights,
    test: BESIDE_THE_PLAN,
    moves: ['Make the batch larger by the same share, or accept it as a richer one.'],
  },
  'set-unstirred': {
    title: 'It set fast and was not stirred through',
    test: 'Stir a spoonful hard: if it flows then, it has only set.',
    moves: ['Stir it by hand while it cools.', 'Blend once more below 40 °C, short, below the surface.'],
  },
}
