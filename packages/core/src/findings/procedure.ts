import { PHASE_NAMES } from '../formula/written.ts'
import { linesWhere } from '../assess/lines.ts'
import type { Edit } from '../formula/edit.ts'
import { hasTrait } from '../shapes/material.ts'
import { BATCH } from '../shapes/method.ts'
import { isStrongAcid, neutralises, staysCold, wantsGlycol } from '../procedure/facts.ts'
import { methodOf } from '../procedure/method.ts'
import { COOL, routed, type Part } from '../procedure/route.ts'
import type { Assessment } from '../assess/types.ts'
import type { FindingFacts } from './facts.ts'
import { finding, type Remedy, type Rule } from './types.ts'

/** Parts that are joined hot may lie so far apart before one of them sets in the other. */
const MOST_APART = 10
const linesIn = (a: Assessment, p: Part) => linesWhere(a, (l) => l.phase === p.index)
const heatTo = (p: Part, celsius: number): Remedy => ({
  code: 'heat-phase',
  facts: { phase: p.name || p.letter, celsius },
  edit: { type: 'patch-phase', phase: p.index, patch: { heatToC: celsius } },
})

/** process.temperature-mismatch: parts that meet hot are given temperatures far apart. */
export const apart: Rule = (a) => {
  const joined = routed(a).filter((p) => p.route.to === 'join' && p.given !== undefined)
  const hottest = Math.max(...joined.map((p) => p.given!))
  return joined.flatMap((p) =>
    joined.length > 1 && hottest >= 45 && hottest - p.given! > MOST_APART
      ? [
          finding(a, {
            code: 'process.temperature-mismatch',
            severity: 'check',
            indexes: linesIn(a, p),
            facts: {
              phase: p.name || p.letter,
              givenC: p.given!,
              hottestC: hottest,
              heatToC: p.heatToC!,
            },
            remedies: [heatTo(p, hottest)],
          }),
        ]
      : [],
  )
}

/** process.order: something has to melt, or to be met hot, and its phase says no temperature. */
export const heatNotSaid: Rule = (a) =>
  routed(a).flatMap((p) =>
    p.given === undefined && p.heatToC !== null && p.route.to === 'join'
      ? [
          finding(a, {
            code: 'process.order',
            severity: 'note',
            indexes: linesIn(a, p),
            facts: {
              case: 'no-temperature',
              phase: p.name || p.letter,
              heatToC: p.heatToC,
              reason: p.heatReason,
            },
            remedies: [heatTo(p, p.heatToC)],
          }),
        ]
      : [],
  )

/** heat.sensitive-in-hot-phase: the method has to heat a phase above what something in it stands. */
export const heatedAbove: Rule = (a) =>
  routed(a).flatMap((p) => {
    if (p.heatToC === null || p.heatToC === p.given || p.route.to !== 'join') return []
    const indexes = linesIn(a, p).filter((i) => {
      const most = a.lines[i]!.material?.heatMaxC
      return (
        most !== undefined &&
        !staysCold(a, a.lines[i]!) &&
        most < p.heatToC! &&
        (p.given === undefined || most >= p.given)
      )
    })
    if (indexes.length === 0) return []
    return [
      finding(a, {
        code: 'heat.sensitive-in-hot-phase',
        severity: 'check',
        indexes,
        facts: {
          case: 'method',
          names: indexes.map((i) => a.lines[i]!.label),
          heatToC: p.heatToC,
          reason: p.heatReason,
        },
      }),
    ]
  })

/** process.not-joined: a line whose step the maker took out of the method, so that it never gets into the product. */
export const notJoined: Rule = (a) => {
  const changes = a.formula.method?.changes
  if (!changes || !Object.values(changes).some((c) => c.hidden)) return []
  const { hidden } = methodOf(a, a.formula.method)
  return hidden.flatMap((step) => {
    const goesIn = [...step.weighs, ...step.brings]
    const indexes = linesWhere(
      a,
      (l) => l.percent > 0 && goesIn.some((r) => r.phase === l.phase && r.line === l.line),
    )
    if (indexes.length === 0) return []
    const back = {
      ...a.formula.method,
      changes: { ...changes, [step.key]: { ...changes[step.key], hidden: false } },
    }
    return [
      finding(a, {
        code: 'process.not-joined',
        severity: 'check',
        indexes,
        facts: {
          names: indexes.map((i) => a.lines[i]!.label),
          step: { said: step.said, ownTitle: step.ownTitle },
        },
        remedies: [{ code: 'restore-step', facts: {}, edit: { type: 'patch', patch: { method: back } } }],
      }),
    ]
  })
}

const addWhenCool = (p: Part): Remedy => ({
  code: 'add-when-cool',
  facts: {},
  edit: { type: 'patch-phase', phase: p.index, patch: { goes: { into: BATCH, when: 'cool' } } },
})

/** process.order: a part that the maker sends somewhere else than is proposed, where it does harm. */
export const wrongWay: Rule = (a) => {
  if (!a.formula.phases.some((p) => p.goes)) return []
  const parts = routed(a)
  return parts.flatMap((p) => {
    if (!p.route.chosen || p.route.to !== 'part') return []
    const target = parts.find((x) => x.id === p.route.into)!
    const acids = p.lines.filter((l) => isStrongAcid(l) || wantsGlycol(l.material))
    const warm = (p.heatToC ?? 0) > COOL || p.lines.some((l) => wantsGlycol(l.material))
    const harm = (facts: FindingFacts['process.order']) => [
      finding(a, {
        code: 'process.order',
        severity: 'check',
        indexes: linesIn(a, p),
        facts,
        remedies: [addWhenCool(p)],
      }),
    ]
    if (warm && target.heatToC === null && p.route.when === 'hot')
      return harm({
        case: 'hot-into-cold',
        phase: p.name || p.letter,
        target: target.name || target.letter,
      })
    if (acids.length > 0 && a.emulsion !== null && target.route.to === 'join')
      return harm({ case: 'acid-early', names: acids.map((l) => l.label) })
    return []
  })
}

/** process.order: a polymer stands with what neutralises it, which must wait until it is wet. */
export const neutralisedEarly: Rule = (a) =>
  routed(a).flatMap((p) => {
    if (p.route.to === 'ph') return []
    const polymers = p.lines.filter(
      (l) => l.material && l.percent > 0 && hasTrait(l.material, 'needs-neutralising'),
    )
    const bases = p.lines.filter((l) => l.percent > 0 && neutralises(l.material))
    if (polymers.length === 0 || bases.length === 0) return []
    const adjust = a.formula.phases.findIndex((x) => x.role === 'adjust')
    const to = adjust < 0 ? a.formula.phases.length : adjust
    const moves: Edit[] = [
      ...(adjust < 0
        ? [
            {
              type: 'add-phase' as const,
              phase: { name: PHASE_NAMES.adjust, role: 'adjust' as const, lines: [] },
            },
          ]
        : []),
      // from the last, so that the places of the others stay
      ...bases.toReversed().map(({ phase, line }) => ({
        type: 'move-line' as const,
        from: { phase, line },
        to: { phase: to, line: 0 },
      })),
    ]
    return [
      finding(a, {
        code: 'process.order',
        severity: 'note',
        indexes: [...polymers, ...bases].map((l) => a.lines.indexOf(l)),
        facts: {
          case: 'base-early',
          bases: bases.map((l) => l.label),
          polymers: polymers.map((l) => l.label),
        },
        remedies: [
          {
            code: 'move-to-adjust',
            facts: { names: bases.map((l) => l.label) },
            edit: { type: 'sequence', edits: moves },
          },
        ],
      }),
    ]
  })
