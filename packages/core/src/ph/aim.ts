import type { Assessment } from '../assess/types.ts'

/** What skin bears of a leave-on, by site; body and hands half a unit more, rinse-off one unit wider (common practice). */
const BEARS: Record<string, { min: number; max: number }> = {
  face: { min: 3.5, max: 8 },
  lips: { min: 3.5, max: 8 },
  eye: { min: 4.5, max: 8 },
  scalp: { min: 3.5, max: 8 },
  hair: { min: 3.5, max: 8 },
}
const COMFORT = { min: 4.5, max: 6.5 }
const WIDE = 2

/** The pH to bring a product to: the target, else what its materials share, inside what skin bears of this use. */
export function aimPh(a: Assessment): { min: number; max: number } | null {
  if (a.formula.targetPh) return { min: a.formula.targetPh.min, max: a.formula.targetPh.max }
  const shared = a.ph.shared
  if (!shared) return null
  const { site, rinse } = a.formula.product
  const bears = BEARS[site] ?? { min: 3, max: 8.5 }
  const wider = rinse === 'rinse-off' ? 1 : 0
  const meet = (x: { min: number; max: number }, y: { min: number; max: number }) => {
    const [min, max] = [Math.max(x.min, y.min), Math.min(x.max, y.max)]
    return max - min >= 0.2 ? { min, max } : null
  }
  const inside = meet(shared, { min: bears.min - wider, max: bears.max + wider })
  if (!inside) return null
  return inside.max - inside.min > WIDE ? (meet(inside, COMFORT) ?? inside) : inside
}
