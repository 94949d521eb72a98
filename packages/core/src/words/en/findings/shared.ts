import type { FindingFacts, PhNeed, PhPoint } from '../../../findings/facts.ts'
import type { FindingCode, Severity } from '../../../findings/types.ts'
import type { MicrobeGroup } from '../../../preservation/preservation.ts'
import type { Product } from '../../../shapes/formula.ts'
import { formatRange, sayNumber, sayPercent } from '../../../text/format.ts'
import type { Plain } from '../../../text/said.ts'

/** A finding in words: what it is, and why and what to do. */
export interface FindingText {
  message: string
  why: string
}

/** One sentence a code, from the facts of its finding. */
export type FindingWords<C extends FindingCode = FindingCode> = {
  [K in C]: (facts: FindingFacts[K], severity: Severity) => FindingText
}

export const GROUP_NAMES: Record<MicrobeGroup, string> = {
  gramPositive: 'gram-positive bacteria',
  gramNegative: 'gram-negative bacteria',
  yeast: 'yeast',
  mould: 'mould',
}
export const groupNames = (groups: readonly MicrobeGroup[]) => groups.map((g) => GROUP_NAMES[g])

/** Verbs and pronouns by number. */
export const isAre = (count: number) => (count > 1 ? 'are' : 'is')
export const itThem = (count: number) => (count > 1 ? 'them' : 'it')

export const about = (percent: number, digits = 2) => sayPercent(Number(percent.toPrecision(digits)))

export function phPoint(at: PhPoint): string {
  switch (at.is) {
    case 'measured':
      return `the measured pH ${sayNumber(at.ph, 2)}`
    case 'target':
      return `the target pH ${formatRange(at.range)}`
    case 'predicted':
      return `the predicted pH ${sayNumber(at.ph, 1)}`
    case 'band':
      return `the predicted pH ${formatRange(at.range)}`
  }
}

export const siteName = (site: Product['site']) => (site === 'eye' ? 'the eye area' : site)

/** What keeps every pH out, with the one that lies furthest off. */
export const nothingFits = (worst: PhNeed | 'none') =>
  worst === 'none'
    ? 'Choose another target.'
    : `No pH suits both this application area and all ingredients. Replace ${worst.label} (pH ${formatRange(worst)}).`

export const sentences = (...parts: (string | false | null | undefined)[]) => parts.filter(Boolean).join(' ')

/** A sentence that needs no facts. */
export const plain =
  (message: string, why: string) =>
  (_: Plain): FindingText => ({ message, why })
