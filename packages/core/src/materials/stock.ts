import { largestRemainder } from '../formula/amounts.ts'
import type { Catalogue } from './catalogue.ts'
import type { Material } from '../shapes/material.ts'

export interface StockLine {
  material: string
  label: string
  percent: number
  grams: number
}

/**
 * The recipe of a mixture of one's own for so many grams of it, at the scale's resolution; the grams add up exactly.
 * Parts that make less than 100 % are scaled as they stand: what is not told cannot be weighed, so it is left out.
 */
export function stockRecipe(
  mixture: Material,
  grams: number,
  resolutionGrams: number,
  catalogue: Catalogue,
): StockLine[] {
  const parts = mixture.parts ?? []
  const told = parts.reduce((sum, p) => sum + p.percent, 0)
  const target = Math.round(grams / resolutionGrams)
  const counts = largestRemainder(
    parts.map((p) => (told > 0 ? (p.percent / told) * target : 0)),
    told > 0 ? target : 0,
  )
  return parts.map(({ inci, percent }, i) => {
    const found = catalogue.find(inci)
    return {
      material: found?.id ?? inci,
      label: found?.name ?? inci,
      percent,
      grams: Number((counts[i]! * resolutionGrams).toPrecision(12)),
    }
  })
}
