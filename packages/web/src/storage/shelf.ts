import type { FactChange, Lot, Material } from '@omblet/core'
import { toBin } from './bin'
import { openStore, whole } from './db'
import type { LotFile } from './schema'

export const listMaterials = async (): Promise<Material[]> => (await openStore()).getAll('materials')
export const saveMaterial = async (material: Material) => {
  await (await openStore()).put('materials', material)
}

export const listLots = async (): Promise<Lot[]> => (await openStore()).getAll('lots')
export const saveLot = async (lot: Lot) => {
  await (await openStore()).put('lots', lot)
}
export const getLot = async (id: string): Promise<Lot | undefined> => (await openStore()).get('lots', id)

/** Moves a lot with its paper to the bin and gives back where it lies there. */
export async function deleteLot(lot: Lot, name: string, now: string, makeId: () => string): Promise<string> {
  const db = await openStore()
  const tx = db.transaction(['lots', 'files', 'bin'], 'readwrite')
  return whole(tx, async (put) => {
    const file = await tx.objectStore('files').get(lot.id)
    const here = (await tx.objectStore('lots').get(lot.id)) ?? lot
    const bin = toBin({ kind: 'lot', lot: here, ...(file ? { file } : {}) }, name, now, makeId)
    put(tx.objectStore('bin').put(bin))
    put(tx.objectStore('lots').delete(lot.id))
    put(tx.objectStore('files').delete(lot.id))
    return bin.id
  })
}

/** Moves a material of one's own to the bin and gives back where it lies there. */
export async function deleteMaterial(material: Material, now: string, makeId: () => string): Promise<string> {
  const db = await openStore()
  const tx = db.transaction(['materials', 'bin'], 'readwrite')
  return whole(tx, async (put) => {
    const bin = toBin({ kind: 'material', material }, material.name, now, makeId)
    put(tx.objectStore('bin').put(bin))
    put(tx.objectStore('materials').delete(material.id))
    return bin.id
  })
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
  await whole(tx, async (put) => {
    for (const m of materials) put(tx.objectStore('materials').put(m))
    for (const l of lots) put(tx.objectStore('lots').put(l))
  })
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
