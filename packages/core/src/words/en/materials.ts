import type { KnownFacts } from '../../assess/known.ts'
import { capitalise, listWords } from '../../text/format.ts'
import type { Sentences } from '../../text/said.ts'

const KIND_WORDS: Partial<Record<string, string>> = {
  'emulsifier-wo': 'a water-in-oil emulsifier',
  'essential-oil': 'an essential oil',
  'uv-filter': 'a UV filter',
  'fatty-alcohol': 'a fatty alcohol',
  'fatty-acid': 'a fatty acid',
  'film-former': 'a film former',
}
/** A category of material as a word with its article: “an extract”. */
export const kindInWords = (kind: string) =>
  KIND_WORDS[kind] ?? `${/^[aeiou]/.test(kind) ? 'an' : 'a'} ${kind.replaceAll('-', ' ')}`

export const known: Sentences<KnownFacts> = {
  'guessed-by-name': ({ kind }) =>
    `Treated as ${kindInWords(kind)} because of its name. Nothing else is known.`,
  'not-in-catalogue': () => 'Not in the catalogue: nothing is known about it.',
  'shares-unknown': ({ parts }) => `${capitalise(listWords(parts))}: proportions unknown.`,
  'emulsion-type-unknown': () => 'Emulsion type (O/W or W/O) unknown.',
}
