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
  spent: 'The acids in this formula neutralise it.',
  mild: 'This changes skin feel and shelf life.',
  far: 'This far above its usage rate it burns or sensitises.',
  usual: 'A higher dose is rarely more effective, and more likely to irritate or destabilise.',
}

const AS_SALT = 'Partly neutralised, at pH 5 or above, it dissolves as its salt.'
type Solid = Extract<FindingFacts['solubility.may-crystallise'], { case: 'water' }>['solid']
const FATE: Record<Solid['fate'], string> = {
  dry: 'No solvent in this formula. Dissolve the powder in warm glycol or alcohol first, then add the water slowly.',
  crystals: 'Crystals can form days later. Use more glycol, a lower dose or another pH.',
  suspended: 'The free acid stays a fine suspension. At pH 5 or above it dissolves as its salt.',
  needles: `The part that dissolves hot recrystallises as needles on cooling. Stir the micronised powder in cold, or use more solvent. ${AS_SALT}`,
  held: `The powder stays a fine suspension in the thickened product. Mill it in well. ${AS_SALT}`,
  sinks: `In plain water it settles and cakes. Add a gum. ${AS_SALT}`,
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
      ? `${name} may crystallise in the cold: about ${most} stays dissolved at ${formatCelsius(IN_THE_COLD)}${atPh}, and the formula has ${have}.`
      : `About ${most} ${name} stays dissolved${atPh}, and the formula has ${have}.`,
    why: FATE[fate],
  }
}

function mayCrystallise(f: FindingFacts['solubility.may-crystallise']): FindingText {
  switch (f.case) {
    case 'water':
      return solid(f.solid)
    case 'premix':
      return {
        message: `Phase ${f.phase} holds about ${about(f.heldPercent)} ${f.inci.toLowerCase()} dissolved at ${formatCelsius(f.celsius)} (within a factor of ${sayNumber(f.factor, 1)}), and the formula has ${about(f.percent, 3)}.`,
        why: 'Heat this premix further, add more glycol, or expect the rest to dissolve only in the whole water phase.',
      }
    case 'oil':
      return {
        message: `${f.name} may recrystallise in the cold: ${sayPercent(f.oilsPercent)} oils dissolve about ${about(f.heldPercent, 1)}, and the formula has ${sayPercent(f.percent)}.`,
        why: 'It dissolves hot and separates on cooling. Use more polar ester or a lower dose, hold hot until clear, and stir while cooling.',
      }
  }
}

function scentTotal(f: FindingFacts['usage.scent-total']): FindingText {
  const most =
    f.mostPercent > 0
      ? `usually ${sayPercent(f.gentlePercent)} to ${sayPercent(f.mostPercent)} at most`
      : 'none is advised'
  const guessed = f.guessed.map((name) => shorten(name))
  return {
    message: `${about(f.percent)} fragrance in total: ${most} in a ${f.rinse} product for ${siteName(f.site)}.`,
    why: `Allergens and irritants add up across all fragrances and essential oils.${guessed.length > 0 ? ` ${capitalise(listSome(guessed))} ${isAre(guessed.length)} treated as fragrance because of the name.` : ''}`,
  }
}

function extracts(f: FindingFacts['usage.extract-load']): FindingText {
  if (f.case === 'many')
    return {
      message: `${f.count} botanicals add up to ${sayPercent(f.percent)}.`,
      why: 'Extracts feed microbes, colour and cloud the product, and add unknown acids and salts that change its pH.',
    }
  const advice = f.stop
    ? 'No usual preservative system is known to cope with so many. Remove most of them, or have a challenge test done and state it.'
    : 'Keep the powder under 1 %, use an extract instead, or have a challenge test done.'
  return {
    message: `${listWords(f.names)} ${f.names.length > 1 ? 'add' : 'adds'} microbes to the product.`,
    why: `Raw plant powders contain spores, and starch that feeds them. ${advice}${f.botanicals === null ? '' : ` ${f.botanicals} botanicals in all.`}`,
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
    message: `${sayPercent(f.percent)} ${f.name} is below its usual range of ${sayPercent(f.min)} to ${sayPercent(f.max)}.`,
    why: 'Probably little effect at this dose.',
  }),
  'usage.upper-part': ({ doses: list }) => ({
    message: `${listWords(list.map((d) => `${sayPercent(d.percent)} ${d.name}`))} ${isAre(list.length)} within ${list.length > 1 ? 'their ranges' : 'its range'} but more than most products contain.`,
    why: list
      .map(
        (d) =>
          `${capitalise(d.name)}: ${sayPercent(d.commonPercent)} is common; above, ${d.above ?? 'smell and irritation increase'}.`,
      )
      .join(' '),
  }),
  'usage.scent-total': scentTotal,
  'usage.exfoliant-total': (f) => ({
    message:
      f.case === 'acids'
        ? `Exfoliating acids add up to ${sayPercent(f.percent)}${f.ph !== null && f.freePercent > 0 ? `, about ${about(f.freePercent)} of it free acid at pH ${sayNumber(f.ph, 1)}` : ''}.`
        : `${listWords(f.names)} all exfoliate.`,
    why: 'Their effects add up: start with every third evening. 10 % in total at pH 3.5 or above is the usual maximum for home use.',
  }),
  'usage.extract-load': extracts,
  'solubility.no-solvent': (f) =>
    f.case === 'water'
      ? solid(f.solid)
      : {
          message: `${f.name} is soluble in oil only, and the formula has ${f.oilsPercent > 0 ? `${sayPercent(f.oilsPercent)} oils` : 'no oils'}.`,
          why: 'Undissolved powder feels gritty. Dissolve it hot in a polar ester, in at least five times its weight of oils.',
        },
  'solubility.may-crystallise': mayCrystallise,
}
