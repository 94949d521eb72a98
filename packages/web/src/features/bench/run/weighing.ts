import { freshnessOf, type Lot } from '@omblet/core'

/** Lots of a material that have something left, the one to use up first before. */
export const lotsToUse = (lots: readonly Lot[], day: string) =>
  lots
    .filter((l) => l.leftGrams > 0)
    .sort(
      (x, y) =>
        Number(freshnessOf(x, day) === 'past') - Number(freshnessOf(y, day) === 'past') ||
        (x.expires ?? '9999').localeCompare(y.expires ?? '9999'),
    )

export const lotLabel = (l: Lot, day: string) =>
  [
    l.batch || l.supplier || 'Lot without a number',
    `${Number(l.leftGrams.toFixed(1))} g left`,
    freshnessOf(l, day) === 'past' ? 'past its date' : l.expires ? `until ${l.expires}` : '',
  ]
    .filter(Boolean)
    .join(', ')
