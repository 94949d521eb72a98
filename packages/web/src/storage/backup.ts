import { common } from '#words/common'
import { backup as texts } from '#words/storage'
import {
  knownCatalogue,
  materialsUsed,
  readFile,
  same,
  tidyInfo,
  withOwn,
  writeBackup,
  type Backup,
  type FactChange,
  type Material,
  type Refused,
} from '@omblet/core'
import { openStore } from './db'
import type { FormulaRecord, VersionRecord } from './schema'
import { CARRIED, isCarried } from './settings'
import { containersIn, lotsIn } from './stock'

/** Everything, or the formulas of these ids, as a backup; entries without a batch are left to the place where they are shown. */
export async function collectBackup(now: string, ids?: readonly string[]): Promise<Backup> {
  const db = await openStore()
  const tx = db.transaction([
    'formulas',
    'versions',
    'materials',
    'lots',
    'containers',
    'stock',
    'changes',
    'batches',
    'events',
    'trials',
    'settings',
  ])
  const wanted = ids && new Set(ids)
  const [formulas, versions, materials, lots, containers, stock, changes, heads, events, trials, settings] =
    await Promise.all([
      tx.objectStore('formulas').getAll(),
      tx.objectStore('versions').getAll(),
      tx.objectStore('materials').getAll(),
      ids ? [] : lotsIn(tx),
      ids ? [] : containersIn(tx),
      ids ? [] : tx.objectStore('stock').getAll(),
      tx.objectStore('changes').getAll(),
      ids ? [] : tx.objectStore('batches').getAll(),
      ids ? [] : tx.objectStore('events').getAll(),
      ids ? [] : tx.objectStore('trials').getAll(),
      ids ? [] : tx.objectStore('settings').getAll(),
    ])
  const used = usedIn(wanted, { formulas, versions, materials, changes })
  const byFormula = grouped(versions, (v) => v.formulaId)
  const byBatch = grouped(events, (e) => e.batch)
  return {
    savedAt: now,
    settings: Object.fromEntries(
      settings.flatMap(({ key, value }) =>
        isCarried(key) && CARRIED[key].safeParse(value).success ? [[key, value]] : [],
      ),
    ),
    formulas: formulas
      .filter((r) => !wanted || wanted.has(r.id))
      .map(({ rev: _r, demo: _d, ...record }) => ({
        ...record,
        versions: (byFormula.get(record.id) ?? []).map(
          ({ formulaId: _f, ...version }: VersionRecord) => version,
        ),
      })),
    materials: wanted ? materials.filter((m) => used.has(m.id)) : materials,
    lots,
    containers,
    stock,
    changes: wanted ? changes.filter((c) => used.has(c.id)) : changes,
    batches: heads.flatMap(({ id, code, name, formulaId, who }) => {
      const own = (byBatch.get(id) ?? []).map((r) => r.event)
      return own[0]?.type === 'start'
        ? [{ batch: tidyInfo({ id, code, name, formulaId, who }), events: own, photos: [] }]
        : []
    }),
    trials,
  }
}

/** Ids of everything that the wanted formulas and their versions are made of, through stocks too. */
function usedIn(
  wanted: ReadonlySet<string> | undefined,
  {
    formulas,
    versions,
    materials,
    changes,
  }: { formulas: FormulaRecord[]; versions: VersionRecord[]; materials: Material[]; changes: FactChange[] },
): ReadonlySet<string> {
  if (!wanted) return new Set()
  const of = [
    ...formulas.filter((r) => wanted.has(r.id)).map((r) => r.formula),
    ...versions.filter((v) => wanted.has(v.formulaId)).map((v) => v.formula),
  ]
  const knowledge = { own: materials, changes, lots: [] }
  return materialsUsed(of, withOwn(knownCatalogue(knowledge), knowledge))
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
  if (read.kind !== 'backup') throw new Error(texts.aBackupWasWrittenThat)
  const unsound = [...read.refused]
  if (unsound.length === 0 && !same({ ...read.backup }, { ...backup }) && !sameRecords(read.backup, backup))
    unsound.push({ what: texts.theBackup, why: common.itDoesNotReadAs })
  return { text, unsound }
}
/** Whether the same records stand in both; a name that was too long may have been cut. */
const sameRecords = (x: Backup, y: Backup) =>
  (['formulas', 'materials', 'lots', 'containers', 'changes', 'batches', 'trials'] as const).every(
    (k) => x[k].length === y[k].length,
  )
