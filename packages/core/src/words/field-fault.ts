import type * as z from 'zod'
import { cannotBeEntered, fieldFaults, ofSchema } from '#words/field-fault'
import { BatchEvent } from '../batch/events.ts'
import type { FieldFaultFacts } from '../shapes/field-fault.ts'
import { fieldName } from '../text/field-name.ts'
import type { Said } from '../text/said.ts'
import { say } from './say.ts'

/** What is wrong with a field, to stand behind its name: `must be a number`. */
export function fieldFaultText(issue: z.core.$ZodIssue): string {
  if (issue.message.startsWith('{"code"'))
    return say<FieldFaultFacts>(fieldFaults, JSON.parse(issue.message) as Said<FieldFaultFacts>)
  switch (issue.code) {
    case 'invalid_type':
      return ofSchema.type(issue.expected)
    case 'too_small':
      return ofSchema.least(Number(issue.minimum))
    case 'too_big':
      return ofSchema.most(Number(issue.maximum))
    case 'invalid_value':
      return ofSchema.values(issue.values.map(String).join(', '))
    case 'unrecognized_keys':
      return ofSchema.keys(issue.keys.join(', '))
    default:
      return ofSchema.other
  }
}

/** Why this entry could not be read again if it were stored, as a sentence; null where it could. */
export function eventFaultText(event: unknown): string | null {
  const parsed = BatchEvent.safeParse(event)
  const issue = parsed.success ? null : parsed.error.issues[0]
  return issue ? cannotBeEntered(fieldName(issue.path), fieldFaultText(issue)) : null
}
