import type { Reading } from '../../shapes/formula.ts'

/** How a pH was measured. */
export const METHOD_WORDS: Readonly<Record<Reading['method'], string>> = {
  strip: 'strip',
  'meter-direct': 'meter, direct',
  'meter-10pct': 'meter, 10 %',
}
