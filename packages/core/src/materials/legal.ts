import * as z from 'zod'
import data from '../../data/limits.json' with { type: 'json' }
import { SITES, type Product, type Site } from '../shapes/formula.ts'
import { CONFIDENCES } from '../shapes/material.ts'

export const Limit = z.strictObject({
  /** A substance's key or a family's id. */
  subject: z.string(),
  region: z.enum(['EU', 'US', 'any']),
  authority: z.enum(['EU law', 'US law', 'CIR opinion', 'SCCS opinion']),
  kind: z.enum(['law', 'opinion']),
  sites: z.array(z.enum(SITES)).optional(),
  rinse: z.enum(['leave-on', 'rinse-off']).optional(),
  /** 0 means not permitted for that use. */
  maxPercent: z.number().min(0).max(100),
  phMin: z.number().optional(),
  /** The cap holds from this day on. */
  from: z.string().optional(),
  condition: z.string().optional(),
  /** Why it is not certain that the rule bears on this use; then it is no stop. */
  uncertain: z.string().optional(),
  source: z.string(),
  confidence: z.enum(CONFIDENCES),
})

/** Substances that share one cap; factors turn a member into the unit of the cap. */
export const Family = z.strictObject({
  id: z.string(),
  name: z.string(),
  unit: z.string(),
  members: z.record(z.string(), z.number().gt(0)),
})

export const LimitData = z.strictObject({
  reviewed: z.string(),
  families: z.array(Family),
  /** Other names by which a maker may write a subject: key to key. */
  aliases: z.record(z.string(), z.string()),
  limits: z.array(Limit),
})

export type Limit = z.infer<typeof Limit>
export type Family = z.infer<typeof Family>

const table = data as unknown as z.infer<typeof LimitData>
export const LIMITS_REVIEWED = table.reviewed
export const families: readonly Family[] = table.families
export const limits: readonly Limit[] = table.limits

const familyById = new Map(families.map((family) => [family.id, family]))
const bySubject = group(limits)

function group(rows: readonly Limit[]) {
  const map = new Map<string, Limit[]>()
  for (const row of rows) map.set(row.subject, [...(map.get(row.subject) ?? []), row])
  return map
}

/** What counts towards a subject, with its factor: the family or the substance, and the other names of each. */
function membersOf(subject: string): Record<string, number> {
  const members: Record<string, number> = { ...(familyById.get(subject)?.members ?? { [subject]: 1 }) }
  for (const [alias, key] of Object.entries(table.aliases)) if (key in members) members[alias] = members[key]!
  return members
}

/** Whether a law or an opinion names a substance. */
export const isLimited = (key: string) => subjectsOf.has(key)

/** Subjects that a substance counts towards, with the factor for each. */
const subjectsOf = new Map<string, { subject: string; factor: number }[]>()
for (const subject of bySubject.keys()) {
  for (const [key, factor] of Object.entries(membersOf(subject))) {
    subjectsOf.set(key, [...(subjectsOf.get(key) ?? []), { subject, factor }])
  }
}

const specificity = (limit: Limit) => (limit.sites ? 2 : 0) + (limit.rinse ? 1 : 0)

const applies = (limit: Limit, site: Site, rinse: string) =>
  (!limit.sites || limit.sites.includes(site)) && (!limit.rinse || limit.rinse === rinse)

export interface ApplicableLimit {
  limit: Limit
  family: Family | null
  /** What to multiply a substance's percent by before it is compared. */
  factors: ReadonlyMap<string, number>
}

/**
 * Limits that bear on a substance in this product: the most specific row of each authority. For the region
 * `other` every law is considered and the strictest is kept.
 */
export function limitsFor(key: string, product: Product): readonly ApplicableLimit[] {
  const subjects = subjectsOf.get(key)
  if (!subjects) return NONE
  const slot = `${key}|${product.site}|${product.rinse}|${product.region}`
  let found = memo.get(slot)
  if (!found) memo.set(slot, (found = chooseLimits(key, product)))
  return found
}

const NONE: readonly ApplicableLimit[] = []
const memo = new Map<string, readonly ApplicableLimit[]>()

function chooseLimits(key: string, product: Product): ApplicableLimit[] {
  return (subjectsOf.get(key) ?? []).flatMap(({ subject }) => {
    const rows = (bySubject.get(subject) ?? []).filter(
      (row) =>
        applies(row, product.site, product.rinse) &&
        (row.region === 'any' || row.region === product.region || product.region === 'other'),
    )
    const best = new Map<string, Limit>()
    for (const row of rows) {
      const slot =
        product.region === 'other' && row.kind === 'law'
          ? `law${row.from ?? ''}`
          : `${row.authority}${row.from ?? ''}`
      const held = best.get(slot)
      const better =
        !held ||
        (row.authority === held.authority
          ? specificity(row) > specificity(held) ||
            (specificity(row) === specificity(held) && row.maxPercent < held.maxPercent)
          : row.maxPercent < held.maxPercent)
      if (better) best.set(slot, row)
    }
    const family = familyById.get(subject) ?? null
    const factors = new Map(Object.entries(membersOf(subject)))
    return [...best.values()].map((limit) => ({ limit, family, factors }))
  })
}

/** Every limit that names a substance or a family it belongs to, whatever the product. */
export function allLimitsOf(key: string): { limit: Limit; family: Family | null }[] {
  return (subjectsOf.get(key) ?? []).flatMap(({ subject }) =>
    (bySubject.get(subject) ?? []).map((limit) => ({ limit, family: familyById.get(subject) ?? null })),
  )
}
