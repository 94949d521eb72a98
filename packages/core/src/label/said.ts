import type { Plain, Said } from '../text/said.ts'

/** What the law asks of a label and nobody told. */
export interface MissingFacts {
  address: Plain
  content: Plain
  'batch-code': Plain
  function: Plain
  composition: { material: string }
  analysis: { material: string }
  'second-language': Plain
}
export type Missing = Said<MissingFacts>

/** Why a product may be kept so long and no longer. */
export interface KeepingReasonFacts {
  fresh: Plain
  freshest: Plain
  /** Outside the pH that its preservation needs, where that is what fails. */
  weak: { outside: { ph: number; needs: { min: number; max: number } } | null }
  eye: Plain
  jar: { assumed: boolean }
  shut: Plain
  proven: Plain
  tested: Plain
  alcohol: Plain
  oils: { speed: 'fast' | 'medium' | 'slow'; oils: readonly string[]; guarded: boolean }
  dry: Plain
  /** As the data of the material tell it. */
  material: { name: string; text: string }
  lot: { name: string }
  failed: { months: number }
}

/** Why something in an ingredient list was left out. */
export interface LeftOutFacts {
  'no-name': Plain
  footnote: Plain
  twice: Plain
  'too-many': { most: number }
}

/** What bounds an amount from above, besides order and sum. */
export interface BoundFacts {
  declared: Plain
  unknown: Plain
  usual: Plain
  limit: { authority: string }
}

/** A part of a label, where it does not fit. */
export type LabelPart =
  'foot' | 'name' | 'function' | 'claims' | 'ingredients' | 'directions' | 'cautions' | 'keeping' | 'address'

/** What keeps a grid of stickers from lying on its paper. */
export interface SheetFaultFacts {
  across: Plain
  down: Plain
  right: { millimetres: number }
  bottom: { millimetres: number }
}
