import type { Plain } from '../text/said.ts'

/** What is wrong with a field of a file: a code with its facts, which travels as the message of the schema. */
export interface FieldFaultFacts {
  'no-number': Plain
  'above-zero': Plain
  negative: Plain
  'too-large': Plain
  'at-least': { least: number; unit?: string }
  'at-most': { most: number; unit?: string }
  between: { least: number; most: number }
  'not-zero': Plain
  'no-text': Plain
  'too-long': { most: number }
  'one-of': { values: readonly string[] }
  'no-flag': Plain
  'ends-swapped': Plain
  'no-material': Plain
  'no-name': Plain
  'no-volume': Plain
  'no-count': Plain
  'no-day': Plain
  'no-base64': Plain
  'fill-with-amount': Plain
  'no-list': { of: 'lines' | 'phases' }
  'too-many': { of: 'lines' | 'phases'; most: number }
  'second-fill': Plain
  'too-many-lines': { lines: number; most: number }
}

/** The message of a schema: a code with its facts, to be put into words where the field is named. */
export const fieldFault = <C extends keyof FieldFaultFacts>(
  code: C,
  ...[facts]: keyof FieldFaultFacts[C] extends never ? [] : [FieldFaultFacts[C]]
): { error: string } => ({ error: JSON.stringify({ code, ...facts }) })
