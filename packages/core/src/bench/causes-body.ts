import { formatRange, sayNumber } from '../text/format.ts'
import {
  kind,
  hot,
  gums,
  waxes,
  acids,
  warm,
  raisePh,
  lowShear,
  outOfWindow,
  salt,
  notHydrated,
  type CauseList,
} from './cause.ts'
import { type Symptom } from './looks.ts'

/** Looks of a batch whose body is not as it should be. */
export const BODY: Record<Extract<Symptom, 'thin-after-acid' | 'thin' | 'thick'>, CauseList> = {
  'thin-after-acid': {
    discard: 'pH alone ruins nothing. Discard it only if layers remain after pH and shear are corrected.',
    causes: [
      outOfWindow('below', 10),
      {
        title: 'The acid moved the pH further than it should',
        when: (e) =>
          e.ph !== null && e.aim && e.ph < e.aim.min
            ? { weight: 9, because: `Measured pH ${sayNumber(e.ph)}; target ${formatRange(e.aim)}.` }
            : e.ph === null
              ? { weight: 5, because: 'The pH was not read since.' }
              : null,
        test: 'Measure the pH.',
        moves: (e) => [raisePh(e), 'Blend a minute after each dose.', 'Wait ten minutes, then judge.'],
      },
      salt,
      {
        title: 'The acid was poured in at one place and shocked it',
        when: (e) =>
          acids(e).length > 0 || e.has(kind('acid')).length > 0 ? { weight: 3, because: '' } : null,
        test: 'Blend a spoonful: if it is smooth again, it was only local.',
        moves: () => [
          'Blend it through, then wait.',
          'Next time add it diluted, in a thin stream, stirring.',
        ],
      },
    ],
  },
  thin: {
    discard: 'A thin cream is safe. Discard it only if water or oil separates and cannot be re-emulsified.',
    causes: [
      outOfWindow('either', 9),
      notHydrated,
      {
        title: 'Still warm',
        when: (e) => (hot(e) ? { weight: 10, because: warm(e) } : null),
        test: 'Put a spoonful in the fridge for ten minutes and look at that.',
        moves: () => ['Let it cool, stirring now and then, and judge it cold tomorrow.'],
      },
      {
        title: 'Too little of what thickens went in',
        when: (e) => {
          const short = [...waxes(e), ...gums(e)].filter((l) => e.off(l) < -3)
          return short.length > 0
            ? {
                weight: 8,
                because: short
                  .map((l) => `${l.label} is ${sayNumber(-e.off(l), 0)} % under its weight.`)
                  .join(' '),
              }
            : null
        },
        test: 'Look at the weights of this batch beside the plan.',
        moves: () => ['Warm it to 70 °C and blend in what is missing.'],
      },
      salt,
      lowShear,
    ],
  },
  thick: {
    discard: 'A thick cream is safe.',
    causes: [
      {
        title: 'Water has left it',
        when: (e) =>
          e.state.evaporated > e.state.putBack + 0.005 * e.massGrams
            ? {
                weight: 9,
                because: `${sayNumber(e.state.evaporated - e.state.putBack, 1)} g water loss not replaced.`,
              }
            : e.heated && e.state.masses.length === 0
              ? { weight: 5, because: 'Heated and not weighed since.' }
              : null,
        test: 'Weigh it against what went in.',
        moves: () => ['Put the missing water back, warm, a little at a time, and blend.'],
      },
      {
        title: 'Too much of what thickens went in',
        when: (e) => {
          const much = [...waxes(e), ...gums(e)].filter((l) => e.off(l) > 5)
          return much.length > 0
            ? {
                weight: 8,
                because: much.map((l) => `${l.label} is ${sayNumber(e.off(l), 0)} % over.`).join(' '),
              }
            : null
        },
        test: 'Look at the weights of this batch beside the plan.',
        moves: () => ['Make the batch larger by the same share, or accept it as a richer one.'],
      },
      {
        title: 'It set fast and was not stirred through',
        when: (e) => (e.emulsion ? { weight: e.setting === 'fast' ? 5 : 2, because: '' } : null),
        test: 'Stir a spoonful hard: if it flows then, it has only set.',
        moves: () => [
          'Stir it by hand while it cools.',
          'Blend once more below 40 °C, short, below the surface.',
        ],
      },
      notHydrated,
    ],
  },
}
