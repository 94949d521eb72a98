import type { FindingFacts } from '../../../findings/facts.ts'
import { listWords, sayNumber, sayPercent, shorten } from '../../../text/format.ts'
import { about, sentences, type FindingText, type FindingWords } from './shared.ts'

const STRICTEST = 'Your market is “other”: this is the strictest rule known here. Look up your own.'
const OPINION = 'This is an expert opinion, not law.'

type Claim = FindingFacts['claim.unsupported']['claims'][number]
const CONTRADICTED = {
  vegan: 'This ingredient is of animal origin.',
  'fragrance-free': 'This ingredient scents the product.',
}
const claimMessage = (c: Claim) =>
  c.case === 'needs'
    ? `${listWords(c.claims.map((text) => `“${shorten(text, 40)}”`))} ${c.claims.length === 1 ? 'has' : 'have'} ${c.is}`
    : `claims to be ${c.claim} but contains ${listWords(c.names)}`
const claimWhy = (c: Claim) => (c.case === 'needs' ? c.needs : CONTRADICTED[c.claim])

function aboveCap(f: FindingFacts['legal.above-cap']): FindingText {
  const cap = sayPercent(f.maxPercent)
  switch (f.case) {
    case 'later':
      return {
        message: `${f.authority} allows ${cap} ${f.name} from ${f.from}. This formula has ${sayPercent(f.percent)}.`,
        why: 'The limit is not in force before that date.',
      }
    case 'over':
      return {
        message: `${sayPercent(f.percent)} ${f.name}${f.unit ? ` ${f.unit}` : ''} exceeds the limit of ${cap} (${f.authority}, ${f.rinse}, ${f.site}).`,
        why: sentences(
          f.several && 'All ingredients that contain it are counted.',
          f.condition && `Rule: ${f.condition}.`,
          f.opinion && OPINION,
          f.strictest && STRICTEST,
        ),
      }
    case 'open':
      return {
        message: `${f.name} may exceed ${cap} (${f.authority}): between ${about(f.low)} and ${about(f.high)}.`,
        why: `The composition of ${listWords(f.names)} is unknown. Enter it from the specification.`,
      }
    case 'acidity':
      return {
        message: `${f.authority}: up to ${cap} at pH ${sayNumber(f.phMin, 1)} or above. This formula has pH ${sayNumber(f.ph, 1)}.`,
        why: `The lower the pH, the more free acid, and the more it stings. ${OPINION}`,
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
    message: `${authority} prohibits ${name} in a ${rinse} product (${site}).`,
    why: sentences(
      condition ? `Rule: ${condition}.` : 'Remove or replace it.',
      uncertain,
      strictest && STRICTEST,
    ),
  }),
  'legal.unknown-content': ({ names, substances, over, likelyOnLabel }) => ({
    message: `${listWords(names)}: content of ${listWords(substances.slice(0, 3).map((s) => s.toLowerCase()))}${substances.length > 3 ? ' and others' : ''} unknown.`,
    why: sentences(
      over.length > 0 &&
        `At typical contents ${over.map((x) => `${x.name} may reach ${about(x.upToPercent)} (${x.authority}: ${sayPercent(x.maxPercent)})`).join('; ')}.`,
      likelyOnLabel.length > 0 && `The label will probably have to name ${listWords(likelyOnLabel)}.`,
      'Enter the analysis of your lot under Ingredients to calculate it.',
    ),
  }),
  'label.name-allergens': ({ allergens, thresholdPercent, rinse }) => ({
    message: `The label must name ${listWords(allergens.map((t) => t.name))}.`,
    why: `Above ${sayPercent(thresholdPercent)} in a ${rinse} product, by the analyses: ${allergens.map((t) => `${t.name} ${about(t.percent)}`).join(', ')}.`,
  }),
  'label.releases-formaldehyde': ({ mostPercent, saidFromPercent }) => ({
    message: `Preservatives here can release up to ${about(mostPercent)} formaldehyde.`,
    why: `The amount depends on pH, temperature and time, and needs a test. Above ${sayPercent(saidFromPercent)} free formaldehyde, an EU label says “releases formaldehyde”.`,
  }),
  'claim.spf': ({ claim }) => ({
    message: claim
      ? `“${shorten(claim)}” claims sun protection. Only a laboratory test can support that.`
      : 'Contains a UV filter. Do not state or suggest sun protection.',
    why: 'Protection depends on film, grade and dispersion, and cannot be calculated. In many markets a sunscreen is a drug or a regulated class.',
  }),
  'claim.natural': ({ names }) => ({
    message: `Claims to be natural but contains ${listWords(names)}.`,
    why: 'These are synthetic. Every standard has its own list: state which one you follow.',
  }),
  'claim.unsupported': ({ claims }) => ({
    message: `${claims.map(claimMessage).join('; ')}.`,
    why: claims.map(claimWhy).join(' '),
  }),
}
