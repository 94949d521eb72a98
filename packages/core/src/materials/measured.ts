import type { Material } from '../shapes/material.ts'
import { kindHas } from '../shapes/kinds.ts'
import type { MeasuredOut } from '../text/numbers.ts'

export const OIL_DENSITY = 0.92
/** g/mL of a powder, flakes or pastilles in a spoon, where it is not known (common practice). */
export const BULK = 0.6
/** What melts above this is solid in the kitchen, °C. */
export const SOLID_FROM = 40

/** A powder, flakes or pastilles: a spoon of it holds air. */
export const isHeaped = (m: Material) =>
  m.form === 'powder' || (m.form !== 'liquid' && (m.meltsC ?? 0) >= SOLID_FROM)

/** How a volume of a material becomes grams, g/mL as it is measured out; unknown where nothing tells it. */
export function measuredOf(material: Material | null, dropGrams?: number | null): MeasuredOut {
  const density =
    material === null
      ? undefined
      : isHeaped(material)
        ? (material.bulkDensity ?? BULK)
        : (material.density ?? (kindHas(material.kind, 'oil') ? OIL_DENSITY : undefined))
  return { density, dropGrams, solid: material !== null && isHeaped(material) }
}
