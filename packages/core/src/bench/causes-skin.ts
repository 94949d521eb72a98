import { freeAcidPercent } from '../dosing/effects.ts'
import { bearsOf } from '../ph/skin.ts'
import { hasTrait, type Trait } from '../shapes/material.ts'
import { formatRange, listWords, sayNumber, sayPercent } from '../text/format.ts'
import { always, emulsifiers, gums, kind, names, raisePh, type CauseList } from './cause.ts'
import { type Symptom } from './looks.ts'
import type { Evidence } from './evidence.ts'

const has = (e: Evidence, trait: Trait) => e.has((l) => l.material !== null && hasTrait(l.material, trait))
const sum = (lines: readonly { percent: number }[]) => lines.reduce((s, l) => s + l.percent, 0)

/** Looks that show on the skin or in the pack, days later. Common practice, from memory. */
export const SKIN: Record<
  Extract<Symptom, 'stings' | 'whitens' | 'soaps' | 'pills' | 'greasy'>,
  CauseList
> = {
  stings: {
    discard:
      'Wash it off and stop. Discard it if the pH is outside what skin tolerates. See a doctor if the skin stays red.',
    causes: [
      {
        title: 'The pH is out of what skin bears',
        when: (e) => {
          const bears = bearsOf(e.state.plan.formula.product)
          return e.ph !== null && (e.ph < bears.min || e.ph > bears.max)
            ? { weight: 10, because: `Measured pH ${sayNumber(e.ph)}; tolerable here ${formatRange(bears)}.` }
            : e.ph === null
              ? { weight: 4, because: 'The pH was not read.' }
              : null
        },
        test: 'Measure the pH of the product.',
        moves: (e) => [raisePh(e), 'Do not use it before it reads right twice, a day apart.'],
      },
      {
        title: 'Much of an acid is free',
        when: (e) => {
          const free = e.ph === null ? 0 : freeAcidPercent(e.state.plan.a, e.ph)
          return free >= 2
            ? {
                weight: 8,
                because: `About ${sayPercent(Number(free.toPrecision(2)))} of it is free acid at this pH.`,
              }
            : null
        },
        test: 'It stings most in the first minute and on chapped skin.',
        moves: (e) => [raisePh(e), 'Half a unit more takes much of the sting away.'],
      },
      {
        title: 'An active or fragrance is too strong for this skin',
        when: (e) => {
          const sharp = [...new Set([...has(e, 'eye-irritant'), ...has(e, 'fragrance')])]
          return sharp.length > 0
            ? { weight: 6, because: `${names(sharp)} ${sharp.length > 1 ? 'are' : 'is'} in it.` }
            : null
        },
        test: 'A patch in the crook of the arm, two days, beside a batch without it.',
        moves: () => ['Use it less often, or halve that material next time.'],
      },
      {
        title: 'More preservative than is usual',
        when: (e) => {
          const high = e.has(
            (l) =>
              l.material?.cover !== undefined &&
              l.material.usage !== undefined &&
              l.dosePercent > l.material.usage.typical * 1.1,
          )
          return high.length > 0
            ? {
                weight: 3,
                because: `${listWords(high.map((l) => `${sayPercent(l.percent)} ${l.weighedAs}`))}.`,
              }
            : null
        },
        test: 'A patch beside a product that stings nobody.',
        moves: () => ['Next time its usual dose.'],
      },
    ],
  },
  whitens: {
    discard: 'Safe to use.',
    causes: [
      {
        title: 'The emulsifier makes white foam under the hand',
        when: (e) => {
          const w = emulsifiers(e).filter((l) => (l.material!.whitening ?? 0) >= 3)
          return w.length > 0
            ? { weight: 7, because: `${names(w)} ${w.length > 1 ? 'tend' : 'tends'} to whiten.` }
            : null
        },
        test: 'Rub in half as much: less white means foam, not pigment.',
        moves: () => ['Next time 0.5 to 1 % of a light silicone or coco-caprylate, or less fatty alcohol.'],
      },
      {
        title: 'A mineral powder is in it',
        when: (e) => {
          const p = e.has(
            (l) =>
              l.material?.kind === 'uv-filter' ||
              l.material?.kind === 'colourant' ||
              l.material?.kind === 'powder' ||
              l.material?.kind === 'clay',
          )
          return p.length > 0
            ? { weight: 8, because: `${names(p)} ${p.length > 1 ? 'are' : 'is'} white on skin.` }
            : null
        },
        test: 'A thin smear on dark paper stays white when dry.',
        moves: () => ['Grind it finer into an ester, or take less of it.'],
      },
      {
        title: 'Much fatty alcohol',
        when: (e) =>
          sum(e.has(kind('fatty-alcohol'))) >= 3
            ? { weight: 5, because: `${sayPercent(sum(e.has(kind('fatty-alcohol'))))} of fatty alcohol.` }
            : null,
        test: 'Disappears after 30 seconds of rubbing.',
        moves: () => ['Next time half of it, and a gum for the body.'],
      },
    ],
  },
  soaps: {
    discard: 'Safe to use.',
    causes: [
      {
        title: 'Soap or an ionic emulsifier foams',
        when: (e) => {
          const s = emulsifiers(e).filter(
            (l) => l.material!.charge === 'anionic' || (l.material!.whitening ?? 0) >= 4,
          )
          return s.length > 0 || (e.state.plan.a.emulsion?.soapPercent ?? 0) > 0
            ? {
                weight: 8,
                because:
                  s.length > 0
                    ? `${names(s)} ${s.length > 1 ? 'are' : 'is'} in it.`
                    : 'A fatty acid and a base made soap in it.',
              }
            : null
        },
        test: 'Foam goes with half a minute of rubbing.',
        moves: () => ['Next time 1 % of a light silicone or ester, less emulsifier, or a polymer one.'],
      },
      {
        title: 'More emulsifier than the oils need',
        when: (e) => {
          const m = e.state.plan.a.emulsion
          return m && m.oilsPercent > 0 && m.emulsifierPercent / m.oilsPercent > 0.4
            ? {
                weight: 7,
                because: `${sayPercent(m.emulsifierPercent)} of emulsifier for ${sayPercent(m.oilsPercent)} of oils.`,
              }
            : null
        },
        test: 'The same formula with a third less emulsifier.',
        moves: () => ['Next time less of it, or more oil.'],
      },
    ],
  },
  pills: {
    discard: 'Safe to use.',
    causes: [
      {
        title: 'Gums and polymers dry to a film that rolls',
        when: (e) => {
          const g = [...new Set([...gums(e), ...e.has(kind('film-former'))])]
          return g.length > 0
            ? { weight: 7, because: `${listWords(g.map((l) => `${sayPercent(l.percent)} ${l.weighedAs}`))}.` }
            : null
        },
        test: 'It rolls after it is dry, and less on damp skin.',
        moves: () => ['Next time half the gum, or a humectant more.', 'Wait until what is under it is dry.'],
      },
      {
        title: 'Powder or mineral that nothing binds',
        when: (e) => {
          const p = e.has(kind('powder', 'clay', 'uv-filter'))
          return p.length > 0
            ? { weight: 6, because: `${names(p)} ${p.length > 1 ? 'are' : 'is'} in it.` }
            : null
        },
        test: 'Rub the rolls: gritty.',
        moves: () => ['Next time wet it in an ester first, or take less.'],
      },
      {
        title: 'Much silicone or wax over something watery',
        when: (e) =>
          sum(e.has(kind('silicone', 'wax'))) >= 3
            ? { weight: 5, because: `${sayPercent(sum(e.has(kind('silicone', 'wax'))))} of it.` }
            : null,
        test: 'Alone on bare skin it does not roll.',
        moves: () => ['Use it alone, or less of that.'],
      },
      {
        title: 'It went over a layer that was not dry',
        when: always(2),
        test: 'Alone on bare skin it does not roll.',
        moves: () => ['Wait ten minutes between layers, and use less of each.'],
      },
    ],
  },
  greasy: {
    discard: 'Safe to use.',
    causes: [
      {
        title: 'Rich and slow oils',
        when: (e) => {
          const rich = e.has(
            (l) =>
              ['rich', 'greasy', 'occlusive', 'slow'].some((f) =>
                (l.material?.feel ?? []).some((x) => x === f),
              ) && l.percent >= 2,
          )
          return rich.length > 0
            ? { weight: 8, because: `${names(rich)} ${rich.length > 1 ? 'stay' : 'stays'} on the skin.` }
            : null
        },
        test: 'Blot it after five minutes: what comes off is oil.',
        moves: () => [
          'Next time change half of them for a light ester or squalane.',
          'Use less of it, on damp skin.',
        ],
      },
      {
        title: 'The oil phase is large',
        when: (e) =>
          (e.state.plan.a.emulsion?.oilPhasePercent ?? 0) >= 25
            ? { weight: 6, because: `${sayPercent(e.state.plan.a.emulsion!.oilPhasePercent)} of oil phase.` }
            : null,
        test: 'A third part of gel stirred into a spoonful.',
        moves: () => ['Next time a lotion of 15 to 20 %.'],
      },
      {
        title: 'More oil went in than planned',
        when: (e) => {
          const over = e.has(kind('oil', 'butter', 'ester')).filter((l) => e.off(l) > 5)
          return over.length > 0
            ? {
                weight: 9,
                because: over.map((l) => `${l.label} is ${sayNumber(e.off(l), 0)} % over.`).join(' '),
              }
            : null
        },
        test: 'Look at the weights of this batch beside the plan.',
        moves: () => ['Make the batch larger by the same share.'],
      },
    ],
  },
}
