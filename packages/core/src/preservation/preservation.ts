import type { AssessedLine, Substance } from '../assess/types.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import type { Cover, Material } from '../materials/schema.ts'

export interface PreservativeUse {
  material: Material
  cover: Cover
  /** At the strength its range is written for, summed over lines. */
  dosePercent: number
  /** Indexes into the assessment's lines. */
  lines: number[]
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
  /** pH range in which the partners together cover all four groups, or all that they can. */
  window: { min: number; max: number } | null
}

const GROUPS = ['gramPositive', 'gramNegative', 'yeast', 'mould'] as const
export const GROUP_NAMES: Record<keyof CoverLevels, string> = {
  gramPositive: 'gram-positive bacteria',
  gramNegative: 'gram-negative bacteria',
  yeast: 'yeast',
  mould: 'mould',
}
/** Level from which a group counts as covered: moderate. */
const ENOUGH = 2
/** A dose this close under the usual minimum still counts in full. */
const NEAR = 0.95

const inWindow = (material: Material, ph: number | null) =>
  ph === null || !material.ph || (ph >= material.ph.min - 1e-9 && ph <= material.ph.max + 1e-9)

const dosed = (use: PreservativeUse) =>
  !use.material.usage || use.dosePercent >= use.material.usage.min * NEAR

/**
 * Cover of the partners together at a pH (null: wherever it suits them). Partners do not add up; a booster at its
 * dose lifts what is already there by one level.
 */
export function coverAt(uses: readonly PreservativeUse[], ph: number | null): CoverLevels {
  const active = uses.filter((use) => dosed(use) && inWindow(use.material, ph))
  const partners = active.filter((use) => use.cover.role === 'broad' || use.cover.role === 'partner')
  const boosters = active.filter((use) => use.cover.role === 'booster')
  const levels = {} as CoverLevels
  for (const group of GROUPS) {
    const base = Math.max(0, ...partners.map((use) => use.cover[group]))
    const lift = base > 0 && boosters.length > 0 ? 1 : 0
    levels[group] = Math.min(3, base + lift)
  }
  return levels
}

export const isAdequate = (levels: CoverLevels) => GROUPS.every((group) => levels[group] >= ENOUGH)
export const weakGroups = (levels: CoverLevels) => GROUPS.filter((group) => levels[group] < ENOUGH)

function systemWindow(uses: readonly PreservativeUse[]): { min: number; max: number } | null {
  const limited = uses.filter(
    (use) => use.material.ph && use.cover.role !== 'help' && use.cover.role !== 'booster',
  )
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
  catalogue: Catalogue
}): Preservation {
  const { lines, substances, doses, waterPercent, alcoholPercent, catalogue } = input
  const uses = new Map<string, PreservativeUse>()
  const unidentified: number[] = []
  for (const [id, dose] of doses) {
    const material = lines[dose.lines[0]!]!.material!
    if (material.cover)
      uses.set(id, { material, cover: material.cover, dosePercent: dose.percent, lines: dose.lines })
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
  return {
    needed: waterPercent >= 1,
    selfPreserving: whole > 0 && alcoholPercent / whole >= 0.2,
    uses: list,
    unidentified,
    best,
    adequate: isAdequate(best),
    window: systemWindow(list),
  }
}
