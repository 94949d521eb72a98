import { slug } from '../text/names.ts'
import type { Material } from '../shapes/material.ts'

/** Mixtures may lie this deep in each other: a stock in a premix in a base in a product is four. */
export const MOST_NESTED = 12

/**
 * Ids of own mixtures that contain themselves by way of their parts, however long the way. Linear in the number of parts;
 * walks without recursion.
 */
export function mixtureCircles(materials: readonly Material[]): Set<string> {
  const byName = new Map<string, Material>()
  for (const m of materials) for (const key of [m.id, slug(m.name)]) if (!byName.has(key)) byName.set(key, m)
  const partsOf = (m: Material) =>
    (m.parts ?? []).flatMap((p) => byName.get(p.inci) ?? byName.get(slug(p.inci)) ?? [])
  const done = new Set<Material>()
  const circles = new Set<string>()
  for (const root of materials) {
    if (done.has(root)) continue
    const path: { m: Material; rest: Material[] }[] = [{ m: root, rest: partsOf(root) }]
    const on = new Set([root])
    while (path.length > 0) {
      const top = path.at(-1)!
      const next = top.rest.pop()
      if (!next) {
        on.delete(top.m)
        done.add(top.m)
        path.pop()
      } else if (on.has(next)) {
        // Everything from the first meeting to here goes round.
        for (const { m } of path.slice(path.findIndex((p) => p.m === next))) circles.add(m.id)
      } else if (!done.has(next)) {
        path.push({ m: next, rest: partsOf(next) })
        on.add(next)
      }
    }
  }
  return circles
}
