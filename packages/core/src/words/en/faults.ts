import type { Full } from '../../formula/edit.ts'
import type { MixtureFaultFacts } from '../../materials/own.ts'
import type { UnknownPh } from '../../ph/predict.ts'
import type { Sentences } from '../../text/said.ts'

/** Why parts make no mixture. */
export const mixtureFault: Sentences<MixtureFaultFacts> = {
  'above-100': ({ percent }) => `The parts add up to ${Number(percent.toFixed(2))} %, more than 100 %.`,
  'contains-itself': ({ part, name }) => `${part} contains ${name}, so it cannot be one of its parts.`,
  'too-deep': ({ part, depth, most }) =>
    `${part} contains mixtures nested ${depth} deep; at most ${most} are possible. Make a stock of its substances instead.`,
}
/** A formula that takes no more. */
export const full = ({ of, most }: Full) =>
  `A formula holds ${most} ${of === 'line' ? 'lines' : 'phases'} at most.`
/** Why the pH that a line brings is not known. */
export const unknownPh: Record<UnknownPh, string> = {
  differs: 'Its acid or alkali content varies by lot and may shift the pH. Measure.',
  unknown:
    'Its acid or alkali content is unknown and may shift the pH. Measure, or enter it as your own ingredient.',
}
