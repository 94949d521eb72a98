import { computeAmounts } from '../formula/amounts.ts'
import { phaseLetter } from '../formula/keys.ts'
import type { Formula } from '../shapes/formula.ts'
import { describeEmulsion, dissolvesOily } from '../emulsion/emulsion.ts'
import type { AssessedLine, Substance } from '../lines/types.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import { hasTrait } from '../shapes/material.ts'
import { resolveLine } from '../materials/resolve.ts'
import { weighedForm } from '../lines/weighed.ts'
import { tracesOf } from '../materials/traces.ts'
import { openEnds, predictPh, waterPhaseOf } from '../ph/predict.ts'
import { phWindows } from './windows.ts'
import { premixSolubilities, solubilities } from '../solubility/solubility.ts'
import { describePreservation } from '../preservation/preservation.ts'
import type { Assessment, PhaseTotal } from './types.ts'

/** Substances that are mostly water: hydrosols, juices, ferment filtrates, mucilages, and water itself. */
const WATERY =
  /(^|-)(aqua|water|juice|hydrosol|infusion|filtrate|lactobacillus-ferment|mucilage)($|-)(?!powder)/
/** By what its name says, or by what is known of it. */
function isWatery(key: string, catalogue: Catalogue) {
  if (WATERY.test(key)) return true
  const m = catalogue.find(key)
  return m !== null && hasTrait(m, 'watery')
}

/** Percent of each substance over all lines that contain it. */
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

const sumOf = (substances: ReadonlyMap<string, Substance>, test: (s: Substance) => boolean) => {
  let sum = 0
  for (const s of substances.values()) if (test(s)) sum += s.percent
  return sum
}

/** What a premix without a temperature is mixed at, °C: the constants' own. */
const AT_ROOM_C = 25

/** Premixes with what is in them; those without a solid or a solvent come out empty later. */
const premixesOf = (formula: Formula, lines: readonly AssessedLine[], catalogue: Catalogue) =>
  formula.phases.flatMap((phase, index) => {
    if (phase.role !== 'premix') return []
    const substances = sumSubstances(lines.map((l) => (l.phase === index ? l : { ...l, percent: 0 })))
    const waterPercent = sumOf(substances, (s) => isWatery(s.key, catalogue))
    return [{ index, celsius: phase.heatToC ?? AT_ROOM_C, waterPercent, substances }]
  })

/** Doses at the strength that usual ranges are written for, by material. */
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

type Part = keyof Assessment
/** One step of an assessment: from what it needs, and nothing else, to what it gives. */
export interface Derivation<Needs extends Part = Part, Gives extends Part = Part> {
  needs: readonly Needs[]
  gives: readonly Gives[]
  derive: (known: Pick<Assessment, Needs>) => Pick<Assessment, Gives>
}
const derivation = <Needs extends Part, Gives extends Part>(
  needs: readonly Needs[],
  gives: readonly Gives[],
  derive: (known: Pick<Assessment, Needs>) => Pick<Assessment, Gives>,
): Derivation => ({ needs, gives, derive }) as unknown as Derivation

/** What is worked out of a formula, in this order: each step reads only what those before it gave. */
export const DERIVATIONS: readonly Derivation[] = [
  derivation(['formula'], ['amounts', 'reading'], ({ formula }) => ({
    amounts: computeAmounts(formula),
    reading: formula.readings?.at(-1) ?? null,
  })),
  derivation(['formula', 'catalogue', 'amounts'], ['lines'], ({ formula, catalogue, amounts }) => ({
    lines: amounts.lines.map((amount): AssessedLine => {
      const phaseSource = formula.phases[amount.phase]!
      const source = phaseSource.lines[amount.line]!
      const resolved = resolveLine(source, catalogue)
      const form = weighedForm(source, resolved)
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
        material: form.material,
        guess: resolved.guess,
        id: resolved.id,
        label: resolved.label,
        weighedAs: form.name,
        strengthPercent: form.strengthPercent,
        isSolution: form.isSolution,
        substances: resolved.substances,
        dosePercent: Math.max(0, amount.percent) * resolved.doseFactor,
      }
    }),
  })),
  derivation(['formula', 'amounts', 'lines'], ['phases'], ({ formula, amounts, lines }) => ({
    phases: formula.phases.map((phase, index): PhaseTotal => {
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
    }),
  })),
  derivation(['lines'], ['substances', 'doses', 'traces'], ({ lines }) => ({
    substances: sumSubstances(lines),
    doses: sumDoses(lines),
    traces: tracesOf(lines),
  })),
  derivation(
    ['substances', 'catalogue'],
    ['waterPercent', 'alcoholPercent'],
    ({ substances, catalogue }) => ({
      waterPercent: sumOf(substances, (s) => isWatery(s.key, catalogue)),
      alcoholPercent: sumOf(substances, (s) => {
        const m = s.percent > 0 ? catalogue.find(s.key) : null
        return m !== null && hasTrait(m, 'alcohol')
      }),
    }),
  ),
  derivation(['lines', 'waterPercent'], ['emulsion'], ({ lines, waterPercent }) => ({
    emulsion: describeEmulsion(lines, waterPercent),
  })),
  derivation(
    ['lines', 'substances', 'doses', 'waterPercent', 'alcoholPercent', 'catalogue'],
    ['preservation'],
    ({ lines, ...known }) => ({
      preservation: describePreservation({
        ...known,
        lines,
        oilPercent: lines.reduce(
          (s, l) => (l.material && dissolvesOily(l.material) ? s + Math.max(0, l.percent) : s),
          0,
        ),
      }),
    }),
  ),
  derivation(
    ['lines', 'substances', 'waterPercent', 'emulsion'],
    ['waterPhase', 'predictedPh'],
    ({ lines, substances, waterPercent, emulsion }) => {
      const waterPhase = waterPhaseOf(lines, substances, waterPercent)
      const ends = openEnds(lines, substances, waterPercent)
      return { waterPhase, predictedPh: predictPh(waterPhase, lines, emulsion, ends) }
    },
  ),
  derivation(
    ['formula', 'reading', 'predictedPh'],
    ['workingPh'],
    ({ formula: { targetPh }, reading, predictedPh }) => ({
      workingPh: reading?.ph ?? (targetPh ? (targetPh.min + targetPh.max) / 2 : (predictedPh?.value ?? null)),
    }),
  ),
  derivation(
    ['formula', 'lines', 'doses', 'preservation'],
    ['ph'],
    ({ formula, lines, doses, preservation }) => ({
      ph: phWindows({ lines, doses, preservation, product: formula.product }),
    }),
  ),
  derivation(
    ['substances', 'waterPercent', 'workingPh', 'waterPhase', 'catalogue'],
    ['solubility'],
    ({ substances, waterPercent, workingPh, waterPhase, catalogue }) => ({
      solubility: solubilities({
        substances,
        waterPercent,
        ph: workingPh,
        catalogue,
        ionicStrength: waterPhase ? Math.min(0.5, Math.abs(waterPhase.system.strongCharge)) : 0,
      }),
    }),
  ),
  derivation(['formula', 'lines', 'catalogue'], ['premixes'], ({ formula, lines, catalogue }) => ({
    premixes: premixSolubilities(premixesOf(formula, lines, catalogue)),
  })),
]
