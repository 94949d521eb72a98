import type { Substance } from '../assess/types.ts'

interface Cosolvent {
  /** g/mL at 20 °C. */
  density: number
  /** sigma = s · log Kow + t: Millard, Alvarez-Núñez & Yalkowsky 2002; the last four are not published. */
  s: number
  t: number
  confidence: 'high' | 'medium' | 'low'
}

/** Water-miscible liquids that dissolve what water does not (log-linear model of Yalkowsky). */
export const COSOLVENTS: Record<string, Cosolvent> = {
  alcohol: { density: 0.789, s: 0.93, t: 0.4, confidence: 'high' },
  'alcohol-denat': { density: 0.79, s: 0.93, t: 0.4, confidence: 'high' },
  'propylene-glycol': { density: 1.036, s: 0.77, t: 0.58, confidence: 'medium' },
  glycerin: { density: 1.261, s: 0.35, t: 0.26, confidence: 'medium' },
  propanediol: { density: 1.053, s: 0.72, t: 0.45, confidence: 'low' },
  'butylene-glycol': { density: 1.005, s: 0.8, t: 0.55, confidence: 'low' },
  'pentylene-glycol': { density: 0.97, s: 0.9, t: 0.6, confidence: 'low' },
  'dipropylene-glycol': { density: 1.02, s: 0.8, t: 0.65, confidence: 'low' },
}

export interface CosolventMix {
  /** Volume fraction of each in the solvent mixture. */
  fractions: { key: string; fraction: number }[]
  total: number
  /** Mass of the liquids, percent of the product. */
  massPercent: number
}

/** Volume fractions of the cosolvents in water and cosolvents together. */
export function cosolventsOf(substances: ReadonlyMap<string, Substance>, waterPercent: number): CosolventMix {
  const volumes = Object.entries(COSOLVENTS).flatMap(([key, { density }]) => {
    const percent = substances.get(key)?.percent ?? 0
    return percent > 0 ? [{ key, percent, volume: percent / density }] : []
  })
  const whole = waterPercent + volumes.reduce((sum, v) => sum + v.volume, 0)
  const fractions = volumes.map(({ key, volume }) => ({ key, fraction: whole > 0 ? volume / whole : 0 }))
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
  return mix.fractions.reduce((sum, { key, fraction }) => {
    const { s, t } = COSOLVENTS[key]!
    return sum + (s * solute.logKow! + t) * fraction * scale
  }, 0)
}
