import { CHECK_PERCENT, NOTE_PERCENT, smallestWeighable, weighingErrorPercent } from '../weighing/error.ts'
import { finding, type Rule } from './types.ts'

/** weighing.too-small: the scale's error on lines is 5 to 15 % (note) or more (check), all in one. */
export const weighing: Rule = (a) => {
  const { resolutionGrams: d, repeatabilityGrams: r, batchGrams } = a.amounts
  const small = a.lines.flatMap((line, index) => {
    if (line.fill || !line.given || line.percent <= 0) return []
    const error = weighingErrorPercent(line.grams, d, r)
    return error <= NOTE_PERCENT ? [] : [{ line, index, error }]
  })
  if (small.length === 0) return []
  const worst = small.reduce((x, y) => (y.error > x.error ? y : x))
  const least = smallestWeighable(d, NOTE_PERCENT, r)
  const batch = niceBatch(Math.max(...small.map(({ line }) => (least / line.percent) * 100)))
  return [
    finding(a, {
      code: 'weighing.too-small',
      severity: worst.error > CHECK_PERCENT ? 'check' : 'note',
      indexes: small.map((s) => s.index),
      facts: {
        lines: small.map(({ line, error }) => ({ name: line.label, grams: line.grams, errorPercent: error })),
        leastGrams: Math.ceil(least / d) * d,
        resolutionGrams: d,
      },
      source: { cite: 'weighing', repeatabilityGiven: Boolean(r) },
      remedies:
        batch > batchGrams && batch <= batchGrams * 10
          ? [
              {
                code: 'make-grams',
                facts: { grams: batch },
                edit: { type: 'scale-batch', batchGrams: batch },
              },
            ]
          : [],
    }),
  ]
}

/** The next round batch size up: 1, 1.5, 2, 2.5, 3, 4, 5, 6, 8 times a power of ten. */
function niceBatch(grams: number): number {
  const power = 10 ** Math.floor(Math.log10(grams))
  const step = [1, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10].find((s) => s * power >= grams - 1e-9)
  return Number(((step ?? 10) * power).toPrecision(6))
}
