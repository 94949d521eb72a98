import type { Assessment } from '../assess/types.ts'
import type { MethodEdits } from '../shapes/method.ts'
import { stepOf, type Step } from './steps.ts'
import { procedureOf } from './procedure.ts'
import type { Equipment } from './step-facts.ts'

/** A step as it stands after the maker's changes. */
export interface MethodStep extends Step {
  /** The maker's own title in place of ours. */
  ownTitle?: string
  note: string
  /** Changed by the maker, or made by them. */
  changed: boolean
}

export interface Method {
  steps: MethodStep[]
  /** Steps that the maker took out; they can be put back. */
  hidden: MethodStep[]
  /** What has to lie ready; what two steps need stands twice. */
  equipment: Equipment[]
  /** Steps that are better made the day before. */
  dayBefore: MethodStep[]
}

/** Steps in the wished order; one that is not named stays behind the step that it follows by nature. */
function ordered(steps: readonly MethodStep[], order: readonly string[]): MethodStep[] {
  const byKey = new Map(steps.map((s) => [s.key, s]))
  const result = order.flatMap((key) => byKey.get(key) ?? [])
  const placed = new Set(result.map((s) => s.key))
  const named = new Set(placed)
  steps.forEach((step, i) => {
    if (placed.has(step.key)) return
    const before = steps.slice(0, i).findLast((s) => placed.has(s.key))
    let at = before ? result.indexOf(before) + 1 : 0
    // A step of one's own that was put behind that one stays there.
    const stays = (s: MethodStep | undefined) => s?.kind === 'own' && named.has(s.key)
    while (stays(result[at])) at++
    result.splice(at, 0, step)
    placed.add(step.key)
  })
  return result
}

/**
 * The method of a formula with the maker's changes laid over it. Changes belong to a step's key, so they survive
 * changes of the formula; those of steps that are gone wait for them. A step that was moved above what it waited for
 * no longer waits for it; a step of one's own follows the one above it.
 */
export function methodOf(a: Assessment, edits: MethodEdits = {}): Method {
  const written = procedureOf(a, edits.choices)
  const natural: MethodStep[] = written.map((step) => ({ ...step, note: '', changed: false }))
  const own: MethodStep[] = (edits.own ?? []).map(({ key, title, hands, wait }) => ({
    ...stepOf({ key, kind: 'own', said: { code: 'own', title }, hands, wait }),
    note: '',
    changed: true,
  }))
  const all = ordered([...natural, ...own], edits.order ?? []).map((step): MethodStep => {
    const change = edits.changes?.[step.key]
    if (!change) return step
    return {
      ...step,
      ...(change.title?.trim() ? { ownTitle: change.title.trim() } : {}),
      note: change.note ?? '',
      hands: change.hands ?? step.hands,
      wait: change.wait ?? step.wait,
      changed: true,
    }
  })
  const isHidden = (s: MethodStep) => edits.changes?.[s.key]?.hidden === true
  const kept = all.filter((s) => !isHidden(s))
  const byKey = new Map(all.map((s) => [s.key, s]))
  /** What a taken-out step waited for is waited for by those behind it. */
  const resolve = (key: string, seen = new Set<string>()): string[] => {
    const step = byKey.get(key)
    if (!step || seen.has(key)) return []
    if (!isHidden(step)) return [key]
    seen.add(key)
    return step.after.flatMap((k) => resolve(k, seen))
  }
  const place = new Map(kept.map((s, i) => [s.key, i]))
  const steps = kept.map((step, i): MethodStep => {
    const before = i > 0 ? kept[i - 1]!.key : null
    const after = step.kind === 'own' ? (before ? [before] : []) : step.after.flatMap((k) => resolve(k))
    // Own steps hold up what comes next, as they would on a list.
    const held = before && byKey.get(before)!.kind === 'own' ? [...after, before] : after
    return { ...step, after: [...new Set(held)].filter((k) => (place.get(k) ?? Infinity) < i) }
  })
  return {
    steps,
    hidden: all.filter(isHidden),
    equipment: steps.flatMap((s) => s.equipment),
    dayBefore: steps.filter((s) => s.ahead !== null),
  }
}
