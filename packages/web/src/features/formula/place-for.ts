import { placeFor as texts } from '#words/formula'
import { sayPercent, type Material, type Phase } from '@omblet/core'

/** The phase that a material would go into: the one that suits it, else where one stands (`here`), else the first. */
export function placeFor(material: Material, phases: readonly Phase[], here: number | null): number {
  const role = here === null ? null : phases[here]?.role
  const wanted = material.phase === 'any' && here === null ? 'water' : material.phase
  const takesAll = role === 'premix' || role === 'adjust' || role === 'other'
  if (here !== null && (wanted === 'any' || role === wanted || takesAll)) return here
  const found = phases.findIndex((p) => p.role === wanted)
  return found >= 0 ? found : (here ?? 0)
}

/** How much of it is usual, in a few words. */
export const range = (m: Material) =>
  m.usage
    ? m.usage.max > 60
      ? texts.from(sayPercent(m.usage.min))
      : `${sayPercent(m.usage.min)} – ${sayPercent(m.usage.max)}`
    : texts.usageRateUnknown
