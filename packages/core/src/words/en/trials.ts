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
  temperatures: () => 'temperatures of the phases',
  'target-ph': () => 'the pH aimed at',
  product: () => 'what product it is',
}

export const trialFault: Sentences<TrialFaultFacts> = {
  'too-few-samples': () => 'Choose at least two things to compare.',
  'too-many-samples': ({ most }) => `A trial holds ${most} samples at most.`,
  'no-assessors': () => 'Write down who judges: at least one person.',
  'too-many-assessors': ({ most }) => `A trial is planned for ${most} people at most.`,
  'same-name': () => 'Two people have the same name.',
  'no-name': () => 'A person has no name. Initials will do.',
  replicates: ({ most }) => `Rounds go from 1 to ${most}.`,
  'nothing-assessed': () => 'Choose what is judged.',
  'no-amount': () => 'Say how much of each is made.',
}

export const trialWarning: Sentences<TrialWarningFacts> = {
  'not-one-thing': ({ what, also: others }) =>
    `Not only ${what} differs: ${listWords(others.map((x) => say(also, x)))}. The answer is “this jar”, never “this material”.`,
  colour: () =>
    'The jars differ in colour, and a colour names its jar: judge with closed eyes or under red light, and never dye jars to tell them apart.',
  smell: () =>
    'The samples smell different, and a pleasant fragrance makes a cream feel softer. Assess feel before smell.',
  bought: () =>
    'A bought product differs in age, jar and fragrance. Put it into the same plain pots and use it as a benchmark only.',
  'many-samples': ({ samples, most }) =>
    `${samples} samples are many for one sitting: ${most} at most, then rest.`,
  alone: ({ replicates }) =>
    `Alone, plan at least ${replicates} rounds over several days, and let triangles or pairs decide: scores of one person allow no test.`,
  'few-assessors': ({ assessors }) =>
    `With ${assessors} assessors only large differences can be detected. A reference is worth two more assessors.`,
  'no-deciding-attribute': () => 'Name the one attribute that decides: of many, one differs by chance.',
}
