import * as z from 'zod'
import { Formula } from '../shapes/formula.ts'

/** The published JSON Schema (draft 2020-12) of the formula file, made from the schema that reads it. */
export const formulaJsonSchema = () => ({
  title: 'Omblet formula file',
  ...z.toJSONSchema(Formula, { io: 'input', unrepresentable: 'any' }),
})
