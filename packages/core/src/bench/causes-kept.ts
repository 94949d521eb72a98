import { driftingOf } from '../dosing/effects.ts'
import { always, because, cause, kind, type Cause } from './cause.ts'
import type { Symptom } from './symptoms.ts'

/** Symptoms that only weeks of storage show (common practice). */
export const KEPT: Record<Extract<Symptom, 'ph-later'>, readonly Cause[]> = {
  'ph-later': [
    cause('ingredient-moves-ph', (e) => {
      const drifts = driftingOf(e.state.plan.a).map((d) => d.drift)
      return drifts.length > 0
        ? {
            weight: 9,
            says: drifts.map((d) => d.says),
            restless: drifts.some((d) => d.restsAfterDays === undefined),
          }
        : null
    }),
    because('oil-turns-acidic', 5, (e) => e.has((l) => l.material?.oxidation === 'fast')),
    cause('carbon-dioxide', (e) => (e.has(kind('buffer', 'acid')).length === 0 ? { weight: 6 } : null)),
    cause('meter-off', (e) => ({ weight: 4, ph: e.ph })),
    always('something-grows', 2),
  ],
}
