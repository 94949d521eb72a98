import { kindInWords } from '../assess/known.ts'
import { linesWhere } from '../assess/lines.ts'
import { listSome, listWords, shorten } from '../text/format.ts'
import { finding, type Rule } from './types.ts'

/** material.unknown: names that are in no catalogue and carry no facts of their own, all in one. */
export const material: Rule = (a) => {
  const indexes = linesWhere(a, (l) => l.material === null)
  if (indexes.length === 0) return []
  const lines = indexes.map((i) => a.lines[i]!)
  const guessed = lines.filter((l) => l.guess).slice(0, 4)
  const one = lines.length === 1
  const guesses = one
    ? guessed.map((l) => `By its name ${kindInWords(l.guess!.kind)}; nothing else about it can be checked.`)
    : [
        `Nothing about them can be checked${guessed.length > 0 ? `, but by ${guessed.length > 1 ? 'their names' : 'its name'} ${listWords(guessed.map((l) => `${shorten(l.label, 30)} is ${kindInWords(l.guess!.kind)}`))}` : ''}.`,
      ]
  return [
    finding(a, {
      code: 'material.unknown',
      severity: 'check',
      indexes,
      message: `${listSome(lines.map((l) => `“${shorten(l.label)}”`))} ${one ? 'is' : 'are'} not in the catalogue.`,
      why: `${guesses.length > 0 ? guesses.join(' ') : 'Nothing about it can be checked.'} Choose ${one ? 'a material' : 'materials'}, or describe ${one ? 'it as one' : 'them as some'} of your own.`,
      source: 'catalogue',
    }),
  ]
}
