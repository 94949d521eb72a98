import { driftingOf } from '../dosing/effects.ts'
import { sayNumber } from '../text/format.ts'
import { always, kind, names, type CauseList } from './cause.ts'
import type { Symptom } from './looks.ts'

/** Looks that only weeks of keeping show. Common practice, from memory. */
export const KEPT: Record<Extract<Symptom, 'ph-later'>, CauseList> = {
  'ph-later': {
    discard:
      'Discard the batch once its pH is outside the range of the preservation or of what skin tolerates.',
    causes: [
      {
        title: 'A material goes on moving the pH',
        when: (e) => {
          const drifts = driftingOf(e.state.plan.a)
          return drifts.length > 0 ? { weight: 9, because: drifts.map((d) => d.drift.says).join(' ') } : null
        },
        test: 'It comes to rest, or goes on evenly: the next looks tell.',
        moves: (e) =>
          driftingOf(e.state.plan.a).some((d) => d.drift.restsAfterDays === undefined)
            ? [
                'Next time a buffer of 30 mmol/L or more (lactate, citrate or phosphate), and cool keeping.',
                'Use it before the day the limit is met.',
              ]
            : ['Adjust only when it has come to rest, and count what was added.'],
      },
      {
        title: 'An old or fast oil turns to acid',
        when: (e) => {
          const fast = e.has((l) => l.material?.oxidation === 'fast')
          return fast.length > 0 ? { weight: 5, because: `${names(fast)} oxidises fast.` } : null
        },
        test: 'Smell it warm: crayon or paint says so.',
        moves: () => ['Next time fresh oil, tocopherol in it, and jars filled to the brim.'],
      },
      {
        title: 'Carbon dioxide goes in or out, and little holds the pH',
        when: (e) =>
          e.has(kind('buffer', 'acid')).length === 0
            ? { weight: 6, because: 'Hardly an acid or a salt is in it that would hold it.' }
            : null,
        test: 'A drop of acid in a spoonful moves it far.',
        moves: () => ['Believe neither reading to a tenth. Next time a little citrate or lactate.'],
      },
      {
        title: 'The meter or strip is off',
        when: (e) => ({
          weight: 4,
          because: e.ph === null ? '' : `pH measured when made: ${sayNumber(e.ph)}.`,
        }),
        test: 'Read a fresh buffer: it should show it within 0.05.',
        moves: () => ['Calibrate the meter with buffers and measure again.'],
      },
      {
        title: 'Something grows in it',
        when: always(2),
        test: 'Smell it; look for film, spots and gas. Nothing to be seen proves nothing.',
        moves: () => ['If in doubt, discard it.'],
      },
    ],
  },
}
