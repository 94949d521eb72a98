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
    title: 'The pH is outside what skin tolerates',
    because: ({ ph, bears }) =>
      ph === null
        ? 'The pH was not measured.'
        : `Measured pH ${sayNumber(ph)}; tolerable here ${formatRange(bears)}.`,
    test: 'Measure the pH of the product.',
    moves: (facts) => [raisePh(facts), 'Do not use it until two measurements a day apart are right.'],
  },
  'free-acid': {
    title: 'High free acid',
    because: ({ percent }) =>
      `About ${sayPercent(Number(percent.toPrecision(2)))} of it is free acid at this pH.`,
    test: 'Stinging is strongest in the first minute and on chapped skin.',
    moves: (facts) => [raisePh(facts), 'Half a pH unit more takes away much of the sting.'],
  },
  'active-too-strong': {
    title: 'An active or fragrance is too strong for this skin',
    because: arePresent,
    test: 'Patch test on the inner elbow for two days, next to a batch without it.',
    moves: ['Use it less often, or halve that ingredient next time.'],
  },
  'much-preservative': {
    title: 'More preservative than usual',
    because: doses,
    test: 'Patch test next to a product that you tolerate.',
    moves: ['Next time use the recommended rate.'],
  },
  'emulsifier-whitens': {
    title: 'The emulsifier foams white when rubbed in',
    because: ({ names }) => `${listWords(names)} ${names.length > 1 ? 'tend' : 'tends'} to whiten.`,
    test: 'Rub in half as much. Less white means foam, not pigment.',
    moves: ['Next time add 0.5–1 % of a light silicone or coco-caprylate, or use less fatty alcohol.'],
  },
  'mineral-powder': {
    title: 'Contains a mineral powder',
    because: ({ names }) => `${listWords(names)} ${names.length > 1 ? 'are' : 'is'} white on skin.`,
    test: 'Smear a thin layer on dark paper. It stays white when dry.',
    moves: ['Mill it finer in an ester, or use less.'],
  },
  'much-fatty-alcohol': {
    title: 'High fatty alcohol content',
    because: ({ percent }) => `${sayPercent(percent)} of fatty alcohol.`,
    test: 'The white disappears after 30 seconds of rubbing.',
    moves: ['Next time use half as much, with a gum for consistency.'],
  },
  'ionic-foam': {
    title: 'Soap or an ionic emulsifier foams',
    because: (facts) =>
      facts.names.length > 0 ? arePresent(facts) : 'A fatty acid and a base have formed soap.',
    test: 'The foam disappears after 30 seconds of rubbing.',
    moves: ['Next time add 1 % of a light silicone or ester, use less emulsifier, or a polymeric one.'],
  },
  'much-emulsifier': {
    title: 'More emulsifier than the oils need',
    because: (f) =>
      `${sayPercent(f.emulsifierPercent)} of emulsifier for ${sayPercent(f.oilsPercent)} of oils.`,
    test: 'Make the same formula with a third less emulsifier.',
    moves: ['Next time use less emulsifier or more oil.'],
  },
  'film-rolls': {
    title: 'Gums and polymers dry to a film that pills',
    because: doses,
    test: 'Pilling starts after drying, and is weaker on damp skin.',
    moves: ['Next time use half the gum, or add a humectant.', 'Wait until the layer below is dry.'],
  },
  'loose-powder': {
    title: 'Unbound powder or mineral',
    because: arePresent,
    test: 'Rub the pills between your fingers: gritty.',
    moves: ['Next time wet it in an ester first, or use less.'],
  },
  'silicone-over-water': {
    title: 'Silicone or wax over a water-based layer',
    because: ({ percent }) => `Contains ${sayPercent(percent)}.`,
    test: 'Alone on bare skin it does not roll.',
    moves: ['Use it alone, or with less silicone or wax.'],
  },
  'layer-not-dry': {
    title: 'Applied over a layer that was not dry',
    test: 'Alone on bare skin it does not roll.',
    moves: ['Wait 10 minutes between layers, and use less of each.'],
  },
  'rich-oils': {
    title: 'Rich, slow-spreading oils',
    because: ({ names }) => `${listWords(names)} ${names.length > 1 ? 'stay' : 'stays'} on the skin.`,
    test: 'Blot the skin after 5 minutes. Oil comes off.',
    moves: ['Next time replace half of them with a light ester or squalane.', 'Use less, on damp skin.'],
  },
  'large-oil-phase': {
    title: 'Large oil phase',
    because: ({ percent }) => `Oil phase ${sayPercent(percent)}.`,
    test: 'Stir a third of gel into a spoonful and compare.',
    moves: ['Next time make a lotion with a 15–20 % oil phase.'],
  },
  'more-oil-than-planned': {
    title: 'More oil went in than planned',
    because: weights,
    test: BESIDE_THE_PLAN,
    moves: ['Scale the batch up in proportion.'],
  },
  'thinned-by-ph': {
    title: 'The product has thinned',
    because: () => 'The pH is outside its stable range.',
    test: 'Measure the pH.',
    moves: (facts) => [raisePh(facts)],
  },
  'stringy-gum': {
    title: 'A stringy gum blocks the pump',
    because: doses,
    test: 'Pull a drop between two fingers. It strings.',
    moves: ['Use a wide pump or a tube for this batch, and half the gum in the next.'],
  },
  'too-stiff-for-pump': {
    title: 'Too stiff for a pump',
    because: ({ names }) => `${listWords(names)} stiffen${names.length > 1 ? '' : 's'} the product.`,
    test: 'The product holds a peak.',
    moves: ['Use a jar or a tube for this batch, and less fatty alcohol in the next.'],
  },
  'air-filled-in': {
    title: 'Air was trapped during filling',
    test: 'Pump ten times over a glass and look for bubbles.',
    moves: ['Tap the bottle, stand it upside down for an hour and pump again.'],
  },
  'nothing-stabilises': {
    title: 'Nothing stabilises the droplets over weeks',
    because: () => 'Contains neither a gum nor a fatty alcohol.',
    test: 'Shake it. It turns uniform and separates again within days.',
    moves: ['Next time add a gum at 0.2–0.3 %, or 1–2 % of a fatty alcohol.'],
  },
  'late-oil': {
    title: 'An oil or the fragrance was added late and not emulsified',
    because: ({ names }) => `${listWords(names)} was added after blending.`,
    test: 'The drops on top smell of that ingredient.',
    moves: ['Next time mix it with a little emulsifier or solubiliser, or blend it in below 45 °C.'],
  },
}
