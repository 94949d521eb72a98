import type { Shown } from '../shown'

/** HistoryPage.vue. */
export const historyPage = {
  thisFormula: 'this formula',
  historyOf: (name: Shown) => `History of ${name}`,
  noVersionsYet: 'No versions yet.',
  version: (number: Shown) => `Version ${number}`,
  fromVersion: (number: Shown) => `, from version ${number}`,
  ratedOf5: (rating: Shown) => `, rated ${rating} of 5`,
  reason: 'Reason:',
  result: 'Result:',
  noChanges: 'No changes.',
}

/** SaveVersionDialog.vue. */
export const saveVersionDialog = {
  nameOptional: 'Name (optional)',
  lessWaxMoreGlycerin: 'less wax, more glycerin',
  aVersionIsASnapshot: 'A version is a snapshot of the formula. You can open and restore it later.',
  versionSaved: (number: Shown) => `Version ${number} saved.`,
}

/** SidesTable.vue. */
export const sidesTable = {
  noDifferences: 'No differences.',
  amountsInPercentSideBy: 'Amounts in percent, side by side',
  differs: ', differs',
  noAmount: 'no amount',
  newFindings: 'New findings',
  resolvedFindings: 'Resolved findings',
  onlyIn: (name: Shown) => `Only in ${name}`,
}

/** StoryForm.vue. */
export const storyForm = {
  whyAfter: (number: Shown, number2: Shown) => `Why ${number} after ${number2}`,
  lessWhiteWhenRubbedIn: 'less white when rubbed in',
  absorbsFasterSameOdour: 'absorbs faster, same odour',
  rating: 'Rating',
  sourceTrial: 'Source trial',
}

/** VersionsPage.vue. */
export const versionsPage = {
  noVersionsYet: 'No versions yet',
  saveAVersionBeforeYou: 'Save a version before you try something, so you can go back to it.',
  printTheHistory: 'Print the history',
  version: (number: Shown) => `Version ${number}`,
  from: (number: Shown) => `, from ${number}`,
  ratedOf5: (rating: Shown) => `Rated ${rating} of 5`,
  nameOfVersion: (number: Shown) => `Name of version ${number}`,
  noName: 'no name',
  compareWith: 'Compare with',
  versionRestoredUndoBringsThe: (number: Shown) =>
    `Version ${number} restored. Undo brings the previous formula back.`,
}

/** use-versions.ts. */
export const useVersions = {
  theCurrentFormula: 'the current formula',
  version: (number: Shown, value: Shown) => `version ${number}${value}`,
  version2: (number: Shown) => `Version ${number}`,
  current: 'Current',
}
