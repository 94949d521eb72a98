import type { Shown } from '../shown'

/** archive.ts. */
export const archive = {
  theArchiveIsIncompleteOr: 'The archive is incomplete or damaged. Use another copy of the backup.',
  itIsNotInThe: 'it is not in the archive.',
  itIsDamagedInThe: 'it is damaged in the archive.',
  theArchiveContainsTooMany: 'The archive contains too many files for a backup.',
  theFileIsLargerThan: 'The file is larger than anything Omblet writes.',
  theBackupInItIs: (round: Shown, mostBytes: Shown) =>
    `The backup in it is ${round} MB of text; ${mostBytes} MB can be read. Check that it is the right one.`,
  theArchiveContainsNoSo: (backup: Shown) =>
    `The archive contains no ${backup}, so it is not an Omblet backup.`,
  isNotASupportedPhoto: (type: Shown) => `“${type}” is not a supported photo type.`,
  damaged: 'damaged',
  missing: 'missing',
  theListThatSaysWhere: (beside: Shown, value: Shown) =>
    `the list that says where ${beside} files belong is ${value}.`,
  whereItBelongsCannotBe: 'where it belongs cannot be read.',
  theFileIsMbOf: (round: Shown, mostBytes: Shown) =>
    `The file is ${round} MB of text; ${mostBytes} MB can be read. Check that it is the right one.`,
}

/** backup.ts. */
export const backup = {
  aBackupWasWrittenThat: 'A backup was written that is none.',
  theBackup: 'The backup',
}

/** batches.ts. */
export const batches = {
  whatIsLeftOfA: 'What is left of a batch',
}

/** db.ts. */
export const db = {
  theBrowsersStorageIsFull:
    'The browser’s storage is full, so the last change is not saved. Export your work, then free some space.',
  thisDataWasWrittenBy: 'This data was written by a newer version of Omblet. Reload the page to get it.',
  theBrowserBlocksStoragePrivate:
    'The browser blocks storage (private window or disabled), so nothing is saved. You can keep working and export.',
}

/** files.ts. */
export const files = {
  theFileCanNoLonger: 'The file can no longer be read: it was moved, changed or removed. Choose it again.',
  aMaterial: 'a material',
  aDocumentOfALot: (material: Shown) => `A document of a lot of ${material}`,
  aPhotoOfBatch: (code: Shown) => `A photo of batch ${code}`,
  photos: 'Photos',
  asTextItIsMb: (round: Shown, mostBytes: Shown) =>
    `As text it is ${round} MB, and ${mostBytes} MB can be read again. Export some of it, and delete what is not needed.`,
  theArchive: 'The archive',
}

/** formulas.ts. */
export const formulas = {
  theFormulaWasChangedElsewhere: 'The formula was changed elsewhere.',
}

/** restore.ts. */
export const restore = {
  batch: (code: Shown) => `Batch ${code}`,
  trial: (name: Shown) => `Trial ${name}`,
  theSetting: (key: Shown) => `The setting “${key}”`,
  itIsNotWhatIt: 'it is not what it should be.',
}

/** simple-records.ts. */
export const simpleRecords = {
  material: (name: Shown) => `Material ${name}`,
  lotOfHereInThe: (name: Shown, lotWords: Shown, lotWords2: Shown) =>
    `Lot of ${name}: ${lotWords} here, ${lotWords2} in the backup`,
  hereInTheBackup: (name: Shown, left: Shown, left2: Shown) =>
    `${name}: ${left} here, ${left2} in the backup`,
  changedFactsOf: (name: Shown) => `Changed facts of ${name}`,
}
