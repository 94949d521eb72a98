import { conversion, THE_PRICE, typedFault } from '#words/typed'
import {
  readAmount,
  readFigure,
  readPrice,
  type Conversion,
  type FieldLimits as Limits,
  type MeasuredOut,
  type TypedAmount as ReadAmount,
  type TypedFault,
  type TypedFigure,
} from '../text/numbers.ts'
import { say } from './say.ts'

/** What somebody typed into an amount field, in words where it was converted or cannot be taken. */
export type TypedAmount =
  | { kind: 'percent' | 'grams' | 'bare'; value: number; said?: string }
  | { kind: 'fill' }
  | { kind: 'empty' }
  | { kind: 'begun' }
  | { kind: 'error'; message: string }
/** What somebody typed into a field of figures; null where it is empty. */
export type TypedNumber = { value: number | null; said?: string } | { error: string }

/** Why a figure cannot be taken; `what` is how its sentence calls it: `the weight`. */
export const typedFaultText = (fault: TypedFault, what: string): string => say(typedFault(what), fault)
/** How a quantity in another unit was converted: `2 oz = 56.7 g`. */
const conversionText = (said: Conversion): string => say(conversion, said)

const inWords = (read: TypedFigure, what: string): TypedNumber =>
  'fault' in read
    ? { error: typedFaultText(read.fault, what) }
    : { value: read.value, ...(read.said ? { said: conversionText(read.said) } : {}) }

/** Reads an amount as people type it: see `readAmount`. Errors are sentences that say what to type. */
export function parseAmount(input: string, of: MeasuredOut = {}): TypedAmount {
  const read: ReadAmount = readAmount(input, of)
  if (read.kind === 'error') return { kind: 'error', message: typedFaultText(read.fault, 'it') }
  if (!('value' in read)) return read
  const { said, ...amount } = read
  return { ...amount, ...(said ? { said: conversionText(said) } : {}) }
}

/** Limits of a field, and how a sentence calls its figure: `the weight`. */
export interface FieldLimits extends Limits {
  what: string
}

/** Reads a figure in the unit of its field: see `readFigure`. */
export const parseNumber = (input: string, limits: FieldLimits): TypedNumber =>
  inWords(readFigure(input, limits), limits.what)

/** Reads a price as people type it: see `readPrice`. */
export const parsePrice = (input: string): TypedNumber => inWords(readPrice(input), THE_PRICE)
