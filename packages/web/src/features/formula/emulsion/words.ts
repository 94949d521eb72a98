import { words as texts } from '#words/formula-emulsion'
import type { Richness } from '@omblet/core'

export const RICHNESS_WORDS: Record<Richness, string> = {
  milk: texts.aMilk,
  lotion: texts.aLotion,
  cream: texts.aCream,
  'rich-cream': texts.aRichCream,
  butter: texts.anEmulsifiedButter,
}
