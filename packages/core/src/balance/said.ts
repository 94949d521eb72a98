import type { Plain } from '../text/said.ts'

/** A wish as it is asked for; completes “… cannot be had together”. */
export interface WishFacts {
  total: Plain
  'oil-phase': { percent: number }
  hlb: { hlb: number }
  ranges: Plain
  cost: { most: number }
  natural: { leastPercent: number }
  actives: Plain
  locked: { lines: number }
}

/** What a row of the program is about. */
export interface AboutFacts {
  total: Plain
  'oil-phase': Plain
  hlb: Plain
  emulsifier: Plain
  cost: Plain
  natural: Plain
  range: { name: string; min: number; max: number }
  cap: { name: string; authority: string; maxPercent: number }
}
