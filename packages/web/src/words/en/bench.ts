import type { Shown } from '../shown'

/** BeforeCard.vue. */
export const beforeCard = {
  beforeYouStart: 'Before you start',
  chooseAFormulaToSee: 'Choose a formula to see what it needs.',
  enterTheBatchSize: 'Enter the batch size.',
  thisFormulaHasNoAmounts: 'This formula has no amounts yet. Enter amounts first.',
  stepsHandsOn: (stepsCount: Shown, totalMinutes: Shown, handsMinutes: Shown) =>
    `${stepsCount} steps, ${totalMinutes}, hands-on ${handsMinutes}.`,
  stop: 'stop: ',
  isVeryLittleForA: (label: Shown, grams: Shown, resolution: Shown) =>
    `${label}: ${grams} is very little for a scale of ${resolution} g. The Bench offers a stock solution`,
  fromGOnItCan: (batch: Shown) => `; from ${batch} g on it can be weighed`,
  inStock: (haveGrams: Shown) => `${haveGrams} in stock`,
  noneInStock: 'none in stock',
  needed: (label: Shown, needGrams: Shown, value: Shown) => `${label}: ${needGrams} needed, ${value}.`,
  nothingToPrepare: 'Nothing to prepare.',
  prepareAhead: 'Prepare ahead',
}

/** BenchPage.vue. */
export const benchPage = {
  bench: 'Bench',
  n1Batch: '1 batch',
  batches: (headsCount: Shown) => `${headsCount} batches`,
  importBatch: 'Import batch',
  startABatch: 'Start a batch',
  orphanedEntries: 'Orphaned entries',
  entriesOfBatchesThatWere:
    'Entries of batches that were deleted while something was being entered. Nothing uses them.',
  entriesWithoutABatch: 'Entries without a batch',
  n1Entry: '1 entry',
  entries: (eventsCount: Shown) => `${eventsCount} entries`,
  inProgress: 'In progress',
  paused: 'paused',
  lastEntry: 'last entry',
  ofSteps: (stepsDone: Shown, steps: Shown, targetGrams: Shown, value: Shown, notAfter: Shown) =>
    `${stepsDone} of ${steps} steps, ${targetGrams}, ${value} ${notAfter}`,
  resume: 'Resume',
  made: 'Made',
  searchBatches: 'Search batches',
  nameCodeOrMaker: 'Name, code or maker',
  showBatches: 'Show batches',
  finishedBatches: 'Finished batches',
  code: 'Code',
  started: 'Started',
  filled: 'Filled',
  noBatchMatches: 'No batch matches.',
  benchOmblet: 'Bench – Omblet',
  kept: 'Kept',
  discarded: 'Discarded',
  leftOver: (code: Shown) => `left over ${code}`,
  removedItStaysInThe: 'Removed. It stays in the bin for 30 days.',
}

/** FirstBatch.vue. */
export const firstBatch = {
  noBatchesYet: 'No batches yet',
  chooseAFormulaOmbletGuides:
    'Choose a formula. Omblet guides you through it step by step, checks each weight, keeps the time, corrects over- and under-pours, and writes the batch record.',
  noScaleOrProbeConnected:
    'No scale or probe connected? Type what yours show. To practise, start a batch and choose the simulated instruments.',
  formulasToMake: 'Formulas to make',
}

/** StartPage.vue. */
export const startPage = {
  startABatch: 'Start a batch',
  formulaAndAmount: 'Formula and amount',
  chooseAFormula: 'Choose a formula',
  version: 'Version',
  amountBy: 'Amount by',
  volumeOfEach: 'Volume of each',
  theSize: 'the size',
  density: 'Density',
  theDensity: 'the density',
  transferLoss: 'Transfer loss',
  theLoss: 'the loss',
  makes: 'Makes',
  creamsContainAir095: '. Creams contain air (0.95–1.0 g/mL); toners are about 1.0 g/mL.',
  transferLoss2: 'Transfer loss:',
  madeBy: 'Made by',
  roomTemperatureIfKnown: 'Room temperature, if known',
  theRoomsTemperature: 'the room’s temperature',
  theBatchKeepsACopy: 'The batch keeps a copy of the formula. Later changes to the formula do not affect it.',
  startBatch: 'Start batch',
  startABatchOmblet: 'Start a batch – Omblet',
  currentFormula: 'Current formula',
  version2: (number: Shown, value: Shown) => `Version ${number}${value}`,
  thisBatchCodeIsAlready: 'This batch code is already used.',
}

/** words.ts. */
export const words = {
  inProgress: 'in progress',
  scale: 'Scale',
  thermometer: 'Thermometer',
  phProbe: 'pH probe',
}
