import { catalogue } from './catalogue.ts'
import { pairsOf } from './pairs.ts'
import { blendKey } from '../text/names.ts'
import type { Material } from '../shapes/material.ts'

/**
 * What a concentrate in a line stands for, as percent of single strength in the product, and the least water that has
 * to make it up: 0.2 % of a 200-fold powder is 40 % juice. Null for anything else.
 */
export function reconstituted(
  m: Material,
  percent: number,
): { percent: number; waterPercent: number } | null {
  if (!m.reconstitutesTo || percent <= 0) return null
  const whole = Number((percent * m.reconstitutesTo).toFixed(6))
  return { percent: whole, waterPercent: Number((whole - percent).toFixed(6)) }
}

/** Other materials under the same INCI name: other strengths, weights or grades of what is asked for. */
export const gradesOf = (m: Material, materials: readonly Material[]) => {
  const key = blendKey(m.inci)
  return materials.filter(
    (other) => other.id !== m.id && (blendKey(other.inci) === key || sameFamily(other, m)),
  )
}

const sameFamily = (a: Material, b: Material) => a.family !== undefined && a.family === b.family

/** What a material does not go with. */
export const clashesOf = (m: Material) => pairsOf(m, (key) => catalogue.find(key))
