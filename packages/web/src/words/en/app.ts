import type { Shown } from '../shown'

/** AddressNotice.vue. */
export const addressNotice = {
  ombletLivesAtTheBrowser: (home: Shown) =>
    `Omblet lives at ${home}. The browser stores data under this address separately. Make a backup here, then open Omblet there and restore it.`,
  backUpWithPhotos: 'Back up with photos',
  openOmbletThere: 'Open Omblet there',
  someOfYourDataIs: 'Some of your data is stored under another address of this computer:',
  toMoveItHereMake:
    '. To move it here, make a backup there and restore it here. If that address does not open, start Omblet with PORT set to its number.',
  records: (number: Shown) => `${number} records`,
}

/** App.vue. */
export const app = {
  skipToContent: 'Skip to content',
  ombletIsOpenInAnother: 'Omblet is open in another tab',
  anOlderVersionOfOmblet:
    'An older version of Omblet is open in another tab and blocks the storage. Close that tab; this one then continues on its own.',
  openingYourFormulas: 'Opening your formulas…',
}

/** NowherePage.vue. */
export const nowherePage = {
  pageNotFound: 'Page not found',
  theAddressMayBeMistyped: 'The address may be mistyped, or the item was deleted.',
}

/** Rail.vue. */
export const rail = {
  ombletAllFormulas: 'Omblet, all formulas',
  omblet: 'Omblet',
  places: 'Places',
  due: ' due',
  allDataStaysInThis: (words: Shown) => `All data stays in this browser. ${words}`,
  aBackupIsDue: 'A backup is due.',
  theBrowserMayClearIt: 'The browser may clear it when the disk is full.',
  backUp: 'Back up',
  includePhotos: 'Include photos',
  glossary: 'Glossary',
  bin: (size: Shown) => `Bin (${size})`,
  lightTheme: 'Light theme',
  darkTheme: 'Dark theme',
  formulas: 'Formulas',
  bench: 'Bench',
  trials: 'Trials',
  withoutPhotos: 'Without photos',
  withPhotosAndDocuments: 'With photos and documents',
}

/** StorageNotice.vue. */
export const storageNotice = {
  anotherTabRunsANewer:
    'Another tab runs a newer version of Omblet. Nothing is lost; reload this page to continue.',
  reload: 'Reload',
  view: 'View',
  n1Entry: '1 entry',
  entries: (pendingCount: Shown) => `${pendingCount} entries`,
  fromTheBench: (code: Shown, name: Shown, value: Shown, held: Shown) =>
    `${code}, ${name}: ${value} from the Bench ${held}`,
  wasNotDeleted: (name: Shown, why: Shown) => `${name} was not deleted: ${why}`,
  deletingItPermanentlyFreesStorage: ' Deleting it permanently frees storage and cannot be undone.',
  deletePermanently: 'Delete permanently',
  leaveIt: 'Leave it',
  partOfOmbletCouldNot:
    'Part of Omblet could not be loaded. The server does not answer, or it has a newer version.',
  aNewVersionOfOmblet: 'A new version of Omblet is available. It is used from the next start, or now.',
  apply: 'Apply',
  later: 'Later',
  isIncompleteNothingHasBeen: (name: Shown) =>
    `${name} is incomplete. Nothing has been restored yet. Missing or damaged:`,
  more: (lostCount: Shown) => `${lostCount} more.`,
  anotherCopyOfTheBackup: 'Another copy of the backup may contain them.',
  restoreTheRest: 'Restore the rest',
  isNotSavedYetOmblet: 'is not saved yet. Omblet keeps trying.',
  wasAlsoChangedInAnother: 'was also changed in another tab. Choose which version to keep.',
  wasDeletedInAnotherTab: 'was deleted in another tab. Your changes are not saved.',
  notSavedYetOmbletKeeps: 'not saved yet. Omblet keeps trying.',
  notSavedSomethingElseWas:
    'not saved: something else was entered in another tab. Check before you continue.',
  notSavedTheBatchWas: 'not saved: the batch was deleted. It stays in the bin for 30 days.',
}

/** router.ts. */
export const router = {
  history: 'History',
  stickers: 'Stickers',
  productSheet: 'Product sheet',
}

/** What the parts of the interface say by themselves. */
export const main = {
  emptyFilterMessage: 'No results found',
  emptySearchMessage: 'No results found',
  emptyMessage: 'No options',
}
