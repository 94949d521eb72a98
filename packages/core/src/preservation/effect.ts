import { acidOf } from '../ph/families.ts'
import {
  coverAt,
  ENOUGH,
  freeAcidsAt,
  GROUPS,
  isAdequate,
  restsOnAcid,
  weakGroups,
  type CoverLevels,
  type FreeAcid,
  type Preservation,
  type PreservativeUse,
} from './preservation.ts'

/** What the organic acids of a preservation are worth at a pH. */
export type AcidVerdict = 'enough' | 'short' | 'under-half' | 'none'

export interface AcidEffect {
  ph: number
  /** Acids that preserve here, with the share of each that is uncharged. */
  acids: FreeAcid[]
  /**
   * What is free in the water against what is needed, in the group of microbes that has the least: each acid counts
   * where it covers. 1 is enough.
   */
  ofNeed: number
  /** Groups that have less than they need. */
  short: (keyof CoverLevels)[]
  verdict: AcidVerdict
}

/** From this part of the need on the rest is the accuracy of a dose. */
const NEAR = 0.95
/** Below this part of the need less than half works, and below the second nothing of it does (common practice). */
const HALF = 0.5
const NOTHING = 0.1

/** Acids of a preservation, each with the groups that it covers at its best. */
function actingAcids(p: Preservation) {
  const covers = new Map<string, CoverLevels[]>()
  const add = (use: PreservativeUse) => {
    const key = acidOf(use.material.id)?.key
    if (key) covers.set(key, [...(covers.get(key) ?? []), use.cover])
  }
  for (const use of p.uses.filter(restsOnAcid)) [use, ...(use.parts ?? [])].forEach(add)
  return covers
}

/** Groups that the partners cover where the pH suits them: what they never cover is another matter. */
const coveredAtBest = (p: Preservation) => {
  const weak = new Set(weakGroups(coverAt(p.uses, null)))
  return GROUPS.filter((group) => !weak.has(group))
}

function needs(p: Preservation, covers: ReturnType<typeof actingAcids>, ph: number) {
  const free = freeAcidsAt(p, ph)
  const ofGroup = (group: keyof CoverLevels) =>
    free.reduce(
      (sum, x) => sum + (covers.get(x.key)?.some((cover) => cover[group] >= ENOUGH) ? x.ofNeed : 0),
      0,
    )
  const groups = coveredAtBest(p)
  return { free, byGroup: groups.map((group) => ({ group, ofNeed: ofGroup(group) })) }
}

/**
 * The one judgement of organic acids at a pH, by the share that is uncharged and in the water: used by findings, the pH
 * tab, the label and the keeping time. `none` only where nothing else holds bacteria. Null where no acid preserves, or
 * where everything else covers all groups by itself.
 */
export function acidEffectAt(p: Preservation, ph: number): AcidEffect | null {
  const covers = actingAcids(p)
  if (covers.size === 0) return null
  const others = p.uses.filter((use) => !restsOnAcid(use))
  if (isAdequate(coverAt(others, ph, p))) return null
  const { free, byGroup } = needs(p, covers, ph)
  // a group that the others cover there needs no acid
  const levels = coverAt(others, ph, p)
  const open = byGroup.filter((x) => levels[x.group] < ENOUGH)
  if (open.length === 0) return null
  const ofNeed = Math.min(...open.map((x) => x.ofNeed))
  const cover = coverAt(p.uses, ph, p)
  const bare = Math.max(cover.gramPositive, cover.gramNegative) === 0
  return {
    ph,
    acids: free.filter((x) => covers.has(x.key)),
    ofNeed,
    short: open.filter((x) => x.ofNeed < NEAR).map((x) => x.group),
    verdict:
      ofNeed >= NEAR
        ? 'enough'
        : ofNeed >= HALF
          ? 'short'
          : ofNeed >= NOTHING || !bare
            ? 'under-half'
            : 'none',
  }
}

/** Whether acids still preserve, well or a little short of the need. */
export const holds = (effect: AcidEffect) => effect.verdict === 'enough' || effect.verdict === 'short'

/** Whether a preservation covers all groups at a pH (null: where it suits it best): what findings, label and keeping time say. */
export function holdsAt(p: Preservation, ph: number | null): boolean {
  const effect = ph === null ? null : acidEffectAt(p, ph)
  return effect ? holds(effect) : isAdequate(coverAt(p.uses, ph, p))
}

const [LOW, HIGH] = [2, 9]
/** The highest pH at which the acids still have what they need; null where they never have, at this dose. */
export function enoughUpTo(p: Preservation): number | null {
  const enough = (ph: number) => {
    const effect = acidEffectAt(p, ph)
    return effect === null || effect.verdict === 'enough'
  }
  if (!enough(LOW)) return null
  let [low, high] = [LOW, HIGH]
  while (high - low > 0.005) {
    const middle = (low + high) / 2
    if (enough(middle)) low = middle
    else high = middle
  }
  return low
}
