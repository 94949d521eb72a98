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
        message: 'There is water and no preservative.',
        why: 'Microbes grow unseen within days. Preserve it, or declare it fresh: fridge, and used up within a week.',
      }
    case 'helpers': {
      const several = f.names.length > 1
      return {
        message: `${listWords(f.names)} ${several ? 'do' : 'does'} not preserve by ${several ? 'themselves' : 'itself'}.`,
        why: `What ${several ? 'they bring' : 'it brings'} slows some microbes and leaves ${listWords(groupNames(f.weak))} to grow. Add a preservative that covers bacteria, yeast and mould, or declare it fresh.`,
      }
    }
    case 'gaps':
      return {
        message: `${listWords(f.names)} leaves ${listWords(groupNames(f.weak))} weakly covered.`,
        why: 'A broad system covers bacteria of both kinds, yeast and mould. Add a partner for what is missing.',
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
      ? 'Raise the dose within its cap, or add a preservative that does not depend on pH.'
      : `Lower the pH to ${sayNumber(Math.floor(enoughUpTo * 10) / 10, 1)} or below, or add a preservative that does not depend on pH.`
  return {
    message: `${listWords(names)} ${isAre(names.length)} ${weakOnly ? 'weak' : 'ineffective'} at ${phPoint(at)}${verdict === 'none' ? ': no bacteria are held' : ''}.`,
    why: `Only ${shares} is in its active form, ${ofNeed(f.ofNeed)} of what ${listWords(groupNames(short))} ${short.length > 1 ? 'need' : 'needs'}. ${remedy}`,
  }
}

/** What it means, by how much preservation is left; `weak` are the groups that are not held any more. */
const OUTSIDE: Record<FindingFacts['preservative.outside-ph']['state'], (weak: string[]) => string> = {
  covered: () => 'The other preservatives still cover all groups there.',
  partly: () => 'Keep to the part of the target that lies in its window.',
  bare: () => 'No bacteria are held there. Bring the pH into the window, or change the preservative.',
  thin: (weak) =>
    `${capitalise(listWords(weak))} may grow there. Bring the pH into the window, or add a partner that works outside it.`,
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
      ? `How much of each part ${listWords(names)} holds is not known.`
      : `What ${listWords(names)} is made of is not known.`,
    why: 'Whether it covers bacteria, yeast and mould cannot be judged. Enter its parts from the specification.',
  }),
  'preservative.low': (f) =>
    f.case === 'dose'
      ? {
          message: `${sayPercent(f.percent)} ${f.name} is under its usual ${sayPercent(f.min)} to ${sayPercent(f.max)}.`,
          why: 'Below its range a preservative may fail without a sign.',
        }
      : {
          message: `${capitalise(listWords(groupNames(f.weak)))} may grow: of the ${listWords(f.left.map((x) => `${x.name} about ${about(x.percent, 1)}`))} stays in the water.`,
          why: `The rest sits in ${f.by === 'micelles' ? 'the micelles of the surfactants' : 'the oils'}, where nothing grows. Add a preservative that stays in the water, such as phenoxyethanol or an acid at its pH.`,
        },
  'preservative.heat': ({ name, heatToC, heatMaxC }) => ({
    message: `${name} goes into a phase heated to ${formatCelsius(heatToC)}; it stands ${formatCelsius(heatMaxC)}.`,
    why: 'Heat drives it off or breaks it down. Add it below that temperature.',
  }),
  'preservative.ineffective': ineffective,
  'preservative.outside-ph': ({ needs, at, state, weak }) => ({
    message: `${listWords(needs.map((x) => `${x.name} works at pH ${formatRange(x.range)}`))}, and ${
      at.is === 'measured'
        ? `the measured pH is ${sayNumber(at.ph, 2)}`
        : `the target is pH ${at.is === 'predicted' ? sayNumber(at.ph, 1) : formatRange(at.range)}`
    }.`,
    why: OUTSIDE[state](groupNames(weak)),
  }),
}
