import { HOT } from '../procedure/route.ts'
import { listWords, sayNumber } from '../text/format.ts'
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
  type CauseList,
} from './cause.ts'
import { type Symptom } from './looks.ts'
import type { Evidence } from './evidence.ts'

/** A batch is made larger to dissolve a solid up to this many times. */
const MOST_LARGER = 3
/** How many times more of a solid is in than stays dissolved. */
const tooMuch = (e: Evidence) => Math.max(1, ...e.state.plan.a.solubility.map((s) => s.ratio))

/** What is felt as grains. Common practice, from memory. */
export const GRAIN: Record<Extract<Symptom, 'grainy' | 'lumps' | 'crystals'>, CauseList> = {
  grainy: {
    discard: 'Grains are safe. Discard only if they scratch thin skin.',
    causes: [
      {
        title: 'A butter or wax set in crystals',
        when: (e) =>
          waxes(e).length > 0
            ? {
                weight: 7,
                because: `${names(waxes(e))} ${waxes(e).length > 1 ? 'are' : 'is'} in it. ${warm(e)}`,
              }
            : null,
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
            ? {
                weight: 8,
                because: `More of it is in than stays dissolved here: ${listWords(solids.map((s) => s.key.replaceAll('-', ' ')))}.`,
              }
            : e.has(kind('active')).length > 0
              ? {
                  weight: 3,
                  because: `${names(e.has(kind('active')))} ${e.has(kind('active')).length > 1 ? 'are' : 'is'} in it.`,
                }
              : null
        },
        test: 'Rub a grain between the fingers: it stays hard.',
        moves: () => [
          'Warm a spoonful to 50 °C: if the grains go, warm the batch gently, unless an active forbids it.',
          'Otherwise sieve it, and next time dissolve that material first.',
        ],
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
        moves: () => ['This cannot be reversed. Start over without one of the two.'],
      },
    ],
  },
  crystals: {
    discard: 'Discard it if sharp crystals remain in a leave-on product.',
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
}
