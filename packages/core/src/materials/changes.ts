import type { DerivedSource } from './sources.ts'
import * as z from 'zod'
import { fieldFault } from '../shapes/field-fault.ts'
import type { ChangedFact, Material } from '../shapes/material.ts'

const percent = z.number().min(0).max(100)
const range = (of: z.ZodType<number>) =>
  z.strictObject({ min: of, max: of }).refine((r) => r.min <= r.max, fieldFault('ends-swapped'))

/** Facts of a catalogue material that the maker changed. What is not named stays as the catalogue has it. */
export const FactChange = z.strictObject({
  /** Id of the material. */
  id: z.string().min(1),
  usage: range(percent).optional(),
  ph: range(z.number().min(0).max(14)).optional(),
  heatMaxC: z.number().min(-20).max(300).optional(),
  density: z.number().gt(0).max(25).optional(),
  strengthPercent: z.number().gt(0).max(100).optional(),
  hlb: z.number().min(0).max(40).optional(),
  note: z.string().max(1000).optional(),
})
export type FactChange = z.infer<typeof FactChange>

/** A material with a maker's changes; each changed fact remembers what the catalogue said. */
export function withChange(m: Material, change: FactChange): Material {
  const changed: ChangedFact[] = []
  const next: Material = { ...m }
  const note = (fact: ChangedFact['fact'], was: ChangedFact['was']) => changed.push({ fact, was })
  if (change.usage) {
    note('usage', m.usage ? { min: m.usage.min, max: m.usage.max } : null)
    const { min, max } = change.usage
    delete next.common
    next.usage = { min, max, typical: Math.min(max, Math.max(min, m.usage?.typical ?? min)) }
  }
  if (change.ph) {
    note('ph', m.ph ? { min: m.ph.min, max: m.ph.max } : null)
    next.ph = { ...(m.ph ?? { grade: 'prefers' as const }), ...change.ph }
  }
  if (change.heatMaxC !== undefined) {
    note('heatMaxC', m.heatMaxC ?? null)
    next.heatMaxC = change.heatMaxC
  }
  if (change.density !== undefined) {
    note('density', m.density ?? null)
    next.density = change.density
  }
  if (change.strengthPercent !== undefined) {
    note('strengthPercent', m.strengthPercent ?? null)
    next.strengthPercent = change.strengthPercent
  }
  if (change.hlb !== undefined && m.emulsifier) {
    note('hlb', m.emulsifier.hlb ?? null)
    next.emulsifier = { ...m.emulsifier, hlb: change.hlb, hlbSource: 'own-entry' satisfies DerivedSource }
  }
  if (change.note !== undefined) {
    note('note', m.note ?? null)
    next.note = change.note
  }
  return changed.length > 0 ? { ...next, changed } : m
}

/** Materials with the changes that name them. */
export function withChanges(materials: readonly Material[], changes: readonly FactChange[]): Material[] {
  const byId = new Map(changes.map((c) => [c.id, c]))
  return materials.map((m) => (byId.has(m.id) ? withChange(m, byId.get(m.id)!) : m))
}
