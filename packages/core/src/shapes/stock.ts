import * as z from 'zod'
import { idOf } from './references.ts'

/** One change of what is left of a lot (grams) or of a container (pieces): what is left is the sum of them. */
export const StockEntry = z.looseObject({
  id: z.string().min(1).max(300),
  of: z.enum(['lot', 'container']),
  item: z.string().min(1).max(200),
  /** Less than nothing where something was taken. */
  amount: z.number().min(-1e7).max(1e7),
  at: z.string().max(100),
  /** The entry of a batch that took it or gave it back. */
  batch: idOf('batch', z.string().max(200)).optional(),
  n: z.number().int().min(0).optional(),
})
export type StockEntry = z.infer<typeof StockEntry>

/** What is left by its entries; never less than nothing. */
export const leftOf = (entries: readonly Pick<StockEntry, 'amount'>[]): number =>
  entries.length === 1
    ? Math.max(0, entries[0]!.amount)
    : Math.max(0, Number(entries.reduce((sum, e) => sum + e.amount, 0).toFixed(6)))
