import { backup as texts } from '#words/files'
import * as z from 'zod'
import { LIMITS, type Formula } from '../shapes/formula.ts'
import { FactChange } from '../materials/changes.ts'
import { Container } from '../fill/containers.ts'
import { Lot, withRealDays } from '../materials/lots.ts'
import { mixtureCircles } from '../materials/mixtures.ts'
import { Material } from '../shapes/material.ts'
import type { PlannedTrial } from '../shapes/trial.ts'
import { idOf } from '../shapes/references.ts'
import { StockEntry } from '../shapes/stock.ts'
import { VersionStory } from '../shapes/version.ts'
import { shorten } from '../text/format.ts'
import { BATCH_VERSION, toBatch, type BatchFile } from './batch.ts'
import { toFormula } from './formula.ts'
import { firstIssue, isTooDeep, ReadError, refuseNewer } from './json.ts'
import { toPlannedTrial } from './trial.ts'

export const BACKUP_VERSION = 1

const Frame = z.looseObject({
  format: z.literal('omblet-backup'),
  formatVersion: z.literal(BACKUP_VERSION),
  savedAt: z.string().max(100),
  formulas: z.array(z.unknown()),
  materials: z.array(z.unknown()).default([]),
  lots: z.array(z.unknown()).default([]),
  containers: z.array(z.unknown()).default([]),
  stock: z.array(z.unknown()).default([]),
  changes: z.array(z.unknown()).default([]),
  batches: z.array(z.unknown()).default([]),
  trials: z.array(z.unknown()).default([]),
  settings: z.record(z.string().max(100), z.unknown()).default({}),
})

const id = z.string().min(1).max(200)
/** A version as a backup has it. */
export const SavedVersion = VersionStory.extend({
  id,
  number: z.number().int().min(1),
  name: z.string().max(1000),
  savedAt: z.string().max(100),
  formula: z.unknown(),
})
const SavedFormula = z.looseObject({
  id,
  createdAt: z.string().max(100),
  updatedAt: z.string().max(100),
  from: idOf('version', z.string().min(1).max(200)).optional(),
  formula: z.unknown(),
  versions: z.array(z.unknown()).default([]),
})

export interface BackupVersion extends VersionStory {
  id: string
  number: number
  name: string
  savedAt: string
  formula: Formula
}

export interface BackupFormula {
  id: string
  createdAt: string
  updatedAt: string
  /** Id of the version that it goes on from. */
  from?: string
  formula: Formula
  versions: BackupVersion[]
}

export interface Backup {
  savedAt: string
  formulas: BackupFormula[]
  materials: Material[]
  lots: Lot[]
  containers: Container[]
  /** How what is left of lots and containers came about. */
  stock: StockEntry[]
  /** Changed facts of catalogue materials. */
  changes: FactChange[]
  batches: BatchFile[]
  trials: PlannedTrial[]
  /** What is true of a maker's own tools. */
  settings: Record<string, unknown>
}

/** A record of a backup that could not be read: what it is, and why. */
export interface Refused {
  what: string
  why: string
}

/** A backup with what is sound in it, and the names of what is not. */
export interface ReadBackup {
  backup: Backup
  refused: Refused[]
}

const nameIn = (value: unknown, ...keys: string[]): string => {
  let at: unknown = value
  for (const key of keys) at = (at as Record<string, unknown> | null | undefined)?.[key]
  return typeof at === 'string' && at.trim() !== '' ? `“${shorten(at.trim(), 40)}”` : ''
}

/** A name that grew too long is cut: the rest of the formula is worth more than the end of its name. */
function withShortName(formula: unknown): unknown {
  const name = (formula as { name?: unknown } | null)?.name
  return typeof name === 'string' && name.length > LIMITS.name
    ? { ...(formula as object), name: shorten(name, LIMITS.name) }
    : formula
}

function parsed<T>(schema: z.ZodType<T>, value: unknown): T {
  if (isTooDeep(value)) throw new ReadError(texts.itHoldsValuesTooDeep)
  const result = schema.safeParse(value)
  if (!result.success) throw firstIssue(result.error)
  return result.data
}

/** Reads the items of a list that are sound; the others are named by `what` and left out. */
type Sound = <T>(
  items: readonly unknown[],
  what: (item: unknown, i: number) => string,
  read: (item: unknown) => T,
) => T[]
const soundInto =
  (refused: Refused[]): Sound =>
  (items, what, read) =>
    items.flatMap((item, i) => {
      try {
        return [read(item)]
      } catch (error) {
        if (!(error instanceof ReadError)) throw error
        refused.push({ what: what(item, i), why: error.message })
        return []
      }
    })

/** Formulas with those of their versions that are sound. */
const soundFormulas = (sound: Sound, items: readonly unknown[]): BackupFormula[] =>
  sound(
    items,
    (f, i) => texts.formula(nameIn(f, 'formula', 'name') || i + 1),
    (item): BackupFormula => {
      const { id, createdAt, updatedAt, from, formula, versions } = parsed(SavedFormula, item)
      const of = nameIn(item, 'formula', 'name')
      return {
        id,
        createdAt,
        updatedAt,
        ...(from === undefined ? {} : { from }),
        formula: toFormula(withShortName(formula)),
        versions: sound(
          versions,
          (v, j) => texts.versionOf(String((v as { number?: unknown } | null)?.number ?? j + 1), of),
          (entry): BackupVersion => {
            const version = parsed(SavedVersion, entry)
            return { ...version, formula: toFormula(withShortName(version.formula)) }
          },
        ),
      }
    },
  )

/**
 * Reads the parsed JSON of a backup, record by record: what is sound is taken, what is not is named with the reason.
 * Throws `ReadError` where it is no backup at all, comes from a newer Omblet, or holds nothing that is sound.
 */
export function toBackup(value: unknown): ReadBackup {
  refuseNewer(value, BACKUP_VERSION, 'backup', 'restore')
  const frame = Frame.safeParse(value)
  if (!frame.success) throw firstIssue(frame.error)
  const refused: Refused[] = []
  const sound = soundInto(refused)
  const { savedAt, settings, ...lists } = frame.data
  const formulas = soundFormulas(sound, lists.formulas)
  const materials = sound(
    lists.materials,
    (m, i) => texts.material(nameIn(m, 'name') || i + 1),
    (item) => parsed(Material, item),
  )
  const circles = mixtureCircles(materials)
  for (const m of materials)
    if (circles.has(m.id)) refused.push({ what: texts.material2(m.name), why: texts.itContainsItselfByWay })
  const backup: Backup = {
    savedAt,
    settings,
    formulas,
    materials: materials.filter((m) => !circles.has(m.id)),
    lots: sound(
      lists.lots,
      (l, i) => texts.lotOf(nameIn(l, 'material') || i + 1),
      (item) => parsed(Lot, withRealDays(item)),
    ),
    containers: sound(
      lists.containers,
      (c, i) => texts.container(nameIn(c, 'name') || i + 1),
      (item) => parsed(Container, item),
    ),
    stock: sound(
      lists.stock,
      (_, i) => texts.entryOfWhatIsLeft(i + 1),
      (item) => parsed(StockEntry, item),
    ),
    changes: sound(
      lists.changes,
      (c, i) => texts.ownFiguresOf(nameIn(c, 'id') || i + 1),
      (item) => parsed(FactChange, item),
    ),
    batches: sound(lists.batches, (b, i) => texts.batch(nameIn(b, 'batch', 'code') || i + 1), toBatch),
    trials: sound(lists.trials, (t, i) => texts.trial(nameIn(t, 'name') || i + 1), toPlannedTrial),
  }
  const taken =
    formulas.length +
    backup.materials.length +
    backup.lots.length +
    backup.containers.length +
    backup.changes.length +
    backup.batches.length +
    backup.trials.length
  if (taken === 0 && refused.length > 0)
    throw new ReadError(texts.nothingInThisBackupCan(refused[0]!.what, refused[0]!.why))
  return { backup, refused }
}

/** The text of a backup that another machine can restore. */
export const writeBackup = ({ batches, ...backup }: Backup): string =>
  `${JSON.stringify({ format: 'omblet-backup', formatVersion: BACKUP_VERSION, ...backup, batches: batches.map((b) => ({ format: 'omblet-batch', formatVersion: BATCH_VERSION, ...b })) }, null, 1)}\n`
