import type { Catalogue } from '../materials/catalogue.ts'
import { resolveLine } from '../materials/resolve.ts'
import { slug } from '../text/names.ts'
import { parseCsv } from '../text/csv.ts'
import { parseNumber, parsePrice } from '../text/numbers.ts'

/** Price of a gram by material; null where none is known. */
export type PriceOf = (material: string) => number | null

const COLUMNS = ['material', 'price', 'pack_grams'] as const

/** The id that a name stands for, as a line of a formula would find it. */
const idOf = (name: string, catalogue: Catalogue) => resolveLine({ material: name }, catalogue).id

/**
 * Prices of packs from a table with the columns material, price and pack_grams; of several rows of a material the last
 * one holds. A sentence that names row and column where a cell cannot be read.
 */
export function readPrices(text: string, catalogue: Catalogue): { priceOf: PriceOf } | { error: string } {
  const [head, ...rows] = parseCsv(text)
  if (!head) return { error: 'The table of prices is empty.' }
  const at = COLUMNS.map((name) => head.findIndex((h) => slug(h) === slug(name)))
  const lacking = COLUMNS.filter((_, i) => at[i]! < 0)
  if (lacking.length > 0) return { error: `The table of prices has no column ${lacking.join(', ')}.` }
  const perGram = new Map<string, number>()
  const rowOf = new Map<string, number>()
  for (const [i, row] of rows.entries()) {
    const [name = '', price = '', pack = ''] = at.map((c) => (row[c] ?? '').trim())
    const where = `row ${i + 2}`
    if (name === '') return { error: `material in ${where} is empty.` }
    const cost = parsePrice(price)
    if ('error' in cost) return { error: `price in ${where}, “${price}”, is no price. ${cost.error}` }
    if (cost.value === null) return { error: `price in ${where} is empty.` }
    const grams = parseNumber(pack, { min: 0, max: 1e6, what: 'the pack', unit: 'g' })
    if (/^[1-9]\d{0,2}(,\d{3})+$/.test(pack))
      return {
        error: `pack_grams in ${where}, “${pack}”, can be read in two ways. Write it without the comma.`,
      }
    if ('error' in grams) return { error: `pack_grams in ${where}, “${pack}”: ${grams.error}` }
    if (!grams.value) return { error: `pack_grams in ${where}, “${pack}”, is no weight above 0.` }
    const id = slug(idOf(name, catalogue))
    const earlier = rowOf.get(id)
    if (earlier !== undefined)
      return { error: `${name} has a price in row ${earlier} and in ${where}. Leave one of them.` }
    rowOf.set(id, i + 2)
    perGram.set(id, cost.value / grams.value)
  }
  return { priceOf: (material) => perGram.get(slug(material)) ?? null }
}
