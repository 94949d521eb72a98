import type { MatterFacts } from '../../keeping/plan.ts'
import { formatRange, listWords } from '../../text/format.ts'
import type { Sentences } from '../../text/said.ts'
import { findings } from './findings/index.ts'
import { wordFinding } from './findings/word.ts'

/** Why a property is observed. */
export const matter: Sentences<MatterFacts> = {
  drifts: ({ says }) => says.join(' '),
  'preservation-window': ({ range }) =>
    `The preservation covers at pH ${formatRange(range)}; outside it there is none.`,
  'ph-tells': () => 'A pH that moves tells of what goes on inside.',
  'weak-emulsion': ({ finding }) => `The emulsion is not certain: ${wordFinding(findings, finding).message}`,
  coalescence: () => 'Drops of oil run together slowly, and all at once in frost.',
  'too-much-solid': ({ names }) => `More of ${listWords(names)} is in than surely stays dissolved.`,
  recrystallises: () => 'A dissolved solid can come back in the cold.',
  'germs-in-water': () => 'There is water in it: what grows condemns the whole batch.',
  'gas-early': () => 'Yeast and bacteria give gas before they are seen.',
  'oxidises-fast': ({ names }) =>
    `${listWords(names)} turn${names.length > 1 ? '' : 's'} rancid fast, after weeks of nothing.`,
  'smell-first': () => 'The nose finds what the eye does not.',
  graininess: ({ names }) => `${listWords(names)} can set in grains, weeks later.`,
  'sets-for-days': ({ names }) =>
    `${listWords(names)} go${names.length > 1 ? '' : 'es'} on setting for days: judge it from day 3.`,
  browns: ({ names }) =>
    `${listWords(names)} turn${names.length > 1 ? '' : 's'} yellow to brown with air, light and metal.`,
  'colour-can-change': ({ names }) =>
    `${listWords(names)} bring${names.length > 1 ? '' : 's'} colour that can change.`,
  evaporation: () => 'Water leaves through cap and wall, and what stays gets stronger.',
  'pack-fails': () => 'A pack can leak, stain or soften.',
}
