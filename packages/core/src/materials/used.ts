import type { Formula } from '../shapes/formula.ts'
import type { Catalogue } from './catalogue.ts'

/** Ids of every material that formulas name, and of what those are made from, through stocks of stocks. */
export function materialsUsed(formulas: readonly Formula[], catalogue: Catalogue): ReadonlySet<string> {
  const used = new Set<string>()
  const take = (name: string) => {
    const material = catalogue.find(name)
    if (!material || used.has(material.id)) return
    used.add(material.id)
    for (const part of material.parts ?? []) take(part.inci)
  }
  for (const formula of formulas)
    for (const phase of formula.phases)
      for (const line of phase.lines) {
        take(line.material)
        for (const part of line.custom?.parts ?? []) take(part.material)
      }
  return used
}
