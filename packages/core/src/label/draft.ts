import { PHASE_NAMES } from '../formula/written.ts'
import { assess } from '../assess/assess.ts'
import { findAll } from '../findings/index.ts'
import type { Formula, Phase, Role } from '../shapes/formula.ts'
import { COOL_C, HOT_C } from '../formula/templates.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import { usualRole, type Material } from '../shapes/material.ts'
import { substanceSources } from './list.ts'
import type { LabelContext, LabelRange, LabelRanges } from './ranges.ts'
import { kindHas } from '../shapes/kinds.ts'

interface DraftLine {
  material: string
  percent: number
  role: Role
  water: boolean
}

interface Blend {
  blend: Material
  /** Substances of it that are taken out of the list. */
  keys: string[]
  /** Percent of it, where it is not told by its parts. */
  percent: number | null
}

const shareIn = (catalogue: Catalogue, blend: Material, key: string) =>
  (substanceSources(catalogue).get(key) ?? []).find((s) => s.material === blend)?.share ?? 0

/** Substances of each material that has several. */
function partsOf(catalogue: Catalogue): Map<Material, string[]> {
  const parts = new Map<Material, string[]>()
  for (const [key, list] of substanceSources(catalogue))
    for (const { material } of list) parts.set(material, [...(parts.get(material) ?? []), key])
  return parts
}

/** Blends of the catalogue that a label's names can only have come from. */
function homelessBlends(ranges: readonly LabelRange[], catalogue: Catalogue): Blend[] {
  const homeless = new Set(ranges.filter((r) => !r.name.material).map((r) => r.name.key))
  const all = new Set(ranges.map((r) => r.name.key))
  const parts = partsOf(catalogue)
  const sources = substanceSources(catalogue)
  const found: Blend[] = []
  const candidates = new Set([...homeless].flatMap((key) => (sources.get(key) ?? []).map((s) => s.material)))
  for (const blend of [...candidates].sort((x, y) => y.inci.length - x.inci.length)) {
    const names = parts.get(blend) ?? []
    const own = names.filter((key) => homeless.has(key))
    if (own.length === 0 || !names.every((key) => all.has(key))) continue
    own.forEach((key) => homeless.delete(key))
    found.push({ blend, keys: own, percent: null })
  }
  return found
}

/**
 * Ready-made blends of a kind whose parts all stand in the list, in the order of the blend: makers buy them far more
 * often than their parts (common practice).
 */
function readyMade(
  ranges: readonly LabelRange[],
  catalogue: Catalogue,
  is: (m: Material) => boolean,
  taken: ReadonlySet<string>,
): Blend[] {
  const place = new Map(ranges.map((r, i) => [r.name.key, i]))
  const most = new Map(ranges.map((r) => [r.name.key, r.greatest]))
  const parts = partsOf(catalogue)
  const used = new Set(taken)
  const found: Blend[] = []
  const candidates = [...parts].filter(
    ([m, keys]) => keys.length > 1 && m.parts && !m.own && m.usage && is(m),
  )
  for (const [blend, keys] of candidates.sort((x, y) => y[1].length - x[1].length)) {
    const telling = keys.filter((key) => !kindHas(catalogue.find(key)?.kind ?? 'other', 'thins'))
    if (telling.length < 2 || !keys.every((key) => place.has(key)) || telling.some((key) => used.has(key)))
      continue
    const share = (key: string) => shareIn(catalogue, blend, key)
    const falling = [...telling].sort((x, y) => share(y) - share(x))
    const ordered = falling.every(
      (key, i) =>
        i === 0 || share(falling[i - 1]!) - share(key) < 10 || place.get(falling[i - 1]!)! < place.get(key)!,
    )
    const percent = Math.min(
      blend.usage!.typical,
      ...keys.map((key) => (100 * most.get(key)!) / Math.max(share(key), 1e-6)),
    )
    if (!ordered || percent < blend.usage!.min) continue
    telling.forEach((key) => used.add(key))
    found.push({ blend, keys: telling.filter((key) => belongsOnly(key, blend, catalogue)), percent })
  }
  return found
}

/** A part that is put in for what the blend does, so that nothing of it is left over; fatty alcohols may be. */
function belongsOnly(key: string, blend: Material, catalogue: Catalogue): boolean {
  const own = catalogue.find(key)
  return (
    own === null ||
    own.cover !== undefined ||
    (own.emulsifier !== undefined && blend.emulsifier !== undefined)
  )
}

const isPreserving = (m: Material) => m.cover?.role === 'broad'
const isCarrying = (m: Material) => m.emulsifier?.role === 'oil-in-water' || m.emulsifier?.role === 'cationic'

/** What melts from here on has to be heated, °C. */
const MELTS_FROM = 40
const PH_ROOM = 0.3
const WIDEST_AIM = 2.5
/** `note` is what the draft says of itself. */
type DraftContext = LabelContext & { name: string; note: string }

/** Lines of ready-made blends; what is in them is taken from what is left of the list. */
function blendLines(
  { ranges }: LabelRanges,
  catalogue: Catalogue,
  blends: readonly Blend[],
  left: Map<string, number>,
): DraftLine[] {
  return blends.flatMap(({ blend, keys, percent: given }): DraftLine[] => {
    const held = keys.reduce((s, key) => s + shareIn(catalogue, blend, key), 0)
    const told = keys.reduce((s, key) => s + (left.get(key) ?? 0), 0)
    const percent = given ?? (held > 0 ? (told * 100) / held : 0)
    if (percent <= 0) return []
    for (const { name } of ranges) {
      const share = shareIn(catalogue, blend, name.key)
      if (share > 0) left.set(name.key, Math.max(0, left.get(name.key)! - (percent * share) / 100))
    }
    keys.forEach((key) => left.delete(key))
    return [{ material: blend.id, percent, role: usualRole(blend), water: false }]
  })
}

/** A line for each name of which something is left. */
const singleLines = ({ ranges }: LabelRanges, left: ReadonlyMap<string, number>): DraftLine[] =>
  ranges.flatMap(({ name }): DraftLine[] => {
    const percent = left.get(name.key)
    if (percent === undefined || percent < 1e-4) return []
    const m = name.material
    return [
      {
        material: m?.id ?? name.text,
        percent: m?.strengthPercent ? Math.min(100, (percent * 100) / m.strengthPercent) : percent,
        role: m ? usualRole(m) : 'other',
        water: m?.kind === 'water',
      },
    ]
  })

/** Lines in phases by their roles, heated where something has to melt; the first water takes the rest. */
function phasesOf(lines: readonly DraftLine[], catalogue: Catalogue): Phase[] {
  const fill = lines.find((l) => l.water) ?? null
  const melts = lines.some((l) => l.role === 'oil' && (catalogue.find(l.material)?.meltsC ?? 0) >= MELTS_FROM)
  const heated = melts ? { heatToC: HOT_C } : {}
  const kinds: ['water' | 'oil' | 'cool-down' | 'other', Partial<Phase>][] = [
    ['water', heated],
    ['oil', heated],
    ['cool-down', melts ? { belowC: COOL_C } : {}],
    ['other', {}],
  ]
  const asLine = ({ material, percent }: DraftLine) => ({
    material,
    percent: Number(percent.toFixed(percent < 1 ? 3 : 2)),
  })
  return kinds.flatMap(([role, heat]): Phase[] => {
    const own = lines.filter((l) => l.role === role)
    if (own.length === 0) return []
    const written = own.map((l) => (l === fill ? { material: l.material, fill: true } : asLine(l)))
    return [{ name: PHASE_NAMES[role === 'other' ? 'unknown' : role], role, ...heat, lines: written }]
  })
}

function build(result: LabelRanges, context: DraftContext, blends: readonly Blend[]): Formula {
  const { catalogue, product, name, note } = context
  const left = new Map(result.ranges.map((r) => [r.name.key, r.draft]))
  const lines = [...blendLines(result, catalogue, blends, left), ...singleLines(result, left)]
  const phases = phasesOf(lines, catalogue)
  const formula: Formula = {
    format: 'omblet-formula',
    formatVersion: 1,
    name,
    product,
    batchGrams: 100,
    scaleResolutionGrams: 0.01,
    phases,
    note,
  }
  const { ph } = context
  const shared = assess(formula, catalogue).ph.shared
  const targetPh =
    ph === undefined ? shared : { min: Math.max(0, ph - PH_ROOM), max: Math.min(14, ph + PH_ROOM) }
  // what nearly everything bears is no aim
  return targetPh && targetPh.max - targetPh.min <= WIDEST_AIM ? { ...formula, targetPh } : formula
}

/** Faults of a draft, as everything is judged; the fewest win. */
function faults(formula: Formula, catalogue: Catalogue): number {
  const found = findAll(assess(formula, catalogue))
  return found.reduce((s, x) => s + (x.severity === 'stop' ? 100 : x.severity === 'check' ? 1 : 0), 0)
}

/**
 * The draft as a formula of its own: a guess, and called one. Ready-made preservatives and emulsifiers are tried beside
 * their parts, and what is judged best is taken: preserved, emulsified, within caps and ranges where the order allows.
 */
export function labelFormula(result: LabelRanges, context: DraftContext): Formula {
  const { catalogue } = context
  const homeless = homelessBlends(result.ranges, catalogue)
  const taken = new Set(homeless.flatMap((b) => b.keys))
  const preserving = readyMade(result.ranges, catalogue, isPreserving, taken)
  const carrying = readyMade(
    result.ranges,
    catalogue,
    isCarrying,
    new Set([...taken, ...preserving.flatMap((b) => b.keys)]),
  )
  const sets = [[...preserving, ...carrying], preserving, carrying, []]
  const drafts = sets
    .filter((set, i) => i === sets.length - 1 || set.length > 0)
    .map((set) => build(result, context, [...homeless, ...set]))
    .filter((f) => assess(f, catalogue).amounts.balanced)
  const best = drafts.map((f) => ({ f, faults: faults(f, catalogue) })).sort((x, y) => x.faults - y.faults)[0]
  return best?.f ?? build(result, context, homeless)
}
