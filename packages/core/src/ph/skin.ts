import type { Product } from '../shapes/formula.ts'

export interface Bears {
  /** Outside it stings or dries (check). */
  min: number
  max: number
  /** Beyond these it burns (stop). */
  stopMin: number
  stopMax: number
}

const FACE: Bears = { min: 3.5, max: 8, stopMin: 2.8, stopMax: 9.5 }
const EYE: Bears = { min: 4.5, max: 8, stopMin: 4, stopMax: 9 }
/** Body, hands and feet bear half a unit more. */
const BODY: Bears = { min: 3, max: 8.5, stopMin: 2.3, stopMax: 10 }
const BY_SITE: Partial<Record<Product['site'], Bears>> = { eye: EYE, body: BODY, hands: BODY, feet: BODY }

/** What skin, scalp or the eye area bears of a product, by site; what is rinsed off one unit wider (common practice). */
export function tolerablePh({ site, rinse }: Pick<Product, 'site' | 'rinse'>): Bears {
  const b = BY_SITE[site] ?? FACE
  const wider = rinse === 'rinse-off' ? 1 : 0
  return {
    min: b.min - wider,
    max: b.max + wider,
    stopMin: b.stopMin - wider,
    stopMax: b.stopMax + wider,
  }
}
