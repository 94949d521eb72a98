import { materialSource } from '../material-sources.ts'
import type { Source } from '../../../findings/facts.ts'

const COMMON_PRACTICE = 'common practice'

const NAMED: Record<Extract<Source, string>, string> = {
  arithmetic: 'arithmetic',
  catalogue: 'catalogue',
  'common-practice': COMMON_PRACTICE,
  'safety-practice': 'general safety practice; the safety data sheet of your lot takes precedence',
  'melting-ranges': 'handbook melting ranges',
  'challenge-test': `${COMMON_PRACTICE}; only a challenge test (ISO 11930) proves it`,
  partition: `${COMMON_PRACTICE}; partition after Garrett and Woods 1953`,
  'free-acid': `${COMMON_PRACTICE}; free share by Henderson and Hasselbalch`,
  electroneutrality: 'electroneutrality with Davies activity coefficients',
  hlb: 'Griffin 1949 and 1954',
  'aha-opinion': 'CIR alpha hydroxy acids 1998, opinion',
  'claims-law': 'Regulation (EC) 1223/2009 Art. 2 and 20 with Regulation (EU) 655/2013; US FD&C Act 201(g)',
  'sale-law': 'Regulation (EC) 1223/2009; US Modernization of Cosmetics Regulation Act 2022',
  'uv-tests': 'ISO 24444 and ISO 24443 (test methods); local law decides',
  'natural-origin': 'ISO 16128-1 definitions',
  'formaldehyde-law': 'Regulation (EU) 2022/1181; stoichiometry of each releaser',
}

/** Where the numbers of a finding come from, in words. */
export function sourceWords(source: Source): string {
  if (typeof source === 'string') return NAMED[source]
  switch (source.cite) {
    case 'material':
      return [
        ...new Set(
          source.of.map(
            (m) => `${materialSource(m.source)}${m.confidence ? ` (${m.confidence} confidence)` : ''}`,
          ),
        ),
      ].join('; ')
    case 'limit':
      return `${source.source}; reviewed ${source.reviewed} (${source.confidence} confidence)`
    case 'solubility':
      return `${source.source}; cosolvents by the log-linear model of Yalkowsky`
    case 'weighing':
      return `JCGM 100:2008, expanded, 95 %; ${source.repeatabilityGiven ? 'repeatability as entered' : 'repeatability of one step, common practice'}`
    case 'data':
      return source.source
  }
}
