import { doseFaultText, noPhText } from '@omblet/core/words'
import {
  adjustTo,
  assess,
  freeAcids,
  phModelOf,
  phNow,
  USUAL_ADJUSTER,
  type Adjustment,
  type Assessment,
  type Formula,
} from '@omblet/core'
import type { PhOptions } from './options.ts'

const twoPlaces = (value: number) => Number(value.toFixed(2))

const dosed = ({ material, strengthPercent, grams, drops, first }: Adjustment) => ({
  material,
  strengthPercent,
  grams,
  drops,
  first,
})

/** Predicted pH, free acids at the working pH or at `--to`, and the adjuster that gets there. */
export function ph(formula: Formula, { to, adjuster, strength }: PhOptions): object {
  const a = assess(formula)
  const p = a.predictedPh
  const model = phModelOf(a)
  const start = model ? phNow(a, model).value : 7
  const key = adjuster ?? (to !== null && to < start ? USUAL_ADJUSTER.down : USUAL_ADJUSTER.up)
  const at = to ?? a.reading?.ph ?? p?.value ?? null
  const dose = to === null ? null : adjustTo(a, to, key, strength ?? (adjuster ? 100 : 10))
  const why = whyNot(a, dose)
  return {
    predicted: p && { value: twoPlaces(p.value), low: twoPlaces(p.low), high: twoPlaces(p.high) },
    freeAcid: at === null ? {} : freeAcids(a, at),
    ...(dose === null ? {} : { adjust: 'why' in dose || 'noPh' in dose ? null : dosed(dose) }),
    ...(why === null ? {} : { why }),
  }
}

/** Why there is no dose or no predicted pH; null where there are both. */
function whyNot(a: Assessment, dose: ReturnType<typeof adjustTo> | null): string | null {
  if (dose && 'why' in dose) return doseFaultText(dose.why)
  return noPhText(dose && 'noPh' in dose ? dose.noPh : a.whyNoPh) || null
}
