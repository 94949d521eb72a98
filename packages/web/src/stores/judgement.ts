import { assess, countFindings, findAll, isCaution, type Formula, type Severity } from '@omblet/core'
import { useMaterials } from './materials'

/** How many findings of each kind a formula has, as a card shows it. */
export type Counts = Record<Severity, number>

/**
 * What a list of formulas asks of the catalogue: how each is judged, and the words it can be found by. It is fetched after
 * the list is shown, for it brings the catalogue and every rule with it.
 */
export function useJudgement() {
  const materials = useMaterials()
  return {
    /** Another one where something was learnt that can change every answer. */
    knownBy: () => materials.catalogue as object,
    judge(formula: Formula): Counts {
      const findings = findAll(assess(formula, materials.catalogue))
      return countFindings(findings.filter((f) => !isCaution(f) || f.severity !== 'note'))
    },
    wordsOf: (formula: Formula) =>
      formula.phases.flatMap((p) =>
        p.lines.map(({ material }) => {
          const m = materials.catalogue.find(material)
          return m ? `${m.name} ${m.inci.join(' ')}` : material
        }),
      ),
    exportText: materials.exportText,
  }
}
export type Judgement = ReturnType<typeof useJudgement>
