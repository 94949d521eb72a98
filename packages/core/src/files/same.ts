import { dequal } from 'dequal/lite'
import type { Formula } from '../shapes/formula.ts'
import { withKeys } from '../formula/keys.ts'
import { BatchEvent } from '../batch/events.ts'

/** Values that hold the same, whatever the order of their keys; what is `undefined` counts as not there. */
export const same = (x: unknown, y: unknown): boolean => dequal(bare(x), bare(y))

/** Without keys that say nothing, as a file would have it. */
function bare(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(bare)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value).flatMap(([k, v]) => (v === undefined ? [] : [[k, bare(v)]])),
  )
}

/** Formulas that say the same, apart from a name that a copy had to change. */
export const sameFormula = (x: Formula, y: Formula, butName = false): boolean => {
  const plain = (f: Formula) => ({ ...withKeys(f), ...(butName ? { name: '' } : {}) })
  return same(plain(x), plain(y))
}

/** The same thing that happened: whole, with what a file fills in filled in. */
export function sameEvent(x: BatchEvent, y: BatchEvent): boolean {
  if (x.type !== y.type || x.at !== y.at || x.n !== y.n) return false
  const whole = (e: BatchEvent) => {
    const parsed = BatchEvent.safeParse(e)
    const event = parsed.success ? parsed.data : e
    return event.type === 'start' ? { ...event, formula: withKeys(event.formula) } : event
  }
  return same(whole(x), whole(y))
}

/**
 * What a file brings to a batch that is here: nothing, more of the same, or another course of things, which must not
 * change what is here.
 */
export function brings(
  here: readonly BatchEvent[],
  file: readonly BatchEvent[],
): 'nothing' | 'more' | 'another' {
  const agree = here.every((e, i) => i >= file.length || sameEvent(e, file[i]!))
  return !agree ? 'another' : file.length > here.length ? 'more' : 'nothing'
}

/** The id of the `n`th record that stands beside the one of that id. */
export const copyId = (id: string, n: number) => `${id.slice(0, 90)}+${n}`

/** An id that can stand in an address: letters of other kinds become a hyphen, the same way each time. */
export const safeId = (id: string): string => {
  const safe = id.replace(/[^\p{L}\p{N}._~+@: -]/gu, '-')
  return /^\.{1,2}$/.test(safe) ? `id-${safe}` : safe
}

export interface Place<T> {
  id: string
  what: 'new' | 'nothing' | 'more' | 'beside'
  here: T | null
}

/**
 * Where something from a file goes among what is here: it is here already, it goes on with what is here, it is new, or
 * it differs and stands beside under an id of its own. However often a file is taken in, it finds the same place.
 */
export async function resolveImport<T>(
  id: string,
  get: (id: string) => Promise<T | null | undefined>,
  compare: (here: T) => 'nothing' | 'more' | 'another',
): Promise<Place<T>> {
  for (let n = 1; ; n++) {
    const key = n === 1 ? id : copyId(id, n)
    const here = await get(key)
    if (here === null || here === undefined) return { id: key, what: n === 1 ? 'new' : 'beside', here: null }
    const what = compare(here)
    if (what !== 'another') return { id: key, what, here }
  }
}
