import type { Shown } from '@omblet/core/words'

/** main.ts. */
export const main = {
  usageOmbletCheckFileFile:
    'Usage:\n  omblet check FILE [FILE ...]   evaluate formula files and print JSON\n  omblet ph FILE [FILE ...] [--to PH] [--with ADJUSTER --strength PERCENT]\n                                 predicted pH, free acid and the amount of an adjuster\n  omblet method FILE [FILE ...]  the method as it is followed, step by step\n  omblet label FILE [FILE ...] [--region EU|UK|US|CA|other] [--grams G | --millilitres ML]\n                                 ingredients, sentences and keeping time for the jar\n  omblet cost FILE --prices PRICES.csv\n                                 what the batch costs; columns material, price, pack_grams\n  omblet trend FILE.csv [--low VALUE] [--high VALUE]\n                                 how readings drift, and the day a limit is met; columns day, value\n  omblet trial FILE.json         what the scores of a trial tell\n  omblet parse FILE              read a recipe in plain text and print a formula file\n  omblet catalogue [WORDS]       materials that match, one a line\n  omblet --version               the version of Omblet\n\nA FILE that is - is read from standard input. Words behind -- are never options.',
  theDiskIsFull: 'the disk is full',
  ombletWhatWasPrintedCould: (why: Shown) => `omblet: what was printed could not be written: ${why}.\n`,
  theDiskIsFull2: 'The disk is full.',
  doesNotExistCheckThe: (file: Shown) => `${file} does not exist. Check the name and the folder.`,
  isAFolderNameA: (file: Shown) => `${file} is a folder. Name a formula file in it.`,
  mayNotBeReadCheck: (file: Shown) => `${file} may not be read. Check its permissions.`,
  couldNotBeRead: (file: Shown, message: Shown) => `${file} could not be read: ${message}`,
  ombletNameAtLeastOne: 'omblet: name at least one formula file.',
  nameOneFormulaFile: 'name one formula file.',
  nameATableOfPrices: 'name a table of prices: --prices PRICES.csv.',
  ombletCost: (table: Shown, error: Shown) => `omblet cost: ${table}: ${error}`,
  nameOneTableOfReadings: 'name one table of readings.',
  ombletTrendMustBeA: (key: Shown) => `omblet trend: --${key} must be a number.`,
  ombletTrendLowMustLie: 'omblet trend: --low must lie below --high.',
  ombletTrialNameOneTrial: 'omblet trial: name one trial file.',
  ombletParseNameOneFile: 'omblet parse: name one file with a recipe in plain text.',
  ombletParseIsAFile: (file: Shown, file2: Shown) =>
    `omblet parse: ${file} is a file of Omblet already, and no recipe in plain text. Try: omblet check ${file2}`,
  ombletParseHasNoLine: (file: Shown) =>
    `omblet parse: ${file} has no line with an ingredient and an amount.`,
  ombletParseMakesNoFormula: (file: Shown, fault: Shown) =>
    `omblet parse: ${file} makes no formula that could be read again: ${fault}`,
  ombletThereIsNoCommand: (name: Shown, keys: Shown) =>
    `omblet: there is no command "${name}". Try: ${keys}.`,
}

/** options.ts. */
export const options = {
  region: (regions: Shown) => `--region must be one of ${regions}.`,
  aboveZero: (key: Shown) => `--${key} must be a number above 0.`,
  noConstants: (adjuster: Shown) => `--with: "${adjuster}" has no acid or base constants here.`,
  needsAValueBehindIt: (option: Shown) => `${option} needs a value behind it.`,
  standsThereTwiceNameIt: (option: Shown) => `${option} stands there twice. Name it once.`,
  use: (known: Shown) => `Use ${known}.`,
  aFileOfThatName: 'A file of that name goes behind --.',
  thereIsNoOption: (name: Shown, value: Shown) => `there is no option ${name}. ${value}`,
  canBeOrWriteIt: (body: Shown, whole: Shown, decimal: Shown) =>
    `"${body}" can be ${whole} or ${decimal}. Write it without the comma.`,
  nameTheContentOnceGrams: 'name the content once: --grams or --millilitres.',
  mustBeAPhBetween: 'must be a pH between 0 and 14.',
  mustBeAPercentAbove: 'must be a percent above 0, 100 at most.',
}
