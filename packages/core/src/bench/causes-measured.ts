import { formatRange, sayNumber } from '../text/format.ts'
import { kind, names, always, raisePh, type CauseList } from './cause.ts'
import { type Symptom } from './looks.ts'
import { acidOf } from '../ph/families.ts'
import { hasTrait } from '../shapes/material.ts'

/** From so much an acid or its salt holds a pH, percent. */
const BUFFERS_FROM = 0.2

/** What is smelt, seen as a colour or measured as a pH. Common practice, from memory. */
export const MEASURED: Record<Extract<Symptom, 'colour' | 'smell' | 'ph-stuck' | 'ph-over'>, CauseList> = {
  colour: {
    discard: 'Discard it if the colour keeps changing or the smell changes too.',
    causes: [
      {
        title: 'An active has started to oxidise',
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
        title: 'Natural colour of an oil or extract',
        when: (e) => {
          const x = e.has(kind('extract', 'oil', 'aloe', 'protein', 'clay', 'colourant'))
          return x.length > 0
            ? { weight: 5, because: `${names(x)} bring${x.length > 1 ? '' : 's'} colour.` }
            : null
        },
        test: 'Look at that material on its own.',
        moves: () => ['Harmless. Note it so that the next batch can be compared.'],
      },
      {
        title: 'The pH changed a plant colour',
        when: (e) =>
          e.has(kind('extract')).length > 0 && e.state.doses.length > 0
            ? { weight: 4, because: 'A pH adjuster was added.' }
            : null,
        test: 'A drop of acid in a spoonful turns it back.',
        moves: () => ['Harmless where the pH is right.'],
      },
      {
        title: 'Heated too long',
        when: (e) => (e.heated ? { weight: 2, because: '' } : null),
        test: 'A smell of caramel or frying.',
        moves: () => ['Start over with less heat if it smells burnt.'],
      },
    ],
  },
  smell: {
    discard: 'Discard it if it smells mouldy, sour or rancid. Never mask the smell with fragrance.',
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
        title: 'Natural smell of an ingredient',
        when: always(4),
        test: 'Smell the materials one by one.',
        moves: () => ['Harmless. It fades in a few days, mostly.'],
      },
      {
        title: 'Microbes grew in something that was made ahead',
        when: (e) =>
          e.state.plan.steps.some((s) => s.ahead !== null)
            ? { weight: 5, because: 'A part of it was made ahead.' }
            : null,
        test: 'Smell that stock alone.',
        moves: () => ['Discard all of it. Do not heat it to save it.'],
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
        moves: () => [
          'More of the same is needed: weigh doses instead of drops, at 10 % or more.',
          'The calculation from two readings shows how much.',
        ],
      },
      {
        title: 'The probe is slow or dirty',
        when: (e) =>
          e.state.readings.some((r) => r.method !== 'strip')
            ? { weight: 5, because: 'Fat coats a probe.' }
            : null,
        test: 'Read a buffer of pH 7: it should show it within half a minute.',
        moves: () => [
          'Rinse, clean with a drop of dish soap, rinse, set it again with its buffers.',
          'Measure 10 % in distilled water instead of the cream itself.',
        ],
      },
      {
        title: 'The dose has not spread yet',
        when: always(4),
        test: 'Stir for 1 minute, wait 5, measure again.',
        moves: () => ['Stir longer, most of all in something thick.'],
      },
      {
        title: 'The strip is too coarse',
        when: (e) =>
          e.state.readings.at(-1)?.method === 'strip'
            ? { weight: 7, because: 'A strip is read to half a unit.' }
            : null,
        test: 'Two strips side by side.',
        moves: () => ['Use a strip of a narrow range, or a meter.'],
      },
    ],
  },
  'ph-over': {
    discard:
      'Discard it if salt has built up until the cream stays thin, or if it was at pH 9 or above for hours.',
    causes: [
      {
        title: 'The dose was larger than it needed',
        when: (e) =>
          e.ph !== null && e.aim && (e.ph > e.aim.max || e.ph < e.aim.min)
            ? { weight: 8, because: `Measured pH ${sayNumber(e.ph)}; target ${formatRange(e.aim)}.` }
            : { weight: 4, because: '' },
        test: 'Read once more after five minutes: a first reading often runs ahead.',
        moves: (e) => [
          e.ph !== null && e.aim && e.ph > e.aim.max
            ? 'Go back with a dilute acid that is in the formula already, else citric acid 10 %: add half of the calculated dose first.'
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
