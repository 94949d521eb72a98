import type { RemedyFacts } from '../../../findings/facts.ts'
import type { RemedyCode } from '../../../findings/types.ts'
import {
  capitalise,
  formatCelsius,
  formatRange,
  listWords,
  sayNumber,
  sayPercent,
} from '../../../text/format.ts'
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
  'lower-by': ({ percent, name }) => `Lower ${name} by ${sayPercent(percent)}`,
  'lower-to': ({ percent }) => `Lower to ${sayPercent(percent)}`,
  'raise-to': ({ percent, name }) => `Raise ${name} to ${sayPercent(percent)}`,
  'set-to': ({ percent }) => `Set to ${sayPercent(percent)}`,
  'set-line-to': ({ percent, name }) => `Set ${name} to ${sayNumber(percent, 4)} %`,
  'fill-up': ({ name }) => `Set ${name} to q.s.`,
  remove: ({ name }) => `Remove ${name}`,
  'remove-claims': ({ count }) => `Remove ${count === 1 ? 'claim' : 'claims'}`,
  'state-challenge-test': () => 'State that it passed a challenge test',
  'declare-fresh': () => 'Declare as fresh product',
  'move-to': ({ several, phase, role }) => `Move ${several ? 'them ' : ''}to ${phase ?? `the ${role} phase`}`,
  'move-to-adjust': ({ names }) => `Move ${listWords(names)} to a pH adjustment phase`,
  'keep-cold': ({ several }) => `Add ${itThem(several ? 2 : 1)} with held-back cold water`,
  'add-phase-below': ({ celsius }) => `Add the phase below ${formatCelsius(celsius)}`,
  'heat-phase': ({ phase, celsius }) => `Heat ${phase ?? 'the phase'} to ${formatCelsius(celsius)}`,
  'restore-step': () => 'Restore step',
  'add-when-cool': () => 'Add when cool',
  'aim-for': ({ range }) => `Set target to pH ${formatRange(range)}`,
  'make-grams': ({ grams }) => `Scale to ${sayNumber(grams)} g`,
  'choose-grade': ({ label }) => capitalise(label),
}
