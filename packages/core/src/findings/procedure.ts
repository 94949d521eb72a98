import { methodOf } from '../procedure/method.ts'
import { routed, type Part } from '../procedure/route.ts'
import { formatCelsius, listWords } from '../text/format.ts'
import type { Assessment } from '../assess/types.ts'
import { finding, type Remedy, type Rule } from './types.ts'

/** Parts that are joined hot may lie so far apart before one of them sets in the other. */
const MOST_APART = 10
const linesOf = (a: Assessment, p: Part) => a.lines.flatMap((l, i) => (l.phase === p.index ? [i] : []))
const heatTo = (p: Part, celsius: number): Remedy => ({
  label: `Heat ${p.name || p.letter} to ${formatCelsius(celsius)}`,
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
            indexes: linesOf(a, p),
            message: `${p.name || p.letter} is given ${formatCelsius(p.given!)} and meets a part of ${formatCelsius(hottest)}.`,
            why: `Waxes and fatty alcohols set where they meet something cooler and leave grains; the method heats it to ${formatCelsius(p.heatToC!)}.`,
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
            indexes: linesOf(a, p),
            message: `${p.name || p.letter} has no temperature; the method heats it to ${formatCelsius(p.heatToC)}.`,
            why: p.heatWhy,
            remedies: [heatTo(p, p.heatToC)],
          }),
        ]
      : [],
  )

/** heat.sensitive-in-hot-phase: the method has to heat a phase above what something in it stands. */
export const heatedAbove: Rule = (a) =>
  routed(a).flatMap((p) => {
    if (p.heatToC === null || p.heatToC === p.given || p.route.to !== 'join') return []
    const indexes = linesOf(a, p).filter((i) => {
      const most = a.lines[i]!.material?.heatMaxC
      return most !== undefined && most < p.heatToC! && (p.given === undefined || most >= p.given)
    })
    if (indexes.length === 0) return []
    return [
      finding(a, {
        code: 'heat.sensitive-in-hot-phase',
        severity: 'check',
        indexes,
        message: `${listWords(indexes.map((i) => a.lines[i]!.label))} would be heated to ${formatCelsius(p.heatToC)} with its phase.`,
        why: `${p.heatWhy} Put what is delicate into a cool-down phase.`,
      }),
    ]
  })

/** process.not-joined: a line whose step the maker took out of the method, so that it never gets into the product. */
export const notJoined: Rule = (a) => {
  const changes = a.formula.method?.changes
  if (!changes || !Object.values(changes).some((c) => c.hidden)) return []
  const { hidden } = methodOf(a, a.formula.method)
  return hidden.flatMap((step) => {
    const indexes = a.lines.flatMap(
      (l, i) =>
      l.percent > 0 && [...step.weighs, ...step.brings].some((r) => r.phase === l.phase && r.line === l.line) ? [i] : [], // prettier-ignore
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
        message: `${listWords(indexes.map((i) => a.lines[i]!.label))} ${indexes.length === 1 ? 'is' : 'are'} in no step: “${step.title}” was taken out of the method.`,
        why: 'Who follows the method leaves it out of the product.',
        remedies: [{ label: 'Put the step back', edit: { type: 'patch', patch: { method: back } } }],
      }),
    ]
  })
}
