import { formula as texts } from '#words/files'
import { withKeys } from '../formula/keys.ts'
import { Formula } from '../shapes/formula.ts'
import { shorten } from '../text/format.ts'
import {
  firstIssue,
  MOST_FORMULA_CHARACTERS,
  parseJson,
  ReadError,
  refuseDepth,
  tooLongForFormula,
} from './json.ts'

/** The newest formula file version this release reads and writes. */
export const FORMAT_VERSION = 1

type Migration = (old: Record<string, unknown>) => Record<string, unknown>

/**
 * Ordered migrations: entry `n` turns a file of version `n` into version `n + 1`.
 * Version 0 is the notation of the first trials, which called the batch `batch`, the phases
 * `groups`, their lines `rows` and the fill line `rest`.
 */
export const MIGRATIONS: Record<number, Migration> = {
  0: (old) => {
    const { batch, groups, ...kept } = old
    const phases = Array.isArray(groups)
      ? groups.map((group: unknown) => {
          const { rows, ...phase } = (group ?? {}) as Record<string, unknown>
          const lines = Array.isArray(rows)
            ? rows.map((row: unknown) => {
                const { rest, ...line } = (row ?? {}) as Record<string, unknown>
                return rest === undefined ? line : { ...line, fill: rest }
              })
            : rows
          return lines === undefined ? phase : { ...phase, lines }
        })
      : groups
    return {
      ...kept,
      ...(batch === undefined ? {} : { batchGrams: batch }),
      ...(phases === undefined ? {} : { phases }),
      formatVersion: 1,
    }
  },
}

/**
 * Turns a parsed value into a formula: checks the format, migrates an older version and refuses a newer one, and gives
 * phases and lines without a key the one that a method written by hand would use. Unknown fields are kept. Throws
 * `ReadError`, whose field names the first offending place.
 */
export function toFormula(value: unknown): Formula {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) {
    throw new ReadError(texts.theFileIsNotA)
  }
  let record = value as Record<string, unknown>
  if (record['format'] !== 'omblet-formula') {
    const found = typeof record['format'] === 'string' ? texts.itSays(shorten(record['format'], 40)) : ''
    throw new ReadError(texts.formatMustBeOmbletFormula(found), 'format')
  }
  let version = record['formatVersion']
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 0) {
    throw new ReadError(texts.formatversionMustBeAWhole(FORMAT_VERSION), 'formatVersion')
  }
  if (version > FORMAT_VERSION) {
    throw new ReadError(texts.formatversionWasWrittenByA(version, FORMAT_VERSION), 'formatVersion')
  }
  refuseDepth(record)
  for (; (version as number) < FORMAT_VERSION; version = (version as number) + 1) {
    record = MIGRATIONS[version as number]!(record)
  }
  const result = Formula.safeParse(record)
  if (!result.success) throw firstIssue(result.error)
  return withKeys(result.data)
}

/** Reads a formula file's text. Throws `ReadError`. */
export function readFormula(text: string): Formula {
  if (text.length > MOST_FORMULA_CHARACTERS) throw tooLongForFormula(text.length)
  return toFormula(parseJson(text))
}

/** The text of a formula file. */
export const writeFormula = (formula: Formula): string => `${JSON.stringify(withKeys(formula), null, 2)}\n`

/** Why this could not be read again if it were stored, as a sentence; null where it could. */
export function formulaFault(formula: Formula): string | null {
  const result = Formula.safeParse(formula)
  return result.success ? null : firstIssue(result.error).message
}
