import type { Formula } from '../shapes/formula.ts'
import { catalogue as defaultCatalogue, type Catalogue } from '../materials/catalogue.ts'
import { DERIVATIONS } from './derivations.ts'
import type { Assessment } from './types.ts'

/**
 * Works out a formula against the catalogue: amounts, substances, pH windows, preservation and emulsion.
 * Pure: the same formula and catalogue give the same value.
 */
export function assess(formula: Formula, catalogue: Catalogue = defaultCatalogue): Assessment {
  const known = { formula, catalogue } as Assessment
  for (const { derive, gives } of DERIVATIONS) {
    const derived = derive(known)
    for (const part of gives) known[part] = derived[part] as never
  }
  return { ...known }
}
