import type { FieldFaultFacts } from '../../shapes/field-fault.ts'
import type { Sentences } from '../../text/said.ts'

const measured = (value: number, unit?: string) =>
  `${value.toLocaleString('en', { maximumFractionDigits: 4 }).replace('-', '−')}${unit ? ` ${unit}` : ''}`

/** What is wrong with a field: what stands behind its name. */
export const fieldFaults: Sentences<FieldFaultFacts> = {
  'no-number': () => 'must be a number',
  'above-zero': () => 'must be more than 0',
  negative: () => 'must not be negative',
  'too-large': () => 'is too large to be an amount',
  'at-least': ({ least, unit }) =>
    unit ? `must be ${measured(least, unit)} or more` : `must be at least ${measured(least)}`,
  'at-most': ({ most, unit }) =>
    unit ? `must be ${measured(most, unit)} or less` : `must be at most ${measured(most)}`,
  between: ({ least, most }) => `must be between ${least} and ${most}`,
  'not-zero': () => 'must not be 0',
  'no-text': () => 'must be text',
  'too-long': ({ most }) => `must be ${most} characters or fewer`,
  'one-of': ({ values }) => `must be one of: ${values.join(', ')}`,
  'no-flag': () => 'must be true or false',
  'ends-swapped': () => 'its min must not be above its max',
  'no-material': () => 'must name a material',
  'no-name': () => 'must be a name',
  'no-volume': () => 'must be a volume in mL',
  'no-count': () => 'must be a count',
  'no-day': () => 'must be a day such as 2026-05-01',
  'no-base64': () => 'must be base64',
  'fill-with-amount': () => 'is the fill line, so it takes what is left and must have no percent or grams',
  'no-list': ({ of }) => `must be a list of ${of}`,
  'too-many': ({ of, most }) => `must have ${most} ${of} or fewer`,
  'second-fill': () =>
    'is a second fill line; only one line can take what is left, so give this one an amount',
  'too-many-lines': ({ lines, most }) => `has ${lines} lines in all; a formula holds ${most} at most`,
}

/** What a schema says by itself, where no code was given: `expected` is its name of a type. */
export const ofSchema = {
  type: (expected: string) => `must be ${expected}`,
  least: (least: number) => `must be at least ${measured(least)}`,
  most: (most: number) => `must be at most ${measured(most)}`,
  values: (values: string) => `must be one of: ${values}`,
  keys: (keys: string) => `has unknown fields: ${keys}`,
  other: 'cannot be read',
}
export const cannotBeEntered = (field: string, fault: string) => `This cannot be entered: ${field} ${fault}.`
