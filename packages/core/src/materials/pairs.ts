import * as z from 'zod'
import data from '../../data/pairs.json' with { type: 'json' }
import type { Material } from '../shapes/material.ts'

const Side = z.strictObject({
  group: z.string(),
  /** How the group is called in a sentence. */
  name: z.string(),
  /** Keys of substances that no catalogue has. */
  also: z.array(z.string()).optional(),
})
/** Two groups of materials that do something to each other in the jar. */
export const Pair = z.strictObject({
  a: Side,
  b: Side,
  severity: z.enum(['stop', 'check', 'note']),
  what: z.string(),
  why: z.string(),
  source: z.string().optional(),
})
export type Pair = z.infer<typeof Pair>
export type PairSide = z.infer<typeof Side>

export const PAIRS = data as readonly Pair[]

/** Groups of substances that no catalogue has, by key. */
const ALSO = new Map<string, string[]>()
for (const side of PAIRS.flatMap((p) => [p.a, p.b]))
  for (const key of side.also ?? []) ALSO.set(key, [...new Set([...(ALSO.get(key) ?? []), side.group])])
const NONE: readonly string[] = []

/** The groups that a substance reacts as. */
export function groupsOf(key: string, m: Material | null): readonly string[] {
  const also = ALSO.get(key)
  const own = m?.reacts ?? NONE
  return also ? [...new Set([...own, ...also])] : own
}

/** The pairs that a material, or what it is made of, is part of, told from its side. */
export function pairsOf(m: Material, find: (key: string) => Material | null) {
  const groups = new Set([...(m.reacts ?? []), ...(m.parts ?? []).flatMap((p) => find(p.inci)?.reacts ?? [])])
  return PAIRS.flatMap((pair) => {
    const side = (mine: PairSide, other: PairSide) =>
      groups.has(mine.group) ? [{ with: other, what: pair.what, why: pair.why }] : []
    return [...side(pair.a, pair.b), ...side(pair.b, pair.a)]
  })
}
