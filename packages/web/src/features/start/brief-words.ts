import { skinNeedText } from '@omblet/core/words'
import { capitalise, NEEDS, OIL_PHASE_OF, type Brief, type Constraint } from '@omblet/core'

/** What can be chosen in a brief, in words. */
const RICHNESS_WORDS: Record<Brief['richness'], string> = {
  milk: 'Milk',
  lotion: 'Lotion',
  cream: 'Cream',
  'rich-cream': 'Rich cream',
  butter: 'Emulsified butter',
}
export const RICHNESS = (Object.keys(RICHNESS_WORDS) as Brief['richness'][]).map((value) => ({
  value,
  label: `${RICHNESS_WORDS[value]}, ${OIL_PHASE_OF[value]} % oil phase`,
}))
export const ABSORPTION: { value: Brief['absorption']; label: string }[] = [
  { value: 'fast', label: 'Fast, little residue' },
  { value: 'medium', label: 'Medium' },
  { value: 'slow', label: 'Slow, stays on the skin' },
]
export const FEEL: { value: Brief['feel']; label: string }[] = [
  { value: 'dry', label: 'Dry' },
  { value: 'silky', label: 'Silky' },
  { value: 'rich', label: 'Rich' },
]
export const needs = NEEDS.map((value) => ({ value, label: capitalise(skinNeedText(value)) }))
export const CONSTRAINT_WORDS: Record<Constraint, string> = {
  'no-oil': 'No oil',
  'no-silicone': 'No silicone',
  vegan: 'Vegan',
  'natural-style': 'Not synthetic',
  'fragrance-free': 'Fragrance-free',
  'cold-process': 'Cold process',
  'low-budget': 'Low budget',
  'only-shelf': 'Only from my stock',
}
