import type { LabelRegion } from '../../findings/traces.ts'
import type {
  BoundFacts,
  KeepingReasonFacts,
  LabelPart,
  LeftOutFacts,
  MissingFacts,
  SheetFaultFacts,
} from '../../label/said.ts'
import { daysOf } from '../../label/use-within.ts'
import type { StickerSheet } from '../../shapes/label.ts'
import { formatRange, listWords, sayNumber } from '../../text/format.ts'
import type { Sentences } from '../../text/said.ts'

/** `7 days` for a quarter of a month, `6 months`. */
export const sayMonths = (months: number): string => {
  if (months < 1) return `${daysOf(months)} days`
  return months === 1 ? '1 month' : `${sayNumber(months, 1)} months`
}

export const missing: Sentences<MissingFacts> = {
  address: () => 'name and address',
  content: () => 'content',
  'batch-code': () => 'batch code',
  function: () => 'function',
  composition: ({ material }) => `make-up of ${material}`,
  analysis: ({ material }) => `analysis of ${material}`,
  'second-language': () => 'second language',
}

const SPEED = { fast: 'fast', medium: 'at a medium rate', slow: 'slowly' }
/** Why a product may be kept so long and no longer, as a clause. */
export const keeping: Sentences<KeepingReasonFacts> = {
  fresh: () => 'water and nothing that preserves it: days in the fridge',
  freshest: () =>
    'water with fresh plant, fruit, milk or honey and nothing that preserves it: three days in the fridge',
  weak: ({ outside }) =>
    outside
      ? `at pH ${sayNumber(outside.ph, 1)} the preservation is not effective (it needs pH ${formatRange(outside.needs)}): treat as fresh until corrected`
      : 'preservation is weak or outside its pH: treat as fresh until corrected',
  eye: () => 'for the eye area',
  jar: ({ assumed }) =>
    `water, preserved, not challenge-tested, in a container that fingers reach into${assumed ? ' (container not given: treated as a jar)' : ''}`,
  shut: () => 'water, preserved, not challenge-tested, in a container that fingers cannot reach into',
  proven: () => 'water, preserved, and retained samples showed no change for a year',
  tested: () => 'stability test and challenge test stated',
  alcohol: () => 'preserved by alcohol',
  oils: ({ speed, oils, guarded }) =>
    `oils that turn rancid ${SPEED[speed]} (${listWords(oils)}), ${guarded ? 'with an antioxidant' : 'without an antioxidant'}`,
  dry: () => 'no water, and nothing that turns rancid',
  material: ({ name, text }) => `${name} ${text}`,
  lot: ({ name }) => `its lot of ${name} expires`,
  failed: ({ months }) => `a batch had to be discarded after ${sayMonths(months)}`,
}
export const opened = (reason: string) => `Once opened: ${reason}.`

export const leftOut: Sentences<LeftOutFacts> = {
  'no-name': () => 'Not a name.',
  footnote: () => 'Looks like a footnote.',
  twice: () => 'Already in the list.',
  'too-many': ({ most }) => `More than ${most} names are not read.`,
}

export const bound: Sentences<BoundFacts> = {
  declared: () => 'declared on the label',
  unknown: () => 'unknown',
  usual: () => 'usual range',
  limit: ({ authority }) => authority,
}

export const labelParts: Record<LabelPart, string> = {
  foot: 'the figures at the foot',
  name: 'the name',
  function: 'what it is',
  claims: 'the claims',
  ingredients: 'the ingredients',
  directions: 'the directions',
  cautions: 'the cautions',
  keeping: 'keeping',
  address: 'name and address',
}

export const sheetFault: Sentences<SheetFaultFacts> = {
  across: () => 'The labels overlap horizontally.',
  down: () => 'The labels overlap vertically.',
  right: ({ millimetres }) =>
    `The labels extend ${sayNumber(millimetres, 1)} mm beyond the right edge of the paper.`,
  bottom: ({ millimetres }) =>
    `The labels extend ${sayNumber(millimetres, 1)} mm beyond the lower edge of the paper.`,
}
export const sheet = (s: StickerSheet) =>
  s.shape === 'round'
    ? `${s.paper}, ${s.columns} × ${s.rows} round, ${sayNumber(s.width, 1)} mm`
    : `${s.paper}, ${s.columns} × ${s.rows} of ${sayNumber(s.width, 1)} × ${sayNumber(s.height, 1)} mm`

/** How it is kept where its maker did not say. */
export const USUAL_STORAGE = 'Keep cool and dark.'
export const DRAFT = 'draft'
export const INGREDIENTS = 'Ingredients:'
export const bestBefore = (region: LabelRegion, day: string) =>
  `${region === 'US' ? 'use by' : 'best before'} ${day}`
export const onceOpened = (storage: string, within: string) => `${storage} Once opened, use within ${within}.`

/** What a draft from an ingredient list says of itself. */
export const DRAFT_NOTE =
  'Guessed from the order of an ingredient list. A label does not state amounts, grades or the procedure: this is one of many formulas with the same list, never the original.'
