import { computeAmounts } from '../formula/amounts.ts'
import { applyEdit } from '../formula/edit.ts'
import { difference } from '../formula/versions.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import type { Formula } from '../shapes/formula.ts'
import type { PlannedTrial } from '../shapes/trial.ts'
import { capitalise } from '../text/format.ts'

/** Materials that stand in a jar that was not kept and not in the one that was: each once, in the order of the samples. */
export function rejectedVariants(
  trial: PlannedTrial,
  keep: string | null,
  catalogue: Catalogue,
): { material: string; name: string }[] {
  const winner = trial.samples.find((s) => s.id === keep)?.formula
  if (!winner) return []
  const seen = new Set<string>()
  return trial.samples.flatMap((s) => {
    if (!s.formula || s.id === keep) return []
    return difference(winner, s.formula).flatMap((c) => {
      if (c.kind !== 'added' || seen.has(c.material)) return []
      seen.add(c.material)
      const known = catalogue.find(c.material)
      return known ? [{ material: known.id, name: capitalise(known.name) }] : []
    })
  })
}

/** A jar of a trial as the next version of its formula: at the size of the sheet and under its name. */
export const asVersionOf = (sheet: Formula, jar: Formula): Formula => ({
  ...applyEdit(jar, { type: 'scale-batch', batchGrams: computeAmounts(sheet).batchGrams }),
  name: sheet.name,
})
