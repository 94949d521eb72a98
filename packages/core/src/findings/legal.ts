import type { Assessment } from '../assess/types.ts'
import { limitsFor, LIMITS_REVIEWED, type ApplicableLimit, type Limit } from '../materials/legal.ts'
import { properInci } from '../text/names.ts'
import type { AssessedLine } from '../lines/types.ts'
import type { Source } from './facts.ts'
import { finding, type Finding, type Remedy, type Rule } from './types.ts'

const nameOf = (a: Assessment, limit: ApplicableLimit) => {
  if (limit.family) return limit.family.name
  const substance = a.substances.get(limit.limit.subject)
  return substance?.inci ?? properInci(limit.limit.subject.replaceAll('-', ' '))
}

/** A substance with what analyses found of it in natural oils; null when there is none. */
function withTraces(a: Assessment, key: string) {
  const substance = a.substances.get(key)
  const trace = a.traces.get(key)
  const found = trace?.percent ?? 0
  const percent = (substance?.percent ?? 0) + found
  if (percent <= 0) return null
  const [low, high] = [(substance?.low ?? 0) + found, (substance?.high ?? 0) + found]
  const known = trace ? trace.lines.filter((i) => !trace.unknown.includes(i)) : []
  return {
    inci: (substance ?? trace)!.inci,
    percent,
    low,
    high,
    lines: [...(substance?.lines ?? []), ...known],
  }
}

/** Law stops; an opinion, or a rule that may not bear on this use, is a check. */
const gravity = (limit: Limit) => (limit.kind === 'law' && !limit.uncertain ? 'stop' : 'check')

/** A substance that counts to a limit: its percent, and by what it counts. */
interface Member {
  substance: NonNullable<ReturnType<typeof withTraces>>
  factor: number
  percent: number
}

function judge(a: Assessment, applicable: ApplicableLimit): Finding | null {
  const { limit, factors } = applicable
  const members: Member[] = [...factors].flatMap(([key, factor]) => {
    const substance = withTraces(a, key)
    return substance ? [{ substance, factor, percent: substance.percent * factor }] : []
  })
  const sum = (of: 'percent' | 'low' | 'high') => members.reduce((s, m) => s + m.substance[of] * m.factor, 0)
  const high = sum('high')
  // A cap of nothing is broken by any share; another one for certain only by the least that there can be.
  const open = high > sum('low') + 1e-9
  const total = open && limit.maxPercent > 0 ? sum('low') : sum('percent')
  if (open && total <= limit.maxPercent && high > limit.maxPercent * (1 + 1e-4))
    return cannotTell(a, applicable, members, { low: total, high })
  const acidity = phCondition(a, applicable, total)
  if (acidity && total <= limit.maxPercent)
    return finding(a, { ...acidity, indexes: [...new Set(members.flatMap((m) => m.substance.lines))] })
  // A trace from a blend's rounding is no use of the substance.
  if (total <= limit.maxPercent * (1 + 1e-4) + (limit.maxPercent === 0 ? 1e-7 : 0)) return null
  return broken(a, applicable, members, total)
}

const reviewed = ({ source, confidence }: Limit): Source => ({
  cite: 'limit',
  source,
  reviewed: LIMITS_REVIEWED,
  confidence,
})

/** What is said of a limit that is broken: not in force yet, forbidden, or too much. */
function broken(
  a: Assessment,
  applicable: ApplicableLimit,
  members: readonly Member[],
  total: number,
): Finding {
  const { limit, family } = applicable
  const indexes = [...new Set(members.flatMap((m) => m.substance.lines))]
  const only = indexes.length === 1 ? a.lines[indexes[0]!]! : null
  const { site, rinse, region } = a.formula.product
  const strictest = region === 'other' && limit.kind === 'law'
  const name = members.length === 1 ? members[0]!.substance.inci : nameOf(a, applicable)
  const common = { indexes, source: reviewed(limit) }
  const limited = { authority: limit.authority, name, maxPercent: limit.maxPercent }
  if (limit.from && limit.kind === 'law')
    return finding(a, {
      ...common,
      code: 'legal.above-cap',
      severity: 'note',
      facts: { case: 'later', ...limited, from: limit.from, percent: total },
    })
  if (limit.maxPercent === 0)
    return finding(a, {
      ...common,
      code: 'legal.prohibited',
      severity: gravity(limit),
      facts: {
        ...limited,
        rinse,
        site,
        condition: limit.condition ?? null,
        uncertain: limit.uncertain ?? null,
        strictest,
      },
      remedies: only
        ? [{ code: 'remove', facts: { name: only.label }, edit: { type: 'remove-line', at: only } }]
        : [],
    })
  const plain = members.every(({ substance, percent }) => Math.abs(substance.percent - percent) < 1e-9)
  const unit = family && !plain ? family.unit : null
  return finding(a, {
    ...common,
    code: 'legal.above-cap',
    severity: gravity(limit),
    facts: {
      case: 'over',
      ...limited,
      percent: total,
      unit,
      rinse,
      site,
      several: indexes.length > 1,
      condition: limit.condition ?? null,
      opinion: limit.kind === 'opinion',
      strictest,
    },
    remedies: only ? lowerTo(only, limit.maxPercent / total) : [],
  })
}

/** Lowers the only line that brings it, to a share of what it is. */
function lowerTo(line: AssessedLine, share: number): Remedy[] {
  if (line.fill) return []
  const percent = floor4(line.percent * share)
  return [
    {
      code: 'set-line-to',
      facts: { percent, name: line.weighedAs },
      edit: { type: 'set-percent', at: line, percent },
    },
  ]
}

/** A share that nobody told may be over the cap or not: said as such, with what to enter. */
function cannotTell(
  a: Assessment,
  applicable: ApplicableLimit,
  members: readonly { substance: { inci: string; low: number; high: number; lines: number[] } }[],
  range: { low: number; high: number },
): Finding | null {
  const { limit } = applicable
  if (limit.from || limit.kind !== 'law') return null
  const unknown = members.filter((m) => m.substance.high > m.substance.low)
  const indexes = [...new Set(unknown.flatMap((m) => m.substance.lines))]
  const name = members.length === 1 ? members[0]!.substance.inci : nameOf(a, applicable)
  return finding(a, {
    code: 'legal.above-cap',
    severity: 'check',
    indexes,
    facts: {
      case: 'open',
      authority: limit.authority,
      name,
      maxPercent: limit.maxPercent,
      ...range,
      names: indexes.map((i) => a.lines[i]!.label),
    },
    source: reviewed(limit),
  })
}

/** An opinion that asks for a pH, at a dose that matters, with a reading or a target clearly below it. */
function phCondition(a: Assessment, { limit }: ApplicableLimit, total: number) {
  if (!limit.authority.startsWith('CIR') || limit.phMin === undefined || total < 2) return null
  const ph = a.reading?.ph ?? a.formula.targetPh?.min
  if (ph === undefined || ph >= limit.phMin - 0.15) return null
  return {
    code: 'legal.above-cap' as const,
    severity: 'check' as const,
    facts: {
      case: 'acidity' as const,
      authority: limit.authority,
      name: limit.subject,
      maxPercent: limit.maxPercent,
      phMin: limit.phMin,
      ph,
    },
    source: reviewed(limit),
  }
}

const floor4 = (value: number) => Math.floor(value * 1e4 + 1e-6) / 1e4

/**
 * legal.above-cap and legal.prohibited: caps by region, site and rinse, summed over blends and families. Law is a
 * stop, an opinion a check that says whose it is. When several opinions are broken, the strictest is shown.
 */
export const legal: Rule = (a) => {
  const seen = new Set<string>()
  const found: { finding: Finding; subject: string; kind: string; max: number }[] = []
  for (const key of new Set([...a.substances.keys(), ...a.traces.keys()])) {
    for (const applicable of limitsFor(key, a.formula.product)) {
      const { limit } = applicable
      const id = `${limit.subject}|${limit.authority}|${limit.from ?? ''}`
      if (seen.has(id)) continue
      seen.add(id)
      const result = judge(a, applicable)
      if (result)
        found.push({ finding: result, subject: limit.subject, kind: limit.kind, max: limit.maxPercent })
    }
  }
  return found
    .filter(
      (f) =>
        f.kind === 'law' ||
        !found.some((g) => g.subject === f.subject && g !== f && (g.kind === 'law' || g.max < f.max)),
    )
    .map((f) => f.finding)
}

export interface CapMark {
  maxPercent: number
  source: string
  /** The share that the cap is about is not known: from here on it may be passed. */
  open?: boolean
}

/**
 * The strictest law that bears on a line, as percent of the line's material: where the red tick of its dose rail
 * stands. What other lines already use up is taken off. Null when no law names it.
 */
export function capOf(a: Assessment, index: number): CapMark | null {
  const line = a.lines[index]!
  const caps = line.substances.flatMap(({ key, low, high }) =>
    // what is not known may be all of it
    high <= 0
      ? []
      : limitsFor(key, a.formula.product)
          .filter(({ limit }) => limit.kind === 'law' && !limit.from)
          .map(({ limit, factors }) => {
            const others = [...factors].reduce((sum, [member, factor]) => {
              const own = line.substances.find((s) => s.key === member)?.share ?? 0
              const all = a.substances.get(member)?.percent ?? 0
              return sum + Math.max(0, all - (Math.max(0, line.percent) * own) / 100) * factor
            }, 0)
            return {
              maxPercent: Math.max(0, ((limit.maxPercent - others) * 100) / (high * (factors.get(key) ?? 1))),
              source: limit.source,
              ...(low < high && limit.maxPercent > 0 ? { open: true } : {}),
            }
          }),
  )
  return caps.sort((x, y) => x.maxPercent - y.maxPercent)[0] ?? null
}
