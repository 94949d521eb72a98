// Writes the JSON Schema of the formula file from the Zod schema: docs/formula.schema.json.
import { writeFileSync } from 'node:fs'
import { formulaJsonSchema } from '../packages/core/src/formula/json-schema.ts'

writeFileSync(
  new URL('../docs/formula.schema.json', import.meta.url),
  `${JSON.stringify(formulaJsonSchema(), null, 2)}\n`,
)
