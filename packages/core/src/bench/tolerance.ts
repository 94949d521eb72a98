import type { Assessment, AssessedLine } from '../assess/types.ts'
import { capOf } from '../findings/legal.ts'
import { hasTrait } from '../materials/schema.ts'
import { NOTE_PERCENT, smallestWeighable, weighingErrorPercent } from './weighing.ts'

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

/** Removes the binary noise of counts times a resolution. */
export const atResolution = (grams: number, resolution: number) =>
  Number((Math.round(Number((grams / resolution).toPrecision(13))) * resolution).toPrecision(12))

/**
 * The band in which a weighing of `target` grams counts as right: 1, 2 or 5 % of it by what depends on it, one count of
 * the scale at least, and never above the legal cap of the line where the target is not.
 */
export function toleranceOf(
  importance: Importance,
  target: number,
  resolution: number,
  capGrams: number = Infinity,
): Tolerance {
  const width = Math.max(resolution, (SHARE[importance] * target) / 100)
  const counts = Math.floor(width / resolution + 1e-9)
  const high = atResolution(target + counts * resolution, resolution)
  const capped = Math.floor(capGrams / resolution + 1e-9) * resolution
  return {
    importance,
    low: Math.max(0, atResolution(target - counts * resolution, resolution)),
    high: target <= capGrams ? Math.max(atResolution(target, resolution), Math.min(high, atResolution(capped, resolution))) : high, // prettier-ignore
    errorPercent: weighingErrorPercent(target, resolution),
  }
}

export interface PreDilution {
  line: number
  carrier: number
  /** Parts of the whole that one part of the material becomes. */
  fold: number
  soluteGrams: number
  carrierGrams: number
  /** Of the dilution, for the batch. */
  useGrams: number
  errorPercent: number
}

/** The best carrier for a dilution: a line of the formula that the material dissolves in, the largest first. */
function carrierOf(a: Assessment, index: number): number | null {
  const line = a.lines[index]!
  const lives = line.material?.solubility ?? ['water']
  const suits = (other: AssessedLine) => {
    const m = other.material
    if (!m || other === line || other.percent <= 0) return false
    if (lives.includes('water')) return m.kind === 'water' || m.kind === 'hydrosol'
    if (lives.includes('glycol') || lives.includes('alcohol'))
      return m.kind === 'solvent' || (m.kind === 'humectant' && m.solubility.includes('water'))
    if (lives.includes('oil')) return m.kind === 'oil' || m.kind === 'ester' || m.kind === 'alkane'
    return m.kind === 'water'
  }
  const found = a.lines
    .map((l, i) => ({ l, i }))
    .filter(({ l }) => suits(l))
    .sort((x, y) => y.l.percent - x.l.percent)[0]
  return found ? found.i : null
}

/**
 * A dilution that lets the scale weigh `target` grams of a line to within 5 % in both of its weighings; null where none
 * helps, no line of the formula can carry it, or it would not dissolve. Takes at most half of the carrier.
 */
export function preDilution(a: Assessment, index: number, target: number): PreDilution | null {
  const d = a.amounts.resolutionGrams
  const carrier = carrierOf(a, index)
  if (carrier === null || target <= 0) return null
  const least = smallestWeighable(d, NOTE_PERCENT / Math.SQRT2)
  // What does not dissolve in the dilution would not be spread evenly in the part that is taken of it.
  const limit = a.solubility.find((s) => s.lines.includes(index))?.limit ?? Infinity
  for (const fold of [2, 5, 10, 20, 50, 100]) {
    const useGrams = atResolution(target * fold, d)
    if (useGrams < least || 1000 / fold > limit) continue
    if (useGrams * (1 - 1 / fold) > a.lines[carrier]!.grams / 2) return null
    const solute = Math.max(least, (useGrams * 1.2) / fold)
    const nice = niceUp(solute, d)
    const carrierGrams = atResolution(nice * (fold - 1), d)
    return {
      line: index,
      carrier,
      fold,
      soluteGrams: nice,
      carrierGrams,
      useGrams,
      errorPercent: Math.hypot(weighingErrorPercent(nice, d), weighingErrorPercent(useGrams, d)),
    }
  }
  return null
}

/** The next of 1, 2, 5 times a power of ten at or above, at the scale's resolution. */
function niceUp(grams: number, d: number): number {
  const power = 10 ** Math.floor(Math.log10(grams))
  const step = [1, 1.5, 2, 3, 5, 10].find((s) => s * power >= grams - 1e-9) ?? 10
  return atResolution(Math.max(d, step * power), d)
}

/** Batch, in grams, in which the scale weighs this line to within 5 %. */
export const batchToWeigh = (batchGrams: number, target: number, d: number) =>
  target > 0 ? Math.ceil((batchGrams * smallestWeighable(d, NOTE_PERCENT)) / target) : Infinity
