import type { Assessment } from '../assess/types.ts'
import type { LikelyCause } from '../bench/cause.ts'
import { rescue } from '../bench/rescue.ts'
import type { BatchState } from '../bench/types.ts'
import type { Property } from '../shapes/stability.ts'
import type { Trend } from '../stats/trend.ts'
import { GRADES, TELLS_APART, WATCH, type Grade } from '../batch/watch-data.ts'
import type { History } from './history.ts'
import { bodyChange, lossPercentPerYear, platesAreaPerGram } from './measures.ts'
import { patchVerdict } from './patch.ts'
import { errorOf, seriesOf, type Series } from './series.ts'
import { SYMPTOMS, type Told } from './told.ts'
import { phTold } from './verdict-ph.ts'

/** What a series means, in proportion. */
export interface Verdict {
  series: Series
  grade: Grade
  told: Told['told']
  /** Seen only where the sample was treated harder than the jar in use: it warns, and condemns nothing. */
  stressed: boolean
  trend: Trend | null
  /** Age from which on the drift is judged: what settles in the first days is left out. */
  from: number
  /** Limits that it must not meet. */
  limits: { low?: number; high?: number }
  cause: LikelyCause | null
}

export interface BatchVerdict {
  /** The worst of all; null where nothing was looked at. */
  grade: Grade | null
  /** A patch test reacted. */
  reacted: boolean
  /** What tells it most. */
  foremost: Verdict | null
  list: Verdict[]
}

const worse = (x: Grade, y: Grade): Grade => (GRADES.indexOf(x) >= GRADES.indexOf(y) ? x : y)

function massTold(s: Series, grams: number | undefined): Told | null {
  const [first, last] = [s.reads[0], s.reads.at(-1)]
  if (!first || !last) return null
  const net = grams ?? first.value
  const lost = first.value - last.value
  const percent = (100 * lost) / net
  const tells = TELLS_APART * errorOf(s)
  const drift = WATCH.properties.mass.drift!
  if (s.reads.length < 2) return { grade: 'fine', told: { code: 'mass-first', grams: last.value } }
  if (lost < -tells) return { grade: 'again', told: { code: 'mass-gained', grams: -lost } }
  const days = last.age - first.age
  const yearlyPercent = days > 0 ? lossPercentPerYear(lost / days, net) : 0
  const level = percent > drift.again ? 'discard' : percent > drift.fine ? 'again' : 'fine'
  if (level === 'fine' && lost <= tells) return { grade: 'fine', told: { code: 'mass-steady' } }
  return {
    grade: level,
    told: { code: 'mass-lost', percent: Math.max(0, percent), level, yearlyPercent },
  }
}

/** A layer by its height: creaming that still mixes back. */
function layerTold(s: Series): Told | null {
  const last = s.reads.at(-1)
  if (!last) return null
  const drift = WATCH.properties.layer.drift!
  const { value: percent } = last
  if (percent <= drift.fine) return { grade: 'fine', told: { code: 'layer', percent, level: 'fine' } }
  const level = percent > drift.again ? 'discard' : 'again'
  return { grade: level, told: { code: 'layer', percent, level }, symptom: 'oil-later' }
}

/** Gums and waxes set for so long: body is judged from then on. */
const SETS_UNTIL = 2.5
function bodyTold(s: Series): Told | null {
  const base = s.reads.find((r) => r.age >= SETS_UNTIL) ?? s.reads[0]
  const last = s.reads.at(-1)
  if (!base || !last || !s.way) return null
  if (base === last) {
    const areaPerGram = s.way === 'spread' ? platesAreaPerGram(last.value, 1) : null
    return { grade: 'fine', told: { code: 'body-first', value: last.value, way: s.way, areaPerGram } }
  }
  const change = bodyChange(s.way, base.value, last.value)
  if (change === null) return null
  // where the index goes with the square, the error of the reading counts twice
  const power = s.way === 'flow' || s.way === 'line' ? 1 : 2
  const tells = TELLS_APART * power * (WATCH.ways[s.way].sdPercent ?? 0)
  const drift = WATCH.properties.body.drift!
  const symptom = change < 0 ? ('thin' as const) : ('thick' as const)
  if (Math.abs(change) <= tells) return { grade: 'fine', told: { code: 'body-steady' } }
  if (Math.abs(change) <= drift.fine) return { grade: 'fine', told: { code: 'body-varies', percent: change } }
  const discard = change < -drift.again
  return {
    grade: discard ? 'discard' : 'again',
    told: { code: 'body-changed', percent: change, age: base.age, discard },
    symptom,
  }
}

/** Light and phone move a colour by so much, ΔE00 (common practice). */
const LIGHT_AND_PHONE = 2
function colourTold(s: Series): Told | null {
  const last = s.reads.at(-1)
  const drift = WATCH.properties.colour.drift!
  if (!last || s.reads.length < 2) return null
  const { value: deltaE } = last
  if (deltaE <= drift.fine)
    return {
      grade: 'fine',
      told: { code: 'colour', deltaE, level: deltaE < LIGHT_AND_PHONE ? 'below-light' : 'side-by-side' },
    }
  return {
    grade: 'again',
    told: { code: 'colour', deltaE, level: deltaE > drift.again ? 'another-colour' : 'visible' },
    symptom: 'colour',
  }
}

/** An answer in words means what its table says; what condemned once condemns, whatever is seen later. */
function saidTold(s: Series): Told | null {
  const last = s.said.findLast((x) => x.grade === 'discard') ?? s.said.at(-1)
  if (!last) return null
  const cycle = WATCH.storages[s.storage].cycles && last.day ? last.day / 2 : null
  const symptom = last.grade === 'fine' ? undefined : SYMPTOMS[s.property]
  return {
    grade: last.grade,
    told: { code: 'answer', property: s.property, cycle, words: last.words, level: last.grade },
    ...(symptom ? { symptom } : {}),
  }
}

/** Condemns the batch wherever it is seen. */
const EVERYWHERE: readonly Property[] = ['germs', 'gas']

/** What was treated harder than the jar in use warns, and condemns nothing. */
const isStressed = (s: Series, told: Told) =>
  WATCH.storages[s.storage].stress === true && told.grade !== 'fine' && !EVERYWHERE.includes(s.property)

function toldOf(s: Series, a: Assessment, grams: number | undefined): Told | null {
  const byNumber =
    s.property === 'ph'
      ? phTold(s, a)
      : s.property === 'mass'
        ? massTold(s, grams)
        : s.property === 'body'
          ? bodyTold(s)
          : s.property === 'colour'
            ? colourTold(s)
            : s.property === 'layer'
              ? layerTold(s)
              : null
  const bySaid = saidTold(s)
  if (!byNumber || !bySaid) return byNumber ?? bySaid
  return GRADES.indexOf(bySaid.grade) > GRADES.indexOf(byNumber.grade) ? bySaid : byNumber
}

/** What was seen of a batch and what it means, the worst first. `a`: what was really made, assessed. */
export function verdictOf(state: BatchState, h: History, a: Assessment): BatchVerdict {
  const list = seriesOf(h).flatMap((series): Verdict[] => {
    const told = toldOf(series, a, h.samples.find((x) => x.id === series.sample)?.grams)
    if (!told) return []
    const { symptom, trend = null, limits = {}, from = 0, ...rest } = told
    const stressed = isStressed(series, told)
    const cause = symptom && rest.grade !== 'fine' ? (rescue(symptom, state).causes[0] ?? null) : null
    return [
      {
        series,
        trend,
        limits,
        from,
        cause,
        stressed,
        ...rest,
        ...(stressed ? { grade: 'again' as const } : {}),
      },
    ]
  })
  const reacted = h.patches.some((p) => patchVerdict(p).state === 'stop')
  if (reacted) return { grade: 'discard', reacted, foremost: null, list }
  if (list.length === 0) return { grade: null, reacted, foremost: null, list }
  const grade = list.reduce<Grade>((g, v) => worse(g, v.grade), 'fine')
  const order = [...list].sort((x, y) => GRADES.indexOf(y.grade) - GRADES.indexOf(x.grade))
  const foremost =
    grade === 'fine' ? list.find((v) => v.series.property === 'ph' && v.series.storage === 'room') : order[0]
  return { grade, reacted, foremost: foremost ?? null, list: order }
}
