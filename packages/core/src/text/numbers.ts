import type { Plain, Said } from './said.ts'
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

/** Why a figure cannot be taken as it was typed. */
export interface TypedFaultFacts {
  'no-drops': Plain
  'unknown-unit': { unit: string }
  /** `1,000` may be a thousand, or one. */
  'two-readings': { text: string; whole: string; decimal: string }
  'too-large': Plain
  'two-decimal-marks': Plain
  'no-amount': Plain
  negative: Plain
  'out-of-range': { min: number; max: number; unit: FieldUnit | null }
  /** Not in the unit of its field, nor in one that converts to it; without a unit, not a number. */
  'not-in-unit': { unit: FieldUnit | null }
  /** A weight where a volume is asked for, and no density. */
  'unknown-volume': { value: number; unit: string }
}
export type TypedFault = Said<TypedFaultFacts>

/** How a quantity in another unit was converted. */
export interface ConversionFacts {
  grams: {
    value: number
    unit: string
    grams: number
    /** g/mL; null where it counts as water. */
    density?: number | null
    /** A drop that was weighed, in grams; one that was not, in mL. */
    dropGrams?: number
    dropMillilitres?: number
    /** The unit holds a different amount each time. */
    rough?: boolean
    spoon?: boolean
  }
  millilitres: { value: number; unit: string; millilitres: number; density?: number }
  celsius: { fahrenheit: number; celsius: number }
  minutes: { text: string; minutes: number }
}
export type Conversion = Said<ConversionFacts>

/** What somebody typed into an amount field. `said` tells what was made of a unit that had to be converted. */
export type TypedAmount =
  | { kind: 'percent' | 'grams' | 'bare'; value: number; said?: Conversion }
  | { kind: 'fill' }
  | { kind: 'empty' }
  /** So far it is the beginning of a unit: nothing is wrong yet, and nothing is meant. */
  | { kind: 'begun' }
  | { kind: 'error'; fault: TypedFault }

const LARGEST = 1e6
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

/** Grams of a converted quantity, with what was made of it. */
function converted(value: number, rule: UnitRule, of: MeasuredOut): { value: number; said: Conversion } {
  const as = (grams: number, how: Partial<ConversionFacts['grams']> = {}) => ({
    value: tidy(grams),
    said: { code: 'grams' as const, value, unit: rule.name, grams, ...how },
  })
  if (rule.unit === 'grams') return as(value * rule.size, rule.rough ? { rough: true } : {})
  if (rule.drop && of.dropGrams) return as(value * of.dropGrams, { dropGrams: of.dropGrams })
  return as(value * rule.size * (of.density ?? 1), {
    density: of.density ?? null,
    ...(rule.drop ? { dropMillilitres: rule.size } : {}),
    ...(rule.spoon ? { spoon: true } : {}),
  })
}
const tidy = (grams: number) => Number(grams.toPrecision(12))

/**
 * Reads an amount as people type it: `2`, `2,5`, `2 %`, `3.5 g`, `20 drops`, `1 tsp`, `q.s.`. A comma or a dot is a
 * decimal mark; spaces may group thousands. Masses, volumes and drops become grams, and `said` tells how.
 */
export function readAmount(input: string, of: MeasuredOut = {}): TypedAmount {
  const text = input.replace(/\u2212/g, '-').trim()
  if (text === '') return { kind: 'empty' }
  if (/^(q\.?\s?s\.?|to 100|ad 100)(\s*%)?$/i.test(text)) return { kind: 'fill' }
  const [, body = text, unit = ''] = PARTED.exec(text) ?? []
  const number = plainNumber(body.trim(), unit !== '')
  if ('fault' in number) return { kind: 'error', fault: number.fault }
  if (unit === '') return { kind: 'bare', value: number.value }
  const rule = unitOf(unit.trim())
  if (rule?.unit === 'percent') return { kind: 'percent', value: number.value }
  if (rule?.unit === 'parts' || !rule) {
    if (begins(unit)) return { kind: 'begun' }
    return { kind: 'error', fault: { code: 'unknown-unit', unit } }
  }
  if (/^\d{1,3}(,\d{3})+$/.test(body.trim())) return { kind: 'error', fault: twoReadings(body.trim()) }
  if (rule.name === 'g') return { kind: 'grams', value: number.value }
  if (rule.drop && of.solid) return { kind: 'error', fault: { code: 'no-drops' } }
  const made = converted(number.value, rule, of)
  if (made.value > LARGEST) return { kind: 'error', fault: { code: 'too-large' } }
  return { kind: 'grams', ...made }
}

const twoReadings = (text: string): TypedFault => ({
  code: 'two-readings',
  text,
  whole: text.replaceAll(',', ''),
  decimal: text.replace(',', '.'),
})

/** The number before a unit; fractions only where a unit follows. */
function plainNumber(body: string, hasUnit: boolean): { value: number } | { fault: TypedFault } {
  const match = PLAIN.exec(body)
  const digits = match ? `${match[2] ?? ''}${match[3] ?? ''}` : ''
  if (!match || digits === '') {
    const fraction = /[½¼¾⅓⅔⅛/⁄]/.test(body) ? readNumber(body) : Number.NaN
    if (hasUnit && Number.isFinite(fraction)) return { value: fraction }
    if (/\d[.,]\d*[.,]/.test(body)) return { fault: { code: 'two-decimal-marks' } }
    return { fault: { code: 'no-amount' } }
  }
  const value = Number(`${(match[2] ?? '').replace(/\D/g, '') || '0'}.${match[3] || '0'}`)
  if (match[1] === '-' && value !== 0) return { fault: { code: 'negative' } }
  if (value > LARGEST) return { fault: { code: 'too-large' } }
  return { value }
}

/** Units that a field of figures takes; everything else is refused by name. */
export type FieldUnit = 'g' | 'mL' | '%' | '°C' | 'min'

export interface FieldLimits {
  min: number
  max: number
  /** What the field counts in; without it the figure stands alone. */
  unit?: FieldUnit | undefined
  /** What is measured, for volumes in a field of grams and grams in a field of millilitres. */
  of?: MeasuredOut | undefined
}
export type TypedFigure = { value: number | null; said?: Conversion } | { fault: TypedFault }

/**
 * Reads a number with a comma or dot, within limits, in the unit of its field or one that converts to it; `null` when
 * the field is empty. A unit that does not convert is refused.
 */
export function readFigure(input: string, limits: FieldLimits): TypedFigure {
  const text = input.replace(/\u2212/g, '-').trim()
  if (text === '') return { value: null }
  const read = reading(text, limits)
  if ('fault' in read) return read
  if (read.value !== null && (read.value < limits.min || read.value > limits.max))
    return {
      fault: { code: 'out-of-range', min: limits.min, max: limits.max, unit: limits.unit ?? null },
    }
  return read
}

/** What was typed for a volume in another unit, and what it is in millilitres; grams go by density, g/mL. */
function millilitres(value: number, rule: UnitRule, { of }: FieldLimits): TypedFigure {
  const said = { code: 'millilitres' as const, value, unit: rule.name }
  if (rule.unit === 'millilitres') {
    const ml = value * rule.size
    return rule.name === 'mL' ? { value } : { value: tidy(ml), said: { ...said, millilitres: ml } }
  }
  const density = of?.density
  if (density === undefined) return { fault: { code: 'unknown-volume', value, unit: rule.name } }
  const ml = (value * rule.size) / density
  return { value: tidy(ml), said: { ...said, millilitres: ml, density } }
}

function reading(text: string, limits: FieldLimits): TypedFigure {
  const { unit } = limits
  const asks = { fault: { code: 'not-in-unit' as const, unit: unit ?? null } }
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
function amountIn(body: string, number: number, rule: UnitRule, limits: FieldLimits): TypedFigure | null {
  if (rule.unit === 'percent' || rule.unit === 'parts') return null
  if (/^\d{1,3}(,\d{3})+$/.test(body)) return { fault: twoReadings(body) }
  return limits.unit === 'mL' ? millilitres(number, rule, limits) : grams(number, rule, limits.of ?? {})
}

/** What was typed for a weight in another unit, and what it is in grams. */
function grams(number: number, rule: UnitRule, of: MeasuredOut): TypedFigure {
  if (rule.drop && of.solid) return { fault: { code: 'no-drops' } }
  return rule.name === 'g' ? { value: number } : converted(number, rule, of)
}

/** A plain number that may be negative; null where it is none. */
function signed(body: string, hasUnit: boolean): number | null {
  const negative = body.startsWith('-')
  const read = plainNumber(negative ? body.slice(1) : body, hasUnit)
  return 'fault' in read ? null : negative ? -read.value : read.value
}

function temperature(value: number, word: string): TypedFigure | null {
  const unit = word.replace(/[°º\s.]|degrees?|deg/gi, '').toLowerCase()
  if (unit === 'c' || unit === 'celsius' || unit === '') return { value }
  if (unit !== 'f' && unit !== 'fahrenheit') return null
  const celsius = Number((((value - 32) * 5) / 9).toFixed(1))
  return { value: celsius, said: { code: 'celsius', fahrenheit: value, celsius } }
}

/** `20`, `20 min`, `1 h`, `1 h 30`, `1:30`. */
function minutes(text: string): TypedFigure | null {
  const plain = /^(\d+(?:[.,]\d+)?)\s*(?:m|min|mins|minutes?)\.?$/i.exec(text)
  if (plain) return { value: Number(plain[1]!.replace(',', '.')) }
  const hours =
    /^(\d+(?:[.,]\d+)?)\s*(?:h|hr|hrs|hours?)\.?(?:\s*(\d{1,2})\s*(?:m|min|mins|minutes?)?\.?)?$/i.exec(text)
  if (!hours) return null
  const value = Number(hours[1]!.replace(',', '.')) * 60 + Number(hours[2] ?? 0)
  return { value, said: { code: 'minutes', text, minutes: value } }
}

/** Money as people type it: `12.50`, `€ 12,50`, `12.50 EUR`. A comma that may part thousands is asked. */
export function readPrice(input: string): TypedFigure {
  const text = input.trim().replace(/^(?:[A-Z]{3}\s|[\p{Sc}])\s*|\s*(?:\s[A-Z]{3}|[\p{Sc}])$/gu, '')
  if (/^[1-9]\d{0,2}(,\d{3})+$/.test(text)) return { fault: twoReadings(text) }
  const whole = /^\d{1,3}(,\d{3})+\.\d+$|^\d{1,3}(\.\d{3})+,\d+$/.test(text) ? String(readNumber(text)) : text
  return readFigure(whole, { min: 0, max: LARGEST })
}
