import {
  fieldChanges,
  withChanges,
  type Container,
  type FactChange,
  type FieldChange,
  type Lot,
  type Material,
} from '@omblet/core'
import { toBin } from './bin'
import { makeId } from './channel'
import { openStore, whole } from './db'
import type { LotFile } from './schema'
import {
  containerIn,
  containersIn,
  dropEntries,
  entriesOf,
  lotIn,
  lotsIn,
  putContainerIn,
  putLotIn,
} from './stock'

export const listMaterials = async (): Promise<Material[]> => (await openStore()).getAll('materials')

export const listLots = async (): Promise<Lot[]> => lotsIn((await openStore()).transaction(['lots', 'stock']))
export const getLot = async (id: string): Promise<Lot | undefined> =>
  lotIn((await openStore()).transaction(['lots', 'stock']), id)
export const listContainers = async (): Promise<Container[]> =>
  containersIn((await openStore()).transaction(['containers', 'stock']))
export const getContainer = async (id: string): Promise<Container | undefined> =>
  containerIn((await openStore()).transaction(['containers', 'stock']), id)

/** What became of a record that was changed field by field; where others changed the same field meanwhile, nothing. */
export type Saved<T> = { value: T } | { clashes: FieldChange[]; here: T }
/** It is not here any more: it was deleted elsewhere. */
export class Gone extends Error {}

/** Beyond this a sum of entries differs by more than rounding. */
const CHANGED = 1e-9
/** A record with the fields changed that were; a count goes up or down by as much as it was changed, whatever it is now. */
function changed<T extends object>(
  here: T,
  was: T,
  next: T,
  counted: keyof T & string,
): (Saved<T> & { value: T; by: number }) | { clashes: FieldChange[]; here: T } {
  const counts = (x: T) => x[counted] as number
  const changes = fieldChanges(was, next).filter((c) => c.field !== counted)
  const { value, clashes } = withChanges(here, changes)
  if (clashes.length > 0) return { clashes, here }
  const by = Math.max(-counts(here), counts(next) - counts(was))
  return {
    value: { ...value, [counted]: Number((counts(here) + by).toFixed(6)) },
    by: Math.abs(by) < CHANGED ? 0 : by,
  }
}

/** Adds a lot, or counts one anew: what is left is set to what it tells. */
export async function saveLot(lot: Lot, now = new Date().toISOString()) {
  const db = await openStore()
  const tx = db.transaction(['lots', 'stock'], 'readwrite')
  await whole(tx, async (put) => {
    const here = await lotIn(tx, lot.id)
    if (!here) await dropEntries(tx, 'lot', lot.id, put)
    putLotIn(tx, lot, lot.leftGrams - (here?.leftGrams ?? 0), { id: makeId(), at: now }, put)
  })
}

/**
 * Changes what was changed of a lot, and nothing else: `was` is how it was read, `next` how it was left. Throws `Gone`
 * where it was deleted meanwhile.
 */
export async function changeLot(was: Lot, next: Lot, now: string): Promise<Saved<Lot>> {
  const db = await openStore()
  const tx = db.transaction(['lots', 'stock'], 'readwrite')
  return whole(tx, async (put) => {
    const here = await lotIn(tx, was.id)
    if (!here) throw new Gone()
    const saved = changed(here, was, next, 'leftGrams')
    if ('value' in saved) putLotIn(tx, saved.value, saved.by, { id: makeId(), at: now }, put)
    return saved
  })
}

export async function saveContainer(container: Container, now = new Date().toISOString()) {
  const db = await openStore()
  const tx = db.transaction(['containers', 'stock'], 'readwrite')
  await whole(tx, async (put) => {
    const here = await containerIn(tx, container.id)
    if (!here) await dropEntries(tx, 'container', container.id, put)
    putContainerIn(tx, container, container.left - (here?.left ?? 0), { id: makeId(), at: now }, put)
  })
}
/** Changes what was changed of a container, as `changeLot` does of a lot. */
export async function changeContainer(
  was: Container,
  next: Container,
  now: string,
): Promise<Saved<Container>> {
  const db = await openStore()
  const tx = db.transaction(['containers', 'stock'], 'readwrite')
  return whole(tx, async (put) => {
    const here = await containerIn(tx, was.id)
    if (!here) throw new Gone()
    const saved = changed(here, was, next, 'left')
    if ('value' in saved) putContainerIn(tx, saved.value, saved.by, { id: makeId(), at: now }, put)
    return saved
  })
}

/** Moves a lot with its paper to the bin and gives back where it lies there. */
export async function deleteLot(lot: Lot, name: string, now: string, forGood = false): Promise<string> {
  const db = await openStore()
  const tx = db.transaction(['lots', 'stock', 'files', 'bin'], 'readwrite')
  return whole(tx, async (put) => {
    const file = await tx.objectStore('files').get(lot.id)
    const here = (await lotIn(tx, lot.id)) ?? lot
    const entries = await entriesOf(tx, 'lot', lot.id)
    const bin = toBin({ kind: 'lot', lot: here, entries, ...(file ? { file } : {}) }, name, now, makeId)
    if (!forGood) put(tx.objectStore('bin').put(bin))
    put(tx.objectStore('lots').delete(lot.id))
    put(tx.objectStore('files').delete(lot.id))
    await dropEntries(tx, 'lot', lot.id, put)
    return bin.id
  })
}
/** Moves a container to the bin and gives back where it lies there. */
export async function deleteContainer(container: Container, now: string, forGood = false): Promise<string> {
  const db = await openStore()
  const tx = db.transaction(['containers', 'stock', 'bin'], 'readwrite')
  return whole(tx, async (put) => {
    const here = (await containerIn(tx, container.id)) ?? container
    const entries = await entriesOf(tx, 'container', container.id)
    const bin = toBin({ kind: 'container', container: here, entries }, container.name, now, makeId)
    if (!forGood) put(tx.objectStore('bin').put(bin))
    put(tx.objectStore('containers').delete(container.id))
    await dropEntries(tx, 'container', container.id, put)
    return bin.id
  })
}

/** Adds a material of one's own, or changes what was changed of it since it was read as `was`. */
export async function saveMaterial(material: Material, was?: Material): Promise<Saved<Material>> {
  const db = await openStore()
  const tx = db.transaction('materials', 'readwrite')
  return whole(tx, async (put) => {
    const here = was ? await tx.store.get(material.id) : undefined
    const { value, clashes } =
      was && here ? withChanges(here, fieldChanges(was, material)) : { value: material, clashes: [] }
    if (clashes.length > 0) return { clashes, here: here! }
    put(tx.store.put(value))
    return { value }
  })
}

/** Moves a material of one's own to the bin and gives back where it lies there. */
export async function deleteMaterial(material: Material, now: string, forGood = false): Promise<string> {
  const db = await openStore()
  const tx = db.transaction(['materials', 'bin'], 'readwrite')
  return whole(tx, async (put) => {
    const here = (await tx.objectStore('materials').get(material.id)) ?? material
    const bin = toBin({ kind: 'material', material: here }, material.name, now, makeId)
    if (!forGood) put(tx.objectStore('bin').put(bin))
    put(tx.objectStore('materials').delete(material.id))
    return bin.id
  })
}

export const listChanges = async (): Promise<FactChange[]> => (await openStore()).getAll('changes')
/** Changes what one holds of a material of the catalogue; `make` gets what stands there, null takes it away. */
export async function changeFacts(id: string, make: (here: FactChange | undefined) => FactChange | null) {
  const db = await openStore()
  const tx = db.transaction('changes', 'readwrite')
  await whole(tx, async (put) => {
    const next = make(await tx.store.get(id))
    put(next ? tx.store.put(next) : tx.store.delete(id))
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
