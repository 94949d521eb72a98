import type { Shown } from '../shown'

/** DayField.vue. */
export const dayField = {
  isNoDay: 'is no day',
  canBeTwoDays: 'can be two days',
  hasItsMonthFirst: 'has its month first',
  doesNotExist: 'does not exist',
  typeItAs202605: (text: Shown, noDay: Shown) => `“${text}” ${noDay}. Type it as 2026-05-01.`,
}

/** DoseRail.vue. */
export const doseRail = {
  usualRangeTo: (min: Shown, max: Shown) => `usual range ${min} to ${max}`,
  usualRangeUnknown: 'usual range unknown',
  compositionUnknownItMayExceed: 'composition unknown: it may exceed the legal limit from',
  legalLimit: 'legal limit',
}

/** FlowDrawing.vue. */
export const flowDrawing = {
  vesselsCombinedInStepsSee: (lanesCount: Shown, lanes: Shown, rows: Shown) =>
    `${lanesCount} vessels, ${lanes}, combined in ${rows} steps; see the list of steps.`,
}

/** LearnedNote.vue. */
export const learnedNote = {
  oneEarlierBatch: 'one earlier batch',
  earlierBatches: (number: Shown) => `${number} earlier batches`,
  inWord: (unit: Shown, value: Shown) => `${unit} in ${value}.`,
  resetOnlyBatchesFromNow: 'Reset. Only batches from now on count.',
}

/** OwnKindFields.vue. */
export const ownKindFields = {
  emulsifierType: 'Emulsifier type',
  charge: 'Charge',
  actsAsAcidBaseType: 'Acts as (acid–base type)',
  anAcidBaseOrSalt: 'an acid, base or salt',
  oxidation: 'Oxidation',
  effectiveAgainstSupplierData: 'Effective against (supplier data)',
  unknown: 'Unknown',
  oWEmulsifier: 'O/W emulsifier',
  wOEmulsifier: 'W/O emulsifier',
  cationicForHair: 'Cationic, for hair',
  coEmulsifier: 'Co-emulsifier',
  polymericEmulsifier: 'Polymeric emulsifier',
  solubiliser: 'Solubiliser',
  unknownOrNone: 'Unknown or none',
  nonionic: 'Nonionic',
  anionicNegative: 'Anionic (negative)',
  cationicPositive: 'Cationic (positive)',
  amphoteric: 'Amphoteric',
  slowly: 'Slowly',
  atAMediumRate: 'At a medium rate',
  fast: 'Fast',
  meltsAtC: 'Melts at, °C',
  ifItIsSolid: 'if it is solid',
  hlbIfStated: 'HLB, if stated',
  orItsOwnPka: 'or its own pKa',
  molarMassGMol: 'Molar mass, g/mol',
  hydrationTimeHours: 'Hydration time, hours',
  electrolyteTolerance: 'Electrolyte tolerance, %',
  ifSaltsThinIt: 'if salts thin it',
  ifStated: 'if stated',
  bacteria: 'bacteria',
  yeast: 'yeast',
  mould: 'mould',
  lumpsInWaterWetIt: 'Lumps in water: wet it first',
  thickensOnlyWhenNeutralised: 'Thickens only when neutralised',
  rawGroundPlantNeitherExtracted: 'Raw ground plant, neither extracted nor sterilised',
}

/** OwnMaterialDialog.vue. */
export const ownMaterialDialog = {
  editOwnIngredient: 'Edit own ingredient',
  newOwnIngredient: 'New own ingredient',
  inciNamesSeparatedByCommas: 'INCI names, separated by commas (optional)',
  functionWord: 'Function',
  solubleIn: 'Soluble in',
  usualRange: 'Usual range, %',
  suitablePh: 'Suitable pH',
  anythingLeftEmptyCountsAs: 'Anything left empty counts as unknown.',
  createAndAdd: 'Create and add',
  neitherDisperses: 'neither (disperses)',
  any: 'Any',
  charactersAtMost: (material: Shown) => `${material} characters at most.`,
  eachPartNeedsAPercent: 'Each part needs a percent between 0 and 100.',
}

/** PartsEditor.vue. */
export const partsEditor = {
  compositionInPercentMixture: 'Composition in percent (mixture, solution or stock solution)',
  part: 'part',
  statedTheRestStaysUnknown: (sum: Shown) => `${sum} % stated; the rest stays unknown.`,
  addIngredient: 'Add ingredient',
  fromOneOfMyFormulas: 'From one of my formulas…',
  useTheIngredientsOfA: 'Use the ingredients of a formula',
}

/** PercentRows.vue. */
export const percentRows = {
  percentOf: (name: Shown) => `Percent of ${name}`,
  remove: (name: Shown) => `Remove ${name}`,
}

/** RangeField.vue. */
export const rangeField = {
  from: (name: Shown, value: Shown) => `${name} from${value}`,
  to: 'to',
  to2: (name: Shown, value: Shown) => `${name} to${value}`,
}

/** TimeField.vue. */
export const timeField = {
  typeATimeSuchAs: 'Type a time such as 07:30.',
}
