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
          message: `The other lines make ${sayPercent(f.totalPercent)}, so nothing is left for ${f.fill}.`,
          why: `The q.s. line would be ${sayPercent(f.fillPercent)}. Lower the other lines by ${sayPercent(f.overPercent)} or more.`,
        }
      : {
          message: `The lines add up to ${sayPercent(f.totalPercent)}, ${f.gapPercent > 0 ? 'short of' : 'over'} 100 by ${sayNumber(Math.abs(f.gapPercent), 4)}.`,
          why: 'Make one line q.s., so that it takes what is left, or change the amounts.',
        },
  'amount.missing': ({ names }) => ({
    message: `${listSome(names.map((name) => shorten(name)))} ${names.length > 1 ? 'have' : 'has'} no amount yet.`,
    why: 'What depends on an amount is judged when there is one.',
  }),
  'amount.mismatch': ({ name, percent, grams, batchGrams, meantGrams }) => ({
    message: `${shorten(name)} says ${sayPercent(percent)} and ${sayNumber(grams, 4)} g, which disagree for a batch of ${sayNumber(batchGrams, 4)} g.`,
    why: `${sayPercent(percent)} would be ${sayNumber(meantGrams, 4)} g. Percent counts until you choose.`,
  }),
  'weighing.too-small': ({ lines, leastGrams, resolutionGrams: d }) => {
    const each = lines.map(({ name, grams, errorPercent }) =>
      grams > 0
        ? `${formatGrams(grams, d)} ${name} to within ${sayNumber(errorPercent, 0)} %`
        : `${name}, which rounds to nothing`,
    )
    return {
      message: `This scale weighs ${listSome(each)}.`,
      why: `Below ${formatGrams(leastGrams, d)} a ${sayNumber(d, 4)} g scale may be off by more than 5 %. Dilute it first, use a finer scale or make more.`,
    }
  },
  'material.unknown': ({ names, guesses }) => {
    const one = names.length === 1
    const known = guesses.map((g) => kindInWords(g.kind))
    const byName = `by ${guesses.length > 1 ? 'their names' : 'its name'} ${listWords(guesses.map((g, i) => `${shorten(g.name, 30)} is ${known[i]}`))}`
    const guessed = one
      ? known.length > 0
        ? `By its name ${known[0]}; nothing else about it can be checked.`
        : 'Nothing about it can be checked.'
      : `Nothing about them can be checked${guesses.length > 0 ? `, but ${byName}` : ''}.`
    return {
      message: `${listSome(names.map((name) => `“${shorten(name)}”`))} ${one ? 'is' : 'are'} not in the catalogue.`,
      why: `${guessed} Choose ${one ? 'a material' : 'materials'}, or describe ${one ? 'it as one' : 'them as some'} of your own.`,
    }
  },
  'material.which-grade': ({ name, question, assumed, options }) => ({
    message: `Which ${name}? ${question} It is ${assumed}.`,
    why: options.map((o) => `${o.label}: ${o.difference}`).join(' '),
  }),
}
