/** What the core offers to the others; everything else is its own affair. */
export { assess } from './assess/assess.ts'
export { type Known, knownOf } from './assess/known.ts'
export type { Assessment, PhaseTotal } from './assess/types.ts'
export type { PhWindows } from './assess/windows.ts'
export { balance, type Balance, type Standing, standingOf } from './balance/balance.ts'
export { isChosen, type Wishes } from './balance/wishes.ts'
export { axisSteps, curveToDraw, frameOf, lettingGo, readingsOnCurve, takenOf } from './dosing/drawing.ts'
export { asksEmulsion, type Brief, type Constraint, CONSTRAINTS, OIL_PHASE_OF } from './brief/brief.ts'
export { NEEDS } from './brief/facts.ts'
export { type Proposal, type Proposals, propose } from './brief/propose.ts'
export {
  type Candidate,
  emulsifierCandidates,
  type SwapAmount,
  thickenerCandidates,
} from './choose/emulsifiers.ts'
export { shoppingList } from './choose/shopping.ts'
export { type Substitute, substitutesFor } from './choose/substitutes.ts'
export { derivedOf } from './derived/derived.ts'
export { adjustTo, type Adjustment, freeAcids } from './dosing/adjust.ts'
export { aimPh } from './dosing/aim.ts'
export { type CurveRequest, phCurve, type PhCurve, spanOf } from './dosing/curve.ts'
export { DOSE_WAIT_MINUTES, doseFault, dosingOf, phStand } from './dosing/dosing.ts'
export { blockersOf, driftsOf, phEffects, thinningAt } from './dosing/effects.ts'
export { adjusterKey, phModelOf, phNow } from './dosing/fit.ts'
export {
  adjusterAsWeighed,
  adjusterName,
  type LogEntry,
  partsOfAddition,
  phLog,
  recordAddition,
  recordReading,
  removeEntry,
  scalePortion,
  takeInAdditions,
} from './dosing/log.ts'
export { diluted, phOfModel, withDoses } from './dosing/model.ts'
export { type DoseEffect, effectsOfDose, targetFault } from './dosing/plan.ts'
export type { Emulsion, Richness } from './emulsion/emulsion.ts'
export {
  BODIES,
  type Body,
  coldAndWarm,
  type ColdAndWarm,
  expectedBody,
  type ExpectedBody,
  fattyBalance,
  type FattyBalance,
} from './feel/body.ts'
export { emulsionProfile, type EmulsionProfile } from './feel/profile.ts'
export { type Backup, type Refused, writeBackup } from './files/backup.ts'
export { type BatchFile, type BatchPhoto, besideBatch, tidyInfo, writeBatch } from './files/batch.ts'
export { formulaFault, readFormula, toFormula, writeFormula } from './files/formula.ts'
export { readFile } from './files/gate.ts'
export { report } from './files/report.ts'
export { readReadings } from './files/trend-table.ts'
export { bringsTrial, readTrial, uniteTrials, writeTrial } from './files/trial.ts'
export {
  acknowledged,
  changeWords,
  clashWords,
  type FieldChange,
  fieldChanges,
  withChanges,
} from './files/fields.ts'
export { type Moved, withIds } from './shapes/references.ts'
export { leftOf, StockEntry } from './shapes/stock.ts'
export { copyId, brings, resolveImport, safeId, same, sameEvent, sameFormula } from './files/same.ts'
export { lotRows, materialRows, readTable, type ReadRow, TableError, type TableRead } from './files/tables.ts'
export { groupNotes } from './findings/groups.ts'
export { countFindings, findAll, isCaution } from './findings/index.ts'
export type { CapMark } from './findings/legal.ts'
export { findingKey, type Finding, type Remedy, type Severity } from './findings/types.ts'
export { computeAmounts } from './formula/amounts.ts'
export { applyEdit, duplicate, type Edit, freeName, fullReason, neighbourPlace } from './formula/edit.ts'
export { phaseLetter, withKeys } from './formula/keys.ts'
export { fromBrief, USUAL_BATCH } from './formula/templates.ts'
export { difference, versionTree } from './formula/versions.ts'
export { compareLabels, type LabelChange } from './label/compare.ts'
export { type Layout, layLabel, type Measure } from './label/layout.ts'
export { fieldsOf, PAPERS, placeStickers, sheetFault, sheetOf, SHEETS } from './label/sheets.ts'
export { bestBefore, keptMonths, leastOf, type Made, namesInOrder } from './label/text.ts'
export { Costing, LABEL_REGIONS, LabelDesign, MARKS, StickerSheet } from './shapes/label.ts'
export { type Missing } from './label/said.ts'
export { labelOf, type LabelWish } from './label/label.ts'
export { labelReport } from './files/label-report.ts'
export { useWithin } from './label/use-within.ts'
export { type LabelRegion } from './findings/traces.ts'
export { labelFormula } from './label/draft.ts'
export { readLabel } from './label/list.ts'
export { labelRanges, type LabelRanges } from './label/ranges.ts'
export type { CosolventMix } from './lines/cosolvent.ts'
export type { AssessedLine } from './lines/types.ts'
export { catalogue, Catalogue } from './materials/catalogue.ts'
export { FactChange } from './materials/changes.ts'
export { clashesOf, gradesOf, reconstituted } from './materials/facts.ts'
export { gradeAnswer, type GradeOption, type GradeQuestion, gradeQuestionOf } from './materials/grades.ts'
export { containerRows, readContainers } from './files/container-table.ts'
export {
  type Stand,
  standOf,
  daysLeft,
  freshnessOf,
  Lot,
  lotsToUse,
  priceHistory,
  pricePerGram,
  stockOf,
} from './materials/lots.ts'
export {
  customOf,
  mixtureFault,
  type OwnFacts,
  ownMaterial,
  type OwnPart,
  partsOfFormula,
} from './materials/own.ts'
export { materialsUsed } from './materials/used.ts'
export { makeSearch, type Search } from './materials/search.ts'
export { knownCatalogue, type OwnKnowledge, withOwn } from './materials/shelf-catalogue.ts'
export { stockRecipe } from './materials/stock.ts'
export { ALLERGENS } from './materials/allergens.ts'
export { usualTraces } from './materials/traces.ts'
export {
  blankKind,
  changedMaterial,
  groupOf,
  kindFacts,
  kindFaults,
  type KindForm,
  kindOfMaterial,
  likes,
  type OwnGroup,
} from './files/own-kind.ts'
export { AcidBase, acidBaseOf, acidBases } from './ph/acid-base.ts'
export { adjusterOf, solutionRecipe, USUAL_ADJUSTER } from './ph/adjusters.ts'
export {
  Calibration,
  calibrationFault,
  meterState,
  nernstSlope,
  parseReading,
  readingFault,
} from './ph/meter.ts'
export { phNotTold, oilyAcids, type PhPrediction } from './ph/predict.ts'
export { solvePh } from './ph/solver.ts'
export { buildRecipe } from './recipes/build.ts'
export { packRecipe, unpackRecipe } from './recipes/pack.ts'
export { MOST_RECIPE_LINES, readRecipe, readRecipeCells } from './recipes/read.ts'
export type { LineAnswer, Question, ReadLine, RecipeLine } from './recipes/recipe.ts'
export {
  Formula,
  type Kind,
  KINDS,
  LIMITS,
  Line,
  type LineRef,
  MADE_FOR,
  type MadeFor,
  METHODS,
  Phase,
  Portion,
  Product,
  Reading,
  type Region,
  REGIONS,
  type Rinse,
  RINSES,
  type Role,
  type Site,
  SITES,
} from './shapes/formula.ts'
export { SavedVersion } from './files/backup.ts'
export { Trial } from './shapes/trial.ts'
export { VersionStory } from './shapes/version.ts'
export { Material, type MaterialKind, SOLUBILITIES } from './shapes/material.ts'
export { MethodChoices, MethodEdits, type ProcessOptions } from './shapes/method.ts'
export { solubilityAt, temperatureFactor } from './solubility/solubility.ts'
export type { Solver } from './solve/lp.ts'
export { cellText, type Cell, harmlessRows } from './text/cells.ts'
export { parseCsv, writeCsv } from './text/csv.ts'
export {
  capitalise,
  uncapitalise,
  decimalsOf,
  formatCelsius,
  formatGrams,
  formatNumber,
  formatPercent,
  formatRange,
  listWords,
  sayNumber,
  sayPercent,
  shorten,
} from './text/format.ts'
export { firstIssue, ReadError } from './files/json.ts'
export { slug } from './text/names.ts'
export { minutesOfDay, sayMinutes } from './text/minutes.ts'
export { isSoundRemedy } from './findings/sound-remedies.ts'
export { nothingFits } from './findings/unsafe-ph.ts'
export { suppliedName, type WeighedName } from './lines/weighed.ts'
export {
  COUNTED_DROPS,
  COUNTED_GRAMS,
  densityOf as solutionDensity,
  DROP_ML,
  dropOf,
} from './ph/adjusters.ts'
export { unitOf } from './text/units.ts'
export { readDayText } from './text/days.ts'
export { measuredOf } from './materials/measured.ts'
export { type FieldUnit, type MeasuredOut } from './text/numbers.ts'
export { parseAmount, parseNumber, parsePrice, type FieldLimits } from './words/typed.ts'
export {
  PROPERTIES,
  type Property,
  type Rgb,
  type Sample,
  STORAGES,
  type Storage,
  type Way,
} from './shapes/stability.ts'
export { type Forecast, forecastOf } from './derived/forecast.ts'
export { type SideRow, sideBySide } from './derived/side.ts'
export { type Measured, type PlannedTrial, type TrialAttribute, type Varies } from './shapes/trial.ts'
export * from './making.ts'
