import { benchPlan, foldBatch, type BatchState } from '@omblet/core'
import { getBatch } from '../storage/batches'
import { useMaterials } from '../stores/materials'

export interface ReadBatch {
  id: string
  code: string
  state: BatchState
}
/** A batch as it stands in the store, to be read and not worked on; null where it is not there. */
export async function readBatch(id: string): Promise<ReadBatch | null> {
  const found = await getBatch(id).catch(() => null)
  const start = found?.events[0]
  if (!found || start?.type !== 'start') return null
  const plan = benchPlan(start.formula, useMaterials().catalogue)
  return { id, code: found.head.code, state: foldBatch(plan, found.events) }
}
