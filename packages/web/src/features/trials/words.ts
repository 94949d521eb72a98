import { words as texts } from '#words/trials'
import { parseNumber } from '@omblet/core'

/** Levels as they are typed: numbers with comma or dot, apart by a semicolon or a space. */
export function readLevels(text: string): number[] {
  const numbers = text
    .split(/[;\s]+/)
    .filter(Boolean)
    .map((t) => parseNumber(t, { min: 0, max: 100, what: texts.aLevel }))
  return [...new Set(numbers.flatMap((n) => ('value' in n && n.value !== null ? [n.value] : [])))]
}
/** Names as they are typed, apart by a comma or a new line. */
export const readNames = (text: string) =>
  text
    .split(/[,;\n]+/)
    .map((n) => n.trim())
    .filter(Boolean)
