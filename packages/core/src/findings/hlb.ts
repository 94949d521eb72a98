import type { Assessment } from '../assess/types.ts'
import { isEmulsifier, isOil } from '../emulsion/emulsion.ts'
import { finding, type Rule } from './types.ts'

/** How far beyond the range of the tables the offered HLB may lie. */
const TOLERANCE = 2

/**
 * emulsion.hlb-mismatch: only for a pair of separate nonionic emulsifiers, where HLB is a sound guide; ready-made blends,
 * liquid crystals, polymers and ions follow other rules.
 */
export const hlb: Rule = (a: Assessment) => {
  const e = a.emulsion
  const carriers = a.lines.filter((l) => l.percent > 0 && l.material?.emulsifier?.hlb !== undefined)
  const all = a.lines.filter(
    (l) =>
      l.percent > 0 &&
      l.material &&
      (isEmulsifier(l.material) || l.material.emulsifier?.role === 'polymeric'),
  )
  const sound =
    carriers.length >= 2 &&
    carriers.every((l) => l.material!.emulsifier!.hlbSound === 'yes' && l.material!.inci.length === 1)
  if (
    !e ||
    e.type !== 'oil-in-water' ||
    e.offeredHlb === null ||
    e.requiredHlb === null ||
    !sound ||
    all.some((l) => !carriers.includes(l))
  )
    return []
  const oils = a.lines.filter(
    (l) => l.percent > 0 && l.material && isOil(l.material) && l.material.requiredHlb,
  )
  const weight = oils.reduce((s, l) => s + l.percent, 0)
  const mean = (end: 'low' | 'high') =>
    oils.reduce((s, l) => s + l.percent * l.material!.requiredHlb![end], 0) / weight
  if (e.offeredHlb >= mean('low') - TOLERANCE && e.offeredHlb <= mean('high') + TOLERANCE) return []
  return [
    finding(a, {
      code: 'emulsion.hlb-mismatch',
      severity: 'check',
      materials: carriers.map((l) => l.id),
      facts: { offered: e.offeredHlb, required: e.requiredHlb, low: mean('low'), high: mean('high') },
      source: 'hlb',
    }),
  ]
}
