import { householdMeasures as texts } from '#words/trials'
import type { Measured } from '@omblet/core'

/** What is found of a jar without asking anybody. */
export const HOUSEHOLD_MEASURES: readonly { what: Measured['what']; label: string; unit: string }[] = [
  { what: 'ph', label: texts.phBeforeAdjusting, unit: '' },
  { what: 'spread', label: texts.spread, unit: 'mm' },
  { what: 'flow', label: texts.flow, unit: 's' },
  { what: 'drop', label: texts.drop, unit: 's' },
  { what: 'body', label: texts.consistency, unit: '' },
  { what: 'frost', label: texts.freezeThaw, unit: '' },
]
