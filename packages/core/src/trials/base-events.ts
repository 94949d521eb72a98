import { actualGrams } from '../bench/actual.ts'
import { linesIn } from '../bench/contents.ts'
import type { BatchEvent, BatchEventBody } from '../batch/events.ts'
import type { BenchPlan } from '../bench/plan.ts'
import { foldBatch } from '../bench/state.ts'
import { tasksOf } from '../bench/tasks.ts'
import type { BatchState } from '../bench/types.ts'
import type { Line } from '../shapes/formula.ts'
import { KEPT_STEPS, sameStuff, type SharedBase } from './shared-base.ts'

/** The line of the plan that is this one: of the same facts, else of the same material; -1 where none is. */
function lineLike(
  { a, formula }: BenchPlan,
  line: Line,
  phase: string | undefined,
  free: (line: number) => boolean,
): number {
  const here = (same: (x: Line, y: Line) => boolean) =>
    a.lines.findIndex((x, n) => free(n) && formula.phases[x.phase]?.id === phase && same(x.source, line))
  const exact = here(sameStuff)
  return exact >= 0
    ? exact
    : here((x, y) => sameStuff({ ...x, custom: undefined }, { ...y, custom: undefined }))
}

type Stepped = BatchEventBody & { step: string | null }

/** What the base has and the jar's formula has not. */
interface Foreign {
  name: string
  grams: number
}
/** What a note says of the base, given what of it is in the jar, grams, and what the scale tells. */
export type BaseNote = (grams: number, foreign: readonly Foreign[], resolutionGrams: number) => string

/** What of each line a jar gets with its share of the base, grams; what its own formula does not have is told. */
function sharesOf(plan: BenchPlan, made: BatchState, shared: SharedBase) {
  const grams = actualGrams(made, linesIn(made, true))
  const resolution = plan.a.amounts.resolutionGrams
  const left = new Map<number, number>()
  const foreign: Foreign[] = []
  let each = 0
  for (const part of shared.parts) {
    const inPart = made.plan.a.lines.flatMap((l, i) => (part.phases.includes(l.phase) ? [i] : []))
    const total = inPart.reduce((s, i) => s + grams[i]!, 0)
    if (total <= 0) continue
    each += part.gramsEach
    for (const i of inPart) {
      const l = made.plan.a.lines[i]!
      const phase = made.plan.formula.phases[l.phase]?.id
      const line = lineLike(plan, l.source, phase, (n) => !left.has(n))
      const share = (grams[i]! * part.gramsEach) / total
      if (line >= 0) left.set(line, share)
      else if (share > resolution / 2) foreign.push({ name: l.weighedAs, grams: share })
    }
  }
  return { left, foreign, each }
}

/**
 * What a jar's batch begins with when its base was made: each shared line as weighed, in the step that asks for it, by
 * what really went into the base; steps that the base did already are over. What the base has and the jar's formula has
 * not is told and not counted; a material whose facts were put right since is still that material. `made` is the batch of the base, `note` writes
 * what the record says of it.
 */
export function eventsOfBase(
  plan: BenchPlan,
  made: BatchState,
  shared: SharedBase,
  at: string,
  note: BaseNote,
): BatchEvent[] {
  const { left, foreign, each } = sharesOf(plan, made, shared)
  const resolution = plan.a.amounts.resolutionGrams
  if (left.size === 0 && foreign.length === 0) return []
  const inBase = new Set(left.keys())
  const events: BatchEvent[] = []
  const start: BatchEvent = { n: 0, at, step: null, type: 'start', formula: plan.formula, version: null }
  const put = (h: Stepped) => events.push({ n: events.length + 1, at, ...h })
  const now = () => foldBatch(plan, [start, ...events])
  put({
    step: plan.steps[0]?.key ?? null,
    type: 'note',
    text: note(each, foreign, resolution),
  })
  /** Up to here the base is the product itself. */
  let one = shared.kind === 'whole'
  const open: string[] = []
  for (const step of plan.steps) {
    if (step.joins.some((l) => !inBase.has(l)) || !KEPT_STEPS.whole.has(step.kind)) one = false
    for (const task of tasksOf(now(), step)) {
      const has = left.get(task.line) ?? 0
      const take = Number(Math.min(has, task.part ? task.left : has).toFixed(3))
      if (take <= 0) continue
      left.set(task.line, has - take)
      put({ step: step.key, type: 'weigh', line: task.line, grams: take })
    }
    const tasks = tasksOf(now(), step)
    const over =
      step.kind === 'wash' ||
      (tasks.length > 0 ? tasks.every((t) => t.done) && (one || step.kind === 'weigh') : one)
    if (over) put({ step: step.key, type: 'step', how: 'done' })
    else open.push(step.key)
  }
  if (open.length > 0) put({ step: open[0]!, type: 'step', how: 'go' })
  return events
}
