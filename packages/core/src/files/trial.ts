import { trial as texts } from '#words/files'
import { firstIssue, parseJson, ReadError, refuseDepth, refuseNewer } from './json.ts'
import { Trial, TRIAL_VERSION, type PlannedTrial } from '../shapes/trial.ts'
import { scaleOf } from '../trials/data.ts'
import { same } from './same.ts'

/** Reads the text of a trial file: whole, or `ReadError` with the field that is at fault. */
export const readTrial = (text: string): Trial => toTrial(parseJson(text))

/** The text of a trial file. */
export const writeTrial = (trial: Trial): string =>
  `${JSON.stringify({ ...trial, format: 'omblet-trial', formatVersion: TRIAL_VERSION }, null, 1)}\n`

/** Reads the parsed JSON of a trial: whole, or `ReadError` with the field that is at fault. */
export function toTrial(value: unknown): Trial {
  refuseNewer(value, TRIAL_VERSION, 'trial', 'read')
  refuseDepth(value)
  const parsed = Trial.safeParse(value)
  if (!parsed.success) throw firstIssue(parsed.error)
  const trial = parsed.data
  const samples = named(trial.samples, 'samples')
  const attributes = named(trial.attributes, 'attributes')
  const knows = (set: ReadonlySet<string>, value: string, field: string, what: string) => {
    if (!set.has(value)) throw new ReadError(texts.isAndThereIsNo(field, value, what), field)
  }
  trial.scores.forEach((s, i) => {
    knows(samples, s.sample, `scores[${i}].sample`, 'sample')
    knows(attributes, s.attribute, `scores[${i}].attribute`, 'attribute')
    const { scale } = trial.attributes.find((a) => a.id === s.attribute)!
    if (!scale) return
    const [low, high] = scale
    if (s.value < Math.min(low, high) || s.value > Math.max(low, high))
      throw new ReadError(
        texts.scoresValueIsTheScale(i, s.value, s.attribute, low, high),
        `scores[${i}].value`,
      )
  })
  trial.pairs.forEach((p, i) => {
    knows(samples, p.chosen, `pairs[${i}].chosen`, 'sample')
    knows(samples, p.over, `pairs[${i}].over`, 'sample')
    if (p.chosen === p.over) throw new ReadError(texts.pairsOverIsTheSame(i), `pairs[${i}].over`)
    if (p.attribute !== undefined) knows(attributes, p.attribute, `pairs[${i}].attribute`, 'attribute')
  })
  if (trial.samples.filter((s) => s.reference).length > 1)
    throw new ReadError(texts.samplesNamesMoreThanOne, 'samples')
  return trial
}

function named(items: readonly { id: string }[], field: string): Set<string> {
  const ids = new Set<string>()
  for (const [i, item] of items.entries()) {
    if (ids.has(item.id)) throw new ReadError(texts.idTwice(field, i, item.id), `${field}[${i}].id`)
    ids.add(item.id)
  }
  return ids
}

/** A trial with its plan; one that was written elsewhere, without a plan, is no trial that can go on here. */
export function toPlannedTrial(value: unknown): PlannedTrial {
  const trial = toTrial(value)
  if (!trial.plan) throw new ReadError(texts.planIsMissingThisTrial, 'plan')
  const ids = new Set(trial.samples.map((s) => s.id))
  const unknown = [
    ...trial.plan.choosing.flatMap((c) => [c.a, c.b]),
    ...trial.plan.measured.map((m) => m.sample),
  ].find((x) => !ids.has(x))
  if (unknown !== undefined) throw new ReadError(texts.planNamesTheSampleAnd(unknown), 'plan')
  trial.scores.forEach((s, i) => {
    const attribute = trial.attributes.find((a) => a.id === s.attribute)!
    const [low, high] = attribute.ask === 'rank' ? [1, trial.samples.length] : scaleOf(attribute)
    if (s.value < low || s.value > high)
      throw new ReadError(
        texts.scoresValueIsGoesFrom(i, s.value, s.attribute, low, high),
        `scores[${i}].value`,
      )
  })
  return { ...trial, plan: trial.plan }
}

type Keyed = [key: string, value: unknown]
/** What was answered, found and done in a trial, each under the question that it answers. */
function answersOf(t: PlannedTrial): Keyed[] {
  const by = (x: { by: string; round?: number | undefined }) => `${x.by} ${x.round ?? 1}`
  return [
    ...t.scores.map((s): Keyed => [`score ${by(s)} ${s.sample} ${s.attribute}`, s]),
    ...t.triangles.map((x): Keyed => [`triangle ${by(x)} ${x.a} ${x.b}`, x]),
    ...t.pairs.map((p): Keyed => [
      `pair ${by(p)} ${p.attribute ?? ''} ${[p.chosen, p.over].sort().join(' ')}`,
      p,
    ]),
    ...t.plan.measured.map((m): Keyed => [`found ${m.sample} ${m.what}`, m]),
    ...t.samples.flatMap((s): Keyed[] => (s.batchId ? [[`batch ${s.id}`, s.batchId]] : [])),
    ...(t.plan.baseBatch ? [['base', t.plan.baseBatch] as Keyed] : []),
    ...(t.plan.endedAt ? [['ended', true] as Keyed] : []),
    ...(t.plan.decision ? [['decision', t.plan.decision] as Keyed] : []),
  ]
}

/** Answers by what they answer: a file from elsewhere may hold several to one question. */
function byKey(answers: readonly Keyed[]): Map<string, unknown[]> {
  const by = new Map<string, unknown[]>()
  for (const [key, value] of answers) by.set(key, [...(by.get(key) ?? []), value])
  return by
}

/** The same trial judged in two places, with the answers of both; null where it is another, or they answer otherwise. */
export function uniteTrials(here: PlannedTrial, file: PlannedTrial): PlannedTrial | null {
  const setUp = ({ samples, attributes, plan: { people, rounds, seed, choosing } }: PlannedTrial) => ({
    samples: samples.map((s) => ({ ...s, batchId: null })),
    attributes,
    people,
    rounds,
    seed,
    choosing,
  })
  if (!same(setUp(here), setUp(file))) return null
  const [mine, theirs] = [byKey(answersOf(here)), byKey(answersOf(file))]
  for (const [key, values] of theirs) if (mine.has(key) && !same(mine.get(key), values)) return null
  const fresh = new Set([...theirs].flatMap(([key, values]) => (mine.has(key) ? [] : values)))
  const added = <T>(x: readonly T[], y: readonly T[]) => [...x, ...y.filter((item) => fresh.has(item))]
  const batchOf = new Map(file.samples.map((s) => [s.id, s.batchId]))
  const { baseBatch, endedAt, decision } = file.plan
  return {
    ...here,
    samples: here.samples.map((s) =>
      s.batchId || !batchOf.get(s.id) ? s : { ...s, batchId: batchOf.get(s.id) },
    ),
    scores: added(here.scores, file.scores),
    triangles: added(here.triangles, file.triangles),
    pairs: added(here.pairs, file.pairs),
    plan: {
      ...(baseBatch ? { baseBatch } : {}),
      ...(endedAt ? { endedAt } : {}),
      ...(decision ? { decision } : {}),
      ...here.plan,
      measured: added(here.plan.measured, file.plan.measured),
    },
  }
}

/** What a trial from a file brings to the one that is here: nothing, more answers, or another course of things. */
export function bringsTrial(here: PlannedTrial, file: PlannedTrial): 'nothing' | 'more' | 'another' {
  const united = uniteTrials(here, file)
  if (!united) return 'another'
  return answersOf(united).length > answersOf(here).length ? 'more' : 'nothing'
}
