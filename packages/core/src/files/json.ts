import { json as texts } from '#words/files'
import type * as z from 'zod'
import { fieldFaultText } from '../words/field-fault.ts'
import { fieldName } from '../text/field-name.ts'

/** Largest formula file read, in characters: far above any real formula, small enough to answer at once. */
export const MOST_FORMULA_CHARACTERS = 5_000_000

/** Largest batch file, with its photographs, and largest backup, in characters: what a text of JavaScript can hold. */
export const MOST_FILE_CHARACTERS = 500_000_000

/** How deep the values of one record may lie in each other. A formula needs eight. */
export const MOST_DEPTH = 40

/** A file that cannot be read. `field` names the place, `message` says what to do. */
export class ReadError extends Error {
  readonly field: string | null
  constructor(message: string, field: string | null = null) {
    super(message)
    this.name = 'ReadError'
    this.field = field
  }
}

/** One sentence for the first thing a schema refused, naming the field. */
export function firstIssue(error: z.ZodError): ReadError {
  const issue = error.issues[0]
  if (!issue) return new ReadError(texts.theFileDoesNotHave)
  const field = fieldName(issue.path)
  if (issue.message.includes('received undefined')) {
    return new ReadError(texts.isMissing(field || texts.theFile), field)
  }
  return new ReadError(`${field || texts.theFile} ${fieldFaultText(issue)}.`, field)
}

/** Whether values lie deeper in each other than `most` levels. Walks without recursion, so that no depth can hurt. */
export function isTooDeep(value: unknown, most = MOST_DEPTH): boolean {
  let level: unknown[] = [value]
  for (let depth = 0; level.length > 0; depth++) {
    if (depth > most) return true
    const next: unknown[] = []
    for (const item of level)
      if (typeof item === 'object' && item !== null)
        for (const inner of Object.values(item))
          if (typeof inner === 'object' && inner !== null) next.push(inner)
    level = next
  }
  return false
}

/** Throws `ReadError` where a record is deeper than any that Omblet writes. */
export function refuseDepth(value: unknown) {
  if (isTooDeep(value)) throw new ReadError(texts.theFileHoldsValuesMore(MOST_DEPTH))
}

const count = (n: number) => n.toLocaleString('en')

/** The sentence for a text that is longer than any formula. */
export const tooLongForFormula = (length: number) =>
  new ReadError(texts.theFileHasCharactersMore(count(length), count(MOST_FORMULA_CHARACTERS)))

/** Parses JSON text; a cut-off or foreign file gets a sentence instead of a parser's message. */
export function parseJson(text: string): unknown {
  if (text.length > MOST_FILE_CHARACTERS)
    throw new ReadError(texts.theFileHasCharactersCan(count(text.length), count(MOST_FILE_CHARACTERS)))
  const trimmed = text.replace(/^\uFEFF/, '').trim()
  if (trimmed === '') throw new ReadError(texts.theFileIsEmptyExport)
  try {
    return JSON.parse(trimmed)
  } catch {
    throw new ReadError(trimmed.startsWith('{') ? texts.theFileIsCutOff : texts.theFileIsNotAn)
  }
}

/** Refuses a file of a version that only a newer Omblet knows. */
export function refuseNewer(value: unknown, newest: number, what: string, use: string) {
  const version = (value as { formatVersion?: unknown } | null)?.formatVersion
  if (typeof version === 'number' && version > newest)
    throw new ReadError(texts.formatversionOfThisWasWritten(version, what, use), 'formatVersion')
}

/** Reads what lies inside a file and says where, should it be at fault. */
export function inside<T>(read: (value: unknown) => T, value: unknown, where: string): T {
  try {
    return read(value)
  } catch (error) {
    if (error instanceof ReadError) throw new ReadError(`${where}: ${error.message}`, error.field)
    throw error
  }
}
