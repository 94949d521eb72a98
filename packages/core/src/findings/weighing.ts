import { CHECK_PERCENT, NOTE_PERCENT, smallestWeighable, weighingErrorPercent } from '../weighing/error.ts'
import { formatGrams, sayNumber } from '../text/format.ts'
import { finding, type Remedy, type Rule } from './types.ts'

/** weighing.too-small: the scale's error on a line is 5 to 15 % (note) or more (check). */
export const weighing: Rule = (a) =>
  a.lines.flatMap((line, index) => {
    if (line.fill || !line.given || line.percent <= 0) return []
    const { resolutionGrams: d, repeatabilityGrams: r } = a.amounts
    const error = weighingErrorPercent(line.grams, d, r)
    if (error <= NOTE_PERCENT) return []
    const check = error > CHECK_PERCENT
    const wanted = (smallestWeighable(d, NOTE_PERCENT, r) / line.percent) * 100
    const batch = niceBatch(wanted)
    const remedies: Remedy[] =
      batch > a.amounts.batchGrams && batch <= a.amounts.batchGrams * 10
        ? [{ label: `Make ${sayNumber(batch)} g`, edit: { type: 'scale-batch', batchGrams: batch } }]
        : []
    return [
      finding(a, {
        code: 'weighing.too-small',
        severity: check ? 'check' : 'note',
        indexes: [index],
        message:
          line.grams > 0
            ? `${formatGrams(line.grams, d)} ${line.label}: this scale weighs it to within ${sayNumber(error, 0)} %.`
            : `${line.label} rounds to nothing on this scale.`,
        why: `Below ${formatGrams(Math.ceil(smallestWeighable(d, NOTE_PERCENT, r) / d) * d, d)} a ${sayNumber(d, 4)} g scale may be off by more than 5 %. Dilute it first, use a finer scale or make more.`,
        source: `JCGM 100:2008, expanded, 95 %; ${r ? 'repeatability as told' : 'one step of repeatability, common practice'}`,
        remedies,
      }),
    ]
  })

/** The next round batch size up: 1, 1.5, 2, 2.5, 3, 4, 5, 6, 8 times a power of ten. */
function niceBatch(grams: number): number {
  const power = 10 ** Math.floor(Math.log10(grams))
  const step = [1, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10].find((s) => s * power >= grams - 1e-9)
  return Number(((step ?? 10) * power).toPrecision(6))
}
