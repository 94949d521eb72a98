import { isOil } from '../emulsion/emulsion.ts'
import { BULK, isHeaped, OIL_DENSITY } from '../materials/measured.ts'
import type { Material } from '../shapes/material.ts'
import type { Remark } from './said.ts'
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
  remarks: Remark[],
): Mass | null {
  if (amount.kind !== 'quantity') return null
  const value = midpoint(amount)
  if (amount.max > amount.min)
    remarks.push(
      amount.min === 0
        ? { code: 'up-to', most: amount.max }
        : { code: 'range', min: amount.min, max: amount.max },
    )
  if (amount.rough) remarks.push({ code: 'rough', unit: amount.rough })
  if (amount.unit === 'bare') return { unit: bare, value }
  if (amount.unit !== 'millilitres') return { unit: amount.unit, value }
  // a spoon of a solid holds air
  if (material !== null && isHeaped(material)) {
    const bulk = material.bulkDensity ?? BULK
    const grams = value * bulk
    remarks.push({
      code: 'heaped',
      millilitres: value,
      grams,
      density: bulk,
      usual: material.bulkDensity === undefined,
    })
    return { unit: 'grams', value: grams }
  }
  const density = material?.density
  const used = density ?? (material && isOil(material) ? OIL_DENSITY : 1)
  const grams = value * used
  remarks.push({
    code: 'volume',
    millilitres: value,
    grams,
    density: used,
    as: density !== undefined ? null : used === 1 ? 'water' : 'oil',
  })
  return { unit: 'grams', value: grams }
}

export const isWater = (m: Material | null) => m !== null && (m.kind === 'water' || m.kind === 'hydrosol')

/** Whether numbers without a unit are percents or grams, and why where that is a guess. */
export function bareUnitOf(
  recipe: Recipe,
  list: readonly { ingredient: Ingredient }[],
  remarks: Remark[],
): 'percent' | 'grams' {
  if (recipe.bareUnit) return recipe.bareUnit
  const amounts = list.map((l) => l.ingredient.amount)
  const bare = amounts.flatMap((a) => (a?.kind === 'quantity' && a.unit === 'bare' ? [midpoint(a)] : []))
  if (bare.length === 0) return 'percent'
  const has = (unit: string) => amounts.some((a) => a?.kind === 'quantity' && a.unit === unit)
  if (has('percent')) return 'percent'
  if (has('grams') || has('millilitres')) {
    remarks.push({ code: 'bare-as-grams' })
    return 'grams'
  }
  const sum = bare.reduce((s, v) => s + v, 0)
  const unit = sum > 100.5 ? 'grams' : 'percent'
  remarks.push(unit === 'percent' ? { code: 'bare-as-percents' } : { code: 'bare-sum', sum })
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
