import { coldAndWarm, expectedBody, type ColdAndWarm, type ExpectedBody } from '../feel/body.ts'
import { costByPrices } from '../cost/cost.ts'
import type { PriceOf } from '../cost/cost.ts'
import { isCaution } from '../findings/index.ts'
import type { Finding } from '../findings/types.ts'
import type { Derived } from './derived.ts'

/** What Omblet expects of one variant, before it is made. */
export interface Forecast {
  /** As predicted, before anything is adjusted; null where it cannot be told. */
  ph: { low: number; likely: number; high: number } | null
  hlb: { wanted: number; offered: number | null } | null
  body: ExpectedBody['tomorrow'] | null
  frost: ColdAndWarm['freezing']['verdict'] | null
  /** Of 100 g; null where a price is missing. */
  cost: number | null
  findings: Finding[]
  stops: number
  checks: number
}

/** What the assessment of a formula says of what a trial looks at. */
export function forecastOf(derived: Derived, priceOf: PriceOf): Forecast {
  const a = derived.assessment
  const findings = derived.findings.filter((f) => !isCaution(f))
  const p = a.predictedPh
  const cost = costByPrices(a, priceOf)
  return {
    ph: p ? { low: p.low, likely: p.value, high: p.high } : null,
    hlb:
      a.emulsion?.requiredHlb != null && a.emulsion.hlbApplies
        ? { wanted: a.emulsion.requiredHlb, offered: a.emulsion.offeredHlb }
        : null,
    body: expectedBody(a)?.tomorrow ?? null,
    frost: coldAndWarm(a)?.freezing.verdict ?? null,
    cost: cost.unpricedPercent > 0 ? null : cost.per100Grams,
    findings,
    stops: findings.filter((f) => f.severity === 'stop').length,
    checks: findings.filter((f) => f.severity === 'check').length,
  }
}
