import type { Shown } from '../shown'

/** CandidateList.vue. */
export const candidateList = {
  current: ' · current',
  newStop: 'new Stop',
  newCheck: 'new Check',
  noFindings: 'no findings',
}

/** DecideCard.vue. */
export const decideCard = {
  decide: 'Decide',
  noReasonGiven: 'no reason given',
  next: 'Next',
  nothing: 'nothing',
  where: 'Where',
  versionOf: (version: Shown, name: Shown) => `Version ${version} of ${name}`,
  nextQuestion: 'Next question',
  halfTheCetylAlcoholFor: 'half the cetyl alcohol, for less white',
  noteOn: (name: Shown) => `Note on ${name}`,
  setsTooFastForMe: 'sets too fast for me',
  theFormulaNoLongerExists: 'The formula no longer exists, so the decision stays with the trial.',
  recordDecision: 'Record decision',
  adoptVersion: 'Adopt version',
  none: 'None',
  fromATrial: (name: Shown) => `${name}, from a trial`,
  keptAsVersion: (number: Shown) => `Kept as version ${number}.`,
  thisTrialWasDecidedIn:
    'This trial was decided in another tab. That decision is kept; nothing was saved here.',
}

/** FoundCard.vue. */
export const foundCard = {
  predictedAndMeasured: 'Predicted and measured',
  noMeasurementsYet: 'No measurements yet.',
  photosOf: (name: Shown) => `Photos of ${name}`,
  photoOf: (name: Shown) => `Photo of ${name}`,
  recordMeasurements: 'Record measurements',
  the: (label: Shown) => `the ${label}`,
  phMeasurement: 'pH measurement',
  consistency: 'Consistency',
  freezeThaw: 'Freeze–thaw',
  notSpecified: 'not specified',
  notAssessed: 'not assessed',
  notTested: 'not tested',
}

/** JudgePage.vue. */
export const judgePage = {
  backToTheTrial: 'Back to the trial',
  whoAssesses: 'Who assesses?',
  of: (done: Shown, askedCount: Shown) => `${done} of ${askedCount}`,
  thisTrialWasClosedDuring:
    'This trial was closed during your assessment. Your answers count; the open question is no longer asked.',
  thisTrialIsClosedAnd: 'This trial is closed and unblinded. No more assessments.',
  roundOf: (round: Shown, of: Shown) => `round ${round} of ${of}`,
  toAssess: 'to assess',
  done: 'done',
  allAssessmentsDoneThankYou: 'All assessments done. Thank you.',
  enterYourAnswerAgain: (problem: Shown) => `${problem} Enter your answer again.`,
  sampleOf: (nth: Shown, of: Shown) => `Sample ${nth} of ${of}`,
  putOn: (amount: Shown, place: Shown) => `Put ${amount} on: ${place}.`,
  onASiteUsedBefore: (restMinutes: Shown) =>
    `On a site used before, wait ${restMinutes} minutes after washing.`,
  applied: 'Applied',
  wait: (clock: Shown) => `wait ${clock}`,
  twoSamplesAreTheSame: 'Two samples are the same. Which one is different?',
  whichIsNearerTo: (high: Shown) => `Which is nearer to “${high}”?`,
  whichDoYouPrefer: 'Which do you prefer?',
  tryThemFromLeftTo: 'Try them from left to right. If unsure, guess.',
  pressTheSamplesInOrder: 'Press the samples in order, from least to most liked.',
  thankYou: (name: Shown) => `Thank you, ${name}.`,
  allAnswersSavedCleanThe: 'All answers saved. Clean the test sites and pass the phone on.',
  nextPerson: 'Next person',
  someoneElse: 'Someone else',
  assessmentOmblet: 'Assessment – Omblet',
}

/** MakeCard.vue. */
export const makeCard = {
  makeTheSamples: 'Make the samples',
  sharedBaseMadeOnce: 'Shared base, made once',
  sharedPhasesMadeOnce: 'Shared phases, made once',
  inTotalIncludingOverage: (grams: Shown) => `${grams} in total, including overage`,
  makeBase: 'Make base',
  intoEachJar: (gramsEach: Shown, split: Shown) => `: ${gramsEach} into each jar. ${split}`,
  nothing: 'nothing',
  ownIngredients: (own: Shown) => `own ingredients: ${own}`,
  makeFromTheBase: 'Make from the base',
  boughtProductPutItInto: 'bought product: put it into the same plain pot',
  weighOutSheet: 'Weigh-out sheet',
  samePotsSameFillSame:
    'Same pots, same fill, same age within a day, pH within 0.2. No difference in colour that would reveal a sample.',
  notMade: 'not made',
}

/** OrderAnswer.vue. */
export const orderAnswer = {
  confirmRanking: 'Confirm ranking',
}

/** OwnAttribute.vue. */
export const ownAttribute = {
  addOwnAttribute: 'Add own attribute',
  ownAttribute: 'Own attribute',
  attribute: 'Attribute',
  sound: 'sound',
  anchorAt0: 'Anchor at 0',
  dull: 'dull',
  anchorAt10: 'Anchor at 10',
  squeaky: 'squeaky',
  useNeutralWordsLikingIs: 'Use neutral words. Liking is asked separately, at the end.',
}

/** PaperPage.vue. */
export const paperPage = {
  sampleCodes: 'Sample codes',
  keyOnlyForThePerson: 'Key: only for the person who labels the samples, never for an assessor.',
  key: (name: Shown) => `${name}: key`,
  newCodesForEverySession: 'New codes for every session. Same pots, same fill, label on the underside.',
  reference: ' (reference)',
  orderOfSamples: 'Order of samples',
  who: 'Who',
  round: 'Round',
  codePlace: 'Code, place',
  triangle: 'triangle',
  pair: 'pair',
  weighOut: (name: Shown) => `${name}: weigh-out`,
  onceForAllIntoEach: (name: Shown, gramsEach: Shown, jars: Shown) =>
    `${name}, once for all: ${gramsEach} into each of ${jars} jars`,
  fromTheBase: (name: Shown) => `${name}, from the base`,
  round2: (person: Shown, round: Shown) => `${person}, round ${round}`,
  eachFromLeftToRight: (before: Shown, amount: Shown, how: Shown) =>
    `${before} ${amount} each, from left to right. ${how}`,
  whenWhatFrom0To: 'When, what, from 0 to 10',
  inSecondsUpTo: (scale: Shown) => `in seconds, up to ${scale}`,
  twoAreTheSameCircle: 'Two are the same; circle the different one:',
  circleTheOneYouPrefer: 'Circle the one you prefer:',
  leastFirst: (name: Shown) => `${name}, least first (`,
  printOmblet: 'Print – Omblet',
  assessmentSheets: 'Assessment sheets',
  weighOut2: 'Weigh-out',
  onePerSessionEnterThe: 'One per session. Enter the results on the assessment page of the trial.',
  sharedBaseAndOwnIngredients: 'Shared base and own ingredients of each sample.',
}

/** ResultCard.vue. */
export const resultCard = {
  theCodesWereOpenedBefore: 'The codes were opened before the end. Later answers may not be blind.',
  decides: 'decides',
  least: 'least',
  most: 'most',
  asATable: 'As a table',
  meanSpread: 'Mean ± spread',
  barsShowTheStandardDeviation:
    'Bars show the standard deviation over assessors. “No difference” is not proof of sameness: the test may have too few assessors.',
}

/** SecondsAnswer.vue. */
export const secondsAnswer = {
  start: 'Start',
  startAgain: 'Start again',
  seconds: 'Seconds',
  next: 'Next',
  secondsCountAsNotWithin: (most: Shown, most2: Shown) =>
    `${most} seconds count as “not within ${most2} seconds”.`,
}

/** SetUpPage.vue. */
export const setUpPage = {
  createTrial: 'Create trial',
  whatIsVaried: 'What is varied',
  chooseAFormula: 'Choose a formula',
  variedIngredient: 'Varied ingredient',
  chooseAnIngredient: 'Choose an ingredient',
  levelsSeparatedBySemicolons: 'Levels, % (separated by semicolons)',
  processOption: 'Process option',
  theCandidatesCouldNotBe: 'The candidates could not be calculated. Reload the page and try again.',
  chooseAFormulaEverySample: 'Choose a formula. Every sample of the trial is a variant of it.',
  checkingEveryCandidateInThis: 'Checking every candidate in this formula…',
  nothingOfThisKindTo: 'Nothing of this kind to vary in this formula.',
  showAll: (optionsCount: Shown) => `Show all ${optionsCount}`,
  boughtProductForComparison: 'Bought product for comparison',
  theCreamInUseSince: 'the cream in use since June',
  reference: 'Reference',
  amountPerSample: 'Amount per sample',
  eachJar: 'each jar',
  assessorsAndAttributes: 'Assessors and attributes',
  assessorsSeparatedByCommas: 'Assessors, separated by commas',
  inaBoUna: 'Ina, Bo, Una',
  replicates: 'Replicates',
  theRounds: 'the rounds',
  attributes: 'Attributes',
  showMore: 'Show more',
  decidingAttribute: 'Deciding attribute',
  triangleTestWhichOfThree: 'Triangle test: which of three is different',
  pairedPreferenceTest: 'Paired preference test',
  nameOfTheTrial: 'Name of the trial',
  createTrialOmblet: 'Create trial – Omblet',
  noneAllPairs: 'None: all pairs',
  none: 'None',
}

/** SittingsCard.vue. */
export const sittingsCard = {
  assessments: 'Assessments',
  each: (before: Shown, amount: Shown, how: Shown) => `${before} ${amount} each. ${how}`,
  sessionsAndProgress: 'Sessions and progress',
  who: 'Who',
  sitting: 'Sitting',
  round: (number: Shown) => `Round ${number}`,
  assessOnThisDevice: 'Assess on this device',
  sampleCodes: 'Sample codes',
  paperSheets: 'Paper sheets',
  theCodesWereOpenFor:
    'The codes were open for a while before the trial was reopened. Anyone who saw them should not assess.',
  onlyThePersonWhoLabels:
    'Only the person who labels the samples knows the codes. Scores and codes stay hidden until the trial is closed.',
  unblindAndShowResult: 'Unblind and show result',
  closeTrial: 'Close trial',
  closedBeforeAllAssessmentsWere:
    'Closed before all assessments were done. The codes are open and the result says who is missing.',
  theCodesAreOpen: 'The codes are open.',
  open: 'open',
  done: 'done',
  doneOf: (done: Shown, of: Shown) => `${done} of ${of}`,
}

/** TrialPage.vue. */
export const trialPage = {
  scoresAsCsv: 'Scores as CSV',
  asAFile: 'As a file',
  deleteTrial: 'Delete trial',
  theTrialIsClosedAnd: (until: Shown) =>
    `The trial is closed and its codes are open. Until ${until} it can be reopened.`,
  reopenTrial: 'Reopen trial',
  loadingTheTrial: 'Loading the trial…',
  trial: 'Trial',
  dMmmm: 'd MMMM',
  samplesVaried: (samplesCount: Shown, what: Shown) => `${samplesCount} samples, ${what} varied`,
  oneAssessor: 'one assessor',
  assessors: (peopleCount: Shown) => `${peopleCount} assessors`,
  oneReplicate: 'one replicate',
  replicates: (rounds: Shown) => `${rounds} replicates`,
  blind: (value: Shown, value2: Shown) => `${value}, ${value2}, blind`,
  trialDeletedItStaysIn: 'Trial deleted. It stays in the bin for 30 days.',
}

/** TrialsPage.vue. */
export const trialsPage = {
  trials: 'Trials',
  createTrial: 'Create trial',
  noTrialsYet: 'No trials yet',
  changeOneThingMakeA:
    'Change one thing, make a jar of each version, and have people assess them blind. Omblet creates the variants, randomises the order, assigns sample codes, and tells you which differences are real.',
  loadTwoExampleTrials: 'Load two example trials',
  loadingTheTrials: 'Loading the trials…',
  trialsOmblet: 'Trials – Omblet',
  noVersionAdopted: 'no version adopted',
  awaitingDecision: 'awaiting decision',
  notAssessedYet: 'not assessed yet',
  ofSessionsDone: (done: Shown, allCount: Shown) => `${done} of ${allCount} sessions done`,
  oneAssessor: 'one assessor',
  assessors: (peopleCount: Shown) => `${peopleCount} assessors`,
  samples: (samplesCount: Shown, value: Shown) => `${samplesCount} samples, ${value}`,
}

/** VariantsCard.vue. */
export const variantsCard = {
  chooseAtLeastTwoEach: 'Choose at least two. Each sample is listed with its prediction.',
  reference: ' · reference',
  benchmarkWithoutAFormula: 'Benchmark without a formula.',
  makesUpTo100: (gives: Shown) => `; ${gives} makes up to 100 %`,
  onlyDiffers: (what: Shown, named: Shown, value: Shown) => `Only ${what} differs${named}${value}.`,
  eachSampleIsMadeSeparately: 'Each sample is made separately.',
  theBaseIsMadeOnce: 'The base is made once, up to the first different step, and divided by weight.',
  madeOnceAndDividedBy: (parts: Shown) => `Made once and divided by weight: ${parts}.`,
}

/** household-measures.ts. */
export const householdMeasures = {
  phBeforeAdjusting: 'pH, before adjusting',
  spread: 'Spread',
  flow: 'Flow',
  drop: 'Drop',
  consistency: 'Consistency',
  freezeThaw: 'Freeze–thaw',
}

/** use-set-up.ts. */
export const useSetUp = {
  chooseAFormula: 'Choose a formula.',
}

/** use-varied.ts. */
export const useVaried = {
  emulsifier: 'Emulsifier',
  theEmulsifier: 'the emulsifier',
  thickener: 'Thickener',
  theThickener: 'the thickener',
  oneIngredient: 'one ingredient',
  amountOfAnIngredient: 'Amount of an ingredient',
  processOption: 'Process option',
  theMethod: 'the method',
  theVersion: 'the version',
  boughtProduct: 'Bought product',
  theProduct: 'the product',
  theAmountOf: (of: Shown) => `the amount of ${of}`,
  theSubstituteFor: (of: Shown) => `the substitute for ${of}`,
  currentFormula: 'Current formula',
  version: (number: Shown, value: Shown) => `Version ${number}${value}`,
}

/** words.ts. */
export const words = {
  aLevel: 'a level',
}
