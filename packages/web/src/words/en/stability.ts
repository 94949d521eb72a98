import type { Shown } from '../shown'

/** AnswersCard.vue. */
export const answersCard = {
  allAnswers: (counted: Shown) => `All answers (${counted})`,
  corrected: ' (corrected)',
  photoOfThisObservation: 'Photo of this observation',
  correct: 'Correct',
  measuredInAPhotograph: 'measured in a photograph',
}

/** ColourReader.vue. */
export const colourReader = {
  placeTheGreyCardOr:
    'Place the grey card or the same white paper beside the product, under the same lamp, without flash. Tap the card first, then the product.',
  reference: 'Reference',
  anotherPhoto: 'Another photo',
  takePhoto: 'Take photo',
  photoTapTheCardThen: 'Photo: tap the card, then the product',
  nowTheProduct: 'Now the product.',
  tapTheCard: 'Tap the card.',
  e00: 'ΔE00',
  fromTheFirstPhoto: 'from the first photo',
  yellower: 'yellower',
  bluer: 'bluer',
  firstPhotoLaterOnesAre: 'First photo. Later ones are compared with it.',
  enterInWordsInstead: 'Enter in words instead',
  greyCard: 'Grey card',
  whitePaper: 'White paper',
}

/** DueCard.vue. */
export const dueCard = {
  due: 'Due',
  showTheOther: (dueCount: Shown) => `Show the other ${dueCount}`,
  recordObservations: 'Record observations',
  nextTwoWeeks: 'Next two weeks',
  expires: 'Expires',
  useUpOrCheckThe: 'use up, or check the smell first',
  useUpOrDiscard: 'use up or discard',
  notOnStabilityTest: 'Not on stability test',
  scheduleObservations: 'schedule observations',
  allOthers: 'All others',
  notObservedYet: 'not observed yet',
  andMoreAtTheBench: (steadyCount: Shown) => `And ${steadyCount} more, at the Bench.`,
  calendarFile: 'Calendar file',
  remindMe: 'Remind me',
  expiredDaysAgo: (days: Shown) => `expired ${days} days ago`,
  expiresToday: 'expires today',
  expiresInDays: (days: Shown) => `expires in ${days} days`,
  noChange: 'no change',
  observeAgain: 'observe again',
  doNotUse: 'do not use',
  ombletRemindsYouOfDue: 'Omblet reminds you of due observations once a day when it is open.',
  theBrowserBlocksNotifications: 'The browser blocks notifications. The calendar file reminds you too.',
}

/** LifeCard.vue. */
export const lifeCard = {
  theLastAnswersAreNot: (why: Shown) => `${why} The last answers are not saved yet.`,
  madeToday: 'made today',
  old: (age: Shown) => `${age} old`,
  containsARejectedLot: 'Contains a rejected lot:',
  withdrawItsContainers: (off: Shown) => `${off}. Withdraw its containers.`,
  thisBatchWasDiscardedSo: 'This batch was discarded, so there is nothing to observe.',
  keepBackASampleAnd:
    'Keep back a sample and observe it for 12 weeks. Omblet proposes what to observe, where and when, based on the formula.',
  allStorageConditions: 'All storage conditions',
  compareBatches: 'Compare batches',
  noOtherBatchOfThis: 'No other batch of this formula is under observation.',
  noObservationsOfThisSample: 'No observations of this sample yet.',
  twoPageReport: 'Two-page report',
  opening: 'Opening…',
  observeNow: (label: Shown, storage: Shown) => `Observe now: ${label}, ${storage}`,
  observeEarly: (storage: Shown, on: Shown) => `Observe early: ${storage}, ${on}`,
  observations: (code: Shown) => `${code} observations`,
  changeSchedule: 'Change schedule',
  allObservationsAsCsv: 'All observations as CSV',
  howItWasMade: 'How it was made',
}

/** NumberAnswer.vue. */
export const numberAnswer = {
  by: (label: Shown, label2: Shown) => `${label}, by ${label2}`,
  totalHeight: 'Total height',
  theHeight: 'the height',
  how: 'How',
  temperatureIfMeasured: 'Temperature, if measured',
}

/** ObservationHead.vue. */
export const observationHead = {
  stopObserving: 'Stop observing',
  madeToday: 'made today',
  old: (age: Shown) => `${age} old`,
}

/** ObservationPage.vue. */
export const observationPage = {
  theLastAnswersAreNot: (why: Shown) => `${why} The last answers are not saved yet.`,
  firstObservation: 'First observation',
  measureInAPhoto: 'Measure in a photo',
  photoAddedTakeAnother: 'Photo added. Take another',
  addPhoto: 'Add photo',
  resizingThePhoto: 'Resizing the photo…',
  skipQuestion: 'Skip question',
  skipObservation: 'Skip observation',
  nextBatch: 'Next batch',
  opening: 'Opening…',
  predictedFromTheFormula: (low: Shown, high: Shown) => `Predicted from the formula: ${low}–${high}`,
}

/** PatchCard.vue. */
export const patchCard = {
  patchTest: 'Patch test',
  startPatchTest: 'Start patch test',
  beforeUsingItOnThe: 'Before using it on the face: a little on the inner forearm, observed for three days.',
  itches: ', itches',
  personInitialsOnly: 'Person (initials only)',
  how: 'How',
  site: 'Site',
  thePersonAgreedToThe: 'The person agreed to the test and to recording it under these initials.',
  applied: 'Applied',
  skinReaction: 'Skin reaction',
  reaction: 'Reaction',
  itchingForMoreThanAn: 'Itching for more than an hour',
  noteOptional: 'Note (optional)',
  leftForearm: 'left forearm',
  days: (round: Shown) => `${round} days`,
}

/** PlanDialog.vue. */
export const planDialog = {
  retainedSamples: 'Retained samples',
  gOfGKeptBack: (aside: Shown, round: Shown) => `${aside} g of ${round} g kept back as retained samples.`,
  observe: 'Observe',
  after: 'After',
  days: 'Days',
  letColdOrWarmSamples:
    'Let cold or warm samples stand at room temperature for 2 hours first. Always use the same clean spoon.',
  observationsAboutMinutesInTotal: (looksCount: Shown, minutes: Shown) =>
    `${looksCount} observations, about ${minutes} minutes in total`,
  startObservations: 'Start observations',
}

/** PropertyRow.vue. */
export const propertyRow = {
  asExpected: 'As expected.',
}

/** ReportPage.vue. */
export const reportPage = {
  begun: (at: Shown) => `, begun ${at}`,
  filled: (filledAt: Shown) => `, filled ${filledAt}`,
  by: (who: Shown) => `, by ${who}`,
  made: (madeGrams: Shown) => `${madeGrams} made`,
  filled2: (filledGrams: Shown) => `, ${filledGrams} filled`,
  atRoomTemperature: 'At room temperature',
  noMeasurementsAtRoomTemperature: 'No measurements at room temperature yet.',
  allObservations: 'All observations',
  sample: 'Sample',
  on: 'On',
  filled3: 'filled',
  day: (round: Shown) => `day ${round}`,
}

/** StabilityPage.vue. */
export const stabilityPage = {
  noBatchesUnderObservation: 'No batches under observation',
  finishedBatchesAreObservedFor:
    'Finished batches are observed for 12 weeks: after a day, 3 days, a week and so on, about a minute each time. Omblet tells you what to observe and what it means.',
  toTheBench: 'To the Bench',
  loadThreeExampleBatches: 'Load three example batches',
  loading: 'Loading…',
  stabilityOmblet: 'Stability – Omblet',
}

/** TroublesList.vue. */
export const troublesList = {
  likelyCause: 'Likely cause:',
}

/** WatchChart.vue. */
export const watchChart = {
  wideBandPredictedFromThe: (low: Shown, high: Shown) =>
    `Wide band: predicted from the formula (${low}–${high}).`,
  narrowBand95ConfidenceBand: ' Narrow band: 95 % confidence band of the trend line.',
  notBelow: 'not below',
  notAbove: 'not above',
  readingsFromTo: (readsCount: Shown, reads: Shown, at: Shown, unit: Shown) =>
    `${readsCount} readings from ${reads} to ${at} ${unit}`,
  series: (drawnCount: Shown) => `${drawnCount} series`,
  forecastTo: (low: Shown, high: Shown) => `; forecast ${low} to ${high}`,
  sample: 'Sample',
  day: 'Day',
}

/** use-photo.ts. */
export const usePhoto = {
  thePhotoBelongedToThe: 'The photo belonged to the previous question and was not saved.',
}

/** use-questions.ts. */
export const useQuestions = {
  by: (label: Shown) => `by ${label}`,
  last: (value: Shown, value2: Shown) => `Last: ${value} ${value2}`,
  aPhotograph: 'a photograph',
  last2: (words: Shown) => `Last: ${words}`,
}

/** words.ts. */
export const words = {
  inDays: (inDays: Shown) => `in ${inDays} days`,
  n1DayOverdue: '1 day overdue',
  daysOverdue: (inDays: Shown) => `${inDays} days overdue`,
  turnOf3: (day: Shown) => `turn ${day} of 3`,
  days: (day: Shown) => `${day} days`,
  weeks: (day: Shown) => `${day} weeks`,
  more: (wordsCount: Shown) => `${wordsCount} more`,
  today: 'today',
  tomorrow: 'tomorrow',
  made: 'made',
  oneDay: '1 day',
  oneWeek: '1 week',
  between: 'between',
  fromTo: (from: Shown, to: Shown) => `${from} to ${to}`,
}
