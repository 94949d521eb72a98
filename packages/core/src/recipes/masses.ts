import { isOil } from '../emulsion/emulsion.ts'
import { BULK, isHeaped, OIL_DENSITY } from '../materials/measured.ts'
import type { Material } from '../shapes/material.ts'
import { sayNumber } from '../text/format.ts'
import type { RecipeAmount } from './amounts.ts'
import type { Mass } from './arrange.ts'
import type { Ingredient } from './lines.ts'
import type { Recipe } from './recipe.ts'

export const midpoint = (a: { min: number; max: number }) => (a.min + a.max) / 2
export const tidy = (percent: number) => Number(percent.toFixed(4))
/** Grams of a volume by the density that is known, else of water or of an oil, and says so. */
export function massOf(
  amount: RecipeAmount,
  material: Material | null,
  bare: 'percent' | 'grams',
  remarks: string[],
): Mass | null {
  if (amount.kind !== 'quantity') return null
  const value = midpoint(amount)
  if (amount.max > amount.min)
    remarks.push(
      amount.min === 0
        ? `“Up to ${sayNumber(amount.max, 3)}”: half of it is taken until you choose.`
        : `A range of ${sayNumber(amount.min, 3)}–${sayNumber(amount.max, 3)}: its middle is taken until you choose.`,
    )
  if (amount.rough) remarks.push(amount.rough)
  if (amount.unit === 'bare') return { unit: bare, value }
  if (amount.unit !== 'millilitres') return { unit: amount.unit, value }
  // a spoon of a solid holds air
  if (material !== null && isHeaped(material)) {
    const bulk = material.bulkDensity ?? BULK
    const grams = value * bulk
    remarks.push(
      `${sayNumber(value, 2)} mL of it is about ${sayNumber(grams, 2)} g, as it lies in a spoon at ${sayNumber(bulk, 2)} g/mL${material.bulkDensity === undefined ? ', as most powders and flakes do' : ''}: weigh yours.`,
    )
    return { unit: 'grams', value: grams }
  }
  const density = material?.density
  const used = density ?? (material && isOil(material) ? OIL_DENSITY : 1)
  const grams = value * used
  remarks.push(
    `${sayNumber(value, 2)} mL is ${sayNumber(grams, 2)} g at ${sayNumber(used, 2)} g/mL${density === undefined ? `, the density of ${used === 1 ? 'water' : 'an oil'}: its own is not known here` : ''}.`,
  )
  return { unit: 'grams', value: grams }
}

export const isWater = (m: Material | null) => m !== null && (m.kind === 'water' || m.kind === 'hydrosol')

/** Whether numbers without a unit are percents or grams, and why where that is a guess. */
export function bareUnitOf(
  recipe: Recipe,
  list: readonly { ingredient: Ingredient }[],
  remarks: string[],
): 'percent' | 'grams' {
  if (recipe.bareUnit) return recipe.bareUnit
  const amounts = list.map((l) => l.ingredient.amount)
  const bare = amounts.flatMap((a) => (a?.kind === 'quantity' && a.unit === 'bare' ? [midpoint(a)] : []))
  if (bare.length === 0) return 'percent'
  const has = (unit: string) => amounts.some((a) => a?.kind === 'quantity' && a.unit === unit)
  if (has('percent')) return 'percent'
  if (has('grams') || has('millilitres')) {
    remarks.push('Numbers without a unit are read as grams, like the rest.')
    return 'grams'
  }
  const sum = bare.reduce((s, v) => s + v, 0)
  const unit = sum > 100.5 ? 'grams' : 'percent'
  remarks.push(
    unit === 'percent'
      ? 'Numbers without a unit are read as percents.'
      : `Numbers without a unit add up to ${sayNumber(sum, 2)}: they are read as grams.`,
  )
  return unit
}

/** The batch that most lines with percent and grams agree on; null without such lines. */
export function batchFromPairs(list: readonly { ingredient: Ingredient }[]): number | null {
  const implied = list.flatMap(({ ingredient: { amount, beside } }) =>
    amount?.kind === 'quantity' &&
    beside?.kind === 'quantity' &&
    beside.unit !== 'millilitres' &&
    amount.min > 0
      ? [(beside.min / amount.min) * 100]
      : [],
  )
  if (implied.length < 2) return null
  const sorted = implied.sort((a, b) => a - b)
  const middle = sorted[Math.floor(sorted.length / 2)]!
  const agree = sorted.filter((b) => Math.abs(b - middle) <= middle * 0.03).length
  return agree * 2 >= sorted.length ? Number(middle.toPrecision(3)) : null
}

/** What asks for a figure of its own strength: a percent beside grams may be that. */
export const hasStrength = (m: Material | null) =>
  m !== null && (m.strengthPercent !== undefined || m.kind === 'acid')
