import type { Formula } from '../shapes/formula.ts'
import { toBackup, type Backup, type Refused } from './backup.ts'
import { toBatch, type BatchFile } from './batch.ts'
import { toFormula } from './formula.ts'
import { toPlannedTrial } from './trial.ts'
import type { PlannedTrial } from '../shapes/trial.ts'
import { MOST_FORMULA_CHARACTERS, parseJson, tooLongForFormula } from './json.ts'

/** What an imported file turned out to be. */
export type Imported =
  | { kind: 'formula'; formula: Formula }
  | { kind: 'backup'; backup: Backup; refused: Refused[] }
  | { kind: 'batch'; batch: BatchFile }
  | { kind: 'trial'; trial: PlannedTrial }

/**
 * The one gate: reads the text of a formula file, a batch file, a trial file or a backup. A formula, a batch or a trial comes in whole or not
 * at all; of a backup what is sound, with the names of what is not. Throws `ReadError`.
 */
export function readFile(text: string): Imported {
  const value = parseJson(text)
  const format = (value as { format?: unknown } | null)?.format
  if (format === 'omblet-backup') return { kind: 'backup', ...toBackup(value) }
  if (format === 'omblet-batch') return { kind: 'batch', batch: toBatch(value) }
  if (format === 'omblet-trial') return { kind: 'trial', trial: toPlannedTrial(value) }
  if (text.length > MOST_FORMULA_CHARACTERS) throw tooLongForFormula(text.length)
  return { kind: 'formula', formula: toFormula(value) }
}
