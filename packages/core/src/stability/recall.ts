import type { BatchEvent } from '../batch/events.ts'
import type { Lot } from '../materials/lots.ts'

/** Where a lot went: a batch that holds it, how much, and by way of which stocks. */
export interface Went {
  batch: string
  grams: number
  /** Names of stocks between the lot and the batch, from the lot on; empty where it went in itself. */
  by: string[]
}

const given = (e: BatchEvent): { lot: string; grams: number } | null =>
  (e.type === 'weigh' || e.type === 'dose') && e.lot !== undefined
    ? { lot: e.lot, grams: e.grams }
    : e.type === 'dilution' && e.lot !== undefined
      ? { lot: e.lot, grams: e.usedGrams }
      : null

/** Grams of each lot that went into a batch; what was taken back counts for nothing. */
export function lotsIn(events: readonly BatchEvent[]): Map<string, number> {
  const undone = new Set(events.flatMap((e) => (e.type === 'undo' ? [e.of] : [])))
  const grams = new Map<string, number>()
  for (const e of events) {
    const took = undone.has(e.n) ? null : given(e)
    if (took) grams.set(took.lot, (grams.get(took.lot) ?? 0) + took.grams)
  }
  return grams
}

/** Stocks that hold a lot, by the lots that each was made from, through stocks in stocks; with the way from the lot. */
export function stocksWith(lot: string, lots: readonly Lot[]): Map<string, string[]> {
  const ways = new Map<string, string[]>([[lot, []]])
  for (let grew = true; grew;) {
    grew = false
    for (const stock of lots) {
      const from = stock.madeFrom?.find((id) => ways.has(id))
      if (from === undefined || ways.has(stock.id)) continue
      ways.set(stock.id, [...ways.get(from)!, stock.batch || stock.material])
      grew = true
    }
  }
  return ways
}

/** Every batch that holds a lot, itself or by way of stocks. */
export function whereLotWent(
  lot: string,
  lots: readonly Lot[],
  batches: readonly { id: string; events: readonly BatchEvent[] }[],
): Went[] {
  const ways = stocksWith(lot, lots)
  return batches.flatMap(({ id, events }) =>
    [...lotsIn(events)].flatMap(([used, grams]): Went[] => {
      const by = ways.get(used)
      return by ? [{ batch: id, grams, by }] : []
    }),
  )
}
