import type { BatchEventBody } from '../src/batch/events.ts'
import { historyOf } from '../src/stability/history.ts'
import { proposeWatch } from '../src/stability/plan.ts'
import { verdictOf } from '../src/stability/verdict.ts'
import { findAll, type Formula } from '../src/index.ts'
import { Making } from './bench-helpers.ts'
import { cream, simple, PRESERVED } from './helpers.ts'

export const DAY = 24 * 60
/** A batch that was made, filled and is kept at room and in frost, with looks by hand. */
export class Kept extends Making {
  private filled = 0
  constructor(formula: Formula) {
    super({ ...formula, batchGrams: 200 })
    this.upTo(null)
    this.do({ type: 'finish', outcome: 'kept', filledGrams: 190 })
    this.plan_()
  }
  plan_() {
    const { a } = this.plan
    const p = proposeWatch(a, findAll(a), 190)
    return this.do({ type: 'keep', samples: p.samples, looks: p.looks }, 'x')
  }
  /** So many days after filling, by the clock. */
  after(days: number) {
    this.wait((days - this.filled) * DAY)
    this.filled = days
    return this
  }
  saw(
    sample: string,
    property: 'ph' | 'mass' | 'body' | 'smell' | 'layer' | 'germs',
    answer: object,
    day: number | null = null,
  ) {
    return this.do({ type: 'observe', sample, day, property, ...answer } as BatchEventBody, 'x')
  }
  ph(days: number, value: number, way = 'meter') {
    return this.after(days).saw('room', 'ph', { value, way }, null)
  }
  get history() {
    return historyOf(this.state.events)
  }
  get verdict() {
    return verdictOf(this.state, this.history, this.plan.a)
  }
}
export const toner = simple([['glycerin', 4], ['sodium lactate', 2], PRESERVED], {
  targetPh: { min: 5, max: 5.8 },
})
export const lactone = simple([['gluconolactone', 4], ['sodium lactate', 2], PRESERVED], {
  targetPh: { min: 3.6, max: 4.4 },
})
export const lotion = cream()
