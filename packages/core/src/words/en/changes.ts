import type { LineChange } from '../../formula/versions.ts'
import { capitalise, formatNumber } from '../../text/format.ts'

/** A change as a sentence without its full stop: “Glycerin 4 % → 2 %”. `nameOf` tells the name of a material. */
export function changeText(change: LineChange, nameOf: (id: string) => string): string {
  const name = capitalise(nameOf(change.material))
  const amount = (value: number | null) => (value === null ? 'no amount' : `${formatNumber(value, 2, 4)} %`)
  if (change.kind === 'added') return `${name} added, ${amount(change.after)}`
  if (change.kind === 'removed') return `${name} removed, was ${amount(change.before)}`
  if (change.kind === 'moved') return `${name} moved from ${change.from} to ${change.to}`
  return `${name} ${amount(change.before)} → ${amount(change.after)}`
}
