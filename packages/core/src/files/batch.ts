import { fieldFault } from '../shapes/field-fault.ts'
import { batch as texts } from '#words/files'
import * as z from 'zod'
import { BatchInfo, BatchEvent } from '../batch/events.ts'
import { shorten } from '../text/format.ts'
import { toFormula } from './formula.ts'
import { firstIssue, inside, ReadError, refuseDepth, refuseNewer } from './json.ts'

export const BATCH_VERSION = 1

/** Most characters of one photograph: 12 MB of picture. */
export const MOST_PHOTO_CHARACTERS = 16_000_000

export const PHOTO_TYPES = ['image/jpeg', 'image/png', 'image/webp'] as const

const Photo = z.object({
  id: z.string().min(1).max(100),
  type: z.enum(PHOTO_TYPES),
  /** Base64. */
  data: z
    .string()
    .max(MOST_PHOTO_CHARACTERS)
    .refine((data) => isBase64(data), fieldFault('no-base64')),
})
export type BatchPhoto = z.infer<typeof Photo>

/** Looked at in pieces: a pattern over megabytes would run out of room. */
function isBase64(data: string): boolean {
  const PIECE = 65_536
  const end = data.length - (data.endsWith('==') ? 2 : data.endsWith('=') ? 1 : 0)
  for (let i = 0; i < end; i += PIECE)
    if (!/^[A-Za-z0-9+/]*$/.test(data.slice(i, Math.min(end, i + PIECE)))) return false
  return true
}

const File = z.looseObject({
  format: z.literal('omblet-batch'),
  formatVersion: z.literal(BATCH_VERSION),
  batch: BatchInfo,
  events: z.array(BatchEvent).min(1).max(100_000),
  photos: z.array(Photo).max(500).default([]),
})

/** A batch as it was made: what it is called and everything that happened, in order. */
export interface BatchFile {
  batch: BatchInfo
  events: BatchEvent[]
  photos: BatchPhoto[]
}

/** Reads the parsed JSON of a batch file. Whole or not at all: the first fault throws `ReadError`. */
export function toBatch(value: unknown): BatchFile {
  refuseNewer(value, BATCH_VERSION, 'batch', 'read')
  refuseDepth(value)
  const parsed = File.safeParse(withFormulaOfToday(value))
  if (!parsed.success) throw firstIssue(parsed.error)
  const { batch, events, photos } = parsed.data
  const start = events[0]!
  if (start.type !== 'start') throw new ReadError(texts.events0MustBeThe, 'events[0]')
  const wrong = events.findIndex((e, i) => e.n !== i)
  if (wrong >= 0) throw new ReadError(texts.eventsNMustBeEvents(wrong, wrong), `events[${wrong}].n`)
  const again = events.findIndex((e, i) => i > 0 && e.type === 'start')
  if (again > 0) throw new ReadError(texts.eventsIsASecondStart(again), `events[${again}]`)
  return { batch, events, photos }
}

/** The formula that a batch was frozen from is read as a formula file is, by way of its migrations. */
function withFormulaOfToday(value: unknown): unknown {
  const file = value as { events?: unknown } | null
  const [start, ...rest] = Array.isArray(file?.events) ? (file.events as unknown[]) : []
  if (typeof start !== 'object' || start === null || !('formula' in start)) return value
  const formula = inside(toFormula, start.formula, 'events[0].formula')
  return { ...file, events: [{ ...start, formula }, ...rest] }
}

/** The text of a batch file. */
export const writeBatch = (file: BatchFile): string =>
  `${JSON.stringify({ format: 'omblet-batch', formatVersion: BATCH_VERSION, ...file }, null, 1)}\n`

/** What is too long for a name in a file is cut, so that nothing is made that could not be read. */
export const tidyInfo = (info: BatchInfo): BatchInfo => ({
  ...info,
  code: shorten(info.code.trim() || 'B', 60),
  name: shorten(info.name, 200),
  who: shorten(info.who, 100),
})

/** The same batch beside the one that is here: under another id, and a code that says so. */
export const besideBatch = (file: BatchFile, id: string): BatchFile => ({
  ...file,
  batch: { ...file.batch, id, code: `${file.batch.code.slice(0, 55)}-copy` },
})
