import { adjusterAsWeighed } from '../dosing/log.ts'
import { METHOD_WORDS } from '../shapes/formula.ts'
import { capitalise, formatCelsius, formatGrams, sayNumber } from '../text/format.ts'
import type { BenchEvent, EventOf } from './events.ts'
import { choicesOf, WATCH } from '../keeping/data.ts'
import { PATCH_WAYS } from '../keeping/patch.ts'
import { STORAGES, type Storage } from '../shapes/keeping.ts'
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
  water: 'Water added back',
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
  keep: 'Looks planned',
  observe: 'Looked at',
  pass: 'Look left out',
  patch: 'Patch test',
  'patch-look': 'Patch test seen',
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

/** A sample by what it is called: usually that of where it is kept. */
const sampleWords = (id: string) =>
  (STORAGES as readonly string[]).includes(id) ? WATCH.storages[id as Storage].label : id

interface Context {
  s: BatchState
  /** The label of a line. */
  label: (i: number) => string
}
type Tells = { [T in BenchEvent['type']]: (e: EventOf<T>, c: Context) => Partial<EventRow> }
const grams = (value: number, rest: Partial<EventRow> = {}): Partial<EventRow> => ({
  value,
  unit: 'g',
  ...rest,
})

/** What each kind of event adds to its row. */
const TELLS: Tells = {
  start: (e, { s }) =>
    grams(s.plan.a.amounts.batchGrams, { detail: e.version ? `version ${e.version}` : '' }),
  step: (e) => ({
    what: e.how === 'done' ? 'Step over' : e.how === 'skip' ? 'Step left out' : 'Went to step',
    detail: e.reason ?? '',
  }),
  tare: (e) => grams(e.gross),
  vessel: (e) => grams(e.tareGrams, { material: e.vessel }),
  weigh: (e, { label }) =>
    grams(e.grams, {
      material: label(e.line),
      detail: e.gross === undefined ? 'typed' : 'from the scale',
    }),
  'take-out': (e, { label }) =>
    grams(e.grams, {
      material: label(e.line),
      detail: e.gross === undefined ? 'typed' : 'from the scale',
    }),
  accept: (e, { label }) => ({ material: label(e.line) }),
  scale: (e, { label }) => ({ value: e.factor, detail: e.all ? 'all lines' : e.lines.map(label).join(', ') }),
  discard: (e, { label }) => ({
    detail: [e.lines.map(label).join(', '), e.reason ?? ''].filter(Boolean).join('; '),
  }),
  dilution: (e, { label }) =>
    grams(e.usedGrams, {
      material: label(e.line),
      detail: `of ${e.soluteGrams} g in ${e.carrierGrams} g ${label(e.carrier)}`,
    }),
  mass: (e) =>
    grams(e.grams, {
      detail: { before: 'before heating', after: 'after heating', batch: 'the whole batch' }[e.when],
    }),
  water: (e) => grams(e.grams),
  sample: (e) => grams(e.grams),
  temperature: (e) => ({ value: e.celsius, unit: '°C' }),
  room: (e) => ({ value: e.celsius, unit: '°C' }),
  cooling: (e) => ({ detail: { air: 'in air', bath: 'in cold water', hot: 'kept hot' }[e.way] }),
  ph: (e) => ({
    value: e.ph,
    unit: 'pH',
    detail: METHOD_WORDS[e.method],
  }),
  dose: (e, { s }) =>
    grams(e.grams, {
      material: capitalise(adjusterAsWeighed(e, s.plan.a.catalogue)),
      detail: e.drops ? `${e.drops} drops` : '',
    }),
  timer: (e) => ({ value: e.minutes, unit: 'min', detail: e.title }),
  note: (e) => ({ detail: e.text }),
  undo: (e, { s }) => {
    const of = s.events[e.of]
    return { detail: of ? `${SAYS[of.type]}, no. ${e.of}` : `no. ${e.of}` }
  },
  pause: (e) => ({ detail: e.reason ?? '' }),
  finish: (e) => ({
    value: e.filledGrams ?? null,
    unit: e.filledGrams === undefined ? '' : 'g',
    detail: [
      e.outcome === 'kept' ? '' : 'discarded',
      e.containers ? `${e.containers} containers` : '',
      e.reason ?? '',
    ]
      .filter(Boolean)
      .join('; '),
  }),
  correction: (e) => ({ detail: e.text }),
  keep: (e) => ({ detail: `${e.samples.length} samples, ${e.looks.length} looks` }),
  observe: (e) => ({
    material: `${WATCH.properties[e.property].label}, ${sampleWords(e.sample)}`,
    value: e.value ?? null,
    unit: e.way && e.value !== undefined ? WATCH.ways[e.way].unit : '',
    detail: [
      choicesOf(e.property).find((c) => c.id === e.choice)?.words ?? '',
      e.way ? WATCH.ways[e.way].label : '',
      e.text ?? '',
      e.corrects === undefined ? '' : `in place of no. ${e.corrects}`,
    ]
      .filter(Boolean)
      .join('; '),
  }),
  pass: (e) => ({
    material: sampleWords(e.sample),
    detail: [`day ${e.day}`, e.reason ?? ''].filter(Boolean).join('; '),
  }),
  patch: (e) => ({ material: e.who, detail: [PATCH_WAYS[e.way].label, e.place].filter(Boolean).join('; ') }),
  'patch-look': (e) => ({ value: e.grade, unit: 'of 4', detail: e.text ?? '' }),
  'timer-end': () => ({}),
  resume: () => ({}),
}

/** One event as a row of the record: what happened, to what, how much. */
export function eventRow(s: BatchState, e: BenchEvent): EventRow {
  const label = (i: number) => s.plan.a.lines[i]?.weighedAs ?? ''
  const tells = TELLS[e.type] as (e: BenchEvent, c: Context) => Partial<EventRow>
  return {
    n: e.n,
    at: e.at,
    step: s.plan.steps.find((x) => x.key === e.step)?.title ?? '',
    what: SAYS[e.type]!,
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
  ['No.', 'Time', 'Step', 'What', 'Material', 'Value', 'Unit', 'Detail', 'Taken back'],
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
      r.undone ? 'yes' : '',
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
