import { ReadError } from '@omblet/core'
import { Unzip, UnzipInflate, UnzipPassThrough, Zip, ZipDeflate, ZipPassThrough } from 'fflate'
import * as z from 'zod'
import type { Pictures } from './restore'

const BACKUP = 'omblet-backup.json'
const LIST = 'pictures.json'
/** More than this unpacked is no backup of a kitchen table. */
const MOST_UNPACKED = 1_500_000_000
const MOST_ENTRIES = 50_000

/** What the archive says of the files beside its backup. */
const Listed = z.object({
  pictures: z.array(z.object({ path: z.string(), batch: z.string().max(200), id: z.string().max(100), type: z.string().max(100) })).max(MOST_ENTRIES), // prettier-ignore
  papers: z.array(z.object({ path: z.string(), lot: z.string().max(200), name: z.string().max(300), type: z.string().max(100) })).max(MOST_ENTRIES), // prettier-ignore
})

type Progress = (done: number) => void
const bytesOf = (blob: Blob) => blob.arrayBuffer().then((b) => new Uint8Array(b))

/** A backup with photographs and papers as one ZIP file. */
export async function writeArchive(
  text: string,
  { pictures = [], papers = [] }: Pictures,
  onProgress: Progress = () => undefined,
): Promise<Blob> {
  const parts: BlobPart[] = []
  let failed: Error | null = null
  const zip = new Zip((error, chunk) => {
    if (error) failed = error
    else parts.push(chunk)
  })
  const pack = (name: string, content: string) => {
    const file = new ZipDeflate(name, { level: 6 })
    zip.add(file)
    file.push(new TextEncoder().encode(content), true)
  }
  const path = (folder: string, i: number) => `${folder}/${String(i + 1).padStart(4, '0')}`
  const listed: z.infer<typeof Listed> = {
    pictures: pictures.map((p, i) => ({ path: path('pictures', i), batch: p.batch, id: p.id, type: p.blob.type })), // prettier-ignore
    papers: papers.map((p, i) => ({ path: path('papers', i), lot: p.lot, name: p.name, type: p.blob.type })),
  }
  pack(LIST, JSON.stringify(listed))
  pack(BACKUP, text)
  const files = [...pictures.map((p, i) => ({ path: listed.pictures[i]!.path, blob: p.blob })), ...papers.map((p, i) => ({ path: listed.papers[i]!.path, blob: p.blob }))] // prettier-ignore
  for (const [i, { path, blob }] of files.entries()) {
    // Pictures are packed already.
    const file = new ZipPassThrough(path)
    zip.add(file)
    file.push(await bytesOf(blob), true)
    onProgress((i + 1) / files.length)
  }
  zip.end()
  if (failed) throw failed as Error
  return new Blob(parts, { type: 'application/zip' })
}

export const isArchive = async (file: Blob) => (await bytesOf(file.slice(0, 4))).join() === '80,75,3,4'

/** Unpacks an archive in pieces. Throws `ReadError` where it is damaged, too large, or holds no backup. */
export async function readArchive(
  file: Blob,
  onProgress: Progress = () => undefined,
): Promise<{
  text: string
  pictures: NonNullable<Pictures['pictures']>
  papers: NonNullable<Pictures['papers']>
}> {
  const found = new Map<string, Uint8Array[]>()
  let unpacked = 0
  let fault: ReadError | null = null
  const damaged = () => new ReadError('The archive is cut off or damaged. Use another copy of the backup.')
  const unzip = new Unzip((entry) => {
    if (found.size >= MOST_ENTRIES)
      fault ??= new ReadError('The archive holds more files than any backup has.')
    if (fault) return
    const chunks: Uint8Array[] = []
    found.set(entry.name, chunks)
    entry.ondata = (error, chunk) => {
      if (error) fault ??= damaged()
      else {
        unpacked += chunk.length
        if (unpacked > MOST_UNPACKED)
          fault ??= new ReadError('Unpacked, the archive is larger than any backup.')
        else chunks.push(chunk)
      }
    }
    entry.start()
  })
  unzip.register(UnzipInflate)
  unzip.register(UnzipPassThrough)
  let read = 0
  const reader = file.stream().getReader()
  try {
    for (;;) {
      const { done, value } = await reader.read()
      unzip.push(value ?? new Uint8Array(0), done)
      if (done || fault) break
      read += value.length
      onProgress(read / file.size)
    }
  } catch {
    fault ??= damaged()
  }
  if (fault) throw fault
  const text = found.get(BACKUP)
  if (!text || text.length === 0)
    throw new ReadError(`The archive holds no ${BACKUP}, so it is no backup of Omblet.`)
  const parsed = Listed.safeParse(jsonOf(found.get(LIST)))
  const listed = parsed.success ? parsed.data : { pictures: [], papers: [] }
  const blobOf = (path: string, type: string) => {
    const chunks = found.get(path)
    return chunks && chunks.length > 0 ? new Blob(chunks as BlobPart[], { type }) : null
  }
  return {
    text: await new Blob(text as BlobPart[]).text(),
    pictures: listed.pictures.flatMap(({ path, batch, id, type }) => {
      const blob = /^image\/(jpeg|png|webp)$/.test(type) ? blobOf(path, type) : null
      return blob ? [{ batch, id, blob }] : []
    }),
    papers: listed.papers.flatMap(({ path, lot, name, type }) => {
      const blob = blobOf(path, type)
      return blob ? [{ lot, name, blob }] : []
    }),
  }
}

function jsonOf(chunks: Uint8Array[] | undefined): unknown {
  try {
    const length = (chunks ?? []).reduce((n, c) => n + c.length, 0)
    const all = new Uint8Array(length)
    let at = 0
    for (const c of chunks ?? []) {
      all.set(c, at)
      at += c.length
    }
    return JSON.parse(new TextDecoder().decode(all))
  } catch {
    return null
  }
}

/** The text of a file, read in pieces so that it can be told how far it is. */
export async function textOf(file: Blob, onProgress: Progress = () => undefined): Promise<string> {
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
