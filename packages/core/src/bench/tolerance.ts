import type { Assessment } from '../assess/types.ts'
import { capOf } from '../findings/legal.ts'
import { hasTrait } from '../shapes/material.ts'
import { atResolution, NOTE_PERCENT, smallestWeighable, weighingErrorPercent } from '../weighing/error.ts'

export type Importance = 'critical' | 'careful' | 'plain'

/** How far from its target a weighing may be, percent of the target (common practice). */
const SHARE: Record<Importance, number> = { critical: 1, careful: 2, plain: 5 }

const CRITICAL_KINDS = new Set(['acid', 'base', 'preservative', 'salt', 'buffer'])
const CAREFUL_KINDS = new Set([
  'active',
  'emulsifier',
  'emulsifier-wo',
  'cationic',
  'gum',
  'polymer',
  'hyaluronate',
  'fatty-alcohol',
  'wax',
  'chelator',
  'antioxidant',
  'essential-oil',
  'fragrance',
  'solubiliser',
  'uv-filter',
  'colourant',
])

/** How much depends on the exact weight of a line: what sets pH or is capped most, then what builds or works. */
export function importanceOf(a: Assessment, index: number): Importance {
  const line = a.lines[index]!
  const m = line.material
  if (line.fill || !m) return line.fill ? 'plain' : 'careful'
  if (CRITICAL_KINDS.has(m.kind) || capOf(a, index) || hasTrait(m, 'retinoid')) return 'critical'
  return CAREFUL_KINDS.has(m.kind) ? 'careful' : 'plain'
}

export interface Tolerance {
  importance: Importance
  /** Grams at the scale's resolution that still count as right. */
  low: number
  high: number
  /** Relative uncertainty of the weighing itself, percent. */
  errorPercent: number
}

/**
 * The band in which a weighing of `target` grams counts as right: 1, 2 or 5 % of it by what depends on it, one count of
 * the scale at least, and never above the legal cap of the line where the target is not.
 */
export function toleranceOf(
  importance: Importance,
  target: number,
  resolution: number,
  capGrams: number = Infinity,
  repeatability?: number,
): Tolerance {
  const width = Math.max(resolution, (SHARE[importance] * target) / 100)
  const counts = Math.floor(width / resolution + 1e-9)
  const high = atResolution(target + counts * resolution, resolution)
  const capped = Math.floor(capGrams / resolution + 1e-9) * resolution
  return {
    importance,
    low: Math.max(0, atResolution(target - counts * resolution, resolution)),
    high:
      target <= capGrams
        ? Math.max(atResolution(target, resolution), Math.min(high, atResolution(capped, resolution)))
        : high,
    errorPercent: weighingErrorPercent(target, resolution, repeatability),
  }
}

/** Batch, in grams, in which the scale weighs this line to within 5 %. */
export const batchToWeigh = (batchGrams: number, target: number, d: number, repeatability?: number) =>
  target > 0 ? Math.ceil((batchGrams * smallestWeighable(d, NOTE_PERCENT, repeatability)) / target) : Infinity
