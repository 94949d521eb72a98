import { impossible, miss, parts, pick, proposalTitle, skinNeeds } from './brief.ts'
import { causes, discard, harmless, symptoms } from './causes/index.ts'
import { choice, substitute } from './choose.ts'
import { findings, noteHeadings } from './findings/index.ts'
import { nothingFits } from './findings/shared.ts'
import { remedies } from './findings/remedies.ts'
import { sourceWords } from './findings/sources.ts'
import { known } from './materials.ts'
import * as stability from './stability.ts'
import { also, trialFault, trialWarning } from './trials.ts'

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
  causes,
  symptoms,
  discard,
  harmless,
  also,
  trialFault,
  trialWarning,
}
export type Words = typeof en
