import { PHASE_NAMES } from '../formula/written.ts'
import type { WeighedName } from '../lines/weighed.ts'
import type { Formula, Line, Phase } from '../shapes/formula.ts'
import { type BatchState, type DoseState } from './state.ts'
import { linesIn, looseDoses } from './contents.ts'

const ADJUST = { name: PHASE_NAMES.adjust, role: 'adjust', belowC: 40 } as const

/** Grams of each line that count in the batch: water less what left and with what was put back. */
export function actualGrams(s: BatchState, inside: ReadonlySet<number>): number[] {
  return s.lines.map((l) => {
    if (!inside.has(l.index)) return 0
    const water = l.index === s.plan.water ? s.putBack - s.evaporated : 0
    return Math.max(0, Number((l.weighed + water).toFixed(6)))
  })
}

/** Lines that came to the batch after an event. */
function joinedAfter(s: BatchState, n: number): Set<number> {
  return new Set(
    s.plan.steps.flatMap((step) => {
      if (step.joins.length === 0) return []
      const over = s.events.findLast((e) => e.type === 'step' && e.step === step.key && e.how !== 'go')
      return over && over.n < n ? [] : step.joins
    }),
  )
}

const grouped = (doses: readonly DoseState[]): Line[] => {
  const lines = new Map<string, Line>()
  for (const dose of doses) {
    const key = `${dose.material} ${dose.strengthPercent}`
    const seen = lines.get(key)?.grams ?? 0
    lines.set(key, {
      material: dose.material,
      ...(dose.strengthPercent < 100 ? { strengthPercent: dose.strengthPercent } : {}),
      grams: Number((seen + dose.grams).toFixed(6)),
    })
  }
  return [...lines.values()]
}

/**
 * The formula of what was really weighed, in grams that make up the batch exactly. `now`: what is in the vessel at this
 * moment; otherwise the whole batch with what still waits to be added. Adjusters are lines of their own; what came after
 * the last reading of pH stands in phases of its own behind it. Null while nothing was weighed.
 */
export function actualFormula(s: BatchState, which: 'now' | 'whole' = 'whole'): Formula | null {
  const inside = linesIn(s, which === 'whole')
  const grams = actualGrams(s, inside)
  const total = grams.reduce((sum, g) => sum + g, 0) + looseDoses(s)
  if (total <= 0) return null
  const source = s.plan.formula
  const last = s.readings.at(-1)
  const late = last ? joinedAfter(s, last.n) : new Set<number>()
  const loose = s.doses.filter((d) => d.line === null)
  const lateDose = (d: DoseState) => last !== undefined && d.n > last.n
  /** Phases with those lines for which `wanted` holds, and those doses. */
  const pick = (wanted: (line: number) => boolean, doses: readonly DoseState[]): Phase[] => {
    let index = 0
    const phases = source.phases.map((phase) => ({
      ...phase,
      lines: phase.lines.flatMap((line): Line[] => {
        const i = index++
        const g = grams[i]!
        if (g <= 0 || !wanted(i)) return []
        const { percent: _p, grams: _g, fill: _f, ...rest } = line
        return [{ ...rest, grams: g }]
      }),
    }))
    const adjusters = grouped(doses)
    if (adjusters.length > 0) {
      const at = phases.findIndex((p) => p.role === 'adjust')
      if (at >= 0) phases[at] = { ...phases[at]!, lines: [...phases[at]!.lines, ...adjusters] }
      else phases.push({ ...ADJUST, lines: adjusters })
    }
    return phases.filter((p) => p.lines.length > 0)
  }
  const before = pick(
    (i) => !late.has(i),
    loose.filter((d) => !lateDose(d)),
  )
  const after = pick((i) => late.has(i), loose.filter(lateDose)).map((p) => ({
    ...p,
    name: PHASE_NAMES['after-reading'].replace('{name}', p.name),
  }))
  const { readings: _r, additions: _a, portion: _p, method: _m, ...rest } = source
  return {
    ...rest,
    batchGrams: Number(total.toFixed(6)),
    phases: [...before, ...after],
    ...(last
      ? {
          readings: [
            {
              ph: last.ph,
              method: last.method,
              at: last.at,
              ...(after.length > 0 && before.length > 0 ? { afterPhase: before.at(-1)!.name } : {}),
            },
          ],
        }
      : {}),
  }
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

/**
 * What was dripped in, grams, charged against the q.s. line: its percent by design, and as it is in what was made. Null
 * where nothing was dripped in, or nothing fills up.
 */
export function chargedToFill(
  s: BatchState,
): { total: number; label: WeighedName; from: number; to: number } | null {
  const total = s.doses.reduce((sum, d) => sum + d.grams, 0)
  const { fill, a } = s.plan
  if (total <= 0 || fill === null) return null
  const made = s.lines.reduce((sum, l) => sum + l.weighed, 0) + total
  if (made <= 0) return null
  const { weighedAs: label, percent } = a.lines[fill]!
  return { total, label, from: percent, to: (100 * s.lines[fill]!.weighed) / made }
}
