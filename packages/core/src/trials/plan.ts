import { addDays, parseISO } from 'date-fns'
import { computeAmounts } from '../formula/amounts.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import { resolveLine } from '../materials/resolve.ts'
import { withKeys } from '../formula/keys.ts'
import type { Formula } from '../shapes/formula.ts'
import {
  MOST_PEOPLE,
  MOST_ROUNDS,
  MOST_SAMPLES,
  TRIAL_VERSION,
  type Decision,
  type Measured,
  type PlannedTrial,
  type TrialAttribute,
  type TrialPlan,
  type Varies,
} from '../shapes/trial.ts'
import { Refusal, type Plain, type Said } from '../text/said.ts'
import { servingOf } from './data.ts'
import { formulaToMake } from '../bench/start.ts'
import { whatDiffers, type AlsoFacts } from './variants.ts'

/** What is chosen for a trial before it begins. */
export interface TrialWish {
  id: string
  name: string
  now: string
  seed: number
  of: { id: string | null; name: string }
  product: TrialPlan['product']
  varies: Varies
  what: string
  batchGrams: number
  /** Variants with their names; one without a formula is a product that was bought. */
  samples: readonly { name: string; formula: Formula | null }[]
  /** Place of the one that the others are held against. */
  reference: number | null
  attributes: readonly TrialAttribute[]
  decides: string | null
  people: readonly string[]
  rounds: number
  /** Places of two samples that are told apart, or one of them preferred. */
  choosing: readonly { kind: 'triangle' | 'pair'; a: number; b: number }[]
}

const idAt = (i: number) => String.fromCharCode(97 + i)

/** Why a trial cannot be set up like this, by code. */
export interface TrialFaultFacts {
  'too-few-samples': Plain
  'too-many-samples': { most: number }
  'no-assessors': Plain
  'too-many-assessors': { most: number }
  'same-name': Plain
  'no-name': Plain
  replicates: { most: number }
  'nothing-assessed': Plain
  'no-amount': Plain
}
export type TrialFault = Said<TrialFaultFacts>

/** Why a trial cannot be set up like this; null where it can. */
export function trialFault(w: TrialWish): TrialFault | null {
  if (w.samples.length < 2) return { code: 'too-few-samples' }
  if (w.samples.length > MOST_SAMPLES) return { code: 'too-many-samples', most: MOST_SAMPLES }
  if (w.people.length === 0) return { code: 'no-assessors' }
  if (w.people.length > MOST_PEOPLE) return { code: 'too-many-assessors', most: MOST_PEOPLE }
  if (new Set(w.people.map((p) => p.trim().toLowerCase())).size < w.people.length)
    return { code: 'same-name' }
  if (w.people.some((p) => !p.trim())) return { code: 'no-name' }
  if (!(w.rounds >= 1 && w.rounds <= MOST_ROUNDS)) return { code: 'replicates', most: MOST_ROUNDS }
  if (w.attributes.length === 0 && w.choosing.length === 0) return { code: 'nothing-assessed' }
  if (!(w.batchGrams > 0)) return { code: 'no-amount' }
  return null
}

/** A trial as it begins. Throws a `Refusal` with the fault where it cannot. */
export function planTrial(w: TrialWish): PlannedTrial {
  const fault = trialFault(w)
  if (fault) throw new Refusal(fault)
  return {
    format: 'omblet-trial',
    formatVersion: TRIAL_VERSION,
    name: w.name.trim() || w.what,
    samples: w.samples.map(({ name, formula }, i) => ({
      id: idAt(i),
      name,
      reference: i === w.reference,
      ...(formula ? { formula: withKeys(formulaToMake(formula, w.batchGrams)) } : {}),
      ...(formula && w.of.id !== null ? { formulaId: w.of.id } : {}),
    })),
    attributes: [...w.attributes],
    scores: [],
    triangles: [],
    pairs: [],
    plan: {
      id: w.id,
      createdAt: w.now,
      of: w.of,
      product: w.product,
      varies: w.varies,
      what: w.what,
      batchGrams: w.batchGrams,
      people: w.people.map((name, i) => ({ id: `p${i + 1}`, name: name.trim() })),
      rounds: w.rounds,
      seed: w.seed,
      choosing: w.choosing.map(({ kind, a, b }) => ({ kind, a: idAt(a), b: idAt(b) })),
      decides: w.attributes.some((a) => a.id === w.decides) ? w.decides : null,
      measured: [],
    },
  }
}

/** Alone one needs so many rounds (common practice). */
const ROUNDS_ALONE = 6

/** What makes the comparison weaker than it looks, by code. */
export interface TrialWarningFacts {
  'not-one-thing': { what: string; also: Said<AlsoFacts>[] }
  colour: Plain
  smell: Plain
  bought: Plain
  'many-samples': { samples: number; most: number }
  alone: { replicates: number }
  'few-assessors': { assessors: number }
  'no-deciding-attribute': Plain
}

/** What makes the comparison weaker than it looks, and what to do. */
export function trialWarnings(w: TrialWish, catalogue: Catalogue): Said<TrialWarningFacts>[] {
  const formulas = w.samples.flatMap((s) => (s.formula ? [s.formula] : []))
  const nameOf = (id: string) => catalogue.find(id)?.name ?? id
  const differs = whatDiffers(formulas, w.varies, nameOf)
  const kinds = (formula: Formula, ...kind: string[]) =>
    computeAmounts(formula)
      .lines.filter((l) => l.percent > 0)
      .map((l) => formula.phases[l.phase]!.lines[l.line]!)
      .filter((l) => kind.includes(resolveLine(l, catalogue).material?.kind ?? ''))
      .map((l) => `${l.material} ${l.percent}`)
      .sort()
      .join()
  const differ = (...kind: string[]) => new Set(formulas.map((f) => kinds(f, ...kind))).size > 1
  const serving = servingOf(w.product.hair)
  const bought = w.samples.some((s) => !s.formula)
  const found: (Said<TrialWarningFacts> | false)[] = [
    !differs.oneThing && w.varies !== 'jar' && { code: 'not-one-thing', what: w.what, also: differs.also },
    differ('colourant') && { code: 'colour' },
    differ('fragrance', 'essential-oil') && { code: 'smell' },
    bought && { code: 'bought' },
    w.samples.length > serving.most && {
      code: 'many-samples',
      samples: w.samples.length,
      most: serving.most,
    },
    w.people.length === 1 && w.rounds < ROUNDS_ALONE && { code: 'alone', replicates: ROUNDS_ALONE },
    w.people.length > 1 && w.people.length < 4 && { code: 'few-assessors', assessors: w.people.length },
    w.decides === null && w.attributes.length > 1 && { code: 'no-deciding-attribute' },
  ]
  return found.filter((x) => x !== false)
}

/** The trial at its end: from now on what stands under each code may be seen. */
export const ended = (trial: PlannedTrial, at: string): PlannedTrial => ({
  ...trial,
  plan: { ...trial.plan, endedAt: at },
})
/** The end of a trial can be taken back for so many days. */
const REOPEN_DAYS = 30
/** Until when the end of a trial can be taken back; null where it is decided, or has not ended. */
export function reopensUntil({ plan }: PlannedTrial): string | null {
  if (plan.endedAt === undefined || plan.decision) return null
  return addDays(parseISO(plan.endedAt), REOPEN_DAYS).toISOString()
}
/**
 * The trial with its end taken back: judging goes on. That its codes were open in between is kept, for what is answered
 * from now on may not be blind. Null where that is not possible any more.
 */
export function reopened(trial: PlannedTrial, now: string): PlannedTrial | null {
  const until = reopensUntil(trial)
  if (until === null || now > until) return null
  const { endedAt, ...plan } = trial.plan
  return { ...trial, plan: { ...plan, seen: [...(plan.seen ?? []), { from: endedAt!, to: now }] } }
}
/** The trial with the batch of one of its samples, or of the base that all share. */
export const withBatch = (trial: PlannedTrial, sample: string | null, batchId: string): PlannedTrial =>
  sample === null
    ? { ...trial, plan: { ...trial.plan, baseBatch: batchId } }
    : { ...trial, samples: trial.samples.map((s) => (s.id === sample ? { ...s, batchId } : s)) }
/** The trial with what was found of a sample; a second finding of the same kind stands in the place of the first. */
export const withFound = (trial: PlannedTrial, found: Measured): PlannedTrial => ({
  ...trial,
  plan: {
    ...trial.plan,
    measured: [
      ...trial.plan.measured.filter((m) => m.sample !== found.sample || m.what !== found.what),
      ...(found.value === undefined && found.choice === undefined ? [] : [found]),
    ],
  },
})
export const decided = (trial: PlannedTrial, decision: Decision): PlannedTrial => ({
  ...trial,
  plan: { ...trial.plan, decision },
})

/** Every answer as a row of a table: who, which round, what, and how it was scored. */
export function scoreRows(trial: PlannedTrial): (string | number)[][] {
  const person = (id: string) => trial.plan.people.find((p) => p.id === id)?.name ?? id
  const sample = (id: string | undefined) => trial.samples.find((s) => s.id === id)?.name ?? id ?? ''
  return [
    ['kind', 'by', 'round', 'attribute', 'sample', 'against', 'value'],
    ...trial.scores.map((s) => ['score', person(s.by), s.round, s.attribute, sample(s.sample), '', s.value]),
    ...trial.triangles.map((t) => [
      'triangle',
      person(t.by),
      t.round ?? 1,
      '',
      sample(t.a),
      sample(t.b),
      t.right ? 1 : 0,
    ]),
    ...trial.pairs.map((p) => [
      'pair',
      person(p.by),
      p.round ?? 1,
      p.attribute ?? '',
      sample(p.chosen),
      sample(p.over),
      1,
    ]),
    ...trial.plan.measured.map((m) => [
      'found',
      '',
      '',
      m.what,
      sample(m.sample),
      '',
      m.value ?? m.choice ?? '',
    ]),
  ]
}
