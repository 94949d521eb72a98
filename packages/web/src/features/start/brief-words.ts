import { common } from '#words/common'
import { briefWords as texts } from '#words/start'
import { skinNeedText } from '@omblet/core/words'
import { capitalise, NEEDS, OIL_PHASE_OF, type Brief, type Constraint } from '@omblet/core'

/** What can be chosen in a brief, in words. */
const RICHNESS_WORDS: Record<Brief['richness'], string> = {
  milk: texts.milk,
  lotion: common.lotion,
  cream: common.cream,
  'rich-cream': texts.richCream,
  butter: texts.emulsifiedButter,
}
export const RICHNESS = (Object.keys(RICHNESS_WORDS) as Brief['richness'][]).map((value) => ({
  value,
  label: texts.oilPhase(RICHNESS_WORDS[value], OIL_PHASE_OF[value]),
}))
export const ABSORPTION: { value: Brief['absorption']; label: string }[] = [
  { value: 'fast', label: texts.fastLittleResidue },
  { value: 'medium', label: texts.medium },
  { value: 'slow', label: texts.slowStaysOnTheSkin },
]
export const FEEL: { value: Brief['feel']; label: string }[] = [
  { value: 'dry', label: texts.dry },
  { value: 'silky', label: texts.silky },
  { value: 'rich', label: texts.rich },
]
export const needs = NEEDS.map((value) => ({ value, label: capitalise(skinNeedText(value)) }))
export const CONSTRAINT_WORDS: Record<Constraint, string> = {
  'no-oil': texts.noOil,
  'no-silicone': texts.noSilicone,
  vegan: texts.vegan,
  'natural-style': texts.notSynthetic,
  'fragrance-free': texts.fragranceFree,
  'cold-process': texts.coldProcess,
  'low-budget': texts.lowBudget,
  'only-shelf': texts.onlyFromMyStock,
}
