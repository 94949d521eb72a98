import { applyEdit } from '../formula/edit.ts'
import type { Assessment } from '../assess/types.ts'
import { materialOfSubstance } from '../assess/carriers.ts'
import { hasTrait, type Material } from '../shapes/material.ts'
import { cosolventsOf, MOST_FRACTION } from '../lines/cosolvent.ts'
import { solubilityAt, type SolubilityResult } from '../solubility/solubility.ts'
import type { FindingFacts } from './facts.ts'
import { finding, type Finding, type Remedy, type Rule, type Severity } from './types.ts'
import { kindHas } from '../shapes/kinds.ts'

/** Lipophilic acids share themselves out into the oil of an emulsion, which the model does not count. */
const EMULSION_LENIENCE = 1.5
/** Up to here the model's own error may explain the excess. */
const CLEARLY = 1.2
const AIM = 0.65
/** A glycol is raised to so much at most, and so much water is left, percent. */
const MOST_SOLVENT = 45
const LEAST_WATER_LEFT = 10

const percentOfPhase = (a: Assessment) => {
  const mix = cosolventsOf(a.substances, a.waterPercent, a.catalogue)
  return { mix, phase: a.waterPercent + mix.massPercent }
}

/** Lowering the line until the water phase holds it, also in the cold. */
function lower(a: Assessment, result: SolubilityResult): Remedy[] {
  const only = result.lines.length === 1 ? a.lines[result.lines[0]!]! : null
  if (!only || only.fill || only.source.grams !== undefined) return []
  const to = Math.floor(only.percent * (AIM / Math.max(result.ratio, result.coldRatio * AIM)) * 100) / 100
  return to > 0 && to < only.percent
    ? [{ code: 'lower-to', facts: { percent: to }, edit: { type: 'set-percent', at: only, percent: to } }]
    : []
}

/** More of a glycol that the formula already has, when up to half of the water phase would do. */
function raiseSolvent(a: Assessment, result: SolubilityResult): Remedy[] {
  const lines = a.lines
    .filter((l) => l.material?.cosolvent && a.substances.has(l.material.id) && l.source.percent !== undefined)
    .sort((x, y) => gain(y.material!, result) - gain(x.material!, result))
  const best = lines[0]
  if (!best || gain(best.material!, result) < 0.8 || a.amounts.fillIndex === null) return []
  const own = a.substances.get(best.material!.id)!
  const solvents = new Map([...a.substances].filter(([key]) => a.catalogue.find(key)?.cosolvent))
  /** Whether so much of it holds the solid, also in the cold; null where the water phase would be no such phase. */
  const holds = (percent: number): boolean | null => {
    const water = a.waterPercent - (percent - best.percent)
    if (water < LEAST_WATER_LEFT) return null
    solvents.set(own.key, { ...own, percent: own.percent + percent - best.percent })
    const next = cosolventsOf(solvents, water, a.catalogue)
    if (next.total > MOST_FRACTION) return null
    const limit = solubilityAt(result.constants, a.workingPh, next)
    const concentration = (1000 * result.percent) / (water + next.massPercent)
    const cold = result.coldLimit / result.limit
    return concentration / limit < 0.7 && concentration / (limit * cold) <= 1
  }
  // More solvent holds more and leaves less water: the most that is possible, then the least that holds, by halving.
  const halve = (low: number, high: number, take: (percent: number) => boolean) => {
    while (high - low > 1) {
      const middle = Math.floor((low + high) / 2)
      if (take(middle)) high = middle
      else low = middle
    }
    return high
  }
  const from = Math.ceil(best.percent)
  const most = halve(from, MOST_SOLVENT + 1, (percent) => holds(percent) === null) - 1
  if (most <= from || holds(most) !== true) return []
  const high = halve(from, most, (percent) => holds(percent) === true)
  return [
    {
      code: 'raise-to',
      facts: { percent: high, name: best.weighedAs },
      edit: { type: 'set-percent', at: best, percent: high },
    },
  ]
}

const gain = ({ cosolvent }: Material, result: SolubilityResult) =>
  cosolvent && result.constants.logKow !== undefined ? cosolvent.s * result.constants.logKow + cosolvent.t : 0
/** Kept on purpose as a fine suspension by one school. */
const isSuspended = (a: Assessment, key: string) => {
  const m = materialOfSubstance(a, key)
  return m !== null && hasTrait(m, 'suspended')
}

/** From here a solid dissolves in what is hot, °C. */
const DISSOLVES_FROM = 50

/** What becomes of a fine powder that does not dissolve: needles where it was hot, and nothing holds it in bare water. */
function fateOf(a: Assessment, indexes: readonly number[]): 'needles' | 'held' | 'sinks' {
  const hot = indexes.some(
    (i) =>
      (a.lines[i]!.phaseSource.heatToC ?? 0) >= DISSOLVES_FROM && a.lines[i]!.phaseSource.role !== 'premix',
  )
  if (hot) return 'needles'
  const held =
    a.emulsion !== null ||
    a.lines.some((l) => l.percent > 0 && l.material && kindHas(l.material.kind, 'holds-up'))
  return held ? 'held' : 'sinks'
}

function describe(a: Assessment, result: SolubilityResult): Finding | null {
  const { verdict, constants } = result
  if (verdict === 'dissolves' || (verdict === 'cold' && result.ratio < 0.7 && result.coldRatio < CLEARLY))
    return null
  // A ready-made preservative brings its own solvents, which the model does not see.
  if (result.lines.every((i) => a.lines[i]!.material?.cover && a.lines[i]!.material?.parts)) return null
  const { mix, phase } = percentOfPhase(a)
  const solid = verdict === 'solid'
  const most = ((solid ? result.limit : result.coldLimit) * phase) / 1000
  const suspended = isSuspended(a, result.key)
  const dry = !suspended && isDry(result, mix.total)
  const common = {
    indexes: result.lines,
    source: { cite: 'solubility' as const, source: constants.source },
    ...(suspended ? suspendedVerdict(a, result) : dissolvedVerdict(a, result)),
  }
  const facts = { case: 'water' as const, solid: solidFacts(a, result, most, suspended, dry) }
  return dry
    ? finding(a, { code: 'solubility.no-solvent', ...common, facts })
    : finding(a, { code: 'solubility.may-crystallise', ...common, facts })
}

const isLipophilic = ({ constants }: SolubilityResult) => (constants.logKow ?? 0) > 1
const isDry = (result: SolubilityResult, solvents: number) =>
  result.verdict === 'solid' && result.ratio > 3 && solvents < 0.02 && isLipophilic(result)
type Verdict = { severity: Severity; remedies: Remedy[] }
const isClear = (result: SolubilityResult) => result.verdict === 'solid' && result.ratio > CLEARLY

function suspendedVerdict(a: Assessment, result: SolubilityResult): Verdict {
  const harms = isClear(result) && fateOf(a, result.lines) !== 'held'
  return { severity: harms ? 'check' : 'note', remedies: [] }
}

function dissolvedVerdict(a: Assessment, result: SolubilityResult): Verdict {
  const lenient = a.emulsion !== null && isLipophilic(result) && result.ratio < EMULSION_LENIENCE
  return {
    severity: isClear(result) && !lenient ? 'check' : 'note',
    remedies: [...lower(a, result), ...raiseSolvent(a, result)].filter((r) => settles(a, r)),
  }
}

type Solid = Extract<FindingFacts['solubility.may-crystallise'], { case: 'water' }>['solid']
function solidFacts(
  a: Assessment,
  result: SolubilityResult,
  mostPercent: number,
  suspended: boolean,
  dry: boolean,
): Solid {
  const { constants } = result
  const byPh = constants.pKa.length > 0 && constants.waterSolubility === undefined
  return {
    inci: constants.inci,
    percent: result.percent,
    mostPercent,
    factor: result.factor,
    ph: byPh ? a.workingPh : null,
    cold: result.verdict !== 'solid',
    fate: suspended ? (isClear(result) ? fateOf(a, result.lines) : 'suspended') : dry ? 'dry' : 'crystals',
  }
}

/** Offers only what stays a possible formula: the fill line must not go below zero. */
const settles = (a: Assessment, remedy: Remedy) =>
  applyEdit(a.formula, remedy.edit)
    .phases.flatMap((p) => p.lines)
    .reduce((s, l) => s + (l.percent ?? 0), 0) <= 100

/** solubility.may-crystallise and solubility.no-solvent in the water phase. */
export const dissolving: Rule = (a) =>
  a.emulsion?.type === 'water-in-oil' ? [] : a.solubility.flatMap((result) => describe(a, result) ?? [])

/** solubility.may-crystallise in a premix: more than its own glycol and water take up at its temperature. */
export const premixes: Rule = (a) =>
  a.premixes.flatMap((p) => {
    const held = (p.limit * p.solventPercent) / 1000
    const has = (p.concentration * p.solventPercent) / 1000
    // Only what is clearly beyond the model's own error; a suspension is a school of its own.
    if (p.concentration < p.limit * p.factor || isSuspended(a, p.key)) return []
    const phase = a.phases[p.phase]!
    return [
      finding(a, {
        code: 'solubility.may-crystallise',
        severity: 'note',
        indexes: p.lines,
        facts: {
          case: 'premix',
          phase: phase.letter,
          inci: p.constants.inci,
          heldPercent: held,
          percent: has,
          celsius: p.celsius,
          factor: p.factor,
        },
        source: { cite: 'solubility', source: p.constants.source },
      }),
    ]
  })

/** solubility.no-solvent and may-crystallise: an oil-soluble solid with next to no oil, or more than the cold oils hold. */
export const oilSolids: Rule = (a) => {
  const oils = a.lines.reduce(
    (s, l) =>
      s + (l.material && kindHas(l.material.kind, 'dissolves-solids') && l.percent > 0 ? l.percent : 0),
    0,
  )
  return a.lines.flatMap((line, index) => {
    const m = line.material
    if (!m || line.percent <= 0 || !(hasTrait(m, 'oil-solid') || m.oilHoldsPercent !== undefined)) return []
    if (hasTrait(m, 'oil-solid') && oils < line.percent * 5)
      return [
        finding(a, {
          code: 'solubility.no-solvent',
          severity: 'check',
          indexes: [index],
          facts: { case: 'oil', name: line.label, oilsPercent: oils },
        }),
      ]
    const held = m.oilHoldsPercent === undefined ? Infinity : (oils * m.oilHoldsPercent) / 100
    if (line.percent <= held * CLEARLY) return []
    return [
      finding(a, {
        code: 'solubility.may-crystallise',
        severity: 'check',
        indexes: [index],
        facts: {
          case: 'oil',
          name: line.label,
          oilsPercent: oils,
          heldPercent: held,
          percent: line.percent,
        },
      }),
    ]
  })
}
