// What others may take of making and what comes after it: the procedure, the Bench, keeping and trials.
export { actualFormula, chargedToFill, phFormula } from './bench/actual.ts'
export { looksAt, type Symptom, SYMPTOMS } from './bench/symptoms.ts'
export { type CoolFit, type CoolReading, fitCooling, stirEvery } from './bench/cool-fit.ts'
export { BatchInfo, BatchEvent, BatchEventBody, UNDOABLE } from './batch/events.ts'
export {
  DEFAULT_SERIAL,
  Follower,
  type InstrumentKind,
  INSTRUMENTS,
  LineCutter,
  readLine,
  SerialSettings,
  type Shown,
  SIMULATED,
  UNITS,
} from './bench/instruments.ts'
export { benchPlan, type BenchPlan, type BenchStep } from './bench/plan.ts'
export {
  batchCode,
  deviations,
  gramsForContainers,
  madeGrams,
  provedChanges,
  withProved,
  yieldPercent,
} from './bench/record.ts'
export { type BatchHead, type BatchStatus, headOf, headOfFile } from './stability/head.ts'
export { recordRows } from './bench/record-rows.ts'
export { isUntared, netOf, whyNoWeight } from './bench/shown.ts'
export { formulaToMake, largerBatch, smallWeighings } from './bench/start.ts'
export { lotUse, refusal } from './bench/refuse.ts'
export { pourRemedies, type PourRemedy } from './bench/remedies.ts'
export { rescue } from './bench/rescue.ts'
export { type Hand, SimBench } from './bench/simulated.ts'
export { foldBatch } from './bench/state.ts'
export { heldIn, linesIn, looseDoses, massOf, waterToAdd } from './bench/contents.ts'
export { activeTask, tasksOf, type WeighTask } from './bench/tasks.ts'
export { batchToWeigh } from './bench/tolerance.ts'
export type { BatchState } from './bench/types.ts'
export {
  type Cost,
  costByPrices,
  costDrivers,
  costFromShelf,
  costOfBatch,
  priceAtMargin,
  swapCost,
} from './cost/cost.ts'
export { readPrices } from './files/prices.ts'
export {
  Container,
  CONTAINER_KINDS,
  type ContainerKind,
  containerWord,
  densityOf,
  doesNotFit,
  fillFrom,
  gramsToFill,
  lossOf,
  suits,
  WALL_KINDS,
  wallWord,
} from './fill/containers.ts'
export { trialReport } from './trials/report.ts'
export { trendOf } from './stats/trend.ts'
export {
  addOwnStep,
  changeStep,
  moveStep,
  putBackStep,
  resetStep,
  takeOutStep,
  tidyEdits,
} from './procedure/edits.ts'
export { type Method, methodOf, type MethodStep } from './procedure/method.ts'
export { questionsOf, type ProcessOption } from './procedure/questions.ts'
export { procedureReport } from './files/procedure-report.ts'
export type { Equipment } from './procedure/step-facts.ts'
export { schedule } from './procedure/schedule.ts'
export { processOptionsOf } from './procedure/process-options.ts'
export { flowOf, linesOfStep, routeChoices, stepOfLine } from './procedure/view.ts'
export { weighOut } from './procedure/weigh-out.ts'
export { preDilution, type PreDilution } from './weighing/dilution.ts'
export { atResolution, NOTE_PERCENT, smallestWeighable, weighingErrorPercent } from './weighing/error.ts'
export { calendarOf } from './files/calendar.ts'
export { colourChange, GREY_CARD, WHITE_PAPER } from './stability/colour.ts'
export { choicesOf, WATCH, waysOf } from './batch/watch-data.ts'
export { daysUntil, dueObservations, observationsToday, openObservations } from './stability/due.ts'
export { inVessel, type Learned, learn, type LearnedValue, vesselOf } from './stability/learned.ts'
export { type Answer, type History, historyOf } from './stability/history.ts'
export { creamingPercent } from './stability/measures.ts'
export { patchVerdict } from './stability/patch.ts'
export { looksOf, mattersOf, proposeWatch } from './stability/plan.ts'
export { whereLotWent, type Went } from './stability/recall.ts'
export { observationRows } from './stability/rows.ts'
export { type Series, seriesOf } from './stability/series.ts'
export { type Verdict, verdictOf } from './stability/verdict.ts'
export type { Watch } from './stability/watch.ts'
export { bandAt } from './stats/trend.ts'
export { eventsOfBase } from './trials/base-events.ts'
export { sharedBase } from './trials/shared-base.ts'
export { attributesFor, ownAttribute, scaleOf, servingOf, usualAttributes } from './trials/data.ts'
export { asVersionOf, rejectedVariants } from './trials/lesson.ts'
export { forecastAndFound, foundInBatch, FROST_FOUND } from './trials/found.ts'
export {
  decided,
  ended,
  reopened,
  reopensUntil,
  planTrial,
  scoreRows,
  trialFault,
  trialWarnings,
  type TrialWish,
  withBatch,
  withFound,
} from './trials/plan.ts'
export {
  type JudgeAnswer,
  type JudgeStep,
  isAnswered,
  judgeSteps,
  nextStep,
  sittingsOf,
  standOfSittings,
  withAnswer,
} from './trials/sittings.ts'
export { type Option, variantOptions, type VariantWish, whatDiffers } from './trials/variants.ts'
export { type Reading as TrialReading, trialVerdict } from './trials/verdict.ts'
export { costReport, costRows } from './files/cost-rows.ts'
