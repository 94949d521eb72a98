import {
  benchPlan,
  foldBatch,
  type BatchState,
  type BatchEvent,
  type BenchPlan,
  type Formula,
  type BatchEventBody,
} from '../src/index.ts'

const START = Date.parse('2026-11-26T08:00:00.000Z')

/** A batch under way: what happens is numbered, timed and folded. */
export class Making {
  readonly plan: BenchPlan
  readonly events: BatchEvent[] = []
  private minutes = 0

  constructor(formula: Formula) {
    this.plan = benchPlan(formula)
    this.do({ type: 'start', formula, version: null })
  }
  get state(): BatchState {
    return foldBatch(this.plan, this.events)
  }
  wait(minutes: number) {
    this.minutes += minutes
    return this
  }
  do(happening: BatchEventBody, step?: string) {
    const key = step ?? (this.events.length > 0 ? (this.state.plan.steps[this.state.at]?.key ?? null) : null)
    const at = new Date(START + this.minutes * 60_000).toISOString()
    this.events.push({ n: this.events.length, at, step: key, ...happening } as BatchEvent)
    return this
  }
  line(material: string): number {
    return this.plan.a.lines.findIndex((l) => l.id === material || l.source.material === material)
  }
  weigh(material: string, grams: number) {
    return this.do({ type: 'weigh', line: this.line(material), grams })
  }
  of(material: string) {
    return this.state.lines[this.line(material)]!
  }
  done() {
    return this.do({ type: 'step', how: 'done' })
  }
  /** Goes through the steps, weighing each line to its target, up to the first step of a kind, or the end. */
  upTo(kind: string | null) {
    for (let guard = 0; guard < 80; guard++) {
      const { state } = this
      const step = state.plan.steps[state.at]
      if (!step || step.kind === kind) return this
      for (const { line, grams } of step.lines) {
        const { target, weighed, status } = this.state.lines[line]!
        const wanted = grams ?? target - weighed
        if (step.kind !== 'ph' && status !== 'accepted' && wanted > 0)
          this.do({ type: 'weigh', line, grams: Number(wanted.toFixed(4)) })
      }
      this.done()
    }
    throw new Error(`no step of kind ${kind}`)
  }
}
