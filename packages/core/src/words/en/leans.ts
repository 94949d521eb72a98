import { feelOf } from '../../trials/data.ts'
import type { TrialAttribute } from '../../shapes/trial.ts'

/** What a sample does that scores more, or less, after its name: “spreads further”. */
export function leans(attribute: TrialAttribute, more: boolean): string {
  const told = feelOf(attribute.id)
  if (told) return more ? told.more : told.less
  return `is nearer to “${(more ? attribute.high : attribute.low) || (more ? 'more' : 'less')}” in ${(attribute.name || attribute.id).toLowerCase()}`
}
