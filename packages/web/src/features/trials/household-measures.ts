import type { Measured } from '@omblet/core'

/** What is found of a jar without asking anybody. */
export const HOUSEHOLD_MEASURES: readonly { what: Measured['what']; label: string; unit: string }[] = [
  { what: 'ph', label: 'pH, before adjusting', unit: '' },
  { what: 'spread', label: 'Spread', unit: 'mm' },
  { what: 'flow', label: 'Flow', unit: 's' },
  { what: 'drop', label: 'Drop', unit: 's' },
  { what: 'body', label: 'Consistency', unit: '' },
  { what: 'frost', label: 'Freeze–thaw', unit: '' },
]
