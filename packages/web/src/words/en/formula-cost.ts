import type { Shown } from '../shown'

/** CostBody.vue. */
export const costBody = {
  thatBatchNoLongerExists: 'That batch no longer exists. Cost of the formula from stock:',
  batchLotsUsed: (code: Shown) => `Batch ${code}, lots used`,
  fromStock: 'From stock',
  csv: 'CSV',
  xlsx: 'XLSX',
  noPricesYet: 'No prices yet',
  addLotsWithPricesUnder:
    'Add lots with prices under Ingredients. The cost is calculated from the lots that would be used first.',
  loadExampleStock: 'Load example stock',
  make: 'make',
  makes: 'makes',
  upOfThePricedCost: (names: Shown, value: Shown, percent: Shown) =>
    `${names} ${value} up ${percent} % of the priced cost.`,
  mostExpensive: (label: Shown) => `Most expensive: ${label}.`,
  ofTheBatchHasNo: (unpricedPercent: Shown) => `${unpricedPercent} % of the batch has no price`,
  noPriceForOfThe: (unpricedPercent: Shown) => `No price for ${unpricedPercent} % of the batch`,
  notIncluded: (unpriced: Shown) => `(not included): ${unpriced}.`,
  ofThisWasDiscardedOr: (money: Shown) => `${money} of this was discarded or lost in transfer.`,
  byPhase: 'By phase',
  otherCosts: 'Other costs',
  currency: 'Currency',
  atMarginAContainerWould: (marginPercent: Shown) =>
    `At ${marginPercent} % margin a container would sell for`,
  sellingIsSubjectToCosmetic:
    'Selling is subject to cosmetic law: a safety assessment, tests, a product file and a compliant label come first. Your local rules decide.',
  oneContainer: 'One container',
  itsPrice: 'its price',
  oneLabel: 'One label',
  hours: 'Hours',
  theHours: 'the hours',
  hourlyRate: 'Hourly rate',
  theHourlyRate: 'the hourly rate',
  margin: 'Margin',
  theMargin: 'the margin',
  material: 'Material',
  share: 'Share',
  mostExpensiveOfThePriced: (label: Shown, percent: Shown) =>
    `Most expensive: ${label}, ${percent} % of the priced cost.`,
  noPrices: 'No prices.',
  theBatch: 'The batch',
  aBatch: 'A batch',
  aContainer: 'A container',
  enterTheNumberOfContainers: 'enter the number of containers',
  withContainerLabelAndLabour: 'with container, label and labour',
  cost: (name: Shown) => `${name} cost`,
}

/** FillCard.vue. */
export const fillCard = {
  filling: 'Filling',
  densityAboutGMlTo: (density: Shown, low: Shown, high: Shown, low2: Shown, high2: Shown) =>
    `Density about ${density} g/mL (${low} to ${high}), ${low2} to ${high2} % transfer loss. Weigh 50 mL to measure the density.`,
  gKeptBackAsRetained: (planned: Shown) => `${planned} g kept back as retained samples`,
  fromGWantG: (count: Shown, batchGrams: Shown, count2: Shown, next: Shown) =>
    `${count} from ${batchGrams} g; ${count2} want ${next} g`,
  onlyLeft: (left: Shown) => `; only ${left} left`,
  earlierTransferLoss: 'Earlier transfer loss',
  selected: 'selected',
  use: (name: Shown) => `Use ${name}`,
  noContainersYet: 'No containers yet.',
  addThemUnderIngredients: 'Add them under Ingredients',
  toSeeWhichAreSuitable: 'to see which are suitable and how many a batch fills.',
}
