import { memoizeByAssessment } from './memo.ts'
import type { Assessment } from './types.ts'

/** The same assessment with inferred kinds in the place of materials that nobody knows: for what only needs the kind. */
export const withGuesses = memoizeByAssessment((a): Assessment =>
  a.lines.some((l) => l.guess)
    ? { ...a, lines: a.lines.map((l) => (l.guess ? { ...l, material: l.guess, guess: null } : l)) }
    : a,
)
