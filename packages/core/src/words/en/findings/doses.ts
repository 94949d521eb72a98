import type { FindingFacts } from '../../../findings/facts.ts'
import {
  capitalise,
  formatCelsius,
  listSome,
  listWords,
  sayNumber,
  sayPercent,
  shorten,
} from '../../../text/format.ts'
import { about, isAre, siteName, type FindingText, type FindingWords } from './shared.ts'

const BEYOND: Record<FindingFacts['usage.above-max']['effect'], string> = {
  spent: 'The acids here use it up.',
  mild: 'This changes skin feel and shelf life: consider the whole formula.',
  far: 'This far above its range it burns or sensitises.',
  usual: 'More than usual rarely works better, and irritates or destabilises sooner.',
}

const AS_SALT = 'Partly neutralised, at pH 5 and above, it dissolves as its salt.'
type Solid = Extract<FindingFacts['solubility.may-crystallise'], { case: 'water' }>['solid']
const FATE: Record<Solid['fate'], string> = {
  dry: 'No solvent here: dissolve the powder in warm glycol or alcohol first, then add the water slowly.',
  crystals: 'Crystals can form days later. Use more glycol, a lower dose or another pH.',
  suspended: 'As free acid it stays a fine suspension; as its salt, at pH 5 and above, it dissolves.',
  needles: `What dissolves hot comes back as needles when it cools. Stir the micronised powder in cold, or take more solvent. ${AS_SALT}`,
  held: `The powder stays a fine suspension that the thickened product holds. Grind it in well. ${AS_SALT}`,
  sinks: `In bare water nothing holds it: it sinks to a cake. Add a gum. ${AS_SALT}`,
}
const IN_THE_COLD = 5

/** How much of it stays dissolved, and how much there is. */
function solid({ inci, percent, mostPercent, factor, ph, cold, fate }: Solid): FindingText {
  const name = inci.toLowerCase()
  const atPh = ph === null ? '' : ` at pH ${sayNumber(ph, 1)}`
  const most = `${about(mostPercent)} (within a factor of ${sayNumber(factor, 1)})`
  const have = about(percent, 3)
  return {
    message: cold
      ? `${name} may crystallise in the cold: about ${most} stays dissolved at ${formatCelsius(IN_THE_COLD)}${atPh}; you have ${have}.`
      : `About ${most} ${name} stays dissolved${atPh}; you have ${have}.`,
    why: FATE[fate],
  }
}

function mayCrystallise(f: FindingFacts['solubility.may-crystallise']): FindingText {
  switch (f.case) {
    case 'water':
      return solid(f.solid)
    case 'premix':
      return {
        message: `Phase ${f.phase} holds about ${about(f.heldPercent)} ${f.inci.toLowerCase()} dissolved at ${formatCelsius(f.celsius)} (within a factor of ${sayNumber(f.factor, 1)}); ${about(f.percent, 3)} goes in.`,
        why: 'Warm this premix further, give it more of its glycol, or expect the rest to dissolve only in the whole water phase.',
      }
    case 'oil':
      return {
        message: `${f.name} comes back as needles or grit in the cold: ${sayPercent(f.oilsPercent)} of oils keep about ${about(f.heldPercent, 1)} of it, and there is ${sayPercent(f.percent)}.`,
        why: 'Dissolves hot and separates on cooling. Use more polar ester or a lower dose; hold hot until clear and cool with stirring.',
      }
  }
}

function scentTotal(f: FindingFacts['usage.scent-total']): FindingText {
  const most =
    f.mostPercent > 0
      ? `${sayPercent(f.gentlePercent)} to ${sayPercent(f.mostPercent)} is the most`
      : 'none belongs'
  const guessed = f.guessed.map((name) => shorten(name))
  return {
    message: `${about(f.percent)} fragrance in total; ${most} in a product that is ${f.rinse} for ${siteName(f.site)}.`,
    why: `Their allergens and irritants add up, whatever each oil is.${guessed.length > 0 ? ` ${capitalise(listSome(guessed))} ${isAre(guessed.length)} read as fragrance by name.` : ''}`,
  }
}

function extracts(f: FindingFacts['usage.extract-load']): FindingText {
  if (f.case === 'many')
    return {
      message: `${f.count} botanicals make ${sayPercent(f.percent)}.`,
      why: 'Extracts feed microbes, colour and cloud a product, and bring acids and salts that move its pH and that nobody weighs.',
    }
  const advice = f.stop
    ? 'No usual preservation is known to hold so many: leave most out, or have a challenge test done and say so.'
    : 'Keep the powder under 1 %, take an extract instead, or have a challenge test done.'
  return {
    message: `${listWords(f.names)} ${f.names.length > 1 ? 'bring' : 'brings'} microbes into the jar.`,
    why: `Raw plant powders carry spores and starch, and starch feeds what grows. ${advice}${f.botanicals === null ? '' : ` ${f.botanicals} botanicals in all.`}`,
  }
}

export const doses: FindingWords<
  | 'usage.above-max'
  | 'usage.below-min'
  | 'usage.upper-part'
  | 'usage.scent-total'
  | 'usage.exfoliant-total'
  | 'usage.extract-load'
  | 'solubility.no-solvent'
  | 'solubility.may-crystallise'
> = {
  'usage.above-max': (f) => ({
    message: `${sayPercent(f.percent)} ${f.name} is above its usual range of ${sayPercent(f.min)} to ${sayPercent(f.max)}.`,
    why: f.over.length > 1 ? `Summed over ${listWords(f.over)}.` : BEYOND[f.effect],
  }),
  'usage.below-min': (f) => ({
    message: `${sayPercent(f.percent)} ${f.name} is under its usual range of ${sayPercent(f.min)} to ${sayPercent(f.max)}.`,
    why: 'Probably little effect at this dose.',
  }),
  'usage.upper-part': ({ doses: list }) => ({
    message: `${listWords(list.map((d) => `${sayPercent(d.percent)} ${d.name}`))} ${isAre(list.length)} within ${list.length > 1 ? 'their ranges' : 'its range'} and more than most products hold.`,
    why: list
      .map(
        (d) =>
          `${capitalise(d.name)}: ${sayPercent(d.commonPercent)} is common; above, ${d.above ?? 'its smell and its irritants tell'}.`,
      )
      .join(' '),
  }),
  'usage.scent-total': scentTotal,
  'usage.exfoliant-total': (f) => ({
    message:
      f.case === 'acids'
        ? `Exfoliating acids add up to ${sayPercent(f.percent)}${f.ph !== null && f.freePercent > 0 ? `, about ${about(f.freePercent)} of it free acid at pH ${sayNumber(f.ph, 1)}` : ''}.`
        : `${listWords(f.names)} peel together.`,
    why: 'They act together on the skin: begin with one evening in three. 10 % in all, at pH 3.5 or above, is the usual ceiling for home use.',
  }),
  'usage.extract-load': extracts,
  'solubility.no-solvent': (f) =>
    f.case === 'water'
      ? solid(f.solid)
      : {
          message: `${f.name} dissolves in oil only, and there is ${f.oilsPercent > 0 ? `${sayPercent(f.oilsPercent)} of oil` : 'no oil'} here.`,
          why: 'Undissolved powder feels gritty. Dissolve it hot in a polar ester, in an oil phase of at least five times its weight.',
        },
  'solubility.may-crystallise': mayCrystallise,
}
