// WCAG 2.2: text 1.4.3 (4.5 to 1), marks and what shows a state 1.4.11 (3 to 1), by the relative luminance of WCAG.
import { readFileSync } from 'node:fs'
import { wcagContrast } from 'culori'
import { describe, expect, it } from 'vitest'

const css = readFileSync(new URL('../src/app/theme.css', import.meta.url), 'utf8')
const block = (selector: string) => {
  const from = css.indexOf(`${selector} {`)
  const body = css.slice(from, css.indexOf('}', from))
  return Object.fromEntries(
    [...body.matchAll(/--([\w-]+):\s*([^;]+);/g)].map(([, name, value]) => [name!, value!]),
  )
}
const day = block(':root')
const evening = { ...day, ...block('.dark') }
/** A token down to its colour. */
const colour = (tokens: Record<string, string>, name: string): string => {
  const value = tokens[name]!
  const other = /^var\(--([\w-]+)\)$/.exec(value)
  return other ? colour(tokens, other[1]!) : value
}

const GROUNDS = ['paper', 'bench', 'side', 'field']
const TEXT: [string, string[]][] = [
  ['ink', [...GROUNDS, 'wash', 'stop-wash', 'check-wash', 'track']],
  ['muted', [...GROUNDS]],
  ['accent-ink', [...GROUNDS, 'wash']],
  ['stop', ['paper', 'field', 'bench', 'stop-wash']],
  ['check', ['paper', 'bench', 'check-wash']],
  ['note-ink', ['paper', 'bench']],
  ['fine', ['paper', 'bench']],
  ['premix-ink', ['paper']],
  ['rail-ink', ['rail', 'rail-active']],
  ['rail-muted', ['rail']],
  ['rail-warn', ['rail']],
  ['on-fill', ['fine-fill', 'cobalt-500', 'cool-down', 'premix', 'adjust', 'other']],
  ['on-check', ['check-fill']],
]
const MARKS: [string, string[]][] = [
  ['stop', ['paper', 'bench']],
  ['fine', ['paper', 'bench']],
  ['note', ['paper', 'bench']],
  ['accent', ['paper', 'bench', 'track']],
  ['on-mark', ['stop', 'fine']],
  ['on-check', ['check-fill']],
  ['stop-soft', ['paper']],
  ['rail-focus', ['rail']],
]

describe.each([
  ['by day', day],
  ['in evening colours', evening],
] as const)('%s', (_when, tokens) => {
  const ratio = (a: string, b: string) => wcagContrast(colour(tokens, a), colour(tokens, b))
  it.each(TEXT.flatMap(([over, grounds]) => grounds.map((ground) => [over, ground] as const)))(
    '%s can be read on %s',
    (over, ground) => expect(ratio(over, ground)).toBeGreaterThanOrEqual(4.5),
  )
  it.each(MARKS.flatMap(([over, grounds]) => grounds.map((ground) => [over, ground] as const)))(
    '%s can be told apart from %s',
    (over, ground) => expect(ratio(over, ground)).toBeGreaterThanOrEqual(3),
  )
})
