import { PHASE_NAMES } from '../formula/written.ts'
import type { Assessment } from '../assess/types.ts'
import { adjusterLine } from '../dosing/adjust.ts'
import type { Edit } from '../formula/edit.ts'
import type { Remedy } from './types.ts'

/** Acid or alkali as a line of the formula, so much that it comes out in the middle of `aim`. */
export function bringTo(a: Assessment, aim: { min: number; max: number }): Remedy[] {
  const adjusted = adjusterLine(a, (aim.min + aim.max) / 2)
  if (!adjusted) return []
  const at = a.formula.phases.findIndex((p) => p.role === 'adjust')
  const phase = at < 0 ? a.formula.phases.length : at
  const edits: Edit[] = [
    ...(at < 0
      ? [
          {
            type: 'add-phase' as const,
            phase: { name: PHASE_NAMES.adjust, role: 'adjust' as const, belowC: 40, lines: [] },
          },
        ]
      : []),
    { type: 'add-line', phase, line: adjusted.line },
  ]
  return [
    {
      code: 'add-adjuster',
      facts: { percent: adjusted.line.percent!, weighedAs: adjusted.weighedAs, ph: (aim.min + aim.max) / 2 },
      edit: { type: 'sequence', edits },
    },
  ]
}
