import { linesWhere } from '../assess/lines.ts'
import { listSome, sayNumber, sayPercent, shorten } from '../text/format.ts'
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
  const names = indexes.map((i) => shorten(a.lines[i]!.label))
  const [only] = usual
  return [
    finding(a, {
      code: 'amount.missing',
      severity: 'check',
      indexes,
      message: `${listSome(names)} ${indexes.length > 1 ? 'have' : 'has'} no amount yet.`,
      why: 'What depends on an amount is judged when there is one.',
      source: 'arithmetic',
      remedies: only
        ? [
            {
              label:
                usual.length > 1
                  ? `Use the usual amounts of ${usual.length}`
                  : `Use the usual ${sayPercent(only.typical)}`,
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
