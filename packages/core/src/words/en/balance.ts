import type { AboutFacts, WishFacts } from '../../balance/said.ts'
import { sayNumber } from '../../text/format.ts'
import type { Sentences } from '../../text/said.ts'

/** A wish; completes “… cannot be had together”. */
export const wish: Sentences<WishFacts> = {
  total: () => 'a total of 100 %',
  'oil-phase': ({ percent }) => `an oil phase of ${sayNumber(percent)} %`,
  hlb: ({ hlb }) => `emulsifiers with an HLB of ${sayNumber(hlb, 1)}`,
  ranges: () => 'every ingredient in its usage range',
  cost: ({ most }) => `a price of at most ${sayNumber(most)} for 100 g`,
  natural: ({ leastPercent }) => `at least ${sayNumber(leastPercent)} % that is not synthetic`,
  actives: () => 'actives, preservatives and fragrance unchanged',
  locked: ({ lines }) => (lines === 1 ? 'the locked ingredient' : `the ${lines} locked ingredients`),
}
/** What was missed. */
export const about: Sentences<AboutFacts> = {
  total: () => 'total',
  'oil-phase': () => 'oil phase',
  hlb: () => 'HLB',
  emulsifier: () => 'amount of emulsifier',
  cost: () => 'price',
  natural: () => 'share that is not synthetic',
  range: ({ name, min, max }) => `${name} at ${sayNumber(min, 3)}–${sayNumber(max, 3)} %`,
  cap: ({ name, authority, maxPercent }) => `${name} under ${authority} of ${sayNumber(maxPercent)} %`,
}
export const bounds = { exactly: 'exactly', 'at-least': 'at least', 'at-most': 'at most' }
