import type { Shown } from '../shown'

/** BodyScale.vue. */
export const bodyScale = {
  expectedConsistency: 'Expected consistency',
  fromVeryRoughlyToMpa: (because: Shown, toLocaleString: Shown, toLocaleString2: Shown) =>
    `From ${because}. Very roughly ${toLocaleString} to ${toLocaleString2} mPa·s after a day; accurate to about one class.`,
  atFilling: 'At filling',
  afterADay: 'After a day',
}

/** ChooserCard.vue. */
export const chooserCard = {
  alternatives: 'Alternatives',
  whatToChoose: 'What to choose',
  amount: 'Amount',
  atItsRecommendedUsageRate: 'at its recommended usage rate',
  n11AtTheCurrent: '1:1, at the current amount',
  eachWasTestedInThis: (value: Shown) =>
    `Each was tested in this formula ${value}, with all findings re-evaluated.`,
  nothingToEmulsifyWithoutOils: 'Nothing to emulsify without oils and water.',
  nothingToThickenWithoutA: 'Nothing to thicken without a water phase on the outside.',
  inUse: ' · in use',
  newFindings: 'New findings',
  resolvedFindings: 'Resolved findings',
  use: (percent: Shown) => `Use, ${percent}`,
  compareInATrial: 'Compare in a trial',
  createTrialWithIt: 'Create trial with it',
  createTrialWithThese: (comparedCount: Shown) => `Create trial with these ${comparedCount}`,
  showAll: (listCount: Shown) => `Show all ${listCount}`,
  emulsifiers: 'Emulsifiers',
  thickeners: 'Thickeners',
  recommendedUsageRate: 'Recommended usage rate',
  n11Substitution: '1:1 substitution',
  suitable: 'suitable',
}

/** EmulsionPage.vue. */
export const emulsionPage = {
  noEmulsion: 'No emulsion',
  nothingToEmulsifyWithoutWater: 'Nothing to emulsify without water. To thicken oils, use a wax or a butter.',
  nothingToEmulsifyWithoutAn:
    'Nothing to emulsify without an oil phase. Add oils, butters or esters, or choose a thickener for the water.',
}

/** ProfileCard.vue. */
export const profileCard = {
  oilInWater: 'Oil in water',
  waterInOil: 'Water in oil',
  oilPhase: (oilPhasePercent: Shown) => `${oilPhasePercent} % oil phase`,
  oils: 'oils',
  emulsifiers: 'emulsifiers',
  fattyAlcohols: 'fatty alcohols',
  howTheOilsSpread: 'How the oils spread',
  solidAndLiquidFats: 'Solid and liquid fats',
  meltingFromC: (softensAtC: Shown) => `melting from ${softensAtC} °C`,
  amountOfEmulsifierApplicable: 'Amount of emulsifier: applicable rules',
  appliesOutsideItsRange: 'applies; outside its range',
  applies: 'applies',
  doesNotApply: 'does not apply',
  fattyAlcohol: 'Fatty alcohol',
  partsPerPartOfEmulsifier: (ratio: Shown, min: Shown, max: Shown, says: Shown) =>
    `${ratio} parts per part of emulsifier; ${min}–${max} is usual with this emulsifier. ${says}`,
  pairsThatMeetAnHlb: (requiredHlb: Shown) => `Pairs that meet an HLB of ${requiredHlb}`,
  withWord: (name: Shown) => `with ${name}`,
  weightedMeanGriffinHandbook:
    'Weighted mean (Griffin), handbook values, accurate to ± 1. Try a sample on either side.',
  whatToExpect: 'What to expect',
  setsWhileItCools: (setting: Shown) => `Sets ${setting} while it cools.`,
  whiteningOnRubInFrom: (whitening: Shown) => `Whitening on rub-in: ${whitening}, from the emulsifier.`,
  rulesOfThumbFromCommon: 'Rules of thumb from common practice. Your own batch decides.',
  liquid: 'liquid',
  solid: 'solid',
  setting: { fast: 'fast', medium: 'at a medium rate', slow: 'slowly' },
  fatty: { fits: 'fits', little: 'little', much: 'much' },
  whitening: ['', 'none', 'little', 'some', 'clear', 'strong'],
  spread: { fast: 'fast', medium: 'medium', slow: 'slow', unknown: 'not known' },
}

/** words.ts. */
export const words = {
  aMilk: 'a milk',
  aLotion: 'a lotion',
  aCream: 'a cream',
  aRichCream: 'a rich cream',
  anEmulsifiedButter: 'an emulsified butter',
}
