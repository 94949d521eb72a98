import type { Assessment } from '../assess/types.ts'
import type { LineRef } from '../shapes/formula.ts'
import { listWords } from '../text/format.ts'
import { methodOf, type MethodStep } from './method.ts'
import { BATCH, type Goes } from '../shapes/method.ts'
import { routed, type Part } from './route.ts'
import { schedule } from './schedule.ts'
import type { Step, StepKind, StepLine } from './steps.ts'

const isLine = (x: LineRef, y: LineRef) => x.phase === y.phase && x.line === y.line

/** Grams of a line that are weighed in one step: a named part of it, else what the other steps leave. */
export function gramsIn(
  a: Assessment,
  steps: readonly Pick<Step, 'weighs'>[],
  step: Pick<Step, 'weighs'>,
  ref: StepLine,
) {
  if (ref.grams !== undefined) return ref.grams
  const line = a.lines.find((l) => isLine(l, ref))
  if (!line || !step.weighs.includes(ref)) return 0
  const elsewhere = steps
    .flatMap((s) => s.weighs)
    .reduce((sum, w) => sum + (isLine(w, ref) ? (w.grams ?? 0) : 0), 0)
  return Math.max(0, Number((line.grams - elsewhere).toPrecision(12)))
}

/** The step in which a line goes in, for every line of the formula; null where its step was taken out. */
export const stepOfLine = (steps: readonly MethodStep[], ref: LineRef): MethodStep | null =>
  steps.find((s) => s.weighs.some((w) => w.grams === undefined && isLine(w, ref))) ?? null

/** The lines that a step is about: those it weighs, else those it brings, else what is in its vessel. */
export const linesOfStep = (step: Pick<Step, 'weighs' | 'brings' | 'holds'>): LineRef[] =>
  [step.weighs, step.brings, step.holds]
    .find((refs) => refs.length > 0)
    ?.map(({ phase, line }) => ({ phase, line })) ?? []

/** What `omblet method` prints: the procedure as plain data, the very one that every screen and print shows. */
export function procedureReport(a: Assessment) {
  const { steps } = methodOf(a, a.formula.method)
  const plan = schedule(steps.filter((s) => !s.later && s.ahead === null))
  return {
    steps: steps.map((s) => ({
      id: s.key,
      kind: s.kind,
      title: s.title,
      detail: s.detail,
      look: s.look,
      vessel: s.vessel,
      lines: s.weighs.flatMap((ref) => {
        const grams = gramsIn(a, steps, s, ref)
        const of = a.lines.find((l) => isLine(l, ref))
        if (!of || grams <= 0) return []
        return [
          {
            phase: ref.phase,
            line: ref.line,
            name: of.weighedAs,
            strengthPercent: of.strengthPercent,
            grams,
          },
        ]
      }),
      from: s.from,
      into: s.into,
      celsius: s.celsius,
      handsMinutes: s.hands,
      waitMinutes: s.wait,
      after: s.after,
    })),
    handsMinutes: plan.handsMinutes,
    totalMinutes: plan.totalMinutes,
  }
}

/** Where a part goes, in words, such as “into A before it is heated”. */
export function goesWords(part: Part, parts: readonly Part[]): string {
  const { to, into, when } = part.route
  if (to === 'ph') return 'with the pH'
  const joined = parts.filter((p) => p.route.to === 'join' && p !== part).map((p) => p.letter)
  if (to === 'join')
    return joined.length > 0 ? `joined with ${listWords(joined)}` : 'the batch begins with it'
  if (to === 'part')
    return `into ${parts.find((p) => p.id === into)?.letter ?? 'another part'}, ${when === 'hot' ? 'hot' : 'before it is heated'}`
  return part.belowC === undefined ? 'into the batch' : `into the batch, below ${part.belowC} °C`
}

export interface RouteChoice {
  label: string
  /** What is written into the phase; nothing goes back to what is proposed. */
  goes: Goes | undefined
  chosen: boolean
}

/** Where a phase may go: what is proposed, with its reason, and everything else. */
export function routeChoices(a: Assessment, index: number): RouteChoice[] {
  const own = a.formula.phases[index]?.goes
  const plain = routed({
    ...a,
    formula: {
      ...a.formula,
      phases: a.formula.phases.map((p, i) => (i === index ? { ...p, goes: undefined } : p)),
    },
  })
  const part = plain.find((p) => p.index === index)
  if (!part) return []
  const is = (goes: Goes) =>
    own !== undefined &&
    own.into === goes.into &&
    (own.when ?? 'before-heat') === (goes.when ?? 'before-heat')
  const option = (label: string, goes: Goes): RouteChoice => ({ label, goes, chosen: is(goes) })
  return [
    {
      label: `As proposed: ${goesWords(part, plain)}. ${part.route.why}`,
      goes: undefined,
      chosen: own === undefined,
    },
    option('Joined with the others', { into: BATCH, when: 'hot' }),
    option('Into the batch when it is cool', { into: BATCH, when: 'cool' }),
    ...plain.flatMap((p) =>
      p === part || p.route.to === 'ph'
        ? []
        : [
            option(`Into ${p.letter} before it is heated`, { into: p.id, when: 'before-heat' }),
            option(`Into ${p.letter}, hot`, { into: p.id, when: 'hot' }),
          ],
    ),
  ]
}

export interface FlowStep {
  key: string
  row: number
  lane: number
  /** Lanes that are poured into this one here. */
  from: number[]
  label: string
  kind: StepKind
  celsius: number | null
}
/** The procedure as parts that flow together: a lane a vessel, a row a step, from the top down. */
export interface Flow {
  lanes: { name: string; role: string; first: number; last: number }[]
  steps: FlowStep[]
  rows: number
}
const SHOWN = new Set<StepKind>([
  'weigh',
  'wet',
  'dissolve',
  'heat',
  'join',
  'blend',
  'cool',
  'add',
  'water',
  'ph',
  'rest',
  'whip',
  'fill',
])
const SHORT: Partial<Record<StepKind, string>> = {
  weigh: 'weigh',
  wet: 'wet',
  dissolve: 'dissolve',
  heat: 'heat',
  join: 'join',
  blend: 'blend',
  cool: 'cool',
  add: 'add',
  water: 'make up',
  ph: 'pH',
  rest: 'rest',
  whip: 'whip',
  fill: 'fill',
}

export function flowOf(a: Assessment, steps: readonly MethodStep[]): Flow {
  const shown = steps.filter((s) => s.vessel !== '' && SHOWN.has(s.kind) && !s.later)
  const names = [...new Set(shown.flatMap((s) => [s.vessel, ...s.from]))].sort((x, y) =>
    x.localeCompare(y, 'en', { numeric: true }),
  )
  const lane = (name: string) => names.indexOf(name)
  const rows = shown.map((s, row): FlowStep => ({
    key: s.key,
    row,
    lane: lane(s.vessel),
    from: s.from.map(lane),
    label: SHORT[s.kind]!,
    kind: s.kind,
    celsius: s.celsius,
  }))
  return {
    steps: rows,
    rows: rows.length,
    lanes: names.map((name, i) => {
      const touched = rows.filter((r) => r.lane === i || r.from.includes(i)).map((r) => r.row)
      const letter = shown.find((s) => s.vessel === name)?.letter ?? name.charAt(0)
      return {
        name,
        role: a.phases.find((p) => p.letter === letter)?.role ?? 'other',
        first: Math.min(...touched),
        last: Math.max(...touched),
      }
    }),
  }
}
