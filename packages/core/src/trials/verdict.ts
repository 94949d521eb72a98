import { friedmanExact, neededPeople } from '../stats/ranks.ts'
import { triangleTest } from '../stats/choices.ts'
import { formatNumber, sayNumber } from '../text/format.ts'
import { MOST_PEOPLE, type Trial, type TrialAttribute, type TrialSample } from '../shapes/trial.ts'
import { leans, scaleOf } from './data.ts'
import { trialReport, type AttributeResult, type TrialReport } from './report.ts'

/** One sample in one attribute: its mean over people, with the standard deviation over them (or over rounds, of one). */
export interface Dot {
  sample: string
  mean: number
  low: number
  high: number
  meanRank: number | null
}
export interface Reading {
  attribute: TrialAttribute
  scale: readonly [number, number]
  /** People who scored all of its samples. */
  people: number
  dots: Dot[]
  /** What it tells, the effect first. */
  says: string
  /** The test in figures; empty where there is none. */
  test: string
  /** Whether something differs. */
  tells: boolean
}
export interface TrialVerdict {
  readings: Reading[]
  /** Of triangles and pairs. */
  choices: string[]
  /** The whole in a few sentences, what decides first. */
  head: string[]
  leftOut: string[]
}

/** A difference that takes more than a kitchen's panel, or is less than this of the scale, is too small to be told. */
const MANY = MOST_PEOPLE
const SLIGHT = 0.05
/** Below it something differs. */
const LEVEL = 0.05
const letterOf = (samples: readonly TrialSample[], id: string) =>
  String.fromCharCode(65 + samples.findIndex((s) => s.id === id))
/** How a sentence calls a sample. */
const called = (samples: readonly TrialSample[], id: string) =>
  samples.find((s) => s.id === id)?.reference ? 'the reference' : letterOf(samples, id)

const meanOf = (values: readonly number[]) => values.reduce((s, v) => s + v, 0) / values.length
function spread(values: readonly number[]): number {
  if (values.length < 2) return 0
  const m = meanOf(values)
  return Math.sqrt(values.reduce((s, v) => s + (v - m) ** 2, 0) / (values.length - 1))
}
const people = (n: number) => (n === 1 ? 'one assessor' : `${n} assessors`)

/** What the scores of a trial mean, in sentences: the effect first, the test second, and what cannot be told. */
export function trialVerdict(trial: Trial): TrialVerdict {
  const { report, leftOut } = trialReport(trial)
  const readings = trial.attributes.map((attribute, i) => readingOf(trial, attribute, report.attributes[i]!))
  const choices = [...triangleWords(trial), ...pairWords(trial, report)]
  const asked = trial.triangles.length + trial.pairs.length
  const judges = new Set([...trial.triangles, ...trial.pairs].map((t) => t.by)).size
  if (asked > 0 && judges === 1 && choices.length > 0)
    choices.push('All by one assessor: they tell what this person can feel, not what others would.')
  return { readings, choices, head: headOf(trial, readings), leftOut }
}

/** Triangles of the same two samples together; those that name none are one group. */
function triangleWords(trial: Trial): string[] {
  const groups = new Map<string, typeof trial.triangles>()
  for (const t of trial.triangles) {
    const key = t.a !== undefined && t.b !== undefined ? `${t.a} ${t.b}` : ''
    groups.set(key, [...(groups.get(key) ?? []), t])
  }
  return [...groups.values()].map((list) => {
    const n = list.length
    const right = list.filter((t) => t.right).length
    const { p, differ } = triangleTest(right, n)
    const { a, b } = list[0]!
    const between =
      a !== undefined && b !== undefined
        ? ` between ${called(trial.samples, a)} and ${called(trial.samples, b)}`
        : ''
    const told = differ
      ? 'they can be told apart'
      : `not shown to differ with ${n} ${n === 1 ? 'answer' : 'answers'}`
    return `${right} of ${n} found the odd one${between}, by luck it would be ${sayNumber(n / 3, 1)}: ${told} (p ${sayP(p)}).`
  })
}
function pairWords(trial: Trial, { pairs }: TrialReport): string[] {
  const name = (id: string) => called(trial.samples, id)
  return pairs.map(({ a, b, attribute, n, forA, p, differ }) => {
    const [more, less, times] = forA >= n - forA ? [a, b, forA] : [b, a, n - forA]
    const by = trial.attributes.find((x) => x.id === attribute)
    const what = by
      ? `say that ${name(more)} ${leans(by, true)} than ${name(less)}`
      : `prefer ${name(more)} to ${name(less)}`
    return `${times} of ${n} ${what}${differ ? '' : 2 * forA === n ? ', and as many the other way' : ': not enough data'} (p ${sayP(p)}).`
  })
}

const sayP = (p: number) => (p < 0.001 ? '< 0.001' : sayNumber(p, p < 0.01 ? 4 : 3))

/** What a difference of means is called: “2.1 of 10”, “14 s”, “1.4 places”. */
function sayEffect(attribute: TrialAttribute, difference: number): string {
  if (attribute.ask === 'seconds') return `${formatNumber(difference, 0)} s`
  if (attribute.ask === 'rank') return `${formatNumber(difference, 1)} places`
  const [low, high] = scaleOf(attribute)
  return `${formatNumber(difference, 1)} out of ${sayNumber(high - low)}`
}

function rowsOf(trial: Trial, attribute: TrialAttribute, samples: readonly TrialSample[]) {
  const scores = trial.scores.filter((s) => s.attribute === attribute.id)
  const by = [...new Set(scores.map((s) => s.by))]
  const cell = (person: string, sample: string) =>
    scores.filter((s) => s.by === person && s.sample === sample).map((s) => s.value)
  return {
    by,
    cell,
    rows: by.map((p) => samples.map((s) => cell(p, s.id))).filter((row) => row.every((c) => c.length > 0)),
  }
}

function readingOf(trial: Trial, attribute: TrialAttribute, result: AttributeResult): Reading {
  const scale =
    attribute.ask === 'rank' ? ([1, Math.max(2, trial.samples.length)] as const) : scaleOf(attribute)
  const samples = trial.samples.filter((s) => result.means[s.id] !== undefined)
  const { rows: cells, by, cell } = rowsOf(trial, attribute, samples)
  const rows = cells.map((row) => row.map(meanOf))
  const clip = (v: number) => Math.min(scale[1], Math.max(scale[0], v))
  const dots = samples.map((s, j): Dot => {
    const values =
      cells.length === 1
        ? cells[0]![j]!
        : cells.length > 1
          ? rows.map((r) => r[j]!)
          : by.flatMap((p) => cell(p, s.id))
    const mean = result.means[s.id]!
    const sd = spread(values)
    return {
      sample: s.id,
      mean,
      low: clip(mean - sd),
      high: clip(mean + sd),
      meanRank: rows.length > 0 ? result.rankSums[s.id]! / rows.length : null,
    }
  })
  const told = sentence({ trial, attribute, result, samples, rows }, dots)
  return { attribute, scale, people: rows.length, dots, ...told }
}

type Conclusion = Pick<Reading, 'says' | 'test' | 'tells'>
const silent = (says: string): Conclusion => ({ says, test: '', tells: false })

/** What sentences of one attribute are made from. */
interface Judged {
  trial: Trial
  attribute: TrialAttribute
  result: AttributeResult
  samples: readonly TrialSample[]
  /** Means of a person, a column a sample. */
  rows: number[][]
}
/** A difference of two samples: which is more, by how much, and how many people agree. */
interface Effect {
  more: string
  less: string
  size: number
  agree: number
}

function effectOf({ result, samples, rows }: Judged, x: string, y: string): Effect {
  const [more, less] = result.means[x]! >= result.means[y]! ? [x, y] : [y, x]
  const size = result.means[more]! - result.means[less]!
  const place = (id: string) => samples.findIndex((s) => s.id === id)
  const [high, low] = [place(more), place(less)]
  return { more, less, size, agree: rows.filter((r) => r[high]! > r[low]! + 1e-9).length }
}
/** “C spreads more than A”; `up` is false where the first is the lesser one. */
const compared = ({ trial, attribute }: Judged, first: string, second: string, up = true) =>
  `${upper(called(trial.samples, first))} ${leans(attribute, up)} than ${called(trial.samples, second)}`

function sentence(j: Judged, dots: readonly Dot[]): Conclusion {
  const { samples, rows, result } = j
  if (dots.length < 2) return silent(dots.length === 0 ? 'No scores.' : 'Only one sample scored.')
  if (rows.length === 0) return silent('No assessor scored all samples: no test.')
  if (rows.length === 1) return ofOnePerson(j)
  if (samples.length === 2) return ofTwo(j)
  const exact = friedmanExact(rows)
  const p = exact ?? result.friedman?.p ?? 1
  const test = result.friedman
    ? `Friedman ${sayNumber(result.friedman.q, 1)}, p ${exact === null ? `${sayP(result.friedman.p)} by chi-squared` : `${sayP(exact)} exactly`}`
    : ''
  return result.differ.length > 0 ? ofDiffering(j, p, test) : ofAlike(j, p, test)
}

function ofOnePerson(j: Judged): Conclusion {
  const { more, less, size } = effectOf(j, ...widest(j.samples, j.result))
  if (size < 1e-9) return silent('One assessor, no difference.')
  return silent(
    `${compared(j, more, less)} (by ${sayEffect(j.attribute, size)}) with one assessor: no test possible.`,
  )
}

/** Two samples: the exact test of pairs, since Friedman's is too sure of few people. */
function ofTwo(j: Judged): Conclusion {
  const { result, samples, rows } = j
  const { more, less, size, agree } = effectOf(j, samples[0]!.id, samples[1]!.id)
  const test = result.friedman ? `pairs, p ${sayP(result.friedman.p)} exactly` : ''
  const says = `${compared(j, more, less)} (by ${sayEffect(j.attribute, size)}, ${agree} of ${people(rows.length)})`
  if (result.differ.length > 0) return { says: `${says}.`, test, tells: true }
  return { says: size < 1e-9 ? 'No difference.' : `${says}: not enough data.`, test, tells: false }
}

function ofDiffering(j: Judged, p: number, test: string): Conclusion {
  const found = j.result.differ.map(([x, y]) => effectOf(j, x, y)).sort((x, y) => y.size - x.size)
  const words = found.map((d) => {
    const isReference = j.samples.find((s) => s.id === d.more)?.reference
    const told = isReference ? compared(j, d.less, d.more, false) : compared(j, d.more, d.less)
    return `${told} (by ${sayEffect(j.attribute, d.size)}, ${d.agree} of ${people(j.rows.length)})`
  })
  // against the reference two may stand apart where over all of them chance is not ruled out
  if (p <= LEVEL) return { says: `${words.join('. ')}.`, test, tells: true }
  return {
    says: `${words.join('. ')}: a hint only, since the overall test is not significant.`,
    test,
    tells: false,
  }
}

function ofAlike(j: Judged, p: number, test: string): Conclusion {
  const { trial, attribute, result, samples, rows } = j
  const n = rows.length
  const { more, less, size } = effectOf(j, ...widest(samples, result))
  const apart = Math.abs(result.rankSums[more]! - result.rankSums[less]!) / n
  const hasReference = samples.some((s) => s.reference)
  const needed = neededPeople(apart, samples.length, hasReference)
  const extra = needed === null ? Infinity : needed - n
  const [low, high] = scaleOf(attribute)
  const slight = attribute.ask !== 'rank' && size < SLIGHT * (high - low)
  const whole = p <= LEVEL
  if ((slight || extra > MANY) && !whole) return { says: 'No difference detected.', test, tells: false }
  const name = (id: string) => called(trial.samples, id)
  return {
    says: `${whole ? 'The samples differ overall, but no' : 'No'} difference detected between ${name(more)} and ${name(less)} (${sayEffect(attribute, size)} apart).${extra > 0 ? ` Add ${extra === 1 ? 'an assessor' : `${extra} assessors`} to find a difference of this size.` : ''}`,
    test,
    tells: false,
  }
}

const upper = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** The two samples whose mean ranks lie furthest apart; with a reference the one furthest from it. */
function widest(samples: readonly TrialSample[], result: AttributeResult): [string, string] {
  const of = (id: string) => result.rankSums[id] ?? result.means[id] ?? 0
  const reference = samples.find((s) => s.reference)
  const pairs = reference
    ? samples.filter((s) => s !== reference).map((s): [string, string] => [s.id, reference.id])
    : samples.flatMap((x, i) => samples.slice(i + 1).map((y): [string, string] => [x.id, y.id]))
  return pairs.reduce((best, pair) =>
    Math.abs(of(pair[0]) - of(pair[1])) > Math.abs(of(best[0]) - of(best[1])) ? pair : best,
  )
}

function headOf(trial: Trial, readings: readonly Reading[]): string[] {
  const scored = readings.filter((r) => r.dots.length > 1)
  const decides = scored.find((r) => r.attribute.id === trial.plan?.decides)
  const head: string[] = []
  if (decides) head.push(decides.says)
  for (const r of scored) if (r !== decides && r.tells) head.push(r.says)
  if (head.length === 0 && scored.length > 0)
    head.push(
      scored.every((r) => r.people <= 1)
        ? scored[0]!.says
        : 'Nothing was shown to differ: not different is not the same.',
    )
  const few = Math.max(0, ...scored.map((r) => r.people))
  if (few >= 2 && few < 6 && scored.length > 0)
    head.push(`With ${people(few)} only large differences can be detected.`)
  if (scored.length >= 5 && scored.some((r) => r.tells))
    head.push(
      decides
        ? `Of ${scored.length} attributes one may differ by chance: ${(decides.attribute.name ?? decides.attribute.id).toLowerCase()} decides, the rest are hints.`
        : `Of ${scored.length} attributes one may differ by chance, and none was named to decide.`,
    )
  return head
}
