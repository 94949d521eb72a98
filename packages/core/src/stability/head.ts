import { assess } from '../assess/assess.ts'
import type { BatchEvent, BatchInfo } from '../batch/events.ts'
import { actualFormula } from '../bench/actual.ts'
import { benchPlan } from '../bench/plan.ts'
import { foldBatch, type BatchState } from '../bench/state.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import { stepNamed, type StepNamed } from '../procedure/steps.ts'
import { historyOf } from './history.ts'
import { taughtBy, type Taught } from './learned.ts'
import { patchVerdict } from './patch.ts'
import { watchOf, type Watch } from './watch.ts'

export type BatchStatus = 'running' | 'paused' | 'finished' | 'discarded'

export const statusOf = (s: Pick<BatchState, 'paused' | 'finished'>): BatchStatus =>
  s.finished ? (s.finished.outcome === 'kept' ? 'finished' : 'discarded') : s.paused ? 'paused' : 'running'

/** What a list of batches shows of one, kept beside its events. */
export interface BatchHead {
  id: string
  code: string
  name: string
  formulaId: string | null
  who: string
  status: BatchStatus
  startedAt: string
  lastAt: string
  /** The step that is worked on; null when all are over. Heads stored by earlier versions hold its title. */
  step: StepNamed | string | null
  stepsDone: number
  steps: number
  targetGrams: number
  filledGrams: number | null
  events: number
  /** How it is watched, where it is. */
  watch?: Watch
  /** Somebody’s skin reacted to it. */
  reacted?: true
  /** What it taught, once it was finished. */
  taught?: Taught
}

/** What was really made, assessed; what was designed where nothing was weighed. */
function madeOf(s: BatchState) {
  const made = actualFormula(s)
  return made ? assess(made, s.plan.a.catalogue) : s.plan.a
}

export function headOf(
  info: Pick<BatchHead, 'id' | 'code' | 'name' | 'formulaId' | 'who'>,
  s: BatchState,
): BatchHead {
  const watch = s.finished ? watchOf(s, () => madeOf(s)) : null
  return {
    id: info.id,
    code: info.code,
    name: info.name,
    formulaId: info.formulaId,
    who: info.who,
    status: statusOf(s),
    startedAt: s.start.at,
    lastAt: s.events.at(-1)!.at,
    step: s.plan.steps[s.at] ? stepNamed(s.plan.steps[s.at]!) : null,
    stepsDone: s.marks.size,
    steps: s.plan.steps.length,
    targetGrams: s.totalTarget,
    filledGrams: s.finished?.filledGrams ?? null,
    events: s.events.length,
    ...(watch ? { watch } : {}),
    ...(s.finished && historyOf(s.events).patches.some((p) => patchVerdict(p).state === 'stop')
      ? { reacted: true as const }
      : {}),
    ...(s.finished?.outcome === 'kept' ? { taught: taughtBy(s) } : {}),
  }
}

/** What a list shows of a batch from a file, worked out from its events. */
export function headOfFile(
  file: { batch: BatchInfo; events: readonly BatchEvent[] },
  catalogue: Catalogue,
): BatchHead {
  const start = file.events[0]
  if (start?.type !== 'start') throw new Error('A batch begins with its start.')
  return headOf(file.batch, foldBatch(benchPlan(start.formula, catalogue), file.events))
}
