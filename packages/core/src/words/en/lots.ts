import { freshnessOf, type Lot } from '../../materials/lots.ts'

/** A lot to choose: its number, what is left and how long it is good. */
export const lotLabel = (l: Lot, day: string) =>
  [
    l.batch || l.supplier || 'Lot without a number',
    `${Number(l.leftGrams.toFixed(1))} g left`,
    freshnessOf(l, day) === 'past' ? 'past its date' : l.expires ? `until ${l.expires}` : '',
  ]
    .filter(Boolean)
    .join(', ')
