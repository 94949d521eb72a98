import type { Assessment } from '../assess/types.ts'
import { amount, missingAmounts } from './amount.ts'
import { cautions } from './cautions.ts'
import { natural, spf, unsupported } from './claims.ts'
import { antioxidant, charge, chelator, emulsifier, oilLoad, volumes } from './emulsion.ts'
import { hlb } from './hlb.ts'
import { pairs } from './pairs.ts'
import { notCounted, notFinal, notMeasured } from './readings.ts'
import { hot, mustMelt, wrongPhase } from './heat.ts'
import { legal } from './legal.ts'
import { material } from './material.ts'
import {
  drift,
  implausible,
  noSharedWindow,
  notMeasurable,
  outsideWindow,
  predicted,
  preferences,
  strip,
} from './ph.ts'
import { unsafe } from './unsafe-ph.ts'
import { whichGrade } from './grades.ts'
import { heat, low, missing, taken } from './preservative.ts'
import { ineffective, outsidePh } from './preservative-ph.ts'
import { apart, heatedAbove, heatNotSaid, neutralisedEarly, notJoined, wrongWay } from './procedure.ts'
import { dissolving, oilSolids, premixes } from './solubility.ts'
import {
  electrolyte,
  hydration,
  makeUpWater,
  neutralising,
  outsidePh as bodyOutsidePh,
  slurry,
} from './thickener.ts'
import { allergens, formaldehyde, unknownContent } from './traces.ts'
import { soapInAcid } from './soap.ts'
import { total } from './total.ts'
import type { Finding, Rule, Severity } from './types.ts'
import { exfoliants, extracts, scentTotal } from './loads.ts'
import { upperRange, usage } from './usage.ts'
import { weighing } from './weighing.ts'

/** Every rule, in the order in which its findings are read within one severity. */
export const RULES: readonly Rule[] = [
  total,
  missingAmounts,
  amount,
  material,
  legal,
  missing,
  low,
  ineffective,
  taken,
  heat,
  outsidePh,
  noSharedWindow,
  outsideWindow,
  notFinal,
  notCounted,
  unsafe,
  predicted,
  implausible,
  dissolving,
  oilSolids,
  premixes,
  emulsifier,
  soapInAcid,
  oilLoad,
  volumes,
  charge,
  hlb,
  pairs,
  electrolyte,
  neutralising,
  bodyOutsidePh,
  usage,
  scentTotal,
  exfoliants,
  hot,
  wrongPhase,
  mustMelt,
  notJoined,
  apart,
  heatedAbove,
  heatNotSaid,
  wrongWay,
  neutralisedEarly,
  spf,
  natural,
  unsupported,
  weighing,
  antioxidant,
  chelator,
  extracts,
  upperRange,
  slurry,
  whichGrade,
  unknownContent,
  allergens,
  formaldehyde,
  preferences,
  strip,
  drift,
  notMeasurable,
  notMeasured,
  hydration,
  makeUpWater,
  cautions,
]

const ORDER: Record<Severity, number> = { stop: 0, check: 1, note: 2 }

/** Reminders for making and using: good to know, and no fault of the formula. */
const REMINDERS = new Set([
  'ph.not-measured',
  'process.hydration-time',
  'process.make-up-water',
  'ph.drift-expected',
])
export const isCaution = (finding: Finding) =>
  finding.code.startsWith('safety.') || REMINDERS.has(finding.code)

/** All findings of an assessed formula: stops, then checks, then notes. */
export function findAll(assessment: Assessment, rules: readonly Rule[] = RULES): Finding[] {
  return rules.flatMap((rule) => rule(assessment)).sort((a, b) => ORDER[a.severity] - ORDER[b.severity])
}

export function countFindings(findings: readonly Finding[]) {
  const counts = { stop: 0, check: 0, note: 0 }
  for (const { severity } of findings) counts[severity]++
  return counts
}
