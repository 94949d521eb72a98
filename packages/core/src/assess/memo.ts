import type { Assessment } from './types.ts'

/**
 * What is worked out once for an assessment and asked for by many rules, one after another: the last two are kept, the
 * assessment and the one with inferred kinds. (A weak map for each would cost the collector more than it saves.)
 */
export function memoizeByAssessment<T>(make: (a: Assessment) => T): (a: Assessment) => T {
  let first: { a: Assessment; value: T } | null = null
  let second: { a: Assessment; value: T } | null = null
  return (a) => {
    if (first?.a === a) return first.value
    if (second?.a === a) return second.value
    second = first
    first = { a, value: make(a) }
    return first.value
  }
}
