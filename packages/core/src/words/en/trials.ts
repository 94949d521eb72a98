import { leans } from './leans.ts'
import { bodies } from './feel.ts'
import type { ForbidsFacts, SplitFacts } from '../../trials/shared-base.ts'
import type { TrialAttribute } from '../../shapes/trial.ts'
import { scaleOf } from '../../trials/data.ts'
import type { TrialFaultFacts, TrialWarningFacts } from '../../trials/plan.ts'
import type {
  ChoiceTestFacts,
  ConclusionFacts,
  Difference,
  LeftOut,
  SampleName,
  TestFacts,
  TrialHeadFacts,
} from '../../trials/verdict-facts.ts'
import type { AlsoFacts } from '../../trials/variants.ts'
import { capitalise, formatGrams, formatNumber, listWords, sayNumber } from '../../text/format.ts'
import type { Sentences } from '../../text/said.ts'
import type { ForecastAndFound, FrostFound } from '../../trials/found.ts'
import { METHOD_WORDS } from './methods.ts'
import { say } from '../say.ts'
import { freezing } from './forecast.ts'
import { titleOf } from './steps.ts'

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

const called = (sample: SampleName) => (sample === 'reference' ? 'the reference' : sample.letter)
const people = (n: number) => (n === 1 ? 'one assessor' : `${n} assessors`)
const sayP = (p: number) => (p < 0.001 ? '< 0.001' : sayNumber(p, p < 0.01 ? 4 : 3))
/** What a difference of means is called: “2.1 out of 10”, “14 s”, “1.4 places”. */
function effect(attribute: TrialAttribute, difference: number): string {
  if (attribute.ask === 'seconds') return `${formatNumber(difference, 0)} s`
  if (attribute.ask === 'rank') return `${formatNumber(difference, 1)} places`
  const [low, high] = scaleOf(attribute)
  return `${formatNumber(difference, 1)} out of ${sayNumber(high - low)}`
}
/** “C spreads more than A”; turned round where the first is the lesser one. */
const compared = (attribute: TrialAttribute, { more, less }: Difference, fromLess = false) =>
  fromLess
    ? `${capitalise(called(less))} ${leans(attribute, false)} than ${called(more)}`
    : `${capitalise(called(more))} ${leans(attribute, true)} than ${called(less)}`

/** What an attribute tells. */
export const conclusion: Sentences<ConclusionFacts> = {
  'no-scores': () => 'No scores.',
  'one-scored': () => 'Only one sample scored.',
  'none-whole': () => 'No assessor scored all samples: no test.',
  'one-assessor-alike': () => 'One assessor, no difference.',
  'one-assessor': ({ attribute, difference }) =>
    `${compared(attribute, difference)} (by ${effect(attribute, difference.size)}) with one assessor: no test possible.`,
  two: ({ attribute, difference, people: n, ends }) => {
    const says = `${compared(attribute, difference)} (by ${effect(attribute, difference.size)}, ${difference.agree} of ${people(n)})`
    return ends === 'no-difference'
      ? 'No difference.'
      : ends === 'differ'
        ? `${says}.`
        : `${says}: not enough data.`
  },
  differ: ({ attribute, differences, people: n, hint }) => {
    const says = differences.map(
      (d) =>
        `${compared(attribute, d, d.fromReference)} (by ${effect(attribute, d.size)}, ${d.agree} of ${people(n)})`,
    )
    return `${says.join('. ')}${hint ? ': a hint only, since the overall test is not significant' : ''}.`
  },
  'none-detected': () => 'No difference detected.',
  alike: ({ attribute, difference, overall, more }) =>
    `${overall ? 'The samples differ overall, but no' : 'No'} difference detected between ${called(difference.more)} and ${called(difference.less)} (${effect(attribute, difference.size)} apart).${more > 0 ? ` Add ${more === 1 ? 'an assessor' : `${more} assessors`} to find a difference of this size.` : ''}`,
}
/** A test in figures. */
export const test: Sentences<TestFacts> = {
  friedman: ({ q, p, exact }) =>
    `Friedman ${sayNumber(q, 1)}, p ${sayP(p)} ${exact ? 'exactly' : 'by chi-squared'}`,
  pairs: ({ p }) => `pairs, p ${sayP(p)} exactly`,
}
/** What triangles and pairs tell. */
export const choiceTest: Sentences<ChoiceTestFacts> = {
  triangle: ({ right, asked, between, differ, p }) =>
    `${right} of ${asked} identified the odd sample${between ? ` between ${called(between[0])} and ${called(between[1])}` : ''}; ${sayNumber(asked / 3, 1)} expected by chance: ${
      differ
        ? 'a difference is detected'
        : `no difference detected with ${asked} ${asked === 1 ? 'answer' : 'answers'}`
    } (p ${sayP(p)}).`,
  pair: ({ times, asked, more, less, attribute, ends, p }) =>
    `${times} of ${asked} ${
      attribute
        ? `say that ${called(more)} ${leans(attribute, true)} than ${called(less)}`
        : `prefer ${called(more)} to ${called(less)}`
    }${{ differ: '', even: ', and as many the opposite', 'not-enough-data': ': not enough data' }[ends]} (p ${sayP(p)}).`,
  'one-assessor-only': () => 'All by one assessor: the result applies to this person only.',
}
/** What the whole trial tells beside what its attributes do. */
export const trialHead: Sentences<TrialHeadFacts> = {
  'nothing-shown': () => 'No difference detected. That does not prove that the samples are the same.',
  'few-people': ({ people: n }) => `With ${people(n)} only large differences can be detected.`,
  'many-attributes': ({ attributes, decides }) =>
    decides
      ? `With ${attributes} attributes, one may differ by chance. ${capitalise(decides.toLowerCase())} decides; the others are hints.`
      : `With ${attributes} attributes, one may differ by chance, and no deciding attribute was chosen.`,
}
/** All that can stand at the head of a result. */
export const headlines: Sentences<ConclusionFacts & TrialHeadFacts> = { ...conclusion, ...trialHead }
/** Who was not counted. */
export const leftOut = ({ attribute, by, samples }: LeftOut) =>
  `${attribute}: ${by} is excluded (no score for ${listWords(samples)}).`

/** When and how a base is split. */
export const split: Sentences<SplitFacts> = {
  before: ({ step }) =>
    `Before “${step ? titleOf(step) : 'filling'}”, stir and weigh into the jars while it still pours.`,
  'while-hot': () => 'Heat all of it, stir, and weigh the portions while hot and clear.',
  stirred: () => 'Stir, then weigh the portions.',
}
/** Why no more of a base is shared. */
export const forbids: Sentences<ForbidsFacts> = {
  sizes: () => 'The samples differ in batch size.',
  'nothing-in-common': ({ formula }) =>
    `${formula || 'The variants'}: no phase has two ingredients in common.`,
  'step-differs-early': ({ step }) =>
    `“${titleOf(step)}” differs between samples and comes before the phases are combined. Only single phases can be shared.`,
  'water-in-oil': () =>
    'Water cannot be added to a finished W/O emulsion to make up the difference. Only single phases can be shared.',
  settles: ({ name }) =>
    `${name} settles, so portions of a base would differ. It is weighed into each sample.`,
  'step-differs': ({ step, phase }) =>
    `“${titleOf(step)}” differs between samples. ${phase} is made for each.`,
}
/** What a shared base is called, and the step that splits it. */
export const baseName = (formula: string) => `Base of ${formula || 'the trial'}`
export const splitStep = (
  jars: number,
  parts: readonly { name: string; grams: number }[],
  resolution: number,
) =>
  `Divide into ${jars} jars: ${parts.map((p) => `${formatGrams(p.grams, resolution)} of ${p.name} each`).join(', ')}`
/** What the record of a jar says of the base in it; ingredients that its formula does not have are not counted. */
export function baseNote(
  grams: number,
  foreign: readonly { name: string; grams: number }[],
  resolution: number,
) {
  const other =
    foreign.length === 0
      ? ''
      : ` It contains ${listWords(foreign.map((f) => `${formatGrams(f.grams, resolution)} ${f.name}`))}, which this sample’s formula does not have there. In the jar, but not counted.`
  return `Shared base: ${formatGrams(grams, resolution)} of the base made for all samples.${other}`
}

/** How a jar came through freezing. */
export const frostFound: Record<FrostFound, string> = {
  held: 'unchanged',
  softer: 'softer, not separated',
  split: 'separated',
}
const missedBy = {
  'too-low': 'Prediction too low',
  'too-high': 'Prediction too high',
  'too-optimistic': 'Prediction too optimistic',
  'too-pessimistic': 'Prediction too pessimistic',
}
/** What was expected beside what was found, and how the prediction was wrong. */
export interface FoundText {
  what: string
  expected: string
  found: string
  says: string
}
export function found(row: ForecastAndFound): FoundText {
  const says = row.missed ? missedBy[row.missed] : ''
  switch (row.what) {
    case 'ph': {
      const { expected: e, found: f } = row
      return {
        what: 'pH',
        expected: e ? `${formatNumber(e.low, 1)}–${formatNumber(e.high, 1)}` : 'unknown',
        found: `${formatNumber(f.ph, 2)}${f.method ? ` (${METHOD_WORDS[f.method]})` : ''}`,
        says,
      }
    }
    case 'body': {
      const { expected: e } = row
      return {
        what: 'Consistency',
        expected: e
          ? e.low === e.high
            ? bodies[e.likely]
            : `${bodies[e.low]}–${bodies[e.high]}`
          : 'unknown',
        found: row.found,
        says,
      }
    }
    case 'frost':
      return {
        what: 'Freeze–thaw',
        expected: row.expected ? freezing[row.expected] : 'unknown',
        found: frostFound[row.found as FrostFound] ?? row.found,
        says,
      }
  }
}
/** The same in one line: “Consistency: expected lotion, found cream”. */
export const foundLine = ({ what, expected, found: was }: FoundText) =>
  `${capitalise(what)}: expected ${expected}, found ${was}`
