import { sayMoney } from './figures.ts'
import { bodySpan } from './feel.ts'
import type { Forecast } from '../../derived/forecast.ts'
import type { Assessment } from '../../assess/types.ts'
import { formatNumber, formatRange } from '../../text/format.ts'

export const freezing: Record<NonNullable<Forecast['frost']>, string> = {
  stands: 'survives freezing',
  doubtful: 'may separate when frozen',
  splits: 'separates when frozen',
}

/** One thing that is expected of a formula. */
export interface ForecastRow {
  what: string
  words: string
}
/** A forecast as short words, one row for each thing. */
export function forecastRows(f: Forecast): ForecastRow[] {
  const n = (v: number) => formatNumber(v, 1)
  return [
    { what: 'pH', words: f.ph ? `${n(f.ph.likely)} (${n(f.ph.low)}–${n(f.ph.high)})` : 'unknown' },
    ...(f.hlb
      ? [
          {
            what: 'HLB',
            words: `${f.hlb.offered === null ? 'unknown' : n(f.hlb.offered)}, required ${n(f.hlb.wanted)}`,
          },
        ]
      : []),
    ...(f.body
      ? [
          {
            what: 'Consistency',
            words: bodySpan(f.body),
          },
        ]
      : []),
    ...(f.frost ? [{ what: 'Freeze–thaw', words: freezing[f.frost] }] : []),
    { what: '100 g', words: f.cost === null ? 'price missing' : sayMoney(f.cost) },
  ]
}

/** What follows from a formula, for a comparison of two: name and value. */
export function comparedRows({ ph, formula: { targetPh } }: Assessment, f: Forecast): ForecastRow[] {
  return [
    { what: 'Target pH', words: targetPh ? formatRange(targetPh) : 'none' },
    {
      what: 'Common pH range',
      words: ph.shared
        ? formatRange(ph.shared)
        : ph.clashes.length > 0
          ? 'none: requirements conflict'
          : 'no requirement',
    },
    ...forecastRows(f).map((row) => (row.what === 'pH' ? { ...row, what: 'Predicted pH' } : row)),
    {
      what: 'Findings',
      words: f.stops + f.checks === 0 ? 'none' : `${f.stops} stop, ${f.checks} check`,
    },
  ]
}
