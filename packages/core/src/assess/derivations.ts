import { PHASE_NAMES } from '../formula/written.ts'
import { computeAmounts } from '../formula/amounts.ts'
import { phaseLetter } from '../formula/keys.ts'
import type { Addition, Formula, Line, Phase } from '../shapes/formula.ts'
import { describeEmulsion, dissolvesOily } from '../emulsion/emulsion.ts'
import type { AssessedLine, Substance } from '../lines/types.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import { hasTrait } from '../shapes/material.ts'
import { resolveLine } from '../materials/resolve.ts'
import { weighedForm } from '../lines/weighed.ts'
import { tracesOf } from '../materials/traces.ts'
import { openEnds, predictPh, waterPhaseOf, whyNoPrediction } from '../ph/predict.ts'
import { CONVENTIONS } from '../shapes/conventions.ts'
import { phWindows } from './windows.ts'
import { premixSolubilities, solubilities } from '../solubility/solubility.ts'
import { describePreservation } from '../preservation/preservation.ts'
import type { Assessment, PhaseTotal } from './types.ts'

/** Names of what is mostly water, where the catalogue does not know it: an infusion, and no powder of it. */
const WATERY = new RegExp(`(^|-)(${CONVENTIONS.wateryInci.join('|')})($|-)(?!powder)`)
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

type Moment = 'now' | 'reading'
/**
 * What is in the vessel: the lines with what was logged and is no line yet. At the last reading: without additions that
 * came later, and without the phases after the one it was read after.
 */
function linesAt(
  formula: Formula,
  lines: readonly AssessedLine[],
  catalogue: Catalogue,
  moment: Moment,
): readonly AssessedLine[] {
  const readings = formula.readings ?? []
  const open = (formula.additions ?? []).filter(
    (x) => !x.inFormula && (moment === 'now' || x.afterReading < readings.length),
  )
  const after = moment === 'reading' ? readings.at(-1)?.afterPhase : undefined
  const last = after === undefined ? -1 : formula.phases.findIndex((p) => p.name === after)
  const late = (line: AssessedLine) => last >= 0 && line.phase > last
  if (open.length === 0 && !lines.some(late)) return lines
  const logged = open.map((x) => loggedLine(x, catalogue, lines.length))
  const taken = logged.reduce((sum, l) => sum + l.percent, 0)
  return [
    ...lines.map((l) =>
      late(l) ? { ...l, percent: 0 } : l.fill ? { ...l, percent: Math.max(0, l.percent - taken) } : l,
    ),
    ...logged,
  ]
}

/** What was logged, as the line that it would be. */
function loggedLine(addition: Addition, catalogue: Catalogue, index: number): AssessedLine {
  const { material, strengthPercent } = addition
  const source: Line = { material, ...(strengthPercent < 100 ? { strengthPercent } : {}) }
  const resolved = resolveLine(source, catalogue)
  const form = weighedForm(source, resolved)
  const percent = (100 * addition.grams) / addition.ofGrams
  return {
    phase: -1,
    line: index,
    percent,
    grams: addition.grams,
    counts: 0,
    fill: false,
    given: true,
    source,
    phaseSource: LOGGED,
    material: form.material,
    guess: resolved.guess,
    id: resolved.id,
    label: resolved.label,
    weighedAs: form.name,
    strengthWords: form.strengthWords,
    strengthPercent: form.strengthPercent,
    isSolution: form.isSolution,
    substances: resolved.substances,
    dosePercent: percent * resolved.doseFactor,
  }
}
const LOGGED: Phase = { name: PHASE_NAMES.adjust, role: 'adjust', lines: [] }

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
        strengthWords: form.strengthWords,
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
    ['formula', 'catalogue', 'lines', 'substances', 'waterPercent', 'emulsion', 'reading'],
    ['waterPhase', 'predictedPh', 'predictedAtReading', 'whyNoPh'],
    ({ formula, catalogue, lines, substances, waterPercent, emulsion, reading }) => {
      const waterPhase = waterPhaseOf(lines, substances, waterPercent)
      const ends = openEnds(lines, substances, waterPercent)
      const asWritten = predictPh(waterPhase, lines, emulsion, ends)
      const predict = (which: Moment) => {
        const inside = linesAt(formula, lines, catalogue, which)
        if (inside === lines) return asWritten
        const known = sumSubstances(inside)
        const water = sumOf(known, (s) => isWatery(s.key, catalogue))
        return predictPh(waterPhaseOf(inside, known, water), inside, emulsion, openEnds(inside, known, water))
      }
      return {
        waterPhase,
        predictedPh: predict('now'),
        whyNoPh: asWritten ? null : whyNoPrediction(waterPhase, lines, emulsion),
        predictedAtReading: reading ? predict('reading') : null,
      }
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
