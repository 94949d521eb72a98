import { pairTest, triangleTest } from '../stats/choices.ts'
import { differAll, differFrom, friedman, rankSums, type Friedman } from '../stats/ranks.ts'
import type { LeftOut } from './verdict-facts.ts'
import type { Trial } from '../shapes/trial.ts'

export interface AttributeResult {
  id: string
  means: Record<string, number>
  rankSums: Record<string, number>
  friedman: Friedman | null
  /** Pairs of samples that differ; where one is the reference, only pairs with it. */
  differ: [string, string][]
}
export interface TrialReport {
  attributes: AttributeResult[]
  triangle: { n: number; right: number; p: number; differ: boolean } | null
  pairs: { a: string; b: string; attribute?: string; n: number; forA: number; p: number; differ: boolean }[]
}

const mean = (values: readonly number[]) => values.reduce((s, v) => s + v, 0) / values.length
const grouped = <T>(items: readonly T[], key: (item: T) => string) => {
  const map = new Map<string, T[]>()
  for (const item of items) {
    const group = map.get(key(item))
    if (group) group.push(item)
    else map.set(key(item), [item])
  }
  return map
}

/**
 * What the scores of a trial tell: means, rank sums and tests for each attribute, of the people who scored all of its
 * samples; rounds of one person are averaged first. `leftOut` says who did not.
 */
export function trialReport(trial: Trial): { report: TrialReport; leftOut: LeftOut[] } {
  const leftOut: LeftOut[] = []
  const attributes = trial.attributes.map((attribute): AttributeResult => {
    const scores = trial.scores.filter((s) => s.attribute === attribute.id)
    const samples = trial.samples.filter((s) => scores.some((x) => x.sample === s.id))
    const people = [...grouped(scores, (s) => s.by)].map(([by, theirs]) => {
      const bySample = grouped(theirs, (s) => s.sample)
      return {
        by,
        of: new Map([...bySample].map(([sample, list]) => [sample, mean(list.map((s) => s.value))])),
      }
    })
    const whole = people.filter((p) => samples.every((s) => p.of.has(s.id)))
    for (const p of people.filter((x) => !whole.includes(x)))
      leftOut.push({
        attribute: attribute.id,
        by: p.by,
        samples: samples.filter((s) => !p.of.has(s.id)).map((s) => s.id),
      })
    // where nobody scored all, the means are still those of who scored each
    const told = whole.length > 0 ? whole : people
    const rows = whole.map((p) => samples.map((s) => p.of.get(s.id)!))
    const test = friedmanOf(rows)
    const reference = samples.findIndex((s) => s.reference)
    const pairs = !test
      ? []
      : samples.length === 2
        ? test.p <= LEVEL
          ? [[0, 1] as [number, number]]
          : []
        : reference < 0
          ? differAll(rows)
          : differFrom(rows, reference).map((i): [number, number] =>
              i < reference ? [i, reference] : [reference, i],
            )
    const byId = <T>(values: readonly T[]) => Object.fromEntries(samples.map((s, i) => [s.id, values[i]!]))
    return {
      id: attribute.id,
      means: byId(samples.map((s) => mean(told.flatMap((p) => p.of.get(s.id) ?? [])))),
      rankSums: rows.length > 0 ? byId(rankSums(rows)) : {},
      friedman: test,
      differ: pairs
        .sort((x, y) => x[0] - y[0] || x[1] - y[1])
        .map(([i, j]) => [samples[i]!.id, samples[j]!.id]),
    }
  })
  return { report: { attributes, triangle: triangleOf(trial), pairs: pairsOfTrial(trial) }, leftOut }
}

const LEVEL = 0.05

/**
 * Friedman of the ranks; of two samples with its exact p, which is that of the sign test: chi-squared is too sure of few
 * people there.
 */
export function friedmanOf(rows: readonly (readonly number[])[]): Friedman | null {
  const test = friedman(rows)
  const [first] = rows
  if (!test || first?.length !== 2) return test
  const apart = rows.filter(([x, y]) => Math.abs(x! - y!) > 1e-9)
  const more = apart.filter(([x, y]) => x! > y!).length
  return { ...test, p: apart.length > 0 ? pairTest(more, apart.length).p : 1 }
}

function triangleOf({ triangles }: Trial): TrialReport['triangle'] {
  if (triangles.length === 0) return null
  const right = triangles.filter((t) => t.right).length
  return { n: triangles.length, right, ...triangleTest(right, triangles.length) }
}

function pairsOfTrial(trial: Trial): TrialReport['pairs'] {
  const place = new Map(trial.samples.map((s, i) => [s.id, i]))
  const inOrder = (x: string, y: string) => (place.get(x)! < place.get(y)! ? [x, y] : [y, x])
  const groups = grouped(trial.pairs, (p) =>
    JSON.stringify([p.attribute ?? null, ...inOrder(p.chosen, p.over)]),
  )
  return [...groups.values()].map((group) => {
    const [a, b] = inOrder(group[0]!.chosen, group[0]!.over) as [string, string]
    const { attribute } = group[0]!
    const forA = group.filter((p) => p.chosen === a).length
    return {
      a,
      b,
      ...(attribute === undefined ? {} : { attribute }),
      n: group.length,
      forA,
      ...pairTest(forA, group.length),
    }
  })
}
