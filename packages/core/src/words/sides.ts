import type { PriceOf } from '../cost/cost.ts'
import type { Derived } from '../derived/derived.ts'
import { forecastOf } from '../derived/forecast.ts'
import { words } from './language.ts'

/** What follows from two formulas, row by row, and the steps that only one of them has. */
export interface SidesText {
  facts: { what: string; left: string; right: string; changed: boolean }[]
  steps: { left: string[]; right: string[] }
}
/** Two formulas beside each other in words: pH, consistency, cost and the like, and how they are made. */
export function sidesText(left: Derived, right: Derived, priceOf: PriceOf): SidesText {
  const rows = (d: Derived) =>
    new Map(words.comparedRows(d.assessment, forecastOf(d, priceOf)).map((r) => [r.what, r.words]))
  const titles = (d: Derived) => d.method.steps.map((s) => words.steps.titleOf(s))
  const [l, r] = [rows(left), rows(right)]
  const [before, after] = [titles(left), titles(right)]
  return {
    facts: [...new Set([...l.keys(), ...r.keys()])].map((what) => {
      const [x, y] = [l.get(what) ?? '–', r.get(what) ?? '–']
      return { what, left: x, right: y, changed: x !== y }
    }),
    steps: {
      left: before.filter((t) => !after.includes(t)),
      right: after.filter((t) => !before.includes(t)),
    },
  }
}
