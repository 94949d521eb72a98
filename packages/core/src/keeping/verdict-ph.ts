import type { Assessment } from '../assess/types.ts'
import { driftingOf } from '../dosing/effects.ts'
import { bearsOf } from '../ph/skin.ts'
import { trendOf, type Trend } from '../stats/trend.ts'
import { formatRange, sayNumber } from '../text/format.ts'
import { TELLS_APART, WATCH } from './data.ts'
import { errorOf, type Read, type Series } from './series.ts'
import { AGAIN, signed, since, THROW, type Told } from './told.ts'

/** Where the pH must stay: what preserves it, and what its materials and skin bear. */
function phLimits(a: Assessment) {
  const { window } = a.preservation
  const { shared } = a.ph
  const bears = bearsOf(a.formula.product)
  const low = Math.max(window?.min ?? bears.min, shared?.min ?? bears.min)
  const high = Math.min(window?.max ?? bears.max, shared?.max ?? bears.max)
  return { window, limits: low < high ? { low, high } : window ? { low: window.min, high: window.max } : {} }
}

/** Where preservation holds and skin or materials do not: beyond what skin bears, or where something works no more. */
function uneasyAt(
  a: Assessment,
  ph: number,
  error: number,
): Pick<Told, 'grade' | 'first' | 'why' | 'next'> | null {
  const bears = bearsOf(a.formula.product)
  const past = (low: number, high: number) => Math.max(low - ph, ph - high) > error
  if (past(bears.stopMin, bears.stopMax))
    return { grade: 'discard', first: 'which burns.', why: 'Not tolerable on this skin.', next: THROW }
  if (past(bears.min, bears.max))
    return {
      grade: 'again',
      first: `outside the tolerable range here (${formatRange(bears)}).`,
      why: 'It may sting.',
      next: AGAIN,
    }
  const { shared } = a.ph
  if (shared && past(shared.min, shared.max))
    return {
      grade: 'again',
      first: `outside ${formatRange(shared)}, where the ingredients are effective and stable.`,
      why: 'The product is preserved, but actives work less or the consistency suffers.',
      next: AGAIN,
    }
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
  const uneasy = uneasyAt(a, last.value, tells / 2)
  const verdict =
    unpreserved(judged) ??
    (uneasy ? { ...uneasy, first: `${readsWords(last)}, ${uneasy.first}` } : driftTold(judged))
  return { ...told, ...verdict }
}

type Judgement = Pick<Told, 'grade' | 'first' | 'why' | 'next'>
const readsWords = (last: Read) => `Measured pH ${sayNumber(last.value)}`

/** Outside of what its preservation covers, now or for days; null where it is inside. */
function unpreserved({ series, last, tells, window }: PhSeries): Judgement | null {
  if (!window) return null
  const outside = (value: number) => Math.max(window.min - value, value - window.max)
  // what was outside for days has had no preservation, also where it came back
  const left = series.reads.findLast((r) => r.age >= MENDED_UNTIL && outside(r.value) > tells / 2)
  if (left)
    return {
      grade: 'discard',
      first: `Measured pH ${sayNumber(left.value)}, outside the range of the preservation (${formatRange(window)}).`,
      why: 'Microbes may have grown unseen since then.',
      next: THROW,
    }
  if (outside(last.value) > tells / 2)
    return {
      grade: 'again',
      first: `${readsWords(last)}, outside the range of the preservation (${formatRange(window)}).`,
      why: 'Just filled: the pH can still be adjusted.',
      next: 'Adjust the pH today and measure again tomorrow. Otherwise discard the batch.',
    }
  if (outside(last.value) <= 0) return null
  return {
    grade: 'again',
    first: `${readsWords(last)}, at the edge of the range of the preservation (${formatRange(window)}).`,
    why: `The ${WATCH.ways[series.way!].label} cannot tell on which side.`,
    next: AGAIN,
  }
}

/** How far the pH moved since it settled, against what the formula lets expect. */
function driftTold(j: PhSeries): Judgement {
  const { series, zero, moved, tells, drifts, trend } = j
  const drift = WATCH.properties.ph.drift!
  const expected = drifts.find((d) => d.restsAfterDays === undefined && d.way === (moved > 0 ? 'up' : 'down'))
  if (Math.abs(moved) > drift.again && !expected)
    return {
      grade: 'discard',
      first: `The pH moved by ${signed(moved, 2)} ${since(zero.age)}.`,
      why: 'The formula does not explain a change this large: there is another cause.',
      next: THROW,
    }
  const real = Math.abs(moved) > tells
  if (!real || Math.abs(moved) <= drift.fine) return steady(j, real)
  return {
    grade: 'again',
    first: `The pH ${moved > 0 ? 'rose' : 'fell'} by ${sayNumber(Math.abs(moved))} ${since(zero.age)}, more than the ${WATCH.ways[series.way!].label}’s error.`,
    why: [expected?.says ?? '', crossing(trend, real)].filter(Boolean).join(' '),
    next: AGAIN,
  }
}

function steady({ series, last, zero, moved, tells, drifts, trend }: PhSeries, real: boolean): Judgement {
  const crosses = trend.p !== null && trend.p < 0.05 && real ? trend.crossesOnDay : null
  const few = series.reads.length < 2
  const held = `No detectable pH change: it is within the ${WATCH.ways[series.way!].label}’s error (${sayNumber(tells)}).`
  const inside = few
    ? `${readsWords(last)}, within its pH ranges.`
    : `The pH moved by ${signed(moved, 2)}, within its pH ranges.`
  return {
    grade: crosses !== null && crosses < PLANNED_DAYS ? 'again' : 'fine',
    first: earlyMove(series, zero.age, drifts) || (few || real ? inside : held),
    why: crossing(trend, real),
    next: '',
  }
}
/** A product is planned for so many days at most when its drift is judged. */
const PLANNED_DAYS = 183

/** A lactone or the like: what happened before it came to rest. */
function earlyMove(
  s: Series,
  restAge: number,
  drifts: readonly { says: string; way?: 'up' | 'down' | undefined; restsAfterDays?: number | undefined }[],
): string {
  const first = s.reads[0]!
  const rest = s.reads.find((r) => r.age >= restAge)
  const kind = drifts.find((d) => d.restsAfterDays !== undefined)
  if (!rest || !kind || first.age >= restAge) return ''
  const moved = rest.value - first.value
  if (
    Math.abs(moved) <= TELLS_APART * errorOf(s) ||
    (kind.way !== undefined && moved > 0 !== (kind.way === 'up'))
  )
    return ''
  return `The pH ${moved > 0 ? 'rose' : 'fell'} by ${sayNumber(Math.abs(moved))} in the first days, as forecast, and has rested since.`
}

/** When the drift would meet a limit, in words; empty where nothing is to be said. */
function crossing(trend: Trend, real: boolean): string {
  if (trend.crossesOnDay === null) return ''
  if (!real) return trend.n < 4 ? '' : 'Not enough data yet for a forecast.'
  const day = Math.floor(trend.crossesOnDay)
  return `At this rate the 95 % limit reaches the edge of the range on day ${day}. Use the product before then.`
}
