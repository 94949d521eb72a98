import { applyEdit } from '../formula/edit.ts'
import { computeAmounts } from '../formula/amounts.ts'
import { finding, type Remedy, type Rule } from './types.ts'

const SOURCE = 'arithmetic'

/** total.not-100: no fill line and the percents miss 100 by more than 0.05, or the fill line would be negative. */
export const total: Rule = (a) => {
  if (a.amounts.balanced) return []
  const { fillIndex, totalPercent } = a.amounts
  if (fillIndex !== null) {
    const fill = a.lines[fillIndex]!
    const largest = a.lines
      .map((line, index) => ({ line, index }))
      .filter(({ line }) => !line.fill)
      .sort((x, y) => y.line.percent - x.line.percent)[0]
    const over = -fill.percent
    const remedies: Remedy[] =
      largest && largest.line.percent > over
        ? [
            {
              code: 'lower-by',
              facts: { percent: over, name: largest.line.label },
              edit: {
                type: 'set-percent',
                at: largest.line,
                percent: Number((largest.line.percent - over).toFixed(4)),
              },
            },
          ]
        : []
    return [
      finding(a, {
        code: 'total.not-100',
        severity: 'stop',
        indexes: [fillIndex],
        facts: {
          case: 'no-room',
          fill: fill.label,
          totalPercent,
          fillPercent: fill.percent,
          overPercent: over,
        },
        source: SOURCE,
        remedies,
      }),
    ]
  }
  const water = a.lines.find((line) => line.material?.kind === 'water')
  const remedies: Remedy[] = []
  if (water) {
    const after = computeAmounts(applyEdit(a.formula, { type: 'set-fill', at: water }))
    if (after.balanced)
      remedies.push({
        code: 'fill-up',
        facts: { name: water.label },
        edit: { type: 'set-fill', at: water },
      })
  }
  const gap = 100 - totalPercent
  return [
    finding(a, {
      code: 'total.not-100',
      severity: 'stop',
      facts: { case: 'sum', totalPercent, gapPercent: gap },
      source: SOURCE,
      remedies,
    }),
  ]
}
