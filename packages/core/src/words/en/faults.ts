import type { Full } from '../../formula/edit.ts'
import type { MixtureFaultFacts } from '../../materials/own.ts'
import type { UnknownPh } from '../../ph/predict.ts'
import type { Sentences } from '../../text/said.ts'

/** Why parts make no mixture. */
export const mixtureFault: Sentences<MixtureFaultFacts> = {
  'above-100': ({ percent }) => `The parts make ${Number(percent.toFixed(2))} %; 100 is all there is.`,
  'contains-itself': ({ part, name }) => `${part} contains ${name}, so it cannot be one of its parts.`,
  'too-deep': ({ part, depth, most }) =>
    `${part} holds mixtures ${depth} deep in each other; ${most} is the most. Make a stock of its substances instead.`,
}
/** A formula that takes no more. */
export const full = ({ of, most }: Full) =>
  `A formula holds ${most} ${of === 'line' ? 'lines' : 'phases'} at most.`
/** Why the pH that a line brings is not known. */
export const unknownPh: Record<UnknownPh, string> = {
  differs: 'Its own acid or alkali differs from lot to lot and is not known: it may move the pH. Measure.',
  unknown:
    'Nothing is known of its acid or alkali: it may move the pH. Measure, or describe it as one of your own.',
}
