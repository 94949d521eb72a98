import * as z from 'zod'
import data from '../../data/allergens.json' with { type: 'json' }
import { slug } from '../text/names.ts'

const Table = z.strictObject({
  source: z.string(),
  entries: z.array(
    z.strictObject({
      name: z.string(),
      /** A natural oil or extract rather than a substance. */
      natural: z.boolean().optional(),
      members: z.array(z.string()).min(1),
      /** Since 2003, or by the long list of 2023. */
      list: z.enum(['old', 'long']),
      confidence: z.enum(['high', 'medium', 'low']),
    }),
  ),
})

export interface Allergen {
  /** As the label names it: one name for all members of a group. */
  name: string
  key: string
  natural: boolean
  list: 'old' | 'long'
}

const table = Table.parse(data)
export const ALLERGENS: readonly Allergen[] = table.entries.map((e) => ({
  name: e.name,
  key: slug(e.name),
  natural: e.natural ?? false,
  list: e.list,
}))
const byMember = new Map(
  table.entries.flatMap((e, i) => [e.name, ...e.members].map((m) => [slug(m), ALLERGENS[i]!] as const)),
)
/** The fragrance allergen that a substance is, by its key; null where it is none. */
export const allergenOf = (key: string): Allergen | null => byMember.get(key) ?? null
