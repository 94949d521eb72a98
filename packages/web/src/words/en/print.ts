import type { Shown } from '../shown'

/** MethodSheet.vue. */
export const methodSheet = {
  madeOn: 'Made on',
  aboutHandsOn: (totalMinutes: Shown, handsMinutes: Shown) =>
    `About ${totalMinutes}, hands-on ${handsMinutes}.`,
  theDayBefore: 'The day before',
  handsOnTime: 'Hands-on time',
  waitingTime: 'Waiting time',
  observationsMeasurementsChanges: 'Observations, measurements, changes',
  until: (look: Shown) => `Until: ${look}.`,
  processFlow: 'Process flow',
  equipment: 'Equipment',
}

/** PrintPage.vue. */
export const printPage = {
  whatToPrint: 'What to print',
  paper: 'Paper',
  printed: 'Printed',
  doNotMakeItLike: 'Do not make it like this.',
  madeOn: 'Made on',
  weigh: 'Weigh',
  runningTotal: 'Running total',
  weighedLot: 'Weighed, lot',
  partTheRestIsWeighed: 'part; the rest is weighed in another step',
  until: (look: Shown) => ` Until: ${look}.`,
  weightAfter: 'Weight after',
  phAfter24H: 'pH after 24 h',
  precautions: 'Precautions',
  inci: 'INCI',
  ingredientsInDescendingOrder: 'Ingredients in descending order',
  findings: 'Findings',
  ombletInformsItDoesNot:
    'Omblet informs; it does not certify. Selling or giving away is subject to your local cosmetic law.',
  weighOutSheet: 'Weigh-out sheet',
  formulaCard: 'Formula card',
  letter: 'Letter',
}
