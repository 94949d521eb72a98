import type { Shown } from '../shown'

/** AnalysisEditor.vue. */
export const analysisEditor = {
  analysisPercentOfTheMaterial:
    'Analysis, percent of the material (leave empty what the certificate does not state)',
  substance: 'substance',
  substance2: 'Substance',
  addSubstance: 'Add substance',
}

/** ContainerDialog.vue. */
export const containerDialog = {
  editContainer: 'Edit container',
  addContainer: 'Add container',
  amberJar60Ml: 'Amber jar, 60 mL',
  material: 'Material',
  nominalVolume: 'Nominal volume',
  theVolume: 'the volume',
  brimfulVolume: 'Brimful volume',
  inStock: 'In stock',
  priceEach: 'Price each',
  thePrice: 'the price',
  unknown: 'Unknown',
  enterTheNominalVolumeIn: 'Enter the nominal volume in mL.',
  theBrimfulVolumeCannotBe: 'The brimful volume cannot be less than the nominal volume.',
  enterHowManyYouHave: 'Enter how many you have.',
}

/** ContainersPage.vue. */
export const containersPage = {
  importWord: 'Import',
  addContainer: 'Add container',
  volume: 'Volume',
  empty: 'Empty',
  price: 'Price',
  left: 'Left',
  acts: 'Acts',
  brimfulMl: (brimMl: Shown) => `brimful ${brimMl} mL`,
  none: 'none',
  deleteWord: (name: Shown) => `Delete ${name}`,
  noContainersYet: 'No containers yet',
  addJarsBottlesAndTubes:
    'Add jars, bottles and tubes. Omblet tells you which are suitable and how many a batch fills, and keeps count.',
  loadExampleStock: 'Load example stock',
  asCsv: 'As CSV',
  asASpreadsheet: 'As a spreadsheet',
  containersOmblet: 'Containers – Omblet',
  deletedItStaysInThe: (name: Shown) => `${name} deleted. It stays in the bin for 30 days.`,
  couldNotBeSaved: (name: Shown) => `${name} could not be saved.`,
  importedFrom: (taken: Shown, name: Shown) => `${taken} imported from ${name}`,
  andMore: (refusedCount: Shown) => ` And ${refusedCount} more.`,
}

/** FactsDialog.vue. */
export const factsDialog = {
  changeFacts: 'Change facts',
  fromYourSuppliersDocumentsOr:
    'From your supplier’s documents or your own experience. Your values override the catalogue until you reset them.',
  usualRange: 'Usual range, %',
  densityGMl: 'Density, g/mL',
  strengthAsSupplied: 'Strength as supplied, %',
  hlb: 'HLB',
  resetToTheCatalogue: 'Reset to the catalogue',
  theDensity: 'the density',
  theHlb: 'the HLB',
  resetToTheCatalogue2: 'Reset to the catalogue.',
}

/** ImportDialog.vue. */
export const importDialog = {
  importIngredientsOrLots: 'Import ingredients or lots',
  aCsvOrXlsxFile: 'A .csv or .xlsx file with column names in the first row. Lots:',
  materialLeftGrams: 'material, left_grams',
  plusAnyOfPackGrams:
    'plus any of (pack_grams, price, supplier, batch, bought, opened, expires, analysis, note). Own ingredients:',
  nameInci: 'name, inci',
  andFunctionsSolubilityPhase:
    'and functions, solubility, phase, usage_min, usage_max, ph_min, ph_max, parts. You see everything before it is saved.',
  orDropItHere: 'or drop it here',
  reading: (fileName: Shown) => `Reading ${fileName}`,
  ofRows: (done: Shown, total: Shown) => `: ${done} of ${total} rows`,
  newThatChangeYoursThe: (of: Shown, word: Shown, of2: Shown, of3: Shown, refusedCount: Shown) =>
    `: ${of} new ${word}, ${of2} that change yours, ${of3} the same, ${refusedCount} refused.`,
  unknownColumns: (ignored: Shown) => `Unknown columns: ${ignored}.`,
  showRows: 'Show rows',
  rowsOfTheFile: 'Rows of the file',
  noRowIsRefused: 'No row is refused.',
  anotherFile: 'Another file',
  nothingToImport: 'Nothing to import',
  importWord: (toStore: Shown, what: Shown) => `Import ${toStore} ${what}`,
  couldNotBeReadSave: (name: Shown) => `${name} could not be read. Save it again as .csv or .xlsx.`,
  importedFrom: (toStore: Shown, what: Shown, fileName: Shown) =>
    `${toStore} ${what} imported from ${fileName}.`,
}

/** IngredientsPage.vue. */
export const ingredientsPage = {
  ofIngredients: (shownCount: Shown, materialsCount: Shown) =>
    `${shownCount} of ${materialsCount} ingredients`,
  newIngredient: 'New ingredient',
  importWord: 'Import',
  searchIngredients: 'Search ingredients',
  category: 'Category',
  anyPhase: 'Any phase',
  show: 'Show',
  expiredOrExpiringSoon: 'Expired or expiring soon:',
  andMore: (expiringCount: Shown) => ` and ${expiringCount} more`,
  functionWord: 'Function',
  usualRange: 'Usual range',
  yourOwn: ' · your own',
  any: 'any',
  showAll: 'Show all',
  noIngredientMatches: 'No ingredient matches.',
  noStockYetOpenAn: 'No stock yet. Open an ingredient and add a lot.',
  noneOfYourFormulasUses: 'None of your formulas uses such an ingredient.',
  noIngredientsOfYourOwn: 'No ingredients of your own yet. Add one with New ingredient.',
  usageRateUnknown: 'usage rate unknown',
  myLots: (lotsCount: Shown) => `My lots (${lotsCount})`,
  asCsv: 'as CSV',
  asASpreadsheet: 'as a spreadsheet',
  ownIngredients: (ownCount: Shown) => `Own ingredients (${ownCount})`,
}

/** LotDialog.vue. */
export const lotDialog = {
  editLot: 'Edit lot',
  addLot: 'Add lot',
  packSizeG: 'Pack size, g',
  remainingG: 'Remaining, g',
  pricePerPack: 'Price per pack',
  shareOfPostage: 'Share of postage',
  expires: 'Expires',
  bought: 'Bought',
  opened: 'Opened',
  supplier: 'Supplier',
  lotNumber: 'Lot number',
  madeFromLots: 'Made from lots',
  documentCertificateDataSheet: 'Document (certificate, data sheet, photo)',
  chooseAnother: 'Choose another',
  theDocumentStaysInThis:
    'The document stays in this browser. A backup “With photos and documents” includes it. Location and camera data are removed from images; a PDF stays unchanged.',
  nameTheSubstanceForEach: 'Name the substance for each percentage.',
  isOver10MbKeep: (name: Shown) => `${name} is over 10 MB. Keep a smaller copy here.`,
  cannotBeOpenedHereSo: (name: Shown) =>
    `${name} cannot be opened here, so its location data cannot be removed. Save it as JPEG or PDF.`,
  thePack: 'the pack',
  enterTheRemainingAmountIn: 'Enter the remaining amount in grams.',
}

/** LotTracePage.vue. */
export const lotTracePage = {
  backToTheIngredient: 'Back to the ingredient',
  csv: 'CSV',
  lotRejected: 'Lot rejected:',
  doNotUseIt: (off: Shown) => `${off}. Do not use it.`,
  undoRejection: 'Undo rejection',
  searchingAllBatches: 'Searching all batches…',
  noBatchOnThisDevice: 'No batch on this device contains this lot.',
  ofThisLot: 'Of this lot',
  jars: 'Jars',
  action: 'Action',
  via: (by: Shown) => `via ${by}`,
  stockSolutionsThatContainIt: (stocks: Shown) => `Stock solutions that contain it: ${stocks}.`,
  appearanceProvesNothingIfIn: (looksAt: Shown) =>
    `${looksAt} Appearance proves nothing. If in doubt, discard every batch that contains this lot, and tell everyone who has a jar of it.`,
  reasonForRejectingThisLot: 'Reason for rejecting this lot',
  rejectLot: 'Reject lot',
  lot: 'lot',
  stopMakingIt: 'stop making it',
  withdrawItCheckAppearanceAnd: 'withdraw it; check appearance and odour, and discard if in doubt',
  gFilled: (filledGrams: Shown) => `${filledGrams} g filled`,
  whereWent: (called: Shown) => `where ${called} went`,
}

/** LotsCard.vue. */
export const lotsCard = {
  noLotsAddYourStock: 'No lots. Add your stock with expiry date and price.',
  aboutPer100GAt: (price: Shown) => `About ${price} per 100 g, at the latest price.`,
  priceHistory: (history: Shown) => `Price history: ${history}.`,
  left: (lasts: Shown) => `left, ${lasts}`,
  rejected: (off: Shown) => `Rejected: ${off}`,
  analysis: (analysis: Shown) => `analysis: ${analysis}`,
  editLot: 'Edit lot',
  removeLot: 'Remove lot',
  addLot: 'Add lot',
  noExpiryDate: 'no expiry date',
  expired: (expires: Shown) => `expired ${expires}`,
  expiresToday: 'expires today',
  day: 'day',
  days: 'days',
  until: (expires: Shown, days: Shown, value: Shown) => `until ${expires}, ${days} ${value}`,
  lot: (batch: Shown) => `lot ${batch}`,
  bought: (bought: Shown) => `bought ${bought}`,
  opened: (opened: Shown) => `opened ${opened}`,
  andPostage: (postage: Shown) => ` and ${postage} postage`,
  forG: (price: Shown, packGrams: Shown, value: Shown) => `${price} for ${packGrams} g${value}`,
  lotOf: (name: Shown) => `Lot of ${name}`,
  lotRemoved: 'Lot removed.',
}

/** MaterialPage.vue. */
export const materialPage = {
  ingredientNotFound: 'Ingredient not found',
  goToIngredients: 'Go to Ingredients',
  changeFacts: 'Change facts',
  facts: 'Facts',
  alsoCalled: (aliases: Shown) => `Also called ${aliases}.`,
  incompatibleWith: 'Incompatible with',
  they: (what: Shown, why: Shown) => `: they ${what}. ${why}`,
  solubility: 'Solubility',
  limits: 'Limits',
  noLegalLimitKnownCheck: 'No legal limit known. Check the rules of your region.',
  limitsTable: 'Limits table',
  substance: 'Substance',
  limit: 'Limit',
  inYourFormulas: 'In your formulas',
  notUsedYet: 'Not used yet.',
  formulaStillNames: 'formula still names',
  formulasStillName: 'formulas still name',
  removedIt: (name: Shown, used: Shown, value: Shown) => `${name} removed; ${used} ${value} it.`,
  removed: (name: Shown) => `${name} removed.`,
}

/** SolubilityCharts.vue. */
export const solubilityCharts = {
  phInWater: 'pH, in water',
  solubilityInWaterByPh: 'Solubility in water by pH.',
  solubilityInWaterWithA: 'Solubility in water with a solvent.',
  solvent: 'Solvent, %',
  aboutDissolvesInWaterAt: (waterSolubility: Shown) =>
    `About ${waterSolubility} % dissolves in water at 25 °C`,
  aboutAt5C: (waterSolubility: Shown) => `, about ${waterSolubility} % at 5 °C`,
  uncertaintyAFactorOfMore: (factor: Shown) => `Uncertainty: a factor of ${factor}; more with glycols.`,
  logLinearCosolvencyYalkowsky: (source: Shown) => `${source}; log-linear cosolvency (Yalkowsky).`,
  about: (share: Shown) => `about ${share}`,
  percentOfSolventInWater: 'percent of solvent in water, at pH 3.5',
  percentOfSolventInWater2: 'percent of solvent in water',
}

/** groups.ts. */
export const groups = {
  watersAndAloe: 'Waters and aloe',
  humectants: 'Humectants',
  oilsAndButters: 'Oils and butters',
  lightEstersAlkanesSilicones: 'Light esters, alkanes, silicones',
  fattyAlcoholsAcidsWaxes: 'Fatty alcohols, acids, waxes',
  emulsifiersAndSolubilisers: 'Emulsifiers and solubilisers',
  hairConditioners: 'Hair conditioners',
  thickeners: 'Thickeners',
  activesAndProteins: 'Actives and proteins',
  acidsBasesBuffersSalts: 'Acids, bases, buffers, salts',
  chelatorsAndAntioxidants: 'Chelators and antioxidants',
  preservatives: 'Preservatives',
  extractsAndScents: 'Extracts and scents',
  coloursPowdersUvFilters: 'Colours, powders, UV filters',
  solventsAndSurfactants: 'Solvents and surfactants',
}

/** rows.ts. */
export const rows = {
  own: 'Own',
  inMyFormulas: 'In my formulas',
  theCatalogue: 'The catalogue',
  gLeft: (grams: Shown) => `${grams} g left`,
  expired: (expires: Shown) => `expired, ${expires}`,
  bestBefore: (expires: Shown) => `best before ${expires}`,
  runningLow: 'running low',
}

/** use-ingredients.ts. */
export const useIngredients = {
  anyPhase: 'Any phase',
  allIngredients: 'All ingredients',
  inMyFormulas: 'In my formulas',
  myOwn: 'My own',
}

/** use-table-rows.ts. */
export const useTableRows = {
  changesYours: 'changes yours',
  gLeft: (leftGrams: Shown) => `${leftGrams} g left`,
  lot: (batch: Shown) => `lot ${batch}`,
  until: (expires: Shown) => `until ${expires}`,
  parts: (partsCount: Shown) => `${partsCount} parts`,
  noName: 'no name',
  all: (rowsCount: Shown) => `All ${rowsCount}`,
  refused: (refusedCount: Shown) => `Refused ${refusedCount}`,
  newWord: 'new',
  items: (lots: boolean, count: number) => `${lots ? 'lot' : 'material'}${count === 1 ? '' : 's'}`,
  unchanged: 'unchanged',
}
