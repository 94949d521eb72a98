import type { Shown } from '../shown'

/** CorrectionDialog.vue. */
export const correctionDialog = {
  theRecordStaysUnchangedYour: 'The record stays unchanged. Your note is added with its date.',
  correctionOrLaterObservation: 'Correction or later observation',
}

/** EntriesCard.vue. */
export const entriesCard = {
  allEntries: (eventsCount: Shown) => `All entries, ${eventsCount}`,
  no: 'No.',
  time: 'Time',
  what: 'What',
  value: 'Value',
  detail: 'Detail',
  undone: ' (undone)',
}

/** ProvedDialog.vue. */
export const provedDialog = {
  nextVersionOfTheFormula: 'Next version of the formula',
  deviationsOfThisBatchIn:
    'Deviations of this batch, in percent of what was made. Choose the changes to adopt; the q.s. ingredient follows.',
  madeAsDesignedNoIngredient:
    'Made as designed: no ingredient deviates by more than 3 %, and nothing was added.',
  saveAsNextVersion: 'Save as next version',
  added: (name: Shown, after: Shown) => `${name} added, ${after}`,
  removedWas: (name: Shown, before: Shown) => `${name} removed, was ${before}`,
  theFormulaWasDeletedThe: 'The formula was deleted. The batch file contains its copy.',
  theFormulaWasChangedIn: 'The formula was changed in another tab. Open it, choose a version, and try again.',
  afterBatch: (code: Shown) => `after batch ${code}`,
  versionIsSaved: (number: Shown) => `Version ${number} is saved.`,
}

/** RecordBody.vue. */
export const recordBody = {
  batchSummary: 'Batch summary',
  notesAddedLater: 'Notes added later',
  actualWeights: 'Actual weights',
  deviations: 'Deviations',
  noneTheBatchWasMade: 'None. The batch was made as planned.',
  phAndTemperature: 'pH and temperature',
  noMeasurements: 'No measurements.',
  notes: 'Notes',
  photoOfTheBatch: 'Photo of the batch',
  thePhotoIsNotOn: 'The photo is not on this device.',
  compositionAsMade: 'Composition as made',
  noStopsOrChecksFor: 'No stops or checks for the composition as made. This is not a safety assessment.',
  ingredientListAsMade: 'Ingredient list as made',
}

/** RecordPage.vue. */
export const recordPage = {
  theLastEntriesAreNot: (why: Shown) => `${why} The last entries are not saved yet.`,
  nextVersion: 'Next version',
  theFileCouldNotBe: 'The file could not be made. Reload the page and try again.',
  readings: (code: Shown) => `${code} readings`,
  batchDeletedItStaysIn: 'Batch deleted. It stays in the bin for 30 days.',
  theFormulaIsNotIn: 'The formula is not in this browser. Import it again for label and cost.',
  allEntriesAsCsv: 'All entries as CSV',
  batchAsAFile: 'Batch as a file',
  shareTheFile: 'Share the file',
  deleteBatch: 'Delete batch',
}

/** WeighedTable.vue. */
export const weighedTable = {
  weighed: 'Weighed',
  asMade: 'As made',
  lot: 'Lot',
  lessWaterLoss: (water: Shown) => `less ${water} water loss`,
  andAddedBack: (water: Shown) => `and ${water} added back`,
  deletedLot: 'deleted lot',
}
