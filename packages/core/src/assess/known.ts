import { capitalise, listWords } from '../text/format.ts'
import type { AssessedLine } from '../lines/types.ts'

/** How much is known of what a line is made of, with a sentence where it is not all. */
export interface Known {
  how: 'known' | 'partly' | 'inferred' | 'unknown'
  says: string
}

const KIND_WORDS: Partial<Record<string, string>> = {
  'emulsifier-wo': 'a water-in-oil emulsifier',
  'essential-oil': 'an essential oil',
  'uv-filter': 'a UV filter',
  'fatty-alcohol': 'a fatty alcohol',
  'fatty-acid': 'a fatty acid',
  'film-former': 'a film former',
}
/** A kind as a word with its article: “an extract”. */
export const kindInWords = (kind: string) =>
  KIND_WORDS[kind] ?? `${/^[aeiou]/.test(kind) ? 'an' : 'a'} ${kind.replaceAll('-', ' ')}`

/** What can be said of a line's make-up: all, its parts without shares, its kind by its name, or nothing. */
export function knownOf(line: AssessedLine): Known {
  const { material, guess, substances } = line
  if (!material)
    return guess
      ? {
          how: 'inferred',
          says: `Taken for ${kindInWords(guess.kind)} by its name; nothing else is known of it.`,
        }
      : { how: 'unknown', says: 'Not in the catalogue: nothing is known of it.' }
  const open = substances.filter((s) => s.low < s.high)
  if (open.length > 0)
    return {
      how: 'partly',
      says: `${capitalise(listWords(open.map((s) => s.inci)))}: how much of each is not known.`,
    }
  if (material.own && material.kind === 'emulsifier' && !material.emulsifier)
    return { how: 'partly', says: 'Which type of emulsion it holds is not told.' }
  return { how: 'known', says: '' }
}
