import type { Substance } from './types.ts'
import { catalogue as known, type Catalogue } from '../materials/catalogue.ts'

export interface CosolventMix {
  /** Volume fraction of each in the solvent mixture. */
  fractions: { key: string; fraction: number; s: number; t: number }[]
  total: number
  /** Mass of the liquids, percent of the product. */
  massPercent: number
}

/**
 * Volume fractions of the cosolvents in water and cosolvents together. Constants of each: Millard, Alvarez-Núñez &
 * Yalkowsky 2002, those of low confidence not published.
 */
export function cosolventsOf(
  substances: ReadonlyMap<string, Substance>,
  waterPercent: number,
  catalogue: Catalogue = known,
): CosolventMix {
  const volumes: { key: string; percent: number; volume: number; s: number; t: number }[] = []
  for (const { key, percent } of substances.values()) {
    const m = percent > 0 ? catalogue.find(key) : null
    if (m?.cosolvent && m.density)
      volumes.push({ key, percent, volume: percent / m.density, s: m.cosolvent.s, t: m.cosolvent.t })
  }
  const whole = waterPercent + volumes.reduce((sum, v) => sum + v.volume, 0)
  const fractions = volumes.map(({ key, volume, s, t }) => ({
    key,
    s,
    t,
    fraction: whole > 0 ? volume / whole : 0,
  }))
  return {
    fractions,
    total: fractions.reduce((sum, f) => sum + f.fraction, 0),
    massPercent: volumes.reduce((sum, v) => sum + v.percent, 0),
  }
}

/** Beyond this volume fraction the log-linear model overshoots; more counts as this much. */
export const MOST_FRACTION = 0.5

/**
 * log10 of the gain in solubility by the cosolvents: sum of sigma · f, with sigma = s · log Kow + t. Zero without a
 * log Kow. Holds up to f = 0.5.
 */
export function sigmaOf(solute: { logKow?: number | undefined }, mix: CosolventMix): number {
  if (solute.logKow === undefined || mix.total === 0) return 0
  const scale = mix.total > MOST_FRACTION ? MOST_FRACTION / mix.total : 1
  return mix.fractions.reduce(
    (sum, { s, t, fraction }) => sum + (s * solute.logKow! + t) * fraction * scale,
    0,
  )
}
