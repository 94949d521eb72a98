import type { Said, Sentences } from '../text/said.ts'

/** The sentence of a code, from a family of them. */
export const say = <Facts>(family: Sentences<Facts>, said: Said<Facts>): string =>
  // Said pairs each code with its own parameters, which a map from code to sentence cannot show.
  (family[said.code] as (facts: Said<Facts>) => string)(said)
