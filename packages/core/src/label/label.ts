import type { Missing } from './said.ts'
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
  missing: Missing[]
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
  const missing: Missing[] = [
    ...(wish.address?.trim() ? [] : [{ code: 'address' } as const]),
    ...(wish.grams || wish.millilitres ? [] : [{ code: 'content' } as const]),
    ...(!ASKS_BATCH.includes(region) || wish.batchCode?.trim() ? [] : [{ code: 'batch-code' } as const]),
    ...(does ? [] : [{ code: 'function' } as const]),
    ...once(list.unknownMakeUp.map(nameOf)).map((material) => ({ code: 'composition' as const, material })),
    ...once(list.noAnalysis.map(nameOf)).map((material) => ({ code: 'analysis' as const, material })),
    ...(ASKS_LANGUAGE.includes(region) && !wish.secondLanguage ? [{ code: 'second-language' } as const] : []),
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
