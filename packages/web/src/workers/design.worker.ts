import { DRAFT_NOTE } from '@omblet/core/words'
import {
  assess,
  balance,
  compareLabels,
  knownCatalogue,
  labelFormula,
  labelRanges,
  packRecipe,
  propose,
  readLabel,
  readRecipe,
  readRecipeCells,
  standingOf,
  variantOptions,
  withOwn,
  type Brief,
  type Catalogue,
  type Cell,
  type Formula,
  type OwnKnowledge,
  type Product,
  type Proposals,
  type Richness,
  type Solver,
  type VariantWish,
  type Wishes,
} from '@omblet/core'
import { expose } from 'comlink'
import wasm from 'highs/runtime?url'

let solver: Promise<Solver> | null = null
/** The solver is three megabytes and loads when it is first needed. */
const getSolver = () =>
  (solver ??= import('@omblet/core/highs').then(({ openHighs }) => openHighs(() => wasm)))

let catalogue: Catalogue | null = null
const known = () => {
  catalogue ??= withOwn(knownCatalogue({ changes: [], lots: [] }), { own: [], lots: [] })
  return catalogue
}
const priceOf = (prices: Readonly<Record<string, number>>) => (id: string) => prices[id] ?? null

const api = {
  /** What the maker added to the catalogue; told once and whenever it changes. */
  learn(knowledge: OwnKnowledge) {
    catalogue = withOwn(knownCatalogue(knowledge), knowledge)
  },
  /** Where the formula stands, and the least change that keeps the wishes. */
  async balance(formula: Formula, wishes: Wishes, prices: Readonly<Record<string, number>>) {
    const context = { catalogue: known(), priceOf: priceOf(prices) }
    const a = assess(formula, context.catalogue)
    return { before: standingOf(a, context), result: balance(a, wishes, context, await getSolver()) }
  },
  /** What the names of a label allow, and a draft that is a guess. */
  async label(asked: {
    text: string
    earlier: string
    product: Product
    name: string
    ph?: number
    texture?: Richness
    spf?: number
  }) {
    const { text, earlier, name, ...rest } = asked
    const context = { catalogue: known(), ...rest }
    const list = readLabel(text, context.catalogue)
    const ranges = list.names.length > 0 ? labelRanges(list, context, await getSolver()) : null
    const changes = earlier.trim() === '' ? null : compareLabels(readLabel(earlier, context.catalogue), list)
    return {
      list,
      ranges,
      changes,
      formula: ranges ? labelFormula(ranges, { ...context, name, note: DRAFT_NOTE }) : null,
    }
  },
  /** What a trial of this kind could compare, each at the amount that it wants. */
  variants(wish: VariantWish) {
    return variantOptions(wish, known())
  },
  /** What a recipe says, line by line, from text or from the cells of a spreadsheet. */
  recipe(source: { text: string } | { cells: readonly (readonly Cell[])[] }) {
    return packRecipe(
      'text' in source ? readRecipe(source.text, known()) : readRecipeCells(source.cells, known()),
    )
  },
  propose(brief: Brief, onShelf: ReadonlySet<string>, prices: Readonly<Record<string, number>>): Proposals {
    return propose(brief, known(), { onShelf, priceOf: priceOf(prices) })
  },
}
export type DesignWorker = typeof api
expose(api)
