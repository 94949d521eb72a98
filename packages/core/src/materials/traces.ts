import data from '../../data/traces.json' with { type: 'json' }
import { slug } from '../text/names.ts'
import type { Material } from '../shapes/material.ts'

interface Table {
  source: string
  confidence: 'low'
  allergenSource: string
  materials: Readonly<Record<string, readonly { inci: string; low: number; high: number }[]>>
}
const table: Table = data as Table

/** Substances that natural oils bring along: usual contents in percent of the oil, from memory. */
export const usualTraces = (m: Material) => table.materials[m.id] ?? []
export const TRACES_SOURCE = `${table.source}; ${table.confidence} confidence`
export const TRACED_MATERIALS = Object.keys(table.materials)

export const ALLERGEN_SOURCE = table.allergenSource
/** Fragrance allergens are named on the label above this percent of the product (EU). */
export const ALLERGEN_THRESHOLD = { 'leave-on': 0.001, 'rinse-off': 0.01 } as const

export interface Trace {
  key: string
  inci: string
  /** Percent of the product that analyses account for. */
  percent: number
  /** What lines without an analysis may add, percent of the product, by the usual contents. */
  low: number
  high: number
  /** Lines that carry it, and those among them whose amount is not known. */
  lines: number[]
  unknown: number[]
}

interface Carrier {
  percent: number
  material: Material | null
}

/** What the natural oils of a formula bring along: known from an analysis, else only by what is usual. */
export function tracesOf(lines: readonly Carrier[]): Map<string, Trace> {
  const all = new Map<string, Trace>()
  const at = (inci: string) => {
    const key = slug(inci)
    let trace = all.get(key)
    if (!trace) all.set(key, (trace = { key, inci, percent: 0, low: 0, high: 0, lines: [], unknown: [] }))
    return trace
  }
  lines.forEach((line, index) => {
    const { material } = line
    if (!material || line.percent <= 0) return
    if (material.contains) {
      for (const { inci, percent } of material.contains) {
        const trace = at(inci)
        trace.percent += (line.percent * percent) / 100
        trace.lines.push(index)
      }
      return
    }
    for (const { inci, low, high } of usualTraces(material)) {
      const trace = at(inci)
      trace.low += (line.percent * low) / 100
      trace.high += (line.percent * high) / 100
      trace.lines.push(index)
      trace.unknown.push(index)
    }
  })
  return all
}
