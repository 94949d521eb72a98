/** Coverage factor for 95 % (JCGM 100:2008, G.3). */
const K95 = 1.96

/**
 * Standard uncertainty of one weighing, in grams, on a scale of resolution `d`: the reading and the zero are each rounded,
 * d/√12, and the scale repeats to `repeatability`, a standard deviation as its maker states it; without a statement, a
 * spread of one step, again d/√12. Source: JCGM 100:2008, 4.3.7 and F.2.2.1.
 */
export const weighingUncertainty = (resolutionGrams: number, repeatability?: number) =>
  Math.hypot(resolutionGrams / Math.sqrt(6), repeatability ?? resolutionGrams / Math.sqrt(12))

/** Expanded uncertainty, 95 %, of weighing `grams`, in percent of it; infinite for nothing. */
export const weighingErrorPercent = (grams: number, resolutionGrams: number, repeatability?: number) =>
  grams > 0 ? (100 * K95 * weighingUncertainty(resolutionGrams, repeatability)) / grams : Infinity

/** Smallest mass, in grams, that the scale weighs to within `percent`, 95 %. */
export const smallestWeighable = (resolutionGrams: number, percent: number, repeatability?: number) =>
  (100 * K95 * weighingUncertainty(resolutionGrams, repeatability)) / percent

export const NOTE_PERCENT = 5
export const CHECK_PERCENT = 15

/** Removes the binary noise of counts times a resolution. */
export const atResolution = (grams: number, resolution: number) =>
  Number((Math.round(Number((grams / resolution).toPrecision(13))) * resolution).toPrecision(12))
