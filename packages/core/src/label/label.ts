import type { Assessment } from '../assess/types.ts'
import { standingClaims } from '../findings/claims.ts'
import type { LabelRegion } from '../findings/traces.ts'
import { LABEL } from './data.ts'
import { ingredientList, type Concentrates, type IngredientList } from './ingredients.ts'
import { directionsOf, statementsOf, type Statement } from './statements.ts'
import { useWithin, type KeepingFacts, type UseWithin } from './use-within.ts'

/** What a label is asked for; content as it was measured, grams or millilitres. */
export interface LabelWish {
  region?: LabelRegion
  grams?: number | null
  millilitres?: number | null
  /** Name and address of who answers for it. */
  address?: string
  batchCode?: string
  /** What it is, where its kind does not say so. */
  function?: string
  /** The other language, where one is asked for. */
  secondLanguage?: boolean
  concentrates?: Concentrates
  keeping?: KeepingFacts
}

export interface Label {
  region: LabelRegion
  name: string
  /** What it is; null where nobody said. */
  function: string | null
  /** Claims against which nothing was found. */
  claims: string[]
  list: IngredientList
  statements: Statement[]
  directions: string[]
  useWithin: UseWithin
  /** What the law asks and nobody told. */
  missing: string[]
}

/** The region of a label where its maker did not choose one. */
export const labelRegion = (a: Assessment): LabelRegion => a.formula.product.region
/** Asked for in these regions. */
const ASKS_BATCH: readonly LabelRegion[] = ['EU', 'UK', 'other']
const ASKS_LANGUAGE: readonly LabelRegion[] = ['CA']

/** Everything that a label says of a product, and what is missing for it. */
export function labelOf(a: Assessment, wish: LabelWish = {}): Label {
  const region = wish.region ?? labelRegion(a)
  const list = ingredientList(a, region, wish.concentrates)
  const does = wish.function?.trim() || LABEL.functions[a.formula.product.kind] || null
  const nameOf = (i: number) => a.lines[i]!.source.material
  const once = (names: string[]) => [...new Set(names)]
  const missing = [
    ...(wish.address?.trim() ? [] : ['name and address']),
    ...(wish.grams || wish.millilitres ? [] : ['content']),
    ...(!ASKS_BATCH.includes(region) || wish.batchCode?.trim() ? [] : ['batch code']),
    ...(does ? [] : ['function']),
    ...once(list.unknownMakeUp.map((i) => `make-up of ${nameOf(i)}`)),
    ...once(list.noAnalysis.map((i) => `analysis of ${nameOf(i)}`)),
    ...(ASKS_LANGUAGE.includes(region) && !wish.secondLanguage ? ['second language'] : []),
  ]
  return {
    region,
    name: a.formula.name,
    function: does,
    claims: standingClaims(a),
    list,
    statements: statementsOf(a, region),
    directions: directionsOf(a),
    useWithin: useWithin(a, wish.keeping),
    missing,
  }
}

const rounded = (percent: number) => Number(percent.toPrecision(12))

/** The label as the command line prints it. */
export function labelReport(a: Assessment, wish: LabelWish = {}): object {
  const l = labelOf(a, wish)
  return {
    ingredients: l.list.entries.map((e) => ({
      name: e.name,
      percent: e.percent === null ? null : rounded(e.percent),
    })),
    belowOneFrom: l.list.belowOneFrom,
    mayContain: [],
    allergens: l.list.allergens,
    statements: l.statements.map(({ code, text, source }) => ({ code, text, source })),
    directions: l.directions,
    useWithin: {
      closedMonths: l.useWithin.closedMonths,
      openedMonths: l.useWithin.openedMonths,
      why: l.useWithin.why,
    },
    missing: l.missing,
  }
}
