import type { PlannedTrial, TrialAttribute, TrialPlan } from '../shapes/trial.ts'
import { FEEL, momentOf, scaleOf, servingOf } from './data.ts'
import { randomOf } from '../stats/random.ts'
import { balancedOrders, codes, equallyOften } from './order.ts'

/** Who judges when, and what stands under which code: the key of a trial, which stays closed until its end. */
export interface Sitting {
  person: string
  round: number
  /** Samples in the order in which they are served. */
  served: { sample: string; code: string; place: string }[]
  trios: {
    samples: [string, string, string]
    codes: [string, string, string]
    odd: number
    a: string
    b: string
  }[]
  duos: { samples: [string, string]; codes: [string, string]; attribute?: string }[]
}

/** Orders of a triangle: which of the three are the one and which the other sample. */
const TRIOS = ['abb', 'bab', 'bba', 'baa', 'aba', 'aab'] as const

type Planned = Pick<PlannedTrial, 'samples'> & { plan: TrialPlan }

/** Every sitting of a trial, round by round: the same for the same trial, however often it is asked. */
export function sittingsOf({ samples, plan }: Planned): Sitting[] {
  const { people, rounds, choosing, product, seed } = plan
  const count = people.length * rounds
  const orders = balancedOrders(samples.length, count, randomOf(seed))
  const choice = randomOf(seed + 1)
  const trios = choosing
    .filter((c) => c.kind === 'triangle')
    .map((c) => ({ c, orders: equallyOften(TRIOS, count, choice) }))
  const duos = choosing
    .filter((c) => c.kind === 'pair')
    .map((c) => ({ c, orders: equallyOften([false, true], count, choice) }))
  const each = samples.length + 3 * trios.length + 2 * duos.length
  const numbers = codes(count * each, randomOf(seed + 2))
  const { places } = servingOf(product.hair)
  return Array.from({ length: count }, (_, i): Sitting => {
    let next = i * each
    const code = () => numbers[next++]!
    return {
      person: people[i % people.length]!.id,
      round: Math.floor(i / people.length) + 1,
      // places on the arms go on by one from sitting to sitting
      served: orders[i]!.map((at, j) => ({
        sample: samples[at]!.id,
        code: code(),
        place: places[(j + i) % places.length]!,
      })),
      trios: trios.map(({ c, orders: of }) => {
        const letters = of[i]!
        const as = letters.split('a').length - 1
        const samplesOf = [...letters].map((l) => (l === 'a' ? c.a : c.b)) as [string, string, string]
        return {
          samples: samplesOf,
          codes: [code(), code(), code()],
          odd: letters.indexOf(as === 1 ? 'a' : 'b'),
          a: c.a,
          b: c.b,
        }
      }),
      duos: duos.map(({ c, orders: of }) => ({
        samples: of[i]! ? [c.b, c.a] : [c.a, c.b],
        codes: [code(), code()],
        ...(c.attribute === undefined ? {} : { attribute: c.attribute }),
      })),
    }
  })
}

/** What a judge is asked, one after the other: codes, and nothing by which a sample could be known. */
export type JudgeStep =
  | { kind: 'serve'; key: string; code: string; place: string; nth: number; of: number }
  | {
      kind: 'score'
      key: string
      code: string
      attribute: TrialAttribute
      moment: (typeof FEEL.moments)[number]
      done: number | null
    }
  | { kind: 'rank'; key: string; codes: string[]; attribute: TrialAttribute; done: string[] | null }
  | { kind: 'triangle'; key: string; codes: string[]; done: boolean }
  | { kind: 'pair'; key: string; codes: string[]; attribute: TrialAttribute | null; done: string | null }

const keyOfScore = (code: string, attribute: string) => `score ${code} ${attribute}`
/** What a pair is asked about; null for “which do you prefer”. */
const about = (attribute: string | undefined) => attribute ?? null

/** The questions of one sitting, with what was answered. */
export function judgeSteps(trial: PlannedTrial, sitting: Sitting): JudgeStep[] {
  const { attributes } = trial
  const scored = attributes.filter((a) => a.ask !== 'rank')
  const at = (attribute: TrialAttribute) => FEEL.moments.indexOf(momentOf(attribute))
  const inOrder = [...scored].sort((x, y) => at(x) - at(y))
  const mine = trial.scores.filter((s) => s.by === sitting.person && s.round === sitting.round)
  const valueOf = (sample: string, attribute: string) =>
    mine.find((s) => s.sample === sample && s.attribute === attribute)?.value ?? null
  const score = (served: Sitting['served'][number], attribute: TrialAttribute): JudgeStep => ({
    kind: 'score',
    key: keyOfScore(served.code, attribute.id),
    code: served.code,
    attribute,
    moment: momentOf(attribute),
    done: valueOf(served.sample, attribute.id),
  })
  const along = inOrder.filter((a) => momentOf(a).each)
  const later = inOrder.filter((a) => !momentOf(a).each)
  const steps: JudgeStep[] = []
  if (attributes.length > 0)
    for (const [i, served] of sitting.served.entries()) {
      steps.push({
        kind: 'serve',
        key: `serve ${served.code}`,
        code: served.code,
        place: served.place,
        nth: i + 1,
        of: sitting.served.length,
      })
      for (const a of along) steps.push(score(served, a))
    }
  for (const moment of new Set(later.map(momentOf)))
    for (const served of sitting.served)
      for (const a of later.filter((x) => momentOf(x) === moment)) steps.push(score(served, a))
  for (const [i, trio] of sitting.trios.entries())
    steps.push({
      kind: 'triangle',
      key: `trio ${i}`,
      codes: trio.codes,
      done: trial.triangles.some(
        (t) => t.by === sitting.person && t.round === sitting.round && t.a === trio.a && t.b === trio.b,
      ),
    })
  for (const [i, duo] of sitting.duos.entries()) {
    const given = trial.pairs.find(
      (p) =>
        p.by === sitting.person &&
        p.round === sitting.round &&
        about(p.attribute) === about(duo.attribute) &&
        duo.samples.includes(p.chosen) &&
        duo.samples.includes(p.over),
    )
    steps.push({
      kind: 'pair',
      key: `duo ${i}`,
      codes: duo.codes,
      attribute: attributes.find((a) => a.id === duo.attribute) ?? null,
      done: given ? duo.codes[duo.samples.indexOf(given.chosen)]! : null,
    })
  }
  for (const attribute of attributes.filter((a) => a.ask === 'rank')) {
    const places = sitting.served.map((s) => ({ code: s.code, value: valueOf(s.sample, attribute.id) }))
    steps.push({
      kind: 'rank',
      key: `rank ${attribute.id}`,
      codes: sitting.served.map((s) => s.code),
      attribute,
      done: places.some((p) => p.value === null)
        ? null
        : places.sort((x, y) => x.value! - y.value!).map((p) => p.code),
    })
  }
  return steps
}

export const isAnswered = (step: JudgeStep): boolean =>
  step.kind === 'serve' ? true : step.kind === 'triangle' ? step.done : step.done !== null

/** Where a sitting goes on: the first question without an answer, or the serving before it where nothing of it is answered. */
export function nextStep(steps: readonly JudgeStep[], served: ReadonlySet<string>): JudgeStep | null {
  const open = steps.find((s) => !isAnswered(s))
  if (!open) return null
  if (open.kind !== 'score') return open
  const begun =
    served.has(open.code) || steps.some((s) => s.kind === 'score' && s.code === open.code && s.done !== null)
  return begun ? open : (steps.find((s) => s.kind === 'serve' && s.code === open.code) ?? open)
}

/** What a judge answered: a number, the codes from least to most, or the one that was chosen. */
export type JudgeAnswer = { value: number } | { order: readonly string[] } | { chosen: string }

/**
 * The trial with one answer more; a second answer to the same question stands in the place of the first. Null where there
 * is no such question, or the answer is none.
 */
export function withAnswer(
  trial: PlannedTrial,
  person: string,
  round: number,
  key: string,
  answer: JudgeAnswer,
): PlannedTrial | null {
  const sitting = sittingsOf(trial).find((s) => s.person === person && s.round === round)
  const step = sitting && judgeSteps(trial, sitting).find((s) => s.key === key)
  if (!sitting || !step || trial.plan.endedAt) return null
  const asked = { trial, sitting, person, round, key }
  switch (step.kind) {
    case 'score':
      return withScore(asked, step, answer)
    case 'rank':
      return withOrder(asked, step, answer)
    case 'triangle':
      return withTriangle(asked, answer)
    case 'pair':
      return withPair(asked, answer)
    default:
      return null
  }
}

/** A question of a sitting, by whom and in which round. */
interface Asked {
  trial: PlannedTrial
  sitting: Sitting
  person: string
  round: number
  key: string
}
type StepOf<K extends JudgeStep['kind']> = Extract<JudgeStep, { kind: K }>

const sampleOf = ({ sitting }: Asked, code: string) => sitting.served.find((s) => s.code === code)?.sample

/** The trial with scores of an attribute, in the place of those of the same samples. */
function withScores(
  { trial, person, round }: Asked,
  scores: readonly { sample: string; value: number }[],
  attribute: string,
): PlannedTrial {
  const replaced = (s: PlannedTrial['scores'][number]) =>
    s.by === person &&
    s.round === round &&
    s.attribute === attribute &&
    scores.some((x) => x.sample === s.sample)
  const others = trial.scores.filter((s) => !replaced(s))
  return { ...trial, scores: [...others, ...scores.map((s) => ({ by: person, round, attribute, ...s }))] }
}

function withScore(asked: Asked, step: StepOf<'score'>, answer: JudgeAnswer): PlannedTrial | null {
  const [low, high] = scaleOf(step.attribute)
  if (!('value' in answer) || !(answer.value >= low && answer.value <= high)) return null
  return withScores(asked, [{ sample: sampleOf(asked, step.code)!, value: answer.value }], step.attribute.id)
}

function withOrder(asked: Asked, step: StepOf<'rank'>, answer: JudgeAnswer): PlannedTrial | null {
  if (!('order' in answer)) return null
  const samples = answer.order.map((code) => sampleOf(asked, code))
  const whole = samples.length === asked.sitting.served.length && new Set(samples).size === samples.length
  if (!whole || samples.includes(undefined)) return null
  const places = samples.map((sample, i) => ({ sample: sample!, value: i + 1 }))
  return withScores(asked, places, step.attribute.id)
}

function withTriangle({ trial, sitting, person, round, key }: Asked, answer: JudgeAnswer) {
  const trio = sitting.trios[Number(key.split(' ')[1])]!
  if (!('chosen' in answer) || !trio.codes.includes(answer.chosen)) return null
  const right = trio.codes.indexOf(answer.chosen) === trio.odd
  const others = trial.triangles.filter(
    (t) => !(t.by === person && t.round === round && t.a === trio.a && t.b === trio.b),
  )
  return { ...trial, triangles: [...others, { by: person, round, right, a: trio.a, b: trio.b }] }
}

function withPair({ trial, sitting, person, round, key }: Asked, answer: JudgeAnswer) {
  const duo = sitting.duos[Number(key.split(' ')[1])]!
  if (!('chosen' in answer) || !duo.codes.includes(answer.chosen)) return null
  const at = duo.codes.indexOf(answer.chosen)
  const replaced = (p: PlannedTrial['pairs'][number]) =>
    p.by === person &&
    p.round === round &&
    about(p.attribute) === about(duo.attribute) &&
    duo.samples.includes(p.chosen) &&
    duo.samples.includes(p.over)
  const given = {
    by: person,
    round,
    chosen: duo.samples[at]!,
    over: duo.samples[1 - at]!,
    ...(duo.attribute === undefined ? {} : { attribute: duo.attribute }),
  }
  return { ...trial, pairs: [...trial.pairs.filter((p) => !replaced(p)), given] }
}

/** How far a sitting is: questions answered, of how many. */
export interface SittingStand {
  sitting: Sitting
  done: number
  of: number
}
export const standOfSittings = (trial: PlannedTrial): SittingStand[] =>
  sittingsOf(trial).map((sitting) => {
    const asked = judgeSteps(trial, sitting).filter((s) => s.kind !== 'serve')
    return { sitting, done: asked.filter(isAnswered).length, of: asked.length }
  })
