import * as z from 'zod'
import { formatRange, sayPercent } from '../text/format.ts'
import type { Material } from '../shapes/material.ts'

const percent = z.number().min(0).max(100)
const range = (of: z.ZodType<number>) =>
  z
    .strictObject({ min: of, max: of })
    .refine((r) => r.min <= r.max, { error: 'its min must not be above its max' })

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
  const changed: NonNullable<Material['changed']> = []
  const next: Material = { ...m }
  const note = (what: string, was: string) => changed.push({ what, was })
  if (change.usage) {
    note('Usual range', m.usage ? `${sayPercent(m.usage.min)} to ${sayPercent(m.usage.max)}` : 'not known')
    const { min, max } = change.usage
    delete next.common
    next.usage = { min, max, typical: Math.min(max, Math.max(min, m.usage?.typical ?? min)) }
  }
  if (change.ph) {
    note('pH', m.ph ? formatRange(m.ph) : 'not known')
    next.ph = { ...(m.ph ?? { grade: 'prefers' as const }), ...change.ph }
  }
  if (change.heatMaxC !== undefined) {
    note('Maximum processing temperature', m.heatMaxC === undefined ? 'not known' : `${m.heatMaxC} °C`)
    next.heatMaxC = change.heatMaxC
  }
  if (change.density !== undefined) {
    note('Density', m.density === undefined ? 'not known' : `${m.density} g/mL`)
    next.density = change.density
  }
  if (change.strengthPercent !== undefined) {
    note(
      'Strength as supplied',
      m.strengthPercent === undefined ? 'not known' : sayPercent(m.strengthPercent),
    )
    next.strengthPercent = change.strengthPercent
  }
  if (change.hlb !== undefined && m.emulsifier) {
    note('HLB', m.emulsifier.hlb === undefined ? 'not known' : String(m.emulsifier.hlb))
    next.emulsifier = { ...m.emulsifier, hlb: change.hlb, hlbSource: 'your own entry' }
  }
  if (change.note !== undefined) {
    note('Note', m.note ?? 'none')
    next.note = change.note
  }
  return changed.length > 0 ? { ...next, changed } : m
}

/** Materials with the changes that name them. */
export function withChanges(materials: readonly Material[], changes: readonly FactChange[]): Material[] {
  const byId = new Map(changes.map((c) => [c.id, c]))
  return materials.map((m) => (byId.has(m.id) ? withChange(m, byId.get(m.id)!) : m))
}
