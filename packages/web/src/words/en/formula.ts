import type { Shown } from '../shown'

/** AmountField.vue. */
export const amountField = {
  amountOf: (name: Shown, unit: Shown) => `${name}, ${unit}`,
  units: { percent: 'percent', grams: 'grams' },
  isNotAnAmountYet: (typed: Shown) =>
    `“${typed}” is not an amount yet. Type %, g, kg, mg, oz, lb, mL, L, fl oz, tsp, tbsp or drops.`,
}

/** BatchField.vue. */
export const batchField = {
  batchInGrams: 'Batch in grams',
}

/** EmulsionCard.vue. */
export const emulsionCard = {
  oilInWater: 'oil in water',
  waterInOil: 'water in oil',
  oilPhase: 'oil phase',
  ofItEmulsifier: 'of it emulsifier',
  emulsifierPh: 'emulsifier pH',
  them: 'them',
  mayBelongToTheOil: (unsure: Shown, value: Shown) =>
    `${unsure} may belong to the oil phase: describe ${value} to include.`,
  richCream: 'rich cream',
  requiredHlbAboutHlbOf: (requiredHlb: Shown, hlbNotTold: Shown) =>
    `Required HLB about ${requiredHlb}; HLB of the emulsifiers unknown (no value for ${hlbNotTold}).`,
  hlbIsNoReliableGuide: '; HLB is no reliable guide for this emulsifier',
  requiredHlbAboutEmulsifiers: (requiredHlb: Shown, offeredHlb: Shown, value: Shown) =>
    `Required HLB about ${requiredHlb}, emulsifiers about ${offeredHlb} (each ± 1)${value}.`,
}

/** Finder.vue. */
export const finder = {
  replaceWith: 'Replace with',
  findAnIngredient: 'Find an ingredient',
  backToTheList: 'Back to the list',
  ingredientByInciCommonName: 'Ingredient, by INCI, common name or function',
  into: 'Into',
  whereItBelongs: 'where it belongs',
  alt: (phaseLetter: Shown) => `Alt ${phaseLetter}`,
  ingredientsFound: 'Ingredients found',
  inThisFormula: 'in this formula',
  yourOwn: 'your own',
  tryNiacinamideSheaPreservative:
    'Try “niacinamide”, “shea”, “preservative” or “thickens”. Misspellings are accepted.',
  noIngredientIsCalled: (value: Shown) => `No ingredient is called “${value}”.`,
  makeMyOwnIngredient: (value: Shown) => `Make “${value}” my own ingredient`,
  replacedWith: (name: Shown) => `Replaced with ${name}.`,
}

/** FindingItem.vue. */
export const findingItem = {
  check: 'Check',
}

/** FindingsCard.vue. */
export const findingsCard = {
  findings: 'Findings',
  addIngredientsToSeeFindings: 'Add ingredients to see findings here.',
  nothingToStopOrCheck: 'Nothing to stop or check.',
  forMakingAndUsingIt: (cautionsCount: Shown) => `${cautionsCount} for making and using it`,
  done: (remedy: Shown) => `Done: ${remedy}.`,
  cautions: (count: number) => `${count} caution${count === 1 ? '' : 's'}`,
}

/** FormulaHeader.vue. */
export const formulaHeader = {
  redo: 'Redo',
  moreForThisFormula: 'More for this formula',
  tabsOfThisFormula: 'Tabs of this formula',
  version: (number: Shown, value: Shown) => `version ${number}, ${value}`,
  saved: 'Saved',
  saving: 'Saving…',
  notSaved: 'Not saved',
  shoppingList: 'Shopping list',
  share: 'Share',
  duplicate: 'Duplicate',
  deletedItStaysInThe: 'Deleted. It stays in the bin for 30 days.',
}

/** FormulaPage.vue. */
export const formulaPage = {
  ingredientsOfStep: (number: Shown, stepTitle: Shown) => `Ingredients of step ${number}: ${stepTitle}`,
  backToTheMethod: 'Back to the method',
}

/** FormulaRoom.vue. */
export const formulaRoom = {
  formula: 'formula',
}

/** GradeQuestion.vue. */
export const gradeQuestion = {
  which: (name: Shown) => `Which ${name}?`,
  which2: (name: Shown, question: Shown) => `Which ${name}? ${question}`,
}

/** KeysDialog.vue. */
export const keysDialog = {
  aCommaOrADot: 'A comma or a dot is a decimal mark. Everything also works with the mouse and by touch.',
  anywhereInTheFormula: 'Anywhere in the formula',
  findAnIngredientEnterAdds: 'find an ingredient; Enter adds it',
  altP: 'Alt P',
  addAPhase: 'add a phase',
  ctrlZ: 'Ctrl Z',
  ctrlShiftZ: 'Ctrl Shift Z',
  theseKeys: 'these keys',
  inAnAmount: 'In an amount',
  previousOrNextIngredientEnter: 'previous or next ingredient; Enter moves down',
  toTheNameAndThe: 'to the name and the menu of the ingredient',
  enterTheAmountInPercent: 'enter the amount in percent or grams',
  alt: 'Alt ↑ ↓',
  moveTheIngredientAlsoInto: 'move the ingredient, also into the next phase',
  altN: 'Alt N',
  addANote: 'add a note',
  ctrlDelete: 'Ctrl Delete',
  removeTheIngredient: 'remove the ingredient',
  esc: 'Esc',
  restoreThePreviousValue: 'restore the previous value',
  inTheFinder: 'In the finder',
  addThenTypeTheAmount: 'add, then type the amount',
  altAAltZ: 'Alt A … Alt Z',
  addItToThatPhase: 'add it to that phase',
  undo: 'undo (⌘ Z)',
  redo: 'redo (⌘ ⇧ Z)',
  close: 'close',
}

/** LineDialog.vue. */
export const lineDialog = {
  unknownIngredientNothingAbout:
    'Unknown ingredient: nothing about it can be checked. Replace it, or add it as an own ingredient.',
  standsForSingleStrength: (percent: Shown, percent2: Shown) =>
    `${percent} stands for ${percent2} single strength`,
  whichIsMoreThanThe: ', which is more than the whole product',
  makeItUpFirstWith: (waterPercent: Shown) => `: make it up first with ${waterPercent} of the water`,
  compositionUnknownItMayExceed: 'Composition unknown; it may exceed the legal limit from',
  legalLimitHere: 'Legal limit here:',
  moreUnderIngredients: 'More under Ingredients',
  otherFormsStrengthSkinFeel: 'Other forms. Strength, skin feel and usage rate differ.',
  strengthOfYourMaterial: 'Strength of your material, %',
  asUsual: (strengthPercent: Shown) => `${strengthPercent} as usual`,
  n100AsUsual: '100 as usual',
  replaceMaterial: 'Replace material',
  gradeChanged: 'Grade changed.',
  replacedWith: (name: Shown, percent: Shown) => `Replaced with ${name}, ${percent}.`,
}

/** LineNote.vue. */
export const lineNote = {
  noteOn: (name: Shown) => `Note on ${name}`,
}

/** LineRow.vue. */
export const lineRow = {
  dragToMove: 'Drag to move',
  phEffectUnknown: 'pH effect unknown',
  moreFor: (name: Shown) => `More for ${name}`,
}

/** NameField.vue. */
export const nameField = {
  nameOfTheFormula: 'Name of the formula',
  theNameHasCharactersAre: (valueCount: Shown, name: Shown) =>
    `The name has ${valueCount} characters; ${name} are allowed.`,
  anotherFormulaHasTheSame: 'Another formula has the same name. Rename one to tell them apart.',
}

/** PhCard.vue. */
export const phCard = {
  phRanges: 'pH ranges',
  cannotBeMeasured: 'cannot be measured',
  clashes: ', clashes',
  clashes2: 'clashes',
  showAll: (rowsCount: Shown) => `Show all ${rowsCount}`,
  predictedPh: 'Predicted pH',
  phCannotBePredictedHere: 'pH cannot be predicted here. Measure it.',
  curveDoseAndLog: 'Curve, dose and log',
  atPh: (label: Shown, grade: Shown, item: Shown) => `${label} ${grade} at pH ${item}`,
  noCommonRange: 'no common range',
  commonRange: (fits: Shown) => `common range ${fits}`,
  noRangeSuitsTheSite: 'no range suits the site',
  noRequirement: 'no requirement',
  grades: { works: 'effective', holds: 'stable', prefers: 'preferred', skin: 'comfortable' },
}

/** PhEntries.vue. */
export const phEntries = {
  use: (shared: Shown) => `Use ${shared}`,
  measured: 'Measured',
  remove: 'remove',
  again: 'Again',
}

/** PhaseBlock.vue. */
export const phaseBlock = {
  phase: (letter: Shown, name: Shown) => `Phase ${letter}, ${name}`,
  unnamedPhase: 'Unnamed phase',
  notHeated: 'not heated',
  phaseGoesChange: (letter: Shown, goes: Shown, routeReason: Shown) =>
    `Phase ${letter} goes ${goes}. ${routeReason} Change`,
  moreForPhase: (letter: Shown) => `More for phase ${letter}`,
  noIngredientsInThisPhase: 'No ingredients in this phase yet.',
  nameRoleAndHeat: 'Name, role and heat',
  addIngredient: 'Add ingredient',
  addPhaseBelow: 'Add phase below',
  moveUp: 'Move up',
  moveDown: 'Move down',
}

/** PhaseDialog.vue. */
export const phaseDialog = {
  role: 'Role',
  heatToC: 'Heat to, °C',
  notHeated: 'not heated',
  holdMinutes: 'Hold, minutes',
  noHold: 'no hold',
  addBelowC: 'Add below, °C',
  any: 'any',
  premix: 'Premix',
  adjust: 'Adjust',
}

/** ProductDialog.vue. */
export const productDialog = {
  scaleResolutionG: 'Scale resolution, g',
  withTwoScalesEnterThe: 'With two scales, enter the finer one.',
  repeatabilityG: 'Repeatability, g',
  asSpecified: 'as specified',
  leaveEmptyToUseThe: 'Leave empty to use the scale’s resolution.',
  claims: 'Claims',
  remove: (text: Shown) => `Remove ${text}`,
  naturalVeganMakesSkinSoft: 'natural, vegan, “makes skin soft” …',
  theResolution: 'the resolution',
  enterTheResolutionOfThe: 'Enter the resolution of the scale.',
  howWellItRepeats: 'how well it repeats',
}

/** ReadingColumn.vue. */
export const readingColumn = {
  reading: 'Reading',
  skinReactedTo: 'Skin reacted to',
  inAPatchTestCheck: 'in a patch test. Check it before you make more.',
}

/** ReadingForm.vue. */
export const readingForm = {
  forAStripBetweenTwo: 'For a strip between two colours, type 5-6',
  measurement: 'Measurement',
  typeTheMeasuredPh: 'Type the measured pH.',
}

/** SaveNotices.vue. */
export const saveNotices = {
  thisFormulaWasAlsoChanged:
    'This formula was also changed in another tab. Nothing is overwritten until you choose.',
  keepBoth: 'Keep both',
  useTheOtherVersion: 'Use the other version',
  thisFormulaWasDeletedIn: 'This formula was deleted in another tab. Your copy is no longer saved.',
  saveItAgain: 'Save it again',
  notDone: (refused: Shown) => `Not done: ${refused}`,
  yourVersionIsKeptAs: 'Your version is kept as a separate formula.',
}

/** Sheet.vue. */
export const sheet = {
  sheet: 'Sheet',
  addAPhase: 'Add a phase',
  findsAnIngredient: 'finds an ingredient,',
  listsTheKeys: 'lists the keys.',
  removed: (label: Shown) => `${label} removed.`,
  newPhase: 'New phase',
  withWord: (holds: Shown, value: Shown) => ` with ${holds} ${value}`,
  removed2: (name: Shown, value: Shown) => `${name} removed${value}.`,
}

/** ShoppingDialog.vue. */
export const shoppingDialog = {
  shoppingList: 'Shopping list',
  forOfWaterAndExpired: (batchGrams: Shown, name: Shown) =>
    `For ${batchGrams} of ${name}. Water and expired lots are not counted.`,
  everythingIsInStock: 'Everything is in stock.',
  needed: 'Needed',
  inStock: 'In stock',
  missing: 'Missing',
  theMissingIngredientsCostAbout: 'The missing ingredients cost about',
  atTheLatestPrices: 'at the latest prices',
  ofHaveNoPriceNot: (lackingCount: Shown, lackingCount2: Shown) =>
    `; ${lackingCount} of ${lackingCount2} have no price (not included)`,
  packsContainMore: '. Packs contain more.',
  copyMissingIngredients: 'Copy missing ingredients',
  copied: 'Copied.',
  theBrowserBlockedCopyingSelect: 'The browser blocked copying. Select the list and copy it.',
}

/** StandIns.vue. */
export const standIns = {
  hideAlternatives: 'Hide alternatives',
  showAlternatives: 'Show alternatives',
  noSubstituteInTheCatalogue: 'No substitute in the catalogue.',
  inStock: 'in stock',
  use: (name: Shown) => `Use ${name}`,
  same: 'Same:',
  different: 'Different:',
  showAll: (listCount: Shown) => `Show all ${listCount}`,
  less: 'less',
  more: 'more',
  aBatch: (abs: Shown, value: Shown) => `${abs} ${value} a batch`,
}

/** StockRecipe.vue. */
export const stockRecipe = {
  recipeOfThisStockSolution: 'Recipe of this stock solution',
  ofIt: 'of it',
  spare: 'spare',
  overagePercent: 'Overage, percent',
  thisBatchNeeds: (need: Shown) => `This batch needs ${need}.`,
  onlyOfItsCompositionIs: (told: Shown) =>
    ` Only ${told} % of its composition is known; the parts are scaled as given.`,
  theSpare: 'the spare',
}

/** TargetInputs.vue. */
export const targetInputs = {
  targetPh: (says: Shown) => `Target pH ${says}`,
  from: 'from',
  to: 'to',
}

/** place-for.ts. */
export const placeFor = {
  from: (min: Shown) => `from ${min}`,
  usageRateUnknown: 'usage rate unknown',
}

/** sheet.ts. */
export const heatWords = {
  heatToC: (heatToC: Shown) => `heat to ${heatToC} °C`,
  holdMin: (holdMinutes: Shown) => `hold ${holdMinutes} min`,
  belowC: (belowC: Shown) => `below ${belowC} °C`,
}

/** use-line-menu.ts. */
export const useLineMenu = {
  addedInStep: (indexOf: Shown, stepTitle: Shown) => `Added in step ${indexOf}: ${stepTitle}`,
  factsAndStrength: 'Facts and strength',
  replaceMaterial: 'Replace material',
  editNote: 'Edit note',
  enterInGrams: 'Enter in grams',
  enterInPercent: 'Enter in percent',
  moveUp: 'Move up',
  moveDown: 'Move down',
}
