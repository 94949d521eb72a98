import { linesWhere } from '../assess/lines.ts'
import { finding, type Rule } from './types.ts'

/** amount.missing: lines that have no amount yet, told once. */
export const missingAmounts: Rule = (a) => {
  const indexes = linesWhere(a, (l) => !l.given)
  if (indexes.length === 0) return []
  const usual = indexes.flatMap((i) => {
    const line = a.lines[i]!
    const typical = line.material?.usage?.typical
    return typical ? [{ line, typical }] : []
  })
  const [only] = usual
  return [
    finding(a, {
      code: 'amount.missing',
      severity: 'check',
      indexes,
      facts: { names: indexes.map((i) => a.lines[i]!.label) },
      source: 'arithmetic',
      remedies: only
        ? [
            {
              code: 'use-usual-amounts',
              facts: { count: usual.length, percent: only.typical },
              edit: {
                type: 'sequence',
                edits: usual.map(({ line, typical }) => ({
                  type: 'set-percent',
                  at: line,
                  percent: typical,
                })),
              },
            },
          ]
        : [],
    }),
  ]
}

/** amount.mismatch: percent and grams are both given and disagree. */
export const amount: Rule = (a) =>
  a.lines.flatMap((line, index) => {
    if (!line.given) return []
    const { percent, grams } = line.source
    if (percent === undefined || grams === undefined) return []
    const meant = (percent * a.amounts.batchGrams) / 100
    const tolerance = Math.max(a.amounts.resolutionGrams, meant * 0.02)
    if (Math.abs(meant - grams) <= tolerance + 1e-9) return []
    const fromGrams = Number(((grams / a.amounts.batchGrams) * 100).toFixed(4))
    return [
      finding(a, {
        code: 'amount.mismatch',
        severity: 'check',
        indexes: [index],
        facts: { name: line.label, percent, grams, batchGrams: a.amounts.batchGrams, meantGrams: meant },
        source: 'arithmetic',
        remedies: [
          { code: 'keep-percent', facts: { percent }, edit: { type: 'set-percent', at: line, percent } },
          {
            code: 'use-grams',
            facts: { percent: fromGrams },
            edit: { type: 'set-percent', at: line, percent: fromGrams },
          },
        ],
      }),
    ]
  })
