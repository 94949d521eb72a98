import { adjusterAsWeighed } from '../../dosing/log.ts'
import { METHOD_WORDS } from './methods.ts'
import { capitalise } from '../../text/format.ts'
import type { BatchEvent, EventOf } from '../../batch/events.ts'
import { choicesOf, WATCH } from '../../batch/watch-data.ts'
import { patchWays } from './observations.ts'
import { STORAGES, type Storage } from '../../shapes/stability.ts'
import type { BatchState } from '../../bench/state.ts'

export const eventTypes: Record<BatchEvent['type'], string> = {
  start: 'Started',
  step: 'Step',
  tare: 'Tare',
  vessel: 'Tare weight',
  weigh: 'Weighed',
  'take-out': 'Removed',
  accept: 'Accepted',
  scale: 'Scaled up',
  discard: 'Discarded',
  dilution: 'Stock solution',
  mass: 'Mass',
  water: 'Water added back',
  temperature: 'Temperature',
  room: 'Room temperature',
  cooling: 'Cooling',
  ph: 'pH',
  dose: 'pH adjuster',
  sample: 'Sample taken',
  timer: 'Timer set',
  'timer-end': 'Timer stopped',
  pause: 'Paused',
  resume: 'Resumed',
  note: 'Note',
  undo: 'Undone',
  finish: 'Finished',
  correction: 'Correction',
  keep: 'Observations scheduled',
  observe: 'Observation',
  pass: 'Observation skipped',
  patch: 'Patch test',
  'patch-look': 'Patch test result',
}

/** What an event adds to its row of the record. */
export interface EventText {
  what: string
  material: string
  value: number | null
  unit: string
  detail: string
}

/** A sample by what it is called: usually that of where it is kept. */
const sampleWords = (id: string) =>
  (STORAGES as readonly string[]).includes(id) ? WATCH.storages[id as Storage].label : id

export interface EventContext {
  s: BatchState
  /** The label of a line. */
  label: (i: number) => string
}
export type EventWords = { [T in BatchEvent['type']]: (e: EventOf<T>, c: EventContext) => Partial<EventText> }
const grams = (value: number, rest: Partial<EventText> = {}): Partial<EventText> => ({
  value,
  unit: 'g',
  ...rest,
})

/** What each kind of event adds to its row. */
export const events: EventWords = {
  start: (e, { s }) =>
    grams(s.plan.a.amounts.batchGrams, { detail: e.version ? `version ${e.version}` : '' }),
  step: (e) => ({
    what: e.how === 'done' ? 'Step done' : e.how === 'skip' ? 'Step skipped' : 'Went to step',
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
  scale: (e, { label }) => ({
    value: e.factor,
    detail: e.all ? 'all ingredients' : e.lines.map(label).join(', '),
  }),
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
    return { detail: of ? `${eventTypes[of.type]}, no. ${e.of}` : `no. ${e.of}` }
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
  keep: (e) => ({ detail: `${e.samples.length} samples, ${e.looks.length} observations` }),
  observe: (e) => ({
    material: `${WATCH.properties[e.property].label}, ${sampleWords(e.sample)}`,
    value: e.value ?? null,
    unit: e.way && e.value !== undefined ? WATCH.ways[e.way].unit : '',
    detail: [
      choicesOf(e.property).find((c) => c.id === e.choice)?.words ?? '',
      e.way ? WATCH.ways[e.way].label : '',
      e.text ?? '',
      e.corrects === undefined ? '' : `replaces no. ${e.corrects}`,
    ]
      .filter(Boolean)
      .join('; '),
  }),
  pass: (e) => ({
    material: sampleWords(e.sample),
    detail: [`day ${e.day}`, e.reason ?? ''].filter(Boolean).join('; '),
  }),
  patch: (e) => ({ material: e.who, detail: [patchWays[e.way].label, e.place].filter(Boolean).join('; ') }),
  'patch-look': (e) => ({ value: e.grade, unit: 'of 4', detail: e.text ?? '' }),
  'timer-end': () => ({}),
  resume: () => ({}),
}

/** Columns of the table of all entries. */
export const eventColumns = [
  'No.',
  'Time',
  'Step',
  'Event',
  'Ingredient',
  'Value',
  'Unit',
  'Detail',
  'Undone',
]
export const YES = 'yes'
