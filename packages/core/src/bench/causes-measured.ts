import { acidOf } from '../ph/families.ts'
import { hasTrait } from '../shapes/material.ts'
import { always, because, cause, kind, namesOf, type Cause } from './cause.ts'
import { type Symptom } from './symptoms.ts'

/** From so much an acid or its salt holds a pH, percent. */
const BUFFERS_FROM = 0.2

/** What is smelt, seen as a colour or measured as a pH (common practice). */
export const MEASURED: Record<
  Extract<Symptom, 'colour' | 'smell' | 'ph-stuck' | 'ph-over'>,
  readonly Cause[]
> = {
  colour: [
    because('active-oxidised', 8, (e) =>
      e.has(
        (l) =>
          l.material !== null &&
          (hasTrait(l.material, 'browned-by-metals') || hasTrait(l.material, 'retinoid')),
      ),
    ),
    because('natural-colour', 5, (e) =>
      e.has(kind('extract', 'oil', 'aloe', 'protein', 'clay', 'colourant')),
    ),
    cause('ph-changed-colour', (e) =>
      e.has(kind('extract')).length > 0 && e.state.doses.length > 0 ? { weight: 4 } : null,
    ),
    cause('heated-too-long', (e) => (e.heated ? { weight: 2 } : null)),
  ],
  smell: [
    cause('oil-rancid', (e) => {
      const fast = e.has((l) => l.material?.oxidation === 'fast')
      if (fast.length > 0) return { weight: 7, names: namesOf(fast) }
      return e.has(kind('oil', 'butter')).length > 0 ? { weight: 3, names: [] } : null
    }),
    always('natural-smell', 4),
    cause('microbes-in-stock', (e) =>
      e.state.plan.steps.some((s) => s.ahead !== null) ? { weight: 5 } : null,
    ),
  ],
  'ph-stuck': [
    because('buffer-holds-ph', 8, (e) => [
      ...new Set(
        e.has((l) => l.material !== null && acidOf(l.material.id) !== undefined && l.percent >= BUFFERS_FROM),
      ),
    ]),
    cause('probe-slow', (e) => (e.state.readings.some((r) => r.method !== 'strip') ? { weight: 5 } : null)),
    always('dose-not-mixed', 4),
    cause('strip-too-coarse', (e) => (e.state.readings.at(-1)?.method === 'strip' ? { weight: 7 } : null)),
  ],
  'ph-over': [
    cause('dose-too-large', (e) => {
      const { ph, aim } = e
      const off = ph !== null && aim !== null && (ph > aim.max || ph < aim.min)
      return { weight: off ? 8 : 4, ph: off ? ph : null, aim, above: off && ph > aim.max }
    }),
    always('measured-at-the-dose', 4),
  ],
}
