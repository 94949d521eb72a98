import type { Material } from '../shapes/material.ts'
import { memoizeByAssessment } from './memo.ts'
import { slug } from '../text/names.ts'
import type { Assessment } from './types.ts'
import type { Substance } from '../lines/types.ts'

/** What lines tell of their own substances. */
const ownFacts = memoizeByAssessment((a) => {
  const map = new Map<string, Material | null>()
  for (const { material } of a.lines)
    if (material && !material.parts && material.inci.length === 1) map.set(slug(material.inci[0]!), material)
  return map
})

/**
 * What is known of a substance in this formula: a line's own facts first, then the catalogue that it was assessed with;
 * null where nothing is.
 */
export function materialOfSubstance(a: Assessment, key: string): Material | null {
  const map = ownFacts(a)
  let found = map.get(key)
  if (found === undefined) map.set(key, (found = a.catalogue.find(key)))
  return found
}

/** Salts in the product that a gel held by charge feels, percent. */
export const saltPercent = memoizeByAssessment((a) =>
  carriersOf(a, (m) => m.saltShare !== undefined).reduce(
    (sum, s) => sum + s.percent * materialOfSubstance(a, s.key)!.saltShare!,
    0,
  ),
)

/** Substances in the product, inside blends too, whose material passes; with their sum over all lines. */
export function carriersOf(a: Assessment, test: (m: Material) => boolean): Substance[] {
  const found: Substance[] = []
  for (const s of a.substances.values()) {
    if (s.percent <= 0) continue
    const m = materialOfSubstance(a, s.key)
    if (m && test(m)) found.push(s)
  }
  return found
}
