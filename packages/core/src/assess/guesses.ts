import type { Assessment } from './types.ts'

const seen = new WeakMap<Assessment, Assessment>()

/** The same assessment with inferred kinds in the place of materials that nobody knows: for what only needs the kind. */
export function withGuesses(a: Assessment): Assessment {
  let b = seen.get(a)
  if (!b) {
    b = a.lines.some((l) => l.guess)
      ? { ...a, lines: a.lines.map((l) => (l.guess ? { ...l, material: l.guess, guess: null } : l)) }
      : a
    seen.set(a, b)
  }
  return b
}
