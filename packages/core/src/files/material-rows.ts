import { materialRows as texts } from '#words/files'
import type { Material } from '../shapes/material.ts'
import { shorten } from '../text/format.ts'
import type { RowDraft } from './table-columns.ts'

const PHASES = ['water', 'oil', 'cool-down', 'any']

/** Whether what is made of these parts has the goal among them, at any depth. */
export function reaches(
  stocks: ReadonlyMap<string, readonly string[]>,
  parts: readonly string[],
  goal: string,
  seen = new Set<string>(),
): boolean {
  return parts.some((part) => {
    if (part === goal) return true
    if (seen.has(part)) return false
    seen.add(part)
    return reaches(stocks, stocks.get(part) ?? [], goal, seen)
  })
}

export const partsOf = (draft: RowDraft) =>
  ((draft['parts'] ?? []) as { inci: string; percent: number }[]).map((p) => ({
    material: p.inci,
    percent: p.percent,
  }))

export function freeId(stem: string, taken: ReadonlySet<string>) {
  let id = stem
  for (let n = 2; taken.has(id); n++) id = `${stem}-${n}`
  return id
}

export function faultOf(draft: RowDraft, name: string): string | null {
  if (name.trim() === '') return texts.theNameIsMissing
  if (name.length > 300) return texts.itsNameIsLongerThan
  const phase = draft['phase'] as string | undefined
  if (phase !== undefined && !PHASES.includes(phase))
    return texts.thePhaseIsNotKnown(shorten(phase), PHASES.join(', '))
  for (const [field, what] of [
    ['usage', texts.usualRange],
    ['ph', 'pH'],
  ] as const) {
    const range = draft[field] as { min?: number; max?: number } | undefined
    if (!range) continue
    if (range.max === undefined || (range.min === undefined && field === 'ph'))
      return texts.itsNeedsBothEnds(what)
    if ((range.min ?? 0) > range.max) return texts.itsBeginsAboveItsEnd(what)
  }
  return null
}

/** A range with its gaps filled: from 0 up, and typical at its lower end. */
export function wholeRange({ min = 0, typical, max }: Partial<NonNullable<Material['usage']>>) {
  return { min, typical: typical ?? min, max: max! }
}
