import { common } from '#words/common'
import { range as texts } from '#words/components'
import { parseNumber, type FieldLimits } from '@omblet/core'

export type ReadRange = { value: { min: number; max: number } | undefined } | { error: string }

/** Two fields as a range; both may stay empty. Errors are sentences that say what to do. */
export function readRange(low: string, high: string, limits: FieldLimits): ReadRange {
  const a = parseNumber(low, limits)
  const b = parseNumber(high, limits)
  if ('error' in a) return { error: a.error }
  if ('error' in b) return { error: b.error }
  if (a.value === null && b.value === null) return { value: undefined }
  if (a.value === null || b.value === null) return { error: texts.enterBothEndsOfThe }
  return a.value <= b.value
    ? { value: { min: a.value, max: b.value } }
    : { error: common.theFirstNumberMustNot }
}
