import type { AssessedLine, Substance } from '../lines/types.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import type { Cover, Material } from '../shapes/material.ts'
import { acidBaseOf } from '../ph/acid-base.ts'
import { freeShare } from '../ph/families.ts'
import { acidOf, sumAcids, type AcidSum } from '../ph/families.ts'
import { slug } from '../text/names.ts'
import { shareInWater, type Medium } from './strength.ts'

export interface PreservativeUse {
  material: Material
  cover: Cover
  /** At the strength its range is written for, summed over lines. */
  dosePercent: number
  /** Indexes into the assessment's lines. */
  lines: number[]
  /** What a blend holds of preservatives, each at its own dose: what is left where the blend itself gives up. */
  parts?: PreservativeUse[]
}

export interface CoverLevels {
  gramPositive: number
  gramNegative: number
  yeast: number
  mould: number
}

export interface Preservation {
  /** Water enough that a product needs preserving. */
  needed: boolean
  /** Alcohol enough (20 % of alcohol and water) to preserve by itself. */
  selfPreserving: boolean
  uses: PreservativeUse[]
  /** Lines said to preserve, of which nothing more is known. */
  unidentified: number[]
  /** Cover where the pH suits every partner best. */
  best: CoverLevels
  adequate: boolean
  /** Where they spread: water, oil and micelles. */
  medium: Medium
  /** Preserving acids with all their salts, by key. */
  acids: ReadonlyMap<string, AcidSum>
  /** pH range in which the partners together cover all four groups, or all that they can. */
  window: { min: number; max: number } | null
  /** Everything that asks for that range is an organic acid: below it nothing is lost. */
  worksBelow: boolean
}

export type MicrobeGroup = keyof CoverLevels
export const GROUPS = ['gramPositive', 'gramNegative', 'yeast', 'mould'] as const
/** Level from which a group counts as covered: moderate. */
export const ENOUGH = 2
/** A dose this close under the usual minimum still counts in full. */
const NEAR = 0.95

/** An organic acid, or a blend with one: below its usual range it works as well or better, for more of it is free. */
export const worksBelow = (material: Material) =>
  [...material.inci.map(slug), material.id].some((key) => acidOf(key)?.worksFrom !== undefined)

/** Whether a pH lies where a preservative works; below the range of an organic acid it does. */
export const inWindow = (material: Material, ph: number | null) =>
  ph === null ||
  !material.ph ||
  ((ph >= material.ph.min - 1e-9 || worksBelow(material)) && ph <= material.ph.max + 1e-9)

const dosed = (use: PreservativeUse) =>
  !use.material.usage || use.dosePercent >= use.material.usage.min * NEAR

/** The preserving acid that a material is, or is a salt of. */
const preservingAcid = (material: Material) => {
  const acid = acidOf(material.id)
  return acid?.worksFrom ? acid : undefined
}
export const isAcid = (use: { material: Material }) => preservingAcid(use.material) !== undefined
/** All that preserves in it is organic acid. */
export const restsOnAcid = (use: PreservativeUse) =>
  isAcid(use) || (use.parts !== undefined && use.parts.length > 0 && use.parts.every(isAcid))

/** Where half of what is needed is there, and where hardly any is: levels of cover that are lost. */
const lostBy = (ratio: number, steps: readonly [number, number, number]) =>
  ratio >= steps[0] ? 0 : ratio >= steps[1] ? 1 : ratio >= steps[2] ? 2 : 3
/** An acid's need is what works in plain water; of the others the range leaves room for a usual cream. */
const ACID_STEPS = [1, 0.5, 0.2] as const
const OTHER_STEPS = [0.5, 0.25, 0.1] as const

export interface FreeAcid {
  key: string
  inci: string
  /** Percent of it that is uncharged, 0 to 100. */
  share: number
  /** Uncharged and in the water, to what is needed. */
  ofNeed: number
}

/** Each preserving acid at a pH: what is uncharged and in the water, against what is needed (common practice). */
export function freeAcidsAt(p: Pick<Preservation, 'acids' | 'medium'>, ph: number): FreeAcid[] {
  return [...p.acids].map(([key, acid]) => {
    const own = acidBaseOf(key)!
    const share = freeShare(acid.pKa, ph)
    const ionised = share > 0 ? 100 / share - 1 : Infinity
    const inWater = acid.percent * shareInWater(own.logKow ?? 0, p.medium, ionised)
    return { key, inci: acid.inci, share, ofNeed: inWater / own.worksFrom! }
  })
}

/** Of what a preservative without charge needs, how much is left in the water. */
export const leftInWater = (use: PreservativeUse, medium: Medium) =>
  use.material.logKow === undefined ? 1 : Math.min(1, shareInWater(use.material.logKow, medium))

/**
 * Cover of the partners together at a pH (null: wherever it suits them). Partners do not add up, but acids do; a
 * booster at its dose lifts what is already there by one level. A blend outside its window is what its parts are
 * there. Graded: acids by what is free in the water, others by what oil and micelles leave them.
 */
export function coverAt(
  uses: readonly PreservativeUse[],
  ph: number | null,
  graded?: Pick<Preservation, 'acids' | 'medium'>,
): CoverLevels {
  const fell = uses.flatMap((use) => (use.parts && !inWindow(use.material, ph) ? use.parts : [use]))
  const byFree = (use: PreservativeUse) => graded !== undefined && ph !== null && restsOnAcid(use)
  const active = fell.filter((use) => dosed(use) && (byFree(use) || inWindow(use.material, ph)))
  const acids =
    graded && ph !== null ? freeAcidsAt(graded, ph).reduce((sum, acid) => sum + acid.ofNeed, 0) : 1
  const lost = (use: PreservativeUse) => {
    if (!graded) return 0
    if (byFree(use)) return lostBy(acids, ACID_STEPS)
    const least = use.material.usage?.min
    return least ? lostBy((use.dosePercent / least) * leftInWater(use, graded.medium), OTHER_STEPS) : 0
  }
  const partners = active.filter((use) => use.cover.role === 'broad' || use.cover.role === 'partner')
  const boosters = active.filter((use) => use.cover.role === 'booster' && lost(use) < 2)
  const levels = {} as CoverLevels
  for (const group of GROUPS) {
    const base = Math.max(0, ...partners.map((use) => use.cover[group] - lost(use)))
    const lift = base > 0 && boosters.length > 0 ? 1 : 0
    levels[group] = Math.min(3, base + lift)
  }
  return levels
}

export const isAdequate = (levels: CoverLevels) => GROUPS.every((group) => levels[group] >= ENOUGH)
export const weakGroups = (levels: CoverLevels) => GROUPS.filter((group) => levels[group] < ENOUGH)

const limitedBy = (uses: readonly PreservativeUse[]) =>
  uses.filter((use) => use.material.ph && use.cover.role !== 'help' && use.cover.role !== 'booster')

function systemWindow(uses: readonly PreservativeUse[]): { min: number; max: number } | null {
  const limited = limitedBy(uses)
  if (limited.length === 0) return null
  const edges = new Set(limited.flatMap((use) => [use.material.ph!.min, use.material.ph!.max]))
  const good = [...edges].sort((a, b) => a - b).filter((ph) => isAdequate(coverAt(uses, ph)))
  if (good.length > 0) return { min: good[0]!, max: good.at(-1)! }
  const min = Math.max(...limited.map((use) => use.material.ph!.min))
  const max = Math.min(...limited.map((use) => use.material.ph!.max))
  return min <= max ? { min, max } : null
}

export function describePreservation(input: {
  lines: readonly AssessedLine[]
  substances: ReadonlyMap<string, Substance>
  doses: ReadonlyMap<string, { percent: number; lines: number[] }>
  waterPercent: number
  alcoholPercent: number
  /** Oils that dissolve a preservative, percent. */
  oilPercent: number
  catalogue: Catalogue
}): Preservation {
  const { lines, substances, doses, waterPercent, alcoholPercent, oilPercent, catalogue } = input
  const uses = new Map<string, PreservativeUse>()
  const unidentified: number[] = []
  for (const [id, dose] of doses) {
    const material = lines[dose.lines[0]!]!.material!
    if (!material.cover) continue
    const use: PreservativeUse = {
      material,
      cover: material.cover,
      dosePercent: dose.percent,
      lines: dose.lines,
    }
    uses.set(id, material.parts ? { ...use, parts: partsOf(use, catalogue) } : use)
  }
  // Preservatives inside mixtures that are not themselves a known system count as their own dose.
  for (const substance of substances.values()) {
    const hidden = substance.lines.filter((i) => {
      const material = lines[i]!.material
      return material !== null && !material.cover && !material.unknownShares && material.id !== substance.key
    })
    const material = hidden.length > 0 ? catalogue.find(substance.key) : null
    if (!material?.cover || material.parts) continue
    const extra = hidden.reduce((sum, i) => {
      const share = lines[i]!.substances.find((s) => s.key === substance.key)?.share ?? 0
      return sum + (Math.max(0, lines[i]!.percent) * share) / (material.strengthPercent ?? 100)
    }, 0)
    const seen = uses.get(material.id)
    uses.set(material.id, {
      material,
      cover: material.cover,
      dosePercent: (seen?.dosePercent ?? 0) + extra,
      lines: [...(seen?.lines ?? []), ...hidden],
    })
  }
  lines.forEach((line, index) => {
    const told = line.material?.own || line.material?.unknownShares ? line.material : line.guess
    const says = told?.functions.some((f) => /preserv|antimicrob/i.test(f))
    const explained = [...uses.values()].some((use) => use.lines.includes(index))
    if (says && !explained) unidentified.push(index)
  })
  const list = [...uses.values()]
  const best = coverAt(list, null)
  const whole = waterPercent + alcoholPercent
  const micelles =
    lines.reduce((sum, { material: m, percent, strengthPercent }) => {
      const binds = m?.kind === 'surfactant' || m?.kind === 'solubiliser'
      return binds && percent > 0 ? sum + (percent * (strengthPercent ?? 100)) / 100 : sum
    }, 0) / 100
  return {
    needed: waterPercent >= 1,
    selfPreserving: whole > 0 && alcoholPercent / whole >= 0.2,
    uses: list,
    unidentified,
    medium: { oil: oilPercent / 100, micelles, water: Math.max(0.05, 1 - oilPercent / 100 - micelles) },
    acids: new Map(
      [...sumAcids([...substances].map(([key, s]) => [key, s.percent] as const))].filter(
        ([key]) => acidBaseOf(key)?.worksFrom !== undefined,
      ),
    ),
    best,
    adequate: isAdequate(best),
    window: systemWindow(list),
    worksBelow: limitedBy(list).every((use) => worksBelow(use.material)),
  }
}

/** The preservatives in a blend at their own doses. */
function partsOf(use: PreservativeUse, catalogue: Catalogue): PreservativeUse[] {
  return use.material.parts!.flatMap(({ inci, percent }): PreservativeUse[] => {
    const material = catalogue.find(inci)
    if (!material?.cover || material.parts) return []
    const dosePercent = (use.dosePercent * percent) / (material.strengthPercent ?? 100)
    return [{ material, cover: material.cover, dosePercent, lines: use.lines }]
  })
}
