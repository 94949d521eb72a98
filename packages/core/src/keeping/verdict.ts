import type { Assessment } from '../assess/types.ts'
import { rescue, type RescueCause } from '../bench/rescue.ts'
import type { BatchState } from '../bench/types.ts'
import type { Property } from '../shapes/keeping.ts'
import type { Trend } from '../stats/trend.ts'
import { sayNumber, uncapitalise } from '../text/format.ts'
import { GRADES, TELLS_APART, WATCH, type Grade } from './data.ts'
import type { History } from './history.ts'
import { bodyChange, lossPercentPerYear, platesAreaPerGram } from './measures.ts'
import { patchSays } from './patch.ts'
import { errorOf, seriesOf, type Series } from './series.ts'
import { AGAIN, since, SYMPTOMS, THROW, type Told } from './told.ts'
import { phTold } from './verdict-ph.ts'

/** What a series means: what is seen, why, and what to do; in proportion. */
export interface Verdict {
  series: Series
  grade: Grade
  first: string
  why: string
  next: string
  trend: Trend | null
  /** Age from which on the drift is judged: what settles in the first days is left out. */
  from: number
  /** Limits that it must not meet. */
  limits: { low?: number; high?: number }
  cause: RescueCause | null
}

export interface BatchVerdict {
  /** The worst of all; null where nothing was looked at. */
  grade: Grade | null
  /** The verdict alone, and with what tells it most. */
  head: string
  says: string
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
  if (s.reads.length < 2)
    return {
      grade: 'fine',
      first: `${sayNumber(last.value)} g. The next weighing shows the loss.`,
      why: '',
      next: '',
    }
  if (lost < -tells)
    return {
      grade: 'again',
      first: `The pack gained ${sayNumber(-lost)} g.`,
      why: 'A humectant can take up moisture through the cap, or the scale is off.',
      next: 'Weigh again together with a known weight.',
    }
  const words = `${sayNumber(Math.max(0, percent), 1)} % weight loss through the packaging`
  if (percent > drift.again)
    return {
      grade: 'discard',
      first: `${words}.`,
      why: 'The rest is that much more concentrated, preservative and acids included.',
      next: 'Do not use it. Choose tighter packaging.',
    }
  if (percent > drift.fine)
    return {
      grade: 'again',
      first: `${words}.`,
      why: 'Everything that stays becomes more concentrated.',
      next: 'Use a tighter cap or a thicker wall. Weigh again within a week.',
    }
  const days = last.age - first.age
  const yearly = days > 0 ? lossPercentPerYear(lost / days, net) : 0
  return {
    grade: 'fine',
    first: lost > tells ? `${words}.` : 'No detectable weight loss.',
    why: lost > tells ? `At this rate ${sayNumber(yearly, 0)} % a year.` : '',
    next: '',
  }
}

/** A layer by its height: creaming that still mixes back. */
function layerTold(s: Series): Told | null {
  const last = s.reads.at(-1)
  if (!last) return null
  const drift = WATCH.properties.layer.drift!
  const first = `The layer is ${sayNumber(last.value, 1)} % of the height.`
  if (last.value <= drift.fine) return { grade: 'fine', first, why: '', next: '' }
  return {
    grade: last.value > drift.again ? 'discard' : 'again',
    first,
    why: last.value > drift.again ? 'That much water has no oil with it, or oil no preservative.' : '',
    next: last.value > drift.again ? THROW : AGAIN,
    symptom: 'oil-later',
  }
}

/** Gums and waxes set for so long: body is judged from then on. */
const SETS_UNTIL = 2.5
function bodyTold(s: Series): Told | null {
  const base = s.reads.find((r) => r.age >= SETS_UNTIL) ?? s.reads[0]
  const last = s.reads.at(-1)
  if (!base || !last || !s.way) return null
  const area = s.way === 'spread' ? `, ${sayNumber(platesAreaPerGram(last.value, 1), 0)} cm² a gram` : ''
  if (base === last)
    return {
      grade: 'fine',
      first: `${sayNumber(last.value)} ${WATCH.ways[s.way].unit} by ${WATCH.ways[s.way].label}${area}.`,
      why: '',
      next: '',
    }
  const change = bodyChange(s.way, base.value, last.value)
  if (change === null) return null
  // where the index goes with the square, the error of the reading counts twice
  const power = s.way === 'flow' || s.way === 'line' ? 1 : 2
  const tells = TELLS_APART * power * (WATCH.ways[s.way].sdPercent ?? 0)
  const drift = WATCH.properties.body.drift!
  const symptom = change < 0 ? ('thin' as const) : ('thick' as const)
  if (Math.abs(change) <= Math.max(drift.fine, tells))
    return {
      grade: 'fine',
      first:
        Math.abs(change) <= tells
          ? 'No detectable change in consistency.'
          : `${change > 0 ? 'Thicker' : 'Thinner'} by ${sayNumber(Math.abs(change), 0)} %, within normal variation.`,
      why: '',
      next: '',
    }
  const words = `${change > 0 ? 'Thicker' : 'Thinner'} by ${sayNumber(Math.abs(change), 0)} % ${since(base.age)}.`
  return change < -drift.again
    ? { grade: 'discard', first: words, why: 'What held it together is gone.', next: THROW, symptom }
    : { grade: 'again', first: words, why: '', next: AGAIN, symptom }
}

function colourTold(s: Series): Told | null {
  const last = s.reads.at(-1)
  const drift = WATCH.properties.colour.drift!
  if (!last || s.reads.length < 2) return null
  const words = `The colour moved by ΔE00 ${sayNumber(last.value, 1)}`
  const symptom = 'colour' as const
  if (last.value <= drift.fine)
    return {
      grade: 'fine',
      first: last.value < 2 ? `${words}, less than light and phone do.` : `${words}: seen side by side only.`,
      why: '',
      next: '',
    }
  return {
    grade: 'again',
    first: `${words}: ${last.value > drift.again ? 'another colour' : 'plainly seen'}.`,
    why: '',
    next: AGAIN,
    symptom,
  }
}

/** An answer in words means what its table says; what condemned once condemns, whatever is seen later. */
function saidTold(s: Series): Told | null {
  const last = s.said.findLast((x) => x.grade === 'discard') ?? s.said.at(-1)
  if (!last) return null
  const label = WATCH.properties[s.property].label
  const when = WATCH.storages[s.storage].cycles && last.day ? ` after turn ${last.day / 2}` : ''
  const first = `${label}${when}: ${uncapitalise(last.words)}.`
  const symptom = SYMPTOMS[s.property]
  if (last.grade === 'fine') return { grade: 'fine', first, why: '', next: '' }
  return {
    grade: last.grade,
    first,
    why: '',
    next: last.grade === 'discard' ? THROW : AGAIN,
    ...(symptom ? { symptom } : {}),
  }
}

/** Condemns the batch wherever it is seen. */
const EVERYWHERE: readonly Property[] = ['germs', 'gas']

/** What was treated harder than the jar in use warns, and condemns nothing. */
function inProportion(s: Series, told: Told): Told {
  const facts = WATCH.storages[s.storage]
  if (!facts.stress || told.grade === 'fine' || EVERYWHERE.includes(s.property)) return told
  return {
    ...told,
    grade: 'again',
    why: `${told.why} ${facts.label} is harder than a shelf: it shows what is weak, and does not tell how long the jar in use is good.`.trim(),
    next: 'The sample at room decides. Keep jars from this, and strengthen it next time.',
  }
}

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

/** What home eyes cannot see; stands beside every verdict. */
export const UNSEEN =
  'Germs cannot be seen: a million in a gram can look and smell well. Only a laboratory’s challenge test (ISO 11930) tells whether the preservation holds; nothing here calls a product safe.'

const HEADS: Record<Grade, string> = {
  fine: 'No change detected.',
  again: 'Observe again.',
  discard: 'Do not use.',
}

/** What was seen of a batch and what it means, the worst first. `a`: what was really made, assessed. */
export function verdictOf(state: BatchState, h: History, a: Assessment): BatchVerdict {
  const list = seriesOf(h).flatMap((series): Verdict[] => {
    const told = toldOf(series, a, h.samples.find((x) => x.id === series.sample)?.grams)
    if (!told) return []
    const { symptom, trend = null, limits = {}, from = 0, ...rest } = inProportion(series, told)
    const cause = symptom && rest.grade !== 'fine' ? (rescue(symptom, state).causes[0] ?? null) : null
    return [{ series, trend, limits, from, cause, ...rest }]
  })
  const reacted = h.patches.some((p) => patchSays(p).state === 'stop')
  if (reacted) {
    return { grade: 'discard', head: HEADS.discard, says: `${HEADS.discard} A patch test reacted.`, list }
  }
  if (list.length === 0) return { grade: null, head: '', says: 'Nothing has been looked at yet.', list }
  const grade = list.reduce<Grade>((g, v) => worse(g, v.grade), 'fine')
  const order = [...list].sort((x, y) => GRADES.indexOf(y.grade) - GRADES.indexOf(x.grade))
  const told =
    grade === 'fine' ? list.find((v) => v.series.property === 'ph' && v.series.storage === 'room') : order[0]
  const where = told && grade !== 'fine' ? `${WATCH.storages[told.series.storage].label}: ` : ''
  const head = HEADS[grade]
  return {
    grade,
    head,
    says: [head, told ? `${where}${told.first}` : ''].filter(Boolean).join(' '),
    list: order,
  }
}
