import { assess } from '../assess/assess.ts'
import { difference, type LineChange } from '../formula/versions.ts'
import type { Formula } from '../shapes/formula.ts'
import { adjusterAsWeighed } from '../dosing/log.ts'
import type { Said } from '../text/said.ts'
import { stepNamed, type StepNamed } from '../procedure/steps.ts'
import type { DeviationFacts } from './said.ts'
import { actualFormula } from './actual.ts'
import type { BatchInfo, BenchEvent } from './events.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import { benchPlan } from './plan.ts'
import { historyOf } from '../keeping/history.ts'
import { patchVerdict } from '../keeping/patch.ts'
import { taughtBy, type Taught } from '../keeping/learned.ts'
import { watchOf, type Watch } from '../keeping/watch.ts'
import { foldBatch, type BatchState } from './state.ts'

export type BatchStatus = 'running' | 'paused' | 'finished' | 'discarded'

export const statusOf = (s: Pick<BatchState, 'paused' | 'finished'>): BatchStatus =>
  s.finished ? (s.finished.outcome === 'kept' ? 'finished' : 'discarded') : s.paused ? 'paused' : 'running'

/** What a list of batches shows of one, kept beside its events. */
export interface BatchHead {
  id: string
  code: string
  name: string
  formulaId: string | null
  who: string
  status: BatchStatus
  startedAt: string
  lastAt: string
  /** The step that is worked on; null when all are over. Heads stored by earlier versions hold its title. */
  step: StepNamed | string | null
  stepsDone: number
  steps: number
  targetGrams: number
  filledGrams: number | null
  events: number
  /** How it is watched, where it is. */
  watch?: Watch
  /** Somebody’s skin reacted to it. */
  reacted?: true
  /** What it taught, once it was finished. */
  taught?: Taught
}

const namedStep = (step: StepNamed | undefined) => (step ? stepNamed(step) : null)

/** What was really made, assessed; what was designed where nothing was weighed. */
function madeOf(s: BatchState) {
  const made = actualFormula(s)
  return made ? assess(made, s.plan.a.catalogue) : s.plan.a
}

export function headOf(
  info: Pick<BatchHead, 'id' | 'code' | 'name' | 'formulaId' | 'who'>,
  s: BatchState,
): BatchHead {
  const watch = s.finished ? watchOf(s, () => madeOf(s)) : null
  return {
    id: info.id,
    code: info.code,
    name: info.name,
    formulaId: info.formulaId,
    who: info.who,
    status: statusOf(s),
    startedAt: s.start.at,
    lastAt: s.events.at(-1)!.at,
    step: namedStep(s.plan.steps[s.at]),
    stepsDone: s.marks.size,
    steps: s.plan.steps.length,
    targetGrams: s.totalTarget,
    filledGrams: s.finished?.filledGrams ?? null,
    events: s.events.length,
    ...(watch ? { watch } : {}),
    ...(s.finished && historyOf(s.events).patches.some((p) => patchVerdict(p).state === 'stop')
      ? { reacted: true as const }
      : {}),
    ...(s.finished?.outcome === 'kept' ? { taught: taughtBy(s) } : {}),
  }
}

/** What a list shows of a batch from a file, worked out from its events. */
export function headOfFile(
  file: { batch: BatchInfo; events: readonly BenchEvent[] },
  catalogue: Catalogue,
): BatchHead {
  const start = file.events[0]
  if (start?.type !== 'start') throw new Error('A batch begins with its start.')
  return headOf(file.batch, foldBatch(benchPlan(start.formula, catalogue), file.events))
}

/**
 * A code for a batch: initials of the formula, month and day, and a number from the second of that day on
 * (`HF-1126`, `HF-1126-2`). `day` as `2026-11-26`.
 */
export function batchCode(name: string, day: string, taken: readonly string[]): string {
  const words = name
    .normalize('NFKD')
    .replace(/[^\p{L}\p{N} ]/gu, '')
    .split(/\s+/)
    .filter(Boolean)
  const initials =
    words
      .slice(0, 2)
      .map((w) => w[0]!.toUpperCase())
      .join('') || 'B'
  const stem = `${initials}-${day.slice(5, 7)}${day.slice(8, 10)}`
  const used = new Set(taken.map((c) => c.toUpperCase()))
  if (!used.has(stem)) return stem
  for (let n = 2; ; n++) if (!used.has(`${stem}-${n}`)) return `${stem}-${n}`
}

/** Grams to make so that so many containers of so many mL can be filled: volume times density, and what stays behind. */
export const gramsForContainers = (c: { count: number; ml: number; density: number; lossPercent: number }) =>
  (c.count * c.ml * c.density) / (1 - c.lossPercent / 100)

/** Grams that were made: what was weighed and dosed, with water as it stands now; samples are part of it. */
export const madeGrams = (s: BatchState) => actualFormula(s)?.batchGrams ?? 0

/** Filled over made, percent; null before it was filled. */
export function yieldPercent(s: BatchState): number | null {
  const filled = s.finished?.filledGrams
  const made = madeGrams(s)
  return filled === undefined || made <= 0 ? null : (100 * filled) / made
}

/** What went otherwise than planned, in the order in which it happened, each with the number of its entry. */
export function deviations(s: BatchState): { n: number; said: Said<DeviationFacts> }[] {
  const { a, steps } = s.plan
  const resolutionGrams = a.amounts.resolutionGrams
  const label = (i: number) => a.lines[i]?.weighedAs ?? null
  const saidOf = (e: BenchEvent): Said<DeviationFacts> | null => {
    switch (e.type) {
      case 'step':
        return e.how === 'skip'
          ? { code: 'skipped', step: namedStep(steps.find((x) => x.key === e.step)), reason: e.reason ?? '' }
          : null
      case 'accept': {
        const { weighed, target } = s.lines[e.line]!
        return { code: 'left-so', name: label(e.line), grams: weighed, target, resolutionGrams }
      }
      case 'scale':
        return {
          code: 'made-larger',
          percent: (e.factor - 1) * 100,
          lines: e.all ? 'all' : e.lines.length,
        }
      case 'take-out':
        return { code: 'taken-out', name: label(e.line), grams: e.grams, resolutionGrams }
      case 'discard':
        return { code: 'discarded', weighings: e.lines.length, reason: e.reason ?? '' }
      case 'dilution': {
        const { soluteGrams, carrierGrams, usedGrams } = e
        const names = { name: label(e.line), carrier: label(e.carrier) }
        return { code: 'dilution', ...names, soluteGrams, carrierGrams, usedGrams, resolutionGrams }
      }
      case 'dose':
        return s.doses.some((x) => x.n === e.n && x.line === null)
          ? {
              code: 'unnamed-adjuster',
              name: adjusterAsWeighed(e, a.catalogue),
              grams: e.grams,
              resolutionGrams,
            }
          : null
      case 'pause':
        return { code: 'paused', reason: e.reason ?? '' }
      case 'note':
        return e.symptom ? { code: 'looked-wrong', text: e.text } : null
      default:
        return null
    }
  }
  const list = s.events.flatMap((e) => {
    const said = s.undone.has(e.n) ? null : saidOf(e)
    return said ? [{ n: e.n, said }] : []
  })
  const left = s.evaporated - s.putBack
  if (left > resolutionGrams && s.finished)
    list.push({ n: s.events.length, said: { code: 'water-not-replaced', grams: left, resolutionGrams } })
  return list
}

/** Changes of a line smaller than this part of it are how weighing is, not a change of the formula. */
const NOISE = 0.03

/**
 * What a batch did otherwise than its formula and could be taken over: lines that are off by more than 3 % of
 * themselves, left out, or added while the pH was set. The q.s. line follows by itself.
 */
export function provedChanges(s: BatchState): (LineChange & { id: string })[] {
  const actual = actualFormula(s)
  if (!actual) return []
  const fill = s.plan.fill === null ? null : s.plan.a.lines[s.plan.fill]!.source.material
  return difference(s.plan.formula, actual)
    .filter(
      (c) =>
        c.material !== fill &&
        c.kind !== 'moved' &&
        !(c.kind === 'amount' && Math.abs((c.after ?? 0) / (c.before || 1) - 1) < NOISE),
    )
    .map((c, i) => ({ ...c, id: `${c.material} ${i}` }))
}

/** The formula with some of the proved changes in it, in percent, as the next version. */
export function withProved(formula: Formula, s: BatchState, ids: ReadonlySet<string>): Formula {
  const actual = actualFormula(s)
  if (!actual) return formula
  const chosen = provedChanges(s).filter((c) => ids.has(c.id))
  const tidy = (percent: number) => Number(percent.toFixed(2))
  let next = formula
  for (const c of chosen) {
    if (c.kind === 'added') {
      const line = actual.phases.flatMap((p) => p.lines).find((l) => l.material === c.material)!
      const { grams: _g, ...rest } = line
      const added = { ...rest, percent: Number(c.after!.toFixed(4)) }
      const at = next.phases.findIndex((p) => p.role === 'adjust')
      const phases =
        at >= 0
          ? next.phases.map((p, i) => (i === at ? { ...p, lines: [...p.lines, added] } : p))
          : [...next.phases, { name: 'Adjust pH', role: 'adjust' as const, belowC: 40, lines: [added] }]
      next = { ...next, phases }
      continue
    }
    let done = false
    next = {
      ...next,
      phases: next.phases.map((p) => ({
        ...p,
        lines: p.lines.flatMap((l) => {
          if (done || l.material !== c.material || l.fill) return [l]
          done = true
          if (c.kind === 'removed') return []
          const { grams: _g, ...rest } = l
          return [{ ...rest, percent: tidy(c.after!) }]
        }),
      })),
    }
  }
  return next
}
