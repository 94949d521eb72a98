import type { ChoiceFacts, SubstituteFacts } from '../../choose/reasons.ts'
import { formatRange, listWords, sayNumber } from '../../text/format.ts'
import type { Sentences } from '../../text/said.ts'

const SETS = { fast: 'fast', medium: 'at a middling pace', slow: 'slowly' }
const SPREADS = { fast: 'faster', medium: 'at a middling pace', slow: 'more slowly' }
const wetFirst = ({ parts, in: liquid }: { parts: number; in: string }) =>
  `wet it in ${sayNumber(parts)} parts of ${liquid} first`

/** What speaks for and against an emulsifier or thickener, each a clause without a capital. */
export const choice: Sentences<ChoiceFacts> = {
  'holds-at-ph': ({ range }) => `holds at pH ${formatRange(range)}`,
  'holds-only-at-ph': ({ range, here }) =>
    `holds only at pH ${formatRange(range)}, here it is ${formatRange(here)}`,
  'nonionic-emulsifier': () => 'nonionic: salts and charged actives leave it alone',
  'nonionic-thickener': () => 'nonionic: goes with cationics and salts',
  'sets-fast': () => 'sets fast: in a thick product it keeps air and lumps',
  'hardly-whitens': () => 'hardly whitens when rubbed in',
  whitens: () => 'whitens when rubbed in',
  'hlb-far': ({ hlb, required }) =>
    `its HLB of ${sayNumber(hlb, 1)} is far from the ${sayNumber(required, 0)} required by the oils: it needs a partner`,
  'oil-capacity': ({ mostPercent, oilsPercent }) =>
    `holds up to ${sayNumber(mostPercent)} % of oils; here are ${sayNumber(oilsPercent, 1)} %`,
  'polymer-alone': () => 'a polymer alone is weak for that much oil',
  sets: ({ pace }) => `sets ${SETS[pace]}`,
  'melts-near': ({ celsius }) => `melts near ${sayNumber(celsius)} °C: heat both phases above that`,
  'goes-in-cold': () => 'goes in cold',
  'tolerates-salts': () => 'stands the salts in here',
  'tolerates-salt': ({ tolerancePercent, saltPercent }) =>
    `stands about ${sayNumber(tolerancePercent)} % of salts; here are ${sayNumber(saltPercent)} %`,
  clear: () => 'leaves water clear',
  hazy: () => 'makes water hazy',
  sticky: () => 'can feel sticky',
  light: () => 'light on the skin',
  'wet-first': wetFirst,
  'full-body-after': ({ hours }) =>
    `full body after ${hours < 1 ? `${Math.round(hours * 60)} minutes` : `${sayNumber(hours)} h`}`,
}

/** In what a substitute is alike, and what changes with it. */
export const substitute: Sentences<SubstituteFacts> = {
  functions: ({ functions }) => listWords(functions),
  'soluble-in': ({ in: solvent }) =>
    `lives in ${solvent === 'dispersible' ? 'neither water nor oil: it is dispersed' : solvent}`,
  charge: ({ charge, alike }) => (alike ? charge : `it is ${charge}`),
  feel: ({ feel }) => `feels ${listWords(feel)}`,
  spreads: ({ pace }) => `spreads ${SPREADS[pace]}`,
  melts: ({ celsius }) => (celsius === null ? 'is liquid' : `melts at ${sayNumber(celsius)} °C`),
  'required-hlb': ({ hlb, rather }) =>
    rather === undefined
      ? `required HLB ${sayNumber(hlb, 1)}`
      : `required HLB ${sayNumber(hlb, 1)} rather than ${sayNumber(rather, 1)}: check the emulsifier`,
  hlb: ({ hlb, not }) =>
    not === undefined
      ? `HLB ${sayNumber(hlb, 1)}`
      : `its HLB is ${sayNumber(hlb, 1)}, not ${sayNumber(not, 1)}`,
  amount: ({ percent, instead }) => `${sayNumber(percent, 3)} % instead of ${sayNumber(instead, 3)} %`,
  'goes-in-below': ({ celsius }) => `goes in below ${sayNumber(celsius)} °C`,
  'wet-first': wetFirst,
  'needs-ph': ({ range }) => `needs pH ${formatRange(range)}`,
  'oxidises-sooner': () => 'turns rancid sooner: add an antioxidant',
  hydration: ({ hours }) => `takes up to ${sayNumber(hours)} h to hydrate`,
  'needs-partner': () => 'does not cover everything alone: it needs a partner',
  scented: () => 'is scented',
}
