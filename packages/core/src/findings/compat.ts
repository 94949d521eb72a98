import type { Assessment } from '../assess/types.ts'
import type { Substance } from '../lines/types.ts'
import { isEmulsifier, isOil } from '../emulsion/emulsion.ts'
import { adjusterName } from '../dosing/log.ts'
import { listWords, sayNumber } from '../text/format.ts'
import { materialOfSubstance } from '../assess/carriers.ts'
import { groupsOf, PAIRS, type PairSide } from '../materials/pairs.ts'
import { finding, type Rule } from './types.ts'

/** Below this a trace reacts with nothing that anyone sees, percent. */
const REACTS_FROM = 0.005

/** Substances by the groups that they react as, in one pass. */
function reacting(a: Assessment): Map<string, Substance[]> {
  const groups = new Map<string, Substance[]>()
  for (const s of a.substances.values()) {
    if (s.percent <= REACTS_FROM) continue
    for (const group of groupsOf(s.key, materialOfSubstance(a, s.key))) {
      const held = groups.get(group)
      if (held) held.push(s)
      else groups.set(group, [s])
    }
  }
  return groups
}

/** stability.incompatible: pairs of groups that do something to each other in the jar, told in data. */
export const pairs: Rule = (a) => {
  const groups = reacting(a)
  const found = (side: PairSide) => groups.get(side.group)
  return PAIRS.flatMap((pair) => {
    const left = found(pair.a)
    const right = found(pair.b)
    if (!left || !right) return []
    const indexes = [...new Set([...left, ...right].flatMap((s) => s.lines))]
    return [
      finding(a, {
        code: 'stability.incompatible',
        severity: pair.severity,
        indexes,
        message: `${listWords(left.map((s) => s.inci))} and ${listWords(right.map((s) => s.inci))} ${pair.what}.`,
        why: pair.why,
        ...(pair.source ? { source: pair.source } : {}),
      }),
    ]
  })
}

/** How far beyond the range of the tables the offered HLB may lie. */
const TOLERANCE = 2

/**
 * emulsion.hlb-mismatch: only for a pair of separate nonionic emulsifiers, where HLB is a sound guide; ready-made blends,
 * liquid crystals, polymers and ions follow other rules.
 */
export const hlb: Rule = (a: Assessment) => {
  const e = a.emulsion
  const carriers = a.lines.filter((l) => l.percent > 0 && l.material?.emulsifier?.hlb !== undefined)
  const all = a.lines.filter(
    (l) =>
      l.percent > 0 &&
      l.material &&
      (isEmulsifier(l.material) || l.material.emulsifier?.role === 'polymeric'),
  )
  const sound =
    carriers.length >= 2 &&
    carriers.every((l) => l.material!.emulsifier!.hlbSound === 'yes' && l.material!.inci.length === 1)
  if (
    !e ||
    e.type !== 'oil-in-water' ||
    e.offeredHlb === null ||
    e.requiredHlb === null ||
    !sound ||
    all.some((l) => !carriers.includes(l))
  )
    return []
  const oils = a.lines.filter(
    (l) => l.percent > 0 && l.material && isOil(l.material) && l.material.requiredHlb,
  )
  const weight = oils.reduce((s, l) => s + l.percent, 0)
  const mean = (end: 'low' | 'high') =>
    oils.reduce((s, l) => s + l.percent * l.material!.requiredHlb![end], 0) / weight
  if (e.offeredHlb >= mean('low') - TOLERANCE && e.offeredHlb <= mean('high') + TOLERANCE) return []
  return [
    finding(a, {
      code: 'emulsion.hlb-mismatch',
      severity: 'check',
      materials: carriers.map((l) => l.id),
      message: `The emulsifiers offer HLB ${sayNumber(e.offeredHlb, 1)}; the oils want about ${sayNumber(e.requiredHlb, 1)} (${sayNumber(mean('low'), 1)}–${sayNumber(mean('high'), 1)} in the tables).`,
      why: `${e.offeredHlb > e.requiredHlb ? 'More of the oil-loving' : 'More of the water-loving'} partner brings them together. Within ± 1 is as good as the tables.`,
      source: 'Griffin 1949 and 1954; from memory',
    }),
  ]
}

/** record.adjuster-not-counted: acid or alkali went in and is not in the formula. */
export const notCounted: Rule = (a) => {
  const open = (a.formula.additions ?? []).filter((x) => !x.inFormula)
  if (open.length === 0) return []
  const names = [...new Set(open.map((x) => adjusterName(x.material).toLowerCase()))]
  return [
    finding(a, {
      code: 'record.adjuster-not-counted',
      severity: 'note',
      materials: names,
      message: `${listWords(names)} ${names.length > 1 ? 'were' : 'was'} added and ${names.length > 1 ? 'are' : 'is'} not in the formula.`,
      why: 'Caps, the list of ingredients and the next batch do not know of it. Take it into the formula on the pH leaf.',
    }),
  ]
}

/** ph.not-final: a phase, or an adjuster, that went in after the pH was read. */
export const notFinal: Rule = (a) => {
  const since = (a.formula.additions ?? []).filter(
    (x) => !x.inFormula && x.afterReading >= (a.formula.readings?.length ?? 0),
  )
  if (a.reading && since.length > 0)
    return [
      finding(a, {
        code: 'ph.not-final',
        severity: 'check',
        materials: [],
        message: `After the last reading ${listWords([...new Set(since.map((x) => adjusterName(x.material).toLowerCase()))])} was added.`,
        why: 'Mix, wait two minutes and read again; and once more the next day.',
      }),
    ]
  const after = a.reading?.afterPhase
  if (!after) return []
  const at = a.formula.phases.findIndex((p) => p.name === after)
  const later = a.phases.filter((p, i) => at >= 0 && i > at && p.lines > 0 && p.percent > 0)
  if (later.length === 0) return []
  return [
    finding(a, {
      code: 'ph.not-final',
      severity: 'check',
      materials: [],
      message: `The pH was read after ${after}; ${listWords(later.map((p) => p.name || p.letter))} came later.`,
      why: 'Read it again after the last addition, and once more the next day.',
    }),
  ]
}

/** ph.not-measured: pH matters here, and nobody has read it. */
export const notMeasured: Rule = (a) => {
  const { shared } = a.ph
  if (a.reading || a.emulsion?.type === 'water-in-oil' || a.waterPercent < 5) return []
  const narrow = shared !== null && shared.max - shared.min <= 3.5
  // acids and bases, preservatives that need a pH, the eye area, a target: there it matters
  const moved = a.lines.some((l) => l.percent > 0 && (l.material?.kind === 'acid' || l.material?.kind === 'base')) // prettier-ignore
  if (!narrow && !moved && a.formula.product.site !== 'eye' && !a.formula.targetPh) return []
  return [
    finding(a, {
      code: 'ph.not-measured',
      severity: 'note',
      materials: [],
      message: 'pH matters here and has not been read yet.',
      why: 'Measure a small portion when everything is in, and again after 24 hours.',
    }),
  ]
}
