import { common } from '#words/common'
import { files as texts } from '#words/storage'
import {
  readFile,
  ReadError,
  writeBatch,
  type Backup,
  type BatchPhoto,
  type Formula,
  type Refused,
} from '@omblet/core'
import {
  isArchive,
  isUnreadable,
  MOST_BYTES,
  readArchive,
  textOf,
  writeArchive,
  type ReadArchive,
} from './archive'
import { collectBackup, writtenBackup } from './backup'
import { getBatch, photosOf } from './batches'
import { explainStorage, openStore } from './db'
import { restoreBackup, type Pictures, type Restored } from './restore'
import { takeInBatch, takeInTrial } from './take-in'

/** What became of a file that was taken in; a formula is still to be stored, since it may need another name. */
export type TakenFile =
  | { kind: 'formula'; formula: Formula }
  | { kind: 'batch'; id: string; code: string; what: 'new' | 'nothing' | 'more' | 'beside' }
  | { kind: 'trial'; id: string; name: string; what: 'new' | 'nothing' | 'more' | 'beside' }
  | { kind: 'backup'; restored: Restored }
  /** Some of what an archive lists is missing or damaged; nothing is stored before the rest is asked for. */
  | { kind: 'damaged'; lost: Refused[] }
  | { kind: 'error'; error: string }

type Progress = (done: number) => void

/**
 * Reads a file of any kind and stores a batch or a backup, whole or not at all; of a damaged archive nothing, unless the
 * `rest` of it is wanted. `onProgress` hears the share done, 0 to 1.
 */
export async function takeFile(
  file: Blob,
  onProgress: Progress = () => undefined,
  { rest = false } = {},
): Promise<TakenFile> {
  const half = (from: number) => (done: number) => onProgress(from + done / 2)
  try {
    const {
      text,
      lost = [],
      ...beside
    }: Pick<ReadArchive, 'text'> & Partial<ReadArchive> = (await isArchive(file))
      ? await readArchive(file, half(0))
      : { text: await textOf(file, half(0)) }
    const read = readFile(text)
    if (read.kind === 'formula') return read
    if (read.kind === 'batch') {
      const { id, code, what } = await takeInBatch(read.batch)
      return { kind: 'batch', id, code, what }
    }
    if (read.kind === 'trial') return { kind: 'trial', ...(await takeInTrial(read.trial)) }
    const gone = lost.map((l) => ({ what: lostName(l, read.backup), why: l.why }))
    if (gone.length > 0 && !rest) return { kind: 'damaged', lost: gone }
    const restored = await restoreBackup(read.backup, beside, half(0.5))
    return {
      kind: 'backup',
      restored: { ...restored, refused: [...read.refused, ...gone, ...restored.refused] },
    }
  } catch (error) {
    return { kind: 'error', error: whyNot(error) }
  }
}
const whyNot = (error: unknown) =>
  error instanceof ReadError
    ? error.message
    : isUnreadable(error)
      ? texts.theFileCanNoLonger
      : explainStorage(error)
/** What a file of an archive is, in words. */
function lostName({ kind, of }: ReadArchive['lost'][number], backup: Backup): string {
  if (kind === 'paper')
    return texts.aDocumentOfALot(backup.lots.find((l) => l.id === of)?.material ?? texts.aMaterial)
  const code = backup.batches.find((b) => b.batch.id === of)?.batch.code
  return code ? texts.aPhotoOfBatch(code) : texts.photos
}

export interface SavedBackup {
  blob: Blob
  /** Records that could not be restored from it. */
  unsound: { what: string; why: string }[]
  /** So many go along, or where they do not, are left out. */
  pictures: number
  papers: number
  /** What else it holds, so that it can be told. */
  held: { versions: number; materials: number; changes: number }
}

/** Everything, or the formulas of these ids, as a file that was read again; photographs and papers go along by choice. */
export async function saveBackup(
  now: string,
  { ids, pictures = false }: { ids?: readonly string[]; pictures?: boolean } = {},
  onProgress: Progress = () => undefined,
): Promise<SavedBackup> {
  const backup = await collectBackup(now, ids)
  const { text, unsound } = writtenBackup(backup)
  if (text.length > MOST_BYTES)
    throw new Error(texts.asTextItIsMb(Math.round(text.length / 1e6), MOST_BYTES / 1e6))
  onProgress(pictures ? 0.3 : 1)
  const db = await openStore()
  if (!pictures) {
    const [left, papers] = ids ? [0, 0] : await Promise.all([db.count('pictures'), db.count('files')])
    return {
      blob: new Blob([text], { type: 'application/json' }),
      unsound,
      pictures: left,
      papers,
      held: heldIn(backup),
    }
  }
  const beside: Required<Pictures> = {
    pictures: await db.getAll('pictures'),
    papers: await db.getAll('files'),
  }
  const blob = await writeArchive(text, beside, (done) => onProgress(0.3 + done * 0.4))
  const again = await readArchive(blob, (done) => onProgress(0.7 + done * 0.3))
  const whole = (kind: 'pictures' | 'papers') =>
    again[kind].reduce((sum, p) => sum + p.blob.size, 0) ===
    beside[kind].reduce((sum, p) => sum + p.blob.size, 0)
  if (again.text !== text || !whole('pictures') || !whole('papers'))
    unsound.push({ what: texts.theArchive, why: common.itDoesNotReadAs })
  return {
    blob,
    unsound,
    pictures: beside.pictures.length,
    papers: beside.papers.length,
    held: heldIn(backup),
  }
}

const heldIn = ({ formulas, materials, changes }: Backup) => ({
  versions: formulas.reduce((sum, f) => sum + f.versions.length, 0),
  materials: materials.length,
  changes: changes.length,
})

/** A batch as a file, with its photographs; null where it is not here. */
export async function batchFile(id: string): Promise<Blob | null> {
  const found = await getBatch(id)
  if (!found) return null
  const { code, name, formulaId, who } = found.head
  const photos: BatchPhoto[] = []
  for (const { id: photo, blob } of await photosOf(id))
    photos.push({ id: photo, type: blob.type as BatchPhoto['type'], data: await base64(blob) })
  const text = writeBatch({ batch: { id, code, name, formulaId, who }, events: found.events, photos })
  return new Blob([text], { type: 'application/json' })
}

async function base64(blob: Blob): Promise<string> {
  const bytes = new Uint8Array(await blob.arrayBuffer())
  // A multiple of three, so that the pieces join without padding between them.
  const PIECE = 0x8001
  const pieces: string[] = []
  for (let i = 0; i < bytes.length; i += PIECE)
    pieces.push(btoa(String.fromCharCode(...bytes.subarray(i, i + PIECE))))
  return pieces.join('')
}
