import * as bench from './bench.ts'
import { impossible, miss, parts, pick, proposalTitle, skinNeeds } from './brief.ts'
import { causes, discard, harmless, symptoms } from './causes/index.ts'
import { choice, substitute } from './choose.ts'
import { eventColumns, events, eventTypes, YES } from './events.ts'
import { findings, noteHeadings } from './findings/index.ts'
import { nothingFits } from './findings/shared.ts'
import { remedies } from './findings/remedies.ts'
import { sourceWords } from './findings/sources.ts'
import { known } from './materials.ts'
import { endingReason, processOptions } from './process-options.ts'
import { percentChange, recordFacts, weighedStates } from './record.ts'
import { comparedRows, forecastRows, freezing } from './forecast.ts'
import * as ph from './ph.ts'
import * as routes from './routes.ts'
import * as steps from './steps.ts'
import * as stability from './stability.ts'
import * as trials from './trials.ts'

/** Every sentence of the core, in English: a map from code to sentence a family. */
export const en = {
  findings,
  noteHeadings,
  nothingFits,
  remedies,
  source: sourceWords,
  known,
  choice,
  substitute,
  skinNeeds,
  parts,
  pick,
  miss,
  impossible,
  proposalTitle,
  stability,
  steps,
  routes,
  ph,
  forecastRows,
  comparedRows,
  freezing,
  bench,
  events,
  eventTypes,
  eventColumns,
  yes: YES,
  recordFacts,
  weighedStates,
  percentChange,
  processOptions,
  endingReason,
  causes,
  symptoms,
  discard,
  harmless,
  trials,
}
export type Words = typeof en
