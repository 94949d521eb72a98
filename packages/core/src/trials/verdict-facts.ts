import type { TrialAttribute } from '../shapes/trial.ts'
import type { Plain } from '../text/said.ts'

/** A sample as a sentence calls it: by its letter, or as the reference. */
export type SampleName = { letter: string } | 'reference'
/** A difference of two samples: which is more, by how much, and how many people agree. */
export interface Difference {
  more: SampleName
  less: SampleName
  size: number
  agree: number
}

/** What an attribute tells. */
export interface ConclusionFacts {
  'no-scores': Plain
  'one-scored': Plain
  'none-whole': Plain
  'one-assessor-alike': Plain
  'one-assessor': { attribute: TrialAttribute; difference: Difference }
  two: {
    attribute: TrialAttribute
    difference: Difference
    people: number
    /** What the exact test of pairs says of it. */
    ends: 'differ' | 'no-difference' | 'not-enough-data'
  }
  differ: {
    attribute: TrialAttribute
    differences: (Difference & { fromReference: boolean })[]
    people: number
    /** The overall test is not significant. */
    hint: boolean
  }
  'none-detected': Plain
  alike: {
    attribute: TrialAttribute
    difference: Difference
    overall: boolean
    /** People who would be needed beside these to find a difference of this size. */
    more: number
  }
}

/** A test in figures; `exact` where its p is. */
export interface TestFacts {
  friedman: { q: number; p: number; exact: boolean }
  pairs: { p: number }
}

/** What triangles and pairs tell. */
export interface ChoiceTestFacts {
  triangle: {
    right: number
    asked: number
    between: [SampleName, SampleName] | null
    differ: boolean
    p: number
  }
  pair: {
    times: number
    asked: number
    more: SampleName
    less: SampleName
    attribute: TrialAttribute | null
    ends: 'differ' | 'even' | 'not-enough-data'
    p: number
  }
  'one-assessor-only': Plain
}

/** What the whole trial tells beside what its attributes do. */
export interface TrialHeadFacts {
  'nothing-shown': Plain
  'few-people': { people: number }
  'many-attributes': { attributes: number; decides: string | null }
}

/** Who was not counted in an attribute, and which samples they did not score. */
export interface LeftOut {
  attribute: string
  by: string
  samples: string[]
}
