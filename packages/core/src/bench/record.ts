import { PHASE_NAMES } from '../formula/written.ts'
import { difference, type LineChange } from '../formula/versions.ts'
import type { Formula } from '../shapes/formula.ts'
import { adjusterAsWeighed } from '../dosing/log.ts'
import type { Said } from '../text/said.ts'
import { stepNamed, type StepNamed } from '../procedure/steps.ts'
import type { DeviationFacts } from './said.ts'
import { actualFormula } from './actual.ts'
import type { BatchEvent } from '../batch/events.ts'
import type { BatchState } from './state.ts'

const namedStep = (step: StepNamed | undefined) => (step ? stepNamed(step) : null)

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
  const saidOf = (e: BatchEvent): Said<DeviationFacts> | null => {
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
          : [
              ...next.phases,
              { name: PHASE_NAMES.adjust, role: 'adjust' as const, belowC: 40, lines: [added] },
            ]
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
