import type { Shown } from '../shown.ts'

/** backup.ts. */
export const backup = {
  itHoldsValuesTooDeep: 'its values are nested too deeply to be stored.',
  formula: (name: Shown) => `Formula ${name}`,
  versionOf: (number: Shown, of: Shown) => `Version ${number} of ${of}`,
  material: (name: Shown) => `Material ${name}`,
  material2: (name: Shown) => `Material “${name}”`,
  itContainsItselfByWay: 'it contains itself via its parts.',
  lotOf: (name: Shown) => `Lot of ${name}`,
  container: (name: Shown) => `Container ${name}`,
  entryOfWhatIsLeft: (value: Shown) => `Entry ${value} of what is left`,
  ownFiguresOf: (name: Shown) => `Own figures of ${name}`,
  batch: (name: Shown) => `Batch ${name}`,
  trial: (name: Shown) => `Trial ${name}`,
  nothingInThisBackupCan: (what: Shown, why: Shown) => `Nothing in this backup can be read. ${what}: ${why}`,
}

/** batch.ts. */
export const batch = {
  events0MustBeThe: 'events[0] must be the start of the batch.',
  eventsNMustBeEvents: (wrong: Shown, expected: Shown) =>
    `events[${wrong}].n must be ${expected}: events are numbered in order from 0.`,
  eventsIsASecondStart: (again: Shown) => `events[${again}] is a second start; a batch begins once.`,
}

/** container-table.ts. */
export const containerTable = {
  theTableHasNoColumn: 'The table has no column “name”.',
  row: (number: Shown, error: Shown) => `Row ${number}: ${error}`,
  row2: (value: Shown, message: Shown) => `Row ${value}: ${message}`,
}

/** fields.ts. */
export const fields = {
  to: (from: Shown, to: Shown) => `${from} to ${to}`,
  lotNumber: 'lot number',
  goodUntil: 'expires',
  madeFrom: 'made from',
  madeOf: 'wall',
  weighsEmpty: 'tare weight',
  inciNames: 'INCI names',
  usualRange: 'usual range',
  standsUpTo: 'maximum processing temperature',
  otherFacts: 'other facts',
  isThere: (field: Shown, value: Shown) => `${field} is ${value} there`,
  changedInAnotherTabMeanwhile: (clashes: Shown) =>
    `Changed in another tab meanwhile: ${clashes}. Save again to put yours in its place.`,
}

/** formula.ts. */
export const formula = {
  theFileIsNotA: 'The file is not a formula: it should hold one JSON object.',
  itSays: (text: Shown) => ` It says "${text}".`,
  formatMustBeOmbletFormula: (found: Shown) =>
    `format must be "omblet-formula", so this is not a formula file.${found}`,
  formatversionMustBeAWhole: (newest: Shown) => `formatVersion must be a whole number, ${newest} at most.`,
  formatversionWasWrittenByA: (version: Shown, newest: Shown) =>
    `formatVersion ${version} was written by a newer Omblet than this one, which reads up to ${newest}. Update Omblet to open it.`,
}

/** json.ts. */
export const json = {
  theFileDoesNotHave: 'The file does not have the expected shape.',
  theFile: 'The file',
  isMissing: (field: Shown) => `${field} is missing.`,
  theFileHoldsValuesMore: (most: Shown) =>
    `The values of the file are nested more than ${most} levels deep, too deep to store safely.`,
  theFileHasCharactersMore: (count: Shown, most: Shown) =>
    `The file has ${count} characters, more than any formula needs (${most} at most). Check that it is the right file.`,
  theFileHasCharactersCan: (count: Shown, most: Shown) =>
    `The file has ${count} characters; ${most} can be read. Check that it is the right file.`,
  theFileIsEmptyExport: 'The file is empty. Export it again or choose another file.',
  theFileIsCutOff:
    'The file is cut off or damaged: it is not complete JSON. Export it again or use another copy.',
  theFileIsNotAn: 'The file is not an Omblet file: it is not JSON. Choose a file that ends in .omblet.json.',
  formatversionOfThisWasWritten: (version: Shown, what: Shown, use: Shown) =>
    `formatVersion ${version} of this ${what} was written by a newer Omblet than this one. Update Omblet to ${use} it.`,
}

/** material-rows.ts. */
export const materialRows = {
  theNameIsMissing: 'The name is missing.',
  itsNameIsLongerThan: 'Its name is longer than 300 characters.',
  thePhaseIsNotKnown: (text: Shown, phases: Shown) => `The phase “${text}” is not known; use ${phases}.`,
  usualRange: 'usual range',
  itsNeedsBothEnds: (what: Shown) => `Its ${what} needs both ends.`,
  itsBeginsAboveItsEnd: (what: Shown) => `Its ${what} begins above its end.`,
}

/** own-kind.ts. */
export const ownKind = {
  theHlb: 'the HLB',
  theMaximumTemperature: 'the maximum temperature',
  theMeltingPoint: 'the melting point',
  theMolarMass: 'the molar mass',
  thePercentOfSalt: 'the percent of salt',
  theHours: 'the hours',
  typePkaValuesBetween10: 'Type pKa values between −10 and 20, with semicolons between them.',
}

/** table-columns.ts. */
export const tableColumns = {
  isNoDay: 'is not a date',
  canBeTwoDays: 'can be two dates',
  hasItsMonthFirst: 'has the month first',
  isADayThatDoes: 'is a date that does not exist',
  inWriteItAs2026: (text: Shown, column: Shown, fault: Shown) =>
    `“${text}” in ${column} ${fault}; write it as 2026-05-01.`,
  aNumberWithoutAUnit: 'a number without a unit',
  inIsNotInConvert: (text: Shown, name: Shown, unit: Shown) =>
    `“${text}” in ${name} is not in ${unit}. Convert it, and write the number alone.`,
  inCanBeOrWrite: (body: Shown, name: Shown, whole: Shown, decimal: Shown) =>
    `“${body}” in ${name} can be ${whole} or ${decimal}. Write it without the comma.`,
  inIsNoPrice: (text: Shown, name: Shown, error: Shown) => `“${text}” in ${name} is not a price. ${error}`,
  inNeedsANameAnd: (text: Shown, name: Shown) =>
    `“${text}” in ${name} needs a name and a percent, such as Linalool 30.`,
  theColumnMoreIsNot: 'The column “more” is not readable; leave it as it was exported, or empty it.',
}

/** tables.ts. */
export const tables = {
  theRow: 'The row',
  theFileIsEmptyIts: 'The file is empty. Its first row must name the columns.',
  theFileHasRowsFit: (rows: Shown, most: Shown) => `The file has ${rows} rows; ${most} fit. Split it.`,
  aTableOfLotsNeeds: 'A table of lots needs a column “material”.',
  noColumnIsKnownHere:
    'No known column. Lots need “material” and “left_grams”; materials need “name” or “inci”.',
  noMaterialIsNamed: 'The column “material” is empty.',
  noMaterialIsCalledMake: (text: Shown) =>
    `There is no ingredient “${text}”. Create it as your own ingredient first.`,
  neitherWhatIsLeftNor: '“left_grams” and “pack_grams” are both empty. Fill in one of them.',
  theSameIdStandsIn: 'An earlier row has the same id.',
  itsIdIsThatOf: 'Its id belongs to an ingredient of the catalogue. Leave the id empty.',
  itContainsItselfByWay: 'It contains itself via its parts.',
}

/** trend-table.ts. */
export const trendTable = {
  theTableNeedsTheColumns: 'The table needs the columns day and value in its first row.',
  rowIsWhichIsNo: (value: Shown, key: Shown, cell: Shown) =>
    `Row ${value}: ${key} is “${cell}”, which is not a number.`,
  theTableHasNoReading: 'The table has no readings below its headings.',
}

/** trial.ts. */
export const trial = {
  idTwice: (field: Shown, at: Shown, id: Shown) => `${field}[${at}].id is “${id}” a second time.`,
  isAndThereIsNo: (field: Shown, value: Shown, what: Shown) =>
    `${field} is “${value}”, and there is no such ${what}.`,
  scoresValueIsTheScale: (value: Shown, text: Shown, attribute: Shown, low: Shown, high: Shown) =>
    `scores[${value}].value is ${text}; the scale of ${attribute} goes from ${low} to ${high}.`,
  pairsOverIsTheSame: (value: Shown) => `pairs[${value}].over is the same sample as chosen.`,
  samplesNamesMoreThanOne: 'samples names more than one reference. Leave one.',
  planIsMissingThisTrial:
    'plan is missing: this trial was not set up in Omblet. The command “omblet trial” reads it.',
  planNamesTheSampleAnd: (unknown: Shown) =>
    `plan names the sample “${unknown}”, and there is no such sample.`,
  scoresValueIsGoesFrom: (value: Shown, text: Shown, attribute: Shown, low: Shown, high: Shown) =>
    `scores[${value}].value is ${text}; ${attribute} goes from ${low} to ${high}.`,
}
export const prices = {
  theTableOfPricesIs: 'The table of prices is empty.',
  theTableOfPricesHas: (lacking: Shown) => `The table of prices has no column ${lacking}.`,
  row: (value: Shown) => `row ${value}`,
  materialInIsEmpty: (where: Shown) => `material in ${where} is empty.`,
  priceInIsNoPrice: (where: Shown, price: Shown, error: Shown) =>
    `price in ${where}, “${price}”, is not a price. ${error}`,
  priceInIsEmpty: (where: Shown) => `price in ${where} is empty.`,
  thePack: 'the pack',
  packGramsInCanBe: (where: Shown, pack: Shown) =>
    `pack_grams in ${where}, “${pack}”, can be read in two ways. Write it without the comma.`,
  packGramsIn: (where: Shown, pack: Shown, error: Shown) => `pack_grams in ${where}, “${pack}”: ${error}`,
  packGramsInIsNo: (where: Shown, pack: Shown) =>
    `pack_grams in ${where}, “${pack}”, is not a weight above 0.`,
  hasAPriceInRow: (name: Shown, earlier: Shown, where: Shown) =>
    `${name} has a price in row ${earlier} and in ${where}. Keep one of them.`,
}
