/** What somebody typed into an amount field. */
export type TypedAmount =
  | { kind: 'percent' | 'grams' | 'bare'; value: number }
  | { kind: 'fill' }
  | { kind: 'empty' }
  | { kind: 'error'; message: string }

const PLAIN = /^([+-]?)(\d{1,3}(?:[ \u2009\u202f\u00a0]\d{3})+|\d*)(?:[.,](\d*))?$/

/**
 * Reads an amount as people type it: `2`, `2,5`, `2 %`, `3.5 g`, `q.s.`. A comma or a dot is a decimal
 * mark; spaces may group thousands. Errors are sentences that say what to type.
 */
export function parseAmount(input: string): TypedAmount {
  const text = input.replace(/\u2212/g, '-').trim()
  if (text === '') return { kind: 'empty' }
  if (/^(q\.?\s?s\.?|to 100|ad 100)(\s*%)?$/i.test(text)) return { kind: 'fill' }
  const unit = /(%|g|grams?)$/i.exec(text)
  const body = unit ? text.slice(0, unit.index).trim() : text
  const match = PLAIN.exec(body)
  const digits = match ? `${match[2] ?? ''}${match[3] ?? ''}` : ''
  if (!match || digits === '') {
    if (/\d[.,]\d*[.,]/.test(body)) {
      return { kind: 'error', message: 'Use one decimal mark: 2.5 or 2,5.' }
    }
    return { kind: 'error', message: 'Type a number, such as 2.5 or 2,5. Add % or g for the unit.' }
  }
  const value = Number(`${(match[2] ?? '').replace(/\D/g, '') || '0'}.${match[3] || '0'}`)
  if (match[1] === '-' && value !== 0) return { kind: 'error', message: 'An amount cannot be negative.' }
  if (value > 1e6) return { kind: 'error', message: 'That is too large for an amount.' }
  const kind = unit ? (unit[1] === '%' ? 'percent' : 'grams') : 'bare'
  return { kind, value }
}

/** Reads a plain number with a comma or dot, within limits; `null` when the field is empty. */
export function parseNumber(
  input: string,
  limits: { min: number; max: number; what: string },
): { value: number | null } | { error: string } {
  const parsed = parseAmount(input.replace(/\s*(°?\s?c|g|%)$/i, ''))
  if (parsed.kind === 'empty') return { value: null }
  if (!('value' in parsed)) return { error: `Type ${limits.what} as a number.` }
  if (parsed.value < limits.min || parsed.value > limits.max) {
    return {
      error: `${limits.what.charAt(0).toUpperCase()}${limits.what.slice(1)} must be between ${limits.min} and ${limits.max}.`,
    }
  }
  return { value: parsed.value }
}
