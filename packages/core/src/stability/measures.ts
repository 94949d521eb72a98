import type { Way } from '../shapes/stability.ts'

/**
 * What a kitchen measure says of the thickness, as an index whose ratio compares two of them: area and depth go with the
 * square, a radius and a time as they are. Never a viscosity: creams and gels thin under shear.
 */
export function bodyIndex(way: Way, value: number): number | null {
  if (!(value > 0)) return null
  switch (way) {
    case 'flow':
      return value
    case 'line':
      return 1 / value
    case 'spread':
    case 'needle':
      return 1 / value ** 2
    default:
      return null
  }
}

/** How much thicker (above nothing) or thinner it is than it was, percent. */
export function bodyChange(way: Way, from: number, to: number): number | null {
  const [a, b] = [bodyIndex(way, from), bodyIndex(way, to)]
  return a === null || b === null ? null : 100 * (b / a - 1)
}

/** Area that a gram covers between two plates, cm²/g: π d² / (4 m); `mm` is the width. */
export const platesAreaPerGram = (mm: number, grams: number) => (Math.PI * (mm / 10) ** 2) / (4 * grams)

/** Height of a layer, percent of the whole. */
export const creamingPercent = (layerMm: number, totalMm: number) => (100 * layerMm) / totalMm

/** What leaves through a closed pack in a year, percent of its content, from grams a day. */
export const lossPercentPerYear = (gramsPerDay: number, netGrams: number) =>
  (100 * 365 * gramsPerDay) / netGrams
