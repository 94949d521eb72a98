import { PHASE_NAMES } from '../formula/written.ts'
import type { WeighedName } from '../lines/weighed.ts'
import { assess } from '../assess/assess.ts'
import type { Assessment } from '../assess/types.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import { methodOf, type MethodStep } from '../procedure/method.ts'
import { staysPowder } from '../procedure/facts.ts'
import type { Formula, Line } from '../shapes/formula.ts'
import { hasTrait } from '../shapes/material.ts'
import { phaseLetter } from '../formula/keys.ts'
import type { Plain, Said } from '../text/said.ts'
import { stepNamed, type StepNamed } from '../procedure/steps.ts'
import { listWords } from '../text/format.ts'

/** When and how a base is split. */
export interface SplitFacts {
  /** Before a step; null before filling. */
  before: { step: StepNamed | null }
  'while-hot': Plain
  stirred: Plain
}
/** Why no more of a base is shared. */
export interface ForbidsFacts {
  sizes: Plain
  'nothing-in-common': { formula: string }
  'step-differs-early': { step: StepNamed }
  'water-in-oil': Plain
  settles: { name: string }
  'step-differs': { step: StepNamed; phase: string }
}

/** A line of the base: so many percent of each jar come from it. */
export interface SharedLine {
  phase: number
  line: number
  weighedAs: WeighedName
  percent: number
}
/** One mixture that is made once and split by weight. */
export interface SharedPart {
  phases: number[]
  letters: string
  name: string
  lines: SharedLine[]
  /** Of it goes into each jar, grams. */
  gramsEach: number
  /** When and how it is split. */
  split: Said<SplitFacts>
}
export interface SharedBase {
  /** The whole product up to a step, its phases apart, or nothing. */
  kind: 'whole' | 'phases' | 'none'
  parts: SharedPart[]
  /** Why no more is shared. */
  forbids: Said<ForbidsFacts>[]
  jars: number
  /** What the scale tells, grams. */
  resolutionGrams: number
  /** What is made for all jars together, with what stays on tools, grams. */
  grams: number
  /** The base as it is made at the table, still without a name and a title for its last step; null where nothing is shared. */
  formula: Formula | null
  /** What each jar gets of its own beside its shares, by the place of the variant. */
  own: { weighedAs: WeighedName; grams: number }[][]
}

/** More is made than the jars take, since some stays in the beaker (common practice). */
export const BASE_SPARE = 1.05
/** A base of one line is that line. */
const LEAST_LINES = 2
/** A share that weighs less is better weighed by itself, grams. */
const LEAST_GRAMS = 5

interface Variant {
  formula: Formula
  a: Assessment
  steps: MethodStep[]
}

export const sameStuff = (x: Line, y: Line) =>
  x.material === y.material &&
  x.strengthPercent === y.strengthPercent &&
  x.grade === y.grade &&
  JSON.stringify(x.custom) === JSON.stringify(y.custom)

/** The line of another variant that is this one: in the same phase, of the same material. */
function twin(v: Variant, first: Variant, phase: number, line: number): number | null {
  const here = first.formula.phases[phase]!
  const index = v.formula.phases.findIndex((p, i) => (here.id !== undefined ? p.id === here.id : i === phase))
  const at = v.formula.phases[index]?.lines.findIndex((l) => sameStuff(l, here.lines[line]!)) ?? -1
  return at < 0 ? null : v.a.lines.findIndex((l) => l.phase === index && l.line === at)
}

/** Lines that all variants have, with what each has of it at least. */
function sharedLines(variants: readonly Variant[]): SharedLine[] {
  const [first, ...rest] = variants
  return first!.a.lines.flatMap((l, i): SharedLine[] => {
    const at = [i, ...rest.map((v) => twin(v, first!, l.phase, l.line))]
    if (at.includes(null)) return []
    const lines = variants.map((v, j) => v.a.lines[at[j]!]!)
    const percents = lines.map((x) => x.percent)
    const least = Math.min(...percents)
    const alike = Math.max(...percents) - least < 1e-9
    if (least <= 0 || !(alike || lines.every((x) => x.fill))) return []
    return [{ phase: l.phase, line: l.line, weighedAs: l.weighedAs, percent: least }]
  })
}

/** The first step of a variant that needs something of its own, or that the others do not do alike. */
function firstOwn(
  v: Variant,
  variants: readonly Variant[],
  shared: readonly SharedLine[],
  first: Variant,
): number {
  const isShared = (phase: number, line: number) => {
    const at = v.a.lines.findIndex((l) => l.phase === phase && l.line === line)
    return shared.some((s) =>
      v === first ? s.phase === phase && s.line === line : twin(v, first, s.phase, s.line) === at,
    )
  }
  const asked = v.steps.findIndex((s) => {
    const joins =
      s.brings.length > 0
        ? s.brings
        : s.from.length === 0 && s.vessel === v.steps.find((x) => x.kind === 'fill')?.vessel
          ? s.weighs
          : []
    return joins.some((r) => !isShared(r.phase, r.line) && !isFill(v, r.phase, r.line))
  })
  const doing = (s: MethodStep) =>
    `${s.kind} ${JSON.stringify(s.said)} ${s.ownTitle} ${s.wait} ${s.celsius} ${s.into}`
  const others = variants.filter((x) => x !== v).map((x) => new Set(x.steps.map(doing)))
  const otherwise =
    v.formula.method || variants.some((x) => x.formula.method)
      ? v.steps.findIndex(
          (s) => others.some((set) => !set.has(doing(s))) && s.weighs.every((r) => isShared(r.phase, r.line)),
        )
      : -1
  return Math.min(asked < 0 ? v.steps.length : asked, otherwise < 0 ? v.steps.length : otherwise)
}
const isFill = (v: Variant, phase: number, line: number) =>
  v.a.lines.find((l) => l.phase === phase && l.line === line)?.fill === true

/**
 * What the variants of a trial have in common, made once as a base and split by weight: the whole product up to the step
 * where they part, or each heated phase by itself; with the reason wherever the chemistry forbids it.
 */
export function sharedBase(formulas: readonly Formula[], catalogue: Catalogue): SharedBase {
  const none = (forbids: Said<ForbidsFacts>[]): SharedBase => ({
    kind: 'none',
    parts: [],
    forbids,
    jars: formulas.length,
    resolutionGrams: 0.1,
    grams: 0,
    formula: null,
    own: [],
  })
  if (formulas.length < 2) return none([])
  const variants = formulas.map((formula): Variant => {
    const a = assess(formula, catalogue)
    return { formula, a, steps: methodOf(a, formula.method).steps.filter((s) => !s.later) }
  })
  const first = variants[0]!
  if (new Set(variants.map((v) => v.a.amounts.batchGrams.toFixed(6))).size > 1)
    return none([{ code: 'sizes' }])
  const shared = sharedLines(variants)
  const forbids: Said<ForbidsFacts>[] = []
  const whole = wholeBase(variants, shared, forbids)
  if (whole) return finished('whole', [whole], variants, forbids)
  const parts = phaseBases(variants, shared, forbids)
  return parts.length > 0
    ? finished('phases', parts, variants, forbids)
    : none(forbids.length > 0 ? forbids : [{ code: 'nothing-in-common', formula: first.formula.name }])
}

function wholeBase(
  variants: readonly Variant[],
  shared: readonly SharedLine[],
  forbids: Said<ForbidsFacts>[],
): SharedPart | null {
  const first = variants[0]!
  const at = variants.map((v) => firstOwn(v, variants, shared, first))
  const hot = (v: Variant) =>
    v.steps.findLastIndex((s) => s.kind === 'join' || s.kind === 'blend' || s.kind === 'heat')
  if (variants.some((v) => hot(v) < 0)) return null
  const early = variants.findIndex((v, i) => at[i]! <= hot(v))
  if (early >= 0) {
    const step = variants[early]!.steps[at[early]!]
    if (step) forbids.push({ code: 'step-differs-early', step: stepNamed(step) })
    return null
  }
  const inBefore = heldBefore(first, at[0]!)
  const lines = shared.filter((s) => inBefore.has(`${s.phase} ${s.line}`))
  const water = variants.some(
    (v) =>
      v.a.amounts.fillIndex !== null &&
      Math.abs(
        v.a.lines[v.a.amounts.fillIndex]!.percent -
          lines.find((s) => isFill(first, s.phase, s.line))!.percent,
      ) > 1e-9,
  )
  if (water && first.a.emulsion?.type === 'water-in-oil') {
    forbids.push({ code: 'water-in-oil' })
    return null
  }
  const settling = first.a.emulsion ? null : settles(first, lines)
  if (settling) {
    forbids.push(settling)
    return null
  }
  if (lines.length < LEAST_LINES) return null
  const step = first.steps[at[0]!]
  const phases = [...new Set(lines.map((l) => l.phase))]
  return {
    phases,
    letters: listWords(phases.map(phaseLetter)),
    name: PHASE_NAMES.base,
    lines,
    gramsEach: gramsOf(lines, first),
    split: { code: 'before', step: step ? stepNamed(step) : null },
  }
}

/** What is in the vessel that is filled in the end, before a step. */
function heldBefore({ steps }: Variant, at: number): Set<string> {
  const vessels = new Map<string, Set<string>>()
  const held = (v: string) => vessels.get(v) ?? vessels.set(v, new Set()).get(v)!
  for (const step of steps.slice(0, at)) {
    for (const from of step.from) {
      for (const line of held(from)) held(step.into!).add(line)
      vessels.delete(from)
    }
    for (const r of step.weighs) held(step.vessel).add(`${r.phase} ${r.line}`)
  }
  return held(steps.findLast((s) => s.kind === 'fill')?.vessel ?? '')
}

/** Why a mixture cannot be split evenly; null where it can. */
function settles(v: Variant, lines: readonly SharedLine[]): Said<ForbidsFacts> | null {
  const found = lines.find((s) => {
    const m = v.a.lines.find((l) => l.phase === s.phase && l.line === s.line)?.material
    return m && (hasTrait(m, 'suspended') || staysPowder(m))
  })
  return found ? { code: 'settles', name: found.weighedAs } : null
}

const gramsOf = (lines: readonly SharedLine[], v: Variant) =>
  (lines.reduce((s, l) => s + l.percent, 0) * v.a.amounts.batchGrams) / 100

function phaseBases(
  variants: readonly Variant[],
  shared: readonly SharedLine[],
  forbids: Said<ForbidsFacts>[],
): SharedPart[] {
  const first = variants[0]!
  return first.formula.phases.flatMap((phase, p): SharedPart[] => {
    const heated = first.steps.find((s) => s.kind === 'heat' && s.letter === phaseLetter(p))
    if (!heated && phase.role !== 'water' && phase.role !== 'oil') return []
    let lines = shared.filter((s) => s.phase === p)
    const settling = settles(first, lines)
    if (settling) {
      forbids.push(settling)
      lines = lines.filter((s) => !settles(first, [s]))
    }
    if (lines.length < LEAST_LINES || gramsOf(lines, first) < LEAST_GRAMS) return []
    const doing = (v: Variant) =>
      v.steps.filter((s) => s.letter === phaseLetter(p) && ['wet', 'dissolve', 'heat'].includes(s.kind))
    const other = variants
      .slice(1)
      .flatMap((v) =>
        doing(v).filter(
          (s) => !doing(first).some((x) => x.kind === s.kind && x.wait === s.wait && x.celsius === s.celsius),
        ),
      )[0]
    const ownEarly = doing(first).find(
      (s) =>
        s.kind !== 'heat' && s.weighs.some((r) => r.phase === p && !lines.some((l) => l.line === r.line)),
    )
    if (other || ownEarly) {
      forbids.push({
        code: 'step-differs',
        step: stepNamed((other ?? ownEarly)!),
        phase: phase.name || phaseLetter(p),
      })
      return []
    }
    return [
      {
        phases: [p],
        letters: phaseLetter(p),
        name: phase.name || phaseLetter(p),
        lines,
        gramsEach: gramsOf(lines, first),
        split: { code: heated ? 'while-hot' : 'stirred' },
      },
    ]
  })
}

export const KEPT_STEPS: Record<'whole' | 'phases', ReadonlySet<MethodStep['kind']>> = {
  whole: new Set(['wash', 'weigh', 'wet', 'dissolve', 'heat', 'join', 'blend', 'cool']),
  phases: new Set(['wash', 'weigh', 'wet', 'dissolve', 'heat']),
}

/** Key of the step that splits the base. */
export const SPLIT_STEP = 'own-split'

function finished(
  kind: 'whole' | 'phases',
  parts: SharedPart[],
  variants: readonly Variant[],
  forbids: Said<ForbidsFacts>[],
): SharedBase {
  const first = variants[0]!
  const { formula, a } = first
  const jars = variants.length
  const grams = parts.reduce((s, p) => s + p.gramsEach, 0) * jars * BASE_SPARE
  const times = (percent: number) =>
    Number(((percent / 100) * a.amounts.batchGrams * jars * BASE_SPARE).toFixed(6))
  const held = parts.flatMap((p) => p.lines)
  const phases = formula.phases.map((phase, p) => ({
    ...phase,
    lines: phase.lines.flatMap((line, l): Line[] => {
      const here = held.find((s) => s.phase === p && s.line === l)
      if (!here) return []
      const { percent: _p, grams: _g, fill: _f, ...rest } = line
      return [{ ...rest, grams: times(here.percent) }]
    }),
  }))
  const { targetPh: _t, label: _l, costing: _c, ...plain } = formula
  const bare: Formula = {
    ...plain,
    batchGrams: Number(grams.toFixed(6)),
    phases,
  }
  const steps = methodOf(assess(bare, a.catalogue), formula.method).steps
  const unwanted = steps.filter((s) => !KEPT_STEPS[kind].has(s.kind))
  const base: Formula = {
    ...bare,
    method: {
      ...formula.method,
      changes: {
        ...formula.method?.changes,
        ...Object.fromEntries(unwanted.map((s) => [s.key, { hidden: true }])),
      },
      own: [
        {
          key: SPLIT_STEP,
          title: '',
          hands: 2 * jars,
          wait: 0,
        },
      ],
    },
  }
  const own = variants.map((v) =>
    v.a.lines.flatMap((l, i) => {
      const here = held.find((s) =>
        v === first ? s.phase === l.phase && s.line === l.line : twin(v, first, s.phase, s.line) === i,
      )
      const left = l.grams - ((here?.percent ?? 0) / 100) * v.a.amounts.batchGrams
      return left > v.a.amounts.resolutionGrams / 2 ? [{ weighedAs: l.weighedAs, grams: left }] : []
    }),
  )
  return { kind, parts, forbids, jars, resolutionGrams: a.amounts.resolutionGrams, grams, formula: base, own }
}
