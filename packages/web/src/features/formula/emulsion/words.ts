import type { Richness } from '@omblet/core'

export const RICHNESS_WORDS: Record<Richness, string> = {
  milk: 'a milk',
  lotion: 'a lotion',
  cream: 'a cream',
  'rich-cream': 'a rich cream',
  butter: 'an emulsified butter',
}
