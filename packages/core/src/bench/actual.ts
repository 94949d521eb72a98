import type { Formula, Line } from '../formula/schema.ts'
import { linesIn, looseDoses, type BatchState } from './state.ts'

const ADJUST = { name: 'Adjust pH', role: 'adjust', belowC: 40 } as const

/** Grams of each line that count in the batch: water less what left and with what was put back. */
export function actualGrams(s: BatchState, inside: ReadonlySet<number>): number[] {
  return s.lines.map((l) => {
    if (!inside.has(l.index)) return 0
    const water = l.index === s.plan.water ? s.putBack - s.evaporated : 0
    return Math.max(0, Number((l.weighed + water).toFixed(6)))
  })
}

/** Name of the phase in which something last came to the batch before an event. */
function lastPhaseBefore(s: BatchState, n: number): string | undefined {
  const out = new Set(
    s.plan.steps.flatMap((step) => {
      const mark = s.events.findLast((e) => e.type === 'step' && e.step === step.key && e.how !== 'go')
      return mark && mark.n < n ? [] : step.joins
    }),
  )
  const last = Math.max(
    -1,
    ...s.plan.a.lines.flatMap((l, i) =>
      s.lines[i]!.weighed > 0 && !out.has(i) && l.phaseSource.role !== 'adjust' ? [l.phase] : [],
    ),
  )
  return s.plan.formula.phases[last]?.name
}

/**
 * The formula of what was really weighed, in grams that make up the batch exactly. `now`: what is in the vessel at this
 * moment; otherwise the whole batch with what still waits to be added. Adjusters are lines of their own. Null while
 * nothing was weighed.
 */
export function actualFormula(s: BatchState, which: 'now' | 'whole' = 'whole'): Formula | null {
  const inside = linesIn(s, which === 'whole')
  const grams = actualGrams(s, inside)
  const source = s.plan.formula
  let index = 0
  const phases = source.phases.map((phase) => ({
    ...phase,
    lines: phase.lines.flatMap((line): Line[] => {
      const g = grams[index++]!
      if (g <= 0) return []
      const { percent: _p, grams: _g, fill: _f, ...rest } = line
      return [{ ...rest, grams: g } as Line]
    }),
  }))
  const loose = new Map<string, Line>()
  for (const dose of s.doses) {
    if (dose.line !== null) continue
    const key = `${dose.material} ${dose.strengthPercent}`
    const seen = loose.get(key)?.grams ?? 0
    loose.set(key, {
      material: dose.material,
      ...(dose.strengthPercent < 100 ? { strengthPercent: dose.strengthPercent } : {}),
      grams: Number((seen + dose.grams).toFixed(6)),
    } as Line)
  }
  if (loose.size > 0) {
    const at = phases.findIndex((p) => p.role === 'adjust')
    if (at >= 0) phases[at] = { ...phases[at]!, lines: [...phases[at]!.lines, ...loose.values()] }
    else phases.push({ ...ADJUST, lines: [...loose.values()] })
  }
  const total = grams.reduce((sum, g) => sum + g, 0) + looseDoses(s)
  if (total <= 0) return null
  const { readings: _r, additions: _a, portion: _p, method: _m, ...rest } = source
  const last = s.readings.at(-1)
  const since =
    last && (s.changedAt > last.n || s.doses.some((d) => d.n > last.n))
      ? { afterPhase: lastPhaseBefore(s, last.n) }
      : {}
  return {
    ...rest,
    batchGrams: Number(total.toFixed(6)),
    phases: phases.filter((p) => p.lines.length > 0),
    ...(last ? { readings: [{ ph: last.ph, method: last.method, at: last.at, ...since }] } : {}),
  } as Formula
}

/**
 * What is in the vessel, with its pH log, as the pH model reads it: lines without adjusters, every dose as an addition,
 * and the readings since the make-up last changed.
 */
export function phFormula(s: BatchState): Formula | null {
  const planned = new Set(s.doses.flatMap((d) => (d.line === null ? [] : [d.line])))
  const without: BatchState = {
    ...s,
    doses: [],
    lines: s.lines.map((l) => (planned.has(l.index) ? { ...l, weighed: 0 } : l)),
  }
  const base = actualFormula(without, 'now')
  if (!base) return null
  const readings = s.readings.filter((r) => r.n > s.changedAt)
  return {
    ...base,
    readings: readings.map(({ ph, method, at }) => ({ ph, method, at })),
    additions: s.doses.map((d) => ({
      material: d.material,
      strengthPercent: d.strengthPercent,
      grams: d.grams,
      ofGrams: base.batchGrams!,
      afterReading: readings.filter((r) => r.n < d.n).length,
      at: d.at,
    })),
  }
}
