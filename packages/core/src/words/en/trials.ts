import type { TrialFaultFacts, TrialWarningFacts } from '../../trials/plan.ts'
import type { AlsoFacts } from '../../trials/variants.ts'
import { listWords } from '../../text/format.ts'
import type { Sentences } from '../../text/said.ts'
import { say } from '../say.ts'

/** What differs beside what is varied, as clauses. */
export const also: Sentences<AlsoFacts> = {
  moved: ({ name }) => `${name} is in another phase`,
  differ: ({ names }) => `${listWords(names)} differ`,
  method: () => 'the method',
  temperatures: () => 'phase temperatures',
  'target-ph': () => 'the target pH',
  product: () => 'the product type',
}

export const trialFault: Sentences<TrialFaultFacts> = {
  'too-few-samples': () => 'Choose at least two samples to compare.',
  'too-many-samples': ({ most }) => `A trial can have up to ${most} samples.`,
  'no-assessors': () => 'Enter at least one assessor.',
  'too-many-assessors': ({ most }) => `A trial can have up to ${most} assessors.`,
  'same-name': () => 'Two assessors have the same name.',
  'no-name': () => 'An assessor has no name. Initials are enough.',
  replicates: ({ most }) => `Replicates: 1 to ${most}.`,
  'nothing-assessed': () => 'Choose at least one attribute.',
  'no-amount': () => 'Enter the amount per sample.',
}

export const trialWarning: Sentences<TrialWarningFacts> = {
  'not-one-thing': ({ what, also: others }) =>
    `More than ${what} differs: ${listWords(others.map((x) => say(also, x)))}. The result applies to the sample, not to one ingredient.`,
  colour: () =>
    'The samples differ in colour, which reveals their identity. Assess with closed eyes or under red light.',
  smell: () =>
    'The samples smell different, and a pleasant fragrance makes a cream feel softer. Assess feel before smell.',
  bought: () =>
    'A bought product differs in age, packaging and fragrance. Put it into the same plain pots and use it as a benchmark only.',
  'many-samples': ({ samples, most }) =>
    `${samples} samples are too many for one session: assess ${most} at most, then rest.`,
  alone: ({ replicates }) =>
    `With one assessor, plan at least ${replicates} replicates over several days, and decide by triangle or paired tests. Scores of one person allow no statistics.`,
  'few-assessors': ({ assessors }) =>
    `With ${assessors} assessors only large differences can be detected. A reference is worth two more assessors.`,
  'no-deciding-attribute': () => 'Choose one deciding attribute: with many, one differs by chance.',
}
