/**
 * Standard uncertainty of one weighing with tare, in grams, on a scale of resolution `d`: rounding d/√12 and a
 * repeatability of one count, each twice (zero and load): √(2 (d/√12)² + 2 d²) = 1.47 d.
 * Source: rectangular rounding term of the GUM (JCGM 100:2008, F.2.2.1); repeatability is common practice.
 */
export const weighingUncertainty = (resolutionGrams: number) =>
  Math.sqrt(2 * (resolutionGrams / Math.sqrt(12)) ** 2 + 2 * resolutionGrams ** 2)

/** Relative uncertainty of weighing `grams`, in percent; infinite for nothing. */
export const weighingErrorPercent = (grams: number, resolutionGrams: number) =>
  grams > 0 ? (100 * weighingUncertainty(resolutionGrams)) / grams : Infinity

/** Smallest mass, in grams, that the scale weighs to within `percent`. */
export const smallestWeighable = (resolutionGrams: number, percent: number) =>
  (100 * weighingUncertainty(resolutionGrams)) / percent

export const NOTE_PERCENT = 5
export const CHECK_PERCENT = 15

/** Removes the binary noise of counts times a resolution. */
export const atResolution = (grams: number, resolution: number) =>
  Number((Math.round(Number((grams / resolution).toPrecision(13))) * resolution).toPrecision(12))
