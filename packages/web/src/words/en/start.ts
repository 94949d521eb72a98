import type { Shown } from '../shown'

/** BriefPage.vue. */
export const briefPage = {
  theBrief: 'The brief',
  newWord: (kindWord: Shown) => `New ${kindWord}`,
  need: 'Need',
  richness: 'Richness',
  rateOfAbsorption: 'Rate of absorption',
  skinFeel: 'Skin feel',
  requiredActives: 'Required actives',
  percentOf: (label: Shown) => `Percent of ${label}`,
  remove: (label: Shown) => `Remove ${label}`,
  addAnActiveSuchAs: 'Add an active, such as niacinamide',
  addAnActive: 'Add an active',
  constraints: 'Constraints',
  proposals: 'Proposals',
  calculating: 'Calculating…',
  formula: 'formula',
  formulas: 'formulas',
  differentNoneWithAStop: (proposalsCount: Shown, value: Shown) =>
    `${proposalsCount} different ${value}, none with a stop`,
  noProposalsCouldBeCalculated: 'No proposals could be calculated. Reload the page and try again.',
  noLotInYourStock: 'No lot in your stock has a price yet, so “low budget” only means fewer extras.',
  builtFromTheCatalogueBy:
    'Built from the catalogue by rules of common practice; every proposal is fully checked. Make a small test batch first and measure the pH. Selling or giving away is subject to local rules.',
  enterAPercentageAbove0: 'Enter a percentage above 0.',
}

/** LabelPage.vue. */
export const labelPage = {
  newFromAnIngredientList: 'New from an ingredient list',
  theList: 'The list',
  pasteTheListInThe: 'Paste the list in the order of the label',
  aquaGlycerin: 'Aqua, Glycerin, …',
  showAnExample: 'Show an example',
  ifTheLabelDeclaresA: 'If the label declares a percentage, write it after the name: Niacinamide 10 %.',
  draftFromALabel: 'Draft from a label',
  texture: 'Texture',
  ifKnown: 'if known',
  claimedSpf: 'Claimed SPF',
  ifAny: 'if any',
  compareWithAnEarlierList: 'Compare with an earlier list',
  theEarlierListOfThe: 'The earlier list of the same product',
  possibleAmounts: 'Possible amounts',
  name: 'name',
  names: 'names',
  n1LineAfter: (fewest: Shown) => ` · 1 % line after ${fewest}`,
  to: (most: Shown) => ` to ${most}`,
  aLabelStatesTheOrder:
    'A label states the order, not the amounts. Omblet calculates the range of each ingredient from order, total, legal limits, usage rates and product type, and one plausible draft of the many that give the same list.',
  noIngredientNamesFoundSeparate:
    'No ingredient names found. Separate names with commas, points or new lines.',
  noAmountsFitThisList:
    'No amounts fit this list. The order, a declared percentage and the legal limits contradict each other, or the product type is wrong. Check the order and the percentages.',
  anEstimateNeverTheOriginal:
    'An estimate, never the original: grades, blends and the process are not on a label.',
  theLineMarks1In:
    'The line marks 1 % in the draft: below it, a label may list in any order. Ranges assume that no amount exceeds its usual rate by more than half. Regulation (EC) 1223/2009 Art. 19.',
  leftOut: (text: Shown, why: Shown) => `Left out: ${text}. ${why}`,
  createFormulaFromDraft: 'Create formula from draft',
  aquaCaprylicCapricTriglyceride:
    'Aqua, Caprylic/Capric Triglyceride, Glycerin, Butyrospermum Parkii Butter, Cetearyl Olivate, Sorbitan Olivate, Niacinamide 4 %, Cetyl Alcohol, Panthenol, Phenoxyethanol, Tocopherol, Xanthan Gum, Ethylhexylglycerin, Sodium Phytate, Citric Acid',
  any: 'Any',
  milk: 'Milk',
  richCream: 'Rich cream',
  butter: 'Butter',
  theFigure: 'the figure',
}

/** ListChanges.vue. */
export const listChanges = {
  changesFromTheEarlierList: 'Changes from the earlier list',
  noneSameNamesInThe: 'None. Same names in the same order.',
  fromPositionTo: (before: Shown, after: Shown) => ` from position ${before} to ${after}`,
  atPosition: (after: Shown) => ` at position ${after}`,
  fromPosition: (before: Shown) => ` from position ${before}`,
  declaredNow: (declares: Shown, declares2: Shown) => ` declared ${declares}, now ${declares2}`,
  bothMayBeBelow1: '; both may be below 1 %, where any order is permitted',
  movedUp: 'moved up',
  movedDown: 'moved down',
  newWord: 'new',
  gone: 'gone',
}

/** ProposalCard.vue. */
export const proposalCard = {
  or: (others: Shown) => `Or ${others}`,
  rest: 'rest',
  distilledWater: 'Distilled water',
  hideAlternatives: 'Hide alternatives',
  showAlternatives: 'Show alternatives',
  useThisProposal: 'Use this proposal',
  oilPhase: (oilPhasePercent: Shown) => `${oilPhasePercent} % oil phase`,
  noOilPhase: 'no oil phase',
  ingredients: (linesCount: Shown) => `${linesCount} ingredients`,
}

/** RangesTable.vue. */
export const rangesTable = {
  ranges: 'Ranges',
  least: 'Least',
  most: 'Most',
  draft: 'Draft, %',
  notInTheCatalogueOn: 'not in the catalogue on its own',
  recognisedAs: (name: Shown) => `recognised as ${name}`,
  declared: 'declared',
  mayBeAbsent: 'may be absent',
  limitedBy: (bound: Shown) => `Limited by: ${bound}`,
}

/** RecipePage.vue. */
export const recipePage = {
  newFromARecipe: 'New from a recipe',
  theRecipe: 'The recipe',
  pasteTheRecipeTextOr: 'Paste the recipe: text or a table',
  waterTo100Glycerin4: 'Water to 100 %\nGlycerin 4 %\n…',
  showAnExample: 'Show an example',
  reading: 'Reading…',
  recipe: 'Recipe',
  ingredient: 'ingredient',
  ingredients: 'ingredients',
  nothingMissing: 'nothing missing',
  thing: 'thing',
  things: 'things',
  missing: (open: Shown, value: Shown) => `${open} ${value} missing`,
  notRead: (unread: Shown, value: Shown) => `, ${unread} ${value} not read`,
  thatIsMoreThanLines: (mostRecipeLines: Shown) =>
    `That is more than ${mostRecipeLines} lines. Paste one recipe at a time.`,
  aFormulaCanHaveUp: (lines: Shown, ingredientCount: Shown) =>
    `A formula can have up to ${lines} lines; this recipe has ${ingredientCount}. Remove some.`,
  readsPercentGramsMillilitres:
    'Reads percent, grams, millilitres, spoons, drops, “to 100” and ranges, in lists and tables, with or without phases. You see how every line was read before anything is created.',
  replaceWithWater: 'Replace with water',
  andQSTo100: (knownPercent: Shown) => `${knownPercent} % and q.s. to 100`,
  inTotal: (knownPercent: Shown) => `${knownPercent} % in total`,
  createFormula: 'Create formula',
  missingAmountsStayInThe: 'Missing amounts stay in the formula as a check. Omblet fills in nothing.',
  fogHornHandLotion200:
    'Fog Horn hand lotion (200 g)\n\nPhase A\nDistilled water - to 100 %\nGlycerine - 4 %\nPhase B\nSunflower oil 12%\nShea butter 5%\nEmulsifying wax 6%\nPhase C\nVitamin E - 10 drops\nPreservative',
  enterTheBatchSizeIn: 'Enter the batch size in grams, such as 100.',
}

/** RecipeRow.vue. */
export const recipeRow = {
  change: (name: Shown) => `Change ${name}`,
  whichIngredient: 'Which ingredient?',
  anotherIngredient: 'Another ingredient',
  ingredientFor: (name: Shown) => `Ingredient for ${name}`,
  note: (note: Shown) => `Note: ${note}`,
  percentOf: (name: Shown) => `Percent of ${name}`,
  restore: (name: Shown) => `Restore ${name}`,
  skip: (name: Shown) => `Skip ${name}`,
  skip2: 'Skip',
  title: 'title',
  keptAsANote: 'kept as a note',
  notReadKeptAsA: 'not read, kept as a note',
  aGuess: 'a guess',
  atMost100: 'At most 100 %.',
  enterPercentGramsAreConverted: 'Enter percent; grams are converted.',
  heading: 'heading',
  batch: 'batch',
  total: 'total',
  likely: 'likely',
}

/** StartFrame.vue. */
export const startFrame = {
  backToFormulas: 'Back to formulas',
  newFrom: 'New from',
  aBrief: 'A brief',
  aRecipe: 'A recipe',
  anIngredientList: 'An ingredient list',
}

/** brief-words.ts. */
export const briefWords = {
  milk: 'Milk',
  richCream: 'Rich cream',
  emulsifiedButter: 'Emulsified butter',
  oilPhase: (richnessWords: Shown, oilPhaseOf: Shown) => `${richnessWords}, ${oilPhaseOf} % oil phase`,
  fastLittleResidue: 'Fast, little residue',
  medium: 'Medium',
  slowStaysOnTheSkin: 'Slow, stays on the skin',
  dry: 'Dry',
  silky: 'Silky',
  rich: 'Rich',
  noOil: 'No oil',
  noSilicone: 'No silicone',
  vegan: 'Vegan',
  notSynthetic: 'Not synthetic',
  fragranceFree: 'Fragrance-free',
  coldProcess: 'Cold process',
  lowBudget: 'Low budget',
  onlyFromMyStock: 'Only from my stock',
}

/** use-recipe-source.ts. */
export const useRecipeSource = {
  isLargerThan5Mb: (name: Shown) => `${name} is larger than 5 MB. Check that it is a recipe.`,
  couldNotBeReadSave: (name: Shown) =>
    `${name} could not be read. Save it as .xlsx, .csv or plain text, or paste it here.`,
}
