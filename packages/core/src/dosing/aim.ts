import type { Assessment } from '../assess/types.ts'
import { meet } from '../assess/windows.ts'

const COMFORT = { min: 4.5, max: 6.5 }
const WIDE = 2

/** The pH to bring a product to: the target, else what its materials share, inside what skin bears of this use. */
export function aimPh(a: Assessment): { min: number; max: number } | null {
  if (a.formula.targetPh) return { min: a.formula.targetPh.min, max: a.formula.targetPh.max }
  const { fits } = a.ph
  if (!fits) return null
  return fits.max - fits.min > WIDE ? (meet(fits, COMFORT) ?? fits) : fits
}
