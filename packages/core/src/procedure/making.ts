import type { Assessment } from '../assess/types.ts'
import type { AssessedLine } from '../lines/types.ts'
import type { ProcessOptions } from '../shapes/method.ts'
import { isGum } from './facts.ts'
import type { StepBuilder, WaterStore } from './step-builder.ts'
import type { Part } from './route.ts'

/** What the writers of steps share. */
export interface Making {
  a: Assessment
  m: StepBuilder
  choices: ProcessOptions
  water: WaterStore
  /** Lines that stand in a vessel of their own: made ahead, or added apart from their phase. */
  apart: Set<AssessedLine>
  /** Vessels that were filled ahead and join at the end. */
  stocks: Set<string>
  /** Vessels of water that stays cold and joins hot emulsions, and of dyes that go in drop by drop. */
  cold: Set<string>
  dyes: Set<string>
  /** Powders that are folded in after whipping. */
  folded: Part[]
}

/** Some lines of a part, in a vessel of their own. */
export interface Kept {
  lines: readonly AssessedLine[]
  waits: boolean
  /** What the keys of its steps end with, where it is none of the two halves of a late part. */
  key?: string
}

/** A phase that is parted between two vessels has two weighings; the second, which waits for the pH, says so. */
export const keyOf = (p: Part, kept: Kept | undefined) =>
  kept ? `${p.id}-${kept.key ?? `${p.letter}${kept.waits ? '2' : ''}`}` : p.id

/** Below this share of water there is nothing to read a pH in, percent of the product. */
const LEAST_WATERY = 5
export const isWatery = (a: Assessment) => a.waterPercent >= LEAST_WATERY
export const isInverse = (a: Assessment) => a.emulsion?.type === 'water-in-oil'
/** Thick enough that a spoon of it takes powders up. */
export const isThick = (a: Assessment) => a.emulsion !== null || a.lines.some((l) => isGum(l.material))
export const whips = (a: Assessment, choices: ProcessOptions) => choices.body === 'whip' && !isWatery(a)
