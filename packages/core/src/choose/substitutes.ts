import { assess } from '../assess/assess.ts'
import type { Assessment } from '../assess/types.ts'
import type { AssessedLine } from '../lines/types.ts'
import { emulsifierDose, missingFrom, relevantFindings, swap } from './emulsifiers.ts'
import { spreadOf } from '../feel/profile.ts'
import type { Finding } from '../findings/types.ts'
import { applyEdit, type Edit } from '../formula/edit.ts'
import type { Said } from '../text/said.ts'
import type { SubstituteFacts } from './reasons.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import { hasTrait, type Material, type MaterialKind } from '../shapes/material.ts'
import { kindHas } from '../shapes/kinds.ts'
import { COMMON_FUNCTIONS } from '../shapes/material-words.ts'

export type SubstituteNote = Said<SubstituteFacts>

/** A material that could stand in for another one in a formula. */
export interface Substitute {
  material: Material
  percent: number
  edit: Edit
  /** In what it is like the one that is missing. */
  alike: SubstituteNote[]
  /** What has to change with it, or what will be different. */
  differs: SubstituteNote[]
  brings: Finding[]
  settles: Finding[]
  /** 0 to 100: how alike the two are, before what the formula says. */
  likeness: number
}

/** Kinds that do each other's work. */
const FAMILIES: readonly ReadonlySet<MaterialKind>[] = [
  new Set<MaterialKind>(['oil', 'ester', 'alkane', 'silicone', 'butter']),
  new Set<MaterialKind>(['gum', 'polymer']),
  new Set<MaterialKind>(['humectant', 'hyaluronate']),
  new Set<MaterialKind>(['water', 'hydrosol', 'aloe']),
  new Set<MaterialKind>(['wax', 'fatty-alcohol', 'fatty-acid']),
  new Set<MaterialKind>(['acid', 'buffer']),
  new Set<MaterialKind>(['fragrance', 'essential-oil']),
]
const related = (a: MaterialKind, b: MaterialKind) => a === b || FAMILIES.some((f) => f.has(a) && f.has(b))

const shared = <T>(a: readonly T[] = [], b: readonly T[] = []) => a.filter((x) => b.includes(x))

/** How alike two materials are: functions, kind, what they dissolve in, charge, HLB, feel, melting. */
function compare(old: Material, m: Material): Pick<Substitute, 'likeness' | 'alike' | 'differs'> {
  const compared = COMPARISONS.map((of) => of(old, m))
  const score = compared.reduce((sum, c) => sum + c.score, 0)
  return {
    likeness: Math.max(0, Math.min(100, score)),
    alike: compared.flatMap((c) => c.alike ?? []),
    differs: compared.flatMap((c) => c.differs ?? []),
  }
}

interface Compared {
  score: number
  alike?: SubstituteNote[]
  differs?: SubstituteNote[]
}
/** In what two materials can be alike, in the order in which it is told. */
const COMPARISONS: readonly ((old: Material, m: Material) => Compared)[] = [
  function functions(old, m) {
    const same = shared(old.functions, m.functions)
    const telling = same.filter((f) => !COMMON_FUNCTIONS.has(f)).length
    const wanted = old.functions.filter((f) => !COMMON_FUNCTIONS.has(f)).length
    return {
      score: wanted > 0 ? 30 * (telling / wanted) : same.length > 0 ? 20 : 0,
      alike: same.length > 0 ? [{ code: 'functions', functions: same.slice(0, 3) }] : [],
    }
  },
  (old, m) => ({ score: old.kind === m.kind ? 25 : 10 }),
  function solubility(old, m) {
    const [now] = m.solubility
    if (old.solubility[0] === now) return { score: 10 }
    return { score: 0, differs: now ? [{ code: 'soluble-in', in: now }] : [] }
  },
  function charge(old, m) {
    if (old.charge === m.charge || (old.charge === 'none' && m.charge === 'nonionic'))
      return {
        score: 10,
        alike: m.charge === 'none' ? [] : [{ code: 'charge', charge: m.charge, alike: true }],
      }
    const uncharged = m.charge === 'none' || m.charge === 'nonionic'
    return { score: 0, differs: uncharged ? [] : [{ code: 'charge', charge: m.charge, alike: false }] }
  },
  function emulsifying(old, m) {
    if (old.emulsifier?.role && old.emulsifier.role === m.emulsifier?.role) return { score: 15 }
    return { score: old.emulsifier || m.emulsifier ? -15 : 0 }
  },
  hlbLikeness,
  function feel(old, m) {
    if (!old.feel || old.feel.length === 0) return { score: 0 }
    const same = shared(old.feel, m.feel)
    const other = (m.feel ?? []).filter((f) => !old.feel!.includes(f))
    return {
      score: 10 * (same.length / old.feel.length),
      alike: same.length > 0 ? [{ code: 'feel', feel: same }] : [],
      differs: other.length > 0 ? [{ code: 'feel', feel: other.slice(0, 3) }] : [],
    }
  },
  function spreading(old, m) {
    const [was, now] = [spreadOf(old), spreadOf(m)]
    if (!was || !now || was === now) return { score: 0 }
    return {
      score: was === 'medium' || now === 'medium' ? -4 : -10,
      differs: [{ code: 'spreads', pace: now }],
    }
  },
  function melting(old, m) {
    if (Math.abs((old.meltsC ?? 20) - (m.meltsC ?? 20)) <= 12) return { score: 0 }
    return { score: -8, differs: [{ code: 'melts', celsius: m.meltsC || null }] }
  },
]

/** How near two oils are in what HLB they require, or two emulsifiers in what they offer. */
function hlbLikeness(old: Material, m: Material): Compared {
  const needs = [old.requiredHlb?.value, m.requiredHlb?.value]
  if (needs[0] !== undefined && needs[1] !== undefined) {
    const gap = Math.abs(needs[0] - needs[1])
    return gap <= 1
      ? { score: 10 - 3 * gap, alike: [{ code: 'required-hlb', hlb: needs[1] }] }
      : {
          score: 10 - 3 * gap,
          differs: [{ code: 'required-hlb', hlb: needs[1], rather: needs[0] }],
        }
  }
  const offers = [old.emulsifier?.hlb, m.emulsifier?.hlb]
  if (offers[0] === undefined || offers[1] === undefined) return { score: 0 }
  const gap = Math.abs(offers[0] - offers[1])
  return gap <= 1
    ? { score: 10 - 2 * gap, alike: [{ code: 'hlb', hlb: offers[1] }] }
    : {
        score: 10 - 2 * gap,
        differs: [{ code: 'hlb', hlb: offers[1], not: offers[0] }],
      }
}

/** Amount of the stand-in, percent of the product, within its usual range. */
function doseFor(a: Assessment, line: AssessedLine, old: Material, m: Material): number {
  if (m.emulsifier && old.emulsifier && m.emulsifier.role !== 'solubiliser' && a.emulsion)
    return emulsifierDose(m, a.emulsion.oilsPercent)
  const same = kindHas(old.kind, 'gram-for-gram') && kindHas(m.kind, 'gram-for-gram')
  const raw =
    same || !old.usage || !m.usage ? line.percent : (line.percent * m.usage.typical) / old.usage.typical
  const within = m.usage ? Math.max(Math.min(raw, m.usage.max), same ? 0 : m.usage.min) : raw
  return Number(within.toFixed(within < 1 ? 3 : 2))
}

/** What changes in the making with the stand-in. */
function processOf(old: Material, m: Material, line: AssessedLine, percent: number): SubstituteNote[] {
  return [...amountAndHeat(old, m, line, percent), ...careOf(old, m)]
}
function amountAndHeat(old: Material, m: Material, line: AssessedLine, percent: number): SubstituteNote[] {
  const notes: SubstituteNote[] = []
  if (Math.abs(percent - line.percent) > 0.02 * Math.max(1, line.percent))
    notes.push({ code: 'amount', percent, instead: line.percent })
  const heat = line.phaseSource.heatToC
  if (heat !== undefined && m.heatMaxC !== undefined && m.heatMaxC < heat)
    notes.push({ code: 'goes-in-below', celsius: m.heatMaxC })
  if (m.slurry && !old.slurry) notes.push({ code: 'wet-first', ...m.slurry })
  return notes
}
function careOf(old: Material, m: Material): SubstituteNote[] {
  const notes: SubstituteNote[] = []
  if (m.ph && (!old.ph || m.ph.min > old.ph.min + 0.3 || m.ph.max < old.ph.max - 0.3))
    notes.push({ code: 'needs-ph', range: m.ph })
  if (m.oxidation === 'fast' && old.oxidation !== 'fast') notes.push({ code: 'oxidises-sooner' })
  if (m.hydrationHours && m.hydrationHours.max >= 2 && (old.hydrationHours?.max ?? 0) < m.hydrationHours.max)
    notes.push({ code: 'hydration', hours: m.hydrationHours.max })
  if (old.cover && m.cover && m.cover.role !== 'broad' && old.cover.role === 'broad')
    notes.push({ code: 'needs-partner' })
  if (hasTrait(m, 'fragrance') && !hasTrait(old, 'fragrance')) notes.push({ code: 'scented' })
  return notes
}

/** Fewer than this alike are no substitutes. */
const LEAST = 35
/** So many of the most alike are tried in the formula. */
const TRIED = 24

/**
 * What could stand in for the material of a line, the best first: by what it does, what it dissolves in, its charge,
 * HLB and feel, then by what it brings into this formula. `onShelf` come before their equals.
 */
export function substitutesFor(
  a: Assessment,
  index: number,
  catalogue: Catalogue,
  onShelf: ReadonlySet<string> = new Set(),
): Substitute[] {
  const line = a.lines[index]
  const old = line?.material
  if (!line || !old) return []
  const used = new Set(a.lines.map((l) => l.id))
  const before = relevantFindings(a)
  return catalogue.materials
    .filter(
      (m) =>
        m.id !== old.id &&
        !used.has(m.id) &&
        related(old.kind, m.kind) &&
        shared(old.functions, m.functions).length > 0,
    )
    .map((m) => ({ m, ...compare(old, m) }))
    .filter((c) => c.likeness >= LEAST)
    .sort((x, y) => y.likeness - x.likeness || x.m.name.localeCompare(y.m.name))
    .slice(0, TRIED)
    .map(({ m, likeness, alike, differs }) => {
      const percent = line.fill ? line.percent : doseFor(a, line, old, m)
      const edit: Edit = line.fill
        ? { type: 'replace-material', at: { phase: line.phase, line: line.line }, material: m.id }
        : swap(a, line, m, percent)
      const after = relevantFindings(assess(applyEdit(a.formula, edit), catalogue))
      const brings = after.filter(missingFrom(before))
      const trouble = brings.reduce((s, f) => s + { stop: 60, check: 12, note: 2 }[f.severity], 0)
      return {
        rank: likeness - trouble + (onShelf.has(m.id) ? 8 : 0),
        substitute: {
          material: m,
          percent,
          edit,
          alike,
          differs: [...processOf(old, m, line, percent), ...differs],
          brings,
          settles: before.filter(missingFrom(after)),
          likeness: Math.round(likeness),
        },
      }
    })
    .sort((x, y) => y.rank - x.rank)
    .map((x) => x.substitute)
}
