import { listWords, sayPercent } from '../text/format.ts'
import {
  cooledApart,
  gums,
  kind,
  lowShear,
  names,
  outOfWindow,
  outside,
  raisePh,
  salt,
  tooLittleEmulsifier,
  waxes,
  type CauseList,
} from './cause.ts'
import { type Symptom } from './looks.ts'

const sum = (lines: readonly { percent: number }[]) => lines.reduce((s, l) => s + l.percent, 0)

/** Looks that show in the pack, days later. Common practice, from memory. */
export const PACK: Record<Extract<Symptom, 'pump' | 'oil-later'>, CauseList> = {
  pump: {
    discard: 'Safe to use. Scoop it into a clean jar and keep fingers out.',
    causes: [
      {
        title: 'It went thin',
        when: (e) =>
          outside(e, 'either').length > 0
            ? { weight: 8, because: 'The pH is outside its stable range.' }
            : null,
        test: 'Measure the pH.',
        moves: (e) => [raisePh(e)],
      },
      {
        title: 'A stringy gum blocks it',
        when: (e) => {
          const g = gums(e).filter(
            (l) => l.material?.common !== undefined && l.dosePercent > l.material.common.to,
          )
          return g.length > 0
            ? { weight: 8, because: `${listWords(g.map((l) => `${sayPercent(l.percent)} ${l.weighedAs}`))}.` }
            : null
        },
        test: 'Pull it between two fingers: strings.',
        moves: () => ['A wide pump or a tube for this batch; half the gum in the next.'],
      },
      {
        title: 'It set too stiff for a pump',
        when: (e) =>
          waxes(e).length > 0 && (e.state.plan.a.emulsion?.oilPhasePercent ?? 0) >= 25
            ? { weight: 6, because: `${names(waxes(e))} set it.` }
            : null,
        test: 'It holds a peak.',
        moves: () => ['A jar or a tube; less fatty alcohol in the next.'],
      },
      salt,
      {
        title: 'Air was filled in with it',
        when: () => ({ weight: 3, because: '' }),
        test: 'Pump ten times over a glass: bubbles.',
        moves: () => ['Tap the bottle, let it stand on its head for an hour, pump again.'],
      },
    ],
  },
  'oil-later': {
    discard: 'Discard it: where it separates, the preservative is no longer where the water is.',
    causes: [
      tooLittleEmulsifier,
      outOfWindow('either', 8),
      {
        title: 'Nothing keeps the drops apart over weeks',
        when: (e) =>
          e.emulsion && gums(e).length === 0 && sum(e.has(kind('fatty-alcohol'))) < 1
            ? { weight: 7, because: 'Neither gum nor fatty alcohol is in it.' }
            : null,
        test: 'Shaken, it is even, and parts again in days.',
        moves: () => ['Next time a gum at 0.2 to 0.3 %, or 1 to 2 % of a fatty alcohol.'],
      },
      lowShear,
      cooledApart,
      {
        title: 'An oil or the fragrance was added late and not emulsified',
        when: (e) => {
          const late = e.has(
            (l) =>
              l.phaseSource.role === 'cool-down' &&
              (l.material?.kind === 'essential-oil' ||
                l.material?.kind === 'fragrance' ||
                l.material?.kind === 'oil') &&
              l.percent >= 0.5,
          )
          return late.length > 0 ? { weight: 6, because: `${names(late)} went in after blending.` } : null
        },
        test: 'The drops on top smell of it.',
        moves: () => [
          'Next time mix it with a little emulsifier or solubiliser, or blend it in below 45 °C.',
        ],
      },
    ],
  },
}
