import type { FindingFacts } from '../../../findings/facts.ts'
import { listWords, sayNumber, sayPercent, shorten } from '../../../text/format.ts'
import { about, sentences, type FindingText, type FindingWords } from './shared.ts'

const STRICTEST = 'Your region is “other”: this is the strictest rule known here, so look up your own.'
const OPINION = 'An expert opinion, not law.'

type Claim = FindingFacts['claim.unsupported']['claims'][number]
const CONTRADICTED = { vegan: 'It comes from animals.', 'fragrance-free': 'It scents the product.' }
const claimMessage = (c: Claim) =>
  c.case === 'needs'
    ? `${listWords(c.claims.map((text) => `“${shorten(text, 40)}”`))} ${c.claims.length === 1 ? 'has' : 'have'} ${c.is}`
    : `it is called ${c.claim}, with ${listWords(c.names)}`
const claimWhy = (c: Claim) => (c.case === 'needs' ? c.needs : CONTRADICTED[c.claim])

function aboveCap(f: FindingFacts['legal.above-cap']): FindingText {
  const cap = sayPercent(f.maxPercent)
  switch (f.case) {
    case 'later':
      return {
        message: `${f.authority} allows ${cap} ${f.name} from ${f.from}; this has ${sayPercent(f.percent)}.`,
        why: 'The rule is not in force before that day.',
      }
    case 'over':
      return {
        message: `${sayPercent(f.percent)} ${f.name}${f.unit ? ` ${f.unit}` : ''} is above the cap of ${cap} (${f.authority}, ${f.rinse} for ${f.site}).`,
        why: sentences(
          f.several && 'Every line that contains it counts.',
          f.condition && `Rule: ${f.condition}.`,
          f.opinion && OPINION,
          f.strictest && STRICTEST,
        ),
      }
    case 'open':
      return {
        message: `Whether ${f.name} stays under ${cap} (${f.authority}) cannot be told: it is ${about(f.low)} to ${about(f.high)}.`,
        why: `The shares in ${listWords(f.names)} are not known. Enter its parts from the specification.`,
      }
    case 'acidity':
      return {
        message: `${f.authority}: up to ${cap} at pH ${sayNumber(f.phMin, 1)} or above; here it is ${sayNumber(f.ph, 1)}.`,
        why: `The lower the pH, the more of the acid is free, and the more it stings. ${OPINION}`,
      }
  }
}

export const law: FindingWords<
  | 'legal.above-cap'
  | 'legal.prohibited'
  | 'legal.unknown-content'
  | 'label.name-allergens'
  | 'label.releases-formaldehyde'
  | 'claim.spf'
  | 'claim.natural'
  | 'claim.unsupported'
> = {
  'legal.above-cap': aboveCap,
  'legal.prohibited': ({ authority, name, rinse, site, condition, uncertain, strictest }) => ({
    message: `${authority} does not allow ${name} in a product that is ${rinse} for ${site}.`,
    why: sentences(
      condition ? `Rule: ${condition}.` : 'Take it out or choose something else.',
      uncertain,
      strictest && STRICTEST,
    ),
  }),
  'legal.unknown-content': ({ names, substances, over, likelyOnLabel }) => ({
    message: `${listWords(names)}: how much ${listWords(substances.slice(0, 3).map((s) => s.toLowerCase()))}${substances.length > 3 ? ' and others' : ''} it brings is unknown.`,
    why: sentences(
      over.length > 0 &&
        `By usual contents ${over.map((x) => `${x.name} may reach ${about(x.upToPercent)}, and ${x.authority} says ${sayPercent(x.maxPercent)}`).join('; ')}.`,
      likelyOnLabel.length > 0 && `The label would likely name ${listWords(likelyOnLabel)}.`,
      'Enter the analysis of your lot under Ingredients to calculate it.',
    ),
  }),
  'label.name-allergens': ({ allergens, thresholdPercent, rinse }) => ({
    message: `The label names ${listWords(allergens.map((t) => t.name))}.`,
    why: `By the analyses there is more than ${sayPercent(thresholdPercent)} in a product that is ${rinse}: ${allergens.map((t) => `${t.name} ${about(t.percent)}`).join(', ')}.`,
  }),
  'label.releases-formaldehyde': ({ mostPercent, saidFromPercent }) => ({
    message: `Its releasers could set free ${about(mostPercent)} of formaldehyde at most.`,
    why: `How much is free depends on pH, warmth and time; only a test tells. Above ${sayPercent(saidFromPercent)} free the EU label says “releases formaldehyde”.`,
  }),
  'claim.spf': ({ claim }) => ({
    message: claim
      ? `“${shorten(claim)}” promises sun protection. Only a laboratory test can support that.`
      : 'Contains a UV filter. Do not state or suggest sun protection.',
    why: 'Protection depends on film, grade and dispersion and cannot be worked out. In many places a sunscreen is a drug or a class of its own.',
  }),
  'claim.natural': ({ names }) => ({
    message: `Called natural, with ${listWords(names)}.`,
    why: 'They are made by synthesis. Every scheme has its own list, so say which one you follow.',
  }),
  'claim.unsupported': ({ claims }) => ({
    message: `${claims.map(claimMessage).join('; ')}.`,
    why: claims.map(claimWhy).join(' '),
  }),
}
