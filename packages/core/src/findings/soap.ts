import type { Assessment } from '../assess/types.ts'
import { linesOf } from '../assess/lines.ts'
import { soapOf } from '../emulsion/emulsion.ts'
import { hasTrait } from '../shapes/material.ts'
import type { PhPoint } from './facts.ts'
import { finding, type Rule, type Severity } from './types.ts'

/** Below the first a soap counts as fatty acid, between them half of it does, pH (Kanicky & Shah 2003; common practice). */
const FATTY_BELOW = 6
export const SOAP_FROM = 7
/** Acid that splits soap where no pH is known, percent. */
const SPLITS_FROM = 0.1

/** Lines that are soap, ready or made in place. */
export const soapLines = (a: Assessment): number[] => [
  ...new Set([...linesOf(a, (m) => hasTrait(m, 'soap')), ...soapOf(a.lines).lines]),
]

/** Whether nothing but the soap holds the oils. */
const soapEmulsifies = (a: Assessment) =>
  a.emulsion !== null &&
  !a.lines.some((l) => l.percent >= 1 && l.material?.emulsifier?.role === 'oil-in-water')

/** The pH that counts for soap, as a number and as what it is; null where neither a reading nor a target tells one. */
function phForSoap(a: Assessment): { ph: number; point: PhPoint } | null {
  const { targetPh } = a.formula
  if (a.reading) return { ph: a.reading.ph, point: { is: 'measured', ph: a.reading.ph } }
  if (targetPh) return { ph: (targetPh.min + targetPh.max) / 2, point: { is: 'target', range: targetPh } }
  return null
}

/** emulsion.soap-in-acid: a soap, or the fatty acid that emulsifies as its soap, where it turns into fatty acid. */
export const soapInAcid: Rule = (a) => {
  const soaps = soapLines(a)
  if (soaps.length === 0) return []
  const at = phForSoap(a)
  const acids = linesOf(a, (m) => m.kind === 'acid').filter((i) => a.lines[i]!.dosePercent >= SPLITS_FROM)
  if (at ? at.ph >= SOAP_FROM : acids.length === 0) return []
  const severity: Severity = at && at.ph < FATTY_BELOW && soapEmulsifies(a) ? 'stop' : 'check'
  const names = (indexes: readonly number[]) => indexes.map((i) => a.lines[i]!.label)
  return [
    finding(a, {
      code: 'emulsion.soap-in-acid',
      severity,
      indexes: [...soaps, ...(at ? [] : acids)],
      facts: {
        names: names(soaps),
        with: at ? at.point : { is: 'acids', names: names(acids) },
        splitsBelow: SOAP_FROM,
        emulsifies: soapEmulsifies(a),
      },
    }),
  ]
}
