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
    moves: ['Melt the missing emulsifier in a spoonful of the oil, warm the batch to 70 °C and blend it in.'],
  },
  'phases-at-different-temperatures': {
    title: 'The phases met at different temperatures',
    because: warm,
    test: 'Warm a spoonful to 70 °C and stir. If it turns smooth, wax set before it was emulsified.',
    moves: ['Cover the batch, warm it to 70–75 °C and blend again.', 'Stir while it cools.'],
  },
  'low-shear': {
    title: 'Too little blending',
    test: 'Blend a spoonful for a minute. If it turns white and smooth, shear was missing.',
    moves: ({ hot }) => [
      hot
        ? 'Blend now, while it is warm: three bursts of 30 seconds.'
        : 'Warm it to 60–70 °C and blend: three bursts of 30 seconds.',
    ],
  },
  'ph-outside-range': {
    title: 'The pH is outside the stable range of the emulsifier or thickener',
    because: ({ ph, needs }) =>
      `Measured pH ${sayNumber(ph)}; ${listWords(needs.map((x) => `${x.name} is stable at pH ${formatRange(x.range)}`))}.`,
    test: 'Stir a drop of alkali into a spoonful. If the consistency returns at once, it was the pH.',
    moves: (facts) => [
      raisePh(facts),
      'Blend for a minute after each dose: the consistency returns with pH and shear together.',
      'Wait 10 minutes before you judge it.',
    ],
  },
  'salt-thins': {
    title: 'Salt has thinned the thickener',
    because: ({ salts, thickeners }) =>
      `Contains ${listWords(salts)} together with ${listWords(thickeners)}.`,
    test: 'Dilute a spoonful with water. If it thickens or stays the same, it is the salt.',
    moves: [
      'Add more thickener, wetted in glycerin, 0.1 % at a time.',
      'Next time use a gum that tolerates salt, or less of the salt.',
    ],
  },
  'not-hydrated': {
    title: 'The thickener is not fully hydrated',
    because: ({ names, hours }) =>
      hours === null
        ? `${listWords(names)}: hydration takes a while.`
        : `${listWords(names)}: hydration takes up to ${sayNumber(hours)} hours.`,
    test: 'Cover it and look again in two hours.',
    moves: ['Cover and wait until tomorrow. Thickener added now would be too much then.'],
  },
  'opposite-charges': {
    title: 'Opposite charges react',
    because: () => 'Contains both cationic and anionic ingredients.',
    test: 'Look for curds or strings rather than layers.',
    moves: ['Start over without one of them.'],
  },
  'wrong-order-of-addition': {
    title: 'Wrong order of addition',
    because: () => 'A W/O emulsion needs the water added slowly to the oil.',
    test: 'Put a drop in water. If it spreads, the emulsion is O/W; if it floats as a bead, W/O.',
    moves: ['Warm a third of it in a clean beaker. Keep blending and pour in the rest in a thin stream.'],
  },
  'air-drawn-in': {
    title: 'The blender drew in air',
    test: 'Tap the beaker on the table. Large bubbles rise.',
    moves: [
      'Hold the blender head below the surface, tilted, and stop it before you lift it out.',
      'Let it stand for an hour, stir slowly, and fill the containers from the bottom.',
    ],
  },
  'set-before-air-rose': {
    title: 'The cream set before the air could rise',
    because: () => 'The emulsifier sets fast.',
    test: 'Look for small bubbles that stay in a stiff cream.',
    moves: ['Warm it to 50 °C, stir slowly by hand and leave it to cool.'],
  },
  'foaming-ingredient': {
    title: 'A surfactant, protein or solubiliser foams',
    because: ({ names }) => `${listWords(names)} foam${names.length > 1 ? '' : 's'}.`,
    test: 'Look for foam on top of a thin liquid.',
    moves: ['Cover and leave overnight.', 'Next time stir that ingredient in last, by hand.'],
  },
  'acid-overshot': {
    title: 'The acid lowered the pH too far',
    because: ({ ph, aim }) =>
      ph === null || aim === null
        ? 'The pH has not been measured since.'
        : `Measured pH ${sayNumber(ph)}; target ${formatRange(aim)}.`,
    test: 'Measure the pH.',
    moves: (facts) => [
      raisePh(facts),
      'Blend for a minute after each dose.',
      'Wait 10 minutes, then judge it.',
    ],
  },
  'acid-poured-in-one-place': {
    title: 'The acid was poured in at one spot',
    test: 'Blend a spoonful. If it turns smooth, the damage is only local.',
    moves: [
      'Blend the whole batch, then wait.',
      'Next time dilute the acid and add it in a thin stream while stirring.',
    ],
  },
  'still-warm': {
    title: 'Still warm',
    because: warm,
    test: 'Put a spoonful in the fridge for 10 minutes and check that.',
    moves: ['Let it cool, stirring now and then, and judge it cold tomorrow.'],
  },
  'too-little-thickener': {
    title: 'Too little thickener or wax went in',
    because: weights,
    test: BESIDE_THE_PLAN,
    moves: ['Warm it to 70 °C and blend in the missing amount.'],
  },
  'water-lost': {
    title: 'Water has evaporated',
    because: ({ grams }) =>
      grams === null
        ? 'Heated and not weighed since then.'
        : `${sayNumber(grams, 1)} g water loss not replaced.`,
    test: 'Compare its weight with the total of what went in.',
    moves: ['Add the missing water, warm, a little at a time, and blend.'],
  },
  'too-much-thickener': {
    title: 'Too much thickener or wax went in',
    because: weights,
    test: BESIDE_THE_PLAN,
    moves: ['Scale the batch up in proportion, or accept a richer product.'],
  },
  'set-unstirred': {
    title: 'It set without being stirred',
    test: 'Stir a spoonful hard. If it flows, it has only set.',
    moves: ['Stir by hand while it cools.', 'Blend once more below 40 °C, briefly, below the surface.'],
  },
}
