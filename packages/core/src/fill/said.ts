import type { Plain } from '../text/said.ts'

/** Why a container does not suit a product, or what to mind; `wall` is what its wall is made of. */
export interface SuitsFacts {
  'alcohol-cracks': { wall: string; alcoholPercent: number }
  'scent-attacks': { wall: string }
  'ph-attacks': { wall: string; ph: number }
  'salt-pits': { wall: string }
  'absorbs-scent': { wall: string }
  'too-thick': Plain
  'too-thin': Plain
  'near-its-limits': Plain
  rusts: Plain
  'open-jar': Plain
  whipped: Plain
}

/** A weight that does not go into a container. */
export interface DoesNotFit {
  grams: number
  holdsMl: number
  goInGrams: number
}
