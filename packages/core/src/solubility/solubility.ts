import { acidBaseOf, type AcidBase } from '../ph/acid-base.ts'
import { daviesLogGamma } from '../ph/solver.ts'
import type { Substance } from '../lines/types.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import { cosolventsOf, MOST_FRACTION, sigmaOf, type CosolventMix } from '../lines/cosolvent.ts'

const R = 8.314462
const AT = 298.15
/** What the model may be off by, as a factor, by how well its constants are known. */
const FACTOR = { high: 1.3, medium: 1.5, low: 2 } as const
/** The pH factor is not followed beyond a thousandfold. */
const MOST_BY_PH = 1000

export interface SolubilityResult {
  key: string
  /** Everything of the family in the product, as the uncharged form where it is an acid, percent of the product. */
  percent: number
  /** g per kg of the water phase (water and cosolvents). */
  concentration: number
  /** g per kg of the water phase that stay dissolved at 25 °C and at cold storage. */
  limit: number
  coldLimit: number
  /** The true limit is likely within this factor. */
  factor: number
  ratio: number
  coldRatio: number
  verdict: 'dissolves' | 'cold' | 'solid'
  lines: number[]
  constants: AcidBase
}

/** van 't Hoff factor from 25 °C to `celsius`; 1 where no enthalpy is known. */
export const temperatureFactor = (enthalpyKJ: number | undefined, celsius: number) =>
  enthalpyKJ === undefined ? 1 : Math.exp(((-enthalpyKJ * 1000) / R) * (1 / (celsius + 273.15) - 1 / AT))

/**
 * Gain by ionisation at a pH: for an acid 1 + 10^(pH − pK1) + 10^(2 pH − pK1 − pK2), with constants at the ionic
 * strength. 1 where pH is not known or does not matter.
 */
export function ionisationFactor(
  pKa: readonly number[],
  chargeTop: number,
  ph: number,
  ionicStrength = 0,
): number {
  const d = -daviesLogGamma(ionicStrength)
  if (chargeTop === 0 && pKa.length > 0) {
    let term = 1
    let sum = 1
    pKa.slice(0, 2).forEach((pk, i) => {
      term *= 10 ** (ph - (pk - d * (2 * i + 1)))
      sum += term
    })
    return Math.min(MOST_BY_PH, sum)
  }
  if (chargeTop === 1 && pKa.length === 1) return Math.min(MOST_BY_PH, 1 + 10 ** (pKa[0]! - ph))
  return 1
}

/** Limit in g per kg of water phase at 25 °C for one solute. */
export function solubilityAt(
  constants: AcidBase,
  ph: number | null,
  mix: CosolventMix,
  ionicStrength = 0,
): number {
  const gain = 10 ** sigmaOf(constants, mix)
  if (constants.waterSolubility !== undefined) return constants.waterSolubility * gain
  const base = constants.intrinsicSolubility!
  return (
    base *
    gain *
    (ph === null ? 1 : ionisationFactor(constants.pKa, constants.chargeFullyProtonated, ph, ionicStrength))
  )
}

/**
 * What may not stay dissolved in the water phase at 25 °C and in a cold room (5 °C). Emulsions: what an oil takes up
 * is not counted, so the verdict is on the careful side. Source: Yalkowsky (log-linear cosolvency), van 't Hoff.
 */
export function solubilities(input: {
  substances: ReadonlyMap<string, Substance>
  waterPercent: number
  ph: number | null
  ionicStrength: number
  coldCelsius?: number
  catalogue?: Catalogue
}): SolubilityResult[] {
  const { substances, waterPercent, ph, ionicStrength, coldCelsius = 5, catalogue } = input
  if (waterPercent < 5) return []
  const mix = cosolventsOf(substances, waterPercent, catalogue)
  const phase = waterPercent + mix.massPercent
  return solutesOf(substances).map(({ key, percent, lines, constants }): SolubilityResult => {
    const limit = solubilityAt(constants, ph, mix, ionicStrength)
    const coldLimit = limit * temperatureFactor(constants.enthalpy, coldCelsius)
    const concentration = (1000 * percent) / phase
    const ratio = concentration / limit
    const coldRatio = concentration / coldLimit
    return {
      key,
      percent,
      concentration,
      limit,
      coldLimit,
      factor: FACTOR[constants.confidence] * (mix.total > 0.15 ? 1.25 : 1),
      ratio,
      coldRatio,
      verdict: ratio > 1 ? 'solid' : ratio >= 0.7 || coldRatio > 1 ? 'cold' : 'dissolves',
      lines: [...new Set(lines)],
      constants,
    }
  })
}

/** A solid in the premix that is to dissolve it, at that premix's temperature. */
export interface PremixResult {
  phase: number
  key: string
  /** g per kg of solvent, there and as the limit. */
  concentration: number
  limit: number
  /** The true limit is likely within this factor. */
  factor: number
  celsius: number
  solventPercent: number
  lines: number[]
  constants: AcidBase
}

/** Neat glycol is beyond the log-linear model: published endpoints lie within this factor of it. */
const NEAT_FACTOR = 2

/**
 * What each premix holds of the solids that go into it, at its temperature, by its own water and glycols. The free
 * form counts: a premix has no pH worth the name. Source: Yalkowsky, followed to neat solvent with a wider factor.
 */
export function premixSolubilities(
  phases: readonly {
    index: number
    celsius: number
    waterPercent: number
    substances: ReadonlyMap<string, Substance>
  }[],
): PremixResult[] {
  return phases.flatMap(({ index, celsius, waterPercent, substances }) => {
    const mix = cosolventsOf(substances, waterPercent)
    const solvent = waterPercent + mix.massPercent
    if (solvent <= 0) return []
    return solutesOf(substances).map(({ key, percent, lines, constants }): PremixResult => {
      const sigma = sigmaOf(constants, { ...mix, total: Math.min(mix.total, MOST_FRACTION) })
      const base = constants.waterSolubility ?? constants.intrinsicSolubility!
      return {
        phase: index,
        key,
        concentration: (1000 * percent) / solvent,
        limit: base * 10 ** sigma * temperatureFactor(constants.enthalpy, celsius),
        factor: FACTOR[constants.confidence] * (mix.total > MOST_FRACTION ? NEAT_FACTOR : 1.25),
        celsius,
        solventPercent: solvent,
        lines: [...new Set(lines)],
        constants,
      }
    })
  })
}

/** The solids among some substances, acids that come as salts counted as the acid. */
function solutesOf(substances: ReadonlyMap<string, Substance>) {
  const solutes = new Map<string, { percent: number; lines: number[] }>()
  for (const substance of substances.values()) {
    const constants = acidBaseOf(substance.key)
    if (!constants || substance.percent <= 0) continue
    // an acid that comes as a salt is the same solid once acid frees it
    const acid = constants.saltOf ?? substance.key
    const target = acidBaseOf(acid)
    if (!target || (target.intrinsicSolubility === undefined && target.waterSolubility === undefined))
      continue
    const asAcid = (substance.percent / constants.molarMass) * target.molarMass
    const seen = solutes.get(acid)
    solutes.set(acid, {
      percent: (seen?.percent ?? 0) + asAcid,
      lines: [...(seen?.lines ?? []), ...substance.lines],
    })
  }
  return [...solutes].map(([key, solute]) => ({ key, ...solute, constants: acidBaseOf(key)! }))
}
