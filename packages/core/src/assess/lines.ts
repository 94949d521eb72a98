import type { Material } from '../shapes/material.ts'
import type { Assessment } from './types.ts'
import type { AssessedLine } from '../lines/types.ts'

/** Indexes of the lines that pass, in their order. */
export function linesWhere(a: Pick<Assessment, 'lines'>, test: (line: AssessedLine) => boolean): number[] {
  const found: number[] = []
  for (let i = 0; i < a.lines.length; i++) if (test(a.lines[i]!)) found.push(i)
  return found
}

/** Indexes of the lines that have an amount and whose material is known and passes, in their order. */
export const linesOf = (a: Pick<Assessment, 'lines'>, test: (m: Material) => boolean): number[] =>
  linesWhere(a, (l) => l.percent > 0 && l.material !== null && test(l.material))
