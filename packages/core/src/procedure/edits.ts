import { WRITTEN } from '../formula/written.ts'
import type { MethodEdits } from '../shapes/method.ts'
import type { MethodStep } from './method.ts'

type Change = NonNullable<MethodEdits['changes']>[string]
type Told = { title?: string; note?: string; hands?: number; wait?: number }

/** Edits of which nothing is left are none, so that an untouched formula carries no empty shells. */
export function tidyEdits(edits: MethodEdits): MethodEdits | undefined {
  const kept = Object.fromEntries(
    Object.entries(edits).filter(
      ([, v]) => v !== undefined && !(typeof v === 'object' && v !== null && Object.keys(v).length === 0),
    ),
  ) as MethodEdits
  return Object.keys(kept).length > 0 ? kept : undefined
}

const withChange = (edits: MethodEdits, key: string, change: Change): MethodEdits => ({
  ...edits,
  changes: { ...edits.changes, [key]: { ...edits.changes?.[key], ...change } },
})

/** What a maker says of a step: of one of their own it is the step itself, but for the note. */
export function changeStep(edits: MethodEdits, step: MethodStep, told: Told): MethodEdits {
  if (step.kind !== 'own') return withChange(edits, step.key, told)
  const { note, ...rest } = told
  const own = (edits.own ?? []).map((o) => (o.key === step.key ? { ...o, ...rest } : o))
  return note === undefined ? { ...edits, own } : withChange({ ...edits, own }, step.key, { note })
}

/** Back to what the formula says of a step. */
export function resetStep(edits: MethodEdits, key: string): MethodEdits {
  const { [key]: _gone, ...changes } = edits.changes ?? {}
  return { ...edits, changes }
}

/** One place up or down; null where there is none. `steps` are those shown, in their order. */
export function moveStep(
  edits: MethodEdits,
  steps: readonly MethodStep[],
  index: number,
  by: -1 | 1,
): MethodEdits | null {
  const to = index + by
  if (to < 0 || to >= steps.length) return null
  const order = steps.map((s) => s.key)
  const [key] = order.splice(index, 1)
  order.splice(to, 0, key!)
  return { ...edits, order }
}

/** A step of one's own goes for good; another is only hidden and can be put back. */
export const takeOutStep = (edits: MethodEdits, step: MethodStep): MethodEdits =>
  step.kind === 'own'
    ? { ...edits, own: (edits.own ?? []).filter((o) => o.key !== step.key) }
    : withChange(edits, step.key, { hidden: true })

export function putBackStep(edits: MethodEdits, key: string): MethodEdits {
  const { hidden: _hidden, ...rest } = edits.changes?.[key] ?? {}
  const without = resetStep(edits, key)
  return Object.keys(rest).length > 0 ? withChange(without, key, rest) : without
}

/** A step of one's own, last of all. */
export const addOwnStep = (edits: MethodEdits, steps: readonly MethodStep[], key: string): MethodEdits => ({
  ...edits,
  own: [...(edits.own ?? []), { key, title: WRITTEN.step, hands: 5, wait: 0 }],
  order: [...steps.map((s) => s.key), key],
})
