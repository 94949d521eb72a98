import type { RemedyFacts } from '../../../findings/facts.ts'
import type { RemedyCode } from '../../../findings/types.ts'
import { formatCelsius, formatRange, listWords, sayNumber, sayPercent } from '../../../text/format.ts'
import { itThem } from './shared.ts'

/** What the button of a remedy says. */
export const remedies: { [C in RemedyCode]: (facts: RemedyFacts[C]) => string } = {
  'use-usual-amounts': ({ count, percent }) =>
    count > 1 ? `Use the usual amounts of ${count}` : `Use the usual ${sayPercent(percent)}`,
  'keep-percent': ({ percent }) => `Keep ${sayPercent(percent)}`,
  'use-grams': ({ percent }) => `Use the grams: ${sayPercent(percent)}`,
  'add-adjuster': ({ percent, weighedAs, ph }) =>
    `Add ${sayNumber(percent, 2)} % ${weighedAs} for pH ${sayNumber(ph, 1)}`,
  'add-material': ({ percent, name }) => `Add ${sayPercent(percent)} ${name}`,
  'lower-by': ({ percent, name }) => `Take ${sayPercent(percent)} off ${name}`,
  'lower-to': ({ percent }) => `Lower it to ${sayPercent(percent)}`,
  'raise-to': ({ percent, name }) => `Raise ${name} to ${sayPercent(percent)}`,
  'set-to': ({ percent }) => `Set to ${sayPercent(percent)}`,
  'set-line-to': ({ percent, name }) => `Set ${name} to ${sayNumber(percent, 4)} %`,
  'fill-up': ({ name }) => `Let ${name} fill up to 100`,
  remove: ({ name }) => `Take out ${name}`,
  'remove-claims': ({ count }) => `Take the ${count === 1 ? 'claim' : 'claims'} out`,
  'state-challenge-test': () => 'It passed a challenge test: say so',
  'declare-fresh': () => 'Declare it fresh: fridge, days only',
  'move-to': ({ several, phase }) => `Move ${several ? 'them ' : ''}to ${phase}`,
  'move-to-adjust': ({ names }) => `Move ${listWords(names)} to an adjust phase`,
  'keep-cold': ({ several }) => `Keep ${itThem(several ? 2 : 1)} in a cold share of the water`,
  'add-phase-below': ({ celsius }) => `Add the phase below ${formatCelsius(celsius)}`,
  'heat-phase': ({ phase, celsius }) => `Heat ${phase ?? 'the phase'} to ${formatCelsius(celsius)}`,
  'restore-step': () => 'Put the step back',
  'add-when-cool': () => 'Add it when the batch is cool',
  'aim-for': ({ range }) => `Aim for pH ${formatRange(range)}`,
  'make-grams': ({ grams }) => `Make ${sayNumber(grams)} g`,
  'choose-grade': ({ label }) => label,
}
