import { daysOf } from './use-within.ts'
import { addMonths, format, parseISO, addDays } from 'date-fns'
import type { LabelDesign } from '../shapes/label.ts'
import type { LabelRegion } from '../findings/traces.ts'
import type { Label } from './label.ts'
import type { Least } from './layout.ts'
import type { UseWithin } from './use-within.ts'

/** Height of the figures of the content, mm: 2 to 50 g or ml, 3 to 200, 4 above (EU, UK); 1/16 or 1/8 inch (US). */
export function leastOf(design: LabelDesign, region: LabelRegion, areaMm2: number): Least {
  const amount = design.content?.amount ?? 0
  if (region === 'US') {
    const small = areaMm2 < 12 * 25.4 * 25.4
    return { letters: 25.4 / (small ? 32 : 16), figures: areaMm2 < 5 * 25.4 * 25.4 ? 25.4 / 16 : 25.4 / 8 }
  }
  if (region === 'CA') return { letters: 0.9, figures: 1.6 }
  return { letters: 0.9, figures: amount <= 50 ? 2 : amount <= 200 ? 3 : 4 }
}

/** The time that stands on the label: the maker's own where one was set. */
export const keptMonths = (design: LabelDesign, proposed: UseWithin) => ({
  closed: design.keep?.closedMonths ?? proposed.closedMonths,
  opened: Math.min(
    design.keep?.openedMonths ?? proposed.openedMonths,
    design.keep?.closedMonths ?? proposed.closedMonths,
  ),
})

/** The last day on which it may be used, as `2027-05-26`. */
export function bestBefore(made: string, months: number): string {
  const day = parseISO(made)
  const whole = Math.floor(months)
  return format(addDays(addMonths(day, whole), daysOf(months - whole)), 'yyyy-MM-dd')
}

/** Names in the order of the label, those below 1 % in the order that its maker chose. */
export function namesInOrder(label: Label, order: readonly string[] = []): string[] {
  const { entries, belowOneFrom } = label.list
  if (belowOneFrom === null || order.length === 0) return entries.map((e) => e.name)
  const rank = (name: string) => {
    const at = order.indexOf(name)
    return at < 0 ? order.length : at
  }
  const free = entries.slice(belowOneFrom).filter((e) => !e.colour)
  const sorted = free
    .map((e, i) => ({ e, i }))
    .sort((x, y) => rank(x.e.name) - rank(y.e.name) || x.i - y.i)
    .map(({ e }) => e)
  return [...entries.slice(0, belowOneFrom), ...sorted, ...entries.filter((e) => e.colour)].map((e) => e.name)
}

/** What a batch tells of itself. */
export interface Made {
  code: string
  /** As `2026-11-26`. */
  day: string
}
