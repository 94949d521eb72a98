import { fieldChanges, same, withChanges, type Container, type Lot, type Material } from '@omblet/core'
import { makeId } from './channel'
import { openStore, whole } from './db'
import { containersIn, dropEntries, lotsIn, putContainerIn, putLotIn } from './stock'

/** A record of a table: how it was here when the table was read, and how it will be; null where there is none. */
export interface Row<T> {
  was: T | null
  next: T | null
}
/** Rows that are stored together. */
export interface ShelfRows {
  materials: Row<Material>[]
  lots: Row<Lot>[]
  containers: Row<Container>[]
}
/** Where rows of one kind go. */
interface Rack<T> {
  /** All that is here, read once: a table can have ten thousand rows. */
  here: readonly T[]
  /** Writes a record; `by` is how much more is left than was here. */
  put: (value: T, by: number) => void
  drop: (id: string) => void
  /** Removes what an earlier record of this id left behind. */
  clear?: (id: string) => void
  /** The field that is a count and goes up and down. */
  counted: (keyof T & string) | null
}

/**
 * Stores rows, all or none: of what is here only the fields that a row changes, and of a count by how much, so that what
 * was weighed since stays weighed. Gives back the rows that undo it, which take away what was new, unless that was changed
 * since.
 */
export async function takeRows(rows: ShelfRows, now: string): Promise<ShelfRows> {
  const db = await openStore()
  const tx = db.transaction(['materials', 'lots', 'containers', 'stock'], 'readwrite')
  const entry = () => ({ id: makeId(), at: now })
  return whole(tx, async (put) => ({
    materials: takeKind(rows.materials, {
      here: await tx.objectStore('materials').getAll(),
      put: (m) => put(tx.objectStore('materials').put(m)),
      drop: (id) => put(tx.objectStore('materials').delete(id)),
      counted: null,
    }),
    lots: takeKind(rows.lots, {
      here: await lotsIn(tx),
      put: (lot, by) => putLotIn(tx, lot, by, entry(), put),
      drop(id) {
        put(tx.objectStore('lots').delete(id))
        put(dropEntries(tx, 'lot', id, put))
      },
      clear: (id) => put(dropEntries(tx, 'lot', id, put)),
      counted: 'leftGrams',
    }),
    containers: takeKind(rows.containers, {
      here: await containersIn(tx),
      put: (container, by) => putContainerIn(tx, container, by, entry(), put),
      drop(id) {
        put(tx.objectStore('containers').delete(id))
        put(dropEntries(tx, 'container', id, put))
      },
      clear: (id) => put(dropEntries(tx, 'container', id, put)),
      counted: 'left',
    }),
  }))
}

function takeKind<T extends { id: string }>(rows: readonly Row<T>[], rack: Rack<T>): Row<T>[] {
  const back: Row<T>[] = []
  const byId = new Map(rack.here.map((record) => [record.id, record]))
  for (const { was, next } of rows) {
    const id = (next ?? was)!.id
    const here = byId.get(id)
    if (next) {
      if (!here) rack.clear?.(id)
      const value = merged(here, was, next, rack)
      rack.put(value.record, value.by)
      byId.set(id, value.record)
      back.push({ was: value.record, next: here ?? null })
    } else if (here && same(here, was)) {
      rack.drop(id)
      byId.delete(id)
    }
  }
  return back.reverse()
}
function merged<T extends object>(
  here: T | undefined,
  was: T | null,
  next: T,
  { counted }: { counted: (keyof T & string) | null },
) {
  const known = here && was
  const changes = fieldChanges(was ?? {}, next).filter((c) => c.field !== counted)
  const record = known ? withChanges(here, changes).value : next
  if (counted === null) return { record, by: 0 }
  const left = (x: T | null | undefined) => (x?.[counted] as number | undefined) ?? 0
  const by = known ? Math.max(-left(here), left(next) - left(was)) : left(next) - left(here)
  return { record: { ...record, [counted]: Number((left(here) + by).toFixed(6)) }, by }
}
