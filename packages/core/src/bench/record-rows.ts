import type { BatchHead } from './record.ts'
import { madeGrams, yieldPercent } from './record.ts'
import { actualGrams } from './actual.ts'
import { linesIn } from './contents.ts'
import { eventRow, type EventRow } from './event-rows.ts'
import type { BatchState } from './types.ts'
import { formatCelsius, formatGrams, sayNumber } from '../text/format.ts'
import { sayMinutes } from '../text/minutes.ts'
import type { WeighedName } from '../lines/weighed.ts'

const inContainers = (n: number | undefined) =>
  n ? ` in ${n === 1 ? 'one container' : `${n} containers`}` : ''

/** A line of the batch as the record shows it; grams, and percent of what was made. */
export interface RecordRow {
  letter: string
  role: string
  label: WeighedName
  target: number
  weighed: number
  percent: number
  designed: number
  lots: readonly string[]
  /** How the weighing ended where it is not as planned; empty where it is. */
  state: '' | 'not weighed' | 'left so' | 'short' | 'too much'
  /** Water put back less water that left, where it is more than half a count of the scale. */
  water: number
}

const STATES: Record<string, RecordRow['state']> = {
  accepted: 'left so',
  short: 'short',
  over: 'too much',
}

export function recordRows(s: BatchState): RecordRow[] {
  const made = madeGrams(s)
  const effective = actualGrams(s, linesIn(s, true))
  const moved = s.putBack - s.evaporated
  const half = s.plan.a.amounts.resolutionGrams / 2
  return s.plan.a.lines.map((l, i) => {
    const line = s.lines[i]!
    return {
      letter: s.plan.a.phases[l.phase]!.letter,
      role: l.phaseSource.role,
      label: l.weighedAs,
      target: line.target,
      weighed: line.weighed,
      percent: made > 0 ? (100 * effective[i]!) / made : 0,
      designed: l.percent,
      lots: line.lots,
      state: line.weighed === 0 ? (line.target > 0 ? 'not weighed' : '') : (STATES[line.status] ?? ''),
      water: i === s.plan.water && Math.abs(moved) > half ? moved : 0,
    }
  })
}

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

const READ = new Set(['ph', 'dose', 'temperature'])
/**
 * Readings and doses in their order. Temperatures that came by themselves are many: of those in a row the first and
 * last of a step are told.
 */
export function recordReadings(s: BatchState): EventRow[] {
  const rows = s.events.filter((e) => !s.undone.has(e.n) && READ.has(e.type)).map((e) => eventRow(s, e))
  return rows.filter((r, i) =>
    [rows[i - 1], rows[i + 1]].some(
      (x) => r.what !== 'Temperature' || x?.what !== r.what || x.step !== r.step,
    ),
  )
}
