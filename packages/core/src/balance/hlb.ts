import type { Assessment } from '../assess/types.ts'
import type { Solver } from '../solve/lp.ts'
import type { Least } from './program.ts'
import { type Start, leastChange, NO_WISH } from './program.ts'
import type { Wish } from './wishes.ts'
import { wantedHlb } from './wishes.ts'

/** HLB within which what the oils want and what the emulsifiers are to meet agree; the values are good to 1. */
const HLB_AGREES = 0.02
/** Further apart than this it is not called met. */
const HLB_KEPT = 0.1
const HLB_ROUNDS = 14
/** Halvings of the bracket where that does not settle. */
const HALVINGS = 16

/** An end of the bracket: the HLB that was tried, and by how much the oils then wanted another; null before it was tried. */
interface End {
  at: number
  gap: number | null
  best?: Least
}
/** The end that stays counts half, so that neither can stay for ever (Illinois rule of regula falsi). */
const halved = (stays: End, moved: End): End =>
  stays.gap !== null && moved.gap !== null ? { ...stays, gap: stays.gap / 2 } : stays

/** The HLB to try next: between two tried ends by secant, or in the middle; before that, what the oils asked for. */
function nextHlb(low: End, high: End, asked: number, halve: boolean): number {
  if (low.gap === null || high.gap === null) return Math.min(high.at, Math.max(low.at, asked))
  return halve ? (low.at + high.at) / 2 : low.at + ((high.at - low.at) * low.gap) / (low.gap - high.gap)
}

/**
 * The least change at an HLB that the oils of the result really want: other wishes may change the oils, and with them
 * what they want. What they want lies between the lowest and the highest of the oils, so a bracket always closes;
 * regula falsi with halved ends (Illinois).
 */
export function meetHlb(a: Assessment, start: Start, wishesFor: (hlb: number) => Wish[], solver: Solver) {
  const values = a.lines.flatMap((l, i) =>
    start.percents[i]! > 0 && l.material?.requiredHlb ? [l.material.requiredHlb.value] : [],
  )
  let low: End = { at: Math.min(...values), gap: null }
  let high: End = { at: Math.max(...values), gap: null }
  let hlb = wantedHlb(a.lines, start.percents)!
  let found: { list: Wish[]; best: Least; gap: number } | null = null
  const settled = () => found !== null && Math.abs(found.gap) < HLB_KEPT
  for (let round = 0; round < HLB_ROUNDS + HALVINGS; round++) {
    const list = wishesFor(hlb)
    const best = leastChange(solver, start, list, NO_WISH)
    // What was met at another figure is not what the oils want: only a settled one counts.
    if (!best) return settled() ? found! : { list, best: null }
    const gap = (wantedHlb(a.lines, best.percents) ?? hlb) - hlb
    if (!found || Math.abs(gap) < Math.abs(found.gap)) found = { list, best, gap }
    if (Math.abs(gap) < HLB_AGREES || (round >= HLB_ROUNDS && settled())) break
    const here: End = { at: hlb, gap, best }
    ;[low, high] = gap > 0 ? [here, halved(high, low)] : [halved(low, high), here]
    hlb = nextHlb(low, high, hlb + gap, round >= HLB_ROUNDS - 1)
  }
  if (settled() || !low.best || !high.best) return found!
  // The least change jumps from one set of oils to another at this figure: both are least, and so is what lies between.
  return {
    list: wishesFor(hlb),
    best: between(low.best, high.best, (percents) => (wantedHlb(a.lines, percents) ?? hlb) > hlb),
  }
}

/** The mixture of two answers at which a condition that holds for the first and not for the second turns over. */
function between(first: Least, second: Least, holds: (percents: number[]) => boolean): Least {
  const mix = (t: number): Least => ({
    percents: first.percents.map((p, i) => p + t * (second.percents[i]! - p)),
    largestShare: first.largestShare + t * (second.largestShare - first.largestShare),
    sumOfShares: first.sumOfShares + t * (second.sumOfShares - first.sumOfShares),
  })
  let [from, to] = [0, 1]
  for (let i = 0; i < 30; i++) {
    const t = (from + to) / 2
    if (holds(mix(t).percents)) from = t
    else to = t
  }
  return mix((from + to) / 2)
}
