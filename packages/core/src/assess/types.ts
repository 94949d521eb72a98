import type { NoPhFacts } from '../ph/said.ts'
import type { Said } from '../text/said.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import type { Amounts } from '../formula/amounts.ts'
import type { Formula, Phase, Reading } from '../shapes/formula.ts'
import type { Emulsion } from '../emulsion/emulsion.ts'
import type { Trace } from '../materials/traces.ts'
import type { AssessedLine, Substance } from '../lines/types.ts'
import type { PremixResult, SolubilityResult } from '../solubility/solubility.ts'
import type { PhWindows } from './windows.ts'
import type { PhPrediction, WaterPhase } from '../ph/predict.ts'
import type { Preservation } from '../preservation/preservation.ts'

export interface PhaseTotal {
  name: string
  letter: string
  role: Phase['role']
  percent: number
  grams: number
  lines: number
}

/** Everything worked out about a formula, once. Findings, screens, prints and files read only this. */
export interface Assessment {
  /** What it was worked out with: views of it ask the same. */
  catalogue: Catalogue
  formula: Formula
  amounts: Amounts
  lines: readonly AssessedLine[]
  phases: readonly PhaseTotal[]
  substances: ReadonlyMap<string, Substance>
  /** What natural oils bring along, known or not; see `tracesOf`. */
  traces: ReadonlyMap<string, Trace>
  /** Doses by material id at the reference strength, summed over lines. */
  doses: ReadonlyMap<string, { percent: number; lines: number[] }>
  waterPercent: number
  alcoholPercent: number
  ph: PhWindows
  /** The water phase of the lines as the pH solver sees it, without what was logged. */
  waterPhase: WaterPhase | null
  predictedPh: PhPrediction | null
  /** Why there is none; null where there is one. */
  whyNoPh: Said<NoPhFacts> | null
  /** The same for what was in when the last reading was taken. */
  predictedAtReading: PhPrediction | null
  /** What may not stay dissolved, at the pH read, else aimed for, else predicted. */
  solubility: readonly SolubilityResult[]
  /** The same for each premix, at its own temperature. */
  premixes: readonly PremixResult[]
  /** That pH; null when nothing is known of it. */
  workingPh: number | null
  reading: Reading | null
  preservation: Preservation
  emulsion: Emulsion | null
}
