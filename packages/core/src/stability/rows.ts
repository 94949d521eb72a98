import { WATCH, choicesOf } from '../batch/watch-data.ts'
import type { History } from './history.ts'

const HEADS = [
  'at',
  'age_days',
  'planned_day',
  'sample',
  'storage',
  'property',
  'value',
  'unit',
  'way',
  'celsius',
  'answer',
  'note',
  'number',
  'counts',
]

/** Everything that was seen of a batch, a row an answer, in the order in which it was given. */
export function observationRows(h: History): (string | number | undefined)[][] {
  return [
    HEADS,
    ...h.answers.map((a) => [
      a.at,
      Number(a.age.toFixed(3)),
      a.day ?? undefined,
      a.sample,
      h.samples.find((s) => s.id === a.sample)?.storage,
      a.property,
      a.value ?? undefined,
      a.way && a.value !== null ? WATCH.ways[a.way].unit : undefined,
      a.way ?? undefined,
      a.celsius ?? undefined,
      choicesOf(a.property).find((c) => c.id === a.choice)?.words,
      a.text || undefined,
      a.n,
      a.corrected ? 'no' : 'yes',
    ]),
  ]
}
