import type { Assessment } from '../assess/types.ts'
import { labelOf, type LabelWish } from '../label/label.ts'
import { missingText, useWithinText } from '../words/label.ts'

const rounded = (percent: number) => Number(percent.toPrecision(12))

/** The label as the command line prints it. */
export function labelReport(a: Assessment, wish: LabelWish = {}): object {
  const l = labelOf(a, wish)
  return {
    ingredients: l.list.entries.map((e) => ({
      name: e.name,
      percent: e.percent === null ? null : rounded(e.percent),
    })),
    belowOneFrom: l.list.belowOneFrom,
    mayContain: [],
    allergens: l.list.allergens,
    statements: l.statements.map(({ code, text, source }) => ({ code, text, source })),
    directions: l.directions,
    useWithin: {
      closedMonths: l.useWithin.closedMonths,
      openedMonths: l.useWithin.openedMonths,
      why: useWithinText(l.useWithin),
    },
    missing: l.missing.map(missingText),
  }
}
