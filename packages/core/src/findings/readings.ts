import { adjusterKey } from '../dosing/fit.ts'
import { adjusterAsWeighed } from '../dosing/log.ts'
import { finding, type Rule } from './types.ts'

/** record.adjuster-not-counted: acid or alkali went in and is not in the formula. */
export const notCounted: Rule = (a) => {
  const open = (a.formula.additions ?? []).filter((x) => !x.inFormula)
  if (open.length === 0) return []
  const names = [...new Set(open.map((x) => adjusterAsWeighed(x, a.catalogue)))]
  return [
    finding(a, {
      code: 'record.adjuster-not-counted',
      severity: 'note',
      materials: [...new Set(open.map((x) => adjusterKey(x.material) ?? x.material))],
      facts: { names },
    }),
  ]
}

/** ph.not-final: a phase, or an adjuster, that went in after the pH was read. */
export const notFinal: Rule = (a) => {
  const since = (a.formula.additions ?? []).filter(
    (x) => !x.inFormula && x.afterReading >= (a.formula.readings?.length ?? 0),
  )
  if (a.reading && since.length > 0)
    return [
      finding(a, {
        code: 'ph.not-final',
        severity: 'check',
        materials: [],
        facts: {
          case: 'additions',
          names: [...new Set(since.map((x) => adjusterAsWeighed(x, a.catalogue)))],
        },
      }),
    ]
  const after = a.reading?.afterPhase
  if (!after) return []
  const at = a.formula.phases.findIndex((p) => p.name === after)
  const later = a.phases.filter((p, i) => at >= 0 && i > at && p.lines > 0 && p.percent > 0)
  if (later.length === 0) return []
  return [
    finding(a, {
      code: 'ph.not-final',
      severity: 'check',
      materials: [],
      facts: { case: 'phases', after, later: later.map((p) => p.name || p.letter) },
    }),
  ]
}

/** ph.not-measured: pH matters here, and nobody has read it. */
export const notMeasured: Rule = (a) => {
  const { shared } = a.ph
  if (a.reading || a.emulsion?.type === 'water-in-oil' || a.waterPercent < 5) return []
  const narrow = shared !== null && shared.max - shared.min <= 3.5
  // acids and bases, preservatives that need a pH, the eye area, a target: there it matters
  const moved = a.lines.some(
    (l) => l.percent > 0 && (l.material?.kind === 'acid' || l.material?.kind === 'base'),
  )
  if (!narrow && !moved && a.formula.product.site !== 'eye' && !a.formula.targetPh) return []
  return [
    finding(a, {
      code: 'ph.not-measured',
      severity: 'note',
      materials: [],
      facts: {},
    }),
  ]
}
