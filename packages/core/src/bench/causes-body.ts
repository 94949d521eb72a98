import {
  acids,
  cause,
  gums,
  hot,
  kind,
  lowShear,
  notHydrated,
  outOfWindow,
  over,
  salt,
  under,
  waxes,
  type Cause,
} from './cause.ts'
import { type Symptom } from './symptoms.ts'

/** Water loss from which it thickens a batch, share of its mass. */
const LOSS = 0.005

/** Symptoms of a batch whose consistency is not as it should be. */
export const BODY: Record<Extract<Symptom, 'thin-after-acid' | 'thin' | 'thick'>, readonly Cause[]> = {
  'thin-after-acid': [
    outOfWindow('below', 10),
    cause('acid-overshot', (e) => {
      if (e.ph === null) return { weight: 5, ph: null, aim: e.aim }
      return e.aim && e.ph < e.aim.min ? { weight: 9, ph: e.ph, aim: e.aim } : null
    }),
    salt,
    cause('acid-poured-in-one-place', (e) =>
      acids(e).length > 0 || e.has(kind('acid')).length > 0 ? { weight: 3 } : null,
    ),
  ],
  thin: [
    outOfWindow('either', 9),
    notHydrated,
    cause('still-warm', (e) => (hot(e) ? { weight: 10, celsius: e.celsius } : null)),
    cause('too-little-thickener', (e) => {
      const short = under(e, [...waxes(e), ...gums(e)])
      return short.length > 0 ? { weight: 8, under: short } : null
    }),
    salt,
    lowShear,
  ],
  thick: [
    cause('water-lost', (e) => {
      const { evaporated, putBack, masses } = e.state
      if (evaporated > putBack + LOSS * e.massGrams) return { weight: 9, grams: evaporated - putBack }
      return e.heated && masses.length === 0 ? { weight: 5, grams: null } : null
    }),
    cause('too-much-thickener', (e) => {
      const much = over(e, [...waxes(e), ...gums(e)])
      return much.length > 0 ? { weight: 8, over: much } : null
    }),
    cause('set-unstirred', (e) => (e.emulsion ? { weight: e.setting === 'fast' ? 5 : 2 } : null)),
    notHydrated,
  ],
}
