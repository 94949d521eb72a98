import type { BatchEvent } from '../batch/events.ts'
import type { BatchState } from '../bench/state.ts'
import { formatCelsius, formatGrams, sayNumber } from '../text/format.ts'
import type { EventContext, EventText } from './en/events.ts'
import { words } from './language.ts'

/** One event of a batch as a row of its record. */
export interface EventRow extends EventText {
  n: number
  type: BatchEvent['type']
  at: string
  step: string
  undone: boolean
}

/** One event as a row of the record: what happened, to what, how much. */
export function eventRow(s: BatchState, e: BatchEvent): EventRow {
  const label = (i: number) => s.plan.a.lines[i]?.weighedAs ?? ''
  const tells = words.events[e.type] as (e: BatchEvent, c: EventContext) => Partial<EventText>
  const step = s.plan.steps.find((x) => x.key === e.step)
  return {
    n: e.n,
    type: e.type,
    at: e.at,
    step: step ? words.steps.titleOf(step) : '',
    what: words.eventTypes[e.type],
    material: '',
    value: null,
    unit: '',
    detail: '',
    undone: s.undone.has(e.n),
    ...tells(e, { s, label }),
  }
}

/** Every event as rows of a table, for CSV: what was read and what was done, with time, step, value and unit. */
export const eventTable = (s: BatchState): (string | number | undefined)[][] => [
  words.eventColumns,
  ...s.events.map((e) => {
    const r = eventRow(s, e)
    return [
      r.n,
      r.at,
      r.step,
      r.what,
      r.material,
      r.value ?? undefined,
      r.unit,
      r.detail,
      r.undone ? words.yes : '',
    ]
  }),
]

/** `3.20 g`, `71.5 °C`, `4.31`: the value of a row for people. */
export function rowValue(r: EventRow, resolution: number): string {
  if (r.value === null) return ''
  if (r.unit === 'g') return formatGrams(r.value, resolution)
  if (r.unit === '°C') return formatCelsius(r.value)
  return `${sayNumber(r.value, 3)}${r.unit && r.unit !== 'pH' ? ` ${r.unit}` : ''}`
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
      (x) => r.type !== 'temperature' || x?.type !== r.type || x.step !== r.step,
    ),
  )
}
