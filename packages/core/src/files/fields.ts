import { fields as texts } from '#words/files'
import { sayNumber, shorten } from '../text/format.ts'
import { same } from './same.ts'

/** A field that is changed from one value to another; `undefined` where it was not or will not be there. */
export interface FieldChange {
  field: string
  from: unknown
  to: unknown
}

/** The fields in which two records differ, in the order of the first and then of the second. */
export const fieldChanges = (was: object, next: object): FieldChange[] => {
  const [x, y] = [was as Record<string, unknown>, next as Record<string, unknown>]
  return [...new Set([...Object.keys(x), ...Object.keys(y)])].flatMap((field) =>
    same(x[field], y[field]) ? [] : [{ field, from: x[field], to: y[field] }],
  )
}

/**
 * What stands here with these changes made to it, field by field. A field that stands here as neither the change found nor
 * leaves it was changed elsewhere meanwhile: it is a clash, and told.
 */
export function withChanges<T extends object>(
  here: T,
  changes: readonly FieldChange[],
): { value: T; clashes: FieldChange[] } {
  const value: Record<string, unknown> = { ...(here as Record<string, unknown>) }
  const clashes: FieldChange[] = []
  for (const { field, from, to } of changes) {
    const now = value[field]
    if (!same(now, from) && !same(now, to)) clashes.push({ field, from: now, to })
    if (to === undefined) delete value[field]
    else value[field] = to
  }
  return { value: value as T, clashes }
}

/** What fields of lots, containers and materials are called where a sentence names them. */
const FIELD_WORDS: Readonly<Record<string, string>> = {
  leftGrams: 'left',
  packGrams: 'pack',
  batch: texts.lotNumber,
  expires: texts.goodUntil,
  madeFrom: texts.madeFrom,
  wall: texts.madeOf,
  nominalMl: 'holds',
  brimMl: 'brimful',
  emptyGrams: texts.weighsEmpty,
  inci: texts.inciNames,
  ph: 'pH',
  usage: texts.usualRange,
  heatMaxC: texts.standsUpTo,
  strengthPercent: 'strength',
}
/** The name of a field in words, such as `good until`. */
export const fieldWords = (field: string): string =>
  FIELD_WORDS[field] ??
  field.replace(/([a-z])([A-Z])/g, (_, a: string, b: string) => `${a} ${b.toLowerCase()}`)
/** The value of a field in few words. */
export function valueWords(field: string, value: unknown): string {
  if (value === undefined || value === null || value === '') return 'nothing'
  if (typeof value === 'number')
    return `${sayNumber(value, 4)}${/Grams$/.test(field) ? ' g' : /Ml$/.test(field) ? ' mL' : /Percent$/.test(field) ? ' %' : ''}`
  if (typeof value === 'string') return shorten(value, 40)
  if (Array.isArray(value))
    return value.every((v) => typeof v === 'string') ? shorten(value.join(', '), 40) : `${value.length}`
  const range = value as { min?: number; max?: number }
  return typeof range.min === 'number' && typeof range.max === 'number'
    ? texts.to(sayNumber(range.min, 3), sayNumber(range.max, 3))
    : texts.otherFacts
}
/** What changes, in words: `left 380 g → 360 g, price 12 → nothing`. */
export const changeWords = (changes: readonly FieldChange[]): string =>
  changes
    .map((c) => `${fieldWords(c.field)} ${valueWords(c.field, c.from)} → ${valueWords(c.field, c.to)}`)
    .join(', ')
/** What to say where fields were changed elsewhere meanwhile and nothing was stored. */
export const clashWords = (clashes: readonly FieldChange[]): string =>
  texts.changedInAnotherTabMeanwhile(
    clashes.map((c) => texts.isThere(fieldWords(c.field), valueWords(c.field, c.from))).join(', '),
  )

/** What was read, with the clashing fields as they are now: whoever saves again knows of them. */
export const acknowledged = <T extends object>(was: T, clashes: readonly FieldChange[]): T => ({
  ...was,
  ...Object.fromEntries(clashes.map((c) => [c.field, c.from])),
})
