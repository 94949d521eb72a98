import * as z from 'zod'
import { firstIssue, parseJson, ReadError, toFormula } from '../formula/read.ts'
import type { Formula } from '../formula/schema.ts'
import { FactChange } from '../materials/changes.ts'
import { Lot } from '../materials/lots.ts'
import { Material } from '../materials/schema.ts'
import { BATCH_VERSION, toBatch, type BatchFile } from '../bench/batch-file.ts'

export const BACKUP_VERSION = 1

const SavedVersion = z.looseObject({
  id: z.string(),
  number: z.number().int().min(1),
  name: z.string(),
  savedAt: z.string(),
  formula: z.unknown(),
})

const BackupShape = z.looseObject({
  format: z.literal('omblet-backup'),
  formatVersion: z.literal(BACKUP_VERSION),
  savedAt: z.string(),
  formulas: z.array(
    z.looseObject({
      id: z.string().min(1),
      createdAt: z.string(),
      updatedAt: z.string(),
      formula: z.unknown(),
      versions: z.array(SavedVersion).default([]),
    }),
  ),
  materials: z.array(Material).default([]),
  lots: z.array(Lot).default([]),
  changes: z.array(FactChange).default([]),
  batches: z.array(z.unknown()).default([]),
})

export interface BackupVersion {
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
  formula: Formula
  versions: BackupVersion[]
}

export interface Backup {
  savedAt: string
  formulas: BackupFormula[]
  materials: Material[]
  lots: Lot[]
  /** Changed facts of catalogue materials. */
  changes: FactChange[]
  batches: BatchFile[]
}

/** What an imported file turned out to be. */
export type Imported =
  | { kind: 'formula'; formula: Formula }
  | { kind: 'backup'; backup: Backup }
  | { kind: 'batch'; batch: BatchFile }

function inside<T>(read: (value: unknown) => T, value: unknown, where: string): T {
  try {
    return read(value)
  } catch (error) {
    if (error instanceof ReadError) throw new ReadError(`${where}: ${error.message}`, error.field)
    throw error
  }
}

function toBackup(value: unknown): Backup {
  const version = (value as { formatVersion?: unknown }).formatVersion
  if (typeof version === 'number' && version > BACKUP_VERSION) {
    throw new ReadError(
      `formatVersion ${version} of this backup was written by a newer Omblet than this one. Update Omblet to restore it.`,
      'formatVersion',
    )
  }
  const parsed = BackupShape.safeParse(value)
  if (!parsed.success) throw firstIssue(parsed.error)
  const { savedAt, formulas, materials, lots, changes, batches } = parsed.data
  return {
    savedAt,
    materials,
    lots,
    changes,
    batches: batches.map((b, i) => inside(toBatch, b, `batches[${i}]`)),
    formulas: formulas.map(({ id, createdAt, updatedAt, formula, versions }, i) => ({
      id,
      createdAt,
      updatedAt,
      formula: inside(toFormula, formula, `formulas[${i}]`),
      versions: versions.map((v, j) => ({
        id: v.id,
        number: v.number,
        name: v.name,
        savedAt: v.savedAt,
        formula: inside(toFormula, v.formula, `formulas[${i}].versions[${j}]`),
      })),
    })),
  }
}

/** Reads the text of a formula file, a batch file or a backup. Whole or not at all: the first fault throws `ReadError`. */
export function readFile(text: string): Imported {
  const value = parseJson(text)
  const format = (value as { format?: unknown } | null)?.format
  if (format === 'omblet-backup') return { kind: 'backup', backup: toBackup(value) }
  if (format === 'omblet-batch') return { kind: 'batch', batch: toBatch(value) }
  return { kind: 'formula', formula: toFormula(value) }
}

/** The text of a backup that another machine can restore. */
export const writeBackup = ({ batches, ...backup }: Backup): string =>
  `${JSON.stringify({ format: 'omblet-backup', formatVersion: BACKUP_VERSION, ...backup, batches: batches.map((b) => ({ format: 'omblet-batch', formatVersion: BATCH_VERSION, ...b })) }, null, 1)}\n`
