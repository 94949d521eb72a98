import { acidBaseOf, acidBases, type AcidBase } from './acid-base.ts'

/** The plain acid that an acid, its hydrate or its salt belongs to, by their shared constants; undefined for bases. */
export function acidOf(key: string): AcidBase | undefined {
  if (!acids.has(key)) acids.set(key, findAcid(key))
  return acids.get(key)
}
const acids = new Map<string, AcidBase | undefined>()

function findAcid(key: string): AcidBase | undefined {
  const own = acidBaseOf(key)
  if (!own) return undefined
  if (own.hydrolysesTo) return acidBaseOf(own.hydrolysesTo)
  if (own.pKa.length === 0 || own.chargeFullyProtonated !== 0 || own.polymer || own.pKa[0]! > 8)
    return undefined
  if (own.counterIonCharge === 0 && !own.key.includes('hydrate')) return own
  return acidBases.find(
    (x) =>
      x.counterIonCharge === 0 &&
      x.chargeFullyProtonated === 0 &&
      !x.key.includes('hydrate') &&
      x.pKa.length === own.pKa.length &&
      x.pKa.every((pk, i) => pk === own.pKa[i]),
  )
}

/** Percent of a salt or acid counted as its plain acid. */
export const asAcid = (key: string, percent: number, acid: AcidBase) => {
  const own = acidBaseOf(key)!
  return (percent / own.molarMass) * (own.acidUnits ?? 1) * acid.molarMass
}

export interface AcidSum {
  inci: string
  pKa: readonly number[]
  /** Of the product, as the plain acid. */
  percent: number
}

/** Sums of each acid with all its salts; null for what is no acid. */
export function sumAcids(items: Iterable<readonly [string, number]>): Map<string, AcidSum> {
  const sums = new Map<string, AcidSum>()
  for (const [key, percent] of items) {
    const acid = percent > 0 ? acidOf(key) : undefined
    if (!acid) continue
    const seen = sums.get(acid.key) ?? { inci: acid.inci, pKa: acid.pKa, percent: 0 }
    seen.percent += asAcid(key, percent, acid)
    sums.set(acid.key, seen)
  }
  return sums
}

/** Share of an acid that is undissociated at a pH, percent. */
export function freeShare(pKa: readonly number[], ph: number): number {
  let term = 1
  let sum = 1
  for (const pk of pKa) {
    term *= 10 ** (ph - pk)
    sum += term
  }
  return 100 / sum
}
