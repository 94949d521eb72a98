import type { Assessment } from '../assess/types.ts'
import type { AssessedLine } from '../lines/types.ts'
import { atResolution, NOTE_PERCENT, smallestWeighable, weighingErrorPercent } from './error.ts'

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
  const { resolutionGrams: d, repeatabilityGrams: r } = a.amounts
  const carrier = carrierOf(a, index)
  if (carrier === null || target <= 0) return null
  const least = smallestWeighable(d, NOTE_PERCENT / Math.SQRT2, r)
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
      errorPercent: Math.hypot(weighingErrorPercent(nice, d, r), weighingErrorPercent(useGrams, d, r)),
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
