import { assess } from '../assess/assess.ts'
import type { Assessment } from '../assess/types.ts'
import { capOf } from '../findings/legal.ts'
import type { Formula, Line, LineRef } from '../shapes/formula.ts'
import { catalogue as known, type Catalogue } from '../materials/catalogue.ts'
import { methodOf, type MethodStep } from '../procedure/method.ts'
import { stepOf } from '../procedure/steps.ts'
import { importanceOf, type Importance } from './tolerance.ts'

/** A step as it is done at the table. */
export interface BenchStep extends Omit<MethodStep, 'holds'> {
  /** Lines that are weighed in it; `grams` where only a part of the line is. */
  lines: { line: number; grams: number | null }[]
  /** Lines that join the batch in it. */
  joins: number[]
  /** Lines in the vessel that is heated. */
  holds: number[]
}

export interface BenchPlan {
  formula: Formula
  a: Assessment
  steps: BenchStep[]
  /** Steps for the days after. */
  later: MethodStep[]
  fill: number | null
  /** The line that water leaves from and is put back to. */
  water: number | null
  importance: Importance[]
  /** Legal cap of each line, percent of the batch; Infinity without one. */
  caps: number[]
}

/**
 * What a frozen formula asks for at the table: the steps of its method with what is weighed in each. A line that no step
 * weighs (its step was taken out of the method) gets a step of its own before filling; an adjuster belongs to the first
 * measuring of pH.
 */
export function benchPlan(formula: Formula, catalogue: Catalogue = known): BenchPlan {
  const a = assess(formula, catalogue)
  const method = methodOf(a, formula.method)
  const indexOf = (ref: LineRef) => a.lines.findIndex((l) => l.phase === ref.phase && l.line === ref.line)
  const steps = method.steps
    .filter((s) => !s.later)
    .map((step): BenchStep => ({
      ...step,
      lines: step.weighs.map((ref) => ({ line: indexOf(ref), grams: ref.grams ?? null })),
      joins: step.brings.map(indexOf),
      holds: step.warms ? step.holds.map(indexOf) : [],
    }))
  const weighed = new Set(steps.flatMap((s) => s.lines.filter((l) => l.grams === null).map((l) => l.line)))
  const left = a.lines.flatMap((l, i) => (!weighed.has(i) && (l.grams > 0 || l.fill) ? [i] : []))
  if (left.length > 0) {
    const at = steps.findIndex((s) => s.kind === 'fill')
    const rest: BenchStep = {
      ...REST,
      lines: left.map((line) => ({ line, grams: null })),
      joins: left,
      holds: [],
    }
    steps.splice(at < 0 ? steps.length : at, 0, rest)
  }
  return {
    formula,
    a,
    steps,
    later: method.steps.filter((s) => s.later),
    fill: a.amounts.fillIndex,
    water: waterLine(a),
    importance: a.lines.map((_, i) => importanceOf(a, i)),
    caps: a.lines.map((_, i) => capOf(a, i)?.maxPercent ?? Infinity),
  }
}

/**
 * The plan after a batch was made larger: what is still to do says the amounts of the batch that is made now. `factors`
 * and `allFactor` are against the batch as it was planned; steps that are over keep their words.
 */
export function retold(
  plan: BenchPlan,
  made: { factors: readonly number[]; allFactor: number; marks: ReadonlyMap<string, unknown> },
): BenchPlan {
  let index = 0
  const phases = plan.formula.phases.map((phase) => ({
    ...phase,
    lines: phase.lines.map((line): Line => {
      const i = index++
      if (line.fill) return line
      const { percent: _percent, ...rest } = line
      return { ...rest, grams: Math.max(0, plan.a.lines[i]!.grams) * made.factors[i]! }
    }),
  }))
  const batchGrams = plan.a.amounts.batchGrams * made.allFactor
  const larger = new Map(
    benchPlan({ ...plan.formula, batchGrams, phases }, plan.a.catalogue).steps.map((s) => [s.key, s]),
  )
  return {
    ...plan,
    steps: plan.steps.map((step) => {
      const now = made.marks.has(step.key) ? undefined : larger.get(step.key)
      if (!now) return step
      const gramsOf = (line: number) => now.lines.find((l) => l.line === line)?.grams ?? null
      return {
        ...step,
        said: now.said,
        lines: step.lines.map((l) => (l.grams === null ? l : { ...l, grams: gramsOf(l.line) ?? l.grams })),
      }
    }),
  }
}

const REST: MethodStep = {
  ...stepOf({
    key: 'weigh-rest',
    kind: 'weigh',
    said: { code: 'weigh-rest' },
    hands: 3,
  }),
  note: '',
  changed: false,
}

function waterLine(a: Assessment): number | null {
  const waters = a.lines
    .map((l, i) => ({ l, i }))
    .filter(({ l }) => l.material?.kind === 'water' || l.material?.kind === 'hydrosol')
  const best = waters.find(({ l }) => l.fill) ?? waters.sort((x, y) => y.l.grams - x.l.grams)[0]
  return best?.i ?? null
}
