import { assess } from '../assess/assess.ts'
import type { Assessment } from '../assess/types.ts'
import { findAll } from '../findings/index.ts'
import type { Finding } from '../findings/types.ts'
import type { Formula } from '../shapes/formula.ts'
import { inciList } from '../label/ingredients.ts'
import { findingText, noPhText } from '../words/index.ts'

const round = (value: number, places = 6) => Number(value.toFixed(places))
const orNull = (value: number | null, places: number) => (value === null ? null : round(value, places))

/** What `omblet check` prints: the evaluation of a formula as plain data. Percents are w/w, grams at the scale's resolution. */
export function report(
  formula: Formula,
  assessment: Assessment = assess(formula),
  findings: readonly Finding[] = findAll(assessment),
) {
  const { amounts, emulsion: e } = assessment
  return {
    total: { percent: round(amounts.totalPercent), grams: amounts.totalGrams, balanced: amounts.balanced },
    lines: assessment.lines.map((line) => ({
      phase: line.phaseSource.name,
      material: line.id,
      strengthPercent: line.strengthPercent,
      percent: round(line.percent),
      grams: line.grams,
      fill: line.fill,
    })),
    ph: {
      window: assessment.ph.shared,
      predicted: assessment.predictedPh && {
        value: round(assessment.predictedPh.value, 2),
        low: round(assessment.predictedPh.low, 2),
        high: round(assessment.predictedPh.high, 2),
      },
      ...(assessment.whyNoPh === null ? {} : { why: noPhText(assessment.whyNoPh) }),
    },
    emulsion: e && {
      type: e.type,
      oilPhasePercent: round(e.oilPhasePercent, 4),
      oilsPercent: round(e.oilsPercent, 4),
      emulsifierPercent: round(e.emulsifierPercent, 4),
      richness: e.richness,
      requiredHlb: orNull(e.requiredHlb, 2),
      offeredHlb: orNull(e.offeredHlb, 2),
    },
    findings: findings.map((f) => {
      const { message, why, source } = findingText(f)
      return { code: f.code, severity: f.severity, materials: f.materials, message, why, source }
    }),
    inci: inciList(assessment),
  }
}
