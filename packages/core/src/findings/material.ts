import { linesWhere } from '../assess/lines.ts'
import { finding, type Rule } from './types.ts'

/** Guesses by name that one finding tells of. */
const MOST_GUESSES = 4

/** material.unknown: names that are in no catalogue and carry no facts of their own, all in one. */
export const material: Rule = (a) => {
  const indexes = linesWhere(a, (l) => l.material === null)
  if (indexes.length === 0) return []
  const lines = indexes.map((i) => a.lines[i]!)
  const guesses = lines.flatMap((l) => (l.guess ? [{ name: l.label, kind: l.guess.kind }] : []))
  return [
    finding(a, {
      code: 'material.unknown',
      severity: 'check',
      indexes,
      facts: { names: lines.map((l) => l.label), guesses: guesses.slice(0, MOST_GUESSES) },
      source: 'catalogue',
    }),
  ]
}
