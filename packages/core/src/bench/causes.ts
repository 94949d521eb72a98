import { HOT } from '../procedure/route.ts'
import type { Said } from '../text/said.ts'
import {
  acidWentInAt,
  always,
  because,
  cause,
  cooledApart,
  hot,
  kind,
  lowShear,
  namesOf,
  outOfWindow,
  tooLittleEmulsifier,
  type Cause,
} from './cause.ts'
import type { HarmlessFacts } from './cause-facts.ts'
import { type Symptom } from './symptoms.ts'
import { BODY } from './causes-body.ts'
import { GRAIN } from './causes-grain.ts'
import { KEPT } from './causes-kept.ts'
import { MEASURED } from './causes-measured.ts'
import { PACK } from './causes-pack.ts'
import { SKIN } from './causes-skin.ts'
import type { Evidence } from './evidence.ts'

/** Likely causes of each symptom, weighed by what speaks for them in this batch (common practice). */
export const CAUSES: Record<Symptom, readonly Cause[]> = {
  ...BODY,
  ...GRAIN,
  ...MEASURED,
  ...SKIN,
  ...PACK,
  ...KEPT,
  split: [
    outOfWindow('either', 9),
    tooLittleEmulsifier,
    cooledApart,
    lowShear,
    cause('opposite-charges', (e) =>
      e.has((l) => l.material?.charge === 'cationic').length > 0 &&
      e.has((l) => l.material?.charge === 'anionic').length > 0
        ? { weight: 9 }
        : null,
    ),
    cause('wrong-order-of-addition', (e) =>
      e.state.plan.a.emulsion?.type === 'water-in-oil' ? { weight: 7 } : null,
    ),
  ],
  oil: [tooLittleEmulsifier, cooledApart, lowShear, outOfWindow('either', 8)],
  foam: [
    always('air-drawn-in', 5),
    cause('set-before-air-rose', (e) => (e.setting === 'fast' ? { weight: 6 } : null)),
    because('foaming-ingredient', 6, (e) => e.has(kind('surfactant', 'protein', 'solubiliser'))),
  ],
}

/** Symptoms that only seem wrong. */
export const HARMLESS: Partial<Record<Symptom, (e: Evidence) => Said<HarmlessFacts> | null>> = {
  thin: (e) => (hot(e) ? { code: 'thin-while-hot', celsius: e.celsius! } : null),
  'thin-after-acid': (e) => (hot(e) ? { code: 'hot-after-acid' } : null),
  lumps: (e) => {
    const h = e.has(kind('hyaluronate'))
    // beside another gum, or after acid that went in hot, lumps are not told apart by their look
    const others = e.has((l) => l.material?.kind !== 'hyaluronate' && l.material?.slurry !== undefined)
    const shocked = (acidWentInAt(e) ?? 0) > HOT
    return h.length > 0 && others.length === 0 && !shocked
      ? { code: 'hyaluronate-clumps', names: namesOf(h) }
      : null
  },
  foam: () => ({ code: 'bubbles' }),
  thick: (e) => (e.emulsion && !hot(e) ? { code: 'thickens-overnight' } : null),
  grainy: (e) => (hot(e) ? { code: 'wax-specks' } : null),
}
