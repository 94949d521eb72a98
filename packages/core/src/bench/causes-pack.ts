import {
  because,
  cause,
  cooledApart,
  dosesOf,
  gums,
  kind,
  lowShear,
  namesOf,
  outOfWindow,
  outside,
  salt,
  sumOf,
  tooLittleEmulsifier,
  waxes,
  always,
  type Cause,
} from './cause.ts'
import { type Symptom } from './symptoms.ts'

/** Oil phase from which fats set a product stiff, percent, and late oil that shows as drops (common practice). */
const STIFF_FROM = 25
const LATE_FROM = 0.5

/** Symptoms that show in the container, days later (common practice). */
export const PACK: Record<Extract<Symptom, 'pump' | 'oil-later'>, readonly Cause[]> = {
  pump: [
    cause('thinned-by-ph', (e) => (outside(e, 'either').length > 0 ? { weight: 8, aim: e.aim } : null)),
    cause('stringy-gum', (e) => {
      const much = gums(e).filter(
        (l) => l.material?.common !== undefined && l.dosePercent > l.material.common.to,
      )
      return much.length > 0 ? { weight: 8, doses: dosesOf(much) } : null
    }),
    cause('too-stiff-for-pump', (e) =>
      waxes(e).length > 0 && (e.state.plan.a.emulsion?.oilPhasePercent ?? 0) >= STIFF_FROM
        ? { weight: 6, names: namesOf(waxes(e)) }
        : null,
    ),
    salt,
    always('air-filled-in', 3),
  ],
  'oil-later': [
    tooLittleEmulsifier,
    outOfWindow('either', 8),
    cause('nothing-stabilises', (e) =>
      e.emulsion && gums(e).length === 0 && sumOf(e.has(kind('fatty-alcohol'))) < 1 ? { weight: 7 } : null,
    ),
    lowShear,
    cooledApart,
    because('late-oil', 6, (e) =>
      e
        .has(kind('essential-oil', 'fragrance', 'oil'))
        .filter((l) => l.phaseSource.role === 'cool-down' && l.percent >= LATE_FROM),
    ),
  ],
}
