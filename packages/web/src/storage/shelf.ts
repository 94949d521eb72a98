import type { FactChange, Lot, Material } from '@omblet/core'
import { openStore } from './db'
import type { LotFile } from './schema'

export const listMaterials = async (): Promise<Material[]> => (await openStore()).getAll('materials')
export const saveMaterial = async (material: Material) => {
  await (await openStore()).put('materials', material)
}

export const listLots = async (): Promise<Lot[]> => (await openStore()).getAll('lots')
export const saveLot = async (lot: Lot) => {
  await (await openStore()).put('lots', lot)
}
export const deleteLot = async (id: string) => {
  await (await openStore()).delete('lots', id)
}
export const deleteMaterial = async (id: string) => {
  await (await openStore()).delete('materials', id)
}

export const listChanges = async (): Promise<FactChange[]> => (await openStore()).getAll('changes')
export const saveChange = async (change: FactChange) => {
  await (await openStore()).put('changes', change)
}
export const deleteChange = async (id: string) => {
  await (await openStore()).delete('changes', id)
}

/** Adds or replaces many at once, all or none. */
export async function putShelf(materials: readonly Material[], lots: readonly Lot[]) {
  const db = await openStore()
  const tx = db.transaction(['materials', 'lots'], 'readwrite')
  const writes: Promise<unknown>[] = [tx.done]
  try {
    for (const m of materials) writes.push(tx.objectStore('materials').put(m))
    for (const l of lots) writes.push(tx.objectStore('lots').put(l))
    await Promise.all(writes)
  } catch (error) {
    // A record that cannot be stored does not undo the others by itself.
    for (const write of writes) write.catch(() => undefined)
    try {
      tx.abort()
    } catch {
      // It was over already.
    }
    throw error
  }
}

/** The paper of a lot: a certificate, a data sheet, a photograph. */
export const getFile = async (lot: string): Promise<LotFile | undefined> =>
  (await openStore()).get('files', lot)
export const saveFile = async (file: LotFile) => {
  await (await openStore()).put('files', file)
}
export const deleteFile = async (lot: string) => {
  await (await openStore()).delete('files', lot)
}
