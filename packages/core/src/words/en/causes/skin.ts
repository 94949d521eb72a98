import { formatRange, listWords, sayNumber, sayPercent } from '../../../text/format.ts'
import { arePresent, BESIDE_THE_PLAN, doses, raisePh, weights, type CauseWords } from './shared.ts'

/** What shows on the skin or in the container. */
export const skin: CauseWords<
  | 'ph-irritates'
  | 'free-acid'
  | 'active-too-strong'
  | 'much-preservative'
  | 'emulsifier-whitens'
  | 'mineral-powder'
  | 'much-fatty-alcohol'
  | 'ionic-foam'
  | 'much-emulsifier'
  | 'film-rolls'
  | 'loose-powder'
  | 'silicone-over-water'
  | 'layer-not-dry'
  | 'rich-oils'
  | 'large-oil-phase'
  | 'more-oil-than-planned'
  | 'thinned-by-ph'
  | 'stringy-gum'
  | 'too-stiff-for-pump'
  | 'air-filled-in'
  | 'nothing-stabilises'
  | 'late-oil'
> = {
  'ph-irritates': {
    title: 'The pH is out of what skin bears',
    because: ({ ph, bears }) =>
      ph === null
        ? 'The pH was not read.'
        : `Measured pH ${sayNumber(ph)}; tolerable here ${formatRange(bears)}.`,
    test: 'Measure the pH of the product.',
    moves: (facts) => [raisePh(facts), 'Do not use it before it reads right twice, a day apart.'],
  },
  'free-acid': {
    title: 'Much of an acid is free',
    because: ({ percent }) =>
      `About ${sayPercent(Number(percent.toPrecision(2)))} of it is free acid at this pH.`,
    test: 'It stings most in the first minute and on chapped skin.',
    moves: (facts) => [raisePh(facts), 'Half a unit more takes much of the sting away.'],
  },
  'active-too-strong': {
    title: 'An active or fragrance is too strong for this skin',
    because: arePresent,
    test: 'A patch in the crook of the arm, two days, beside a batch without it.',
    moves: ['Use it less often, or halve that material next time.'],
  },
  'much-preservative': {
    title: 'More preservative than is usual',
    because: doses,
    test: 'A patch beside a product that stings nobody.',
    moves: ['Next time its usual dose.'],
  },
  'emulsifier-whitens': {
    title: 'The emulsifier makes white foam under the hand',
    because: ({ names }) => `${listWords(names)} ${names.length > 1 ? 'tend' : 'tends'} to whiten.`,
    test: 'Rub in half as much: less white means foam, not pigment.',
    moves: ['Next time 0.5 to 1 % of a light silicone or coco-caprylate, or less fatty alcohol.'],
  },
  'mineral-powder': {
    title: 'A mineral powder is in it',
    because: ({ names }) => `${listWords(names)} ${names.length > 1 ? 'are' : 'is'} white on skin.`,
    test: 'A thin smear on dark paper stays white when dry.',
    moves: ['Grind it finer into an ester, or take less of it.'],
  },
  'much-fatty-alcohol': {
    title: 'Much fatty alcohol',
    because: ({ percent }) => `${sayPercent(percent)} of fatty alcohol.`,
    test: 'Disappears after 30 seconds of rubbing.',
    moves: ['Next time half of it, and a gum for the body.'],
  },
  'ionic-foam': {
    title: 'Soap or an ionic emulsifier foams',
    because: (facts) =>
      facts.names.length > 0 ? arePresent(facts) : 'A fatty acid and a base made soap in it.',
    test: 'Foam goes with half a minute of rubbing.',
    moves: ['Next time 1 % of a light silicone or ester, less emulsifier, or a polymer one.'],
  },
  'much-emulsifier': {
    title: 'More emulsifier than the oils need',
    because: (f) =>
      `${sayPercent(f.emulsifierPercent)} of emulsifier for ${sayPercent(f.oilsPercent)} of oils.`,
    test: 'The same formula with a third less emulsifier.',
    moves: ['Next time less of it, or more oil.'],
  },
  'film-rolls': {
    title: 'Gums and polymers dry to a film that rolls',
    because: doses,
    test: 'It rolls after it is dry, and less on damp skin.',
    moves: ['Next time half the gum, or a humectant more.', 'Wait until what is under it is dry.'],
  },
  'loose-powder': {
    title: 'Powder or mineral that nothing binds',
    because: arePresent,
    test: 'Rub the rolls: gritty.',
    moves: ['Next time wet it in an ester first, or take less.'],
  },
  'silicone-over-water': {
    title: 'Much silicone or wax over something watery',
    because: ({ percent }) => `${sayPercent(percent)} of it.`,
    test: 'Alone on bare skin it does not roll.',
    moves: ['Use it alone, or less of that.'],
  },
  'layer-not-dry': {
    title: 'It went over a layer that was not dry',
    test: 'Alone on bare skin it does not roll.',
    moves: ['Wait ten minutes between layers, and use less of each.'],
  },
  'rich-oils': {
    title: 'Rich and slow oils',
    because: ({ names }) => `${listWords(names)} ${names.length > 1 ? 'stay' : 'stays'} on the skin.`,
    test: 'Blot it after five minutes: what comes off is oil.',
    moves: ['Next time change half of them for a light ester or squalane.', 'Use less of it, on damp skin.'],
  },
  'large-oil-phase': {
    title: 'The oil phase is large',
    because: ({ percent }) => `${sayPercent(percent)} of oil phase.`,
    test: 'A third part of gel stirred into a spoonful.',
    moves: ['Next time a lotion of 15 to 20 %.'],
  },
  'more-oil-than-planned': {
    title: 'More oil went in than planned',
    because: weights,
    test: BESIDE_THE_PLAN,
    moves: ['Make the batch larger by the same share.'],
  },
  'thinned-by-ph': {
    title: 'It went thin',
    because: () => 'The pH is outside its stable range.',
    test: 'Measure the pH.',
    moves: (facts) => [raisePh(facts)],
  },
  'stringy-gum': {
    title: 'A stringy gum blocks it',
    because: doses,
    test: 'Pull it between two fingers: strings.',
    moves: ['A wide pump or a tube for this batch; half the gum in the next.'],
  },
  'too-stiff-for-pump': {
    title: 'It set too stiff for a pump',
    because: ({ names }) => `${listWords(names)} set it.`,
    test: 'It holds a peak.',
    moves: ['A jar or a tube; less fatty alcohol in the next.'],
  },
  'air-filled-in': {
    title: 'Air was filled in with it',
    test: 'Pump ten times over a glass: bubbles.',
    moves: ['Tap the bottle, let it stand on its head for an hour, pump again.'],
  },
  'nothing-stabilises': {
    title: 'Nothing keeps the drops apart over weeks',
    because: () => 'Neither gum nor fatty alcohol is in it.',
    test: 'Shaken, it is even, and parts again in days.',
    moves: ['Next time a gum at 0.2 to 0.3 %, or 1 to 2 % of a fatty alcohol.'],
  },
  'late-oil': {
    title: 'An oil or the fragrance was added late and not emulsified',
    because: ({ names }) => `${listWords(names)} went in after blending.`,
    test: 'The drops on top smell of it.',
    moves: ['Next time mix it with a little emulsifier or solubiliser, or blend it in below 45 °C.'],
  },
}
