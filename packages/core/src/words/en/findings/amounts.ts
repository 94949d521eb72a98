import { formatGrams, listSome, listWords, sayNumber, sayPercent, shorten } from '../../../text/format.ts'
import { kindInWords } from '../materials.ts'
import type { FindingWords } from './shared.ts'

export const amounts: FindingWords<
  | 'total.not-100'
  | 'amount.missing'
  | 'amount.mismatch'
  | 'weighing.too-small'
  | 'material.unknown'
  | 'material.which-grade'
> = {
  'total.not-100': (f) =>
    f.case === 'no-room'
      ? {
          message: `The other ingredients add up to ${sayPercent(f.totalPercent)}, which leaves nothing for ${f.fill}.`,
          why: `The q.s. ingredient would be ${sayPercent(f.fillPercent)}. Lower the others by at least ${sayPercent(f.overPercent)}.`,
        }
      : {
          message: `The formula adds up to ${sayPercent(f.totalPercent)}, ${sayPercent(Math.abs(f.gapPercent))} ${f.gapPercent > 0 ? 'short of' : 'over'} 100 %.`,
          why: 'Set one ingredient to q.s. so that it fills up to 100 %, or change the amounts.',
        },
  'amount.missing': ({ names }) => ({
    message: `${listSome(names.map((name) => shorten(name)))} ${names.length > 1 ? 'have' : 'has'} no amount yet.`,
    why: 'Checks that depend on an amount run as soon as it is entered.',
  }),
  'amount.mismatch': ({ name, percent, grams, batchGrams, meantGrams }) => ({
    message: `${shorten(name)}: ${sayPercent(percent)} and ${sayNumber(grams, 4)} g disagree for a batch of ${sayNumber(batchGrams, 4)} g.`,
    why: `${sayPercent(percent)} would be ${sayNumber(meantGrams, 4)} g. The percentage is used until you choose.`,
  }),
  'weighing.too-small': ({ lines, leastGrams, resolutionGrams: d }) => {
    const each = lines.map(({ name, grams, errorPercent }) =>
      grams > 0
        ? `${formatGrams(grams, d)} ${name} (± ${sayNumber(errorPercent, 0)} %)`
        : `${name} (rounds to 0 g)`,
    )
    return {
      message: `Too little to weigh accurately on this scale: ${listSome(each)}.`,
      why: `Below ${formatGrams(leastGrams, d)} a ${sayNumber(d, 4)} g scale can be off by more than 5 %. Use a stock solution, a finer scale or a larger batch.`,
    }
  },
  'material.unknown': ({ names, guesses }) => {
    const one = names.length === 1
    const known = guesses.map((g) => kindInWords(g.kind))
    const byName = listWords(guesses.map((g, i) => `${shorten(g.name, 30)} as ${known[i]}`))
    const guessed = one
      ? known.length > 0
        ? `Treated as ${known[0]} because of its name. Nothing else can be checked.`
        : 'Nothing can be checked.'
      : `${guesses.length > 0 ? `Treated by name: ${byName}. Nothing else can be checked` : 'Nothing can be checked'}.`
    return {
      message: `${listSome(names.map((name) => `“${shorten(name)}”`))} ${one ? 'is' : 'are'} not in the catalogue.`,
      why: `${guessed} Choose ${one ? 'an ingredient' : 'ingredients'} from the catalogue, or describe ${one ? 'it' : 'them'} as your own.`,
    }
  },
  'material.which-grade': ({ name, question, assumed, options }) => ({
    message: `Which ${name}? ${question} Assumed: ${assumed}.`,
    why: options.map((o) => `${o.label}: ${o.difference}`).join(' '),
  }),
}
