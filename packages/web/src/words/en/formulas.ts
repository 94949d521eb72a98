import type { Shown } from '../shown'

/** BriefDialog.vue. */
export const briefDialog = {
  newFormula: 'New formula',
  newWord: (kindWord: Shown) => `New ${kindWord}`,
  scaleResolution: 'Scale resolution',
  startsWithTheUsualPhases: 'Starts with the usual phases for this product type and water q.s. to 100 %.',
  create: 'Create',
  theNameHasCharactersAre: (nameCount: Shown, name: Shown) =>
    `The name has ${nameCount} characters; ${name} are allowed.`,
}

/** ExportDialog.vue. */
export const exportDialog = {
  theFileContains: (words: Shown) => `The file contains ${words}.`,
  yourOwnIngredientsUsedIn:
    'Your own ingredients used in these formulas are included, with their notes. Lots, prices, batches, trials and settings are not.',
  saveFile: 'Save file',
  ownIngredient: 'own ingredient',
  ownIngredients: 'own ingredients',
  changedFact: 'changed fact',
  changedFacts: 'changed facts',
  exportedToYourDownloads: (formulas: Shown) => `${formulas} exported to your downloads.`,
}

/** FormulaCard.vue. */
export const formulaCard = {
  example: ' · example',
  moreFor: (name: Shown) => `More for ${name}`,
  choose: (name: Shown) => `Choose ${name}`,
  today: (time: Shown) => `today, ${time}`,
}

/** FormulasPage.vue. */
export const formulasPage = {
  formulas: 'Formulas',
  openAFile: 'Open a file',
  newFrom: 'New from…',
  newFormula: 'New formula',
  nothingWasChanged: ' Nothing was changed.',
  theseAreExamplesEditCopy: 'These are examples. Edit, copy or remove them.',
  removeExamples: 'Remove examples',
  examplesRemoved: 'Examples removed.',
  searchFormulas: 'Search formulas',
  nameIngredientOrActive: 'Name, ingredient or active',
  allProductTypes: 'All product types',
  productType: 'Product type',
  anyState: 'Any state',
  of: (shownCount: Shown, recordsCount: Shown) => `${shownCount} of ${recordsCount}`,
  judged: (judged: Shown) => `, ${judged} judged`,
  chosenFormulas: 'Chosen formulas',
  chosen: (chosenCount: Shown) => `${chosenCount} chosen`,
  deleted: (chosenCount: Shown) => `${chosenCount} deleted.`,
  clearSelection: 'Clear selection',
  checkingYourFormulas: 'Checking your formulas…',
  noFormulaMatches: 'No formula matches.',
  showAll: 'Show all',
  noFormulasYetStartA: 'No formulas yet. Start a formula, or drop a file here.',
  loadExamples: 'Load examples',
  dropFormulaFilesOrA: 'Drop formula files or a backup',
  brief: 'Brief',
  recipe: 'Recipe',
  ingredientList: 'Ingredient list',
  duplicated: 'Duplicated.',
  inTheBinFor30: (text: Shown) => `${text} In the bin for 30 days.`,
  exportFailed: 'Export failed.',
  duplicate: 'Duplicate',
  deleted2: (name: Shown) => `${name} deleted.`,
  theExport: 'The export',
  exportedToYourDownloads: (idsCount: Shown) => `${idsCount} exported to your downloads.`,
}

/** use-found.ts. */
export const useFound = {
  anyState: 'Any state',
  withAStop: 'With a stop',
  withACheck: 'With a check',
  noStopsOrChecks: 'No stops or checks',
}

/** use-taking.ts. */
export const useTaking = {
  filesImported: (toldCount: Shown) => `${toldCount} files imported.`,
}
