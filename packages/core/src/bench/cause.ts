import type { AssessedLine } from '../lines/types.ts'
import { HOT } from '../procedure/route.ts'
import { adjusterOf } from '../ph/adjusters.ts'
import type { Said } from '../text/said.ts'
import type { CauseCode, CauseFacts, Off } from './cause-facts.ts'
import type { Evidence } from './evidence.ts'

/** A cause that this batch speaks for: its facts, and its weight in the order, which is no probability. */
export type LikelyCause = Said<CauseFacts> & { weight: number }

/** Tells how much a batch speaks for a cause; null where it does not. */
export type Cause = (e: Evidence) => LikelyCause | null

/** A cause by its code, with what speaks for it. */
export const cause =
  <C extends CauseCode>(code: C, when: (e: Evidence) => (CauseFacts[C] & { weight: number }) | null): Cause =>
  (e) => {
    const found = when(e)
    return found ? ({ code, ...found } as unknown as LikelyCause) : null
  }
/** A cause that is always possible. */
export const always = (code: PlainCause, weight: number): Cause => cause(code, () => ({ weight }))
type PlainCause = {
  [C in CauseCode]: Record<never, never> extends CauseFacts[C] ? C : never
}[CauseCode]

/** Lines that a sentence names. */
const NAMED = 3
export const namesOf = (lines: readonly AssessedLine[]) => lines.slice(0, NAMED).map((l) => l.label)

export const kind = (...kinds: string[]) => {
  const set = new Set(kinds)
  return (l: AssessedLine) => set.has(l.material?.kind ?? '')
}
/** A cause that speaks for itself where such lines are in. */
export const because = (
  code: { [C in CauseCode]: { names: string[] } extends CauseFacts[C] ? C : never }[CauseCode],
  weight: number,
  find: (e: Evidence) => readonly AssessedLine[],
): Cause =>
  cause(code, (e) => {
    const lines = find(e)
    return lines.length > 0 ? { weight, names: namesOf(lines) } : null
  })

export const hot = (e: Evidence) => e.celsius !== null && e.celsius > HOT
export const gums = (e: Evidence) => e.has(kind('gum', 'polymer', 'hyaluronate'))
export const waxes = (e: Evidence) => e.has(kind('fatty-alcohol', 'fatty-acid', 'wax', 'butter'))
export const emulsifiers = (e: Evidence) => e.has(kind('emulsifier', 'emulsifier-wo', 'cationic'))
export const sumOf = (lines: readonly { percent: number }[]) => lines.reduce((s, l) => s + l.percent, 0)
export const dosesOf = (lines: readonly AssessedLine[]) =>
  lines.map((l) => ({ name: l.weighedAs, percent: l.percent }))

/** What is clearly under its weight, and what is over it, percent of that weight. */
const UNDER = -3
const OVER = 5
export const under = (e: Evidence, lines: readonly AssessedLine[]): Off[] =>
  lines.filter((l) => e.off(l) < UNDER).map((l) => ({ name: l.label, percent: -e.off(l) }))
export const over = (e: Evidence, lines: readonly AssessedLine[]): Off[] =>
  lines.filter((l) => e.off(l) > OVER).map((l) => ({ name: l.label, percent: e.off(l) }))

/** What keeps its consistency only inside a window, and lies outside of it now. */
export const outside = (e: Evidence, side: 'below' | 'above' | 'either') =>
  e.ph === null
    ? []
    : e.has((l) => {
        const w = l.material?.ph
        if (!w || w.grade !== 'holds') return false
        return (side !== 'above' && e.ph! < w.min) || (side !== 'below' && e.ph! > w.max)
      })
export const acids = (e: Evidence) =>
  e.state.doses.filter((d) => adjusterOf(d.material)?.direction === 'down')
/** The hottest that the batch was measured at when acid went in; null where none did, or nobody had measured it. */
export function acidWentInAt(e: Evidence): number | null {
  const read = acids(e).flatMap((d) => e.state.temperatures.findLast((t) => t.n < d.n)?.celsius ?? [])
  return read.length > 0 ? Math.max(...read) : null
}

export const tooLittleEmulsifier = cause('too-little-emulsifier', (e) => {
  const short = under(e, emulsifiers(e))
  const heavy = over(e, e.has(kind('oil', 'ester', 'butter', 'silicone', 'alkane')))
  return short.length + heavy.length > 0 ? { weight: 8, under: short, over: heavy } : null
})
export const cooledApart = cause('phases-at-different-temperatures', (e) =>
  e.heated && e.emulsion && e.combined ? { weight: 4, celsius: e.celsius } : null,
)
export const lowShear = cause('low-shear', (e) =>
  e.emulsion && e.combined ? { weight: 3, hot: hot(e) } : null,
)
export const outOfWindow = (side: 'below' | 'either', weight: number): Cause =>
  cause('ph-outside-range', (e) => {
    const needs = outside(e, side).map((l) => ({ name: l.label, range: l.material!.ph! }))
    return needs.length > 0 ? { weight, ph: e.ph!, aim: e.aim, needs } : null
  })
export const salt = cause('salt-thins', (e) => {
  // only what is held by charge loses its consistency to salt
  const thickeners = e.has((l) => l.material?.saltStoodPercent !== undefined)
  const salts = e.has((l) => l.material?.saltShare !== undefined)
  return thickeners.length > 0 && salts.length > 0
    ? { weight: 4, salts: namesOf(salts), thickeners: namesOf(thickeners) }
    : null
})
export const notHydrated = cause('not-hydrated', (e) => {
  const slow = e.has((l) => (l.material?.hydrationHours?.max ?? 0) >= 1)
  if (slow.length > 0) {
    const hours = Math.max(...slow.map((l) => l.material!.hydrationHours!.max))
    return { weight: 6, names: namesOf(slow), hours }
  }
  return gums(e).length > 0 ? { weight: 2, names: namesOf(gums(e)), hours: null } : null
})
