import { tableColumns as texts } from '#words/files'
import { parseNumber, parsePrice } from '../words/typed.ts'
import type { Lot } from '../materials/lots.ts'
import { readDayText } from '../text/days.ts'
import type { Material } from '../shapes/material.ts'
import { shorten } from '../text/format.ts'

export type RowDraft = Record<string, unknown>

export interface Column<T> {
  name: string
  /** Other headings it is known by, as slugs. */
  also?: readonly string[]
  write: (item: T) => string | number | undefined
  /** Puts what a text says into the draft; a sentence when it cannot. */
  read: (text: string, draft: RowDraft) => string | null
  /** Takes away what this column tells: where the column is there, its empty cell says that there is nothing. */
  clear: (draft: RowDraft) => void
}

const NO_DAY = {
  'no-day': texts.isNoDay,
  'two-days': texts.canBeTwoDays,
  'month-first': texts.hasItsMonthFirst,
  'not-real': texts.isADayThatDoes,
} as const
/** A day as people write it; a sentence where it is none, or where it could be two. */
function toDay(text: string, column: string, ends: boolean): { day: string } | { error: string } {
  const read = readDayText(text, ends)
  return 'day' in read
    ? { day: read.day }
    : { error: texts.inWriteItAs2026(shorten(text), column, NO_DAY[read.error]) }
}

const textColumn = <T extends object>(
  name: string,
  field: keyof T & string,
  also: string[] = [],
): Column<T> => ({
  name,
  also,
  write: (item) => item[field] as string | undefined,
  read: (text, draft) => {
    draft[field] = text
    return null
  },
  clear: (draft) => take(draft, field),
})
/** A word that is looked up, so blanks round it do not count. */
const keyColumn = <T extends object>(
  name: string,
  field: keyof T & string,
  also: string[] = [],
): Column<T> => ({
  ...textColumn<T>(name, field, also),
  read: (text, draft) => {
    draft[field] = text.trim()
    return null
  },
})
/** A number as programs write it, exponent and all. */
const MACHINE = /^\d+(\.\d+)?(e[+-]?\d+)?$/i
type Unit = 'g' | '%' | '°C' | ''
const SAME_UNIT: Record<Unit, RegExp> = {
  g: /^(?:g|gr|grams?|grammes?)\.?$/i,
  '%': /^(?:%|percent|pct)$/i,
  '°C': /^°?\s?c$/i,
  '': /^(?!)/,
}
const UNIT_WORD: Record<Unit, string> = {
  g: 'grams',
  '%': 'percent',
  '°C': '°C',
  '': texts.aNumberWithoutAUnit,
}
/** A number in one unit: another unit, or a comma that may part thousands, is asked about and not guessed. */
const numberColumn = <T extends object>(
  name: string,
  field: string,
  also: string[] = [],
  most = 1e7,
  unit: Unit = '',
): Column<T> => ({
  name,
  also,
  write: (item) => get(item as RowDraft, field) as number | undefined,
  clear: (draft) => take(draft, field),
  read: (text, draft) => {
    const exact = MACHINE.test(text.trim()) ? Number(text) : Number.NaN
    if (exact <= most) {
      put(draft, field, exact)
      return null
    }
    const [, body, said = ''] = /^(.*?)\s*([a-z%°][^\d]*)?$/is.exec(text.trim())!
    if (said !== '' && !SAME_UNIT[unit].test(said.trim()))
      return texts.inIsNotInConvert(shorten(text.trim()), name, UNIT_WORD[unit])
    if (/^[1-9]\d{0,2}(,\d{3})+$/.test(body!))
      return texts.inCanBeOrWrite(body!, name, body!.replaceAll(',', ''), body!.replace(',', '.'))
    const parsed = parseNumber(body!, { min: 0, max: most, what: name.replaceAll('_', ' ') })
    if ('error' in parsed) return parsed.error
    if (parsed.value !== null) put(draft, field, parsed.value)
    return null
  },
})
/** Money, with or without the sign of a currency. */
const priceColumn = <T extends object>(name: string, field: string, also: string[] = []): Column<T> => ({
  ...numberColumn<T>(name, field, also),
  read: (text, draft) => {
    if (MACHINE.test(text.trim())) {
      put(draft, field, Number(text))
      return null
    }
    const parsed = parsePrice(text)
    if ('error' in parsed) return texts.inIsNoPrice(shorten(text.trim()), name, parsed.error)
    if (parsed.value !== null) put(draft, field, parsed.value)
    return null
  },
})
const dayColumn = (name: string, field: keyof Lot & string, also: string[] = []): Column<Lot> => ({
  name,
  also,
  write: (item) => item[field] as string | undefined,
  clear: (draft) => take(draft, field),
  read: (text, draft) => {
    const read = toDay(text.trim(), name, field === 'expires')
    if ('error' in read) return read.error
    draft[field] = read.day
    return null
  },
})
/** `Linalool 30; Citral 2` for a list of parts, whatever the names hold. */
const partsColumn = <T extends object>(
  name: string,
  field: string,
  nameKey: string,
  also: string[] = [],
): Column<T> => ({
  name,
  also,
  clear: (draft) => take(draft, field),
  write: (item) => {
    const parts = get(item as RowDraft, field) as Record<string, unknown>[] | undefined
    return parts?.map((p) => `${escapeItem(String(p[nameKey]))} ${String(p['percent'])}`).join('; ')
  },
  read: (text, draft) => {
    const parts: RowDraft[] = []
    for (const item of splitItems(text)) {
      const match = /^(.*\S)\s+([\d.,]+(?:e-?\d+)?)\s*%?$/s.exec(item)
      const percent = match ? Number(match[2]!.replace(',', '.')) : Number.NaN
      if (!match || !(percent >= 0 && percent <= 100)) return texts.inNeedsANameAnd(shorten(item), name)
      parts.push({ [nameKey]: match[1]!, percent })
    }
    if (parts.length > 0) put(draft, field, parts)
    return null
  },
})
const listColumn = <T extends object>(name: string, field: string, also: string[] = []): Column<T> => ({
  name,
  also,
  write: (item) => (get(item as RowDraft, field) as string[] | undefined)?.map(escapeItem).join('; '),
  clear: (draft) => take(draft, field),
  read: (text, draft) => {
    put(draft, field, splitItems(text))
    return null
  },
})

const escapeItem = (text: string) => text.replace(/[\\;]/g, '\\$&')
const splitItems = (text: string) =>
  (text.match(/(?:\\.|[^;\\])+/gs) ?? [])
    .map((item) => item.trim().replace(/\\(.)/gs, '$1'))
    .filter((item) => item !== '')

function get(value: RowDraft, path: string): unknown {
  return path.split('.').reduce<unknown>((at, key) => (at as RowDraft | undefined)?.[key], value)
}
function put(draft: RowDraft, path: string, value: unknown) {
  const keys = path.split('.')
  const last = keys.pop()!
  let at = draft
  for (const key of keys) at = (at[key] ??= {}) as RowDraft
  at[last] = value
}

/** Takes away what stands at a path, and the group that it leaves empty. */
function take(draft: RowDraft, path: string) {
  const keys = path.split('.')
  const last = keys.pop()!
  const at = (keys.length > 0 ? get(draft, keys.join('.')) : draft) as RowDraft | undefined
  if (at) delete at[last]
  if (at && keys.length > 0 && Object.keys(at).length === 0) delete draft[keys[0]!]
}

/** Everything the other columns do not say, as JSON, so that a round trip loses nothing. */
const restColumn = <T extends object>(said: readonly string[]): Column<T> => ({
  name: 'more',
  write: (item) => {
    const rest = structuredClone(item) as RowDraft
    for (const path of said) take(rest, path)
    return Object.keys(rest).length > 0 ? JSON.stringify(rest) : undefined
  },
  clear: (draft) => {
    const kept: RowDraft = {}
    for (const path of said) {
      const value = get(draft, path)
      if (value !== undefined) put(kept, path, value)
    }
    for (const key of Object.keys(draft)) delete draft[key]
    Object.assign(draft, kept)
  },
  read: (text, draft) => {
    try {
      merge(draft, JSON.parse(text) as RowDraft)
      return null
    } catch {
      return texts.theColumnMoreIsNot
    }
  },
})
/** Adds what is not there yet, one level deep. */
function merge(draft: RowDraft, rest: RowDraft) {
  for (const [key, value] of Object.entries(rest)) {
    const here = draft[key]
    if (here === undefined) draft[key] = value
    else if (isPlain(here) && isPlain(value)) draft[key] = { ...value, ...here }
  }
}
/** What is here with what is new on top of it, group by group. */
export function onTopOf(here: RowDraft, draft: RowDraft): RowDraft {
  const next = { ...here }
  for (const [key, value] of Object.entries(draft)) {
    const old = next[key]
    next[key] = isPlain(old) && isPlain(value) ? onTopOf(old, value) : value
  }
  return next
}
const isPlain = (value: unknown): value is RowDraft =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

const LOT_FIELDS: Column<Lot>[] = [
  keyColumn('material', 'material', ['inci', 'name', 'ingredient']),
  numberColumn('left_grams', 'leftGrams', ['left', 'left-g', 'amount', 'grams', 'stock'], 1e7, 'g'),
  numberColumn('pack_grams', 'packGrams', ['pack', 'pack-g', 'size'], 1e7, 'g'),
  priceColumn('price', 'price', ['cost', 'pack-price']),
  priceColumn('postage', 'postage', ['shipping', 'delivery']),
  textColumn('supplier', 'supplier', ['from', 'shop', 'vendor']),
  textColumn('batch', 'batch', ['lot', 'lot-number', 'batch-number']),
  dayColumn('bought', 'bought', ['purchased', 'date']),
  dayColumn('opened', 'opened'),
  dayColumn('expires', 'expires', ['expiry', 'good-until', 'best-before', 'use-by']),
  partsColumn('analysis', 'analysis', 'inci'),
  textColumn('note', 'note', ['notes', 'remark']),
  keyColumn('id', 'id'),
]
/** The columns of a table of lots. */
export const LOT_COLUMNS = [
  ...LOT_FIELDS,
  restColumn<Lot>([
    'material',
    'leftGrams',
    'packGrams',
    'price',
    'postage',
    'supplier',
    'batch',
    'bought',
    'opened',
    'expires',
    'analysis',
    'note',
    'id',
  ]),
]

const MATERIAL_FIELDS: Column<Material>[] = [
  textColumn('name', 'name', ['common-name']),
  listColumn('inci', 'inci', ['inci-name', 'inci-names']),
  listColumn('functions', 'functions', ['does', 'function']),
  listColumn('solubility', 'solubility', ['lives-in']),
  keyColumn('phase', 'phase', ['goes-into']),
  numberColumn('usage_min', 'usage.min', ['from', 'min'], 100, '%'),
  numberColumn('usage_typical', 'usage.typical', ['typical', 'often'], 100, '%'),
  numberColumn('usage_max', 'usage.max', ['to', 'max'], 100, '%'),
  numberColumn('ph_min', 'ph.min', [], 14),
  numberColumn('ph_max', 'ph.max', [], 14),
  numberColumn('heat_max_c', 'heatMaxC', ['stands'], 300, '°C'),
  numberColumn('density', 'density', [], 25),
  numberColumn('strength_percent', 'strengthPercent', ['strength'], 100),
  partsColumn('parts', 'parts', 'inci', ['made-of']),
  textColumn('note', 'note', ['notes', 'remark']),
  keyColumn('id', 'id'),
]
/** The columns of a table of one’s own materials. */
export const MATERIAL_COLUMNS = [
  ...MATERIAL_FIELDS,
  restColumn<Material>([
    'name',
    'inci',
    'functions',
    'solubility',
    'phase',
    'usage.min',
    'usage.typical',
    'usage.max',
    'ph.min',
    'ph.max',
    'heatMaxC',
    'density',
    'strengthPercent',
    'parts',
    'note',
    'id',
  ]),
]
