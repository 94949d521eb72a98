import type { Assessment } from '../assess/types.ts'
import { driftingOf } from '../dosing/effects.ts'
import { tolerablePh } from '../ph/skin.ts'
import { trendOf, type Trend } from '../stats/trend.ts'
import { TELLS_APART, WATCH } from '../batch/watch-data.ts'
import { errorOf, type Read, type Series } from './series.ts'
import type { Told } from './told.ts'
import type { Crossing } from './verdict-facts.ts'

/** Where the pH must stay: what preserves it, and what its materials and skin bear. */
function phLimits(a: Assessment) {
  const { window } = a.preservation
  const { shared } = a.ph
  const bears = tolerablePh(a.formula.product)
  const low = Math.max(window?.min ?? bears.min, shared?.min ?? bears.min)
  const high = Math.min(window?.max ?? bears.max, shared?.max ?? bears.max)
  return { window, limits: low < high ? { low, high } : window ? { low: window.min, high: window.max } : {} }
}

/** Where preservation holds and skin or materials do not: beyond what skin bears, or where something works no more. */
function uneasyAt(a: Assessment, ph: number, error: number): Judgement | null {
  const bears = tolerablePh(a.formula.product)
  const past = (low: number, high: number) => Math.max(low - ph, ph - high) > error
  if (past(bears.stopMin, bears.stopMax)) return { grade: 'discard', told: { code: 'ph-burns', ph } }
  if (past(bears.min, bears.max))
    return { grade: 'again', told: { code: 'ph-stings', ph, range: { min: bears.min, max: bears.max } } }
  const { shared } = a.ph
  if (shared && past(shared.min, shared.max))
    return { grade: 'again', told: { code: 'ph-outside-needs', ph, range: shared } }
  return null
}

/** Until so many days after filling a pH can still be set right. */
const MENDED_UNTIL = 2

/** A series of pH with what it is judged by. */
interface PhSeries extends ReturnType<typeof phLimits> {
  series: Series
  last: Read
  /** Where the drift begins: what settles in the first days is left out. */
  zero: Read
  moved: number
  /** So small a difference the way of measuring cannot tell. */
  tells: number
  drifts: ReturnType<typeof driftingOf>[number]['drift'][]
  trend: Trend
}

export function phTold(s: Series, a: Assessment): Told | null {
  const last = s.reads.at(-1)
  if (!last) return null
  const { window, limits } = phLimits(a)
  const drifts = driftingOf(a).map((d) => d.drift)
  const rests = Math.max(0, ...drifts.map((d) => d.restsAfterDays ?? 0))
  const settled = rests > 0 ? rests : 1
  const zero = s.reads.find((r) => r.age >= settled * 0.9) ?? s.reads[0]!
  const after = s.reads.filter((r) => r.age >= zero.age)
  const tells = TELLS_APART * errorOf(s)
  const trend = trendOf(
    after.map((r) => ({ day: r.age, value: r.value })),
    limits,
  )
  const judged = {
    series: s,
    last,
    zero,
    moved: last.value - zero.value,
    tells,
    drifts,
    trend,
    window,
    limits,
  }
  const told = { trend, limits, from: zero.age, symptom: 'ph-later' as const }
  const verdict = unpreserved(judged) ?? uneasyAt(a, last.value, tells / 2) ?? driftTold(judged)
  return { ...told, ...verdict }
}

type Judgement = Pick<Told, 'grade' | 'told'>

/** Outside of what its preservation covers, now or for days; null where it is inside. */
function unpreserved({ series, last, tells, window }: PhSeries): Judgement | null {
  if (!window) return null
  const outside = (value: number) => Math.max(window.min - value, value - window.max)
  // what was outside for days has had no preservation, also where it came back
  const left = series.reads.findLast((r) => r.age >= MENDED_UNTIL && outside(r.value) > tells / 2)
  if (left)
    return {
      grade: 'discard',
      told: { code: 'ph-was-outside-preservation', ph: left.value, range: window },
    }
  if (outside(last.value) > tells / 2)
    return { grade: 'again', told: { code: 'ph-outside-preservation', ph: last.value, range: window } }
  if (outside(last.value) <= 0) return null
  return {
    grade: 'again',
    told: { code: 'ph-at-edge-of-preservation', ph: last.value, range: window, way: series.way! },
  }
}

/** How far the pH moved since it settled, against what the formula lets expect. */
function driftTold(j: PhSeries): Judgement {
  const { series, zero, moved, tells, drifts, trend } = j
  const drift = WATCH.properties.ph.drift!
  const expected = drifts.find((d) => d.restsAfterDays === undefined && d.way === (moved > 0 ? 'up' : 'down'))
  if (Math.abs(moved) > drift.again && !expected)
    return { grade: 'discard', told: { code: 'ph-unexplained', moved, age: zero.age } }
  const real = Math.abs(moved) > tells
  if (!real || Math.abs(moved) <= drift.fine) return steady(j, real)
  return {
    grade: 'again',
    told: {
      code: 'ph-drifts',
      moved,
      age: zero.age,
      way: series.way!,
      says: expected?.says ?? null,
      crossing: crossing(trend, real),
    },
  }
}

function steady({ series, last, zero, moved, tells, drifts, trend }: PhSeries, real: boolean): Judgement {
  const crosses = trend.p !== null && trend.p < 0.05 && real ? trend.crossesOnDay : null
  const few = series.reads.length < 2
  const told = { crossing: crossing(trend, real) }
  const early = earlyMove(series, zero.age, drifts)
  return {
    grade: crosses !== null && crosses < PLANNED_DAYS ? 'again' : 'fine',
    told:
      early !== null
        ? { code: 'ph-settled', moved: early, ...told }
        : few
          ? { code: 'ph-inside', ph: last.value, ...told }
          : real
            ? { code: 'ph-moved-inside', moved, ...told }
            : { code: 'ph-steady', way: series.way!, error: tells, ...told },
  }
}
/** A product is planned for so many days at most when its drift is judged. */
const PLANNED_DAYS = 183

/** A lactone or the like: how far it moved before it came to rest; null where it did not. */
function earlyMove(
  s: Series,
  restAge: number,
  drifts: readonly { says: string; way?: 'up' | 'down' | undefined; restsAfterDays?: number | undefined }[],
): number | null {
  const first = s.reads[0]!
  const rest = s.reads.find((r) => r.age >= restAge)
  const kind = drifts.find((d) => d.restsAfterDays !== undefined)
  if (!rest || !kind || first.age >= restAge) return null
  const moved = rest.value - first.value
  if (
    Math.abs(moved) <= TELLS_APART * errorOf(s) ||
    (kind.way !== undefined && moved > 0 !== (kind.way === 'up'))
  )
    return null
  return moved
}

/** When the drift would meet a limit. */
function crossing(trend: Trend, real: boolean): Crossing {
  if (trend.crossesOnDay === null) return null
  if (!real) return trend.n < 4 ? null : 'not-enough-data'
  return { day: Math.floor(trend.crossesOnDay) }
}
