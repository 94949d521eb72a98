import type { Assessment } from '../assess/types.ts'
import { bearsOf } from '../ph/skin.ts'

const COMFORT = { min: 4.5, max: 6.5 }
const WIDE = 2

/** The pH to bring a product to: the target, else what its materials share, inside what skin bears of this use. */
export function aimPh(a: Assessment): { min: number; max: number } | null {
  if (a.formula.targetPh) return { min: a.formula.targetPh.min, max: a.formula.targetPh.max }
  const shared = a.ph.shared
  if (!shared) return null
  const bears = bearsOf(a.formula.product)
  const meet = (x: { min: number; max: number }, y: { min: number; max: number }) => {
    const [min, max] = [Math.max(x.min, y.min), Math.min(x.max, y.max)]
    return max - min >= 0.2 ? { min, max } : null
  }
  const inside = meet(shared, bears)
  if (!inside) return null
  return inside.max - inside.min > WIDE ? (meet(inside, COMFORT) ?? inside) : inside
}
