import type { FindingFacts } from '../../../findings/facts.ts'
import {
  capitalise,
  formatCelsius,
  formatRange,
  listWords,
  sayNumber,
  sayPercent,
} from '../../../text/format.ts'
import { about, groupNames, isAre, phPoint, type FindingText, type FindingWords } from './shared.ts'

function missing(f: FindingFacts['preservative.missing']): FindingText {
  switch (f.case) {
    case 'none':
      return {
        message: 'Contains water and no preservative.',
        why: 'Microbes grow invisibly within days. Add a preservative, or declare the product fresh: refrigerated and used within a week.',
      }
    case 'helpers': {
      const several = f.names.length > 1
      return {
        message: `${listWords(f.names)} alone ${several ? 'are' : 'is'} not a preservative.`,
        why: `Still able to grow: ${listWords(groupNames(f.weak))}. Add a broad-spectrum preservative, or declare the product fresh.`,
      }
    }
    case 'gaps':
      return {
        message: `${listWords(f.names)}: weak against ${listWords(groupNames(f.weak))}.`,
        why: 'A broad-spectrum system covers gram-positive and gram-negative bacteria, yeast and mould. Add a second preservative for the gap.',
      }
  }
}

const ofNeed = (ratio: number) =>
  ratio < 0.01 ? 'under 1\u202f%' : `about ${sayPercent(Number(Math.min(99, ratio * 100).toPrecision(1)))}`

function ineffective(f: FindingFacts['preservative.ineffective']): FindingText {
  const { names, at, weakOnly, verdict, acids, short, enoughUpTo } = f
  const shares = listWords(acids.map((x) => `${about(x.sharePercent)} of the ${x.inci.toLowerCase()}`))
  const remedy =
    enoughUpTo === null
      ? 'Raise the dose within its limit, or add a preservative that does not depend on pH.'
      : `Lower the pH to ${sayNumber(Math.floor(enoughUpTo * 10) / 10, 1)} or below, or add a preservative that does not depend on pH.`
  return {
    message: `${listWords(names)} ${isAre(names.length)} ${weakOnly ? 'weak' : 'ineffective'} at ${phPoint(at)}${verdict === 'none' ? ': no protection against bacteria' : ''}.`,
    why: `Only ${shares} is in its active form, ${ofNeed(f.ofNeed)} of the amount needed against ${listWords(groupNames(short))}. ${remedy}`,
  }
}

/** What it means, by how much preservation is left; `weak` are the groups that are not held any more. */
const OUTSIDE: Record<FindingFacts['preservative.outside-ph']['state'], (weak: string[]) => string> = {
  covered: () => 'The other preservatives still cover all groups at this pH.',
  partly: () => 'Keep to the part of the target within that range.',
  bare: () =>
    'No protection against bacteria at this pH. Bring the pH into range, or change the preservative.',
  thin: (weak) =>
    `${capitalise(listWords(weak))} may grow at this pH. Bring the pH into range, or add a preservative that is effective outside it.`,
}

export const preservation: FindingWords<
  | 'preservative.missing'
  | 'preservative.unidentified'
  | 'preservative.low'
  | 'preservative.heat'
  | 'preservative.ineffective'
  | 'preservative.outside-ph'
> = {
  'preservative.missing': missing,
  'preservative.unidentified': ({ names, sharesOnly }) => ({
    message: sharesOnly
      ? `Proportions in ${listWords(names)} unknown.`
      : `Composition of ${listWords(names)} unknown.`,
    why: 'Not enough data on bacteria, yeast and mould. Enter the composition from the specification.',
  }),
  'preservative.low': (f) =>
    f.case === 'dose'
      ? {
          message: `${sayPercent(f.percent)} ${f.name} is below its usual ${sayPercent(f.min)} to ${sayPercent(f.max)}.`,
          why: 'Below its usage rate a preservative can fail without a sign.',
        }
      : {
          message: `${capitalise(listWords(groupNames(f.weak)))} may grow. Share left in the water: ${listWords(f.left.map((x) => `${x.name} about ${about(x.percent, 1)}`))}.`,
          why: `The rest is in ${f.by === 'micelles' ? 'the surfactant micelles' : 'the oils'}, where it does not protect. Add a preservative that stays in the water, such as phenoxyethanol or an organic acid at its pH.`,
        },
  'preservative.heat': ({ name, heatToC, heatMaxC }) => ({
    message: `${name} tolerates ${formatCelsius(heatMaxC)}, and its phase is heated to ${formatCelsius(heatToC)}.`,
    why: 'Heat evaporates or degrades it. Add it below that temperature.',
  }),
  'preservative.ineffective': ineffective,
  'preservative.outside-ph': ({ needs, at, state, weak }) => ({
    message: `${listWords(needs.map((x) => `${x.name} is effective at pH ${formatRange(x.range)}`))}, and ${
      at.is === 'measured'
        ? `the measured pH is ${sayNumber(at.ph, 2)}`
        : `the target is pH ${at.is === 'predicted' ? sayNumber(at.ph, 1) : formatRange(at.range)}`
    }.`,
    why: OUTSIDE[state](groupNames(weak)),
  }),
}
