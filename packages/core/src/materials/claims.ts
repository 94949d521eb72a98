import * as z from 'zod'
import data from '../../data/claims.json' with { type: 'json' }

const ClaimClass = z.strictObject({
  id: z.string(),
  severity: z.enum(['stop', 'check']),
  /** “… is/are ” in a sentence. */
  is: z.string(),
  /** What has to stand behind it. */
  needs: z.string(),
  /** Stems and phrases, as parts of a regular expression between word boundaries. */
  words: z.array(z.string()).min(1),
})

export interface ClaimWords {
  id: string
  severity: 'stop' | 'check'
  is: string
  needs: string
  pattern: RegExp
}

/**
 * Words of claims by what has to stand behind them: Regulation (EU) 655/2013, its technical document of 2017, and US
 * FD&C Act 201(g); from memory.
 */
export const CLAIM_WORDS: readonly ClaimWords[] = z
  .array(ClaimClass)
  .parse(data)
  .map(({ words, ...rest }) => ({ ...rest, pattern: new RegExp(`\\b(${words.join('|')})(?!\\w)`, 'i') }))
