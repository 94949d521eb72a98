import { type Assessment } from '../src/index.ts'
import { JOIN_WITHIN } from '../src/procedure/route.ts'
import { type Step } from '../src/procedure/steps.ts'

/** What is always true of a procedure; the first thing that is not, in words, else null. */
export function broken(a: Assessment, steps: readonly Step[]): string | null {
  const keys = new Set<string>()
  const vessels = new Map<string, Set<number>>()
  const celsius = new Map<string, number | null>()
  const weighed = a.lines.map(() => 0)
  const whole = a.lines.map(() => 0)
  const index = (r: { phase: number; line: number }) =>
    a.lines.findIndex((l) => l.phase === r.phase && l.line === r.line)
  const held = (v: string) => {
    let set = vessels.get(v)
    if (!set) vessels.set(v, (set = new Set()))
    return set
  }
  const emptied = new Set<string>()
  let fills = ''
  let lastReading = -1
  let lastAcid = -1
  for (const [at, step] of steps.entries()) {
    if (keys.has(step.key)) return `two steps are called ${step.key}`
    for (const k of step.after)
      if (!keys.has(k)) return `${step.key} waits for ${k}, which does not come before it`
    keys.add(step.key)
    for (const from of step.from) {
      const set = held(from)
      if (set.size === 0) return `${step.key} pours ${from}, which is empty`
      if (
        step.kind === 'join' &&
        celsius.get(from) != null &&
        celsius.get(step.into!) != null &&
        Math.abs(celsius.get(from)! - celsius.get(step.into!)!) > JOIN_WITHIN
      )
        return `${step.key} joins ${celsius.get(from)} and ${celsius.get(step.into!)} °C`
      for (const i of set) {
        held(step.into!).add(i)
        if (a.lines[i]!.material?.kind === 'acid' || a.lines[i]!.material?.kind === 'base') lastAcid = at
      }
      vessels.delete(from)
      emptied.add(from)
    }
    for (const ref of step.weighs) {
      const i = index(ref)
      if (i < 0) return `${step.key} weighs what is not in the formula`
      if (emptied.has(step.vessel) && !step.from.length && step.vessel !== '' && held(step.vessel).size === 0)
        return `${step.key} weighs into ${step.vessel}, which was emptied`
      if (ref.grams === undefined) whole[i]!++
      else weighed[i]! += ref.grams
      held(step.vessel).add(i)
    }
    for (const ref of step.brings)
      if (!steps.slice(0, at).some((s) => s.weighs.some((w) => w.phase === ref.phase && w.line === ref.line)))
        return `${step.key} brings what was never weighed`
    if (
      step.kind === 'dissolve' &&
      step.vessel &&
      [...held(step.vessel)].every((i) => a.lines[i]!.material?.form === 'powder')
    )
      return `${step.key} dissolves powders in no liquid`
    if (step.vessel) celsius.set(step.vessel, step.celsius)
    if (step.kind === 'ph') lastReading = at
    if (step.kind === 'fill') fills = step.vessel
  }
  for (const [i, l] of a.lines.entries()) {
    if (l.grams <= 0) continue
    if (whole[i] !== 1) return `${l.label} is weighed ${whole[i]} times in all`
    if (weighed[i]! > l.grams + 1e-9) return `${l.label}: more is taken than there is`
    if (!held(fills).has(i)) return `${l.label} is not in what is filled`
  }
  for (const [name, set] of vessels) if (name !== fills && set.size > 0) return `${name} is left over`
  if (lastReading >= 0 && lastAcid > lastReading) return 'an acid or base is added after the last reading'
  return null
}
