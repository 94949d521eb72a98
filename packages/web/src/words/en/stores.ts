import type { Shown } from '../shown'

/** batch.ts. */
export const batch = {
  somethingWasEnteredInAnother:
    'Something was entered in another tab. Your last entry here was not saved. Check before you continue.',
  somethingWasEnteredInAnother2:
    'Something was entered in another tab. This page now shows it; your last entry was not saved. Check before you continue.',
  thisBatchWasDeletedIn: 'This batch was deleted in another tab.',
}

/** batches.ts. */
export const batches = {
  theBatch: 'The batch',
}

/** bin.ts. */
export const bin = {
  thereIsNoRoomFor: 'there is no room for it in the bin.',
}

/** containers.ts. */
export const containers = {
  thisContainerWasDeletedIn:
    'This container was deleted in another tab; it is in the bin. Nothing was changed.',
}

/** files.ts. */
export const files = {
  partOfOmbletCouldNot: 'Part of Omblet could not be loaded. Reload the page and try again.',
  stopped: 'Stopped.',
  isHere: 'is here',
  goesOnWithWhatWas: 'goes on with what was here',
  wasHereAlready: 'was here already',
  isHereBesideTheOne: 'is here beside the one it differs from',
  batch: (code: Shown, words: Shown) => `Batch ${code} ${words}.`,
  trial: (name: Shown, words: Shown) => `Trial ${name} ${words}.`,
  aFormulaCalledWasHere: (wanted: Shown) => `; a formula called ${wanted} was here already`,
  itCouldNotBeSaved: 'It could not be saved.',
  isOpenHereUntilYou: (storageProblem: Shown, name: Shown) =>
    `${storageProblem} ${name} is open here until you leave the page, but was not imported.`,
  importedAs: (name: Shown, renamed: Shown) => `Imported as ${name}${renamed}.`,
}

/** instruments.ts. */
export const instruments = {
  theSimulatedBenchDoesNot: 'The simulated bench does not answer.',
  theSimulatedBenchDoesNot2: 'The simulated bench does not answer. Is Omblet’s server running?',
  noPortWasChosen: 'No port was chosen.',
}

/** library.ts. */
export const library = {
  thisFormulaCannotBeStored: (fault: Shown) => `This formula cannot be stored: ${fault}`,
  theFormula: 'The formula',
  formulas: (idsCount: Shown) => `${idsCount} formulas`,
}

/** lots.ts. */
export const lots = {
  thisLotWasDeletedIn: 'This lot was deleted in another tab; it is in the bin. Nothing was changed.',
}

/** notify-due.ts. */
export const notifyDue = {
  oneObservationIsDueToday: 'One observation is due today.',
  observationsAreDueToday: (count: Shown) => `${count} observations are due today.`,
}

/** restored.ts. */
export const restored = {
  ownIngredient: 'own ingredient',
  ownIngredients: 'own ingredients',
  changedFact: 'changed fact',
  changedFacts: 'changed facts',
  added: (new_: Shown) => `${new_} added`,
  alreadyHere: (same: Shown) => `${same} already here`,
  aCopy: 'a copy',
  copies: 'copies',
  keptBesideYoursAs: (copiesCount: Shown, value: Shown) => `${copiesCount} kept beside yours as ${value}`,
  itIs: 'it is',
  theyAre: 'they are',
  leftAsHere: (keptCount: Shown, value: Shown) => `${keptCount} left as ${value} here`,
  couldNotBeRead: (refusedCount: Shown) => `${refusedCount} could not be read`,
  nothingChanged: ': nothing changed',
  restored: (value: Shown, value2: Shown) => `Restored${value}${value2}.`,
  keptAsCopiesUnderThese: 'Kept as copies under these names',
  differentHereLeftUnchanged: 'Different here, left unchanged',
  notReadableSkipped: 'Not readable, skipped',
}

/** safety.ts. */
export const safety = {
  and: (counted: Shown, counted2: Shown) => `${counted} and ${counted2}`,
  backupWithSavedToYour: (beside: Shown) => `Backup with ${beside} saved to your downloads and verified.`,
  backupSavedToYourDownloads: (beside: Shown) =>
    `Backup saved to your downloads and verified. Not included: ${beside}. “With photos and documents” includes them.`,
  backupSavedToYourDownloads2: 'Backup saved to your downloads and verified.',
  theBackup: 'The backup',
  stoppedNothingWasSaved: 'Stopped. Nothing was saved.',
  theBackupWasSavedBut: 'The backup was saved, but not all of it can be restored.',
  notReadable: 'Not readable',
  theBackupWasSavedAnd: 'The backup was saved and verified: not all of it can be restored.',
  backupFailed: (message: Shown) => `Backup failed. ${message}`,
}

/** stability.ts. */
export const stability = {
  jarsOf: (code: Shown) => `jars of ${code}`,
}

/** trials.ts. */
export const trials = {
  thisTrialWasDeletedIn: 'This trial was deleted in another tab. It is in the bin.',
  theTrial: 'The trial',
}
