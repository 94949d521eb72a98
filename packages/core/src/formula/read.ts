import type * as z from 'zod'
import { shorten } from '../text/format.ts'
import { Formula } from './schema.ts'

/** The newest formula file version this release reads and writes. */
export const FORMAT_VERSION = 1

/** Largest file read, in characters: far above any real formula, small enough to answer at once. */
export const MAX_FILE_CHARACTERS = 5_000_000

/** A file that cannot be read. `field` names the place, `message` says what to do. */
export class ReadError extends Error {
  readonly field: string | null
  constructor(message: string, field: string | null = null) {
    super(message)
    this.name = 'ReadError'
    this.field = field
  }
}

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

/** `phases[1].lines[0].percent` from a list of keys. */
export function fieldName(path: readonly PropertyKey[]): string {
  return path.reduce<string>(
    (name, key) =>
      typeof key === 'number' ? `${name}[${key}]` : name ? `${name}.${String(key)}` : String(key),
    '',
  )
}

/** One sentence for the first thing a schema refused, naming the field. */
export function firstIssue(error: z.ZodError): ReadError {
  const issue = error.issues[0]
  if (!issue) return new ReadError('The file does not have the expected shape.')
  const field = fieldName(issue.path)
  if (
    issue.message === 'Invalid input: expected object, received undefined' ||
    issue.message.includes('received undefined')
  ) {
    return new ReadError(`${field || 'The file'} is missing.`, field)
  }
  return new ReadError(
    `${field || 'The file'} ${issue.message.replace(/^Invalid input: expected/, 'must be')}.`,
    field,
  )
}

/** Parses JSON text; a cut-off or foreign file gets a sentence instead of a parser's message. */
export function parseJson(text: string): unknown {
  if (text.length > MAX_FILE_CHARACTERS) {
    throw new ReadError(
      `The file has ${text.length.toLocaleString('en')} characters, more than any formula needs (${MAX_FILE_CHARACTERS.toLocaleString('en')} at most). Check that it is the right file.`,
    )
  }
  const trimmed = text.replace(/^\uFEFF/, '').trim()
  if (trimmed === '') throw new ReadError('The file is empty. Export it again or choose another file.')
  try {
    return JSON.parse(trimmed)
  } catch {
    throw new ReadError(
      trimmed.startsWith('{')
        ? 'The file is cut off or damaged: it is not complete JSON. Export it again or use another copy.'
        : 'The file is not an Omblet file: it is not JSON. Choose a file that ends in .omblet.json.',
    )
  }
}

/**
 * Turns a parsed value into a formula: checks the format, migrates an older version and refuses a newer one.
 * Unknown fields are kept. Throws `ReadError`, whose field names the first offending place.
 */
export function toFormula(value: unknown): Formula {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) {
    throw new ReadError('The file is not a formula: it should hold one JSON object.')
  }
  let record = value as Record<string, unknown>
  if (record['format'] !== 'omblet-formula') {
    const found = typeof record['format'] === 'string' ? ` It says "${shorten(record['format'], 40)}".` : ''
    throw new ReadError(`format must be "omblet-formula", so this is not a formula file.${found}`, 'format')
  }
  let version = record['formatVersion']
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 0) {
    throw new ReadError(`formatVersion must be a whole number, ${FORMAT_VERSION} at most.`, 'formatVersion')
  }
  if (version > FORMAT_VERSION) {
    throw new ReadError(
      `formatVersion ${version} was written by a newer Omblet than this one, which reads up to ${FORMAT_VERSION}. Update Omblet to open it.`,
      'formatVersion',
    )
  }
  for (; (version as number) < FORMAT_VERSION; version = (version as number) + 1) {
    record = MIGRATIONS[version as number]!(record)
  }
  const result = Formula.safeParse(record)
  if (!result.success) throw firstIssue(result.error)
  return result.data
}

/** Reads a formula file's text. Throws `ReadError`. */
export const readFormula = (text: string): Formula => toFormula(parseJson(text))

/** A formula without the ids that only the running application needs. */
export function withoutIds(formula: Formula): Formula {
  return {
    ...formula,
    phases: formula.phases.map(({ id: _phase, ...phase }) => ({
      ...phase,
      lines: phase.lines.map(({ id: _line, ...line }) => line),
    })),
  }
}

/** The text of a formula file. */
export const writeFormula = (formula: Formula): string => `${JSON.stringify(withoutIds(formula), null, 2)}\n`
