import { emulsifierRange, ofOils } from '../emulsion/emulsion.ts'
import { assess } from '../assess/assess.ts'
import type { Assessment } from '../assess/types.ts'
import type { AssessedLine } from '../lines/types.ts'
import { findAll, isCaution } from '../findings/index.ts'
import { saltPercent } from '../assess/carriers.ts'
import { findingKey, type Finding } from '../findings/types.ts'
import type { Emulsion } from '../emulsion/emulsion.ts'
import { applyEdit, type Edit } from '../formula/edit.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import { hasTrait, usualRole, type Material } from '../shapes/material.ts'
import type { Said } from '../text/said.ts'
import type { ChoiceFacts } from './reasons.ts'

export type ChoiceReason = Said<ChoiceFacts>

/** One system for this formula: what it would take, what it would change, and why. */
export interface Candidate {
  material: Material
  /** Of the product, percent. */
  percent: number
  /** The swap as one step. */
  edit: Edit
  /** Findings that the swap brings, and those that it settles; cautions are left out. */
  brings: Finding[]
  settles: Finding[]
  stops: number
  checks: number
  reasonsFor: ChoiceReason[]
  reasonsAgainst: ChoiceReason[]
  /** What it asks for while it is worked in. */
  handling: ChoiceReason[]
  /** In the formula already. */
  current: boolean
  score: number
}

/** The same finding before and after: the same facts, or the same rule about the same materials. */
const keysOf = (f: Finding) => [findingKey(f), `${f.code} ${f.severity} ${[...f.materials].sort().join()}`]
export const missingFrom = (list: readonly Finding[]) => {
  const keys = new Set(list.flatMap(keysOf))
  return (f: Finding) => !keysOf(f).some((key) => keys.has(key))
}
export const relevantFindings = (a: Assessment) => findAll(a).filter((f) => !isCaution(f))

/** A swap takes the amount that the new one wants, or one for one the amount of the old one. */
export type SwapAmount = 'own' | 'same'

/** Emulsifiers that carry a whole emulsion, for each of its types. */
const carries = (m: Material, type: 'oil-in-water' | 'water-in-oil') =>
  type === 'water-in-oil'
    ? m.emulsifier?.role === 'water-in-oil'
    : m.emulsifier?.role === 'oil-in-water' ||
      m.emulsifier?.role === 'cationic' ||
      m.emulsifier?.role === 'polymeric'

const isThickener = (m: Material) =>
  (m.kind === 'gum' || m.kind === 'polymer') && m.emulsifier === undefined && m.charge !== 'cationic'

/** An emulsifier alone serves oils within this of its own HLB. */
const HLB_ROOM = 3
/** Salt from which a thickener's standing it is worth a word, percent. */
const SALTY = 0.1

const round = (percent: number) => Number(percent.toFixed(percent < 1 ? 2 : 1))

/** Amount of an emulsifier for these oils: the middle of its share of the oil phase, within its usual range. */
export function emulsifierDose(m: Material, oilsPercent: number): number {
  const usage = m.usage ?? { min: 1, typical: 3, max: 6 }
  const share = m.emulsifier?.shareOfOils
  if (!share) return round(usage.typical)
  const middle = (share.min + share.max) / 2
  const most = emulsifierRange(m, oilsPercent)?.max ?? usage.max
  return round(Math.max(usage.min, Math.min(most, ofOils(m, oilsPercent, middle))))
}

function mainLine(a: Assessment, test: (m: Material) => boolean): AssessedLine | null {
  return a.lines
    .filter((l) => l.material && l.percent > 0 && test(l.material))
    .reduce<AssessedLine | null>((x, l) => (!x || l.percent > x.percent ? l : x), null)
}

/** The first phase that suits a material; where there is none, the one that stands. */
function phaseFor(a: Assessment, m: Material, fallback: number): number {
  const found = a.formula.phases.findIndex((p) => p.role === usualRole(m))
  return found >= 0 ? found : fallback
}

/** A material in the place of another one, or added, as one step; in the phase that suits it. */
export function swap(a: Assessment, old: AssessedLine | null, m: Material, percent: number): Edit {
  const phase = phaseFor(a, m, old?.phase ?? 0)
  if (!old) return { type: 'add-line', phase, line: { material: m.id, percent } }
  const at = { phase: old.phase, line: old.line }
  if (phase === old.phase)
    return {
      type: 'sequence',
      edits: [
        { type: 'replace-material', at, material: m.id },
        { type: 'set-percent', at, percent },
      ],
    }
  return {
    type: 'sequence',
    edits: [
      { type: 'remove-line', at },
      { type: 'add-line', phase, line: { material: m.id, percent } },
    ],
  }
}

function weigh(
  a: Assessment,
  before: readonly Finding[],
  catalogue: Catalogue,
  c: Omit<Candidate, 'brings' | 'settles' | 'stops' | 'checks' | 'score'>,
): Candidate {
  const after = c.current ? before : relevantFindings(assess(applyEdit(a.formula, c.edit), catalogue))
  const brings = after.filter(missingFrom(before))
  const stops = after.filter((f) => f.severity === 'stop').length
  const checks = after.filter((f) => f.severity === 'check').length
  const notes = brings.filter((f) => f.severity === 'note').length
  return {
    ...c,
    brings,
    settles: before.filter(missingFrom(after)),
    stops,
    checks,
    score: -1000 * stops - 100 * checks - 10 * notes + c.reasonsFor.length - 4 * c.reasonsAgainst.length,
  }
}

const SURE = { high: 0, medium: 1, low: 2 }
/** Of equals the one that is known better, then by name. */
const byScore = (x: Candidate, y: Candidate) =>
  y.score - x.score ||
  SURE[x.material.confidence] - SURE[y.material.confidence] ||
  x.material.name.localeCompare(y.material.name)

/** What pH the formula will have: where it is aimed, read or computed. */
const workingRange = (a: Assessment) =>
  a.formula.targetPh ?? (a.workingPh === null ? null : { min: a.workingPh, max: a.workingPh })

function phReason(a: Assessment, m: Material): { good: ChoiceReason } | { bad: ChoiceReason } | null {
  const range = workingRange(a)
  if (!range || !m.ph) return null
  const stands = range.min >= m.ph.min - 0.05 && range.max <= m.ph.max + 0.05
  return stands
    ? { good: { code: 'holds-at-ph', range: m.ph } }
    : { bad: { code: 'holds-only-at-ph', range: m.ph, here: range } }
}

type Judgement = Pick<Candidate, 'reasonsFor' | 'reasonsAgainst' | 'handling'>

/** Puts each material that qualifies in the place of the one in use and judges the formula again, best first. */
function rank(
  a: Assessment,
  catalogue: Catalogue,
  kind: {
    inUse: (m: Material) => boolean
    offered?: (m: Material) => boolean
    dose: (m: Material) => number
    judge: (m: Material, j: Judgement) => void
  },
): Candidate[] {
  const before = relevantFindings(a)
  const old = mainLine(a, kind.inUse)
  return catalogue.materials
    .filter(kind.offered ?? kind.inUse)
    .map((m) => {
      const current = old?.id === m.id
      const percent = current ? old.percent : kind.dose(m)
      const j: Judgement = { reasonsFor: [], reasonsAgainst: [], handling: [] }
      const ph = phReason(a, m)
      if (ph && 'good' in ph) j.reasonsFor.push(ph.good)
      if (ph && 'bad' in ph) j.reasonsAgainst.push(ph.bad)
      kind.judge(m, j)
      return weigh(a, before, catalogue, {
        material: m,
        percent,
        edit: swap(a, old, m, percent),
        current,
        ...j,
      })
    })
    .sort(byScore)
}

/** Whether an emulsifier of one make-up and a sound HLB is too far from what the oils require to serve alone. */
function isFarFromOils(e: Emulsion, { emulsifier, parts }: Material): boolean {
  if (e.type !== 'oil-in-water' || e.requiredHlb === null || parts !== undefined) return false
  const { hlb, hlbSound } = emulsifier!
  return hlb !== undefined && hlbSound === 'yes' && Math.abs(hlb - e.requiredHlb) > HLB_ROOM
}

/**
 * Every emulsifier of the catalogue that could carry this emulsion, best first: each is put in at the amount that it
 * wants and the whole formula is judged again. Ranked by stops, checks, new notes, then by what speaks for and against
 * it in use (setting, whitening, charge).
 */
export function emulsifierCandidates(
  a: Assessment,
  catalogue: Catalogue,
  amount: SwapAmount = 'own',
): Candidate[] {
  const e = a.emulsion
  if (!e) return []
  const old = mainLine(a, (m) => carries(m, e.type))
  return rank(a, catalogue, {
    inUse: (m) => carries(m, e.type),
    dose: (m) => (amount === 'same' && old ? old.percent : emulsifierDose(m, e.oilsPercent)),
    judge: (m, { reasonsFor, reasonsAgainst, handling }) => {
      const { maxOilPercent: most, role } = m.emulsifier!
      if (m.charge === 'nonionic') reasonsFor.push({ code: 'nonionic-emulsifier' })
      if (m.setting === 'fast' && e.oilPhasePercent >= 30) reasonsAgainst.push({ code: 'sets-fast' })
      if (m.whitening !== undefined && m.whitening <= 2) reasonsFor.push({ code: 'hardly-whitens' })
      if (m.whitening !== undefined && m.whitening >= 4) reasonsAgainst.push({ code: 'whitens' })
      if (isFarFromOils(e, m))
        reasonsAgainst.push({ code: 'hlb-far', hlb: m.emulsifier!.hlb!, required: e.requiredHlb! })
      if (most !== undefined && e.oilsPercent > most)
        reasonsAgainst.push({ code: 'oil-capacity', mostPercent: most, oilsPercent: e.oilsPercent })
      if (role === 'polymeric' && e.oilsPercent > 20) reasonsAgainst.push({ code: 'polymer-alone' })
      if (m.setting) handling.push({ code: 'sets', pace: m.setting })
      if (m.meltsC) handling.push({ code: 'melts-near', celsius: m.meltsC })
      else if (role === 'polymeric') handling.push({ code: 'goes-in-cold' })
    },
  })
}

/** Every thickener for the water, best first, judged the same way; the one in use is replaced, else one is added. */
export function thickenerCandidates(
  a: Assessment,
  catalogue: Catalogue,
  amount: SwapAmount = 'own',
): Candidate[] {
  if (a.waterPercent < 20 || a.emulsion?.type === 'water-in-oil') return []
  const old = mainLine(a, isThickener)
  const salt = saltPercent(a)
  return rank(a, catalogue, {
    inUse: isThickener,
    offered: (m) => isThickener(m) && m.usage !== undefined && m.usage.typical <= 5,
    dose: (m) => (amount === 'same' && old ? old.percent : round(m.usage!.typical)),
    judge: (m, { reasonsFor, reasonsAgainst, handling }) => {
      if (m.charge === 'nonionic') reasonsFor.push({ code: 'nonionic-thickener' })
      const stood = m.saltStoodPercent
      if (salt >= SALTY && stood === undefined) reasonsFor.push({ code: 'tolerates-salts' })
      if (salt >= SALTY && stood !== undefined && salt <= stood)
        handling.push({ code: 'tolerates-salt', tolerancePercent: stood, saltPercent: salt })
      if (!a.emulsion && hasTrait(m, 'clear-gel')) reasonsFor.push({ code: 'clear' })
      if (!a.emulsion && hasTrait(m, 'hazy-gel')) reasonsAgainst.push({ code: 'hazy' })
      if (m.feel?.includes('sticky')) reasonsAgainst.push({ code: 'sticky' })
      if (m.feel?.includes('light')) reasonsFor.push({ code: 'light' })
      if (m.slurry) handling.push({ code: 'wet-first', ...m.slurry })
      const hours = m.hydrationHours?.max
      if (hours !== undefined) handling.push({ code: 'full-body-after', hours })
    },
  })
}
