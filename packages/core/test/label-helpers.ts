import { assess, labelOf, type Formula, type LabelRegion } from '../src/index.ts'
import type { formula } from './helpers.ts'
import { PRESERVED, simple } from './helpers.ts'

export type Extra = Parameters<typeof formula>[1]
export const label = (f: Formula, region: LabelRegion = 'EU') => labelOf(assess(f), { region, grams: 50 })
export const codes = (f: Formula, region: LabelRegion = 'EU') =>
  label(f, region).statements.map((s) => s.code)
export const gel = (lines: Parameters<typeof simple>[0], extra: Extra = {}) =>
  simple([...lines, PRESERVED], extra)
