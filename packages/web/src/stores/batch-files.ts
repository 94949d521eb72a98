import { benchPlan, foldBatch, headOf, writeBatch, type BatchFile, type BatchHead, type BatchPhoto } from '@omblet/core' // prettier-ignore
import { announce, makeId, TAB } from '../storage/channel'
import { besides, brings, getBatch, photosOf, putBatch } from '../storage/batches'
import { explainStorage } from '../storage/db'
import type { Taken } from './library'
import { useMaterials } from './materials'

/** What a list shows of a batch, worked out from its events. */
export function headFrom(file: Pick<BatchFile, 'batch' | 'events'>): BatchHead {
  const start = file.events[0]
  if (start?.type !== 'start') throw new Error('A batch begins with its start.')
  return headOf(file.batch, foldBatch(benchPlan(start.formula, useMaterials().catalogue), file.events))
}

/** Stores a batch from a file. One that went another way since is kept beside the one that is here. */
export async function takeIn(saved: BatchFile): Promise<Taken> {
  try {
    const what = brings((await getBatch(saved.batch.id))?.events ?? [], saved.events)
    const file = what === 'another' ? besides(saved, makeId()) : saved
    const { batch } = file
    if (what !== 'nothing') {
      const photos = file.photos.map(({ id, type, data }) => ({
        id,
        batch: batch.id,
        blob: blobOf(data, type),
      }))
      await putBatch(file, headFrom(file), photos)
      announce({ type: 'batch', id: batch.id, tab: TAB })
    }
    return {
      message: what === 'nothing' ? `Batch ${batch.code} was here already.` : `Batch ${batch.code} is here.`,
      batch: batch.id,
    }
  } catch (error) {
    return { error: explainStorage(error) }
  }
}

/** The text of a batch's file, with its photographs. */
export async function batchText(id: string): Promise<string | null> {
  const found = await getBatch(id)
  if (!found) return null
  const { code, name, formulaId, who } = found.head
  const photos = await Promise.all((await photosOf(id)).map(async ({ id: photo, blob }) => ({ id: photo, type: blob.type as BatchPhoto['type'], data: await base64(blob) }))) // prettier-ignore
  return writeBatch({ batch: { id, code, name, formulaId, who }, events: found.events, photos })
}

async function base64(blob: Blob): Promise<string> {
  const bytes = new Uint8Array(await blob.arrayBuffer())
  let text = ''
  for (let i = 0; i < bytes.length; i += 0x8000) text += String.fromCharCode(...bytes.subarray(i, i + 0x8000))
  return btoa(text)
}
const blobOf = (data: string, type: string) =>
  new Blob([Uint8Array.from(atob(data), (c) => c.charCodeAt(0))], { type })
