import { HOT } from '../procedure/route.ts'
import { sayNumber } from '../text/format.ts'
import {
  kind,
  names,
  always,
  hot,
  acidWentInAt,
  tooLittleEmulsifier,
  cooledApart,
  lowShear,
  outOfWindow,
  type CauseList,
} from './cause.ts'
import { type Symptom } from './looks.ts'
import { BODY } from './causes-body.ts'
import { GRAIN } from './causes-grain.ts'
import { KEPT } from './causes-kept.ts'
import { MEASURED } from './causes-measured.ts'
import { PACK } from './causes-pack.ts'
import { SKIN } from './causes-skin.ts'
import type { Evidence } from './evidence.ts'

/** Likely causes of each look, with what speaks for them, a quick test and what to do. Common practice, from memory. */
export const CAUSES: Record<Symptom, CauseList> = {
  ...BODY,
  ...GRAIN,
  ...MEASURED,
  ...SKIN,
  ...PACK,
  ...KEPT,
  split: {
    discard: 'Discard it if it stays separated: the preservative is no longer where the water is.',
    causes: [
      outOfWindow('either', 9),
      tooLittleEmulsifier,
      cooledApart,
      lowShear,
      {
        title: 'Opposite charges met',
        when: (e) =>
          e.has((l) => l.material?.charge === 'cationic').length > 0 &&
          e.has((l) => l.material?.charge === 'anionic').length > 0
            ? { weight: 9, because: 'Cationic and anionic materials are both in it.' }
            : null,
        test: 'Curds or strings rather than layers.',
        moves: () => ['Start over without one of the two.'],
      },
      {
        title: 'The pouring turned the wrong way round',
        when: (e) =>
          e.state.plan.a.emulsion?.type === 'water-in-oil'
            ? { weight: 7, because: 'Water in oil forgives no hurry.' }
            : null,
        test: 'A drop in water spreads: oil in water. A drop floats as a bead: water in oil.',
        moves: () => [
          'Warm a third of it in a clean beaker, blending, and pour the rest in as a thin stream.',
        ],
      },
    ],
  },
  oil: {
    discard: 'Discard it if oil reappears after two rounds of blending.',
    causes: [tooLittleEmulsifier, cooledApart, lowShear, outOfWindow('either', 8)],
  },
  foam: {
    discard: 'Air is safe.',
    causes: [
      {
        title: 'The blender drew air',
        when: always(5),
        test: 'Tap the beaker on the table: large bubbles rise.',
        moves: () => [
          'Hold the head below the surface, on the slant, and stop it before you lift it.',
          'Let it stand an hour; stir slowly; fill from below.',
        ],
      },
      {
        title: 'It set before the air could rise',
        when: (e) => (e.setting === 'fast' ? { weight: 6, because: 'Its emulsifier sets fast.' } : null),
        test: 'Small bubbles that stay in a stiff cream.',
        moves: () => ['Warm it to 50 °C, stir slowly by hand and let it cool standing.'],
      },
      {
        title: 'A surfactant, protein or solubiliser foams',
        when: (e) => {
          const f = e.has(kind('surfactant', 'protein', 'solubiliser'))
          return f.length > 0 ? { weight: 6, because: `${names(f)} foam${f.length > 1 ? '' : 's'}.` } : null
        },
        test: 'Foam on top of a thin liquid.',
        moves: () => ['Cover it and wait overnight.', 'Next time stir that part in last, by hand.'],
      },
    ],
  },
}

/** Looks that only seem wrong. */
export const HARMLESS: Partial<Record<Symptom, (e: Evidence) => string | null>> = {
  thin: (e) =>
    hot(e)
      ? `Thin while hot is as it should be: it was ${sayNumber(e.celsius!, 1)} °C. Judge it cold, tomorrow.`
      : null,
  'thin-after-acid': (e) => (hot(e) ? 'It is still hot, which also thins it. Judge it cold.' : null),
  lumps: (e) => {
    const h = e.has(kind('hyaluronate'))
    // beside another gum, or after acid that went in hot, lumps are not told by their look
    const others = e.has((l) => l.material?.kind !== 'hyaluronate' && l.material?.slurry !== undefined)
    const shocked = (acidWentInAt(e) ?? 0) > HOT
    return h.length > 0 && others.length === 0 && !shocked
      ? `${names(h)} looks clumped at first and goes in by itself within hours. Cover it and wait before anything else.`
      : null
  },
  foam: () => 'Bubbles are harmless: they only change how it looks and how a jar fills.',
  thick: (e) => (e.emulsion && !hot(e) ? 'Creams thicken overnight and slacken a little when used.' : null),
  grainy: (e) =>
    hot(e) ? 'Specks of wax that melt on the skin are harmless; look again when it is cold.' : null,
}
