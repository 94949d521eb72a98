import type { Source } from '../../../findings/facts.ts'

const COMMON_PRACTICE = 'common practice, from memory'

const NAMED: Record<Extract<Source, string>, string> = {
  arithmetic: 'arithmetic',
  catalogue: 'catalogue',
  'common-practice': COMMON_PRACTICE,
  'safety-practice': 'general safety practice, from memory; the safety data sheet of your lot comes first',
  'melting-ranges': 'handbook melting range, from memory',
  'challenge-test': `${COMMON_PRACTICE}; only a challenge test (ISO 11930) shows it`,
  partition: `${COMMON_PRACTICE}; partition after Garrett and Woods 1953`,
  'free-acid': `${COMMON_PRACTICE}; free share by Henderson and Hasselbalch`,
  electroneutrality: 'electroneutrality with Davies activity coefficients; constants from memory',
  hlb: 'Griffin 1949 and 1954; from memory',
  'aha-opinion': 'CIR alpha hydroxy acids 1998, opinion; from memory',
  'claims-law':
    'Regulation (EC) 1223/2009 Art. 2 and 20 with Regulation (EU) 655/2013; US FD&C Act 201(g); from memory',
  'sale-law': 'Regulation (EC) 1223/2009; US Modernization of Cosmetics Regulation Act 2022; from memory',
  'uv-tests': 'ISO 24444 and ISO 24443 (test methods); local law decides; from memory',
  'natural-origin': 'ISO 16128-1 definitions; from memory',
  'formaldehyde-law': 'Regulation (EU) 2022/1181; stoichiometry of each releaser; from memory',
}

/** Where the numbers of a finding come from, in words. */
export function sourceWords(source: Source): string {
  if (typeof source === 'string') return NAMED[source]
  switch (source.cite) {
    case 'material':
      return [
        ...new Set(
          source.of.map(
            (m) => `${m.source}, from memory${m.confidence ? ` (${m.confidence} confidence)` : ''}`,
          ),
        ),
      ].join('; ')
    case 'limit':
      return `${source.source}; reviewed ${source.reviewed}, from memory (${source.confidence} confidence)`
    case 'solubility':
      return `${source.source}; cosolvents by the log-linear model of Yalkowsky; from memory`
    case 'weighing':
      return `JCGM 100:2008, expanded, 95 %; ${source.repeatabilityGiven ? 'repeatability as told' : 'one step of repeatability, common practice'}`
    case 'data':
      return source.source
  }
}
