import type { Way } from '../shapes/keeping.ts'

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

const GRAVITY = 9.80665
/** Stress at which a paste between two plates stops to spread, Pa: 48 W g V / (π² d⁵); rough, for it goes with d⁻⁵. */
export const platesYield = (mm: number, loadGrams: number, cm3: number) =>
  (48 * (loadGrams / 1000) * GRAVITY * (cm3 / 1e6)) / (Math.PI ** 2 * (mm / 1000) ** 5)

/** Yield stress from the slump of a cylinder, Pa: ρ g H (½ − ½ √(s/H)); heights in cm, density in kg/m³. */
export const slumpYield = (heightCm: number, slumpCm: number, density = 1000) =>
  density * GRAVITY * (heightCm / 100) * (0.5 - 0.5 * Math.sqrt(slumpCm / heightCm))

/** Yield stress from a disc that was poured, Pa: 225 ρ g V² / (128 π² R⁵). */
export const discYield = (ml: number, radiusCm: number, density = 1000) =>
  (225 * density * GRAVITY * (ml / 1e6) ** 2) / (128 * Math.PI ** 2 * (radiusCm / 100) ** 5)

/** Times gravity in something that turns: 1.118·10⁻⁵ r rpm². */
export const timesGravity = (radiusCm: number, rpm: number) => 1.118e-5 * radiusCm * rpm ** 2

/** Height of a layer, percent of the whole. */
export const creamingPercent = (layerMm: number, totalMm: number) => (100 * layerMm) / totalMm

/** What leaves through a closed pack in a year, percent of its content, from grams a day. */
export const lossPercentPerYear = (gramsPerDay: number, netGrams: number) =>
  (100 * 365 * gramsPerDay) / netGrams
