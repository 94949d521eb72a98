import { archive as texts } from '#words/storage'
import { ReadError } from '@omblet/core'
import { BlobReader, configure, ZipReader, ZipWriter, type FileEntry } from '@zip.js/zip.js'
import * as z from 'zod'
import type { Pictures } from './restore'
import type { LotFile, PhotoRecord } from './schema'

// Workers of its own would be fetched from blobs, which the page's policy forbids; this runs in one already.
configure({ useWebWorkers: false })

const BACKUP = 'omblet-backup.json'
const LIST = 'pictures.json'
/** More characters do not fit into one text. It binds what is written as what is read. */
export const MOST_BYTES = 500_000_000
/** More than this in one packed file beside the backup is no photograph and no paper. */
const MOST_PACKED = 200_000_000
const MOST_ENTRIES = 200_000

/** What the archive says of the files beside its backup, one by one: one that is wrong costs no other. */
const Pictured = z.object({
  path: z.string(),
  batch: z.string().max(200),
  id: z.string().max(200),
  type: z.string().max(100),
})
const Papered = z.object({
  path: z.string(),
  lot: z.string().max(200),
  name: z.string().max(300),
  type: z.string().max(100),
})
const Listed = z.object({ pictures: z.array(z.unknown()), papers: z.array(z.unknown()) })

type Progress = (done: number) => void

/** Collects what is written as a blob; pieces leave the heap as soon as they are worth a blob of their own. */
function blobSink(type: string) {
  const PIECE = 8_000_000
  const blobs: Blob[] = []
  let chunks: Uint8Array<ArrayBuffer>[] = []
  let held = 0
  const flush = () => {
    if (chunks.length > 0) blobs.push(new Blob(chunks))
    chunks = []
    held = 0
  }
  return {
    write(chunk: Uint8Array<ArrayBuffer>) {
      chunks.push(chunk.slice())
      held += chunk.length
      if (held > PIECE) flush()
    },
    end() {
      flush()
      return new Blob(blobs, { type })
    },
  }
}

/** A backup with photographs and papers as one ZIP file, of any size. */
export async function writeArchive(
  text: string,
  { pictures = [], papers = [] }: Pictures,
  onProgress: Progress = () => undefined,
): Promise<Blob> {
  const sink = blobSink('application/zip')
  const zip = new ZipWriter(new WritableStream(sink), { keepOrder: true, level: 6 })
  const path = (folder: string, i: number) => `${folder}/${String(i + 1).padStart(4, '0')}`
  const listed = {
    pictures: pictures.map((p, i) => ({
      path: path('pictures', i),
      batch: p.batch,
      id: p.id,
      type: p.blob.type,
    })),
    papers: papers.map((p, i) => ({ path: path('papers', i), lot: p.lot, name: p.name, type: p.blob.type })),
  }
  const pack = (name: string, content: string) => zip.add(name, new BlobReader(new Blob([content])))
  await pack(LIST, JSON.stringify(listed))
  await pack(BACKUP, text)
  const files = [
    ...pictures.map((p, i) => ({ path: listed.pictures[i]!.path, blob: p.blob })),
    ...papers.map((p, i) => ({ path: listed.papers[i]!.path, blob: p.blob })),
  ]
  for (const [i, { path, blob }] of files.entries()) {
    // Pictures are packed already.
    await zip.add(path, new BlobReader(blob), { level: 0 })
    onProgress((i + 1) / files.length)
  }
  await zip.close()
  return sink.end()
}

export const isArchive = async (file: Blob) =>
  new Uint8Array(await file.slice(0, 4).arrayBuffer()).join() === '80,75,3,4'

/** What stands in an archive: the text of its backup, the files beside it, and which of those are missing or damaged. */
export interface ReadArchive {
  text: string
  pictures: NonNullable<Pictures['pictures']>
  papers: NonNullable<Pictures['papers']>
  /** What was listed and is not whole: of which batch or lot, and why. */
  lost: { kind: 'picture' | 'paper'; of: string; why: string }[]
}

const damaged = () => new ReadError(texts.theArchiveIsIncompleteOr)
const MISSING = texts.itIsNotInThe
const DAMAGED = texts.itIsDamagedInThe

/** The entries of an archive, by its central directory: bytes inside a file are never taken for entries. */
async function entriesOf(file: Blob): Promise<Map<string, FileEntry>> {
  const entries = new Map<string, FileEntry>()
  try {
    for await (const entry of new ZipReader(new BlobReader(file)).getEntriesGenerator()) {
      if (!entry.directory) entries.set(entry.filename, entry)
      if (entries.size > MOST_ENTRIES) throw new ReadError(texts.theArchiveContainsTooMany)
    }
  } catch (error) {
    if (error instanceof ReadError || isUnreadable(error)) throw error
    throw damaged()
  }
  return entries
}
/** The browser cannot read the file any more: it was moved, changed or taken out. */
export const isUnreadable = (error: unknown) =>
  error instanceof DOMException && ['NotReadableError', 'NotFoundError'].includes(error.name)

/** Reads an entry through, comparing its checksum; what comes out goes to `each`. Rejects where it is not whole. */
async function through(entry: FileEntry, most: number, each: (chunk: Uint8Array<ArrayBuffer>) => void) {
  let size = 0
  const writable = new WritableStream<Uint8Array<ArrayBuffer>>({
    write(chunk) {
      size += chunk.length
      if (size > most) throw new ReadError(texts.theFileIsLargerThan)
      each(chunk)
    },
  })
  await entry.getData(writable, { checkSignature: true })
}

async function textIn(entry: FileEntry): Promise<string> {
  if (entry.uncompressedSize > MOST_BYTES) throw tooLong(entry.uncompressedSize)
  const decoder = new TextDecoder()
  const pieces: string[] = []
  await through(entry, MOST_BYTES, (chunk) => pieces.push(decoder.decode(chunk, { stream: true })))
  pieces.push(decoder.decode())
  return pieces.join('')
}
const tooLong = (bytes: number) =>
  new ReadError(texts.theBackupInItIs(Math.round(bytes / 1e6), MOST_BYTES / 1e6))

/** One file of an archive. What is stored as it is stays where it is, as a part of the archive. */
async function blobIn(
  file: Blob,
  entry: FileEntry,
  type: string,
  each: (bytes: number) => void,
): Promise<Blob> {
  if (entry.compressionMethod === 0) {
    await through(entry, file.size, (chunk) => each(chunk.length))
    const from = entry.localDirectory?.dataOffset
    if (from === undefined) throw damaged()
    return file.slice(from, from + entry.uncompressedSize, type)
  }
  const sink = blobSink(type)
  await through(entry, MOST_PACKED, (chunk) => {
    each(chunk.length)
    sink.write(chunk)
  })
  return sink.end()
}

/**
 * Reads an archive, every checksum compared. Of the files beside the backup what is missing or damaged is named and the
 * others are given; nothing of them is held in memory. Throws `ReadError` where the archive or its backup is damaged, too
 * large, or holds none.
 */
export async function readArchive(file: Blob, onProgress: Progress = () => undefined): Promise<ReadArchive> {
  const entries = await entriesOf(file)
  const backup = entries.get(BACKUP)
  if (!backup) throw new ReadError(texts.theArchiveContainsNoSo(BACKUP))
  const whole = async <T>(work: () => Promise<T>) => {
    try {
      return await work()
    } catch (error) {
      if (error instanceof ReadError || isUnreadable(error)) throw error
      throw damaged()
    }
  }
  const text = await whole(() => textIn(backup))
  const listed = await listOf(entries.get(LIST), [...entries.keys()])
  const pictures: PhotoRecord[] = []
  const papers: LotFile[] = []
  const { lost } = listed
  let read = text.length
  const told = (bytes: number) => onProgress(Math.min(1, (read += bytes) / Math.max(1, file.size)))
  const take = async (path: string, type: string, of: Omit<ReadArchive['lost'][number], 'why'>) => {
    const entry = entries.get(path)
    if (!entry) lost.push({ ...of, why: MISSING })
    try {
      return entry ? await blobIn(file, entry, type, told) : null
    } catch (error) {
      if (isUnreadable(error)) throw error
      lost.push({ ...of, why: DAMAGED })
      return null
    }
  }
  for (const p of listed.pictures) {
    const of = { kind: 'picture' as const, of: p.batch }
    if (!/^image\/(jpeg|png|webp)$/.test(p.type))
      lost.push({ ...of, why: texts.isNotASupportedPhoto(p.type.slice(0, 40)) })
    else {
      const blob = await take(p.path, p.type, of)
      if (blob) pictures.push({ batch: p.batch, id: p.id, blob })
    }
  }
  for (const p of listed.papers) {
    const blob = await take(p.path, p.type, { kind: 'paper', of: p.lot })
    if (blob) papers.push({ lot: p.lot, name: p.name, blob })
  }
  onProgress(1)
  return { text, pictures, papers, lost }
}

/** What the archive lists beside its backup; where the list itself is lost, that is what is lost. */
async function listOf(entry: FileEntry | undefined, names: readonly string[]) {
  const lost: ReadArchive['lost'] = []
  const beside = names.filter((n) => /^(pictures|papers)\//.test(n)).length
  let list: z.infer<typeof Listed> | null = null
  try {
    list = entry ? Listed.parse(JSON.parse(await textIn(entry))) : null
  } catch (error) {
    if (isUnreadable(error)) throw error
  }
  if (!list && beside > 0)
    lost.push({
      kind: 'picture',
      of: '',
      why: texts.theListThatSaysWhere(beside, entry ? texts.damaged : texts.missing),
    })
  const sound = <T>(schema: z.ZodType<T>, items: readonly unknown[], kind: 'picture' | 'paper') =>
    items.flatMap((item): T[] => {
      const parsed = schema.safeParse(item)
      if (parsed.success) return [parsed.data]
      lost.push({ kind, of: '', why: texts.whereItBelongsCannotBe })
      return []
    })
  return {
    pictures: sound(Pictured, list?.pictures ?? [], 'picture'),
    papers: sound(Papered, list?.papers ?? [], 'paper'),
    lost,
  }
}

/** The text of a file, read in pieces so that it can be told how far it is. */
export async function textOf(file: Blob, onProgress: Progress = () => undefined): Promise<string> {
  if (file.size > MOST_BYTES)
    throw new ReadError(texts.theFileIsMbOf(Math.round(file.size / 1e6), MOST_BYTES / 1e6))
  const reader = file.stream().getReader()
  const decoder = new TextDecoder()
  const pieces: string[] = []
  let read = 0
  for (;;) {
    const { done, value } = await reader.read()
    if (done) break
    pieces.push(decoder.decode(value, { stream: true }))
    read += value.length
    onProgress(read / Math.max(1, file.size))
  }
  pieces.push(decoder.decode())
  return pieces.join('')
}
