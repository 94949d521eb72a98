import { sayNumber } from './format.ts'
import { readNumber, unitOf, type UnitRule } from './units.ts'

/** What is known of the thing that is measured, where a volume or drops have to become grams. */
export interface MeasuredOut {
  /** g/mL; of water where it is not known, which is said. */
  density?: number | undefined
  /** A powder, flakes or pastilles: it has no drops. */
  solid?: boolean | undefined
  /** Grams of one drop, from twenty that were weighed. */
  dropGrams?: number | null | undefined
}

/** What somebody typed into an amount field. `said` tells what was made of a unit that had to be converted. */
export type TypedAmount =
  | { kind: 'percent' | 'grams' | 'bare'; value: number; said?: string }
  | { kind: 'fill' }
  | { kind: 'empty' }
  /** So far it is the beginning of a unit: nothing is wrong yet, and nothing is meant. */
  | { kind: 'begun' }
  | { kind: 'error'; message: string }

const LARGEST = 1e6
const NO_DROPS = 'A solid has no drops. Type grams, or give the line the strength of its solution.'
const UNITS_TO_TYPE = 'g, kg, mg, oz, lb, mL, L, fl oz, tsp, tbsp or drops'
const PLAIN = /^([+-]?)(\d{1,3}(?:[ \u2009\u202f\u00a0]\d{3})+|\d*)(?:[.,](\d*))?$/
/** A number, and what stands behind it. */
const PARTED = /^([+-]?[\d\s.,\u2009\u202f\u00a0½¼¾⅓⅔⅛/⁄]*?)\s*([^\d\s.,½¼¾⅓⅔⅛/⁄+-].*)?$/u

/** Whether more letters may make a unit of it. */
const begins = (text: string) => {
  const word = text.toLowerCase().replaceAll('.', '')
  return [
    'drops',
    'tablespoons',
    'teaspoons',
    'tbsps',
    'tsps',
    'cups',
    'fl oz',
    'fluid ounces',
    'ounces',
    'pounds',
    'lbs',
    'millilitres',
    'milliliters',
    'litres',
    'liters',
    'kilograms',
    'milligrams',
    'grams',
    'kilos',
    'kg',
    'mg',
    'ml',
    'cl',
    'dl',
    'percent',
    'wt %',
  ].some((w) => w.startsWith(word) && w !== word)
}

/** Grams of a converted quantity, with what was made of it in words. */
function converted(value: number, rule: UnitRule, of: MeasuredOut): { value: number; said: string } {
  const as = (grams: number, how: string) => ({
    value: tidy(grams),
    said: `${sayNumber(value, 3)} ${rule.name} = ${sayGrams(grams)}${how}`,
  })
  if (rule.unit === 'grams') return as(value * rule.size, rule.rough ? ', a guess: weigh it' : '')
  if (rule.drop && of.dropGrams) return as(value * of.dropGrams, ` at ${sayNumber(of.dropGrams, 4)} g a drop`)
  const millilitres = value * rule.size
  const { density } = of
  const known = density === undefined ? ', as if it were water' : ` at ${sayNumber(density, 2)} g/mL`
  const drop = rule.drop ? `, ${sayNumber(rule.size, 2)} mL a drop: weigh twenty` : ''
  return as(millilitres * (density ?? 1), `${known}${drop}${rule.spoon ? ': weigh it once' : ''}`)
}
const tidy = (grams: number) => Number(grams.toPrecision(12))
const sayGrams = (grams: number) => `${sayNumber(grams, grams < 1 ? 4 : 2)}\u202fg`

/**
 * Reads an amount as people type it: `2`, `2,5`, `2 %`, `3.5 g`, `20 drops`, `1 tsp`, `q.s.`. A comma or a dot is a
 * decimal mark; spaces may group thousands. Masses, volumes and drops become grams, and `said` tells how. Errors are
 * sentences that say what to type.
 */
export function parseAmount(input: string, of: MeasuredOut = {}): TypedAmount {
  const text = input.replace(/\u2212/g, '-').trim()
  if (text === '') return { kind: 'empty' }
  if (/^(q\.?\s?s\.?|to 100|ad 100)(\s*%)?$/i.test(text)) return { kind: 'fill' }
  const [, body = text, unit = ''] = PARTED.exec(text) ?? []
  const number = plainNumber(body.trim(), unit !== '')
  if ('message' in number) return { kind: 'error', message: number.message }
  if (unit === '') return { kind: 'bare', value: number.value }
  const rule = unitOf(unit.trim())
  if (rule?.unit === 'percent') return { kind: 'percent', value: number.value }
  if (rule?.unit === 'parts' || !rule) {
    if (begins(unit)) return { kind: 'begun' }
    return { kind: 'error', message: `“${unit}” is not a unit here. Type %, ${UNITS_TO_TYPE}.` }
  }
  if (/^\d{1,3}(,\d{3})+$/.test(body.trim()))
    return {
      kind: 'error',
      message: `“${body.trim()}” can be ${body.replaceAll(',', '').trim()} or ${body.replace(',', '.').trim()}. Type it without the comma.`,
    }
  if (rule.name === 'g') return { kind: 'grams', value: number.value }
  if (rule.drop && of.solid) return { kind: 'error', message: NO_DROPS }
  const made = converted(number.value, rule, of)
  if (made.value > LARGEST) return { kind: 'error', message: 'That is too large for an amount.' }
  return { kind: 'grams', ...made }
}

/** The number before a unit; fractions only where a unit follows. */
function plainNumber(body: string, hasUnit: boolean): { value: number } | { message: string } {
  const match = PLAIN.exec(body)
  const digits = match ? `${match[2] ?? ''}${match[3] ?? ''}` : ''
  if (!match || digits === '') {
    const fraction = /[½¼¾⅓⅔⅛/⁄]/.test(body) ? readNumber(body) : Number.NaN
    if (hasUnit && Number.isFinite(fraction)) return { value: fraction }
    if (/\d[.,]\d*[.,]/.test(body)) return { message: 'Use one decimal mark: 2.5 or 2,5.' }
    return { message: `Type a number, such as 2.5 or 2,5. Add %, ${UNITS_TO_TYPE}.` }
  }
  const value = Number(`${(match[2] ?? '').replace(/\D/g, '') || '0'}.${match[3] || '0'}`)
  if (match[1] === '-' && value !== 0) return { message: 'An amount cannot be negative.' }
  if (value > LARGEST) return { message: 'That is too large for an amount.' }
  return { value }
}

/** Units that a field of figures takes; everything else is refused by name. */
export type FieldUnit = 'g' | 'mL' | '%' | '°C' | 'min'

export interface FieldLimits {
  min: number
  max: number
  /** How the figure is called in a sentence: `the weight`. */
  what: string
  /** What the field counts in; without it the figure stands alone. */
  unit?: FieldUnit | undefined
  /** What is measured, for volumes in a field of grams and grams in a field of millilitres. */
  of?: MeasuredOut | undefined
}
export type TypedNumber = { value: number | null; said?: string } | { error: string }

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
const ASKS: Record<FieldUnit, string> = {
  g: 'in a unit of weight or volume, such as 5 g, 2 oz, 50 mL or 20 drops',
  mL: 'in a unit of volume, such as 50 mL, 2 fl oz or 1 L',
  '%': 'in percent',
  '°C': 'in °C or °F, such as 72 or 160 °F',
  min: 'in minutes, such as 20 or 1 h 30',
}

/**
 * Reads a number with a comma or dot, within limits, in the unit of its field or one that converts to it; `null` when
 * the field is empty. A unit that does not convert is refused with a sentence.
 */
export function parseNumber(input: string, limits: FieldLimits): TypedNumber {
  const text = input.replace(/\u2212/g, '-').trim()
  if (text === '') return { value: null }
  const read = reading(text, limits)
  if ('error' in read) return read
  if (read.value !== null && (read.value < limits.min || read.value > limits.max))
    return {
      error: `${capital(limits.what)} must be between ${sayNumber(limits.min, 6)} and ${sayNumber(limits.max, 6)}${limits.unit ? `\u202f${limits.unit}` : ''}.`,
    }
  return read
}

/** What was typed for a volume in another unit, and what it is in millilitres; grams go by density, g/mL. */
function millilitres(number: number, rule: UnitRule, { what, of }: FieldLimits): TypedNumber {
  if (rule.unit === 'millilitres' && rule.name === 'mL') return { value: number }
  const typed = `${sayNumber(number, 3)} ${rule.name}`
  if (rule.unit === 'millilitres') {
    const ml = number * rule.size
    return { value: tidy(ml), said: `${typed} = ${sayNumber(ml, 2)}\u202fmL` }
  }
  const density = of?.density
  if (density === undefined) return { error: `Type ${what} ${ASKS.mL}; how much ${typed} fill is not known.` }
  const ml = (number * rule.size) / density
  return { value: tidy(ml), said: `${typed} = ${sayNumber(ml, 2)}\u202fmL at ${sayNumber(density, 2)} g/mL` }
}

function reading(text: string, limits: FieldLimits): TypedNumber {
  const { unit, what } = limits
  const asks = { error: `Type ${what} ${unit ? ASKS[unit] : 'as a number'}.` }
  const [, body = text, word = ''] = PARTED.exec(text) ?? []
  const number = signed(body.trim(), word !== '')
  if (number === null) return asks
  if (word === '') return { value: number }
  if (unit === '°C') return temperature(number, word) ?? asks
  if (unit === 'min') return minutes(text) ?? asks
  const rule = unitOf(word.trim())
  if (unit === '%') return rule?.unit === 'percent' ? { value: number } : asks
  if (unit === undefined || !rule) return asks
  return amountIn(body.trim(), number, rule, limits) ?? asks
}

/** A volume or a weight in its own unit; null where the unit is neither. */
function amountIn(body: string, number: number, rule: UnitRule, limits: FieldLimits): TypedNumber | null {
  if (rule.unit === 'percent' || rule.unit === 'parts') return null
  if (/^\d{1,3}(,\d{3})+$/.test(body))
    return { error: `“${body}” can be read in two ways. Type ${limits.what} without the comma.` }
  return limits.unit === 'mL' ? millilitres(number, rule, limits) : grams(number, rule, limits.of ?? {})
}

/** What was typed for a weight in another unit, and what it is in grams. */
function grams(number: number, rule: UnitRule, of: MeasuredOut): TypedNumber {
  if (rule.drop && of.solid) return { error: NO_DROPS }
  return rule.name === 'g' ? { value: number } : converted(number, rule, of)
}

/** A plain number that may be negative; null where it is none. */
function signed(body: string, hasUnit: boolean): number | null {
  const negative = body.startsWith('-')
  const read = plainNumber(negative ? body.slice(1) : body, hasUnit)
  return 'message' in read ? null : negative ? -read.value : read.value
}

function temperature(value: number, word: string): TypedNumber | null {
  const unit = word.replace(/[°º\s.]|degrees?|deg/gi, '').toLowerCase()
  if (unit === 'c' || unit === 'celsius' || unit === '') return { value }
  if (unit !== 'f' && unit !== 'fahrenheit') return null
  const celsius = Number((((value - 32) * 5) / 9).toFixed(1))
  return { value: celsius, said: `${sayNumber(value, 1)}\u202f°F = ${sayNumber(celsius, 1)}\u202f°C` }
}

/** `20`, `20 min`, `1 h`, `1 h 30`, `1:30`. */
function minutes(text: string): TypedNumber | null {
  const plain = /^(\d+(?:[.,]\d+)?)\s*(?:m|min|mins|minutes?)\.?$/i.exec(text)
  if (plain) return { value: Number(plain[1]!.replace(',', '.')) }
  const hours =
    /^(\d+(?:[.,]\d+)?)\s*(?:h|hr|hrs|hours?)\.?(?:\s*(\d{1,2})\s*(?:m|min|mins|minutes?)?\.?)?$/i.exec(text)
  if (!hours) return null
  const value = Number(hours[1]!.replace(',', '.')) * 60 + Number(hours[2] ?? 0)
  return { value, said: `${text} = ${sayNumber(value, 1)}\u202fmin` }
}

/** Money as people type it: `12.50`, `€ 12,50`, `12.50 EUR`. A comma that may part thousands is asked. */
export function parsePrice(input: string): TypedNumber {
  const text = input.trim().replace(/^(?:[A-Z]{3}\s|[\p{Sc}])\s*|\s*(?:\s[A-Z]{3}|[\p{Sc}])$/gu, '')
  if (/^[1-9]\d{0,2}(,\d{3})+$/.test(text))
    return {
      error: `“${text}” can be ${text.replaceAll(',', '')} or ${text.replace(',', '.')}. Type the price without the comma.`,
    }
  const whole = /^\d{1,3}(,\d{3})+\.\d+$|^\d{1,3}(\.\d{3})+,\d+$/.test(text) ? String(readNumber(text)) : text
  return parseNumber(whole, { min: 0, max: LARGEST, what: 'the price' })
}
