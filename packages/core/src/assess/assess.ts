import { computeAmounts } from '../formula/amounts.ts'
import { phaseLetter } from '../formula/keys.ts'
import type { Formula } from '../shapes/formula.ts'
import { describeEmulsion, dissolvesOily } from '../emulsion/emulsion.ts'
import { catalogue as defaultCatalogue, type Catalogue } from '../materials/catalogue.ts'
import { hasTrait } from '../shapes/material.ts'
import { resolveLine } from '../materials/resolve.ts'
import { tracesOf } from '../materials/traces.ts'
import { openEnds, predictPh, waterPhaseOf } from '../ph/predict.ts'
import { phWindows } from './windows.ts'
import { premixSolubilities, solubilities } from '../solubility/solubility.ts'
import { describePreservation } from '../preservation/preservation.ts'
import type { Assessment, PhaseTotal } from './types.ts'
import type { AssessedLine, Substance } from '../lines/types.ts'

/** Substances that are mostly water: hydrosols, juices, ferment filtrates, mucilages, and water itself. */
const WATERY =
  /(^|-)(aqua|water|juice|hydrosol|infusion|filtrate|lactobacillus-ferment|mucilage)($|-)(?!powder)/
/** By what its name says, or by what is known of it. */
function isWatery(key: string, catalogue: Catalogue) {
  if (WATERY.test(key)) return true
  const m = catalogue.find(key)
  return m !== null && hasTrait(m, 'watery')
}

function sumSubstances(lines: readonly AssessedLine[]): Map<string, Substance> {
  const all = new Map<string, Substance>()
  lines.forEach((line, index) => {
    const of = Math.max(0, line.percent) / 100
    for (const { key, inci, share, low, high } of line.substances) {
      const percent = of * share
      const seen = all.get(key)
      if (seen) {
        seen.percent += percent
        seen.low += of * low
        seen.high += of * high
        seen.lines.push(index)
      } else {
        all.set(key, { key, inci, percent, low: of * low, high: of * high, lines: [index] })
      }
    }
  })
  return all
}

const ROOM_C = 25

/** Premixes with what is in them; those without a solid or a solvent come out empty later. */
const premixesOf = (formula: Formula, lines: readonly AssessedLine[], catalogue: Catalogue) =>
  formula.phases.flatMap((phase, index) => {
    if (phase.role !== 'premix') return []
    const substances = sumSubstances(lines.map((l) => (l.phase === index ? l : { ...l, percent: 0 })))
    const waterPercent = [...substances.values()].reduce(
      (sum, s) => sum + (isWatery(s.key, catalogue) ? s.percent : 0),
      0,
    )
    return [{ index, celsius: phase.heatToC ?? ROOM_C, waterPercent, substances }]
  })

function sumDoses(lines: readonly AssessedLine[]) {
  const doses = new Map<string, { percent: number; lines: number[] }>()
  lines.forEach((line, index) => {
    if (!line.material) return
    const seen = doses.get(line.material.id)
    if (seen) {
      seen.percent += line.dosePercent
      seen.lines.push(index)
    } else {
      doses.set(line.material.id, { percent: line.dosePercent, lines: [index] })
    }
  })
  return doses
}

/**
 * Works out a formula against the catalogue: amounts, substances, pH windows, preservation and emulsion.
 * Pure: the same formula and catalogue give the same value.
 */
export function assess(formula: Formula, catalogue: Catalogue = defaultCatalogue): Assessment {
  const amounts = computeAmounts(formula)
  const lines = amounts.lines.map((amount): AssessedLine => {
    const phaseSource = formula.phases[amount.phase]!
    const source = phaseSource.lines[amount.line]!
    const resolved = resolveLine(source, catalogue)
    // Spelt out: spreading here is the slowest thing an assessment would do.
    return {
      phase: amount.phase,
      line: amount.line,
      percent: amount.percent,
      grams: amount.grams,
      counts: amount.counts,
      fill: amount.fill,
      given: amount.given,
      source,
      phaseSource,
      material: resolved.material,
      guess: resolved.guess,
      id: resolved.id,
      label: resolved.label,
      substances: resolved.substances,
      dosePercent: Math.max(0, amount.percent) * resolved.doseFactor,
    }
  })
  const phases = formula.phases.map((phase, index): PhaseTotal => {
    const own = lines.filter((line) => line.phase === index)
    return {
      name: phase.name,
      letter: phaseLetter(index),
      role: phase.role,
      percent: Number(own.reduce((sum, line) => sum + line.percent, 0).toFixed(9)),
      grams: Number(
        (own.reduce((sum, line) => sum + line.counts, 0) * amounts.resolutionGrams).toPrecision(13),
      ),
      lines: own.length,
    }
  })
  const substances = sumSubstances(lines)
  const doses = sumDoses(lines)
  const waterPercent = [...substances.values()].reduce(
    (sum, s) => sum + (isWatery(s.key, catalogue) ? s.percent : 0),
    0,
  )
  const alcoholPercent = [...substances.values()].reduce((sum, s) => {
    const m = s.percent > 0 ? catalogue.find(s.key) : null
    return m && hasTrait(m, 'alcohol') ? sum + s.percent : sum
  }, 0)
  const emulsion = describeEmulsion(lines, waterPercent)
  const preservation = describePreservation({
    lines,
    substances,
    doses,
    waterPercent,
    alcoholPercent,
    oilPercent: lines.reduce(
      (s, l) => (l.material && dissolvesOily(l.material) ? s + Math.max(0, l.percent) : s),
      0,
    ),
    catalogue,
  })
  const waterPhase = waterPhaseOf(lines, substances, waterPercent)
  const predictedPh = predictPh(waterPhase, lines, emulsion, openEnds(lines, substances, waterPercent))
  const reading = formula.readings?.at(-1) ?? null
  const { targetPh } = formula
  const workingPh =
    reading?.ph ?? (targetPh ? (targetPh.min + targetPh.max) / 2 : (predictedPh?.value ?? null))
  return {
    catalogue,
    formula,
    amounts,
    lines,
    phases,
    substances,
    traces: tracesOf(lines),
    doses,
    waterPercent,
    alcoholPercent,
    ph: phWindows({ lines, doses, preservation, product: formula.product }),
    waterPhase,
    predictedPh,
    workingPh,
    solubility: solubilities({
      substances,
      waterPercent,
      ph: workingPh,
      catalogue,
      ionicStrength: waterPhase ? Math.min(0.5, Math.abs(waterPhase.system.strongCharge)) : 0,
    }),
    premixes: premixSolubilities(premixesOf(formula, lines, catalogue)),
    reading,
    preservation,
    emulsion,
  }
}
