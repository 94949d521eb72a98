import { readFile, same, tidyInfo, writeBackup, type Backup, type Refused } from '@omblet/core'
import { openStore } from './db'
import type { VersionRecord } from './schema'

/** Settings that a backup carries: what is true of the maker and their tools, not of this browser. */
export const CARRIED_SETTINGS = ['tools', 'who', 'forgotten'] as const

/** Everything, or the formulas of these ids, as a backup; entries without a batch are left to the place where they are shown. */
export async function collectBackup(now: string, ids?: readonly string[]): Promise<Backup> {
  const db = await openStore()
  const tx = db.transaction(['formulas', 'versions', 'materials', 'lots', 'containers', 'changes', 'batches', 'events', 'trials', 'settings']) // prettier-ignore
  const wanted = ids && new Set(ids)
  const [formulas, versions, materials, lots, containers, changes, heads, events, trials, settings] =
    await Promise.all([
      tx.objectStore('formulas').getAll(),
      tx.objectStore('versions').getAll(),
      tx.objectStore('materials').getAll(),
      ids ? [] : tx.objectStore('lots').getAll(),
      ids ? [] : tx.objectStore('containers').getAll(),
      ids ? [] : tx.objectStore('changes').getAll(),
      ids ? [] : tx.objectStore('batches').getAll(),
      ids ? [] : tx.objectStore('events').getAll(),
      ids ? [] : tx.objectStore('trials').getAll(),
      ids ? [] : tx.objectStore('settings').getAll(),
    ])
  const byFormula = grouped(versions, (v) => v.formulaId)
  const byBatch = grouped(events, (e) => e.batch)
  return {
    savedAt: now,
    settings: Object.fromEntries(settings.flatMap(({ key, value }) => (CARRIED_SETTINGS.some((k) => k === key) ? [[key, value]] : []))), // prettier-ignore
    formulas: formulas
      .filter((r) => !wanted || wanted.has(r.id))
      .map(({ rev: _r, demo: _d, ...record }) => ({
        ...record,
        versions: (byFormula.get(record.id) ?? []).map(
          ({ formulaId: _f, ...version }: VersionRecord) => version,
        ),
      })),
    materials,
    lots,
    containers,
    changes,
    batches: heads.flatMap(({ id, code, name, formulaId, who }) => {
      const own = (byBatch.get(id) ?? []).map((r) => r.event)
      return own[0]?.type === 'start' ? [{ batch: tidyInfo({ id, code, name, formulaId, who }), events: own, photos: [] }] : [] // prettier-ignore
    }),
    trials,
  }
}

function grouped<T>(items: readonly T[], key: (item: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>()
  for (const item of items) {
    const group = groups.get(key(item))
    if (group) group.push(item)
    else groups.set(key(item), [item])
  }
  return groups
}

export interface WrittenBackup {
  text: string
  /** Records that this very text could not be restored from. */
  unsound: Refused[]
}

/** The text of a backup, read again before it is called one: whether all of it would come back, and what would not. */
export function writtenBackup(backup: Backup): WrittenBackup {
  const text = writeBackup(backup)
  const read = readFile(text)
  if (read.kind !== 'backup') throw new Error('A backup was written that is none.')
  const unsound = [...read.refused]
  if (unsound.length === 0 && !same({ ...read.backup }, { ...backup }) && !sameRecords(read.backup, backup))
    unsound.push({ what: 'The backup', why: 'it does not read as it was written.' })
  return { text, unsound }
}
/** Whether the same records stand in both; a name that was too long may have been cut. */
const sameRecords = (x: Backup, y: Backup) =>
  (['formulas', 'materials', 'lots', 'containers', 'changes', 'batches', 'trials'] as const).every(
    (k) => x[k].length === y[k].length,
  )
