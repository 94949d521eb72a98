import type { Shown } from '../shown'

/** BalanceBody.vue. */
export const balanceBody = {
  smallestChangeThatMeets: 'Smallest change that meets',
  theTotalIs100: 'the total is 100 %',
  everyIngredientIsWithinIts: 'every ingredient is within its usage rate',
  theOilPhaseIs: 'the oil phase is',
  oilPhasePercent: 'Oil phase, percent',
  theEmulsifiersMatchTheRequired: 'the emulsifiers match the required HLB',
  hlbIsNoGuideFor: 'HLB is no guide for the main emulsifier here; see the Emulsion tab.',
  n100GCostAtMost: '100 g cost at most',
  priceOf100GAt: 'Price of 100 g, at most',
  noLotInYourStock: 'No lot in your stock has a price yet.',
  notSyntheticAtLeast: 'not synthetic, at least',
  shareThatIsNotSynthetic: 'Share that is not synthetic, at least, percent',
  keepActivesPreservativesAnd: 'Keep actives, preservatives and fragrance',
  lockedIngredients: 'Locked ingredients',
  locked: 'locked',
  type: (what: Shown) => `Type ${what}.`,
  theOilPhaseInPercent: 'the oil phase in percent',
  theMostThat100G: 'the most that 100 g may cost',
  theLeastShareInPercent: 'the least share in percent',
  oneAmountChanged: 'One amount changed.',
  amountsChanged: (number: Shown) => `${number} amounts changed.`,
}

/** ChangesCard.vue. */
export const changesCard = {
  proposedChanges: 'Proposed changes',
  loadingTheSolver: 'Loading the solver…',
  noIngredientsYetAddSome: 'No ingredients yet. Add some to the formula first.',
  ratherThan: (about: Shown, reached: Shown, value: Shown, bound: Shown) =>
    `${about}: ${reached} rather than ${value} ${bound}`,
  current: 'Current',
  proposed: 'Proposed',
  theFormulaAlreadyMeetsAll: 'The formula already meets all of this.',
  applyChanges: 'Apply changes',
  applyNearestSolution: 'Apply nearest solution',
  property: 'Property',
  noPriceNotIncluded: (unpriced: Shown) => `No price (not included): ${unpriced}.`,
  minimisesTheLargestRelative:
    'Minimises the largest relative change, then the sum of all changes. The q.s. ingredient makes up to 100 %. Nothing changes until you apply.',
  together: ' together',
  withTheseIngredients: ' with these ingredients',
  cannotBeMet: (conflict: Shown, value: Shown) => `${conflict} cannot be met${value}.`,
  oilPhase: 'Oil phase',
  requiredHlb: 'Required HLB',
  hlbOfTheEmulsifiers: 'HLB of the emulsifiers',
  priceOf100G: 'Price of 100 g',
  notSynthetic: 'Not synthetic',
  nearestSolution: 'Nearest solution',
  nothingHasToChange: 'Nothing has to change',
  ingredientChanges: 'ingredient changes',
  ingredientsChange: 'ingredients change',
  theLargestByOfItself: (number: Shown, value: Shown, value2: Shown) =>
    `${number} ${value}, the largest by ${value2} % of itself`,
}
