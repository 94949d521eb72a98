import { adjusterName } from '../dosing/log.ts'
import { formatCelsius, formatGrams, sayNumber } from '../text/format.ts'
import type { BenchEvent } from './events.ts'
import type { BatchState } from './state.ts'

const SAYS: Record<string, string> = {
  start: 'Started',
  step: 'Step',
  tare: 'Tare',
  vessel: 'Empty vessel',
  weigh: 'Weighed',
  'take-out': 'Taken out',
  accept: 'Left as it is',
  scale: 'Made larger',
  discard: 'Thrown away',
  dilution: 'Dilution',
  mass: 'Mass',
  water: 'Water put back',
  temperature: 'Temperature',
  room: 'Room',
  cooling: 'Cooling',
  ph: 'pH',
  dose: 'Adjuster',
  sample: 'Sample taken',
  timer: 'Timer set',
  'timer-end': 'Timer stopped',
  pause: 'Paused',
  resume: 'Gone on',
  note: 'Note',
  undo: 'Taken back',
  finish: 'Finished',
  correction: 'Correction',
}

export interface EventRow {
  n: number
  at: string
  step: string
  what: string
  material: string
  value: number | null
  unit: string
  detail: string
  undone: boolean
}

/** One event as a row of the record: what happened, to what, how much. */
export function eventRow(s: BatchState, e: BenchEvent): EventRow {
  const { a, steps } = s.plan
  const label = (i: number) => a.lines[i]?.label ?? ''
  const row: EventRow = {
    n: e.n,
    at: e.at,
    step: steps.find((x) => x.key === e.step)?.title ?? '',
    what: SAYS[e.type]!,
    material: '',
    value: null,
    unit: '',
    detail: '',
    undone: s.undone.has(e.n),
  }
  const grams = (value: number, rest: Partial<EventRow> = {}) => ({ ...row, value, unit: 'g', ...rest })
  switch (e.type) {
    case 'start':
      return grams(a.amounts.batchGrams, { detail: e.version ? `version ${e.version}` : '' })
    case 'step':
      return {
        ...row,
        what: e.how === 'done' ? 'Step over' : e.how === 'skip' ? 'Step left out' : 'Went to step',
        detail: e.reason ?? '',
      }
    case 'tare':
      return grams(e.gross)
    case 'vessel':
      return grams(e.tareGrams, { material: e.vessel })
    case 'weigh':
    case 'take-out':
      return grams(e.grams, {
        material: label(e.line),
        detail: e.gross === undefined ? 'typed' : 'from the scale',
      })
    case 'accept':
      return { ...row, material: label(e.line) }
    case 'scale':
      return { ...row, value: e.factor, detail: e.all ? 'all lines' : e.lines.map(label).join(', ') }
    case 'discard':
      return { ...row, detail: [e.lines.map(label).join(', '), e.reason ?? ''].filter(Boolean).join('; ') }
    case 'dilution':
      return grams(e.usedGrams, {
        material: label(e.line),
        detail: `of ${e.soluteGrams} g in ${e.carrierGrams} g ${label(e.carrier)}`,
      })
    case 'mass':
      return grams(e.grams, {
        detail: { before: 'before heating', after: 'after heating', batch: 'the whole batch' }[e.when],
      })
    case 'water':
    case 'sample':
      return grams(e.grams)
    case 'temperature':
    case 'room':
      return { ...row, value: e.celsius, unit: '°C' }
    case 'cooling':
      return { ...row, detail: { air: 'in air', bath: 'in cold water', hot: 'kept hot' }[e.way] }
    case 'ph':
      return {
        ...row,
        value: e.ph,
        unit: 'pH',
        detail: { strip: 'strip', 'meter-direct': 'meter, direct', 'meter-10pct': 'meter on 10 %' }[e.method],
      }
    case 'dose':
      return grams(e.grams, {
        material: `${adjusterName(e.material)}, ${sayNumber(e.strengthPercent)} %`,
        detail: e.drops ? `${e.drops} drops` : '',
      })
    case 'timer':
      return { ...row, value: e.minutes, unit: 'min', detail: e.title }
    case 'note':
      return { ...row, detail: e.text }
    case 'undo': {
      const of = s.events[e.of]
      return { ...row, detail: of ? `${SAYS[of.type]}, no. ${e.of}` : `no. ${e.of}` }
    }
    case 'pause':
      return { ...row, detail: e.reason ?? '' }
    case 'finish':
      return {
        ...row,
        value: e.filledGrams ?? null,
        unit: e.filledGrams === undefined ? '' : 'g',
        detail: [
          e.outcome === 'kept' ? '' : 'discarded',
          e.containers ? `${e.containers} containers` : '',
          e.reason ?? '',
        ]
          .filter(Boolean)
          .join('; '),
      }
    case 'correction':
      return { ...row, detail: e.text }
    case 'timer-end':
    case 'resume':
      return row
  }
}

/** Every event as rows of a table, for CSV: what was read and what was done, with time, step, value and unit. */
export const eventTable = (s: BatchState): (string | number | undefined)[][] => [
  ['No.', 'Time', 'Step', 'What', 'Material', 'Value', 'Unit', 'Detail', 'Taken back'],
  ...s.events.map((e) => {
    const r = eventRow(s, e)
    return [r.n, r.at, r.step, r.what, r.material, r.value ?? undefined, r.unit, r.detail, r.undone ? 'yes' : ''] // prettier-ignore
  }),
]

/** `3.20 g`, `71.5 °C`, `4.31`: the value of a row for people. */
export function rowValue(r: EventRow, resolution: number): string {
  if (r.value === null) return ''
  if (r.unit === 'g') return formatGrams(r.value, resolution)
  if (r.unit === '°C') return formatCelsius(r.value)
  return `${sayNumber(r.value, 3)}${r.unit && r.unit !== 'pH' ? ` ${r.unit}` : ''}`
}
