import type { AssessedLine } from '../lines/types.ts'
import { formatRange, listWords, sayNumber } from '../text/format.ts'
import { HOT } from '../procedure/route.ts'
import { adjusterOf } from '../ph/adjusters.ts'
import type { Evidence } from './evidence.ts'

export interface CauseList {
  causes: Cause[]
  /** When it must be thrown away. */
  discard: string
}

export interface Cause {
  title: string
  when: (e: Evidence) => { weight: number; because: string } | null
  test: string
  moves: (e: Evidence) => string[]
}

export const kind = (...kinds: string[]) => {
  const set = new Set(kinds)
  return (l: AssessedLine) => set.has(l.material?.kind ?? '')
}
export const names = (lines: readonly AssessedLine[]) => listWords(lines.slice(0, 3).map((l) => l.label))
export const always = (weight: number) => () => ({ weight, because: '' })
export const hot = (e: Evidence) => e.celsius !== null && e.celsius > HOT
export const gums = (e: Evidence) => e.has(kind('gum', 'polymer', 'hyaluronate'))
export const waxes = (e: Evidence) => e.has(kind('fatty-alcohol', 'fatty-acid', 'wax', 'butter'))
export const emulsifiers = (e: Evidence) => e.has(kind('emulsifier', 'emulsifier-wo', 'cationic'))
/** What keeps its body only inside a window, and lies outside of it now. */
export const outside = (e: Evidence, side: 'below' | 'above' | 'either') =>
  e.ph === null
    ? []
    : e.has((l) => {
        const w = l.material?.ph
        if (!w || w.grade !== 'holds') return false
        return (side !== 'above' && e.ph! < w.min) || (side !== 'below' && e.ph! > w.max)
      })
export const needs = (l: AssessedLine) => `${l.label} holds at ${formatRange(l.material!.ph!)}`
export const acids = (e: Evidence) =>
  e.state.doses.filter((d) => adjusterOf(d.material)?.direction === 'down')
/** How hot the batch was read to be when acid went in, the hottest; null where none did, or nobody had read it. */
export function acidWentInAt(e: Evidence): number | null {
  const read = acids(e).flatMap((d) => e.state.temperatures.findLast((t) => t.n < d.n)?.celsius ?? [])
  return read.length > 0 ? Math.max(...read) : null
}
export const warm = (e: Evidence) =>
  e.celsius === null ? '' : `Last measured at ${sayNumber(e.celsius, 1)} °C.`

export const raisePh = (e: Evidence) =>
  `Bring the pH up${e.aim ? ` to ${formatRange(e.aim)}` : ''} with drops of 10 % sodium hydroxide, one small dose at a time.`

export const tooLittleEmulsifier: Cause = {
  title: 'Too little emulsifier went in',
  when: (e) => {
    const short = emulsifiers(e).filter((l) => e.off(l) < -3)
    const heavy = e.has(kind('oil', 'ester', 'butter', 'silicone', 'alkane')).filter((l) => e.off(l) > 5)
    const because = [
      ...short.map((l) => `${l.label} is ${sayNumber(-e.off(l), 0)} % under its weight.`),
      ...heavy.map((l) => `${l.label} is ${sayNumber(e.off(l), 0)} % over.`),
    ].join(' ')
    return because ? { weight: 8, because } : null
  },
  test: 'Look at the weights of this batch beside the plan.',
  moves: () => [
    'Melt the missing emulsifier in a spoon of the oil, warm the batch to 70 °C and blend it in.',
  ],
}
export const cooledApart: Cause = {
  title: 'The phases met at different temperatures',
  when: (e) => (e.heated && e.emulsion && e.combined ? { weight: 4, because: warm(e) } : null),
  test: 'Warm a spoonful to 70 °C and stir: smooth when warm means that wax set before it was emulsified.',
  moves: () => [
    'Warm all of it to 70–75 °C, covered, and blend again.',
    'Then cool it stirring, not standing.',
  ],
}
export const lowShear: Cause = {
  title: 'Too little blending',
  when: (e) => (e.emulsion && e.combined ? { weight: 3, because: '' } : null),
  test: 'Blend a spoonful for a minute: if it turns white and smooth, it was shear.',
  moves: (e) => [
    hot(e)
      ? 'Blend it now, while it is warm: three bursts of half a minute.'
      : 'Warm it to 60–70 °C and blend: three bursts of half a minute.',
  ],
}
export const outOfWindow = (side: 'below' | 'either', weight: number): Cause => ({
  title: 'The pH is outside the stable range of the emulsifier or thickener',
  when: (e) => {
    const lines = outside(e, side)
    return lines.length > 0
      ? { weight, because: `Measured pH ${sayNumber(e.ph!)}; ${listWords(lines.map(needs))}.` }
      : null
  },
  test: 'Stir a drop of alkali into a spoonful: if body comes back at once, it was the pH.',
  moves: (e) => [
    raisePh(e),
    'Blend it again for a minute after each dose: body comes back with pH and shear together.',
    'Let it stand ten minutes before you judge.',
  ],
})
export const salt: Cause = {
  title: 'Salt took the body of the thickener',
  when: (e) => {
    // only what is held by charge loses body to salt
    const polymers = e.has((l) => l.material?.saltStoodPercent !== undefined)
    const salts = e.has((l) => l.material?.saltShare !== undefined)
    return polymers.length > 0 && salts.length > 0
      ? { weight: 4, because: `${names([...new Set(salts)])} beside ${names(polymers)}.` }
      : null
  },
  test: 'Thin a spoonful with water: if it gets thicker or stays the same, it is salt.',
  moves: () => [
    'More thickener, wetted in glycerin, 0.1 % at a time.',
    'Next time choose a gum that stands salt, or less of the salt.',
  ],
}
export const notHydrated: Cause = {
  title: 'The thickener has not swollen yet',
  when: (e) => {
    const slow = e.has((l) => (l.material?.hydrationHours?.max ?? 0) >= 1)
    return slow.length > 0
      ? {
          weight: 6,
          because: `${names(slow)} needs ${sayNumber(Math.max(...slow.map((l) => l.material!.hydrationHours!.max)))} hours.`,
        }
      : gums(e).length > 0
        ? { weight: 2, because: `${names(gums(e))} keeps hydrating for a while.` }
        : null
  },
  test: 'Cover it and look again in two hours.',
  moves: () => ['Wait, covered. Add nothing before tomorrow: thickener added now is too much then.'],
}
