import { friedmanExact, neededPeople } from '../stats/ranks.ts'
import { triangleTest } from '../stats/choices.ts'
import type { Said } from '../text/said.ts'
import { MOST_PEOPLE, type Trial, type TrialAttribute, type TrialSample } from '../shapes/trial.ts'
import { scaleOf } from './data.ts'
import { trialReport, type AttributeResult, type TrialReport } from './report.ts'
import type {
  ChoiceTestFacts,
  ConclusionFacts,
  Difference,
  LeftOut,
  SampleName,
  TestFacts,
  TrialHeadFacts,
} from './verdict-facts.ts'

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
  says: Said<ConclusionFacts>
  /** The test in figures; null where there is none. */
  test: Said<TestFacts> | null
  /** Whether something differs. */
  tells: boolean
}
export interface TrialVerdict {
  readings: Reading[]
  /** Of triangles and pairs. */
  choices: Said<ChoiceTestFacts>[]
  /** The whole, what decides first. */
  head: (Said<ConclusionFacts> | Said<TrialHeadFacts>)[]
  leftOut: LeftOut[]
}

/** A difference that takes more than a kitchen's panel, or is less than this of the scale, is too small to be told. */
const MANY = MOST_PEOPLE
const SLIGHT = 0.05
/** Below it something differs. */
const LEVEL = 0.05
/** How a sentence calls a sample. */
const called = (samples: readonly TrialSample[], id: string): SampleName =>
  samples.find((s) => s.id === id)?.reference
    ? 'reference'
    : { letter: String.fromCharCode(65 + samples.findIndex((s) => s.id === id)) }

const meanOf = (values: readonly number[]) => values.reduce((s, v) => s + v, 0) / values.length
function spread(values: readonly number[]): number {
  if (values.length < 2) return 0
  const m = meanOf(values)
  return Math.sqrt(values.reduce((s, v) => s + (v - m) ** 2, 0) / (values.length - 1))
}
/** What the scores of a trial mean: the effect first, the test second, and what cannot be told. */
export function trialVerdict(trial: Trial): TrialVerdict {
  const { report, leftOut } = trialReport(trial)
  const readings = trial.attributes.map((attribute, i) => readingOf(trial, attribute, report.attributes[i]!))
  const choices: Said<ChoiceTestFacts>[] = [...trianglesOf(trial), ...pairsOf(trial, report)]
  const asked = trial.triangles.length + trial.pairs.length
  const judges = new Set([...trial.triangles, ...trial.pairs].map((t) => t.by)).size
  if (asked > 0 && judges === 1 && choices.length > 0) choices.push({ code: 'one-assessor-only' })
  return { readings, choices, head: headOf(trial, readings), leftOut }
}

/** Triangles of the same two samples together; those that name none are one group. */
function trianglesOf(trial: Trial): Said<ChoiceTestFacts>[] {
  const groups = new Map<string, typeof trial.triangles>()
  for (const t of trial.triangles) {
    const key = t.a !== undefined && t.b !== undefined ? `${t.a} ${t.b}` : ''
    groups.set(key, [...(groups.get(key) ?? []), t])
  }
  return [...groups.values()].map((list) => {
    const right = list.filter((t) => t.right).length
    const { p, differ } = triangleTest(right, list.length)
    const { a, b } = list[0]!
    const between =
      a !== undefined && b !== undefined
        ? ([called(trial.samples, a), called(trial.samples, b)] as [SampleName, SampleName])
        : null
    return { code: 'triangle', right, asked: list.length, between, differ, p }
  })
}
function pairsOf(trial: Trial, { pairs }: TrialReport): Said<ChoiceTestFacts>[] {
  return pairs.map(({ a, b, attribute, n, forA, p, differ }) => {
    const [more, less, times] = forA >= n - forA ? [a, b, forA] : [b, a, n - forA]
    return {
      code: 'pair',
      times,
      asked: n,
      more: called(trial.samples, more),
      less: called(trial.samples, less),
      attribute: trial.attributes.find((x) => x.id === attribute) ?? null,
      ends: differ ? 'differ' : 2 * forA === n ? 'even' : 'not-enough-data',
      p,
    }
  })
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
  const told = conclusionOf({ trial, attribute, result, samples, rows }, dots)
  return { attribute, scale, people: rows.length, dots, ...told }
}

type Conclusion = Pick<Reading, 'says' | 'test' | 'tells'>
const silent = (says: Said<ConclusionFacts>): Conclusion => ({ says, test: null, tells: false })

/** What is concluded from, of one attribute. */
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
const differenceOf = ({ trial }: Judged, { more, less, size, agree }: Effect): Difference => ({
  more: called(trial.samples, more),
  less: called(trial.samples, less),
  size,
  agree,
})

function conclusionOf(j: Judged, dots: readonly Dot[]): Conclusion {
  const { samples, rows, result } = j
  if (dots.length < 2) return silent({ code: dots.length === 0 ? 'no-scores' : 'one-scored' })
  if (rows.length === 0) return silent({ code: 'none-whole' })
  if (rows.length === 1) return ofOnePerson(j)
  if (samples.length === 2) return ofTwo(j)
  const exact = friedmanExact(rows)
  const p = exact ?? result.friedman?.p ?? 1
  const test: Said<TestFacts> | null = result.friedman
    ? { code: 'friedman', q: result.friedman.q, p: exact ?? result.friedman.p, exact: exact !== null }
    : null
  return result.differ.length > 0 ? ofDiffering(j, p, test) : ofAlike(j, p, test)
}

function ofOnePerson(j: Judged): Conclusion {
  const effect = effectOf(j, ...widest(j.samples, j.result))
  if (effect.size < 1e-9) return silent({ code: 'one-assessor-alike' })
  return silent({ code: 'one-assessor', attribute: j.attribute, difference: differenceOf(j, effect) })
}

/** Two samples: the exact test of pairs, since Friedman's is too sure of few people. */
function ofTwo(j: Judged): Conclusion {
  const { attribute, result, samples, rows } = j
  const effect = effectOf(j, samples[0]!.id, samples[1]!.id)
  const tells = result.differ.length > 0
  return {
    says: {
      code: 'two',
      attribute,
      difference: differenceOf(j, effect),
      people: rows.length,
      ends: tells ? 'differ' : effect.size < 1e-9 ? 'no-difference' : 'not-enough-data',
    },
    test: result.friedman ? { code: 'pairs', p: result.friedman.p } : null,
    tells,
  }
}

function ofDiffering(j: Judged, p: number, test: Conclusion['test']): Conclusion {
  const found = j.result.differ.map(([x, y]) => effectOf(j, x, y)).sort((x, y) => y.size - x.size)
  // against the reference two may stand apart where over all of them chance is not ruled out
  const hint = p > LEVEL
  return {
    says: {
      code: 'differ',
      attribute: j.attribute,
      differences: found.map((d) => ({
        ...differenceOf(j, d),
        fromReference: j.samples.find((s) => s.id === d.more)?.reference === true,
      })),
      people: j.rows.length,
      hint,
    },
    test,
    tells: !hint,
  }
}

function ofAlike(j: Judged, p: number, test: Conclusion['test']): Conclusion {
  const { attribute, result, samples, rows } = j
  const n = rows.length
  const effect = effectOf(j, ...widest(samples, result))
  const apart = Math.abs(result.rankSums[effect.more]! - result.rankSums[effect.less]!) / n
  const hasReference = samples.some((s) => s.reference)
  const needed = neededPeople(apart, samples.length, hasReference)
  const extra = needed === null ? Infinity : needed - n
  const [low, high] = scaleOf(attribute)
  const slight = attribute.ask !== 'rank' && effect.size < SLIGHT * (high - low)
  const overall = p <= LEVEL
  if ((slight || extra > MANY) && !overall) return { says: { code: 'none-detected' }, test, tells: false }
  return {
    says: {
      code: 'alike',
      attribute,
      difference: differenceOf(j, effect),
      overall,
      more: Math.max(0, extra),
    },
    test,
    tells: false,
  }
}

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

function headOf(trial: Trial, readings: readonly Reading[]): TrialVerdict['head'] {
  const scored = readings.filter((r) => r.dots.length > 1)
  const decides = scored.find((r) => r.attribute.id === trial.plan?.decides)
  const head: TrialVerdict['head'] = []
  if (decides) head.push(decides.says)
  for (const r of scored) if (r !== decides && r.tells) head.push(r.says)
  if (head.length === 0 && scored.length > 0)
    head.push(scored.every((r) => r.people <= 1) ? scored[0]!.says : { code: 'nothing-shown' })
  const few = Math.max(0, ...scored.map((r) => r.people))
  if (few >= 2 && few < 6 && scored.length > 0) head.push({ code: 'few-people', people: few })
  if (scored.length >= 5 && scored.some((r) => r.tells))
    head.push({
      code: 'many-attributes',
      attributes: scored.length,
      decides: decides ? (decides.attribute.name ?? decides.attribute.id) : null,
    })
  return head
}
