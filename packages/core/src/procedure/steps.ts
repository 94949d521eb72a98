import type { LineRef } from '../shapes/formula.ts'
import type { Equipment, MadeAhead, StepSaid } from './step-facts.ts'

export const STEP_KINDS = [
  'wash',
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
  'label',
  'look',
  'own',
] as const
export type StepKind = (typeof STEP_KINDS)[number]

/** A line of the formula that is weighed in a step; with `grams` only so much of it, the rest elsewhere. */
export interface StepLine extends LineRef {
  grams?: number
}

export interface Step {
  /** Outlives changes of the formula: made of what the step does and to which phase or material. */
  key: string
  kind: StepKind
  /** What is done, to be put into words. */
  said: StepSaid
  /** Hands are needed for so long, then it waits by itself; minutes. */
  hands: number
  wait: number
  /** Keys of steps that must be over. */
  after: string[]
  /** The vessel it happens in; empty where it is none. */
  vessel: string
  /** Letter of its phase, where it belongs to one. */
  letter: string | null
  /** Vessels that are emptied in it, and the one that takes them. */
  from: string[]
  into: string | null
  equipment: Equipment[]
  /** Better made the day before, and why. */
  ahead: MadeAhead | null
  /** After the making: a day later. */
  later: boolean
  /** Temperature of its vessel when it is over, °C; null for room. */
  celsius: number | null
  /** It is brought to that temperature in it. */
  warms: boolean
  /** Minutes to hold it hot. */
  holdMinutes: number
  /** What is weighed in it. */
  weighs: StepLine[]
  /** What was weighed before and comes to the batch, or nearer to it, in it. */
  brings: LineRef[]
  /** What is in its vessel while it is heated. */
  holds: LineRef[]
}

/** A step of which only some things are told. */
export const stepOf = (told: Partial<Step> & Pick<Step, 'key' | 'kind' | 'said'>): Step => ({
  hands: 0,
  wait: 0,
  after: [],
  vessel: '',
  letter: null,
  from: [],
  into: null,
  equipment: [],
  ahead: null,
  later: false,
  celsius: null,
  warms: false,
  holdMinutes: 0,
  weighs: [],
  brings: [],
  holds: [],
  ...told,
})

/** A step as it is called: what it does, and the maker's own title in place of ours. */
export interface StepNamed {
  said: StepSaid
  ownTitle?: string | undefined
}
export const stepNamed = ({ said, ownTitle }: StepNamed): StepNamed =>
  ownTitle === undefined ? { said } : { said, ownTitle }
