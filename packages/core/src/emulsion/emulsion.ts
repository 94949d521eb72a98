import type { AssessedLine } from '../lines/types.ts'
import { hasTrait, type Material } from '../shapes/material.ts'
import { kindHas } from '../shapes/kinds.ts'

export type Richness = 'milk' | 'lotion' | 'cream' | 'rich-cream' | 'butter'

export interface Emulsion {
  type: 'oil-in-water' | 'water-in-oil'
  /** Everything oil-soluble, with emulsifier and fatty alcohols. */
  oilPhasePercent: number
  /** Between these, where a line of which nobody knows whether it is oily may count or not; else the same. */
  oilPhaseRange: { low: number; high: number; because: string[] }
  /** What has to be emulsified: oils, butters, esters, waxes; fatty alcohols are not counted. */
  oilsPercent: number
  fattyAlcoholPercent: number
  /** As supplied, with the fatty alcohol that a blend brings along. */
  emulsifierPercent: number
  solubiliserPercent: number
  polymericPercent: number
  /** Fatty acid or beeswax that a base in the formula turns into a soap emulsifier. */
  soapPercent: number
  richness: Richness
  /** Weight-averaged over the oils (Griffin 1949); null when too few have a value. */
  requiredHlb: number | null
  /** Weight-averaged over the emulsifiers that have a value; null without one. */
  offeredHlb: number | null
  /** Emulsifiers of which no HLB is told: what they offer together cannot be told then. */
  hlbNotTold: string[]
  /** False when one of the emulsifiers works by something that HLB does not describe. */
  hlbApplies: boolean
}

/** An oil or something dissolved in oil that the emulsifier has to carry. */
export const isOil = (material: Material) =>
  kindHas(material.kind, 'oil')
    ? material.solubility[0] !== 'water'
    : material.solubility[0] === 'oil' &&
      !material.emulsifier &&
      material.kind !== 'fatty-alcohol' &&
      material.kind !== 'preservative'

export const dissolvesOily = (material: Material) => kindHas(material.kind, 'polar-oil')

const EMULSIFYING = new Set(['oil-in-water', 'water-in-oil', 'co-emulsifier', 'cationic'])
export const isEmulsifier = (material: Material) =>
  material.emulsifier
    ? EMULSIFYING.has(material.emulsifier.role)
    : material.kind === 'emulsifier' && material.own === true

/** Oils for which usual ranges of emulsifiers are written, percent of the product (common practice). */
const USUAL_OILS = 20

/**
 * Usual amount of an emulsifier for these oils, percent of the product: more oil asks for more of it. By the share of
 * the oil phase that it is told with, else in proportion to the oils of a usual cream (common practice).
 */
export function emulsifierRange(m: Material, oilsPercent: number): { min: number; max: number } | null {
  if (!m.usage) return null
  const most = m.emulsifier?.shareOfOils?.max
  const asked =
    most === undefined ? (m.usage.max * oilsPercent) / USUAL_OILS : ofOils(m, oilsPercent, Math.min(most, 60))
  return { min: m.usage.min, max: Math.max(m.usage.max, Number(asked.toFixed(2))) }
}

/** Percent of the product that a share makes: polymers and cationics of the oils alone, the rest of the whole oil phase. */
export const ofOils = (m: Material, oilsPercent: number, share: number) =>
  m.emulsifier?.role === 'oil-in-water' && share < 90
    ? (oilsPercent * share) / (100 - share)
    : (oilsPercent * share) / 100

/** What counts as oil phase: oils, fatty alcohols and emulsifiers. */
export const inOilPhase = (m: Material) => isOil(m) || m.kind === 'fatty-alcohol' || isEmulsifier(m)

/**
 * Percent of fatty acid or wax that a base in the formula makes into soap, which then emulsifies: at least 0.05 % of
 * base beside 1 % of acid. Carbomer and the like take the base first. Common practice (vanishing and cold creams).
 */
export function soapOf(lines: readonly AssessedLine[]): { percent: number; lines: number[] } {
  const sum = (test: (m: Material) => boolean) =>
    lines.reduce((s, l) => s + (l.material && l.percent > 0 && test(l.material) ? l.dosePercent : 0), 0)
  const acid = sum((m) => hasTrait(m, 'soap-acid'))
  const base = sum((m) => hasTrait(m, 'soap-base')) - sum((m) => m.kind === 'polymer') * 0.5
  const found = acid >= 1 && base >= 0.05
  return {
    percent: found ? acid : 0,
    lines: found ? lines.flatMap((l, i) => (l.material && hasTrait(l.material, 'soap-acid') ? [i] : [])) : [],
  }
}

/** Oil phase, in percent, from which each class begins (common practice). */
const RICHNESS: [number, Richness][] = [
  [40, 'butter'],
  [30, 'rich-cream'],
  [20, 'cream'],
  [12, 'lotion'],
  [0, 'milk'],
]
export const richnessOf = (oilPhasePercent: number): Richness =>
  RICHNESS.find(([from]) => oilPhasePercent >= from - 1e-9)?.[1] ?? 'milk'

const round = (value: number) => Number(value.toFixed(6))

function weightedMean(pairs: { weight: number; value: number }[]): number | null {
  const weight = pairs.reduce((sum, p) => sum + p.weight, 0)
  return weight > 0 ? pairs.reduce((sum, p) => sum + p.weight * p.value, 0) / weight : null
}

/**
 * The emulsion that a formula describes, or null where there is no oil phase to emulsify (under 1 % of oils and
 * fatty alcohols and no emulsifier) or no water (under 5 %).
 */
export function describeEmulsion(lines: readonly AssessedLine[], waterPercent: number): Emulsion | null {
  const known: { label: string; percent: number; material: Material }[] = []
  for (const { label, percent, material, guess } of lines) {
    const m = material ?? guess
    if (m && percent > 0) known.push({ label, percent, material: m })
  }
  const sum = (of: (m: Material) => boolean) =>
    known.reduce((s, l) => s + (of(l.material) ? l.percent : 0), 0)
  const oils = known.filter((l) => isOil(l.material))
  const partner = known.some((l) => l.material.emulsifier?.role === 'co-emulsifier')
  // A solubiliser of sound HLB beside a partner of low HLB is the textbook pair.
  const paired = (m: Material) =>
    partner && m.emulsifier?.role === 'solubiliser' && m.emulsifier.hlbSound === 'yes'
  const emulsifiers = known.filter((l) => isEmulsifier(l.material) || paired(l.material))
  const oilsPercent = oils.reduce((s, l) => s + l.percent, 0)
  const emulsifierPercent = emulsifiers.reduce((s, l) => s + l.percent, 0)
  const fattyAlcoholPercent = sum((m) => m.kind === 'fatty-alcohol')
  const polymericPercent = sum((m) => m.emulsifier?.role === 'polymeric')
  const solubiliserPercent = sum((m) => m.emulsifier?.role === 'solubiliser' && !paired(m))
  if (waterPercent < 5 || (oilsPercent + fattyAlcoholPercent < 1 && emulsifierPercent < 1)) return null

  const oilPhasePercent = round(oilsPercent + fattyAlcoholPercent + emulsifierPercent)
  const required = oils.flatMap((l) =>
    l.material.requiredHlb ? [{ weight: l.percent, value: l.material.requiredHlb.value }] : [],
  )
  const covered = required.reduce((s, p) => s + p.weight, 0)
  const carriers = known.filter(
    (l) =>
      l.material.emulsifier?.hlb !== undefined &&
      (l.material.emulsifier.role !== 'solubiliser' ||
        emulsifiers.length > 0 ||
        l.material.emulsifier.hlbSound === 'yes'),
  )
  const inverse = emulsifiers
    .filter((l) => l.material.emulsifier?.role === 'water-in-oil')
    .reduce((s, l) => s + l.percent, 0)
  const direct = emulsifiers
    .filter(
      (l) => l.material.emulsifier?.role === 'oil-in-water' || l.material.emulsifier?.role === 'cationic',
    )
    .reduce((s, l) => s + l.percent, 0)
  const waterInOil = inverse > 0 && inverse > direct + polymericPercent * 5
  const main = [...emulsifiers].sort((a, b) => b.percent - a.percent)[0]
  // a name that nobody knows may be an oil; one that sounds like an oil may be none
  const unsure = lines.filter(
    (l) => l.percent > 0 && !l.material && (l.guess === null || inOilPhase(l.guess)),
  )
  const sumOf = (list: readonly AssessedLine[]) => list.reduce((s, l) => s + l.percent, 0)
  return {
    type: waterInOil ? 'water-in-oil' : 'oil-in-water',
    oilPhasePercent,
    oilPhaseRange: {
      low: round(oilPhasePercent - sumOf(unsure.filter((l) => l.guess !== null))),
      high: round(oilPhasePercent + sumOf(unsure.filter((l) => l.guess === null))),
      because: unsure.map((l) => l.label),
    },
    hlbNotTold: emulsifiers.filter((l) => l.material.emulsifier?.hlb === undefined).map((l) => l.label),
    oilsPercent: round(oilsPercent),
    fattyAlcoholPercent: round(fattyAlcoholPercent),
    emulsifierPercent: round(emulsifierPercent),
    solubiliserPercent: round(solubiliserPercent),
    polymericPercent: round(polymericPercent),
    soapPercent: round(soapOf(lines).percent),
    richness: richnessOf(oilPhasePercent),
    requiredHlb: oilsPercent > 0 && covered >= oilsPercent / 2 ? round(weightedMean(required)!) : null,
    offeredHlb:
      carriers.length > 0
        ? round(
            weightedMean(carriers.map((l) => ({ weight: l.percent, value: l.material.emulsifier!.hlb! })))!,
          )
        : null,
    hlbApplies: main?.material.emulsifier?.hlbSound === 'yes' && main.material.emulsifier.role !== 'cationic',
  }
}
