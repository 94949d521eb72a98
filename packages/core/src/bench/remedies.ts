import { assess } from '../assess/assess.ts'
import { findAll, isCaution } from '../findings/index.ts'
import type { Finding } from '../findings/types.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import type { Said } from '../text/said.ts'
import type { PourFacts } from './said.ts'
import { actualFormula } from './actual.ts'
import type { BatchEvent, BatchEventBody } from '../batch/events.ts'
import { foldBatch, type BatchState } from './state.ts'
import { expectedOf, looseDoses } from './contents.ts'
import { atResolution } from '../weighing/error.ts'

export type RemedyId = 'accept' | 'take-out' | 'scale-all' | 'scale-phase' | 'discard'

export interface PourRemedy {
  id: RemedyId
  said: Said<PourFacts>
  happenings: BatchEventBody[]
  /** Lines that have to be topped up, with what is still to weigh of each. */
  topUps: { line: number; grams: number }[]
  /** Size of the batch afterwards, grams. */
  totalGrams: number
  /** Percent of the line in the batch afterwards. */
  percent: number
  /** Stops and checks that this brings and the formula did not have. */
  findings: Finding[]
}

/** More than this much larger, a batch may not fit its beaker. */
const LARGE = 1.25

/** Plays a remedy through: the batch as it would stand after it, and what that brings which the plan did not have. */
function player(s: BatchState, index: number, catalogue: Catalogue | undefined) {
  const { plan } = s
  const d = plan.a.amounts.resolutionGrams
  const planned = new Set(findingKeys(findAll(plan.a)))
  const brings = (f: Finding) =>
    f.severity !== 'note' && !isCaution(f) && !NOT_HERE.has(f.code) && !planned.has(keyOf(f))
  return (
    id: RemedyId,
    said: (after: BatchState) => Said<PourFacts>,
    happenings: BatchEventBody[],
  ): PourRemedy => {
    const after = foldBatch(plan, [...s.events, ...happenings.map((h, i) => pretend(s, h, i))])
    const formula = actualFormula(completed(after))
    const a = formula ? assess(formula, catalogue) : null
    const total = a?.amounts.batchGrams ?? 0
    return {
      id,
      said: said(after),
      happenings,
      topUps: after.lines.flatMap((l) =>
        l.weighed > 0 && l.weighed < l.low && l.index !== plan.fill
          ? [{ line: l.index, grams: atResolution(l.target - l.weighed, d) }]
          : [],
      ),
      totalGrams: total,
      percent: total > 0 ? (100 * expectedOf(after.lines[index]!)) / total : 0,
      findings: a ? findAll(a).filter(brings) : [],
    }
  }
}

/**
 * What can be done about a line that was over-poured, the least harmful first: let it be and record the true percents,
 * take out, scale everything up, scale its phase, or begin the phase anew. Each is played through, so that what it
 * brings is known beforehand.
 */
export function pourRemedies(s: BatchState, index: number, catalogue?: Catalogue): PourRemedy[] {
  const { plan } = s
  const line = s.lines[index]!
  const d = plan.a.amounts.resolutionGrams
  const over = atResolution(line.weighed - line.target, d)
  if (over <= 0 || line.target <= 0) return []
  const label = plan.a.lines[index]!.weighedAs
  const factor = line.weighed / line.target
  const phase = plan.a.lines[index]!.phase
  const inPhase = s.lines.filter((l) => plan.a.lines[l.index]!.phase === phase)
  const fill = plan.fill === null ? null : s.lines[plan.fill]!
  const fillOpen = fill !== null && index !== plan.fill && expectedOf(fill) > fill.weighed + d / 2

  const play = player(s, index, catalogue)

  const accept = play(
    'accept',
    (after) => {
      const total = after.lines.reduce((sum, l) => sum + expectedOf(l), 0) + looseDoses(after)
      return fillOpen && total <= s.totalTarget + d / 2
        ? { code: 'accept-filled', fill: plan.a.lines[plan.fill!]!.label, over, resolutionGrams: d }
        : { code: 'accept-grows', total, resolutionGrams: d }
    },
    [{ type: 'accept', line: index }],
  )
  const takeOut = play('take-out', () => ({ code: 'take-out', name: label, over, resolutionGrams: d }), [
    { type: 'take-out', line: index, grams: over },
  ])
  const all = play(
    'scale-all',
    (after) => ({
      code: 'scale-all',
      total: after.totalTarget,
      factor,
      large: factor > LARGE,
      resolutionGrams: d,
    }),
    [{ type: 'scale', factor, lines: s.lines.map((l) => l.index), all: true }],
  )
  const others = inPhase.filter((l) => l.index !== index && l.index !== plan.fill)
  const scalePhase =
    fillOpen && others.length > 0 && index !== plan.fill
      ? play(
          'scale-phase',
          () => ({
            code: 'scale-phase',
            letter: plan.a.phases[phase]!.letter,
            factor,
            fill: plan.a.lines[plan.fill!]!.weighedAs,
          }),
          [
            {
              type: 'scale',
              factor,
              lines: inPhase.filter((l) => l.index !== plan.fill).map((l) => l.index),
              all: false,
            },
          ],
        )
      : null
  const begun = inPhase.filter((l) => l.weighed > 0)
  const discard = play(
    'discard',
    () => ({
      code: 'discard',
      letter: plan.a.phases[phase]!.letter,
      grams: begun.reduce((sum, l) => sum + l.weighed, 0),
      materials: begun.length,
      name: label,
      resolutionGrams: d,
    }),
    [{ type: 'discard', lines: begun.map((l) => l.index) }],
  )
  const list = [accept, takeOut, all, ...(scalePhase ? [scalePhase] : []), discard]
  const harm = (r: PourRemedy) =>
    r.findings.reduce((sum, f) => sum + (f.severity === 'stop' ? 100 : 10), 0) + HARM[r.id](factor)
  return list
    .map((r) => ({ r, harm: harm(r) }))
    .sort((x, y) => x.harm - y.harm)
    .map(({ r }) => r)
}

/** What each costs beside its findings; judgement, in the order of common practice. */
const HARM: Record<RemedyId, (factor: number) => number> = {
  accept: (f) => (f - 1) * 100,
  'take-out': () => 4,
  'scale-all': (f) => 5 + (f - 1) * 60,
  'scale-phase': (f) => 6 + (f - 1) * 80,
  discard: () => 60,
}

/** Findings of a batch that is not whole yet say nothing of a remedy. */
const NOT_HERE = new Set(['weighing.too-small', 'record.adjuster-not-counted', 'amount.missing'])
const keyOf = (f: Finding) => `${f.code} ${f.severity} ${f.materials.join(' ')}`
const findingKeys = (list: readonly Finding[]) => list.map(keyOf)

const pretend = (s: BatchState, h: BatchEventBody, i: number): BatchEvent => ({
  n: s.events.length + i,
  at: s.events.at(-1)!.at,
  step: s.plan.steps[s.at]?.key ?? null,
  ...h,
})

/** The state as it would be with every line at what is expected of it. */
export const completed = (s: BatchState): BatchState => ({
  ...s,
  lines: s.lines.map((l) => ({ ...l, weighed: expectedOf(l) })),
})
