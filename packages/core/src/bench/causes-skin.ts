import { freeAcidPercent } from '../dosing/effects.ts'
import { tolerablePh } from '../ph/skin.ts'
import { hasTrait, type Trait } from '../shapes/material.ts'
import {
  always,
  because,
  cause,
  dosesOf,
  emulsifiers,
  gums,
  kind,
  namesOf,
  over,
  sumOf,
  type Cause,
} from './cause.ts'
import { type Symptom } from './symptoms.ts'
import type { Evidence } from './evidence.ts'

const has = (e: Evidence, trait: Trait) => e.has((l) => l.material !== null && hasTrait(l.material, trait))
/** From these grades of whitening on an emulsifier shows white, and foams on the skin (common practice). */
const WHITENS_FROM = 3
const FOAMS_FROM = 4
const RICH = new Set(['rich', 'greasy', 'occlusive', 'slow'])

/** Symptoms that show on the skin (common practice). */
export const SKIN: Record<
  Extract<Symptom, 'stings' | 'whitens' | 'soaps' | 'pills' | 'greasy'>,
  readonly Cause[]
> = {
  stings: [
    cause('ph-irritates', (e) => {
      const { min, max } = tolerablePh(e.state.plan.formula.product)
      const facts = { ph: e.ph, bears: { min, max }, aim: e.aim }
      if (e.ph === null) return { weight: 4, ...facts }
      return e.ph < min || e.ph > max ? { weight: 10, ...facts } : null
    }),
    cause('free-acid', (e) => {
      const percent = e.ph === null ? 0 : freeAcidPercent(e.state.plan.a, e.ph)
      return percent >= 2 ? { weight: 8, percent, aim: e.aim } : null
    }),
    because('active-too-strong', 6, (e) => [...new Set([...has(e, 'eye-irritant'), ...has(e, 'fragrance')])]),
    cause('much-preservative', (e) => {
      const high = e.has(
        (l) =>
          l.material?.cover !== undefined &&
          l.material.usage !== undefined &&
          l.dosePercent > l.material.usage.typical * 1.1,
      )
      return high.length > 0 ? { weight: 3, doses: dosesOf(high) } : null
    }),
  ],
  whitens: [
    because('emulsifier-whitens', 7, (e) =>
      emulsifiers(e).filter((l) => (l.material!.whitening ?? 0) >= WHITENS_FROM),
    ),
    because('mineral-powder', 8, (e) => e.has(kind('uv-filter', 'colourant', 'powder', 'clay'))),
    cause('much-fatty-alcohol', (e) => {
      const percent = sumOf(e.has(kind('fatty-alcohol')))
      return percent >= 3 ? { weight: 5, percent } : null
    }),
  ],
  soaps: [
    cause('ionic-foam', (e) => {
      const foaming = emulsifiers(e).filter(
        (l) => l.material!.charge === 'anionic' || (l.material!.whitening ?? 0) >= FOAMS_FROM,
      )
      return foaming.length > 0 || (e.state.plan.a.emulsion?.soapPercent ?? 0) > 0
        ? { weight: 8, names: namesOf(foaming) }
        : null
    }),
    cause('much-emulsifier', (e) => {
      const m = e.state.plan.a.emulsion
      return m && m.oilsPercent > 0 && m.emulsifierPercent / m.oilsPercent > 0.4
        ? { weight: 7, emulsifierPercent: m.emulsifierPercent, oilsPercent: m.oilsPercent }
        : null
    }),
  ],
  pills: [
    cause('film-rolls', (e) => {
      const films = [...new Set([...gums(e), ...e.has(kind('film-former'))])]
      return films.length > 0 ? { weight: 7, doses: dosesOf(films) } : null
    }),
    because('loose-powder', 6, (e) => e.has(kind('powder', 'clay', 'uv-filter'))),
    cause('silicone-over-water', (e) => {
      const percent = sumOf(e.has(kind('silicone', 'wax')))
      return percent >= 3 ? { weight: 5, percent } : null
    }),
    always('layer-not-dry', 2),
  ],
  greasy: [
    because('rich-oils', 8, (e) =>
      e.has((l) => (l.material?.feel ?? []).some((x) => RICH.has(x)) && l.percent >= 2),
    ),
    cause('large-oil-phase', (e) => {
      const percent = e.state.plan.a.emulsion?.oilPhasePercent ?? 0
      return percent >= 25 ? { weight: 6, percent } : null
    }),
    cause('more-oil-than-planned', (e) => {
      const heavy = over(e, e.has(kind('oil', 'butter', 'ester')))
      return heavy.length > 0 ? { weight: 9, over: heavy } : null
    }),
  ],
}
