import type { Assessment } from '../assess/types.ts'
import { pricePerGram, stockOf, type Lot } from '../materials/lots.ts'

export interface Need {
  material: string
  label: string
  needGrams: number
  haveGrams: number
  lackGrams: number
  /** What lacks costs by the newest price; null where none is known. */
  cost: number | null
}

/** What a formula's batch needs against what is on the shelf, water left out; what is lacking comes first. */
export function shoppingList(a: Assessment, lots: readonly Lot[], today: string): Need[] {
  const needs = new Map<string, Need>()
  for (const line of a.lines) {
    if (line.material?.kind === 'water' || line.grams <= 0) continue
    const seen = needs.get(line.id)
    const needGrams = Number(((seen?.needGrams ?? 0) + line.grams).toPrecision(12))
    const haveGrams = stockOf(lots, line.id, today)
    const lackGrams = Number(Math.max(0, needGrams - haveGrams).toPrecision(12))
    const price = pricePerGram(lots, line.id)
    needs.set(line.id, {
      material: line.id,
      label: line.label,
      needGrams,
      haveGrams,
      lackGrams,
      cost: price === null ? null : price * lackGrams,
    })
  }
  return [...needs.values()].sort((x, y) => Number(y.lackGrams > 0) - Number(x.lackGrams > 0))
}
