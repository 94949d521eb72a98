import type { LineRef } from '../formula/schema.ts'

export type StepKind =
  | 'prepare'
  | 'ahead'
  | 'weigh'
  | 'mix'
  | 'heat'
  | 'combine'
  | 'blend'
  | 'cool'
  | 'add'
  | 'water'
  | 'ph'
  | 'fill'
  | 'look'
  | 'own'

/** A line of the formula that is weighed in a step; with `grams` only so much of it. */
export interface StepLine extends LineRef {
  grams?: number
}

export interface Step {
  /** Outlives changes of the formula: made of what the step does and to which phase or material. */
  key: string
  kind: StepKind
  title: string
  detail: string
  /** Hands are needed for so long, then it waits by itself; minutes. */
  hands: number
  wait: number
  /** Keys of steps that must be over. */
  after: string[]
  /** Letter of its phase, where it belongs to one. */
  letter: string | null
  equipment: string[]
  /** Better made the day before, and why. */
  ahead: string | null
  /** After the making: a day later. */
  later: boolean
  /** Temperature to heat to, or to cool below, °C. */
  celsius: number | null
  /** Minutes to hold it hot. */
  holdMinutes: number
  /** Letters of the phases that are poured into the other one. */
  pours: { from: string[]; into: string } | null
  /** What is weighed in it. */
  weighs: StepLine[]
  /** What was weighed before and joins the batch in it. */
  brings: LineRef[]
}

/** A step of which only some things are told. */
export const stepOf = (told: Partial<Step> & Pick<Step, 'key' | 'kind' | 'title'>): Step => ({
  detail: '',
  hands: 0,
  wait: 0,
  after: [],
  letter: null,
  equipment: [],
  ahead: null,
  later: false,
  celsius: null,
  holdMinutes: 0,
  pours: null,
  weighs: [],
  brings: [],
  ...told,
})
