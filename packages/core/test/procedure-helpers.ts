import { type Assessment } from '../src/index.ts'
import { JOIN_WITHIN } from '../src/procedure/route.ts'
import { type Step } from '../src/procedure/steps.ts'

/** What is always true of a procedure; the first thing that is not, in words, else null. */
export function broken(a: Assessment, steps: readonly Step[]): string | null {
  const followed = new Followed(a)
  for (const [at, step] of steps.entries()) {
    const fault = followed.order(step) ?? followed.pour(step, at) ?? followed.weigh(step, steps.slice(0, at))
    if (fault) return fault
    followed.note(step, at)
  }
  return followed.atTheEnd()
}

/** Steps as they are followed to the letter: what is in which vessel, how warm it is, and what was weighed. */
class Followed {
  private readonly keys = new Set<string>()
  private readonly vessels = new Map<string, Set<number>>()
  private readonly celsius = new Map<string, number | null>()
  private readonly emptied = new Set<string>()
  private readonly weighed: number[]
  private readonly whole: number[]
  private fills = ''
  private lastReading = -1
  private lastAcid = -1

  constructor(private readonly a: Assessment) {
    this.weighed = a.lines.map(() => 0)
    this.whole = a.lines.map(() => 0)
  }

  private held(vessel: string): Set<number> {
    let set = this.vessels.get(vessel)
    if (!set) this.vessels.set(vessel, (set = new Set()))
    return set
  }
  private material(i: number) {
    return this.a.lines[i]!.material
  }

  order(step: Step): string | null {
    if (this.keys.has(step.key)) return `two steps are called ${step.key}`
    const early = step.after.find((k) => !this.keys.has(k))
    this.keys.add(step.key)
    return early === undefined ? null : `${step.key} waits for ${early}, which does not come before it`
  }

  pour(step: Step, at: number): string | null {
    for (const from of step.from) {
      const set = this.held(from)
      if (set.size === 0) return `${step.key} pours ${from}, which is empty`
      const [here, there] = [this.celsius.get(from), this.celsius.get(step.into!)]
      if (step.kind === 'join' && here != null && there != null && Math.abs(here - there) > JOIN_WITHIN)
        return `${step.key} joins ${here} and ${there} °C`
      for (const i of set) {
        this.held(step.into!).add(i)
        if (this.material(i)?.kind === 'acid' || this.material(i)?.kind === 'base') this.lastAcid = at
      }
      this.vessels.delete(from)
      this.emptied.add(from)
    }
    return null
  }

  weigh(step: Step, before: readonly Step[]): string | null {
    for (const ref of step.weighs) {
      const i = this.a.lines.findIndex((l) => l.phase === ref.phase && l.line === ref.line)
      if (i < 0) return `${step.key} weighs what is not in the formula`
      const gone = this.emptied.has(step.vessel) && this.held(step.vessel).size === 0
      if (gone && step.from.length === 0 && step.vessel !== '')
        return `${step.key} weighs into ${step.vessel}, which was emptied`
      if (ref.grams === undefined) this.whole[i]!++
      else this.weighed[i]! += ref.grams
      this.held(step.vessel).add(i)
    }
    for (const ref of step.brings)
      if (!before.some((s) => s.weighs.some((w) => w.phase === ref.phase && w.line === ref.line)))
        return `${step.key} brings what was never weighed`
    const dry = [...this.held(step.vessel)].every((i) => this.material(i)?.form === 'powder')
    return step.kind === 'dissolve' && step.vessel && dry
      ? `${step.key} dissolves powders in no liquid`
      : null
  }

  note(step: Step, at: number) {
    if (step.vessel) this.celsius.set(step.vessel, step.celsius)
    if (step.kind === 'ph') this.lastReading = at
    if (step.kind === 'fill') this.fills = step.vessel
  }

  atTheEnd(): string | null {
    for (const [i, l] of this.a.lines.entries()) {
      if (l.grams <= 0) continue
      if (this.whole[i] !== 1) return `${l.label} is weighed ${this.whole[i]} times in all`
      if (this.weighed[i]! > l.grams + 1e-9) return `${l.label}: more is taken than there is`
      if (!this.held(this.fills).has(i)) return `${l.label} is not in what is filled`
    }
    for (const [name, set] of this.vessels)
      if (name !== this.fills && set.size > 0) return `${name} is left over`
    return this.lastReading >= 0 && this.lastAcid > this.lastReading
      ? 'an acid or base is added after the last reading'
      : null
  }
}
