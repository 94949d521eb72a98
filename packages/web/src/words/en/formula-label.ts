import type { Shown } from '../shown'

/** DesignCard.vue. */
export const designCard = {
  labelContentAndDesign: 'Label content and design',
  productFunction: 'Product function',
  handAndFootBalm: 'Hand and foot balm',
  content: 'Content',
  theContent: 'the content',
  unit: 'Unit',
  market: 'Market',
  nameAndAddress: 'Name and address',
  storage: 'Storage',
  stickerSheet: 'Sticker sheet',
  paper: 'Paper',
  shape: 'Shape',
  theMeasure: 'the measure',
  labels: 'Labels',
  mark: 'Mark',
  concentrates: 'Concentrates',
  batchCodeAsA2d: 'Batch code as a 2D code',
  directions: 'Directions',
  europeanUnion: 'European Union',
  unitedKingdom: 'United Kingdom',
  unitedStates: 'United States',
  canada: 'Canada',
  customGrid: 'Custom grid',
  notSpecified: 'Not specified',
  oneLabelPerContainer: 'One label per container',
  frontAndBack: 'Front and back',
  reconstitutedWithWater: 'Reconstituted with water',
  asAdded: 'As added',
  columns: 'Columns',
  rows: 'Rows',
  widthMm: 'Width, mm',
  heightMm: 'Height, mm',
  leftMarginMm: 'Left margin, mm',
  topMarginMm: 'Top margin, mm',
  horizontalPitchMm: 'Horizontal pitch, mm',
  verticalPitchMm: 'Vertical pitch, mm',
  letter: 'Letter',
  squareCorners: 'Square corners',
  round: 'Round',
}

/** KeepCard.vue. */
export const keepCard = {
  useWithin: 'Use within',
  opened: (closed: Shown, opened: Shown) => `${closed}, opened ${opened}`,
  setByYouProposedOpened: (reason: Shown, closedMonths: Shown, openedMonths: Shown) =>
    `Set by you: ${reason}. Proposed: ${closedMonths}, opened ${openedMonths}.`,
  longerThanProposedOnlyStability:
    'Longer than proposed. Only stability and challenge tests can support this.',
  howThisIsCalculated: 'How this is calculated',
  commonPracticeMicrobesAreInvisible:
    'Common practice. Microbes are invisible; only a challenge test shows whether the preservation works.',
  samplesStayedStableFor: 'Samples stayed stable for',
  months: 'months',
  discardedAfter: 'Discarded after',
  closed: 'Closed',
  theMonths: 'the months',
  opened2: 'Opened',
  set: 'Set',
  setAnotherPeriod: 'Set another period',
  resetToProposal: 'Reset to proposal',
  enterBothPeriodsInMonths: 'Enter both periods in months (0.25 is a week).',
  thePeriodAfterOpeningCannot: 'The period after opening cannot exceed the unopened shelf life.',
  giveTheReasonWhichTest: 'Give the reason: which test or observation.',
}

/** LabelBody.vue. */
export const labelBody = {
  thatBatchNoLongerExists: 'That batch no longer exists. This is the label of the formula.',
  forBatch: (code: Shown) => `For batch ${code}`,
  draftFromTheFormula: 'Draft from the formula',
  larger: 'Larger',
  actualSize: 'Actual size',
  saveAs: 'Save as',
  of: (what: Shown, name: Shown) => `${what} of ${name}`,
  find: 'find',
  finds: 'finds',
  noRoomAtTheSmallest: (lacking: Shown, value: Shown) =>
    `${lacking} ${value} no room at the smallest permitted type size. Use a larger label, front and back labels, or a tag or leaflet.`,
  stickers: 'Stickers',
  jars: 'Jars',
  theNumberOfJars: 'the number of jars',
  print: (stickers: Shown) => `Print ${stickers}`,
  onAPartlyUsedSheet: 'On a partly used sheet, select the first free label.',
  asSvg: 'As SVG',
  asPng: 'As PNG',
  productSheetOnePage: 'Product sheet, one page',
}

/** LeavesCard.vue. */
export const leavesCard = {
  labelChecklist: 'Label checklist',
  textDoesNotFit: 'Text does not fit.',
  seeNextToTheLabel: 'See next to the label.',
  enter: (what: Shown) => `Enter ${what}`,
  openIngredient: 'Open ingredient',
  typeSizeIsMmHigh: (letters: Shown) => `Type size is ${letters} mm high`,
  smallAWiderLabelIs: ': small; a wider label is easier to read',
  allergensListed: (allergens: Shown) => `Allergens listed: ${allergens}`,
  noAllergenKnownAboveIts: 'No allergen known above its threshold',
  noAllergenAboveItsThreshold: 'No allergen above its threshold',
  generalInformationNotLegalAdvice: 'General information, not legal advice. Your local rules decide.',
  requiredByLawIfSold: 'required by law if sold or supplied in trade',
  byWeightOrVolume: 'by weight or volume',
  openTheLabelFromA: 'open the label from a batch to include its code and date',
  productFunctionUnlessObvious: 'product function, unless obvious from its appearance',
  everythingExceptTheIngredients: 'everything except the ingredients in English and French',
  orderUncertainEnterTheSuppliers: 'order uncertain: enter the supplier’s composition',
  neededToListAllergensEnter: 'needed to list allergens: enter it with the lot',
  mlDoNotFitMl: (amount: Shown, most: Shown) => `${amount} mL do not fit ${most} mL.`,
}

/** ProductSheet.vue. */
export const productSheet = {
  directions: 'Directions',
  patchTest: 'Patch test',
  applyALittleToThe:
    'Apply a little to the inside of the arm twice a day for two days. If it burns, itches or reddens, do not use it. If that does not subside, show the ingredients below to a doctor.',
  precautions: 'Precautions',
  compositionNotFullyKnown: (missing: Shown) => `Composition not fully known: ${missing}.`,
  shelfLife: 'Shelf life',
  bestBefore: (until: Shown) => `Best before ${until}. `,
  onceOpenedWithinDiscardIf: (opened: Shown, storage: Shown) =>
    `Once opened, within ${opened}. ${storage} Discard if odour, colour or appearance changes, if it separates, or at any visible growth.`,
  batchMadeOn: (code: Shown, day: Shown) => `Batch ${code}, made on ${day}. `,
  draftNotFromABatch: 'Draft, not from a batch. ',
  madeAtHomeWithoutA: 'Made at home, without a safety assessment. Not a medicine.',
}

/** RestsCard.vue. */
export const restsCard = {
  basis: 'Basis',
  batchActualWeights: (code: Shown) => `Batch ${code}: actual weights.`,
  theFormulaAsWritten: 'The formula as written.',
  isListedAsReconstitutedWith: (name: Shown, percent: Shown) =>
    `${name} is listed as reconstituted with water, ${percent}. `,
  namesWithTheirPercents: (rowsCount: Shown) => `${rowsCount} names with their percents`,
  allergen: ' (allergen)',
  ofItIsAnUnspecified: (unnamed: Shown) => `${unnamed} of it is an unspecified carrier.`,
  orderCertainDownTo: (sureTo: Shown) => `Order certain down to ${sureTo}`,
  orderUncertain: 'Order uncertain',
  below1AnyOrderIs: '; below 1 % any order is permitted.',
  choose: 'Choose',
  up: (name: Shown) => `${name} up`,
  down: (name: Shown) => `${name} down`,
  resetToDescendingOrder: 'Reset to descending order',
}

/** SentencesCard.vue. */
export const sentencesCard = {
  statements: 'Statements',
  confidence: (source: Shown, confidence: Shown) => `${source}; ${confidence} confidence`,
}

/** SheetDrawing.vue. */
export const sheetDrawing = {
  fieldStartHere: (value: Shown, words: Shown) => `Field ${value}, ${words}: start here`,
  moreOnFurtherSheets: (more: Shown) => `${more} more on further sheets.`,
  getsALabel: 'gets a label',
  staysBlank: 'stays blank',
}

/** StickersPage.vue. */
export const stickersPage = {
  sheet: 'sheet',
  sheets: 'sheets',
  stickers: (pagesCount: Shown, value: Shown) => `Stickers, ${pagesCount} ${value}`,
  printAt100WithBrowser:
    'Print at 100 % with browser margins off. Test on plain paper and hold it against the sticker sheet.',
  textDoesNotFitSee: 'Text does not fit: see the label.',
  sheetsAtActualSize: 'Sheets at actual size',
  of: (what: Shown, name: Shown) => `${what} of ${name}`,
}

/** marks.ts. */
export const marks = {
  noMark: 'No mark',
  wave: 'Wave',
  gull: 'Gull',
  shell: 'Shell',
  sun: 'Sun',
  leaf: 'Leaf',
}

/** picture.ts. */
export const picture = {
  notReadable: 'not readable',
}

/** use-label.ts. */
export const useLabel = {
  front: 'Front',
}
