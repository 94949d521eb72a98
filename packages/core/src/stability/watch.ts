import { DAYS_PER_MONTH } from '../shapes/conventions.ts'
import type { Assessment } from '../assess/types.ts'
import { useWithin } from '../label/use-within.ts'
import type { BatchState } from '../bench/types.ts'
import type { Storage } from '../shapes/stability.ts'
import type { Grade } from '../batch/watch-data.ts'
import { dueOn, openObservations, type OpenLook } from './due.ts'
import { historyOf } from './history.ts'
import { verdictOf } from './verdict.ts'

/** What a list shows of how a batch is watched, kept beside its events. */
export interface Watch {
  filledAt: string
  /** Looks that are still to be made, the earliest first. */
  open: (OpenLook & { storage: Storage })[]
  looked: number
  grade: Grade | null
  /** Months for which what was kept at room stayed sound. */
  soundMonths: number
  /** Months after which what was kept had to be thrown away, where it had. */
  failedMonths?: number
  /** Calendar day until which its jars are good, by what its label says or would say. */
  goodUntil: string
}

/** How a batch is watched; null where nobody planned it. `made`: what was really made, assessed, asked for only then. */
export function watchOf(state: BatchState, made: () => Assessment): Watch | null {
  const h = historyOf(state.events)
  if (h.filledAt === null || h.samples.length === 0) return null
  const a = made()
  const { grade, list } = verdictOf(state, h, a)
  const storages = new Map(h.samples.map((s) => [s.id, s.storage]))
  const room = list.filter((v) => v.series.storage === 'room' || v.series.storage === 'use')
  const ages = room.flatMap((v) => [...v.series.reads, ...v.series.said].map((x) => x.age))
  const failed = list
    .filter((v) => v.grade === 'discard')
    .flatMap((v) => [...v.series.reads, ...v.series.said].at(-1)?.age ?? [])
  const sound = room.length > 0 && room.every((v) => v.grade === 'fine')
  return {
    filledAt: h.filledAt,
    // of what is thrown away nothing more is looked at
    open: (grade === 'discard' ? [] : openObservations(h)).map((look) => ({
      ...look,
      storage: storages.get(look.sample)!,
    })),
    looked: h.answers.filter((x) => !x.corrected).length,
    grade,
    goodUntil: dueOn(
      h.filledAt,
      Math.round((a.formula.label?.keep?.closedMonths ?? useWithin(a).closedMonths) * DAYS_PER_MONTH),
    ),
    ...(failed.length > 0 ? { failedMonths: Math.min(...failed) / DAYS_PER_MONTH } : {}),
    soundMonths: sound ? Math.max(...ages) / DAYS_PER_MONTH : 0,
  }
}
