import type { ChoiceFacts, SubstituteFacts } from '../../choose/reasons.ts'
import { formatRange, listWords, sayNumber } from '../../text/format.ts'
import type { Sentences } from '../../text/said.ts'

const SETS = { fast: 'fast', medium: 'at a medium rate', slow: 'slowly' }
const SPREADS = { fast: 'faster', medium: 'at a medium rate', slow: 'more slowly' }
const wetFirst = ({ parts, in: liquid }: { parts: number; in: string }) =>
  `wet it in ${sayNumber(parts)} parts of ${liquid} first`

/** What speaks for and against an emulsifier or thickener, each a clause without a capital. */
export const choice: Sentences<ChoiceFacts> = {
  'holds-at-ph': ({ range }) => `stable at pH ${formatRange(range)}`,
  'holds-only-at-ph': ({ range, here }) =>
    `stable only at pH ${formatRange(range)}; here pH ${formatRange(here)}`,
  'nonionic-emulsifier': () => 'nonionic: unaffected by salts and charged actives',
  'nonionic-thickener': () => 'nonionic: compatible with cationics and salts',
  'sets-fast': () => 'sets fast: traps air and lumps in a thick product',
  'hardly-whitens': () => 'little whitening when rubbed in',
  whitens: () => 'whitens when rubbed in',
  'hlb-far': ({ hlb, required }) =>
    `HLB ${sayNumber(hlb, 1)} is far from the required HLB ${sayNumber(required, 0)}: needs a second emulsifier`,
  'oil-capacity': ({ mostPercent, oilsPercent }) =>
    `emulsifies up to ${sayNumber(mostPercent)} % oils; here ${sayNumber(oilsPercent, 1)} %`,
  'polymer-alone': () => 'a polymer alone is weak for this much oil',
  sets: ({ pace }) => `sets ${SETS[pace]}`,
  'melts-near': ({ celsius }) => `melts near ${sayNumber(celsius)} °C: heat both phases above that`,
  'goes-in-cold': () => 'cold process',
  'tolerates-salts': () => 'tolerates the salts in this formula',
  'tolerates-salt': ({ tolerancePercent, saltPercent }) =>
    `tolerates about ${sayNumber(tolerancePercent)} % salts; here ${sayNumber(saltPercent)} %`,
  clear: () => 'clear in water',
  hazy: () => 'hazy in water',
  sticky: () => 'can feel sticky',
  light: () => 'light on the skin',
  'wet-first': wetFirst,
  'full-body-after': ({ hours }) =>
    `full viscosity after ${hours < 1 ? `${Math.round(hours * 60)} minutes` : `${sayNumber(hours)} ${hours === 1 ? 'hour' : 'hours'}`}`,
}

/** In what a substitute is alike, and what changes with it. */
export const substitute: Sentences<SubstituteFacts> = {
  functions: ({ functions }) => listWords(functions),
  'soluble-in': ({ in: solvent }) =>
    solvent === 'dispersible' ? 'dispersible, soluble in neither water nor oil' : `soluble in ${solvent}`,
  charge: ({ charge }) => charge,
  feel: ({ feel }) => `feels ${listWords(feel)}`,
  spreads: ({ pace }) => `spreads ${SPREADS[pace]}`,
  melts: ({ celsius }) => (celsius === null ? 'liquid' : `melts at ${sayNumber(celsius)} °C`),
  'required-hlb': ({ hlb, rather }) =>
    rather === undefined
      ? `required HLB ${sayNumber(hlb, 1)}`
      : `required HLB ${sayNumber(hlb, 1)} rather than ${sayNumber(rather, 1)}: check the emulsifier`,
  hlb: ({ hlb, not }) =>
    not === undefined
      ? `HLB ${sayNumber(hlb, 1)}`
      : `HLB ${sayNumber(hlb, 1)} rather than ${sayNumber(not, 1)}`,
  amount: ({ percent, instead }) => `${sayNumber(percent, 3)} % instead of ${sayNumber(instead, 3)} %`,
  'goes-in-below': ({ celsius }) => `add below ${sayNumber(celsius)} °C`,
  'wet-first': wetFirst,
  'needs-ph': ({ range }) => `needs pH ${formatRange(range)}`,
  'oxidises-sooner': () => 'oxidises sooner: add an antioxidant',
  hydration: ({ hours }) => `hydration takes up to ${sayNumber(hours)} hours`,
  'needs-partner': () => 'not broad-spectrum alone: needs a second preservative',
  scented: () => 'scented',
}
