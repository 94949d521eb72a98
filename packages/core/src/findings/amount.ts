import { sayNumber, sayPercent, shorten } from '../text/format.ts'
import { finding, type Rule } from './types.ts'

/** amount.missing: a line that has no amount yet. amount.mismatch: percent and grams are both given and disagree. */
export const amount: Rule = (a) =>
  a.lines.flatMap((line, index) => {
    if (!line.given) {
      const typical = line.material?.usage?.typical
      return [
        finding(a, {
          code: 'amount.missing',
          severity: 'check',
          indexes: [index],
          message: `${shorten(line.label)} has no amount yet.`,
          why: 'It counts as nothing until it has one.',
          source: 'arithmetic',
          remedies: typical
            ? [
                {
                  label: `Use the usual ${sayPercent(typical)}`,
                  edit: { type: 'set-percent', at: line, percent: typical },
                },
              ]
            : [],
        }),
      ]
    }
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
        message: `${shorten(line.label)} says ${sayPercent(percent)} and ${sayNumber(grams, 4)} g, which disagree for a batch of ${sayNumber(a.amounts.batchGrams, 4)} g.`,
        why: `${sayPercent(percent)} would be ${sayNumber(meant, 4)} g. Percent counts until you choose.`,
        source: 'arithmetic',
        remedies: [
          { label: `Keep ${sayPercent(percent)}`, edit: { type: 'set-percent', at: line, percent } },
          {
            label: `Use the grams: ${sayPercent(fromGrams)}`,
            edit: { type: 'set-percent', at: line, percent: fromGrams },
          },
        ],
      }),
    ]
  })
