import { HOT } from '../procedure/route.ts'
import { formatRange, listWords, sayNumber } from '../text/format.ts'
import {
  kind,
  names,
  always,
  hot,
  waxes,
  emulsifiers,
  acids,
  acidWentInAt,
  gums,
  warm,
  raisePh,
  tooLittleEmulsifier,
  cooledApart,
  lowShear,
  outOfWindow,
  type CauseList,
} from './cause.ts'
import { type Symptom } from './looks.ts'
import { BODY } from './causes-body.ts'
import { KEPT } from './causes-kept.ts'
import { SKIN } from './causes-skin.ts'
import type { Evidence } from './evidence.ts'
import { acidOf } from '../ph/families.ts'
import { hasTrait } from '../shapes/material.ts'

/** A batch is made larger to dissolve a solid up to this many times. */
const MOST_LARGER = 3
/** How many times more of a solid is in than stays dissolved. */
const tooMuch = (e: Evidence) => Math.max(1, ...e.state.plan.a.solubility.map((s) => s.ratio))
/** From so much an acid or its salt holds a pH, percent. */
const BUFFERS_FROM = 0.2

/** Likely causes of each look, with what speaks for them, a quick test and what to do. Common practice, from memory. */
export const CAUSES: Record<Symptom, CauseList> = {
  ...BODY,
  ...SKIN,
  ...KEPT,
  grainy: {
    discard: 'Grains are safe. Throw it away only if they scratch where the skin is thin.',
    causes: [
      {
        title: 'A butter or wax set in crystals',
        when: (e) => (waxes(e).length > 0 ? { weight: 7, because: `${names(waxes(e))} ${waxes(e).length > 1 ? 'are' : 'is'} in it. ${warm(e)}` } : null), // prettier-ignore
        test: 'Rub a grain between the fingers: it melts.',
        moves: () => [
          'Warm all of it until it is clear or smooth (70 °C for an emulsion) and hold ten minutes.',
          'Then cool it fast, in cold water, stirring all along.',
        ],
      },
      {
        title: 'A solid did not dissolve',
        when: (e) => {
          const solids = e.state.plan.a.solubility.filter((s) => s.verdict === 'solid')
          return solids.length > 0
            ? { weight: 8, because: `More of it is in than stays dissolved here: ${listWords(solids.map((s) => s.key.replaceAll('-', ' ')))}.` } // prettier-ignore
            : e.has(kind('active')).length > 0
              ? { weight: 3, because: `${names(e.has(kind('active')))} ${e.has(kind('active')).length > 1 ? 'are' : 'is'} in it.` } // prettier-ignore
              : null
        },
        test: 'Rub a grain between the fingers: it stays hard.',
        moves: () => ['Warm a spoonful to 50 °C: if the grains go, warm the batch gently, unless an active forbids it.', 'Otherwise sieve it, and next time dissolve that material first.'], // prettier-ignore
      },
      {
        title: 'The emulsifier did not melt whole',
        when: (e) => (emulsifiers(e).length > 0 ? { weight: 4, because: warm(e) } : null),
        test: 'Look against the light at a thin smear: white specks.',
        moves: () => ['Warm to 75 °C, hold ten minutes, blend again.'],
      },
    ],
  },
  lumps: {
    discard: 'Lumps of gum are safe to wear, but a preservative may not reach their inside: sieve them out.',
    causes: [
      {
        title: 'A gum was not wetted before water came to it',
        when: (e) => {
          const dry = e.has((l) => l.material?.slurry !== undefined)
          return dry.length > 0 ? { weight: 8, because: `${names(dry)} lumps in bare water.` } : null
        },
        test: 'Press a lump: clear and slippery outside, dry inside.',
        moves: () => [
          'Blend in short bursts, rest ten minutes, blend again, at most three times.',
          'What is left: press it through a sieve, weigh what stays behind and make it up.',
          'A natural gum that stays lumpy does not come back: begin that phase anew.',
        ],
      },
      {
        title: 'Acid or gum met it while it was hot',
        when: (e) => {
          const at = acidWentInAt(e)
          if (gums(e).length === 0) return null
          if (at !== null && at > HOT)
            return { weight: 9, because: `Acid went in near ${sayNumber(at, 0)} °C.` }
          return at === null && hot(e)
            ? { weight: 7, because: `${names(gums(e))} went in. ${warm(e)}` }
            : null
        },
        test: 'Press a lump: a tough skin that does not swell further.',
        moves: () => [
          'Sieve it out, weigh what stays behind and make it up, wetted cold.',
          'Next time cool below 40 °C first, and pour acid in diluted, as a thin stream.',
        ],
      },
      {
        title: 'A powder went in all at once',
        when: always(2),
        test: 'Press a lump: dry powder inside.',
        moves: () => [
          'Press the lumps against the wall with a spatula, stir, and wait ten minutes.',
          'Next time sprinkle it while stirring.',
        ],
      },
      {
        title: 'Cold met hot, and wax set in lumps',
        when: (e) => (e.emulsion && e.heated && e.combined ? { weight: 5, because: warm(e) } : null),
        test: 'Press a lump: white and greasy.',
        moves: () => [
          'Warm all of it to 70 °C and blend.',
          'Add cool-down parts at room temperature, not from the fridge.',
        ],
      },
      {
        title: 'Opposite charges met',
        when: (e) => {
          const plus = e.has((l) => l.material?.charge === 'cationic')
          const minus = e.has((l) => l.material?.charge === 'anionic')
          return plus.length > 0 && minus.length > 0
            ? { weight: 9, because: `${names(plus)} is cationic, ${names(minus)} anionic.` }
            : null
        },
        test: 'Stir a spoonful of each solution together in water: strings or curds at once.',
        moves: () => ['It does not go back. Start over without one of the two.'],
      },
    ],
  },
  split: {
    discard: 'Throw it away if it stays split: the preservative is no longer where the water is.',
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
        when: (e) => (e.state.plan.a.emulsion?.type === 'water-in-oil' ? { weight: 7, because: 'Water in oil forgives no hurry.' } : null), // prettier-ignore
        test: 'A drop in water spreads: oil in water. A drop floats as a bead: water in oil.',
        moves: () => [
          'Warm a third of it in a clean beaker, blending, and pour the rest in as a thin stream.',
        ],
      },
    ],
  },
  oil: {
    discard: 'Throw it away if oil comes back after two rounds of blending.',
    causes: [tooLittleEmulsifier, cooledApart, lowShear, outOfWindow('either', 8)],
  },
  foam: {
    discard: 'Air is safe.',
    causes: [
      {
        title: 'The blender drew air',
        when: always(5),
        test: 'Tap the beaker on the table: large bubbles rise.',
        moves: () => ['Hold the head below the surface, on the slant, and stop it before you lift it.', 'Let it stand an hour; stir slowly; fill from below.'], // prettier-ignore
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
  crystals: {
    discard: 'Throw it away if sharp crystals stay in a leave-on product.',
    causes: [
      {
        title: 'More is in than stays dissolved',
        when: (e) => {
          const s = e.state.plan.a.solubility.filter((x) => x.verdict !== 'dissolves')
          return s.length > 0
            ? {
                weight: 9,
                because: `By computation: ${listWords(s.map((x) => x.key.replaceAll('-', ' ')))}.`,
              }
            : e.state.plan.a.solubility.length > 0
              ? { weight: 3, because: 'The model is good to a factor of two or so.' }
              : null
        },
        test: 'Warm a spoonful to 40 °C: crystals that go and come back were too much.',
        moves: (e) => [
          ...(e.state.plan.a.solubility.some((s) => s.verdict !== 'dissolves' && s.constants.pKa.length > 0)
            ? [
                'A higher pH keeps more of an acid dissolved, as its salt. See that the preservative still works there.',
              ]
            : []),
          ...(tooMuch(e) <= MOST_LARGER
            ? [
                `Warm it gently and dilute: a batch ${sayNumber(Math.max(1.2, tooMuch(e)), 1)} times as large with the same amount of that material.`,
              ]
            : [
                `Diluting would take ${sayNumber(tooMuch(e), 0)} times the batch: take more of its solvent, or less of it next time.`,
              ]),
        ],
      },
      {
        title: 'The acid went below the pH where a salt stays dissolved',
        when: (e) => (acids(e).length > 0 ? { weight: 5, because: 'Acid was added here.' } : null),
        test: 'Raise the pH of a spoonful: the crystals go.',
        moves: (e) => [raisePh(e)],
      },
    ],
  },
  colour: {
    discard: 'Throw it away if the colour goes on changing, or comes with another smell.',
    causes: [
      {
        title: 'An active has begun to oxidise',
        when: (e) => {
          const o = e.has(
            (l) =>
              l.material !== null &&
              (hasTrait(l.material, 'browned-by-metals') || hasTrait(l.material, 'retinoid')),
          )
          return o.length > 0
            ? { weight: 8, because: `${names(o)} turns yellow to brown with air and metal.` }
            : null
        },
        test: 'Compare with a fresh solution of it.',
        moves: () => ['Keep it dark and cool, use it soon.', 'Next time: chelator, less heat, less air.'],
      },
      {
        title: 'It is the colour of an oil or extract',
        when: (e) => {
          const x = e.has(kind('extract', 'oil', 'aloe', 'protein', 'clay', 'colourant'))
          return x.length > 0
            ? { weight: 5, because: `${names(x)} bring${x.length > 1 ? '' : 's'} colour.` }
            : null
        },
        test: 'Look at that material on its own.',
        moves: () => ['It is harmless. Write it down, so that the next batch can be compared.'],
      },
      {
        title: 'The pH changed a plant colour',
        when: (e) => (e.has(kind('extract')).length > 0 && e.state.doses.length > 0 ? { weight: 4, because: 'An adjuster was added.' } : null), // prettier-ignore
        test: 'A drop of acid in a spoonful turns it back.',
        moves: () => ['Harmless where the pH is right.'],
      },
      {
        title: 'It was heated too long',
        when: (e) => (e.heated ? { weight: 2, because: '' } : null),
        test: 'A smell of caramel or frying.',
        moves: () => ['Start over with less heat if it smells burnt.'],
      },
    ],
  },
  smell: {
    discard: 'Throw it away when it smells of mould, sourness or rancid oil. Never cover it with fragrance.',
    causes: [
      {
        title: 'An oil is rancid',
        when: (e) => {
          const o = e.has((l) => l.material?.oxidation === 'fast')
          return o.length > 0
            ? { weight: 7, because: `${names(o)} goes off fast.` }
            : e.has(kind('oil', 'butter')).length > 0
              ? { weight: 3, because: '' }
              : null
        },
        test: 'Smell the bottles one by one.',
        moves: () => ['Throw away batch and bottle.', 'Fresh oil, and an antioxidant in it.'],
      },
      {
        title: 'It is the smell of a material',
        when: always(4),
        test: 'Smell the materials one by one.',
        moves: () => ['Harmless. It fades in a few days, mostly.'],
      },
      {
        title: 'Microbes grew in something that was made ahead',
        when: (e) => (e.state.plan.steps.some((s) => s.ahead !== null) ? { weight: 5, because: 'A part of it was made ahead.' } : null), // prettier-ignore
        test: 'Smell that stock alone.',
        moves: () => ['Throw it away, all of it. Do not heat it to save it.'],
      },
    ],
  },
  'ph-stuck': {
    discard: 'Nothing is lost.',
    causes: [
      {
        title: 'A buffer holds it',
        when: (e) => {
          const b = e.has(
            (l) => l.material !== null && acidOf(l.material.id) !== undefined && l.percent >= BUFFERS_FROM,
          )
          return b.length > 0
            ? { weight: 8, because: `${names([...new Set(b)])} buffer${b.length > 1 ? '' : 's'} it.` }
            : null
        },
        test: 'The same dose again moves it as little as the last.',
        moves: () => ['It needs more, not something else: weigh doses instead of drops, at 10 % or more.', 'The reckoning from two readings says how much.'], // prettier-ignore
      },
      {
        title: 'The probe is slow or dirty',
        when: (e) =>
          e.state.readings.some((r) => r.method !== 'strip')
            ? { weight: 5, because: 'Fat coats a probe.' }
            : null,
        test: 'Read a buffer of pH 7: it should show it within half a minute.',
        moves: () => ['Rinse, clean with a drop of dish soap, rinse, set it again with its buffers.', 'Measure 10 % in distilled water instead of the cream itself.'], // prettier-ignore
      },
      {
        title: 'The dose has not spread yet',
        when: always(4),
        test: 'Stir a minute, wait five, read again.',
        moves: () => ['Stir longer, most of all in something thick.'],
      },
      {
        title: 'The strip cannot tell',
        when: (e) => (e.state.readings.at(-1)?.method === 'strip' ? { weight: 7, because: 'A strip is read to half a unit.' } : null), // prettier-ignore
        test: 'Two strips side by side.',
        moves: () => ['Use a strip of a narrow range, or a meter.'],
      },
    ],
  },
  'ph-over': {
    discard:
      'Throw it away when salt has built up so far that the cream stays thin, or it was at pH 9 or more for hours.',
    causes: [
      {
        title: 'The dose was larger than it needed',
        when: (e) =>
          e.ph !== null && e.aim && (e.ph > e.aim.max || e.ph < e.aim.min)
            ? { weight: 8, because: `It reads pH ${sayNumber(e.ph)}; ${formatRange(e.aim)} is aimed for.` }
            : { weight: 4, because: '' },
        test: 'Read once more after five minutes: a first reading often runs ahead.',
        moves: (e) => [
          e.ph !== null && e.aim && e.ph > e.aim.max
            ? 'Go back with a dilute acid that is in the formula already, else citric acid 10 %: half of what is reckoned first.'
            : raisePh(e),
          'Count both doses: they leave salt behind.',
          'Next time: the last part of the way with a solution of 1 %.',
        ],
      },
      {
        title: 'The reading was taken where the dose went in',
        when: always(4),
        test: 'Stir, wait, and read at another place.',
        moves: () => ['Stir a minute before each reading.'],
      },
    ],
  },
}

/** Looks that only seem wrong. */
export const HARMLESS: Partial<Record<Symptom, (e: Evidence) => string | null>> = {
  thin: (e) => (hot(e) ? `Thin while hot is as it should be: it was ${sayNumber(e.celsius!, 1)} °C. Judge it cold, tomorrow.` : null), // prettier-ignore
  'thin-after-acid': (e) => (hot(e) ? 'It is also still hot, and thin for that. Judge it cold.' : null),
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
