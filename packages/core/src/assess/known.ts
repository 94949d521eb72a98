import type { AssessedLine } from '../lines/types.ts'
import type { MaterialKind } from '../shapes/material.ts'
import type { Plain, Said } from '../text/said.ts'

/** Why not all is known of what a line is made of, by code. */
export interface KnownFacts {
  'guessed-by-name': { kind: MaterialKind }
  'not-in-catalogue': Plain
  'shares-unknown': { parts: string[] }
  'emulsion-type-unknown': Plain
}

/** How much is known of what a line is made of, with the reason where it is not all. */
export interface Known {
  how: 'known' | 'partly' | 'inferred' | 'unknown'
  note: Said<KnownFacts> | null
}

/** What can be said of a line's make-up: all, its parts without shares, its category by its name, or nothing. */
export function knownOf(line: AssessedLine): Known {
  const { material, guess, substances } = line
  if (!material)
    return guess
      ? { how: 'inferred', note: { code: 'guessed-by-name', kind: guess.kind } }
      : { how: 'unknown', note: { code: 'not-in-catalogue' } }
  const open = substances.filter((s) => s.low < s.high)
  if (open.length > 0)
    return { how: 'partly', note: { code: 'shares-unknown', parts: open.map((s) => s.inci) } }
  if (material.own && material.kind === 'emulsifier' && !material.emulsifier)
    return { how: 'partly', note: { code: 'emulsion-type-unknown' } }
  return { how: 'known', note: null }
}
