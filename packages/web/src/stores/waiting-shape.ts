import type { BatchInfo, BatchEvent } from '@omblet/core'

/** A batch with entries that are not stored: what the store has of it, as far as is known, and what waits. */
export interface Waiting {
  info: BatchInfo
  events: BatchEvent[]
  pending: BatchEvent[]
}
/** Why entries wait: no room, others stand in their place, or the batch was deleted. */
export type Why = 'failed' | 'conflict' | 'gone'
