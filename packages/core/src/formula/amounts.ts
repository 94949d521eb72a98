import type { Formula, LineRef } from '../shapes/formula.ts'

/** One line with its amount worked out. */
export interface LineAmount extends LineRef {
  /** w/w percent of the batch; negative only for a fill line that has nothing left to take. */
  percent: number
  /** Grams at the scale's resolution. */
  grams: number
  /** Whole counts of the scale's resolution. */
  counts: number
  fill: boolean
  /** False when no amount was given. */
  given: boolean
}

export interface Amounts {
  lines: LineAmount[]
  batchGrams: number
  resolutionGrams: number
  /** Standard deviation of the scale, grams, where it was told. */
  repeatabilityGrams?: number
  /** Sum of all lines; without the fill line when that would be negative. */
  totalPercent: number
  totalGrams: number
  balanced: boolean
  fillIndex: number | null
}

export const DEFAULT_RESOLUTION = 0.01
export const DEFAULT_BATCH = 100
/** How far from 100 % the sum may be before it counts as wrong, in percent. */
export const TOTAL_TOLERANCE = 0.05

/** Whether it is the very number of a decimal with four places or fewer, which no rounding to more places changes. */
const isShort = (value: number) => Math.abs(value) < 1e6 && Math.round(value * 1e4) / 1e4 === value
/** Removes the binary noise of a product of decimals (6.85 / 0.1 is 68.49999999999999). */
const clean = (value: number) => (isShort(value) ? value + 0 : Number(value.toPrecision(13)))
const tidyPercent = (value: number) => (isShort(value) ? value + 0 : Number(value.toFixed(9)))

/**
 * Whole counts for shares that must add up to `target`, each within one count of its exact value
 * (largest remainder; ties go to the larger share, then to the earlier row). `exact` in counts.
 */
export function largestRemainder(exact: readonly number[], target: number): number[] {
  const cleaned = exact.map(clean)
  const floors = cleaned.map(Math.floor)
  let short = target - floors.reduce((sum, n) => sum + n, 0)
  const order = cleaned
    .map((value, index) => ({ index, value, rest: clean(value - Math.floor(value)) }))
    .sort((a, b) => b.rest - a.rest || b.value - a.value || a.index - b.index)
  for (let i = 0; short > 0 && order.length > 0; i = (i + 1) % order.length, short--) {
    floors[order[i]!.index]!++
  }
  return floors
}

/** Counts of `resolution` in `grams`, rounded half up. */
const toCounts = (grams: number, resolution: number) => Math.round(clean(grams / resolution))
const toGrams = (counts: number, resolution: number) => clean(counts * resolution)

/**
 * Percents and grams of every line. Percent is the truth; a line typed in grams keeps its grams and its
 * percent follows the batch. Grams add up to the batch exactly in whole counts of the scale's resolution:
 * the fill line takes the rounding, and without one the largest remainders do.
 *
 * The batch is `batchGrams`; without it, the sum of the grams when every line has grams, else 100 g.
 */
export function computeAmounts(formula: Formula): Amounts {
  const resolution = formula.scaleResolutionGrams ?? DEFAULT_RESOLUTION
  const refs = formula.phases.flatMap((phase, p) =>
    phase.lines.map((line, l) => ({ phase: p, line: l, source: line })),
  )
  const onlyGrams =
    refs.length > 0 && refs.every(({ source }) => source.grams !== undefined && source.percent === undefined)
  const sumGrams = refs.reduce((sum, { source }) => sum + (source.grams ?? 0), 0)
  const batch = formula.batchGrams ?? (onlyGrams && sumGrams > 0 ? clean(sumGrams) : DEFAULT_BATCH)

  const exact = refs.map(({ source }) =>
    source.fill
      ? 0
      : (source.percent ?? (source.grams === undefined ? 0 : clean((source.grams / batch) * 100))),
  )
  const others = tidyPercent(exact.reduce((sum, value) => sum + value, 0))
  const fillAt = refs.findIndex(({ source }) => source.fill === true)
  const fillPercent = tidyPercent(100 - others)
  const total = fillAt >= 0 && fillPercent >= 0 ? 100 : others
  const balanced = fillAt >= 0 ? fillPercent >= 0 : Math.abs(others - 100) <= TOTAL_TOLERANCE + 1e-9

  const batchCounts = toCounts(batch, resolution)
  const rawCounts = exact.map((percent) => clean((percent * batch) / 100 / resolution))
  let counts: number[]
  if (fillAt >= 0) {
    counts = rawCounts.map(Math.round)
    counts[fillAt] = 0
    counts[fillAt] = batchCounts - counts.reduce((sum, n) => sum + n, 0)
  } else if (balanced && others > 0) {
    counts = largestRemainder(
      rawCounts.map((raw) => (raw * 100) / others),
      batchCounts,
    )
  } else {
    counts = rawCounts.map(Math.round)
  }

  const lines = refs.map(({ phase, line, source }, index): LineAmount => {
    const fill = index === fillAt
    return {
      phase,
      line,
      percent: fill ? fillPercent : tidyPercent(exact[index]!),
      counts: counts[index]!,
      grams: toGrams(counts[index]!, resolution),
      fill,
      given: fill || source.percent !== undefined || source.grams !== undefined,
    }
  })
  const summed = lines.reduce((sum, l) => sum + (l.fill && l.counts < 0 ? 0 : l.counts), 0)
  return {
    lines,
    batchGrams: batch,
    resolutionGrams: resolution,
    ...(formula.scaleRepeatabilityGrams ? { repeatabilityGrams: formula.scaleRepeatabilityGrams } : {}),
    totalPercent: total,
    totalGrams: toGrams(summed, resolution),
    balanced,
    fillIndex: fillAt >= 0 ? fillAt : null,
  }
}
