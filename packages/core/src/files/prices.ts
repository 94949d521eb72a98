import { prices as texts } from '#words/files'
import type { Catalogue } from '../materials/catalogue.ts'
import { resolveLine } from '../materials/resolve.ts'
import { slug } from '../text/names.ts'
import type { PriceOf } from '../cost/cost.ts'
import { parseCsv } from '../text/csv.ts'
import { parseNumber, parsePrice } from '../words/typed.ts'

const COLUMNS = ['material', 'price', 'pack_grams'] as const

/** The id that a name stands for, as a line of a formula would find it. */
const idOf = (name: string, catalogue: Catalogue) => resolveLine({ material: name }, catalogue).id

/**
 * Prices of packs from a table with the columns material, price and pack_grams; of several rows of a material the last
 * one holds. A sentence that names row and column where a cell cannot be read.
 */
export function readPrices(text: string, catalogue: Catalogue): { priceOf: PriceOf } | { error: string } {
  const [head, ...rows] = parseCsv(text)
  if (!head) return { error: texts.theTableOfPricesIs }
  const at = COLUMNS.map((name) => head.findIndex((h) => slug(h) === slug(name)))
  const lacking = COLUMNS.filter((_, i) => at[i]! < 0)
  if (lacking.length > 0) return { error: texts.theTableOfPricesHas(lacking.join(', ')) }
  const perGram = new Map<string, number>()
  const rowOf = new Map<string, number>()
  for (const [i, row] of rows.entries()) {
    const [name = '', price = '', pack = ''] = at.map((c) => (row[c] ?? '').trim())
    const where = texts.row(i + 2)
    if (name === '') return { error: texts.materialInIsEmpty(where) }
    const cost = parsePrice(price)
    if ('error' in cost) return { error: texts.priceInIsNoPrice(where, price, cost.error) }
    if (cost.value === null) return { error: texts.priceInIsEmpty(where) }
    const grams = parseNumber(pack, { min: 0, max: 1e6, what: texts.thePack, unit: 'g' })
    if (/^[1-9]\d{0,2}(,\d{3})+$/.test(pack))
      return {
        error: texts.packGramsInCanBe(where, pack),
      }
    if ('error' in grams) return { error: texts.packGramsIn(where, pack, grams.error) }
    if (!grams.value) return { error: texts.packGramsInIsNo(where, pack) }
    const id = slug(idOf(name, catalogue))
    const earlier = rowOf.get(id)
    if (earlier !== undefined) return { error: texts.hasAPriceInRow(name, earlier, where) }
    rowOf.set(id, i + 2)
    perGram.set(id, cost.value / grams.value)
  }
  return { priceOf: (material) => perGram.get(slug(material)) ?? null }
}
