import type { Assessment } from '../assess/types.ts'
import { namedAllergens } from '../findings/traces.ts'

/**
 * INCI names in label order: falling percent, every substance once over all lines and blends. What is under 1 % may
 * stand in any order after that; fragrance allergens that analyses put above the threshold close the list (Regulation (EC) 1223/2009, Article 19(1)(g)); here it falls too, ties by name.
 */
export function inciList(assessment: Assessment): string[] {
  const listed = [...assessment.substances.values()]
    .filter((substance) => substance.percent > 0)
    .sort((a, b) => b.percent - a.percent || a.inci.localeCompare(b.inci, 'en'))
    .map((substance) => substance.inci)
  if (assessment.formula.product.region === 'US') return listed
  return [
    ...listed,
    ...namedAllergens(assessment)
      .filter(({ key }) => !((assessment.substances.get(key)?.percent ?? 0) > 0))
      .sort((a, b) => b.percent - a.percent)
      .map(({ inci }) => inci),
  ]
}
