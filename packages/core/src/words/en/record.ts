import type { BatchHead } from '../../stability/head.ts'
import { madeGrams, yieldPercent } from '../../bench/record.ts'
import type { WeighedState } from '../../bench/record-rows.ts'
import type { BatchState } from '../../bench/types.ts'
import { formatCelsius, formatGrams, sayNumber, sayPercent } from '../../text/format.ts'
import { sayMinutes } from '../../text/minutes.ts'

/** How a weighing ended where it is not as planned. */
export const weighedStates: Record<WeighedState, string> = {
  'not-weighed': 'not weighed',
  'left-so': 'accepted',
  short: 'under',
  'too-much': 'over',
}

/** `5.20 %`, and how far that is from what was designed. */
export const percentChange = (percent: number, designed: number) =>
  Math.abs(percent - designed) < 5e-4
    ? `stays ${sayPercent(Number(designed.toFixed(3)))}`
    : `${sayPercent(Number(percent.toFixed(3)))} instead of ${sayPercent(Number(designed.toFixed(3)))}`

const inContainers = (n: number | undefined) =>
  n ? ` in ${n === 1 ? 'one container' : `${n} containers`}` : ''

/** What stands at the head of a record; `when` says a time as its reader's clock does. */
export function recordFacts(
  s: BatchState,
  who: BatchHead['who'],
  when: (iso: string) => string,
): { label: string; value: string }[] {
  const grams = (g: number) => formatGrams(g, s.plan.a.amounts.resolutionGrams)
  const made = madeGrams(s)
  const share = yieldPercent(s)
  const { finished } = s
  const filled = finished?.filledGrams
  const row = (label: string, value: string | null) => (value === null ? [] : [{ label, value }])
  return [
    ...row('Started', when(s.start.at)),
    ...row('Finished', finished ? when(finished.at) : null),
    ...row('Duration', sayMinutes(s.took)),
    ...row('Made by', who || '–'),
    ...row('Formula', s.start.version ? `version ${s.start.version}` : 'current formula'),
    ...row('Planned', grams(s.plan.a.amounts.batchGrams)),
    ...row('Made', made > 0 ? grams(made) : '–'),
    ...row(
      'Filled',
      filled === undefined
        ? null
        : `${grams(filled)}${share === null ? '' : `, ${sayNumber(share, 1)} %`}${inContainers(finished?.containers)}`,
    ),
    ...row(
      'Water loss',
      s.masses.some((m) => m.expected !== null)
        ? `${grams(s.evaporated)}, ${grams(s.putBack)} added back`
        : 'not measured',
    ),
    ...row('Room', s.room === null ? null : formatCelsius(s.room)),
  ]
}
