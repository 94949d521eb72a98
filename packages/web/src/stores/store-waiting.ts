import { BatchEvent, benchPlan, foldBatch, headOf, lotUse, sameEvent, writeBatch } from '@omblet/core'
import * as z from 'zod'
import { appendEvent, BatchGone, EventTaken, getBatch } from '../storage/batches'
import { useMaterials } from './materials'
import type { Waiting, Why } from './waiting-shape'

/** What the store has already of entries that wait is left out; null where it has others in their place. */
export function stillWaiting(
  pending: readonly unknown[],
  stored: readonly BatchEvent[],
): BatchEvent[] | null {
  const all = z.array(BatchEvent).safeParse(pending).data
  if (!all) return null
  const left = all.filter((e) => e.n >= stored.length)
  const same = all.every((e) => e.n >= stored.length || sameEvent(e, stored[e.n]!))
  return same && (left.length === 0 || left[0]!.n === stored.length) ? left : null
}

/** Stores what waits in one batch, in order; why it cannot be, or null where it was. */
export async function storeWaiting({ info, pending }: Waiting): Promise<Why | null> {
  try {
    const found = await getBatch(info.id)
    const start = found?.events[0]
    if (!found || start?.type !== 'start') return 'gone'
    const left = stillWaiting(pending, found.events)
    if (!left) return 'conflict'
    const plan = benchPlan(start.formula, useMaterials().catalogue)
    const events = [...found.events]
    for (const event of left) {
      const use = lotUse(events, event)
      const before = events.at(-1)
      events.push(event)
      await appendEvent(headOf(info, foldBatch(plan, events)), event, use, before)
    }
    return null
  } catch (error) {
    return error instanceof EventTaken ? 'conflict' : error instanceof BatchGone ? 'gone' : 'failed'
  }
}

/** A batch with everything that waits, as the text of a file. */
export const waitingFile = ({ info, events, pending }: Waiting): string =>
  writeBatch({ batch: info, events: [...events, ...pending], photos: [] })
