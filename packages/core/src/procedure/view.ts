import type { Assessment } from '../assess/types.ts'
import type { LineRef } from '../shapes/formula.ts'
import type { Plain, Said } from '../text/said.ts'
import type { RouteReason } from './step-facts.ts'
import type { MethodStep } from './method.ts'
import { BATCH, type Goes } from '../shapes/method.ts'
import { routed, type Part } from './route.ts'
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

/** Where a part goes. */
export interface GoesFacts {
  'with-ph': Plain
  begins: Plain
  joined: { with: string[] }
  part: { letter: string | null; hot: boolean }
  batch: { belowC: number | null }
}

/** Where a part goes, to be put into words. */
export function goesOf(part: Part, parts: readonly Part[]): Said<GoesFacts> {
  const { to, into, when } = part.route
  const joined = parts.filter((p) => p.route.to === 'join' && p !== part).map((p) => p.letter)
  switch (to) {
    case 'ph':
      return { code: 'with-ph' }
    case 'join':
      return joined.length > 0 ? { code: 'joined', with: joined } : { code: 'begins' }
    case 'part':
      return { code: 'part', letter: parts.find((p) => p.id === into)?.letter ?? null, hot: when === 'hot' }
    case 'batch':
      return { code: 'batch', belowC: part.belowC ?? null }
  }
}

/** Where a phase may go. */
export interface RouteChoiceFacts {
  proposed: { goes: Said<GoesFacts>; reason: RouteReason }
  'with-others': Plain
  'when-cool': Plain
  'before-heat': { letter: string }
  hot: { letter: string }
}
export interface RouteChoice {
  said: Said<RouteChoiceFacts>
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
  const option = (said: Said<RouteChoiceFacts>, goes: Goes): RouteChoice => ({ said, goes, chosen: is(goes) })
  return [
    {
      said: { code: 'proposed', goes: goesOf(part, plain), reason: part.route.reason },
      goes: undefined,
      chosen: own === undefined,
    },
    option({ code: 'with-others' }, { into: BATCH, when: 'hot' }),
    option({ code: 'when-cool' }, { into: BATCH, when: 'cool' }),
    ...plain.flatMap((p) =>
      p === part || p.route.to === 'ph'
        ? []
        : [
            option({ code: 'before-heat', letter: p.letter }, { into: p.id, when: 'before-heat' }),
            option({ code: 'hot', letter: p.letter }, { into: p.id, when: 'hot' }),
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
