import type { Shown } from '../shown'

/** CoolChart.vue. */
export const coolChart = {
  minutesOfCooling: 'minutes of cooling',
  belowContinue: (limit: Shown) => `below ${limit} continue`,
  temperaturesFromToCAnd: (readingsCount: Shown, celsius: Shown, celsius2: Shown) =>
    `${readingsCount} temperatures from ${celsius} to ${celsius2} °C, and the fitted cooling curve.`,
  minutes: 'Minutes',
}

/** CoolPanel.vue. */
export const coolPanel = {
  belowContinue: (limit: Shown) => `Below ${limit}: continue.`,
  belowInAbout: (limit: Shown) => `Below ${limit} in about`,
  fromOneMeasurementAndEarlier: ', from one measurement and earlier batches',
  aRoughEstimateFromOne: ', a rough estimate from one measurement',
  checkAgainAtLikelyTo: (now: Shown, minutesWords: Shown, minutesWords2: Shown, value: Shown, stir: Shown) =>
    `Check again at ${now}, likely ${minutesWords} to ${minutesWords2}${value}. Stir every ${stir} minutes`,
  thisEmulsifierClumpsIfCooled: '; this emulsifier clumps if cooled unstirred',
  thisVessel: 'this vessel',
  comparedWithTheCalculatedTime: (value: Shown) =>
    `Compared with the calculated time for a beaker of this size ${value} took`,
  timesAsLong: 'times as long',
  cooling: 'Cooling',
  coolingMethod: 'Cooling method',
  waterTemperature: 'Water temperature',
  room: 'Room',
  theTemperatureAroundIt: 'the temperature around it',
  setTimer: 'Set timer',
  stirInMin: (stir: Shown) => `Stir in ${stir} min`,
  newtonsLawOfCoolingFitted:
    'Newton’s law of cooling, fitted to your measurements. The band allows for evaporation, stirring and the heat that fatty alcohols release as they set near 50 °C.',
  inAir: 'In air',
  inColdWater: 'In cold water',
  min: (max: Shown) => `${max} min`,
  aboutNow: (limit: Shown) => `${limit} about now`,
  stir: 'Stir',
}

/** DoseForm.vue. */
export const doseForm = {
  adjustThePh: 'Adjust the pH',
  thisFormulaHasNoTarget: 'This formula has no target pH. Set one on its pH tab, or continue.',
  withWord: 'With',
  strength: 'Strength',
  use: (adjusterName: Shown, strengthPercent: Shown) => `Use ${adjusterName}, ${strengthPercent} %`,
  thePhOfThisBatch: 'The pH of this batch cannot be predicted. Add a little, stir, wait and measure.',
  first: (how: Shown, lands: Shown, whole: Shown, chance: Shown) =>
    `first, ${how}. ${lands} ${whole} ${chance}`,
  notMeasuredYetPredictedFrom: 'Not measured yet; predicted from the weights. Measure first.',
  added: 'Added',
  theDose: 'the dose',
  orDrops: 'or drops',
  theDrops: 'the drops',
  recordG: (grams: Shown) => `Record ${grams} g`,
  recordDose: 'Record dose',
  aTimerStartsAutomatically: (doseWait: Shown) => `${doseWait} A timer starts automatically.`,
}

/** Entries.vue. */
export const entries = {
  lastEntries: 'Last entries',
  undo: (what: Shown, material: Shown, rowValue: Shown) => `Undo: ${what} ${material} ${rowValue}`,
}

/** HandsPanel.vue. */
export const handsPanel = {
  simulatedBench: 'Simulated bench',
  beaker: 'Beaker',
  putBeakerOnTheScale: (vessel: Shown) => `Put beaker ${vessel} on the scale`,
  pourToTheTarget: 'Pour to the target',
  pourToTheTarget2: (label: Shown) => `Pour ${label} to the target`,
  orGrams: 'or grams',
  pour: 'Pour',
  takeOut: 'Take out',
  waterG: 'Water, g',
  pourWater: 'Pour water',
  lye10G: 'Lye 10 %, g',
  dripIn: 'Drip in',
  probeIn: 'Probe in',
  intoTheHotBath: 'Into the hot bath',
  outOfTheHotBath: 'Out of the hot bath',
  pourTogether: 'Pour together',
  outOfColdWater: 'Out of cold water',
  intoColdWater: 'Into cold water',
  less: 'Less',
  more: 'More',
  heatAndColdRun: 'Heat and cold run',
  coverIt: 'Cover it',
  takeTheCoverOff: 'Take the cover off',
  pourInto: (from: Shown, vessel: Shown) => `Pour ${from} into ${vessel}`,
  freeTheScaleAndZero: 'Free the scale and zero it',
  plugIn: 'Plug in',
  unplug: 'Unplug',
  covered: 'covered',
  open: 'open',
  reallyInBeakerGC: (vessel: Shown, grams: Shown, celsius: Shown, value: Shown) =>
    `Really in beaker ${vessel}: ${grams} g, ${celsius} °C, ${value}.`,
  inRealTime: 'in real time',
  timesAsFast: (value: Shown) => `${value} times as fast`,
}

/** HeatPanel.vue. */
export const heatPanel = {
  heatTo: 'Heat to',
  temperatureReached: 'Temperature reached.',
  holdHot: (vessel: Shown) => `Hold ${vessel} hot`,
  evaporation: 'Evaporation',
  usualWaterLossFromThis: 'Usual water loss from this vessel',
  usualWaterLossOnHeating: 'Usual water loss on heating',
  ofTheBatch: '% of the batch',
  weighedInWeighTheBeaker: (grams: Shown) =>
    `${grams} weighed in. Weigh the beaker after heating, and before heating if its tare weight is unknown.`,
  beforeHeating: 'Before heating',
  before: (grams: Shown) => `Before: ${grams}`,
  afterHeating: 'After heating',
  left: 'left',
  addedBack: (grams: Shown) => `, ${grams} added back`,
}

/** InstrumentsDialog.vue. */
export const instrumentsDialog = {
  instruments: 'Instruments',
  youCanTypeEveryValue:
    'You can type every value. Connected instruments fill in the field; if one disconnects, nothing is lost.',
  disconnect: 'Disconnect',
  serialPort: 'Serial port',
  serialPortForThe: (instrumentWords: Shown) => `Serial port for the ${instrumentWords}`,
  thisBrowserHasNoWeb:
    'This browser has no Web Serial. To connect a scale by serial port, use a browser that has it.',
  simulatedInstruments: 'Simulated instruments',
  forPracticeASimulatedScale:
    'For practice: a simulated scale, thermometer and pH probe with this formula. The weights are not real.',
  setUpSimulatedInstruments: 'Set up simulated instruments',
  typedByHand: 'typed by hand',
  serialPort2: 'serial port',
  disconnectedReconnecting: 'disconnected, reconnecting',
}

/** KeysDialog.vue. */
export const keysDialog = {
  keysAtTheBench: 'Keys at the Bench',
  pageDown: 'Page Down',
  nextRecordTheScaleReading: 'next: record the scale reading, then finish the step (foot pedal)',
  pageUp: 'Page Up',
  previousStepFootPedal: 'previous step (foot pedal)',
  recordTheTypedOrSteady: 'record the typed or steady value',
  tareWhileWeighing: 'tare, while weighing',
  skipTheStep: 'skip the step',
  somethingLooksWrong: 'something looks wrong',
  noteOrPhoto: 'note or photo',
  theseKeys: 'these keys',
}

/** NoteDialog.vue. */
export const noteDialog = {
  noteOrPhoto: 'Note or photo',
  photoPreview: 'Photo preview',
  anotherPhoto: 'Another photo',
  addAPhoto: 'Add a photo',
}

/** PhPanel.vue. */
export const phPanel = {
  measured: 'measured',
  predicted: 'predicted',
  predictedSinceTheLastDose: 'predicted since the last dose',
  likelyTo: (value: Shown, low: Shown, high: Shown) => `${value}, likely ${low} to ${high}`,
  onTarget: 'On target.',
  measurement: 'Measurement',
  recordPh: 'Record pH',
  recordPh2: (reading: Shown) => `Record pH ${reading}`,
  settled: 'settled',
  moving: 'moving',
  stir1GOfThe:
    'Stir 1 g of the batch into 9 g of fresh distilled water and wait 5 minutes. Discard the sample afterwards.',
  sampleTaken: 'Sample taken',
  theSample: 'the sample',
  recordSample: 'Record sample',
  gSoFarChargedAgainst: (total: Shown, doses: Shown, label: Shown, from: Shown, to: Shown) =>
    `${total} g ${doses} so far, charged against ${label}, q.s.: ${from} → ${to} %.`,
}

/** RescueDialog.vue. */
export const rescueDialog = {
  whatLooksWrong: 'What looks wrong?',
  theVesselIsStillEmpty: 'The vessel is still empty.',
  showsOnlyLaterOrAfter: (laterCount: Shown) => `Shows only later, or after another step (${laterCount})`,
  likelyHarmless: 'Likely harmless.',
  nothingInThisBatchExplains:
    'Nothing in this batch explains it yet. Wait until the phases are combined, then check again.',
  likelyCausesMostLikelyFirst: 'Likely causes, most likely first',
  likelyCause: 'Likely cause',
  howToCheck: 'How to check:',
  whenToDiscard: 'When to discard:',
  rankedByThisBatchsWeights:
    'Ranked by this batch’s weights, temperatures and pH. The causes are common practice. If skin or eyes are hurt, see a doctor.',
  otherSymptoms: 'Other symptoms',
  addedToRecord: 'Added to record',
  addToRecord: 'Add to record',
  mostLikely: (title: Shown) => ` Most likely: ${title}.`,
}

/** RunHeader.vue. */
export const runHeader = {
  somethingLooksWrong: 'Something looks wrong',
  version: (version: Shown) => ` · version ${version}`,
  instrumentsManualEntry: 'instruments: manual entry',
  disconnected: (lost: Shown) => `${lost} disconnected`,
  instrumentsConnected: 'instruments connected',
  connected: (linked: Shown) => `${linked} connected`,
  batchDeleted: 'Batch deleted.',
  pause: 'Pause',
  noteOrPhoto: 'Note or photo',
  instruments: 'Instruments',
  recordSoFar: 'Record so far',
  deleteBatch: 'Delete batch',
}

/** RunPage.vue. */
export const runPage = {
  theLastEntryIsNot: 'The last entry is not saved yet.',
  theLastEntriesAreNot: (unstoredCount: Shown) => `The last ${unstoredCount} entries are not saved yet.`,
  restoreBatch: 'Restore batch',
  theClockOfThisDevice: (ms: Shown) =>
    `The clock of this device jumped ahead by ${ms} while this page was open. Was the computer asleep, or was the clock changed?`,
  theComputerWasAsleepCount: 'The computer was asleep: count the time',
  theClockChanged: 'The clock changed',
  paused: 'Paused',
  everythingIsSavedTimersKeep:
    'Everything is saved. Timers keep running: gums hydrate and beakers cool meanwhile.',
  resume: 'Resume',
  savingTheLastEntry: 'Saving the last entry…',
  savingEntries: (pendingCount: Shown) => `Saving ${pendingCount} entries…`,
  skip: 'Skip',
  openingTheBatch: 'Opening the batch…',
}

/** SerialForm.vue. */
export const serialForm = {
  speedBaud: 'Speed, baud',
  dataBits: 'Data bits',
  stopBits: 'Stop bits',
  parity: 'Parity',
  onlyLinesWithThisText: 'Only lines with this text',
  allLines: 'all lines',
  steadyWhenTheLineContains: 'Steady when the line contains',
  whenTheValueStaysThe: 'when the value stays the same',
  noReadingWhenTheLine: 'No reading when the line contains',
  never: 'never',
  requestCommand: 'Request command',
  sendsOnItsOwn: 'sends on its own',
  factor: 'Factor',
  commaAsDecimalMark: 'Comma as decimal mark',
  testLine: 'Test line',
  theFirstNumberOfA:
    'The first number of a line is the reading. \\r and \\n may be used in “Request command”.',
  choosePort: 'Choose port',
  none: 'none',
  even: 'even',
  odd: 'odd',
  theFactorMustBeA: 'The factor must be a number other than 0.',
  settled: ', settled',
  moving: ', moving',
  readAs: (read: Shown, value: Shown) => `Read as ${read}${value}.`,
  readAsNoReading: 'Read as: no reading.',
  noReadingInThisLine: 'No reading in this line.',
}

/** SkipDialog.vue. */
export const skipDialog = {
  skipStep: 'Skip step',
  notNeededThisTime: 'Not needed this time',
  alreadyDone: 'Already done',
  equipmentMissing: 'Equipment missing',
}

/** StepCard.vue. */
export const stepCard = {
  alreadyDone: 'Already done.',
  skipped: (reason: Shown) => `Skipped: ${reason}`,
  until: (look: Shown) => `Until: ${look}`,
}

/** StepList.vue. */
export const stepList = {
  stepsOfThisBatch: 'Steps of this batch',
  stepOf: (min: Shown, stepsCount: Shown) => `Step ${min} of ${stepsCount}`,
}

/** TemperatureForm.vue. */
export const temperatureForm = {
  theThermometerShows: 'The thermometer shows',
  recordedAutomatically: 'Recorded automatically.',
  typeTheTemperature: 'Type the temperature.',
}

/** TimerStrip.vue. */
export const timerStrip = {
  timers: 'Timers',
  timeIsUp: 'Time is up',
  at: (clock: Shown) => `at ${clock}`,
  dismiss: 'Dismiss',
}

/** WaitButton.vue. */
export const waitButton = {
  wait: 'Wait',
  setTimer: 'Set timer',
}

/** use-ph-step.ts. */
export const usePhStep = {
  theProbeIsNotSteady: 'The probe is not steady yet.',
  typeThePhThatThe: 'Type the pH that the meter or strip shows.',
  measureThePhNow: 'Measure the pH now',
}
