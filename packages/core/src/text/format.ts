/** Narrow no-break space: keeps a figure and its unit on one line. */
export const NARROW = '\u202f'
const MINUS = '\u2212'

const withMinus = (text: string) => text.replace('-', MINUS)

/**
 * A number as people read it here: a real minus, `decimals` places at least, and up to
 * `most` places when the value was typed finer than that.
 */
export function formatNumber(value: number, decimals = 2, most = decimals): string {
  if (!Number.isFinite(value)) return '–'
  const fixed = value.toFixed(most)
  if (most <= decimals) return withMinus(fixed)
  const [whole = '0', fraction = ''] = fixed.split('.')
  const kept = fraction.replace(/0+$/, '')
  return withMinus(`${whole}.${kept.padEnd(decimals, '0')}`)
}

/** Percent of w/w with two places, more (up to five) where the value has them. */
export const formatPercent = (percent: number) => `${formatNumber(percent, 2, 5)}${NARROW}%`

/** Percent without trailing zeros, for sentences: `2 %`, `0.25 %`. */
export const sayPercent = (percent: number) => `${sayNumber(percent, 4)}${NARROW}%`

/** A number without trailing zeros, at most `most` decimals. */
export const sayNumber = (value: number, most = 2) => withMinus(String(Number(value.toFixed(most))))

/** Number of decimals that a scale of this resolution shows: 0.01 g gives 2. */
export function decimalsOf(resolution: number): number {
  for (let places = 0; places <= 6; places++) {
    if (Math.abs(resolution - Number(resolution.toFixed(places))) < 1e-9) return places
  }
  return 6
}

/** Grams at the resolution of the scale. */
export const formatGrams = (grams: number, resolution: number) =>
  `${formatNumber(grams, decimalsOf(resolution))}${NARROW}g`

/** A pH range as `5.5–6.5`. */
export const formatRange = (range: { min: number; max: number }) =>
  `${sayNumber(range.min, 1)}–${sayNumber(range.max, 1)}`

/** Celsius with its unit. */
export const formatCelsius = (celsius: number) => `${sayNumber(celsius, 1)}${NARROW}°C`

/** `a`, `a and b`, `a, b and c`; where a comma stands inside one of them `a; b, 10 % solution; and c`. */
export function listWords(words: readonly string[], last = 'and'): string {
  if (words.length <= 1) return words.join('')
  if (words.length > 2 && words.some((word) => word.includes(', ')))
    return `${words.slice(0, -1).join('; ')}; ${last} ${words.at(-1)}`
  return `${words.slice(0, -1).join(', ')} ${last} ${words.at(-1)}`
}

/** Names that a sentence holds. */
const SOME = 6
/** A list that says how many more there are: `a, b and 3 more`. */
export const listSome = (words: readonly string[]) =>
  words.length > SOME
    ? listWords([...words.slice(0, SOME - 1), `${words.length - SOME + 1} more`])
    : listWords(words)

/** A capital at the beginning; “pH” stays as it is. */
export const capitalise = <T extends string>(text: T) =>
  (text.startsWith('pH') ? text : text.charAt(0).toUpperCase() + text.slice(1)) as T

/** A small letter inside a sentence; “40 °C”, “pH” and “UV” stay as they are. */
export const uncapitalise = (text: string) =>
  /^\p{Lu}(\P{Lu}|$)/u.test(text) ? text.charAt(0).toLowerCase() + text.slice(1) : text

/** Cuts very long text for a sentence, saying so with an ellipsis. */
export const shorten = (text: string, most = 60) =>
  text.length <= most ? text : `${text.slice(0, most - 1).trimEnd()}…`
