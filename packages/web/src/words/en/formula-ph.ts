import type { Shown } from '../shown'

/** CurveCard.vue. */
export const curveCard = {
  currentPhAndPhAdjuster: 'Current pH and pH adjuster needed',
  remainingDose: 'Remaining dose',
  likelyToG: (lowGrams: Shown, highGrams: Shown, dropWords: Shown) =>
    `likely ${lowGrams} to ${highGrams} g. ${dropWords}`,
  use: (adjusterName: Shown, strengthPercent: Shown) => `Use ${adjusterName}, ${strengthPercent} %`,
  theCurveCouldNotBe: 'The curve could not be drawn. Reload the page; nothing is lost.',
  waterPhaseAt25C: (neglected: Shown) =>
    `Water phase at 25 °C: electroneutrality, Davies activity coefficients, handbook constants. The band is the 95 % range. ${neglected}`,
  likelyTo: (low: Shown, high: Shown) => `likely ${low} to ${high}`,
  fittedToMeasurements: 'fitted to measurements',
  measured: (ph: Shown, methodWords: Shown) => `measured ${ph}, ${methodWords}`,
  plusTheAdditionsSince: (measured: Shown, band: Shown) => `${measured}, plus the additions since; ${band}`,
  undiluted: (measured: Shown, band: Shown) => `${measured}; undiluted ${band}`,
  of005Ml: ' of 0.05 mL',
  toDrops: (low: Shown, high: Shown, value: Shown) => `${low} to ${high} drops${value}`,
  weighItAreTooMany: (range: Shown) => `Weigh it: ${range} are too many to count reliably.`,
  weighIt: 'Weigh it.',
  aboutCountDropsTheScale: (range: Shown) => `About ${range}. Count drops: the scale is too coarse.`,
  fewerThanThreeDropsAnd:
    'Fewer than three drops and too little to weigh. Use a weaker solution, such as 1 %.',
  about: (range: Shown) => `About ${range}.`,
  partOfTheDissolvesIn: (names: Shown) =>
    `Part of the ${names} dissolves in the oil, which widens the range.`,
  undissolvedDoesNotCountUntil: (solids: Shown) =>
    `Undissolved ${solids} does not count until the pH dissolves it.`,
}

/** CurveChart.vue. */
export const curveChart = {
  predicted: 'predicted',
  likelyRange: 'likely range',
  measured: 'measured',
  allIngredientsEffective: (fits: Shown) => `all ingredients effective, ${fits}`,
  fails: (label: Shown) => `${label} fails`,
  gramsIntoG: (adjusterName: Shown, strengthPercent: Shown, batch: Shown) =>
    `${adjusterName}, ${strengthPercent} %: grams into ${batch} g`,
  target: (aim: Shown) => `target ${aim}`,
  phFromWithNoTo: (ph: Shown, adjusterName: Shown, at: Shown, end: Shown) =>
    `pH from ${ph} with no ${adjusterName} to ${at} with ${end} g.`,
  likely: 'likely',
}

/** EffectsCard.vue. */
export const effectsCard = {
  effectsOfPh: 'Effects of pH',
  of: (part: Shown, part2: Shown) => `${part} % of ${part2} %`,
  calculatedAsAcidIncludingIts:
    'Calculated as acid including its salts; free acid from the constants at 25 °C.',
  effectsOfTheDose: 'Effects of the dose',
  what: 'What',
  now: 'now',
  after: 'after',
  unit: 'unit',
  atTheTarget: (min: Shown) => `At the target, ${min}`,
  current: (now: Shown) => `Current, ${now}`,
  states: { fine: 'fine', note: 'note', check: 'check' },
}

/** LogCard.vue. */
export const logCard = {
  log: 'Log',
  inTheFormula: ' · in the formula',
  remove: (entry: Shown, value: Shown) => `Remove: ${entry} ${value}`,
  removeFromTheLog: 'Remove from the log',
  noEntriesYetAMeasurement:
    'No entries yet. A measurement before the first drop makes the prediction more precise.',
  addToFormula: 'Add to formula',
  deductedFromTheQS: ', deducted from the q.s. ingredient',
  gGAndGWater: (grams: Shown, dry: Shown, adjusterName: Shown, water: Shown, from: Shown) =>
    `${grams} g: ${dry} g ${adjusterName} and ${water} g water${from}.`,
  addedToTheFormulaAs: 'Added to the formula as a fixed amount.',
  removedFromTheLog: 'Removed from the log.',
  measuredBy: (method: Shown) => `measured, ${method}`,
}

/** MeterCard.vue. */
export const meterCard = {
  phMeter: 'pH meter',
  calibrateAgain: 'Calibrate again',
  calibrate: 'Calibrate',
  slope: 'Slope',
  offset: ', offset',
  calibratedToday: 'calibrated today',
  calibratedDaysAgo: (ageDays: Shown) => `calibrated ${ageDays} days ago`,
  check: 'Check',
  untilThenItsMeasurementsCount: (doubt: Shown) =>
    `Until then its measurements count as ${doubt} times as uncertain.`,
  noCalibrationRecordedCalibrate:
    'No calibration recorded. Calibrate with two buffers before each session. Until then, measurements count as ± 0.1.',
}

/** MeterDialog.vue. */
export const meterDialog = {
  calibrateTheMeterWithTwo: 'Calibrate the meter with two buffers',
  rinseImmerseWaitForA:
    'Rinse, immerse, wait for a steady value and enter the millivolts. Use buffers on either side of your pH: 7.00 and 4.01 suit most leave-on products.',
  firstBufferPh: 'First buffer, pH',
  readingInMv: (highPh: Shown) => `Reading in ${highPh}, mV`,
  about0: 'about 0',
  secondBufferPh: 'Second buffer, pH',
  readingInMv2: (lowPh: Shown) => `Reading in ${lowPh}, mV`,
  about177: 'about 177',
  temperatureOfTheBuffersC: 'Temperature of the buffers, °C',
  day: 'Day',
  electrodeInUseSince: 'Electrode in use since',
  slope: 'Slope',
  ofMvPerPhOffset: (nernstSlope: Shown) => `of ${nernstSlope} mV per pH, offset`,
  acceptable95105AndUp: '. Acceptable: 95–105 % and up to 15 mV.',
  theMillivolts: 'the millivolts',
  thePhOfTheBuffer: 'the pH of the buffer',
  enterBothBuffersAndThe: 'Enter both buffers and the millivolts shown in them.',
}

/** NextDose.vue. */
export const nextDose = {
  nextDose: 'Next dose',
  adjuster: 'Adjuster',
  strengthPercent: 'Strength, percent',
  gStir: 'g, stir',
  added: 'Added',
  amountToAdd: 'Amount to add',
  noPredictionForThisAmount: 'No prediction for this amount.',
  beyondTheRangeOfThe: 'Beyond the range of the curve.',
  firstG: (offered: Shown, how: Shown, whole: Shown, chance: Shown) =>
    `First ${offered} g, ${how}. ${whole} ${chance}`,
  measureThePh: 'Measure the pH',
  prepareTheSolution: 'Prepare the solution',
  aDropIsG: (dropGrams: Shown) => `A drop is ${dropGrams} g`,
  weighDrops: (countedDrops: Shown) => `Weigh ${countedDrops} drops`,
  measuredWeightOfADrop: 'Measured weight of a drop',
  dropsWeigh: (countedDrops: Shown) => `${countedDrops} drops weigh`,
  inTheLog: 'In the log',
  enterTheWeightOfDrops: (countedDrops: Shown) => `Enter the weight of ${countedDrops} drops in grams.`,
  dropsWeighGCheckThe: (countedDrops: Shown, min: Shown, max: Shown) =>
    `${countedDrops} drops weigh ${min}–${max} g. Check the weight and the count.`,
}

/** PhBody.vue. */
export const phBody = {
  passes: 'passes',
  isBelow: 'is below',
  itLooksThinOrSeparated: (value: Shown, from: Shown) =>
    `It looks thin or separated until pH ${value} ${from}.`,
  fail: 'fail',
  fails: 'fails',
  below: 'below',
  above: 'above',
  recover: 'recover',
  recovers: 'recovers',
  itAndOnceThePh: (thinning: Shown, value: Shown, value2: Shown, value3: Shown) =>
    `${thinning} ${value} ${value2} it and ${value3} once the pH is corrected and the product blended again`,
  sodiumHydroxide10: 'sodium hydroxide, 10 %',
  citricAcid20: 'citric acid, 20 %',
  aboutGOf: (grams: Shown, value: Shown) => `: about ${grams} g of ${value}`,
  doNotDiscardTheBatch: '. Do not discard the batch.',
  measureAgainAfter24Hours: 'Measure again after 24 hours.',
  phChangeInTheFirst: 'pH change in the first week',
  thePhOfThisProduct: 'The pH of this product cannot be measured',
  inAWOEmulsion:
    'In a W/O emulsion the water is enclosed in oil, out of reach of strip and probe. Set the pH of the water phase before emulsifying.',
  noWaterNoPh: 'No water, no pH',
  onlyProductsThatContainWater: 'Only products that contain water have a pH.',
  thePhCanOnlyBe: 'The pH can only be measured',
  soapFormedInTheProduct:
    'Soap formed in the product, zinc oxide or chalk sets its own pH, which cannot be predicted. Measure it and keep the log here.',
  noPhSuitsAllNeeds: (label: Shown, value: Shown, label2: Shown, value2: Shown) =>
    `No pH suits all: ${label} needs ${value}, ${label2} ${value2}.`,
  allIngredientsAndTheSite: (fits: Shown, blocker: Shown) =>
    `All ingredients and the site suit pH ${fits}; ${blocker} sets both ends.`,
  allIngredientsAndTheSite2: (fits: Shown, blocker: Shown, blocker2: Shown) =>
    `All ingredients and the site suit pH ${fits}; ${blocker} sets the lower end, ${blocker2} the upper.`,
}

/** PortionCard.vue. */
export const portionCard = {
  testOnASmallPortion: 'Test on a small portion',
  untilYouWeigh20: ' until you weigh 20',
  weighAPortionAddDrops: (adjusterName: Shown, strengthPercent: Shown, drop: Shown, value: Shown) =>
    `Weigh a portion, add drops of ${adjusterName}, ${strengthPercent} %, solution, measure, and repeat. A drop counts as ${drop} g${value}.`,
  dropsG: (grams: Shown, grams2: Shown) => `${grams} drops, ${grams2} g`,
  portionG: 'Portion, g',
  dropsAdded: 'Drops added',
  measuredPh: 'Measured pH',
  forPhTheOtherG: (ph: Shown, restGrams: Shown) => `For pH ${ph} the other ${restGrams} g want`,
  aboutDrops: (dropsInBatch: Shown) => ` (about ${dropsInBatch} drops)`,
  theCurveNowIncludesIt: '. The curve now includes it. Discard the portion.',
  clearPortion: 'Clear portion',
  thePortion: 'the portion',
  theDrops: 'the drops',
  enterTheWeightOfThe: 'Enter the weight of the portion.',
  enterTheMeasuredPh: 'Enter the measured pH.',
  enterTheStrengthOfThe: 'Enter the strength of the solution first.',
}

/** SolutionDialog.vue. */
export const solutionDialog = {
  aSolutionOf: (name: Shown) => `A solution of ${name}`,
  amountG: 'Amount, g',
  strength: 'Strength, %',
  startingStrength: 'Starting strength, %',
  distilledWater: 'Distilled water',
  useThisStrength: 'Use this strength',
  theStrengthOfWhatYou: 'the strength of what you weigh',
}

/** TargetFields.vue. */
export const targetFields = {
  centreOfTheTarget: 'Centre of the target',
  commonRange: 'common range',
  saveTarget: 'Save target',
  enterTheTargetPh: 'Enter the target pH.',
  allIngredientsAndTheSite: (fits: Shown) => `All ingredients and the site suit ${fits}.`,
}
