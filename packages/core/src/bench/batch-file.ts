import * as z from 'zod'
import { firstIssue, ReadError } from '../formula/read.ts'
import { BatchInfo, BenchEvent } from './events.ts'

export const BATCH_VERSION = 1

const Photo = z.object({
  id: z.string().min(1).max(100),
  type: z.enum(['image/jpeg', 'image/png', 'image/webp']),
  /** Base64. */
  data: z
    .string()
    .max(8_000_000)
    .regex(/^[A-Za-z0-9+/]*={0,2}$/, { error: 'must be base64' }),
})
export type BatchPhoto = z.infer<typeof Photo>

const File = z.looseObject({
  format: z.literal('omblet-batch'),
  formatVersion: z.literal(BATCH_VERSION),
  batch: BatchInfo,
  events: z.array(BenchEvent).min(1).max(100_000),
  photos: z.array(Photo).max(500).default([]),
})

/** A batch as it was made: what it is called and everything that happened, in order. */
export interface BatchFile {
  batch: BatchInfo
  events: BenchEvent[]
  photos: BatchPhoto[]
}

/** Reads the parsed JSON of a batch file. Whole or not at all: the first fault throws `ReadError`. */
export function toBatch(value: unknown): BatchFile {
  const version = (value as { formatVersion?: unknown } | null)?.formatVersion
  if (typeof version === 'number' && version > BATCH_VERSION)
    throw new ReadError(
      `formatVersion ${version} of this batch was written by a newer Omblet than this one. Update Omblet to read it.`,
      'formatVersion',
    )
  const parsed = File.safeParse(value)
  if (!parsed.success) throw firstIssue(parsed.error)
  const { batch, events, photos } = parsed.data
  if (events[0]!.type !== 'start')
    throw new ReadError('events[0] must be the start of the batch.', 'events[0]')
  const wrong = events.findIndex((e, i) => e.n !== i)
  if (wrong >= 0)
    throw new ReadError(`events[${wrong}].n must be ${wrong}: events are numbered in order from 0.`, `events[${wrong}].n`) // prettier-ignore
  return { batch, events, photos }
}

/** The text of a batch file. */
export const writeBatch = (file: BatchFile): string =>
  `${JSON.stringify({ format: 'omblet-batch', formatVersion: BATCH_VERSION, ...file }, null, 1)}\n`
