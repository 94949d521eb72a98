import type { Shown } from '../shown'

/** DilutionForm.vue. */
export const dilutionForm = {
  asAStockSolution1: (solute: Shown, fold: Shown) => `${solute} as a stock solution, 1 in ${fold}`,
  weighGOfItAdd: (soluteGrams: Shown, carrierGrams: Shown, carrier: Shown, errorPercent: Shown) =>
    `Weigh ${soluteGrams} g of it, add ${carrierGrams} g of ${carrier} and stir until clear or uniform. Combined weighing error: ${errorPercent} %.`,
  usedOfIt: 'Used of it',
  weighDirectly: 'Weigh directly',
  withTheseWeightsUseG: (wanted: Shown) => `With these weights, use ${wanted} g`,
  gBringG: (used: Shown, brings: Shown, solute: Shown) => `; ${used} g bring ${brings} g ${solute}`,
  theInItCountsTowards: (carrier: Shown) => `. The ${carrier} in it counts towards the formula.`,
}

/** FillPanel.vue. */
export const fillPanel = {
  thereAreAbout: 'There are about',
  containersOfMlTakeAbout: (count: Shown, ml: Shown, grams: Shown) =>
    `: ${count} containers of ${ml} mL take about ${grams} each`,
  weighTheFilledAmountThe: '. Weigh the filled amount: the last page asks for it.',
}

/** FinishPanel.vue. */
export const finishPanel = {
  allStepsDone: 'All steps done',
  made: 'made',
  waterLossNotReplaced: (grams: Shown) => `; ${grams} water loss not replaced`,
  deviations: 'Deviations',
  everythingWentAsPlanned: 'Everything went as planned.',
  totalFilled: 'Total filled',
  addItToTheBatch: (detail: Shown) => `${detail} Add it to the batch record then.`,
  aFinishedBatchCannotBe:
    'A finished batch cannot be changed; you can add notes. Until then you can go back to any step.',
  finishBatch: 'Finish batch',
  discard: 'Discard',
  notFromStock: 'Not from stock',
  left: (name: Shown, left: Shown) => `${name}, ${left} left`,
  giveAReasonForDiscarding: 'Give a reason for discarding the batch. It helps the next one.',
  moreThanTheBatchEnter: (grams: Shown) =>
    `More than the batch (${grams}). Enter the weight without containers.`,
  onlyOfAreInStock: (left: Shown, name: Shown) =>
    `Only ${left} of ${name} are in stock. Correct the count, or choose “Not from stock”.`,
}

/** LiveBar.vue. */
export const liveBar = {
  settled: 'settled',
  moving: 'moving',
  gOver: (net: Shown) => `${net} g over`,
  gToGo: (max: Shown) => `${max} g to go`,
}

/** MassForm.vue. */
export const massForm = {
  lessBeaker: (grams: Shown) => `less beaker, ${grams}`,
  putTheBeakerOnThe: 'Put the beaker on the scale and type the weight.',
  lessThanTheTareWeight: 'Less than the tare weight. Check both weights, and that the empty scale shows 0.',
  moreThanWasWeighedIn: 'More than was weighed in. Does it include the beaker? Enter the tare weight.',
  moreThanWasWeighedIn2:
    'More than was weighed in. Check the tare weight, or whether something else was added.',
}

/** OverPour.vue. */
export const overPour = {
  gTooMuch: (surplus: Shown, label: Shown) => `${surplus} g too much ${label}`,
  gWeighedGPlannedNothing: (weighed: Shown, target: Shown) =>
    `${weighed} g weighed, ${target} g planned. Nothing is lost yet. Choose:`,
  removed: 'Removed',
  removedG: (out: Shown) => `Removed: ${out} g`,
  otherOptions: 'Other options',
  batchG: (label: Shown, percent: Shown, totalGrams: Shown) => `${label}: ${percent}. Batch ${totalGrams} g.`,
  topUp: (topUps: Shown) => ` Top up: ${topUps}.`,
  choose: 'Choose',
}

/** PutBack.vue. */
export const putBack = {
  addBack: 'Add back',
  water: 'water',
  waterAddedBack: 'Water added back',
  theWater: 'the water',
  recordGWater: (grams: Shown) => `Record ${grams} g water`,
  recordWater: 'Record water',
}

/** VesselField.vue. */
export const vesselField = {
  tareWeight: (vessel: Shown) => `Tare weight ${vessel}:`,
  tareWeightNotWeighed: (vessel: Shown) => `Tare weight ${vessel}: not weighed`,
  tareWeight2: (vessel: Shown) => `Tare weight ${vessel}`,
  sameAsLastTime: (grams: Shown) => `Same as last time, ${grams}`,
}

/** WaterPanel.vue. */
export const waterPanel = {
  theBatchShouldWeigh: 'The batch should weigh',
  nowWithWhatIsStill: (grams: Shown) => `now, with what is still to come ${grams}.`,
  theBatchWithItsBeaker: 'The batch with its beaker',
  weightSoLostToEvaporation: (grams: Shown, grams2: Shown) =>
    `Weight ${grams}, so ${grams2} lost to evaporation or transfer.`,
  ofItNeedNotBe: (grams: Shown) =>
    `${grams} of it need not be replaced: that much more than planned was added`,
  asPhAdjusterAndOver: ' as pH adjuster and over-pours',
  waterCannotSimplyBeStirred:
    'Water cannot simply be stirred into a W/O emulsion. Warm a little of the batch and blend the water in drop by drop, or accept the loss and record it.',
  n03To1: '0.3 to 1 %',
  n2To4: '2 to 4 %',
  withoutWeighingItOfA: (value: Shown) =>
    `Without weighing it, ${value} of a heated water phase has probably evaporated (estimate). The record then says “not measured”.`,
}

/** WeighPanel.vue. */
export const weighPanel = {
  weigh: (label: Shown) => `Weigh ${label}`,
  partOfItNowApproximate: 'part of it now; approximate is enough',
  toGIsWithinTolerance: (leftLow: Shown, leftHigh: Shown) =>
    `${leftLow} to ${leftHigh} g is within tolerance`,
  weighIt: (words: Shown) => `; weigh it ${words}`,
  gAlreadyAdded: (weighed: Shown) => ` · ${weighed} g already added`,
  putTheBeakerForThis: 'Put the beaker for this step on the scale, then press',
  itShows: '. It shows',
  now: 'now.',
  theScaleIsOverloadedOr: 'The scale is overloaded or gives no reading. Reduce the load, or type the weight.',
  scaleDisconnectedYourEntries:
    'Scale disconnected. Your entries are safe. Type the weight or reconnect the scale.',
  theScaleReconnectedAndIts:
    'The scale reconnected and its zero may have changed. Type what you poured since the last entry, or press tare, then pour.',
  whatTheScaleShows: 'What the scale shows',
  recordG: (amount: Shown) => `Record ${amount} g`,
  fromLot: 'From lot',
  thisScaleWeighsGWith: (target: Shown, errorPercent: Shown) =>
    `This scale weighs ${target} g with an error of ${errorPercent} %.`,
  useAStockSolution: 'Use a stock solution',
  increaseBatchToG: (total: Shown) => `Increase batch to ${total} g`,
  allWeighedG: (inBeaker: Shown) => `All weighed: ${inBeaker} g.`,
  nothingToWeighTheIngredients: 'Nothing to weigh: the ingredients of this step have no amount.',
}

/** WeighTable.vue. */
export const weighTable = {
  weighed: 'Weighed',
  part: ' part',
  over: 'over',
  accepted: 'accepted',
  right: 'right',
  gMore: (left: Shown) => `${left} g more`,
  inTheBeaker: 'In the beaker',
}

/** use-weighing.ts. */
export const useWeighing = {
  notFromALot: 'Not from a lot',
  recordedGToGo: (left: Shown) => `Recorded. ${left} g to go.`,
  firstChooseWhatToDo: 'First choose what to do about the over-pour.',
  gToGoPressRecord: (left: Shown) => `${left} g to go. Press Record to accept this part.`,
}
