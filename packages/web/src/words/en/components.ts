import type { Shown } from '../shown'

/** ChartFigure.vue. */
export const chartFigure = {
  asATable: 'As a table',
}

/** Counts.vue. */
export const counts = {
  justStarted: 'just started',
  noStopsOrChecks: 'no stops or checks',
}

/** Jar.vue. */
export const jar = {
  percent: (letter: Shown, percent: Shown, role: Shown) => `${letter} ${percent} percent, ${role}`,
  empty: 'empty',
  jar: (shown: Shown) => `Jar: ${shown}`,
}

/** KnownMark.vue. */
export const knownMark = {
  partlyKnown: 'partly known',
  categoryInferred: 'category inferred',
}

/** MaterialFacts.vue. */
export const materialFacts = {
  source: 'Source',
}

/** NotHere.vue. */
export const notHere = {
  thisCannotBeOpenedNow: (what: Shown) => `This ${what} cannot be opened now`,
  thisIsNotHere: (what: Shown) => `This ${what} is not here`,
  itWasDeletedOrIt: 'It was deleted, or it is stored in another browser. Deleted items stay in the',
  bin: 'bin',
  for30Days: 'for 30 days.',
}

/** ProductFields.vue. */
export const productFields = {
  madeFor: 'Made for',
  ombletShowsTheStrictestRule: 'Omblet shows the strictest rule it knows. Check your local rules.',
  forWord: 'For',
  market: 'Market',
  notSpecified: 'Not specified',
}

/** range.ts. */
export const range = {
  enterBothEndsOfThe: 'Enter both ends of the range, or neither.',
}

/** words.ts. */
export const words = {
  toner: 'Toner',
  serum: 'Serum',
  gel: 'Gel',
  emulsifiedButter: 'Emulsified butter',
  leaveInHairCream: 'Leave-in hair cream',
  mask: 'Mask',
  cleanser: 'Cleanser',
  face: 'Face',
  eyeArea: 'Eye area',
  lips: 'Lips',
  body: 'Body',
  hands: 'Hands',
  feet: 'Feet',
  scalp: 'Scalp',
  hair: 'Hair',
  leaveOn: 'Leave-on',
  rinseOff: 'Rinse-off',
  europeanUnion: 'European Union',
  unitedStates: 'United States',
  myself: 'Myself',
  myFamily: 'My family',
  aGift: 'A gift',
  sale: 'Sale',
  otherRegion: 'other region',
}
