import { computeAmounts, phaseLetter, type Formula } from '@omblet/core'

/** Phases of a formula with their shares, for its jar. */
export function layersOf(formula: Formula) {
  const percents = formula.phases.map(() => 0)
  for (const line of computeAmounts(formula).lines) percents[line.phase]! += line.percent
  return formula.phases.map(({ role }, i) => ({ role, letter: phaseLetter(i), percent: percents[i]! }))
}
export const lineCount = (formula: Formula) => formula.phases.reduce((sum, p) => sum + p.lines.length, 0)
