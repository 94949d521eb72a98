import type { Shown } from '../shown'

/** ChoicesCard.vue. */
export const choicesCard = {
  options: 'Options',
}

/** MethodBody.vue. */
export const methodBody = {
  steps: 'Steps',
  resetMethod: 'Reset method',
  addStep: 'Add step',
  removed: (stepTitle: Shown) => `Removed: ${stepTitle}`,
  processFlow: 'Process flow',
  processFlowDiagram: 'Process flow diagram',
  stepRemoved: 'Step removed.',
  methodReset: 'Method reset.',
}

/** NeedsCard.vue. */
export const needsCard = {
  preparation: 'Preparation',
  theDayBefore: 'The day before',
  equipment: 'Equipment',
}

/** PlanCard.vue. */
export const planCard = {
  plan: 'Plan',
  handsOn: (totalMinutes: Shown, handsMinutes: Shown) => `${totalMinutes}, hands-on ${handsMinutes}`,
  givenTime: 'Given time',
  startAt: 'Start at',
  finishBy: 'Finish by',
  to: (clockAt: Shown, clockAt2: Shown) => `${clockAt} to ${clockAt2}`,
  dayBeforePreparationsAreDone: 'Day-before preparations are done',
  begins: 'Begins',
  handsOnAndWaitingTime: 'Hands-on and waiting time',
  onTheCriticalPath: ', on the critical path',
  hands: 'hands',
  waiting: 'waiting',
  bold: 'bold',
  onTheCriticalPath2: 'on the critical path',
  forOnePersonWaitingTimes: 'For one person; waiting times run in parallel. Estimates from common practice.',
}

/** StepRow.vue. */
export const stepRow = {
  showTheIngredientsOfThis: 'Show the ingredients of this step',
  yourOwn: 'your own',
  changed: 'changed',
  until: (look: Shown) => `Until: ${look}.`,
  handsWaiting: 'hands + waiting',
  hands: 'hands',
  moveUp: (stepTitle: Shown) => `Move ${stepTitle} up`,
  moveDown: (stepTitle: Shown) => `Move ${stepTitle} down`,
  change: (stepTitle: Shown) => `Change ${stepTitle}`,
  handsOnTimeMinutes: 'Hands-on time, minutes',
  waitingTimeMinutes: 'Waiting time, minutes',
  typeTheMinutesOr0: 'Type the minutes, or 0.',
  describeTheStep: 'Describe the step.',
}
