import { COST_COLUMNS, COST_TOTAL } from '#words/cost'
import type { Assessment } from '../assess/types.ts'
import type { Cost } from '../cost/cost.ts'

/** Cost as rows under a row of headings, for CSV or a spreadsheet. */
export const costRows = (a: Assessment, cost: Cost): (string | number | undefined)[][] => [
  [...COST_COLUMNS],
  ...cost.lines.map((l) => [
    l.phase === null ? '' : a.phases[l.phase]!.letter,
    l.label,
    Number(l.grams.toPrecision(9)),
    l.cost === null ? undefined : Number(l.cost.toPrecision(9)),
    l.unpricedGrams > 0 ? Number(l.unpricedGrams.toPrecision(9)) : undefined,
    l.lots.join('; '),
  ]),
  ['', COST_TOTAL, cost.lines.reduce((t, l) => t + l.grams, 0), cost.materials ?? undefined, undefined, ''],
]

const cents = (value: number | null) => (value === null ? null : Number(value.toFixed(4)))
/** The cost as the command line prints it. */
export const costReport = (cost: Cost): object => ({
  batch: cents(cost.materials),
  per100Grams: cents(cost.per100Grams),
  lines: cost.lines.map((l) => ({ material: l.material, grams: l.grams, cost: cents(l.cost) })),
  unpriced: cost.unpriced,
})
