import type { AssessedLine, Substance } from '../lines/types.ts'
import type { MaterialKind } from '../shapes/material.ts'
import { soapOf, type Emulsion } from '../emulsion/emulsion.ts'
import { hasTrait } from '../shapes/material.ts'
import type { Said } from '../text/said.ts'
import type { NoPhFacts } from './said.ts'
import { sigmaOf, cosolventsOf } from '../lines/cosolvent.ts'
import { acidBaseOf, type AcidBase } from './acid-base.ts'
import { solvePh, withCharge, type PhFamily, type PhSystem } from './solver.ts'

/** A family of the formula's water phase, with what it is called. */
export interface NamedFamily extends PhFamily {
  key: string
  /** Percent of the whole product. */
  percent: number
  polymer: boolean
}

export interface WaterPhase {
  system: Omit<PhSystem, 'families'> & { families: readonly NamedFamily[] }
  /** Water, percent of the product. */
  waterPercent: number
  /** Water-miscible liquids as a share of the water phase, percent. */
  cosolventPercent: number
  /** Strong charge that the materials may bring unseen, mol per kg of water. */
  unknownCharge: number
}

export interface PhPrediction {
  value: number
  low: number
  high: number
}

/** Dissolved carbon dioxide in air-equilibrated water: 1.4e-5 mol per kg (Henry, 420 ppm). */
export const CARBON_DIOXIDE = 1.4e-5
/** Acid or alkali that nobody weighs, mol per kg of water and percent of material: an engineering estimate. */
const HIDDEN: Partial<Record<MaterialKind, number>> = {
  extract: 3e-4,
  aloe: 2e-4,
  hydrosol: 1e-5,
  protein: 4e-4,
  surfactant: 3e-4,
  active: 2e-5,
  polymer: 3e-4,
  clay: 2e-4,
  cationic: 5e-5,
  solubiliser: 3e-5,
}
/** The same of a name that nobody knows, of which nothing else is known either. */
const HIDDEN_UNKNOWN = 4e-4
/** From so much unseen acid or alkali on a line can move the pH, mol per kg of water. */
const MOVES_FROM = 2e-3

/** Acid or alkali that a line may bring unseen, mol per kg of water. */
function hiddenOf({ material, guess, percent, source }: AssessedLine, waterPercent: number): number {
  if (percent <= 0 || source.custom?.acidBase || material?.acidBase) return 0
  const per = material ? HIDDEN[material.kind] : guess ? HIDDEN[guess.kind] : HIDDEN_UNKNOWN
  return ((per ?? 0) * percent * 100) / waterPercent
}

/** Why the pH that a line brings is not known: it differs by lot, or nothing is known of it. */
export type UnknownPh = 'differs' | 'unknown'

/** Why the pH that a line brings is not known, where there is so much of it that it can tell; null elsewhere. */
export function phNotTold(line: AssessedLine, waterPercent: number): UnknownPh | null {
  if (waterPercent < 5 || hiddenOf(line, waterPercent) < MOVES_FROM) return null
  // what has constants of its own is reckoned with; only its impurities are not
  if (line.material && line.substances.every((x) => x.key === 'aqua' || acidBaseOf(x.key))) return null
  return line.material ? 'differs' : 'unknown'
}

/** Carbonic acid at 25 °C: Harned & Davis 1943, Harned & Scholes 1941. */
export const CARBONIC = [6.352, 10.329]
const BASE_UNKNOWN = 1.5e-4
/** Assay tolerance of salts and alkali as weighed. */
const ASSAY = 0.02

const molal = (percent: number, molarMass: number, waterPercent: number) =>
  (1000 * percent) / molarMass / waterPercent

/** The water phase of a formula as the solver sees it; null where there is too little water to speak of pH. */
export function waterPhaseOf(
  lines: readonly AssessedLine[],
  substances: ReadonlyMap<string, Substance>,
  waterPercent: number,
): WaterPhase | null {
  if (waterPercent < 5) return null
  const families: NamedFamily[] = []
  let strongCharge = 0
  let strongSquares = 0
  const cosolvents = cosolventsOf(substances, waterPercent)

  const add = (constants: Omit<AcidBase, 'source' | 'confidence' | 'inci'>, percent: number) => {
    if (percent <= 0) return
    const m = molal(percent, constants.molarMass, waterPercent)
    strongCharge += constants.counterIonCharge * m
    strongSquares += Math.abs(constants.counterIonCharge) * m
    for (const ion of constants.ions ?? []) strongSquares += ion * ion * m
    const acid = constants.hydrolysesTo ? acidBaseOf(constants.hydrolysesTo) : undefined
    const pKa = acid?.pKa ?? constants.pKa
    if (pKa.length === 0) return
    const s0 = constants.intrinsicSolubility
    const neutralLimit =
      s0 === undefined ? undefined : (s0 / constants.molarMass) * 10 ** sigmaOf(constants, cosolvents)
    families.push({
      key: constants.key,
      percent,
      polymer: constants.polymer ?? false,
      total: m * (constants.acidUnits ?? 1),
      pKa,
      chargeTop: constants.chargeFullyProtonated,
      ...(neutralLimit === undefined ? {} : { neutralLimit }),
    })
  }

  const own = new Map<string, number>()
  for (const line of lines) {
    const given = line.source.custom?.acidBase ?? line.material?.acidBase
    if (!given || line.percent <= 0) continue
    add(
      { key: line.id, ...given },
      (line.percent * (line.source.strengthPercent ?? line.material?.strengthPercent ?? 100)) / 100,
    )
    for (const s of line.substances) {
      if (s.key !== 'aqua') own.set(s.key, (own.get(s.key) ?? 0) + (line.percent * s.share) / 100)
    }
  }
  for (const substance of substances.values()) {
    const constants = acidBaseOf(substance.key)
    if (!constants) continue
    add(constants, substance.percent - (own.get(substance.key) ?? 0))
  }
  const carbonic = {
    key: 'carbon-dioxide',
    percent: 0,
    polymer: false,
    total: CARBON_DIOXIDE,
    pKa: CARBONIC,
    chargeTop: 0,
  }
  families.push(carbonic)
  carbonic.total = fromAir({ families, strongCharge, strongSquares }, carbonic)

  const hidden = lines.reduce((sum, l) => sum + hiddenOf(l, waterPercent), 0)
  return {
    system: { families, strongCharge, strongSquares },
    waterPercent,
    cosolventPercent: cosolvents.total * 100,
    unknownCharge: BASE_UNKNOWN + hidden + ASSAY * Math.abs(strongCharge),
  }
}

/** Below this pH the water holds hardly more of it than pure water does. */
const AT_EASE = 6.5
/** What a kitchen's stirring takes up of it at most, mol per kg (estimate). */
const TAKEN_UP = 1e-4
/**
 * Carbon dioxide of a water phase that stands in air: what is free keeps its equilibrium with the air, so a weak base
 * draws some in. Strong alkali would draw far more, over days, which is not told here.
 */
function fromAir(system: Parameters<typeof solvePh>[0], carbonic: { total: number }): number {
  const wanted = (ph: number) =>
    Math.min(CARBON_DIOXIDE * (1 + 10 ** (ph - CARBONIC[0]!)), CARBON_DIOXIDE + TAKEN_UP)
  let low = CARBON_DIOXIDE
  const first = solvePh(system).ph
  let high = wanted(first)
  if (first < AT_EASE) return high
  // more of it is more acid, so what is wanted falls as the total grows: halve the way
  while (high - low > 2e-6) {
    carbonic.total = (low + high) / 2
    if (wanted(solvePh(system).ph) > carbonic.total) low = carbonic.total
    else high = carbonic.total
  }
  return (low + high) / 2
}

/** Acids that an oil phase takes up, above this octanol-water log P. */
const OILY_LOG_P = 1

/** Acids of the water phase that oil takes up in part, which the water phase alone does not know. */
export const oilyAcids = (phase: WaterPhase, emulsion: Emulsion | null) =>
  emulsion && emulsion.oilPhasePercent >= 5
    ? phase.system.families.filter((f) => f.total > 0.002 && (acidBaseOf(f.key)?.logKow ?? 0) > OILY_LOG_P)
    : []

/**
 * How far the model itself may be off, pH: grows with ionic strength, ions of charge 3, polymers, cosolvents, and
 * acids that oil takes up. Engineering estimates.
 */
export function modelErrorOf(phase: WaterPhase, ionicStrength: number, emulsion: Emulsion | null): number {
  const highCharge = phase.system.families.some((f) => f.pKa.length >= 3 && f.total > 0.005)
  const polymer = phase.system.families.some((f) => f.polymer && f.total > 0.002)
  return (
    0.06 +
    0.2 * Math.min(1, ionicStrength / 0.5) +
    (highCharge ? 0.08 : 0) +
    (polymer ? 0.2 : 0) +
    (phase.cosolventPercent > 20 ? 0.15 : 0) +
    (oilyAcids(phase, emulsion).length > 0 ? 0.15 : 0)
  )
}

/**
 * The water phase with each acid or base of an unknown share at the least and at the most that there can be, one at a
 * time; none where all shares are known.
 */
export function openEnds(
  lines: readonly AssessedLine[],
  substances: ReadonlyMap<string, Substance>,
  waterPercent: number,
): WaterPhase[] {
  return [...substances.values()].flatMap((s) =>
    s.high - s.low > 1e-9 && acidBaseOf(s.key)
      ? [s.low, s.high].flatMap(
          (percent) =>
            waterPhaseOf(lines, new Map(substances).set(s.key, { ...s, percent }), waterPercent) ?? [],
        )
      : [],
  )
}

/** Why no pH can be predicted; null where one can. */
export function whyNoPrediction(
  phase: WaterPhase | null,
  lines: readonly AssessedLine[],
  emulsion: Emulsion | null,
): Said<NoPhFacts> | null {
  if (emulsion?.type === 'water-in-oil') return { code: 'water-in-oil' }
  if (!phase) return { code: 'too-little-water' }
  if (soapOf(lines).percent > 0) return { code: 'soap' }
  const solid = lines.find((l) => l.percent > 0 && l.material && hasTrait(l.material, 'sets-own-ph'))
  return solid ? { code: 'sets-own-ph', name: solid.label } : null
}

/** pH that the water phase should have, with a band from what is not known; null where it cannot be said. */
export function predictPh(
  phase: WaterPhase | null,
  lines: readonly AssessedLine[],
  emulsion: Emulsion | null,
  ends: readonly WaterPhase[] = [],
): PhPrediction | null {
  // Zinc oxide dissolves in acid and sets its own pH near neutral; an undissolving base is no equilibrium to solve.
  if (!phase || whyNoPrediction(phase, lines, emulsion) !== null) return null
  const solution = solvePh(phase.system)
  const model = modelErrorOf(phase, solution.ionicStrength, emulsion)
  const down = solvePh(withCharge(phase.system, -phase.unknownCharge)).ph
  // Alkali in excess draws carbon dioxide from the air, which keeps an unbuffered product from going far above 8.
  const up = solvePh({
    ...withCharge(phase.system, phase.unknownCharge),
    families: [...phase.system.families, { total: phase.unknownCharge, pKa: CARBONIC, chargeTop: 0 }],
  }).ph
  const atEnds = ends.map((end) => solvePh(end.system).ph)
  const within = (ph: number) => Math.max(0, Math.min(14, ph))
  return {
    value: within(solution.ph),
    low: within(Math.min(down, solution.ph, ...atEnds) - model),
    high: within(Math.max(up, solution.ph, ...atEnds) + model),
  }
}
