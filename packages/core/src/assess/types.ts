import type { Catalogue } from '../materials/catalogue.ts'
import type { Amounts, LineAmount } from '../formula/amounts.ts'
import type { Formula, Line, Phase, Reading } from '../formula/schema.ts'
import type { Emulsion } from '../emulsion/emulsion.ts'
import type { Material } from '../materials/schema.ts'
import type { Trace } from '../materials/traces.ts'
import type { SubstanceShare } from '../materials/resolve.ts'
import type { PremixResult, SolubilityResult } from '../solubility/solubility.ts'
import type { PhWindows } from '../ph/windows.ts'
import type { PhPrediction, WaterPhase } from '../ph/predict.ts'
import type { Preservation } from '../preservation/preservation.ts'

/** A line with its material, its amount and what it is made of. */
export interface AssessedLine extends LineAmount {
  source: Line
  phaseSource: Phase
  material: Material | null
  /** Of a name that nobody knows: what its words tell of its kind; inferred, so never the ground of a limit. */
  guess: Material | null
  id: string
  label: string
  substances: readonly SubstanceShare[]
  /** Percent expressed at the strength that the material's usual range is written for. */
  dosePercent: number
}

export interface Substance {
  key: string
  inci: string
  /** Percent of the whole product, summed over every line that contains it. */
  percent: number
  /** Between these, where the share of a blend is not known; else the same. */
  low: number
  high: number
  /** Indexes into `lines`. */
  lines: number[]
}

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
  /** The water phase as the pH solver sees it. */
  waterPhase: WaterPhase | null
  predictedPh: PhPrediction | null
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
