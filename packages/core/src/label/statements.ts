import { materialOfSubstance } from '../assess/carriers.ts'
import type { Assessment } from '../assess/types.ts'
import { isFresh } from '../findings/preservative.ts'
import { claimsSun } from '../findings/claims.ts'
import { formaldehydeIsSaid, type LabelRegion } from '../findings/traces.ts'
import { hasTrait, type Material, type Trait } from '../shapes/material.ts'
import type { Product } from '../shapes/formula.ts'
import { slug } from '../text/names.ts'
import { LABEL, type When } from './data.ts'

export interface Statement {
  code: string
  text: string
  source: string
  /** The words of the law, to stand as they are. */
  quoted: boolean
  confidence: 'high' | 'medium' | 'low'
}

type Test = (m: Material) => boolean

/** Percent of what a test meets: substances by their own material, and lines whose material has it as a whole. */
function percentOf(a: Assessment, test: Test): number {
  let sum = 0
  for (const line of a.lines) {
    if (line.percent <= 0) continue
    const parts = line.substances.filter((s) => {
      const own = materialOfSubstance(a, s.key)
      return own !== null && test(own)
    })
    if (parts.length > 0) sum += parts.reduce((t, s) => t + (line.percent * s.share) / 100, 0)
    else if (line.material && test(line.material)) sum += line.percent
  }
  return sum
}

const hasIt =
  (trait: Trait): Test =>
  (m) =>
    hasTrait(m, trait)

/** What is in it of all that a condition names, percent; null where it names nothing. */
function amountOf(a: Assessment, when: When): number | null {
  const amounts: number[] = []
  const allowed = (test: Test): Test =>
    when.notTrait === undefined ? test : (m) => test(m) && !hasTrait(m, when.notTrait!)
  if (when.inci)
    amounts.push(when.inci.reduce((sum, name) => sum + (a.substances.get(slug(name))?.percent ?? 0), 0))
  if (when.trait) amounts.push(percentOf(a, allowed(hasIt(when.trait))))
  if (when.kind)
    amounts.push(
      percentOf(
        a,
        allowed((m) => m.kind === when.kind),
      ),
    )
  return amounts.length > 0 ? Math.max(...amounts) : null
}

/** Whether the conditions of a sentence hold for a product. */
export function holds(a: Assessment, when: When, region: LabelRegion): boolean {
  const { product } = a.formula
  return holdsFor(when, product) && amountHolds(a, when) && stateHolds(a, when, region)
}

/** Conditions of the product alone. */
const holdsFor = (when: When, product: Product): boolean =>
  (when.rinse === undefined || product.rinse === when.rinse) &&
  (when.site === undefined || when.site.includes(product.site)) &&
  (when.notSite === undefined || product.site !== when.notSite) &&
  (when.product === undefined || when.product.includes(product.kind)) &&
  (when.sold === undefined || product.for === 'sale')

/** Conditions of what is in it, and how much. */
function amountHolds(a: Assessment, when: When): boolean {
  if (when.without !== undefined && percentOf(a, hasIt(when.without)) !== 0) return false
  const amount = amountOf(a, when)
  if (amount === null) return true
  return amount > 0 && amount >= (when.fromPercent ?? 0) - 1e-9 && amount > (when.abovePercent ?? 0)
}

/** Conditions of what was worked out: claims, traces, preservation. */
function stateHolds(a: Assessment, when: When, region: LabelRegion): boolean {
  const { needed, adequate } = a.preservation
  return (
    (when.claims === undefined || claimsSun(a)) &&
    (when.formaldehyde === undefined || formaldehydeIsSaid(a, region)) &&
    (when.fresh === undefined || (needed && isFresh(a) && !adequate)) &&
    (when.wet === undefined || needed)
  )
}

/** Sentences that a label of the region carries, each once, the words of the law before those of practice. */
export function statementsOf(a: Assessment, region: LabelRegion): Statement[] {
  const seen = new Set<string>()
  return LABEL.statements.flatMap(({ when, regions, quoted, ...s }): Statement[] => {
    if (seen.has(s.code) || (regions && !regions.includes(region)) || !holds(a, when, region)) return []
    seen.add(s.code)
    return [{ ...s, quoted: quoted ?? false }]
  })
}

const fitsProduct = (row: (typeof LABEL.directions)[number], { kind, site, rinse }: Product) =>
  row.kinds.includes(kind) &&
  (row.sites === undefined || row.sites.includes(site)) &&
  (row.rinse === undefined || row.rinse === rinse)

/** How it is used, a sentence each. */
export const directionsOf = (a: Assessment): string[] => [
  ...LABEL.directions
    .filter((row) => fitsProduct(row, a.formula.product))
    .slice(0, 1)
    .map((row) => row.text),
  ...LABEL.more.filter((m) => holds(a, m.when, a.formula.product.region)).map((m) => m.text),
]
